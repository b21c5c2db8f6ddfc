import { expect, type Browser, type Page } from '@playwright/test';
import type { Site } from '@hamaca/core';
import { dress } from '../core/test/dressed.ts';
import {
  changedDemo,
  demoSite,
  edited,
  handOff,
  marisma,
  orilla,
  pasteInto,
  saying,
  wholeMarisma,
  type Host,
} from './support/output.ts';
import { test } from './support/pasted.ts';

/** A panel over the whole window in two blocks, and one of a fixed width: what either leaves behind would show. */
const panelled = (stands: string, width = 420): Site =>
  saying(marisma(), [
    { owner: 'panel', slot: 'panel', property: 'stands', value: stands },
    { owner: 'panel', slot: 'panel', property: 'width', value: width },
    { owner: 'panel', slot: 'panel', property: 'blocksStand', value: 'side by side' },
  ]);

const SITES: readonly (readonly [string, Site])[] = [
  ['the demo', demoSite()],
  ['links with everything', changedDemo(dress)],
  ['Marisma', wholeMarisma()],
  ['Cuarteto Orilla', orilla()],
  ['a panel over the whole window', panelled('over the whole window')],
  ['a wide panel at the side', panelled('at the end')],
  [
    'a bar that appears',
    saying(demoSite(), [
      { owner: 'header', slot: 'bar', property: 'sticks', value: 'appears after a distance' },
    ]),
  ],
];

/** The labels of all links of the output, and of those the tab key leads to. */
async function reached(page: Page): Promise<{ readonly all: string[]; readonly by: Set<string> }> {
  const nameOf = `(link) => link.getAttribute('aria-label') ?? link.textContent.replace(/\\s+/g, ' ').trim()`;
  const all = await page.evaluate<string[]>(
    `[...document.querySelectorAll('[class^="hm-"]:not([class^="hm-"] *) a[href]')].filter((link) => !link.closest('li[class*="hm-not-"]')).map(${nameOf})`,
  );
  const by = new Set<string>();
  for (let step = 0; step < 3 * all.length + 20; step++) {
    await page.keyboard.press('Tab');
    const name = await page.evaluate<string | null>(
      `document.activeElement?.matches('a[href]') ? (${nameOf})(document.activeElement) : null`,
    );
    if (name !== null) by.add(name);
  }
  return { all, by };
}

async function openWithout(
  browser: Browser,
  host: Host,
  site: Site,
  width: number,
  scripting: 'off' | 'missing',
): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width, height: 800 },
    javaScriptEnabled: scripting === 'missing',
  });
  const page = await context.newPage();
  if (scripting === 'missing') await page.route('**/menu.js', async (route) => route.abort());
  host.put(pasteInto(handOff(site), { body: '<main><p>Page</p></main>' }));
  await page.goto(`${host.url}/`);
  return page;
}

for (const scripting of ['off', 'missing'] as const)
  for (const [what, site] of SITES)
    test(`with the script ${scripting} every link of ${what} can be reached at every width, and nothing stands aside`, async ({
      browser,
      host,
    }) => {
      for (const width of [390, 1280]) {
        const page = await openWithout(browser, host, site, width, scripting);
        if (scripting === 'missing')
          await page.evaluate(async () => {
            // What waits within something that waits begins once that is there.
            for (
              let waiting = document.getAnimations();
              waiting.length > 0;
              waiting = document.getAnimations()
            ) {
              await Promise.all(waiting.map(async ({ finished }) => finished));
              await new Promise((resolve) => requestAnimationFrame(resolve));
            }
          });
        const sideways = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
        expect([width, sideways]).toEqual([width, 0]);
        const { all, by } = await reached(page);
        expect(all.length).toBeGreaterThan(3);
        expect([width, all.filter((name) => !by.has(name))]).toEqual([width, []]);
        await page.context().close();
      }
    });

for (const stands of [
  'over the whole window',
  'at the end',
  'in the middle',
  'at the top',
  'beneath the bar',
])
  for (const goesOut of ['fading', 'sliding', 'growing', 'as a curtain'])
    test(`a panel ${stands} keeps its size while it goes, ${goesOut}`, async ({ page, host }) => {
      const site = edited(panelled(stands), {
        name: 'set-look',
        args: {
          cells: (
            [
              ['comesIn', goesOut],
              ['comeTime', 400],
            ] as const
          ).map(([property, value]) => ({
            owner: 'panel',
            slot: 'panel',
            property,
            value,
            level: 'all' as const,
            state: 'rest' as const,
            band: 'all',
          })),
        },
      });
      await page.setViewportSize({ width: 800, height: 600 });
      host.put(pasteInto(handOff(site), { body: '<main style="height:2000px"></main>' }));
      await page.goto(`${host.url}/`);
      const sizes = await page.evaluate(async () => {
        const panel = document.querySelector('dialog') as HTMLDialogElement;
        const size = () => [panel.offsetWidth, panel.offsetHeight];
        const settled = async () => Promise.all(panel.getAnimations().map(async ({ finished }) => finished));
        document.querySelector<HTMLButtonElement>('.hm-menu-opener')?.click();
        await settled();
        const open = size();
        panel.close();
        const seen: number[][] = [];
        for (let frame = 0; frame < 200 && panel.offsetWidth > 0; frame++) {
          seen.push(size());
          await new Promise((resolve) => requestAnimationFrame(resolve));
        }
        return { open, seen };
      });
      expect(sizes.seen.length).toBeGreaterThan(3);
      for (const size of sizes.seen) expect(size).toEqual(sizes.open);
    });
