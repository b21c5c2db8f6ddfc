import { describe, expect, test } from '@jest/globals';
import { bytesOf, compilePage, DEMO, headerOf, headerParts, MARISMA, rowNeeds } from '../../test/demo.ts';
import { after } from '../../test/pieces.ts';
import { makePart } from '../kinds/create.ts';
import type { Site } from '../kinds/site.ts';
import { slotsOf } from '../kinds/catalogue.ts';
import { itemsWithRole } from '../kinds/wearers.ts';
import { itemOf, type Level, type State } from '../model/states.ts';
import { ownersOf, hasSlot } from '../kinds/placed.ts';
import { failingIn } from '../advice/contrast.ts';
import { runEdit } from '../edit/operations.ts';
import { applyPatch } from '../edit/json-patch.ts';
import { loadSite } from '../load/load-site.ts';
import { contrastOf } from '../resolve/backdrop.ts';
import { applyStarter } from './apply.ts';
import { STARTERS } from './designs.ts';
import { createPlainSite } from './plain.ts';
import { STARTER_TAGS, type Starter } from './starter.ts';

const PLAIN = createPlainSite({
  name: 'Marisma',
  url: '',
  menu: {
    items: DEMO.menus[0]?.items.map((item) => ({ ...item, target: { kind: 'none' }, children: [] })) ?? [],
  },
  pages: [],
});

const apply = (site: Site, starter: Starter) => {
  const ran = runEdit(site, {
    name: 'set-design',
    args: applyStarter(site, headerOf(site), starter),
  });
  if (!ran.ok) throw new Error(ran.error[0]?.message);
  return ran.value;
};

describe.each(STARTERS.map((starter) => [starter.name, starter] as const))(
  'the design %s',
  (_name, starter) => {
    test.each([
      ['the demo', DEMO],
      ['a plain site', PLAIN],
    ] as const)('fits %s, and its inverse brings everything back', (_what, site) => {
      const { site: changed, inverse } = apply(site, starter);
      expect(loadSite(JSON.parse(JSON.stringify(changed)))).toMatchObject({ ok: true });
      const back = applyPatch(changed, inverse);
      expect(back.ok && back.value.document).toEqual(site);
    });
    test('keeps links, words and colours', () => {
      const { site } = apply(DEMO, starter);
      expect([site.menus, site.palette, site.roles, site.pages, site.bands]).toEqual([
        DEMO.menus,
        DEMO.palette,
        DEMO.roles,
        DEMO.pages,
        DEMO.bands,
      ]);
      const parts = headerParts(site);
      const logo = headerParts(DEMO).find((part) => part.kind === 'logo');
      expect(parts.find((part) => part.kind === 'logo')).toMatchObject({
        id: logo?.id,
        svg: logo?.svg,
        text: logo?.text,
      });
      expect(parts.find((part) => part.kind === 'menu')).toMatchObject({ id: 'menu-main', menu: 'main' });
      expect(parts.filter((part) => part.kind === 'opener')).toHaveLength(1);
    });
    test('shows the menu with the most links, whatever stands before it', () => {
      const slim = makePart('menu', 'slim', { menu: DEMO.menus.at(-1)?.id ?? '', levels: 1 });
      const before = after(DEMO, {
        name: 'add-part',
        args: { place: { region: 'row-main.start', index: 0 }, part: slim },
      });
      const [menu] = headerParts(apply(before, starter).site).filter((part) => part.kind === 'menu');
      expect(menu).toMatchObject({ id: 'menu-main', menu: 'main' });
    });
    test('compiles, and again gives the same bytes', () => {
      const { site } = apply(DEMO, starter);
      const compile = () => compilePage(site);
      const output = compile();
      expect(bytesOf(compile())).toEqual(bytesOf(output));
      expect(output.markup).toContain('>News</a>');
      expect(output.stylesheet).not.toMatch(/undefined|NaN|\[object/);
      expect(output.behaviours.includes('scrolled')).toBe(starter.stays);
    });
    test('stands on one line on a phone of 375 px, and unfolded where it unfolds', () => {
      const { site } = apply(DEMO, starter);
      const needed = site.bands.map((_band, band) =>
        Math.max(...headerOf(site).rows.map((_row, row) => rowNeeds(site, band, row))),
      );
      expect(
        needed.map((width, band) =>
          width <= Math.max(375, site.bands[band]?.min ?? 0) ? 'fits' : `needs ${Math.round(width)}`,
        ),
      ).toEqual(site.bands.map(() => 'fits'));
    });
    test('can be read in every state, over whatever lies behind', () => {
      const { site } = apply(DEMO, starter);
      const failing: string[] = [];
      for (const owner of ownersOf(site).values()) {
        for (const [slot, kind] of Object.entries(slotsOf(owner.kind))) {
          if (kind.text === 'none' || !hasSlot(site, owner, slot)) continue;
          const states: readonly State[] = kind.states;
          for (const band of site.bands.keys())
            for (const state of states)
              for (const level of (kind.levels.length > 0
                ? kind.levels
                : [null]) as readonly (Level | null)[])
                for (const scene of site.scenes) {
                  if (state === 'scrolled' && !starter.stays) continue;
                  const report = contrastOf(
                    site,
                    { owner: owner.id, slot, level, states: state === 'rest' ? [] : [state], band },
                    scene,
                  );
                  if (report && !report.passes)
                    failing.push(
                      `${owner.id} ${slot} ${state} level ${level} band ${band} over ${scene.name}: ${report.ratio.toFixed(2)} of ${report.required}`,
                    );
                }
        }
      }
      expect([...new Set(failing)]).toEqual([]);
    });
    test('what stands in calls to action and headings can be read on their grounds', () => {
      const { site } = apply(MARISMA, starter);
      const within = [...ownersOf(site).values()].flatMap((owner) =>
        Object.entries(slotsOf(owner.kind)).flatMap(([slot, kind]) =>
          itemsWithRole(site, { owner: owner.id, slot }).length > 0 ? [{ owner, slot, kind }] : [],
        ),
      );
      expect(within.length).toBeGreaterThan(0);
      expect(
        within
          .flatMap((place) => failingIn(site, place))
          .filter(({ key }) => itemOf(key) !== null)
          .map(({ situation, key, state, ratio }) => `${situation.slot} ${key} ${state} ${ratio}`),
      ).toEqual([]);
    });
  },
);

describe('designs', () => {
  test('are at least ten, each of its own, and every condition is met by one', () => {
    expect(STARTERS.length).toBeGreaterThanOrEqual(10);
    expect(new Set(STARTERS.map((starter) => starter.id)).size).toBe(STARTERS.length);
    for (const tag of STARTER_TAGS) expect(STARTERS.some((starter) => starter.tags.includes(tag))).toBe(true);
    for (const starter of STARTERS)
      expect([starter.tags.includes('stays'), starter.tags.includes('several rows')]).toEqual([
        starter.stays,
        starter.rows.length > 1,
      ]);
  });
  test('switching through all of them keeps the menu and the logo', () => {
    const last = STARTERS.reduce((site, starter) => apply(site, starter).site, DEMO);
    const kinds = headerParts(last).map((part) => part.id);
    expect(kinds).toEqual(expect.arrayContaining(['logo', 'menu-main']));
    expect(loadSite(JSON.parse(JSON.stringify(last))).ok).toBe(true);
  });
});
