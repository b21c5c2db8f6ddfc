/** The stylesheet says nothing that changes nothing: each declaration is taken away in turn. */
import { expect, test, type Page } from '@playwright/test';
import { compileSite, STARTERS, type Site } from '@hamaca/core';
import { randomHeader } from '../core/test/random-header.ts';
import { randomSite, seeded } from '../core/test/random-site.ts';
import { demoSite, designedDemo, FONTS, marisma } from './support/output.ts';
import { uselessDeclarations } from './support/useless.ts';

/** All designs and some sites with looks of every kind, where asked: that takes minutes. */
const IS_LONG = process.env['HAMACA_DECLARATIONS'] === 'long';
/** A bar's width, one between, a phone's with its panel open, and one where what gives way has left. */
const WIDTHS = [1440, 820, 390, 320] as const;
const FOLD = 1000;

const DEMO = demoSite();

/** What changes nothing at any width, and how many declarations there are. */
async function judge(page: Page, site: Site): Promise<{ readonly useless: string[]; readonly all: number }> {
  const { pieces, stylesheet, script } = compileSite(site, { fonts: FONTS, pinnable: true, flat: true });
  await page.emulateMedia({ reducedMotion: 'reduce' });
  let useless: readonly string[] | null = null;
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: 700 });
    await page.setContent(
      `<!DOCTYPE html><html lang="en"><head><style data-host></style><style data-ours>${stylesheet}</style></head><body><div style="padding: 20px">${[...pieces.values()].join('')}</div><main style="height: 3000px"></main></body></html>`,
    );
    await page.addScriptTag({ content: script });
    if (width < FOLD)
      await page.evaluate(() => {
        for (const dialog of document.querySelectorAll('dialog')) if (!dialog.open) dialog.showModal();
      });
    const found = new Set(await uselessDeclarations(page));
    useless = useless === null ? [...found] : useless.filter((one) => found.has(one));
  }
  return { useless: [...(useless ?? [])], all: stylesheet.match(/^\s+[\w-]+: /gm)?.length ?? 0 };
}

/** A side bar stands between both ends, which shows only where it is shorter than its link. */
const isSideBar = (one: string) => one.endsWith('::after { inset-block: 0px }');

test('the demo’s stylesheet says nothing that changes nothing', async ({ page }) => {
  const { useless, all } = await judge(page, DEMO);
  expect(useless).toEqual([]);
  expect(all).toBeGreaterThan(200);
});

test('Marisma’s stylesheet says next to nothing that changes nothing', async ({ page }) => {
  const { useless, all } = await judge(page, marisma());
  expect(all).toBeGreaterThan(300);
  expect(useless.length / all, useless.join('\n')).toBeLessThan(0.03);
});

const FEW = ['Two storeys', 'Around the mark', 'Pointer'];

for (const design of STARTERS.filter(({ name }) => IS_LONG || FEW.includes(name)))
  test(`the design ${design.name} says nothing that changes nothing`, async ({ page }) => {
    const { useless } = await judge(page, designedDemo(design));
    expect(useless.filter((one) => !isSideBar(one))).toEqual([]);
  });

test('headers of every arrangement say next to nothing that changes nothing', async ({ page }) => {
  let [none, all] = [0, 0];
  for (let seed = 1; seed <= (IS_LONG ? 20 : 2); seed++) {
    const judged = await judge(page, randomHeader(seeded(seed)));
    none += judged.useless.length;
    all += judged.all;
  }
  // Parts that are shown at none of the widths are among them.
  expect(none / all).toBeLessThan(0.03);
});

if (IS_LONG)
  test('looks with every kind of value say next to nothing that changes nothing', async ({ page }) => {
    const judged = await judge(page, randomSite(seeded(1)));
    expect(judged.useless.length / judged.all).toBeLessThan(0.02);
  });
