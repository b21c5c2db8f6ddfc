import { refuse } from '../../base/result.ts';
import { parseColour } from '../../colour/colour.ts';
import type { Site } from '../../kinds/site.ts';
import { isDerived, type Derivation, type Swatch } from '../../model/swatch.ts';
import {
  coloursIn,
  mapColours,
  ROLES,
  type ColourValue,
  type Role,
  type Value,
} from '../../values/values.ts';
import { swatchFamily } from '../../resolve/colours.ts';
import { lookCells, type LookCell } from '../../kinds/looks.ts';
import { patched, startDraft, type EditOperation } from '../draft.ts';
import { setCells } from './look.ts';

const noSwatch = () =>
  refuse('gone', '/palette', 'The swatch is no longer there; it was removed in the meantime');

/** Changes of a swatch: its name, a colour of its own, or how it follows another one. */
export interface SwatchChange {
  readonly id: string;
  readonly name?: string;
  /** A colour of its own; it follows no other swatch then. */
  readonly value?: string;
  readonly derived?: {
    readonly from: string;
    readonly change: Derivation;
    readonly by: number;
    readonly with?: string;
  };
}

/** Changes a swatch's colour or name; everything linked to it follows. */
export const setSwatch: EditOperation<SwatchChange> = (site, { id, value, name, derived }) => {
  const index = site.palette.findIndex((swatch) => swatch.id === id);
  const before = site.palette[index];
  if (!before) return noSwatch();
  if (value !== undefined && !parseColour(value))
    return refuse('value', `/palette/${index}/value`, `“${value}” is no CSS colour`);
  if (derived) {
    const parents = [derived.from, ...(derived.with === undefined ? [] : [derived.with])];
    if (parents.some((parent) => !site.palette.some((swatch) => swatch.id === parent))) return noSwatch();
    if (parents.some((parent) => swatchFamily(site, parent).has(id)))
      return refuse('circular', `/palette/${index}`, 'A swatch cannot follow itself');
  }
  const title = (name ?? before.name).slice(0, 80);
  if (value !== undefined)
    return patched(site, [{ op: 'replace', path: `/palette/${index}`, value: { id, name: title, value } }]);
  if (derived)
    return patched(site, [
      { op: 'replace', path: `/palette/${index}`, value: { id, name: title, ...derived } },
    ]);
  return patched(
    site,
    name === undefined ? [] : [{ op: 'replace', path: `/palette/${index}/name`, value: title }],
  );
};

export const addSwatch: EditOperation<{ readonly swatch: Swatch }> = (site, { swatch }) => {
  if (site.palette.some((entry) => entry.id === swatch.id))
    return refuse('duplicate', '/palette', `There is a swatch "${swatch.id}" already`);
  if (!isDerived(swatch) && !parseColour(swatch.value))
    return refuse('value', '/palette', `“${swatch.value}” is no CSS colour`);
  return patched(site, [{ op: 'add', path: '/palette/-', value: swatch }]);
};

/** Adds swatches from elsewhere; one of a name that is there changes that one's colour. */
export const importSwatches: EditOperation<{ readonly swatches: readonly Swatch[] }> = (
  site,
  { swatches },
) => {
  const draft = startDraft(site);
  for (const swatch of swatches) {
    const { palette } = draft.site();
    const index = palette.findIndex((entry) => entry.name.toLowerCase() === swatch.name.toLowerCase());
    const known = palette[index];
    if (known) draft.apply({ op: 'replace', path: `/palette/${index}`, value: { ...swatch, id: known.id } });
    else draft.apply({ op: 'add', path: '/palette/-', value: swatch });
  }
  return draft.done();
};

/** Puts a swatch at another place in the palette. */
export const moveSwatch: EditOperation<{ readonly id: string; readonly index: number }> = (
  site,
  { id, index },
) => {
  const from = site.palette.findIndex((swatch) => swatch.id === id);
  if (from === -1) return noSwatch();
  const to = Math.min(site.palette.length - 1, Math.max(0, index));
  return patched(site, from === to ? [] : [{ op: 'move', from: `/palette/${from}`, path: `/palette/${to}` }]);
};

/** Removes a swatch nothing is linked to. */
export const removeSwatch: EditOperation<{ readonly id: string }> = (site, { id }) => {
  const index = site.palette.findIndex((swatch) => swatch.id === id);
  if (index === -1) return noSwatch();
  const uses = swatchUses(site, id);
  if (uses > 0)
    return refuse(
      'in-use',
      `/palette/${index}`,
      `The swatch is used in ${uses} ${uses === 1 ? 'place' : 'places'}; link those elsewhere first`,
    );
  return patched(site, [{ op: 'remove', path: `/palette/${index}` }]);
};

const names = (value: Value, id: string) =>
  coloursIn(value).some((colour) => 'swatch' in colour && colour.swatch === id);

/** In how many cells, roles and other swatches a swatch is named directly. */
export function swatchUses(site: Site, id: string): number {
  const roles = ROLES.filter((role) => names(site.roles[role], id)).length;
  const followers = site.palette.filter(
    (swatch) => isDerived(swatch) && (swatch.from === id || swatch.with === id),
  ).length;
  return roles + followers + lookCells(site).filter((cell) => names(cell.value, id)).length;
}

/** Gives a role another colour. */
export const setRole: EditOperation<{ readonly role: Role; readonly value: ColourValue }> = (
  site,
  { role, value },
) => {
  if ('swatch' in value && !site.palette.some((swatch) => swatch.id === value.swatch)) return noSwatch();
  if ('role' in value && rolesBehind(site, value.role).has(role))
    return refuse('circular', `/roles/${role}`, `The role ${role} cannot lead to itself`);
  return patched(site, [{ op: 'replace', path: `/roles/${role}`, value }]);
};

/** A role and those it leads to. */
function rolesBehind(site: Site, role: Role): ReadonlySet<Role> {
  const found = new Set<Role>([role]);
  for (const at of found) {
    const value = site.roles[at];
    if ('role' in value) found.add(value.role);
  }
  return found;
}

/** One literal colour with the swatch it becomes a link to. */
export interface Relink {
  readonly literal: string;
  readonly swatch: string;
  /** How much of the swatch shows where the literal was translucent; 0 to 1. */
  readonly alpha?: number;
}

/** Links literal colours of cells and roles to swatches, everywhere they are written. */
export const relinkColours: EditOperation<{
  readonly links: readonly Relink[];
  readonly add?: readonly Swatch[];
}> = (site, { links, add = [] }) => {
  const byLiteral = new Map(links.map((link) => [link.literal, link]));
  const change = (colour: ColourValue): ColourValue => {
    const link = 'literal' in colour ? byLiteral.get(colour.literal) : undefined;
    return link
      ? {
          swatch: link.swatch,
          ...(link.alpha === undefined || link.alpha === 1 ? {} : { alpha: link.alpha }),
        }
      : colour;
  };
  const draft = startDraft(site);
  for (const swatch of add) draft.apply({ op: 'add', path: '/palette/-', value: swatch });
  if (links.some((link) => !draft.site().palette.some((swatch) => swatch.id === link.swatch)))
    return noSwatch();
  for (const role of ROLES) {
    const value = change(site.roles[role]);
    if (value !== site.roles[role]) draft.apply({ op: 'replace', path: `/roles/${role}`, value });
  }
  const cells = lookCells(site).flatMap((cell): LookCell[] => {
    const isNamed = coloursIn(cell.value).some(
      (colour) => 'literal' in colour && byLiteral.has(colour.literal),
    );
    return isNamed ? [{ ...cell, value: mapColours(cell.value, change) }] : [];
  });
  return setCells(draft, cells) ?? draft.done();
};
