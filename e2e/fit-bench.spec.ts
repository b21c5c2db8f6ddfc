import type { Page } from '@playwright/test';
import { placedParts } from '@hamaca/core';
import { copyDemo, expect, saved, savedSite, stageFrame, test } from './support/app.ts';

const parts = (page: Page) => page.getByRole('navigation', { name: 'Parts' });
const idOf = (page: Page) => /sites\/([^/]+)/.exec(page.url())?.[1] ?? '';
const rowNeeds = async (page: Page) =>
  Number(/^(?:about )?(\d+) px/.exec(await page.getByTestId('row-needs').innerText())?.[1]);

test.beforeEach(async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/bench/header`);
  await stageFrame(page);
});

test('what takes the room is measured on the stage: parts and gaps come to the whole width', async ({
  page,
}) => {
  await page.getByRole('button', { name: 'Measures' }).click();
  const line = page.getByTestId('measures');
  await expect(line).toHaveCount(1);
  await expect(line).toContainText('Menu Main');
  await expect(line).toContainText('Logo');
  const numbers = async () =>
    (await line.locator('span > span').allInnerTexts())
      .flatMap((text) => /(\d+)$/.exec(text)?.[1] ?? [])
      .map(Number);
  const width = Number(
    await page.getByRole('slider', { name: 'Width of the stage' }).getAttribute('aria-valuenow'),
  );
  const sum = async () => (await numbers()).reduce((all, one) => all + one, 0);
  // Each number is rounded by itself.
  await expect.poll(async () => Math.abs((await sum()) - width)).toBeLessThan(8);
  const menu = async () => Number(/Menu Main (\d+)/.exec(await line.innerText())?.[1]);
  const before = await menu();
  await parts(page).getByRole('button', { name: 'Link, level 1', exact: true }).click();
  await page.locator('[data-cell="size rest"]').click();
  await page.keyboard.type('24');
  await page.keyboard.press('Enter');
  await expect.poll(menu).toBeGreaterThan(before + 40);
  await page.keyboard.press('Alt+m');
  await expect(line).toHaveCount(0);
});

test('longer labels need more, the rope is drawn for them, and nothing of the site changes', async ({
  page,
}) => {
  const before = await savedSite(page, idOf(page));
  const needed = await rowNeeds(page);
  await page.getByRole('button', { name: '+30 %' }).click();
  await expect.poll(() => rowNeeds(page)).toBeGreaterThan(needed + 60);
  await page.keyboard.press('Alt+x');
  await expect.poll(() => rowNeeds(page)).toBe(needed);
  expect(await savedSite(page, idOf(page))).toEqual(before);
});

test('a menu goes under “more” on phones only, chosen from drawings, and its word is asked for', async ({
  page,
}) => {
  await page.getByRole('slider', { name: 'Width of the stage' }).focus();
  await parts(page).getByRole('button', { name: 'Menu Main', exact: true }).click();
  await page.getByRole('combobox', { name: 'folds away' }).click();
  await page.getByRole('option', { name: 'never' }).click();
  await parts(page).getByRole('button', { name: 'Row of links' }).click();
  await page.getByRole('combobox', { name: /reach/i }).click();
  await page.getByRole('option', { name: /Phone/ }).first().click();
  await page.locator('[data-cell="menuForm rest"]').click();
  await page.getByRole('button', { name: 'the rest under “more”' }).click();
  const word = page.getByRole('textbox', { name: '“more”' });
  await word.fill('All');
  await word.press('Enter');
  await saved(page);
  const frame = await stageFrame(page);
  const all = frame.getByRole('button', { name: 'All', exact: true });
  await expect(all).toBeHidden();
  await page.getByRole('slider', { name: 'Width of the stage' }).focus();
  await page.keyboard.press('Home');
  await expect(all).toBeVisible();
  const site = await savedSite(page, idOf(page));
  const menu = placedParts(site).find(({ part }) => part.kind === 'menu');
  expect(menu?.part.look['list']).toEqual({
    all: {
      rest: expect.objectContaining({
        phone: expect.objectContaining({ menuForm: 'the rest under “more”' }),
      }),
    },
  });
});

test('a finding is seen where it is: at its width, in its state', async ({ page }) => {
  await parts(page).getByRole('button', { name: 'Link, level 1', exact: true }).click();
  await page.locator('[data-cell="colour hover"]').click();
  await page.keyboard.type('#fffdf8');
  await page.keyboard.press('Enter');
  await saved(page);
  await page.getByRole('link', { name: /^Checks/ }).click();
  const see = page.getByRole('button', { name: /^See it: Header › Menu, link/ });
  await see.click();
  const frame = page.locator('iframe[title="The place"]');
  await expect(frame).toHaveAttribute('data-painted');
  const link = frame
    .contentFrame()
    .getByRole('link', { name: 'Visit' })
    .or(frame.contentFrame().getByRole('button', { name: 'Visit' }))
    .first();
  await expect(link.or(link.locator('..')).first()).toBeVisible();
  await expect(frame.contentFrame().locator('[data-pin="hover"]')).toHaveCSS('color', 'rgb(255, 253, 248)');
  await expect(page.getByText(/^1240 px, hover/)).toBeVisible();
  await see.click();
  await expect(frame).toHaveCount(0);
});

test('a new site begins with room for its links, and takes designs that have it too', async ({ page }) => {
  const make = async (labels: readonly string[]) => {
    await page.goto('/new');
    await page.getByLabel('Name').fill('Tallinder Werkstätten');
    await page.getByLabel('Outline of links').fill(labels.join('\n'));
    await expect(page.getByText(`with ${labels.length} links`)).toBeVisible();
    await page.getByRole('button', { name: 'Create the site' }).click();
    return stageFrame(page);
  };
  const LABELS = ['Angebote', 'Ausstellungen', 'Werkstattgespräche', 'Anfahrt & Öffnungszeiten'];
  const unfolds = page.getByLabel('Breakpoint in px');
  // A few more pixels than it used to be: from there on nothing breaks.
  await make(LABELS);
  expect(Number(await unfolds.inputValue())).toBeGreaterThan(850);
  expect(Number(await unfolds.inputValue())).toBeLessThan(1100);
  await expect(page.getByTestId('row-needs')).toContainText('left');

  const stage = await make([...LABELS, 'Über uns', 'Mitmachen', 'Kontakt', 'Lehrlingswerkstatt']);
  await expect(unfolds).toHaveValue('800');
  await expect(page.getByTestId('row-needs')).toContainText('left');
  // Its labels are German, and so is the word for the rest.
  await expect(stage.getByRole('button', { name: 'Mehr' })).toBeVisible();
  await page.getByRole('button', { name: 'Designs' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Quiet/ })
    .click();
  const action = stage.getByText('Get in touch');
  await expect(action).toBeVisible();
  await expect(stage.getByRole('button', { name: 'Mehr' })).toBeVisible();
  const middleOf = async (place: typeof action) => {
    const box = await place.boundingBox();
    return box ? box.y + box.height / 2 : -1;
  };
  await expect
    .poll(async () =>
      Math.abs((await middleOf(action)) - (await middleOf(stage.getByText('Angebote', { exact: true })))),
    )
    .toBeLessThan(3);
  await expect(page.getByTestId('row-needs')).toContainText('left');
});
