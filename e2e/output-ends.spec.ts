import { makePart, type Site } from '@hamaca/core';
import { staying } from '../core/test/staying.ts';
import { expect, test, type Page } from '@playwright/test';
import { dress } from '../core/test/dressed.ts';
import { changedDemo, demoSite, edited, handOff, startHost, type Host } from './support/output.ts';

/*
 * The output where few look: on paper, in colours forced by the visitor, without a script, between the links that are
 * pointed at.
 */

let host: Host;
test.beforeAll(async () => {
  host = await startHost();
});
test.afterAll(() => host.close());

const show = async (page: Page, site: Site, width = 1280) => {
  host.put(handOff(site));
  await page.setViewportSize({ width, height: 800 });
  await page.goto(host.url);
};

/** The demo with a search, a telephone number and a second opener's panel at the end of its row. */
function furnished(): Site {
  const place = (index: number) => ({ region: 'row-main.end', index });
  const search = makePart('search', 'search', { action: '/search/' } as never);
  const text = makePart('text', 'text', {
    entries: [
      { id: 'call', text: '+34 955 010 203', target: { kind: 'phone', number: '+34955010203' }, icon: null },
    ],
  } as never);
  return edited(demoSite(), {
    name: 'several',
    args: {
      edits: [
        { name: 'add-part', args: { place: place(0), part: search } },
        { name: 'add-part', args: { place: place(1), part: text } },
      ],
    },
  });
}

test('paper shows no signs, no search and no opener, and every link of the first level', async ({ page }) => {
  await show(page, furnished());
  await expect(page.locator('.hm-main-marker').first()).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  expect(await page.locator('.hm-search').count()).toBeGreaterThan(0);
  for (const nowhere of ['.hm-main-marker', '.hm-search', '.hm-menu-opener'])
    for (const one of await page.locator(nowhere).all()) await expect(one).toBeHidden();
  await expect(page.getByRole('link', { name: 'News' })).toBeVisible();
});

test('forced colours keep an edge around a call to action of a menu', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await show(page, changedDemo(dress));
  const give = page.getByRole('link', { name: 'Give', exact: true }).first();
  await expect(give).toBeVisible();
  expect(await give.evaluate((link) => getComputedStyle(link).outlineStyle)).toBe('solid');
});

test('an icon has the colour of hover while its own link is pointed at, and only then', async ({ page }) => {
  const site = edited(changedDemo(dress), {
    name: 'set-look',
    args: {
      cells: [
        {
          owner: 'menu-main',
          slot: 'glyph',
          property: 'colour',
          level: 'all',
          state: 'hover',
          band: 'all',
          value: { literal: '#ff0000' },
        },
      ],
    },
  });
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await show(page, site);
  const colourIn = (name: string) =>
    page
      .getByRole('link', { name, exact: true })
      .first()
      .locator('svg')
      .evaluate((icon) => getComputedStyle(icon).color);
  await page.mouse.move(640, 600);
  expect(await colourIn('Birds')).not.toBe('rgb(255, 0, 0)');
  await page.getByRole('link', { name: 'News' }).first().hover();
  expect(await colourIn('News')).toBe('rgb(255, 0, 0)');
  expect(await colourIn('Birds')).not.toBe('rgb(255, 0, 0)');
});

test('an opener that is not there keeps no gap, at neither end', async ({ page }) => {
  for (const region of ['row-main.end', 'row-main.start']) {
    const index = region.endsWith('end') ? 1 : 0;
    await show(
      page,
      edited(demoSite(), { name: 'move-part', args: { id: 'opener', place: { region, index } } }),
      1440,
    );
    await expect(page.locator('.hm-menu-opener')).toBeHidden();
    const [start, end] = await page.locator('.hm-main-row').evaluate((row) => {
      const { paddingLeft, paddingRight } = getComputedStyle(row);
      const { left, right } = row.getBoundingClientRect();
      const seen = [...row.querySelectorAll('a, button')]
        .map((one) => one.getBoundingClientRect())
        .filter(({ width }) => width > 0);
      return [
        Math.min(...seen.map((box) => box.left)) - left - parseFloat(paddingLeft),
        right - parseFloat(paddingRight) - Math.max(...seen.map((box) => box.right)),
      ];
    });
    expect(start).toBeCloseTo(0, 0);
    expect(end).toBeCloseTo(0, 0);
  }
});

test('a telephone number in a text is high enough to be hit', async ({ page }) => {
  await show(page, furnished());
  const box = await page.getByRole('link', { name: '+34 955 010 203' }).boundingBox();
  expect(box?.height).toBeGreaterThanOrEqual(24);
});

test('a header that stays lies in the page where no script can fold it: everything beneath can be reached', async ({
  browser,
}) => {
  const page = await browser.newPage({ javaScriptEnabled: false });
  await show(page, edited(demoSite(), staying()), 390);
  await expect(page.locator('.hm-header')).toHaveCSS('position', 'relative');
  const contact = page.getByRole('link', { name: 'Contact' });
  await contact.scrollIntoViewIfNeeded();
  await expect(contact).toBeInViewport({ ratio: 1 });
  await expect(page.getByRole('link', { name: 'Book a hide' })).toBeVisible();
  await page.close();
});
