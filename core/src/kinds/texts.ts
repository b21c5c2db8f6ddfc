import { partKind, pieceKind, sectionKind } from './catalogue.ts';
import { partsOf, sectionsOf } from './placed.ts';
import type { Piece, Site } from './site.ts';

/** The words of some pieces, one after another. */
export function wordsOf(site: Site, pieces: readonly Piece[]): string {
  const texts = pieces.flatMap((piece) => [
    ...(pieceKind(piece).texts?.(piece as never) ?? []),
    ...sectionsOf(site).flatMap(({ section, kind, piece: host }) =>
      host.id === piece.id ? (sectionKind(kind).texts?.(section as never) ?? []) : [],
    ),
    ...partsOf(site, piece).flatMap((part) => partKind(part).texts(part as never, site)),
  ]);
  return texts.join(' ');
}

/** How much of the words fallback faces are fitted to, in characters. */
const SAMPLE = 5000;

/** What fallback faces are fitted to of some words. */
export const sampleOf = (words: string): string => words.slice(0, SAMPLE);
