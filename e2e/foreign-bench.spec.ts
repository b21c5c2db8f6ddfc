import { readFileSync } from 'node:fs';
import { strToU8, unzipSync, zipSync } from 'fflate';
import type { Page } from '@playwright/test';
import { copyDemo, expect, saved, stageFrame, test } from './support/app.ts';
import { bringAlong, cell, sheet } from './support/foreign.ts';

/** A page that is none of the demo's, with its stylesheet. */
const PAGE = `<!doctype html><html lang="en"><head><title>Old boats</title>
<link rel="stylesheet" href="css/site.css"><script>document.title = 'ran'</script><meta http-equiv="refresh" content="0;url=/elsewhere">
</head><body onload="document.title='loaded'"><header class="top"><a class="home" href="/">Boats</a>
<nav><ul class="menu"><li><a href="/hire" onclick="document.title='clicked'">Hire</a><ul class="sub"><li><a href="/hire/day">By day</a></li></ul></li>
<li class="is-active"><a href="/about">About</a></li></ul></nav></header>
<main><h1>Old boats</h1><p>Some words.</p><form action="/send"><button>Send</button></form><iframe src="/frame"></iframe></main></body></html>`;

const CSS = `:root { --blue: #0000ff }
body { background: rgb(250 240 230) }
a { color: var(--blue) }
.menu a { color: #333; padding: 8px }
.menu a:hover { color: blue; background: rgb(0 0 255 / .1) }
.menu .is-active a { font-weight: 700 }
@media (max-width: 600px) { .menu a { padding: 16px } }
`;

const bringPage = async (page: Page): Promise<string> =>
  bringAlong(page, PAGE.replace('css/site.css', 'none.css'), CSS);

test('a page that exists is brought along, its elements are chosen, and each value says where it comes from', async ({
  page,
}) => {
  await bringPage(page);
  const stage = await stageFrame(page);
  await stage.getByRole('link', { name: 'Hire' }).click();
  // Where the stage is a process of its own, it is not told when a pointer that jumps has left it.
  await stage.getByRole('heading').hover();
  await expect(sheet(page)).toHaveAccessibleName(
    'Look of html > body > header > nav > ul > li:nth-child(1) > a',
  );
  await expect(cell(page, 'color rest')).toHaveText('#333');
  await expect(cell(page, 'color hover')).toHaveText('blue');
  await cell(page, 'color hover').click();
  const origin = page.getByRole('region', { name: 'Origin' });
  await expect(origin).toContainText('.menu a:hover · pasted.css:5');
  await expect(origin.getByRole('list', { name: 'Overridden' })).toHaveText(
    /#333.*\.menu a · pasted\.css:4.*#0000ff.*a · pasted\.css:3/,
  );
  // The state is frozen on the stage, where it shows.
  const hire = stage.getByRole('link', { name: 'Hire' });
  const colour = () => hire.evaluate((link) => getComputedStyle(link).color);
  await expect.poll(colour).toBe('rgb(0, 0, 255)');
  await cell(page, 'color rest').click();
  await expect.poll(colour).toBe('rgb(51, 51, 51)');
  // What its rule styles besides is lit up.
  await origin.getByRole('button', { name: 'styles 3 elements' }).click();
  await expect(stage.locator('[data-hamaca-lit]')).toHaveCount(3);
  // Custom properties are followed to where they are written; contrast is that of what is painted.
  await page.getByRole('treegrid').getByRole('button', { name: 'Boats' }).click();
  await expect(origin.getByRole('list', { name: 'Where it is written' })).toHaveText(
    '--blue: #0000ff :root · pasted.css:1',
  );
  await expect(sheet(page).locator('[data-contrast="rest"]')).toHaveText('✓ 7.6 of 4.5');
  await page.getByRole('treegrid').getByRole('button', { name: 'Hire' }).click();
  // Narrower, another rule wins.
  await page.getByRole('button', { name: '390', exact: true }).click();
  await expect(cell(page, 'padding rest')).toHaveText('16px');
  await cell(page, 'padding rest').click();
  await expect(origin).toContainText('in @media (max-width: 600px)');
  await page.getByRole('button', { name: '1280', exact: true }).click();
  await expect(cell(page, 'padding rest')).toHaveText('8px');
  // The arrow keys walk through the page.
  await page.getByRole('treegrid').getByRole('button', { name: 'Hire' }).focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await expect(sheet(page)).toHaveAccessibleName('Look of .menu');
});

test('nothing of a page that was brought along runs, leads elsewhere or asks for anything', async ({
  page,
}) => {
  const asked: string[] = [];
  page.on('request', (request) => {
    asked.push(new URL(request.url()).pathname);
  });
  const said: string[] = [];
  page.on('dialog', (dialog) => {
    said.push(dialog.message());
    void dialog.dismiss();
  });
  const HOSTILE = `<html onload=alert(1)><head><base href="https://elsewhere.example/"><meta http-equiv=refresh content="0;url=https://elsewhere.example/">
    <link rel=prefetch href=https://elsewhere.example/p><link rel=stylesheet href=https://elsewhere.example/s.css><script>alert(2)</script>
    <style>@import "https://elsewhere.example/i.css"; body{background:url(https://elsewhere.example/b.png)} nav{background:url(//elsewhere.example/n.png)} a::before{content:"</style><img src=x onerror=alert(3)>"}</style></head>
    <body onload=alert(4)><nav><a href="javascript:alert(5)" ping="https://elsewhere.example/ping" onclick="alert(6)">Home</a></nav>
    <img src="https://elsewhere.example/t.gif" onerror="alert(7)" srcset="https://elsewhere.example/2x.gif 2x"><svg onload="alert(8)"><style>@import url(https://elsewhere.example/svg.css);</style><a xlink:href="javascript:alert(9)"><text>x</text></a><image href="https://elsewhere.example/i.svg"/><script>alert(10)</script></svg>
    <iframe src="https://elsewhere.example/f" srcdoc="<script>alert(11)</script>"></iframe><object data="https://elsewhere.example/o"></object><embed src="https://elsewhere.example/e">
    <form name="querySelector" action="https://elsewhere.example/send"><input name="body" autofocus onfocus="alert(12)"><button formaction="https://elsewhere.example/b">Send</button></form><img name="createElement">
    <video src="https://elsewhere.example/v.mp4" autoplay poster="https://elsewhere.example/p.jpg"></video><template><script>alert(13)</script></template><noscript><img src="https://elsewhere.example/ns.gif"></noscript>
    <math><mtext><table><mglyph><style><img src=x onerror=alert(14)></style></mglyph></table></mtext></math></body></html>`;
  await bringAlong(page, HOSTILE, 'nav a { color: red }');
  const stage = await stageFrame(page);
  await stage.getByText('Home').click();
  await expect(cell(page, 'color rest')).toHaveText('red');
  await stage.getByRole('button', { name: 'Send' }).click();
  await page.waitForTimeout(500);
  expect(said).toEqual([]);
  expect(asked.filter((path) => !/^\/(?:api|assets|fonts|sites|frame|icon)/.test(path))).toEqual([]);
  expect(page.frames().filter((frame) => frame.url().includes('elsewhere'))).toEqual([]);
  await expect(stage.getByText('Home')).toBeVisible();
});

test('an own header stands on a page that exists, among its own stylesheets', async ({ page }) => {
  const id = await bringPage(page);
  await page.getByRole('navigation', { name: 'Pieces' }).getByRole('button', { name: 'Header' }).click();
  await page.getByRole('combobox', { name: 'Scene' }).click();
  await page.getByRole('option', { name: 'on the page: Old boats' }).click();
  const stage = await stageFrame(page);
  await expect(stage.getByRole('heading', { name: 'Old boats' })).toBeVisible();
  const ground = stage.locator('body');
  await expect
    .poll(() => ground.evaluate((body) => getComputedStyle(body).backgroundColor))
    .toBe('rgb(250, 240, 230)');
  // Both stand there, and neither takes on the other's looks.
  const own = stage.locator('.hm-header a').first();
  await expect(own).toBeVisible();
  const look = () => own.evaluate((link) => getComputedStyle(link).color);
  const withPage = await look();
  // What is clicked of the header is chosen as ever; the page around it is only shown.
  await stage.locator('.hm-header').getByRole('link', { name: 'News' }).click();
  await expect(page.getByRole('grid', { name: /^Look of Link/ })).toBeVisible();
  await page.getByRole('combobox', { name: 'Scene' }).click();
  await page.getByRole('option', { name: 'over: blank page' }).click();
  await expect(stage.getByRole('heading', { name: 'Old boats' })).toBeHidden();
  expect(await look()).toBe(withPage);
  expect(await ground.evaluate((body) => getComputedStyle(body).backgroundColor)).toBe('rgb(255, 255, 255)');
  // It is kept: reloaded, it is there; removed, undo brings it back.
  await page.goto(`/sites/${id}/bench/page`);
  await stageFrame(page);
  await page.getByRole('button', { name: 'More about this page' }).click();
  await page.getByRole('menuitem', { name: 'Remove from this site' }).click();
  await expect(page.getByRole('navigation', { name: 'Pieces' }).getByText('Old boats')).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('navigation', { name: 'Pieces' }).getByText('Old boats')).toBeVisible();
});

test('a page comes along from files, a zip and its address', async ({ page }) => {
  const id = await copyDemo(page);
  const open = async () => {
    await page.goto(`/sites/${id}/bench`);
    await page.getByRole('button', { name: 'Add a piece' }).click();
    await page.getByRole('menuitem', { name: 'A page that exists already…' }).click();
    return page.getByRole('dialog');
  };
  const read = page.getByRole('region', { name: 'What was read' });
  const buffer = (text: string) => Buffer.from(text);
  const zip = Buffer.from(
    zipSync({
      'old/index.html': strToU8(PAGE),
      'old/css/site.css': strToU8(CSS),
      'old/unused.txt': strToU8('x'),
    }),
  );
  const dialog = await open();
  await dialog.getByLabel('Files of the page').setInputFiles([
    { name: 'index.html', mimeType: 'text/html', buffer: buffer(PAGE.replace('css/site.css', 'site.css')) },
    { name: 'site.css', mimeType: 'text/css', buffer: buffer(CSS) },
  ]);
  await expect(read).toContainText('index.html with 1 more files');
  await dialog
    .getByLabel('Files of the page')
    .setInputFiles([{ name: 'old.zip', mimeType: 'application/zip', buffer: zip }]);
  await expect(read).toContainText('old/index.html with 1 more files');
  await dialog.getByLabel('Name').fill('From a zip');
  await dialog.getByRole('button', { name: 'Bring it along' }).click();
  await expect(page).toHaveURL(/bench\/page/);
  await expect((await stageFrame(page)).getByRole('link', { name: 'About' })).toBeVisible();
  await saved(page);
  const again = await open();
  await again
    .getByLabel('Files of the page')
    .setInputFiles([{ name: 'notes.txt', mimeType: 'text/plain', buffer: buffer('x') }]);
  await expect(again.getByRole('alert')).toContainText('No page was found');
  await again.getByLabel('Address of the page').fill('http://127.0.0.1/');
  await again.getByRole('button', { name: 'Fetch' }).click();
  await expect(again.getByRole('alert')).toContainText('private address');
  await again.getByLabel('Address of the page').fill('https://marisma.example/visit/getting-here/');
  await again.getByRole('button', { name: 'Fetch' }).click();
  await expect(read).toContainText('visit/getting-here/index.html');
  await again.getByRole('button', { name: 'Bring it along' }).click();
  await expect(page.getByText('https://marisma.example/visit/getting-here/index.html')).toBeVisible();
});

/** A page whose dropdown says one blue in six ways, and whose header cannot stay as it is built. */
const SHOP = `<!doctype html><html lang="en"><head><title>Reed shop</title><style>
html, body { overflow-x: hidden; margin: 0 }
:root { --brand: #00f }
.top { background: #fff }
.menu { display: flex; list-style: none; margin: 0; padding: 0 }
.menu > li { position: relative; padding: 8px }
.sub { position: absolute; top: 100%; display: none; background: linear-gradient(#fff, rgb(0 0 255)); border: 1px solid blue; box-shadow: 0 2px 4px hsl(240 100% 50%); margin: 0; padding: 0 }
.menu li:hover .sub { display: block }
.sub a { color: rgb(0, 0, 255) }
.sub a:hover { background: var(--brand); color: #fff }
main { height: 3000px }
</style></head><body><div class="outer"><header class="top"><ul class="menu"><li><a href="/shop">Shop</a><ul class="sub"><li><a href="/shop/boats">Boats</a></li></ul></li></ul></header></div><main><h1>Reed shop</h1></main></body></html>`;

test('a dropdown is recoloured everywhere in under 20 interactions, proven, and handed back', async ({
  page,
}) => {
  await bringAlong(page, SHOP, '');
  const stage = await stageFrame(page);
  let interactions = 0;
  const act = async (doing: () => Promise<unknown>) => {
    interactions++;
    await doing();
  };
  await act(() => page.getByRole('treegrid').getByRole('button', { name: 'Boats' }).click());
  await act(() => cell(page, 'color rest').click());
  await act(() => page.getByRole('button', { name: 'everything in rgb(0, 0, 255)…' }).click());
  const places = page.getByRole('list', { name: 'Places' }).getByRole('listitem');
  await expect(places).toHaveCount(5);
  // What a place styles is lit up.
  await places.filter({ hasText: 'border: 1px solid blue' }).hover();
  await expect(stage.locator('[data-hamaca-lit]')).toHaveCount(1);
  await act(() => page.getByLabel('New colour').fill('#006633'));
  await act(() => page.getByRole('button', { name: 'Change all 5' }).click());
  const changes = page.getByRole('region', { name: 'Changes' });
  await expect(changes).toContainText('nothing else changes');
  await expect(changes.getByLabel('Difference')).toContainText('#006633');
  await act(() => page.getByRole('combobox', { name: 'How it is handed back' }).click());
  await act(() => page.getByRole('option', { name: 'in the page’s own stylesheets' }).click());
  await expect(changes.getByLabel('Difference')).toContainText('+.sub a { color: #006633 }');
  await expect(changes).toContainText('nothing else changes');
  await expect
    .poll(() => stage.locator('.sub a').evaluate((link) => getComputedStyle(link).color))
    .toBe('rgb(0, 102, 51)');
  const download = page.waitForEvent('download');
  await act(() => changes.getByRole('button', { name: 'Download the page' }).click());
  const zip = unzipSync(new Uint8Array(readFileSync(await (await download).path())));
  expect(Object.keys(zip).sort()).toEqual(['index.html', 'report.json']);
  const html = Buffer.from(zip['index.html'] ?? []).toString();
  // Every byte but the colours is as it was.
  expect(html).toBe(SHOP.replaceAll(/#00f\b|\bblue\b|hsl\(240 100% 50%\)|rgb\(0,? 0,? 255\)/g, '#006633'));
  expect(interactions).toBeLessThan(20);
});

test('a value is typed into a cell, for all its rule styles or one alone, and taken back', async ({
  page,
}) => {
  await bringPage(page);
  const stage = await stageFrame(page);
  const colourOf = (name: string) =>
    stage.getByRole('link', { name }).evaluate((link) => getComputedStyle(link).color);
  await page.getByRole('treegrid').getByRole('button', { name: 'Hire' }).click();
  await cell(page, 'color rest').click();
  await page.keyboard.press('Enter');
  await page.keyboard.type('nonsense');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('color, rest', { exact: true })).toHaveAttribute('aria-invalid', 'true');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('rgb(1 2 3)');
  await page.keyboard.press('Enter');
  await expect.poll(() => colourOf('Hire')).toBe('rgb(1, 2, 3)');
  await expect.poll(() => colourOf('About')).toBe('rgb(1, 2, 3)');
  await expect(cell(page, 'color rest')).toHaveText('rgb(1 2 3)');
  await expect(page.getByRole('region', { name: 'Origin' })).toContainText('added.css:2');
  await page.getByRole('combobox', { name: 'How far a change reaches' }).click();
  await page.getByRole('option', { name: 'this element alone' }).click();
  await cell(page, 'color rest').click();
  await page.keyboard.type('rgb(4 5 6)');
  await page.keyboard.press('Enter');
  await expect.poll(() => colourOf('Hire')).toBe('rgb(4, 5, 6)');
  expect(await colourOf('About')).toBe('rgb(1, 2, 3)');
  await page.getByRole('button', { name: 'Changes 2' }).click();
  const changes = page.getByRole('region', { name: 'Changes' });
  await expect(changes.getByText('nothing else changes')).toHaveCount(2);
  await changes.getByRole('button', { name: 'Take back' }).first().click();
  await expect.poll(() => colourOf('About')).toBe('rgb(51, 51, 51)');
  expect(await colourOf('Hire')).toBe('rgb(4, 5, 6)');
  await page.keyboard.press('Control+z');
  await expect.poll(() => colourOf('About')).toBe('rgb(1, 2, 3)');
});

test('a header is made to stay where boxes around it prevent that, and is tried by scrolling', async ({
  page,
}) => {
  await bringAlong(page, SHOP, '');
  const stage = await stageFrame(page);
  await page.getByRole('treegrid').getByRole('button', { name: 'header.top' }).click();
  await expect(sheet(page)).toHaveAccessibleName('Look of header');
  await page.getByRole('button', { name: 'Make it stay…' }).click();
  const form = page.getByRole('form', { name: 'Make it stay' });
  await expect(form).toContainText('px high');
  await form.getByLabel('once scrolled', { exact: true }).fill('background: rgb(1 2 3)');
  await form.getByRole('button', { name: 'Make it stay' }).click();
  const changes = page.getByRole('region', { name: 'Changes' });
  await expect(changes.getByRole('list', { name: 'What prevented it' })).toContainText(
    '.outer is as tall as the header alone',
  );
  await expect(changes.getByRole('list', { name: 'What prevented it' })).toContainText(
    'body cuts with overflow: clip',
  );
  await expect(changes).toContainText('nothing else changes');
  const header = stage.locator('header');
  const top = () => header.evaluate((element) => Math.round(element.getBoundingClientRect().top));
  await stage.locator('html').evaluate((html) => {
    html.ownerDocument.defaultView?.scrollTo(0, 800);
  });
  await expect.poll(top).toBe(0);
  await expect
    .poll(() => header.evaluate((element) => getComputedStyle(element).backgroundColor))
    .toBe('rgb(1, 2, 3)');
});
