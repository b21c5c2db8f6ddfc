import { expect, type Locator, type Page } from '@playwright/test';
import type { Cell, Site, Value } from '@hamaca/core';
import { holdMotion } from './support/motion.ts';
import { axe, open, test } from './support/pasted.ts';
import { changedDemo, handOff, type Host } from './support/output.ts';

type Said = Partial<Pick<Cell, 'level' | 'slot' | 'band'>> & {
  readonly property: Cell['property'];
  readonly value: Value;
};

interface Wanted {
  readonly says: readonly Said[];
  readonly opensOn?: 'hover' | 'click';
  readonly direction?: 'ltr' | 'rtl';
}

/** The demo with three levels in sight, and what its menu’s look says besides. */
const deep = ({ says, opensOn = 'hover', direction = 'ltr' }: Wanted): Site =>
  changedDemo((demo) => {
    // eslint-disable-next-line @typescript-eslint/no-explicit-any -- looks are filled in as raw JSON and loaded again
    const raw = demo as any;
    const menu = raw.pieces[0].rows[0].zones.middle[0];
    Object.assign(menu, { levels: 3, opensOn });
    for (const { slot = 'submenu', level = '2', band = 'all', property, value } of says) {
      const states = ((menu.look[slot] ??= {})[level] ??= {});
      ((states.rest ??= {})[band] ??= {})[property] = value;
    }
    return { ...raw, direction };
  });

const FLY: readonly Said[] = [
  { level: '3', property: 'opens', value: 'beside' },
  { level: '3', property: 'fill', value: { role: 'paper' } },
];

const hides = (page: Page) => page.getByRole('link', { name: 'Reed hide' });
const trails = (page: Page) => page.getByRole('link', { name: 'Trails & hides' });
/** The button that opens a link's submenu: the link itself, or the one beside it. */
const button = (page: Page, name: string) =>
  page.getByRole('button', { name: new RegExp(`^(?:More: )?${name}$`) });
const boxOf = async (locator: Locator) => {
  const box = await locator.boundingBox();
  if (!box) throw new Error('It is not in sight.');
  return box;
};
/** The box that a link stands in. */
const around = (locator: Locator) => locator.locator('xpath=ancestor::ul[1]');

const put = async (page: Page, host: Host, wanted: Wanted, width = 1280) =>
  open(
    page,
    host,
    width,
    { attributes: `lang="en" dir="${wanted.direction ?? 'ltr'}"` },
    handOff(deep(wanted)),
  );

test('a third level beside its link opens by pointing, by click and by keys', async ({ page, host }) => {
  await put(page, host, { says: FLY });
  await page.getByRole('link', { name: 'Visit' }).hover();
  await trails(page).hover();
  await expect(hides(page)).toBeVisible();
  const [outer, inner] = [await boxOf(around(trails(page))), await boxOf(around(hides(page)))];
  expect(Math.abs(inner.x - (outer.x + outer.width))).toBeLessThan(20);
  expect(await axe(page)).toEqual([]);
  await hides(page).hover();
  await page.waitForTimeout(400);
  await expect(hides(page)).toBeVisible();
  await page.mouse.move(640, 600);
  await expect(hides(page)).toBeHidden();
  await expect(trails(page)).toBeHidden();

  await button(page, 'Visit').click();
  await button(page, 'Trails & hides').click();
  await expect(hides(page)).toBeVisible();
  await page.mouse.click(640, 600);
  await expect(trails(page)).toBeHidden();

  await button(page, 'Visit').focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('link', { name: 'Opening hours' })).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(trails(page)).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('link', { name: 'North hide' })).toBeFocused();
  await page.keyboard.press('End');
  await expect(page.getByRole('link', { name: 'Tower hide' })).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('link', { name: 'North hide' })).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(button(page, 'Trails & hides')).toBeFocused();
  await expect(hides(page)).toBeHidden();
  await expect(trails(page)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(button(page, 'Visit')).toBeFocused();
  await expect(trails(page)).toBeHidden();
});

test('crossing another link on the way to an open box does not close it', async ({ page, host }) => {
  await put(page, host, { says: FLY });
  await page.getByRole('link', { name: 'Visit' }).hover();
  const hours = page.getByRole('link', { name: 'Opening hours' });
  await expect(hours).toBeVisible();
  const birds = await boxOf(page.getByRole('link', { name: 'Birds' }));
  const goal = await boxOf(hours);
  await page.mouse.move(birds.x + 4, birds.y + birds.height / 2);
  await page.mouse.move(goal.x + 20, goal.y + 4, { steps: 3 });
  await page.waitForTimeout(400);
  await expect(hours).toBeVisible();
  // Resting on it opens its own.
  await page.getByRole('link', { name: 'Birds' }).hover();
  await expect(page.getByRole('link', { name: 'Ringing log' })).toBeVisible();
  await expect(hours).toBeHidden();
});

test('by touch each level opens and closes by its own button', async ({ browser, host }) => {
  const page = await browser.newPage({ hasTouch: true });
  await put(page, host, { says: FLY });
  await button(page, 'Visit').tap();
  await button(page, 'Trails & hides').tap();
  await expect(hides(page)).toBeVisible();
  await button(page, 'Trails & hides').tap();
  await expect(hides(page)).toBeHidden();
  await expect(trails(page)).toBeVisible();
  await page.close();
});

test('without a script pointing and tabbing open every level', async ({ browser, host }) => {
  const page = await browser.newPage({ javaScriptEnabled: false });
  await put(page, host, { says: FLY });
  await page.getByRole('link', { name: 'Visit' }).hover();
  await trails(page).hover();
  await expect(hides(page)).toBeVisible();
  await page.mouse.move(640, 600);
  await page.getByRole('link', { name: 'Visit' }).focus();
  for (let count = 0; count < 3; count++) await page.keyboard.press('Tab');
  await expect(trails(page)).toBeFocused();
  await expect(hides(page)).toBeVisible();
  await page.close();
});

for (const direction of ['ltr', 'rtl'] as const)
  test(`at the window’s edge boxes go over to the other side, ${direction}`, async ({ page, host }) => {
    // So narrow that nothing has room at the far side of the first links.
    await put(page, host, { says: [...FLY, { property: 'boxWidth', value: 560 }], direction }, 1010);
    await button(page, 'Visit').click();
    await button(page, 'Trails & hides').click();
    for (const box of [around(trails(page)), around(hides(page))]) {
      const { x, width } = await boxOf(box);
      expect(x).toBeGreaterThanOrEqual(-1);
      expect(x + width).toBeLessThanOrEqual(1011);
    }
    const [outer, inner] = [await boxOf(around(trails(page))), await boxOf(around(hides(page)))];
    const isRight = inner.x >= outer.x + outer.width - 20;
    const isLeft = inner.x + inner.width <= outer.x + 20;
    expect(isRight || isLeft).toBe(true);
    await button(page, 'Trails & hides').focus();
    await page.keyboard.press(direction === 'rtl' ? 'ArrowLeft' : 'ArrowRight');
    await expect(page.getByRole('link', { name: 'North hide' })).toBeFocused();
  });

test('across the row its links stand in columns, one for each branch, as wide as the row', async ({
  page,
  host,
}) => {
  await put(page, host, {
    says: [
      { property: 'opens', value: 'across' },
      { property: 'columns', value: 0 },
    ],
  });
  await button(page, 'Visit').click();
  const box = await boxOf(around(trails(page)));
  const row = await boxOf(page.locator('.hm-main-row'));
  expect([box.x, box.width]).toEqual([row.x, row.width]);
  expect(Math.abs(box.y - (row.y + row.height))).toBeLessThanOrEqual(1);
  const columns = await Promise.all(
    ['Opening hours', 'Getting here', 'Trails & hides', 'Access for all'].map(async (name) =>
      boxOf(page.getByRole('link', { name })),
    ),
  );
  expect(new Set(columns.map(({ y }) => Math.round(y))).size).toBe(1);
  expect(columns.map(({ x }) => x)).toEqual(columns.map(({ x }) => x).toSorted((a, b) => a - b));
  // The third level stands open in its column.
  await expect(hides(page)).toBeVisible();
  expect(await axe(page)).toEqual([]);
});

test('in place and always open: the row holds what is open, and nothing needs a button that never closes', async ({
  page,
  host,
}) => {
  await put(page, host, { says: [{ level: '3', property: 'opens', value: 'in place' }] });
  await button(page, 'Visit').click();
  const before = await boxOf(around(trails(page)));
  await button(page, 'Trails & hides').click();
  await expect(hides(page)).toBeVisible();
  expect((await boxOf(around(trails(page)))).height).toBeGreaterThan(before.height + 60);
  await put(page, host, { says: [{ property: 'opens', value: 'always open' }] });
  await expect(hides(page)).toBeVisible();
  await expect(page.locator('nav [aria-expanded]')).toHaveCount(0);
  await put(page, host, { says: [{ property: 'opens', value: 'not at all' }] });
  await expect(trails(page)).toBeHidden();
});

test('one link opens across the row while the others open below theirs', async ({ page, host }) => {
  const menu = changedDemo((demo) => demo).menus[0];
  const visit = menu?.items.find(({ label }) => label === 'Visit')?.id ?? '';
  const trailsId = menu?.items[0]?.children.find(({ label }) => label === 'Trails & hides')?.id ?? '';
  await put(page, host, {
    says: [
      ...FLY,
      { level: `@${visit}`, property: 'opens', value: 'across' },
      { level: `@${visit}`, property: 'columns', value: 0 },
      { level: `@${trailsId}`, property: 'opens', value: 'always open' },
    ],
    opensOn: 'click',
  });
  await button(page, 'Visit').click();
  await expect(hides(page)).toBeVisible();
  expect((await boxOf(around(trails(page)))).width).toBeGreaterThan(1200);
  await expect(button(page, 'Trails & hides')).toHaveCount(0);
  await button(page, 'Birds').click();
  const log = page.getByRole('link', { name: 'Ringing log' });
  await expect(log).toBeVisible();
  await expect(trails(page)).toBeHidden();
  const [link, box] = [await boxOf(page.getByRole('link', { name: 'Birds' })), await boxOf(around(log))];
  expect(box.width).toBeLessThan(400);
  expect(Math.abs(box.x - link.x)).toBeLessThan(30);
  // In the panel all unfold in place.
  await page.setViewportSize({ width: 390, height: 700 });
  await page.getByRole('button', { name: 'Menu', exact: true }).click();
  await button(page, 'Visit').click();
  await expect(hides(page)).toBeVisible();
  expect(await axe(page)).toEqual([]);
});

test('each band opens submenus its own way', async ({ page, host }) => {
  await put(page, host, {
    says: [
      { property: 'opens', value: 'across' },
      { property: 'opens', value: 'below', band: 'phone' },
    ],
  });
  const position = async () =>
    page
      .locator('.hm-main-submenu')
      .first()
      .evaluate((box) => getComputedStyle(box).position);
  await button(page, 'Visit').click();
  expect((await boxOf(around(trails(page)))).width).toBeGreaterThan(1200);
  await page.setViewportSize({ width: 600, height: 700 });
  // In the panel all of them unfold in place.
  expect(await position()).toBe('static');
});

for (const arrives of ['fading', 'sliding', 'growing', 'unrolling', 'one by one'] as const)
  test(`a box that arrives ${arrives} is whole at the end, gone once closed, and still where motion is unwanted`, async ({
    page,
    host,
  }) => {
    const says: readonly Said[] = [
      { property: 'arrives', value: arrives },
      { property: 'leaves', value: arrives },
      { property: 'motionTime', value: 1200 },
    ];
    await put(page, host, { says, opensOn: 'click' });
    const box = around(trails(page));
    const running = async () => box.evaluate((element) => element.getAnimations({ subtree: true }).length);
    const release = await holdMotion(page);
    await button(page, 'Visit').click();
    expect(await running()).toBeGreaterThan(0);
    await release();
    await expect.poll(running).toBe(0);
    const settled = await box.evaluate((element) => {
      const { opacity, translate, scale } = getComputedStyle(element);
      return [opacity, translate, scale];
    });
    expect(settled).toEqual(['1', 'none', 'none']);
    const releaseAgain = await holdMotion(page);
    await button(page, 'Visit').click();
    expect(await running()).toBeGreaterThan(0);
    await releaseAgain();
    await expect(box).toBeHidden();
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await button(page, 'Visit').click();
    expect(await running()).toBe(0);
    await expect(trails(page)).toBeVisible();
    await button(page, 'Visit').click();
    await expect(box).toBeHidden();
  });

test('a long box scrolls within the window', async ({ page, host }) => {
  await put(page, host, { says: [{ slot: 'link', property: 'paddingBlock', value: 60 }], opensOn: 'click' });
  await button(page, 'Visit').click();
  const box = await boxOf(around(trails(page)));
  expect(box.height).toBeLessThanOrEqual(700 - 96 + 1);
  await page.getByRole('link', { name: 'Access for all' }).focus();
  await expect(page.getByRole('link', { name: 'Access for all' })).toBeInViewport();
});

for (const direction of ['ltr', 'rtl'] as const)
  test(`a third level stands in the window and leaves its own link free, however little room there is, ${direction}`, async ({
    page,
    host,
  }) => {
    const wide: readonly Said[] = [
      ...FLY,
      { level: '2', property: 'minWidth', value: 420 },
      { level: '3', property: 'minWidth', value: 420 },
    ];
    await put(page, host, { says: wide, direction });
    const ways: string[] = [];
    for (const width of [1600, 1280, 1160, 1040, 960]) {
      await page.setViewportSize({ width, height: 800 });
      await page.reload();
      if (!(await button(page, 'Visit').isVisible())) continue;
      await button(page, 'Visit').click();
      const { width: before } = await boxOf(around(trails(page)));
      // What pointing opened stays open by the first click, also where it unfolds in place.
      await button(page, 'Trails & hides').hover();
      await expect(hides(page)).toBeVisible();
      await button(page, 'Trails & hides').click();
      await expect(hides(page)).toBeVisible();
      expect((await boxOf(around(trails(page)))).width).toBeCloseTo(before, 1);
      const [inner, link] = [await boxOf(around(hides(page))), await boxOf(trails(page))];
      expect(inner.x, `${width}`).toBeGreaterThanOrEqual(-0.5);
      expect(inner.x + inner.width, `${width}`).toBeLessThanOrEqual(width + 0.5);
      const beside = inner.x >= link.x + link.width - 1 || inner.x + inner.width <= link.x + 1;
      const beneath = inner.y >= link.y + link.height - 1;
      expect(beside || beneath, `${width}`).toBe(true);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
      ways.push(beside ? 'beside' : 'beneath');
    }
    expect(ways[0]).toBe('beside');
    expect(ways.at(-1)).toBe('beneath');
    expect(ways.length).toBeGreaterThan(2);
  });
