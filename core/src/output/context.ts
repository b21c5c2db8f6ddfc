import type { Piece, Site } from '../kinds/site.ts';
import { ownersOf, type Owner } from '../kinds/placed.ts';
import { memoise } from '../base/memo.ts';
import { givingWay } from '../layout/gives-way.ts';
import { createMeasurer } from '../text/measure.ts';
import type { FontMetrics } from '../text/font-table.ts';
import { createNames, DEFAULT_PREFIX, type Names } from './names.ts';

export interface CompileOptions {
  /** Start of every class, id and custom property. */
  readonly prefix?: string;
  /** Where the stylesheet finds the font files. */
  readonly fontBase?: string;
  /** Put before the paths of the site's own pages, where those do not lie at the root of their host. */
  readonly pathBase?: string;
  /** Also answers to pinned states (`data-pin`), for the stage; never part of the hand-off. */
  readonly pinnable?: boolean;
  /** One rule after the other, for tools and browsers that do not know nested ones. */
  readonly flat?: boolean;
  /** Measures of the bundled typefaces, for fallback faces that take the same room. */
  readonly fonts: readonly FontMetrics[];
  /** Ids of the pieces that are wanted; all of them where it is left out. */
  readonly only?: readonly string[];
}

/** What every step of compiling a site needs. */
export interface CompileContext {
  readonly site: Site;
  /** The pieces that are compiled, in document order. */
  readonly pieces: readonly Piece[];
  readonly names: Names;
  /**
   * The selector of our roots. The `:not()` of an id that nothing has lends every rule an id's weight, so that the host
   * page's rules never win, whatever their order.
   */
  readonly root: string;
  readonly fontBase: string;
  readonly pathBase: string;
  readonly pinnable: boolean;
  readonly flat: boolean;
  readonly fonts: readonly FontMetrics[];
  /** For parts that leave only where their row has no room: the width in px below which they do. */
  readonly givingWay: ReadonlyMap<string, number>;
  /** Whether selectors tell levels by the way down to them, which every page has, not by the classes that rules ask for. */
  readonly levelsByPlace: boolean;
  /** That of an earlier document, of which this one differs by nothing but what paints; null where there is none. */
  readonly arranged: CompileContext | null;
}

const measurerOf = memoise(createMeasurer);

/** What is known of a document from an earlier one. */
type Known = Partial<Pick<CompileContext, 'names' | 'arranged'>>;

export function createContext(site: Site, options: CompileOptions, known: Known = {}): CompileContext {
  const arranged = known.arranged ?? null;
  const names = known.names ?? arranged?.names ?? createNames(site, options.prefix ?? DEFAULT_PREFIX);
  const { only } = options;
  return {
    site,
    names,
    pieces: only ? site.pieces.filter((piece) => only.includes(piece.id)) : site.pieces,
    root: `.${names.root}:not(#${names.rootId})`,
    fontBase: options.fontBase ?? 'fonts/',
    pathBase: options.pathBase ?? '',
    pinnable: options.pinnable ?? false,
    flat: options.flat ?? false,
    fonts: options.fonts,
    givingWay: arranged?.givingWay ?? givingWay(site, measurerOf(options.fonts)),
    levelsByPlace: false,
    arranged,
  };
}

/** A selector below the roots. */
export const within = (context: CompileContext, selector: string): string => `${context.root} ${selector}`;

/** The selector of one piece's own root. */
export const ownRoot = ({ names }: CompileContext, piece: Piece): string =>
  `.${names.root}.${names.slotClass(piece.id, piece.kind)}:not(#${names.rootId})`;

/** Everything that carries a look and is in the output, in document order. */
export function outputOwners({ site, pieces }: CompileContext): Owner[] {
  return [...ownersOf(site).values()].filter((owner) => pieces.includes(owner.piece));
}
