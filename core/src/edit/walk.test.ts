import { expect, test } from '@jest/globals';
import { wholeSite } from '../../test/random-site.ts';
import { slotsOf } from '../kinds/catalogue.ts';
import { itemsOf } from '../kinds/content.ts';
import { property } from '../kinds/properties/properties.ts';
import { PARTS } from '../kinds/parts/parts.ts';
import { ownersOf, placedParts, regionsOf, sectionsOf } from '../kinds/walk.ts';
import { loadSite } from '../load/load-site.ts';
import { TARGET_SHAPES } from '../model/target.ts';
import { applyPatch } from './json-patch.ts';
import { runEdit, type OperationName, type SingleEdit } from './operations.ts';

const SITE = wholeSite();
const regions = [...regionsOf(SITE).values()];
const parts = placedParts(SITE);
const sections = sectionsOf(SITE);
const owners = [...ownersOf(SITE).values()];
const items = [...itemsOf(SITE).values()];

/** What an operation can be asked to do on every place of the site; those that know no place are tried with samples elsewhere. */
const EDITS: { readonly [Name in OperationName]?: () => readonly (SingleEdit & { name: Name })[] } = {
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
    parts.flatMap(({ part }) =>
      [null, undefined, 'panel', 'panel-2', 'extra'].flatMap((panel) => [
        {
          name: 'fold-part' as const,
          args: { id: part.id, from: 'phone', ...(panel === undefined ? {} : { panel }) },
        },
        { name: 'fold-part' as const, args: { id: part.id, from: null } },
      ]),
    ),
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

/** Most edits of one operation that are made: of more, some all over the site. */
const MOST = 48;

function spread<Entry>(list: readonly Entry[]): readonly Entry[] {
  return list.length <= MOST
    ? list
    : Array.from({ length: MOST }, (_, index) => list[Math.floor((index * list.length) / MOST)] as Entry);
}

test('the site walked has every kind of part in every region it may stand in, every target, several headers', () => {
  expect(SITE.pieces.filter((piece) => piece.kind === 'header').length).toBeGreaterThan(1);
  for (const region of regions) {
    const isPanel = region.piece.kind === 'panel';
    const wanted = PARTS.filter((kind) => isPanel || !('onlyInPanels' in kind)).map((kind) => kind.id);
    expect(new Set(region.parts.map((part) => part.kind))).toEqual(new Set(wanted));
  }
  expect(new Set(items.map(({ item }) => item.target.kind))).toEqual(new Set(Object.keys(TARGET_SHAPES)));
  expect(SITE.sameLooks.length).toBeGreaterThan(0);
});

test.each(Object.keys(EDITS) as OperationName[])(
  '%s, on every place, gives a document the server takes, and its inverse gives the old one back',
  (name) => {
    let made = 0;
    for (const edit of spread<SingleEdit>(EDITS[name]?.() ?? [])) {
      const ran = runEdit(SITE, edit);
      if (!ran.ok) {
        expect(ran.error[0]?.message).toBeTruthy();
        continue;
      }
      made++;
      const loaded = loadSite(JSON.parse(JSON.stringify(ran.value.site)));
      if (!loaded.ok) throw new Error(`${JSON.stringify(edit.args)}: ${JSON.stringify(loaded.error[0])}`);
      expect(loaded.value).toEqual(ran.value.site);
      const back = applyPatch(ran.value.site, ran.value.inverse);
      expect(back.ok && back.value.document).toEqual(SITE);
    }
    expect(made).toBeGreaterThan(0);
  },
);
