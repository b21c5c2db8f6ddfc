import { expandFont, expandFontVariant, FONT_LONGHANDS, FONT_VARIANTS } from './shorthands/font.ts';
import { expandGrid, expandGridTemplate, GRID_LONGHANDS, GRID_TEMPLATE } from './shorthands/grid.ts';
import { anyOrder, areas, both, corners, inLayers, pair, sides } from './shorthands/patterns.ts';
import { expandLayers, LAYER_NAMES } from './shorthands/layers.ts';
import {
  expandAlignment,
  expandBorderImage,
  expandContainer,
  expandFlex,
  expandTextBox,
  expandWhiteSpace,
} from './shorthands/single.ts';

/** The longhands of a shorthand with their values; null where the value is none of it, or cannot be taken apart here. */
export type Expand = (value: string) => ReadonlyMap<string, string> | null;

/** A property that stands for several. */
export interface Shorthand {
  /** All that it sets, those it only sets back included. */
  readonly longhands: readonly string[];
  readonly expand: Expand;
}

const SIDES = ['top', 'right', 'bottom', 'left'] as const;
const LINE = ['width', 'style', 'color'] as const;
const BORDER_IMAGE = ['source', 'slice', 'width', 'outset', 'repeat'].map((name) => `border-image-${name}`);

const ends = (name: string, suffix = '') => [`${name}-start${suffix}`, `${name}-end${suffix}`] as const;
const line = (name: string) => anyOrder(LINE.map((part) => `${name}-${part}`));

/** A line that is the same on several sides, as `border` is. */
function lines(name: string, places: readonly string[], resets: readonly string[] = []): Shorthand {
  const inner = anyOrder(LINE.map((part) => `${name}-${part}`));
  const longhands = LINE.flatMap((part) => places.map((place) => `${place}-${part}`));
  return {
    longhands: [...longhands, ...resets],
    expand: (value) => {
      const read = inner.expand(value);
      if (!read) return null;
      const made = new Map<string, string>();
      for (const part of LINE)
        for (const place of places) made.set(`${place}-${part}`, read.get(`${name}-${part}`) ?? 'initial');
      return both(made, resets);
    },
  };
}

const entries: (readonly [string, Shorthand])[] = [
  ...['margin', 'padding', 'scroll-margin', 'scroll-padding'].flatMap((name) => [
    [name, sides(SIDES.map((side) => `${name}-${side}`))] as const,
    [`${name}-block`, pair(...ends(`${name}-block`))] as const,
    [`${name}-inline`, pair(...ends(`${name}-inline`))] as const,
  ]),
  ...LINE.flatMap((part) => [
    [`border-${part}`, sides(SIDES.map((side) => `border-${side}-${part}`))] as const,
    [`border-block-${part}`, pair(...ends('border-block', `-${part}`))] as const,
    [`border-inline-${part}`, pair(...ends('border-inline', `-${part}`))] as const,
  ]),
  ...[
    ...SIDES.map((side) => `border-${side}`),
    ...ends('border-block'),
    ...ends('border-inline'),
    'column-rule',
  ].map((name) => [name, line(name)] as const),
  ['inset', sides(SIDES)],
  ['inset-block', pair(...ends('inset-block'))],
  ['inset-inline', pair(...ends('inset-inline'))],
  [
    'border',
    lines(
      'border-top',
      SIDES.map((side) => `border-${side}`),
      BORDER_IMAGE,
    ),
  ],
  ['border-block', lines('border-top', ends('border-block'))],
  ['border-inline', lines('border-top', ends('border-inline'))],
  ['border-radius', corners],
  ['border-image', { longhands: BORDER_IMAGE, expand: expandBorderImage }],
  ['outline', anyOrder(['outline-style', 'outline-width', 'outline-color'])],
  ['list-style', anyOrder(['list-style-position', 'list-style-image', 'list-style-type'])],
  [
    'text-decoration',
    anyOrder([
      'text-decoration-line',
      'text-decoration-style',
      'text-decoration-thickness',
      'text-decoration-color',
    ]),
  ],
  ['text-emphasis', anyOrder(['text-emphasis-style', 'text-emphasis-color'])],
  ['columns', anyOrder(['column-width', 'column-count'], ['column-height', 'column-wrap'])],
  ['flex-flow', anyOrder(['flex-direction', 'flex-wrap'])],
  ['-webkit-text-stroke', anyOrder(['-webkit-text-stroke-width', '-webkit-text-stroke-color'])],
  ['flex', { longhands: ['flex-grow', 'flex-shrink', 'flex-basis'], expand: expandFlex }],
  ['gap', pair('row-gap', 'column-gap')],
  ['overflow', pair('overflow-x', 'overflow-y')],
  ['overscroll-behavior', pair('overscroll-behavior-x', 'overscroll-behavior-y')],
  ['contain-intrinsic-size', pair('contain-intrinsic-width', 'contain-intrinsic-height')],
  ...['content', 'items', 'self'].map((name) => {
    const longhands = [`align-${name}`, `justify-${name}`] as const;
    return [`place-${name}`, { longhands, expand: expandAlignment(...longhands) }] as const;
  }),
  [
    'transition',
    inLayers(
      [
        'transition-duration',
        'transition-timing-function',
        'transition-delay',
        'transition-behavior',
        'transition-property',
      ],
      [],
    ),
  ],
  [
    'animation',
    inLayers(
      [
        'animation-duration',
        'animation-timing-function',
        'animation-delay',
        'animation-iteration-count',
        'animation-direction',
        'animation-fill-mode',
        'animation-play-state',
        'animation-name',
      ],
      ['animation-timeline', 'animation-range-start', 'animation-range-end'],
    ),
  ],
  ['background', { longhands: LAYER_NAMES('background'), expand: expandLayers('background') }],
  ['mask', { longhands: LAYER_NAMES('mask'), expand: expandLayers('mask') }],
  ['font', { longhands: FONT_LONGHANDS, expand: expandFont }],
  ['font-variant', { longhands: FONT_VARIANTS, expand: expandFontVariant }],
  ['grid-row', areas(['grid-row-start', 'grid-row-end'])],
  ['grid-column', areas(['grid-column-start', 'grid-column-end'])],
  ['grid-area', areas(['grid-row-start', 'grid-column-start', 'grid-row-end', 'grid-column-end'])],
  ['grid-template', { longhands: GRID_TEMPLATE, expand: expandGridTemplate }],
  ['grid', { longhands: GRID_LONGHANDS, expand: expandGrid }],
  ['white-space', { longhands: ['white-space-collapse', 'text-wrap-mode'], expand: expandWhiteSpace }],
  ['text-wrap', anyOrder(['text-wrap-mode', 'text-wrap-style'])],
  ['container', { longhands: ['container-name', 'container-type'], expand: expandContainer }],
  ['text-box', { longhands: ['text-box-trim', 'text-box-edge'], expand: expandTextBox }],
];

/** Every property that stands for several, by name. */
export const SHORTHANDS: ReadonlyMap<string, Shorthand> = new Map(entries);
