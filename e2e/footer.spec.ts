import { expect } from '@playwright/test';
import { FOOTER, type Site } from '@hamaca/core';
import { demoSite, edited, handOff } from './support/output.ts';
import { axe, open, test } from './support/pasted.ts';

/** The demo with a footer as a new one is. */
function footed(): Site {
  const site = demoSite();
  let count = 0;
  const piece = FOOTER.create({ id: 'foot', name: 'Footer', freshId: () => `foot-${++count}`, site });
  return edited(site, { name: 'add-piece', args: { piece } });
}

const SHORT = '<style>body{margin:0}</style><main><h1>Marisma</h1></main>';
const LONG = `<style>body{margin:0}</style><main><h1>Marisma</h1>${'<p>The reserve lies where the river meets the sea.</p>'.repeat(120)}</main>`;

const withFooter = (output: ReadonlyMap<string, string | Uint8Array>, body: string) =>
  `${body}${String(output.get('menu-footer.html'))}`;

test('a footer stands at the end of long pages, and at the lower edge of the window on short ones', async ({
  page,
  host,
}) => {
  const output = handOff(footed());
  for (const width of [320, 390, 768, 1280]) {
    await open(page, host, width, { body: withFooter(output, SHORT) }, output);
    const footer = page.getByRole('contentinfo');
    const bottom = async () => Math.round(await footer.evaluate((own) => own.getBoundingClientRect().bottom));
    expect(await bottom(), `${width}`).toBeGreaterThanOrEqual(700);
    await open(page, host, width, { body: withFooter(output, LONG) }, output);
    expect(await bottom()).toBeGreaterThan(2000);
    await page.evaluate(() => {
      scrollTo({ top: document.documentElement.scrollHeight, behavior: 'instant' });
    });
    expect(await bottom()).toBe(700);
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(
      0,
    );
  }
});

test('its links stand in columns, a branch in each, as many as there is room for', async ({ page, host }) => {
  const output = handOff(footed());
  const columns = async (width: number) => {
    await open(page, host, width, { body: withFooter(output, LONG) }, output);
    const lefts = await page
      .getByRole('contentinfo')
      .locator('nav > ul')
      .first()
      .locator('xpath=./li')
      .evaluateAll((items) => items.map((item) => Math.round(item.getBoundingClientRect().left)));
    return new Set(lefts).size;
  };
  expect(await columns(1280)).toBe(6);
  expect(await columns(768)).toBe(4);
  expect(await columns(320)).toBe(1);
  const footer = page.getByRole('contentinfo');
  await expect(footer.getByRole('link', { name: 'Opening hours' })).toBeVisible();
  await expect(footer.getByText('© Marisma Laguna Reserve')).toBeVisible();
});

test('it is a landmark with a navigation of its own name, and nothing is wrong for assistive technology', async ({
  page,
  host,
}) => {
  const output = handOff(footed());
  for (const width of [390, 1280]) {
    await open(page, host, width, { body: withFooter(output, LONG) }, output);
    await expect(page.getByRole('navigation', { name: 'Footer' })).toBeVisible();
    expect(await axe(page)).toEqual([]);
  }
});

test('the example page has it at its end, and the reading says where it goes', () => {
  const output = handOff(footed());
  const index = String(output.get('index.html'));
  expect(index.indexOf('<header')).toBeGreaterThan(0);
  expect(index.indexOf('<footer')).toBeGreaterThan(index.indexOf('</header>'));
  expect(String(output.get('menu.html'))).not.toContain('<footer');
  expect(output.get('index-footer.html')).toBeUndefined();
  expect(String(output.get('README.txt'))).toMatch(
    /menu-footer\.html\s+the markup of Footer: paste it as the last thing/,
  );
});
