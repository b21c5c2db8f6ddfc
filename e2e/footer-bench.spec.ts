import { copyDemo, expect, saved, stageFrame, test } from './support/app.ts';

test('a new footer has the site’s own links, stands at the end of the stage’s page, and is styled like any piece', async ({
  page,
}) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/bench/header`);
  await stageFrame(page);
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByRole('menuitem', { name: /^Footer/ }).click();
  const frame = await stageFrame(page);
  const footer = frame.getByRole('contentinfo');
  await expect(footer.getByRole('link', { name: 'Opening hours' })).toBeVisible();
  await expect(footer).toBeInViewport();
  const parts = page.getByRole('navigation', { name: 'Parts' });
  await parts.getByRole('button', { name: 'Footer', exact: true }).click();
  await page.locator('[data-cell="fill rest"]').click();
  await page.keyboard.type('ink');
  await page.keyboard.press('Enter');
  await expect(footer).toHaveCSS('background-color', 'rgb(18, 52, 59)');
  await parts.getByRole('button', { name: 'Row of links' }).click();
  await page.locator('[data-cell="menuForm rest"]').click();
  await page.getByRole('button', { name: 'beneath one another' }).click();
  const tops = () =>
    footer
      .getByRole('navigation')
      .locator('xpath=./ul/li')
      .evaluateAll(
        (items) => new Set(items.map((item) => Math.round(item.getBoundingClientRect().top))).size,
      );
  await expect.poll(tops).toBe(6);
  await saved(page);
  await page.getByRole('link', { name: 'Hand-off' }).click();
  await page.getByRole('combobox', { name: /markup of/i }).click();
  await page.getByRole('option', { name: 'Footer' }).click();
  await expect(page.getByText('last thing in the page’s body')).toBeVisible();
  await expect(page.locator('pre, code').filter({ hasText: '<footer' }).first()).toBeVisible();
});
