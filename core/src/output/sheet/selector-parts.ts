import { memoiseText } from '../../base/memo.ts';

/*
 * Takes selectors of the output apart: which element they are about, and what is said of it. They are ours alone, so that
 * a short reading is enough.
 */

/** A compound selector with what connects it to the one before: '' at the start, ' ', '>', '+' or '~'. */
export interface Compound {
  readonly joint: string;
  readonly text: string;
}

/** One selector of a list, taken apart. */
export interface SelectorParts {
  /** Ids, classes and types as one number, larger where the selector is stronger (Selectors 4, section 17). */
  readonly weight: number;
  readonly compounds: readonly Compound[];
  /** Its pseudo-element with colons; empty where it is about the element itself. */
  readonly pseudo: string;
}

/** Where a bracket that opens at a place closes. */
function closing(text: string, from: number): number {
  let depth = 0;
  for (let place = from; place < text.length; place++) {
    const sign = text[place];
    if (sign === '(' || sign === '[') depth++;
    else if (sign === ')' || sign === ']') {
      depth--;
      if (depth === 0) return place;
    }
  }
  return text.length;
}

/** The entries of a list, cut at commas outside of brackets. */
export const listEntries = memoiseText((text: string): readonly string[] => {
  if (!text.includes(',')) return [text];
  const entries: string[] = [];
  let start = 0;
  for (let place = 0; place < text.length; place++) {
    const sign = text[place];
    if (sign === '(' || sign === '[') place = closing(text, place);
    else if (sign === ',') {
      entries.push(text.slice(start, place).trim());
      start = place + 1;
    }
  }
  entries.push(text.slice(start).trim());
  return entries;
}, 20_000);

const JOINTS = ' >+~';

function compoundsOf(text: string): Compound[] {
  const compounds: Compound[] = [];
  let joint = '';
  let start = 0;
  for (let place = 0; place <= text.length; place++) {
    const sign = text[place] ?? ' ';
    if (sign === '(' || sign === '[') {
      place = closing(text, place);
      continue;
    }
    if (!JOINTS.includes(sign)) continue;
    if (place > start) {
      compounds.push({ joint, text: text.slice(start, place) });
      joint = '';
    }
    joint = sign === ' ' ? joint || (compounds.length > 0 ? ' ' : '') : sign;
    start = place + 1;
  }
  return compounds;
}

/** The simple selectors of a compound: `li`, `.hm-list`, `:where(…)`, `::before`. */
const SIMPLE = /^(?:\*|[a-z][a-z0-9-]*|[.#][\w-]+|::?[a-z-]+)/i;

export const simpleSelectors = memoiseText((compound: string): readonly string[] => {
  const found: string[] = [];
  for (let place = 0; place < compound.length;) {
    const start = place;
    if (compound[place] === '[') place = closing(compound, place) + 1;
    else {
      place += SIMPLE.exec(compound.slice(place))?.[0].length ?? 1;
      if (compound[place] === '(') place = closing(compound, place) + 1;
    }
    found.push(compound.slice(start, place));
  }
  return found;
}, 20_000);

const ID = 10_000;
const CLASS = 100;

const heaviest = (list: string): number => Math.max(0, ...listEntries(list).map((entry) => weightOf(entry)));

function simpleWeight(simple: string): number {
  const inner = /^:(not|is|has)\((.*)\)$/s.exec(simple)?.[2];
  if (inner !== undefined) return heaviest(inner.replace(/^[\s>+~]+/, ''));
  if (simple.startsWith(':where(') || simple === '*') return 0;
  if (simple.startsWith('#')) return ID;
  return simple.startsWith('::') || /^[a-z]/i.test(simple) ? 1 : CLASS;
}

const weightOf = memoiseText(
  (text: string): number =>
    compoundsOf(text)
      .flatMap((compound) => simpleSelectors(compound.text))
      .reduce((sum, simple) => sum + simpleWeight(simple), 0),
  20_000,
);

/** Takes one selector apart. */
export const selectorParts = memoiseText((text: string): SelectorParts => {
  const compounds = compoundsOf(text);
  const last = simpleSelectors(compounds.at(-1)?.text ?? '');
  return {
    weight: weightOf(text),
    compounds,
    pseudo: last.find((simple) => simple.startsWith('::')) ?? '',
  };
}, 20_000);
