import { expect, test } from '@playwright/test';
import { createMeasurer, faceFile, itemsOf, SUBSETS, TYPEFACES, type Subset } from '@hamaca/core';
import { demoSite, FONTS, startHost } from './support/output.ts';

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

const OTHER_LABELS: Readonly<Record<Subset, readonly string[]>> = {
  'latin-ext': ['Návštěva', 'Łąki i ptaki', 'Őszi séták', 'Ziyaret, İletişim', 'Țară', 'ĖŠČŘŽ'],
  vietnamese: ['Liên hệ', 'Đường đến đây', 'Giờ mở cửa'],
  greek: ['Επίσκεψη', 'Ώρες & πουλιά', 'ΝΕΑ 2026'],
  cyrillic: ['Посещение', 'Птицы и тропы', 'Ґанок', 'НОВОСТИ'],
  hebrew: ['ביקור', 'שעות פתיחה'],
};

/** Vietnamese letters stand in two files, and a browser kerns within one alone. */
const limitOf = (label: string) => (OTHER_LABELS.vietnamese.includes(label) ? 0.4 : 0.12);

test('labels are measured within 0.12 px of the browser, for every typeface, weight and size', async ({
  page,
}) => {
  const host = await startHost();
  const faceFiles = TYPEFACES.flatMap(({ id, weights, subsets }) =>
    [null, ...subsets].map((subset) => ({ id, weights, subset, file: `${faceFile(id, subset)}.woff2` })),
  );
  const faces = faceFiles
    .map(
      ({ id, weights, subset, file }) =>
        `@font-face{font-family:${id};src:url(/${file});font-weight:${weights.join(' ')};${subset ? `unicode-range:${SUBSETS[subset]}` : ''}}`,
    )
    .join('');
  const files = new Map<string, string | Uint8Array>([
    [
      'index.html',
      `<!DOCTYPE html><meta charset=utf-8><style>${faces}span{position:absolute;white-space:nowrap}</style><body>`,
    ],
  ]);
  const { readFileSync } = await import('node:fs');
  for (const { file } of faceFiles)
    files.set(file, readFileSync(new URL(`../fonts/dist/${file}`, import.meta.url)));
  host.put(files);
  await page.goto(host.url);
  const cases = TYPEFACES.flatMap(({ id, weights, subsets }) =>
    [weights[0], 400, 450, 500, 700, weights[1]].flatMap((weight) =>
      [
        [14, 0],
        [16, 0],
        [19, 0],
        [16, 0.5],
      ].flatMap(([size = 16, tracking = 0]) =>
        [...LABELS, ...subsets.flatMap((subset) => OTHER_LABELS[subset])].map((label) => ({
          label,
          style: { family: id, weight, size, tracking },
        })),
      ),
    ),
  );
  const widths = await page.evaluate(async (wanted) => {
    for (const { label, style } of wanted)
      await document.fonts.load(`${style.weight} ${style.size}px ${style.family}`, label);
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
    return error > limitOf(label) ? [{ label, ...style, error: Number(error.toFixed(3)) }] : [];
  });
  expect(off).toEqual([]);
  expect(cases.length).toBeGreaterThan(2000);
});
