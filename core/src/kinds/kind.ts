import type { IdSource } from '../base/ids.ts';
import type { Look } from '../model/look.ts';
import type { OwnAttributes } from '../model/own-attributes.ts';
import type { PageRule } from '../model/page-rule.ts';
import type { OutputWord } from '../model/word.ts';
import type { RegionForm, Shape, Infer } from '../model/shape/field.ts';
import type { SiteContent } from '../model/site-content.ts';
import type { SlotKind } from '../model/slot.ts';
import type { Level, State } from '../model/states.ts';
import type { Value } from '../values/values.ts';
import type { FloatPlace } from './properties/floating.ts';
import type { PropertyId } from './properties/properties.ts';
import type { Extent, PartExtents, SectionExtents } from './extent.ts';
import type { Fragment, PartOut, PieceOut, SectionOut } from './out.ts';
import type { Part, Piece, Section, Site } from './site.ts';

/** What every kind of thing says of itself. `slots` stand in the order of the outline and the stylesheet. */
export interface Kind<Id extends string, S extends Shape> {
  readonly id: Id;
  readonly label: string;
  /** What it is for, in a few words. */
  readonly hint: string;
  /** What people call it besides its label, in words that the finder knows too. */
  readonly alsoCalled: string;
  /** Its own fields, besides those that all of its sort have. */
  readonly shape: S;
  readonly slots: Readonly<Record<string, SlotKind>>;
  /** What elements of it are called by in the output that are no slots. */
  readonly beside?: readonly string[];
  /** What it reads of the looks of its slots at rest, by slot, besides what they are arranged by. */
  readonly reads?: Readonly<Record<string, readonly PropertyId[]>>;
}

/** In which bands something leaves its place, and where it arrives: at a berth, or nowhere. */
export interface Folds {
  /** Id of the widest band in which it is away. */
  readonly from: string;
  /** Id of the berth, a part of a panel; null where it is left out. */
  readonly berth: string | null;
  /** Whether it leaves only where its row has no room for it. */
  readonly tight?: boolean;
}

/** What every part has besides its own fields. */
export interface PartBase<Id extends string = string> extends OwnAttributes, OutputWord {
  readonly kind: Id;
  readonly id: string;
  /** Ids of the bands it is shown in; left out, it shows at every width. */
  readonly bands?: readonly string[];
  readonly folds?: Folds;
  readonly look: Look;
}

export type PartOf<Id extends string, S extends Shape> = PartBase<Id> & Infer<S>;

/** What a new part is made from. */
export interface NewPartWorld {
  readonly site: SiteContent;
  /** Ids of the pieces that open over the page. */
  readonly panels: readonly string[];
  /** Ids for what is in it. */
  readonly freshId: (word: string) => string;
  /** How the region it comes into arranges what stands in it. */
  readonly form: RegionForm;
}

/** A box that lies behind a slot, innermost first: a slot of the same part, at a level of its menu. */
export interface InnerBox {
  readonly slot: string;
  readonly level: 1 | 2 | 3 | null;
}

/** What lies behind a slot within its own part; `overPage` where it lies over the page instead of what the part stands on. */
export interface Behind {
  readonly boxes: readonly InnerBox[];
  readonly overPage: boolean;
}

/** A sort of part: what can stand in a region. One folder, and one line in the list of parts. */
export interface PartKind<Id extends string, S extends Shape> extends Kind<Id, S> {
  /** What a new one says besides its initial values, so that it looks like something at once. */
  readonly create?: (world: NewPartWorld) => Partial<Infer<S>> & { readonly look?: Look };
  /** Names of icons of the library a new one is drawn with, by the field they stand in. */
  readonly icons?: Readonly<Record<string, string>>;
  /** Why none can be added to a site now, or null. */
  readonly refused?: (world: Omit<NewPartWorld, 'freshId'>) => string | null;
  /** What one is called in lists; the kind's label otherwise. */
  readonly name?: (part: PartOf<Id, S>) => string;
  /** Whether it is navigation, or nothing but a help with it: a column of nothing else is no landmark of its own. */
  readonly navigates?: boolean;
  /** What one is known by, as far as it has a name of its own: the word of its class names is made from that. */
  readonly known?: (part: PartOf<Id, S>) => string;
  /**
   * The width in px below which it shows where that follows from what folds: `needed` tells it for a panel. Left out,
   * it always shows; null is never.
   */
  readonly shownBelow?: (part: PartOf<Id, S>, needed: (panel: string) => number | null) => number | null;
  /** Whether a slot is there at all: nothing is styled that is not there. */
  readonly hasSlot?: (part: PartOf<Id, S>, slot: string, site: SiteContent) => boolean;
  /** Whether a slot is there at a level of its menu; left out, at all of the slot's levels. */
  readonly hasLevel?: (part: PartOf<Id, S>, slot: string, level: Level, site: SiteContent) => boolean;
  /** The word of the class of the element that stands for it in its region; the kind's id otherwise. */
  readonly box?: (part: PartOf<Id, S>) => string;
  readonly behind?: (part: PartOf<Id, S>, slot: string, level: number | null, site: SiteContent) => Behind;
  /** The slots worn by boxes around controls instead of the controls themselves: a box has the states of what is in it. */
  readonly boxes?: (part: PartOf<Id, S>, site: SiteContent) => readonly string[];
  /** The slot that what it opens hangs beneath where it stands in a row; null where it opens nothing. */
  readonly hangsFrom?: (part: PartOf<Id, S>, site: SiteContent) => string | null;
  readonly compile: (part: PartOf<Id, S>, out: PartOut) => Fragment;
  /** The width it takes in a row, in px; null where it is out of the row's flow, so that no gap is kept for it either. */
  readonly extent: (part: PartOf<Id, S>, at: PartExtents) => Extent | null;
  /** Whether there is nothing of it, whatever its look; left out, there always is something. */
  readonly comesToNothing?: (part: PartOf<Id, S>) => boolean;
  /** The custom property that goes before a slot's value at rest; null where the look decides alone. */
  readonly variable?: (part: PartOf<Id, S>, slot: string, property: string) => string | null;
  /** The words it shows: what fallback faces are fitted to. */
  readonly texts: (part: PartOf<Id, S>, site: SiteContent) => readonly string[];
  /** The icons it draws, as often as it does. */
  readonly drawn?: (part: PartOf<Id, S>, site: SiteContent) => readonly string[];
  /** Whether it is the first to leave a row that has no room, for the panel that other parts fold into. */
  readonly givesWay?: boolean;
  /** Where the pieces stand in which alone it may; left out, it may stand in all. */
  readonly onlyIn?: PiecePlace;
  /** Whether it is given by other parts and never added by hand. */
  readonly byItself?: boolean;
}

/** What every section has besides its own fields. */
export interface SectionBase extends OutputWord {
  readonly id: string;
  readonly name: string;
  readonly bands?: readonly string[];
  readonly look: Look;
}

export type SectionOf<S extends Shape> = SectionBase & Infer<S>;

/** A sort of section: a row of a header, a block of a panel. It holds regions, and regions hold parts. */
export interface SectionKind<Id extends string, S extends Shape> extends Kind<Id, S> {
  /** One to stand beside others of its piece. */
  readonly create: (id: string, name: string) => SectionOf<S>;
  readonly compile: (section: SectionOf<S>, out: SectionOut) => Fragment;
  /** The least width it takes on one line, in px, Infinity where it never does; left out where it is not to stand on one. */
  readonly extent?: (section: SectionOf<S>, at: SectionExtents) => Extent;
  /** The width in px its content keeps to while its fill goes on to the edges; null where it grows. */
  readonly contained?: (section: SectionOf<S>) => number | null;
  /** How its parts stand where that is its own choice; otherwise as its fields say. */
  readonly form?: (section: SectionOf<S>) => RegionForm;
  /** The slot that lies behind what stands in it. */
  readonly ground: string;
  /** Whether a slot of its own is there at all. */
  readonly hasSlot?: (section: SectionOf<S>, slot: string) => boolean;
  /** The words it shows itself, besides those of its parts. */
  readonly texts?: (section: SectionOf<S>) => readonly string[];
}

/** What every piece has besides its own fields. */
export interface PieceBase<Id extends string = string> extends OwnAttributes, OutputWord {
  /** Whether it is seen only by those who work at the site: it is in no hand-off. */
  readonly draft?: boolean;
  readonly kind: Id;
  readonly id: string;
  readonly name: string;
  /** On which pages it stands; left out, it does on all. What opens over the page goes with what opens it. */
  readonly pages?: PageRule;
  /** Ids of the bands it is shown in; left out, it shows at every width. */
  readonly bands?: readonly string[];
  /** Where it goes as a whole, of pieces that may. */
  readonly folds?: Omit<Folds, 'tight'>;
  readonly look: Look;
}

export type PieceOf<Id extends string, S extends Shape> = PieceBase<Id> & Infer<S>;

/** What a piece keeps of the window while the page scrolls. */
export interface Keeping {
  /** The whole top or bottom, a column beside the page, or a place at an edge. */
  readonly at: 'top' | 'bottom' | 'column' | FloatPlace;
  /** How high it is at least, or how far from the edge it begins, in px. */
  readonly height: number;
  /** The property of the piece's own slot that says so. */
  readonly by: PropertyId;
}

/** Reads what looks say at rest: of a slot of something in a piece. */
export interface LookReader {
  readonly value: (owner: string, slot: string, property: PropertyId, band: number) => Value | undefined;
  readonly pixels: (owner: string, slot: string, property: PropertyId, band: number) => number;
}

/** Where on a page a piece stands: before what the page says, beside it, after it, fixed in the window, or over it once opened. */
export type PiecePlace = 'start' | 'beside' | 'end' | 'window' | 'over';

/** A sort of piece: a header, a panel. One folder, and one line in the list of pieces. */
export interface PieceKind<Id extends string, S extends Shape> extends Kind<Id, S> {
  readonly create: (world: {
    readonly id: string;
    readonly name: string;
    readonly freshId: IdSource;
    readonly site: Site | null;
  }) => PieceOf<Id, S>;
  /** What is wrong with its settings together, in words; null where nothing is. */
  readonly problem?: (piece: PieceOf<Id, S>) => string | null;
  /** Whether a slot of its own is there at all. */
  readonly hasSlot?: (piece: PieceOf<Id, S>, slot: string) => boolean;
  /** The words it shows itself, besides those of its parts. */
  readonly texts?: (piece: PieceOf<Id, S>) => readonly string[];
  /** The icons it draws itself. */
  readonly drawn?: (piece: PieceOf<Id, S>) => readonly string[];
  /** The states anything in it can come to. */
  readonly comesTo: (piece: PieceOf<Id, S>, state: State) => boolean;
  /** The width in px that a slot of its own keeps its content to; null, or left out, where that grows. */
  readonly contained?: (piece: PieceOf<Id, S>, slot: string) => number | null;
  /** Where on a page it stands. */
  readonly stands: PiecePlace;
  /** Whether all that stands in it may go into a panel together. */
  readonly foldsWhole?: true;
  /** Whether it stays in the window in a band while the page scrolls; left out, in every one in which it comes to be scrolled. */
  readonly staysIn?: (piece: PieceOf<Id, S>, site: Pick<SiteContent, 'bands'>, band: number) => boolean;
  /** What it keeps of the window in a band while the page scrolls; null, or left out, where that is nothing. */
  readonly keeps?: (piece: PieceOf<Id, S>, read: LookReader, band: number) => Keeping | null;
  /** Whether it lies over the page's content in a state, so that any of its colours may be behind. */
  readonly overContent: (piece: PieceOf<Id, S>, states: readonly State[]) => boolean;
  /** The slots that lie behind what stands in it, innermost first. */
  readonly grounds: readonly string[];
  /** The slots that lie behind a slot of its own. */
  readonly behind: (slot: string) => readonly string[];
  /** Ids of the sections that may lie beneath a slot of its own, which is drawn over them. */
  readonly liesOver?: (piece: PieceOf<Id, S>, slot: string) => readonly string[];
  /** The slot that is the piece's own element, and the one that is its backdrop. */
  readonly rootSlot: string;
  readonly backdropSlot?: string;
  readonly compile: (piece: PieceOf<Id, S>, out: PieceOut) => Fragment;
}

/** A region of a piece: the parts that stand in it in order. */
export interface Region {
  /** Id of its section and the field that holds the parts. */
  readonly id: string;
  readonly name: string;
  readonly form: RegionForm;
  readonly piece: Piece;
  readonly section: Section;
  readonly parts: readonly Part[];
  /** JSON Pointer of the list of parts. */
  readonly path: string;
}
