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
  /** Room before and behind: lines and margins. */
  readonly around: () => number;
  /** Width of a line value, 0 where there is none. */
  readonly line: (property: PropertyId) => number;
}

/** What a part asks to tell its width. */
export interface PartExtents {
  readonly site: Site;
  /** Id of the band. */
  readonly band: string;
  readonly slot: (slot: string, level?: Level | null, states?: readonly State[]) => SlotReader;
  /** A label in a slot's type, with the slot's padding, least width, lines and margins. */
  readonly label: (text: string, slot: string, level?: Level | null, states?: readonly State[]) => Extent;
  /** The words alone in a slot's type. */
  readonly words: (text: string, slot: string) => Extent;
}

/** What a section asks to tell its width. */
export interface SectionExtents {
  readonly site: Site;
  readonly piece: Piece;
  readonly regions: readonly Region[];
  readonly slot: (slot: string) => SlotReader;
  /** The parts of a region that stand in their place in the band. */
  readonly shown: (region: Region) => readonly Part[];
  readonly part: (part: Part) => Extent;
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

/** The least side of a control that is only an icon, in px (WCAG 2.2, success criterion 2.5.8). */
export const LEAST_TARGET = 24;

/** Side of a finger's target on folded menus, in px (WCAG 2.2, success criterion 2.5.5). */
export const TOUCH_TARGET = 44;

/** What a drawing is wide at its height, read from its view box; null where it has none. */
export function svgRatio(svg: string): number | null {
  const box = /viewBox\s*=\s*["']\s*[-\d.e]+[\s,]+[-\d.e]+[\s,]+([\d.e]+)[\s,]+([\d.e]+)/i.exec(svg);
  const ratio = Number(box?.[1]) / Number(box?.[2]);
  return Number.isFinite(ratio) && ratio > 0 ? ratio : null;
}
