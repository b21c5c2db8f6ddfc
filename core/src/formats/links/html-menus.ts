import { cutText } from '../../base/well-formed.ts';
import type { ImportNote, LinkLine, ReadLinks } from '../../links/link-line.ts';
import { hintsOf, isLink, isList, nameOf, isSteps } from './html-names.ts';
import { isHeaded, readMenu, type Reading } from './html-reading.ts';
import { soundLinks } from './sound-links.ts';
import { descendants, isPageElement, parsePage, type PageElement } from './html-tree.ts';

/** Where on a page a menu stands. */
export type MenuPlace = 'header' | 'side' | 'page' | 'footer';

/** What a set of links is for: only a menu can be the page's main one. */
export type MenuKind = 'menu' | 'breadcrumb' | 'pagination' | 'contents' | 'languages' | 'social' | 'legal';

/** A menu found on a page. */
export interface FoundMenu extends ReadLinks {
  readonly place: MenuPlace;
  readonly kind: MenuKind;
  /** What its author calls it; empty where it has no name. */
  readonly name: string;
  /** Whether it is the page's main navigation. */
  readonly main: boolean;
}

const isNavigation = (element: PageElement) =>
  element.tag === 'nav' ||
  element.attributes['role'] === 'navigation' ||
  element.attributes['role'] === 'menubar';

interface Surroundings {
  readonly header: boolean;
  readonly footer: boolean;
  readonly side: boolean;
  /** Inside what the page itself says: an article, not what leads to others. */
  readonly content: boolean;
  /** Whether the page's title or main part has begun. */
  readonly after: boolean;
  readonly hidden: boolean;
}

/** A narrow cell beside a wide one: how pages were laid out with tables. */
function isNarrowCell({ tag, attributes }: PageElement): boolean {
  const match = /^(\d+)(%?)$/.exec(attributes['width'] ?? '');
  return (
    tag === 'td' &&
    match !== null &&
    Number(match[1]) > 0 &&
    Number(match[1]) <= (match[2] === '%' ? 30 : 260)
  );
}

const around = (element: PageElement, outer: Surroundings): Surroundings => {
  const { tag, attributes } = element;
  const hints = hintsOf(element);
  return {
    header:
      outer.header ||
      ((tag === 'header' ||
        attributes['role'] === 'banner' ||
        /\b(?:page-?|site-?|main-?|global-?|top-?)?header\b|\bmasthead\b|\btop-?(?:bar|nav)\b/i.test(
          hints,
        )) &&
        !outer.content),
    footer:
      outer.footer ||
      tag === 'footer' ||
      attributes['role'] === 'contentinfo' ||
      /\b(?:page-?|site-?)?footer\b|\bbottom-?nav\b/i.test(hints),
    side:
      outer.side ||
      isNarrowCell(element) ||
      tag === 'aside' ||
      attributes['role'] === 'complementary' ||
      /side-?(?:bar|nav|menu)|\bsidebar|off-?canvas|\bdrawer\b|\bleft-?(?:col|nav|menu)|\brail\b/i.test(
        hints,
      ),
    content:
      outer.content ||
      tag === 'main' ||
      tag === 'article' ||
      attributes['role'] === 'main' ||
      /\b(?:article|post|entry|prose)\b|\bpage-?content\b|\bmain-?content\b/i.test(attributes['id'] ?? ''),
    after: outer.after || tag === 'main' || tag === 'article' || attributes['role'] === 'main',
    hidden:
      outer.hidden ||
      attributes['aria-hidden'] === 'true' ||
      attributes['hidden'] !== undefined ||
      /display:\s*none/i.test(attributes['style'] ?? ''),
  };
};

function placeOf(at: Surroundings): MenuPlace {
  if (at.footer) return 'footer';
  if (at.side) return 'side';
  if (at.header) return 'header';
  return at.after ? 'page' : 'header';
}

const LANGUAGES =
  /^(?:[a-z]{2}(?:-[a-z]{2,4})?|english|deutsch|español|français|italiano|português.*|türkçe|日本語|한국어|中文.*|русский|polski|nederlands|svenska|dansk|suomi|čeština)$/i;

/** What a set of links is for, by what its author calls it and by what the links say. */
function kindOf(element: PageElement, links: readonly LinkLine[], at: Surroundings): MenuKind {
  const hints = hintsOf(element);
  const share = (test: (link: LinkLine) => boolean) => links.filter(test).length / Math.max(1, links.length);
  if (/bread-?crumb|\bcrumbs?\b|\bpath\b|you are here/i.test(hints)) return 'breadcrumb';
  if (/pagina|\bpager\b|post-?nav|chapter-?nav|prev-?next|navigation-?(?:header|footer)/i.test(hints))
    return 'pagination';
  if (
    /\btoc\b|table-?of-?contents|\bcontents\b|on-?this-?page|\bjump\b|scroll-?spy/i.test(hints) &&
    share((link) => link.href?.includes('#') === true) > 0.5
  )
    return 'contents';
  if (isSteps(links)) return 'pagination';
  if (/\blang(?:uage)?s?\b|\blocale/i.test(hints) || share((link) => LANGUAGES.test(link.label)) > 0.7)
    return 'languages';
  if (/social|\bshare\b|follow-?us/i.test(hints)) return 'social';
  if (/\blegal\b|copyright|skip-?(?:nav|link)/i.test(hints)) return 'legal';
  const fragments = share((link) => link.href === null || link.href.startsWith('#'));
  const named =
    new Set(links.map((link) => link.href)).size > 1 && !links.every((link) => link.href === null);
  if (
    fragments > 0.6 &&
    links.length > 12 &&
    !isNavigation(element) &&
    !/menu|nav/i.test(hints) &&
    (!at.header || links.length > 40)
  )
    return 'contents';
  if (fragments === 1 && named && !isNavigation(element) && !at.header && (at.side || at.content || at.after))
    return 'contents';
  return 'menu';
}

/** How likely a menu is the page's main one. */
function scoreOf(
  element: PageElement,
  links: readonly LinkLine[],
  at: Surroundings,
  position: number,
): number {
  const hints = hintsOf(element);
  const real = links.filter((link) => link.href !== null && !/^#?$/.test(link.href));
  let score = Math.min(real.length, 12) + Math.min(links.length, 6) / 2;
  if (links.length === 1) score -= 8;
  if (isNavigation(element)) score += 16;
  if (at.header) score += 12;
  if (at.side) score += 2;
  if (at.footer) score -= 30;
  if (!isNavigation(element) && !at.header && !at.side)
    score -= at.content ? 14 : !at.after ? 0 : isList(element) ? 8 : 12;
  if (isPictured(element)) score -= 10;
  if (/\b(?:main|primary|site|global|header)(?:[-_ ]|\b)/i.test(hints)) score += 10;
  if (/menu|nav/i.test(hints)) score += 6;
  if (
    /secondary|utility|meta|\buser\b|account|tools|related|recent|tags?\b|tabs?\b|local|sub-?nav|categor|mobile|phone|small-?screen/i.test(
      hints,
    )
  )
    score -= 10;
  if (at.hidden) score -= 20;
  if (real.length > 0 && real.every((link) => link.href?.startsWith('#'))) score -= 4;
  if (real.length > 1 && real.every((link) => /^https?:/i.test(link.href ?? ''))) score -= 2;
  if (links.some((link) => /^(?:home|start|startseite|inicio|accueil)$/i.test(link.label))) score += 4;
  if (links.some((link) => link.depth > 1)) score += 3;
  // What comes first on a page leads; it only decides between equals.
  return score - Math.min(position, 20) / 20;
}

/** Whether every link is only a picture: marks of other sites, badges, arrows. */
const isPictured = (element: PageElement) =>
  [...descendants(element)]
    .filter(isLink)
    .every(
      (link) =>
        link.tag === 'a' &&
        link.children.every((child) => (isPageElement(child) ? child.tag === 'img' : child.trim() === '')),
    );

/** How much of an element is links: their number, and the letters of their labels and of all its text; and what else it holds. */
interface Density {
  readonly links: number;
  readonly linked: number;
  readonly letters: number;
  readonly lists: number;
  readonly landmarks: number;
  readonly titles: number;
}

const EMPTY: Density = { links: 0, linked: 0, letters: 0, lists: 0, landmarks: 0, titles: 0 };

const add = (one: Density, other: Density): Density => ({
  links: one.links + other.links,
  linked: one.linked + other.linked,
  letters: one.letters + other.letters,
  lists: one.lists + other.lists,
  landmarks: one.landmarks + other.landmarks,
  titles: one.titles + other.titles,
});

const letters = (text: string) => text.replace(/[\s|/\\\-–—·•»«›‹:,[\]()>]+/g, '').length;

function measureDensity(element: PageElement, known: Map<PageElement, Density>): Density {
  let density: Density = EMPTY;
  if (element.tag === 'a' || element.tag === 'area') {
    const own = letters(nameOf(element));
    density = { ...EMPTY, links: isLink(element) ? 1 : 0, linked: own, letters: own };
  } else {
    for (const child of element.children)
      density = add(
        density,
        isPageElement(child) ? measureDensity(child, known) : { ...EMPTY, letters: letters(child) },
      );
  }
  // A linked heading is the page's title, not part of a menu; other headings and buttons name what they open.
  if (/^h[1-6]$/.test(element.tag))
    density = density.links > 0 ? { ...EMPTY, letters: density.letters } : EMPTY;
  if (['button', 'summary', 'label', 'form', 'select', 'dt'].includes(element.tag) && density.links === 0)
    density = EMPTY;
  // A bold word among links is a heading or the open page.
  if (['b', 'strong'].includes(element.tag) && density.links === 0 && density.letters < 30) density = EMPTY;
  if (isTitle(element)) density = { ...density, titles: 1 };
  if (isList(element)) density = { ...density, lists: density.lists + 1 };
  if (isNavigation(element)) density = { ...density, landmarks: density.landmarks + 1 };
  known.set(element, density);
  return density;
}

/** Share of link text from which a stretch without a landmark counts as a menu: with or without a list. */
const DENSE = { list: 0.55, stretch: 0.85 } as const;

const isDense = (density: Density | undefined, share: number, least = 2) =>
  density !== undefined && density.links >= least && density.linked >= share * density.letters;

/** The page's own title ends what leads to other pages; a linked one is the site's name. */
const isTitle = (element: PageElement) =>
  (element.tag === 'h1' ||
    (element.tag === 'h2' && [...descendants(element)].some((child) => /title/i.test(hintsOf(child))))) &&
  ![...descendants(element)].some(isLink);

interface Candidate extends Reading {
  readonly element: PageElement;
  readonly at: Surroundings;
  readonly kind: MenuKind;
  readonly score: number;
}

/** Elements that are as large as the page or say more than a menu. */
const TOO_LARGE = new Set(['#document', 'html', 'body', 'main', 'article']);

/** Blocks of several lists under headings of their own are one menu, where their author calls them so. */
function isGroup(element: PageElement, densities: Map<PageElement, Density>): boolean {
  const density = densities.get(element);
  if (TOO_LARGE.has(element.tag) || (density?.lists ?? 0) < 2 || !isDense(density, DENSE.list, 3))
    return false;
  return isCalledMenu(element) && isHeaded(element) && !holdsGroup(element, density?.links ?? 0, densities);
}

const isCalledMenu = (element: PageElement) =>
  element.tag === 'aside' || /menu|nav|side/i.test(hintsOf(element));

/** Whether most links of a block stand in a smaller one of the kind: then that one is meant. */
function holdsGroup(element: PageElement, links: number, densities: Map<PageElement, Density>): boolean {
  return [...descendants(element)].some((child) => {
    const inside = densities.get(child)?.links ?? 0;
    return (
      child !== element && inside < links && inside >= 0.6 * links && isCalledMenu(child) && isHeaded(child)
    );
  });
}

/** Navigation landmarks, lists, and stretches that are nearly all links; what stands in one is part of it. */
function candidates(page: PageElement): Candidate[] {
  const found: Candidate[] = [];
  const densities = new Map<PageElement, Density>();
  measureDensity(page, densities);
  const visit = (element: PageElement, outer: Surroundings, inCandidate: boolean): Surroundings => {
    const at = around(element, outer);
    const density = densities.get(element);
    if ((density?.links ?? 0) === 0)
      return { ...outer, after: outer.after || (!at.header && (density?.titles ?? 0) > 0) };
    const isLandmark =
      isNavigation(element) &&
      ![...descendants(element)].some(
        (child) => child !== element && isNavigation(child) && holdsMost(densities.get(child), density),
      );
    const isStretch =
      element.tag !== 'a' &&
      element.tag !== 'li' &&
      !TOO_LARGE.has(element.tag) &&
      isDense(density, DENSE.stretch) &&
      density?.landmarks === 0 &&
      density.lists === 0;
    const isLoose =
      !inCandidate &&
      ((isList(element) && isDense(density, DENSE.list, 1)) || isStretch || isGroup(element, densities));
    if (isLandmark || isLoose) {
      const reading = readMenu(element);
      if (reading.links.length > 0)
        found.push({
          ...reading,
          element,
          at,
          kind: kindOf(element, reading.links, at),
          score: scoreOf(element, reading.links, at, found.length),
        });
    }
    let { after } = at;
    for (const child of element.children) {
      if (isPageElement(child))
        ({ after } = visit(child, { ...at, after }, inCandidate || isLandmark || isLoose));
    }
    return { ...outer, after: outer.after || after };
  };
  visit(
    page,
    { header: false, footer: false, side: false, content: false, after: false, hidden: false },
    false,
  );
  return found;
}

/** Whether a nested landmark holds nearly all links of the one around it: then the inner one is meant. */
const holdsMost = (inner: Density | undefined, outer: Density | undefined) =>
  (inner?.links ?? 0) >= 0.8 * (outer?.links ?? 0);

/** What a list inside the page's own text must come to before it counts as the main menu. */
const LEAST = 5;

const signature = (links: readonly LinkLine[]) => links.map((link) => `${link.label} ${link.href ?? ''}`);

/** Whether a menu is another one again, as pages repeat theirs for phones. */
function isCopyOf(one: Candidate, other: Candidate): boolean {
  const known = new Set(signature(other.links));
  return one.links.length > 1 && signature(one.links).every((entry) => known.has(entry));
}

/** Most characters of a page that are read; a page that people visit has a tenth of it. */
const MOST_PAGE = 4_000_000;

/** A page as far as it is read, and what is said where that is not all of it. */
function boundedPage(html: string): { readonly page: PageElement; readonly left: ImportNote[] } {
  const isLonger = html.length > MOST_PAGE;
  const reason = `The page is larger than ${MOST_PAGE / 1_000_000} MB; what stands after that was not read.`;
  return {
    page: parsePage(isLonger ? cutText(html, MOST_PAGE) : html),
    left: isLonger ? [{ line: 0, text: '', reason }] : [],
  };
}

/**
 * Finds the menus of a page by landmarks, lists and stretches of links, in the order they stand; the likeliest main
 * navigation is marked. A second copy of the main menu is left out. Works on any text; what is no HTML has none.
 */
export function readHtmlMenus(html: string): FoundMenu[] {
  const { page, left } = boundedPage(html);
  const found = candidates(page);
  const real = ({ links }: Candidate) =>
    links.filter((link) => link.href !== null && !/^#?$/.test(link.href)).length;
  const hasRealMenu = found.some((candidate) => candidate.kind === 'menu' && real(candidate) > 2);
  // Where a page has a menu that leads somewhere, controls that only open things are not its main one.
  const rank = (candidate: Candidate) =>
    candidate.score - (hasRealMenu && real(candidate) < 0.3 * candidate.links.length ? 16 : 0);
  const ranked = found
    .filter(
      (candidate) =>
        candidate.kind === 'menu' &&
        rank(candidate) > (candidate.at.after && !isNavigation(candidate.element) ? LEAST : 0),
    )
    .sort((a, b) => rank(b) - rank(a));
  const [main] = ranked;
  return found
    .filter((candidate) => candidate === main || !main || !isCopyOf(candidate, main))
    .map(({ element, at, kind, links, notes }) => {
      const name = element.attributes['aria-label'] ?? element.attributes['title'] ?? '';
      const sound = soundLinks({ links, notes: [...left, ...notes] });
      return { place: placeOf(at), kind, name, main: element === main?.element, ...sound };
    });
}

/** The links of a page's main navigation; none where the page has only crumbs, steps or contents. */
export function readHtmlLinks(html: string): ReadLinks {
  const menus = readHtmlMenus(html);
  const main = menus.find((menu) => menu.main);
  if (main) return { links: main.links, notes: main.notes };
  const { page, left } = boundedPage(html);
  const densities = new Map<PageElement, Density>();
  // A pasted piece of a menu is nearly all links; a page that only mentions some has no menu.
  const density = measureDensity(page, densities);
  const bare =
    menus.every((menu) => menu.kind === 'menu') &&
    (isDense(density, DENSE.list, 1) || (density.links === 0 && density.lists > 0))
      ? readMenu(page).links
      : [];
  if (bare.length > 0) return soundLinks({ links: bare, notes: left });
  const reason =
    menus.length > 0
      ? `No menu was found, only ${[...new Set(menus.map((menu) => KIND_WORDS[menu.kind]))].join(', ')}; choose one of these if it is what you want.`
      : 'No links were found: paste the markup of the page or of its navigation.';
  return {
    links: [],
    notes: [...left, { line: 0, text: menus.length > 0 ? '' : cutText(html.trim(), 80), reason }],
  };
}

/** The kinds as people call them. */
export const KIND_WORDS: Readonly<Record<MenuKind, string>> = {
  menu: 'a menu',
  breadcrumb: 'a breadcrumb',
  pagination: 'steps between pages',
  contents: 'a table of contents',
  languages: 'languages',
  social: 'social links',
  legal: 'small print',
};
