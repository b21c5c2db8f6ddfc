import type { Arrangement } from '../kinds/sections/row/shape.ts';
import type { Look, SlotLook, Values } from '../model/look.ts';
import type { PartKindId } from '../kinds/site.ts';
import type { Level, State } from '../model/states.ts';
import type { TypeStyle } from '../model/site-content.ts';

/** What a starting design has, to choose by. */
export const STARTER_TAGS = [
  'one row',
  'several rows',
  'stays',
  'over a picture',
  'centred',
  'search',
  'social',
  'serif',
  'dark',
] as const;

export type StarterTag = (typeof STARTER_TAGS)[number];

/** A part as a design places it. What the site has of its kind keeps its content; otherwise it gets a usual one. */
export interface StarterPart {
  readonly kind: Exclude<PartKindId, 'image'>;
  readonly look: Look;
  /** Settings that belong to the design, such as a search behind an icon. */
  readonly settings?: Readonly<Record<string, unknown>>;
  /** Shown only where the menu is unfolded. */
  readonly only?: 'wide';
  /** Whether it leaves for the panel where its row has no room; a call to action does. */
  readonly leaves?: boolean;
  /** Name of the drawing a new icon link starts with. */
  readonly icon?: 'person' | 'basket';
  /** Label of a new icon link. */
  readonly label?: string;
}

export interface StarterRow {
  readonly name: string;
  readonly arrangement: Arrangement;
  readonly apart?: number;
  readonly contained?: number;
  readonly only?: 'wide';
  readonly start?: readonly StarterPart[];
  readonly middle?: readonly StarterPart[];
  readonly end?: readonly StarterPart[];
  readonly look: Look;
}

/** A complete starting design: a header with its phone panel, in roles alone, so that any palette fits. */
export interface Starter {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly tags: readonly StarterTag[];
  readonly stays: boolean;
  readonly over: boolean;
  readonly type: Readonly<Record<'menu' | 'title' | 'action', Pick<TypeStyle, 'family' | 'size' | 'weight'>>>;
  readonly look: Look;
  readonly rows: readonly StarterRow[];
  readonly panel: { readonly look: Look };
}

/** The band key that stands for the widths at which the menu is folded, or for the narrowest band. */
export const NARROW = 'narrow';

type States = { readonly [S in State]?: Values };

const inBand = (states: States, band: string): SlotLook['all'] =>
  Object.fromEntries(Object.entries(states).map(([state, values]) => [state, { [band]: values }]));

/** A slot's look for all levels and widths by state, with exceptions where the menu is folded. */
export function slot(states: States, narrow: States = {}): SlotLook {
  const all = new Map(Object.entries(inBand(states, 'all') as Record<string, Record<string, Values>>));
  for (const [state, bands] of Object.entries(
    inBand(narrow, NARROW) as Record<string, Record<string, Values>>,
  ))
    all.set(state, { ...all.get(state), ...bands });
  return { all: Object.fromEntries(all) };
}

type ByLevel = { readonly [L in `${Level}`]?: States };

/** A slot's look with more for single levels, and exceptions of those where the menu is folded. */
export function levels(look: SlotLook, more: ByLevel, narrow: ByLevel = {}): SlotLook {
  const own = Object.entries(more).map(
    ([level, states]) => [level, slot(states, narrow[level as keyof ByLevel]).all] as const,
  );
  return { ...look, ...Object.fromEntries(own) };
}
