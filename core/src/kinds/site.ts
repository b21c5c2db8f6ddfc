import type { SiteContent } from '../model/site-content.ts';
import type { PARTS } from './parts/parts.ts';
import type { PIECES } from './pieces/pieces.ts';
import type { SECTIONS } from './sections/sections.ts';
import type { PartKind, PartOf, PieceKind, PieceOf, SectionKind, SectionOf } from './kind.ts';

export type { Region } from './kind.ts';

type MadePart<K> = K extends PartKind<infer Id, infer S> ? PartOf<Id, S> : never;
type MadeSection<K> = K extends SectionKind<string, infer S> ? SectionOf<S> : never;
type MadePiece<K> = K extends PieceKind<infer Id, infer S> ? PieceOf<Id, S> : never;

/** One part of any kind. */
export type Part = MadePart<(typeof PARTS)[number]>;
export type PartKindId = (typeof PARTS)[number]['id'];

/** One section of any kind; which one is told by the piece that holds it. */
export type Section = MadeSection<(typeof SECTIONS)[number]>;
export type SectionKindId = (typeof SECTIONS)[number]['id'];

/** One piece of any kind. */
export type Piece = MadePiece<(typeof PIECES)[number]>;
export type PieceKindId = (typeof PIECES)[number]['id'];

/** Everything Hamaca keeps about one website. */
export interface Site extends SiteContent {
  readonly pieces: readonly Piece[];
}
