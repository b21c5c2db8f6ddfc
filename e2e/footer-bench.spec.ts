import { copyDemo, expect, saved, savedSite, stageFrame, test } from './support/app.ts';
import { wholeMarisma } from './support/output.ts';

test('a new footer has the site’s own links, stands at the end of the stage’s page, and is styled like any piece', async ({
  page,
}) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/bench/header`);
  await stageFrame(page);
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByRole('menuitem', { name: /^Footer/ }).click();
  await page.getByRole('button', { name: 'Leave it plain' }).click();
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

test('a new piece may start from a design at once, and keeps nothing of the plain one', async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/bench/header`);
  await stageFrame(page);
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByRole('menuitem', { name: /^Footer/ }).click();
  const designs = page.getByRole('dialog', { name: /Starting footers/ });
  // The designs are there from the first on, whatever is drawn in them.
  await expect(designs.getByRole('button', { name: 'Leave it plain' })).toBeInViewport();
  await designs.getByRole('button', { name: /^Jetties/ }).click();
  await expect(designs).toBeHidden();
  const frame = await stageFrame(page);
  const footer = frame.getByRole('contentinfo');
  await expect(footer.getByRole('heading', { name: 'Visit' })).toBeVisible();
  await expect(footer.getByRole('heading', { name: 'Visit' })).toBeInViewport();
  await expect(footer.getByText(`© ${new Date().getFullYear()} Marisma Laguna Reserve`)).toHaveCount(1);
  await expect(footer.getByRole('navigation')).toHaveCount(4);
  await saved(page);
  const site = await savedSite(page, id);
  const made = site.pieces.at(-1);
  expect(made?.kind === 'footer' && made.sections.map(({ name }) => name)).toEqual([
    'Name',
    'Visit',
    'Birds',
    'Learn',
    'Join in',
    'Foot',
  ]);
  // A column is added beside the others, and named at once.
  await page.getByRole('button', { name: 'More about column visit' }).click();
  await page.getByRole('menuitem', { name: 'Add a column beneath' }).click();
  await expect(page.getByRole('textbox', { name: 'name', exact: true })).toBeFocused();
  await page.keyboard.type('Letters');
  await page.keyboard.press('Enter');
  await expect(
    page
      .getByRole('navigation', { name: 'Parts' })
      .getByRole('button', { name: 'Column Letters', exact: true }),
  ).toBeVisible();
});

test('what is looked at first in another piece is selected with it, and a sidebar is sent into a panel', async ({
  page,
}) => {
  const id = await copyDemo(page, wholeMarisma());
  await page.goto(`/sites/${id}/bench/header`);
  await stageFrame(page);
  await page.getByRole('combobox', { name: 'Piece' }).click();
  await page.getByRole('option', { name: 'Learn', exact: true }).click();
  const parts = page.getByRole('navigation', { name: 'Parts' });
  await expect(parts.locator('[aria-current=true], [aria-selected=true]').first()).toContainText(
    'Link, level 1',
  );
  await parts.getByRole('button', { name: 'Sidebar', exact: true }).click();
  await page.getByRole('combobox', { name: 'Folds away from' }).click();
  await page.getByRole('option', { name: 'Phone and narrower' }).click();
  await saved(page);
  const site = await savedSite(page, id);
  const side = site.pieces.find(({ kind }) => kind === 'sidebar');
  expect(side?.folds).toMatchObject({ from: 'phone' });
  await page.getByRole('link', { name: 'Hand-off' }).click();
  await page.getByRole('combobox', { name: /markup of/i }).click();
  await page.getByRole('option', { name: 'Learn', exact: true }).click();
  await expect(page.getByText('on /learn/, /learn/school-days/')).toBeVisible();
  await page.getByRole('button', { name: /^Pages pages\.json/ }).click();
  await expect(page.locator('pre').filter({ hasText: '"/learn/": [' })).toBeVisible();
});

test('a footer made dark has its texts turned by one press, and undo takes them back together', async ({
  page,
}) => {
  const marisma = wholeMarisma();
  const foot = marisma.pieces.find(({ kind }) => kind === 'footer');
  if (!foot) throw new Error('no footer');
  const id = await copyDemo(page, marisma);
  await page.goto(`/sites/${id}/bench/${foot.id}`);
  const stage = await stageFrame(page);
  await page
    .getByRole('navigation', { name: 'Parts' })
    .getByRole('button', { name: 'Footer', exact: true })
    .click();
  await page.locator('[data-cell="fill rest"]').click();
  await page.keyboard.type('#0b1420');
  await page.keyboard.press('Enter');
  const link = stage.getByRole('contentinfo').getByRole('link', { name: 'Opening hours' });
  const before = await link.evaluate((element) => getComputedStyle(element).color);
  const told = page.getByText(/in Footer cannot be read well/);
  await expect(told).toBeVisible();
  await page.getByRole('button', { name: 'Take colours that pass' }).click();
  await expect(told).toHaveCount(0);
  await expect(link).not.toHaveCSS('color', before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(link).toHaveCSS('color', before);
  await expect(told).toBeVisible();
});
