import { copyDemo, expect, pointNowhere, saved, savedSite, stageFrame, test } from './support/app.ts';

const own = (page: import('@playwright/test').Page) => page.getByRole('textbox', { name: /^Own CSS/ });

test.beforeEach(async ({ page }) => {
  await page.goto(`/sites/${await copyDemo(page)}/bench/header`);
  await stageFrame(page);
});

const idOf = (url: string) => /\/sites\/([^/]+)/.exec(url)?.[1] ?? '';

test('own CSS shows while it is typed, says what it overrides, and is refused where it would leave its place', async ({
  page,
}) => {
  const stage = await stageFrame(page);
  const news = stage.getByRole('link', { name: 'News' });
  const css = async (name: string) =>
    news.evaluate((element, wanted) => getComputedStyle(element).getPropertyValue(wanted), name);
  await news.click();
  await pointNowhere(page);
  await page.getByRole('searchbox', { name: 'Find a property' }).fill('own css');
  await page.locator('[data-cell="ownCss hover"]').click();
  await own(page).fill('rotate: 3deg; padding: 2px 20px; colr: red');
  await expect(page.getByText('overrides padding, sides 12, padding, ends 8')).toBeVisible();
  await expect(page.getByText('this browser knows no such declaration')).toBeVisible();
  // The state of its column is the one that shows.
  await expect.poll(async () => css('rotate')).toBe('3deg');
  await own(page).press('Control+Enter');
  await saved(page);
  const pieces = async () => JSON.stringify((await savedSite(page, idOf(page.url()))).pieces);
  expect(await pieces()).toContain('"ownCss":"rotate: 3deg; padding: 2px 20px; colr: red"');

  for (const [typed, reason] of [
    ['color: red } body { display: none', /bracket/],
    ['@import "x.css"', /@/],
    ['background: url(javascript:alert(1))', /address/],
    ['color: red /* on and on', /comment/],
  ] as const) {
    await page.locator('[data-cell="ownCss hover"]').click();
    await own(page).fill(typed);
    await expect(page.getByRole('alert').filter({ hasText: 'Not used' })).toContainText(reason);
    await own(page).press('Escape');
    expect(await pieces()).toContain('rotate: 3deg');
  }
  await own(page).fill('');
  await own(page).press('Control+Enter');
  await saved(page);
  expect(await pieces()).not.toContain('ownCss');
  await page.keyboard.press('Escape');
  await page.locator('[data-cell="ownCss hover"]').click();
  await page.keyboard.press('Control+z');
  await saved(page);
  expect(await pieces()).toContain('rotate: 3deg');
});

test('parts, pieces and links carry classes and data attributes of one’s own', async ({ page }) => {
  const stage = await stageFrame(page);
  await stage.getByRole('link', { name: 'Book a hide' }).click();
  await page.getByRole('button', { name: 'names in the output' }).click();
  await page.getByRole('textbox', { name: 'Call to action: data' }).fill('event="book it" area=header');
  await page.keyboard.press('Enter');
  const book = stage.getByRole('link', { name: 'Book a hide' });
  await expect(book).toHaveAttribute('data-event', 'book it');
  await expect(book).toHaveAttribute('data-area', 'header');
  await page.getByRole('textbox', { name: 'Call to action: class' }).fill('js-book');
  await page.keyboard.press('Enter');
  await expect(book).toHaveClass(/js-book/);
  await page.getByRole('textbox', { name: 'Call to action: data' }).fill('on"click=<x>');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'data attributes such as' })).toBeVisible();
  await expect(book).toHaveAttribute('data-area', 'header');
});

test('several links are styled at once, from the bench and from the outline of links', async ({ page }) => {
  const stage = await stageFrame(page);
  const fills = async () =>
    Promise.all(
      ['Visit', 'News', 'Contact'].map(async (name) =>
        stage
          .getByRole('link', { name, exact: true })
          .evaluate(
            (element) => getComputedStyle(element.closest('.hm-main-link') ?? element).backgroundColor,
          ),
      ),
    );
  const before = await fills();
  await stage.getByRole('link', { name: 'News' }).click();
  await pointNowhere(page);
  await page.getByRole('combobox', { name: 'For' }).click();
  await page.getByRole('option', { name: 'only “News”' }).click();
  await page.getByRole('button', { name: 'and …' }).click();
  await page.getByRole('checkbox', { name: 'Contact' }).check();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'and 1 more' })).toBeVisible();
  await page.locator('[data-cell="fill rest"]').click();
  await page.keyboard.type('accent');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await fills())[2]).not.toBe(before[2]);
  const [visit, news, contact] = await fills();
  expect([visit, contact]).toEqual([before[0], news]);
  const parts = page.getByRole('navigation', { name: 'Parts' });
  await expect(parts.getByRole('button', { name: '“Contact” alone' })).toBeVisible();
  await page.getByRole('button', { name: 'like the others' }).click();
  await expect.poll(fills).toEqual(before);

  const id = idOf(page.url());
  await saved(page);
  await page.goto(`/sites/${id}/links`);
  await page.locator('input[data-column="label"][value="News"]').click();
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Alt+l');
  await expect(page).toHaveURL(/\/bench\/header/);
  await expect(page.getByRole('button', { name: 'and 1 more' })).toBeVisible();
});

test('calls to action of a menu stay in the bar where the rest folds away', async ({ page }) => {
  const stage = await stageFrame(page);
  await stage.getByRole('link', { name: 'News' }).click();
  await page.getByRole('combobox', { name: 'Menu: calls to action' }).click();
  await page.getByRole('option', { name: 'the last one' }).click();
  await stage.getByRole('link', { name: 'Contact' }).click();
  await page.getByRole('button', { name: 'stays in the bar' }).click();
  await expect(page.getByRole('button', { name: 'stays in the bar' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.getByRole('slider', { name: 'Width of the stage' }).focus();
  await page.keyboard.press('Home');
  const contact = stage.getByRole('link', { name: 'Contact' });
  await expect(contact).toBeVisible();
  // It follows the link.
  const id = idOf(page.url());
  await saved(page);
  const site = await savedSite(page, id);
  expect(JSON.stringify(site.pieces)).toContain('"item":"link22"');
  await stage.getByRole('button', { name: 'Menu' }).click();
  await expect(stage.getByRole('link', { name: 'News' })).toBeVisible();
  await expect(stage.locator('dialog').getByRole('link', { name: 'Contact' })).toBeHidden();
});
