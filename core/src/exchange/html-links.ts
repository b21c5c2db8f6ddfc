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
  if (label === '') {
    const lists = nestedLists(item);
    if (lists.length === 0 && [...descendants(item)].some((child) => child.tag === 'a')) {
      reading.notes.push({ line: 0, text: '', reason: 'A link without any text or name was left out.' });
    }
    for (const list of lists) readList(reading, list, depth);
    return;
  }
  const href = namer?.tag === 'a' ? (namer.attributes['href'] ?? null) : null;
  pushLink(reading, label, href, depth);
  readFlow(reading, item, depth + 1, (link) => link === namer || (href !== null && link.attributes['href'] === href));
}

/**
 * Reads what stands in an element in order: lists, definition lists and disclosures nest, bare links stand where they
 * are. Links that `skip` answers for are left out.
 */
function readFlow(reading: Reading, element: PageElement, depth: number, skip: (link: PageElement) => boolean = () => false): void {
  for (const child of element.children.filter(isPageElement)) {
    if (LISTS.has(child.tag)) readList(reading, child, depth);
    else if (child.tag === 'a') {
      const label = accessibleName(child);
      if (label !== '' && !skip(child)) pushLink(reading, label, child.attributes['href'] ?? null, depth);
    } else if (child.tag === 'details') readDisclosure(reading, child, depth, skip);
    else readFlow(reading, child, child.tag === 'dd' ? depth + 1 : depth, skip);
  }
}

/** A disclosure: its summary names a parent, the rest is nested in it. */
function readDisclosure(reading: Reading, details: PageElement, depth: number, skip: (link: PageElement) => boolean): void {
  const summary = details.children.filter(isPageElement).find((child) => child.tag === 'summary');
  const rest = { ...details, children: details.children.filter((child) => child !== summary) };
  const label = summary ? accessibleName(summary) : '';
  if (label === '') { readFlow(reading, rest, depth, skip); return; }
  const link = summary && [...descendants(summary)].find((child) => child.tag === 'a');
  if (!link || !skip(link)) pushLink(reading, label, link?.attributes['href'] ?? null, depth);
  readFlow(reading, rest, depth + 1, skip);
}

function readList(reading: Reading, list: PageElement, depth: number): void {
  for (const child of list.children.filter(isPageElement)) {
    if (LISTS.has(child.tag)) readList(reading, child, depth + 1);
    else readItem(reading, child, depth);
  }
}

/**
 * Links of an element as they are nested. Where it has lists, links beside them (a logo, a skip link) are none of the
 * menu; where it has none, its bare links are.
 */
function readContainer(element: PageElement): Reading {
  const reading: Reading = { links: [], notes: [] };
  const lists = LISTS.has(element.tag) ? [element] : nestedLists(element);
  if (lists.length === 0) readFlow(reading, element, 1);
  for (const list of lists) readList(reading, list, 1);
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
  if (element.attributes['aria-hidden'] === 'true') score -= 30;
  if (links.every((link) => link.attributes['href']?.startsWith('#'))) score -= 4;
  return score;
}

/** How much of an element is links: their number, and the letters of their labels and of all its text. */
interface Density { readonly links: number; readonly linked: number; readonly letters: number }

const letters = (text: string) => text.replace(/[\s|/\\\-–—·•»«›‹:,[\]()]+/g, '').length;

function measureDensity(element: PageElement, known: Map<PageElement, Density>): Density {
  let density: Density;
  if (element.tag === 'a') {
    const own = letters(accessibleName(element));
    density = { links: element.attributes['href'] === undefined ? 0 : 1, linked: own, letters: own };
  } else {
    density = { links: 0, linked: 0, letters: 0 };
    for (const child of element.children) {
      const part = isPageElement(child) ? measureDensity(child, known) : { links: 0, linked: 0, letters: letters(child) };
      density = { links: density.links + part.links, linked: density.linked + part.linked, letters: density.letters + part.letters };
    }
  }
  // A linked heading is the page's title, not part of a menu.
  if (HEADINGS.has(element.tag)) density = { ...density, links: 0, linked: 0 };
  known.set(element, density);
  return density;
}

/** Share of link text from which a stretch of a page without lists counts as a menu. */
const MENU_DENSITY = 0.9;

const isMenuLike = (density: Density | undefined) => density !== undefined && density.links > 1 && density.linked >= MENU_DENSITY * density.letters;

/** Navigation landmarks, lists, and stretches that are nearly all links, each with its score; nested ones are judged on their own. */
function candidates(page: PageElement): Candidate[] {
  const found: Candidate[] = [];
  const densities = new Map<PageElement, Density>();
  measureDensity(page, densities);
  const visit = (element: PageElement, header: boolean, footer: boolean, inCandidate: boolean) => {
    const insideHeader = header || element.tag === 'header' || element.attributes['role'] === 'banner' || /\bheader\b|\bmasthead\b/i.test(describe(element));
    const insideFooter = footer || element.tag === 'footer' || element.attributes['role'] === 'contentinfo';
    const isStretch = !inCandidate && element.tag !== 'a' && element.tag !== '#document' && isMenuLike(densities.get(element))
      && ![...descendants(element)].some((child) => isNavigation(child) || LISTS.has(child.tag));
    const isCandidate = isNavigation(element) || (!inCandidate && LISTS.has(element.tag)) || isStretch;
    if (isCandidate) found.push({ element, score: scoreOf(element, insideHeader, insideFooter) });
    for (const child of element.children) {
      if (isPageElement(child)) visit(child, insideHeader, insideFooter, inCandidate || isCandidate);
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
