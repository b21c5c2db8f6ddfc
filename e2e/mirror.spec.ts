import { STARTERS, type Site } from '@hamaca/core';
import { expect, test, type Page } from '@playwright/test';
import { randomHeader } from '../core/test/random-header.ts';
import { seeded } from '../core/test/random-site.ts';
import { loadFaces } from './support/faces.ts';
import { demoSite, designedDemo, handOff, marisma, startHost } from './support/output.ts';

/*
 * Right to left is left to right in a mirror: every box of every header stands at the same distance from the other edge,
 * as high and as wide. Labels are the same letters in both, so that they are as wide.
 */

const HEADERS = Number(process.env['HAMACA_MIRROR_HEADERS'] ?? 16);

interface Box {
  readonly what: string;
  readonly start: number;
  readonly end: number;
  readonly top: number;
  readonly height: number;
}

/** The boxes of all elements of the output that are seen, with distances from the edge where lines start. */
const boxes = (page: Page): Promise<Box[]> =>
  page.evaluate(() => {
    const isMirrored = document.documentElement.dir === 'rtl';
    const room = document.documentElement.clientWidth;
    return [...document.querySelectorAll('[class^="hm-"], [class^="hm-"] *')].flatMap((element) => {
      // What lies within a drawing is never mirrored.
      if (element.closest('svg') !== null && element.tagName !== 'svg') return [];
      const { left, right, top, height, width } = element.getBoundingClientRect();
      if (width === 0 || height === 0) return [];
      return [
        {
          what: `${element.tagName} ${element.className} ${element.textContent.trim().slice(0, 20)}`,
          start: isMirrored ? room - right : left,
          end: isMirrored ? room - left : right,
          top,
          height,
        },
      ];
    });
  });

/** Boxes that stand elsewhere in the mirror, by more than a pixel. */
function strayed(one: readonly Box[], other: readonly Box[]): string[] {
  if (one.length !== other.length) return [`${one.length} boxes, ${other.length} in the mirror`];
  return one.flatMap((box, index) => {
    const mirrored = other[index];
    if (!mirrored) return [];
    const off = Math.max(
      Math.abs(box.start - mirrored.start),
      Math.abs(box.end - mirrored.end),
      Math.abs(box.top - mirrored.top),
      Math.abs(box.height - mirrored.height),
    );
    return off > 1
      ? [
          `${box.what}: ${Math.round(box.start)}–${Math.round(box.end)}, mirrored ${Math.round(mirrored.start)}–${Math.round(mirrored.end)}`,
        ]
      : [];
  });
}

const CASES: readonly (readonly [string, Site])[] = [
  ['the demo', demoSite()],
  ['Marisma', marisma()],
  ...STARTERS.map((design) => [design.name, designedDemo(design)] as const),
  ...Array.from(
    { length: HEADERS },
    (_, index) => [`random header ${index + 1}`, randomHeader(seeded(index + 1))] as const,
  ),
];

test('right to left, every header stands as in a mirror, wide and narrow', async ({ page }) => {
  const host = await startHost();
  const wrong: string[] = [];
  for (const [name, site] of CASES) {
    const directions = (['ltr', 'rtl'] as const).map(
      (direction) => [direction, handOff({ ...site, direction })] as const,
    );
    for (const width of [1280, 600, 360]) {
      const seen: Box[][] = [];
      for (const [direction, output] of directions) {
        host.put(output);
        await page.setViewportSize({ width, height: 900 });
        await page.goto(host.url);
        await page.locator('html').evaluate((root, dir) => {
          root.setAttribute('dir', dir);
        }, direction);
        await loadFaces(page);
        seen.push(await boxes(page));
      }
      expect(seen[0]?.length, name).toBeGreaterThan(5);
      const found = strayed(seen[0] ?? [], seen[1] ?? []);
      if (found.length > 0) wrong.push(`${name} at ${width}: ${found.slice(0, 4).join(' | ')}`);
    }
  }
  await host.close();
  expect(wrong).toEqual([]);
});

test('a phone number keeps its order where text runs from right to left', async ({ page }) => {
  const host = await startHost();
  const output = handOff(marisma());
  const html = String(output.get('index.html')).replace(/dir="\w+"/, 'dir="rtl"');
  host.put(new Map([...output, ['index.html', html]]));
  await page.setViewportSize({ width: 1280, height: 700 });
  await page.goto(host.url);
  const number = page.getByRole('link', { name: '+34 955 010 203' }).locator('bdi');
  const edges = await number.evaluate((element) => {
    const at = (from: number, to: number) => {
      const range = document.createRange();
      range.setStart(element.firstChild as Text, from);
      range.setEnd(element.firstChild as Text, to);
      return range.getBoundingClientRect().left;
    };
    const last = element.textContent.length;
    return { plus: at(0, 1), end: at(last - 1, last) };
  });
  expect(edges.plus).toBeLessThan(edges.end);
  await host.close();
});
