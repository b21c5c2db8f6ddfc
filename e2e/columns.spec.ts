import { expect, type Browser, type Page } from '@playwright/test';
import {
  createColumn,
  makePart,
  pieceKindById,
  type Part,
  type Piece,
  type PropertyId,
  type Section,
  type Site,
  type Value,
} from '@hamaca/core';
import { demoSite, edited, handOff, type Host } from './support/output.ts';
import { axe, test } from './support/pasted.ts';

const words = (id: string, text: string, yearKept = false): Part =>
  makePart('text', id, {
    entries: [{ id: `${id}-entry`, text, target: { kind: 'url', url: `/${id}/` }, icon: null }],
    yearKept,
  });

/** The demo with a footer of columns; what they say in which band. */
function columned(
  columns: readonly Partial<ReturnType<typeof createColumn>>[],
  says: Readonly<Partial<Record<PropertyId, Value>>> = {},
  narrow: Readonly<Partial<Record<PropertyId, Value>>> = {},
): Site {
  const site = demoSite();
  const sections = columns.map((own, index) => ({
    ...createColumn(`column-${index}`, `Column ${index}`, [words(`text-${index}`, `Words ${index}`)]),
    ...own,
  }));
  const made = pieceKindById('footer').create({
    id: 'foot',
    name: 'Foot',
    freshId: () => 'unused',
    site: null,
  }) as unknown as Piece;
  const footer = {
    ...made,
    look: { columns: { all: { rest: { all: says, phone: narrow } } } },
    sections: sections as readonly Section[],
  };
  return edited(site, { name: 'add-piece', args: { piece: footer as Piece } });
}

async function open(page: Page, host: Host, site: Site, width: number, direction = 'ltr'): Promise<void> {
  const output = handOff(site);
  const own = String(output.get('index.html')).replace(/dir="\w+"/, `dir="${direction}"`);
  const html = own.includes('<main>')
    ? own.replace('<main>', '<main><h1>The reserve</h1>')
    : own.replace('</header>', '</header><main><h1>The reserve</h1></main>');
  host.put(new Map([...output, ['index.html', html]]));
  await page.setViewportSize({ width, height: 700 });
  await page.goto(host.url);
}

/** Looks at a page that runs no script. */
async function withoutScript(browser: Browser, look: (page: Page) => Promise<void>): Promise<void> {
  const bare = await browser.newContext({ javaScriptEnabled: false });
  await look(await bare.newPage());
  await bare.close();
}

/** The columns as they are seen: where each begins, and in which line it stands. */
const boxes = (page: Page) =>
  page.locator('[class*="-columns"] > *').evaluateAll((columns) =>
    columns.map((column) => {
      const { left, right, top, width } = column.getBoundingClientRect();
      return {
        left: Math.round(left),
        right: Math.round(right),
        top: Math.round(top),
        width: Math.round(width),
      };
    }),
  );

const lines = (list: readonly { readonly top: number }[]) => new Set(list.map(({ top }) => top)).size;

const sideways = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);

const SIX = [{}, {}, {}, {}, {}, {}];

test('as many columns as have room stand in a line, from phones to wide windows, and none is ever pushed out', async ({
  page,
  host,
}) => {
  const site = columned(SIX, { columnsLeast: 200, gap: 40 });
  const seen: number[] = [];
  for (const width of [320, 480, 768, 1024, 1600]) {
    await open(page, host, site, width);
    const list = await boxes(page);
    expect(list).toHaveLength(6);
    expect(await sideways(page), String(width)).toBeLessThanOrEqual(0);
    for (const { width: own } of list) expect(own).toBeGreaterThanOrEqual(Math.min(200, width - 48) - 1);
    seen.push(lines(list));
  }
  // 24 px of padding at both sides, 200 px each and 40 px between.
  expect(seen).toEqual([6, 6, 2, 2, 1]);
});

test('a number of columns stands in a line, as wide as each says; on phones they stand beneath one another', async ({
  page,
  host,
}) => {
  const look = (values: object) => ({ look: { column: { all: { rest: { all: values } } } } });
  const site = columned(
    [look({ columnShare: 2 }), {}, look({ columnWidth: 240 }), {}],
    { columnsCount: 3, gap: 30 },
    { columnsStand: 'beneath one another' },
  );
  await open(page, host, site, 1280);
  const [first, second, third, fourth] = await boxes(page);
  expect(third?.width).toBe(240);
  expect(first && second && first.width / second.width).toBeCloseTo(2, 1);
  // The fourth begins the next line, under the first.
  expect(fourth?.left).toBe(first?.left);
  expect(fourth?.top).toBeGreaterThan(first?.top ?? 0);
  await open(page, host, site, 390);
  const stacked = await boxes(page);
  expect(lines(stacked)).toBe(4);
  expect(new Set(stacked.map(({ left }) => left)).size).toBe(1);
});

/** The colour of a point of the page, in px of the window. */
async function pixel(page: Page, x: number, y: number): Promise<string> {
  const shot = await page.screenshot({ clip: { x, y, width: 1, height: 1 } });
  return page.evaluate(async (data) => {
    const bitmap = await createImageBitmap(await (await fetch(`data:image/png;base64,${data}`)).blob());
    const canvas = new OffscreenCanvas(1, 1);
    const context = canvas.getContext('2d');
    context?.drawImage(bitmap, 0, 0);
    return [...(context?.getImageData(0, 0, 1, 1).data ?? [])].slice(0, 3).join();
  }, shot.toString('base64'));
}

const RED = '255,0,0';
const LINE: Value = { line: { width: 2, style: 'solid', colour: { literal: '#ff0000' } } };

for (const direction of ['ltr', 'rtl'])
  test(`lines stand in the gaps and nowhere else, wherever columns go on in a further line (${direction})`, async ({
    page,
    host,
  }) => {
    for (const says of [{ columnsLeast: 300 }, { columnsCount: 3 }]) {
      await open(
        page,
        host,
        columned(SIX.slice(0, 5), { ...says, gap: 40, columnsLine: LINE }),
        1100,
        direction,
      );
      const list = await boxes(page);
      expect(lines(list)).toBe(2);
      await page.locator('[class*="-columns"]').scrollIntoViewIfNeeded();
      const placed = await boxes(page);
      const before = ({ left, right }: { left: number; right: number }) =>
        direction === 'ltr' ? left - 20 : right + 18;
      const colours: string[] = [];
      for (const box of placed) colours.push(await pixel(page, before(box), box.top + 8));
      const first =
        direction === 'ltr'
          ? Math.min(...placed.map(({ left }) => left))
          : Math.max(...placed.map(({ right }) => right));
      placed.forEach((box, index) => {
        const beginsLine = (direction === 'ltr' ? box.left : box.right) === first;
        if (beginsLine) expect(colours[index], `column ${index}`).not.toBe(RED);
        else expect(colours[index], `column ${index}`).toBe(RED);
      });
    }
  });

test('columns fold under their headings on phones, by key and by tap, and are headings elsewhere', async ({
  page,
  host,
  browser,
}) => {
  const site = columned([
    { heading: 'Find us', foldsFrom: 'phone' },
    { heading: 'Write to us', foldsFrom: 'phone' },
  ]);
  await open(page, host, site, 1280);
  await expect(page.getByRole('heading', { name: 'Find us' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Find us' })).toBeHidden();
  await expect(page.getByRole('link', { name: 'Words 0' })).toBeVisible();
  await open(page, host, site, 390);
  expect(await axe(page)).toEqual([]);
  await expect(page.getByRole('link', { name: 'Words 0' })).toBeHidden();
  await page.getByRole('button', { name: 'Find us' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'Words 0' })).toBeVisible();
  await page.getByRole('button', { name: 'Write to us' }).click();
  // One does not close the other.
  await expect(page.getByRole('link', { name: 'Words 0' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Words 1' })).toBeVisible();
  expect(await axe(page)).toEqual([]);
  await withoutScript(browser, async (plain) => {
    await open(plain, host, site, 390);
    await expect(plain.getByRole('heading', { name: 'Find us' })).toBeVisible();
    await expect(plain.getByRole('link', { name: 'Words 0' })).toBeVisible();
  });
});

test('the year of a legal line is the one it is; without a script it stays as written', async ({
  page,
  host,
  browser,
}) => {
  const site = columned([{ parts: [words('legal', '© 2011–2019 Marisma', true)] }]);
  await open(page, host, site, 800);
  const year = String(await page.evaluate(() => new Date().getFullYear()));
  await expect(page.getByRole('link', { name: `© 2011–${year} Marisma` })).toBeVisible();
  await withoutScript(browser, async (plain) => {
    await open(plain, host, site, 800);
    await expect(plain.getByRole('link', { name: '© 2011–2019 Marisma' })).toBeVisible();
  });
});

test('a sidebar goes into the panel as a whole where the page is narrow, and comes back', async ({
  page,
  host,
  browser,
}) => {
  const demo = demoSite();
  const side = pieceKindById('sidebar').create({
    id: 'side',
    name: 'Beside',
    freshId: (() => {
      let count = 0;
      return () => `side-${++count}`;
    })(),
    site: demo,
  }) as unknown as Piece;
  const added = edited(demo, { name: 'add-piece', args: { piece: { ...side, boxFrom: null } as Piece } });
  const site = edited(added, { name: 'fold-part', args: { id: 'side', from: 'phone', panel: 'panel' } });
  await open(page, host, site, 1280);
  const beside = page.getByRole('complementary', { name: 'Beside' });
  await expect(beside.getByRole('heading', { name: 'In this section' })).toBeVisible();
  await page.setViewportSize({ width: 390, height: 700 });
  await expect(page.locator('aside[class^="hm-"]')).toBeHidden();
  await page.getByRole('banner').getByRole('button').last().click();
  const panel = page.getByRole('dialog');
  await expect(panel.getByRole('heading', { name: 'In this section' })).toBeVisible();
  await expect(panel.getByRole('navigation', { name: 'Sidebar' })).toBeVisible();
  expect(await axe(page)).toEqual([]);
  expect(await sideways(page)).toBeLessThanOrEqual(0);
  await page.setViewportSize({ width: 1280, height: 700 });
  await expect(panel).toBeHidden();
  await expect(beside.getByRole('heading', { name: 'In this section' })).toBeVisible();
  await withoutScript(browser, async (plain) => {
    await open(plain, host, site, 390);
    await expect(plain.getByRole('complementary').getByRole('navigation')).toBeVisible();
  });
});
