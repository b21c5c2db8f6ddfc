import type { PropertyId } from './properties/properties.ts';
import type { Level, State } from '../model/states.ts';
import type { Part, Piece, Region, Section, Site } from './site.ts';

/** A width in px. `certain` is false where a label could not be measured and was estimated; `unmeasured` names those. */
export interface Extent {
  readonly width: number;
  readonly certain: boolean;
  readonly unmeasured: readonly string[];
}

/** Numbers of one slot in one band, in px. */
export interface SlotReader {
  /** Type size. */
  readonly size: number;
  readonly pixels: (property: PropertyId) => number;
  /** The keyword of a choice. */
  readonly word: (property: PropertyId) => string;
  /** Whether a length is a share of what is around it, which cannot be told from here: `pixels` counts it as nothing. */
  readonly isShare: (property: PropertyId) => boolean;
  /** Room before and behind: lines and margins. */
  readonly around: () => number;
  /** Lines before and behind alone. */
  readonly lines: () => number;
  /** Width of a line value, 0 where there is none. */
  readonly line: (property: PropertyId) => number;
}

/** What a part asks to tell its width. */
export interface PartExtents {
  readonly site: Site;
  /** Id of the band. */
  readonly band: string;
  /** Which half of it is meant, where its section asked it to stand in two. */
  readonly half: 0 | 1 | null;
  readonly slot: (slot: string, level?: Level | null, states?: readonly State[]) => SlotReader;
  /** The same for one link of a menu, with the look it has of its own. */
  readonly of: (item: string) => PartExtents;
  /** A control of a slot that holds some things side by side: with the slot's gaps, padding, least width, lines and margins. */
  readonly control: (content: readonly Extent[], slot: string, level?: Level | null) => Extent;
  /** The words alone in a slot's type; `holder` is the slot it stands in, where that may be one of several. */
  readonly words: (
    text: string,
    slot: string,
    level?: Level | null,
    states?: readonly State[],
    holder?: string | null,
  ) => Extent;
}

/** What a section asks to tell its width. */
export interface SectionExtents {
  readonly site: Site;
  readonly piece: Piece;
  readonly regions: readonly Region[];
  readonly slot: (slot: string) => SlotReader;
  /** Whether a part stands in its place in the band. */
  readonly stands: (part: Part) => boolean;
  /** Whether there is anything of a part, wherever it stands. */
  readonly isThere: (part: Part) => boolean;
  /** The room a part takes, or one half of it; null where it comes to nothing. */
  readonly part: (part: Part, half?: 0 | 1) => Extent | null;
  readonly section: Section;
}

export const exact = (width: number): Extent => ({ width, certain: true, unmeasured: [] });

/** Extents side by side with a gap between, and more room once. */
export function sumExtents(extents: readonly Extent[], gap: number, more = 0): Extent {
  return {
    width:
      extents.reduce((sum, extent) => sum + extent.width, 0) + gap * Math.max(0, extents.length - 1) + more,
    certain: extents.every((extent) => extent.certain),
    unmeasured: extents.flatMap((extent) => extent.unmeasured),
  };
}

/** A picture's width at a height in px; uncertain where its shape is not known. */
export function pictureExtent(height: number, ratio: number | null, what: string): Extent {
  return { width: height * (ratio ?? 1), certain: ratio !== null, unmeasured: ratio === null ? [what] : [] };
}

/** What browsers draw a line of some px at: whole px, and at least one (CSS Backgrounds 3, section 4.3). */
export const drawnLine = (width: number) => (width > 0 ? Math.max(1, Math.floor(width)) : 0);

/** The least side of a control that is only an icon, in px (WCAG 2.2, success criterion 2.5.8). */
export const LEAST_TARGET = 24;

/** Side of a finger's target on folded menus, in px (WCAG 2.2, success criterion 2.5.5). */
export const TOUCH_TARGET = 44;
