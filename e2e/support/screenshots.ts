import { fileURLToPath } from 'node:url';
import { chromium, type Page } from '@playwright/test';
import config from '../../playwright.config.ts';
import { launchApp, stageFrame } from './app.ts';

const OUTLINE = `Visit /visit/
  Opening hours /visit/opening-hours/
  Getting here /visit/getting-here/
  Trails & hides /visit/trails-and-hides/
    North hide /visit/trails-and-hides/#north-hide
Birds /birds/
  Ringing log /birds/ringing-log/
--------
Contact javascript:contact()`;

const OLD_PAGE = `<!doctype html><html lang="en"><head><title>Orilla, the old page</title></head><body><header class="top">
<a class="home" href="/">Orilla boats</a><nav><ul class="menu"><li class="is-open"><a href="/hire">Hire</a><ul class="sub"><li><a href="/hire/day">Day hire</a></li><li><a href="/hire/week">By the week</a></li><li><a href="/hire/guide">With a guide</a></li></ul></li>
<li class="is-active"><a href="/boats">Boats</a></li><li><a href="/moorings">Moorings</a></li><li><a href="/contact">Contact</a></li></ul></nav></header>
<main><h1>Boats for the lagoon</h1><p>Flat ones for the reed beds, and one with a sail.</p></main></body></html>`;

const OLD_STYLES = `:root { --lake: #1f5f8b; --foam: #eef6fa }
body { margin: 0; font: 16px/1.5 Georgia, serif; background: #fff; color: #223 }
.top { display: flex; align-items: center; gap: 32px; padding: 12px 32px; background: var(--foam); border-bottom: 3px solid var(--lake) }
.home { font-size: 22px; font-weight: bold; color: #1f5f8b; text-decoration: none }
.menu, .sub { list-style: none; margin: 0; padding: 0 }
.menu { display: flex; gap: 8px }
.menu li { position: relative }
.menu a { display: block; padding: 8px 14px; color: #223; text-decoration: none }
.menu a:hover { background: rgb(31 95 139); color: #fff }
.menu .is-active > a { border-bottom: 2px solid hsl(204 64% 33%) }
.sub { position: absolute; top: 100%; display: none; background: #fff; box-shadow: 0 4px 12px #0003; white-space: nowrap }
.is-open .sub { display: block }
.sub a:hover { background: var(--lake) }
main { padding: 24px 32px 24px 340px }
`;

const narrow = async (page: Page) => {
  await page.getByRole('slider', { name: 'Width of the stage' }).focus();
  await page.keyboard.press('Home');
  for (let step = 0; step < 7; step++) await page.keyboard.press('Shift+ArrowRight');
};

/** Each main view of the demo, with what to do before its picture is taken. */
const VIEWS: Readonly<Record<string, { path: string; prepare?: (page: Page) => Promise<void> }>> = {
  sites: { path: '/' },
  'new-site': {
    path: '/new',
    prepare: async (page) => {
      await page.getByLabel('Name').fill('Marisma Laguna Reserve');
      await page.getByLabel('Outline of links').fill(OUTLINE);
    },
  },
  links: {
    path: '/sites/marisma/links',
    prepare: async (page) => {
      await page.getByRole('tab', { name: /Footer/ }).click();
      await page
        .getByRole('row')
        .filter({ has: page.locator('input[value="Gift shop"]') })
        .getByRole('button', { name: /Details/ })
        .click();
    },
  },
  checks: {
    path: '/sites/marisma/checks',
    prepare: async (page) => {
      await page.getByRole('button', { name: /Ask \d+ addresses/ }).click();
      await page.getByRole('button', { name: /Ask \d+ addresses/ }).waitFor({ timeout: 60_000 });
      await page.getByText(/^The output was looked at/).waitFor({ timeout: 60_000 });
    },
  },
  'bench-wide': {
    path: '/sites/marisma/bench/header',
    prepare: async (page) => {
      const stage = await stageFrame(page);
      await stage.getByRole('banner').getByRole('link', { name: 'Birds' }).click();
      await page.mouse.move(600, 790);
      await page.getByLabel('For', { exact: true }).click();
      await page.getByRole('option', { name: 'all levels' }).click();
      await page.locator('[data-cell="fill hover"]').click();
    },
  },
  'bench-measures': {
    path: '/sites/marisma/bench/header',
    prepare: async (page) => {
      await stageFrame(page);
      await page
        .getByRole('navigation', { name: 'Parts' })
        .getByRole('button', { name: 'Row of links' })
        .last()
        .click();
      await page.locator('[data-cell="menuForm rest"]').click();
      await page.keyboard.press('Alt+m');
      await page.getByTestId('measures').first().waitFor();
    },
  },
  'bench-submenu': {
    path: '/sites/marisma/bench/header',
    prepare: async (page) => {
      await stageFrame(page);
      await page
        .getByRole('navigation', { name: 'Parts' })
        .getByRole('button', { name: '“Visit” alone' })
        .last()
        .click();
      await page.locator('[data-cell="opens rest"]').click();
    },
  },
  'links-icons': {
    path: '/sites/marisma/links',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Icons…' }).click();
      await page.getByRole('combobox', { name: 'Icon of Birds', exact: true }).click();
      await page.getByRole('combobox', { name: 'Icon of Birds', exact: true }).fill('feather');
      await page.getByRole('option').first().waitFor();
    },
  },
  'bench-tall': {
    path: '/sites/marisma/bench/header',
    prepare: async (page) => {
      await stageFrame(page);
      await narrow(page);
      await page
        .getByRole('navigation', { name: 'Parts' })
        .getByRole('button', { name: 'Panel', exact: true })
        .click();
    },
  },
  'bench-designs': {
    path: '/sites/marisma/bench/header',
    prepare: async (page) => {
      await stageFrame(page);
      await page.keyboard.press('Alt+d');
      await page.waitForTimeout(3500);
    },
  },
  'bench-spread': {
    path: '/sites/marisma/bench/header',
    prepare: async (page) => {
      await stageFrame(page);
      await page
        .getByRole('navigation', { name: 'Parts' })
        .getByRole('button', { name: 'Link, level 1', exact: true })
        .last()
        .click();
      await page.keyboard.press('Alt+s');
      await page.waitForTimeout(3000);
    },
  },
  palette: {
    path: '/sites/marisma/palette',
    prepare: async (page) => {
      await page.getByRole('button', { name: /^Reed/ }).click();
      await page.mouse.move(640, 790);
    },
  },
  'hand-off': {
    path: '/sites/marisma/hand-off',
    prepare: async (page) => {
      await page
        .getByText(/B gzip/)
        .first()
        .waitFor();
    },
  },
  'bench-footer': {
    path: '/sites/marisma/bench/page-footer',
    prepare: async (page) => {
      await stageFrame(page);
      await page
        .getByRole('navigation', { name: 'Parts' })
        .getByRole('button', { name: 'Columns', exact: true })
        .click();
      await page.locator('[data-cell="columnsStand rest"]').click();
    },
  },
  'bench-ring': {
    path: '/sites/orilla/bench/ring',
    prepare: async (page) => {
      await stageFrame(page);
      await page
        .getByRole('navigation', { name: 'Parts' })
        .getByRole('button', { name: 'Links around it' })
        .click();
      await page.locator('[data-cell="ringForm rest"]').click();
    },
  },
  pages: {
    path: '/sites/marisma/pages',
    prepare: async (page) => {
      await page.getByRole('button', { name: /^\/learn\/school-days\// }).click();
      await page.waitForTimeout(1500);
    },
  },
  try: {
    path: '/sites/marisma/try/learn/guided-walks/',
    prepare: async (page) => {
      await page.frameLocator('iframe[title="Page"]').getByRole('heading', { level: 1 }).waitFor();
    },
  },
  // Last, as they change the demo.
  'existing-page': {
    path: '/sites/orilla/bench',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Add a piece' }).click();
      await page.getByRole('menuitem', { name: 'A page that exists already…' }).click();
      await page.getByLabel('Markup of the page').fill(OLD_PAGE);
      await page.getByLabel('Stylesheet of the page').fill(OLD_STYLES);
      await page.getByRole('button', { name: 'Read what is pasted' }).click();
      await page.getByRole('button', { name: 'Bring it along' }).click();
      const lines = page.getByRole('treegrid', { name: 'Navigation of the page' });
      await lines.getByRole('button', { name: 'Day hire' }).click();
      await page.locator('[data-cell="background-color hover"]').click();
      await page.getByRole('button', { name: /^styles \d/ }).click();
    },
  },
  'bench-panel': {
    path: '/sites/marisma/bench/panel',
    prepare: async (page) => {
      await stageFrame(page);
      await page.keyboard.press('Alt+d');
      const starters = page.getByRole('dialog', { name: /Starting panels/ });
      await starters.getByRole('button', { name: /^Two banks/ }).click();
      await page
        .getByRole('navigation', { name: 'Parts' })
        .getByRole('button', { name: 'Block More', exact: true })
        .click();
      await page.waitForTimeout(1000);
    },
  },
};

const app = await launchApp();
const browser = await chromium.launch(config.use?.launchOptions);
/** Names of the views that are wanted; without any, all are. */
const wanted = process.argv.slice(2);
for (const [name, view] of Object.entries(VIEWS)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(app.url + view.path);
  await page.waitForTimeout(1200);
  await view.prepare?.(page);
  await page.waitForTimeout(700);
  await page.screenshot({
    path: fileURLToPath(new URL(`../../docs/screenshots/${name}.png`, import.meta.url)),
  });
  await page.close();
}
await browser.close();
await app.stop();
