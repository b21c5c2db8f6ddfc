import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strFromU8, unzipSync } from 'fflate';
import type { FrameLocator, Locator, Page } from '@playwright/test';
import { copyDemo, expect, pointNowhere, ROOT, saved, stageFrame, test } from './support/app.ts';
import { pasteInto, startHost } from './support/output.ts';

const OUTLINE = `Visit /visit/
  Opening hours /visit/opening-hours/
  Getting here /visit/getting-here/
Birds /birds/
  Ringing log /birds/ringing-log/
News /news/`;

const cell = (page: Page, property: string, state: string) =>
  page.locator(`[data-cell="${property} ${state}"]`);

async function typeInto(target: Locator, text: string): Promise<void> {
  await target.click();
  await target.page().keyboard.type(text);
  await target.page().keyboard.press('Enter');
}

/** Boxes and styles of everything in the header, as far as a visitor sees them. */
const picture = (root: Locator) =>
  root.evaluate(async (header) => {
    await document.fonts.ready;
    const origin = header.getBoundingClientRect();
    return [header, ...header.querySelectorAll('*')].map((element) => {
      const box = element.getBoundingClientRect();
      const style = getComputedStyle(element);
      const styles = [...style]
        .filter((name) => !/^(outline|perspective-origin|transform-origin|--)/.test(name))
        .map((name) => `${name}:${style.getPropertyValue(name)}`);
      return [
        element.tagName,
        box.x - origin.x,
        box.y - origin.y,
        box.width,
        box.height,
        styles.join(';').replace(/hm-\w+(-fallback)?/g, ''),
      ];
    });
  });

test('from a pasted outline to pasted-in markup', async ({ page }) => {
  // A new site, with what was understood shown before anything is created.
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Marisma Laguna Reserve', exact: true }).first()).toBeVisible();
  await page.getByRole('button', { name: 'New site' }).click();
  await page.getByLabel('Name').fill('Marisma Laguna');
  await page.getByLabel('Address').fill('https://marisma.example');
  await page.getByLabel('Outline of links').fill(OUTLINE);
  const understood = page.getByRole('region', { name: 'What was understood' });
  await expect(understood.getByRole('listitem')).toHaveCount(6);
  await expect(understood.getByText('/visit/getting-here/')).toBeVisible();
  await page.getByRole('button', { name: 'Create the site' }).click();
  await expect(page).toHaveURL(/bench\/header/);
  const id = /sites\/([^/]+)/.exec(page.url())?.[1] ?? '';

  // The bench: click a thing, edit its look, see it on the stage.
  await page.getByLabel('Scene').click();
  await page.getByRole('option', { name: /blank/ }).click();
  let stage: FrameLocator = await stageFrame(page);
  const news = stage.getByRole('link', { name: 'News' });
  await news.click();
  await pointNowhere(page);
  await expect(page.getByRole('heading', { name: 'Link' })).toBeVisible();
  await typeInto(cell(page, 'size', 'rest'), '18');
  await expect(news).toHaveCSS('font-size', '18px');
  await typeInto(cell(page, 'colour', 'hover'), 'Sea');
  await expect(cell(page, 'colour', 'hover')).toHaveAttribute('data-own', 'true');
  await cell(page, 'colour', 'hover').click();
  await expect(page.getByTestId('origin')).toContainText('swatch Sea');
  await expect(news).toHaveCSS('color', 'rgb(11, 100, 119)');
  await page.getByRole('button', { name: 'rest', exact: true }).click();
  await expect(news).toHaveCSS('color', 'rgb(31, 42, 55)');

  // A value that cannot be used is refused in place and the old one stays.
  await cell(page, 'size', 'rest').click();
  await page.keyboard.type('900');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('outside 6 to 200');
  await page.keyboard.press('Escape');
  await expect(news).toHaveCSS('font-size', '18px');

  // Contrast is judged in every state, and mended.
  await typeInto(cell(page, 'colour', 'current'), '#d0d0d0');
  const failing = page.locator('[data-passes="false"]');
  await expect(failing).toHaveCount(1);
  await failing.getByRole('button', { name: 'mend' }).click();
  await expect(failing).toHaveCount(0);

  // One swatch changes everything linked to it.
  await page.getByRole('region', { name: 'Swatches' }).getByRole('button', { name: 'Slate' }).click();
  await page.getByRole('textbox', { name: 'Colour' }).fill('#402010');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await pointNowhere(page);
  await page.getByRole('button', { name: 'rest', exact: true }).click();
  await expect(news).toHaveCSS('color', 'rgb(64, 32, 16)');
  await expect(stage.getByRole('link', { name: 'Visit' })).toHaveCSS('color', 'rgb(64, 32, 16)');

  // A call to action.
  await page.getByRole('button', { name: 'Add a part at the end of Main' }).click();
  await page.getByRole('menuitem', { name: 'Call to action' }).click();
  await page.getByLabel('label', { exact: true }).fill('Book a hide');
  await page.keyboard.press('Enter');
  await page.getByLabel('leads to', { exact: true }).fill('/visit/');
  await page.keyboard.press('Enter');
  await expect(stage.getByRole('link', { name: 'Book a hide' })).toHaveAttribute('href', '/visit/');

  // Links: rename, retarget, add, nest, move, remove.
  await page.getByRole('link', { name: 'Links' }).click();
  const outline = page.getByRole('treegrid');
  const row = (label: string) =>
    outline.getByRole('row').filter({ has: page.locator(`input[value="${label}"]`) });
  await row('News').getByLabel('Label', { exact: true }).fill('Latest');
  await page.keyboard.press('Enter');
  await page.keyboard.type('Contact');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.type('mailto:hello@marisma.example');
  await page.keyboard.press('Tab');
  await expect(outline.getByRole('row')).toHaveCount(7);
  await row('Contact').getByLabel('Label', { exact: true }).click();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(outline.getByRole('row').nth(5).getByLabel('Label', { exact: true })).toHaveValue('Contact');
  await page.keyboard.press('Tab');
  await expect(outline.getByRole('row').nth(5)).toHaveAttribute('aria-level', '2');
  await page.keyboard.press('Shift+Tab');
  await expect(row('Contact')).toHaveAttribute('aria-level', '1');
  await row('Getting here').getByRole('button', { name: 'Details of Getting here' }).click();
  await page.getByRole('button', { name: 'Remove Getting here' }).click();
  await expect(outline.getByRole('row')).toHaveCount(6);

  // Undo and redo, also after a reload.
  await page.keyboard.press('Control+z');
  await expect(outline.getByRole('row')).toHaveCount(7);
  await saved(page);
  await page.reload();
  await expect(outline.getByRole('row')).toHaveCount(7);
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  await page.keyboard.press('Control+Shift+z');
  await expect(outline.getByRole('row')).toHaveCount(6);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(outline.getByRole('row')).toHaveCount(7);
  await saved(page);

  // The hand-off: what the stage showed, byte for byte what the command line writes.
  await page.getByRole('link', { name: 'Bench' }).click();
  stage = await stageFrame(page);
  await page.getByLabel('Scene').click();
  await page.getByRole('option', { name: /blank/ }).click();
  await page.getByRole('navigation', { name: 'Parts' }).getByRole('button', { name: 'Bar' }).click();
  await pointNowhere(page);
  const shown = await picture(stage.locator('.hm-header'));
  const frame = await page
    .locator('iframe[title="Stage"]')
    .evaluate(({ clientWidth, clientHeight }) => ({ width: clientWidth, height: clientHeight }));

  await page.getByRole('link', { name: 'Hand-off' }).click();
  await expect(page.getByText(/B gzip/).first()).toBeVisible();
  await expect(page.getByLabel('Markup code')).toContainText('Latest');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Download the zip' }).click(),
  ]);
  const zip = unzipSync(readFileSync(await download.path()));
  const folder = mkdtempSync(join(tmpdir(), 'hamaca-journey-'));
  const [siteFile] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the site as a file' }).click(),
  ]);
  writeFileSync(join(folder, 'site.json'), readFileSync(await siteFile.path()));
  execFileSync(
    'node',
    ['cli/bin/hamaca.mjs', 'export', join(folder, 'site.json'), '--out', join(folder, 'out')],
    { cwd: ROOT },
  );
  for (const [name, bytes] of Object.entries(zip))
    expect(Buffer.from(bytes).equals(readFileSync(join(folder, 'out', name))), name).toBe(true);

  const host = await startHost();
  host.put(
    pasteInto(
      new Map(
        Object.entries(zip).map(([name, bytes]) => [
          name,
          /\.(html|css|js)$/.test(name) ? new TextDecoder().decode(bytes) : bytes,
        ]),
      ),
      { before: 'body{margin:0}' },
    ),
  );
  const pasted = await page.context().newPage();
  await pasted.setViewportSize(frame);
  await pasted.goto(host.url);
  expect(await picture(pasted.locator('.hm-header'))).toEqual(shown);
  await host.close();

  // The site file opens as the same site.
  await page.goto('/new');
  await page.getByLabel('Site file').setInputFiles(join(folder, 'site.json'));
  await expect(page).toHaveURL(/bench\/header/);
  expect(page.url()).not.toContain(id);
  await expect((await stageFrame(page)).getByRole('link', { name: 'Latest' })).toBeVisible();
});

test('the names of the hand-off begin with what is typed, here and in the zip', async ({ page }) => {
  await page.goto(`/sites/${await copyDemo(page)}/hand-off`);
  const field = page.getByLabel('Names begin with');
  await field.fill('Reed');
  await field.press('Enter');
  await expect(page.getByRole('alert')).toContainText('a small letter');
  await field.fill('reed-');
  await field.press('Enter');
  const code = page.getByRole('region', { name: 'Code' });
  await expect(code).toContainText('class="reed-main-row"');
  await page.reload();
  await expect(code).toContainText('class="reed-main-row"');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Download the zip' }).click(),
  ]);
  const files = unzipSync(new Uint8Array(readFileSync(await download.path())));
  expect(strFromU8(files['menu.css'] ?? new Uint8Array())).toContain('.reed-main-row');
});
