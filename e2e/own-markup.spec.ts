import { expect } from '@playwright/test';
import { makePart, type Site } from '@hamaca/core';
import { demoSite, edited, handOff } from './support/output.ts';
import { axe, MAIN, open, opener, test } from './support/pasted.ts';

const FORM =
  '<h2 class="news">News by mail</h2><form action="/news" method="post"><label for="mail">Your e-mail</label> <input id="mail" type="email" name="mail"/> <button type="submit">Tell me</button></form>';

/** The demo with a form of the designer's own in its panel. */
const withForm = (): Site =>
  edited(demoSite(), {
    name: 'add-part',
    args: {
      part: makePart('markup', 'own', { source: FORM }),
      place: { region: 'panel-block.parts', index: 9 },
    },
  });

const DRESS =
  'h2{color:rgb(200,0,0);margin:7px 0} button{background:rgb(0,120,0);color:#fff} a{color:rgb(1,2,3)}';

test('own HTML is dressed by the page it stands in, and nothing else of ours is', async ({ page, host }) => {
  await open(page, host, 390, { after: DRESS, body: MAIN }, handOff(withForm()));
  await opener(page).click();
  const heading = page.getByRole('heading', { name: 'News by mail' });
  await expect(heading).toBeVisible();
  await expect(heading).toHaveCSS('color', 'rgb(200, 0, 0)');
  await expect(heading).toHaveCSS('margin-top', '7px');
  await expect(page.getByRole('button', { name: 'Tell me' })).toHaveCSS('background-color', 'rgb(0, 120, 0)');
  await expect(page.getByRole('dialog').getByRole('link', { name: 'News', exact: true })).not.toHaveCSS(
    'color',
    'rgb(1, 2, 3)',
  );
  await expect(page.getByRole('button', { name: 'Close menu' })).not.toHaveCSS(
    'background-color',
    'rgb(0, 120, 0)',
  );
  await page.getByLabel('Your e-mail').fill('wren@marisma.example');
  expect(await axe(page)).toEqual([]);
  await page.getByLabel('Your e-mail').press('Enter');
  await expect(page).toHaveURL(/\/news$/);
});

test('own HTML takes over the text of its part where the page says nothing', async ({ page, host }) => {
  await open(page, host, 390, {}, handOff(withForm()));
  await opener(page).click();
  const family = (name: string) =>
    page
      .locator(name)
      .first()
      .evaluate((element) => getComputedStyle(element).fontFamily);
  expect(await family('.hm-own label')).toBe(await family('[class*="-markup "]'));
});
