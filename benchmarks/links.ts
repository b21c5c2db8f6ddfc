import type { Page } from '@playwright/test';
import { runChecks, loadSite, readSitemap, sitemapPages, type MenuItem, type Site } from '@hamaca/core';

/** Links in the large menu, and addresses in the large sitemap. */
export const LARGE = { links: 5000, addresses: 50_000 } as const;

/** A site with as many links on three levels, and as many pages. */
export function largeSite(site: Site, links: number = LARGE.links): Site {
  const pages = Array.from({ length: links }, (_, index) => ({
    id: `p${index}`,
    path: `/log/${Math.floor(index / 50)}/${index}/`,
    title: `Entry ${index} of the ringing log`,
    sections: [],
    listed: true,
  }));
  const item = (index: number, children: MenuItem[] = []): MenuItem => ({
    id: `l${index}`,
    label: `Entry ${index}`,
    target: { kind: 'page', page: `p${index}` },
    children,
  });
  const items: MenuItem[] = [];
  for (let index = 0; index + 24 < links; index += 25) {
    items.push(
      item(
        index,
        Array.from({ length: 4 }, (_, group) =>
          item(
            index + 1 + group * 6,
            Array.from({ length: 5 }, (_entry, place) => item(index + 2 + group * 6 + place)),
          ),
        ),
      ),
    );
  }
  const large = {
    ...site,
    pages: [...site.pages, ...pages],
    menus: [{ id: 'large', name: 'Large', items }, ...site.menus],
  };
  const loaded = loadSite(large);
  if (!loaded.ok) throw new Error(loaded.error[0]?.message);
  return loaded.value;
}

export const largeSitemap = () =>
  `<?xml version="1.0" encoding="UTF-8"?><urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">${Array.from({ length: LARGE.addresses }, (_, index) => `<url><loc>https://marisma.example/log/${Math.floor(index / 200)}/entry-${index}/</loc><lastmod>2026-01-01</lastmod></url>`).join('')}</urlset>`;

export const checkCopy = (site: Site) => runChecks(structuredClone(site));
export const readLargeSitemap = (text: string) =>
  sitemapPages(readSitemap(text).addresses, 'https://marisma.example');

/** Main-thread time in ms that each typed letter takes in the outline, layout included. The caret is in a label. */
export async function typingWork(page: Page, letters: number): Promise<number[]> {
  return page.evaluate(async (count) => {
    const field = document.activeElement as HTMLInputElement;
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
    const times: number[] = [];
    for (let index = 0; index < count; index++) {
      await new Promise((resolve) => {
        setTimeout(resolve, 25);
      });
      const start = performance.now();
      set?.call(field, `${field.value}x`);
      field.dispatchEvent(new InputEvent('input', { bubbles: true }));
      await Promise.resolve();
      document.body.getBoundingClientRect();
      times.push(performance.now() - start);
    }
    return times;
  }, letters);
}

/** Main-thread time in ms that each step of a drag takes, layout included. A drag is under way. */
export async function dragWork(page: Page, steps: number): Promise<number[]> {
  return page.evaluate(async (count) => {
    const list = document.querySelector('[data-outline]')?.getBoundingClientRect();
    const times: number[] = [];
    for (let index = 0; index < count; index++) {
      await new Promise((resolve) => {
        setTimeout(resolve, 25);
      });
      const start = performance.now();
      window.dispatchEvent(
        new PointerEvent('pointermove', {
          clientX: (list?.left ?? 0) + 200,
          clientY: (list?.top ?? 0) + 40 + ((index * 37) % 360),
          bubbles: true,
        }),
      );
      await Promise.resolve();
      document.body.getBoundingClientRect();
      times.push(performance.now() - start);
    }
    return times;
  }, steps);
}

/** Opens Links on a large site and measures it: ms by what was done. */
export async function measureLinks(page: Page, url: string, site: Site) {
  const { id } = (await (await page.request.post(`${url}/api/sites`, { data: site })).json()) as {
    id: string;
  };
  const label = page.getByLabel('Label', { exact: true });
  const start = performance.now();
  await page.goto(`${url}/sites/${id}/links`);
  await label.nth(3).waitFor();
  const opened = performance.now() - start;
  await page.waitForTimeout(2000);
  await label.nth(3).click();
  const typing = await typingWork(page, 60);
  await page.keyboard.press('Escape');
  const from = await page.locator('[title^="Drag to move"]').nth(3).boundingBox();
  if (!from) throw new Error('no handle');
  await page.mouse.move(from.x + 5, from.y + 8);
  await page.mouse.down();
  await page.mouse.move(from.x + 60, from.y + 90, { steps: 4 });
  const dragging = await dragWork(page, 60);
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await page.getByRole('button', { name: 'Fill…' }).click();
  await page.getByLabel('Sitemap or page as text').fill('https://marisma.example/');
  await page.evaluate((text) => {
    const files = new DataTransfer();
    files.items.add(new File([text], 'sitemap.xml'));
    const input = document.querySelector<HTMLInputElement>('input[aria-label="Sitemaps, pages or archives"]');
    if (!input) throw new Error('no input');
    input.files = files.files;
    Object.assign(window, { began: performance.now() });
    input.dispatchEvent(new Event('change', { bubbles: true }));
  }, largeSitemap());
  await page.getByText(`${LARGE.addresses} new pages`).waitFor();
  const sitemap = await page.evaluate(
    () => performance.now() - (window as unknown as { began: number }).began,
  );
  await page.request.delete(`${url}/api/sites/${id}`);
  return { opened, typing, dragging, sitemap };
}
