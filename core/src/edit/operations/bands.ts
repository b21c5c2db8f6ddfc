import { refuse } from '../../base/result.ts';
import type { Band } from '../../model/site-content.ts';
import type { Site } from '../../kinds/site.ts';
import { ownersOf, refsOf } from '../../kinds/placed.ts';
import { lookCells } from '../../kinds/looks.ts';
import { patched, startDraft, type Draft, type EditOperation } from '../draft.ts';
import { bandLists } from '../references.ts';
import { setCells } from './look.ts';
import { MOST_BANDS } from '../../model/limits.ts';

/** The narrowest distance of two breakpoints, and the outermost places they may have, in px. */
export const BREAKPOINT = { gap: 1, min: 200, max: 2400 } as const;

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
  return patched(site, [
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
    : patched(site, [{ op: 'replace', path: `/bands/${index}/name`, value: name.slice(0, 40) }]);
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
  if (!parted) return draft.done();
  // What the parted band said is said by its upper part, and so by both.
  const wide = index === 0;
  if (!wide) renameKeys(draft, site, parted.id, band.id);
  showIn(draft, (bands) => (bands.includes(parted.id) ? [...bands, band.id] : bands));
  beginFrom(draft, parted.id, band.id);
  return draft.done();
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
  setCells(draft, cells);
}

/** What the widest band says it says for all widths: its values take the place of those. */
function promoteKeys(draft: Draft, band: string): void {
  const cells = lookCells(draft.site())
    .filter((cell) => cell.band === band)
    .flatMap((cell) => [
      { ...cell, value: null },
      { ...cell, band: 'all' },
    ]);
  setCells(draft, cells);
}

/** Changes in which bands sections, parts and links are shown. */
function showIn(draft: Draft, change: (bands: readonly string[]) => readonly string[]): void {
  for (const { path, bands } of bandLists(draft.site())) {
    const changed = change(bands);
    if (changed !== bands) draft.apply({ op: 'replace', path, value: [...new Set(changed)] });
  }
}

/** Whatever begins with one band, such as where a part or a piece folds away, begins with another one. */
function beginFrom(draft: Draft, from: string, to: string): void {
  for (const { to: kind, id, path } of refsOf(draft.site()))
    if (kind === 'band' && id === from) draft.apply({ op: 'replace', path, value: to });
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
  showIn(draft, (bands) =>
    bands.includes(id) ? bands.map((band) => (band === id ? next.id : band)) : bands,
  );
  beginFrom(draft, id, next.id);
  draft.apply({ op: 'remove', path: `/bands/${index}` });
  return draft.done();
};
