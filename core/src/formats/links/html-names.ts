import { cutText } from '../../base/well-formed.ts';
import { LIMITS } from '../../values/limits.ts';
import type { LineFields, LinkLine } from '../../links/link-line.ts';
import { descendants, isPageElement, readableText, type PageElement } from './html-tree.ts';

const LISTS = new Set(['ul', 'ol', 'menu']);
export const HEADINGS = new Set([
  'h1',
  'h2',
  'h3',
  'h4',
  'h5',
  'h6',
  'summary',
  'legend',
  'dt',
  'label',
  'caption',
]);

export const isList = (element: PageElement) => LISTS.has(element.tag);
/** A link to somewhere: `area` is one on a picture. */
export const isLink = (element: PageElement) =>
  (element.tag === 'a' || element.tag === 'area') && element.attributes['href'] !== undefined;

/** Class, id and accessible name: what page authors call a thing. */
export const hintsOf = (element: PageElement) =>
  [
    element.attributes['id'],
    element.attributes['class'],
    element.attributes['aria-label'],
    element.attributes['role'],
    element.attributes['summary'],
  ].join(' ');

export const elementsIn = (element: PageElement) => element.children.filter(isPageElement);

const squeeze = (text: string) => text.replace(/\s+/g, ' ').trim();

/** Letters or digits of any script: a label of signs alone (an icon font, a pilcrow, an arrow) says nothing. */
export const saysSomething = (text: string) => /[\p{L}\p{N}]/u.test(text.replace(/[\ue000-\uf8ff]/g, ''));

/** What a link, button or heading is called: its words, else the names of its pictures, else its own name or tooltip. */
export function nameOf(element: PageElement): string {
  const text = squeeze(readableText(element).replace(/[\ue000-\uf8ff\u00b6▸▾▼►▲◂»«›‹]/gu, ' '));
  if (saysSomething(text)) return cutText(text, LIMITS.label);
  const drawn = [...descendants(element)]
    .find((child) => child.tag === 'title')
    ?.children.find((child) => !isPageElement(child));
  const within = [...descendants(element)]
    .map((child) => child.attributes['aria-label'] ?? '')
    .find(saysSomething);
  const { attributes } = element;
  const names = [
    attributes['aria-label'],
    typeof drawn === 'string' ? drawn : undefined,
    within,
    attributes['alt'],
    attributes['title'],
  ];
  return squeeze(names.find((name) => name !== undefined && saysSomething(name)) ?? '').slice(
    0,
    LIMITS.label,
  );
}

/** Controls that work the menu and are none of it. */
export const TOGGLE =
  /^(?:menu|navigation|search|close|open|toggle\b.*|(?:show|hide|open|close|main) (?:menu|navigation|nav|submenu)|more options|theme|dark mode|light mode|top|back to top)$/i;
const SKIP = /^(?:skip|jump) (?:to|over|navigation|links|past)\b/i;
export const BRAND = /(?:^|[\s_-])(?:brand|logo|wordmark|site-?title|branding)(?:$|[\s_-])/i;

export const isScript = (href: string | undefined) => /^\s*javascript:/i.test(href ?? '');

/** A link or button that carries no page: the way past the menu, what opens it, the mark that leads home. */
export function isBeside(element: PageElement): boolean {
  const name = nameOf(element);
  if (SKIP.test(name) || /^logo$/i.test(name) || BRAND.test(hintsOf(element))) return true;
  const works =
    ['button', 'label', 'summary', 'span'].includes(element.tag) ||
    isScript(element.attributes['href']) ||
    element.attributes['href'] === '#';
  return works && TOGGLE.test(name);
}

/** Link types that say something about the link itself, and no more (HTML, section 4.6.6). */
const KEPT_TYPES = new Set([
  'alternate',
  'author',
  'bookmark',
  'external',
  'help',
  'license',
  'me',
  'next',
  'nofollow',
  'prev',
  'privacy-policy',
  'search',
  'tag',
  'terms-of-service',
]);

/** What a link says besides label and target; classes are the page's own and stay there. */
export function fieldsOf(link: PageElement, label: string): LineFields | null {
  const { attributes } = link;
  const title = cutText(squeeze(attributes['title'] ?? ''), LIMITS.label);
  const name = cutText(squeeze(attributes['aria-label'] ?? ''), LIMITS.label);
  const rel = (attributes['rel'] ?? '')
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => KEPT_TYPES.has(word))
    .join(' ');
  const fields: LineFields = {
    ...(name !== '' && name !== label ? { name } : {}),
    ...(title !== '' && title !== label && title !== name ? { title } : {}),
    ...(attributes['target'] === '_blank' ? { newTab: true as const } : {}),
    ...(rel !== '' ? { rel } : {}),
  };
  return Object.keys(fields).length > 0 ? fields : null;
}

export const holdsLinks = (element: PageElement) => [...descendants(element)].some(isLink);

export const holdsLinksOrIsLink = (element: PageElement) => isLink(element) || holdsLinks(element);

export const CAPTION = /head|title|caption|label|text|divider|separator|brand|logo/i;

export const isLongText = (label: string) => label.length > 60 || /[.!?]\s/.test(label);

/** A page's title is over everything, so over nothing in particular. */
export const isHeading = (element: PageElement) =>
  (HEADINGS.has(element.tag) && element.tag !== 'h1') || element.attributes['role'] === 'heading';

export const isBold = (element: PageElement) =>
  (element.tag === 'b' || element.tag === 'strong' || element.attributes['aria-current'] !== undefined) &&
  !holdsLinksOrIsLink(element) &&
  nameOf(element) !== '' &&
  !isLongText(nameOf(element));

export const HOME = /^(?:#|\.?\/?|(?:index|default|home)\.\w+|https?:\/\/[^/?#]+\/?)$/i;

/** Controls of forms and pictures between a heading and what it opens. */
export const isFiller = (element: PageElement) =>
  ['input', 'hr', 'br', 'svg', 'img', 'i'].includes(element.tag) && !holdsLinks(element);

/** What links that lead from page to page are called. */
const STEPS =
  /^(?:[«‹<←\s]*(?:prev(?:ious)?|back|older|newer|up|first|start)(?:\s+(?:page|chapter|section|topic|post))?|(?:next|last|end|forward)(?:\s+(?:page|chapter|section|topic|post))?[»›>→\s]*|\d{1,4}|home|top|index|contents|table of contents)$/i;
const REAL_STEP = /prev|next|^up$|older|newer|^\d+$/i;

/** Whether links are steps between pages: previous, next, page numbers. */
export function isSteps(links: readonly LinkLine[]): boolean {
  const isStep = ({ label }: LinkLine) => STEPS.test(label.replace(/\s*:$/, ''));
  return (
    links.every((link) => link.depth <= 2) &&
    links.filter(isStep).length >= 0.6 * links.length &&
    links.some((link) => REAL_STEP.test(link.label.replace(/\s*:$/, '')))
  );
}
