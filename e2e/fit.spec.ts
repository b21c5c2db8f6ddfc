import { expect, test, type Page } from '@playwright/test';
import {
  applyStarter,
  createMeasurer,
  isHeader,
  rowFits,
  runEdit,
  STARTERS,
  type Edit,
  type RowFit,
  type Site,
} from '@hamaca/core';
import { randomHeader } from '../core/test/random-header.ts';
import { seeded } from '../core/test/random-site.ts';
import { dress } from '../core/test/dressed.ts';
import { loadFaces } from './support/faces.ts';
import { isOneLine, markCurrent } from './support/one-line.ts';
import { changedDemo, demoSite, FONTS, handOff, marisma, startHost } from './support/output.ts';

const HEADERS = Number(process.env['HAMACA_FIT_HEADERS'] ?? 40);
const FIRST_SEED = Number(process.env['HAMACA_FIT_SEED'] ?? 1);
const RANGE = { from: 320, to: 1920 } as const;

const measure = createMeasurer(FONTS);

interface Checked {
  readonly seed: number;
  readonly fit: RowFit;
  readonly isRight: boolean;
  readonly real: number | null;
}

async function at(page: Page, width: number, row: number): Promise<boolean> {
  await page.setViewportSize({ width, height: 700 });
  await markCurrent(page);
  return isOneLine(page, row);
}

/** The least width of a band at which a row really stands on one line; null where it never does there. */
async function realWidth(page: Page, row: number, from: number, to: number): Promise<number | null> {
  if (!(await at(page, to, row))) return null;
  let [low, high] = [from - 1, to];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (await at(page, middle, row)) high = middle;
    else low = middle;
  }
  return high;
}

/** How far a page of 320 px is pushed aside, in px (WCAG 2.2, success criterion 1.4.10). */
async function pushed(page: Page): Promise<number> {
  await page.setViewportSize({ width: RANGE.from, height: 700 });
  return page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
}

/** Holds what is said of every row and band of a site against the browser. */
async function checkSite(page: Page, site: Site, seed: number): Promise<Checked[]> {
  const fits = rowFits(site, measure);
  const rows = [...new Set(fits.map(({ row }) => row))];
  const checked: Checked[] = [];
  for (const fit of fits) {
    const from = Math.max(RANGE.from, fit.from);
    const to = fit.to ?? RANGE.to;
    if (from > to) continue;
    const row = rows.indexOf(fit.row);
    const needed = Math.max(from, Math.ceil(fit.needed));
    const standsAbove = needed + 1 > to ? null : await at(page, Math.min(to, needed + 1), row);
    const breaksBelow = needed - 2 < from ? null : !(await at(page, Math.min(to, needed - 2), row));
    const isRight = standsAbove !== false && breaksBelow !== false;
    checked.push({ seed, fit, isRight, real: isRight ? null : await realWidth(page, row, from, to) });
  }
  return checked;
}

test('rows stand on one line from just the width that is said, on headers of every sort', async ({
  page,
}) => {
  const host = await startHost();
  const checked: Checked[] = [];
  for (let seed = FIRST_SEED; seed < FIRST_SEED + HEADERS; seed++) {
    const site = randomHeader(seeded(seed));
    host.put(handOff(site));
    await page.setViewportSize({ width: 1900, height: 700 });
    await page.goto(host.url);
    await loadFaces(page);
    checked.push(...(await checkSite(page, site, seed)));
    expect([seed, await pushed(page)]).toEqual([seed, 0]);
  }
  await host.close();
  const certain = checked.filter(({ fit }) => fit.certain);
  const wrong = certain.filter(({ isRight }) => !isRight);
  process.stdout.write(
    `  ${checked.length} rows and bands: ${certain.length} certain, ${wrong.length} of them off by more than 1 px\n`,
  );
  if (process.env['HAMACA_FIT_LIST'])
    for (const { seed, fit, real } of checked.filter(({ isRight }) => !isRight))
      process.stdout.write(
        `  ${seed} ${fit.row} ${fit.band} said ${fit.needed} real ${real} ${fit.certain}\n`,
      );
  expect(certain.length / checked.length).toBeGreaterThanOrEqual(0.9);
  expect(wrong.length / certain.length).toBeLessThanOrEqual(0.01);
});

for (const [what, site] of [
  ['the demo', demoSite()],
  ['links with everything', changedDemo(dress)],
  ['Marisma', marisma()],
] as const)
  test(`the row of ${what} stands on one line from just the width that is said`, async ({ page }) => {
    const host = await startHost();
    // Unfolded at every width, so that the row's own limit shows.
    const unfolded = {
      ...site,
      bands: site.bands.map((band) => (band.min > 0 ? { ...band, min: 330 } : band)),
    };
    host.put(handOff(unfolded));
    await page.goto(host.url);
    await loadFaces(page);
    const wide = (await checkSite(page, unfolded, 0)).filter(({ fit }) => fit.band === 'wide');
    expect(wide.length).toBeGreaterThan(0);
    for (const row of wide) expect(row).toMatchObject({ isRight: true, fit: { certain: true } });
    await host.close();
  });

const LONG_WORD = 'Gruppenreiseermäßigungen';

for (const design of [null, ...STARTERS])
  test(`${design?.name ?? 'the demo'} stands within 320 px, with a name of 16 letters and long words`, async ({
    page,
  }) => {
    const demo = demoSite();
    const header = demo.pieces.find(isHeader);
    if (!header) throw new Error('no header');
    const edit: Edit = {
      name: 'several',
      args: {
        edits: [
          ...(design ? [{ name: 'set-design', args: applyStarter(demo, header, design) } as const] : []),
          { name: 'set-owner', args: { id: 'logo', fields: { text: 'Meereslandschaft' } } },
          { name: 'set-item', args: { id: demo.menus[0]?.items[0]?.id ?? '', fields: { label: LONG_WORD } } },
        ],
      },
    };
    const ran = runEdit(demo, edit);
    if (!ran.ok) throw new Error(ran.error[0]?.message);
    const host = await startHost();
    host.put(handOff(ran.value.site));
    await page.goto(host.url);
    await loadFaces(page);
    expect(await pushed(page)).toBe(0);
    await expect(page.getByText('Meereslandschaft').first()).toBeInViewport({ ratio: 0.99 });
    const opener = page.getByRole('button', { name: 'Menu' });
    await expect(opener).toBeInViewport({ ratio: 0.99 });
    await opener.click();
    // The long word stands beside its sign, and the panel does not scroll sideways.
    const word = page.getByRole('link', { name: LONG_WORD });
    const sign = page.getByRole('button', { name: LONG_WORD });
    const [wordBox, signBox] = [await word.boundingBox(), await sign.boundingBox()];
    expect(
      Math.abs(
        (wordBox?.y ?? 0) + (wordBox?.height ?? 0) / 2 - (signBox?.y ?? 0) - (signBox?.height ?? 0) / 2,
      ),
    ).toBeLessThan(2);
    // The signs of all parents stand in one column, also where a parent has no page of its own.
    const middles = await page.locator('dialog[open] [class*=marker]').evaluateAll((signs) =>
      signs
        .map((element) => element.getBoundingClientRect())
        .filter(({ width }) => width > 0)
        .map(({ left, right }) => Math.round((left + right) / 2)),
    );
    expect(middles.length).toBeGreaterThan(3);
    expect(new Set(middles).size).toBe(1);
    expect(
      await page.locator('dialog[open]').evaluate((panel) => panel.scrollWidth - panel.clientWidth),
    ).toBe(0);
    await host.close();
  });
