import { copyDemo, expect, saved, savedSite, stageFrame, test } from './support/app.ts';

const PLACES = ['Links', 'Pages', 'Palette', 'Checks', 'Try it', 'Hand-off'];

test('a site that was open works on without a connection: places, pickers, new parts', async ({
  page,
  context,
}) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/bench/header`);
  await stageFrame(page);
  await page.locator('html[data-fetched]').waitFor();
  const missed: string[] = [];
  page.on('requestfailed', (request) => {
    if (/\.(js|css)$/.test(new URL(request.url()).pathname)) missed.push(request.url());
  });
  await context.setOffline(true);
  await page.getByRole('region', { name: 'Swatches' }).getByRole('button', { name: 'Reed' }).click();
  await page.getByRole('textbox', { name: 'Colour' }).fill('#123456');
  await page.getByRole('textbox', { name: 'Colour' }).press('Enter');
  await page.keyboard.press('Escape');
  await expect(page.locator('[data-saving="offline"]')).toBeVisible();
  for (const place of PLACES.filter((name) => name !== 'Try it')) {
    await page
      .getByRole('link', { name: new RegExp(`^${place}`) })
      .first()
      .click();
    await expect(page.getByRole('main').first()).toBeVisible();
  }
  expect(missed).toEqual([]);
  await expect(page.getByText(/could not be loaded/)).toHaveCount(0);
  await context.setOffline(false);
  await saved(page);
  expect(JSON.stringify((await savedSite(page, id)).palette)).toContain('#123456');
});

test('edits that a closed page did not save are told on Sites, and saved from there', async ({
  page,
  context,
}) => {
  const id = await copyDemo(page);
  const closed = await context.newPage();
  await closed.goto(`/sites/${id}/links`);
  await closed.route('**/api/sites/*', (route) =>
    route.request().method() === 'PATCH' ? route.abort() : route.continue(),
  );
  await closed.getByRole('treegrid').locator('input[value="Visit"]').fill('Visit the reeds');
  await closed.keyboard.press('ArrowDown');
  await expect(closed.locator('[data-saving="offline"]')).toBeVisible();
  await closed.close();
  await page.goto('/');
  const told = page.getByRole('list', { name: 'Edits that were not saved' });
  await expect(told).toContainText(
    'One edit of Marisma Laguna Reserve was not saved before the page was closed.',
  );
  await told.getByRole('button', { name: 'Save now' }).click();
  await expect(told).toHaveCount(0);
  expect(JSON.stringify((await savedSite(page, id)).menus)).toContain('Visit the reeds');
});

test('an edit on a site that was deleted meanwhile comes back with it', async ({ page, context }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/links`);
  await page.getByRole('treegrid').locator('input[value="Visit"]').waitFor();
  // It hears of the deletion only by its own edit.
  await page.route('**/api/sites/*/events', (route) => route.abort());
  await page.reload();
  await page.getByRole('treegrid').locator('input[value="Visit"]').waitFor();
  await context.request.delete(`/api/sites/${id}`);
  await page.getByRole('treegrid').locator('input[value="Visit"]').fill('Visit the reeds');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText('One edit that was not saved is kept in this browser')).toBeVisible();
  await page.unroute('**/api/sites/*/events');
  await context.request.post(`/api/sites/${id}/restore`);
  await expect(page.getByRole('treegrid').locator('input[value="Visit the reeds"]')).toBeVisible();
  await saved(page);
  expect(JSON.stringify((await savedSite(page, id)).menus)).toContain('Visit the reeds');
});
