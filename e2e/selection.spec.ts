import { readFileSync } from 'node:fs';
import { findPiece, foldOf, opensOver, ownersOf, panelsFrom, type Site } from '@hamaca/core';
import type { Page } from '@playwright/test';
import { seeded } from '../core/test/random-site.ts';
import { expect, savedSite, saved, stageFrame, test } from './support/app.ts';

/** What the bench says of itself: each of these is about one piece, the same one. */
interface Told {
  readonly address: string;
  readonly bench: string;
  readonly chooser: string;
  readonly outline: string | null;
  readonly settings: string | null;
  readonly sheet: string | null;
}

const told = (page: Page): Promise<Told> =>
  page.evaluate(() => {
    const of = (selector: string, name: string) =>
      document.querySelector(selector)?.getAttribute(name) ?? null;
    return {
      address: location.pathname.split('/')[4] ?? '',
      bench: of('main[data-piece]', 'data-piece') ?? '',
      chooser:
        document
          .querySelector(
            'nav[aria-label="Pieces"] [aria-current="page"], nav[aria-label="Pieces"] [role="combobox"]',
          )
          ?.textContent.trim() ?? '',
      outline: of('[data-line][aria-current="true"]', 'data-owner'),
      settings: of('[data-settings-of]', 'data-settings-of'),
      sheet: of('[data-sheet-of]', 'data-sheet-of'),
    };
  });

/** The pieces whose things may be worked at where one piece is: itself, and the panels that open from it. */
function worked(site: Site, id: string): readonly string[] {
  const piece = findPiece(site, id);
  if (!piece) return [];
  return [id, ...(opensOver(piece) ? [] : panelsFrom(site, piece).map((panel) => panel.id))];
}

async function holdTogether(page: Page, id: string, step: string): Promise<void> {
  await stageFrame(page);
  await saved(page);
  const site = (await savedSite(page, id)) as Site;
  // A part that folds into a panel is worked at where the panel is, too.
  const of = (owner: string | null, bench: string) => {
    if (owner === null) return null;
    if (foldOf(site, owner)?.to?.piece.id === bench) return bench;
    return ownersOf(site).get(owner)?.piece.id ?? owner;
  };
  await expect
    .poll(
      async () => {
        const { address, bench, chooser, outline, settings, sheet } = await told(page);
        const allowed = worked(site, bench);
        const name = findPiece(site, bench)?.name ?? '';
        return {
          step,
          address: address === bench,
          chooser: chooser.startsWith(name) ? 'the piece' : chooser,
          strays: [outline, settings, sheet]
            .map((owner) => of(owner, bench))
            .filter((piece) => piece !== null && !allowed.includes(piece)),
          differ: new Set([outline, settings, sheet].filter((owner) => owner !== null)).size > 1,
        };
      },
      { timeout: 15_000 },
    )
    .toEqual({ step, address: true, chooser: 'the piece', strays: [], differ: false });
  const chosen = await (
    await stageFrame(page)
  )
    .locator('[data-chosen]')
    .first()
    .evaluate((element) => element.closest('[class^="hm-"]:not([class^="hm-"] *)')?.className ?? '')
    .catch(() => '');
  expect(typeof chosen).toBe('string');
}

const PLACES = ['Links', 'Pages', 'Palette', 'Checks', 'Hand-off'] as const;

test('whatever way one goes, address, chooser, outline, settings and sheet are about one piece', async ({
  page,
}) => {
  const demo = JSON.parse(readFileSync('demo/marisma.hamaca.json', 'utf8')) as Site;
  const created = await page.request.post('/api/sites', { data: demo });
  const { id } = (await created.json()) as { id: string };
  const random = seeded(7);
  await page.goto(`/sites/${id}/bench`);
  await stageFrame(page);
  const choosePiece = async () => {
    const nav = page.getByRole('navigation', { name: 'Pieces' });
    await nav.getByRole('combobox', { name: 'Piece' }).click();
    const options = page.getByRole('option');
    await options.nth(Math.floor(random.next() * (await options.count()))).click();
  };
  const chooseLine = async () => {
    const lines = page.locator('[data-line]');
    await lines.nth(Math.floor(random.next() * (await lines.count()))).click();
  };
  const goAway = async () => {
    const before = (await told(page)).bench;
    await page
      .getByRole('navigation', { name: 'Places' })
      .getByRole('link', { name: random.pick(PLACES) })
      .click();
    await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Bench' }).click();
    await stageFrame(page);
    // One comes back to what one left.
    expect((await told(page)).bench).toBe(before);
  };
  const steps: readonly (readonly [string, () => Promise<void>])[] = [
    ['a piece is chosen', choosePiece],
    ['a line is chosen', chooseLine],
    ['another place and back', goAway],
    ['undo', async () => page.keyboard.press('Control+z')],
    ['redo', async () => page.keyboard.press('Control+Shift+z')],
    ['the next piece', async () => page.keyboard.press('Alt+.')],
    ['back in the browser', async () => void (await page.goBack().catch(() => null))],
    [
      'a part is removed',
      async () => {
        const more = page.locator('[data-line][aria-current="true"]');
        if ((await more.count()) > 0) await more.first().press('Delete');
      },
    ],
  ];
  for (let count = 0; count < 22; count++) {
    const [what, run] = random.pick(steps);
    await run();
    if (!page.url().includes('/bench')) await page.goto(`/sites/${id}/bench`);
    await holdTogether(page, id, `${count} ${what}`);
  }
});

test('a colour typed after coming back changes what is on screen', async ({ page }) => {
  const demo = JSON.parse(readFileSync('demo/marisma.hamaca.json', 'utf8')) as Site;
  const created = await page.request.post('/api/sites', { data: demo });
  const { id } = (await created.json()) as { id: string };
  const footer = demo.pieces.find(({ kind }) => kind === 'footer')?.id ?? '';
  await page.goto(`/sites/${id}/bench/${footer}`);
  await stageFrame(page);
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Checks' }).click();
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Bench' }).click();
  await expect(page).toHaveURL(new RegExp(`/bench/${footer}$`));
  await stageFrame(page);
  // The same by an address that names another piece: all of the bench goes there.
  await page.goto(`/sites/${id}/bench/header`);
  await stageFrame(page);
  await holdTogether(page, id, 'by an address');
});

test('an address of a piece that is not there says so, and leads to those that are', async ({ page }) => {
  await page.goto('/sites/marisma/bench/nothing-of-the-sort');
  await expect(page.getByRole('heading', { name: 'This piece is not in the site' })).toBeVisible();
  await page.getByRole('main').getByRole('link').first().click();
  await stageFrame(page);
  await expect(page.locator('main[data-piece]')).toBeVisible();
});
