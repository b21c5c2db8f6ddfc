import { describe, expect, test } from '@jest/globals';
import { DEMO, MARISMA } from '../../../test/demo.ts';
import { after } from '../../../test/pieces.ts';
import { randomSite, seeded } from '../../../test/random-site.ts';
import type { Site } from '../../kinds/site.ts';
import { colourOf } from '../../resolve/colours.ts';
import { ROLES, type ColourValue } from '../../values/values.ts';
import { dominantColours } from '../../colour/dominant.ts';
import { formatColour } from '../../colour/colour.ts';
import { printDesignTokens } from './design-tokens.ts';
import { asSwatches, bringColours, printPaletteCss, printPaletteGpl, readPalette } from './palette-files.ts';

const colours = (text: string) => readPalette(text).colours.map(({ name, value }) => `${name} ${value}`);
const own = DEMO.palette.map((swatch) => `${swatch.name} ${'value' in swatch ? swatch.value : ''}`);

describe('palettes from files', () => {
  test('our own come back: as CSS and for GIMP with names, as tokens with ids for names', () => {
    expect(colours(printPaletteCss(DEMO)).map((line) => line.toLowerCase())).toEqual(
      own.map((line) => line.toLowerCase()),
    );
    expect(colours(printPaletteGpl(DEMO))).toEqual(own);
    const tokens = readPalette(printDesignTokens(DEMO));
    expect(tokens.format).toBe('design tokens');
    expect(tokens.colours.map((colour) => colour.value)).toEqual(
      expect.arrayContaining(DEMO.palette.map((swatch) => ('value' in swatch ? swatch.value : ''))),
    );
    expect(tokens.notes).toEqual([]);
  });
  test.each([...Array(12).keys()])(
    'our own design tokens change nothing where they come from, roles included (%i)',
    (seed) => {
      const site = seed === 0 ? MARISMA : randomSite(seeded(seed));
      const { colours: read, notes } = readPalette(printDesignTokens(site));
      expect(notes).toEqual([]);
      expect(read.filter(({ role }) => role !== undefined).map(({ role }) => role)).toEqual([...ROLES]);
      expect(bringColours(site, read)).toEqual([]);
      // Elsewhere every swatch comes by its name, and every role has the colour it had.
      const there = after(DEMO, { name: 'several', args: { edits: bringColours(DEMO, read) } });
      const shown = (one: Site, value: ColourValue) => formatColour(colourOf(one, value));
      for (const role of ROLES) expect([role, shown(there, { role })]).toEqual([role, shown(site, { role })]);
      expect(there.palette.map(({ name }) => name)).toEqual(
        expect.arrayContaining(site.palette.map(({ name }) => name)),
      );
    },
  );
  test('design tokens that name one another in a long row are followed to the end, circles to none', () => {
    const chain = Object.fromEntries(
      Array.from({ length: 3000 }, (_, index) => [
        `t${index}`,
        { $type: 'color', $value: index === 2999 ? '#336699' : `{t${index + 1}}` },
      ]),
    );
    const read = readPalette(
      JSON.stringify({
        ...chain,
        a: { $type: 'color', $value: '{b}' },
        b: { $type: 'color', $value: '{a}' },
      }),
    );
    expect(new Set(read.colours.map(({ value }) => value))).toEqual(new Set(['#336699']));
    expect(read.notes.length).toBeGreaterThan(0);
  });
  test('design tokens: groups with a type, aliases, older strings, other spaces', () => {
    const file = {
      brand: {
        $type: 'color',
        reed: { $value: '#2f6b4f' },
        water: { $value: { colorSpace: 'oklch', components: [0.3, 0.04, 213], alpha: 0.5 } },
        accent: { $value: '{brand.reed}' },
      },
      space: { small: { $type: 'dimension', $value: '4px' } },
      loop: { $type: 'color', a: { $value: '{loop.b}' }, b: { $value: '{loop.a}' } },
      wide: { $type: 'color', $value: { colorSpace: 'srgb', components: [1, 'none', 0] } },
    };
    const read = readPalette(JSON.stringify(file));
    expect(read.colours.map(({ name, value }) => `${name} ${value}`)).toEqual([
      'Reed #2f6b4f',
      expect.stringMatching(/^Water #[\da-f]{6}80$/),
      'Accent #2f6b4f',
      'Wide #ff0000',
    ]);
    expect(read.notes).toHaveLength(2);
  });
  test('CSS: comments are left out, references followed, what is no colour is told', () => {
    const read = readPalette(
      ':root{ --brand-reed:#2F6B4F; /* --old: red; */ --accent: var(--brand-reed); --gap: 4px; --loop: var(--loop) }',
    );
    expect(read.colours).toEqual([
      { name: 'Brand reed', value: '#2f6b4f' },
      { name: 'Accent', value: '#2f6b4f' },
    ]);
    expect(read.notes).toEqual(['--gap is no colour', '--loop is no colour']);
  });
  test('GIMP: comments, columns and unnamed colours', () => {
    const read = readPalette(
      'GIMP Palette\nName: Marsh\nColumns: 4\n# made by hand\n 47 107  79\tReed\n255 0 0 Untitled\n300 1 1 Too much\nrubbish\n',
    );
    expect(read.colours).toEqual([
      { name: 'Reed', value: '#2f6b4f' },
      { name: '#ff0000', value: '#ff0000' },
    ]);
    expect(read.notes).toEqual(['line 7 is no colour', 'line 8 is no colour']);
  });
  test('SVG: every colour once, the commonest first, nothing that is none', () => {
    expect(
      colours(
        '<svg><path fill="#123456"/><g style="fill:#123456;stroke:rgb(255 0 0)"/><path fill="none" stroke="currentColor"/><stop stop-color="teal"/></svg>',
      ),
    ).toEqual(['#123456 #123456', '#ff0000 #ff0000', '#008080 #008080']);
  });
  test('a plain list, with and without names', () => {
    expect(colours('Reed: #2f6b4f\n#f0b541; tomato\nnot a colour at all')).toEqual([
      'Reed #2f6b4f',
      '#f0b541 #f0b541',
      'tomato tomato',
    ]);
  });
  test.each([
    '',
    '{',
    '{"a":{"$type":"color","$value":5}}',
    '[]',
    'GIMP Palette',
    '<svg',
    '\u0000\u0001',
    '{"__proto__":{"$type":"color","$value":"#fff"}}',
    '--a:',
    `{"a":${'{"a":'.repeat(300)}1${'}'.repeat(300)}}`,
  ])('%j gives nothing, and no crash', (text) => {
    expect(readPalette(text).colours.length).toBeLessThanOrEqual(1);
  });
  test('more than a palette holds is told', () => {
    const read = readPalette(
      Array.from({ length: 600 }, (_, index) => `--c${index}: #${index.toString(16).padStart(6, '0')};`).join(
        '\n',
      ),
    );
    expect([read.colours.length, read.notes[0]]).toEqual([
      500,
      '100 more colours than a palette holds were left out',
    ]);
  });
  test('become swatches with ids of their own', () => {
    expect(
      asSwatches(
        [
          { name: 'Reed', value: '#111' },
          { name: 'Reed', value: '#222' },
          { name: '//', value: '#333' },
        ],
        new Set(['reed']),
      ).map((swatch) => swatch.id),
    ).toEqual(['reed-2', 'reed-3', 'colour']);
  });
});

describe('the colours of a picture', () => {
  const picture = (
    ...parts: readonly (readonly [count: number, r: number, g: number, b: number, a?: number])[]
  ) =>
    Uint8ClampedArray.from(
      parts.flatMap(([count, r, g, b, a = 255]) => Array.from({ length: count }, () => [r, g, b, a]).flat()),
    );
  const found = (pixels: Uint8ClampedArray, most = 5) =>
    dominantColours(pixels, most).map(
      ({ colour, share }) => `${formatColour(colour)} ${Math.round(share * 100)}`,
    );
  test('are found with their shares, the commonest first', () => {
    expect(found(picture([60, 47, 107, 79], [30, 240, 181, 65], [10, 18, 52, 59]))).toEqual([
      '#2f6b4f 60',
      '#f0b541 30',
      '#12343b 10',
    ]);
  });
  test('alike ones are one, transparent ones none', () => {
    expect(found(picture([50, 47, 107, 79], [50, 49, 108, 80]))).toHaveLength(1);
    expect(found(picture([50, 255, 0, 0, 10], [5, 0, 0, 255]))).toEqual(['#0000ff 100']);
    expect([found(picture([9, 1, 2, 3, 0])), found(new Uint8ClampedArray())]).toEqual([[], []]);
  });
  test('are never more than asked for, and the same every time', () => {
    const noise = Uint8ClampedArray.from({ length: 40_000 }, (_, index) =>
      index % 4 === 3 ? 255 : (index * 7919) % 256,
    );
    expect(found(noise, 6).length).toBeLessThanOrEqual(6);
    expect(found(noise, 6)).toEqual(found(noise, 6));
  });
});
