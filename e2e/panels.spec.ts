import { expect, type Page } from '@playwright/test';
import { property, type PropertyId, type Site, type Value } from '@hamaca/core';
import { holdMotion, still } from './support/motion.ts';
import { axe, open, test } from './support/pasted.ts';
import { demoSite, edited, handOff, type Host } from './support/output.ts';

const choicesOf = (id: PropertyId) => {
  const entry = property(id);
  return entry.kind === 'choice' ? Object.keys(entry.choices) : [];
};
const STANDS = choicesOf('stands');
const COMES = choicesOf('comesIn');

/** Windows that panels open in: phones, a tablet, a laptop, and a phone on its side. */
const WINDOWS = [
  { width: 320, height: 568 },
  { width: 390, height: 844 },
  { width: 768, height: 1024 },
  { width: 1024, height: 700 },
  { width: 844, height: 390 },
] as const;

type Says = Readonly<Partial<Record<PropertyId, Value>>>;

/** The site with values for slots of its panel and its opener, and settings of both. */
function made(
  says: Readonly<Record<string, Says>>,
  fields: Readonly<Record<string, Readonly<Record<string, unknown>>>> = {},
  site: Site = demoSite(),
): Site {
  // The menu folds away at every width, so that its panel opens at every one.
  let now = edited(site, { name: 'fold-part', args: { id: 'menu-main', from: 'wide', panel: 'panel' } });
  for (const [id, own] of Object.entries(fields))
    now = edited(now, { name: 'set-owner', args: { id, fields: own } });
  return edited(now, {
    name: 'set-look',
    args: {
      cells: Object.entries(says).flatMap(([slot, values]) =>
        Object.entries(values).map(([property, value]) => ({
          owner: slot.startsWith('opener') ? 'opener' : 'panel',
          slot,
          property: property as PropertyId,
          level: 'all' as const,
          state: 'rest' as const,
          band: 'all',
          value,
        })),
      ),
    },
  });
}

const LONG = `<main>${'<p>The reserve lies where the river meets the sea, and birds rest here in spring.</p>'.repeat(80)}</main>`;

const put = async (page: Page, host: Host, site: Site, attributes = 'lang="en"') => {
  const size = page.viewportSize() ?? { width: 1280, height: 800 };
  await open(page, host, size.width, { attributes, body: LONG }, handOff(site));
  await page.setViewportSize(size);
};

const dialog = (page: Page) => page.locator('dialog');
const opener = (page: Page) => page.getByRole('button', { name: 'Menu', exact: true });
const isOpen = (page: Page) => dialog(page).evaluate((element: HTMLDialogElement) => element.open);
const boxOf = async (page: Page) =>
  dialog(page).evaluate((element) => {
    const { left, right, top, bottom } = element.getBoundingClientRect();
    return { left, right, top, bottom };
  });

for (const stands of STANDS)
  test(`a panel ${stands} opens and closes in every way, at every size, and nothing shifts`, async ({
    page,
    host,
  }) => {
    for (const size of WINDOWS) {
      await page.setViewportSize(size);
      await put(page, host, made({ panel: { stands } }));
      const before = await page.evaluate(() => document.querySelector('main')?.getBoundingClientRect().x);
      await opener(page).click();
      await still(page);
      const box = await boxOf(page);
      const where = JSON.stringify({ stands, size, box });
      expect(
        box.left >= 0 && box.right <= size.width && box.top >= 0 && box.bottom <= size.height,
        where,
      ).toBe(true);
      expect(box.right - box.left, where).toBeGreaterThan(200);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(size.width);
      expect(await page.evaluate(() => document.querySelector('main')?.getBoundingClientRect().x)).toBe(
        before,
      );
      // Every link can be come to, the last one by scrolling where it must.
      await page.getByRole('link', { name: 'Contact' }).scrollIntoViewIfNeeded();
      await expect(page.getByRole('link', { name: 'Contact' })).toBeInViewport();
      await page.keyboard.press('Escape');
      expect(await isOpen(page)).toBe(false);
      await expect(opener(page)).toBeFocused();
      await page.keyboard.press('Enter');
      await still(page);
      await page.getByRole('button', { name: 'Close menu' }).click();
      expect(await isOpen(page)).toBe(false);
      await opener(page).click();
      await still(page);
      const beside = besideOf(box, size);
      if (beside) {
        await page.mouse.click(beside.x, beside.y);
        expect(await isOpen(page), where).toBe(false);
        await opener(page).click();
      }
      await page.getByRole('link', { name: 'News' }).evaluate((link) => {
        link.setAttribute('href', '#there');
      });
      await page.getByRole('link', { name: 'News' }).click();
      expect(await isOpen(page)).toBe(false);
    }
  });

/** A place of the window outside of a box; null where that fills it. */
function besideOf(
  { left, right, top, bottom }: Awaited<ReturnType<typeof boxOf>>,
  { width, height }: { readonly width: number; readonly height: number },
) {
  if (left > 8) return { x: left / 2, y: height / 2 };
  if (right < width - 8) return { x: (right + width) / 2, y: height / 2 };
  if (bottom < height - 8) return { x: width / 2, y: (bottom + height) / 2 };
  if (top > 8) return { x: width / 2, y: top / 2 };
  return null;
}

for (const comesIn of COMES)
  test(`a panel that arrives ${comesIn} is whole in the end and gone once closed, also where motion is unwanted`, async ({
    page,
    host,
  }) => {
    const site = made({ panel: { stands: 'at the end', comesIn, comeTime: 300 } });
    for (const reducedMotion of ['no-preference', 'reduce'] as const) {
      await page.emulateMedia({ reducedMotion });
      await put(page, host, site);
      const release = await holdMotion(page);
      await opener(page).click();
      const moving = await page.evaluate(
        () => document.querySelector('dialog')?.getAnimations({ subtree: true }).length ?? 0,
      );
      expect(moving > 0).toBe(comesIn !== 'at once' && reducedMotion === 'no-preference');
      await release();
      await still(page);
      const { left, right, bottom } = await boxOf(page);
      expect([right - left, right, bottom]).toEqual([340, 1280, 800]);
      await expect(dialog(page)).toHaveCSS('opacity', '1');
      for (const link of await dialog(page).locator('nav > ul > li').all())
        await expect(link).toHaveCSS('opacity', '1');
      await page.keyboard.press('Escape');
      await still(page);
      await expect(dialog(page)).toHaveCSS('display', 'none');
    }
  });

test('two blocks meet from both sides, each by itself, and part again', async ({ page, host }) => {
  let site = made({
    panel: {
      stands: 'over the whole window',
      blocksStand: 'side by side',
      comesIn: 'at once',
      comeTime: 400,
    },
  });
  const panel = site.pieces.find(({ id }) => id === 'panel');
  const [first] = panel?.kind === 'panel' ? panel.blocks : [];
  if (!first) throw new Error('no block');
  const second = { ...first, id: 'second', name: 'Second', parts: [], look: {} };
  site = edited(site, { name: 'add-section', args: { piece: 'panel', section: second, index: 1 } });
  const text = {
    kind: 'text',
    id: 'words',
    entries: [{ id: 'words-1', text: 'Open all year', target: { kind: 'none' }, icon: null }],
    yearKept: false,
    look: {},
  };
  site = edited(site, {
    name: 'add-part',
    args: { part: text as never, place: { region: 'second.parts', index: 0 } },
  });
  const from = (owner: string, edge: string) =>
    (['comesIn', 'comesFrom'] as const).map((property) => ({
      owner,
      slot: 'block',
      property,
      level: 'all' as const,
      state: 'rest' as const,
      band: 'all',
      value: property === 'comesIn' ? 'sliding' : edge,
    }));
  site = edited(site, {
    name: 'set-look',
    args: { cells: [...from(first.id, 'the top'), ...from('second', 'the bottom')] },
  });
  await put(page, host, site);
  const release = await holdMotion(page);
  await opener(page).click();
  const tops = () =>
    page
      .locator('dialog > div > div')
      .evaluateAll((blocks) => blocks.map((block) => block.getBoundingClientRect()));
  const onTheWay = await tops();
  expect(onTheWay[0]?.top).toBeLessThan(0);
  expect(onTheWay[1]?.top).toBeGreaterThan(0);
  await release();
  await still(page);
  const [one, other] = await tops();
  expect(Math.round(one?.top ?? -1)).toBe(Math.round(other?.top ?? -2));
  expect(Math.abs((one?.width ?? 0) - (other?.width ?? 0))).toBeLessThan(2);
  await page.keyboard.press('Escape');
  await expect(dialog(page)).toHaveCSS('display', 'flex');
  await still(page);
  await expect(dialog(page)).toHaveCSS('display', 'none');
});

test('what a panel does not close by leaves it open', async ({ page, host }) => {
  const closes = { byScrim: false, byEscape: false, byLink: false };
  await put(page, host, made({ panel: { stands: 'at the end' } }, { panel: closes }));
  await opener(page).click();
  await still(page);
  await page.mouse.click(100, 400);
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'News' }).evaluate((link) => {
    link.setAttribute('href', '#there');
  });
  await page.getByRole('link', { name: 'News' }).click();
  expect(await isOpen(page)).toBe(true);
  await page.getByRole('button', { name: 'Close menu' }).click();
  expect(await isOpen(page)).toBe(false);
});

test('the scrim closes it where Escape does not', async ({ page, host }) => {
  await put(page, host, made({ panel: { stands: 'at the end' } }, { panel: { byEscape: false } }));
  await opener(page).click();
  await still(page);
  await page.keyboard.press('Escape');
  expect(await isOpen(page)).toBe(true);
  await page.mouse.click(100, 400);
  expect(await isOpen(page)).toBe(false);
});

test('scrolling on closes it, and the page is held fast otherwise', async ({ page, host }) => {
  for (const holdsPage of [true, false]) {
    await put(
      page,
      host,
      made({ panel: { stands: 'at the end' } }, { panel: { holdsPage, byScroll: !holdsPage } }),
    );
    await opener(page).click();
    await still(page);
    await page.mouse.move(100, 400);
    await page.mouse.wheel(0, 300);
    await expect.poll(async () => isOpen(page)).toBe(holdsPage);
    expect(await page.evaluate(() => scrollY)).toBe(holdsPage ? 0 : 300);
  }
});

test('any element of the page opens it, and gets the focus back', async ({ page, host }) => {
  await open(
    page,
    host,
    1280,
    { body: '<main><button class="more">More</button></main>' },
    handOff(made({}, { panel: { openedBy: '.more, #none' } })),
  );
  await page.getByRole('button', { name: 'More', exact: true }).click();
  expect(await isOpen(page)).toBe(true);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'More', exact: true })).toBeFocused();
});

test('its close control lies over its opener, turned into the sign for closing', async ({ page, host }) => {
  await put(
    page,
    host,
    made(
      {
        panel: { stands: 'over the whole window', comesIn: 'fading' },
        close: { closeLies: 'over its opener' },
      },
      { panel: { closeAs: 'opener' }, opener: { turns: 'cross' } },
    ),
  );
  const centre = async (name: string) => {
    const box = await page.getByRole('button', { name, exact: true }).boundingBox();
    return box && [Math.round(box.x + box.width / 2), Math.round(box.y + box.height / 2)];
  };
  const before = await centre('Menu');
  await opener(page).click();
  await still(page);
  expect(await centre('Close menu')).toEqual(before);
  const rotation = page.locator('dialog button path').first();
  await expect(rotation).toHaveCSS('rotate', '45deg');
  await page.getByRole('button', { name: 'Close menu' }).click();
  expect(await isOpen(page)).toBe(false);
});

test('the page is pushed aside and comes back, and a fixed opener stays where it is', async ({
  page,
  host,
}) => {
  await put(
    page,
    host,
    made({
      panel: { stands: 'at the start', pageBehind: 'is pushed aside', width: 300 },
      opener: { fixedAt: 'at the bottom, end', marginInline: 30, marginBlock: 30 },
    }),
  );
  const place = async () => opener(page).boundingBox();
  const before = await place();
  expect(before && [before.x + before.width, before.y + before.height]).toEqual([1250, 770]);
  const left = () => page.evaluate(() => document.querySelector('main')?.getBoundingClientRect().x ?? 0);
  const start = await left();
  await opener(page).click();
  await still(page);
  expect((await left()) - start).toBe(300);
  await page.mouse.move(900, 400);
  await page.mouse.wheel(300, 0);
  await page.waitForTimeout(200);
  expect(await page.evaluate(() => scrollX)).toBe(0);
  await page.keyboard.press('Escape');
  await still(page);
  expect(await left()).toBe(start);
  expect(await place()).toEqual(before);
});

test('a page drawn smaller keeps its middle, however far it is scrolled', async ({ page, host }) => {
  await put(page, host, made({ panel: { stands: 'at the bottom', pageBehind: 'is drawn smaller' } }));
  await page.evaluate(() => {
    scrollTo(0, 400);
  });
  const paragraph = () =>
    page.evaluate(() => {
      const all = [...document.querySelectorAll('main p')].map((one) => one.getBoundingClientRect());
      const middle = all.find(({ top, bottom }) => top <= innerHeight / 2 && bottom >= innerHeight / 2 - 40);
      return Math.round(middle?.top ?? 0);
    });
  const before = await paragraph();
  await page.evaluate(() => {
    document.querySelector<HTMLDialogElement>('dialog')?.showModal();
  });
  await still(page);
  expect(Math.abs((await paragraph()) - before)).toBeLessThan(12);
});

test('right to left mirrors where a panel stands and comes from', async ({ page, host }) => {
  await put(
    page,
    host,
    made({ panel: { stands: 'at the start', comesIn: 'sliding', comeTime: 2000 } }),
    'lang="ar" dir="rtl"',
  );
  const release = await holdMotion(page);
  await opener(page).click();
  expect((await boxOf(page)).right).toBeGreaterThan(1280);
  await release();
  await still(page);
  expect((await boxOf(page)).right).toBe(1280);
});

test.describe('with a finger', () => {
  test.use({ hasTouch: true });
  test('a sweep over its edge closes it', async ({ page, host }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await put(page, host, made({ panel: { stands: 'at the end' } }, { panel: { bySwipe: true } }));
    await opener(page).tap();
    await still(page);
    const sweep = async (from: number, to: number) =>
      page.evaluate(
        ([start, end]) => {
          const target = document.querySelector('dialog a') as Element;
          const touch = (clientX: number) => new Touch({ identifier: 1, target, clientX, clientY: 300 });
          const at = (type: string, x: number) =>
            target.dispatchEvent(
              new TouchEvent(type, {
                bubbles: true,
                touches: type === 'touchend' ? [] : [touch(x)],
                changedTouches: [touch(x)],
              }),
            );
          at('touchstart', start);
          at('touchend', end);
        },
        [from, to] as const,
      );
    await sweep(300, 200);
    expect(await isOpen(page)).toBe(true);
    await sweep(200, 300);
    expect(await isOpen(page)).toBe(false);
  });
});

test('without a script a panel’s own parts stand in the page', async ({ browser, host }) => {
  const context = await browser.newContext({ javaScriptEnabled: false });
  const page = await context.newPage();
  await open(
    page,
    host,
    390,
    { script: false },
    handOff(made({ panel: { stands: 'over the whole window' } })),
  );
  for (const name of ['Visit', 'Contact']) await expect(page.getByRole('link', { name })).toBeVisible();
  await context.close();
});

test('nothing is wrong for assistive technology with any close control', async ({ page, host }) => {
  for (const closeAs of ['drawing', 'word', 'both', 'opener', 'none']) {
    await put(page, host, made({ panel: { stands: 'in the middle' } }, { panel: { closeAs } }));
    await opener(page).click();
    await still(page);
    expect(await axe(page)).toEqual([]);
  }
});

test('in a panel submenus unfold one at a time, or are drilled into with a way back', async ({
  page,
  host,
}) => {
  const button = (name: string) =>
    dialog(page).getByRole('button', { name: new RegExp(`^(?:More: )?${name}$`) });
  const shown = () =>
    dialog(page)
      .locator('a')
      .evaluateAll((links) => links.filter((link) => link.checkVisibility()).map((link) => link.textContent));
  // “Join in” leads nowhere itself: it is a button.
  const top = ['Visit', 'Birds', 'Learn', 'News', 'Contact'];
  await put(page, host, made({}, { 'menu-main': { inPanels: 'one', levels: 2 } }));
  await opener(page).click();
  await button('Visit').click();
  await button('Learn').click();
  expect(await button('Visit').getAttribute('aria-expanded')).toBe('false');
  expect(await shown()).toEqual([
    ...top.slice(0, 3),
    'School days',
    'Guided walks',
    'Courses',
    ...top.slice(3),
  ]);

  await put(page, host, made({}, { 'menu-main': { inPanels: 'drill', levels: 2 } }));
  await opener(page).click();
  expect(await shown()).toEqual(top);
  await button('Learn').click();
  expect(await shown()).toEqual(['Learn', 'School days', 'Guided walks', 'Courses']);
  await expect(button('Learn')).toHaveCSS('rotate', '90deg');
  await button('Learn').click();
  expect(await shown()).toEqual(top);
  await button('Learn').focus();
  await page.keyboard.press('Enter');
  expect(await axe(page)).toEqual([]);
});
