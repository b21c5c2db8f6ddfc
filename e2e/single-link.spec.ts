import { copyDemo, expect, pointNowhere, saved, savedSite, stageFrame, test } from './support/app.ts';

const idOf = (url: string) => /\/sites\/([^/]+)/.exec(url)?.[1] ?? '';

test.beforeEach(async ({ page }) => {
  await page.goto(`/sites/${await copyDemo(page)}/bench/header`);
  await stageFrame(page);
});

test('one link gets a look of its own, stands in the outline with it, and takes it back', async ({
  page,
}) => {
  const stage = await stageFrame(page);
  const news = stage.getByRole('link', { name: 'News' });
  const contact = stage.getByRole('link', { name: 'Contact' });
  const fillOf = async (link: typeof news) =>
    link.evaluate((element) => getComputedStyle(element).backgroundColor);
  const plain = await fillOf(contact);
  await news.click();
  await pointNowhere(page);
  await page.getByRole('combobox', { name: 'For' }).click();
  await page.getByRole('option', { name: 'only “News”' }).click();
  await page.locator('[data-cell="fill rest"]').click();
  await page.keyboard.type('accent');
  await page.keyboard.press('Enter');
  await expect.poll(async () => fillOf(news)).not.toBe(plain);
  expect(await fillOf(contact)).toBe(plain);
  // What only a whole level can say is not offered.
  await expect(page.locator('[data-cell="opens rest"]')).toHaveCount(0);
  await page.locator('[data-cell="fill rest"]').click();
  await expect(page.getByText('“News” alone, rest')).toHaveCount(0);
  const parts = page.getByRole('navigation', { name: 'Parts' });
  const line = parts.getByRole('button', { name: '“News” alone' });
  await expect(line).toHaveAttribute('aria-current', 'true');
  await saved(page);
  const has = async () => JSON.stringify((await savedSite(page, idOf(page.url()))).pieces).includes('"@');
  expect(await has()).toBe(true);
  await line.focus();
  await page.keyboard.press('Delete');
  await expect(line).toHaveCount(0);
  await expect.poll(async () => fillOf(news)).toBe(plain);
  await saved(page);
  expect(await has()).toBe(false);
  await page.keyboard.press('Control+z');
  await expect(line).toHaveCount(1);
});

test('a call to action is drawn in one of its styles with one press', async ({ page }) => {
  const stage = await stageFrame(page);
  const book = stage.getByRole('link', { name: 'Book a hide' });
  const look = async () =>
    book.evaluate((element) => {
      const { backgroundColor, borderTopColor } = getComputedStyle(element);
      return [backgroundColor, borderTopColor].map((colour) =>
        colour === 'rgba(0, 0, 0, 0)' ? 'none' : colour,
      );
    });
  // One style is as high as another: what has no line has room for one.
  const height = async () => (await book.boundingBox())?.height;
  const solid = await look();
  await book.click();
  await pointNowhere(page);
  const styles = page.getByRole('group', { name: 'Drawn' });
  await styles.getByRole('button', { name: 'outline' }).click();
  await expect.poll(look).toEqual(['none', expect.stringMatching(/^rgb/)]);
  const high = await height();
  await styles.getByRole('button', { name: 'quiet' }).click();
  await expect.poll(look).toEqual(['none', 'none']);
  expect(await height()).toBe(high);
  await styles.getByRole('button', { name: 'solid' }).click();
  await expect.poll(async () => (await look())[0]).not.toBe('none');
  expect(await height()).toBe(high);
  for (let count = 0; count < 3; count++) await page.keyboard.press('Control+z');
  await expect.poll(look).toEqual(solid);
});

test('the last links become calls to action, and a submenu’s motion is played when it changes', async ({
  page,
}) => {
  const stage = await stageFrame(page);
  await stage.getByRole('link', { name: 'News' }).click();
  await page.getByRole('combobox', { name: 'calls to action' }).click();
  await page.getByRole('option', { name: 'the last two' }).click();
  await expect(stage.locator('.hm-main-action')).toHaveCount(2);
  await page.getByRole('navigation', { name: 'Parts' }).getByRole('button', { name: 'Submenu box' }).click();
  const box = stage.locator('.hm-main-submenu').first();
  await expect(box).toBeVisible();
  await page.getByLabel('Find a property').fill('arrives');
  await page.locator('[data-cell="arrives rest"]').click();
  await box.evaluate((element) => {
    const seen: string[] = [];
    Object.assign(window, { seen });
    new MutationObserver(() => seen.push(String(element.hasAttribute('data-hm-open')))).observe(element, {
      attributes: true,
    });
  });
  await page.getByRole('group', { name: 'Choose: arrives' }).getByRole('button', { name: 'sliding' }).click();
  await expect
    .poll(async () => box.evaluate(() => (window as unknown as { seen: string[] }).seen.join()))
    .toMatch(/false.*true/);
  await expect(box).toBeVisible();
});
