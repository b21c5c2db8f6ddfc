import { refuse, succeed } from '../../base/result.ts';
import type { Band, Site } from '../../model/site.ts';
import { itemsOf, ownersOf, placedParts } from '../../kinds/walk.ts';
import { lookCells } from '../../resolve/reaches.ts';
import { startDraft, type Draft, type EditOperation } from '../draft.ts';
import { setLook } from './look.ts';

/** The narrowest distance of two breakpoints, and the outermost places they may have, in px. */
export const BREAKPOINT = { gap: 1, min: 200, max: 2400 } as const;

/** Most bands a site has. */
const MOST_BANDS = 8;

const gone = () => refuse('gone', '/bands', 'The band is no longer there');

/** Moves the breakpoint at which a band starts; it stays between its neighbours. */
export const setBandStart: EditOperation<{ readonly id: string; readonly min: number }> = (
  site,
  { id, min },
) => {
  const index = site.bands.findIndex((band) => band.id === id);
  if (index === -1) return gone();
  if (index === site.bands.length - 1)
    return refuse('narrowest', '/bands', 'The narrowest band always starts at 0');
  const lower = Math.max(BREAKPOINT.min, (site.bands[index + 1]?.min ?? 0) + BREAKPOINT.gap);
  const upper = Math.min(BREAKPOINT.max, (site.bands[index - 1]?.min ?? Infinity) - BREAKPOINT.gap);
  return succeed([
    { op: 'replace', path: `/bands/${index}/min`, value: Math.round(Math.min(upper, Math.max(lower, min))) },
  ]);
};

export const setBandName: EditOperation<{ readonly id: string; readonly name: string }> = (
  site,
  { id, name },
) => {
  const index = site.bands.findIndex((band) => band.id === id);
  return index === -1
    ? gone()
    : succeed([{ op: 'replace', path: `/bands/${index}/name`, value: name.slice(0, 40) }]);
};

/** Ties a new knot: the band it falls into is parted, its upper part is the new band. */
export const addBand: EditOperation<{ readonly band: Band }> = (site, { band }) => {
  if (site.bands.some((entry) => entry.id === band.id))
    return refuse('duplicate', '/bands', `There is a band "${band.id}" already`);
  if (site.bands.length >= MOST_BANDS)
    return refuse('too-many', '/bands', `A site has at most ${MOST_BANDS} bands`);
  const min = Math.round(Math.min(BREAKPOINT.max, Math.max(BREAKPOINT.min, band.min)));
  if (site.bands.some((entry) => entry.min === min))
    return refuse('value', '/bands', `There is a breakpoint at ${min} px already`);
  const index = site.bands.findIndex((entry) => entry.min < min);
  const parted = site.bands[index];
  const draft = startDraft(site);
  draft.apply({ op: 'add', path: `/bands/${index}`, value: { ...band, name: band.name.slice(0, 40), min } });
  if (!parted) return succeed(draft.patch());
  // What the parted band said is said by its upper part, and so by both.
  const wide = index === 0;
  if (!wide) renameKeys(draft, site, parted.id, band.id);
  showIn(draft, site, (bands) => (bands.includes(parted.id) ? [...bands, band.id] : bands));
  site.pieces.forEach((piece, place) => {
    if (piece.kind === 'header' && piece.foldBand === parted.id)
      draft.apply({ op: 'replace', path: `/pieces/${place}/foldBand`, value: band.id });
  });
  return succeed(draft.patch());
};

/** Moves all values of one band to another; where both say something, the other's own stays. */
function renameKeys(draft: Draft, site: Site, from: string, to: string): void {
  const cells = lookCells(site)
    .filter((cell) => cell.band === from)
    .flatMap((cell) => {
      const own = ownersOf(site).get(cell.owner)?.look[cell.slot]?.[cell.level]?.[cell.state]?.[to]?.[
        cell.property
      ];
      return [{ ...cell, value: null }, ...(own === undefined ? [{ ...cell, band: to }] : [])];
    });
  const patch = setLook(draft.site(), { cells });
  if (patch.ok) draft.apply(...patch.value);
}

/** What the widest band says it says for all widths: its values take the place of those. */
function promoteKeys(draft: Draft, band: string): void {
  const cells = lookCells(draft.site())
    .filter((cell) => cell.band === band)
    .flatMap((cell) => [
      { ...cell, value: null },
      { ...cell, band: 'all' },
    ]);
  const patch = setLook(draft.site(), { cells });
  if (patch.ok) draft.apply(...patch.value);
}

/** Changes in which bands rows, parts and links are shown. */
function showIn(draft: Draft, site: Site, change: (bands: readonly string[]) => readonly string[]): void {
  const rows = [...ownersOf(site).values()]
    .filter((owner) => owner.kind === 'row')
    .map(({ path, piece, id }) => ({
      path,
      bands: piece.kind === 'header' ? piece.rows.find((row) => row.id === id)?.bands : undefined,
    }));
  const shown = [
    ...rows,
    ...placedParts(site).map(({ part, path }) => ({ path, bands: part.bands })),
    ...[...itemsOf(site).values()].map(({ item, path }) => ({ path, bands: item.bands })),
  ];
  for (const { path, bands } of shown) {
    if (bands === undefined) continue;
    const changed = change(bands);
    if (changed !== bands)
      draft.apply({ op: 'replace', path: `${path}/bands`, value: [...new Set(changed)] });
  }
}

/** Unties a knot: the band that starts there joins the next narrower one. */
export const removeBand: EditOperation<{ readonly id: string }> = (site, { id }) => {
  const index = site.bands.findIndex((band) => band.id === id);
  const next = site.bands[index + 1];
  if (index === -1) return gone();
  if (!next) return refuse('narrowest', '/bands', 'The narrowest band always starts at 0');
  const draft = startDraft(site);
  // What reached the band reached the narrower one too, unless that one says otherwise.
  renameKeys(draft, site, id, next.id);
  if (index === 0) promoteKeys(draft, next.id);
  showIn(draft, site, (bands) =>
    bands.includes(id) ? bands.map((band) => (band === id ? next.id : band)) : bands,
  );
  site.pieces.forEach((piece, place) => {
    if (piece.kind === 'header' && piece.foldBand === id)
      draft.apply({ op: 'replace', path: `/pieces/${place}/foldBand`, value: next.id });
  });
  draft.apply({ op: 'remove', path: `/bands/${index}` });
  return succeed(draft.patch());
};
