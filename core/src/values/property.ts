import type { LengthUnit } from './length.ts';
import type { Value } from './values.ts';

export const PROPERTY_GROUPS = [
  'placement',
  'text',
  'fill',
  'edge',
  'space',
  'mark',
  'icon',
  'motion',
  'own',
] as const;

export type PropertyGroup = (typeof PROPERTY_GROUPS)[number];

/** Where a property is declared: on the slot itself, on its mark, between its children, on the sign drawn in it, or on what is around it and its label. */
export type DeclaredOn = 'slot' | 'mark' | 'between' | 'sign' | 'around';

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
  /** Properties that finish what it starts: who sets it is led to them. */
  readonly related?: readonly string[];
  /** What it does nothing without: set along with it, at rest, where that still has its initial value. */
  readonly brings?: Readonly<Record<string, Value>>;
  /** Whether the kind arranges by it: it becomes rules of several elements there, and none of its own. */
  readonly arranged?: boolean;
  /** Whether what is arranged by it is told link by link. */
  readonly byLink?: boolean;
  /** Whether it moves something: never where a visitor asked for no motion. */
  readonly moves?: boolean;
  /** Whether it holds only where its part stands in a row. */
  readonly inRow?: boolean;
  /** Whether it only paints: neither markup nor the room that anything takes depends on it. */
  readonly paints?: boolean;
  /** Whether each slot says it for itself, also where it looks the same as another. */
  readonly unshared?: boolean;
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
  /** What single values bring besides, as `brings` does. */
  readonly bringsWith?: Readonly<Record<string, Readonly<Record<string, Value>>>>;
  /** The values that take the look of the level above along, where their own level has none. */
  readonly likeAbove?: readonly string[];
}

interface LineProperty extends PropertyBase {
  readonly kind: 'line';
}

interface ShadowProperty extends PropertyBase {
  readonly kind: 'shadow';
  /** A text's shadow has no spread and never lies inside. */
  readonly ofText?: boolean;
}

interface DeclarationsProperty extends PropertyBase {
  readonly kind: 'declarations';
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
  | PaintProperty
  | DeclarationsProperty;

/** The ring of focus, drawn in the text's colour: what an outline is in focus where no look says another. */
export const FOCUS_RING = 'ring';
