import { describe, expect, test } from '@jest/globals';
import { readArrangement } from './bench-arrangement.ts';

describe('the arrangement of the bench as the browser keeps it', () => {
  test('comes back as it was put', () => {
    const kept = {
      arrangement: 'tall',
      stageHeight: 400,
      settingsFolded: true,
      closedGroups: ['fill', 'space'],
      foldedBranches: ['main-row'],
    };
    expect(readArrangement(JSON.stringify(kept))).toEqual(kept);
  });

  test.each([
    null,
    '',
    '{"stageHeight":4',
    'null',
    '7',
    '[]',
    '{"arrangement":"sideways","stageHeight":"high","closedGroups":"all","foldedBranches":{"a":1}}',
    '{"closedGroups":[3,"none"],"foldedBranches":[null,{}]}',
  ])('is the usual one where %j is kept', (text) => {
    expect(readArrangement(text)).toEqual({
      arrangement: 'auto',
      stageHeight: 272,
      settingsFolded: false,
      closedGroups: [],
      foldedBranches: [],
    });
  });

  test('never hides the stage or the sheet', () => {
    expect(readArrangement('{"stageHeight":-5}').stageHeight).toBe(120);
    expect(readArrangement('{"stageHeight":99999}').stageHeight).toBe(640);
  });
});
