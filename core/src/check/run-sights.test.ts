import { describe, expect, test } from '@jest/globals';
import { DEMO, headerParts } from '../../test/demo.ts';
import { runChecks } from './run-checks.ts';
import { runSightChecks } from './run-sights.ts';
import { SIGHTS, type Sight, type SightKind } from './sights/sight.ts';
import { CHECKS } from './checks.ts';
import type { Finding } from './check.ts';

const menu = headerParts(DEMO).find(({ kind }) => kind === 'menu')?.id ?? '';

const sight = (kind: SightKind, amount: number, more: Partial<Sight> = {}): Sight => ({
  owner: menu,
  slot: 'link',
  level: 1,
  kind,
  amount,
  words: 'Birds',
  other: null,
  width: 390,
  opened: [],
  ...more,
});

/** Dark on dark, and dark on light. */
const FAINT = { mark: ['rgb(20, 20, 20)'], grounds: ['rgba(0, 0, 0, 0.5)', 'rgb(90, 90, 90)'] };
const CLEAR = { mark: ['rgb(20, 20, 20)'], grounds: ['rgb(255, 255, 255)'] };

const told = (sights: readonly Sight[], found: readonly Finding[] = []) =>
  runSightChecks(DEMO, sights, found).map(({ check, reason }) => `${check}: ${reason}`);

describe('what a browser drew', () => {
  test('is judged by one check a kind', () => {
    expect(CHECKS.flatMap((check) => (check.of === 'sight' ? [check.sees] : [])).toSorted()).toEqual(
      [...SIGHTS].toSorted(),
    );
  });

  test('is told with where it is, and is seen there', () => {
    const [finding, ...others] = runSightChecks(
      DEMO,
      [sight('cut', 11.2, { opened: ['Visit', 'Hides'] })],
      [],
    );
    expect(others).toEqual([]);
    expect(finding).toMatchObject({
      check: 'text-cut',
      outcome: 'fail',
      reason: '“Birds” is cut by 12 px at 390 px with “Visit” › “Hides” open.',
      evidence: 'Header › “Birds”',
      at: { piece: 'header', width: 390, cell: { owner: menu, slot: 'link', property: 'size', level: '1' } },
    });
  });

  test('is told once for each thing, at its worst', () => {
    expect(
      told([
        sight('small', 20),
        sight('small', 12.6, { width: 320 }),
        sight('outside', 4),
        sight('outside', 30, { width: 320 }),
        sight('small', 22, { words: 'Visit' }),
      ]),
    ).toEqual([
      'leaves-window: “Birds” reaches 30 px past the window at 320 px.',
      'target-tiny: “Birds” can be pressed on 12.6 px at 320 px, where 24 px are needed.',
      'target-tiny: “Visit” can be pressed on 22 px at 390 px, where 24 px are needed.',
    ]);
  });

  test('of two things in one place names both', () => {
    expect(told([sight('beneath', 8, { other: 'Menu' })])).toEqual([
      'lies-beneath: “Birds” and “Menu” lie 8 px over one another at 390 px.',
    ]);
  });

  test('a mark is weighed by its colours over all grounds behind it; what cannot be read is not told', () => {
    const mark = (paint: NonNullable<Sight['paint']>) => [sight('faint', 0, { paint, words: '' })];
    expect(told(mark(FAINT))).toEqual([expect.stringMatching(/^mark-faint: The mark of .* has 1\.\d : 1/)]);
    expect(told(mark(CLEAR))).toEqual([]);
    expect(told(mark({ ...FAINT, mark: ['rgb(20, 20, 20)', 'rgb(250, 250, 250)'] }))).toEqual([]);
    expect(told(mark({ ...FAINT, mark: ['url(#reeds)'] }))).toEqual([]);
    // What is clear in one state may be faint in another.
    expect(told([...mark(CLEAR), ...mark(FAINT)])).toHaveLength(1);
  });

  test('what is calculated already is not told twice, and what is gone is not told', () => {
    const at = { piece: 'header', cell: { owner: menu, slot: 'link' } } as Finding['at'];
    const known = { check: 'target-small', at } as Finding;
    expect(told([sight('small', 12)], [known])).toEqual([]);
    expect(told([sight('small', 12, { slot: 'list' })], [known])).toHaveLength(1);
    expect(told([sight('small', 12, { owner: 'gone' }), sight('cut', 12, { slot: 'nothing' })])).toEqual([]);
  });

  test('every finding has a place of its own among all', () => {
    const all = SIGHTS.flatMap((kind) =>
      ['Birds', 'Visit'].map((words) =>
        sight(kind, 1, { words, ...(kind === 'faint' ? { paint: FAINT } : {}) }),
      ),
    );
    const found = [...runChecks(DEMO), ...runSightChecks(DEMO, all, [])];
    const keys = found.map(({ check, item, path }) => `${check} ${item ?? path}`);
    expect(new Set(keys).size).toBe(keys.length);
    expect(found.length).toBeGreaterThanOrEqual(all.length);
  });
});
