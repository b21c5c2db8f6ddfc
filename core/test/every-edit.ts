import { slotsOf } from '../src/kinds/catalogue.ts';
import { itemsOf } from '../src/kinds/content.ts';
import { property } from '../src/kinds/properties/properties.ts';
import { ownersOf, placedParts, regionsOf, sectionsOf } from '../src/kinds/placed.ts';
import type { OperationName, SingleEdit } from '../src/edit/operations.ts';
import { wholeSite } from './random-site.ts';

/** The site that is edited: every kind of part in every region. */
export const SITE = wholeSite();
const regions = [...regionsOf(SITE).values()];
const parts = placedParts(SITE);
const sections = sectionsOf(SITE);
const owners = [...ownersOf(SITE).values()];
const items = [...itemsOf(SITE).values()];

/** What an operation can be asked to do on every place of the site; those that know no place are tried with samples elsewhere. */
export const EDITS: { readonly [Name in OperationName]?: () => readonly (SingleEdit & { name: Name })[] } = {
  'move-part': () =>
    parts.flatMap(({ part }) =>
      regions.map(({ id }) => ({
        name: 'move-part' as const,
        args: { id: part.id, place: { region: id, index: 1 } },
      })),
    ),
  'duplicate-part': () =>
    parts.map(({ part }) => ({ name: 'duplicate-part', args: { id: part.id, copy: 'copy' } })),
  'remove-part': () => parts.map(({ part }) => ({ name: 'remove-part', args: { id: part.id } })),
  'fold-part': () =>
    [...parts.map(({ part }) => part), ...SITE.pieces].flatMap(({ id }) =>
      [null, undefined, 'panel', 'panel-2', 'extra'].flatMap((panel) => [
        {
          name: 'fold-part' as const,
          args: { id, from: 'phone', ...(panel === undefined ? {} : { panel }) },
        },
        { name: 'fold-part' as const, args: { id, from: null } },
        { name: 'fold-part' as const, args: { id, from: 'phone', tight: true } },
      ]),
    ),
  'set-menu-draft': () =>
    SITE.menus.flatMap(({ id }) => [
      { name: 'set-menu-draft' as const, args: { id, draft: true } },
      { name: 'set-menu-draft' as const, args: { id, draft: false } },
    ]),
  'set-owner': () =>
    owners.map((owner) => ({
      name: 'set-owner',
      args: { id: owner.id, fields: 'name' in owner.thing ? { name: 'Named anew' } : { bands: ['wide'] } },
    })),
  'duplicate-section': () =>
    sections.map(({ section }) => ({ name: 'duplicate-section', args: { id: section.id, copy: 'copy' } })),
  'remove-section': () =>
    sections.map(({ section }) => ({ name: 'remove-section', args: { id: section.id } })),
  'move-section': () =>
    sections.flatMap(({ section }) =>
      [0, 1].map((index) => ({ name: 'move-section' as const, args: { id: section.id, index } })),
    ),
  'duplicate-piece': () =>
    SITE.pieces.map(({ id }) => ({ name: 'duplicate-piece', args: { id, copy: 'copy' } })),
  'remove-piece': () => SITE.pieces.map(({ id }) => ({ name: 'remove-piece', args: { id } })),
  'move-piece': () =>
    SITE.pieces.flatMap(({ id }, index) =>
      [SITE.pieces[index - 1], SITE.pieces[index + 1]].flatMap((other) =>
        other ? [{ name: 'move-piece' as const, args: { id, past: other.id } }] : [],
      ),
    ),
  'set-look': () =>
    owners.flatMap((owner) =>
      Object.entries(slotsOf(owner.kind)).map(([slot, kind]) => {
        const id = kind.properties[0];
        if (id === undefined) throw new Error(`${owner.kind}.${slot} has no property.`);
        return {
          name: 'set-look' as const,
          args: {
            cells: [
              {
                owner: owner.id,
                slot,
                level: 'all' as const,
                state: 'rest' as const,
                band: 'phone',
                property: id,
                value: property(id).initial,
              },
            ],
          },
        };
      }),
    ),
  'set-same-look': () =>
    owners.flatMap((owner) =>
      Object.keys(slotsOf(owner.kind)).flatMap((slot) =>
        [null, { owner: 'menu-main', slot: 'link' }].map((as) => ({
          name: 'set-same-look' as const,
          args: { owner: owner.id, slot, as },
        })),
      ),
    ),
  'remove-items': () => items.map(({ item }) => ({ name: 'remove-items', args: { ids: [item.id] } })),
  'duplicate-items': () => items.map(({ item }) => ({ name: 'duplicate-items', args: { ids: [item.id] } })),
  'remove-menu': () => SITE.menus.map(({ id }) => ({ name: 'remove-menu', args: { id } })),
  'duplicate-menu': () =>
    SITE.menus.map(({ id }) => ({ name: 'duplicate-menu', args: { id, copy: 'copy', name: 'Copied' } })),
  'remove-pages': () => SITE.pages.map(({ id }) => ({ name: 'remove-pages', args: { ids: [id] } })),
  'remove-band': () => SITE.bands.map(({ id }) => ({ name: 'remove-band', args: { id } })),
};

/** The edits of an operation, `most` of them at most: of more, some all over the site. */
export function editsOf(name: OperationName, most: number): readonly SingleEdit[] {
  const list: readonly SingleEdit[] = EDITS[name]?.() ?? [];
  return list.length <= most
    ? list
    : Array.from(
        { length: most },
        (_, index) => list[Math.floor((index * list.length) / most)] as SingleEdit,
      );
}
