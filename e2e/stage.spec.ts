import type { Page } from '@playwright/test';
import {
  idsOf,
  makePart,
  ownersOf,
  placedParts,
  regionsOf,
  runEdit,
  sectionsOf,
  slotsOf,
  type Edit,
  type Site,
} from '@hamaca/core';
import { randomValue, seeded, type Random } from '../core/test/random-site.ts';
import { copyDemo, expect, savedSite, stageFrame, test } from './support/app.ts';

const EDITS = 300;
/** Edits between two looks at a page that was loaded anew. */
const LOOK_EVERY = 20;

/** An edit that a designer could make now; it may turn out not to be possible. */
function randomEdit(random: Random, site: Site, count: number): Edit {
  const { part } = random.pick(placedParts(site));
  const place = { region: random.pick([...regionsOf(site).keys()]), index: random.pick([0, 1, 9]) };
  const owner = random.pick(
    [...ownersOf(site).values()].filter(({ kind }) => Object.keys(slotsOf(kind)).length > 0),
  );
  const slot = random.pick(Object.keys(slotsOf(owner.kind)));
  const kind = slotsOf(owner.kind)[slot];
  const property = random.pick(kind?.properties ?? []);
  const text = makePart('text', `text-${count}`, {
    entries: [{ id: `entry-${count}`, text: `Words ${count}`, target: { kind: 'none' }, icon: null }],
  });
  return random.pick<() => Edit>([
    () => ({ name: 'move-part', args: { id: part.id, place } }),
    () => ({ name: 'move-part', args: { id: part.id, place } }),
    () => ({ name: 'fold-part', args: { id: part.id, from: random.pick([null, 'phone']), panel: 'panel' } }),
    () => ({
      name: 'add-part',
      args: { part: random.chance(0.5) ? text : makePart('search', `search-${count}`), place },
    }),
    () => ({
      name: 'remove-part',
      args: { id: part.kind === 'menu' || part.kind === 'opener' ? 'nothing' : part.id },
    }),
    () => ({
      name: 'set-owner',
      args: { id: 'header', fields: { over: random.chance(0.5) } },
    }),
    () => ({
      name: 'set-owner',
      args: {
        id: random.pick(sectionsOf(site)).section.id,
        fields: { arrangement: random.pick(['around', 'equal', 'between']) },
      },
    }),
    () => ({
      name: 'set-look',
      args: {
        cells: [
          {
            owner: owner.id,
            slot,
            level: 'all',
            state: random.pick(kind?.states ?? ['rest']),
            band: random.pick(['all', 'phone']),
            property,
            value: random.chance(0.3) ? null : randomValue(random, site, property),
          },
        ],
      },
    }),
  ])();
}

/** What the stage shows: markup without the marks of the interface, and where everything stands. */
async function shown(page: Page) {
  const frame = await stageFrame(page);
  return frame.locator('body').evaluate((body) => {
    const copy = body.cloneNode(true) as HTMLElement;
    for (const element of [copy, ...copy.querySelectorAll('*')])
      for (const name of ['data-chosen', 'data-lit', 'data-pin', 'style']) element.removeAttribute(name);
    for (const script of copy.querySelectorAll('script')) script.remove();
    const boxes = [...body.querySelectorAll('[class^=hm-], [class^=hm-] *')].map((element) => {
      const { x, y, width, height } = element.getBoundingClientRect();
      return [element.className.toString(), ...[x, y, width, height].map(Math.round)].join(' ');
    });
    return [copy.innerHTML, ...boxes];
  });
}

/** Where two pages differ first; null where they are the same. Both may still be settling. */
function firstDifference(one: readonly string[], other: readonly string[]) {
  const longer = one.length > other.length ? one : other;
  const at = longer.findIndex((_, index) => one[index] !== other[index]);
  return at === -1 ? null : { patched: one[at], anew: other[at] };
}

const turn = async (page: Page, key: 'Home' | 'End') => {
  await page.getByRole('slider', { name: 'Width of the stage' }).focus();
  await page.keyboard.press(key);
};

test(`after ${EDITS} random edits and moves the stage is what a page loaded anew shows`, async ({
  page,
  context,
}) => {
  const random = seeded(7);
  const id = await copyDemo(page);
  const open = async (tab: Page) => {
    await tab.goto(`/sites/${id}/bench/header`);
    await stageFrame(tab);
    await tab.evaluate(() => document.fonts.ready);
    // What is selected in a panel opens it; the bar never moves there.
    await tab.getByRole('navigation', { name: 'Parts' }).getByRole('button', { name: 'Bar' }).click();
  };
  await open(page);
  const fresh = await context.newPage();
  let site = await savedSite(page, id);
  let revision = Number(
    /\d+/.exec((await page.request.get(`/api/sites/${id}`)).headers()['etag'] ?? '')?.[0],
  );
  const kinds = new Set<string>();
  for (let count = 1; count <= EDITS; count++) {
    const edit = randomEdit(random, site, count);
    const ran = runEdit(site, edit);
    if (ran.ok && ran.value.patch.length > 0) {
      const answer = await page.request.patch(`/api/sites/${id}`, {
        headers: {
          'content-type': 'application/json-patch+json',
          'if-match': `"${revision}"`,
          'edit-id': `random-edit-${count}`,
          'edit-client': 'random-client',
          'edit-kind': 'edit',
          'edit-label': 'Random',
        },
        data: JSON.stringify(ran.value.patch),
      });
      expect(answer.ok(), `${JSON.stringify(edit)}: ${await answer.text()}`).toBe(true);
      site = ran.value.site;
      revision++;
      kinds.add(edit.name);
    }
    if (count % LOOK_EVERY !== 0) continue;
    // Now and then the stage is narrow, spread or wide while edits arrive.
    const key = random.pick(['Home', 'End'] as const);
    await turn(page, key);
    await page.keyboard.press('Alt+s');
    await page.keyboard.press('Alt+s');
    await open(fresh);
    await turn(fresh, key);
    await expect
      .poll(async () => firstDifference(await shown(page), await shown(fresh)), {
        message: `after ${count} edits`,
      })
      .toBeNull();
  }
  expect(kinds.size).toBeGreaterThan(5);
  expect(idsOf(site).size).toBeGreaterThan(40);
});
