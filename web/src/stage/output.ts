import {
  createCompiler,
  memoise,
  opensOver,
  panelsFrom,
  pieceKind,
  standingPieces,
  type Compiled,
  type ElementEntry,
  type Piece,
  type Site,
} from '@hamaca/core';
import { useMemo } from 'react';
import type { Fonts } from '../media/load-fonts.ts';

/** A page as the stage shows it: the whole site's output, and the markup of the pieces that stand in this page. */
export interface StagePage {
  readonly compiled: Compiled;
  readonly markup: string;
  /** Whether they stand at its end. */
  readonly atEnd: boolean;
}

/** How addresses begin that the stage reads from: its frame sends no cookies, so that the server may tell a way of its own. */
const stageBase = () =>
  document.querySelector<HTMLMetaElement>('meta[name="hamaca-stage-base"]')?.content ?? '';

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

/** The page of a piece: the piece itself with every panel it can open. */
export function stagePage(site: Site, piece: Piece, fonts: Fonts): StagePage {
  const compiled = compileForStage(site, fonts);
  const host = hostOf(site, piece);
  const shown = new Set([host, ...panelsFrom(site, host), piece]);
  return {
    compiled,
    markup: [...shown].map(({ id }) => compiled.pieces.get(id) ?? '').join(''),
    atEnd: pieceKind(host).atEnd === true,
  };
}

/** The page of a piece of a site; null until the fonts are known, or where there is no such piece. */
export function useStagePage(site: Site, piece: Piece | null, fonts: Fonts | null): StagePage | null {
  return useMemo(() => (piece && fonts ? stagePage(site, piece, fonts) : null), [site, piece, fonts]);
}

/** The first piece that stands in a site's pages. */
export const firstPiece = (site: Site): Piece | null => standingPieces(site)[0] ?? null;

/** Entries of the element map that a query can find: pseudo-elements are none. */
export const queriable = memoise((entries: readonly ElementEntry[]): readonly ElementEntry[] =>
  entries.filter((entry) => !entry.selector.includes('::')),
);
