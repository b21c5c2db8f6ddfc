import { kindLabel, slotsOf } from '../kinds/catalogue.ts';
import type { Cell, SlotRef } from '../model/look.ts';
import type { PropertyId } from '../kinds/properties/properties.ts';
import type { Site } from '../kinds/site.ts';
import type { SlotKind } from '../model/slot.ts';
import { itemOf, type LevelKey } from '../model/states.ts';
import { coloursIn, type Role } from '../values/values.ts';
import { itemsOf } from '../kinds/content.ts';
import { ownersOf, slotKind, type Owner } from '../kinds/placed.ts';
import { colourTrail } from './colours.ts';
import type { Origin, Question, Resolved } from './resolve.ts';

/** What a step of a trail leads to when it is opened. */
export type OriginLink =
  | { readonly kind: 'cell'; readonly cell: Cell }
  | { readonly kind: 'role'; readonly role: Role }
  | { readonly kind: 'swatch'; readonly id: string }
  | { readonly kind: 'type-style'; readonly id: string };

/** One step of where a value comes from, nearest first. */
export interface OriginStep {
  readonly label: string;
  /** Null where there is nothing to change: a default of the catalogue. */
  readonly link: OriginLink | null;
}

function levelName(site: Site, level: LevelKey): string {
  const item = itemOf(level);
  if (item !== null) return `“${itemsOf(site).get(item)?.item.label ?? 'a link'}” alone`;
  return level === 'all' ? 'all levels' : `level ${level}`;
}

/** What an owner is called: its own name, or what it is. */
export function ownerName(owner: Owner): string {
  return owner.sort === 'piece' ? owner.piece.name : kindLabel(owner.kind);
}

/** A slot by the names of its owner and itself. */
export function slotName(site: Site, ref: SlotRef): string {
  const owner = ownersOf(site).get(ref.owner);
  const label = owner ? slotsOf(owner.kind)[ref.slot]?.label : undefined;
  if (!owner || label === undefined) return 'something removed';
  return label === ownerName(owner) ? label : `${ownerName(owner)}, ${label.toLowerCase()}`;
}

const typeName = (site: Site, id: string) => site.typeStyles.find((style) => style.id === id)?.name ?? id;

function cellLabel(
  site: Site,
  kind: SlotKind,
  { level, state, band }: { level: LevelKey; state: string; band: string },
): string {
  const isLevelled = kind.levels.length > 0 || itemOf(level) !== null;
  const levels = isLevelled ? [levelName(site, level)] : [];
  const bands =
    band === 'all' ? [] : [`${site.bands.find((entry) => entry.id === band)?.name ?? band} and narrower`];
  return [...levels, state, ...bands].join(', ');
}

function valueSteps(site: Site, kind: SlotKind, ref: SlotRef, id: PropertyId, origin: Origin): OriginStep[] {
  switch (origin.kind) {
    case 'look': {
      const place = origin.as ?? ref;
      const cell: Cell = {
        owner: place.owner,
        slot: place.slot,
        property: id,
        level: origin.level,
        state: origin.state,
        band: origin.band,
      };
      const label = cellLabel(site, kind, origin);
      return [
        {
          label: origin.as ? `same as ${slotName(site, origin.as)}: ${label}` : label,
          link: { kind: 'cell', cell },
        },
      ];
    }
    case 'holder': {
      const holder = { owner: ref.owner, slot: origin.slot };
      const holderKind = slotKind(site, holder);
      const [first, ...rest] = holderKind ? valueSteps(site, holderKind, holder, id, origin.from) : [];
      return first
        ? [
            {
              ...first,
              label: `${(holderKind?.label ?? origin.slot).toLowerCase()} around it, ${first.label}`,
            },
            ...rest,
          ]
        : [];
    }
    case 'focus-ring':
      return [{ label: 'the ring of focus', link: null }];
    case 'type-style':
      return [
        { label: `type style ${typeName(site, origin.id)}`, link: { kind: 'type-style', id: origin.id } },
      ];
    case 'slot-default':
      return [{ label: `${kind.label.toLowerCase()} default`, link: null }];
    case 'initial':
      return [{ label: 'nothing set', link: null }];
  }
}

/** Where a value comes from, step by step: the cell that says it, then the role and the swatches its colours lead to. */
export function originSteps(
  site: Site,
  kind: SlotKind,
  question: Pick<Question, 'owner' | 'slot' | 'property'>,
  resolved: Resolved,
): OriginStep[] {
  const colours = coloursIn(resolved.value)
    .flatMap((colour) => colourTrail(site, colour))
    .flatMap((step): OriginStep[] => {
      if (step.kind === 'role')
        return [{ label: `role ${step.role}`, link: { kind: 'role', role: step.role } }];
      return step.kind === 'swatch'
        ? [{ label: `swatch ${step.name}`, link: { kind: 'swatch', id: step.id } }]
        : [];
    });
  const type: OriginStep[] =
    resolved.type === undefined
      ? []
      : [
          {
            label: `type style ${typeName(site, resolved.type)}`,
            link: { kind: 'type-style', id: resolved.type },
          },
        ];
  return [...valueSteps(site, kind, question, question.property, resolved.origin), ...type, ...colours];
}
