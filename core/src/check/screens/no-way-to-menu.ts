import { berthIn, isShownIn, standsIn } from '../../kinds/folds.ts';
import { opensOver, openedBy, placedParts } from '../../kinds/placed.ts';
import type { Site } from '../../kinds/site.ts';
import type { PartCheck } from '../check.ts';

/** Whether anything in the page opens a panel in a band. */
function isOpened(site: Site, panel: string, band: number): boolean {
  const own = site.pieces.find(({ id }) => id === panel);
  if (own?.kind === 'panel' && own.openedBy.trim() !== '') return true;
  return placedParts(site).some(
    (placed) => openedBy(placed.part).has(panel) && !opensOver(placed.piece) && standsIn(site, placed, band),
  );
}

/** A menu that has gone into a panel which nothing opens there. */
export const noWayToMenu: PartCheck = {
  of: 'part',
  id: 'no-way-to-menu',
  label: 'No way to the menu',
  why: 'At these widths nobody can come to the links.',
  check: ({ part, piece }, { site }) => {
    if (part.kind !== 'menu') return null;
    const lost = [...site.bands.keys()].filter((band) => {
      const panel = isShownIn(part, site, band) ? berthIn(site, part.id, band)?.piece.id : undefined;
      return panel !== undefined && !isOpened(site, panel, band);
    });
    const [first] = lost;
    if (first === undefined) return null;
    const panel = berthIn(site, part.id, first)?.piece.id ?? '';
    const opener = placedParts(site).find(
      (placed) => placed.part.kind === 'opener' && openedBy(placed.part).has(panel),
    );
    const bands = lost.map((band) => site.bands[band]?.name ?? '').join(', ');
    return {
      outcome: 'fail',
      reason: `In ${bands} ${part.name || 'the menu'} is in the panel ${site.pieces.find(({ id }) => id === panel)?.name ?? ''}, and nothing there opens it.`,
      evidence: piece.name,
      at: { piece: piece.id, width: Math.max(320, site.bands[first]?.min ?? 0) },
      ...(opener
        ? {
            fix: {
              label: 'Show its opener there',
              edit: {
                name: 'set-owner' as const,
                args: { id: opener.part.id, fields: { bands: null, shows: 'needed' } },
              },
            },
          }
        : {}),
    };
  },
};
