import { slotsOf } from '../kinds/catalogue.ts';
import { lookCells, type LookCell } from '../kinds/looks.ts';
import type { PropertyId } from '../kinds/properties/properties.ts';
import type { Site } from '../kinds/site.ts';
import { ownersOf, hasSlot } from '../kinds/placed.ts';
import type { Cell } from '../model/look.ts';
import { coloursIn, isTypeLink, type Role, type Value } from '../values/values.ts';
import { usesRole, usesSwatch } from './colours.ts';
import type { OriginLink } from './origin.ts';
import { fallbackValue } from './resolve.ts';

/** A place a swatch, role or type style shows: a cell that names it, or a slot that falls back to it. */
export interface Reached extends Omit<Cell, 'level' | 'state' | 'band'> {
  /** The cell; null where the slot only falls back to it. */
  readonly cell: LookCell | null;
}

const TYPE_PROPERTIES: readonly PropertyId[] = ['family', 'size', 'weight'];

type Source = Exclude<OriginLink, { kind: 'cell' }>;

function isFrom(site: Site, source: Source, value: Value): boolean {
  switch (source.kind) {
    case 'swatch':
      return usesSwatch(site, value, source.id);
    case 'role':
      return usesRole(site, value, source.role);
    case 'type-style':
      return isTypeLink(value) && value.type === source.id;
  }
}

/** The slots that take a property from a source where their look says nothing at rest, for all levels and widths. */
function fallbacks(site: Site, source: Source): Reached[] {
  return [...ownersOf(site).values()].flatMap((owner) =>
    Object.entries(slotsOf(owner.kind))
      .filter(([slot]) => hasSlot(site, owner, slot))
      .flatMap(([slot, kind]) =>
        kind.properties.flatMap((property): Reached[] => {
          if (owner.look[slot]?.all?.rest?.['all']?.[property] !== undefined) return [];
          const { value, origin } = fallbackValue(site, kind, property);
          const reached =
            source.kind === 'type-style'
              ? origin.kind === 'type-style' && origin.id === source.id && TYPE_PROPERTIES.includes(property)
              : coloursIn(value).length > 0 && origin.kind === 'slot-default' && isFrom(site, source, value);
          return reached ? [{ owner: owner.id, slot, property, cell: null }] : [];
        }),
      ),
  );
}

/** Everything a swatch, role or type style reaches: the reverse of an origin's trail. */
export function reachOf(site: Site, source: Source): Reached[] {
  const named = lookCells(site)
    .filter((cell) => isFrom(site, source, cell.value))
    .map((cell): Reached => ({ owner: cell.owner, slot: cell.slot, property: cell.property, cell }));
  return [...named, ...fallbacks(site, source)];
}

/** The roles that lead to a swatch. */
export function rolesOf(site: Site, swatch: string): Role[] {
  return (Object.keys(site.roles) as Role[]).filter((role) => usesSwatch(site, site.roles[role], swatch));
}

/** The families a site names, in type styles and looks. */
export function familiesOf(site: Site): string[] {
  const named = lookCells(site).flatMap((cell) =>
    cell.property === 'family' && typeof cell.value === 'string' ? [cell.value] : [],
  );
  return [...new Set([...site.typeStyles.map((style) => style.family), ...named])];
}
