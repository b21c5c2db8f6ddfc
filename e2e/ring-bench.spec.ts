import type { Page } from '@playwright/test';
import { still } from './support/motion.ts';
import { copyDemo, expect, saved, savedSite, stageFrame, test } from './support/app.ts';
import { orilla } from './support/output.ts';

/** The bench of the quartet’s ring with its links open on a high stage. */
async function openRing(page: Page) {
  await page.setViewportSize({ width: 1280, height: 1000 });
  const id = await copyDemo(page, orilla());
  await page.goto(`/sites/${id}/bench/ring`);
  const stage = await stageFrame(page);
  await page
    .getByRole('navigation', { name: 'Parts' })
    .getByRole('button', { name: 'Links around it' })
    .click();
  const links = stage.locator('[class$="-ring"] > li');
  await expect(links.first()).toHaveCSS('opacity', '1');
  await still(links.first());
  return { id, links };
}

type Opened = Awaited<ReturnType<typeof openRing>>;

const middleOf = async ({ links }: Opened, index: number) => {
  const box = await links.nth(index).boundingBox();
  if (!box) throw new Error('no box');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};

/** What the ring’s look says of its arc. */
const said = async (page: Page, id: string) => {
  const site = await savedSite(page, id);
  const piece = site.pieces.find((one) => one.kind === 'floating');
  const part = piece?.kind === 'floating' ? piece.blocks[0]?.parts[0] : undefined;
  return part?.look['ring']?.all?.rest?.['all'] ?? {};
};

test('a ring is turned, widened and moved by dragging its links; Escape leaves it as it was', async ({
  page,
}) => {
  const ring = await openRing(page);
  const { id } = ring;
  const before = await middleOf(ring, 2);
  // Turned: a link of its middle is dragged around.
  await page.mouse.move(before.x, before.y);
  await page.mouse.down();
  await page.mouse.move(before.x + 30, before.y - 12, { steps: 6 });
  await page.mouse.up();
  const turn = async () => (await said(page, id)).ringTurn;
  const span = async () => (await said(page, id)).ringSpan;
  await expect.poll(turn).toEqual(expect.any(Number));
  expect(await turn()).not.toBe(0);
  await page.keyboard.press('Control+z');
  await expect.poll(turn).toBeUndefined();
  // Narrowed: its first link is dragged toward the middle.
  await still(ring.links.first());
  const first = await middleOf(ring, 0);
  const next = await middleOf(ring, 1);
  await page.mouse.move(first.x, first.y);
  await page.mouse.down();
  await page.mouse.move((first.x + next.x) / 2, (first.y + next.y) / 2, { steps: 6 });
  await page.mouse.up();
  await expect.poll(span).toBeGreaterThan(20);
  const narrowed = await span();
  // Escape while dragging.
  await still(ring.links.first());
  const again = await middleOf(ring, 2);
  await page.mouse.move(again.x, again.y);
  await page.mouse.down();
  await page.mouse.move(again.x - 40, again.y + 10, { steps: 6 });
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await saved(page);
  expect(await turn()).toBeUndefined();
  expect(await span()).toBe(narrowed);
});

test('what finds no room on the arc is told where it is seen', async ({ page }) => {
  const { id } = await openRing(page);
  await page.locator('[data-cell="ringForm rest"]').click();
  await page.getByRole('button', { name: 'arc', exact: true }).click();
  await page.locator('[data-cell="ringSpan rest"]').click();
  await page.keyboard.type('2');
  await page.keyboard.press('Enter');
  await expect.poll(async () => (await said(page, id)).ringSpan).toBe(2);
  await page.getByRole('link', { name: 'Checks' }).click();
  await expect(page.getByText('More links than an arc holds')).toBeVisible();
});
