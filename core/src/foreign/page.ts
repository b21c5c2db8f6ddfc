import type { ChildNode, Document, Element } from 'domhandler';
import { parse } from 'parse5';
import { adapter } from 'parse5-htmlparser2-tree-adapter';
import { pathFrom } from './paths.ts';
import { Matcher } from './selectors/matcher.ts';
import { readDeclarations } from './sheet/read-declarations.ts';
import { SheetReader } from './sheet/read-sheet.ts';
import type { Declaration, Rules } from './sheet/rules.ts';
import { createSource, type Source } from './source.ts';
import { isElement } from './tree.ts';

/** The files of a page that was brought along. */
export interface PageFiles {
  /** A text by its path, with `/` between folders; null where there is none. */
  readonly text: (path: string) => string | null;
  /** Where the page came from on the web, such as `https://site.example`; nothing where its files came from a disk. */
  readonly origin?: string | null;
}

/** A page that exists already, with everything its stylesheets say. */
export interface ForeignPage {
  readonly source: Source;
  /** Where it came from on the web; null where its files came from a disk. */
  readonly origin: string | null;
  /** What the addresses in its markup relate to: the path of the page, or what its `base` says. */
  readonly base: string;
  readonly document: Document;
  /** In the order of the document; what lies in a template is not of the page. */
  readonly elements: readonly Element[];
  readonly rules: Rules;
  readonly matcher: Matcher;
  /** What a `style` attribute says. */
  readonly inline: (element: Element) => readonly Declaration[];
  /** The stylesheets that were read, the page itself among them where it has its own. */
  readonly sheets: readonly Source[];
}

/** All elements of a document in its order; what lies in a template is not of the page. */
export function collectElements(children: readonly ChildNode[]): Element[] {
  const into: Element[] = [];
  // Without recursion, as pages may be nested deeper than a call stack.
  const waiting = [...children].reverse();
  for (let node = waiting.pop(); node; node = waiting.pop()) {
    if (!isElement(node)) continue;
    into.push(node);
    if (node.name !== 'template') for (const child of [...node.children].reverse()) waiting.push(child);
  }
  return into;
}

/** Where the value of an attribute begins in the source. */
function valueStart(text: string, start: number): number {
  const found = /^[^=]*=\s*["']?/.exec(text.slice(start, start + 200));
  return start + (found?.[0].length ?? 0);
}

/** Where an attribute stands in the source; nought where that is not known. */
function attributeStart({ sourceCodeLocation }: Element, name: string): number {
  const located = sourceCodeLocation as {
    readonly attrs?: Readonly<Record<string, { readonly startOffset: number } | undefined>>;
  } | null;
  return located?.attrs?.[name]?.startOffset ?? 0;
}

/** What addresses of a page relate to: a `base` says so, else the page itself. One that lies elsewhere has no files here. */
export function baseOf(elements: readonly Element[], path: string, origin: string | null): string {
  const said = elements.find(({ name, attribs }) => name === 'base' && 'href' in attribs)?.attribs['href'];
  if (said === undefined) return path;
  const at = pathFrom(said, path, origin);
  if (at === null) return ELSEWHERE;
  if (origin !== null) return at;
  return said.trim().endsWith('/') && at !== '' ? `${at}/index` : at;
}

/** Whether a link brings a stylesheet that applies. */
export const isStylesheet = ({ attribs }: Element): boolean => {
  const rel = (attribs['rel'] ?? '').toLowerCase().split(/\s+/);
  return rel.includes('stylesheet') && !rel.includes('alternate') && !('disabled' in attribs);
};

/** A folder that no file lies in. */
const ELSEWHERE = '\0/';

const isCss = ({ attribs }: Element) => /^\s*(?:text\/css\b.*)?$/i.test(attribs['type'] ?? '');

/** Reads a page with its stylesheets. Nothing of it is run, and nothing is asked for but the files given. */
export function readForeignPage(files: PageFiles, path: string, html: string): ForeignPage {
  const source = createSource(path, html);
  const document = parse(html, {
    treeAdapter: adapter,
    sourceCodeLocationInfo: true,
    scriptingEnabled: false,
  });
  const elements = collectElements(document.children);
  const origin = files.origin ?? null;
  const base = baseOf(elements, path, origin);
  const sheets = new Map<string, Source>();
  const find = (address: string, from: string): Source | null => {
    const at = pathFrom(address, from === path ? base : from, origin);
    if (at === null) return null;
    const known = sheets.get(at);
    if (known) return known;
    const text = files.text(at);
    if (text === null) return null;
    const made = createSource(at, text);
    sheets.set(at, made);
    return made;
  };
  const reader = new SheetReader(find);
  for (const element of elements) {
    const media = element.attribs['media'] ?? '';
    if (element.name === 'style' && isCss(element)) {
      const start = element.firstChild?.sourceCodeLocation?.startOffset;
      const end = element.lastChild?.sourceCodeLocation?.endOffset;
      if (typeof start === 'number' && typeof end === 'number') reader.add(source, media, start, end);
    } else if (element.name === 'link' && isStylesheet(element) && isCss(element)) {
      const address = element.attribs['href'] ?? '';
      const found = find(address, path);
      if (found) reader.add(found, media);
      else reader.note(null, `The stylesheet ${address} is not there`);
    }
  }
  const rules = reader.rules();
  const inline = new Map<Element, readonly Declaration[]>();
  return {
    source,
    origin,
    base,
    document,
    elements,
    rules,
    matcher: new Matcher(rules.styles, document['x-mode'] === 'quirks'),
    inline: (element) => {
      const known = inline.get(element);
      if (known) return known;
      const written = element.attribs['style'];
      const at = attributeStart(element, 'style');
      const made = written === undefined ? [] : readDeclarations(source, written, valueStart(html, at));
      inline.set(element, made);
      return made;
    },
    sheets: [source, ...sheets.values()],
  };
}

/** How many folders up the stylesheets of a page lead, by its links and imports. */
export function upwards(html: string): number {
  let most = 0;
  for (const [tag] of html.matchAll(/<link\b[^>]*>|@import[^;]*/gi)) {
    const way = /["'(=\s]((?:\.\.\/)+)/.exec(tag)?.[1];
    if (way !== undefined && (tag.startsWith('@') || /stylesheet/i.test(tag)))
      most = Math.max(most, way.length / 3);
  }
  return most;
}
