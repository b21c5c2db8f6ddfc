import { isText, type Element } from 'domhandler';
import { ownElements } from './change/edited-page.ts';
import type { ForeignPage } from './page.ts';
import { classesIn, isElement, lineage, parentOf } from './tree.ts';

/** An element of a page's navigation, as a line of an outline. */
export interface NavigationLine {
  /** Its place among the page's elements. */
  readonly at: number;
  /** How deep it lies within the lines, 0 the outermost. */
  readonly depth: number;
  /** Its name with an id or a class, as one would write a selector: `ul.menu`. */
  readonly name: string;
  /** What it says, shortened; nothing for what holds others. */
  readonly text: string;
}

const LANDMARKS = new Set(['header', 'nav', 'footer', 'aside', 'menu']);
const ROLES = new Set(['navigation', 'banner', 'contentinfo', 'menubar', 'menu', 'search']);
const WORD = /(?:^|[-_])(?:nav|navbar|menu|header|topbar|footer|masthead|breadcrumbs?|sidebar)(?:$|[-_])/i;

/** What stands in a line of its own; marks within texts do not. */
const IN_LINES = new Set(
  'header nav footer aside menu main div section ul ol li dl dt dd table tr td th form input select textarea button details summary label a img svg h1 h2 h3 h4 h5 h6 p dialog search'.split(
    ' ',
  ),
);

/** Most lines of an outline: of larger pages the first ones. */
const MOST = 800;
const TEXT = 40;

const classesOf = ({ attribs }: Element) => classesIn(attribs);

const isNavigation = (element: Element): boolean =>
  LANDMARKS.has(element.name) ||
  ROLES.has(element.attribs['role'] ?? '') ||
  (/^(?:div|ul|ol|section|table)$/.test(element.name) &&
    [element.attribs['id'] ?? '', ...classesOf(element)].some((name) => WORD.test(name)));

function textOf(element: Element): string {
  const parts: string[] = [];
  const waiting = [...element.children].reverse();
  for (let node = waiting.pop(); node; node = waiting.pop()) {
    if (isText(node)) parts.push(node.data);
    else if (isElement(node) && node.name === 'img') parts.push(node.attribs['alt'] ?? '');
    else if (isElement(node)) waiting.push(...[...node.children].reverse());
  }
  const text = (
    parts.join(' ').trim() ||
    (element.attribs['alt'] ?? element.attribs['aria-label'] ?? '')
  ).replace(/\s+/g, ' ');
  return text.length > TEXT ? `${text.slice(0, TEXT - 1)}…` : text;
}

const SPEAKS = /^(?:a|button|img|summary|label|input|h\d|p|dt|dd|td|th)$/;

/** The outline of a page's navigation: headers, footers, menus and all that stands in them; without any, of the whole page. */
export function navigationOf(page: ForeignPage): readonly NavigationLine[] {
  const elements = ownElements(page);
  const places = new Map(elements.map((element, at) => [element, at]));
  const hasAny = elements.some(isNavigation);
  const isInside = (element: Element) =>
    hasAny
      ? [...lineage(element)].some(isNavigation)
      : [...lineage(element)].some(({ name }) => name === 'body');
  const depths = new Map<Element, number>();
  const lines: NavigationLine[] = [];
  for (const element of elements) {
    if (lines.length >= MOST) break;
    if (!isInside(element)) continue;
    const around = parentOf(element);
    const outside = around ? (depths.get(around) ?? -1) : -1;
    const isLine = IN_LINES.has(element.name) || isNavigation(element);
    depths.set(element, isLine ? outside + 1 : outside);
    if (!isLine) continue;
    const { id } = element.attribs;
    const [first] = classesOf(element);
    const mark = id ? `#${id}` : first === undefined ? '' : `.${first}`;
    lines.push({
      at: places.get(element) ?? 0,
      depth: outside + 1,
      name: element.name + mark,
      text: SPEAKS.test(element.name) ? textOf(element) : '',
    });
  }
  return lines;
}
