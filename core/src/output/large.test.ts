import { expect, test } from '@jest/globals';
import postcss, { type AtRule, type Rule } from 'postcss';
import { compilePage, rawDemo } from '../../test/demo.ts';
import { slotsOf, type OwnerKind } from '../kinds/catalogue.ts';
import { property } from '../kinds/properties/properties.ts';
import { loadSite } from '../load/load-site.ts';
import { lookCells } from '../kinds/looks.ts';

const WANTED = 20_000;

test(`a document with ${WANTED} values of looks loads, compiles and says nothing twice`, () => {
  const raw = rawDemo();
  raw.bands = Array.from({ length: 8 }, (_, index) => ({
    id: index === 0 ? 'wide' : index === 7 ? 'phone' : `b${index}`,
    name: `Band ${index}`,
    min: index === 7 ? 0 : 1400 - index * 100,
  }));
  const owners = [
    raw.pieces[0],
    raw.pieces[0].rows[0],
    ...Object.values(raw.pieces[0].rows[0].zones).flat(),
    raw.pieces[1],
  ] as { kind?: OwnerKind; look: Record<string, unknown> }[];
  let written = 0;
  for (const owner of owners) {
    owner.look = {};
    for (const [slot, kind] of Object.entries(slotsOf(owner.kind ?? 'row'))) {
      const levels = ['all', ...(kind.levels.length > 1 ? kind.levels.map(String) : [])];
      owner.look[slot] = Object.fromEntries(
        levels.map((level) => [
          level,
          Object.fromEntries(
            kind.states.map((state) => [
              state,
              Object.fromEntries(
                ['all', ...raw.bands.slice(1).map((band: { id: string }) => band.id)].map((band: string) => [
                  band,
                  Object.fromEntries(
                    kind.properties.flatMap((id) => {
                      const entry = property(id);
                      written++;
                      // Neighbours differ, so that next to nothing can be left out.
                      const turn = (written * 2654435761) >>> 16;
                      return [
                        [
                          id,
                          entry.kind === 'number'
                            ? entry.min + (turn % 3) * entry.step
                            : entry.kind === 'length'
                              ? entry.min + (turn % 5)
                              : entry.kind === 'declarations'
                                ? `order: ${turn % 7}`
                                : entry.initial,
                        ],
                      ];
                    }),
                  ),
                ]),
              ),
            ]),
          ),
        ]),
      );
    }
  }
  expect(written).toBeGreaterThan(WANTED);
  const loaded = loadSite(raw);
  if (!loaded.ok) throw new Error(loaded.error[0]?.message);
  expect(lookCells(loaded.value)).toHaveLength(written);
  const { stylesheet } = compilePage(loaded.value);
  expect(stylesheet.split('\n').length).toBeGreaterThan(5000);
  expect(stylesheet).not.toMatch(/undefined|NaN/);
  const sheet = postcss.parse(stylesheet);
  const said = new Set<string>();
  let repeated = 0;
  sheet.walkDecls((declaration) => {
    // Faces of one family say much that is the same.
    if ((declaration.parent as AtRule | undefined)?.name === 'font-face') return;
    const around: string[] = [];
    for (let at = declaration.parent; at && at.type !== 'root'; at = at.parent as typeof at)
      around.push((at as Rule).selector ?? (at as AtRule).params);
    const key = [...around, declaration.toString()].join(' ');
    if (said.has(key)) repeated++;
    said.add(key);
  });
  expect(said.size).toBeGreaterThan(3500);
  expect(repeated).toBe(0);
});
