import type { Locator, Page } from '@playwright/test';
import { copyDemo, expect, saved } from './app.ts';

/** Brings a page along as pasted text, in a copy of the demo; answers the id of the site. */
export async function bringAlong(page: Page, markup: string, css: string): Promise<string> {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/bench`);
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByRole('menuitem', { name: 'A page that exists already…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Bring a page along that exists already' });
  await dialog.getByLabel('Markup of the page').fill(markup);
  await dialog.getByLabel('Stylesheet of the page').fill(css);
  await dialog.getByRole('button', { name: 'Read what is pasted' }).click();
  await expect(dialog.getByRole('region', { name: 'What was read' })).toBeVisible();
  await dialog.getByRole('button', { name: 'Bring it along' }).click();
  await expect(page).toHaveURL(/bench\/page/);
  await saved(page);
  return id;
}

/** The sheet of what is chosen on it. */
export const sheet = (page: Page): Locator => page.getByRole('grid');
/** A cell of the sheet by property and state, such as `color rest`. */
export const cell = (page: Page, name: string): Locator => sheet(page).locator(`[data-cell="${name}"]`);
