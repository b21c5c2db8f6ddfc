import { describe, expect, test } from '@jest/globals';
import { FONTS, MARISMA } from '../../test/demo.ts';
import { after } from '../../test/pieces.ts';
import { wholeSite } from '../../test/random-site.ts';
import { handOffFiles } from '../formats/archive/hand-off.ts';
import { itemsOf } from '../kinds/content.ts';
import { placedParts, refsOf } from '../kinds/placed.ts';
import type { Site } from '../kinds/site.ts';
import { loadSite } from '../load/load-site.ts';
import { compileSite } from '../output/compile-site.ts';
import { draftsOf, handedOver } from './drafts.ts';

const draft = (site: Site, id: string): Site =>
  after(site, { name: 'set-owner', args: { id, fields: { draft: true } } });

const SITES: readonly (readonly [string, Site])[] = [
  ['Marisma', MARISMA],
  ['the whole site', wholeSite()],
];

describe.each(SITES)('drafts of %s', (_name, site) => {
  test('a site without any is handed over as it is', () => {
    expect(handedOver(site)).toBe(site);
  });
  test.each(site.pieces.map(({ id }) => id))('the piece %s is in the site and in no hand-off', (id) => {
    const drafted = draft(site, id);
    expect(draftsOf(drafted).pieces.map((piece) => piece.id)).toEqual([id]);
    const out = handedOver(drafted);
    expect(out.pieces.some((piece) => piece.id === id)).toBe(false);
    // What is handed over is a whole site: nothing in it refers to the draft.
    expect(loadSite(JSON.parse(JSON.stringify(out))).ok).toBe(true);
    expect(refsOf(out).some((ref) => ref.id === id)).toBe(false);
    expect(
      [...itemsOf(out).values()].some(({ item }) => 'panel' in item.target && item.target.panel === id),
    ).toBe(false);
    // Here it is drawn as before.
    expect([...compileSite(drafted, { fonts: [] }).pieces.keys()]).toEqual([
      ...compileSite(site, { fonts: [] }).pieces.keys(),
    ]);
  });
  test.each(site.menus.map(({ id }) => id))(
    'the menu %s is in no hand-off either, nor a place of it',
    (id) => {
      const drafted = after(site, { name: 'set-menu-draft', args: { id, draft: true } });
      const out = handedOver(drafted);
      expect(out.menus.some((menu) => menu.id === id)).toBe(false);
      expect(placedParts(out).some(({ part }) => part.kind === 'menu' && part.menu === id)).toBe(false);
      expect(loadSite(JSON.parse(JSON.stringify(out))).ok).toBe(true);
      const back = after(drafted, { name: 'set-menu-draft', args: { id, draft: false } });
      expect(back).toEqual(site);
    },
  );
});

test('what folds into a draft panel stays where it is, so that no link is lost', () => {
  const panel = MARISMA.pieces.find(({ kind }) => kind === 'panel')?.id ?? '';
  const out = handedOver(draft(MARISMA, panel));
  const lost = placedParts(MARISMA).filter(({ part, piece }) => part.kind === 'menu' && piece.id !== panel);
  for (const { part } of lost)
    expect(placedParts(out).find((placed) => placed.part.id === part.id)?.part.folds ?? null).toBeNull();
});

test('the files leave a draft out, but for the site file, which opens here again', () => {
  const drafted = draft(MARISMA, MARISMA.pieces.find(({ kind }) => kind === 'footer')?.id ?? '');
  const files = handOffFiles(drafted, FONTS) ?? [];
  const text = (name: string) =>
    files.flatMap((file) => (file.name === name && 'text' in file ? [file.text] : []))[0] ?? '';
  expect(files.some(({ name }) => name.includes('footer'))).toBe(false);
  expect(text('menu.css')).not.toContain('hm-footer');
  expect(text('site.hamaca.json')).toContain('"draft": true');
});
