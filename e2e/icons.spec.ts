import type { Page } from '@playwright/test';
import { HOSTILE } from '../core/test/hostile.ts';
import { copyDemo, expect, saved, savedSite, stageFrame, test } from './support/app.ts';

/** A PNG of 8 by 8, of which only the middle is painted. */
const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAgAAAAICAYAAADED76LAAAAFklEQVR42mNgoBpQSHD4j4wHQgHZAABVshvxqKaxKQAAAABJRU5ErkJggg==',
  'base64',
);

async function openDetails(page: Page): Promise<string> {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/links`);
  await page.getByRole('button', { name: 'Details of Birds' }).click();
  return id;
}

const picker = (page: Page) => page.getByRole('dialog', { name: 'Icons' });
const search = (page: Page) => page.getByRole('textbox', { name: 'Find an icon' });
const choose = async (page: Page) => {
  await page.getByRole('group', { name: 'icon' }).getByRole('button').first().click();
  await expect(search(page)).toBeVisible();
};
const iconOf = async (page: Page, id: string) => {
  const { icons, menus } = await savedSite(page, id);
  const birds = menus[0]?.items[1];
  return icons.find((icon) => icon.id === birds?.icon);
};

test('an icon is found over the whole library, taken by a key, and offered first the next time', async ({
  page,
}) => {
  const id = await openDetails(page);
  await choose(page);
  await expect(picker(page).getByText(/^\d{4} of Tabler Icons/)).toBeVisible();
  // Far down in the library, only what is in sight is there.
  expect(await picker(page).getByRole('button').count()).toBeLessThan(150);
  await search(page).fill('map pin');
  await expect(picker(page).getByRole('button', { name: 'map-pin', exact: true })).toBeVisible();
  await search(page).fill('bird');
  await expect(picker(page).getByRole('button', { name: 'feather', exact: true })).toBeVisible();
  await search(page).press('Enter');
  await expect(picker(page)).toBeHidden();
  await saved(page);
  expect(await iconOf(page, id)).toMatchObject({ name: 'feather', set: 'tabler' });
  await choose(page);
  await expect(picker(page).getByText('On this site')).toBeVisible();
  await expect(picker(page).getByText('Last used')).toBeVisible();
  expect(await picker(page).getByRole('button', { name: 'feather', exact: true }).count()).toBeGreaterThan(1);
  await search(page).fill('zzyzx');
  await expect(picker(page).getByText('No icon is called that.')).toBeVisible();
});

test('a single sign is an icon', async ({ page }) => {
  const id = await openDetails(page);
  await choose(page);
  await search(page).fill('☀️');
  await search(page).press('Enter');
  await saved(page);
  expect(await iconOf(page, id)).toMatchObject({ svg: null, character: '☀️' });
  await choose(page);
  await search(page).fill('no sign');
  await expect(picker(page).getByRole('button', { name: /^The sign/ })).toHaveCount(0);
});

test('files are told by what is in them: pictures are cut, drawings take the text’s colour or keep theirs', async ({
  page,
}) => {
  const id = await openDetails(page);
  const put = async (name: string, content: string | Buffer) => {
    if (!(await picker(page).isVisible())) await choose(page);
    await page
      .getByLabel('Icon file')
      .setInputFiles({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(content) });
  };
  // A picture that is called a drawing.
  await put('sun.svg', PNG);
  await expect(picker(page)).toBeHidden();
  await saved(page);
  expect(await iconOf(page, id)).toMatchObject({
    svg: null,
    image: expect.stringMatching(/^data:image\/webp/),
  });
  // One colour, off the middle of a large sheet.
  await put(
    'ibis.svg',
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 500 300"><path fill="#123" d="M200 100h60v40h-60z"/></svg>',
  );
  await expect(picker(page).getByText('is drawn in a single colour')).toBeVisible();
  await picker(page)
    .getByRole('button', { name: /colour of its text/ })
    .click();
  await saved(page);
  const drawn = await iconOf(page, id);
  expect(drawn?.svg).toContain('fill="currentColor"');
  const [x = 0, y = 0, width = 0, height = 0] = (/viewBox="([^"]*)"/.exec(drawn?.svg ?? '')?.[1] ?? '')
    .split(' ')
    .map(Number);
  // As much room around it as the library's icons have.
  expect(width).toBeCloseTo(height, 1);
  expect(Math.abs(width - 72)).toBeLessThan(8);
  expect(Math.abs(x + width / 2 - 230)).toBeLessThan(5);
  expect(Math.abs(y + height / 2 - 120)).toBeLessThan(5);
  // Two colours stay as they are, without a question.
  await put(
    'two.svg',
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><path fill="red" d="M0 0h9v4H0z"/><path fill="teal" d="M0 4h9v5H0z"/></svg>',
  );
  await expect(picker(page)).toBeHidden();
  await saved(page);
  expect((await iconOf(page, id))?.svg).toContain('red');
});

test('files that are none are refused with the reason, and nothing runs', async ({ page }) => {
  const id = await openDetails(page);
  await choose(page);
  await page.exposeFunction('ran', () => {
    throw new Error('It ran.');
  });
  const refusals: readonly (readonly [name: string, content: string | Buffer, reason: RegExp])[] = [
    ['none.svg', 'not a drawing', /no well-formed XML|no drawing/],
    ['empty.svg', '', /empty/],
    [
      'zero.svg',
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 0 0"><path d="M0 0h9"/></svg>',
      /view box/,
    ],
    [
      'endless.svg',
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 90000 1"><path d="M0 0h9v1z"/></svg>',
      /longer than high/,
    ],
    [
      'bare.svg',
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><path fill="none" d="M0 0h9"/></svg>',
      /seen/,
    ],
    [
      'far.svg',
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><path d="M900 900h9v9z"/></svg>',
      /seen/,
    ],
    [
      'large.svg',
      `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9">${'<path d="M0 0h9"/>'.repeat(9000)}</svg>`,
      /100 kB/,
    ],
    ['cut.png', PNG.subarray(0, 40), /no picture/],
    ['huge.png', Buffer.concat([PNG, Buffer.alloc(20_000_000)]), /10 MB/],
    ['text.png', 'hello', /XML|drawing/],
  ];
  for (const [name, content, reason] of refusals) {
    await page
      .getByLabel('Icon file')
      .setInputFiles({ name, mimeType: 'image/png', buffer: Buffer.from(content) });
    const said = page.getByText(`${name} cannot be used as an icon`);
    await expect(said.last()).toContainText(reason);
    await expect(said.last()).toContainText('Nothing was changed');
  }
  expect(await iconOf(page, id)).toBeUndefined();
  // What tries to run is cleaned or refused; whatever is kept of it has nothing of the kind.
  for (const [index, drawing] of HOSTILE.entries()) {
    if (!(await picker(page).isVisible())) await choose(page);
    await page.getByLabel('Icon file').setInputFiles({
      name: `hostile-${index}.svg`,
      mimeType: 'image/svg+xml',
      buffer: Buffer.from(drawing.replace('<svg', '<svg viewBox="0 0 9 9"')),
    });
  }
  await page.waitForTimeout(300);
  await page.keyboard.press('Escape');
  expect(JSON.stringify((await savedSite(page, id)).icons)).not.toMatch(
    /script|onload|javascript|x\.example/i,
  );
});

test('the icons of a whole menu are filled by typing, found by labels, and exchanged for another set', async ({
  page,
}) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/links`);
  // The key belongs to the place once its button stands.
  await expect(page.getByRole('button', { name: 'Icons…' })).toBeEnabled();
  await page.keyboard.press('Alt+i');
  const field = (label: string) => page.getByRole('combobox', { name: `Icon of ${label}`, exact: true });
  const iconNames = async () => {
    await saved(page);
    const { icons, menus } = await savedSite(page, id);
    return (menus[0]?.items ?? []).map(({ icon }) => icons.find((one) => one.id === icon)?.name ?? null);
  };
  await field('Visit').focus();
  await page.keyboard.type('heart');
  await expect(page.getByRole('option', { name: 'heart', exact: true })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('option', { selected: true })).not.toHaveAttribute('aria-label', 'heart');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Enter');
  // Enter goes on to the next link.
  await expect(field('Opening hours')).toBeFocused();
  await expect(field('Visit')).toHaveValue('heart');
  await page.getByRole('button', { name: 'Find icons by their labels' }).click();
  await expect(field('Learn')).not.toHaveValue('');
  const found = await iconNames();
  expect(found[0]).toBe('heart');
  expect(found.filter((name) => name !== null).length).toBeGreaterThan(4);
  await page.getByRole('button', { name: 'All filled' }).click();
  await expect(field('Visit')).toHaveValue('heart-filled');
  await page.getByRole('button', { name: 'All outlined' }).click();
  await expect(field('Visit')).toHaveValue('heart');
  // An empty field and Enter take one away; undo is one step each.
  await field('Visit').fill('');
  await page.keyboard.press('Enter');
  expect((await iconNames())[0]).toBeNull();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  for (let step = 0; step < 4; step++) await page.keyboard.press('Control+z');
  expect(await iconNames()).toEqual(['heart', null, null, null, null, null]);
  await page.goto(`/sites/${id}/bench/header`);
  const stage = await stageFrame(page);
  await expect(stage.locator('.hm-main-glyph').first()).toBeVisible();
});
