import { arrivingAt, berthIn, isOnPageIn, standsIn } from '../../kinds/folds.ts';
import { findPiece, partsOf, partsShowing } from '../../kinds/placed.ts';
import type { Piece, Site } from '../../kinds/site.ts';
import type { LinkCheck } from '../check.ts';

/** Whether a panel has nothing in it in a band. */
const isEmptyIn = (site: Site, panel: Piece, band: number): boolean =>
  partsOf(site, panel).every(
    (part) =>
      part.kind === 'berth' &&
      !arrivingAt(site, part.id).some((arriving) => berthIn(site, arriving.id, band) !== null),
  );

/** Whether links of a menu stand on the page in a band; those of one that is placed nowhere might. */
function standsOnPageIn(site: Site, menu: string, band: number): boolean {
  const places = partsShowing(site, menu);
  return (
    places.length === 0 ||
    places.some((placed) => isOnPageIn(site, placed.piece, band) && standsIn(site, placed, band))
  );
}

/** A panel that a link opens but that shows nothing of its own: where nothing is folded into it, it is empty. */
export const panelEmpty: LinkCheck = {
  of: 'link',
  id: 'panel-empty',
  label: 'A panel that opens empty',
  why: 'Visitors open it and find nothing.',
  check: ({ item: { target } }, { site, menu }) => {
    const panel = target.kind === 'panel' ? findPiece(site, target.panel) : null;
    if (!panel) return null;
    const isFound = site.bands.some(
      (_, band) => standsOnPageIn(site, menu.id, band) && isEmptyIn(site, panel, band),
    );
    if (!isFound) return null;
    return {
      outcome: 'look',
      reason: `${panel.name} has no links of its own: where the menu stands in the bar, it opens empty.`,
      evidence: panel.name,
    };
  },
};
