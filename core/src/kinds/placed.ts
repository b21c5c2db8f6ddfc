import { memoise } from '../base/memo.ts';
import { isRecord } from '../base/json.ts';
import type { Look, SlotRef } from '../model/look.ts';
import { sectionIn, type Field, type FieldSpec, type Shape } from '../model/shape/field.ts';
import type { SlotKind } from '../model/slot.ts';
import { itemOf, levelKey, levelOf, type Level, type LevelKey } from '../model/states.ts';
import { BOOK } from './book.ts';
import {
  partKind,
  pieceKind,
  sectionKind,
  shapeOf,
  SITE_SHAPE,
  slotsOf,
  type OwnerKind,
} from './catalogue.ts';
import { itemLevels, itemsOf, shownLinks } from './content.ts';
import type { MenuPart } from './parts/menu/shape.ts';
import type { Part, Piece, Region, Section, SectionKindId, Site } from './site.ts';
import { shapeNames, shapeReferences, visitShape, type Reference } from '../model/shape/visit.ts';
import type { Target } from '../model/target.ts';

/** A section of a piece with where it stands in the document. */
export interface PlacedSection {
  readonly section: Section;
  readonly kind: SectionKindId;
  readonly piece: Piece;
  readonly regions: readonly Region[];
  /** JSON Pointer of the section. */
  readonly path: string;
}

type ThingsSpec = Extract<FieldSpec, { kind: 'things' }>;

/** A field of a shape that holds a list of things, and the fields that lead to it, group by group. */
interface ListField {
  readonly field: Field<unknown>;
  readonly spec: ThingsSpec;
  readonly keys: readonly string[];
  /** The last of its keys. */
  readonly name: string;
  /** JSON Pointer of the list in the thing that holds it. */
  readonly path: string;
}

/** The fields of a shape that hold lists of things. */
const listFields = memoise((shape: Shape): readonly ListField[] =>
  Object.entries(shape).flatMap(([key, field]: [string, Field<unknown>]): ListField[] => {
    const { spec } = field;
    if (spec.kind === 'things') return [{ field, spec, keys: [key], name: key, path: `/${key}` }];
    if (spec.kind !== 'group') return [];
    return listFields(spec.of).map((inner) => ({
      ...inner,
      keys: [key, ...inner.keys],
      path: `/${key}${inner.path}`,
    }));
  }),
);

/** The list of things that a field of a thing holds; null where it holds none. */
function listIn({ keys }: ListField, thing: unknown): readonly unknown[] | null {
  let held = thing;
  for (const key of keys) held = isRecord(held) ? held[key] : undefined;
  return Array.isArray(held) ? held : null;
}

function placeSection(piece: Piece, kind: SectionKindId, section: Section, path: string): PlacedSection {
  const regions: Region[] = [];
  for (const list of listFields(shapeOf(kind))) {
    const parts = listIn(list, section) as readonly Part[] | null;
    if (!parts) continue;
    regions.push({
      id: `${section.id}.${list.name}`,
      name: list.field.label,
      form: sectionKind(kind).form?.(section as never) ?? list.spec.form ?? 'row',
      piece,
      section,
      parts,
      path: path + list.path,
    });
  }
  return { section, kind, piece, regions, path };
}

/** The kinds of sections that a piece may hold. */
export const sectionKindsIn = (piece: Piece): readonly SectionKindId[] =>
  listFields(shapeOf(piece.kind)).flatMap(({ spec }) => (spec.sections ?? []) as SectionKindId[]);

/** What is remembered of a piece by its place among the others: a piece that an edit left alone is the same object. */
function byPiece<T>(make: (piece: Piece, index: number) => T): (piece: Piece, index: number) => T {
  const known = new WeakMap<Piece, { readonly index: number; readonly made: T }>();
  return (piece, index) => {
    const found = known.get(piece);
    if (found?.index === index) return found.made;
    const made = make(piece, index);
    known.set(piece, { index, made });
    return made;
  };
}

const sectionsInPiece = byPiece((piece, index): readonly PlacedSection[] => {
  const found: PlacedSection[] = [];
  for (const list of listFields(shapeOf(piece.kind))) {
    const sections = (listIn(list, piece) ?? []) as readonly Section[];
    sections.forEach((section, place) => {
      const kind = sectionIn(list.spec, section as { kind?: string }) as SectionKindId;
      found.push(placeSection(piece, kind, section, `/pieces/${index}${list.path}/${place}`));
    });
  }
  return found;
});

/** Every section of every piece in document order. */
export const sectionsOf = memoise((site: Site): readonly PlacedSection[] =>
  site.pieces.flatMap(sectionsInPiece),
);

const sectionsById = memoise(
  (site: Site): ReadonlyMap<string, PlacedSection> =>
    new Map(sectionsOf(site).map((placed) => [placed.section.id, placed])),
);

/** A section with where it stands; null where it is not this site's. */
export const findSection = (site: Site, { id }: Section): PlacedSection | null =>
  sectionsById(site).get(id) ?? null;

/** Every region by id, in document order. */
export const regionsOf = memoise(
  (site: Site): ReadonlyMap<string, Region> =>
    new Map(sectionsOf(site).flatMap(({ regions }) => regions.map((region) => [region.id, region]))),
);

/** A part with where it stands. */
export interface PlacedPart {
  readonly part: Part;
  readonly piece: Piece;
  readonly region: Region;
  readonly index: number;
  /** JSON Pointer of the part. */
  readonly path: string;
}

const partsInPiece = byPiece((piece, place): readonly PlacedPart[] =>
  sectionsInPiece(piece, place).flatMap(({ regions }) =>
    regions.flatMap((region) =>
      region.parts.map((part, index) => ({
        part,
        piece,
        region,
        index,
        path: `${region.path}/${index}`,
      })),
    ),
  ),
);

/** Every part of every piece in document order. */
export const placedParts = memoise((site: Site): readonly PlacedPart[] => site.pieces.flatMap(partsInPiece));

const partsById = memoise(
  (site: Site): ReadonlyMap<string, PlacedPart> =>
    new Map(placedParts(site).map((placed) => [placed.part.id, placed])),
);

/** A part of any piece by its id, with where it stands. */
export function findPlaced(site: Site, id: string): PlacedPart | null {
  return partsById(site).get(id) ?? null;
}

/** A part of any piece by its id. */
export function findPart(site: Site, id: string): Part | null {
  return partsById(site).get(id)?.part ?? null;
}

const partsByPiece = memoise((site: Site): ReadonlyMap<string, readonly Part[]> => {
  const parts = new Map<string, Part[]>(site.pieces.map(({ id }) => [id, []]));
  for (const { piece, part } of placedParts(site)) parts.get(piece.id)?.push(part);
  return parts;
});

/** The parts that a site has in one of its pieces, in document order: told by its id, as an edit may have replaced it. */
export function partsOf(site: Site, { id }: Piece): readonly Part[] {
  return partsByPiece(site).get(id) ?? [];
}

/** A piece, section or part that carries a look, with where it stands in the document. */
export interface Owner {
  readonly kind: OwnerKind;
  readonly sort: 'piece' | 'section' | 'part';
  readonly id: string;
  readonly look: Look;
  readonly thing: Piece | Section | Part;
  readonly piece: Piece;
  /** Id of the section a part stands in; null for anything else. */
  readonly section: string | null;
  /** JSON Pointer of the owner. */
  readonly path: string;
}

const ownersInPiece = byPiece((piece, index): readonly Owner[] => {
  const { id, look, kind } = piece;
  const path = `/pieces/${index}`;
  const owners: Owner[] = [{ kind, sort: 'piece', id, look, thing: piece, piece, section: null, path }];
  for (const { section, kind: sort, regions, path: at } of sectionsInPiece(piece, index)) {
    const { id: own, look: worn } = section;
    owners.push({
      kind: sort,
      sort: 'section',
      id: own,
      look: worn,
      thing: section,
      piece,
      section: null,
      path: at,
    });
    for (const region of regions) addOwners(owners, region, own);
  }
  return owners;
});

function addOwners(owners: Owner[], { parts, piece, path }: Region, section: string): void {
  parts.forEach((part, at) => {
    const { kind, id, look } = part;
    owners.push({ kind, sort: 'part', id, look, thing: part, piece, section, path: `${path}/${at}` });
  });
}

function listOwners(site: Site): ReadonlyMap<string, Owner> {
  const owners = new Map<string, Owner>();
  site.pieces.forEach((piece, index) => {
    for (const owner of ownersInPiece(piece, index)) owners.set(owner.id, owner);
  });
  return owners;
}

/** Every look carrier of a site by id, in document order. */
export const ownersOf = memoise(listOwners);

/** The catalogue's entry for a slot of this site, or null where owner or slot are gone. */
export function slotKind(site: Site, ref: SlotRef): SlotKind | null {
  const owner = ownersOf(site).get(ref.owner);
  return owner ? (slotsOf(owner.kind)[ref.slot] ?? null) : null;
}

/** Whether an owner shows a slot: nothing is styled that is not there. */
export function hasSlot(site: Site, owner: Owner, slot: string): boolean {
  if (owner.sort === 'piece') return pieceKind(owner.piece).hasSlot?.(owner.piece as never, slot) ?? true;
  if (owner.sort === 'section')
    return sectionKind(owner.kind as SectionKindId).hasSlot?.(owner.thing as never, slot) ?? true;
  const part = owner.thing as Part;
  return partKind(part).hasSlot?.(part as never, slot, site) ?? true;
}

/** The levels of its menu that a slot of an owner is there at; none outside of menus. */
export function levelsOf(site: Site, owner: Owner, slot: string): readonly Level[] {
  const levels = slotsOf(owner.kind)[slot]?.levels ?? [];
  if (owner.sort !== 'part' || levels.length === 0) return levels;
  const part = owner.thing as Part;
  const { hasLevel } = partKind(part);
  return hasLevel ? levels.filter((level) => hasLevel(part as never, slot, level, site)) : levels;
}

/** The keys a slot of an owner is asked for by: its levels, or all where it has none. */
export function levelKeysOf(site: Site, owner: Owner, slot: string): readonly LevelKey[] {
  const levels = levelsOf(site, owner, slot);
  return levels.length > 0 ? levels.map(levelKey) : ['all'];
}

/** The level and link that a key of an owner's look asks for. A box is at the level of the links it holds. */
export function askedAt(
  site: Site,
  { owner, slot }: SlotRef,
  key: LevelKey,
): { readonly level: Level | null; readonly item?: string } {
  const item = itemOf(key);
  const found = ownersOf(site).get(owner);
  if (item === null || found?.kind !== 'menu') return { level: levelOf(key) };
  const kind = slotsOf(found.kind)[slot];
  if (!kind || kind.levels.length === 0) return { level: null, item };
  const own = itemLevels(site, found.thing as MenuPart).get(item) ?? 1;
  return { level: Math.min(3, own + (kind.holdsLevel ? 1 : 0)) as Level, item };
}

export function findPiece(site: Site, id: string): Piece | null {
  return site.pieces.find((piece) => piece.id === id) ?? null;
}

/** Whether a piece lies over the page once it is opened. */
export const opensOver = (piece: Piece): boolean => pieceKind(piece).stands === 'over';

/** The pieces that stand in pages, in document order. */
export const standingPieces = memoise((site: Site): readonly Piece[] =>
  site.pieces.filter((piece) => !opensOver(piece)),
);

/** The pieces that open over the page. */
export const panelsOf = memoise((site: Site): readonly Piece[] => site.pieces.filter(opensOver));

/** A menu as one placement shows it. */
export interface Placement {
  readonly part: MenuPart;
  readonly piece: Piece;
}

/** Where a menu is placed, in document order. */
export function placementsOf(site: Site, menu: string): Placement[] {
  return placedParts(site).flatMap(({ part, piece }) =>
    part.kind === 'menu' && part.menu === menu ? [{ part, piece }] : [],
  );
}

/** The parts that show links of a menu, in document order: its placements, and rings. */
export const partsShowing = (site: Site, menu: string): readonly PlacedPart[] =>
  placedParts(site).filter(({ part }) => 'menu' in part && part.menu === menu);

/** Every reference by id that fields of the document hold; looks are told apart. In document order. */
export const refsOf = memoise((site: Site): readonly Reference[] =>
  shapeReferences(SITE_SHAPE, site as unknown as Record<string, unknown>, '', BOOK),
);

/** Where the links and parts of a piece lead: panels it can open among them. */
function panelsOpenedBy(site: Site, piece: Piece): string[] {
  const prefix = `/pieces/${site.pieces.findIndex(({ id }) => id === piece.id)}/`;
  const direct = refsOf(site).flatMap((ref) =>
    ref.to === 'panel' && ref.path.startsWith(prefix) ? [ref.id] : [],
  );
  const berths = [piece, ...partsOf(site, piece)].flatMap(({ folds }) => {
    const berth = folds?.berth;
    const placed = berth == null ? null : findPlaced(site, berth);
    return placed ? [placed.piece.id] : [];
  });
  const links = partsOf(site, piece)
    .filter((part): part is MenuPart => part.kind === 'menu')
    .flatMap((part) => shownLinks(site, part))
    .flatMap(({ target }: { target: Target }) => (target.kind === 'panel' ? [target.panel] : []));
  return [...berths, ...direct, ...links];
}

/** The panels that a piece can open, those that open from within them included, nearest first. */
export function panelsFrom(site: Site, piece: Piece): readonly Piece[] {
  const found = new Set<Piece>();
  const visit = (from: Piece) => {
    for (const id of panelsOpenedBy(site, from)) {
      const panel = findPiece(site, id);
      if (!panel || !opensOver(panel) || found.has(panel)) continue;
      found.add(panel);
      visit(panel);
    }
  };
  visit(piece);
  return [...found];
}

/** The side of its row at which the first thing stands that opens a panel; the end where nothing does, or in its middle. */
export function openedFrom(site: Site, panel: string): 'start' | 'end' {
  const opener = placedParts(site).find(({ part }) => openedBy(part).has(panel));
  return opener?.region.name === 'start' ? 'start' : 'end';
}

/** The panels a part refers to. */
export const openedBy = memoise((part: Part): ReadonlySet<string> => {
  const { refs } = shapeNames(shapeOf(part.kind), part as unknown as Record<string, unknown>, BOOK);
  return new Set(refs.flatMap(({ to, id }) => (to === 'panel' ? [id] : [])));
});

/** Every id in use anywhere in the site. */
export const idsOf = memoise((site: Site): ReadonlySet<string> => {
  const ids = new Set<string>(itemsOf(site).keys());
  visitShape(
    { ...SITE_SHAPE, menus: MENUS_WITHOUT_LINKS },
    site as unknown as Record<string, unknown>,
    '',
    BOOK,
    {
      field: ({ field, value }) => {
        if (field.spec.kind === 'id' && typeof value === 'string') ids.add(value);
      },
    },
  );
  for (const typeface of site.typefaces) ids.add(typeface.id);
  return ids;
});

/** The links of all menus are known by their index already. */
const MENUS_WITHOUT_LINKS = withoutLinks(SITE_SHAPE.menus);

function withoutLinks(field: Field<unknown>): Field<unknown> {
  const { spec } = field;
  if (spec.kind !== 'list' || spec.of.kind !== 'group') return field;
  const { items: _items, ...own } = spec.of.of;
  return { ...field, spec: { ...spec, of: { kind: 'group', of: own } } };
}
