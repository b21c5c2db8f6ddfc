/** However a stylesheet is printed, every element comes to the same: in blocks, flat, and in the order rules were made. */
import { expect, test, type Page } from '@playwright/test';
import { compileSite, STARTERS, type Site } from '@hamaca/core';
import { randomHeader } from '../core/test/random-header.ts';
import { randomSite, seeded } from '../core/test/random-site.ts';
import { unarrangedStylesheet } from '../core/src/output/compile-site.ts';
import { designedDemo, FONTS, orilla, wholeMarisma } from './support/output.ts';
import { differences, OURS, snapshot } from './support/snapshot.ts';

/** How many random sites are tried; many more are by hand. */
const SITES = Number(process.env['HAMACA_BLOCK_SITES'] ?? 2);
const WIDTHS = [1280, 760, 390] as const;
const STATES = ['', 'hover', 'focus', 'current', 'open', 'pressed', 'scrolled'] as const;

/** What waits for the script waits as long as it is looked at. */
const STILL = '<style>*, ::before, ::after { animation-play-state: paused !important }</style>';

/** Puts everything of ours into a state, by the marks that pinned stylesheets know. */
async function pin(page: Page, state: (typeof STATES)[number], isReady: boolean): Promise<void> {
  await page.evaluate(
    ([pinned, ready, ours]) => {
      for (const element of document.querySelectorAll('[class^="hm-"], [class^="hm-"] *'))
        if (pinned === '') element.removeAttribute('data-pin');
        else element.setAttribute('data-pin', pinned);
      for (const root of document.querySelectorAll(ours)) {
        root.toggleAttribute('data-hm-ready', ready);
        root.toggleAttribute('data-hm-scrolled', pinned === 'scrolled');
      }
      for (const list of document.querySelectorAll('ul[id^="hm-"]'))
        list.toggleAttribute('data-hm-open', pinned === 'open');
    },
    [state, isReady, OURS] as const,
  );
}

async function compare(page: Page, site: Site): Promise<string[]> {
  const options = { fonts: FONTS, pinnable: true };
  const { pieces, stylesheet } = compileSite(site, options);
  const flat = compileSite(site, { ...options, flat: true }).stylesheet;
  const asMade = unarrangedStylesheet(site, options);
  const markup = [...pieces.values()].join('');
  const wrong: string[] = [];
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: 700 });
    await page.setContent(
      `<!DOCTYPE html><html lang="en"><head><style></style>${STILL}</head><body>${markup}<main style="height: 2000px"></main></body></html>`,
    );
    await page.evaluate(() => {
      for (const dialog of document.querySelectorAll('dialog')) dialog.show();
    });
    const lookWith = async (css: string) => {
      await page.evaluate((text) => {
        const style = document.querySelector('style');
        if (style) style.textContent = text;
        // A dialog that is shown has the focus, and the page scrolls to it.
        scrollTo(0, 0);
      }, css);
      return snapshot(page, OURS);
    };
    for (const [index, state] of STATES.entries()) {
      await pin(page, state, index % 2 === 1 || width < 700);
      const truth = await lookWith(asMade);
      for (const [how, css] of [
        ['in blocks', stylesheet],
        ['flat', flat],
      ] as const)
        for (const line of differences(truth, await lookWith(css)))
          wrong.push(`${width} ${state} ${how}: ${line}`);
    }
  }
  return wrong;
}

test('the demos, with every piece', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  for (const site of [wholeMarisma(), orilla()]) expect((await compare(page, site)).slice(0, 20)).toEqual([]);
});

test('random sites and headers of every arrangement', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  for (let seed = 1; seed <= SITES; seed++)
    for (const site of [randomSite(seeded(seed)), randomHeader(seeded(seed))])
      expect((await compare(page, site)).slice(0, 20), `seed ${seed}`).toEqual([]);
});

for (const design of STARTERS.filter((_, index) => index % 6 === 0))
  test(`the design ${design.name}`, async ({ page }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    expect((await compare(page, designedDemo(design))).slice(0, 20)).toEqual([]);
  });
