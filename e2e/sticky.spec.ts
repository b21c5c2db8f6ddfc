import { expect, type Page } from '@playwright/test';
import type { Site } from '@hamaca/core';
import { facesLoaded } from './support/faces.ts';
import { shifts, still, watchShifts } from './support/motion.ts';
import { axe, open, test } from './support/pasted.ts';
import { demoSite, edited, handOff, marisma, saying, type Host, type SaidValues } from './support/output.ts';

type Cells = readonly (Omit<SaidValues[number], 'owner' | 'slot'> & Partial<SaidValues[number]>)[];

/** A site whose bar, or what else is named, says something. */
const said = (cells: Cells, site: Site = demoSite()): Site =>
  saying(
    site,
    cells.map((cell) => ({ owner: 'header', slot: 'bar', ...cell })),
  );

const LONG = `<style>body{margin:0}</style><main><h1>Marisma</h1>${'<p>The reserve lies where the river meets the sea.</p>'.repeat(30)}<h2 id="there">There</h2>${'<p>Birds rest here in spring.</p>'.repeat(120)}<p id="end">The end</p></main>`;

async function put(page: Page, host: Host, site: Site, width = 1280) {
  await open(page, host, width, { body: LONG }, handOff(site));
  await facesLoaded(page);
}

const bar = (page: Page) => page.locator('.hm-header');
const top = (page: Page) => bar(page).evaluate((element) => Math.round(element.getBoundingClientRect().top));
/** Scrolls as a wheel does, and waits until the bar is still. */
async function scroll(page: Page, by: number) {
  await page.evaluate((distance) => {
    scrollBy({ top: distance, behavior: 'instant' });
  }, by);
  await still(page);
}

for (const over of [false, true])
  test(`a bar ${over ? 'over the page' : 'above it'} stays as its look says, and nothing shifts`, async ({
    page,
    host,
  }) => {
    const start = edited(demoSite(), { name: 'set-owner', args: { id: 'header', fields: { over } } });
    const places = async (sticks: string) => {
      await put(page, host, said([{ property: 'sticks', value: sticks }], start));
      await watchShifts(page);
      const seen: number[] = [await top(page)];
      for (const by of [500, 300, -100]) {
        await scroll(page, by);
        seen.push(await top(page));
      }
      expect(await shifts(page)).toBeLessThan(0.001);
      return seen;
    };
    const height = 72;
    expect(await places('scrolls away')).toEqual([0, -500, -800, -700]);
    expect(await places('stays on top')).toEqual([0, 0, 0, 0]);
    expect(await places('hides on the way down')).toEqual([0, -height, -height, 0]);
    expect(await places('appears after a distance')).toEqual([-height, 0, 0, 0]);
    expect(await places('stays at the bottom')).toEqual(Array(4).fill(700 - height));
  });

test('phone and desktop are set apart', async ({ page, host }) => {
  const site = said([
    { property: 'sticks', value: 'stays on top' },
    { property: 'sticks', value: 'stays at the bottom', band: 'phone' },
  ]);
  await put(page, host, site);
  await scroll(page, 400);
  expect(await top(page)).toBe(0);
  await page.setViewportSize({ width: 390, height: 700 });
  expect(await top(page)).toBeGreaterThan(600);
});

test('a hidden bar comes back where the focus goes into it', async ({ page, host }) => {
  await put(page, host, said([{ property: 'sticks', value: 'hides on the way down' }]));
  await scroll(page, 800);
  expect(await top(page)).toBe(-72);
  await page.keyboard.press('Tab');
  await scroll(page, 0);
  expect(await top(page)).toBe(0);
});

test('a place that a link leads to is not hidden under the bar, and the end of the page not beneath it', async ({
  page,
  host,
}) => {
  const heading = () =>
    page.evaluate(() => document.querySelector('#there')?.getBoundingClientRect().top ?? 0);
  await put(
    page,
    host,
    said([
      { property: 'sticks', value: 'stays on top' },
      { property: 'sticksAt', value: 20 },
    ]),
  );
  await page.evaluate(() => {
    location.hash = '#there';
  });
  expect(await heading()).toBeGreaterThanOrEqual(91);
  await put(page, host, said([{ property: 'sticks', value: 'stays at the bottom' }]));
  await page.evaluate(() => {
    scrollTo(0, 1e6);
  });
  const end = await page.evaluate(() => document.querySelector('#end')?.getBoundingClientRect().bottom ?? 0);
  expect(end).toBeLessThanOrEqual(700 - 72);
});

test('room is left for another bar', async ({ page, host }) => {
  await put(
    page,
    host,
    said([
      { property: 'sticks', value: 'stays on top' },
      { property: 'sticksAt', value: 32 },
    ]),
  );
  await scroll(page, 600);
  expect(await top(page)).toBe(32);
});

test('upper rows scroll away, the one beneath stays', async ({ page, host }) => {
  const site = said(
    [{ owner: 'row-top', slot: 'row', property: 'rowSticks', value: 'scrolls away' }],
    marisma(),
  );
  await put(page, host, site);
  await watchShifts(page);
  const main = () =>
    page
      .locator('.hm-row-2, .hm-main-row')
      .last()
      .evaluate((row) => Math.round(row.getBoundingClientRect().top));
  const before = await main();
  expect(before).toBeGreaterThan(20);
  await scroll(page, 600);
  expect(await main()).toBe(0);
  expect(await shifts(page)).toBeLessThan(0.001);
});

test('scrolled on desktops alone it is lower and has other colours, with motion, and the logo shrinks', async ({
  page,
  host,
}) => {
  const white = { literal: '#ffffff' };
  const dark = { literal: '#12343b' };
  const site = said([
    { property: 'sticks', value: 'stays on top' },
    { property: 'sticks', value: 'scrolls away', band: 'phone' },
    { property: 'fill', value: white },
    { property: 'fill', state: 'scrolled', value: dark },
    { property: 'motionTime', value: 300 },
    { owner: 'row-main', slot: 'row', property: 'height', state: 'scrolled', value: 48 },
    { owner: 'row-main', slot: 'row', property: 'motionTime', value: 300 },
    { owner: 'logo', slot: 'drawing', property: 'drawnHeight', state: 'scrolled', value: 24 },
    { owner: 'menu-main', slot: 'link', property: 'colour', state: 'scrolled', value: white },
  ]);
  await put(page, host, site);
  await watchShifts(page);
  const height = () => bar(page).evaluate((element) => element.getBoundingClientRect().height);
  await expect(bar(page)).toHaveCSS('background-color', 'rgb(255, 255, 255)');
  expect(await height()).toBe(72);
  await scroll(page, 600);
  await expect(bar(page)).toHaveCSS('background-color', 'rgb(18, 52, 59)');
  await expect(page.getByRole('link', { name: 'News' })).toHaveCSS('color', 'rgb(255, 255, 255)');
  expect(await height()).toBe(48);
  // What shrinks in the flow would draw the page after it: the place it takes there stays. What is in the bar moves.
  expect(await shifts(page)).toBeLessThan(0.005);
  await scroll(page, -600);
  await expect(bar(page)).toHaveCSS('background-color', 'rgb(255, 255, 255)');
  await page.setViewportSize({ width: 390, height: 700 });
  await scroll(page, 600);
  expect((await top(page)) + (await page.evaluate(() => scrollY))).toBe(0);
});

test('without a script a bar that waits or hides is there', async ({ browser, host }) => {
  const context = await browser.newContext({ javaScriptEnabled: false });
  const page = await context.newPage();
  for (const sticks of ['hides on the way down', 'appears after a distance']) {
    await open(
      page,
      host,
      1280,
      { body: LONG, script: false },
      handOff(said([{ property: 'sticks', value: sticks }])),
    );
    await expect(page.getByRole('link', { name: 'News' })).toBeInViewport();
  }
  await context.close();
});

test('what opens from a bar at the bottom opens upward, within the window', async ({ page, host }) => {
  await put(page, host, said([{ property: 'sticks', value: 'stays at the bottom' }]));
  await page.getByRole('link', { name: 'Visit', exact: true }).hover();
  await expect(page.getByRole('link', { name: 'Opening hours' })).toBeInViewport();
  await expect(page.getByRole('link', { name: 'Access for all' })).toBeInViewport();
  expect(await axe(page)).toEqual([]);
});
