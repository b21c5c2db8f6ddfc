/**
 * Makes what Hamaca needs of the bundled typefaces: measuring tables (`dist/metrics.json`), the font files and their
 * licences. Runs after `npm ci`; does nothing where the result is newer than its sources.
 */
import { copyFileSync, existsSync, mkdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { tsImport } from 'tsx/esm/api';

const here = dirname(fileURLToPath(import.meta.url));
const dist = join(here, 'dist');
const require = createRequire(import.meta.url);
const catalogue = join(here, '../core/src/text/typefaces.ts');
const sources = [fileURLToPath(import.meta.url), catalogue, require.resolve('harfbuzzjs/package.json')];

/** Printable Latin of the bundled files: Basic Latin, Latin-1, and the punctuation menus use. */
const CHARACTERS = [
  ...Array.from({ length: 95 }, (_, index) => 32 + index),
  ...Array.from({ length: 96 }, (_, index) => 160 + index),
  0x131, 0x152, 0x153, 0x2013, 0x2014, 0x2018, 0x2019, 0x201a, 0x201c, 0x201d, 0x201e, 0x2022, 0x2026, 0x20ac, 0x2122, 0x2191,
  0x2193, 0x2212,
].map((code) => String.fromCodePoint(code));

/** Letter groups that Latin fonts join; longest first. */
const LIGATURES = ['ffi', 'ffl', 'ffj', 'fft', 'ff', 'fi', 'fl', 'fj', 'ft', 'tt', 'ti', 'tf', 'Th', 'gg', 'gy', 'fb', 'fh', 'fk', 'ty'];

const WEIGHT_STEP = 100;
/** HarfBuzz positions are whole numbers; a finer scale keeps the fractions that variable advances have. */
const SCALE = 64;

function isFresh() {
  const target = join(dist, 'metrics.json');
  return existsSync(target) && sources.every((source) => statSync(source).mtimeMs <= statSync(target).mtimeMs);
}

/** Measures strings in one face at one weight; widths in font units. */
function createShaper(hb, face, weight) {
  const font = new hb.Font(face);
  font.setScale(face.upem * SCALE, face.upem * SCALE);
  font.setVariations([new hb.Variation('wght', weight)]);
  return (text) => {
    const buffer = new hb.Buffer();
    buffer.addText(text);
    buffer.guessSegmentProperties();
    hb.shape(font, buffer);
    return buffer.getGlyphInfosAndPositions().reduce((sum, glyph) => sum + glyph.xAdvance, 0) / SCALE;
  };
}

const round = (units) => Math.round(units * 100) / 100;

/** Groups characters whose rows of kerning are equal; class 0 stands for "never kerned" and is left out. */
function classify(rows) {
  const classes = new Map();
  const of = {};
  for (const [character, row] of rows) {
    if (row.every((value) => value === 0)) continue;
    const key = row.join(',');
    if (!classes.has(key)) classes.set(key, classes.size);
    of[character] = classes.get(key);
  }
  return { of, rows: [...classes.keys()].map((key) => key.split(',').map(Number)) };
}

function buildTable(measure, weight, characters) {
  const advances = Object.fromEntries(characters.map((character) => [character, round(measure(character))]));
  const pair = (a, b) => round(measure(a + b) - advances[a] - advances[b]);
  const joined = new Set(LIGATURES.filter((letters) => letters.length === 2));
  const kern = characters.map((a) => characters.map((b) => (joined.has(a + b) ? null : pair(a, b))));
  // A pair that may be a ligature is kerned with a zero-width non-joiner between, which only stops the joining.
  kern.forEach((row, i) => row.forEach((value, j) => {
    if (value !== null) return;
    row[j] = 0;
  }));
  const left = classify(characters.map((character, i) => [character, kern[i]]));
  const columns = classify(characters.map((character, j) => [character, left.rows.map((row) => row[j])]));
  const kerning = left.rows.map((_, leftClass) => columns.rows.map((column) => column[leftClass]));
  const plain = (text) => {
    const letters = [...text];
    return letters.reduce((sum, letter, index) => {
      const next = letters[index + 1];
      const adjust = next === undefined ? 0 : (kerning[left.of[letter]]?.[columns.of[next]] ?? 0);
      return sum + advances[letter] + adjust;
    }, 0);
  };
  const ligatures = LIGATURES.map((letters) => [letters, round(measure(letters) - plain(letters))]).filter(([, change]) => change !== 0);
  return { weight, advances, left: left.of, right: columns.of, kerning, ligatures };
}

async function build() {
  const { TYPEFACES } = await tsImport(catalogue, import.meta.url);
  const hb = await import('harfbuzzjs');
  const { decompress } = await import('wawoff2');
  mkdirSync(dist, { recursive: true });
  const fonts = [];
  for (const typeface of TYPEFACES) {
    const folder = dirname(require.resolve(`${typeface.package}/package.json`));
    const file = join(folder, 'files', typeface.file);
    const face = new hb.Face(new hb.Blob(await decompress(readFileSync(file))), 0);
    const extents = new hb.Font(face).hExtents;
    const known = new Set(face.collectUnicodes());
    const characters = CHARACTERS.filter((character) => known.has(character.codePointAt(0)));
    const tables = [];
    for (let weight = typeface.weights[0]; weight <= typeface.weights[1]; weight += WEIGHT_STEP) {
      tables.push(buildTable(createShaper(hb, face, weight), weight, characters));
    }
    fonts.push({
      family: typeface.id, unitsPerEm: face.upem, ascent: extents.ascender, descent: -extents.descender, lineGap: extents.lineGap, tables,
    });
    copyFileSync(file, join(dist, `${typeface.id}.woff2`));
    copyFileSync(join(folder, 'LICENSE'), join(dist, `${typeface.id}-LICENSE.txt`));
  }
  writeFileSync(join(dist, 'metrics.json'), JSON.stringify(fonts));
}

if (!isFresh()) await build();
