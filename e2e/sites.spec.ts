import { expect, launchApp, PLAIN } from './support/app.ts';
import { test, type Page } from '@playwright/test';

const SITES = 120;

test('of many sites only those in sight are drawn, each can be reached, and a deleted one comes back', async ({
  page,
}) => {
  const app = await launchApp();
  try {
    for (let count = 0; count < SITES; count++)
      await page.request.post(`${app.url}/api/sites`, { data: { ...PLAIN, name: `Lagoon ${count}` } });
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

/** How far two pictures differ on average, of 255. */
const difference = (page: Page, one: Buffer, two: Buffer) =>
  page.evaluate(
    async (sources) => {
      const pixels = await Promise.all(
        sources.map(async (source) => {
          const image = new Image();
          image.src = `data:image/png;base64,${source}`;
          await image.decode();
          const canvas = document.createElement('canvas');
          canvas.width = image.width;
          canvas.height = image.height;
          const context = canvas.getContext('2d');
          context?.drawImage(image, 0, 0);
          return context?.getImageData(0, 0, image.width, image.height).data ?? [];
        }),
      );
      const [first = [], second = []] = pixels;
      if (first.length !== second.length) return 255;
      let sum = 0;
      for (let index = 0; index < first.length; index++)
        sum += Math.abs((first[index] ?? 0) - (second[index] ?? 0));
      return sum / Math.max(1, first.length);
    },
    [one.toString('base64'), two.toString('base64')],
  );

test('a site is drawn once a revision: then a still picture of it stands there, which looks the same', async ({
  page,
}) => {
  const app = await launchApp();
  try {
    const card = page.getByRole('link', { name: 'Open Marisma Laguna Reserve' });
    const frames = card.locator('iframe');
    const stills = card.locator('img[data-still]');
    await page.goto(app.url);
    await expect(frames.and(page.locator('[data-painted]'))).toHaveCount(2);
    await expect(page.getByText(/open problems/)).toBeVisible();
    const live = await card.screenshot();
    /** How many pictures of a revision are kept. */
    const kept = async (revision: number) =>
      page.evaluate(
        async (wanted) =>
          new Promise<number>((resolve) => {
            const request = indexedDB.open('hamaca-pictures');
            request.onsuccess = () => {
              const { result } = request;
              const end = (count: number) => {
                result.close();
                resolve(count);
              };
              if (!result.objectStoreNames.contains('pictures')) {
                end(0);
                return;
              }
              const all = result.transaction('pictures').objectStore('pictures').getAll();
              all.onsuccess = () => {
                end(
                  (all.result as { revision: number }[]).filter(({ revision: at }) => at === wanted).length,
                );
              };
            };
          }),
        revision,
      );
    // Two pictures of each of the two sites.
    await expect.poll(async () => kept(1)).toBe(4);

    await page.reload();
    await expect(stills).toHaveCount(2);
    await expect(frames).toHaveCount(0);
    await expect
      .poll(() => stills.first().evaluate((image: HTMLImageElement) => image.naturalWidth))
      .toBe(1180);
    expect(await difference(page, live, await card.screenshot())).toBeLessThan(4);

    // What is edited is drawn anew, and the picture of before goes.
    await page.request.patch(`${app.url}/api/sites/marisma`, {
      headers: { 'content-type': 'application/json-patch+json', 'if-match': '"1"' },
      data: JSON.stringify([{ op: 'replace', path: '/pieces/0/rows/1/zones/start/0/text', value: 'Orilla' }]),
    });
    await page.reload();
    await expect(frames.and(page.locator('[data-painted]'))).toHaveCount(2);
    await expect(stills).toHaveCount(0);
    await expect.poll(async () => kept(2)).toBe(2);
    expect(await kept(1)).toBe(2);
    await page.reload();
    await expect(stills).toHaveCount(2);
    expect(await difference(page, live, await card.screenshot())).toBeGreaterThan(0.3);
  } finally {
    await app.stop();
  }
});
