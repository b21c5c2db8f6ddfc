import { expect, test, type Page } from '@playwright/test';
import { canonicalColours, readForeignPage, recolour, restyle } from '@hamaca/core';
import { seeded } from '../core/test/random-site.ts';
import { randomPage } from './support/random-page.ts';
import { FOREIGN_PAGES, fileOfPackage } from './support/foreign-pages.ts';
import { compareRules, NAVIGATION, showPage } from './support/rules-truth.ts';

/** How many random pages are tried; many more are by hand. */
const PAGES = Number(process.env['HAMACA_RULES_PAGES'] ?? 4);

test('what rules come to on random pages is what the browser makes of them', async ({ page }) => {
  const wrong: string[] = [];
  let samples = 0;
  for (let seed = 1; seed <= PAGES; seed++) {
    const files = randomPage(seeded(seed));
    const compared = await compareRules(page, (path) => files.get(path) ?? null, 'index.html', {
      at: 'body *',
      most: 14,
      widths: [seed % 2 === 0 ? 390 : 1280],
      states: ['rest', 'hover', 'focus'],
    });
    samples += compared.samples;
    for (const { element, state, what } of compared.wrong)
      wrong.push(`${seed}: ${element} (${state}): ${what}`);
  }
  console.log(`  ${samples} values, ${wrong.length} wrong`);
  expect(samples).toBeGreaterThan(PAGES * 500);
  expect(wrong.slice(0, 40)).toEqual([]);
});

test('what rules come to on pages of other people is what the browser makes of them', async ({ page }) => {
  let samples = 0;
  const wrong: string[] = [];
  for (const [index, { name, path }] of FOREIGN_PAGES.entries()) {
    const compared = await compareRules(page, fileOfPackage(name), path, {
      at: NAVIGATION,
      most: 5,
      widths: [[390, 820, 1280][index % 3] ?? 1280],
      states: ['rest', 'hover', 'focus'],
    });
    samples += compared.samples;
    for (const { element, state, what } of compared.wrong)
      wrong.push(`${name}/${path}: ${element} (${state}): ${what}`);
  }
  console.log(`  ${samples} values on ${FOREIGN_PAGES.length} pages, ${wrong.length} wrong`);
  expect(FOREIGN_PAGES.length).toBeGreaterThanOrEqual(25);
  expect(samples).toBeGreaterThan(3000);
  expect(wrong.length / samples, wrong.slice(0, 40).join('\n')).toBeLessThan(0.002);
});

/** Every computed value of every element, as lines of text. */
const computedValues = (page: Page) =>
  page.evaluate(() => {
    for (const animation of document.getAnimations()) animation.cancel();
    return [...document.querySelectorAll('html, body, body *')].flatMap((element, index) => {
      const style = getComputedStyle(element);
      return [...style].map((name) => `${index} ${name}: ${style.getPropertyValue(name)}`);
    });
  });

test('a page recoloured is, in the browser, the page with that colour for the other, and nothing else', async ({
  page,
}) => {
  const RED = 'rgb(255, 0, 0)';
  const TEAL = 'rgb(0, 128, 128)';
  let changed = 0;
  let told = 0;
  for (let seed = 101; seed < 101 + PAGES; seed++) {
    const files = randomPage(seeded(seed));
    const text = (path: string) => files.get(path) ?? null;
    const foreign = readForeignPage({ text }, 'index.html', text('index.html') ?? '');
    await showPage(page, text, 'index.html');
    const before = await computedValues(page);
    for (const inPlace of [false, true]) {
      const made = recolour(foreign, { text }, { from: 'red', to: 'teal', within: null, inPlace });
      if (!made.ok) continue;
      // Layers without a name cannot be added to: then side effects may be left, and are told.
      if (!inPlace && made.value.sideEffects.length > 0) {
        told++;
        continue;
      }
      expect([seed, inPlace, made.value.sideEffects]).toEqual([seed, inPlace, []]);
      const changedFiles = made.value.files;
      await showPage(page, (path) => changedFiles.get(path) ?? text(path), 'index.html');
      const after = await computedValues(page);
      expect(after).toHaveLength(before.length);
      const wrong = after.flatMap((line, index) => {
        const old = before[index] ?? '';
        // What is mixed of it is another colour, and no longer it.
        if (line === old || /color\(srgb/.test(old)) return [];
        changed++;
        const isRight = canonicalColours('', line) === canonicalColours('', old.replaceAll(RED, TEAL));
        return isRight ? [] : [`${old} became ${line}`];
      });
      expect([seed, inPlace, wrong.slice(0, 10)]).toEqual([seed, inPlace, []]);
    }
  }
  expect(changed).toBeGreaterThan(0);
  expect(told).toBeLessThanOrEqual(PAGES / 2);
});

test('a page restyled looks so where it was asked, and elsewhere as before', async ({ page }) => {
  /** Colours of everything that is asked for or not, and how many are of the first sort. */
  const coloursBeside = () =>
    page.evaluate(() => {
      const all = [...document.querySelectorAll<HTMLElement>('body, body *')];
      const asked = new Set(document.querySelectorAll('nav a'));
      const colourOf = (element: Element) => getComputedStyle(element).color;
      for (const animation of document.getAnimations()) animation.cancel();
      return {
        asked: [...new Set([...asked].map(colourOf))],
        others: all.filter((element) => !element.closest('nav a')).map(colourOf),
      };
    });
  let tried = 0;
  for (const { name, path } of FOREIGN_PAGES.filter((_, index) => index % 6 === 0)) {
    const text = fileOfPackage(name);
    const foreign = readForeignPage({ text }, path, text(path) ?? '');
    await showPage(page, text, path);
    const before = await coloursBeside();
    if (before.asked.length === 0) continue;
    for (const inPlace of [false, true]) {
      const made = restyle(
        foreign,
        { text },
        { at: 'nav a', state: 'rest', set: 'color: rgb(1 2 3)', inPlace },
      );
      if (!made.ok) throw new Error(made.error);
      expect([name, inPlace, made.value.sideEffects]).toEqual([name, inPlace, []]);
      const { files } = made.value;
      await showPage(page, (at) => files.get(at) ?? text(at), path);
      expect([name, inPlace, await coloursBeside()]).toEqual([
        name,
        inPlace,
        { asked: ['rgb(1, 2, 3)'], others: before.others },
      ]);
      tried++;
    }
  }
  expect(tried).toBeGreaterThanOrEqual(4);
});

test('what others inherit of a change is told, each of them and no other', async ({ page }) => {
  const coloursOf = () =>
    page.evaluate(() => {
      for (const animation of document.getAnimations()) animation.cancel();
      return [...document.querySelectorAll('body, body *')].map((element) => getComputedStyle(element).color);
    });
  const placesOf = (selectors: readonly string[]) =>
    page.evaluate((all) => {
      const elements = [...document.querySelectorAll('body, body *')];
      return all.map((selector) => {
        const found = document.querySelector(selector);
        return found ? elements.indexOf(found) : -1;
      });
    }, selectors);
  let inherited = 0;
  for (const { name, path } of FOREIGN_PAGES.filter((_, index) => index % 4 === 1)) {
    const text = fileOfPackage(name);
    const foreign = readForeignPage({ text }, path, text(path) ?? '');
    await showPage(page, text, path);
    const before = await coloursOf();
    const made = restyle(
      foreign,
      { text },
      { at: 'nav', state: 'rest', set: 'color: rgb(1 2 3)', inPlace: false },
    );
    if (!made.ok) continue;
    const { files, changed, sideEffects } = made.value;
    expect([name, sideEffects]).toEqual([name, []]);
    const told = changed.filter(
      ({ state, width, property, element }) =>
        state === 'rest' && width === 1280 && property === 'color' && !element.includes('::'),
    );
    await showPage(page, (at) => files.get(at) ?? text(at), path);
    const after = await coloursOf();
    const really = after.flatMap((colour, at) => (colour === before[at] ? [] : [at]));
    const foretold = (await placesOf(told.map(({ element }) => element))).sort((a, b) => a - b);
    expect([name, foretold]).toEqual([name, really]);
    inherited += really.length;
  }
  expect(inherited).toBeGreaterThan(10);
});
