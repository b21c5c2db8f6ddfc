import { memoise } from '../base/memo.ts';
import { itemsOf } from '../kinds/content.ts';
import { opensOver, placedParts, sectionsOf, type PlacedSection } from '../kinds/placed.ts';
import type { Piece, Site } from '../kinds/site.ts';
import type { Menu } from '../model/site-content.ts';
import type { Target } from '../model/target.ts';
import { runEdit, type SingleEdit } from './operations.ts';

/** The pieces and menus of a site that are drafts. */
export interface Drafts {
  readonly pieces: readonly Piece[];
  readonly menus: readonly Menu[];
}

export const draftsOf = memoise(({ pieces, menus }: Site): Drafts => ({
  pieces: pieces.filter(({ draft }) => draft === true),
  menus: menus.filter(({ draft }) => draft === true),
}));

/** What would be lost without a way on: parts that fold into a draft stay where they are instead. */
function unfolding(site: Site, panels: ReadonlySet<string>): SingleEdit[] {
  const berths = new Set(
    placedParts(site).flatMap(({ part, piece }) =>
      part.kind === 'berth' && panels.has(piece.id) ? [part.id] : [],
    ),
  );
  const folding = [...placedParts(site).map(({ part }) => part), ...site.pieces].filter(
    ({ folds }) => folds?.berth != null && berths.has(folds.berth),
  );
  return folding.map(({ id }) => ({ name: 'fold-part', args: { id, from: null } }));
}

/** What leads to a draft panel alone goes with it: links of menus, and parts. */
function leadingTo(site: Site, panels: ReadonlySet<string>): SingleEdit[] {
  const leads = (target: Target) => target.kind === 'panel' && panels.has(target.panel);
  const links = [...itemsOf(site).values()]
    .filter(({ item }) => leads(item.target))
    .map(({ item }) => item.id);
  const parts = placedParts(site).flatMap(({ part }) =>
    'target' in part && leads(part.target) ? [part.id] : [],
  );
  return [
    ...(links.length > 0 ? [{ name: 'remove-items', args: { ids: links } } as SingleEdit] : []),
    ...parts.map((id): SingleEdit => ({ name: 'remove-part', args: { id } })),
  ];
}

/**
 * A site as it is handed over: without its drafts, and without what leads to them alone. The same site where it has none.
 */
export const handedOver = memoise((site: Site): Site => {
  const { pieces, menus } = draftsOf(site);
  if (pieces.length + menus.length === 0) return site;
  const panels = new Set(pieces.filter(opensOver).map(({ id }) => id));
  const edits: SingleEdit[] = [
    ...unfolding(site, panels),
    ...leadingTo(site, panels),
    ...pieces.map(({ id }): SingleEdit => ({ name: 'remove-piece', args: { id } })),
    ...menus.map(({ id }): SingleEdit => ({ name: 'remove-menu', args: { id } })),
  ];
  const left = madeOn(site, edits);
  return madeOn(
    left,
    emptied(site, left).map((id) => ({ name: 'remove-section', args: { id } })),
  );
});

/** A site after edits; what went along with something before it is gone already. */
const madeOn = (site: Site, edits: readonly SingleEdit[]): Site =>
  edits.reduce((left, edit) => {
    const ran = runEdit(left, edit);
    return ran.ok ? ran.value.site : left;
  }, site);

/** Ids of the sections that held something before, and hold nothing any more. */
function emptied(before: Site, now: Site): string[] {
  const isEmpty = ({ regions }: PlacedSection) => regions.every(({ parts }) => parts.length === 0);
  const filled = new Set(
    sectionsOf(before).flatMap((placed) => (isEmpty(placed) ? [] : [placed.section.id])),
  );
  return sectionsOf(now).flatMap((placed) =>
    isEmpty(placed) && filled.has(placed.section.id) ? [placed.section.id] : [],
  );
}
