import type { Locator, Page } from '@playwright/test';
import { still } from './support/motion.ts';
import { copyDemo, expect, saved, savedSite, stageFrame, test } from './support/app.ts';
import { handOff, pasteInto, startHost } from './support/output.ts';

/*
 * Jobs on small screens, done from the bare demo through the interface, each in fewer than forty interactions; then what
 * the page gets is looked at.
 */

const MOST = 40;

/** Hands that count what they do. */
function handsOn(page: Page) {
  let interactions = 0;
  const click = async (target: Locator) => {
    interactions++;
    await target.click();
  };
  const cell = (name: string) => page.locator(`[data-cell="${name}"]`);
  return {
    count: () => interactions,
    click,
    part: async (name: string) =>
      click(page.getByRole('navigation', { name: 'Parts' }).getByRole('button', { name, exact: true })),
    /** Types a value into a cell, looked up by the filter where it is not in sight. */
    put: async (name: string, value: string) => {
      const [property = ''] = name.split(' ');
      if (!(await cell(name).isVisible())) {
        interactions++;
        await page.getByLabel('Find a property').fill(FOUND_AS[property] ?? property);
      }
      await click(cell(name));
      interactions++;
      await page.keyboard.type(value);
      await page.keyboard.press('Enter');
      await page.getByLabel('Find a property').fill('');
    },
    /** Chooses one of a cell's drawings. */
    choose: async (name: string, choice: string) => {
      const [property = ''] = name.split(' ');
      if (!(await cell(name).isVisible())) {
        interactions++;
        await page.getByLabel('Find a property').fill(FOUND_AS[property] ?? property);
      }
      await click(cell(name));
      await click(page.getByRole('button', { name: choice, exact: true }));
      await page.getByLabel('Find a property').fill('');
    },
  };
}

/** What properties are called in the sheet. */
const FOUND_AS: Readonly<Record<string, string>> = {
  comesIn: 'arrives',
  comeTime: 'arrives in',
  comeCurve: 'arrives with',
  fixedAt: 'stands',
  marginInline: 'margin, sides',
  marginBlock: 'margin, ends',
  closeLies: 'lies',
  paint: 'gradient, picture',
  drawnHeight: 'height',
  motionTime: 'motion time',
};

/** The page that the site as it is saved gives, at a width. */
async function handedOver(page: Page, id: string, width: number, height = 760) {
  await saved(page);
  const host = await startHost();
  const filler = '<p>Birds rest here in spring.</p>'.repeat(100);
  host.put(pasteInto(handOff(await savedSite(page, id)), { body: `<main>${filler}</main>` }));
  const output = await page.context().newPage();
  await output.setViewportSize({ width, height });
  await output.goto(host.url);
  return { output, close: host.close };
}

test('a dark panel from the left, logo on top, a large close control, a violet scrim', async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/bench/panel`);
  await stageFrame(page);
  const hands = handsOn(page);
  await hands.click(page.getByRole('button', { name: 'Designs' }));
  await hands.click(page.getByRole('dialog').getByRole('button', { name: /^Dusk/ }));
  await hands.part('Panel');
  await hands.put('comeTime rest', '500');
  await hands.part('Close control');
  await hands.put('size rest', '48');
  await hands.part('Scrim');
  await hands.put('fill rest', '#7b4fc966');
  await hands.click((await stageFrame(page)).getByRole('link', { name: 'News' }));
  await hands.put('family rest', 'Fraunces');
  expect(hands.count()).toBeLessThan(MOST);
  const { output, close } = await handedOver(page, id, 390);
  await output.getByRole('button', { name: 'Menu' }).click();
  const dialog = output.locator('dialog');
  expect((await dialog.evaluate((element) => element.getBoundingClientRect().width)) / 390).toBeCloseTo(
    0.8,
    2,
  );
  await expect(dialog).toHaveCSS('transition-duration', /0\.5s/);
  await still(output);
  expect((await dialog.boundingBox())?.x).toBe(0);
  await expect(output.getByRole('link', { name: 'News' })).toHaveCSS('color', 'rgb(253, 251, 245)');
  await expect(output.getByRole('link', { name: 'News' })).toHaveCSS('font-family', /fraunces/);
  const closing = output.getByRole('button', { name: 'Close menu' });
  expect((await closing.boundingBox())?.width).toBeGreaterThan(60);
  const scrim = await dialog.evaluate((element) => getComputedStyle(element, '::backdrop').backgroundColor);
  expect(scrim).toBe('rgba(123, 79, 201, 0.4)');
  await close();
});

test('a whole-screen menu from a round opener fixed in the corner at all widths', async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/bench/header`);
  await stageFrame(page);
  const hands = handsOn(page);
  await hands.part('Menu Main');
  await hands.click(page.getByLabel('Folds away from'));
  await hands.click(page.getByRole('option', { name: 'Wide and narrower' }));
  await hands.part('Opener');
  await hands.choose('fixedAt rest', 'at the bottom, end');
  await hands.put('marginInline rest', '30');
  await hands.put('marginBlock rest', '30');
  await hands.put('fill rest', 'ink');
  await hands.put('colour rest', 'paper');
  await hands.put('radius rest', '999');
  await hands.part('Panel');
  await hands.choose('stands rest', 'over the whole window');
  await hands.put('paint rest', 'url(https://marisma.example/reeds.jpg)');
  await hands.part('Link, level 2');
  await hands.put('size rest', '18');
  await hands.put('colour rest', 'accent');
  expect(hands.count()).toBeLessThan(MOST);
  for (const width of [1280, 390]) {
    const { output, close } = await handedOver(page, id, width);
    const opener = output.getByRole('button', { name: 'Menu' });
    const box = await opener.boundingBox();
    expect(box && [box.x + box.width, box.y + box.height]).toEqual([width - 30, 730]);
    expect(box && box.width === box.height).toBe(true);
    await opener.click();
    await still(output);
    expect((await output.locator('dialog').boundingBox())?.width).toBe(width);
    await expect(output.locator('dialog')).toHaveCSS('background-image', /reeds\.jpg/);
    const size = (name: string) =>
      output.getByRole('link', { name }).evaluate((link) => getComputedStyle(link).fontSize);
    await output.getByRole('button', { name: 'Visit' }).click();
    expect(await size('Opening hours')).not.toBe(await size('News'));
    await close();
  }
});

test('two blocks that rise from below, a word as close control', async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/bench/panel`);
  await stageFrame(page);
  const hands = handsOn(page);
  await hands.click(page.getByRole('button', { name: 'Designs' }));
  await hands.click(page.getByRole('dialog').getByRole('button', { name: /^Two banks/ }));
  await hands.part('Block Links');
  await hands.choose('comesFrom rest', 'the bottom');
  expect(hands.count()).toBeLessThan(MOST);
  // Side by side where each is wide enough to be read, one beneath the other on a phone.
  for (const [width, isStacked] of [
    [600, false],
    [390, true],
  ] as const) {
    const { output, close } = await handedOver(page, id, width);
    await output.getByRole('button', { name: 'Menu' }).click();
    const boxes = () =>
      output.locator('dialog > div > div').evaluateAll((blocks) =>
        blocks.map((block) => {
          const { top, bottom } = block.getBoundingClientRect();
          return { top: Math.round(top), bottom: Math.round(bottom) };
        }),
      );
    for (const { top } of await boxes()) expect(top).toBeGreaterThan(0);
    await still(output);
    const [first, second] = await boxes();
    expect(first?.top).toBe(0);
    expect(second?.top).toBe(isStacked ? first?.bottom : 0);
    await expect(output.locator('dialog').getByRole('link', { name: /Marisma/ })).toBeVisible();
    await output.getByRole('button', { name: 'Close', exact: true }).click();
    await still(output);
    await expect(output.locator('dialog')).toBeHidden();
    await close();
  }
});

test('a header that shrinks and changes colour on desktops only', async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/bench/header`);
  await stageFrame(page);
  const hands = handsOn(page);
  await hands.part('Bar');
  await hands.choose('sticks rest', 'stays on top');
  await hands.put('fill scrolled', 'ink');
  await hands.put('motionTime rest', '250');
  await hands.click(page.getByLabel('Reach'));
  await hands.click(page.getByRole('option', { name: 'Phone alone' }));
  await hands.choose('sticks rest', 'scrolls away');
  await hands.click(page.getByLabel('Reach'));
  await hands.click(page.getByRole('option', { name: 'all widths', exact: true }));
  await hands.part('Row Main');
  await hands.put('height scrolled', '52');
  await hands.part('Link, level 1');
  await hands.put('colour scrolled', 'paper');
  expect(hands.count()).toBeLessThan(MOST);
  const { output, close } = await handedOver(page, id, 1280);
  const bar = output.locator('.hm-header');
  const scrolled = async () => {
    await output.evaluate(() => {
      scrollTo(0, 500);
    });
    await still(output);
    return bar.evaluate((element) => Math.round(element.getBoundingClientRect().top));
  };
  expect(await scrolled()).toBe(0);
  await expect(bar).toHaveCSS('background-color', 'rgb(18, 52, 59)');
  expect((await bar.boundingBox())?.height).toBeLessThan(60);
  await expect(output.getByRole('link', { name: 'News' })).toHaveCSS('color', 'rgb(253, 251, 245)');
  await output.setViewportSize({ width: 390, height: 760 });
  await expect.poll(scrolled).toBeLessThan(-400);
  await close();
});
