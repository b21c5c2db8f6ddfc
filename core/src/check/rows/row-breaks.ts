import { findPiece, ownersOf } from '../../kinds/placed.ts';
import { sectionKind } from '../../kinds/catalogue.ts';
import type { Section, SectionKindId, Site } from '../../kinds/site.ts';
import { firstJudged, rowBreaks } from '../../layout/fit.ts';
import type { Cell } from '../../model/look.ts';
import type { RowCheck } from '../check.ts';

/** The row's own padding: where one begins to look for room. */
function rowCell(site: Site, row: string): Cell {
  const kind = ownersOf(site).get(row)?.kind as SectionKindId;
  const { ground } = sectionKind(kind);
  return { owner: row, slot: ground, property: 'paddingInline', level: 'all', state: 'rest', band: 'all' };
}

/** A row that has no room on one line somewhere in a band it is shown in. */
export const rowBreaksCheck: RowCheck = {
  of: 'row',
  id: 'row-breaks',
  asks: 'measures',
  label: 'A row without room',
  why: 'Names wrap first, then the row stands on two lines and pushes the page down.',
  check: (fit, { site }) => {
    if (!rowBreaks(fit)) return null;
    const name = (ownersOf(site).get(fit.row)?.thing as Section | undefined)?.name ?? fit.row;
    const band = site.bands.find((entry) => entry.id === fit.band)?.name ?? fit.band;
    const from = firstJudged(fit);
    const never = fit.needed === Infinity;
    const until = Math.min(fit.to ?? Infinity, Math.ceil(fit.needed) - 1);
    return {
      outcome: never ? 'fail' : fit.certain ? 'look' : 'unknown',
      reason: never
        ? `${name} never stands on one line in ${band}: its content is held narrower than what stands in it.`
        : `${name} needs ${fit.certain ? '' : 'about '}${Math.ceil(fit.needed)} px for one line, and ${band} shows it from ${from} px${until > from ? ` (${from} to ${until} px)` : ''}.`,
      evidence: `${findPiece(site, fit.piece)?.name ?? fit.piece} › ${name}`,
      at: { piece: fit.piece, width: from, cell: rowCell(site, fit.row) },
    };
  },
};
