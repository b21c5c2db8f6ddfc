import { memoise } from '../base/memo.ts';
import type { Look, SlotRef } from '../model/look.ts';
import type { MenuItem } from '../model/menu-item.ts';
import { itemKeysIn, itemsIn, type Level } from '../model/states.ts';
import { itemLevels, itemsOf, shownLinks } from './content.ts';
import type { MenuPart } from './parts/menu/shape.ts';
import { WORN } from './parts/menu/slots.ts';
import { ownersOf, placedParts, slotKind } from './placed.ts';
import { slotsOf } from './catalogue.ts';
import type { Site } from './site.ts';

const hasMore = ({ children }: MenuItem) => children.length > 0;

/** Whether a link wears a slot. */
const WEARS: Readonly<Record<string, (item: MenuItem) => boolean>> = {
  ...WORN,
  link: (item) => item.role === undefined || (item.role === 'heading' && hasMore(item)),
  heading: (item) => item.role === 'heading' && !hasMore(item),
  marker: hasMore,
  submenu: hasMore,
};

/** The links that wear a slot at a level, in the order their elements stand in the markup; a box is worn by its parent. */
export function itemsWearing(site: Site, { owner, slot }: SlotRef, level: Level | null): readonly MenuItem[] {
  const wears = WEARS[slot];
  const found = ownersOf(site).get(owner);
  if (found?.kind !== 'menu' || !wears) return [];
  const part = found.thing as MenuPart;
  const levels = itemLevels(site, part);
  const wanted = level === null ? null : slotsOf(found.kind)[slot]?.holdsLevel ? level - 1 : level;
  return shownLinks(site, part).filter(
    (item) => wears(item) && (wanted === null || levels.get(item.id) === wanted),
  );
}

/** The slots that links of a role wear in place of a link's own. */
const BY_ROLE = ['action', 'heading'] as const;

/** The slot that one stands in: in a single link that has a role, the one of that role. */
export function slotAround(
  site: Site,
  { owner, slot, item }: SlotRef & { readonly item?: string },
): string | undefined {
  const inside = slotKind(site, { owner, slot })?.inside;
  const link = inside === 'link' && item !== undefined ? itemsOf(site).get(item)?.item : undefined;
  return link ? (BY_ROLE.find((role) => WEARS[role]?.(link)) ?? inside) : inside;
}

/** The links with a role in which a slot stands. */
export function itemsWithRole(site: Site, ref: SlotRef): readonly MenuItem[] {
  if (slotKind(site, ref)?.inside !== 'link') return [];
  return itemsWearing(site, ref, null).filter((item) => BY_ROLE.some((role) => WEARS[role]?.(item)));
}

/** Which links of a part's menu have a look of their own, slot by slot, as text. */
const singleIn = memoise((look: Look): string =>
  Object.entries(look)
    .flatMap(([slot, own]) => itemKeysIn(own).map((key) => `${slot} ${key}`))
    .join(),
);

/** Whether the same links have looks of their own in two documents. */
export const hasSameSingles = (a: Site, b: Site): boolean => a === b || singlesOf(a) === singlesOf(b);

const singlesOf = (site: Site): string =>
  placedParts(site)
    .map(({ part }) => (part.kind === 'menu' ? singleIn(part.look) : ''))
    .join(';');

/** The links of a placement that have a look of their own in a slot. */
export function singleItems(site: Site, { owner, slot }: SlotRef): readonly MenuItem[] {
  const items = itemsIn(ownersOf(site).get(owner)?.look[slot] ?? {});
  return items.length === 0
    ? []
    : itemsWearing(site, { owner, slot }, null).filter(({ id }) => items.includes(id));
}
