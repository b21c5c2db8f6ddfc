import { runEdit } from '../../edit/operations.ts';
import { findPiece, ownersOf, placedParts } from '../../kinds/placed.ts';
import { kindLabel, partKind, sectionKind } from '../../kinds/catalogue.ts';
import { foldOf } from '../../kinds/folds.ts';
import type { Section, SectionKindId, Site } from '../../kinds/site.ts';
import { firstJudged, rowBreaks, rowFits, type RowFit } from '../../layout/fit.ts';
import type { Cell } from '../../model/look.ts';
import type { Fix, RowCheck, RowWorld } from '../check.ts';

/** The row's own padding: where one begins to look for room. */
function rowCell(site: Site, row: string): Cell {
  const kind = ownersOf(site).get(row)?.kind as SectionKindId;
  const { ground } = sectionKind(kind);
  return { owner: row, slot: ground, property: 'paddingInline', level: 'all', state: 'rest', band: 'all' };
}

/** Lets what gives way leave for the panel that the piece folds into, where that is enough; null where it is not. */
function mend(fit: RowFit, { site, measure }: RowWorld): Fix | null {
  const placed = placedParts(site).filter(({ piece }) => piece.id === fit.piece);
  const panel = placed.map(({ part }) => foldOf(site, part.id)?.to?.piece.id).find((id) => id !== undefined);
  const leaving = placed.findLast(
    ({ part, region }) => region.section.id === fit.row && !part.folds && partKind(part).givesWay === true,
  );
  if (panel === undefined || !leaving) return null;
  const { id } = leaving.part;
  const edit = { name: 'fold-part', args: { id, from: fit.band, panel, tight: true } } as const;
  const ran = runEdit(site, edit);
  const after = ran.ok && rowFits(ran.value.site, measure).find((one) => isSameRow(one, fit));
  if (!after || rowBreaks(after)) return null;
  const name =
    partKind(leaving.part).name?.(leaving.part as never) ?? kindLabel(leaving.part.kind).toLowerCase();
  return { label: `Let the ${name} leave for the panel where there is no room`, edit };
}

const isSameRow = (a: RowFit, b: RowFit) => a.row === b.row && a.band === b.band;

/** A row that has no room on one line somewhere in a band it is shown in. */
export const rowBreaksCheck: RowCheck = {
  of: 'row',
  id: 'row-breaks',
  asks: 'measures',
  label: 'A row without room',
  why: 'Names wrap first, then the row stands on two lines and pushes the page down.',
  check: (fit, world) => {
    if (!rowBreaks(fit)) return null;
    const { site } = world;
    const fix = mend(fit, world);
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
      ...(fix ? { fix } : {}),
    };
  },
};
