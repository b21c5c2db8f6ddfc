import { expect, test } from '@playwright/test';
import { createMeasurer, fitLine, itemsOf, loadSite, TYPEFACES, type Site } from '@hamaca/core';
import { dress } from '../core/test/dressed.ts';
import { demoSite, FONTS, handOff, startHost } from './support/output.ts';

const measure = createMeasurer(FONTS);
const LABELS = [
  ...[...itemsOf(demoSite()).values()].map((placed) => placed.item.label),
  'Office first, fluffy affix',
  'AVATAR To Type',
  'Café über Ñandú',
  '“Quoted” – 10 €',
  'Coffee shops & traffic',
  'Wandering Tits, fjord',
  'fi fl ffi ffl',
  'KÄÖ ÅØ 1234567890',
];

test('labels are measured within 0.1 px of the browser, for every typeface, weight and size', async ({
  page,
}) => {
  const host = await startHost();
  const faces = TYPEFACES.map(
    ({ id, weights }) =>
      `@font-face{font-family:${id};src:url(/${id}.woff2);font-weight:${weights.join(' ')}}`,
  ).join('');
  const files = new Map<string, string | Uint8Array>([
    [
      'index.html',
      `<!DOCTYPE html><meta charset=utf-8><style>${faces}span{position:absolute;white-space:nowrap}</style><body>`,
    ],
  ]);
  const { readFileSync } = await import('node:fs');
  for (const { id } of TYPEFACES)
    files.set(`${id}.woff2`, readFileSync(new URL(`../fonts/dist/${id}.woff2`, import.meta.url)));
  host.put(files);
  await page.goto(host.url);
  const cases = TYPEFACES.flatMap(({ id, weights }) =>
    [weights[0], 400, 500, 700, weights[1]].flatMap((weight) =>
      [
        [14, 0],
        [16, 0],
        [19, 0],
        [16, 0.5],
      ].flatMap(([size = 16, tracking = 0]) =>
        LABELS.map((label) => ({ label, style: { family: id, weight, size, tracking } })),
      ),
    ),
  );
  const widths = await page.evaluate(async (wanted) => {
    for (const { style } of wanted)
      await document.fonts.load(`${style.weight} ${style.size}px ${style.family}`);
    const spans = wanted.map(({ label, style }) => {
      const span = document.createElement('span');
      span.textContent = label;
      Object.assign(span.style, {
        fontFamily: style.family,
        fontWeight: String(style.weight),
        fontSize: `${style.size}px`,
        letterSpacing: style.tracking ? `${style.tracking}px` : 'normal',
      });
      return span;
    });
    document.body.append(...spans);
    return spans.map((span) => span.getBoundingClientRect().width);
  }, cases);
  await host.close();
  const off = cases.flatMap(({ label, style }, index) => {
    const error = Math.abs(measure(label, style).width - (widths[index] ?? 0));
    return error > 0.1 ? [{ label, ...style, error: Number(error.toFixed(3)) }] : [];
  });
  expect(off).toEqual([]);
  expect(cases.length).toBeGreaterThan(2000);
});

function dressedSite(): Site {
  const loaded = loadSite(dress(JSON.parse(JSON.stringify(demoSite()))));
  if (!loaded.ok) throw new Error(loaded.error[0]?.message);
  return loaded.value;
}

for (const [what, site] of [
  ['the demo', demoSite()],
  ['links with everything', dressedSite()],
] as const)
  test(`the row of ${what} stands on one line from just the width the fit engine says`, async ({ page }) => {
    const [header] = site.pieces;
    if (!header) throw new Error('no header');
    const line = fitLine(site, header, { from: 320, to: 1920 }, measure);
    const host = await startHost();
    // Unfolded at every width, so that the row's own limit shows.
    host.put(
      handOff({
        ...site,
        bands: [
          { id: 'wide', name: 'Wide', min: 300 },
          { id: 'phone', name: 'Phone', min: 0 },
        ],
      }),
    );
    const isOneLine = async (width: number) => {
      await page.setViewportSize({ width, height: 600 });
      await page.goto(host.url);
      return page.evaluate(async () => {
        await document.fonts.ready;
        // The link that grows most as the current page is part of what is needed.
        const links = [...document.querySelectorAll('.hm-list > li > .hm-link')];
        const grown = links
          .map((link) => {
            const before = link.getBoundingClientRect().width;
            link.setAttribute('aria-current', 'page');
            const growth = link.getBoundingClientRect().width - before;
            link.removeAttribute('aria-current');
            return { link, growth };
          })
          .sort((a, b) => b.growth - a.growth);
        grown[0]?.link.setAttribute('aria-current', 'page');
        const row = document.querySelector('.hm-row');
        return (row?.getBoundingClientRect().height ?? 0) <= 73;
      });
    };
    const needed = Math.ceil(line.needed[0]?.width ?? 0);
    expect(await isOneLine(needed)).toBe(true);
    expect(await isOneLine(needed - 2)).toBe(false);
    await host.close();
  });
