/**
 * Measuring tables of a typeface: advances, kerning and joined letters at each weight, shaped by HarfBuzz. Used where the
 * bundled typefaces are prepared, and by the server for those that are brought along.
 */

/** Printable Latin: Basic Latin, Latin-1, and the punctuation menus use. */
const LATIN = [
  ...Array.from({ length: 95 }, (_, index) => 32 + index),
  ...Array.from({ length: 96 }, (_, index) => 160 + index),
  0x131,
  0x152,
  0x153,
  0x2013,
  0x2014,
  0x2018,
  0x2019,
  0x201a,
  0x201c,
  0x201d,
  0x201e,
  0x2022,
  0x2026,
  0x20ac,
  0x2122,
  0x2191,
  0x2193,
  0x2212,
];

/** The letters of other scripts, and of other languages in Latin, that stand in labels. */
const OTHERS = [
  [
    [0x100, 0x17f],
    [0x1a0, 0x1a1],
    [0x1af, 0x1b0],
    [0x218, 0x21b],
    [0x1e80, 0x1e85],
    [0x1e9e, 0x1e9e],
    [0x1ea0, 0x1ef9],
  ],
  [[0x386, 0x3ce]],
  [
    [0x400, 0x45f],
    [0x490, 0x491],
    [0x2116, 0x2116],
  ],
  [[0x5d0, 0x5ea]],
].map((ranges) =>
  ranges.flatMap(([from, to]) => Array.from({ length: to - from + 1 }, (_, index) => from + index)),
);

/** Letter groups that Latin fonts join; longest first. */
const LIGATURES = [
  'tti',
  'ttf',
  'ffi',
  'ffl',
  'ffj',
  'fft',
  'ff',
  'fi',
  'fl',
  'fj',
  'ft',
  'tt',
  'ti',
  'tf',
  'Th',
  'gg',
  'gy',
  'fb',
  'fh',
  'fk',
  'ty',
];

const WEIGHT_STEP = 100;
/** HarfBuzz positions are whole numbers; a finer scale keeps the fractions that variable advances have. */
const SCALE = 64;

/** Measures strings in one face at one weight; widths in font units. */
function createShaper(hb, face, weight, features) {
  const font = new hb.Font(face);
  font.setScale(face.upem * SCALE, face.upem * SCALE);
  font.setVariations([new hb.Variation('wght', weight)]);
  const buffer = new hb.Buffer();
  return (text) => {
    buffer.clearContents();
    buffer.addText(text);
    buffer.guessSegmentProperties();
    hb.shape(font, buffer, features);
    return buffer.getGlyphPositions().reduce((sum, glyph) => sum + glyph.xAdvance, 0) / SCALE;
  };
}

const round = (units) => Math.round(units * 100) / 100;

/** Groups characters whose rows of kerning are equal; characters that are never kerned are left out. */
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

/** Letters whose neighbours may be kerned otherwise where they join. */
const NEIGHBOURS = [...'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ,.-'];

/** What joining letters changes: by itself, and with a neighbour where that one is kerned otherwise; longest first. */
function findLigatures(changeOf, characters) {
  const known = new Set(characters);
  const own = LIGATURES.map((letters) => [letters, changeOf(letters)]).filter(([, change]) => change !== 0);
  const beside = own.flatMap(([letters, change]) =>
    NEIGHBOURS.filter((letter) => known.has(letter))
      .flatMap((letter) => [letter + letters, letters + letter])
      .map((text) => [text, changeOf(text)])
      .filter(([text, other]) => Math.abs(other - change) > 0.5 && !own.some(([longer]) => longer === text)),
  );
  const all = new Map([...beside, ...own]);
  return [...all].sort(([a], [b]) => b.length - a.length);
}

/** `single` measures without joining letters, `joined` as text is set. */
function buildTable({ single, joined }, weight, characters, isKerned) {
  const advances = Object.fromEntries(characters.map((character) => [character, round(single(character))]));
  const kern = characters.map((a, i) =>
    characters.map((b, j) => (isKerned(i, j) ? round(single(a + b) - advances[a] - advances[b]) : 0)),
  );
  const left = classify(characters.map((character, i) => [character, kern[i]]));
  const right = classify(characters.map((character, j) => [character, left.rows.map((row) => row[j])]));
  const kerning = left.rows.map((_, leftClass) => right.rows.map((column) => column[leftClass]));
  const ligatures = findLigatures((letters) => round(joined(letters) - single(letters)), characters);
  return { table: { weight, advances, left: left.of, right: right.of, kerning, ligatures }, kern };
}

/**
 * Tables of all weights. Which pairs are kerned is found at the ends of the axis and at the plain weight between: a
 * typeface may be drawn at three weights, and kerned at the middle one alone.
 */
function buildTables(hb, face, [lightest, heaviest], characters) {
  const apart = ['liga', 'clig', 'dlig'].map((tag) => new hb.Feature(tag, 0));
  const make = (weight, isKerned) =>
    buildTable(
      { single: createShaper(hb, face, weight, apart), joined: createShaper(hb, face, weight, []) },
      weight,
      characters,
      isKerned,
    );
  const full = new Map([lightest, 400, 600, heaviest].map((weight) => [weight, make(weight, () => true)]));
  const isKerned = (i, j) => [...full.values()].some((entry) => entry.kern[i][j] !== 0);
  const weights = [
    ...new Set([lightest, heaviest, ...Array.from({ length: 9 }, (_, index) => (index + 1) * WEIGHT_STEP)]),
  ];
  return weights
    .filter((weight) => weight >= lightest && weight <= heaviest)
    .sort((a, b) => a - b)
    .map((weight) => (full.get(weight) ?? make(weight, isKerned)).table);
}

/** The tables of a file by script, each a list by weight: letters of two scripts seldom meet. */
function tablesOf(hb, face, weights, scripts) {
  const known = new Set(face.collectUnicodes());
  return scripts
    .map((codes) => codes.filter((code) => known.has(code)).map((code) => String.fromCodePoint(code)))
    .filter((characters) => characters.length > 0)
    .map((characters) => buildTables(hb, face, weights, characters));
}

/**
 * A typeface's measures from its TrueType or OpenType bytes; `weights` is the range it has, `subsets` are the bytes of
 * further files that hold other letters of it.
 */
export async function measureFace(bytes, family, weights, subsets = []) {
  const hb = await import('harfbuzzjs');
  const faceOf = (file) => new hb.Face(new hb.Blob(file), 0);
  const [others, ...scripts] = OTHERS;
  const face = faceOf(bytes);
  const [latin = [], ...further] = tablesOf(hb, face, weights, [[...LATIN, ...others], ...scripts]);
  further.push(...subsets.flatMap((subset) => tablesOf(hb, faceOf(subset), weights, OTHERS)));
  const extents = new hb.Font(face).hExtents();
  return {
    family,
    unitsPerEm: face.upem,
    ascent: extents.ascender,
    descent: -extents.descender,
    lineGap: extents.lineGap,
    tables: latin.map((table, index) =>
      further.length > 0 ? { ...table, others: further.map((tables) => tables[index]) } : table,
    ),
  };
}

/** The TrueType or OpenType bytes in a WOFF2 file; throws where it is damaged. */
export async function unfoldWoff2(bytes) {
  const { decompress } = await import('wawoff2');
  // What it answers lies in memory that the next call writes over.
  return Uint8Array.from(await decompress(bytes));
}

/** A WOFF2 file of TrueType or OpenType bytes. */
export async function foldWoff2(bytes) {
  const { compress } = await import('wawoff2');
  return compress(bytes);
}
