/** A parent's link and its sign are two controls and one shape; what it opens hangs beneath the bar. */
import { expect, test, type Page } from '@playwright/test';
import { STARTERS, type Edit, type Site } from '@hamaca/core';
import { loadFaces } from './support/faces.ts';
import {
  demoSite,
  designedDemo,
  edited,
  handOff,
  pasteInto,
  startHost,
  type Host,
} from './support/output.ts';

const DEMO = demoSite();

/** The demo with values for its links, and its last parent a call to action with a page of its own. */
const shaped = (): Site =>
  edited(DEMO, {
    name: 'several',
    args: {
      edits: [
        {
          name: 'set-look',
          args: {
            cells: [
              ['rest', 'gap', 10],
              ['hover', 'fill', { literal: '#ffdd00' }],
              ['current', 'fill', { literal: '#00ddff' }],
              ['focus', 'outline', { line: { width: 3, style: 'dotted', colour: { literal: '#ff0000' } } }],
            ].map(([state, property, value]) => ({
              owner: 'menu-main',
              slot: 'link',
              property,
              level: '1',
              state,
              band: 'all',
              value,
            })),
          },
        },
        { name: 'set-item', args: { id: DEMO.menus[0]?.items[2]?.id ?? '', fields: { role: 'action' } } },
      ],
    },
  } as Edit);

let host: Host;
test.beforeAll(async () => {
  host = await startHost();
});
test.afterAll(async () => {
  await host.close();
});

async function show(page: Page, site: Site, { width = 1440, path = '/' } = {}): Promise<void> {
  host.put(pasteInto(handOff(site)));
  await page.setViewportSize({ width, height: 600 });
  await page.goto(host.url + path);
  await loadFaces(page);
}

/** Of each parent in a row: from the end of its label to the start of its sign, in px, and whether it has a page. */
const distances = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll('nav > ul > li > [class*=parent]')].map((box) => {
      const sign = box.querySelector('[class*=marker]');
      const lead = box.querySelector('[class*=lead]');
      const label = document.createRange();
      label.selectNodeContents(lead ?? box);
      if (!lead && sign) label.setEndBefore(sign);
      return {
        hasPage: lead !== null,
        distance: (sign?.getBoundingClientRect().left ?? 0) - label.getBoundingClientRect().right,
      };
    }),
  );

const background = (page: Page, selector: string) =>
  page
    .locator(selector)
    .first()
    .evaluate((element) => getComputedStyle(element).backgroundColor);

for (const design of STARTERS)
  test(`in the design ${design.name} signs stand at one distance and submenus hang from the bar`, async ({
    page,
  }) => {
    await show(page, designedDemo(design));
    const found = await distances(page);
    expect(found.map(({ hasPage }) => hasPage)).toEqual(expect.arrayContaining([true, false]));
    for (const { distance } of found) expect(distance).toBeCloseTo(found[0]?.distance ?? 0, 1);
    for (const button of await page.locator('nav [aria-expanded]').all()) {
      await button.focus();
      await page.keyboard.press('Enter');
      const gap = await page.evaluate(() => {
        const box = [...document.querySelectorAll('ul[id]')].find((list) => list.clientHeight > 0);
        const edge = document.querySelector('header')?.getBoundingClientRect().bottom ?? 0;
        return box ? box.getBoundingClientRect().top - edge : null;
      });
      expect(Math.abs(gap ?? 99)).toBeLessThan(0.6);
      await page.keyboard.press('Escape');
    }
  });

test('the distance from label to sign is the link’s own gap, whether a parent has a page or not', async ({
  page,
}) => {
  await show(page, shaped());
  for (const { distance } of (await distances(page)).filter((_one, index) => index !== 2))
    expect(distance).toBeCloseTo(10, 1);
});

test('pointing at either half, focus and the current page show around both', async ({ page }) => {
  await show(page, shaped());
  const parent = '.hm-main-parent:has(.hm-main-lead)';
  await page.locator('.hm-main-marker').first().hover();
  expect(await background(page, parent)).toBe('rgb(255, 221, 0)');
  await page.getByRole('link', { name: 'Visit' }).hover();
  expect(await background(page, parent)).toBe('rgb(255, 221, 0)');
  // Over an open submenu the parent is not pointed at.
  await page.getByRole('link', { name: 'Opening hours' }).hover();
  expect(await background(page, parent)).not.toBe('rgb(255, 221, 0)');
  await page.getByRole('link', { name: 'Visit' }).focus();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Shift+Tab');
  const outline = (selector: string) =>
    page
      .locator(selector)
      .first()
      .evaluate((element) => getComputedStyle(element).outlineStyle);
  expect([await outline(parent), await outline('.hm-main-lead')]).toEqual(['dotted', 'none']);
  // The button of the sign has a ring of its own: the two can be told apart.
  await page.keyboard.press('Tab');
  expect([await outline(parent), await outline('.hm-main-marker')]).toEqual(['none', 'solid']);
  await page.goto(`${host.url}/visit/`);
  expect(await background(page, parent)).toBe('rgb(0, 221, 255)');
});

test('the whole shape leads to the page but for its sign, a call to action too', async ({ page }) => {
  await show(page, shaped());
  for (const name of ['Visit', 'Learn']) {
    const box = await page.getByRole('link', { name, exact: true }).locator('..').boundingBox();
    if (!box) throw new Error('not shown');
    // The corner of the padding belongs to the link.
    await page.mouse.click(box.x + 2, box.y + box.height - 2);
    await expect(page).toHaveURL(new RegExp(`/${name.toLowerCase()}/`));
    await page.goto(host.url);
  }
});

test('in a panel all signs stand at its end, and their links show as pointed at', async ({ page }) => {
  await show(page, shaped(), { width: 390 });
  await page.getByRole('button', { name: 'Menu', exact: true }).click();
  const ends = await page
    .locator('dialog [class*=marker]')
    .evaluateAll((signs) => signs.map((sign) => Math.round(sign.getBoundingClientRect().right)));
  expect(new Set(ends.filter((_end, index) => index !== 2)).size).toBe(1);
  const sizes = await page
    .locator('dialog button[class*=marker]')
    .evaluateAll((signs) => signs.map((sign) => [sign.clientWidth, sign.clientHeight]));
  for (const [width, height] of sizes) {
    expect(width).toBeGreaterThanOrEqual(44);
    expect(height).toBeGreaterThanOrEqual(40);
  }
});
