import { initialOf } from '../longhands.ts';
import type { Expand } from '../shorthands.ts';
import { fits, partsOf, splitParts } from '../value-parts.ts';

const flexed = (grow: string, shrink: string, basis: string) =>
  new Map([
    ['flex-grow', grow],
    ['flex-shrink', shrink],
    ['flex-basis', basis],
  ]);

/** Takes `flex` apart (CSS Flexbox 1, 7.1). */
export const expandFlex: Expand = (value) => {
  if (value === 'none') return flexed('0', '0', 'auto');
  let grow: string | null = null;
  let shrink: string | null = null;
  let basis: string | null = null;
  for (const part of partsOf(value)) {
    // A nought without a unit is a factor as long as there is one to be said.
    if (fits('flex-grow', part) && grow === null) grow = part;
    else if (fits('flex-grow', part) && shrink === null && basis === null) shrink = part;
    else if (basis === null && fits('flex-basis', part)) basis = part;
    else return null;
  }
  return flexed(grow ?? '1', shrink ?? '1', basis ?? (grow === null ? 'auto' : '0%'));
};

/** Takes `place-content`, `place-items` or `place-self` apart: one value is meant of both. */
export const expandAlignment =
  (align: string, justify: string): Expand =>
  (value) => {
    const parts = partsOf(value);
    if (fits(align, value)) {
      const isBaseline = /baseline$/.test(value);
      const across = justify === 'justify-content' && isBaseline ? 'start' : value;
      return new Map([
        [align, value],
        [justify, across],
      ]);
    }
    for (let split = 1; split < parts.length; split++) {
      const [a, b] = [parts.slice(0, split).join(' '), parts.slice(split).join(' ')];
      if (fits(align, a) && fits(justify, b))
        return new Map([
          [align, a],
          [justify, b],
        ]);
    }
    return null;
  };

/** Takes `border-image` apart: source and repeat by what they are; slice, width and outset by `/`. */
export const expandBorderImage: Expand = (value) => {
  const made = new Map<string, string>();
  const numbers: string[] = [];
  for (const part of partsOf(value)) {
    if (part === '/' || /^[-+.\d]/.test(part) || part === 'fill' || part === 'auto') numbers.push(part);
    else {
      const name = ['border-image-source', 'border-image-repeat'].find((entry) => {
        const before = made.get(entry);
        return fits(entry, before === undefined ? part : `${before} ${part}`);
      });
      if (name === undefined) return null;
      made.set(name, [made.get(name), part].filter((text) => text !== undefined).join(' '));
    }
  }
  const [slice, width, outset] = splitParts(numbers, '/').map((parts) => parts.join(' '));
  const set = (name: string, said: string | undefined) => {
    if (said !== undefined && said !== '') made.set(name, said);
    else if (!made.has(name)) made.set(name, initialOf(name));
  };
  set('border-image-slice', slice);
  set('border-image-width', width);
  set('border-image-outset', outset);
  set('border-image-source', undefined);
  set('border-image-repeat', undefined);
  return made;
};

const WHITE_SPACE: ReadonlyMap<string, readonly [collapse: string, mode: string]> = new Map([
  ['normal', ['collapse', 'wrap']],
  ['nowrap', ['collapse', 'nowrap']],
  ['pre', ['preserve', 'nowrap']],
  ['pre-wrap', ['preserve', 'wrap']],
  ['pre-line', ['preserve-breaks', 'wrap']],
  ['break-spaces', ['break-spaces', 'wrap']],
]);

/** Takes `white-space` apart (CSS Text 4, 3). */
export const expandWhiteSpace: Expand = (value) => {
  let collapse: string | null = null;
  let mode: string | null = null;
  for (const part of partsOf(value.toLowerCase())) {
    const known = WHITE_SPACE.get(part);
    if (known && collapse === null && mode === null) [collapse, mode] = known;
    else if (part === 'wrap' || part === 'nowrap') mode = part;
    else if (/^(?:collapse|preserve|preserve-breaks|preserve-spaces|break-spaces)$/.test(part))
      collapse = part;
    else return null;
  }
  return new Map([
    ['white-space-collapse', collapse ?? 'collapse'],
    ['text-wrap-mode', mode ?? 'wrap'],
  ]);
};

/** Takes `container` apart: names, and after `/` what is asked of it. */
export const expandContainer: Expand = (value) => {
  const [name, type] = splitParts(partsOf(value), '/').map((parts) => parts.join(' '));
  if (!name) return null;
  return new Map([
    ['container-name', name],
    ['container-type', type ?? initialOf('container-type')],
  ]);
};

/** Takes `text-box` apart. */
export const expandTextBox: Expand = (value) => {
  if (value === 'normal')
    return new Map([
      ['text-box-trim', 'none'],
      ['text-box-edge', 'auto'],
    ]);
  const parts = partsOf(value);
  const isTrim = (part: string) => /^(?:none|trim-)/.test(part);
  const edge = parts.filter((part) => !isTrim(part)).join(' ');
  return new Map([
    ['text-box-trim', parts.find(isTrim) ?? 'trim-both'],
    ['text-box-edge', edge === '' ? 'auto' : edge],
  ]);
};
