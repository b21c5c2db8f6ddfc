import { expect, test } from '@jest/globals';
import { ownersOf, runEdit, type Edit, type Site } from '@hamaca/core';
import { DEMO } from '../../../core/test/demo.ts';
import { findPart } from './placed.ts';
import { changedLooks } from './same-structure.ts';

const after = (edit: Edit): Site => {
  const ran = runEdit(DEMO, edit);
  if (!ran.ok) throw new Error(ran.error[0]?.message);
  return ran.value.site;
};
const cell = { slot: 'button', level: 'all', state: 'rest', band: 'all', property: 'radius' } as const;

test('a look that changes leaves the structure the same', () => {
  const changed = after({ name: 'set-look', args: { cells: [{ ...cell, owner: 'book', value: 3 }] } });
  expect(changed.pieces).not.toEqual(DEMO.pieces);
  expect(changedLooks(DEMO, changed, [])).toEqual([
    [findPart(DEMO, 'book')?.look, findPart(changed, 'book')?.look],
  ]);
  expect(changedLooks(DEMO, changed, ['pieces'])).toBeNull();
});

test('a copy says the same, whatever its looks', () => {
  const looks = changedLooks(DEMO, structuredClone(DEMO), []);
  expect(looks).toHaveLength(ownersOf(DEMO).size);
});

test.each<readonly [string, Edit]>([
  [
    'a part that moves',
    { name: 'move-part', args: { id: 'book', place: { region: 'row-main.start', index: 0 } } },
  ],
  ['a part that goes', { name: 'remove-part', args: { id: 'book' } }],
  ['a copy', { name: 'duplicate-part', args: { id: 'book', copy: 'again' } }],
  ['a setting', { name: 'set-owner', args: { id: 'book', fields: { label: 'Come' } } }],
  ['a setting that comes', { name: 'set-owner', args: { id: 'book', fields: { bands: ['wide'] } } }],
  ['a fold', { name: 'fold-part', args: { id: 'logo', from: 'phone', panel: 'panel' } }],
  [
    'a fold that is for want of room alone',
    { name: 'fold-part', args: { id: 'book', from: 'phone', tight: false } },
  ],
  ['a piece', { name: 'duplicate-piece', args: { id: 'header', copy: 'slim' } }],
])('%s changes it', (_what, edit) => {
  expect(changedLooks(after(edit), DEMO, [])).toBeNull();
});

test('plain values are compared as they are', () => {
  const told = (a: unknown, b: unknown) => changedLooks({ pieces: a } as Site, { pieces: b } as Site, []);
  expect(told([1, { a: null }], [1, { a: null }])).toEqual([]);
  expect(told([{ look: 1 }], [{ look: 2 }])).toEqual([[1, 2]]);
  for (const [a, b] of [
    [[1], [1, 2]],
    [{ a: 1 }, { b: 1 }],
    [{ a: undefined }, { b: 1 }],
    [{ look: 1 }, { other: 1 }],
    [null, {}],
    ['1', 1],
  ])
    expect(told(a, b)).toBeNull();
});
