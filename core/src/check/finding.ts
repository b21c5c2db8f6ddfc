import type { Edit } from '../edit/operations.ts';
import type { Menu, Site } from '../model/site.ts';
import type { PlacedItem } from '../kinds/walk.ts';

/** How a check came out where it did not pass: it fails, it should be looked at, or it cannot be known. */
export type Outcome = 'fail' | 'look' | 'unknown';

/** What can be done about a finding where one thing is certain. */
export interface Fix {
  readonly label: string;
  readonly edit: Edit;
}

/** One thing a check found. Findings are values: the same site gives the same ones. */
export interface Finding {
  /** Id of the check. */
  readonly rule: string;
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

/** What a check of one link is told. */
export interface LinkWorld {
  readonly site: Site;
  /** Links of the same menu by target, and by label in small letters. */
  readonly byTarget: ReadonlyMap<string, readonly PlacedItem[]>;
  readonly byLabel: ReadonlyMap<string, readonly PlacedItem[]>;
  /** How deep any placement shows the menu; null where it is placed nowhere. */
  readonly shownDepth: number | null;
  readonly hasListedPages: boolean;
  /** What was fetched, by address. */
  readonly fetched: ReadonlyMap<string, FetchedLink>;
  /** The site's own host without `www.`, and whether it is on https; host empty where it has no address. */
  readonly own: { readonly host: string; readonly secure: boolean };
  readonly menu: Menu;
}

/** What a rule says of a link that does not pass. */
export interface LinkFault {
  readonly outcome: Outcome;
  readonly reason: string;
  readonly evidence: string;
  readonly fix?: Fix;
}

/** One check of links; null means that the link passes. */
export interface LinkRule {
  readonly id: string;
  /** What the check is about, in a few words. */
  readonly label: string;
  /** Why it matters. */
  readonly why: string;
  readonly check: (placed: PlacedItem, world: LinkWorld) => LinkFault | null;
}
