/** The demo as everybody finds it: what it hands over stands by itself. */
import { expect, type Page } from '@playwright/test';
import { compileSite } from '@hamaca/core';
import { gzipSync } from 'node:zlib';
import { still } from './support/motion.ts';
import { axe, focused, open, opener, test } from './support/pasted.ts';
import { FONTS, handOff, marisma } from './support/output.ts';

const SITE = marisma();
const OUTPUT = handOff(SITE);
/** From here on the menu stands in its row, in px. */
const UNFOLDED = SITE.bands[0]?.min ?? 0;

const link = (page: Page, name: string) => page.getByRole('link', { name, exact: true });

test('its script is small, and every icon stands in it once', () => {
  const { script, pieces } = compileSite(SITE, { fonts: FONTS });
  expect(gzipSync(script, { level: 9 }).byteLength).toBeLessThan(1700);
  const markup = [...pieces.values()].join('');
  const drawings = [...markup.matchAll(/<path [^>]*d="([^"]{12,})"/g)].map(([, d]) => d);
  expect(new Set(drawings).size).toBe(drawings.length);
  expect(drawings.length).toBeGreaterThan(8);
});

test('across the row: columns, links standing open in one of them, a call to action beneath all', async ({
  page,
  host,
}) => {
  await open(page, host, 1280, {}, OUTPUT);
  await link(page, 'Visit').hover();
  const action = page.getByRole('link', { name: /flamingos/ });
  await expect(action).toBeVisible();
  const box = async (name: string | RegExp) => {
    const found = await page.getByRole('link', { name }).first().boundingBox();
    if (!found) throw new Error(`${String(name)} is not in sight.`);
    return found;
  };
  const heads = await Promise.all(
    [/^Opening hours/, /^Getting here/, /^Trails & hides/, /^Access for all/].map(box),
  );
  expect(new Set(heads.map(({ y }) => Math.round(y))).size).toBe(1);
  expect(heads.map(({ x }) => x)).toEqual([...heads.map(({ x }) => x)].sort((a, b) => a - b));
  const hide = await box('Tower hide');
  expect(hide.x).toBeGreaterThan(heads[2]?.x ?? 0);
  expect((await box(/flamingos/)).y).toBeGreaterThan(hide.y);
  const [panel, bar] = await Promise.all(
    [page.locator('ul', { has: action }).last(), page.getByRole('banner')].map((one) => one.boundingBox()),
  );
  expect(panel).toMatchObject({ x: bar?.x, width: bar?.width });
  expect(await axe(page)).toEqual([]);
});

test('beside its link: by pointing, by keys in both directions, and closed one by one', async ({
  page,
  host,
}) => {
  await open(page, host, 1280, {}, OUTPUT);
  await link(page, 'Birds').hover();
  await link(page, 'Species A–Z').hover();
  await expect(link(page, 'Waders')).toBeVisible();
  const [species, waders] = await Promise.all([
    link(page, 'Species A–Z').boundingBox(),
    link(page, 'Waders').boundingBox(),
  ]);
  expect(waders?.x).toBeGreaterThan((species?.x ?? 0) + (species?.width ?? 0));
  // The sign points there.
  expect(
    await page
      .getByRole('button', { name: 'Species A–Z' })
      .evaluate((sign) => getComputedStyle(sign, '::before').rotate),
  ).toBe('-90deg');
  expect(await axe(page)).toEqual([]);
  await page.mouse.move(600, 650);
  await expect(link(page, 'Waders')).toBeHidden();
  await link(page, 'Birds').focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  expect(await focused(page)).toBe('Species A–Z');
  await page.keyboard.press('ArrowRight');
  expect(await focused(page)).toBe('Waders');
  await page.keyboard.press('Escape');
  await expect(link(page, 'Waders')).toBeHidden();
  await expect(link(page, 'Ringing log')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(link(page, 'Ringing log')).toBeHidden();
});

test('on a phone everything is in the panel, clean for assistive technology, closed and open', async ({
  page,
  host,
}) => {
  await open(page, host, 390, {}, OUTPUT);
  expect(await axe(page)).toEqual([]);
  await opener(page).click();
  await page.getByRole('button', { name: 'Visit' }).click();
  await page.getByRole('button', { name: 'Birds' }).click();
  await page.getByRole('button', { name: 'Species A–Z' }).click();
  for (const name of ['Tower hide', 'Waders', 'Español']) await expect(link(page, name)).toBeVisible();
  await still(page);
  expect(await axe(page)).toEqual([]);
});

test('without a script every link is in sight or one step away', async ({ browser, host }) => {
  const page = await browser.newPage({ javaScriptEnabled: false });
  await open(page, host, 390, {}, OUTPUT);
  for (const name of ['Tower hide', 'Waders', 'Contact']) await expect(link(page, name)).toBeVisible();
  await open(page, host, 1280, {}, OUTPUT);
  await link(page, 'Birds').hover();
  await link(page, 'Species A–Z').hover();
  await expect(link(page, 'Waders')).toBeVisible();
  await page.close();
});

test('its call to action shows five states', async ({ page, host }) => {
  await open(page, host, 1280, {}, OUTPUT);
  const book = link(page, 'Book a hide');
  const look = async () =>
    book.evaluate((element) => {
      const { backgroundColor, color, paddingTop, outlineWidth, outlineStyle } = getComputedStyle(element);
      return [backgroundColor, color, paddingTop, outlineStyle === 'none' ? '0' : outlineWidth].join(' ');
    });
  await page.mouse.move(600, 500);
  const rest = await look();
  await page.mouse.wheel(0, 400);
  await expect.poll(look).not.toBe(rest);
  const scrolled = await look();
  await book.hover();
  await expect.poll(look).not.toBe(scrolled);
  const hover = await look();
  await page.mouse.down();
  const pressed = await look();
  await page.mouse.move(600, 500);
  await page.mouse.up();
  await page.keyboard.press('Tab');
  await book.focus();
  const focus = await look();
  expect(new Set([rest, scrolled, hover, pressed, focus]).size).toBe(5);
});

/** Type of every element of ours twice as large, as a browser sets it for who asks for larger text. */
const doubleText = (page: Page) =>
  page.evaluate(() => {
    const elements = [...document.querySelectorAll<HTMLElement>('header *, dialog *')].filter(
      (element) => element instanceof HTMLElement,
    );
    const sizes = elements.map((element) => Number.parseFloat(getComputedStyle(element).fontSize));
    elements.forEach((element, index) => {
      element.style.setProperty('font-size', `${2 * (sizes[index] ?? 0)}px`, 'important');
    });
  });

/** How far the page can be pushed sideways, and the links in sight that lie over one another or are cut off. */
const lost = (page: Page) =>
  page.evaluate(() => {
    const seen = [
      ...document.querySelectorAll('header a, header button, dialog[open] a, dialog[open] button'),
    ]
      .filter(
        (element) =>
          element.checkVisibility() && (document.querySelector('dialog:modal')?.contains(element) ?? true),
      )
      .filter((element) => !element.closest('.hm-main-parent') || element.matches('.hm-main-lead'))
      .map((element) => ({ name: element.textContent.trim(), box: element.getBoundingClientRect() }))
      .filter(({ name, box }) => name !== '' && box.width > 0);
    const over = seen.flatMap((a, index) =>
      seen
        .slice(index + 1)
        .filter(
          (b) =>
            Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left) > 3 &&
            Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top) > 3,
        )
        .map((b) => `${a.name} over ${b.name}`),
    );
    const cut = seen.filter(({ box }) => box.left < -1 || box.right > innerWidth + 1).map(({ name }) => name);
    return { pushed: document.documentElement.scrollWidth - innerWidth, over, cut, count: seen.length };
  });

for (const width of [1280, UNFOLDED, 390])
  test(`at ${width} px text twice as large loses nothing`, async ({ page, host }) => {
    await open(page, host, width, {}, OUTPUT);
    await doubleText(page);
    if (width < UNFOLDED) {
      await opener(page).click();
      await page.getByRole('button', { name: 'Visit' }).click();
    }
    await still(page);
    const found = await lost(page);
    expect(found).toMatchObject({ pushed: 0, over: [], cut: [] });
    expect(found.count).toBeGreaterThan(6);
  });

test('at four times its size, which is 320 px, every link can be reached without scrolling sideways', async ({
  page,
  host,
}) => {
  await open(page, host, 320, {}, OUTPUT);
  expect(await lost(page)).toMatchObject({ pushed: 0, over: [], cut: [] });
  await opener(page).click();
  for (const name of ['Visit', 'Birds', 'Species A–Z', 'Learn', 'Join in'])
    await page.getByRole('button', { name }).click();
  await still(page);
  const found = await lost(page);
  expect(found).toMatchObject({ pushed: 0, over: [], cut: [] });
  expect(found.count).toBeGreaterThan(25);
});
