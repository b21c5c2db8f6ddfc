import { readFileSync } from 'node:fs';
import { gzipSync, strToU8, unzipSync, zipSync } from 'fflate';
import type { Page } from '@playwright/test';
import type { MenuItem, Site } from '@hamaca/core';
import { copyDemo, draggable, expect, PLAIN, saved, savedSite, stageFrame, test } from './support/app.ts';

const rows = (page: Page) => page.getByRole('treegrid').getByRole('row');
const row = (page: Page, label: string) =>
  rows(page).filter({ has: page.locator(`input[data-column="label"][value="${label}"]`) });
const labels = (page: Page) =>
  rows(page).evaluateAll((elements) =>
    elements.map(
      (element) =>
        `${'  '.repeat(Number(element.getAttribute('aria-level')) - 1)}${element.querySelector<HTMLInputElement>('[data-column="label"]')?.value ?? ''}`,
    ),
  );
const outline = (items: readonly MenuItem[], depth = 0): string[] =>
  items.flatMap((item) => [`${'  '.repeat(depth)}${item.label}`, ...outline(item.children, depth + 1)]);
const storedSite = async (page: Page, id: string) => {
  await saved(page);
  return (await savedSite(page, id)) as Site;
};

/** Forty links on three levels, as a designer has them in mind. */
const FORTY = `Visit
  Opening hours
  Getting here
    By train
    By bicycle
    By car
    On foot
  Trails and hides
    North hide
    Reed hide
    Tower hide
  Access for all
  Café
  Shop
Birds
  Sightings
    Today
    This week
    Archive
  Species
    Waders
    Ducks
    Herons
    Raptors
  Ringing log
  Counts
Learn
  School days
  Guided walks
  Courses
    Beginners
    Voices
    Drawing
Join in
  Membership
  Volunteer
  Give
News
Contact
  Write to us`;

test('forty links on three levels are typed from nothing with the keyboard alone', async ({ page }) => {
  const id = await copyDemo(page, { ...PLAIN, menus: [], pieces: [] });
  await page.goto(`/sites/${id}/links`);
  await page.getByRole('button', { name: '+ menu' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Add a link' }).focus();
  await page.keyboard.press('Enter');
  const lines = FORTY.split('\n');
  let keys = 0;
  let depth = 0;
  for (const [index, line] of lines.entries()) {
    const wanted = line.search(/\S/) / 2;
    if (index > 0) {
      await page.keyboard.press('Enter');
      keys++;
    }
    for (; depth < wanted; depth++, keys++) await page.keyboard.press('Tab');
    for (; depth > wanted; depth--, keys++) await page.keyboard.press('Shift+Tab');
    await page.keyboard.type(line.trim());
  }
  await page.keyboard.press('ArrowUp');
  expect(lines).toHaveLength(40);
  expect(outline((await storedSite(page, id)).menus[0]?.items ?? [])).toEqual(lines);
  // A text editor needs a line break and two spaces a level for each line; this needs no more.
  const typed = lines.reduce((sum, line) => sum + 1 + line.search(/\S/), 0);
  expect(keys).toBeLessThan(typed);
});

test('several lines are moved, nested, duplicated and removed at once, each as one step of undo', async ({
  page,
}) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/links`);
  await expect(rows(page)).toHaveCount(22);
  const before = await labels(page);
  await row(page, 'Birds').getByLabel('Label', { exact: true }).click();
  await page.getByRole('button', { name: 'Fold Birds' }).click();
  await page.getByRole('button', { name: 'Fold Learn' }).click();
  await row(page, 'Birds').getByLabel('Label', { exact: true }).click();
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByText('2 lines taken')).toBeVisible();
  await page.keyboard.press('Alt+ArrowDown');
  await expect
    .poll(async () => (await labels(page)).filter((label) => !label.startsWith(' ')))
    .toEqual(['Visit', 'Join in', 'Birds', 'Learn', 'News', 'Contact']);
  await page.keyboard.press('Tab');
  await expect
    .poll(async () => (await labels(page)).filter((label) => !label.startsWith('    ')))
    .toEqual([
      'Visit',
      '  Opening hours',
      '  Getting here',
      '  Trails & hides',
      '  Access for all',
      'Join in',
      '  Membership',
      '  Volunteer',
      '  Give',
      '  Birds',
      '  Learn',
      'News',
      'Contact',
    ]);
  await page.keyboard.press('Control+d');
  await expect(row(page, 'Birds')).toHaveCount(2);
  await page.keyboard.press('Shift+ArrowUp');
  await page.keyboard.press('Delete');
  for (let count = 0; count < 4; count++) await page.getByRole('button', { name: 'Undo' }).click();
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('option').first()).toBeVisible();
  await page.keyboard.type('Unfold all');
  await page.keyboard.press('Enter');
  await expect.poll(() => labels(page)).toEqual(before);
});

test('branches are cut, copied and pasted within and between menus, and as text', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/links`);
  const caret = async (label: string) => {
    await row(page, label).getByLabel('Label', { exact: true }).click();
    await page.keyboard.press('End');
  };
  await caret('Learn');
  await page.keyboard.press('Control+c');
  expect(await page.evaluate(() => navigator.clipboard.readText())).toContain(
    'Learn -> /learn/\n  School days -> /learn/school-days/\n',
  );
  await page.getByRole('tab', { name: /Social/ }).click();
  await caret('Nest');
  await page.keyboard.press('Control+v');
  await expect(rows(page)).toHaveCount(8);
  expect(await labels(page)).toEqual([
    'Pond',
    'Warble',
    'Heron',
    'Nest',
    'Learn',
    '  School days',
    '  Guided walks',
    '  Courses',
  ]);
  await page.keyboard.press('Control+x');
  await expect(rows(page)).toHaveCount(4);
  await page.evaluate(() =>
    navigator.clipboard.writeText('- [Ferry](https://ferry.example/ "Boats")\n  - [Timetable](/ferry/)\n'),
  );
  await caret('Pond');
  await page.keyboard.press('Control+v');
  await expect.poll(() => labels(page)).toEqual(['Pond', 'Ferry', '  Timetable', 'Warble', 'Heron', 'Nest']);
  const social = (await storedSite(page, id)).menus.find((menu) => menu.name === 'Social');
  expect(social?.items[1]).toMatchObject({
    label: 'Ferry',
    target: { kind: 'url', url: 'https://ferry.example/' },
    title: 'Boats',
  });
  // One line of words is words.
  await page.evaluate(() => navigator.clipboard.writeText('er'));
  await caret('Heron');
  await page.keyboard.press('Control+v');
  await page.keyboard.press('ArrowUp');
  await expect(row(page, 'Heroner')).toHaveCount(1);
});

test('lines are dragged on to another menu, and pages into the outline', async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/links`);
  const drag = async (from: { x: number; y: number }, to: { x: number; y: number }) => {
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(from.x + 20, from.y + 10, { steps: 3 });
    await page.mouse.move(to.x, to.y, { steps: 6 });
    await page.mouse.up();
  };
  await draggable(page, '[data-row]');
  const middle = async (locator: ReturnType<Page['locator']>, left = 0.5, top = 0.5) => {
    const box = await locator.boundingBox();
    if (!box) throw new Error('not drawn');
    return { x: box.x + box.width * left, y: box.y + box.height * top };
  };
  await drag(
    await middle(row(page, 'Learn').locator('[title^="Drag to move"]')),
    await middle(page.getByRole('tab', { name: /Social/ })),
  );
  await expect(page.getByRole('tab', { name: /Social/ })).toContainText('8');
  await page.getByLabel('Find a page').fill('flamingo');
  await drag(
    await middle(page.getByRole('row', { name: /Flamingo count/ })),
    await middle(row(page, 'Birds'), 0.3, 0.5),
  );
  await expect(page.getByLabel('Target of Flamingo count')).toHaveValue('/birds/flamingo-count/');
  expect((await labels(page)).slice(8, 13)).toEqual([
    'Birds',
    '  Today’s sightings',
    '  Species A–Z',
    '  Ringing log',
    '  Flamingo count',
  ]);
  // Escape gives a drag up.
  const before = await labels(page);
  const from = await middle(row(page, 'News').locator('[title^="Drag to move"]'));
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 60, from.y - 200, { steps: 5 });
  await page.keyboard.press('Escape');
  await page.mouse.up();
  expect(await labels(page)).toEqual(before);
});

test('everything a link has stands beneath it and reaches the output', async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/links`);
  await row(page, 'Opening hours').getByLabel('Label', { exact: true }).click();
  await page.keyboard.press('Alt+Enter');
  const details = page.getByRole('region', { name: 'Details of Opening hours' });
  const type = async (field: string, text: string) => {
    await details.getByLabel(field, { exact: true }).fill(text);
    await page.keyboard.press('Enter');
  };
  await type('Description', 'Open every day but Monday');
  await type('Tooltip', 'Opens in a new tab');
  await type('Class', 'hours js-hours');
  await type('rel', 'nofollow');
  await type('Class', 'a"b');
  await expect(page.getByRole('alert')).toContainText('without quotes');
  await page.keyboard.press('Escape');
  await details.getByRole('button', { name: 'opens a new tab' }).click();
  await details.getByRole('button', { name: 'Choose…' }).click();
  await page.getByLabel('Find an icon').fill('clock hour 4');
  await page.getByRole('button', { name: 'clock-hour-4', exact: true }).click();
  await details.getByLabel('Picture file').setInputFiles('docs/screenshots/links.png');
  await expect(details.getByRole('button', { name: 'Replace…' })).toBeVisible();
  await details.getByRole('button', { name: 'Phone', exact: true }).click();
  await saved(page);
  await page.goto(`/sites/${id}/hand-off`);
  const markup = page.getByLabel('Markup code');
  await expect(markup).toContainText('Open every day but Monday');
  const line =
    ((await markup.textContent()) ?? '').split('\n').find((text) => text.includes('js-hours')) ?? '';
  expect(line).toMatch(
    /class="hm-main-link hours js-hours hm-level-2" href="\/visit\/opening-hours\/" target="_blank" rel="noopener nofollow" title="Opens in a new tab"/,
  );
  expect((await markup.textContent()) ?? '').toMatch(
    /<li class="hm-not-phone">[\s\S]*src="data:image\/webp[\s\S]*class="hm-main-glyph"/,
  );
  // Pages with a strict content security policy get pictures as files.
  await page.getByRole('combobox', { name: 'Pictures' }).click();
  await page.getByRole('option', { name: 'as files' }).click();
  const folder = page.getByLabel('found by pages at');
  await folder.fill('media');
  await folder.press('Enter');
  await expect(page.getByRole('alert')).toContainText('ends in “/”');
  await folder.fill('/media/');
  await folder.press('Enter');
  await expect(markup).toContainText('src="/media/picture-1.webp"');
  const [zip] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Download the zip' }).click(),
  ]);
  const files = unzipSync(new Uint8Array(readFileSync(await zip.path())));
  expect(files['pictures/picture-1.webp']?.length).toBeGreaterThan(100);
  await page.goto(`/sites/${id}/bench/header`);
  const stage = await stageFrame(page);
  await stage.getByRole('button', { name: 'Visit' }).first().click();
  await expect(stage.locator('.hm-main-glyph')).toHaveCSS('width', '20px');
});

test('a target is found by title, section or panel, and what is wrong is told while it is typed', async ({
  page,
}) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/links`);
  const target = page.getByLabel('Target of News', { exact: true });
  await target.fill('bicycle');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Target of News', { exact: true })).toHaveValue(
    '/visit/getting-here/#by-bicycle',
  );
  await target.fill('opens me');
  await page.getByRole('option', { name: /opens Menu/ }).click();
  await expect(target).toHaveValue('opens Menu');
  await target.fill('www.orilla.example');
  await page.keyboard.press('Tab');
  await expect(row(page, 'News').getByRole('img', { name: /no https/ })).toBeVisible();
  await page.getByRole('tab', { name: /Problems/ }).click();
  await page.getByRole('button', { name: 'Make it https://www.orilla.example' }).click();
  await expect(target).toHaveValue('https://www.orilla.example');
  await rows(page).last().getByLabel('Label', { exact: true }).fill('WRITE TO US');
  await expect(
    rows(page)
      .last()
      .getByRole('img', { name: /typed in capitals/ }),
  ).toBeVisible();
});

test('a menu can be placed again from a branch, and what its removal takes along is said', async ({
  page,
}) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/links`);
  await page.getByRole('tab', { name: /Top row/ }).click();
  await page.getByRole('button', { name: /place it/ }).click();
  await page.getByRole('menuitem', { name: /Header.*end/ }).click();
  const stage = page.frameLocator('iframe').first();
  await expect(stage.getByRole('link', { name: 'Español' })).toBeVisible();
  await page.getByRole('tab', { name: /Main/ }).click();
  await page.getByRole('button', { name: '+ place' }).click();
  await page.getByRole('menuitem', { name: 'Menu, block Content' }).click();
  await page.getByRole('button', { name: 'Menu: 3 levels' }).click();
  await page.getByLabel('Main: from').click();
  await page.getByRole('option', { name: 'Birds' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Menu: a branch, 3 levels' })).toBeVisible();
  const panel = (await storedSite(page, id)).pieces.find((piece) => piece.kind === 'panel');
  expect(panel).toMatchObject({ blocks: [{ parts: [{ kind: 'berth' }, { menu: 'main', levels: 3 }] }] });
  await page.getByRole('button', { name: 'More about Main' }).click();
  await page.getByRole('menuitem', { name: /Delete the menu and its place in Header, Menu/ }).click();
  await expect(page.getByRole('tab', { name: /Main/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByRole('tab', { name: /Main/ })).toBeVisible();
  expect((await storedSite(page, id)).pieces.find((piece) => piece.kind === 'panel')).toMatchObject({
    blocks: [{ parts: [{ kind: 'berth' }, { menu: 'main' }] }],
  });
});

test('imports show what they understood, merge or replace, and exports read back', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/links`);
  await page.getByRole('button', { name: 'Import…' }).click();
  await page.getByLabel('File of links').setInputFiles({
    name: 'page.html',
    mimeType: 'text/html',
    buffer: Buffer.from(readFileSync('core/test/pages/mkdocs-home.html')),
  });
  await expect(page.getByText('22 links, 0 remarks')).toBeVisible();
  await expect(page.getByRole('radio', { name: /the main one/ })).toBeVisible();
  await page.getByRole('button', { name: 'As a new menu' }).click();
  await page.getByRole('button', { name: 'Import 22 links' }).click();
  await expect(rows(page)).toHaveCount(22);
  await page.getByRole('tab', { name: /Social/ }).click();
  await page.getByRole('button', { name: 'Import…' }).click();
  await page
    .getByLabel('Links as text')
    .fill('label,url\nPond,https://pond.example/@marisma\nFerry,https://ferry.example/m');
  await expect(page.getByText('1 links are new; 1 are there already and stay as they are.')).toBeVisible();
  await page.getByRole('button', { name: 'Import 2 links' }).click();
  await expect(rows(page)).toHaveCount(5);
  await page.getByRole('button', { name: 'Export' }).click();
  await page.getByRole('menuitem', { name: 'OPML' }).hover();
  await page.getByRole('menuitem', { name: 'Copy it' }).click();
  await expect
    .poll(() => page.evaluate(() => navigator.clipboard.readText()))
    .toContain('<outline text="Ferry" type="link" url="https://ferry.example/m"/>');
  await page.getByRole('button', { name: 'Import…' }).click();
  await page.getByLabel('Links as text').fill(await page.evaluate(() => navigator.clipboard.readText()));
  await page.getByRole('button', { name: 'Replace Social' }).click();
  await page.getByRole('button', { name: 'Import 5 links' }).click();
  await expect.poll(() => labels(page)).toEqual(['Pond', 'Ferry', 'Warble', 'Heron', 'Nest']);
  expect((await storedSite(page, id)).menus.find((menu) => menu.name === 'Social')?.items[0]).toMatchObject({
    newTab: true,
    title: 'Opens in a new tab',
  });
});

test('the inventory is filled from the site’s own address, from an archive and by hand', async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/links`);
  await page.getByRole('button', { name: 'Fill…' }).click();
  await page.getByRole('button', { name: 'Fetch', exact: true }).click();
  await expect(page.getByText('4 new pages, 25 known already')).toBeVisible();
  await page.getByRole('button', { name: 'Take in 29 pages' }).click();
  await page.getByRole('button', { name: /in no menu/ }).click();
  await expect(page.getByRole('grid', { name: 'Pages' }).getByRole('row')).toHaveCount(7);
  // A round of sitemaps that name each other ends; a page gives its sections.
  await page.getByRole('button', { name: 'Fill…' }).click();
  await page.getByLabel('Address of a sitemap or page').fill('https://marisma.example/sitemap-round.xml');
  await page.keyboard.press('Enter');
  await expect(page.getByText('0 new pages, 29 known already')).toBeVisible();
  await page.getByLabel('Address of a sitemap or page').fill('https://marisma.example/birds/ibis/');
  await page.keyboard.press('Enter');
  await expect(page.getByText('2 sections')).toBeVisible();
  await page.getByRole('button', { name: 'Take in 1 page' }).click();
  await page.getByLabel('Find a page').fill('ibis');
  await page.getByRole('button', { name: 'Show sections of Ibis' }).click();
  await page.getByRole('row', { name: /Where to see it/ }).click();
  await row(page, 'Species A–Z').getByLabel('Label', { exact: true }).click();
  await page.getByRole('row', { name: /Where to see it/ }).click();
  await page.getByRole('button', { name: /at the caret/ }).click();
  await expect(page.getByLabel('Target of Where to see it')).toHaveValue('/birds/ibis/#where');
  // Pages out of an archive.
  await page.getByRole('button', { name: 'Fill…' }).click();
  const zip = zipSync({
    'site/index.html': strToU8('<title>Start</title>'),
    'site/boats/index.html': strToU8('<title>Boat trips</title><h2 id="fares">Fares</h2>'),
    '../evil.html': strToU8('<title>Evil</title>'),
    'site/a.css': strToU8('a{}'),
  });
  await page
    .getByLabel('Sitemaps, pages or archives')
    .setInputFiles({ name: 'site.zip', mimeType: 'application/zip', buffer: Buffer.from(zip) });
  await expect(page.getByText('Boat trips')).toBeVisible();
  await expect(page.getByText(/leads out of the archive/)).toBeVisible();
  await page.getByLabel('Folder of pages').setInputFiles('demo/website');
  await expect(page.getByText(/0 new pages, \d+ known already|1 new pages/)).toBeVisible();
  await expect(page.getByText('Trails & hides').last()).toBeVisible();
  await page
    .getByLabel('Sitemaps, pages or archives')
    .setInputFiles({ name: 'site.zip', mimeType: 'application/zip', buffer: Buffer.from(zip) });
  await page.getByRole('button', { name: 'Take in 2 pages' }).click();
  await page.getByRole('button', { name: 'Add a page' }).click();
  await page.getByLabel('Path', { exact: true }).fill('/visit/');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('has this path already');
  await page.getByLabel('Path', { exact: true }).fill('/map/');
  await page.keyboard.press('Enter');
  const stored = await storedSite(page, id);
  expect(stored.pages.find((entry) => entry.path === '/boats/')).toMatchObject({
    title: 'Boat trips',
    sections: [{ id: 'fares', title: 'Fares' }],
  });
  expect(stored.pages.find((entry) => entry.path === '/map/')).toMatchObject({ listed: true });
});

test('bad input for the inventory is told and nothing is taken in', async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/links`);
  const count = (await storedSite(page, id)).pages.length;
  await page.getByRole('button', { name: 'Fill…' }).click();
  const input = page.getByLabel('Sitemaps, pages or archives');
  const gives = async (name: string, content: Uint8Array | string, words: RegExp) => {
    await input.setInputFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(content) });
    await expect(page.getByText(words).first()).toBeVisible();
  };
  await gives(
    'bomb.xml',
    `<!DOCTYPE a [<!ENTITY a "${'x'.repeat(100)}"><!ENTITY b "${'&a;'.repeat(100)}">]><urlset><url><loc>&b;</loc></url></urlset>`,
    /defines entities/,
  );
  await gives(
    'cut.xml.gz',
    gzipSync(
      strToU8(Array.from({ length: 500 }, (_, index) => `<url>${index * 7919}</url>`).join('')),
    ).subarray(0, 600),
    /cut short/,
  );
  await gives(
    'broken.zip',
    Buffer.concat([Buffer.from([0x50, 0x4b, 3, 4]), Buffer.alloc(200)]),
    /archive is broken/,
  );
  await gives('page.xml', '<rss></rss>', /This is no sitemap/);
  for (const [address, words] of [
    ['http://127.0.0.1:9/', /private address/],
    ['https://marisma.example/round/a/', /redirects more than/],
    ['https://marisma.example/gone/', /answers with 404/],
  ] as const) {
    await page.getByLabel('Address of a sitemap or page').fill(address);
    await page.keyboard.press('Enter');
    await expect(page.getByText(words).first()).toBeVisible();
  }
  await page.getByLabel('Address of a sitemap or page').fill('https://marisma.example/asleep/');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('Stopped; nothing was taken in.')).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();
  expect((await storedSite(page, id)).pages).toHaveLength(count);
});

test('checks lead to the link, mend it, and ask the web when told to', async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/checks`);
  await expect(page.getByRole('heading', { name: '6 problems' })).toBeVisible();
  await page.getByRole('button', { name: 'Use https' }).click();
  await page.getByRole('button', { name: /Footer › Imprint/ }).click();
  await expect(page.getByRole('treegrid', { name: 'Links of Footer' })).toBeVisible();
  await expect(row(page, 'Imprint').getByLabel('Label', { exact: true })).toBeFocused();
  await page.getByLabel('Target of Imprint').fill('https://marisma.example/hides/');
  await page.keyboard.press('Tab');
  await page.getByRole('tab', { name: /Problems/ }).click();
  await expect(page.getByText('The address writes out the site’s own host.')).toBeVisible();
  await page.getByRole('button', { name: /Ask \d+ addresses/ }).click();
  await expect(
    page.getByText(/redirected to https:\/\/marisma\.example\/visit\/trails-and-hides\/ for good/),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: /Ask \d+ addresses/ })).toBeVisible();
  await page.getByRole('button', { name: /Link to https:\/\/marisma\.example\/visit/ }).click();
  await expect(page.getByLabel('Target of Imprint')).toHaveValue(
    'https://marisma.example/visit/trails-and-hides/',
  );
  await page.getByRole('button', { name: /Link to the page “Trails & hides”/ }).click();
  await expect(page.getByLabel('Target of Imprint')).toHaveValue('/visit/trails-and-hides/');
});

test('all findings of one sort are mended at once, and one undo takes it back', async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/links`);
  await page.getByRole('button', { name: 'Import…' }).click();
  await page
    .getByLabel('Links as text')
    .fill(
      'Ferry -> www.orilla.example/ferry\nTides -> www.orilla.example/tides\nBoats -> www.orilla.example/boats',
    );
  await page.getByRole('button', { name: 'Import 3 links' }).click();
  await page.getByRole('link', { name: /^Checks/ }).click();
  const missing = page.getByRole('region', { name: 'No https:// before the host' });
  await expect(missing.getByRole('listitem')).toHaveCount(3);
  await missing.getByRole('button', { name: 'Mend all 3' }).click();
  await expect(missing).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(missing.getByRole('listitem')).toHaveCount(3);
});

test('Enter in a target takes what was typed; only pressed again does it add a link', async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/links`);
  const target = row(page, 'News').locator('[data-column="target"]');
  await target.waitFor();
  const before = await rows(page).count();
  await target.fill('/latest/');
  await page.keyboard.press('Enter');
  await expect(target).toBeFocused();
  await saved(page);
  expect(JSON.stringify((await savedSite(page, id)).menus)).toContain('/latest/');
  await expect(rows(page)).toHaveCount(before);
  await page.keyboard.press('Enter');
  await expect(rows(page)).toHaveCount(before + 1);
});
