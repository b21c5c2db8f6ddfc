/** What the output is called and how its stylesheet is written, as a designer decides it. */
import { copyDemo, expect, saved, stageFrame, test } from './support/app.ts';

test('a part’s word names its classes: renaming the part leaves it, another word says what it renames first', async ({
  page,
}) => {
  await page.goto(`/sites/${await copyDemo(page)}/bench/header`);
  const stage = await stageFrame(page);
  const news = stage.getByRole('link', { name: 'News' });
  await news.click();
  await expect(news).toHaveClass(/^hm-main-link/);
  const name = page.getByRole('textbox', { name: 'name', exact: true });
  await name.fill('Trails');
  await name.press('Enter');
  await expect(stage.getByRole('navigation', { name: 'Trails' })).toBeVisible();
  await expect(news).toHaveClass(/^hm-main-link/);

  await page.getByRole('button', { name: 'names in the output' }).click();
  const word = page.getByRole('textbox', { name: 'Menu: word of its class names' });
  await expect(word).toHaveValue('main');
  await expect(page.getByRole('list', { name: 'Its class names' })).toContainText('main-link');
  await word.fill('Trails and hides');
  await expect(page.getByText('Needed are small letters and digits')).toBeVisible();
  await word.fill('trails');
  await expect(page.getByRole('list', { name: 'What it renames' })).toContainText(
    'hm-main-link → hm-trails-link',
  );
  await expect(news).toHaveClass(/^hm-main-link/);
  await word.press('Enter');
  await expect(news).toHaveClass(/^hm-trails-link/);
  await saved(page);
  // Without one it is made of the name again.
  await word.fill('');
  await word.press('Enter');
  await expect(word).toHaveValue('trails');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(news).toHaveClass(/^hm-main-link/);
});

test('the stylesheet is one block an element, or flat, here and in the zip', async ({ page }) => {
  await page.goto(`/sites/${await copyDemo(page)}/hand-off`);
  await page.getByRole('button', { name: 'Stylesheet' }).first().click();
  const code = page.getByLabel('Stylesheet code');
  await expect(code).toContainText('/* Main menu */\n  .hm-main-nav {');
  await page.getByRole('combobox', { name: 'Stylesheet' }).click();
  await page.getByRole('option', { name: 'flat' }).click();
  await expect(code).toContainText('.hm-marisma:not(#hm) .hm-main-link {');
  await expect(page.getByRole('link', { name: 'Download the zip' })).toHaveAttribute('href', /rules=flat/);
  await page.reload();
  await expect(page.getByRole('combobox', { name: 'Stylesheet' })).toContainText('flat');
});
