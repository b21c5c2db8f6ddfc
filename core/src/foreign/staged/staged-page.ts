import type { ChildNode, Document, Element, ParentNode } from 'domhandler';
import { parse, serialize } from 'parse5';
import { adapter } from 'parse5-htmlparser2-tree-adapter';
import { bringsAdded } from '../change/edited-page.ts';
import { baseOf, collectElements, isStylesheet, type PageFiles } from '../page.ts';
import { pathFrom } from '../paths.ts';
import { isElement } from '../tree.ts';
import { stagedCss, STAGED_NAMES } from './staged-css.ts';

/** A page as it can be shown: nothing in it runs, leads elsewhere or asks for anything. */
export interface StagedPage {
  readonly rootAttributes: Readonly<Record<string, string>>;
  readonly bodyAttributes: Readonly<Record<string, string>>;
  /** Markup of what brings styles, and of the body. Addresses of what was brought along stand in it as `STAGED_NAMES` says. */
  readonly head: string;
  readonly body: string;
  /** Stylesheets, those that others import before them. */
  readonly sheets: readonly string[];
  /** Paths of the other files that are shown. */
  readonly files: readonly string[];
}

const fileAddress = (at: number) => `${STAGED_NAMES.file}${at}.`;
const sheetAddress = (at: number) => `${STAGED_NAMES.sheet}${at}.`;

/** An address that leads to nothing, and asks nobody. */
const NOWHERE = 'data:,';

/** What is left out: it runs, leads elsewhere, or is only there without scripts. */
const LEFT_OUT = new Set(['script', 'base', 'meta', 'noscript', 'portal', 'fencedframe']);

/** Attributes that run something, ask for something, or take over the focus. */
const DEAD_ATTRIBUTE =
  /^(?:on.*|ping|action|formaction|http-equiv|srcdoc|autofocus|autoplay|data|manifest|background|nonce|integrity|crossorigin|attributionsrc|imagesizes|imagesrcset|is)$/i;

/** Elements by whose names a document's own members could be hidden. */
const NAMED = new Set(['form', 'img', 'embed', 'object', 'iframe']);

/** Attributes with the address of something that is drawn. */
const DRAWN = new Set(['src', 'poster', 'xlink:href']);

const isLink = (name: string) => name === 'a' || name === 'area';

class Stager {
  readonly sheets: string[] = [];
  readonly paths: string[] = [];
  private readonly known = new Map<string, string>();
  private readonly sheetOf = new Map<string, string>();
  private readonly files: PageFiles;
  private readonly path: string;
  private readonly base: string;
  private readonly has: (path: string) => boolean;

  constructor(files: PageFiles, path: string, base: string, has: (path: string) => boolean) {
    this.files = files;
    this.path = path;
    this.base = base;
    this.has = has;
  }

  private pathOf(address: string, from: string): string | null {
    return pathFrom(address, from === this.path ? this.base : from, this.files.origin ?? null);
  }

  /** Where a file that is drawn is on the stage. */
  file(address: string, from: string): string {
    if (/^(?:data:|#)/i.test(address.trim())) return address;
    const path = this.pathOf(address, from);
    if (path === null || !this.has(path)) return NOWHERE;
    const known = this.known.get(path) ?? fileAddress(this.paths.push(path) - 1);
    this.known.set(path, known);
    // A part of a drawing goes on being meant.
    return known + (/#.*$/s.exec(address)?.[0] ?? '');
  }

  /** Where a stylesheet is on the stage; one that comes to itself again leads nowhere. */
  stylesheet(address: string, from: string): string {
    const path = this.pathOf(address, from);
    const text = path === null ? null : this.files.text(path);
    if (path === null || text === null) return NOWHERE;
    const known = this.sheetOf.get(path);
    if (known !== undefined) return known;
    this.sheetOf.set(path, NOWHERE);
    const made = sheetAddress(this.sheets.push(this.css(text, path)) - 1);
    this.sheetOf.set(path, made);
    return made;
  }

  css(text: string, from: string): string {
    return stagedCss(text, {
      file: (address) => this.file(address, from),
      stylesheet: (address) => this.stylesheet(address, from),
    });
  }

  /** The attributes of an element as the stage has them. */
  attributes({ name, attribs }: Element): Record<string, string> {
    const made = new Map<string, string>();
    for (const [attribute, value] of Object.entries(attribs)) {
      if (DEAD_ATTRIBUTE.test(attribute) || (attribute === 'name' && NAMED.has(name))) continue;
      const staged = this.attribute(name, attribute.toLowerCase(), value);
      if (staged !== null) made.set(attribute, staged);
    }
    return Object.fromEntries(made);
  }

  private attribute(name: string, attribute: string, value: string): string | null {
    if (attribute === 'style') return this.css(value, this.path);
    if (attribute === 'srcset')
      return value
        .split(',')
        .map((candidate) => candidate.trim().split(/\s+/))
        .map(([address = '', ...size]) => [this.file(address, this.path), ...size].join(' '))
        .join(', ');
    if (name === 'iframe' || name === 'embed' || name === 'frame') return attribute === 'src' ? null : value;
    if (attribute === 'href' && isLink(name)) return /^\s*javascript:/i.test(value) ? '#' : value;
    if (DRAWN.has(attribute) || attribute === 'href') return this.file(value, this.path);
    return value;
  }
}

/** Takes out of a tree what is not shown, and makes the rest such that it does nothing. */
function stage(element: Element, stager: Stager, at: string, path: string): void {
  const isSheet = element.name === 'link' && isStylesheet(element);
  if (LEFT_OUT.has(element.name) || (element.name === 'link' && !isSheet)) {
    remove(element);
    return;
  }
  const { href = '', ...others } = element.attribs;
  const sheet = isSheet ? stager.stylesheet(href, path) : null;
  if (isSheet) element.attribs = others;
  const attributes = stager.attributes(element);
  element.attribs = {
    ...attributes,
    ...(sheet === null ? {} : { href: sheet }),
    [STAGED_NAMES.at]: at,
  };
  if (element.name === 'style')
    for (const node of element.children)
      if ('data' in node) node.data = stager.css(node.data, path).replace(/<(?=\/style)/gi, '\\3c ');
}

function remove(node: ChildNode): void {
  const { parent } = node;
  if (parent) parent.children = parent.children.filter((other) => other !== node);
}

const inner = (node: ParentNode | undefined): string =>
  node ? serialize(node as Element, { treeAdapter: adapter }) : '';

/** The markup of what brings styles in the head. */
function headMarkup(head: Element | undefined): string {
  if (!head) return '';
  head.children = head.children.filter(
    (node) => isElement(node) && (node.name === 'style' || node.name === 'link'),
  );
  return inner(head);
}

/**
 * A page as the stage shows it, of the same elements in the same order. `has` answers whether a file was brought along; addresses of
 * others lead nowhere.
 */
export function stagedPage(
  files: PageFiles,
  path: string,
  html: string,
  has: (path: string) => boolean,
): StagedPage {
  const document: Document = parse(html, { treeAdapter: adapter, scriptingEnabled: false });
  const elements = collectElements(document.children);
  const stager = new Stager(files, path, baseOf(elements, path, files.origin ?? null), has);
  let own = 0;
  // What was added stands there without being one of the page's own.
  for (const element of elements)
    stage(element, stager, bringsAdded(element) ? 'added' : String(own++), path);
  const named = (name: string) => elements.find((element) => element.name === name);
  return {
    rootAttributes: named('html')?.attribs ?? {},
    bodyAttributes: named('body')?.attribs ?? {},
    head: headMarkup(named('head')),
    body: inner(named('body')),
    sheets: stager.sheets,
    files: stager.paths,
  };
}
