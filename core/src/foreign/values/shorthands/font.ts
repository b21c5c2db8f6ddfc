import { initialOf } from '../longhands.ts';
import type { Expand } from '../shorthands.ts';
import { fits, partsOf } from '../value-parts.ts';
import { both, sortParts } from './patterns.ts';

/** What `font-variant` stands for. */
export const FONT_VARIANTS = [
  'ligatures',
  'caps',
  'numeric',
  'east-asian',
  'alternates',
  'position',
  'emoji',
].map((name) => `font-variant-${name}`);

const SET_BACK = [
  ...FONT_VARIANTS,
  'font-optical-sizing',
  'font-size-adjust',
  'font-kerning',
  'font-feature-settings',
  'font-variation-settings',
  'font-language-override',
];

/** What `font` sets, and what it only sets back (CSS Fonts 4, 2.7). */
export const FONT_LONGHANDS = [
  'font-style',
  'font-weight',
  'font-stretch',
  'font-size',
  'line-height',
  'font-family',
  ...SET_BACK,
];

const BEFORE_SIZE = ['font-style', 'font-weight', 'font-stretch'];

/** Takes `font` apart. Fonts of the system by name are not: what they are, only the system knows. */
export const expandFont: Expand = (value) => {
  const parts = partsOf(value);
  const at = parts.findIndex((part) => fits('font-size', part) && part !== 'normal' && !/^\d+$/.test(part));
  if (at === -1) return null;
  const before = parts.slice(0, at).filter((part) => part !== 'normal');
  const caps = before.includes('small-caps');
  const sorted = sortParts(
    BEFORE_SIZE,
    before.filter((part) => part !== 'small-caps'),
  );
  const hasHeight = parts[at + 1] === '/';
  const family = parts.slice(at + (hasHeight ? 3 : 1));
  if (!sorted || family.length === 0) return null;
  for (const name of BEFORE_SIZE) if (!sorted.has(name)) sorted.set(name, initialOf(name));
  sorted.set('font-size', parts[at] ?? '');
  sorted.set('line-height', hasHeight ? (parts[at + 2] ?? '') : 'normal');
  sorted.set('font-family', family.join(' ').replaceAll(' ,', ','));
  both(sorted, SET_BACK);
  if (caps) sorted.set('font-variant-caps', 'small-caps');
  return sorted;
};

/** Takes `font-variant` apart. */
export const expandFontVariant: Expand = (value) => {
  const made = new Map(FONT_VARIANTS.map((name) => [name, 'normal']));
  if (value === 'normal') return made;
  if (value === 'none') return made.set('font-variant-ligatures', 'none');
  const sorted = sortParts(FONT_VARIANTS, partsOf(value));
  if (!sorted) return null;
  for (const [name, part] of sorted) made.set(name, part);
  return made;
};
