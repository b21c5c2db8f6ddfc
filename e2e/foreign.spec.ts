import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { facesLoaded } from './support/faces.ts';
import { still } from './support/motion.ts';
import { DRESSED, FURNISHED, open, opener, OUTPUT, test, visitSubmenu } from './support/pasted.ts';
import { demoSite, edited, handOff, inOne, marisma, ringed, saying, wholeMarisma } from './support/output.ts';
import { differences, OURS, snapshot, type Snapshot } from './support/snapshot.ts';

/** Opens what opens and answers how everything of ours looks before and after. */
async function states(page: Page, width: number): Promise<{ closed: Snapshot; open: Snapshot }> {
  await facesLoaded(page);
  // The host's stylesheet may move the whole piece; what is inside must not change.
  await page.addStyleTag({
    content: 'body{margin:0!important;padding:0!important;max-width:none!important}',
  });
  const closed = await snapshot(page, OURS);
  if (width < 1000) await opener(page).click();
  await visitSubmenu(page).click();
  await page.mouse.move(5, 690);
  await still(page);
  return { closed, open: await snapshot(page, OURS) };
}

/** How an output looks on a page of its own, by output and width. */
const alone = new Map<string, Promise<{ closed: Snapshot; open: Snapshot }>>();

const sheet = (path: string) => readFileSync(new URL(`../node_modules/${path}`, import.meta.url), 'utf8');
const FOREIGN: Readonly<Record<string, string>> = {
  bootstrap: sheet('bootstrap/dist/css/bootstrap.css'),
  bulma: sheet('bulma/css/bulma.css'),
  pico: sheet('@picocss/pico/css/pico.css'),
  normalize: sheet('normalize.css/normalize.css'),
  sanitize:
    sheet('sanitize.css/sanitize.css') +
    sheet('sanitize.css/forms.css') +
    sheet('sanitize.css/typography.css'),
  milligram: sheet('milligram/dist/milligram.css'),
  pure: sheet('purecss/build/pure-min.css'),
  water: sheet('water.css/out/water.css'),
  tachyons: sheet('tachyons/css/tachyons.min.css'),
};

/** A bar that stays, links that scroll in it, a panel of two blocks from below, and an opener fixed on the page. */
const STANDING = handOff(
  saying(edited(demoSite(), { name: 'set-owner', args: { id: 'panel', fields: { closeAs: 'both' } } }), [
    { owner: 'header', slot: 'bar', property: 'sticks', value: 'stays on top' },
    { owner: 'row-main', slot: 'row', state: 'scrolled', property: 'height', value: 48 },
    { owner: 'menu-main', slot: 'list', property: 'menuForm', value: 'the rest under “more”' },
    { owner: 'panel', slot: 'panel', property: 'stands', value: 'at the bottom' },
    { owner: 'panel', slot: 'panel', property: 'blocksStand', value: 'side by side' },
    { owner: 'opener', slot: 'opener', property: 'fixedAt', band: 'phone', value: 'at the top, end' },
  ]),
);

const OUTPUTS = {
  'a bar and a panel that stand': STANDING,
  'the demo': OUTPUT,
  Marisma: handOff(marisma()),
  'links with everything': DRESSED,
  'parts of every kind': FURNISHED,
} as const;

/** What every sheet is tried with, and what the largest are tried with besides. */
const PLACES = [
  ['before', 'parts of every kind'],
  ['after', 'parts of every kind'],
] as const;
const MORE_PLACES = [
  ['before', 'a bar and a panel that stand'],
  ['after', 'a bar and a panel that stand'],
  ['after', 'the demo'],
  ['after', 'Marisma'],
  ['after', 'links with everything'],
] as const;
const LARGE = ['bootstrap', 'bulma', 'pico'];

for (const [name, css] of Object.entries(FOREIGN)) {
  for (const [where, what] of [...PLACES, ...(LARGE.includes(name) ? MORE_PLACES : [])]) {
    const output = OUTPUTS[what];
    test(`${name} loaded ${where} ${what} changes nothing of ours, and we nothing of the host’s`, async ({
      page,
      host,
    }) => {
      for (const width of [390, 1280]) {
        const key = `${what} ${width}`;
        if (!alone.has(key)) {
          await open(page, host, width, {}, output);
          alone.set(key, states(page, width));
        }
        const before = await alone.get(key);
        await open(page, host, width, { [where]: css }, output);
        const among = await states(page, width);
        if (!before) throw new Error('There is nothing to compare with.');
        expect(differences(before.closed, among.closed)).toEqual([]);
        expect(differences(before.open, among.open)).toEqual([]);
        expect(before.open.elements.length).toBeGreaterThan(20);
      }
      await open(page, host, 1280, { [where]: css }, output);
      const withOurs = await snapshot(page, 'main');
      await page.evaluate(() => {
        document.querySelector('link[href="/menu.css"]')?.remove();
      });
      const removed = await page.locator(OURS).evaluateAll((roots) => {
        for (const root of roots) root.remove();
        return roots.length;
      });
      expect(removed).toBeGreaterThan(1);
      const without = await snapshot(page, 'main');
      const sizes = /^(perspective-origin|transform-origin|block-size|height|inline-size|width)/;
      expect(differences(withOurs, without, sizes)).toEqual([]);
    });
  }
}

/** Every piece of a page at once: header, footer, column, a ring in the corner and a bar along the bottom. */
const WHOLE = inOne(handOff(ringed(wholeMarisma())));

/** How every piece looks before and after what can be opened of them is open. */
async function wholeStates(page: Page): Promise<{ closed: Snapshot; open: Snapshot }> {
  await facesLoaded(page);
  await page.addStyleTag({
    content: 'body{margin:0!important;padding:0!important;max-width:none!important}',
  });
  const closed = await snapshot(page, OURS);
  for (const heading of await page.locator('[class$="-heading"] > button').all())
    if (await heading.isVisible()) await heading.click();
  await page.evaluate(() => {
    scrollTo({ top: 0, behavior: 'instant' });
  });
  await page.locator('[class$="-ring-opener"]').click();
  await page.mouse.move(5, 5);
  await still(page);
  return { closed, open: await snapshot(page, OURS) };
}

const wholeAlone = new Map<number, Promise<{ closed: Snapshot; open: Snapshot }>>();

for (const name of LARGE)
  for (const where of ['before', 'after'] as const)
    test(`${name} loaded ${where} every kind of piece changes nothing of ours`, async ({ page, host }) => {
      for (const width of [390, 1280]) {
        if (!wholeAlone.has(width)) {
          await open(page, host, width, {}, WHOLE);
          wholeAlone.set(width, wholeStates(page));
        }
        const before = await wholeAlone.get(width);
        await open(page, host, width, { [where]: FOREIGN[name] ?? '' }, WHOLE);
        const among = await wholeStates(page);
        if (!before) throw new Error('There is nothing to compare with.');
        expect(differences(before.closed, among.closed)).toEqual([]);
        expect(differences(before.open, among.open)).toEqual([]);
        expect(before.open.elements.length).toBeGreaterThan(100);
      }
    });
