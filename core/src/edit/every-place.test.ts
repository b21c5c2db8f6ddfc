import { expect, test } from '@jest/globals';
import { EDITS, editsOf, SITE } from '../../test/every-edit.ts';
import { itemsOf } from '../kinds/content.ts';
import { partKindsFor } from '../../test/random-site.ts';
import { regionsOf } from '../kinds/placed.ts';
import { loadSite } from '../load/load-site.ts';
import { TARGET_SHAPES } from '../model/target.ts';
import { applyPatch } from './json-patch.ts';
import { runEdit, type OperationName } from './operations.ts';

test('the site walked has every kind of part in every region it may stand in, every target, several headers', () => {
  expect(SITE.pieces.filter((piece) => piece.kind === 'header').length).toBeGreaterThan(1);
  for (const region of regionsOf(SITE).values()) {
    const wanted = partKindsFor(region.piece).map((kind) => kind.id);
    expect(new Set(region.parts.map((part) => part.kind))).toEqual(new Set(wanted));
  }
  expect(new Set([...itemsOf(SITE).values()].map(({ item }) => item.target.kind))).toEqual(
    new Set(Object.keys(TARGET_SHAPES)),
  );
  expect(SITE.sameLooks.length).toBeGreaterThan(0);
});

test.each(Object.keys(EDITS) as OperationName[])(
  '%s, on every place, gives a document the server takes, and its inverse gives the old one back',
  (name) => {
    let made = 0;
    for (const edit of editsOf(name, 48)) {
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
