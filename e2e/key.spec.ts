import { execFileSync } from 'node:child_process';
import { expect, test } from '@playwright/test';
import { launchApp, ROOT } from './support/app.ts';

/** Starts a Hamaca that asks for a key, and answers the one it told. */
async function launchAsking() {
  let said = '';
  const app = await launchApp({ HAMACA_ORIGIN: 'https://hamaca.example' }, (text) => {
    said += text;
  });
  await expect.poll(() => said).toContain('/enter#');
  return { app, key: /\/enter#(\S+)/.exec(said)?.[1] ?? '' };
}

test('who comes from elsewhere comes in with the key, and the stage shows its fonts', async ({ page }) => {
  const { app, key } = await launchAsking();
  try {
    await page.goto(`${app.url}/sites/marisma`);
    await expect(page.getByLabel('Key')).toBeFocused();
    await page.getByLabel('Key').fill('not-the-key');
    await page.getByRole('button', { name: 'Come in' }).click();
    await expect(page.getByRole('alert')).toHaveText('That is not the key.');

    const refused: string[] = [];
    page.on('response', (response) => {
      if (response.status() === 401) refused.push(response.url());
    });
    // The link as it is printed: the key stands where no server gets to see it, and is gone from the address at once.
    await page.goto('about:blank');
    await page.goto(`${app.url}/enter?to=/sites/marisma#${key}`);
    await expect(page).toHaveURL(/\/sites\/marisma(?:\/bench\/header)?$/);
    const frame = page.locator('iframe[title="Stage"]');
    await frame.and(page.locator('[data-painted]')).waitFor();
    const link = frame.contentFrame().getByRole('link', { name: 'News' }).first();
    await expect
      .poll(() =>
        link.evaluate(async () => {
          await document.fonts.ready;
          return [...document.fonts].map(({ family, status }) => `${family} ${status}`).join();
        }),
      )
      .toMatch(/figtree"? loaded/);
    expect(refused).toEqual([]);
    expect(await page.evaluate(() => document.cookie)).toBe('');
  } finally {
    await app.stop();
  }
});

test('a new key is made by one command; who came in with the old one is out', async ({ page }) => {
  const { app, key: old } = await launchAsking();
  try {
    const comeIn = async (key: string) => {
      await page.goto('about:blank');
      await page.goto(`${app.url}/enter?to=/#${key}`);
    };
    await comeIn(old);
    await expect(page.getByRole('heading', { name: 'Sites' })).toBeVisible();

    const asked = async () => (await page.request.get(`${app.url}/api/sites`)).status();
    expect(await asked()).toBe(200);
    await page.goto('about:blank');
    const printed = execFileSync(process.execPath, ['scripts/key.mjs'], {
      cwd: ROOT,
      encoding: 'utf8',
      env: { ...process.env, HAMACA_DATABASE_URL: app.database.url },
    });
    const key = printed.trim().split('\n').at(-1) ?? '';
    expect(key).not.toBe(old);
    // A changed key is noticed within a moment. The server is asked, not the page, which goes to /enter by itself.
    await expect.poll(asked).toBe(401);
    await page.goto(app.url, { waitUntil: 'commit' });
    await expect(page).toHaveURL(/\/enter/);
    await comeIn(old);
    await expect(page.getByRole('alert')).toHaveText('That is not the key.');
    await comeIn(key);
    await expect(page.getByRole('heading', { name: 'Sites' })).toBeVisible();
  } finally {
    await app.stop();
  }
});
