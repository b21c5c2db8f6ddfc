import { memoise } from '../base/memo.ts';
import { partKind, pieceKind, sectionKind } from '../kinds/catalogue.ts';
import { PIECES } from '../kinds/pieces/pieces.ts';
import { SECTIONS } from '../kinds/sections/sections.ts';
import { standsIn } from '../kinds/folds.ts';
import { opensOver, placedParts, sectionsOf, type PlacedPart } from '../kinds/placed.ts';
import type { PropertyId } from '../kinds/properties/properties.ts';
import type { SlotLook, SlotRef } from '../model/look.ts';
import type { Declaration } from '../print/trees.ts';
import { effectiveLook } from '../resolve/resolve.ts';
import type { Value } from '../values/values.ts';
import type { CompileContext } from './context.ts';
import { valueDeclarations } from './values.ts';

/*
 * What a part of a row opens hangs beneath the bar, not over its lower edge. What lies between the two is said by looks
 * of the part, its row and its piece, in any state and band, so each of those says it once more as a custom property.
 */

/** What can lie between a slot's content and its lower edge, with the word of its custom property. */
const BETWEEN: Readonly<Partial<Record<PropertyId, string>>> = {
  paddingBlock: 'padding',
  lineBottom: 'line',
  marginBlock: 'margin',
};
const IDS = Object.keys(BETWEEN) as PropertyId[];

/** The margin of the bar itself lies beyond its edge. */
const counts = (id: PropertyId, slot: string): boolean =>
  BETWEEN[id] !== undefined && (id !== 'marginBlock' || !GROUNDS.has(slot));
const GROUNDS: ReadonlySet<string> = new Set([
  ...SECTIONS.map(({ ground }) => ground),
  ...PIECES.map(({ rootSlot }) => rootSlot),
]);

/** The slot of a part that what it opens hangs from; null where it opens nothing or stands over the page. */
const hangsFrom = ({ site }: CompileContext, { part, piece }: PlacedPart): string | null =>
  opensOver(piece) ? null : (partKind(part).hangsFrom?.(part as never, site) ?? null);

/** The slots around what a part opens, innermost first; the piece's own where its row is the lowest. */
function slotsAround(context: CompileContext, placed: PlacedPart): SlotRef[] {
  const slot = hangsFrom(context, placed);
  if (slot === null) return [];
  const { part, piece, region } = placed;
  const sections = sectionsOf(context.site).filter((entry) => entry.piece.id === piece.id);
  const section = sections.find((entry) => entry.section === region.section);
  return [
    { owner: part.id, slot },
    ...(section ? [{ owner: section.section.id, slot: sectionKind(section.kind).ground }] : []),
    ...(section === sections.at(-1) ? [{ owner: piece.id, slot: pieceKind(piece).rootSlot }] : []),
  ];
}

const keyOf = ({ owner, slot }: SlotRef) => `${owner} ${slot}`;

/** The keys of looks for the bands a part stands in its row in. */
const bandsOf = ({ site }: CompileContext, placed: PlacedPart): readonly string[] => [
  'all',
  ...site.bands.filter((_band, index) => standsIn(site, placed, index)).map(({ id }) => id),
];

/** Every slot that something hangs beneath, with the bands it does in. */
const hangingSlots = memoise((context: CompileContext): ReadonlyMap<string, ReadonlySet<string>> => {
  const found = new Map<string, Set<string>>();
  for (const placed of placedParts(context.site))
    for (const ref of slotsAround(context, placed)) {
      const bands = found.get(keyOf(ref)) ?? new Set();
      for (const band of bandsOf(context, placed)) bands.add(band);
      found.set(keyOf(ref), bands);
    }
  return found;
});

const isNothing = (value: Value | undefined): boolean =>
  value === undefined || value === 0 || (typeof value === 'object' && 'line' in value && value.line === null);

/** Whether a look says something of a property that takes room, in one of some bands. */
const says = (look: SlotLook, id: PropertyId, bands: readonly string[]): boolean =>
  Object.values(look).some((states) =>
    Object.values(states).some((byBand) => bands.some((band) => !isNothing(byBand[band]?.[id]))),
  );

const wordOf = (slot: string, id: PropertyId) => `under-${slot}-${BETWEEN[id] ?? ''}`;

/** The custom properties of a slot that say how much lies between its content and its edge. */
function saidBy(
  context: CompileContext,
  placed: PlacedPart,
  ref: SlotRef,
  ids: readonly PropertyId[] = IDS,
): string[] {
  const look = effectiveLook(context.site, ref);
  const bands = bandsOf(context, placed);
  return ids
    .filter((id) => counts(id, ref.slot) && says(look, id, bands))
    .map((id) => context.names.variable(wordOf(ref.slot, id)));
}

/** How far beneath its link's own box, or the box of its section, what a part opens begins, as CSS. */
export function beneath(
  context: CompileContext,
  placed: PlacedPart,
  from: 'link' | 'section' = 'link',
): string {
  const [own, section, ...outer] = slotsAround(context, placed);
  // What is placed by its section lies beyond its padding, at the inner side of its line.
  const inner =
    from === 'link'
      ? [own, section].flatMap((ref) => (ref ? saidBy(context, placed, ref) : []))
      : section
        ? saidBy(context, placed, section, ['lineBottom'])
        : [];
  const said = [...inner, ...outer.flatMap((ref) => saidBy(context, placed, ref))];
  return said.length === 0
    ? '100%'
    : `calc(${['100%', ...said.map((name) => `var(${name}, 0px)`)].join(' + ')})`;
}

/** What all parts are told of looks this way. */
export const beneaths = (context: CompileContext): string =>
  placedParts(context.site)
    .map((placed) => (hangsFrom(context, placed) === null ? '' : beneath(context, placed)))
    .join();

/** Whether a value of a slot is said once more in a band, for what hangs beneath it. */
export function isSaidBeneath(
  context: CompileContext,
  owner: string,
  slot: string,
  id: PropertyId,
  band: string,
): boolean {
  if (!counts(id, slot)) return false;
  const ref = { owner, slot };
  const bands = hangingSlots(context.arranged ?? context).get(keyOf(ref));
  return bands?.has(band) === true && says(effectiveLook(context.site, ref), id, [...bands]);
}

/** A value said once more for what hangs beneath its slot. */
export function declareBeneath(
  context: CompileContext,
  slot: string,
  id: PropertyId,
  value: Value,
): Declaration {
  const isLine = typeof value === 'object' && 'line' in value;
  const css = isLine ? `${value.line?.width ?? 0}px` : valueDeclarations(context, id, value)[0]?.[1];
  return [context.names.variable(wordOf(slot, id)), css === undefined || css === '0' ? '0px' : css];
}
