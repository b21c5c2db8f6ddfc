import type { Design } from '../edit/operations/design.ts';
import type { CellValue } from '../edit/operations/look.ts';
import { foldsBelow, standsIn } from '../kinds/folds.ts';
import { findPiece, placedParts } from '../kinds/placed.ts';
import type { Site } from '../kinds/site.ts';
import { fitLine, rowFits, rowIsTight } from '../layout/fit.ts';
import { NARROWEST } from '../layout/extents.ts';
import type { Measurer } from '../text/measure.ts';
import { edited } from './edited.ts';

/*
 * What begins with labels nobody has measured yet, a new site or a design, begins with rows that have room for them: the
 * menu unfolds where they fit, or what finds no room goes under “more”.
 */

/** The widest window, in px, that a new site's menu is folded away in: wider ones are seldom held in a hand. */
const WIDEST_FOLDED = 1100;

/** Values by which every menu of a piece whose row lacks room keeps the links it has room for, the rest under “more”. */
function moreWhereNeeded(site: Site, piece: string, measures: readonly Measurer[]): CellValue[] {
  const tight = measures
    .flatMap((measure) => rowFits(site, measure))
    .filter((fit) => fit.piece === piece && rowIsTight(fit));
  const menus = tight.flatMap(({ row, band }) => {
    const at = site.bands.findIndex(({ id }) => id === band);
    return placedParts(site).filter(
      (placed) =>
        placed.part.kind === 'menu' && placed.region.section.id === row && standsIn(site, placed, at),
    );
  });
  return [...new Set(menus)].map(({ part }) => ({
    owner: part.id,
    slot: 'list',
    property: 'menuForm',
    level: 'all',
    state: 'rest',
    band: 'all',
    value: 'the rest under “more”',
  }));
}

/**
 * A new site whose menu unfolds from where its labels have room for sure. Where that would fold it away in wide windows
 * too, it unfolds where it did, with what has no room under “more”. Each of the measurers must find room.
 */
export function siteWithRoom(site: Site, piece: string, ...measures: readonly Measurer[]): Site {
  const found = findPiece(site, piece);
  if (!found || measures.length === 0) return site;
  const below = foldsBelow(site, found);
  const knot = site.bands.find((band) => band.min === below);
  const { safeBreakpoint } = fitLine(site, found, { from: NARROWEST, to: WIDEST_FOLDED }, ...measures);
  if (knot && safeBreakpoint !== null && safeBreakpoint <= WIDEST_FOLDED)
    return safeBreakpoint <= knot.min
      ? site
      : edited(site, { name: 'set-band-start', args: { id: knot.id, min: safeBreakpoint } });
  const cells = moreWhereNeeded(site, piece, measures);
  return cells.length === 0 ? site : edited(site, { name: 'set-look', args: { cells } });
}

/** A design whose rows have room in the bands the site has: of menus, what finds none is under “more”. */
export function designWithRoom(site: Site, design: Design, ...measures: readonly Measurer[]): Design {
  const [first] = design.pieces;
  if (!first) return design;
  const made = edited(site, { name: 'set-design', args: design });
  const cells = moreWhereNeeded(made, first.id, measures);
  if (cells.length === 0) return design;
  const roomy = edited(made, { name: 'set-look', args: { cells } });
  return { ...design, pieces: design.pieces.map((piece) => findPiece(roomy, piece.id) ?? piece) };
}
