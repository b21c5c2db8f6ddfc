import type { LengthValue } from './length.ts';

/** The jobs a colour does everywhere on a site. */
export const ROLES = ['ink', 'paper', 'accent', 'on-accent', 'soft', 'line'] as const;

export type Role = (typeof ROLES)[number];

/** A colour as the designer meant it: linked to a swatch or a role (`alpha` 0 to 1 thins it), or a literal. */
export type ColourValue =
  | { readonly swatch: string; readonly alpha?: number }
  | { readonly role: Role; readonly alpha?: number }
  | { readonly literal: string };

export const LINE_STYLES = ['solid', 'dashed', 'dotted', 'double'] as const;

/** A line along an edge, in px; null where there is none. */
export interface LineValue {
  readonly line: {
    readonly width: number;
    readonly style: (typeof LINE_STYLES)[number];
    readonly colour: ColourValue;
  } | null;
}

/** One shadow; distances in px. */
export interface Shadow {
  readonly x: number;
  readonly y: number;
  readonly blur: number;
  readonly spread?: number;
  readonly inset?: boolean;
  readonly colour: ColourValue;
}

/** Shadows, the topmost first; an empty list is none. */
export interface ShadowValue {
  readonly shadows: readonly Shadow[];
}

/** A colour on the way of a gradient, `at` per cent of it. */
export interface GradientStop {
  readonly colour: ColourValue;
  readonly at: number;
}

/** What is drawn over a fill: a straight gradient (`angle` in degrees, 0 upwards), a picture by its address, or nothing. */
export type Paint =
  | { readonly gradient: { readonly angle: number; readonly stops: readonly GradientStop[] } }
  | { readonly image: string };

export interface PaintValue {
  readonly paint: Paint | null;
}

/** Radii of the four corners: start of the first edge, its end, end of the last edge, its start (CSS Logical Properties 1). */
export interface CornersValue {
  readonly corners: readonly [LengthValue, LengthValue, LengthValue, LengthValue];
}

/** What a type style says about the property; the style is named by its id. */
export interface TypeLink {
  readonly type: string;
}

export function isTypeLink(value: unknown): value is TypeLink {
  return typeof value === 'object' && value !== null && 'type' in value;
}

/** A keyword is text; so are families and lengths with a unit. */
export type Value =
  ColourValue | LengthValue | LineValue | ShadowValue | PaintValue | CornersValue | TypeLink;

export function isColourValue(value: unknown): value is ColourValue {
  return (
    typeof value === 'object' &&
    value !== null &&
    ('swatch' in value || 'role' in value || 'literal' in value)
  );
}

/** The same value with every colour in it changed; the same object where nothing changes. */
export function mapColours(value: Value, change: (colour: ColourValue) => ColourValue): Value {
  if (typeof value !== 'object') return value;
  if (isColourValue(value)) return change(value);
  if ('line' in value)
    return value.line ? { line: { ...value.line, colour: change(value.line.colour) } } : value;
  if ('shadows' in value)
    return { shadows: value.shadows.map((shadow) => ({ ...shadow, colour: change(shadow.colour) })) };
  if ('paint' in value && value.paint && 'gradient' in value.paint) {
    const { angle, stops } = value.paint.gradient;
    return {
      paint: { gradient: { angle, stops: stops.map((stop) => ({ ...stop, colour: change(stop.colour) })) } },
    };
  }
  return value;
}

/** Every colour in a value. */
export function coloursIn(value: Value): ColourValue[] {
  const found: ColourValue[] = [];
  mapColours(value, (colour) => {
    found.push(colour);
    return colour;
  });
  return found;
}
