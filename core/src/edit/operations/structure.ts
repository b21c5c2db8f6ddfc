import { refuse, succeed } from '../../base/result.ts';
import type { Site, TypeStyle } from '../../document/site.ts';
import { ownersOf } from '../../document/walk.ts';
import type { EditOperation } from '../draft.ts';
import { getAt, type PatchOperation } from '../json-patch.ts';

/** The narrowest distance of two breakpoints, and the outermost places they may have, in px. */
export const BREAKPOINT = { gap: 1, min: 200, max: 2400 } as const;

/** Moves the breakpoint at which a band starts; it stays between its neighbours. */
export const setBandStart: EditOperation<{ readonly id: string; readonly min: number }> = (site, { id, min }) => {
  const index = site.bands.findIndex((band) => band.id === id);
  if (index === -1) return refuse('gone', '/bands', 'The band is no longer there');
  if (index === site.bands.length - 1) return refuse('narrowest', '/bands', 'The narrowest band always starts at 0');
  const lower = Math.max(BREAKPOINT.min, (site.bands[index + 1]?.min ?? 0) + BREAKPOINT.gap);
  const upper = Math.min(BREAKPOINT.max, (site.bands[index - 1]?.min ?? Infinity) - BREAKPOINT.gap);
  return succeed([{ op: 'replace', path: `/bands/${index}/min`, value: Math.round(Math.min(upper, Math.max(lower, min))) }]);
};

export const setBandName: EditOperation<{ readonly id: string; readonly name: string }> = (site, { id, name }) => {
  const index = site.bands.findIndex((band) => band.id === id);
  return index === -1 ? refuse('gone', '/bands', 'The band is no longer there') : succeed([{ op: 'replace', path: `/bands/${index}/name`, value: name.slice(0, 40) }]);
};

export type SiteFields = Partial<Pick<Site, 'name' | 'url' | 'language' | 'direction'>>;

/** Changes what the site says about itself. */
export const setSite: EditOperation<SiteFields> = (_site, fields) =>
  succeed(Object.entries(fields).map(([key, value]): PatchOperation => ({ op: 'replace', path: `/${key}`, value })));

/** Changes the settings of a part, row or piece (not its id, kind or look). */
export const setOwner: EditOperation<{ readonly id: string; readonly fields: Readonly<Record<string, unknown>> }> = (site, { id, fields }) => {
  const owner = ownersOf(site).get(id);
  if (!owner) return refuse('gone', '/pieces', 'The part is no longer there; it was removed in the meantime');
  const patch: PatchOperation[] = [];
  for (const [key, value] of Object.entries(fields)) {
    if (['id', 'kind', 'look'].includes(key) || !getAt(site, `${owner.path}/${key}`).ok) return refuse('field', owner.path, `A ${owner.kind} has no setting “${key}”`);
    patch.push({ op: 'replace', path: `${owner.path}/${key}`, value });
  }
  return succeed(patch);
};

export const setTypeStyle: EditOperation<{ readonly id: string; readonly fields: Partial<Omit<TypeStyle, 'id'>> }> = (site, { id, fields }) => {
  const index = site.typeStyles.findIndex((style) => style.id === id);
  if (index === -1) return refuse('gone', '/typeStyles', 'The type style is no longer there');
  return succeed(Object.entries(fields).map(([key, value]): PatchOperation => ({ op: 'replace', path: `/typeStyles/${index}/${key}`, value })));
};
