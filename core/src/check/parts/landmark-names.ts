import { opensOver, placedParts, type PlacedPart } from '../../kinds/placed.ts';
import type { Site } from '../../kinds/site.ts';
import { uniqueTitle } from '../../base/ids.ts';
import type { PartCheck } from '../check.ts';

const nameOf = ({ part }: PlacedPart): string | null => (part.kind === 'menu' ? part.name.trim() : null);

/** The placements that stand on one page with another one: in its piece, or in a panel opened from it. */
function onOnePage(site: Site, { piece }: PlacedPart): PlacedPart[] {
  return placedParts(site).filter(
    (other) => other.piece.id === piece.id || opensOver(other.piece) || opensOver(piece),
  );
}

/** Navigations of one name on one page (WAI-ARIA, landmark regions): the later one is told. */
export const landmarkNames: PartCheck = {
  of: 'part',
  id: 'landmark-names',
  label: 'Two menus with one name',
  why: 'Who hears the page cannot tell the two navigations apart.',
  check: (placed, { site }) => {
    const name = nameOf(placed);
    if (name === null) return null;
    const around = onOnePage(site, placed);
    const first = around.find((other) => nameOf(other)?.toLowerCase() === name.toLowerCase());
    if (!first || first.part === placed.part) return null;
    const taken = new Set(around.map(nameOf).filter((one) => one !== null));
    return {
      outcome: 'look',
      reason: `“${name}” in ${placed.piece.name} has the same name as a menu in ${first.piece.name}.`,
      evidence: `${placed.piece.name} › ${name}`,
      at: { piece: placed.piece.id },
      fix: {
        label: 'Give it a name of its own',
        edit: {
          name: 'set-owner',
          args: {
            id: placed.part.id,
            fields: { name: uniqueTitle(`${name} in ${placed.piece.name}`, taken) },
          },
        },
      },
    };
  },
};
