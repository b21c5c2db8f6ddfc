import { countingIds } from '../base/ids.ts';
import { initialOf, type RegionForm, type Shape } from '../model/shape/field.ts';
import type { Look } from '../model/look.ts';
import { partKindById } from './catalogue.ts';
import type { NewPartWorld } from './kind.ts';
import type { Part, PartKindId, Site } from './site.ts';
import { idsOf, panelsOf } from './placed.ts';

type PartOfKind<Id extends PartKindId> = Extract<Part, { kind: Id }>;
type Settings<Id extends PartKindId> = Partial<Omit<PartOfKind<Id>, 'kind' | 'id'>>;

/** A part with the initial values of its kind, and what is told besides. */
export function makePart<Id extends PartKindId>(
  kind: Id,
  id: string,
  settings: Settings<Id> = {},
): PartOfKind<Id> {
  const look: Look = {};
  return {
    kind,
    id,
    ...initialOf(partKindById(kind).shape as Shape),
    look,
    ...settings,
  } as unknown as PartOfKind<Id>;
}

/** What a new part of a site is made from, in a region of a form. */
export function newPartWorld(site: Site, form: RegionForm = 'row'): NewPartWorld {
  const taken = new Set(idsOf(site));
  return {
    site,
    form,
    panels: panelsOf(site).map((panel) => panel.id),
    freshId: (word) => {
      const id = countingIds(word, taken)();
      taken.add(id);
      return id;
    },
  };
}

/** A part that looks like something at once. */
export function createPart<Id extends PartKindId>(kind: Id, id: string, world: NewPartWorld): PartOfKind<Id> {
  return makePart(kind, id, (partKindById(kind).create?.(world) ?? {}) as Settings<Id>);
}
