import type { SingleEdit } from '../edit/operations.ts';
import type { PlacedItem } from '../kinds/content.ts';
import type { Piece, Site } from '../kinds/site.ts';
import type { PlacedPart } from '../kinds/placed.ts';
import type { Measurer } from '../text/measure.ts';
import type { RowFit } from '../layout/fit.ts';
import type { Cell } from '../model/look.ts';
import type { Menu } from '../model/site-content.ts';
import type { LookPlace } from '../advice/contrast.ts';
import type { Sight, SightKind } from './sights/sight.ts';

/** How a check came out where it did not pass: it fails, it should be looked at, or it cannot be known. */
export type Outcome = 'fail' | 'look' | 'unknown';

/** What can be done about a finding where one thing is certain. */
export interface Fix {
  readonly label: string;
  readonly edit: SingleEdit;
}

/** One thing a check found. Findings are values: the same site gives the same ones. */
export interface Finding {
  /** Id of the check. */
  readonly check: string;
  readonly outcome: Outcome;
  /** Menu and link it is about; null where it is about a placement. */
  readonly menu: string | null;
  readonly item: string | null;
  /** JSON Pointer of the place. */
  readonly path: string;
  /** What is wrong, in a sentence. */
  readonly reason: string;
  /** What was found. */
  readonly evidence: string;
  readonly fix?: Fix;
  readonly at?: Spot;
}

/** Where on the bench a finding is seen. */
export interface Spot {
  readonly piece: string;
  /** The cell that says what is wrong. */
  readonly cell?: Cell;
  /** The page's width at which it shows, in px. */
  readonly width?: number;
  /** Id of the scene over which it does. */
  readonly scene?: string;
}

/** What fetching an address came to. */
export interface FetchedLink {
  readonly url: string;
  /** HTTP status of the last answer; null where there was none. */
  readonly status: number | null;
  /** Where redirects led to; the same as `url` where there were none. */
  readonly finalUrl: string;
  /** Why there was no answer. */
  readonly error: string | null;
  /** Whether every redirect on the way is permanent (301, 308). */
  readonly permanent: boolean;
}

/** What every check is told. */
export interface World {
  readonly site: Site;
  readonly hasListedPages: boolean;
  /** What was fetched, by address. */
  readonly fetched: ReadonlyMap<string, FetchedLink>;
  /** The site's own host without `www.`, and whether it is on https; host empty where it has no address. */
  readonly own: { readonly host: string; readonly secure: boolean };
}

/** What a check of one link is told besides: what stands around the link. */
export interface LinkWorld extends World {
  readonly menu: Menu;
  /** Links of the same menu by target, and by label in small letters. */
  readonly byTarget: ReadonlyMap<string, readonly PlacedItem[]>;
  readonly byLabel: ReadonlyMap<string, readonly PlacedItem[]>;
  /** How deep any placement shows the menu; null where it is placed nowhere. */
  readonly shownDepth: number | null;
}

/** What a check of a row is told besides: how words are measured. */
export interface RowWorld extends World {
  readonly measure: Measurer;
}

/** What a check says of a place that does not pass. */
export interface Objection {
  readonly outcome: Outcome;
  readonly reason: string;
  readonly evidence: string;
  readonly fix?: Fix;
  readonly at?: Spot;
}

/** What is checked, by sort: the place a check looks at, and what it is told. */
interface Places {
  readonly link: { readonly place: PlacedItem; readonly world: LinkWorld };
  readonly part: { readonly place: PlacedPart; readonly world: World };
  readonly look: { readonly place: LookPlace; readonly world: World };
  readonly row: { readonly place: RowFit; readonly world: RowWorld };
  readonly piece: { readonly place: Piece; readonly world: World };
  readonly sight: { readonly place: Sight; readonly world: World };
}

interface CheckOf<Sort extends keyof Places> {
  readonly id: string;
  readonly of: Sort;
  /** What the check is about, in a few words. */
  readonly label: string;
  /** Why it matters. */
  readonly why: string;
  /** Passes by itself until the addresses have been fetched, no typeface can be measured, or no browser has drawn the page. */
  readonly asks?: 'addresses' | 'measures' | 'page';
  /** Null where the place passes. */
  readonly check: (place: Places[Sort]['place'], world: Places[Sort]['world']) => Objection | null;
}

/** A check of one link, in a menu or on a part. */
export type LinkCheck = CheckOf<'link'>;
/** A check of one part in its place. */
export type PartCheck = CheckOf<'part'>;

/** A check of one slot's look. */
export type LookCheck = CheckOf<'look'>;
/** A check of how one row fits in one band. */
export type RowCheck = CheckOf<'row'>;

/** A check of one piece among the others of its pages. */
export type PieceCheck = CheckOf<'piece'>;

/** A check of what a browser drew. */
export interface SightCheck extends CheckOf<'sight'> {
  readonly sees: SightKind;
  /** Checks that calculate the same: where one of them objects to a slot, this one has nothing to add. */
  readonly yieldsTo?: readonly string[];
}

export type Check = LinkCheck | PartCheck | LookCheck | RowCheck | PieceCheck | SightCheck;
