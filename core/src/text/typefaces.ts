/** A bundled typeface: where its files are and what it falls back to. */
export interface Typeface {
  readonly id: string;
  /** CSS family name. */
  readonly name: string;
  /** The system face shown until it arrives, adjusted in size. */
  readonly fallback: 'sans' | 'serif';
  /** Range of the weight axis. */
  readonly weights: readonly [number, number];
  /** npm package and file that hold it (SIL Open Font License 1.1). */
  readonly package: string;
  readonly file: string;
}

/** The bundled typefaces, all variable in weight and covering Latin. */
export const TYPEFACES: readonly Typeface[] = [
  {
    id: 'commissioner', name: 'Commissioner', fallback: 'sans', weights: [100, 900],
    package: '@fontsource-variable/commissioner', file: 'commissioner-latin-wght-normal.woff2',
  },
  {
    id: 'figtree', name: 'Figtree', fallback: 'sans', weights: [300, 900],
    package: '@fontsource-variable/figtree', file: 'figtree-latin-wght-normal.woff2',
  },
  {
    id: 'karla', name: 'Karla', fallback: 'sans', weights: [200, 800],
    package: '@fontsource-variable/karla', file: 'karla-latin-wght-normal.woff2',
  },
  {
    id: 'newsreader', name: 'Newsreader', fallback: 'serif', weights: [200, 800],
    package: '@fontsource-variable/newsreader', file: 'newsreader-latin-wght-normal.woff2',
  },
  {
    id: 'fraunces', name: 'Fraunces', fallback: 'serif', weights: [100, 900],
    package: '@fontsource-variable/fraunces', file: 'fraunces-latin-wght-normal.woff2',
  },
];

/** The visitor's own interface typeface: nothing to load, and nothing that could be measured. */
export const SYSTEM_FAMILY = 'system';

export function findTypeface(id: string): Typeface | null {
  return TYPEFACES.find((typeface) => typeface.id === id) ?? null;
}

/** Whether a type style or look may name this family. */
export function isFamily(id: string): boolean {
  return id === SYSTEM_FAMILY || findTypeface(id) !== null;
}
