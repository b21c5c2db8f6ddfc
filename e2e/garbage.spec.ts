import { copyDemo, expect, PLAIN, savedSite, stageFrame, test } from './support/app.ts';

const understood = (page: import('@playwright/test').Page) =>
  page.getByRole('region', { name: 'What was understood' });

test('pastes of any garbage give a clear answer, never live markup, never a crash', async ({ page }) => {
  const alerts: string[] = [];
  page.on('dialog', (dialog) => {
    alerts.push(dialog.message());
    void dialog.dismiss();
  });
  page.on('pageerror', (error) => {
    alerts.push(error.message);
  });
  await page.goto('/new');
  const outline = page.getByLabel('Outline of links');
  await outline.fill('<img src=x onerror=alert(1)>\n\tBirds javascript:alert(2)\n\u0000\u0001\n');
  await expect(understood(page).getByText('<img src=x onerror=alert(1)>')).toBeVisible();
  await expect(understood(page).getByText(/"javascript:" is not allowed/)).toBeVisible();
  await outline.fill('x'.repeat(5_000_000));
  await expect(understood(page).getByText('1 link, 1 remark')).toBeVisible();
  await outline.fill(
    Array.from({ length: 20 }, (_, index) => `${' '.repeat(index)}Level ${index + 1}`).join('\n'),
  );
  await expect(understood(page).getByText('20 links, 0 remarks')).toBeVisible();

  await page.getByRole('button', { name: 'Paste markup of a page' }).click();
  const markup = page.getByLabel('Markup');
  await markup.fill('<nav><a href="javascript:alert(3)">&lt;script&gt;</a><svg onload=alert(4)></nav>');
  await expect(understood(page).getByText('<script>', { exact: true })).toBeVisible();
  await markup.fill(`<nav>${'<a href="/x">Link</a>'.repeat(25_000)}</nav>`);
  await expect(understood(page).getByText('20000 links, 1 remark')).toBeVisible();
  await markup.fill('<<<>>> \u0000 ]]>');
  await expect(understood(page).getByText(/No links were found/)).toBeVisible();
  expect(alerts).toEqual([]);
});

test('markup in labels stays text on the stage and in the hand-off', async ({ page }) => {
  const alerts: string[] = [];
  page.on('dialog', (dialog) => {
    alerts.push(dialog.message());
    void dialog.dismiss();
  });
  await page.goto('/new');
  await page.getByLabel('Name').fill('</title><script>alert(1)</script>');
  await page
    .getByLabel('Outline of links')
    .fill('<img src=x onerror=alert(2)> /a\n"quoted" & <b>bold</b> /b');
  await expect(understood(page).getByText('2 links')).toBeVisible();
  await page.getByRole('button', { name: 'Create the site' }).click();
  const stage = await stageFrame(page);
  await expect(stage.getByRole('link', { name: '<img src=x onerror=alert(2)>' })).toBeAttached();
  expect(await stage.locator('img').count()).toBe(0);
  await page.getByRole('link', { name: 'Hand-off' }).click();
  await expect(page.getByLabel('Markup code')).toContainText('&lt;img src=x onerror=alert(2)&gt;');
  await page.goto('/');
  expect(alerts).toEqual([]);
});

test('site files that are none are refused with the reason and nothing is created', async ({ page }) => {
  await page.goto('/new');
  const count = async () =>
    ((await (await page.request.get('/api/sites')).json()) as { sites: unknown[] }).sites.length;
  const before = await count();
  const demo = structuredClone(PLAIN) as unknown as { palette: { value: string }[] };
  if (demo.palette[0]) demo.palette[0].value = 'reddish';
  for (const [content, reason] of [
    ['{', 'not JSON'],
    ['[]', 'not a Hamaca site'],
    [JSON.stringify(demo), 'In swatch 1: found "reddish"'],
    [`${'['.repeat(50_000)}${']'.repeat(50_000)}`, 'nested more than'],
  ] as const) {
    await page
      .getByLabel('Site file')
      .setInputFiles({ name: 'site.json', mimeType: 'application/json', buffer: Buffer.from(content) });
    await expect(page.getByRole('alert')).toContainText(reason);
  }
  expect(await count()).toBe(before);
});

test('a target that may not stand is refused in its field and the old one stays', async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/links`);
  const target = page.getByLabel('Target of Visit', { exact: true });
  await target.fill('javascript:alert(1)');
  await target.press('Enter');
  await expect(page.getByRole('alert')).toContainText('not allowed');
  await target.press('Escape');
  await expect(target).toHaveValue('/visit/');
  await target.fill('sight');
  await page
    .getByRole('listbox', { name: /sections/ })
    .getByRole('option', { name: /sightings/ })
    .click();
  await expect(target).toHaveValue('/birds/sightings/');
  await page.locator('[data-saving="saved"]').waitFor();
  expect(JSON.stringify(await savedSite(page, id))).toContain('"page":"page-birds-sightings"');
});
