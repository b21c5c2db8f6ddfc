import type { Page } from '@playwright/test';
import { copyDemo, expect, saved, savedSite, stageFrame, test } from './support/app.ts';
import { orilla, wholeMarisma } from './support/output.ts';

const cell = (page: Page, name: string) => page.getByRole('checkbox', { name, exact: true });

test('the table says which page has which piece, and sets it by page, by path and by band', async ({
  page,
}) => {
  const id = await copyDemo(page, wholeMarisma());
  await page.goto(`/sites/${id}/pages`);
  const grid = page.getByRole('grid', { name: 'Pages and pieces' });
  await expect(cell(page, 'Learn on /learn/*')).toBeChecked();
  await expect(cell(page, 'Learn on /visit/*')).not.toBeChecked();
  await cell(page, 'Footer on /visit/access/').click();
  await expect(cell(page, 'Footer on /visit/access/')).not.toBeChecked();
  await expect(cell(page, 'Footer on /visit/*')).toHaveAttribute('aria-checked', 'mixed');
  await expect(page.getByRole('combobox', { name: 'Pages of Footer' })).toHaveText(/on all but 1/);
  await cell(page, 'Learn on /birds/*').click();
  await page.getByRole('group', { name: 'Bands of Footer' }).getByRole('button', { name: 'Phone' }).click();
  await saved(page);
  const site = await savedSite(page, id);
  const footer = site.pieces.find(({ name }) => name === 'Footer');
  expect(footer?.pages?.pages).toHaveLength(1);
  expect(footer?.bands).toEqual(['wide']);
  const learn = site.pieces.find(({ name }) => name === 'Learn');
  expect(learn?.pages?.paths).toEqual([{ path: '/learn/*' }, { path: '/birds/*' }]);
  // All of it by keys: one stop, arrows lead from cell to cell, the space bar turns one.
  await cell(page, 'Footer on /visit/*').focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Space');
  await expect(cell(page, 'Learn on /visit/')).toBeChecked();
  await expect(grid.locator('[role=checkbox][tabindex="0"]')).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(cell(page, 'Learn on /visit/')).not.toBeChecked();
  // The page of the line is drawn beside it, with what is on it.
  await expect(page.getByRole('region', { name: 'The page /visit/' })).toBeVisible();
});

test('a piece that is on no page, and two headers on one, are told', async ({ page }) => {
  const id = await copyDemo(page, wholeMarisma());
  await page.goto(`/sites/${id}/pages`);
  await page.getByRole('combobox', { name: 'Pages of Footer' }).click();
  await page.getByRole('option', { name: 'only where told' }).click();
  await expect(page.getByRole('combobox', { name: 'Pages of Footer' })).toHaveText(/on no page/);
  await page.goto(`/sites/${id}/bench/header`);
  await stageFrame(page);
  await page.getByRole('button', { name: 'More about Header' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate with all in it' }).click();
  await page.getByRole('link', { name: 'Pages', exact: true }).click();
  await expect(page.getByText('stand on the same page, one above the other').first()).toBeVisible();
  await page.getByRole('link', { name: 'Checks' }).click();
  await expect(page.getByText('A piece on no page')).toBeVisible();
  await expect(page.getByText('Two pieces in one place')).toBeVisible();
});

test('two headers of a page change places', async ({ page }) => {
  const id = await copyDemo(page, wholeMarisma());
  await page.goto(`/sites/${id}/bench/header`);
  await stageFrame(page);
  await page.getByRole('button', { name: 'More about Header' }).click();
  // Nothing else stands where it does.
  await expect(page.getByRole('menuitem', { name: /^Move/ })).toHaveCount(0);
  await page.getByRole('menuitem', { name: 'Duplicate with all in it' }).click();
  await page.getByRole('button', { name: 'More about Header copy' }).click();
  await page.getByRole('menuitem', { name: /^Move before Header/ }).click();
  await saved(page);
  const { pieces } = await savedSite(page, id);
  const headers = pieces.filter(({ kind }) => kind === 'header');
  expect(headers.map(({ name }) => name)).toEqual(['Header copy', 'Header']);
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: 'More about Header copy' }).click();
  await expect(page.getByRole('menuitem', { name: /^Move before Header/ })).toBeVisible();
});

test('a site without pages says where they come from', async ({ page }) => {
  const id = await copyDemo(page, {
    ...orilla(),
    pages: [],
    menus: [{ id: 'main', name: 'Main', items: [] }],
  });
  await page.goto(`/sites/${id}/pages`);
  await expect(page.getByText('Every piece stands on every page so far.')).toBeVisible();
});

test('the stage shows the whole page of the piece at work; a click on another piece goes there', async ({
  page,
}) => {
  const id = await copyDemo(page, wholeMarisma());
  await page.goto(`/sites/${id}/bench/learn`);
  const stage = await stageFrame(page);
  await expect(stage.getByRole('banner')).toBeVisible();
  await expect(stage.locator('aside[class^="hm-"]')).toBeVisible();
  await page.getByRole('button', { name: 'Draw all but this piece faintly' }).click();
  await expect(stage.getByRole('banner')).toHaveCSS('opacity', '0.3');
  await expect(stage.locator('aside[class^="hm-"]')).toHaveCSS('opacity', '1');
  await page.keyboard.press('Alt+g');
  await expect(stage.getByRole('banner')).toHaveCSS('opacity', '1');
  await stage.getByRole('banner').getByRole('link', { name: 'News' }).click();
  await expect(page).toHaveURL(/bench\/header$/);
  await expect(page.getByRole('heading', { name: 'Link' })).toBeVisible();
  // On a page without the column there is none.
  await page.getByRole('combobox', { name: 'Page on the stage' }).click();
  await page.getByRole('option', { name: 'on: /news/' }).click();
  await expect(stage.locator('aside[class^="hm-"]')).toHaveCount(0);
  // One key goes from piece to piece.
  await page.keyboard.press('Alt+,');
  await expect(page).toHaveURL(/bench\/phone-bar-piece$/);
  await page.keyboard.press('Alt+.');
  await expect(page).toHaveURL(/bench\/header$/);
});

test('a page is tried with links, hashes, history and widths at work, in a frame of its own', async ({
  page,
}) => {
  const id = await copyDemo(page, wholeMarisma());
  await page.goto(`/sites/${id}/bench/header`);
  await stageFrame(page);
  await page.keyboard.press('Alt+t');
  const frame = page.frameLocator('iframe[title="Page"]');
  await expect(frame.getByRole('heading', { level: 1, name: 'Visit' })).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Places' })).toHaveCount(0);
  const isApart = await page
    .locator('iframe[title="Page"]')
    .evaluate((own: HTMLIFrameElement) => own.contentDocument === null);
  expect(isApart).toBe(true);
  await frame.getByRole('contentinfo').getByRole('link', { name: 'Courses' }).click();
  await expect(frame.getByRole('heading', { level: 1, name: 'Courses' })).toBeVisible();
  await expect(page).toHaveURL(/\/try\/learn\/courses\/$/);
  // The column of the Learn pages marks where one is.
  await expect(frame.locator('aside[class^="hm-"]').getByRole('link', { name: 'Courses' })).toHaveAttribute(
    'aria-current',
    'page',
  );
  await page.goBack();
  await expect(frame.getByRole('heading', { level: 1, name: 'Visit' })).toBeVisible();
  await expect(page.getByTestId('tried-path')).toHaveText('/visit/');
  await page.getByRole('button', { name: 'Phone' }).click();
  await expect(frame.locator('div[class^="hm-"]:not([class^="hm-"] *)')).toBeVisible();
  await page.getByLabel('Width in px').fill('1100');
  await page.keyboard.press('Enter');
  await expect(frame.locator('div[class^="hm-"]:not([class^="hm-"] *)')).toBeHidden();
  await page.getByRole('link', { name: '← Back' }).click();
  await expect(page).toHaveURL(/bench\/header$/);
});

test('the quartet’s ring leads to the sections of its page', async ({ page }) => {
  const id = await copyDemo(page, orilla());
  await page.goto(`/sites/${id}/try/`);
  const frame = page.frameLocator('iframe[title="Page"]');
  await frame.getByRole('button', { name: 'Jump to a section' }).click();
  await frame
    .getByRole('navigation', { name: 'Jump to a section' })
    .getByRole('link', { name: 'Listen' })
    .click();
  await expect(page).toHaveURL(/\/try\/#listen$/);
  await expect(frame.getByRole('heading', { name: 'Listen' })).toBeInViewport();
  await page.goto(`/sites/${id}/try/nowhere/`);
  await expect(frame.getByText('The inventory knows no page at')).toBeVisible();
});

for (const [piece, design, expected] of [
  ['page-footer', 'Night heron', { slot: 'footer', fill: { role: 'ink' } }],
  ['learn', 'Heron steps', { slot: 'sidebar', fill: { role: 'soft' } }],
  ['phone-bar-piece', 'Moorings', { slot: 'floating', fill: { role: 'ink' } }],
] as const)
  test(`${design} is chosen from drawings of the site’s own`, async ({ page }) => {
    const id = await copyDemo(page, wholeMarisma());
    await page.goto(`/sites/${id}/bench/${piece}`);
    await stageFrame(page);
    await page.getByRole('button', { name: 'Designs' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('button', { name: new RegExp(`^${design}`) }).click();
    await expect(dialog).toBeHidden();
    await saved(page);
    const found = (await savedSite(page, id)).pieces.find((one) => one.id === piece);
    expect(found?.look[expected.slot]?.all?.rest?.['all']?.fill).toEqual(expected.fill);
  });
