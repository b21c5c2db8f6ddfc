import type { Page } from '@playwright/test';
import { placedParts } from '@hamaca/core';
import { copyDemo, expect, savedSite, saved, stageFrame, test } from './support/app.ts';

const idOf = (page: Page) => /sites\/([^/]+)/.exec(page.url())?.[1] ?? '';
const panelOf = async (page: Page) => {
  const site = await savedSite(page, idOf(page));
  return site.pieces.find((piece) => piece.kind === 'panel');
};

test.beforeEach(async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/bench/panel`);
  await stageFrame(page);
});

const parts = (page: Page) => page.getByRole('navigation', { name: 'Parts' });

test('where a panel stands is chosen from drawings, and seen at once', async ({ page }) => {
  await parts(page).getByRole('button', { name: 'Panel', exact: true }).click();
  await page.locator('[data-cell="stands rest"]').click();
  await page.getByRole('button', { name: 'over the whole window' }).click();
  const dialog = (await stageFrame(page)).getByRole('dialog');
  const width = async () => (await dialog.boundingBox())?.width ?? 0;
  const whole = async () => (await page.locator('iframe[title="Stage"]').boundingBox())?.width ?? -1;
  await expect.poll(async () => Math.round((await width()) - (await whole()))).toBe(0);
});

test('dragging the edge of a panel sets its width as one step, and Undo takes it back', async ({ page }) => {
  await parts(page).getByRole('button', { name: 'Panel', exact: true }).click();
  const dialog = (await stageFrame(page)).getByRole('dialog');
  await expect(dialog).toBeVisible();
  // It has arrived where it stands once it is twice in one place.
  const place = async () => JSON.stringify(await dialog.boundingBox());
  await expect
    .poll(async () => {
      const before = await place();
      await page.waitForTimeout(150);
      return (await place()) === before;
    })
    .toBe(true);
  const box = await dialog.boundingBox();
  if (!box) throw new Error('no panel');
  await page.mouse.move(box.x + 1, box.y + 200);
  await page.mouse.down();
  await page.mouse.move(box.x + 30, box.y + 210, { steps: 4 });
  await page.mouse.move(box.x + 61, box.y + 220, { steps: 4 });
  await page.mouse.up();
  await saved(page);
  await expect(dialog).toBeVisible();
  const width = async () => (await panelOf(page))?.look['panel']?.all?.rest?.['all']?.width;
  const shown = box.width - 60;
  await expect.poll(async () => Math.abs(Number(await width()) - shown)).toBeLessThan(3);
  await expect
    .poll(async () => Math.round((await dialog.boundingBox())?.width ?? 0))
    .toBe(Number(await width()));
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect
    .poll(async () => Math.round((await dialog.boundingBox())?.width ?? 0))
    .toBe(Math.round(box.width));
});

test('a starting panel is chosen apart from the header: its look stays, and so do the links', async ({
  page,
}) => {
  const before = await savedSite(page, idOf(page));
  await page.getByRole('button', { name: 'Designs' }).click();
  const list = page.getByRole('dialog', { name: /Starting panels/ });
  await expect(list.getByRole('listitem').nth(9)).toBeVisible();
  await list.getByRole('button', { name: /^Dusk/ }).click();
  await expect(list).toHaveCount(0);
  const dialog = (await stageFrame(page)).getByRole('dialog');
  await expect(dialog).toHaveCSS('background-color', 'rgb(18, 52, 59)');
  await expect(dialog.getByRole('link', { name: 'News' })).toHaveCSS('color', 'rgb(253, 251, 245)');
  await expect(dialog.getByRole('link', { name: /Marisma/ })).toBeVisible();
  await saved(page);
  const after = await savedSite(page, idOf(page));
  const header = (site: typeof before) => site.pieces.find((piece) => piece.kind === 'header')?.look;
  expect(header(after)).toEqual(header(before));
  expect(after.menus).toEqual(before.menus);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(dialog).toHaveCSS('background-color', 'rgb(253, 251, 245)');
});

test('the last way to close is not taken away: why is said', async ({ page }) => {
  await parts(page).getByRole('button', { name: 'Panel', exact: true }).click();
  await page.getByRole('button', { name: 'by the scrim' }).click();
  await page.getByRole('button', { name: 'by Escape' }).click();
  await page
    .getByRole('radiogroup', { name: /closes by/ })
    .getByRole('radio')
    .last()
    .click();
  await expect(page.getByText(/needs a close control, or to be closed by/)).toBeVisible();
  await saved(page);
  expect(await panelOf(page)).toMatchObject({ closeAs: 'drawing', byScrim: false, byEscape: false });
});

test('own HTML is added to a panel, written as people write it, and says what is left out', async ({
  page,
}) => {
  await page
    .getByRole('button', { name: /^Add a part at/ })
    .first()
    .click();
  await page.getByRole('menuitem', { name: /^Own HTML/ }).click();
  await page.getByRole('button', { name: /^HTML: / }).click();
  const text = page.getByRole('textbox', { name: 'HTML of your own' });
  await text.fill('<h2>News by mail<script>x()</script></h2><p style="color:red">Once a month');
  await expect(page.getByText('Left out: <script>, style of <p>')).toBeVisible();
  await text.press('Control+Enter');
  const dialog = (await stageFrame(page)).getByRole('dialog');
  await expect(dialog.getByRole('heading', { name: 'News by mail' })).toBeVisible();
  await saved(page);
  const part = placedParts(await savedSite(page, idOf(page))).find(
    (placed) => placed.part.kind === 'markup',
  )?.part;
  expect(part).toMatchObject({ source: '<h2>News by mail</h2><p>Once a month</p>' });
});

test('motion of a panel is played on the stage, slowly where wanted', async ({ page }) => {
  await parts(page).getByRole('button', { name: 'Panel', exact: true }).click();
  const dialog = (await stageFrame(page)).getByRole('dialog');
  await expect(dialog).toBeVisible();
  const rates = async () =>
    dialog.evaluate((element) => element.getAnimations().map(({ playbackRate }) => playbackRate));
  await page.getByRole('button', { name: 'slowly', exact: true }).click();
  await expect.poll(rates).toContain(0.25);
  await expect(dialog).toBeVisible();
});
