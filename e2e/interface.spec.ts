import type { Page } from '@playwright/test';
import { copyDemo, expect, stageFrame, test } from './support/app.ts';
import { wholeMarisma } from './support/output.ts';

/*
 * What every place of the interface owes to everybody, walked place by place: one first heading, tables without nameless
 * columns, targets that can be hit, nothing cut off, and the keys that the ARIA practices give to each kind of control.
 */

/** Where each place is found, and what shows that it stands. */
const PLACES: Readonly<Record<string, { path: (id: string) => string; stands: string }>> = {
  sites: { path: () => '/', stands: 'main li' },
  'new site': { path: () => '/new', stands: 'main textarea' },
  links: { path: (id) => `/sites/${id}/links`, stands: '[role="treegrid"] input' },
  bench: { path: (id) => `/sites/${id}/bench/header`, stands: '[role="grid"] [data-cell]' },
  palette: { path: (id) => `/sites/${id}/palette`, stands: '[aria-label="Contrast"] table' },
  checks: { path: (id) => `/sites/${id}/checks`, stands: '[aria-label="Passed"]' },
  'hand-off': { path: (id) => `/sites/${id}/hand-off`, stands: 'pre' },
};

const WINDOWS = [
  { width: 1024, height: 700 },
  { width: 1280, height: 800 },
  { width: 1920, height: 1080 },
] as const;

/** Controls that stick out of the window or lie under something else's edge, by name. */
const cutOff = (page: Page) =>
  page.evaluate(() => {
    const found: string[] = [];
    for (const element of document.querySelectorAll<HTMLElement>(
      'button, input, select, a[href], [role="slider"]',
    )) {
      const { left, right, width, height } = element.getBoundingClientRect();
      if (width === 0 || height === 0 || !element.checkVisibility({ visibilityProperty: true })) continue;
      if (element.closest('.sr-only') || element.matches('.sr-only')) continue;
      if (left < -1 || right > innerWidth + 1)
        found.push(element.getAttribute('aria-label') ?? element.textContent.slice(0, 30));
    }
    return found;
  });

/** Targets smaller than 24 by 24 px (WCAG 2.2, 2.5.8), but for links in running text. */
const tooSmall = (page: Page) =>
  page.evaluate(() => {
    const found: string[] = [];
    for (const element of document.querySelectorAll<HTMLElement>(
      'button, input, [role="slider"], [role="tab"]',
    )) {
      const { width, height } = element.getBoundingClientRect();
      if (width === 0 || !element.checkVisibility({ visibilityProperty: true })) continue;
      if (element.closest('.sr-only, p, [data-testid="origin"]') || element.matches('.sr-only')) continue;
      if (width < 23.5 || height < 23.5)
        found.push(
          `${element.getAttribute('aria-label') ?? element.textContent.slice(0, 30)} ${Math.round(width)}x${Math.round(height)}`,
        );
    }
    return found;
  });

for (const [name, { path, stands }] of Object.entries(PLACES)) {
  test(`${name}: one first heading, columns with names, targets that can be hit, nothing cut off`, async ({
    page,
  }) => {
    const id = await copyDemo(page);
    await page.goto(path(id));
    for (const size of WINDOWS) {
      await page.setViewportSize(size);
      await page.locator(stands).first().waitFor();
      await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
      const nameless = await page.evaluate(
        () => [...document.querySelectorAll('th')].filter((head) => head.textContent.trim() === '').length,
      );
      expect(nameless).toBe(0);
      expect(await cutOff(page), `cut off at ${size.width}`).toEqual([]);
      expect(await tooSmall(page), `too small at ${size.width}`).toEqual([]);
      const sideways = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(sideways).toBe(0);
    }
  });
}

test('the bench is usable at 1024 by 700: stage, outline, five rows of the sheet and what it is about', async ({
  page,
}) => {
  const id = await copyDemo(page);
  await page.setViewportSize({ width: 1024, height: 700 });
  await page.goto(`/sites/${id}/bench/header`);
  await stageFrame(page);
  const cells = page.locator('[role="grid"] tr:has([data-cell])');
  await cells.first().waitFor();
  const seen = await cells.evaluateAll((rows) => {
    const sheet = rows[0]?.closest('.overflow-auto')?.getBoundingClientRect();
    return rows.filter((row) => row.getBoundingClientRect().bottom <= (sheet?.bottom ?? 0) + 1).length;
  });
  expect(seen).toBeGreaterThanOrEqual(4);
  const stage = await page.locator('iframe[title="Stage"]').boundingBox();
  expect(stage?.height).toBeGreaterThan(180);
});

test('the bar of a large site keeps within the window, alone and with two versions held against each other', async ({
  page,
}) => {
  const id = await copyDemo(page, wholeMarisma());
  await page.goto(`/sites/${id}/bench/header`);
  await stageFrame(page);
  const compare = page.getByRole('button', { name: 'Compare' });
  await compare.waitFor();
  for (const isCompared of [false, true]) {
    if (isCompared) await compare.click();
    for (const width of [1024, 1131, 1152, 1261, 1280, 1366, 1421]) {
      await page.setViewportSize({ width, height: 800 });
      expect(await cutOff(page), `cut off at ${width}`).toEqual([]);
    }
  }
});

test('menus and panes are tabs: one stop, arrows go on, the chosen one is shown', async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/links`);
  const menus = page.getByRole('tablist', { name: 'Menus' });
  const main = menus.getByRole('tab', { name: /^Main/ });
  await main.focus();
  await page.keyboard.press('ArrowRight');
  const next = menus.getByRole('tab', { name: /^Top row/ });
  await expect(next).toBeFocused();
  await expect(next).toHaveAttribute('aria-selected', 'true');
  await expect(page.getByRole('tabpanel', { name: /^Top row/ }).getByRole('treegrid')).toHaveAccessibleName(
    'Links of Top row',
  );
  await page.keyboard.press('End');
  await expect(menus.getByRole('tab').last()).toBeFocused();
  await expect(menus.locator('[tabindex="0"]')).toHaveCount(1);
});

test('a target is a combobox: the arrows name the match that Enter takes', async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/links`);
  const target = page.getByRole('combobox', { name: 'Target of News' });
  await target.fill('vol');
  const list = page.getByRole('listbox', { name: 'Pages, sections and panels' });
  await expect(target).toHaveAttribute('aria-expanded', 'true');
  expect(await target.getAttribute('aria-controls')).toBe(await list.getAttribute('id'));
  await page.keyboard.press('ArrowDown');
  const chosen = list.getByRole('option', { selected: true });
  await expect(chosen).toContainText('Volunteer');
  expect(await target.getAttribute('aria-activedescendant')).toBe(await chosen.getAttribute('id'));
  await page.keyboard.press('Enter');
  await expect(target).toHaveValue('/join/volunteer/');
  await expect(list).toHaveCount(0);
  await expect(target).not.toHaveAttribute('aria-activedescendant');
});

test('arrangements are radio buttons: arrows choose, one is a stop', async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/bench/header`);
  await page.getByRole('button', { name: 'Row Main', exact: true }).click();
  await page.getByRole('button', { name: 'Arrangement of the row' }).click();
  const group = page.getByRole('radiogroup', { name: 'Arrangements' });
  await expect(group.locator('[tabindex="0"]')).toHaveCount(1);
  const before = await group.getByRole('radio', { checked: true }).textContent();
  // As long as a finger holds it: the group looks whether an arrow is down as the focus comes. A busy machine may be later.
  await expect(async () => {
    await group.getByRole('radio', { checked: true }).focus();
    await page.keyboard.press('ArrowDown', { delay: 80 });
    await expect(group.getByRole('radio', { checked: true })).toBeFocused({ timeout: 2000 });
  }).toPass();
  expect(await group.getByRole('radio', { checked: true }).textContent()).not.toBe(before);
});

test('the page of each place has its scripts fetched ahead, all of them there; an unknown place has none', async ({
  page,
}) => {
  const id = await copyDemo(page);
  const ahead = async (path: string) => {
    const html = await (await page.request.get(path)).text();
    return [...html.matchAll(/<link rel="modulepreload"[^>]* href="([^"]+)"/g)].flatMap(
      ([, href = '']) => href,
    );
  };
  const own = new Set(await ahead(`/sites/${id}/none`));
  for (const [name, { path }] of Object.entries(PLACES)) {
    const scripts = (await ahead(path(id))).filter((href) => !own.has(href));
    const place = name.replace(' ', '-');
    expect(
      scripts.some((href) => href.includes(`${place}-place-`)),
      name,
    ).toBe(true);
    for (const href of scripts) expect((await page.request.get(href)).status(), href).toBe(200);
  }
  expect(await ahead(`/sites/${id}/constructor`)).toEqual([...own]);
});
