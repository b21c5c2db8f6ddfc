import {
  createCompiler,
  isOnPage,
  memoise,
  opensOver,
  pageMarkup,
  panelsFrom,
  pieceKind,
  piecesOn,
  standingPieces,
  type Compiled,
  type ElementEntry,
  type Page,
  type PageMarkup,
  type Piece,
  type Site,
} from '@hamaca/core';
import { useMemo } from 'react';
import type { Fonts } from '../media/load-fonts.ts';
import { stageBase } from './stage-base.ts';

/** A page as the stage shows it: the whole site's output, and the markup of the pieces that stand in this page. */
export interface StagePage {
  readonly compiled: Compiled;
  readonly markup: PageMarkup;
  /** Whether the piece that is looked at stands at its end. */
  readonly atEnd: boolean;
  /** Whether little of the page’s own is shown; left out, where the piece stands at its end. */
  readonly isLow?: boolean;
}

/** One compiler for all fonts that are known, so that an edit is compiled from what was made before it. */
const compilerOf = memoise((fonts: Fonts) =>
  memoise(createCompiler({ fonts: fonts.metrics, fontBase: `${stageBase()}/fonts/`, pinnable: true })),
);

/** The same document and fonts give the same output: it is asked for by the stage, the controls and every drawing. */
const compileForStage = (site: Site, fonts: Fonts): Compiled => compilerOf(fonts)(site);

/** The piece whose page shows a piece: itself, or for one that opens over the page the first that can open it. */
export function hostOf(site: Site, piece: Piece): Piece {
  if (!opensOver(piece)) return piece;
  const hosts = standingPieces(site);
  return hosts.find((host) => panelsFrom(site, host).includes(piece)) ?? hosts[0] ?? piece;
}

/** The page on which a piece is looked at: the one that was chosen, or else the first that has it; null where none does. */
export function pageOf(site: Site, piece: Piece, chosen: string | null): Page | null {
  const host = hostOf(site, piece);
  const isIts = (page: Page) => isOnPage(host, page);
  return site.pages.find((page) => page.id === chosen && isIts(page)) ?? site.pages.find(isIts) ?? null;
}

/** What the stage shows besides a piece: nothing, or all that stands in one of the pages it is on. */
export type Besides = 'nothing' | { readonly page: string | null };

function piecesBesides(site: Site, host: Piece, besides: Besides): readonly Piece[] {
  if (besides === 'nothing') return [];
  const page = pageOf(site, host, besides.page);
  if (page) return piecesOn(site, page);
  return site.pages.length === 0 ? standingPieces(site) : [];
}

/** The markup of pages by the ids of their pieces: an edit of looks alone leaves the output's markup the same object. */
const pagesOf = memoise((_markup: Compiled['pieces']) => new Map<string, PageMarkup>());

function markupOf(site: Site, { pieces: markup }: Compiled, pieces: readonly Piece[]): PageMarkup {
  const known = pagesOf(markup);
  const key = pieces.map(({ id }) => id).join();
  const found = known.get(key) ?? pageMarkup(site, markup, pieces);
  known.set(key, found);
  return found;
}

/** The page of a piece: the piece itself, what stands besides it, and every panel they can open. */
export function stagePage(site: Site, piece: Piece, fonts: Fonts, besides: Besides = 'nothing'): StagePage {
  const compiled = compileForStage(site, fonts);
  const host = hostOf(site, piece);
  const others = piecesBesides(site, host, besides);
  const shown = site.pieces.filter(
    (one) => one.id === host.id || one.id === piece.id || others.includes(one),
  );
  return {
    compiled,
    markup: markupOf(site, compiled, shown),
    atEnd: pieceKind(host).stands === 'end',
  };
}

/** The page of a piece of a site; null until the fonts are known, or where there is no such piece. */
export function useStagePage(
  site: Site,
  piece: Piece | null,
  fonts: Fonts | null,
  besides: Besides = 'nothing',
): StagePage | null {
  return useMemo(
    () => (piece && fonts ? stagePage(site, piece, fonts, besides) : null),
    [site, piece, fonts, besides],
  );
}

/** The first piece that stands in a site's pages. */
export const firstPiece = (site: Site): Piece | null => standingPieces(site)[0] ?? null;

/** Entries of the element map that a query can find: pseudo-elements are none. */
export const queriable = memoise((entries: readonly ElementEntry[]): readonly ElementEntry[] =>
  entries.filter((entry) => !entry.selector.includes('::')),
);
