import { expect, test } from '@playwright/test';
import { seeded } from '../core/test/random-site.ts';
import { randomPage } from './support/random-page.ts';
import { FOREIGN_PAGES, fileOfPackage } from './support/foreign-pages.ts';
import { compareRules, NAVIGATION } from './support/rules-truth.ts';

/** How many random pages are tried; many more are by hand. */
const PAGES = Number(process.env['HAMACA_RULES_PAGES'] ?? 12);

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
