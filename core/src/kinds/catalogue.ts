import { memoise } from '../base/memo.ts';
import type { Field, Shape } from '../model/shape/field.ts';
import { OWN_ATTRIBUTES } from '../model/own-attributes.ts';
import { OUTPUT_WORD } from '../model/word.ts';
import type { SlotKind } from '../model/slot.ts';
import {
  bands,
  flag,
  group,
  id,
  literal,
  look,
  optional,
  pieces,
  reference,
  referenceOrNone,
  text,
} from '../model/shape/fields.ts';
import { PAGE_RULE } from '../model/page-rule.ts';
import { CONTENT_SHAPE } from '../model/site-content.ts';
import type { Kind, PartKind, PieceKind, SectionKind } from './kind.ts';
import type { PropertyId } from './properties/properties.ts';
import { PARTS } from './parts/parts.ts';
import { PIECES } from './pieces/pieces.ts';
import { SECTIONS } from './sections/sections.ts';
import type { Part, PartKindId, Piece, PieceKindId, SectionKindId } from './site.ts';

/** Whatever carries a look: a piece, a section or a part, by kind. */
export type OwnerKind = PieceKindId | SectionKindId | PartKindId;

/* eslint-disable @typescript-eslint/no-explicit-any -- a kind is looked up by the thing it is then handed */
export type AnyPartKind = PartKind<any, any>;
export type AnySectionKind = SectionKind<any, any>;
export type AnyPieceKind = PieceKind<any, any>;
/* eslint-enable @typescript-eslint/no-explicit-any */

const byId = <K extends Kind<string, Shape>>(kinds: readonly K[]): ReadonlyMap<string, K> =>
  new Map(kinds.map((kind) => [kind.id, kind]));

const parts: ReadonlyMap<string, AnyPartKind> = byId<AnyPartKind>(PARTS as never);
const sections: ReadonlyMap<string, AnySectionKind> = byId<AnySectionKind>(SECTIONS as never);
const piecesById: ReadonlyMap<string, AnyPieceKind> = byId<AnyPieceKind>(PIECES as never);

function known<K>(kinds: ReadonlyMap<string, K>, id: string): K {
  const kind = kinds.get(id);
  if (!kind) throw new Error(`There is no kind "${id}".`);
  return kind;
}

export const partKind = (part: Part): AnyPartKind => known(parts, part.kind);
export const sectionKind = (section: SectionKindId): AnySectionKind => known(sections, section);
export const pieceKind = (piece: Piece): AnyPieceKind => known(piecesById, piece.kind);
export const partKindById = (kind: PartKindId): AnyPartKind => known(parts, kind);
export const pieceKindById = (kind: PieceKindId): AnyPieceKind => known(piecesById, kind);
export const isPartKind = (kind: string): kind is PartKindId => parts.has(kind);
export const isSectionKind = (kind: string): kind is SectionKindId => sections.has(kind);

/** Every kind that carries a look, in the order of the outline and the stylesheet. */
export const OWNER_KINDS: readonly OwnerKind[] = [...PIECES, ...SECTIONS, ...PARTS].map((kind) => kind.id);

/** What the kind of any owner says of itself. */
export const kindOf = (id: OwnerKind): Kind<string, Shape> =>
  piecesById.get(id) ?? sections.get(id) ?? known(parts, id);

/** Every slot takes declarations of the designer's own behind all else it says. */
const withOwn = memoise((slots: Readonly<Record<string, SlotKind>>) =>
  Object.fromEntries(
    Object.entries(slots).map(([id, slot]) => [
      id,
      { ...slot, properties: [...slot.properties, 'ownCss'] satisfies readonly PropertyId[] },
    ]),
  ),
);

/** The slots of one kind of owner, by id. */
export function slotsOf(kind: OwnerKind): Readonly<Record<string, SlotKind>> {
  return withOwn(kindOf(kind).slots);
}

/** The slot that stands for a thing of a kind as a whole. */
export const firstSlot = (kind: OwnerKind): string => Object.keys(slotsOf(kind))[0] ?? '';

export const kindLabel = (kind: OwnerKind): string => kindOf(kind).label;

/** From which band down something is away, and where it arrives. */
const FOLDS_TO = {
  from: reference('band', { label: 'folds from', gone: 'removed' }),
  berth: referenceOrNone('berth', { label: 'into', gone: 'removed' }),
} as const;

const FOLDS_WHOLE = optional(
  group(
    { ...FOLDS_TO, berth: reference('berth', { label: 'into', gone: 'removed' }) },
    { label: 'goes into a panel' },
  ),
);

const FOLDS = optional(
  group(
    {
      ...FOLDS_TO,
      tight: optional(flag({ label: 'only where there is no room' })),
    } as const,
    { label: 'folds away' },
  ),
);

const BANDS = bands({ label: 'shown in' });

const partShape = (kind: AnyPartKind): Shape => ({
  kind: literal(kind.id as string),
  id: id(),
  ...(kind.shape as Shape),
  bands: BANDS,
  folds: FOLDS,
  ...OUTPUT_WORD,
  ...OWN_ATTRIBUTES,
  look: look(kind.id as string),
});

const sectionShape = (kind: AnySectionKind): Shape => ({
  id: id(),
  name: text({ label: 'name', needed: true }),
  ...(kind.shape as Shape),
  bands: BANDS,
  ...OUTPUT_WORD,
  look: look(kind.id as string),
});

const DRAFT = optional(
  flag({
    label: 'draft',
    hint: 'seen here by those who work at the site, and in no hand-off until it is let go',
  }),
);

const pieceShape = (kind: AnyPieceKind): Shape => ({
  kind: literal(kind.id as string),
  id: id(),
  name: text({ label: 'name', needed: true }),
  ...(kind.shape as Shape),
  ...(kind.stands === 'over' ? {} : { pages: PAGE_RULE, bands: BANDS }),
  ...(kind.foldsWhole ? { folds: FOLDS_WHOLE } : {}),
  draft: DRAFT,
  ...OUTPUT_WORD,
  ...OWN_ATTRIBUTES,
  look: look(kind.id as string),
});

const shapes = <K>(
  kinds: ReadonlyMap<string, K>,
  make: (kind: K) => Shape,
): Readonly<Record<string, Shape>> => Object.fromEntries([...kinds].map(([key, kind]) => [key, make(kind)]));

/** The full shapes of all things that have a kind. */
export const THING_SHAPES = {
  parts: shapes(parts, partShape),
  sections: shapes(sections, sectionShape),
  pieces: shapes(piecesById, pieceShape),
} as const;

/** The shape of a whole site document. */
export const SITE_SHAPE = { ...CONTENT_SHAPE, pieces: pieces<Piece>() } as const;

/** The shape of a kind of owner, with the fields that all of its sort have. */
export function shapeOf(kind: OwnerKind): Readonly<Record<string, Field<unknown>>> {
  const shape = THING_SHAPES.pieces[kind] ?? THING_SHAPES.sections[kind] ?? THING_SHAPES.parts[kind];
  if (!shape) throw new Error(`There is no kind "${kind}".`);
  return shape;
}
