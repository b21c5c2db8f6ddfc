import { memoise } from '../base/memo.ts';
import { partKind, pieceKind, sectionKind } from '../kinds/catalogue.ts';
import {
  drawnLine,
  exact,
  sumExtents,
  type Extent,
  type PartExtents,
  type SlotReader,
} from '../kinds/extent.ts';
import { givesWayIn, isShownIn, shownBelow, standsIn } from '../kinds/folds.ts';
import type { Part, Piece, Site } from '../kinds/site.ts';
import { findPlaced, ownersOf, slotKind, type PlacedSection } from '../kinds/placed.ts';
import type { SlotKind } from '../model/slot.ts';
import { itemKey, type Level, type State } from '../model/states.ts';
import { baseText } from '../resolve/resolve.ts';
import { effectiveLook, resolve } from '../resolve/resolve.ts';
import type { PropertyId } from '../kinds/properties/properties.ts';
import type { Measurer } from '../text/measure.ts';
import type { Value } from '../values/values.ts';
import { isResized } from './own-css.ts';
import { isLength, type LengthValue, ROOT_SIZE, lengthTree, toPixels, unitsOf } from '../values/length.ts';

/** The narrowest page in px that anything is judged at (WCAG 2.2, success criterion 1.4.10). */
export const NARROWEST = 320;

/** Where widths are asked for: a band by its index, and the page's width in px that fluid lengths follow. */
interface Ground {
  readonly site: Site;
  readonly band: number;
  readonly width: number;
  readonly measure: Measurer;
  /** Ids of parts that could give way and do not. */
  readonly staying: ReadonlySet<string>;
}

const NONE: ReadonlySet<string> = new Set();

/** Capitals take other room than what was typed. */
function shownText(text: string, letters: unknown): string {
  switch (letters) {
    case 'capitals':
      return text.toUpperCase();
    case 'small':
      return text.toLowerCase();
    case 'initial capitals':
      return text.replace(
        /(^|[\s-])(\p{L})/gu,
        (_whole, before: string, letter: string) => before + letter.toUpperCase(),
      );
    default:
      return text;
  }
}

/** A reader of a slot that knows its type too. */
interface TypeReader extends SlotReader {
  readonly words: (label: string) => Extent;
}

/** The size of the pieces' own type, as it is written. */
const baseSize = memoise((site: Site): LengthValue => {
  const size = baseText(site, site.pieces, 'size');
  return isLength(size) ? size : ROOT_SIZE;
});

/** The size of the type that a slot without a size of its own takes over: that of the slot around it, or the pieces' own. */
function inheritedSize(ground: Ground, owner: string, kind: SlotKind | null): number {
  const around = kind?.inside ?? kind?.inherits;
  if (around !== undefined) return readSlot(ground, owner, around, null, []).size;
  return toPixels(baseSize(ground.site), { fontSize: ROOT_SIZE, width: ground.width });
}

/** Reads numbers of one slot in one band, in px; `holder` is the slot it really stands in, where there are several. */
function readSlot(
  ground: Ground,
  owner: string,
  slot: string,
  level: Level | null,
  states: readonly State[],
  { holder, item }: { readonly holder?: string | null; readonly item?: string | undefined } = {},
): TypeReader {
  const own = item === undefined ? {} : { item };
  const { site, band, width, measure } = ground;
  const resolved = new Map<PropertyId, Value | undefined>();
  const value = (property: PropertyId): Value | undefined => {
    if (!resolved.has(property)) resolved.set(property, resolveValue(property));
    return resolved.get(property);
  };
  const resolveValue = (property: PropertyId) => {
    const found = resolve(site, { owner, slot, property, level, ...own, states, band });
    return found?.origin.kind === 'holder' && holder != null
      ? resolve(site, { owner, slot: holder, property, level, ...own, states, band })?.value
      : found?.value;
  };
  const kind = slotKind(site, { owner, slot });
  const typeSize = kind?.properties.includes('size') ? value('size') : null;
  const size = isLength(typeSize)
    ? toPixels(typeSize, { fontSize: ROOT_SIZE, width })
    : inheritedSize(ground, owner, kind);
  const pixels = (property: PropertyId) => {
    const length = value(property);
    return isLength(length) ? toPixels(length, { fontSize: size, width }) : 0;
  };
  const isShare = (property: PropertyId) => {
    const length = value(property);
    const tree = isLength(length) ? lengthTree(length) : null;
    return tree !== null && unitsOf(tree).includes('%');
  };
  const line = (property: PropertyId) => {
    const drawn = value(property);
    return typeof drawn === 'object' && 'line' in drawn ? drawnLine(drawn.line?.width ?? 0) : 0;
  };
  const lines = () => line('lineStart') + line('lineEnd');
  return {
    size,
    pixels,
    word: (property) => {
      const word = value(property);
      return typeof word === 'string' ? word : '';
    },
    isShare,
    line,
    lines,
    around: () => lines() + 2 * pixels('marginInline'),
    words: (label) => {
      const family = value('family');
      const measured = measure(shownText(label, value('letters')), {
        family: typeof family === 'string' ? family : 'system',
        weight: Number(value('weight') ?? 400),
        size,
        tracking: pixels('tracking'),
      });
      const spaces = label.trim().split(/\s+/).length - 1;
      return {
        width: measured.width + spaces * pixels('wordSpace'),
        certain: measured.certain,
        unmeasured: measured.certain ? [] : [label],
      };
    },
  };
}

function partExtents(ground: Ground, owner: string, half: 0 | 1 | null, item?: string): PartExtents {
  // All links of a level read the same slot, but for those with a look of their own.
  const readers = new Map<string, TypeReader>();
  const looks = Object.keys(ownersOf(ground.site).get(owner)?.look ?? {});
  const isSingle = (id: string) =>
    looks.some((slot) => Object.hasOwn(effectiveLook(ground.site, { owner, slot }), itemKey(id)));
  const read = (
    slot: string,
    level: Level | null = null,
    states: readonly State[] = [],
    holder: string | null = null,
  ): TypeReader => {
    const key = `${slot} ${level} ${states.join()} ${holder}`;
    const reader = readers.get(key) ?? readSlot(ground, owner, slot, level, states, { holder, item });
    readers.set(key, reader);
    return reader;
  };
  const extents: PartExtents = {
    site: ground.site,
    of: (id) => (isSingle(id) ? partExtents(ground, owner, half, id) : extents),
    band: ground.site.bands[ground.band]?.id ?? '',
    half,
    slot: read,
    words: (text, slot, level = null, states = [], holder = null) =>
      read(slot, level, states, holder).words(text),
    control: (content, slot, level) => {
      const own = read(slot, level);
      const inside = sumExtents(content, own.pixels('gap'), 2 * own.pixels('paddingInline') + own.lines());
      const width = Math.max(inside.width, own.pixels('minWidth')) + 2 * own.pixels('marginInline');
      return { ...inside, width };
    },
  };
  return extents;
}

/** What a part's width follows from besides the part itself, where no look is shared: everything but looks and colours. */
const BESIDES = ['bands', 'icons', 'menus', 'typeStyles', 'typefaces', 'sameLooks'] as const;

interface KnownExtents {
  readonly site: Site;
  readonly byMeasurer: WeakMap<Measurer, Map<string, Extent | null>>;
}

/** Widths kept of a part: lengths that follow the page are asked for at many. */
const MOST_KNOWN = 200;

const known = new WeakMap<Part, KnownExtents>();

/** Widths of a part that were worked out before, as far as they still hold for a site: parts are shared from edit to edit. */
function knownExtents({ site, measure }: Ground, part: Part): Map<string, Extent | null> {
  const before = known.get(part);
  const isSame =
    before !== undefined &&
    BESIDES.every((field) => before.site[field] === site[field]) &&
    (site.sameLooks.length === 0 || before.site.pieces === site.pieces);
  const { byMeasurer } = isSame
    ? before
    : { byMeasurer: new WeakMap<Measurer, Map<string, Extent | null>>() };
  if (!isSame) known.set(part, { site, byMeasurer });
  const byGround = byMeasurer.get(measure) ?? new Map<string, Extent | null>();
  byMeasurer.set(measure, byGround);
  return byGround;
}

/** Whether there is anything of a part, and anything folds that asks for it. */
function isThere(site: Site, part: Part): boolean {
  const placed = findPlaced(site, part.id);
  if (placed && shownBelow(site, placed) === null) return false;
  return partKind(part).comesToNothing?.(part as never) !== true;
}

/** What declarations of the designer's own may make wider or narrower. */
const guessed = (extent: Extent): Extent => ({
  ...extent,
  certain: false,
  unmeasured: [...extent.unmeasured, 'own CSS'],
});

/** The room a part takes; null where it comes to nothing, or nothing folds that would ask for it. */
function extentOf(ground: Ground, part: Part, half: 0 | 1 | null): Extent | null {
  if (!isThere(ground.site, part)) return null;
  const extents = knownExtents(ground, part);
  const at = `${ground.band} ${ground.width} ${half} ${baseSize(ground.site)}`;
  const found = extents.get(at);
  if (found !== undefined) return found;
  if (extents.size >= MOST_KNOWN) extents.clear();
  const told = partKind(part).extent(part as never, partExtents(ground, part.id, half));
  const extent = told && isResized(ground.site, part.id, part.kind) ? guessed(told) : told;
  extents.set(at, extent);
  return extent;
}

/** The page's width in px that a band is judged at: its narrowest, where a row is tightest. */
export const narrowestIn = (site: Site, band: number) => Math.max(NARROWEST, site.bands[band]?.min ?? 0);

/** The width a part takes in a row of one band, unfolded, in px; 0 where it comes to nothing. */
export function partExtent(site: Site, part: Part, band: number, measure: Measurer): Extent {
  return (
    extentOf({ site, band, width: narrowestIn(site, band), measure, staying: NONE }, part, null) ?? exact(0)
  );
}

/** The room that the piece around its sections takes at its sides. */
function aroundSections(ground: Ground, piece: Piece): number {
  const own = readSlot(ground, piece.id, pieceKind(piece).rootSlot, null, []);
  return 2 * own.pixels('paddingInline') + own.around();
}

/** What a section needs on a page of one width, that of its piece's sides included. */
function sectionAt(ground: Ground, { section, kind, piece, regions }: PlacedSection): Extent | null {
  const { site, band } = ground;
  const inside = sectionKind(kind).extent?.(section as never, {
    site,
    piece,
    section,
    regions,
    slot: (slot) => readSlot(ground, section.id, slot, null, []),
    stands: (part) => {
      const found = findPlaced(site, part.id);
      const isLeft = givesWayIn(site, part.id, band) && !ground.staying.has(part.id);
      return found !== null && !isLeft && standsIn(site, found, band);
    },
    isThere: (part) => isThere(site, part),
    part: (part, half) => extentOf(ground, part, half ?? null),
  });
  if (!inside) return null;
  const told = sumExtents([inside], 0, aroundSections(ground, piece));
  return isResized(site, section.id, kind) || isResized(site, piece.id, piece.kind) ? guessed(told) : told;
}

/** How often a width is asked for again where what is needed grows with it, and how near two answers are the same, in px. */
const SETTLING = { times: 30, near: 0.05 } as const;

/**
 * The least page width in px at which a section stands on one line in a band; null where it is not to, Infinity where it
 * never does. Where lengths grow with the page, what is needed does too: the least width that is enough is approached from
 * below. Parts that give way count as away, but for those that are `staying`.
 */
export function sectionExtent(
  site: Site,
  placed: PlacedSection,
  band: number,
  measure: Measurer,
  staying: ReadonlySet<string> = NONE,
): Extent | null {
  if (!isShownIn(placed.section, site, band) || !isShownIn(placed.piece, site, band))
    return sectionKind(placed.kind).extent ? exact(0) : null;
  // Asked from the narrowest page on: what is needed is told for the width at which it is enough, beneath the band too.
  let width: number = NARROWEST;
  let needed = sectionAt({ site, band, width, measure, staying }, placed);
  for (let time = 0; needed && needed.width > width + SETTLING.near; time++) {
    if (time === SETTLING.times || needed.width === Infinity) return { ...needed, width: Infinity };
    ({ width } = needed);
    needed = sectionAt({ site, band, width, measure, staying }, placed);
  }
  return needed;
}
