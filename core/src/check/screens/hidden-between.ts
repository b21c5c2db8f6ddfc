import type { PartCheck } from '../check.ts';

/** Something that is shown wider and narrower than one band, and not in it; or nowhere at all. */
export const hiddenBetween: PartCheck = {
  of: 'part',
  id: 'hidden-between',
  label: 'Hidden at some widths only',
  why: 'It is there on small and on large screens and missing between: mostly nobody meant that.',
  check: ({ part, piece }, { site }) => {
    const { bands } = part;
    if (bands === undefined) return null;
    const shown = site.bands.map(({ id }) => bands.includes(id));
    const gap = shown.findIndex(
      (isShown, band) => !isShown && shown.slice(0, band).includes(true) && shown.slice(band).includes(true),
    );
    const isNowhere = !shown.includes(true);
    if (gap === -1 && !isNowhere) return null;
    return {
      outcome: 'look',
      reason: isNowhere
        ? 'It is shown at no width.'
        : `It is hidden in ${site.bands[gap]?.name ?? ''}, and shown in wider and narrower bands.`,
      evidence: piece.name,
      at: { piece: piece.id, width: Math.max(320, site.bands[Math.max(0, gap)]?.min ?? 0) },
      fix: {
        label: 'Show it at all widths',
        edit: { name: 'set-owner', args: { id: part.id, fields: { bands: null } } },
      },
    };
  },
};
