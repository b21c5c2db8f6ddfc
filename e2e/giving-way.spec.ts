import {
  createMeasurer,
  findPlaced,
  givingWay,
  isHeader,
  ownersOf,
  rowFits,
  STARTERS,
  type Site,
} from '@hamaca/core';
import { expect, test, type Page } from '@playwright/test';
import { randomHeader } from '../core/test/random-header.ts';
import { seeded } from '../core/test/random-site.ts';
import { loadFaces } from './support/faces.ts';
import { isOneLine, markCurrent } from './support/one-line.ts';
import { demoSite, designedDemo, edited, FONTS, handOff, marisma, startHost } from './support/output.ts';

/*
 * What gives way stays as long as its row has room on one line, and is found in the panel from there down.
 */

const HEADERS = Number(process.env['HAMACA_GIVING_WAY_HEADERS'] ?? 60);

const measure = createMeasurer(FONTS);

/**
 * The demo, or a design on it, with a name of sixteen letters in one word: more than a phone has room for beside the rest.
 * What a design adds leads somewhere.
 */
function longName(site: Site): Site {
  const page = site.pages[0]?.id ?? '';
  const fields: Readonly<Record<string, Record<string, unknown>>> = {
    logo: { text: 'Meereslandschaft' },
    shortcut: { target: { kind: 'page', page } },
  };
  const owners = [...ownersOf(site).values()].filter(({ kind }) => fields[kind]);
  return owners.reduce(
    (now, { id, kind }) => edited(now, { name: 'set-owner', args: { id, fields: fields[kind] ?? {} } }),
    site,
  );
}

const callToAction = (page: Page, label: string) =>
  page.getByRole('link', { name: label, includeHidden: true });

for (const [name, site] of [
  ['the demo', demoSite()],
  ['Marisma', marisma()],
  ...STARTERS.map((design) => [design.name, designedDemo(design)] as const),
] as const)
  test(`${name} stands on one line at 320 px with a name of sixteen letters, its call to action in the panel`, async ({
    page,
  }) => {
    const long = longName(site);
    const ways = [...givingWay(long, measure)];
    const host = await startHost();
    host.put(handOff(long));
    await page.setViewportSize({ width: 320, height: 700 });
    await page.goto(host.url);
    await loadFaces(page);
    const rows = await page.locator('[class~=hm-row]').count();
    for (let row = 0; row < rows; row++) {
      const isShown = await page.locator('[class~=hm-row]').nth(row).isVisible();
      if (isShown) expect(await isOneLine(page, row), `row ${row}`).toBe(true);
    }
    for (const [id, below] of ways) {
      expect(below).toBeGreaterThan(320);
      const { label } = findPlaced(long, id)?.part as unknown as { label: string };
      const link = callToAction(page, label);
      await expect(link).toBeHidden();
      await page.getByRole('button', { name: 'Menu' }).click();
      await expect(page.getByRole('dialog').getByRole('link', { name: label })).toBeVisible();
      await page.keyboard.press('Escape');
      await page.setViewportSize({ width: below, height: 700 });
      await expect(link).toBeVisible();
      expect(
        await page.getByRole('dialog', { includeHidden: true }).getByRole('link', { name: label }).count(),
      ).toBe(0);
    }
    await host.close();
  });

test('on headers of every sort what gives way stands as long as the row has room, and no longer', async ({
  page,
}) => {
  const host = await startHost();
  const wrong: string[] = [];
  let held = 0;
  for (let seed = 1; seed <= HEADERS; seed++) {
    const site = randomHeader(seeded(seed), 0.7);
    const ways = [...givingWay(site, measure)].filter(([, below]) => below > 320);
    const rows = [...new Set(rowFits(site, measure).map(({ row }) => row))];
    if (ways.length === 0) continue;
    host.put(handOff(site));
    await page.goto(host.url);
    await loadFaces(page);
    for (const [id, below] of ways) {
      const placed = findPlaced(site, id);
      const start = isHeader(placed?.piece ?? { kind: '' }) ? (site.bands[0]?.min ?? 0) : 0;
      // At the band's own end it is away at every width of it: there is nothing to hold.
      if (!placed || below >= start) continue;
      const row = rows.indexOf(placed.region.section.id);
      const fit = rowFits(site, measure).find(
        (one) => one.row === placed.region.section.id && one.band === 'phone',
      );
      if (!fit?.certain) continue;
      await page.setViewportSize({ width: below, height: 700 });
      await markCurrent(page);
      held++;
      if (!(await isOneLine(page, row)))
        wrong.push(`${seed}: ${id} stays from ${below} px, and the row breaks`);
      // The rest may need more than there is beneath: then the row breaks with it or without.
      if (fit.needed > below - 1) continue;
      await page.setViewportSize({ width: below - 1, height: 700 });
      await markCurrent(page);
      if (!(await isOneLine(page, row)))
        wrong.push(`${seed}: ${id} is away at ${below - 1} px, and the row breaks`);
    }
  }
  await host.close();
  process.stdout.write(`  ${held} parts that give way, ${wrong.length} of them wrongly\n`);
  expect(held).toBeGreaterThan(5);
  expect(wrong).toEqual([]);
});
