import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { copyDemo, expect, ROOT, saved, stageFrame, test } from './support/app.ts';

/** A page that is none of the demo's, with its stylesheet. */
const PAGE = `<!doctype html><html lang="en"><head><title>Old boats</title>
<link rel="stylesheet" href="css/site.css"><script>document.title = 'ran'</script><meta http-equiv="refresh" content="0;url=/elsewhere">
</head><body onload="document.title='loaded'"><header class="top"><a class="home" href="/">Boats</a>
<nav><ul class="menu"><li><a href="/hire" onclick="document.title='clicked'">Hire</a><ul class="sub"><li><a href="/hire/day">By day</a></li></ul></li>
<li class="is-active"><a href="/about">About</a></li></ul></nav></header>
<main><h1>Old boats</h1><p>Some words.</p><form action="/send"><button>Send</button></form><iframe src="/frame"></iframe></main></body></html>`;

const CSS = `:root { --blue: #0000ff }
body { background: rgb(250 240 230) }
a { color: var(--blue) }
.menu a { color: #333; padding: 8px }
.menu a:hover { color: blue; background: rgb(0 0 255 / .1) }
.menu .is-active a { font-weight: 700 }
@media (max-width: 600px) { .menu a { padding: 16px } }
`;

/** Brings the page along from its files, in a copy of the demo. */
async function bringAlong(page: Page): Promise<string> {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/bench`);
  await page.getByRole('button', { name: 'Add a piece' }).click();
  await page.getByRole('menuitem', { name: 'A page that exists already…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Bring a page along that exists already' });
  await dialog.getByLabel('Markup of the page').fill(PAGE.replace('css/site.css', 'none.css'));
  await dialog.getByLabel('Stylesheet of the page').fill(CSS);
  await dialog.getByRole('button', { name: 'Read what is pasted' }).click();
  await expect(dialog.getByRole('region', { name: 'What was read' })).toContainText('Old boats');
  await dialog.getByRole('button', { name: 'Bring it along' }).click();
  await expect(page).toHaveURL(/bench\/page/);
  await saved(page);
  return id;
}

test('a page that exists is brought along, its elements are chosen, and each value says where it comes from', async ({
  page,
}) => {
  await bringAlong(page);
  const stage = await stageFrame(page);
  await expect(stage.getByRole('link', { name: 'Hire' })).toBeVisible();
  await page.screenshot({ path: join(ROOT, 'test-results/foreign.png') });
});
