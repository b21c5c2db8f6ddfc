import { expect, type Page } from '@playwright/test';
import type { MenuForm, Site } from '@hamaca/core';
import { facesLoaded } from './support/faces.ts';
import { shifts, still, watchShifts } from './support/motion.ts';
import { demoSite, edited, handOff, saying, type Host } from './support/output.ts';
import { axe, focused, nav, open, openBeforeScript, test, visitSubmenu } from './support/pasted.ts';

const TOP = ['Visit', 'Birds', 'Learn', 'Join in', 'News', 'Contact'];
const WIDTHS = [320, 390, 768, 1024, 1280];

/** The demo with its menu in its row at all widths, in a form. */
function formed(form: MenuForm, arrangement = 'between'): Site {
  const stays = edited(demoSite(), { name: 'fold-part', args: { id: 'menu-main', from: null } });
  const arranged = edited(stays, { name: 'set-owner', args: { id: 'row-main', fields: { arrangement } } });
  return saying(arranged, [
    { owner: 'menu-main', slot: 'list', property: 'menuForm', value: form },
    { owner: 'menu-main', slot: 'list', property: 'fill', value: { role: 'paper' } },
    { owner: 'menu-main', slot: 'submenu', property: 'fill', band: 'phone', value: { role: 'paper' } },
  ]);
}

/** A site whose row has nothing at its ends. */
const withoutEnds = (site: Site): Site =>
  ['book', 'opener'].reduce((left, id) => edited(left, { name: 'remove-part', args: { id } }), site);

const put = async (
  page: Page,
  host: Host,
  site: Site,
  width: number,
  options: Parameters<typeof open>[3] = {},
) => {
  await open(page, host, width, options, handOff(site));
  await facesLoaded(page);
  await still(page);
};

const sideways = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);

/** The labels of the links in the row and of those under “more”, and on how many lines the row stands. */
const told = (page: Page) =>
  page.evaluate(() => {
    const labels = (items: Iterable<Element>) =>
      [...items].map((item) => (item.querySelector('a, button')?.textContent ?? '').trim());
    const links = document.querySelectorAll('nav>.hm-main-list>li');
    const shown = [...links].filter((item) => (item as HTMLElement).offsetHeight > 0);
    const rest = document.querySelector('nav>.hm-main-list>li>[data-hm-rest]')?.children ?? [];
    return {
      row: labels(shown),
      rest: labels(rest),
      lines: new Set(shown.map((item) => (item as HTMLElement).offsetTop)).size,
    };
  });

const more = (page: Page) => page.getByRole('button', { name: 'More', exact: true });

for (const direction of ['ltr', 'rtl'] as const)
  test(`as many links stand in the row as there is room for, the rest under “more”, ${direction}`, async ({
    page,
    host,
  }) => {
    const attributes = `lang="en" dir="${direction}"`;
    await put(page, host, formed('the rest under “more”'), 320, { attributes });
    let before = -1;
    for (const width of WIDTHS) {
      await page.setViewportSize({ width, height: 700 });
      await still(page);
      const { row, rest, lines } = await told(page);
      expect(lines, `${width}`).toBe(1);
      expect(await sideways(page), `${width}`).toBe(0);
      expect([...row.filter((label) => label !== 'More'), ...rest], `${width}`).toEqual(TOP);
      expect(row.includes('More'), `${width}`).toBe(rest.length > 0);
      // There is no room for one more: wider windows show at least as many.
      expect(row.length).toBeGreaterThanOrEqual(before);
      before = row.length;
    }
    expect(await told(page)).toEqual({ row: TOP, rest: [], lines: 1 });
    await page.setViewportSize({ width: 390, height: 700 });
    await still(page);
    expect((await told(page)).rest.length).toBeGreaterThan(2);
  });

test('until the script has looked links stand on one line, and nothing moves when it has', async ({
  page,
  host,
}) => {
  const run = await openBeforeScript(page, host, 500, handOff(formed('the rest under “more”')));
  const height = async () => (await page.getByRole('banner').boundingBox())?.height;
  const before = await height();
  await watchShifts(page);
  await run();
  expect((await told(page)).rest.length).toBeGreaterThan(1);
  expect(await height()).toBe(before);
  expect(await shifts(page)).toBeLessThan(0.001);
});

test('what is under “more” opens by click and by keys, unfolds what is nested in it, and closes', async ({
  page,
  host,
}) => {
  await put(page, host, formed('the rest under “more”'), 390);
  await expect(page.getByRole('link', { name: 'Contact' })).toBeHidden();
  await more(page).click();
  await expect(page.getByRole('link', { name: 'Contact' })).toBeVisible();
  expect(await axe(page)).toEqual([]);
  await page.getByRole('button', { name: 'Learn' }).click();
  const courses = page.getByRole('link', { name: 'Courses' });
  await expect(courses).toBeVisible();
  const box = await page.locator('[data-hm-rest]').boundingBox();
  const inner = await courses.boundingBox();
  expect(box && inner && inner.x >= box.x && inner.y + inner.height <= box.y + box.height).toBe(true);
  expect(await sideways(page)).toBe(0);
  await page.keyboard.press('Escape');
  await expect(courses).toBeHidden();
  await more(page).focus();
  await page.keyboard.press('ArrowDown');
  expect(await focused(page)).toBe((await told(page)).rest[0]);
  await page.keyboard.press('End');
  expect(await focused(page)).toBe('Contact');
  // What had the focus has it still where it moves.
  await page.setViewportSize({ width: 1280, height: 700 });
  await still(page);
  expect(await focused(page)).toBe('Contact');
});

test('without a script all links are in the row, and nothing says “more”', async ({ browser, host }) => {
  const context = await browser.newContext({ javaScriptEnabled: false });
  const page = await context.newPage();
  await page.setViewportSize({ width: 390, height: 700 });
  host.put(new Map());
  const output = handOff(formed('the rest under “more”'));
  host.put(new Map([...output, ['index.html', String(output.get('index.html'))]]));
  await page.goto(`${host.url}/`);
  for (const name of TOP)
    await expect(nav(page).locator('.hm-main-list>li').filter({ hasText: name }).first()).toBeVisible();
  await expect(more(page)).toBeHidden();
  await context.close();
});

test('in a strip links stand on one line that scrolls, and submenus lie across beneath it', async ({
  page,
  host,
}) => {
  await put(page, host, formed('in a strip'), 320);
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: 700 });
    expect((await told(page)).lines, `${width}`).toBe(1);
    expect(await sideways(page), `${width}`).toBe(0);
  }
  await page.setViewportSize({ width: 390, height: 700 });
  const contact = page.getByRole('link', { name: 'Contact' });
  await expect(contact).not.toBeInViewport();
  await contact.focus();
  await expect(contact).toBeInViewport({ ratio: 1 });
  await visitSubmenu(page).focus();
  await page.keyboard.press('Enter');
  const hours = page.getByRole('link', { name: 'Opening hours' });
  await expect(hours).toBeVisible();
  const [row, box] = [
    await page.locator('.hm-main-row').boundingBox(),
    await page.locator('.hm-main-submenu').first().boundingBox(),
  ];
  expect(box?.width).toBe(row?.width);
  expect(Math.abs((box?.y ?? 0) - ((row?.y ?? 0) + (row?.height ?? 0)))).toBeLessThan(2);
  await hours.click({ trial: true });
  expect(await axe(page)).toEqual([]);
});

test('a menu at the bottom of the window stays there, and hides neither the end of the page nor its submenus', async ({
  page,
  host,
}) => {
  await put(page, host, formed('at the bottom'), 320);
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: 700 });
    const bar = await page.locator('.hm-main-list').boundingBox();
    expect(bar, `${width}`).toMatchObject({ x: 0, width });
    expect(Math.round((bar?.y ?? 0) + (bar?.height ?? 0)), `${width}`).toBe(700);
    expect((await told(page)).lines, `${width}`).toBe(1);
    expect(await sideways(page), `${width}`).toBe(0);
  }
  await page.evaluate(() => {
    scrollTo({ top: document.documentElement.scrollHeight, behavior: 'instant' });
  });
  const end = await page.evaluate(() => document.querySelector('main')?.getBoundingClientRect().bottom ?? 0);
  const bar = await page.locator('.hm-main-list').boundingBox();
  expect(end).toBeLessThanOrEqual((bar?.y ?? 0) + 1);
  await visitSubmenu(page).click();
  const hours = page.getByRole('link', { name: 'Opening hours' });
  await hours.click({ trial: true });
  const box = await page.locator('.hm-main-submenu').first().boundingBox();
  expect(Math.abs((box?.y ?? 0) + (box?.height ?? 0) - (bar?.y ?? 0))).toBeLessThan(2);
  expect(await axe(page)).toEqual([]);
});

/** How far the middle of the logo lies from that of the window, in px, and the links at both sides of it. */
const aroundLogo = (page: Page) =>
  page.evaluate(() => {
    const middle = (box: DOMRect) => box.left + box.width / 2;
    const logo = document.querySelector('.hm-logo')?.getBoundingClientRect() ?? new DOMRect();
    const sides = [...document.querySelectorAll('nav>.hm-main-list')].map((list) =>
      [...list.children].filter((item) => (item as HTMLElement).offsetHeight > 0),
    );
    const boxes = sides.flat().map((item) => item.getBoundingClientRect());
    return {
      off: Math.abs(middle(logo) - document.documentElement.clientWidth / 2),
      counts: sides.map(({ length }) => length),
      lines: new Set(boxes.map(({ top }) => Math.round(top))).size,
      overlaps: boxes.some(({ left, right }) => right > logo.left + 1 && left < logo.right - 1),
    };
  });

for (const [what, beside] of [
  ['alone', false],
  ['with buttons at one end', true],
] as const)
  test(`around a logo ${what} links of both sides give way evenly, under one “more” at the end, the logo in the middle`, async ({
    page,
    host,
  }) => {
    const formedSite = formed('the rest under “more”', 'around');
    await put(page, host, beside ? formedSite : withoutEnds(formedSite), 1900);
    let fewest = Infinity;
    for (const width of [1900, 1600, 1280, 1100, 900, 700, 500, 390, 320]) {
      await page.setViewportSize({ width, height: 700 });
      await still(page);
      const { counts, lines, off, overlaps } = await aroundLogo(page);
      const { rest, row } = await told(page);
      expect([width, lines, overlaps, await sideways(page)]).toEqual([width, 1, false, 0]);
      expect([...row.filter((label) => label !== 'More'), ...rest], `${width}`).toEqual(TOP);
      expect(Math.abs((counts[0] ?? 0) - (counts[1] ?? 0)), `${width}`).toBeLessThanOrEqual(1);
      // Where all links have room, so has the middle; without anything at the ends it always has.
      if (!beside || (rest.length === 0 && width >= 1600)) expect(off, `${width}`).toBeLessThan(1.5);
      expect(row.length).toBeLessThanOrEqual(fewest);
      fewest = row.length;
    }
    expect((await told(page)).row.at(-1)).toBe('More');
    await page.setViewportSize({ width: 1900, height: 700 });
    await still(page);
    expect((await told(page)).rest).toEqual([]);
  });

for (const form of ['in a strip', 'at the bottom'] as const)
  test(`around a logo, ${form}: one line, nothing wider than the window, no link lost`, async ({
    page,
    host,
  }) => {
    await put(page, host, formed(form, 'around'), 390);
    expect(await sideways(page)).toBe(0);
    await expect(more(page)).toHaveCount(0);
    const links = nav(page).locator('.hm-main-list>li');
    await expect(links).toHaveCount(TOP.length);
    const tops = await links.evaluateAll((items) => [
      ...new Set(items.map((item) => Math.round(item.getBoundingClientRect().top))),
    ]);
    expect(tops).toHaveLength(1);
    const last = page.getByRole('link', { name: 'Contact' });
    await last.focus();
    await expect(last).toBeInViewport();
  });
