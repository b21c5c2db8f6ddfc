import type { Subset } from './subsets.ts';

/** A typeface with files of its own, bundled or brought along. */
export interface Typeface {
  readonly id: string;
  /** CSS family name. */
  readonly name: string;
  /** The system face shown until it arrives, adjusted in size. */
  readonly fallback: 'sans' | 'serif';
  /** Range of the weight axis. */
  readonly weights: readonly [number, number];
}

/** A typeface that comes with Hamaca, free under the SIL Open Font License 1.1. */
export interface BundledTypeface extends Typeface {
  /** npm package that holds it. */
  readonly package: string;
  /** The subsets it has besides Latin. */
  readonly subsets: readonly Subset[];
}

const variable = (
  id: string,
  name: string,
  fallback: Typeface['fallback'],
  from: number,
  to: number,
  ...subsets: readonly Subset[]
): BundledTypeface => ({
  id,
  name,
  fallback,
  weights: [from, to],
  package: `@fontsource-variable/${id}`,
  subsets,
});

/** The bundled typefaces, all variable in weight and covering Latin; each with the subsets it has besides. */
export const TYPEFACES: readonly BundledTypeface[] = [
  variable('archivo', 'Archivo', 'sans', 100, 900, 'latin-ext', 'vietnamese'),
  variable('bricolage-grotesque', 'Bricolage Grotesque', 'sans', 200, 800, 'latin-ext', 'vietnamese'),
  variable('commissioner', 'Commissioner', 'sans', 100, 900, 'latin-ext', 'vietnamese', 'greek', 'cyrillic'),
  variable('figtree', 'Figtree', 'sans', 300, 900, 'latin-ext'),
  variable('karla', 'Karla', 'sans', 200, 800, 'latin-ext'),
  variable('outfit', 'Outfit', 'sans', 100, 900, 'latin-ext'),
  variable('rubik', 'Rubik', 'sans', 300, 900, 'latin-ext', 'cyrillic', 'hebrew'),
  variable('work-sans', 'Work Sans', 'sans', 100, 900, 'latin-ext', 'vietnamese'),
  variable('fraunces', 'Fraunces', 'serif', 100, 900, 'latin-ext', 'vietnamese'),
  variable('literata', 'Literata', 'serif', 200, 900, 'latin-ext', 'vietnamese', 'greek', 'cyrillic'),
  variable('newsreader', 'Newsreader', 'serif', 200, 800, 'latin-ext', 'vietnamese'),
  variable(
    'source-serif-4',
    'Source Serif 4',
    'serif',
    200,
    900,
    'latin-ext',
    'vietnamese',
    'greek',
    'cyrillic',
  ),
];

/** Typefaces that visitors have already: nothing to load, and nothing that could be measured. */
export interface Stack {
  readonly id: string;
  readonly name: string;
  /** The CSS list of families, best first. */
  readonly css: string;
}

/** The visitor's own interface typeface. */
export const SYSTEM_FAMILY = 'system';

export const STACKS: readonly Stack[] = [
  { id: SYSTEM_FAMILY, name: 'system', css: 'system-ui, sans-serif' },
  { id: 'system-serif', name: 'system serif', css: 'ui-serif, Georgia, Cambria, "Times New Roman", serif' },
  {
    id: 'system-mono',
    name: 'system mono',
    css: 'ui-monospace, Menlo, Consolas, "DejaVu Sans Mono", monospace',
  },
  {
    id: 'system-rounded',
    name: 'system rounded',
    css: 'ui-rounded, "Hiragino Maru Gothic ProN", "Arial Rounded MT Bold", system-ui, sans-serif',
  },
  {
    id: 'system-humanist',
    name: 'system humanist',
    css: 'Seravek, "Gill Sans Nova", Calibri, Carlito, "DejaVu Sans", sans-serif',
  },
  {
    id: 'system-old-style',
    name: 'system old style',
    css: '"Iowan Old Style", "Palatino Linotype", "URW Palladio L", P052, serif',
  },
];

export function findStack(id: string): Stack | null {
  return STACKS.find((stack) => stack.id === id) ?? null;
}

/** The subsets a typeface has besides Latin; one that was brought along is one file. */
export const subsetsOf = (id: string): readonly Subset[] =>
  TYPEFACES.find((typeface) => typeface.id === id)?.subsets ?? [];

/** The name of a typeface's file without its ending: Latin, or one of its subsets. */
export const faceFile = (id: string, subset: Subset | null): string =>
  subset === null ? id : `${id}-${subset}`;

export function isBundled(id: string): boolean {
  return TYPEFACES.some((typeface) => typeface.id === id);
}

/** A typeface by its id: one that comes along, or one of the site's own. */
export function findTypeface(id: string, own: readonly Typeface[] = []): Typeface | null {
  return (
    TYPEFACES.find((typeface) => typeface.id === id) ?? own.find((typeface) => typeface.id === id) ?? null
  );
}

/** How the ids of typefaces start that were brought along. */
export const OWN_PREFIX = 'own-';
const OWN_ID = new RegExp(`^${OWN_PREFIX}[a-z0-9-]{1,60}$`);

/** Whether a type style or look may name this family; whether one that was brought along is there, references tell. */
export function isFamily(id: string): boolean {
  return findStack(id) !== null || isBundled(id) || OWN_ID.test(id);
}
