import type { LengthUnit, Value } from './values.ts';

export type PropertyGroup = 'text' | 'fill' | 'edge' | 'space';

interface PropertyBase {
  readonly label: string;
  readonly group: PropertyGroup;
  /** The CSS property it becomes. */
  readonly css: string;
  /** Whether CSS inherits it from the parent element. */
  readonly inherited: boolean;
  /** The value after the stylesheet's reset, where nothing else applies. */
  readonly initial: Value;
  readonly hint: string;
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
  /** Units it may be written in. A type size takes no em: that would count in the size of whatever stands around it. */
  readonly units?: readonly LengthUnit[];
}

interface NumberProperty extends PropertyBase {
  readonly kind: 'number';
  readonly min: number;
  readonly max: number;
  readonly step: number;
}

interface FamilyProperty extends PropertyBase {
  readonly kind: 'family';
}

export type Property = ColourProperty | LengthProperty | NumberProperty | FamilyProperty;

/**
 * The property catalogue: sheet rows, validation, stylesheet and docs are read from it. A new property is one
 * entry here and its id in the slots that take it.
 */
export const PROPERTIES = {
  colour: {
    kind: 'colour', label: 'text', group: 'text', css: 'color', inherited: true, initial: { literal: '#000000' },
    hint: 'colour of the label and of icons drawn with it',
  },
  family: {
    kind: 'family', label: 'family', group: 'text', css: 'font-family', inherited: true, initial: 'system',
    hint: 'one of the bundled typefaces, or the system’s own',
  },
  size: {
    kind: 'length', label: 'size', group: 'text', css: 'font-size', inherited: true, initial: 16, min: 6, max: 200, step: 1,
    units: ['px', 'rem'], hint: 'type size, or the size of an icon',
  },
  weight: {
    kind: 'number', label: 'weight', group: 'text', css: 'font-weight', inherited: true, initial: 400, min: 100, max: 900,
    step: 100, hint: 'from 100 (thin) to 900 (black), in hundreds',
  },
  tracking: {
    kind: 'length', label: 'letter space', group: 'text', css: 'letter-spacing', inherited: true, initial: 0, min: -5, max: 40,
    step: 0.1, hint: 'space added after each letter',
  },
  fill: {
    kind: 'colour', label: 'fill', group: 'fill', css: 'background-color', inherited: false,
    initial: { literal: 'transparent' }, hint: 'colour behind the content, to the edge of the padding',
  },
  radius: {
    kind: 'length', label: 'radius', group: 'edge', css: 'border-radius', inherited: false, initial: 0, min: 0, max: 999, step: 1,
    hint: 'rounding of all four corners',
  },
  paddingInline: {
    kind: 'length', label: 'padding, sides', group: 'space', css: 'padding-inline', inherited: false, initial: 0, min: 0,
    max: 400, step: 1, hint: 'from the content to the edge, left and right',
  },
  paddingBlock: {
    kind: 'length', label: 'padding, ends', group: 'space', css: 'padding-block', inherited: false, initial: 0, min: 0,
    max: 400, step: 1, hint: 'from the content to the edge, above and below',
  },
  gap: {
    kind: 'length', label: 'gap', group: 'space', css: 'gap', inherited: false, initial: 0, min: 0, max: 400, step: 1,
    hint: 'between neighbours inside',
  },
  height: {
    kind: 'length', label: 'height', group: 'space', css: 'min-block-size', inherited: false, initial: 0, min: 0, max: 600,
    step: 1, hint: 'least height; content and padding can make it taller',
  },
  width: {
    kind: 'length', label: 'width', group: 'space', css: 'inline-size', inherited: false, initial: 0, min: 24, max: 1200, step: 4,
    hint: 'width of the box, its padding included',
  },
  minWidth: {
    kind: 'length', label: 'least width', group: 'space', css: 'min-inline-size', inherited: false, initial: 0, min: 0, max: 1200,
    step: 4, hint: 'the box is never narrower; longer labels widen it',
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
