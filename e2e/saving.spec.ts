import type { Page } from '@playwright/test';
import { copyDemo, expect, launchApp, saved, savedSite, stageFrame, test, type App } from './support/app.ts';

const nameOf = async (page: Page, id: string) => (await savedSite(page, id)).name;
const swatchField = async (page: Page, name: string) => {
  await page.getByRole('region', { name: 'Swatches' }).getByRole('button', { name }).click();
  return page.getByRole('textbox', { name: 'Colour' });
};
const setSwatch = async (page: Page, name: string, colour: string) => {
  const field = await swatchField(page, name);
  await field.fill(colour);
  await field.press('Enter');
  await page.keyboard.press('Escape');
};
const colours = async (page: Page, id: string) =>
  (await savedSite(page, id)).palette.map(
    (swatch) => `${swatch.name} ${'value' in swatch ? swatch.value : ''}`,
  );

test('two tabs at once: neither loses an edit, each sees the other’s', async ({ page, context }) => {
  const id = await copyDemo(page);
  const other = await context.newPage();
  for (const tab of [page, other]) {
    await tab.goto(`/sites/${id}/bench/header`);
    await stageFrame(tab);
  }
  // Both edit before either has heard of the other.
  await Promise.all([setSwatch(page, 'Reed', '#111111'), setSwatch(other, 'Silt', '#eeeeee')]);
  await Promise.all([saved(page), saved(other)]);
  await expect
    .poll(() => colours(page, id))
    .toEqual(['Deep water #12343b', 'Reed #111111', 'Cotton #fdfbf5', 'Silt #eeeeee', 'Marsh light #f0b541']);
  await expect(page.getByText(/Changed in another tab/)).toBeVisible();
  await expect(await swatchField(page, 'Silt')).toHaveValue('#eeeeee');
});

test('an edit of what another tab removed is not lost silently', async ({ page, context }) => {
  const id = await copyDemo(page);
  const other = await context.newPage();
  for (const tab of [page, other]) await tab.goto(`/sites/${id}/links`);
  const row = (tab: Page, label: string) =>
    tab
      .getByRole('treegrid')
      .getByRole('row')
      .filter({ has: tab.locator(`input[value="${label}"]`) });
  // It hears of nothing, neither from the server nor from the other tab.
  await page.route('**/api/sites/*/events', (route) => route.abort());
  await page.addInitScript(() => {
    Reflect.deleteProperty(window, 'BroadcastChannel');
  });
  await page.reload();
  await row(page, 'Visit').getByLabel('Label').fill('Visit us');
  await row(other, 'Visit').getByRole('button', { name: 'Details of Visit' }).click();
  await other.getByRole('button', { name: 'Remove Visit' }).click();
  await saved(other);
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText(/“Rename “Visit us”” could not be kept/)).toBeVisible();
  await expect(row(page, 'Visit')).toHaveCount(0);
});

test('letters typed into a link that another tab removes meanwhile are named', async ({ page, context }) => {
  const id = await copyDemo(page);
  const other = await context.newPage();
  for (const tab of [page, other]) await tab.goto(`/sites/${id}/links`);
  await page.getByRole('treegrid').locator('input[value="Visit"]').fill('Visit the reeds');
  await other.getByRole('button', { name: 'Details of Visit' }).click();
  await other.getByRole('button', { name: 'Remove Visit' }).click();
  await saved(other);
  await expect(page.getByText(/“Rename “Visit the reeds”” could not be kept/)).toBeVisible();
});

test('more tabs than a browser has connections to a host: each saves, and hears of the others', async ({
  page,
  context,
}) => {
  const id = await copyDemo(page);
  const tabs = [page];
  while (tabs.length < 8) tabs.push(await context.newPage());
  for (const tab of tabs) {
    await tab.goto(`/sites/${id}/links`);
    await expect(tab.getByRole('treegrid')).toBeVisible();
  }
  const [first, last] = [page, tabs.at(-1) ?? page];
  const label = (tab: Page, name: string) =>
    tab
      .getByRole('treegrid')
      .getByRole('row')
      .filter({ has: tab.locator(`input[value="${name}"]`) })
      .getByLabel('Label');
  await label(last, 'News').fill('Latest');
  await last.keyboard.press('ArrowDown');
  await saved(last);
  await expect(label(first, 'Latest')).toBeVisible();
  await first.close();
  const [second] = tabs.slice(1);
  if (!second) throw new Error('There is no second tab.');
  await label(last, 'Contact').fill('Write to us');
  await last.keyboard.press('ArrowDown');
  await saved(last);
  await expect(label(second, 'Write to us')).toBeVisible();
});

test.describe('with parts that die', () => {
  let app: App;
  test.beforeAll(async () => {
    app = await launchApp();
  });
  test.afterAll(async () => {
    await app.stop();
  });

  test('what the interface called saved survives kill -9 of server and database; what is not saved yet is sent later', async ({
    browser,
  }) => {
    const page = await browser.newPage({ baseURL: app.url });
    await page.goto('/sites/marisma/bench/header');
    await stageFrame(page);

    await setSwatch(page, 'Reed', '#010203');
    await saved(page);
    await app.killServer();
    await app.startServer();
    await expect.poll(() => colours(page, 'marisma')).toContain('Reed #010203');

    await setSwatch(page, 'Reed', '#040506');
    await saved(page);
    const field = await swatchField(page, 'Silt');
    await field.fill('#070809');
    app.killDatabase();
    // Edited while the database is away: kept, and said to be not saved.
    await field.press('Enter');
    await expect(page.locator('[data-saving="offline"]')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.locator('[data-saving="saved"]')).toBeVisible();
    expect(await colours(page, 'marisma')).toEqual(expect.arrayContaining(['Reed #040506', 'Silt #070809']));

    // The server is gone: edits are kept in the browser, also over a reload of the page once it is back.
    await app.killServer();
    await setSwatch(page, 'Cotton', '#fafafa');
    await expect(page.locator('[data-saving="offline"]')).toBeVisible();
    await page.close();
    await app.startServer();
    const again = await browser.newPage({ baseURL: app.url });
    await again.goto('/sites/marisma/bench/header');
    await saved(again);
    // Another browser profile has no unsent edits; the document is whole all the same.
    expect(await colours(again, 'marisma')).toEqual(expect.arrayContaining(['Reed #040506', 'Silt #070809']));
    await again.close();
  });

  test('unsent edits of a closed tab are sent by the next one', async ({ browser }) => {
    const context = await browser.newContext({ baseURL: app.url });
    const page = await context.newPage();
    await page.goto('/sites/marisma/links');
    await page.getByRole('treegrid').waitFor();
    await app.killServer();
    await page.getByLabel('Name of the menu').fill('Top menu');
    await page.getByLabel('Name of the menu').press('Enter');
    await expect(page.locator('[data-saving="offline"]')).toBeVisible();
    await page.close();
    await app.startServer();
    const next = await context.newPage();
    await next.goto('/sites/marisma/links');
    await expect(next.getByLabel('Name of the menu')).toHaveValue('Top menu');
    await saved(next);
    expect(JSON.stringify(await savedSite(next, 'marisma'))).toContain('Top menu');
    await context.close();
  });
});

test('a deleted site can be brought back', async ({ page }) => {
  const id = await copyDemo(page);
  await page.request.patch(`/api/sites/${id}`, {
    headers: { 'content-type': 'application/json-patch+json', 'if-match': '"1"' },
    data: [{ op: 'replace', path: '/name', value: `Copy ${id}` }],
  });
  await page.goto('/');
  const card = page.getByRole('listitem').filter({ hasText: `Copy ${id}` });
  await card.getByRole('button', { name: 'Delete' }).click();
  await expect(card).toHaveCount(0);
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(card).toHaveCount(1);
  expect(await nameOf(page, id)).toBe(`Copy ${id}`);
});
