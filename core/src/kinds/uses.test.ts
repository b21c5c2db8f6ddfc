import { expect, test } from '@jest/globals';
import { DEMO } from '../../test/demo.ts';
import { after } from '../../test/pieces.ts';
import { usesOf } from './uses.ts';

test('what opens a panel, folds into it or leads to it is named', () => {
  expect(usesOf(DEMO, 'panel')).toEqual(expect.arrayContaining(['Menu in Header', 'Opener in Header']));
  const link = DEMO.menus[0]?.items[0];
  if (!link) throw new Error('no link');
  const led = after(DEMO, {
    name: 'set-item',
    args: { id: link.id, fields: { target: { kind: 'panel', panel: 'panel' } } },
  });
  expect(usesOf(led, 'panel')).toContain(`link ${link.label} in Main`);
});

test('a piece that nothing refers to has no uses', () => {
  expect(usesOf(DEMO, 'header')).toEqual([]);
  expect(usesOf(DEMO, 'nobody')).toEqual([]);
});
