import { copyDemo, expect, savedSite, stageFrame, test } from './support/app.ts';

test('the language of pasted links is noticed, can be said otherwise, and what is made says its words in it', async ({
  page,
}) => {
  await page.goto('/new');
  await page.getByRole('textbox', { name: 'Name' }).fill('محمية');
  await page
    .getByRole('textbox', { name: 'Outline of links' })
    .fill('زيارة المحمية /visit/\nالطيور /birds/\nساعات العمل /hours/\nاتصل بنا /contact/');
  await expect(page.getByRole('combobox', { name: 'Language' })).toContainText('Arabic');
  await expect(page.getByRole('combobox', { name: 'Direction' })).toContainText('right to left');
  await page.getByRole('button', { name: 'Create the site' }).click();
  const stage = await stageFrame(page);
  await expect(stage.locator('html')).toHaveAttribute('dir', 'rtl');
  const id = new URL(page.url()).pathname.split('/')[2] ?? '';
  const site = await savedSite(page, id);
  expect([site.language, site.direction]).toEqual(['ar', 'rtl']);
  expect(JSON.stringify(site.pieces)).toContain('القائمة');
});

test('a site about to be made takes the language that was chosen for it', async ({ page }) => {
  await page.goto('/new');
  await page.getByRole('textbox', { name: 'Name' }).fill('Orilla');
  await page.getByRole('textbox', { name: 'Outline of links' }).fill('Reed\nOrilla');
  await expect(page.getByRole('combobox', { name: 'Language' })).toContainText('English');
  await page.getByRole('combobox', { name: 'Language' }).click();
  await page.getByRole('option', { name: 'Galician' }).click();
  await page.getByRole('button', { name: 'Create the site' }).click();
  await stageFrame(page);
  const site = await savedSite(page, new URL(page.url()).pathname.split('/')[2] ?? '');
  expect(site.language).toBe('gl');
  expect(JSON.stringify(site.pieces)).toContain('Pechar o menú');
});

test('two sites whose output has the same names are told in the hand-off, and made different', async ({
  page,
}) => {
  await copyDemo(page);
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/hand-off`);
  await expect(page.getByText(/has the same names/)).toBeVisible();
  await page.getByRole('button', { name: 'Begin with mlr- here' }).click();
  await expect(page.getByText(/has the same names/)).toHaveCount(0);
  await expect(page.locator('pre').first()).toContainText('mlr-marisma');
});
