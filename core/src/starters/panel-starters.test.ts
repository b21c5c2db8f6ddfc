import { describe, expect, test } from '@jest/globals';
import { DEMO, MARISMA, compilePage } from '../../test/demo.ts';
import { applyPatch } from '../edit/json-patch.ts';
import { runEdit } from '../edit/operations.ts';
import { slotsOf } from '../kinds/catalogue.ts';
import { arrivingAt } from '../kinds/folds.ts';
import type { Panel } from '../kinds/pieces/panel/shape.ts';
import { askedAt, hasSlot, levelsOf, ownersOf, partsOf } from '../kinds/placed.ts';
import type { Site } from '../kinds/site.ts';
import { loadSite } from '../load/load-site.ts';
import { itemKey, itemKeysIn } from '../model/states.ts';
import { itemsWithRole } from '../kinds/wearers.ts';
import { bandAt, effectiveLook } from '../resolve/resolve.ts';
import { contrastOf } from '../resolve/backdrop.ts';
import { applyPanelStarter } from './apply-panel.ts';
import { PANEL_STARTERS } from './panel-designs.ts';
import type { PanelStarter } from './panel-starter.ts';
import { createPlainSite } from './plain.ts';

const panelOf = (site: Site) => site.pieces.find((piece): piece is Panel => piece.kind === 'panel') as Panel;

function apply(site: Site, starter: PanelStarter) {
  const ran = runEdit(site, { name: 'set-design', args: applyPanelStarter(site, panelOf(site), starter) });
  if (!ran.ok) throw new Error(ran.error[0]?.message);
  return ran.value;
}

const PLAIN_SITE = createPlainSite({
  name: 'Reserve',
  url: 'https://marisma.example',
  menu: { items: DEMO.menus[0]?.items ?? [] },
  pages: DEMO.pages,
});

const SITES: readonly (readonly [string, Site])[] = [
  ['the demo', MARISMA],
  ['a plain one', DEMO],
  ['a new one', PLAIN_SITE],
];

test('there are at least ten, each of its own', () => {
  expect(PANEL_STARTERS.length).toBeGreaterThanOrEqual(10);
  expect(new Set(PANEL_STARTERS.map(({ id }) => id)).size).toBe(PANEL_STARTERS.length);
  expect(new Set(PANEL_STARTERS.map(({ look }) => JSON.stringify(look))).size).toBe(PANEL_STARTERS.length);
});

describe.each(PANEL_STARTERS.map((starter) => [starter.name, starter] as const))(
  'the panel %s',
  (_name, starter) => {
    test.each(SITES)('fits %s, loses nothing, and its inverse brings everything back', (_what, site) => {
      const { site: changed, inverse } = apply(site, starter);
      const loaded = loadSite(JSON.parse(JSON.stringify(changed)));
      expect(loaded.ok ? [] : loaded.error).toEqual([]);
      const kept = partsOf(site, panelOf(site)).map(({ id }) => id);
      expect(partsOf(changed, panelOf(changed)).map(({ id }) => id)).toEqual(expect.arrayContaining(kept));
      const back = applyPatch(changed, inverse);
      expect(back.ok && back.value.document).toEqual(site);
    });

    test.each(SITES)('can be read in every state on %s', (_what, site) => {
      const { site: changed } = apply(site, starter);
      const panel = panelOf(changed);
      const own = partsOf(changed, panel);
      const inside = new Set([
        panel.id,
        ...own.map(({ id }) => id),
        ...own
          .flatMap((part) => (part.kind === 'berth' ? arrivingAt(changed, part.id) : []))
          .map(({ id }) => id),
      ]);
      const band = bandAt(changed, 390);
      const failing: string[] = [];
      for (const owner of ownersOf(changed).values()) {
        if (!inside.has(owner.id)) continue;
        for (const [slot, kind] of Object.entries(slotsOf(owner.kind))) {
          if (kind.text === 'none' || !hasSlot(changed, owner, slot)) continue;
          const ref = { owner: owner.id, slot };
          const single = [
            ...itemKeysIn(effectiveLook(changed, ref)),
            ...itemsWithRole(changed, ref).map(({ id }) => itemKey(id)),
          ].map((key) => askedAt(changed, ref, key));
          const levels = kind.levels.length > 0 ? levelsOf(changed, owner, slot) : [null];
          for (const asked of [...levels.map((level) => ({ level })), ...single])
            for (const state of kind.states)
              for (const scene of changed.scenes) {
                if (state === 'scrolled') continue;
                const situation = {
                  ...ref,
                  ...asked,
                  states: state === 'rest' ? [] : [state],
                  band,
                };
                const report = contrastOf(changed, situation, scene);
                if (report && !report.passes)
                  failing.push(`${owner.id} ${slot} ${JSON.stringify(asked)} ${state} ${report.ratio}`);
              }
        }
      }
      expect([...new Set(failing)]).toEqual([]);
    });

    test('compiles, and another one takes its place whole', () => {
      const { site } = apply(DEMO, starter);
      expect(compilePage(site).markup).toContain('>News</a>');
      const next = PANEL_STARTERS[0] as PanelStarter;
      expect(panelOf(apply(site, next).site).look).toEqual(next.look);
    });
  },
);
