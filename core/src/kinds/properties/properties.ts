import type { LengthUnit } from '../../values/length.ts';
import type { Value } from '../../values/values.ts';

export const PROPERTY_GROUPS = ['text', 'fill', 'edge', 'space', 'mark', 'motion'] as const;

export type PropertyGroup = (typeof PROPERTY_GROUPS)[number];

/** Where a property is declared: on the slot itself, on its mark, or between its children. */
export type DeclaredOn = 'slot' | 'mark' | 'between';

interface PropertyBase {
  readonly label: string;
  readonly group: PropertyGroup;
  /** The CSS properties it becomes; the first one alone decides what a browser is asked for. */
  readonly css: readonly string[];
  /** Whether CSS inherits it from the parent element. */
  readonly inherited?: boolean;
  readonly on?: DeclaredOn;
  /** The value after the stylesheet's reset, where nothing else applies. */
  readonly initial: Value;
  /** What it is in focus where no look says so for focus: the ring is never lost to a weaker state's value. */
  readonly inFocus?: Value;
  readonly hint: string;
  /** Whether a type style says it, so that it can be linked to one. */
  readonly typed?: boolean;
  /** Whether its row shows in the sheet before anybody gives it a value. */
  readonly common?: boolean;
}

interface ColourProperty extends PropertyBase {
  readonly kind: 'colour';
}

interface LengthProperty extends PropertyBase {
  readonly kind: 'length';
  /** Bounds and arrow step in px. */
  readonly min: number;
  readonly max: number;
  readonly step: number;
  /** Units it may be written in besides px and rem. A type size takes no em: that would count in the size of whatever stands around it. */
  readonly units?: readonly LengthUnit[];
  /** Whether `%` is of something known: then it may be written. */
  readonly share?: boolean;
}

interface CornersProperty extends Omit<LengthProperty, 'kind'> {
  readonly kind: 'corners';
}

interface NumberProperty extends PropertyBase {
  readonly kind: 'number';
  readonly min: number;
  readonly max: number;
  readonly step: number;
  /** A unit that CSS wants behind it: milliseconds or degrees. */
  readonly unit?: 'ms' | '%';
}

interface FamilyProperty extends PropertyBase {
  readonly kind: 'family';
}

/** One keyword out of a list; each with the CSS it becomes. */
interface ChoiceProperty extends PropertyBase {
  readonly kind: 'choice';
  readonly choices: Readonly<Record<string, string>>;
}

interface LineProperty extends PropertyBase {
  readonly kind: 'line';
}

interface ShadowProperty extends PropertyBase {
  readonly kind: 'shadow';
  /** A text's shadow has no spread and never lies inside. */
  readonly ofText?: boolean;
}

interface PaintProperty extends PropertyBase {
  readonly kind: 'paint';
}

export type Property =
  | ColourProperty
  | LengthProperty
  | CornersProperty
  | NumberProperty
  | FamilyProperty
  | ChoiceProperty
  | LineProperty
  | ShadowProperty
  | PaintProperty;

const same = <const Keyword extends string>(...keywords: readonly Keyword[]) =>
  Object.fromEntries(keywords.map((keyword) => [keyword, keyword])) as unknown as Readonly<
    Record<Keyword, string>
  >;

/** The ring of focus, drawn in the text's colour: what an outline is in focus where no look says another. */
export const FOCUS_RING = 'ring';

/**
 * The property catalogue: sheet rows, validation, stylesheet and docs are read from it. A new property is one
 * entry here and its id in the slots that take it.
 */
export const PROPERTIES = {
  colour: {
    kind: 'colour',
    label: 'text',
    group: 'text',
    css: ['color'],
    inherited: true,
    initial: { literal: '#000000' },
    common: true,
    hint: 'colour of the label and of icons drawn with it',
  },
  family: {
    kind: 'family',
    label: 'family',
    group: 'text',
    css: ['font-family'],
    inherited: true,
    initial: 'system',
    common: true,
    typed: true,
    hint: 'one of the bundled typefaces, or the system’s own',
  },
  size: {
    kind: 'length',
    label: 'size',
    group: 'text',
    css: ['font-size'],
    inherited: true,
    initial: 16,
    min: 6,
    max: 200,
    step: 1,
    units: ['vw'],
    common: true,
    typed: true,
    hint: 'type size, or the size of an icon',
  },
  weight: {
    kind: 'number',
    label: 'weight',
    group: 'text',
    css: ['font-weight'],
    inherited: true,
    initial: 400,
    min: 100,
    max: 900,
    step: 100,
    common: true,
    typed: true,
    hint: 'from 100 (thin) to 900 (black), in hundreds',
  },
  style: {
    kind: 'choice',
    label: 'style',
    group: 'text',
    css: ['font-style'],
    inherited: true,
    initial: 'upright',
    choices: { upright: 'normal', italic: 'italic' },
    hint: 'upright or italic; a typeface without italics is slanted',
  },
  letters: {
    kind: 'choice',
    label: 'case',
    group: 'text',
    css: ['text-transform'],
    inherited: true,
    initial: 'as typed',
    choices: {
      'as typed': 'none',
      capitals: 'uppercase',
      small: 'lowercase',
      'initial capitals': 'capitalize',
    },
    hint: 'as typed, capitals, small letters, or every word with an initial capital',
  },
  decoration: {
    kind: 'choice',
    label: 'decoration',
    group: 'text',
    css: ['text-decoration-line'],
    initial: 'none',
    choices: same('none', 'underline', 'overline', 'line-through'),
    hint: 'the text’s own line; a mark can be moved, coloured and grown',
  },
  tracking: {
    kind: 'length',
    label: 'letter space',
    group: 'text',
    css: ['letter-spacing'],
    inherited: true,
    initial: 0,
    min: -5,
    max: 40,
    step: 0.1,
    units: ['em'],
    common: true,
    hint: 'space added after each letter',
  },
  wordSpace: {
    kind: 'length',
    label: 'word space',
    group: 'text',
    css: ['word-spacing'],
    inherited: true,
    initial: 0,
    min: -10,
    max: 60,
    step: 0.5,
    units: ['em'],
    hint: 'space added between words',
  },
  lineHeight: {
    kind: 'number',
    label: 'line height',
    group: 'text',
    css: ['line-height'],
    inherited: true,
    initial: 1.4,
    min: 0.8,
    max: 4,
    step: 0.05,
    hint: 'height of a line of text, as a multiple of its size',
  },
  align: {
    kind: 'choice',
    label: 'align',
    group: 'text',
    css: ['justify-content', 'text-align'],
    initial: 'natural',
    choices: { natural: 'normal', start: 'start', centre: 'center', end: 'end' },
    hint: 'where the text stands in a box wider than itself',
  },
  textShadow: {
    kind: 'shadow',
    label: 'text shadow',
    group: 'text',
    css: ['text-shadow'],
    inherited: true,
    ofText: true,
    initial: { shadows: [] },
    hint: 'x, y, blur and colour, such as 0 1 3 ink 50%',
  },
  fill: {
    kind: 'colour',
    label: 'fill',
    group: 'fill',
    css: ['background-color'],
    initial: { literal: 'transparent' },
    common: true,
    hint: 'colour behind the content, to the edge of the padding',
  },
  paint: {
    kind: 'paint',
    label: 'gradient, picture',
    group: 'fill',
    css: ['background-image'],
    initial: { paint: null },
    hint: 'over the fill: 90deg, reed, sun, or a picture’s address as url(/reeds.jpg)',
  },
  paintSize: {
    kind: 'choice',
    label: 'picture size',
    group: 'fill',
    css: ['background-size'],
    initial: 'as it is',
    choices: { 'as it is': 'auto', 'fill the box': 'cover', 'show all': 'contain', stretch: '100% 100%' },
    hint: 'how large the picture is drawn',
  },
  paintPlace: {
    kind: 'choice',
    label: 'picture place',
    group: 'fill',
    css: ['background-position'],
    initial: 'top left',
    choices: {
      'top left': '0% 0%',
      top: '50% 0%',
      'top right': '100% 0%',
      left: '0% 50%',
      middle: '50% 50%',
      right: '100% 50%',
      'bottom left': '0% 100%',
      bottom: '50% 100%',
      'bottom right': '100% 100%',
    },
    hint: 'which place of the picture stays in sight',
  },
  blur: {
    kind: 'length',
    label: 'blur behind',
    group: 'fill',
    css: ['backdrop-filter'],
    initial: 0,
    min: 0,
    max: 60,
    step: 1,
    hint: 'blurs what shows through a translucent fill',
  },
  lineTop: {
    kind: 'line',
    label: 'line above',
    group: 'edge',
    css: ['border-block-start'],
    initial: { line: null },
    hint: 'such as 1 line, or 2 dashed reed 60%',
  },
  lineBottom: {
    kind: 'line',
    label: 'line beneath',
    group: 'edge',
    css: ['border-block-end'],
    initial: { line: null },
    hint: 'such as 1 line, or 2 dashed reed 60%',
  },
  lineStart: {
    kind: 'line',
    label: 'line before',
    group: 'edge',
    css: ['border-inline-start'],
    initial: { line: null },
    hint: 'at the left, or at the right where text runs from right to left',
  },
  lineEnd: {
    kind: 'line',
    label: 'line behind',
    group: 'edge',
    css: ['border-inline-end'],
    initial: { line: null },
    hint: 'at the right, or at the left where text runs from right to left',
  },
  separator: {
    kind: 'line',
    label: 'line between links',
    group: 'edge',
    on: 'between',
    css: ['border-inline-start', 'border-block-start'],
    initial: { line: null },
    hint: 'between neighbours: upright in a row, lying in a folded list',
  },
  radius: {
    kind: 'corners',
    label: 'radius',
    group: 'edge',
    css: [
      'border-start-start-radius',
      'border-start-end-radius',
      'border-end-end-radius',
      'border-end-start-radius',
    ],
    initial: 0,
    min: 0,
    max: 999,
    step: 1,
    share: true,
    units: ['em'],
    common: true,
    hint: 'one for all corners, or four: top left, top right, bottom right, bottom left',
  },
  outline: {
    kind: 'line',
    label: 'outline',
    group: 'edge',
    css: ['outline'],
    initial: { line: null },
    inFocus: FOCUS_RING,
    hint: 'a line around the box that takes no room; in focus never quite gone',
  },
  outlineGap: {
    kind: 'length',
    label: 'outline gap',
    group: 'edge',
    css: ['outline-offset'],
    initial: 0,
    inFocus: 2,
    min: -20,
    max: 40,
    step: 1,
    hint: 'from the edge to the outline',
  },
  shadow: {
    kind: 'shadow',
    label: 'shadow',
    group: 'edge',
    css: ['box-shadow'],
    initial: { shadows: [] },
    hint: 'x, y, blur, spread and colour, such as 0 4 12 ink 20%',
  },
  paddingInline: {
    kind: 'length',
    label: 'padding, sides',
    group: 'space',
    css: ['padding-inline'],
    initial: 0,
    min: 0,
    max: 400,
    step: 1,
    units: ['em', 'vw'],
    common: true,
    hint: 'from the content to the edge, left and right',
  },
  paddingBlock: {
    kind: 'length',
    label: 'padding, ends',
    group: 'space',
    css: ['padding-block'],
    initial: 0,
    min: 0,
    max: 400,
    step: 1,
    units: ['em', 'vw'],
    common: true,
    hint: 'from the content to the edge, above and below',
  },
  gap: {
    kind: 'length',
    label: 'gap',
    group: 'space',
    css: ['gap'],
    initial: 0,
    min: 0,
    max: 400,
    step: 1,
    units: ['em', 'vw'],
    common: true,
    hint: 'between neighbours inside',
  },
  marginInline: {
    kind: 'length',
    label: 'margin, sides',
    group: 'space',
    css: ['margin-inline'],
    initial: 0,
    min: -200,
    max: 400,
    step: 1,
    units: ['em', 'vw'],
    hint: 'from the edge to the neighbours, left and right',
  },
  marginBlock: {
    kind: 'length',
    label: 'margin, ends',
    group: 'space',
    css: ['margin-block'],
    initial: 0,
    min: -200,
    max: 400,
    step: 1,
    units: ['em', 'vw'],
    hint: 'from the edge to the neighbours, above and below',
  },
  height: {
    kind: 'length',
    label: 'height',
    group: 'space',
    css: ['min-block-size'],
    initial: 0,
    min: 0,
    max: 600,
    step: 1,
    units: ['em', 'vw'],
    common: true,
    hint: 'least height; content and padding can make it taller',
  },
  width: {
    kind: 'length',
    label: 'width',
    group: 'space',
    css: ['inline-size'],
    initial: 0,
    min: 8,
    max: 1200,
    step: 4,
    units: ['em', 'vw'],
    common: true,
    hint: 'width of the box, its padding included',
  },
  drawnHeight: {
    kind: 'length',
    label: 'height',
    group: 'space',
    css: ['block-size'],
    initial: 0,
    min: 4,
    max: 400,
    step: 1,
    units: ['em', 'vw'],
    common: true,
    hint: 'height of the drawing; its width follows',
  },
  thickness: {
    kind: 'length',
    label: 'thickness',
    group: 'space',
    css: ['inline-size'],
    initial: 0,
    min: 0.5,
    max: 60,
    step: 0.5,
    common: true,
    hint: 'of the line',
  },
  minWidth: {
    kind: 'length',
    label: 'least width',
    group: 'space',
    css: ['min-inline-size'],
    initial: 0,
    min: 0,
    max: 1200,
    step: 4,
    units: ['em', 'vw'],
    hint: 'the box is never narrower; longer labels widen it',
  },
  mark: {
    kind: 'choice',
    label: 'mark',
    group: 'mark',
    on: 'mark',
    css: ['content'],
    initial: 'none',
    common: true,
    choices: same(
      'none',
      'line under',
      'line over',
      'line through',
      'lines both',
      'side bar',
      'box',
      'notch',
      'dot',
      'brackets',
    ),
    hint: 'how a link shows that it is pointed at or current',
  },
  markColour: {
    kind: 'colour',
    label: 'mark colour',
    group: 'mark',
    on: 'mark',
    css: ['color'],
    initial: { role: 'accent' },
    hint: 'colour of the mark',
  },
  markThickness: {
    kind: 'length',
    label: 'mark thickness',
    group: 'mark',
    on: 'mark',
    css: ['--mark-thickness'],
    initial: 2,
    min: 0.5,
    max: 60,
    step: 0.5,
    hint: 'thickness of a line; size of a dot or notch',
  },
  markLength: {
    kind: 'length',
    label: 'mark length',
    group: 'mark',
    on: 'mark',
    css: ['--mark-length'],
    initial: '100%',
    min: 0,
    max: 400,
    step: 1,
    share: true,
    hint: 'along the link: a share of it, or px',
  },
  markOffset: {
    kind: 'length',
    label: 'mark offset',
    group: 'mark',
    on: 'mark',
    css: ['--mark-offset'],
    initial: 0,
    min: -60,
    max: 60,
    step: 1,
    units: ['em'],
    hint: 'from the link’s edge inwards; less than nothing is outside',
  },
  markFrom: {
    kind: 'choice',
    label: 'mark grows',
    group: 'mark',
    on: 'mark',
    css: ['--mark-hidden'],
    initial: 'at once',
    choices: {
      'at once': '50% 50%',
      'from the start': '0% 50%',
      'from the centre': '50% 50%',
      'from the end': '100% 50%',
    },
    hint: 'where the mark grows from; how fast is the link’s motion',
  },
  opacity: {
    kind: 'number',
    label: 'opacity',
    group: 'motion',
    css: ['opacity'],
    initial: 100,
    min: 0,
    max: 100,
    step: 1,
    unit: '%',
    hint: 'of the box and everything in it, in per cent',
  },
  motion: {
    kind: 'choice',
    label: 'motion',
    group: 'motion',
    css: ['transition-property'],
    initial: 'everything',
    choices: {
      none: 'none',
      colours: 'color, background-color, border-color, outline-color, text-shadow, box-shadow, opacity',
      mark: 'scale, opacity',
      everything: 'all',
    },
    hint: 'what moves smoothly from state to state; never where a visitor asked for no motion',
  },
  motionTime: {
    kind: 'number',
    label: 'motion time',
    group: 'motion',
    css: ['transition-duration'],
    initial: 0,
    min: 0,
    max: 3000,
    step: 10,
    unit: 'ms',
    hint: 'in milliseconds; 0 is at once',
  },
  motionCurve: {
    kind: 'choice',
    label: 'motion curve',
    group: 'motion',
    css: ['transition-timing-function'],
    initial: 'ease',
    choices: {
      ease: 'ease',
      even: 'linear',
      'slow start': 'ease-in',
      'slow end': 'ease-out',
      'slow both': 'ease-in-out',
      spring: 'cubic-bezier(0.34, 1.56, 0.64, 1)',
    },
    hint: 'how the speed changes on the way',
  },
  motionDelay: {
    kind: 'number',
    label: 'motion delay',
    group: 'motion',
    css: ['transition-delay'],
    initial: 0,
    min: 0,
    max: 3000,
    step: 10,
    unit: 'ms',
    hint: 'in milliseconds',
  },
} as const satisfies Record<string, Property>;

export type PropertyId = keyof typeof PROPERTIES;

export const PROPERTY_IDS = Object.keys(PROPERTIES) as PropertyId[];

export function property(id: PropertyId): Property {
  return PROPERTIES[id];
}

export function isPropertyId(value: string): value is PropertyId {
  return Object.hasOwn(PROPERTIES, value);
}
