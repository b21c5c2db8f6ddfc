/** What is a draft is made and looked at here, told wherever it stands, and in no hand-off until it is let go. */
import { readFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import type { Page } from '@playwright/test';
import { copyDemo, expect, saved, savedSite, test } from './support/app.ts';

const MARISMA = JSON.parse(readFileSync(new URL('../demo/marisma.hamaca.json', import.meta.url), 'utf8')) as {
  readonly pieces: readonly { readonly id: string; readonly kind: string; readonly name: string }[];
};
const FOOTER = MARISMA.pieces.find((piece) => piece.kind === 'footer');

/** All text of the zip that the hand-off gives. */
async function downloaded(page: Page): Promise<string> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Download the zip' }).click(),
  ]);
  const files = unzipSync(readFileSync(await download.path()));
  return Object.entries(files)
    .filter(([name]) => /\.(html|css|js)$/.test(name))
    .map(([, bytes]) => new TextDecoder().decode(bytes))
    .join('\n');
}

test('a footer that is a draft is left out of the hand-off until it is let go', async ({ page }) => {
  if (!FOOTER) throw new Error('The demo has no footer.');
  const id = await copyDemo(page, MARISMA);
  await page.goto(`/sites/${id}/bench/${FOOTER.id}`);
  await page
    .getByRole('navigation', { name: 'Parts' })
    .getByRole('button', { name: 'Footer', exact: true })
    .click();
  await page.locator(`[data-settings-of="${FOOTER.id}"]`).getByRole('button', { name: 'draft' }).click();
  await saved(page);
  await expect(page.getByRole('navigation', { name: 'Pieces' })).toContainText('draft');

  await page.getByRole('link', { name: 'Hand-off' }).click();
  const drafts = page.getByRole('region', { name: 'Drafts' });
  await expect(drafts).toContainText(FOOTER.name);
  expect(await downloaded(page)).not.toContain('<footer');

  await drafts.getByRole('button', { name: `Let ${FOOTER.name} go` }).click();
  await expect(drafts.getByRole('status')).toContainText(FOOTER.name);
  await saved(page);
  const site = await savedSite(page, id);
  expect(site.pieces.find((piece) => piece.id === FOOTER.id)?.draft).toBeUndefined();
  expect(await downloaded(page)).toContain('<footer');
});

test('a menu that is a draft is left out of the hand-off, and stays among the links', async ({ page }) => {
  const id = await copyDemo(page, MARISMA);
  const menu = (await savedSite(page, id)).menus.find(({ id: own }) => own === 'top-row');
  if (!menu) throw new Error('The demo has no such menu.');
  await page.goto(`/sites/${id}/hand-off`);
  const name = menu.items[0]?.name ?? '';
  expect(name).not.toBe('');
  expect(await downloaded(page)).toContain(name);

  await page.getByRole('link', { name: 'Links' }).click();
  await page.getByRole('tab', { name: new RegExp(`^${menu.name}`) }).click();
  await page.getByRole('button', { name: `More about ${menu.name}` }).click();
  await page.getByRole('menuitem', { name: 'Make the menu a draft' }).click();
  await saved(page);
  await expect(page.getByRole('tab', { name: new RegExp(`^${menu.name}`) })).toContainText('draft');
  await page.getByRole('link', { name: 'Hand-off' }).click();
  await expect(page.getByRole('region', { name: 'Drafts' })).toContainText(`${menu.name} (menu)`);
  expect(await downloaded(page)).not.toContain(name);
  const kept = (await savedSite(page, id)).menus.find(({ id: own }) => own === menu.id);
  expect(kept?.items).toEqual(menu.items);
});
