import { LIMITS } from '../document/limits.ts';
import { refuseUrl } from '../document/url.ts';
import type { ImportNote, LinkLine, ReadLinks } from '../links/link-line.ts';
import { descendants, isPageElement, parsePage, readableText, type PageElement } from './html-tree.ts';

const LISTS = new Set(['ul', 'ol', 'menu']);
const HEADINGS = new Set(['h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'summary', 'legend']);

/** Words in a class, id or label that tell lists which are no menu. */
const OTHER_LISTS = /breadcrumb|pagina|table-?of-?contents|\btoc\b|skip|social|share|language|locale|footer|legal/i;

const describe = (element: PageElement) => [element.attributes['id'], element.attributes['class'], element.attributes['aria-label']].join(' ');

const isNavigation = (element: PageElement) => element.tag === 'nav' || element.attributes['role'] === 'navigation';

function accessibleName(element: PageElement): string {
  const text = readableText(element);
  if (text !== '') return text;
  const drawn = [...descendants(element)].find((child) => child.tag === 'title')?.children.find((child) => !isPageElement(child));
  return (element.attributes['aria-label'] ?? element.attributes['title'] ?? (typeof drawn === 'string' ? drawn : '')).replace(/\s+/g, ' ').trim();
}

interface Reading {
  readonly links: LinkLine[];
  readonly notes: ImportNote[];
}

function pushLink(reading: Reading, label: string, href: string | null, depth: number): void {
  if (reading.links.length >= LIMITS.links) return;
  const refused = href === null ? null : refuseUrl(href.trim());
  if (refused !== null) reading.notes.push({ line: 0, text: `${label} -> ${href ?? ''}`.slice(0, 80), reason: `The target was left out: ${refused}.` });
  const target = refused === null ? (href?.trim() || null) : null;
  reading.links.push({ label: label.slice(0, LIMITS.label), href: target, depth: Math.min(depth, LIMITS.depth) });
}

/** Puts elements on a stack so that the first comes off first. */
function pushReversed(stack: PageElement[], elements: readonly PageElement[]): void {
  for (let index = elements.length - 1; index >= 0; index--) {
    const element = elements[index];
    if (element) stack.push(element);
  }
}

/** The first element below a list item that names it, not looking into nested lists. */
function findNamer(item: PageElement): PageElement | null {
  const waiting: PageElement[] = [item];
  let button: PageElement | null = null;
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    if (next.tag === 'a' && accessibleName(next) !== '') return next;
    if (button === null && (next.tag === 'button' || HEADINGS.has(next.tag)) && accessibleName(next) !== '') button = next;
    if (next !== item && LISTS.has(next.tag)) continue;
    pushReversed(waiting, next.children.filter(isPageElement).filter((child) => !LISTS.has(child.tag)));
  }
  return button;
}

/** The lists nested in an item, outermost first, however deep in wrappers they stand. */
function nestedLists(item: PageElement): PageElement[] {
  const lists: PageElement[] = [];
  const waiting: PageElement[] = item.children.filter(isPageElement).reverse();
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    if (LISTS.has(next.tag)) lists.push(next);
    else pushReversed(waiting, next.children.filter(isPageElement));
  }
  return lists;
}

/** An item's own words, without its nested lists. */
function ownText(item: PageElement): string {
  const strip = (element: PageElement): PageElement => ({
    ...element, children: element.children.filter((child) => !isPageElement(child) || !LISTS.has(child.tag)).map((child) => (isPageElement(child) ? strip(child) : child)),
  });
  return readableText(strip(item));
}

function readItem(reading: Reading, item: PageElement, depth: number): void {
  const namer = findNamer(item);
  const label = namer ? accessibleName(namer) : ownText(item);
  const lists = nestedLists(item);
  if (label === '') {
    if (lists.length === 0 && [...descendants(item)].some((child) => child.tag === 'a')) {
      reading.notes.push({ line: 0, text: '', reason: 'A link without any text or name was left out.' });
    }
    for (const list of lists) readList(reading, list, depth);
    return;
  }
  pushLink(reading, label, namer?.tag === 'a' ? (namer.attributes['href'] ?? null) : null, depth);
  for (const list of lists) readList(reading, list, depth + 1);
}

function readList(reading: Reading, list: PageElement, depth: number): void {
  for (const child of list.children.filter(isPageElement)) {
    if (LISTS.has(child.tag)) readList(reading, child, depth + 1);
    else readItem(reading, child, depth);
  }
}

/** Links of an element: its outermost lists nested as they are; where it has none, its bare links one beneath the other. */
function readContainer(element: PageElement): Reading {
  const reading: Reading = { links: [], notes: [] };
  const lists = LISTS.has(element.tag) ? [element] : nestedLists(element);
  const inLists = new Set(lists.flatMap((list) => [...descendants(list)]));
  let listIndex = 0;
  for (const part of descendants(element)) {
    if (part === lists[listIndex]) {
      readList(reading, part, 1);
      listIndex++;
    } else if (part.tag === 'a' && !inLists.has(part)) {
      const label = accessibleName(part);
      // A bare link before lists is usually the logo or a skip link; among bare links all count.
      if (label !== '' && lists.length === 0) pushLink(reading, label, part.attributes['href'] ?? null, 1);
    }
  }
  return reading;
}

interface Candidate {
  readonly element: PageElement;
  readonly score: number;
}

/** How likely an element holds the page's main menu. */
function scoreOf(element: PageElement, insideHeader: boolean, insideFooter: boolean): number {
  const links = [...descendants(element)].filter((child) => child.tag === 'a' && child.attributes['href'] !== undefined);
  if (links.length === 0) return 0;
  let score = Math.min(links.length, 12);
  if (isNavigation(element)) score += 20;
  if (insideHeader) score += 10;
  if (insideFooter) score -= 25;
  if (/\b(main|primary|site|global)\b/i.test(describe(element))) score += 10;
  if (/menu|nav/i.test(describe(element))) score += 6;
  if (OTHER_LISTS.test(describe(element))) score -= 30;
  if (links.every((link) => link.attributes['href']?.startsWith('#'))) score -= 4;
  return score;
}

/** Navigation landmarks, then lists, each with its score; nested ones are judged on their own. */
function candidates(page: PageElement): Candidate[] {
  const found: Candidate[] = [];
  const visit = (element: PageElement, header: boolean, footer: boolean, inCandidate: boolean) => {
    const insideHeader = header || element.tag === 'header' || element.attributes['role'] === 'banner';
    const insideFooter = footer || element.tag === 'footer' || element.attributes['role'] === 'contentinfo';
    const isCandidate = isNavigation(element) || (!inCandidate && LISTS.has(element.tag));
    if (isCandidate) found.push({ element, score: scoreOf(element, insideHeader, insideFooter) });
    for (const child of element.children) {
      if (isPageElement(child)) visit(child, insideHeader, insideFooter, inCandidate || LISTS.has(element.tag) || isNavigation(element));
    }
  };
  visit(page, false, false, false);
  return found.filter((candidate) => candidate.score > 0).sort((a, b) => b.score - a.score);
}

/**
 * Reads the links of a page's main navigation: the likeliest navigation landmark or list, nested as it stands. Without
 * either, every link of the page counts. Works on any text; what is no HTML has no links.
 */
export function readHtmlLinks(html: string): ReadLinks {
  const page = parsePage(html);
  const best = candidates(page)[0];
  const reading = readContainer(best?.element ?? page);
  if (reading.links.length === 0) {
    reading.notes.push({ line: 0, text: html.trim().slice(0, 80), reason: 'No links were found: paste the markup of the page or of its navigation.' });
  }
  return reading;
}
