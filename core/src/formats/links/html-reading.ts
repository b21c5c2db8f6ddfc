import { cutText } from '../../base/well-formed.ts';
import { LIMITS } from '../../values/limits.ts';
import { refuseUrl } from '../../values/url.ts';
import type { ImportNote, LinkLine } from '../../links/link-line.ts';
import {
  BRAND,
  CAPTION,
  elementsIn,
  fieldsOf,
  HEADINGS,
  hintsOf,
  holdsLinks,
  holdsLinksOrIsLink,
  HOME,
  isBeside,
  isBold,
  isFiller,
  isHeading,
  isLink,
  isList,
  isLongText,
  isScript,
  isSteps,
  nameOf,
  saysSomething,
  TOGGLE,
} from './html-names.ts';
import { descendants, isPageElement, type PageElement } from './html-tree.ts';
import { targetLeftOut } from './target-note.ts';

/** What was read of one menu. */
export interface Reading {
  readonly links: LinkLine[];
  readonly notes: ImportNote[];
}

function pushLink(
  reading: Reading,
  label: string,
  href: string | null,
  depth: number,
  { opens = false, from }: { opens?: boolean; from?: PageElement } = {},
): void {
  // One more than a site may have tells that there are more.
  if (reading.links.length > LIMITS.links) return;
  const trimmed = href?.trim() ?? '';
  const refused = trimmed === '' ? null : refuseUrl(trimmed);
  // A script where a page should be only opens what is nested.
  if (refused !== null && !(opens && isScript(trimmed)))
    reading.notes.push({
      line: 0,
      text: cutText(`${label} -> ${trimmed}`, 80),
      reason: targetLeftOut(refused),
    });
  const fields = from ? fieldsOf(from, label) : null;
  reading.links.push({
    label,
    href: refused === null && trimmed !== '' ? trimmed : null,
    depth,
    ...(fields ? { fields } : {}),
  });
}

/** Whether what stands behind a link or heading is its submenu, by what its author calls it. */
const SUBMENU =
  /sub-?(?:menu|nav|list)|drop-?down|mega|flyout|child(?:ren)?\b|collapse|accordion|popover|menu-?panel|\bmenu\b|\bpanel\b|\bitems?\b/i;

function isControlledBy(element: PageElement, namer: PageElement): boolean {
  const id = element.attributes['id'];
  const named = [
    namer.attributes['aria-controls'],
    namer.attributes['aria-owns'],
    namer.attributes['for'],
    namer.attributes['data-target']?.slice(1),
    namer.attributes['data-bs-target']?.slice(1),
    namer.attributes['popovertarget'],
    namer.attributes['href']?.replace(/^#/, ''),
  ];
  if (id !== undefined && named.includes(id)) return true;
  return (
    namer.attributes['id'] !== undefined && element.attributes['aria-labelledby'] === namer.attributes['id']
  );
}

/** The first element below a list item that names it, not looking into nested lists: a link before a button or heading. */
function findNamer(item: PageElement): PageElement | null {
  let other: PageElement | null = null;
  const search = (element: PageElement): PageElement | null => {
    for (const child of elementsIn(element)) {
      if (isList(child) || child.tag === 'table' || child.tag === 'form') continue;
      // The words of a submenu do not name its parent.
      if (other !== null && holdsLinks(child) && child.tag !== 'a') continue;
      if (child.tag === 'a' && nameOf(child) !== '') return child;
      if (
        (child.tag === 'button' || HEADINGS.has(child.tag)) &&
        nameOf(child) !== '' &&
        !(child.tag !== 'button' && elementsIn(child).some(holdsLinksOrIsLink))
      ) {
        other ??= child;
        continue;
      }
      const found = search(child);
      if (found) return found;
    }
    return null;
  };
  return search(item) ?? other;
}

/** An item's own words, without its nested lists. */
function ownText(item: PageElement): string {
  const strip = (element: PageElement): PageElement => ({
    ...element,
    children: element.children
      .filter((child) => !isPageElement(child) || !(isList(child) || child.tag === 'form'))
      .map((child) => (isPageElement(child) ? strip(child) : child)),
  });
  const text = nameOf(strip({ ...item, attributes: {} }));
  return saysSomething(text) ? text : '';
}

type Skip = (element: PageElement) => boolean;
const nothing: Skip = () => false;

function readItem(reading: Reading, item: PageElement, depth: number): void {
  if (item.attributes['role'] === 'separator') {
    if (item.children.length === 0)
      reading.links.push({ label: '', href: null, depth, fields: { role: 'divider' } });
    return;
  }
  const namer = findNamer(item);
  const label = namer ? nameOf(namer) : ownText(item);
  if (label === '') {
    const before = reading.links.length;
    readFlow(reading, item, depth, false, nothing);
    if (reading.links.length === before && holdsLinks(item))
      reading.notes.push({ line: 0, text: '', reason: 'A link without any text or name was left out.' });
    return;
  }
  const href = namer?.tag === 'a' ? (namer.attributes['href'] ?? null) : null;
  const at = reading.links.length;
  const below: Reading = { links: [], notes: reading.notes };
  const beside = namer ? linksBeside(item, namer) : [];
  readFlow(
    below,
    item,
    depth + 1,
    false,
    (element) =>
      element === namer ||
      beside.includes(element) ||
      echoes(element, label) ||
      (href !== null && href !== '#' && element.attributes['href'] === href && nameOf(element) === label),
  );
  const nested = below.links.filter((link, index) => index > 0 || link.label !== label || link.href !== null);
  if (namer && nested.length === 0 && isBeside(namer)) return;
  // An item that is only words, with nothing in it, is the current page or a caption of the list.
  if (
    !namer &&
    nested.length === 0 &&
    (item.tag !== 'li' || isLongText(label) || CAPTION.test(hintsOf(item)))
  )
    return;
  pushLink(reading, label, href, depth, { opens: nested.length > 0, ...(namer ? { from: namer } : {}) });
  reading.links.push(...nested.slice(0, Math.max(0, LIMITS.links - at)));
  for (const link of beside)
    if (!(href !== null && link.attributes['href'] === href))
      pushLink(reading, nameOf(link), link.attributes['href'] ?? null, depth);
}

/** A control or heading that opens or names again what its item is called. */
function echoes(element: PageElement, label: string): boolean {
  if (!['button', 'label', 'summary'].includes(element.tag)) return false;
  const name = nameOf(element).toLowerCase();
  return (
    name.includes(label.toLowerCase()) ||
    /^(?:expand|open|show|toggle|more|sub-?menu|drop-?down)\b/.test(name)
  );
}

/** Further links in the same line of words as the one that names an item: its neighbours, not its children. */
function linksBeside(item: PageElement, namer: PageElement): PageElement[] {
  const line = [...descendants(item)].find((element) => element.children.includes(namer));
  return line && isLink(namer)
    ? elementsIn(line).filter(
        (child) => child !== namer && isLink(child) && nameOf(child) !== '' && !isBeside(child),
      )
    : [];
}

/** A heading (its link, if it is one) over what follows it. */
function readHeading(reading: Reading, heading: PageElement, depth: number): void {
  const link =
    heading.tag === 'a'
      ? heading
      : [...descendants(heading)].find((child) => child.tag === 'a' && nameOf(child) !== '');
  pushLink(reading, nameOf(link ?? heading), link?.attributes['href'] ?? null, depth, { opens: true });
}

/** Whether an element is a heading that the element behind it belongs to. */
function heads(element: PageElement, next: PageElement | undefined, alone: boolean): boolean {
  if (
    !next ||
    nameOf(element) === '' ||
    isBeside(element) ||
    !holdsLinks(next) ||
    isHeading(next) ||
    isLink(next)
  )
    return false;
  if (isHeading(element)) return true;
  const opens =
    element.tag === 'button' ||
    isLink(element) ||
    (element.tag === 'a' && element.attributes['href'] === undefined);
  // A caption may be a link itself, where a list stands right behind it.
  const linked = [...descendants(element)].filter(isLink);
  const isCaption =
    linked.length === 0 ||
    (linked.length === 1 && isList(next) && nameOf(linked[0] as PageElement) === nameOf(element));
  const caption =
    ['p', 'span', 'strong', 'b', 'div'].includes(element.tag) &&
    isCaption &&
    (isList(next) || SUBMENU.test(hintsOf(next)) || next.attributes['role'] === 'menu');
  if (!opens) return caption && !isLongText(nameOf(element));
  return (
    alone ||
    isControlledBy(next, element) ||
    SUBMENU.test(hintsOf(next)) ||
    next.attributes['role'] === 'menu' ||
    next.attributes['hidden'] !== undefined ||
    isList(next)
  );
}

/**
 * What bold words among bare links are: several of them over links of their own are headings, one before all links names
 * the menu, any other is the page that is open.
 */
function boldRole(children: readonly PageElement[], index: number): 'heading' | 'name' | 'current' {
  const bolds = children.filter(isBold);
  if (children[0] !== bolds[0]) return 'current';
  if (bolds.length > 1) return 'heading';
  return index === 0 ? 'name' : 'current';
}

/** The mark that leads home: the first link, a picture. */
function isMark(reading: Reading, link: PageElement, depth: number): boolean {
  return (
    depth === 1 &&
    reading.links.length === 0 &&
    HOME.test(link.attributes['href'] ?? '') &&
    [...descendants(link)].some(
      (child) => child.tag === 'img' || child.tag === 'svg' || child.tag === 'picture',
    )
  );
}

/**
 * Reads what stands in an element in order: lists and disclosures nest, a heading or button takes in what stands behind
 * it, bare links stand where they are. `root` is the whole menu, where a lone link before the rest is its mark, not its
 * parent. What `skip` answers for is left out.
 */
function readFlow(reading: Reading, element: PageElement, depth: number, root: boolean, skip: Skip): void {
  const children = elementsIn(element).filter((child) => !isFiller(child) && child.tag !== 'form');
  const controls = children.filter((child) => (isLink(child) || child.tag === 'button') && !isBeside(child));
  const alone = !root && controls.length === 1 && !skip(controls[0] as PageElement);
  for (let index = 0; index < children.length; index++) {
    const child = children[index] as PageElement;
    const next = children[index + 1];
    if (isList(child)) readList(reading, child, depth);
    else if (child.tag === 'details') readDisclosure(reading, child, depth, skip);
    else if (controls.length > 1 && isBold(child) && !skip(child)) {
      const role = boldRole(children, index);
      if (role !== 'name') pushLink(reading, nameOf(child), null, depth);
      // The bare links behind a heading belong to it.
      for (
        let link = children[index + 1];
        role === 'heading' && link && isLink(link);
        link = children[index + 1]
      ) {
        if (nameOf(link) !== '' && !isBeside(link))
          pushLink(reading, nameOf(link), link.attributes['href'] ?? null, depth + 1, { from: link });
        index++;
      }
    } else if (
      !skip(child) &&
      ![...descendants(child)].some((inner) => isLink(inner) && skip(inner)) &&
      heads(child, next, alone) &&
      !(root && isOnlyHeading(children, index))
    ) {
      const name = nameOf(child);
      const isName = depth === 1 && MENU_NAME.test(name);
      const into = depth === 1 && ASIDE.test(name) ? { links: [], notes: [] } : reading;
      if (!isName) readHeading(into, child, depth);
      // Everything up to the next heading of the kind belongs to it.
      for (
        let follower = children[index + 1];
        follower &&
        !isHeading(follower) &&
        !isLink(follower) &&
        !(isList(child) || heads(follower, children[index + 2], alone));
        follower = children[index + 1]
      ) {
        readFollower(into, follower, isName ? depth : depth + 1, skip);
        index++;
      }
    } else if (isLink(child)) {
      const label = nameOf(child);
      if (label !== '' && !skip(child) && !isBeside(child) && !isMark(reading, child, depth))
        pushLink(reading, label, child.attributes['href'] ?? null, depth, { from: child });
    } else if (!(BRAND.test(hintsOf(child)) && [...descendants(child)].filter(isLink).length === 1))
      readFlow(
        reading,
        child,
        child.tag === 'dd' && reading.links.length > 0 ? depth + 1 : depth,
        false,
        skip,
      );
  }
}

/** Headings that name the whole menu, and headings over what belongs to the page alone. */
const MENU_NAME = /^(?:(?:site |main |page )?(?:navigation|menu|nav))$/i;
const ASIDE =
  /^(?:table of contents|contents|on this page:?|this page|in this (?:article|section|page)|(?:previous|next) (?:topic|page|chapter)|quick search|search|related topics|sections)$/i;

function readFollower(reading: Reading, follower: PageElement, depth: number, skip: Skip): void {
  if (isList(follower)) readList(reading, follower, depth);
  else if (follower.tag === 'details') readDisclosure(reading, follower, depth, skip);
  else readFlow(reading, follower, depth, false, skip);
}

/** A heading over the whole menu names it and is no link of it. */
function isOnlyHeading(children: readonly PageElement[], index: number): boolean {
  if (!isHeading(children[index] as PageElement) && isLink(children[index] as PageElement)) return false;
  return (
    children.filter((child, at) => at !== index && heads(child, children[at + 1], false)).length === 0 &&
    children.slice(0, index).every((child) => !holdsLinksOrIsLink(child))
  );
}

/** A disclosure: its summary names a parent, the rest is nested in it. */
function readDisclosure(reading: Reading, details: PageElement, depth: number, skip: Skip): void {
  const summary = elementsIn(details).find((child) => child.tag === 'summary');
  const rest = { ...details, children: details.children.filter((child) => child !== summary) };
  if (!summary || nameOf(summary) === '' || (depth === 1 && TOGGLE.test(nameOf(summary)))) {
    readFlow(reading, rest, depth, false, skip);
    return;
  }
  const link = [...descendants(summary)].find((child) => child.tag === 'a');
  if (!link || !skip(link)) readHeading(reading, summary, depth);
  readFlow(reading, rest, depth + 1, false, skip);
}

function readList(reading: Reading, list: PageElement, depth: number): void {
  for (const child of elementsIn(list)) {
    // Old pages nest lists in lists without an item around them.
    if (isList(child)) readList(reading, child, depth + (reading.links.length > 0 ? 1 : 0));
    else if (isLink(child)) {
      if (!isBeside(child) && nameOf(child) !== '')
        pushLink(reading, nameOf(child), child.attributes['href'] ?? null, depth, { from: child });
    } else readItem(reading, child, depth);
  }
}

/** Whether an element has lists under two or more headings. */
export function isHeaded(element: PageElement): boolean {
  let pairs = 0;
  for (const box of descendants(element)) {
    const children = elementsIn(box).filter((child) => !isFiller(child));
    pairs += children.filter(
      (child, index) =>
        (isHeading(child) || child.tag === 'details' || child.tag === 'button') &&
        (child.tag === 'details' || heads(child, children[index + 1], true)),
    ).length;
    if (pairs > 1) return true;
  }
  return false;
}

/** The outermost lists in an element. */
export function outerLists(element: PageElement): PageElement[] {
  return isList(element) ? [element] : elementsIn(element).flatMap(outerLists);
}

/** Depths without jumps: a link is at most one deeper than the one before it. */
function levelled(links: readonly LinkLine[]): LinkLine[] {
  const open: number[] = [];
  return links.map((link) => {
    while (open.length > 0 && (open.at(-1) ?? 0) >= link.depth) open.pop();
    open.push(link.depth);
    return { ...link, depth: open.length };
  });
}

const sameLink = (link: LinkLine) => `${link.label} ${link.href ?? ''}`;

/**
 * The links of a menu as they are nested. Where it has lists, bare links beside them (a logo, a skip link) are none of
 * it, unless they stand among the lists; a list that repeats an earlier one is read once.
 */
export function readMenu(element: PageElement): Reading {
  const reading: Reading = { links: [], notes: [] };
  const lists = outerLists(element);
  if (lists.length === 0 || (lists.length > 1 && isHeaded(element)) || isMixed(element, lists))
    readFlow(reading, element, 1, true, nothing);
  else {
    const known = new Set<string>();
    for (const list of lists) {
      const own: Reading = { links: [], notes: reading.notes };
      readList(own, list, 1);
      // The menu once more, for another width, or steps between pages beside it.
      if (
        lists.length > 1 &&
        (isSteps(own.links) || (own.links.length > 1 && own.links.every((link) => known.has(sameLink(link)))))
      )
        continue;
      for (const link of own.links) {
        known.add(sameLink(link));
        reading.links.push(link);
      }
    }
  }
  return { links: levelled(reading.links), notes: reading.notes };
}

/** Whether links outside the lists are part of the menu: they are as many, or lists hang on them. */
function isMixed(element: PageElement, lists: readonly PageElement[]): boolean {
  const inLists = new Set(lists.flatMap((list) => [...descendants(list)]));
  const outside = [...descendants(element)].filter(
    (child) => isLink(child) && !inLists.has(child) && !isBeside(child) && nameOf(child) !== '',
  );
  return (
    outside.length >= Math.max(2, lists.length) &&
    outside.length * 2 >= lists.flatMap((list) => elementsIn(list)).length
  );
}
