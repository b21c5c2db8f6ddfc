import { countingIds, uniqueName } from '../../base/ids.ts';
import { refuse, type Result } from '../../base/result.ts';
import { BOOK } from '../../kinds/book.ts';
import { partKind, pieceKind, shapeOf } from '../../kinds/catalogue.ts';
import type { Folds, PiecePlace } from '../../kinds/kind.ts';
import { foldOf, pieceFoldOf } from '../../kinds/folds.ts';
import type { Part, Region, Site } from '../../kinds/site.ts';
import { findPiece, findPlaced, idsOf, opensOver, regionsOf, sectionsOf } from '../../kinds/placed.ts';
import type { Icon } from '../../model/site-content.ts';
import { copyThing } from '../../model/shape/copy.ts';
import { patched, type EditOperation } from '../draft.ts';
import type { PatchOperation } from '../json-patch.ts';
import { removeThings } from '../references.ts';
import { iconsPatch } from './items.ts';

/** A place among the parts of a region. */
export interface PartPlace {
  readonly region: string;
  readonly index: number;
}

const noPlace = () =>
  refuse('gone', '/pieces', 'The place for the part is no longer there; it was removed in the meantime');
const noPart = () => refuse('gone', '/pieces', 'The part is no longer there; it was removed in the meantime');

const MOST_PARTS = 50;

/** The pieces that stand somewhere, in words. */
const ONLY_IN: Readonly<Record<PiecePlace, string>> = {
  start: 'headers',
  beside: 'sidebars',
  end: 'footers',
  window: 'floating menus',
  over: 'panels',
};

/** Why a part cannot stand in a region, or null. */
function refusedIn(part: Part, region: Region): Result<never> | null {
  const { onlyIn } = partKind(part);
  if (onlyIn && onlyIn !== pieceKind(region.piece).stands)
    return refuse(
      'place',
      region.path,
      `A ${partKind(part).label.toLowerCase()} stands only in ${ONLY_IN[onlyIn]}`,
    );
  if (region.parts.length >= MOST_PARTS && !region.parts.includes(part))
    return refuse('too-many', region.path, `A region holds at most ${MOST_PARTS} parts`);
  return null;
}

/** Puts a new part into a region; an index past the end means the end. */
export const addPart: EditOperation<{
  readonly place: PartPlace;
  readonly part: Part;
  readonly icons?: readonly Icon[];
}> = (site, { place, part, icons = [] }) => {
  const region = regionsOf(site).get(place.region);
  if (!region) return noPlace();
  if (idsOf(site).has(part.id))
    return refuse('duplicate', region.path, `There is a part "${part.id}" already`);
  return (
    refusedIn(part, region) ??
    patched(site, [
      ...iconsPatch(site, icons),
      { op: 'add', path: `${region.path}/${Math.min(place.index, region.parts.length)}`, value: part },
    ])
  );
};

/** Takes a part out of its region; its look goes with it. What folded into it stays in its place. */
export const removePart: EditOperation<{ readonly id: string }> = (site, { id }) => {
  const found = findPlaced(site, id);
  return found ? patched(site, removeThings(site, [found.path])) : noPart();
};

/** Moves a part to another place, in any piece. The index counts before the part is taken out. */
export const movePart: EditOperation<{ readonly id: string; readonly place: PartPlace }> = (
  site,
  { id, place },
) => {
  const found = findPlaced(site, id);
  if (!found) return noPart();
  const region = regionsOf(site).get(place.region);
  if (!region) return noPlace();
  const refused = refusedIn(found.part, region);
  if (refused) return refused;
  const isSame = region === found.region;
  const wanted = Math.min(place.index, region.parts.length);
  const index = isSame && wanted > found.index ? wanted - 1 : wanted;
  if (isSame && index === found.index) return patched(site, []);
  // What stands in a panel cannot fold away from there.
  const unfolds: PatchOperation[] =
    found.part.folds && opensOver(region.piece) ? [{ op: 'remove', path: `${found.path}/folds` }] : [];
  return patched(site, [...unfolds, { op: 'move', from: found.path, path: `${region.path}/${index}` }]);
};

/** A part with ids of its own, so that it can stand beside the one it was copied from. */
export function copyPart(site: Site, part: Part, id: string): Part {
  const fresh = countingIds('entry', idsOf(site));
  return copyThing(shapeOf(part.kind), part, BOOK, (old) => (old === part.id ? id : fresh()));
}

/** Puts a copy of a part behind it. */
export const duplicatePart: EditOperation<{ readonly id: string; readonly copy: string }> = (
  site,
  { id, copy },
) => {
  const found = findPlaced(site, id);
  if (!found) return noPart();
  if (idsOf(site).has(copy))
    return refuse('duplicate', found.path, `There is something with the id "${copy}" already`);
  const refused = refusedIn({ ...found.part }, found.region);
  if (refused) return refused;
  const path = `${found.region.path}/${found.index + 1}`;
  return patched(site, [{ op: 'add', path, value: copyPart(site, found.part, copy) }]);
};

/** The first region of a panel, and a berth in it that is there already. */
function berthOf(site: Site, panel: string) {
  const regions = sectionsOf(site)
    .filter((placed) => placed.piece.id === panel)
    .flatMap((placed) => placed.regions);
  const berth = regions.flatMap((region) => region.parts).find((part) => part.kind === 'berth');
  return { region: regions[0], berth };
}

/** What may fold away, by its id: a part of a page's piece, or such a piece as a whole. */
function foldableOf(site: Site, id: string) {
  const placed = findPlaced(site, id);
  if (placed)
    return { path: placed.path, piece: placed.piece, folds: placed.part.folds, fold: foldOf(site, id) };
  const piece = findPiece(site, id);
  if (!piece || !pieceKind(piece).foldsWhole) return null;
  const path = `/pieces/${site.pieces.indexOf(piece)}`;
  const folds: Folds | undefined = piece.folds;
  return { path, piece, folds, fold: pieceFoldOf(site, piece) };
}

/**
 * Says from which band down a part, or a piece as a whole, leaves its place, and for which panel: it arrives at that
 * panel's berth, which is made where it has none. `panel` null leaves a part out; `from` null lets it stay; `tight` lets a
 * part leave only where its row has no room.
 */
export const foldPart: EditOperation<{
  readonly id: string;
  readonly from: string | null;
  readonly panel?: string | null;
  readonly tight?: boolean;
}> = (site, { id, from, panel, tight }) => {
  const found = foldableOf(site, id);
  if (!found) return noPart();
  const path = `${found.path}/folds`;
  if (from === null) return patched(site, found.folds ? [{ op: 'remove', path }] : []);
  if (!site.bands.some((band) => band.id === from))
    return refuse('gone', '/bands', 'The band is no longer there');
  if (opensOver(found.piece)) return refuse('place', found.path, 'What stands in a panel does not fold away');
  const isWhole = found.piece.id === id;
  const isTight = !isWhole && (tight ?? found.folds?.tight);
  const folding = (berth: string | null, before: PatchOperation[] = []) =>
    isWhole && berth === null
      ? refuse('place', found.path, 'A piece as a whole goes into a panel, or is not shown in a band')
      : patched(site, [
          ...before,
          { op: 'add', path, value: { from, berth, ...(isTight ? { tight: true } : {}) } },
        ]);
  const to = found.fold?.to ?? null;
  if (panel === undefined || panel === to?.piece.id) return folding(to?.part.id ?? null);
  if (panel === null) return folding(null);
  const piece = findPiece(site, panel);
  const { region, berth } = berthOf(site, panel);
  if (!piece || !opensOver(piece) || !region)
    return refuse('gone', '/pieces', 'The panel is no longer there; it was removed in the meantime');
  if (berth) return folding(berth.id);
  const made = { kind: 'berth', id: uniqueName(`${panel}-berth`, idsOf(site)), look: {} } as const;
  return folding(made.id, [{ op: 'add', path: `${region.path}/0`, value: made }]);
};
