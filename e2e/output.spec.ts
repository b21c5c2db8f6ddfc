import { expect, type Page } from '@playwright/test';
import { applyPatch, runEdit, type JsonPatch, type Site } from '@hamaca/core';
import { still } from './support/motion.ts';
import {
  axe,
  DEMO,
  DRESSED,
  focused,
  FURNISHED,
  MAIN,
  nav,
  open,
  opener,
  OUTPUT,
  test,
  visitSubmenu,
} from './support/pasted.ts';
import { dress } from '../core/test/dressed.ts';
import { changedDemo, handOff, pasteInto } from './support/output.ts';
import { snapshot } from './support/snapshot.ts';

const changed = (patch: JsonPatch): Site => {
  const applied = applyPatch(DEMO, patch);
  if (!applied.ok) throw new Error(applied.error[0]?.message);
  return applied.value.document;
};

for (const width of [390, 800, 1280]) {
  test(`at ${width} px nothing is wrong for assistive technology, closed and open`, async ({
    page,
    host,
  }) => {
    await open(page, host, width);
    expect(await axe(page)).toEqual([]);
    if (width < 1000) await opener(page).click();
    await visitSubmenu(page).click();
    await expect(nav(page).getByRole('link', { name: 'Opening hours' })).toBeVisible();
    await still(page);
    expect(await axe(page)).toEqual([]);
  });

  test(`at ${width} px every link can be reached by keyboard alone`, async ({ page, host }) => {
    await open(page, host, width);
    if (width < 1000) {
      await page.keyboard.press('Tab');
      await page.keyboard.press('Tab');
      await page.keyboard.press('Tab');
      expect(await focused(page)).toBe('Menu');
      await page.keyboard.press('Enter');
      await expect(page.getByRole('dialog')).toBeVisible();
    }
    const wanted = new Set(await nav(page).locator('a').allTextContents());
    const reached = new Set<string>();
    for (let count = 0; count < 60 && reached.size < wanted.size; count++) {
      await page.keyboard.press('Tab');
      const at = await page.evaluate(() => {
        const element = document.activeElement;
        if (element?.getAttribute('aria-expanded') === 'false') return 'closed';
        // A parent with a page is as large as the box it fills.
        const box = (element?.closest('.hm-main-parent') ?? element)?.getBoundingClientRect();
        return element?.matches('nav a') && box && box.width > 0 && box.height >= 24
          ? element.textContent
          : '';
      });
      if (at === 'closed') await page.keyboard.press('Enter');
      else if (at) reached.add(at);
    }
    expect(reached).toEqual(wanted);
  });

  test(`at ${width} px without script every link is in sight or one step away`, async ({ browser, host }) => {
    const page = await browser.newPage({ javaScriptEnabled: false });
    await open(page, host, width);
    if (width < 1000) {
      for (const link of await nav(page).locator('a').all()) await expect(link).toBeVisible();
      await expect(page.locator('.hm-menu-opener')).toBeHidden();
    } else {
      await page.getByRole('link', { name: 'Birds' }).hover();
      await expect(page.getByRole('link', { name: 'Ringing log' })).toBeVisible();
      await page.getByRole('button', { name: 'Join in' }).focus();
      await expect(page.getByRole('link', { name: 'Volunteer' })).toBeVisible();
    }
    await page.close();
  });
}

test('Escape closes a submenu and the panel, and focus comes back', async ({ page, host }) => {
  await open(page, host, 1280);
  await visitSubmenu(page).focus();
  await page.keyboard.press('ArrowDown');
  expect(await focused(page)).toBe('Opening hours');
  await page.keyboard.press('Escape');
  expect(await focused(page)).toBe('More: Visit');
  await expect(visitSubmenu(page)).toHaveAttribute('aria-expanded', 'false');
  await page.setViewportSize({ width: 390, height: 700 });
  await opener(page).click();
  await expect(page.getByRole('dialog', { name: 'Menu' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  expect(await focused(page)).toBe('Menu');
});

test('a submenu opens under the mouse, stays while it crosses, closes when it leaves or a click goes elsewhere', async ({
  page,
  host,
}) => {
  await open(page, host, 1280);
  await page.getByRole('link', { name: 'Birds' }).hover();
  const log = page.getByRole('link', { name: 'Ringing log' });
  await expect(log).toBeVisible();
  await log.hover();
  await page.waitForTimeout(400);
  await expect(log).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(log).toBeHidden();
  await page.getByRole('button', { name: 'Learn' }).click();
  await expect(page.getByRole('link', { name: 'Courses' })).toBeVisible();
  await page.mouse.click(300, 500);
  await expect(page.getByRole('link', { name: 'Courses' })).toBeHidden();
});

test('a submenu opens by tap and closes when focus goes elsewhere', async ({ browser, host }) => {
  const page = await browser.newPage({ hasTouch: true });
  await open(page, host, 1280);
  await visitSubmenu(page).tap();
  await expect(page.getByRole('link', { name: 'Opening hours' })).toBeVisible();
  await page.getByRole('link', { name: 'Contact' }).focus();
  await expect(page.getByRole('link', { name: 'Opening hours' })).toBeHidden();
  await page.close();
});

test('the panel closes by its button, by the scrim and by following a link; the page behind does not scroll', async ({
  page,
  host,
}) => {
  await open(page, host, 390, { body: MAIN });
  const dialog = page.getByRole('dialog');
  const edges = (element: Element) => [
    element.getBoundingClientRect().left,
    element.getBoundingClientRect().right,
  ];
  const before = await page.locator('#text').evaluate(edges);
  await opener(page).click();
  await expect(dialog).toBeVisible();
  expect(await page.locator('#text').evaluate(edges)).toEqual(before);
  // Links take the panel's whole width, but for its padding and a marker.
  const link = await dialog.getByRole('link', { name: 'News' }).boundingBox();
  expect(link?.width).toBeGreaterThan(300);
  await page.mouse.move(20, 400);
  await page.mouse.wheel(0, 500);
  await page.waitForTimeout(150);
  expect(await page.evaluate(() => scrollY)).toBe(0);
  await page.mouse.click(20, 400);
  await expect(dialog).toBeHidden();
  await opener(page).click();
  await page.getByRole('button', { name: 'Close menu' }).click();
  await expect(dialog).toBeHidden();
  await opener(page).click();
  await dialog.getByRole('link', { name: 'News' }).click();
  await expect(page).toHaveURL(/news/);
});

test('a panel left open while the window widens leaves a usable page', async ({ page, host }) => {
  await open(page, host, 390);
  await opener(page).click();
  await page.setViewportSize({ width: 1280, height: 700 });
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.getByRole('link', { name: 'a link' }).click({ trial: true });
  await visitSubmenu(page).click();
  await expect(page.getByRole('link', { name: 'Opening hours' })).toBeVisible();
  await page.setViewportSize({ width: 390, height: 700 });
  await opener(page).click();
  await expect(page.getByRole('dialog').getByRole('link', { name: 'News' })).toBeVisible();
});

test('the current page is marked, by path whatever its ending', async ({ page, host }) => {
  await open(page, host, 1280);
  for (const path of ['/birds/', '/birds', '/birds/index.html']) {
    await page.goto(host.url + path);
    await expect(page.locator('[aria-current=page]')).toHaveText('Birds');
  }
});

test('loading the script twice changes nothing', async ({ page, host }) => {
  await open(page, host, 1280);
  const globals = () => page.evaluate(() => Object.keys(window).sort());
  const before = await globals();
  await page.addScriptTag({ url: '/menu.js' });
  await visitSubmenu(page).focus();
  await page.keyboard.press('Enter');
  await expect(visitSubmenu(page)).toHaveAttribute('aria-expanded', 'true');
  expect(await globals()).toEqual(before);
  expect(before.filter((name) => /^hm|hamaca/i.test(name))).toEqual([]);
});

/** The page after each of some things that a visitor does, as markup. */
async function visit(page: Page): Promise<string[]> {
  const states: string[] = [];
  const note = async () => {
    await still(page);
    states.push(await page.evaluate(() => document.body.innerHTML));
  };
  await note();
  for (const button of await page.locator('nav button[aria-expanded]:visible').all()) {
    await button.focus();
    for (const key of ['Enter', 'ArrowDown', 'End', 'Escape']) {
      await page.keyboard.press(key);
      await note();
    }
  }
  await page.evaluate(() => {
    scrollTo(0, 600);
  });
  await note();
  await page.setViewportSize({ width: 390, height: 700 });
  await note();
  for (const control of await page.locator('[commandfor]:visible').all()) {
    await control.click();
    await note();
    await page.keyboard.press('Escape');
    await note();
  }
  return states;
}

for (const [name, output] of [
  ['with everything links can have', DRESSED],
  ['with parts of every kind', FURNISHED],
] as const)
  test(`the script as it is read does what the minified one does: ${name}`, async ({ page, host }) => {
    await open(page, host, 1280, {}, output);
    const expected = await visit(page);
    expect(new Set(expected).size).toBeGreaterThan(3);
    const readable = pasteInto(output, { body: MAIN });
    const index = String(readable.get('index.html'));
    expect(index).toContain('<script src="/menu.js" defer></script>');
    readable.set(
      'index.html',
      index.replace('<script src="/menu.js" defer>', '<script type="module" src="/menu.mjs">'),
    );
    host.put(readable);
    await page.setViewportSize({ width: 1280, height: 700 });
    await page.goto(`${host.url}/`);
    expect(await visit(page)).toEqual(expected);
  });

test('a strict content security policy does not stop it, nor pictures that are files', async ({
  page,
  host,
}) => {
  const files = pasteInto(handOff(changedDemo(dress), { pictures: '/pictures/' }), {
    body: '<main><h1>Marisma</h1></main>',
  });
  files.set(
    'index.html',
    String(files.get('index.html')).replace(
      '<head>',
      '<head><meta http-equiv="Content-Security-Policy" content="default-src \'self\'">',
    ),
  );
  const complaints: string[] = [];
  page.on('console', (message) => {
    complaints.push(message.text());
  });
  await page.setViewportSize({ width: 390, height: 700 });
  host.put(files);
  await page.goto(host.url);
  await opener(page).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  expect(complaints.filter((text) => /policy/i.test(text))).toEqual([]);
  const picture = page.getByRole('img', { name: 'An envelope' });
  await expect(picture).toHaveAttribute('src', '/pictures/picture-1.gif');
  expect(await picture.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(1);
});

test('right to left mirrors the bar and the panel', async ({ page, host }) => {
  await open(page, host, 1280, { attributes: 'lang="ar" dir="rtl"' });
  const logo = await page.locator('.hm-logo').boundingBox();
  expect(logo && logo.x > 900).toBe(true);
  await page.setViewportSize({ width: 600, height: 700 });
  await opener(page).click();
  await still(page);
  expect((await page.getByRole('dialog').boundingBox())?.x).toBe(0);
});

test('reduced motion stops all motion, and motion is there without it', async ({ page, host }) => {
  for (const [reducedMotion, duration] of [
    ['reduce', '0s'],
    ['no-preference', '0.2s'],
  ] as const) {
    await page.emulateMedia({ reducedMotion });
    await open(page, host, 390);
    await opener(page).click();
    expect(
      await page.getByRole('dialog').evaluate((element) => getComputedStyle(element).transitionDuration),
    ).toBe(duration);
  }
});

test('forced colours keep the current page and the call to action told apart', async ({ page, host }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await open(page, host, 1280);
  await page.goto(`${host.url}/news/`);
  expect(
    await page.locator('[aria-current]').evaluate((element) => getComputedStyle(element).textDecorationLine),
  ).toBe('underline');
  expect(
    await page
      .locator('.hm-book-a-hide-button')
      .evaluate((element) => getComputedStyle(element).outlineStyle),
  ).toBe('solid');
});

test('focus is always seen', async ({ page, host }) => {
  await open(page, host, 1280);
  for (let count = 0; count < 8; count++) {
    await page.keyboard.press('Tab');
    expect(
      await page.evaluate(() => {
        const element = document.activeElement ?? document.body;
        const ringed = element.matches('.hm-main-lead') ? element.closest('.hm-main-parent') : element;
        return getComputedStyle(ringed ?? element).outlineStyle;
      }),
    ).toBe('solid');
  }
});

test('a third level stands open beneath its parent', async ({ page, host }) => {
  await open(
    page,
    host,
    1280,
    {},
    handOff(changed([{ op: 'replace', path: '/pieces/0/rows/0/zones/middle/0/levels', value: 3 }])),
  );
  await visitSubmenu(page).click();
  const parent = await page.getByRole('link', { name: 'Trails & hides' }).boundingBox();
  const child = await page.getByRole('link', { name: 'North hide' }).boundingBox();
  expect(parent && child && child.y >= parent.y + parent.height && child.x > parent.x).toBe(true);
});

test('a submenu at the far end turns back into the page', async ({ page, host }) => {
  const items = DEMO.menus[0]?.items ?? [];
  await open(
    page,
    host,
    1010,
    {},
    handOff(
      changed([
        { op: 'replace', path: '/menus/0/items', value: [...items.slice(4), items[0]] },
        { op: 'remove', path: '/pieces/0/rows/0/zones/end/0' },
      ]),
    ),
  );
  await visitSubmenu(page).click();
  const box = await page.locator('.hm-main-submenu').last().boundingBox();
  expect(box && box.x + box.width <= 1010).toBe(true);
});

for (const width of [390, 1280]) {
  for (const [what, output] of [
    ['links with everything', DRESSED],
    ['parts of every kind', FURNISHED],
  ] as const)
    test(`at ${width} px ${what} have nothing wrong for assistive technology`, async ({ page, host }) => {
      await open(page, host, width, {}, output);
      expect(await axe(page)).toEqual([]);
      if (width < 1000) await opener(page).click();
      await visitSubmenu(page).click();
      await still(page);
      expect(await axe(page)).toEqual([]);
    });
}

test('a link opens its panel, whose own menus unfold; Escape leads back to it', async ({ page, host }) => {
  await open(page, host, 1280, {}, DRESSED);
  await page.getByRole('button', { name: 'More', exact: true }).click();
  const panel = page.getByRole('dialog', { name: 'More' });
  await expect(panel).toBeVisible();
  await expect(panel.getByRole('link', { name: 'Privacy' })).toBeVisible();
  await expect(panel.getByRole('link', { name: 'By train' })).toBeHidden();
  await panel.getByRole('button', { name: 'Plan a visit' }).click();
  await expect(panel.getByRole('link', { name: 'By train' })).toBeVisible();
  expect(await axe(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(panel).toBeHidden();
  expect(await focused(page)).toBe('More');
  // The folding panel has a menu of its own too; it is not seen in the bar.
  await expect(page.getByRole('navigation', { name: 'Social' })).toBeHidden();
  await open(page, host, 390, {}, DRESSED);
  await opener(page).click();
  await expect(page.getByRole('navigation', { name: 'Social' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'News' })).toHaveCount(0);
  await expect(page.getByRole('link', { name: 'Contact us' })).toBeVisible();
});

test('a browser without invokers opens and closes each panel by the script', async ({ page, host }) => {
  await page.addInitScript(() => {
    Reflect.deleteProperty(HTMLButtonElement.prototype, 'command');
    Reflect.deleteProperty(HTMLButtonElement.prototype, 'commandForElement');
  });
  await open(
    page,
    host,
    1280,
    {},
    new Map(
      [...DRESSED].map(([name, content]) => [
        name,
        typeof content === 'string' ? content.replaceAll(' command=', ' data-no-command=') : content,
      ]),
    ),
  );
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await expect(page.getByRole('dialog', { name: 'More' })).toBeVisible();
  await page.getByRole('button', { name: 'Close more' }).click();
  await expect(page.getByRole('dialog', { name: 'More' })).toBeHidden();
});

test('the hand-offs of two sites stand in one page without touching one another', async ({ page, host }) => {
  const second = changed([
    { op: 'replace', path: '/name', value: 'Orilla Salt Works' },
    { op: 'replace', path: '/palette/1/value', value: '#882244' },
    { op: 'replace', path: '/pieces/0/rows/0/zones/middle/0/name', value: 'Works' },
  ]);
  const other = handOff(second);
  expect(String(other.get('menu.html'))).toContain('hm-orilla');
  for (const width of [390, 1280]) {
    await open(page, host, width);
    const alone = await snapshot(page, '.hm-marisma');
    const both = pasteInto(OUTPUT, { body: MAIN + String(other.get('menu.html')) });
    both.set(
      'index.html',
      String(both.get('index.html')).replace(
        '</head>',
        '<link rel="stylesheet" href="/other.css"><script src="/other.js" defer></script></head>',
      ),
    );
    both.set('other.css', String(other.get('menu.css')));
    both.set('other.js', String(other.get('menu.js')));
    host.put(both);
    await page.goto(`${host.url}/`);
    expect(await snapshot(page, '.hm-marisma')).toEqual(alone);
    const ids = await page.locator('[id]').evaluateAll((elements) => elements.map(({ id }) => id));
    expect(new Set(ids).size).toBe(ids.length);
    const works = page.locator('header[class*="orilla"]');
    if (width < 1000) {
      await works.getByRole('button', { name: 'Menu' }).click();
      const dialog = page.getByRole('dialog');
      await expect(dialog).toHaveCount(1);
      await expect(dialog.getByRole('navigation', { name: 'Works' })).toBeVisible();
      await page.keyboard.press('Escape');
      await page.locator('header.hm-marisma').getByRole('button', { name: 'Menu' }).click();
      await expect(dialog.getByRole('navigation', { name: 'Main' })).toBeVisible();
    } else {
      await works.getByRole('button', { name: 'Visit' }).click();
      await expect(works.getByRole('button', { name: 'Visit' })).toHaveAttribute('aria-expanded', 'true');
      await expect(page.locator('header.hm-marisma').getByRole('button', { name: 'Visit' })).toHaveAttribute(
        'aria-expanded',
        'false',
      );
    }
  }
});

test('two headers of one site are handed over together, each with its own looks and its own panel', async ({
  page,
  host,
}) => {
  const copied = runEdit(DEMO, { name: 'duplicate-piece', args: { id: 'header', copy: 'slim' } });
  if (!copied.ok) throw new Error(copied.error[0]?.message);
  const coloured = runEdit(copied.value.site, {
    name: 'set-look',
    args: {
      cells: [
        {
          owner: 'slim',
          slot: 'bar',
          level: 'all',
          state: 'rest',
          band: 'all',
          property: 'fill',
          value: { literal: '#112233' },
        },
      ],
    },
  });
  if (!coloured.ok) throw new Error(coloured.error[0]?.message);
  const output = handOff(coloured.value.site);
  // What both open has markup of its own.
  const markup = [...output.keys()].filter((name) => /^menu.*\.html$/.test(name));
  expect(markup).toEqual(['menu.html', 'menu-header-copy.html', 'menu-menu.html']);
  const [first = '', second = '', shared = ''] = markup.map((name) => String(output.get(name)));
  for (const [own, fill] of [
    [first, 'rgb(253, 251, 245)'],
    [second, 'rgb(17, 34, 51)'],
  ] as const) {
    await open(page, host, 390, {}, new Map([...output, ['menu.html', own + shared]]));
    await expect(page.locator('header')).toHaveCount(1);
    await expect(page.locator('header')).toHaveCSS('background-color', fill);
    await opener(page).click();
    await expect(page.getByRole('dialog').getByRole('link', { name: 'News' })).toBeVisible();
    expect(await axe(page)).toEqual([]);
  }
});
