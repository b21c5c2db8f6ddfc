import { expect, test, type Page } from '@playwright/test';
import { readForeignPage, stay, type StayOptions } from '@hamaca/core';
import { seeded } from '../core/test/random-site.ts';
import { randomHeaderPage } from './support/random-header-page.ts';
import { fileOfPackage, FOREIGN_PAGES } from './support/foreign-pages.ts';
import { showPage } from './support/rules-truth.ts';

/** How many random pages are tried; many more are by hand. */
const PAGES = Number(process.env['HAMACA_STAY_PAGES'] ?? 24);

const ON_TOP: StayOptions = {
  at: 'header',
  sticking: { kind: 'on top' },
  coming: 'at once',
  widths: { from: null, below: null },
  scrolled: null,
  scrolledLogo: null,
  height: null,
  hangs: false,
  ways: {},
};

/** Scrolls what scrolls, the window or a box, as far as this, and lets scripts hear of it. */
const scrollPage = (page: Page, top: number) =>
  page.evaluate(async (to) => {
    const boxes = [document.body, ...document.querySelectorAll<HTMLElement>('.page')];
    for (const box of [window, ...boxes]) box.scrollTo({ top: to, behavior: 'instant' });
    for (let picture = 0; picture < 3; picture++)
      await new Promise((resolve) => requestAnimationFrame(resolve));
    return Math.max(scrollY, ...boxes.map((box) => box.scrollTop));
  }, top);

/** Where the header stands in the window, and whether it is what is seen there. */
const headerNow = (page: Page, selector: string) =>
  page.evaluate((find) => {
    const header = document.querySelector<HTMLElement>(find);
    if (!header) return { top: NaN, height: NaN, isSeen: false, isFilled: false };
    const { left, top, width, height } = header.getBoundingClientRect();
    const points = [0.1, 0.5, 0.9].map((share) =>
      document.elementFromPoint(left + width * share, top + height / 2),
    );
    const isSeen = points.every((seen) => seen !== null && (seen === header || header.contains(seen)));
    const { backgroundColor, backgroundImage } = getComputedStyle(header);
    const isFilled = backgroundImage !== 'none' || !/, 0\)$|transparent/.test(backgroundColor);
    return { top: Math.round(top), height, isSeen, isFilled };
  }, selector);

/** Where everything but the header and what it lies in stands at the top of the page. */
const placesBeneath = (page: Page, selector: string) =>
  page.evaluate((find) => {
    const header = document.querySelector(find);
    return [...document.querySelectorAll('body *')]
      .filter((element) => element !== header && !header?.contains(element) && !element.contains(header))
      .map((element) => {
        const { left, top, width, height } = element.getBoundingClientRect();
        return [element.tagName, left, top, width, height].map(String).join(' ');
      });
  }, selector);

test('a header stays on random pages, whatever stands in its way, and nothing else moves', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 700 });
  let hindered = 0;
  const unsolved: string[] = [];
  for (let seed = 1; seed <= PAGES; seed++) {
    const html = randomHeaderPage(seeded(seed));
    const text = (path: string) => (path === 'index.html' ? html : null);
    await showPage(page, text, 'index.html');
    const { height } = await headerNow(page, 'header');
    const places = await placesBeneath(page, 'header');
    const foreign = readForeignPage({ text }, 'index.html', html);
    const made = stay(foreign, { text }, { ...ON_TOP, height });
    if (!made.ok) throw new Error(made.error);
    const { files, obstacles, sideEffects, added } = made.value;
    const note = `${seed}: ${html}\n${added ?? ''}`;
    expect(sideEffects, note).toEqual([]);
    if (obstacles.some(({ ways }) => ways.length === 0)) {
      unsolved.push(`${seed}: ${obstacles.map(({ text: what }) => what).join(' ')}`);
      continue;
    }
    if (obstacles.length > 0) hindered++;
    await showPage(page, (path) => files.get(path) ?? null, 'index.html');
    expect(await placesBeneath(page, 'header'), note).toEqual(places);
    for (const at of [900, 3000]) {
      expect(await scrollPage(page, at), note).toBeGreaterThan(800);
      const now = await headerNow(page, 'header');
      expect(
        now.isSeen && now.top >= 0 && now.top < 60 && now.isFilled,
        `${note}\n${at} ${JSON.stringify(now)}`,
      ).toBe(true);
    }
  }
  console.log(`  ${hindered} of ${PAGES} pages had something in the way; ${unsolved.length} have no way out`);
  expect(hindered).toBeGreaterThan(PAGES / 3);
  expect(unsolved.length, unsolved.join('\n')).toBeLessThan(PAGES / 4);
});

/** A page of no styles to speak of, whose header is told to stay in some way; answers what the browser makes of it. */
async function showStaying(page: Page, html: string, options: Partial<StayOptions>) {
  const text = (path: string) => (path === 'index.html' ? html : null);
  const made = stay(readForeignPage({ text }, 'index.html', html), { text }, { ...ON_TOP, ...options });
  if (!made.ok) throw new Error(made.error);
  expect(made.value.sideEffects).toEqual([]);
  await showPage(page, (path) => made.value.files.get(path) ?? null, 'index.html');
  return made.value;
}

const PLAIN = `<!doctype html><style>body { margin: 0 } header { height: 70px; background: #fff } header img { height: 40px } main { height: 4000px } header a { color: #000 }</style>
  <div class="outer"><header><a href="/"><img alt="Reed" src="data:image/svg+xml,<svg xmlns='http://www.w3.org/2000/svg' width='9' height='9'/>"></a></header></div><main></main>`;

const styleNow = (page: Page, selector: string, property: string) =>
  page.evaluate(
    ([find = '', name = '']) => {
      const element = document.querySelector(find);
      return element ? getComputedStyle(element).getPropertyValue(name) : '';
    },
    [selector, property],
  );

test('a header leaves on the way down and comes back on the way up, and stays where the focus is', async ({
  page,
}) => {
  const { obstacles } = await showStaying(page, PLAIN, { sticking: { kind: 'hides' } });
  expect(obstacles.map(({ kind, element }) => [kind, element])).toEqual([['short box', '.outer']]);
  await scrollPage(page, 900);
  expect(await headerNow(page, 'header')).toMatchObject({ isSeen: false });
  await scrollPage(page, 800);
  expect(await headerNow(page, 'header')).toMatchObject({ top: 0, isSeen: true });
  await scrollPage(page, 1200);
  expect(await headerNow(page, 'header')).toMatchObject({ isSeen: false });
  await page.locator('header a').evaluate((link: HTMLElement) => {
    link.focus({ preventScroll: true });
  });
  await scrollPage(page, 1500);
  expect(await headerNow(page, 'header')).toMatchObject({ top: 0, isSeen: true });
});

test('a header scrolls away and comes back after a distance, and nothing moves as it does', async ({
  page,
}) => {
  await showStaying(page, PLAIN, { sticking: { kind: 'appears', after: 500 }, coming: 'slides' });
  const mainTop = () => page.evaluate(() => document.querySelector('main')?.getBoundingClientRect().top);
  await scrollPage(page, 300);
  expect(await headerNow(page, 'header')).toMatchObject({ top: -300 });
  expect(await mainTop()).toBe(-230);
  await scrollPage(page, 900);
  await expect.poll(async () => (await headerNow(page, 'header')).top).toBe(0);
  expect(await mainTop()).toBe(-830);
  await scrollPage(page, 400);
  expect(await headerNow(page, 'header')).toMatchObject({ top: -400 });
});

test('a header and its logo look otherwise once the page is scrolled, at the widths that are meant', async ({
  page,
}) => {
  const options = {
    scrolled: 'background: rgb(1 2 3); height: 50px',
    scrolledLogo: 'height: 20px',
    widths: { from: 700, below: null },
  };
  await page.setViewportSize({ width: 1280, height: 700 });
  await showStaying(page, PLAIN, options);
  expect(await styleNow(page, 'header', 'background-color')).toBe('rgb(255, 255, 255)');
  await scrollPage(page, 400);
  expect(await styleNow(page, 'header', 'background-color')).toBe('rgb(1, 2, 3)');
  expect(await styleNow(page, 'header img', 'height')).toBe('20px');
  expect(await headerNow(page, 'header')).toMatchObject({ top: 0, height: 50 });
  await scrollPage(page, 0);
  expect(await headerNow(page, 'header')).toMatchObject({ top: 0, height: 70 });
  await page.setViewportSize({ width: 390, height: 700 });
  await scrollPage(page, 400);
  expect(await headerNow(page, 'header')).toMatchObject({ top: -400, height: 70 });
  expect(await styleNow(page, 'header', 'background-color')).toBe('rgb(255, 255, 255)');
});

test('headers of other people’s pages stay', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 300 });
  let tried = 0;
  const failed: string[] = [];
  for (const { name, path } of FOREIGN_PAGES.filter((_, index) => index % 2 === 0)) {
    const text = fileOfPackage(name);
    await showPage(page, text, path);
    // What is at the top of the page and low: others are no headers.
    const at = await page.evaluate(
      () =>
        ['header', 'nav', '.navbar', '.docs-navbar'].find((find) => {
          const element = document.querySelector(find);
          const box = element?.getBoundingClientRect();
          return element?.checkVisibility() === true && box && box.top < 120 && box.height < 300;
        }) ?? null,
    );
    const canScroll = (await scrollPage(page, 500)) > 300;
    if (at === null || !canScroll) continue;
    await scrollPage(page, 0);
    const { height } = await headerNow(page, at);
    tried++;
    const foreign = readForeignPage({ text }, path, text(path) ?? '');
    const made = stay(foreign, { text }, { ...ON_TOP, at, height });
    if (!made.ok) throw new Error(made.error);
    const { files, obstacles, sideEffects } = made.value;
    await showPage(page, (of) => files.get(of) ?? text(of), path);
    await scrollPage(page, 500);
    const now = await headerNow(page, at);
    const isUnsolved = obstacles.some(({ ways }) => ways.length === 0);
    if (sideEffects.length > 0 || isUnsolved || now.top < 0 || now.top > 120)
      failed.push(
        `${name}/${path} ${at} ${JSON.stringify({ now, obstacles, side: sideEffects.slice(0, 3) })}`,
      );
  }
  console.log(`  ${tried} headers, ${failed.length} do not stay`);
  expect(tried).toBeGreaterThanOrEqual(8);
  expect(failed).toEqual([]);
});
