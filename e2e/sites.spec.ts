import { readFileSync } from 'node:fs';
import { expect, launchApp, ROOT } from './support/app.ts';
import { test } from '@playwright/test';

const SITES = 120;

test('of many sites only those in sight are drawn, each can be reached, and a deleted one comes back', async ({
  page,
}) => {
  const app = await launchApp();
  try {
    const demo = JSON.parse(readFileSync(`${ROOT}/demo/marisma.hamaca.json`, 'utf8')) as object;
    for (let count = 0; count < SITES; count++)
      await page.request.post(`${app.url}/api/sites`, { data: { ...demo, name: `Lagoon ${count}` } });
    await page.goto(app.url);
    const card = (name: string) => page.getByRole('link', { name: `Open ${name}`, exact: true });
    await expect(card(`Lagoon ${SITES - 1}`)).toBeVisible();
    await expect.poll(() => page.locator('iframe').count()).toBeGreaterThan(3);
    await page.locator('iframe[data-painted]').first().waitFor();
    expect(await page.locator('li').count()).toBeLessThan(15);
    expect(await page.locator('iframe').count()).toBeLessThan(20);

    await page.getByRole('main').evaluate((main) => {
      main.scrollTop = main.scrollHeight;
    });
    await expect(card('Marisma Laguna Reserve')).toBeVisible();
    await expect(card(`Lagoon ${SITES - 1}`)).toHaveCount(0);
    await expect.poll(() => page.locator('iframe').count()).toBeGreaterThan(3);
    expect(await page.locator('iframe').count()).toBeLessThan(20);

    const item = page.getByRole('listitem').filter({ has: card('Lagoon 0') });
    await item.getByRole('button', { name: 'Delete' }).click();
    await expect(card('Lagoon 0')).toHaveCount(0);
    await page.getByRole('button', { name: 'Bring it back' }).click();
    await expect(card('Lagoon 0')).toHaveCount(1);

    // Long after, the bin still has it.
    await item.getByRole('button', { name: 'Delete' }).click();
    await expect(card('Lagoon 0')).toHaveCount(0);
    await page.reload();
    await page.getByRole('button', { name: 'Deleted: 1' }).click();
    await page.getByRole('button', { name: 'Bring back Lagoon 0' }).click();
    await expect(page.getByText('Nothing is left in it.')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('button', { name: 'Deleted:' })).toHaveCount(0);
    await page.getByRole('main').evaluate((main) => {
      main.scrollTop = main.scrollHeight;
    });
    await expect(card('Lagoon 0')).toHaveCount(1);
  } finally {
    await app.stop();
  }
});
