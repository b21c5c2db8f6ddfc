import AxeBuilder from '@axe-core/playwright';
import { test as base, type Page } from '@playwright/test';
import { dress } from '../../core/test/dressed.ts';
import { furnish } from '../../core/test/furnished.ts';
import { facesLoaded } from './faces.ts';
import { holdMotion, still } from './motion.ts';
import { changedDemo, demoSite, handOff, pasteInto, startHost, type Host } from './output.ts';

/** Tests of the output: one web server for each worker. */
export const test = base.extend<object, { host: Host }>({
  host: [
    async ({}, use) => {
      const host = await startHost();
      await use(host);
      await host.close();
    },
    { scope: 'worker' },
  ],
});

export const DEMO = demoSite();
export const OUTPUT = handOff(DEMO);
export const MAIN =
  '<main><h1>Marisma</h1><p id="text">A page of the host with <a href="/elsewhere">a link</a>.</p><ul><li>one</li></ul><div style="height:2000px"></div></main>';

/** Links that have everything links can have, with a second panel; and parts of every kind. */
export const DRESSED = handOff(changedDemo(dress));
export const FURNISHED = handOff(changedDemo(furnish));

/** Opens a page of a host with an output pasted in. */
export async function open(
  page: Page,
  host: Host,
  width: number,
  options: Parameters<typeof pasteInto>[1] = {},
  output = OUTPUT,
) {
  await page.setViewportSize({ width, height: 700 });
  host.put(pasteInto(output, { body: MAIN, ...options }));
  await page.goto(`${host.url}/`);
}

/** Opens a page with an output pasted in, its typefaces there and its script not yet; answers what lets that come. */
export async function openBeforeScript(
  page: Page,
  host: Host,
  width: number,
  output: ReadonlyMap<string, string | Uint8Array>,
): Promise<() => Promise<void>> {
  let come: () => void = () => undefined;
  const coming = new Promise<void>((resolve) => {
    come = resolve;
  });
  await page.route('**/menu.js', async (route) => {
    await coming;
    await route.continue();
  });
  await page.setViewportSize({ width, height: 700 });
  host.put(pasteInto(output, { body: MAIN }));
  // What waits for the script does so for as long as the test takes.
  const letGo = await holdMotion(page);
  await page.goto(`${host.url}/`, { waitUntil: 'commit' });
  await page.getByRole('main').waitFor();
  await facesLoaded(page);
  await still(page);
  return async () => {
    come();
    await page.waitForLoadState('load');
    await letGo();
    await still(page);
  };
}

export const axe = async (page: Page) =>
  (
    await new AxeBuilder({ page })
      .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
      .analyze()
  ).violations.map(
    (violation) => `${violation.id}: ${violation.nodes.map((node) => node.target.join(' ')).join(', ')}`,
  );
export const nav = (page: Page) => page.getByRole('navigation', { name: 'Main' });
export const visitSubmenu = (page: Page) => page.getByRole('button', { name: 'Visit' });
export const opener = (page: Page) => page.getByRole('button', { name: 'Menu', exact: true });
export const focused = (page: Page) =>
  page.evaluate(
    () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent.trim(),
  );
