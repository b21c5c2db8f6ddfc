import { expect, type Page } from '@playwright/test';
import {
  applyPieceStarter,
  countingIds,
  idsOf,
  makePart,
  partsOf,
  placedParts,
  regionsOf,
  shownItems,
  PIECE_STARTERS,
  pieceKindById,
  type Piece,
  type Site,
  type StartedPiece,
} from '@hamaca/core';
import { facesLoaded } from './support/faces.ts';
import { shifts, watchShifts } from './support/motion.ts';
import { edited, handOff, inOne, saying, type Host, wholeMarisma } from './support/output.ts';
import { axe, openBeforeScript, test } from './support/pasted.ts';

const ID = 'started';

/** The demo's header, and one more piece in a starting design. */
function started(id: string): Site {
  const starter = PIECE_STARTERS.find((one) => one.id === id);
  if (!starter) throw new Error(`There is no starter ${id}.`);
  const demo = wholeMarisma();
  const site = { ...demo, pieces: demo.pieces.filter(({ kind }) => kind === 'header' || kind === 'panel') };
  const piece = pieceKindById(starter.kind).create({
    id: ID,
    name: 'Started',
    freshId: countingIds(`${ID}-`, idsOf(site)),
    site,
  }) as unknown as StartedPiece;
  const added = edited(site, { name: 'add-piece', args: { piece: piece as Piece } });
  return edited(added, {
    name: 'set-design',
    args: applyPieceStarter(added, piece, starter, { year: 2026 }),
  });
}

/** The site with an icon for every link around its opener. */
function drawn(site: Site): Site {
  const ring = placedParts(site).find(({ part }) => part.kind === 'ring')?.part;
  if (ring?.kind !== 'ring') throw new Error('no ring');
  const icon = site.icons[0]?.id ?? '';
  const items = shownItems(site, { menu: ring.menu, branch: ring.branch, levels: 1 });
  return items.reduce(
    (next, { id }) => edited(next, { name: 'set-item', args: { id, fields: { icon } } }),
    site,
  );
}

const WORDS = '<h1>The reserve</h1>' + '<p>Reed beds lie at both ends of the lagoon.</p>'.repeat(60);
const SECTIONS = ['north', 'middle', 'south']
  .map((id) => `<section id="${id}" style="min-height:900px"><h2>${id}</h2></section>`)
  .join('');

/** The example page of a site with words of its own, at a path and a size of the window. */
async function openPage(
  page: Page,
  host: Host,
  site: Site,
  {
    path = '/visit/trails-and-hides/',
    width = 1280,
    height = 700,
    direction = 'ltr',
    words = WORDS,
  }: { path?: string; width?: number; height?: number; direction?: string; words?: string } = {},
): Promise<void> {
  const output = handOff(site);
  const own = String(output.get('index.html'))
    .replaceAll(/(href|src)="((?:page|menu)\.)/g, '$1="/$2')
    .replace(/dir="\w+"/, `dir="${direction}"`);
  const html = own.includes('<main>')
    ? own.replace('<p>What the page says.</p>', words)
    : own.replace('</header>', `</header><main>${words}</main>`);
  host.put(new Map([...output, ['index.html', html]]));
  await page.setViewportSize({ width, height });
  await page.goto(host.url + path);
  await facesLoaded(page);
}

const sideways = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);

/** Buttons that say their box is closed while it is seen, or open while it is not, by their words. */
const misstated = (page: Page) =>
  page.locator('button[aria-expanded][aria-controls]').evaluateAll((buttons) =>
    buttons.flatMap((button) => {
      const box = document.getElementById(button.getAttribute('aria-controls') ?? '');
      if (!button.checkVisibility() || !box || box.matches('dialog')) return [];
      const isSeen = [...box.querySelectorAll('a, input')].some((inside) =>
        inside.checkVisibility({ visibilityProperty: true }),
      );
      return isSeen === (button.getAttribute('aria-expanded') === 'true') ? [] : [button.textContent.trim()];
    }),
  );

const SIZES = [
  [320, 568],
  [390, 844],
  [768, 1024],
  [1280, 800],
  [844, 390],
] as const;

for (const { id, name, kind } of PIECE_STARTERS) {
  test(`${name} fits every window, reads either way, and is sound without a script`, async ({
    page,
    host,
    browser,
  }) => {
    const site = started(id);
    for (const direction of ['ltr', 'rtl'])
      for (const [width, height] of SIZES) {
        await openPage(page, host, site, { width, height, direction });
        expect(await sideways(page), `${direction} ${width}`).toBeLessThanOrEqual(0);
        const root = page.locator(`[class^="hm-"][class*="${kind}"]:not([class^="hm-"] *)`);
        if (!(await root.isVisible())) continue;
        const box = await root.boundingBox();
        expect(box && box.x >= -0.5 && box.x + box.width <= width + 0.5, `${direction} ${width}`).toBe(true);
      }
    for (const width of [390, 1280]) {
      await openPage(page, host, site, { width });
      expect(await axe(page), `${width}`).toEqual([]);
      expect(await misstated(page), `${width}`).toEqual([]);
    }
    // Without a script every link of it stands in sight, and nothing pushes the page sideways.
    const bare = await browser.newContext({ javaScriptEnabled: false });
    const plain = await bare.newPage();
    await openPage(plain, host, site, { width: 390 });
    const links = plain.locator(`[class^="hm-"][class*="${kind}"]:not([class^="hm-"] *) a[href]`);
    expect(await links.count()).toBeGreaterThan(0);
    for (const link of await links.all()) await expect(link).toBeVisible();
    expect(
      await plain.locator('html').evaluate((html) => html.scrollWidth - html.clientWidth),
    ).toBeLessThanOrEqual(0);
    await bare.close();
  });
}

for (const width of [390, 820, 1280])
  test(`at ${width} px nothing of any piece moves as the script starts`, async ({ page, host }) => {
    const run = await openBeforeScript(page, host, width, inOne(handOff(wholeMarisma())));
    const heights = async () =>
      page
        .locator('[class^="hm-"]:not([class^="hm-"] *)')
        .evaluateAll((roots) => roots.map((root) => Math.round(root.getBoundingClientRect().height)));
    const before = await heights();
    expect(before.length).toBeGreaterThan(4);
    await watchShifts(page);
    await run();
    expect(await heights()).toEqual(before);
    expect(await shifts(page)).toBeLessThan(0.001);
  });

for (const { id, name } of PIECE_STARTERS.filter(({ kind }) => kind === 'sidebar'))
  test(`${name} stands as it will before the script starts, and nothing moves when it does`, async ({
    page,
    host,
  }) => {
    const run = await openBeforeScript(page, host, 1280, inOne(handOff(started(id))));
    const side = page.locator('aside[class^="hm-"]');
    const height = async () => Math.round((await side.boundingBox())?.height ?? 0);
    const before = await height();
    expect(before).toBeGreaterThan(100);
    await watchShifts(page);
    await run();
    expect(await height()).toBe(before);
    expect(await shifts(page)).toBeLessThan(0.001);
  });

test('a sidebar shows the branch of the page one is on, and folds and unfolds by its buttons', async ({
  page,
  host,
}) => {
  await openPage(page, host, started('towpath'));
  const side = page.getByRole('navigation', { name: 'Sidebar' });
  await expect(side.getByRole('link', { name: 'Trails & hides' })).toHaveAttribute('aria-current', 'page');
  await expect(side.getByRole('link', { name: 'Trails & hides' })).toBeVisible();
  await expect(side.getByRole('link', { name: 'Courses' })).toBeHidden();
  const learn = side.getByRole('button', { name: 'Learn' });
  await learn.focus();
  await page.keyboard.press('Enter');
  await expect(side.getByRole('link', { name: 'Courses' })).toBeVisible();
  // Several stay open at once, and a click elsewhere closes none of them.
  await page.locator('main').click({ position: { x: 5, y: 5 } });
  await expect(side.getByRole('link', { name: 'Courses' })).toBeVisible();
  await expect(side.getByRole('link', { name: 'Trails & hides' })).toBeVisible();
  await learn.click();
  await expect(side.getByRole('link', { name: 'Courses' })).toBeHidden();
});

test('where one branch opens at a time the others close, and a drilled one has a way back', async ({
  page,
  host,
}) => {
  await openPage(page, host, started('sluice'));
  const side = page.getByRole('navigation', { name: 'Sidebar' });
  await side.getByRole('button', { name: 'Learn' }).click();
  await expect(side.getByRole('link', { name: 'Courses' })).toBeVisible();
  await expect(side.getByRole('link', { name: 'Trails & hides' })).toBeHidden();
  await openPage(page, host, started('heron-steps'), { path: '/elsewhere/' });
  await side.getByRole('button', { name: 'Learn' }).click();
  await expect(side.getByRole('link', { name: 'Courses' })).toBeVisible();
  await expect(side.getByRole('link', { name: 'News' })).toBeHidden();
  await side.getByRole('button', { name: 'Learn' }).click();
  await expect(side.getByRole('link', { name: 'News' })).toBeVisible();
});

test('a sidebar stays in sight while the page scrolls, and on phones its heading opens it', async ({
  page,
  host,
}) => {
  await openPage(page, host, started('field-notes'));
  await page.evaluate(() => {
    scrollTo({ top: 500, behavior: 'instant' });
  });
  await expect
    .poll(async () => Math.round((await page.locator('aside[class^="hm-"]').boundingBox())?.y ?? 0))
    .toBe(16);
  await openPage(page, host, started('towpath'), { width: 390 });
  const heading = page.getByRole('button', { name: 'In this section' });
  await expect(heading).toHaveAttribute('aria-expanded', 'false');
  await expect(page.locator('aside[class^="hm-"]').getByRole('link').first()).toBeHidden();
  await heading.click();
  await expect(page.locator('aside[class^="hm-"]').getByRole('link', { name: 'News' })).toBeVisible();
});

/** Where the targets of an open ring stand. */
const targets = (page: Page) =>
  page.locator('[class$="-ring"] > li').evaluateAll((items) =>
    items.map((item) => {
      const { left, right, top, bottom } = item.getBoundingClientRect();
      return { left, right, top, bottom };
    }),
  );

const PLACES = [
  'at the bottom, end',
  'at the bottom',
  'at the bottom, start',
  'at the end',
  'at the start',
  'at the top, end',
  'at the top',
  'at the top, start',
] as const;

for (const place of PLACES)
  test(`a ring ${place} keeps its links apart and in the window, mirrored where the page is`, async ({
    page,
    host,
  }) => {
    const site = saying(started('fan'), [
      { owner: ID, slot: 'floating', property: 'floatsAt', value: place },
    ]);
    await page.emulateMedia({ reducedMotion: 'reduce' });
    const middles: number[][] = [];
    for (const direction of ['ltr', 'rtl'])
      for (const [width, height] of [
        [320, 480],
        [390, 844],
        [1280, 700],
      ] as const) {
        await openPage(page, host, site, { width, height, direction });
        await page.locator('[class$="-ring-opener"]').click();
        const found = await targets(page);
        expect(found.length).toBe(5);
        for (const [index, one] of found.entries()) {
          expect(one.left, `${direction} ${width}`).toBeGreaterThanOrEqual(0);
          expect(one.top).toBeGreaterThanOrEqual(0);
          expect(one.right).toBeLessThanOrEqual(width);
          expect(one.bottom).toBeLessThanOrEqual(height);
          const size = one.right - one.left;
          for (const other of found.slice(index + 1))
            expect(Math.hypot(one.left - other.left, one.top - other.top)).toBeGreaterThanOrEqual(size + 7.5);
        }
        const from =
          direction === 'ltr' ? found.map(({ left }) => left) : found.map(({ right }) => width - right);
        if (direction === 'ltr') middles.push(from);
        else
          middles.shift()?.forEach((left, index) => {
            expect(Math.abs(left - (from[index] ?? 0))).toBeLessThan(1);
          });
      }
  });

test('a ring is opened by keys, gone through by arrows, and closed with the focus back', async ({
  page,
  host,
}) => {
  await openPage(page, host, drawn(started('fan')));
  const opener = page.getByRole('button', { name: 'Quick links' });
  const links = page.getByRole('navigation', { name: 'Quick links' }).getByRole('link');
  await expect(links.first()).toBeHidden();
  await opener.focus();
  await page.keyboard.press('Enter');
  await expect(opener).toHaveAttribute('aria-expanded', 'true');
  await expect(links).toHaveCount(5);
  await page.keyboard.press('ArrowDown');
  await expect(links.first()).toBeFocused();
  // What is only pointed at is heard always, and seen while it has the focus.
  await expect(links.first().getByText('Visit')).toHaveCSS('opacity', '1');
  await expect(links.nth(1).getByText('Birds')).toHaveCSS('opacity', '0');
  await expect(links.nth(1)).toHaveAccessibleName('Birds');
  expect(await axe(page)).toEqual([]);
  await page.keyboard.press('ArrowDown');
  await expect(links.nth(1)).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(opener).toBeFocused();
  await expect(links.first()).toBeHidden();
  await opener.click();
  await expect(links.first()).toBeVisible();
  await page.locator('h1').click();
  await expect(links.first()).toBeHidden();
});

test('500 links around an opener, and labels of 200 characters, stay in the window', async ({
  page,
  host,
}) => {
  const site = started('fan');
  const menu = site.menus[0];
  if (!menu) throw new Error('no menu');
  const many = edited(site, {
    name: 'add-items',
    args: {
      place: { menu: menu.id, parent: null, index: 0 },
      items: Array.from({ length: 494 }, (_, index) => ({
        id: `more-${index}`,
        label: `${index} ${'reed '.repeat(40)}`,
        target: { kind: 'url' as const, url: `https://marisma.example/${index}/` },
        children: [],
      })),
    },
  });
  const header = many.pieces.find(({ kind }) => kind === 'header');
  const menus = header ? partsOf(many, header).filter(({ kind }) => kind === 'menu') : [];
  const lean = menus.reduce((next, { id }) => edited(next, { name: 'remove-part', args: { id } }), many);
  await openPage(page, host, lean, { width: 320, height: 480 });
  await page.locator('[class$="-ring-opener"]').click();
  const box = await page.locator('[class$="-ring"]').boundingBox();
  expect(box && box.x >= 0 && box.y >= 0 && box.x + box.width <= 320 && box.y + box.height <= 480).toBe(true);
  expect(await sideways(page)).toBeLessThanOrEqual(0);
  await expect(page.locator('[class$="-ring"] a').nth(498)).toBeAttached();
});

test('a bar at the bottom of phones shares its width, marks the current page, and its last opens the panel', async ({
  page,
  host,
}) => {
  await openPage(page, host, started('jetty'), { width: 390, path: '/visit/' });
  const bar = page.locator('div[class^="hm-"]:not([class^="hm-"] *)');
  const box = await bar.boundingBox();
  expect(box && [Math.round(box.x), Math.round(box.width), Math.round(box.y + box.height)]).toEqual([
    0, 390, 700,
  ]);
  const widths = await bar
    .locator('nav > ul > li')
    .evaluateAll((items) => items.map((item) => Math.round(item.getBoundingClientRect().width)));
  expect(Math.max(...widths) - Math.min(...widths)).toBeLessThanOrEqual(1);
  // The end of the page is not hidden beneath it.
  await page.evaluate(() => {
    scrollTo({ top: document.documentElement.scrollHeight, behavior: 'instant' });
  });
  const last = await page.locator('main p').last().boundingBox();
  expect((last?.y ?? 0) + (last?.height ?? 0)).toBeLessThanOrEqual(box?.y ?? 0);
  await bar.getByRole('button', { name: 'More', exact: true }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await openPage(page, host, started('jetty'), { width: 1280 });
  await expect(bar).toBeHidden();
});

test('a jump menu marks the section in sight while the page scrolls', async ({ page, host }) => {
  const site = started('stakes');
  const menu = site.menus.find(({ id }) => id === 'main');
  const links = menu?.items.slice(0, 3).map(({ id }) => id) ?? [];
  const pointed = links.reduce(
    (next, id, index) =>
      edited(next, {
        name: 'set-item',
        args: {
          id,
          fields: {
            label: ['North', 'Middle', 'South'][index] ?? '',
            target: { kind: 'section', section: ['north', 'middle', 'south'][index] ?? '' },
          },
        },
      }),
    site,
  );
  await openPage(page, host, pointed, { words: SECTIONS });
  const jump = page.locator('div[class^="hm-"]:not([class^="hm-"] *)').getByRole('link');
  await expect(jump.filter({ hasText: 'North' })).toHaveAttribute('aria-current', 'true');
  await jump.filter({ hasText: 'South' }).click();
  await expect(page).toHaveURL(/#south$/);
  await expect(jump.filter({ hasText: 'South' })).toHaveAttribute('aria-current', 'true');
  await expect(page.locator('div[class^="hm-"]:not([class^="hm-"] *) [aria-current]')).toHaveCount(1);
});

test('a label that shows at pointing stays while the pointer moves on to it; without icons all stand whole in sight', async ({
  page,
  host,
}) => {
  const plain = started('fan');
  await openPage(page, host, drawn(plain));
  await page.locator('[class$="-ring-opener"]').click();
  const link = page.locator('[class*="-ring-link"]').nth(2);
  const label = link.locator('[class*="-ring-label"]');
  await expect(label).toHaveCSS('opacity', '0');
  await link.hover();
  await expect(label).toHaveCSS('opacity', '1');
  const [from, to] = [await link.boundingBox(), await label.boundingBox()];
  if (!from || !to) throw new Error('no boxes');
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 30 });
  await expect(label).toHaveCSS('opacity', '1');
  expect(await page.evaluate(() => document.querySelector('[class*="-ring-label"]:hover')?.textContent)).toBe(
    await label.textContent(),
  );
  for (const width of [320, 1280]) {
    await openPage(page, host, plain, { width });
    await page.locator('[class$="-ring-opener"]').click();
    const cut = await page
      .locator('[class*="-ring-label"]')
      .evaluateAll((labels) =>
        labels
          .filter((one) => getComputedStyle(one).opacity !== '1' || one.scrollWidth > one.clientWidth + 1)
          .map((one) => one.textContent),
      );
    expect(cut, `${width}`).toEqual([]);
  }
});

test('texts beneath other parts stand on lines of their own, a search there takes the whole width', async ({
  page,
  host,
}) => {
  const footed = started('jetties');
  const region = [...regionsOf(footed).values()].find(
    (one) => one.form === 'stack' && one.piece.kind === 'footer',
  );
  if (!region) throw new Error('no column');
  const entry = (id: string, text: string) => ({ id, text, target: { kind: 'none' as const }, icon: null });
  let site = footed;
  for (const part of [
    makePart('text', 'words', { entries: [entry('one', 'Calle 4'), entry('two', 'Orilla')] }),
    makePart('search', 'finder', { placeholder: 'Search the reserve and all that lies around it by name' }),
  ])
    site = edited(site, { name: 'add-part', args: { place: { region: region.id, index: 0 }, part } });
  for (const width of [320, 1280]) {
    await openPage(page, host, site, { width });
    const [one, two] = [
      await page.getByText('Calle 4', { exact: true }).boundingBox(),
      await page.getByText('Orilla', { exact: true }).boundingBox(),
    ];
    if (!one || !two) throw new Error('no texts');
    expect(two.y).toBeGreaterThanOrEqual(one.y + one.height);
    expect(two.x).toBeCloseTo(one.x, 0);
    const form = page.getByRole('search');
    const [box, field, button] = [
      await form.boundingBox(),
      await form.getByRole('searchbox').boundingBox(),
      await form.getByRole('button').boundingBox(),
    ];
    const column = await form.evaluate((element) => element.parentElement?.clientWidth ?? 0);
    if (!box || !field || !button) throw new Error('no search');
    expect(box.width).toBeCloseTo(column, 0);
    expect(button.x + button.width).toBeGreaterThan(box.x + box.width - 3);
    expect(button.x).toBeCloseTo(field.x + field.width, 0);
  }
});
