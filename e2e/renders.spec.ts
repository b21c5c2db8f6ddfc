import type { Page } from '@playwright/test';
import { copyDemo, expect, saved, stageFrame, test } from './support/app.ts';

/** Most components drawn anew for one letter typed in a cell, in all commits it leads to. */
const MOST = 120;

interface Fiber {
  readonly tag: number;
  readonly flags: number;
  readonly child: Fiber | null;
  readonly sibling: Fiber | null;
  readonly alternate: Fiber | null;
  readonly type: { readonly name?: string } | null;
}

/** Counts the components that React draws, by the hook that it tells of every commit. */
async function countRenders(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const COMPONENTS = [0, 1, 11, 14, 15];
    const PERFORMED = 1;
    const counted: string[] = [];
    const visit = (next: Fiber, before: Fiber | null) => {
      if (next === before) return;
      if (COMPONENTS.includes(next.tag) && (before === null || (next.flags & PERFORMED) !== 0))
        counted.push(next.type?.name ?? '');
      if (before !== null && next.child === before.child) return;
      for (let child = next.child; child; child = child.sibling) visit(child, child.alternate);
    };
    Object.assign(window, {
      rendersCounted: counted,
      __REACT_DEVTOOLS_GLOBAL_HOOK__: {
        supportsFiber: true,
        inject: () => 1,
        checkDCE: () => undefined,
        onCommitFiberUnmount: () => undefined,
        onCommitFiberRoot: (_id: number, root: { current: Fiber }) => {
          visit(root.current, root.current.alternate);
        },
      },
    });
  });
}

/** What was drawn since this was asked last, once nothing more has been for a while. */
async function taken(page: Page): Promise<string[]> {
  const drawn = async () =>
    page.evaluate(() => (window as unknown as { rendersCounted: string[] }).rendersCounted.length);
  let before = -1;
  for (let now = await drawn(); now !== before; now = await drawn()) {
    before = now;
    await page.waitForTimeout(600);
  }
  return page.evaluate(() => (window as unknown as { rendersCounted: string[] }).rendersCounted.splice(0));
}

test(`a letter typed in a cell draws fewer than ${MOST} components anew`, async ({ page }) => {
  await countRenders(page);
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/bench/header`);
  const stage = await stageFrame(page);
  await page
    .getByRole('navigation', { name: 'Parts' })
    .getByRole('button', { name: 'Call to action', exact: true })
    .click();
  const padding = page.locator('[data-cell="paddingInline rest"]');
  await padding.click();
  await page.keyboard.type('2');
  expect((await taken(page)).length).toBeGreaterThan(0);
  await page.keyboard.type('7');
  await expect(stage.getByRole('link', { name: 'Book a hide' })).toHaveCSS('padding-left', '27px');
  const letter = await taken(page);
  if (process.env['SHOW_RENDERS']) console.log(letter.length, tally(letter));
  expect(letter.length).toBeGreaterThan(0);
  expect(letter.length, tally(letter)).toBeLessThan(MOST);
  await page.keyboard.press('Enter');
  await saved(page);
});

/** The names drawn most often, most often first. */
function tally(names: readonly string[]): string {
  const counts = new Map<string, number>();
  for (const name of names) counts.set(name, (counts.get(name) ?? 0) + 1);
  return [...counts]
    .sort(([, a], [, b]) => b - a)
    .slice(0, 40)
    .map(([name, count]) => `${name || '?'} ${count}`)
    .join(', ');
}
