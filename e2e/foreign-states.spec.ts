import type { FrameLocator, Page } from '@playwright/test';
import { expect, stageFrame, test } from './support/app.ts';
import { bringAlong, cell, sheet } from './support/foreign.ts';

/** A page that marks states in its own ways, and opens its menu by a class. */
const PAGE = `<!doctype html><html lang="en"><head><title>Salt works</title></head><body bgcolor="#fffaf0"><nav><ul class="menu">
<li class="is-here"><a href="/">Salt</a></li><li class="parent"><a href="/pans">Pans</a><ul class="sub"><li><a href="/pans/old">Old pans</a></li></ul></li></ul></nav>
<main><h1>Salt works</h1><p><font color="#333333">Words</font></p></main></body></html>`;

const CSS = `.menu { display: flex; margin: 0; padding: 0; list-style: none }
.menu a { color: #aaa; padding: 8px }
.menu .is-here a { font-weight: 700 }
.menu a::after { content: " ›"; color: rgb(9 9 9) }
.sub { display: none }
.parent.is-open .sub { display: block }
@media (max-width: 600px) { .menu a { padding: 16px } }
`;

const bringSalt = async (page: Page, css = CSS): Promise<FrameLocator> => {
  await bringAlong(page, PAGE, css);
  return stageFrame(page);
};

const choose = async (page: Page, name: string) =>
  page.getByRole('treegrid').getByRole('button', { name }).first().click();

/** Types a value into a cell. */
async function typeInto(page: Page, name: string, value: string): Promise<void> {
  await cell(page, name).click();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+a');
  await page.keyboard.type(value);
  await page.keyboard.press('Enter');
}

const styleOf = async (stage: FrameLocator, name: string, property: string, pseudo = '') =>
  stage
    .locator('a', { hasText: name })
    .first()
    .evaluate(
      (link, [of = '', box = '']) => getComputedStyle(link, box || null).getPropertyValue(of),
      [property, pseudo],
    );

test('what a page marks itself is shown and set: the current page, and what is open', async ({ page }) => {
  const stage = await bringSalt(page);
  await choose(page, 'Old pans');
  await expect(cell(page, 'font-weight rest')).toHaveText('400');
  await expect(cell(page, 'font-weight current')).toHaveText('700');
  await cell(page, 'font-weight current').click();
  await expect.poll(async () => styleOf(stage, 'Old pans', 'font-weight')).toBe('700');
  // Only one link is the current one.
  expect(await styleOf(stage, 'Salt', 'font-weight')).toBe('400');
  await expect(stage.getByText('Old pans')).toBeHidden();
  await cell(page, 'color open').click();
  await expect(stage.getByText('Old pans')).toBeVisible();
  await cell(page, 'color rest').click();
  await expect(stage.getByText('Old pans')).toBeHidden();
  await typeInto(page, 'color open', 'rgb(1 2 3)');
  await expect.poll(async () => styleOf(stage, 'Old pans', 'color')).toBe('rgb(1, 2, 3)');
  await typeInto(page, 'color current', 'rgb(4 5 6)');
  await expect.poll(async () => styleOf(stage, 'Salt', 'color')).not.toBe('rgb(4, 5, 6)');
  await cell(page, 'color rest').click();
  // The link that is current on the page as it came has the new colour by itself.
  await expect.poll(async () => styleOf(stage, 'Salt', 'color')).toBe('rgb(4, 5, 6)');
  await page.getByRole('button', { name: 'Changes 2' }).click();
  const changes = page.getByRole('region', { name: 'Changes' });
  await expect(changes.getByText('nothing else changes')).toHaveCount(2);
  await expect(changes.getByLabel('Difference')).toContainText('.menu a:is(.is-open *) {');
  await expect(changes.getByLabel('Difference')).toContainText('.menu a:is(.is-here *) {');
});

test('a menu that opens by pointing is open while one looks, and says that nothing marks it', async ({
  page,
}) => {
  const stage = await bringSalt(page, CSS.replace('.parent.is-open', '.parent:hover'));
  await choose(page, 'Old pans');
  await cell(page, 'color open').click();
  await expect(stage.getByText('Old pans')).toBeVisible();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('red');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('color, open', { exact: true })).toHaveAttribute('title', /opens by pointing/);
  await page.keyboard.press('Escape');
});

test('a pseudo-element has a sheet of its own', async ({ page }) => {
  const stage = await bringSalt(page);
  await choose(page, 'Salt');
  await page.getByRole('combobox', { name: 'Which box of it' }).click();
  await page.getByRole('option', { name: '::after' }).click();
  await expect(sheet(page)).toHaveAccessibleName(/::after$/);
  await expect(cell(page, 'color rest')).toHaveText('rgb(9 9 9)');
  await expect(cell(page, 'padding rest')).toHaveText('0px');
  await typeInto(page, 'color hover', 'rgb(1 2 3)');
  await expect.poll(async () => styleOf(stage, 'Salt', 'color', '::after')).toBe('rgb(1, 2, 3)');
  await page.getByRole('button', { name: 'Changes 1' }).click();
  await expect(page.getByLabel('Difference')).toContainText('.menu a:hover::after {');
});

test('what no rule says is told as the browser draws it, and can be said', async ({ page }) => {
  const stage = await bringSalt(page);
  await choose(page, 'Salt');
  const origin = page.getByRole('region', { name: 'Origin' });
  const underline = cell(page, 'text-decoration-line rest');
  await expect(underline).toHaveText('underline');
  await expect(underline).toHaveAttribute('data-drawn', 'true');
  await underline.click();
  await expect(origin).toContainText('by the browser’s own stylesheet');
  // Browsers draw a ring of their own around what is in focus.
  await expect(cell(page, 'outline-style rest')).toHaveText('none');
  await expect(cell(page, 'outline-style focus')).toHaveText('auto');
  await page.getByLabel('Find a property').fill('outline');
  await typeInto(page, 'outline-offset focus', '3px');
  await cell(page, 'outline-offset focus').click();
  await expect.poll(async () => styleOf(stage, 'Salt', 'outline-offset')).toBe('3px');
  await page.getByLabel('Find a property').fill('');
  await stage.getByText('Words').click();
  await cell(page, 'color rest').click();
  await expect(origin).toContainText('by the attribute color="#333333"');
});

test('text that cannot be read is mended with the nearest colour that can', async ({ page }) => {
  const stage = await bringSalt(page);
  await choose(page, 'Salt');
  const contrast = sheet(page).locator('[data-contrast="rest"]');
  await expect(contrast).toContainText('✗');
  // In focus it has the colour that it has at rest, so that is mended.
  await sheet(page)
    .getByRole('button', { name: /^Mend focus/ })
    .click();
  await expect(contrast).toContainText('✓');
  await expect.poll(async () => styleOf(stage, 'Pans', 'color')).not.toBe('rgb(170, 170, 170)');
});

test('a value that holds in some windows alone is changed there alone', async ({ page }) => {
  const stage = await bringSalt(page);
  await choose(page, 'Salt');
  await page.getByRole('list', { name: 'Widths at which the page changes' }).getByRole('button').click();
  await expect(page.getByText('600 px', { exact: true })).toBeVisible();
  await expect(cell(page, 'padding rest')).toHaveText('16px');
  await typeInto(page, 'padding rest', '20px');
  await expect.poll(async () => styleOf(stage, 'Salt', 'padding-left')).toBe('20px');
  await page.getByRole('button', { name: '1280', exact: true }).click();
  await expect.poll(async () => styleOf(stage, 'Salt', 'padding-left')).toBe('8px');
  await page.getByRole('button', { name: 'Changes 1' }).click();
  const changes = page.getByRole('region', { name: 'Changes' });
  await expect(changes).toContainText('only (max-width: 600px)');
  await expect(changes).toContainText('nothing else changes');
});

test('changes of a huge page can be stopped, taken back, and made later', async ({ page }) => {
  const links = Array.from(
    { length: 4000 },
    (_, at) => `<li class="l${at % 50}"><a href="/${at}">${at}</a></li>`,
  );
  const rules = Array.from({ length: 1500 }, (_, at) => `.l${at % 50} a { margin: ${at}px }`);
  const huge = PAGE.replace('<main>', `<main><ul class="long">${links.join('')}</ul>`);
  await bringAlong(page, huge, CSS + rules.join('\n'));
  const stage = await stageFrame(page);
  await choose(page, 'Salt');
  await typeInto(page, 'color rest', 'rgb(1 2 3)');
  await page.getByRole('button', { name: 'Changes 1' }).click();
  const changes = page.getByRole('region', { name: 'Changes' });
  await expect(changes.getByRole('status')).toHaveText('making change 1 of 1…');
  await changes.getByRole('button', { name: 'Stop' }).click();
  await expect(changes.getByRole('status')).toContainText('stopped');
  await expect(changes.getByRole('button', { name: 'Download the page' })).toBeDisabled();
  await changes.getByRole('button', { name: 'Make them' }).click();
  await expect(changes).toContainText('nothing else changes', { timeout: 60_000 });
  await expect.poll(async () => styleOf(stage, 'Salt', 'color')).toBe('rgb(1, 2, 3)');
});
