/** `npm run benchmark`: what is fast, as ratios taken in one run. Prints a table and writes it to docs/benchmarks.md. */
import { readFileSync, writeFileSync } from 'node:fs';
import { cpus, totalmem } from 'node:os';
import { gzipSync } from 'node:zlib';
import { chromium, type Page } from '@playwright/test';
import {
  runChecks,
  compileSite,
  createCompiler,
  findIcons,
  fitLine,
  loadSite,
  readHtmlLinks,
  runEdit,
  resolve,
  slotsOf,
  createMeasurer,
  type PropertyId,
  type Site,
  type State,
} from '@hamaca/core';
import { parse as parsePage } from 'parse5';
import postcss from 'postcss';
import { launchApp } from '../e2e/support/app.ts';
import { demoSite, FONTS, marisma, wholeMarisma } from '../e2e/support/output.ts';
import { SaxesParser } from 'saxes';
import { MEGA_LINKS, megaSite } from './mega.ts';
import { largePage, navigationOf, pageShares } from './page-rules.ts';
import { largeSite, largeSitemap, measureLinks, readLargeSitemap } from './links.ts';
import config from '../playwright.config.ts';

interface Row {
  readonly what: string;
  readonly measured: string;
  readonly compared: string;
  readonly budget: string;
}

const read = (path: string) => readFileSync(new URL(path, import.meta.url), 'utf8');
const gzip = (text: string | Buffer) => gzipSync(text, { level: 9 }).byteLength;

/** What is measured: a call, or one on something that is made beforehand. */
type Candidate = (() => unknown) | { readonly prepare: () => Site; readonly run: (site: Site) => unknown };

/** Median time of one call in ms, after warming up; the calls of all candidates alternate, so that both see the same machine. */
function alternate(candidates: Readonly<Record<string, Candidate>>, rounds = 150): Record<string, number> {
  const times: Record<string, number[]> = {};
  for (let round = 0; round < rounds; round++) {
    for (const [name, candidate] of Object.entries(candidates)) {
      const prepared = typeof candidate === 'function' ? null : candidate.prepare();
      const start = performance.now();
      if (typeof candidate === 'function') candidate();
      else if (prepared) candidate.run(prepared);
      if (round >= rounds / 3) (times[name] ??= []).push(performance.now() - start);
    }
  }
  return Object.fromEntries(Object.entries(times).map(([name, list]) => [name, quantile(list, 0.5)]));
}

const quantile = (list: readonly number[], share: number) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * share))] ?? 0;
const ms = (value: number | undefined) =>
  `${(value ?? 0).toFixed(value !== undefined && value < 0.1 ? 3 : 2)} ms`;
/** An unchanged document keeps its remembered answers; a copy has none, as after an edit. */
const copy = (site: Site) => structuredClone(site);

function coreRows(site: Site): Row[] {
  const [header] = site.pieces;
  if (!header) throw new Error('no header');
  const kind = slotsOf('menu')['link'];
  const sheet = () => {
    for (const property of kind?.properties ?? [])
      for (const state of kind?.states ?? [])
        resolve(site, {
          owner: 'menu-main',
          slot: 'link',
          property: property as PropertyId,
          level: 1,
          states: [state as State],
          band: 1,
        });
  };
  const measure = createMeasurer(FONTS);
  const page = `<nav>${'<ul><li><a href="/x">A link</a><ul><li><a href="/y">Another</a></li></ul></li></ul>'.repeat(2000)}</nav>`;
  const other = alternate({
    sheet,
    fit: () => fitLine(site, header, { from: 320, to: 1920 }, measure),
    load: () => loadSite(site),
  });
  const html = alternate({ links: () => readHtmlLinks(page), parse5: () => parsePage(page) }, 15);
  return [
    compileRow(
      'compile of a plain header (markup, stylesheet, script), nothing remembered',
      site,
      'at most 1 × and 0.3 ×',
    ),
    {
      what: `resolve of a full sheet (link: ${kind?.properties.length ?? 0} properties × ${kind?.states.length ?? 0} states)`,
      measured: ms(other['sheet']),
      compared: '–',
      budget: 'under 1 ms',
    },
    {
      what: 'fit of its row over 320–1920 px',
      measured: ms(other['fit']),
      compared: '–',
      budget: 'under 5 ms',
    },
    { what: 'loading (validating) the demo', measured: ms(other['load']), compared: '–', budget: '–' },
    {
      what: 'links out of a page with 4,000 of them',
      measured: ms(html['links']),
      compared: `${((html['links'] ?? 0) / (html['parse5'] ?? 1)).toFixed(2)} × parse5 alone`,
      budget: '–',
    },
  ];
}

/** Compiling a site and compiling it again after an edit, against PostCSS on the same stylesheet. */
function compileRow(
  what: string,
  site: Site,
  budget: string,
  css = compileSite(site, { fonts: FONTS, flat: true }).stylesheet,
): Row {
  // After an edit all but the edited look are the same objects.
  const edit = (value: number): Site => {
    const cell = { owner: 'menu-main', slot: 'link', level: 'all', state: 'rest', band: 'all' } as const;
    const edited = runEdit(site, {
      name: 'set-look',
      args: { cells: [{ ...cell, property: 'radius', value }] },
    });
    return edited.ok ? edited.value.site : site;
  };
  // What is compiled after an edit is what the stage is told.
  const again = createCompiler({ fonts: FONTS, pinnable: true });
  again(site);
  let next = 0;
  const taken = alternate(
    {
      compile: {
        prepare: () => copy(site),
        run: (document) => compileSite(document, { fonts: FONTS }).stylesheet,
      },
      edited: { prepare: () => edit(next++ % 40), run: (document) => again(document).statements },
      postcss: () => postcss.parse(css).toString(),
    },
    600,
  );
  const ratio = (name: string) => `${((taken[name] ?? 0) / (taken['postcss'] ?? 1)).toFixed(2)} ×`;
  return {
    what,
    measured: `${ms(taken['compile'])}, after an edit ${ms(taken['edited'])}`,
    compared: `${ratio('compile')} and ${ratio('edited')} PostCSS parse + print (${ms(taken['postcss'])})`,
    budget,
  };
}

/** A search over the whole icon library for every letter of some words. */
function iconRow(): Row {
  const { icons } = JSON.parse(read('../node_modules/@iconify-json/tabler/icons.json')) as {
    readonly icons: Readonly<Record<string, unknown>>;
  };
  const names = Object.keys(icons);
  const words = ['binoculars', 'map pin', 'opening hours', 'a'];
  const typed = words.flatMap((word) => Array.from(word, (_, end) => word.slice(0, end + 1)));
  const times = Array.from({ length: 20 }, () => typed)
    .flat()
    .map((text) => {
      const start = performance.now();
      findIcons(names, text, names.length);
      return performance.now() - start;
    });
  return {
    what: `a letter typed in the search over ${names.length} icons, in its worker`,
    measured: `p50 ${ms(quantile(times, 0.5))}, p95 ${ms(quantile(times, 0.95))}`,
    compared: `${(quantile(times, 0.95) / 16.7).toFixed(2)} of a frame (p95)`,
    budget: 'under 16 ms',
  };
}

/** From the press to a painted icon picker with its first drawings, once the page has seen one, in ms. */
async function pickerToPaint(page: Page): Promise<number> {
  // Told in the page itself: what drives the browser takes its own time to press and to look.
  await page.evaluate(() => {
    let pressed = 0;
    addEventListener('click', () => (pressed = performance.now()), true);
    new MutationObserver(() => {
      if (pressed === 0 || document.querySelectorAll('[aria-label="Icons"] button img').length < 30) return;
      const since = pressed;
      pressed = 0;
      requestAnimationFrame(() =>
        setTimeout(() => {
          document.body.dataset['picker'] = String(performance.now() - since);
        }),
      );
    }).observe(document.body, { childList: true, subtree: true });
  });
  const open = async () => {
    await page.evaluate(() => {
      delete document.body.dataset['picker'];
    });
    await page.getByRole('group', { name: 'icon' }).getByRole('button').first().click();
    await page.locator('body[data-picker]').waitFor();
    const took = await page.locator('body').getAttribute('data-picker');
    await page.keyboard.press('Escape');
    await page.getByRole('dialog', { name: 'Icons' }).waitFor({ state: 'hidden' });
    return Number(took);
  };
  await open();
  const times: number[] = [];
  for (let round = 0; round < 5; round++) times.push(await open());
  return quantile(times, 0.5);
}

/** XML read by the library alone, doing nothing with it. */
function bareXml(text: string): void {
  const parser = new SaxesParser();
  parser.write(text).close();
}

function linkRows(site: Site): Row[] {
  const large = largeSite(site);
  const copies = Array.from({ length: 16 }, () => copy(large));
  let next = 0;
  const text = largeSitemap();
  const checks = alternate(
    { check: () => runChecks(copies[next++ % copies.length] ?? large), clone: () => copy(large) },
    16,
  );
  const dressed = Array.from({ length: 16 }, () => copy(site));
  const measure = createMeasurer(FONTS);
  const looks = alternate(
    {
      check: () => runChecks(dressed[next++ % dressed.length] ?? site, new Map(), measure),
      compile: () => compileSite(copy(site), { fonts: FONTS }),
    },
    16,
  );
  const sitemap = alternate(
    {
      read: () => readLargeSitemap(text),
      bare: () => {
        bareXml(text);
      },
    },
    6,
  );
  return [
    {
      what: 'all checks of the demo over all bands, states and scenes, nothing remembered',
      measured: ms(looks['check']),
      compared: `${((looks['check'] ?? 0) / (looks['compile'] ?? 1)).toFixed(2)} × compiling the same site (${ms(looks['compile'])})`,
      budget: 'under 300 ms',
    },
    {
      what: 'all checks of 5,000 links on 5,000 pages, nothing remembered',
      measured: ms(checks['check']),
      compared: `${((checks['check'] ?? 0) / (checks['clone'] ?? 1)).toFixed(2)} × copying the same document (${ms(checks['clone'])})`,
      budget: 'under 100 ms',
    },
    {
      what: 'a sitemap of 50,000 addresses as pages',
      measured: ms(sitemap['read']),
      compared: `${((sitemap['read'] ?? 0) / (sitemap['bare'] ?? 1)).toFixed(2)} × its XML alone (${ms(sitemap['bare'])})`,
      budget: 'under 3 s',
    },
  ];
}

function sizeRows(site: Site): Row[] {
  const [header] = site.pieces;
  if (!header) throw new Error('no header');
  const output = compileSite(site, { fonts: FONTS });
  const hand = { css: read('./hand-written/menu.css'), js: read('./hand-written/menu.js') };
  const ours = gzip(output.stylesheet) + gzip(output.script);
  const theirs = gzip(hand.css) + gzip(hand.js);
  return [
    {
      what: 'stylesheet + script of a plain header, gzip',
      measured: `${gzip(output.stylesheet)} + ${gzip(output.script)} = ${ours} B`,
      compared: `${(ours / theirs).toFixed(2)} × the hand-written equivalent (${gzip(hand.css)} + ${gzip(hand.js)} = ${theirs} B)`,
      budget: 'at most 1.3 ×',
    },
    {
      what: 'script of a plain header, gzip',
      measured: `${gzip(output.script)} B`,
      compared: '–',
      budget: 'under 1,500 B',
    },
  ];
}

/** How large the stylesheet of the demo's footer is beside one written by hand. */
function footerRow(site: Site): Row {
  const footer = site.pieces.find(({ kind }) => kind === 'footer');
  if (!footer) throw new Error('no footer');
  const ours = compileSite(site, { fonts: FONTS, only: [footer.id] }).stylesheet;
  const hand = read('./hand-written/footer.css');
  const size = (css: string) => `${css.length} B, gzip ${gzip(css)} B, ${css.split('\n').length} lines`;
  return {
    what: 'stylesheet of the demo’s footer',
    measured: size(ours),
    compared: `${(gzip(ours) / gzip(hand)).toFixed(2)} × the hand-written equivalent (${size(hand)})`,
    budget: '–',
  };
}

/** How the demo's stylesheet reads: how long it is, and its longest selector. */
function sheetRow(site: Site): Row {
  const { stylesheet } = compileSite(site, { fonts: FONTS });
  const selectors = [...stylesheet.matchAll(/^ *((?!@|\/\*)[^\n;]*)(?: \{|,)$/gm)].map(
    ([, selector = '']) => selector,
  );
  const longest = Math.max(...selectors.map(({ length }) => length));
  return {
    what: 'the stylesheet of the demo as it is dressed, to read',
    measured: `${stylesheet.length} B (${gzip(stylesheet)} B gzip), ${stylesheet.split('\n').length} lines; longest selector ${longest} characters`,
    compared: '–',
    budget: '24,000 B, 4,300 B gzip, 1,000 lines; 70 characters',
  };
}

interface EditTimes {
  /** From a key press to the message that tells the stage. */
  readonly told: number;
  /** From a key press to the painted stage. */
  readonly painted: number;
}

/** Times from key presses in a cell, in ms. */
async function editToPaint(page: Page, presses: number): Promise<EditTimes[]> {
  await page.locator('[data-cell="size rest"]').click();
  await page.keyboard.press('Enter');
  return page.evaluate(async (count) => {
    const input = document.activeElement;
    const frame = document.querySelector('iframe[title="Stage"]');
    if (!input || !frame) throw new Error('nothing to edit');
    const times: EditTimes[] = [];
    for (let press = 0; press < count; press++) {
      const painted = new Promise<number>((resolve) => {
        const observer = new MutationObserver(() => {
          observer.disconnect();
          resolve(Number(frame.getAttribute('data-painted')));
        });
        observer.observe(frame, { attributes: true, attributeFilter: ['data-painted'] });
      });
      await new Promise((resolve) => {
        setTimeout(resolve, 20 + Math.random() * 20);
      });
      const start = performance.timeOrigin + performance.now();
      input.dispatchEvent(
        new KeyboardEvent('keydown', { key: press % 20 < 10 ? 'ArrowUp' : 'ArrowDown', bubbles: true }),
      );
      const told =
        performance.timeOrigin + (performance.getEntriesByName('stage told').at(-1)?.startTime ?? 0);
      times.push({ told: told - start, painted: (await painted) - start });
    }
    return times;
  }, presses);
}

/** From the press of *Designs* to its drawings that stand, in ms. */
async function designsToPaint(page: Page): Promise<readonly number[]> {
  await page.keyboard.press('Escape');
  const start = await page.evaluate(() => performance.timeOrigin + performance.now());
  await page.getByRole('button', { name: 'Designs' }).click();
  await page.waitForTimeout(5000);
  const painted = await page
    .locator('[role=dialog] iframe[data-painted]')
    .evaluateAll((frames) => frames.map((frame) => Number(frame.getAttribute('data-painted'))));
  await page.keyboard.press('Escape');
  return painted.map((at) => at - start);
}

/** Opens the demo in a browser that has seen nothing of it; answers the time to a painted bench in ms. */
async function openCold(url: string): Promise<number> {
  const browser = await chromium.launch(config.use?.launchOptions);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const start = performance.now();
  await page.goto(`${url}/sites/marisma/bench/header`);
  await page.locator('iframe[title="Stage"][data-painted]').waitFor();
  const opened = performance.now() - start;
  await browser.close();
  return opened;
}

/** How long each frame of the stage took, in ms, while something is dragged from `at` to the right. */
async function dragFrames(
  page: Page,
  at: { readonly x: number; readonly y: number },
  steps: number,
): Promise<number[]> {
  const frame = page.frames().find((entry) => entry.url().endsWith('/frame'));
  if (!frame) throw new Error('no stage');
  await page.mouse.move(at.x, at.y);
  await page.mouse.down();
  // As text: the loader would put helpers of its own into a function.
  await frame.evaluate(
    'frames = []; counting = true; requestAnimationFrame(function loop(now) { frames.push(now); if (counting) requestAnimationFrame(loop); }); 0',
  );
  for (let step = 1; step <= steps; step++) {
    await page.mouse.move(at.x + step, at.y);
    await page.waitForTimeout(8);
  }
  const stamps = await frame.evaluate<number[]>('counting = false; frames');
  const times = stamps.slice(1).map((now, index) => now - (stamps[index] ?? now));
  await page.keyboard.press('Escape');
  await page.mouse.up();
  return times;
}

/** Frames a second in the worst second of a drag. */
function worstSecond(times: readonly number[]): number {
  let least = Infinity;
  for (let start = 0; start < times.length; start++) {
    let sum = 0;
    let end = start;
    while (end < times.length && sum < 1000) sum += times[end++] ?? 0;
    if (sum >= 1000) least = Math.min(least, ((end - start) / sum) * 1000);
  }
  return least === Infinity ? (times.length / times.reduce((sum, time) => sum + time, 0)) * 1000 : least;
}

async function dragRows(page: Page): Promise<Row[]> {
  const boxOf = async (selector: string) => {
    const box = await page.locator(selector).first().boundingBox();
    if (!box) throw new Error(`${selector} is not there`);
    return { x: box.x + box.width * 0.4, y: box.y + box.height / 2 };
  };
  await page.keyboard.press('Escape');
  await page.locator('[data-cell="size rest"]').click();
  const number = await dragFrames(page, await boxOf('[data-cell="size rest"] [title="Drag to change"]'), 150);
  await page.getByRole('link', { name: 'Palette' }).click();
  await page.locator('iframe[title="Header"][data-painted]').waitFor();
  await page.waitForTimeout(800);
  const colour = await dragFrames(page, await boxOf('.slide'), 150);
  return (
    [
      ['a number', number],
      ['a colour', colour],
    ] as const
  ).map(([what, times]) => ({
    what: `frames of the stage while ${what} is dragged, demo`,
    measured: `p50 ${ms(quantile(times, 0.5))}, p95 ${ms(quantile(times, 0.95))}`,
    compared: `${worstSecond(times).toFixed(0)} frames in its worst second, of 60`,
    budget: 'at least 50',
  }));
}

/** The least it can take: a bare message to an isolated frame that changes one colour, timed like an edit. */
async function bareMessageToPaint(page: Page, count: number): Promise<number[]> {
  const inside = `<style id=s></style><p>text</p><script>onmessage=(e)=>{s.textContent='p{color:'+e.data+'}';requestAnimationFrame(()=>setTimeout(()=>parent.postMessage(performance.timeOrigin+performance.now(),'*')))}</script>`;
  await page.setContent(
    `<iframe sandbox="allow-scripts" style="width:1240px;height:250px" srcdoc="${inside.replaceAll('"', '&quot;')}"></iframe>`,
  );
  await page.waitForTimeout(500);
  return page.evaluate(async (presses) => {
    const frame = document.querySelector('iframe');
    const times: number[] = [];
    for (let press = 0; press < presses; press++) {
      const painted = new Promise<number>((resolve) => {
        window.addEventListener(
          'message',
          (event: MessageEvent<number>) => {
            resolve(event.data);
          },
          { once: true },
        );
      });
      await new Promise((resolve) => {
        setTimeout(resolve, 20 + Math.random() * 20);
      });
      const start = performance.timeOrigin + performance.now();
      frame?.contentWindow?.postMessage(press % 2 ? '#111' : '#222', '*');
      times.push((await painted) - start);
    }
    return times;
  }, count);
}

/** How long small requests wait, in ms, one after the other until the work is done, or so many. */
async function smallRequests(url: string, work: Promise<unknown> | null): Promise<number[]> {
  const times: number[] = [];
  let isDone = false;
  work?.then(
    () => (isDone = true),
    () => (isDone = true),
  );
  while (work ? !isDone : times.length < 200) {
    const start = performance.now();
    await (await fetch(url)).arrayBuffer();
    times.push(performance.now() - start);
    await new Promise((resolve) => {
      setTimeout(resolve, 5);
    });
  }
  return times;
}

/** What one heavy customer costs the others: hand-offs of a document at its limits, and edits of many operations. */
async function heavyCustomerRow(url: string): Promise<Row> {
  const made = await fetch(`${url}/api/sites`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(largeSite(marisma())),
  });
  const { id } = (await made.json()) as { readonly id: string };
  const small = `${url}/api/sites/marisma/changes?after=0`;
  const alone = await smallRequests(small, null);
  const heavy = async () => {
    for (let round = 0; round < 3; round++) {
      await (await fetch(`${url}/api/sites/${id}/hand-off.zip`)).arrayBuffer();
      const body = JSON.stringify(
        Array.from({ length: 20_000 }, () => ({ op: 'test', path: '/name', value: 'x' })),
      );
      await fetch(`${url}/api/sites/${id}`, {
        method: 'PATCH',
        headers: {
          'content-type': 'application/json-patch+json',
          'if-match': '"1"',
          'edit-id': `heavy-${round}`,
        },
        body,
      });
    }
  };
  const beside = await smallRequests(small, heavy());
  const [before, during] = [quantile(alone, 0.95), quantile(beside, 0.95)];
  return {
    what: 'a small request beside one heavy customer (hand-offs of 5,000 links, edits of 20,000 operations), p95 and worst',
    measured: `${ms(during)}, ${ms(Math.max(...beside))}`,
    compared: `alone ${ms(before)}, ${ms(Math.max(...alone))}: ${ms(during - before)} longer (p95), ${ms(Math.max(...beside) - quantile(alone, 0.5))} longer at worst`,
    budget: 'at most 100 ms longer',
  };
}

async function browserRows(): Promise<Row[]> {
  const app = await launchApp();
  // Database and server are still busy with their start.
  await new Promise((resolve) => {
    setTimeout(resolve, 4000);
  });
  const browser = await chromium.launch(config.use?.launchOptions);
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    let script = 0;
    let style = 0;
    let beside = 0;
    page.on('response', (response) => {
      const path = new URL(response.url()).pathname;
      if (path.startsWith('/assets/'))
        void response.body().then((body) => {
          // What workers run is named after what it does and is fetched beside the page's own.
          if (/\/run-[^/]*\.js$/.test(path)) beside += gzip(body);
          else if (path.endsWith('.js')) script += gzip(body);
          else if (path.endsWith('.css')) style += gzip(body);
        });
    });
    await page.goto(`${app.url}/sites/marisma/bench/header`);
    await page.locator('iframe[title="Stage"][data-painted]').waitFor();
    await page.locator('[data-cell]').first().waitFor();
    const usable = { script, style, beside };
    const opened = [];
    for (let round = 0; round < 5; round++) opened.push(await openCold(app.url));
    await page.waitForTimeout(500);
    const designs = await designsToPaint(page);
    const edits = await editToPaint(page, 120);
    const times = edits.map(({ painted }) => painted);
    const told = edits.map((edit) => edit.told);
    const drags = await dragRows(page);
    const mega = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const made = await mega.request.post(`${app.url}/api/sites`, { data: megaSite(marisma()) });
    const { id } = (await made.json()) as { readonly id: string };
    await mega.goto(`${app.url}/sites/${id}/links`);
    await mega.getByRole('button', { name: 'Details of Visit' }).click();
    const picker = await pickerToPaint(mega);
    await mega.goto(`${app.url}/sites/${id}/bench/header`);
    await mega.locator('iframe[title="Stage"][data-painted]').waitFor();
    await mega.waitForTimeout(1500);
    const megaTimes = (await editToPaint(mega, 60)).map(({ painted }) => painted);
    await mega.close();
    const links = await measureLinks(
      await browser.newPage({ viewport: { width: 1280, height: 800 } }),
      app.url,
      largeSite(demoSite()),
    );
    const heavy = await heavyCustomerRow(app.url);
    const bare = await bareMessageToPaint(
      await browser.newPage({ viewport: { width: 1280, height: 800 } }),
      120,
    );
    return [
      {
        what: 'an edit to paint on the stage, demo',
        measured: `p50 ${ms(quantile(times, 0.5))}, p95 ${ms(quantile(times, 0.95))}`,
        compared: `a bare message that changes one colour: p50 ${ms(quantile(bare, 0.5))}, p95 ${ms(quantile(bare, 0.95))}; the edit is ${(quantile(times, 0.5) / quantile(bare, 0.5)).toFixed(2)} × and ${(quantile(times, 0.95) / quantile(bare, 0.95)).toFixed(2)} × that`,
        budget: 'at most 1.5 × (p95)',
      },
      {
        what: 'an edit to the message that tells the stage: script in the key’s own task',
        measured: `p50 ${ms(quantile(told, 0.5))}, p95 ${ms(quantile(told, 0.95))}`,
        compared: '–',
        budget: 'under 5 ms',
      },
      {
        what: `Designs: from the press to the first of ${designs.length} drawings in sight, and to all`,
        measured: `${ms(Math.min(...designs))}, ${ms(Math.max(...designs))}`,
        compared: '–',
        budget: 'first within 500 ms',
      },
      ...drags,
      heavy,
      {
        what: `an edit to paint with ${MEGA_LINKS} links across the row`,
        measured: `p50 ${ms(quantile(megaTimes, 0.5))}, p95 ${ms(quantile(megaTimes, 0.95))}`,
        compared: `${(quantile(megaTimes, 0.5) / 16.7).toFixed(2)} frames (p50); ${(quantile(megaTimes, 0.5) / quantile(bare, 0.5)).toFixed(2)} × the bare message`,
        budget: 'two frames',
      },
      {
        what: 'the icon picker from the press to its first rows of drawings',
        measured: ms(picker),
        compared: '–',
        budget: 'under 100 ms',
      },
      {
        what: 'interface script before the bench is usable, gzip',
        measured: `${(usable.script / 1000).toFixed(1)} kB (stylesheet ${(usable.style / 1000).toFixed(1)} kB; a worker beside it ${(usable.beside / 1000).toFixed(1)} kB)`,
        compared: `${(usable.script / 250_000).toFixed(2)} of the budget`,
        budget: 'under 250 kB',
      },
      {
        what: 'a letter typed in an outline of 5,000 links: work on the main thread',
        measured: `p50 ${ms(quantile(links.typing, 0.5))}, p90 ${ms(quantile(links.typing, 0.9))}`,
        compared: `${(quantile(links.typing, 0.5) / 16.7).toFixed(2)} of a frame`,
        budget: 'a frame, 16.7 ms',
      },
      {
        what: 'a step of a drag in it',
        measured: `p50 ${ms(quantile(links.dragging, 0.5))}, p90 ${ms(quantile(links.dragging, 0.9))}`,
        compared: `${(quantile(links.dragging, 0.5) / 33.3).toFixed(2)} of two frames`,
        budget: 'two frames, 33.3 ms',
      },
      {
        what: 'opening Links on 5,000 links and as many pages',
        measured: ms(links.opened),
        compared: '–',
        budget: '–',
      },
      {
        what: 'a sitemap of 50,000 addresses from file to preview, read in a worker',
        measured: ms(links.sitemap),
        compared: '–',
        budget: 'under 3 s',
      },
      {
        what: 'opening the demo to a painted bench, in a browser that is new to it (median of five)',
        measured: ms(quantile(opened, 0.5)),
        compared: '–',
        budget: 'under 700 ms',
      },
    ];
  } finally {
    await browser.close();
    await app.stop();
  }
}

/** Rules of a foreign page: all of its navigation in three states, beside reading the same stylesheet. */
function foreignRow(): Row {
  const large = largePage();
  const tell = navigationOf(large);
  const times = alternate({ tell, read: () => postcss.parse(large.css) }, 10);
  return {
    what: `rules of the navigation of a page of 1,000 elements and ${Math.round(large.css.length / 1000)} kB of CSS, in three states, once read`,
    measured: ms(times['tell']),
    compared: `${((times['tell'] ?? 0) / (times['read'] ?? 1)).toFixed(2)} × PostCSS’s parse of the same (${ms(times['read'])})`,
    budget: 'under 300 ms',
  };
}

/** The share of values that are foretold as the browser has them, on pages of other people. */
async function sharesByPage(): Promise<string> {
  const browser = await chromium.launch(config.use?.launchOptions);
  try {
    return await pageShares(await browser.newPage());
  } finally {
    await browser.close();
  }
}

const site = demoSite();
const demo = marisma();
const rows = [
  ...coreRows(site),
  compileRow(
    'compile of the demo as it is dressed, against a sheet of it in single rules that is kept',
    demo,
    'at most 1.5 × and 0.2 ×',
    read('./fixtures/sheet.css'),
  ),
  sheetRow(wholeMarisma()),
  footerRow(wholeMarisma()),
  compileRow(`compile of ${MEGA_LINKS} links across the row`, megaSite(demo), '–'),
  iconRow(),
  ...linkRows(site),
  foreignRow(),
  ...sizeRows(site),
  {
    what: 'script of the demo as it is dressed, gzip',
    measured: `${gzip(compileSite(demo, { fonts: FONTS }).script)} B`,
    compared: '–',
    budget: 'under 1,500 B',
  },
  ...(await browserRows()),
];
const table = [
  '| what | measured | compared | budget |',
  '| --- | --- | --- | --- |',
  ...rows.map((row) => `| ${row.what} | ${row.measured} | ${row.compared} | ${row.budget} |`),
].join('\n');
const shares = await sharesByPage();
const machine = `${cpus().length} × ${cpus()[0]?.model.trim() ?? 'unknown processor'}, ${Math.round(totalmem() / 2 ** 30)} GB, Node ${process.version}, Debian’s Chromium headless`;
writeFileSync(
  new URL('../docs/benchmarks.md', import.meta.url),
  `# Benchmarks

Made by \`npm run benchmark\`. Ratios compare two things measured in turns within the same run; times of one thing alone depend on the
machine and are there for orientation. Medians after warming up; where nothing is said of
remembering, the documents are fresh copies. Everything runs bundled, as it ships.

Machine: ${machine}.

${table}

What it takes when it is attacked, killed and crowded stands in [torture](torture.md), made by \`npm run torture\`.

## Rules of pages of other people

What is said of rules (\`hamaca rules\`), held against Chromium: each value is written on the element itself, at three widths, at rest, pointed at and focused; where it is right, nothing changes.

${shares}

The hand-written equivalent stands in \`benchmarks/hand-written/\`: the same design and the same promises (isolation from the host page,
no-script fallback, right to left, reduced motion, forced colours), written for this one header.
`,
);
process.stdout.write(`${table}\n`);
