import { memoise } from '../base/memo.ts';
import type { PageRule } from '../model/page-rule.ts';
import type { Page } from '../model/site-content.ts';
import { panelsFrom, standingPieces } from './placed.ts';
import type { Piece, Site } from './site.ts';

/** Whether a path is meant by a rule of paths: `/learn/*` is `/learn` and all beneath it. */
export function isUnder(path: string, rule: string): boolean {
  if (!rule.endsWith('*')) return trimmed(path) === trimmed(rule);
  const start = rule.slice(0, -1);
  return trimmed(path) === trimmed(start) || path.startsWith(start);
}

const trimmed = (path: string) => path.replace(/(?<=.)\/+$/, '');

interface Reading {
  readonly pages: ReadonlySet<string>;
  readonly paths: readonly string[];
}

const readRule = memoise((rule: PageRule): Reading => ({
  pages: new Set(rule.pages.map(({ page }) => page)),
  paths: rule.paths.map(({ path }) => path),
}));

type Ruled = Pick<Piece, 'pages'>;

/** Whether a rule names a page, by its id or its path. */
export function isNamed(rule: PageRule, page: Pick<Page, 'id' | 'path'>): boolean {
  const { pages, paths } = readRule(rule);
  return pages.has(page.id) || paths.some((path) => isUnder(page.path, path));
}

/** Whether a piece is shown on a page. */
export function isOnPage({ pages: rule }: Ruled, page: Pick<Page, 'id' | 'path'>): boolean {
  return rule === undefined || isNamed(rule, page) === (rule.shown === 'only');
}

/** The pieces that stand in a page, in document order. */
export const piecesOn = (site: Site, page: Pick<Page, 'id' | 'path'>): readonly Piece[] =>
  standingPieces(site).filter((piece) => isOnPage(piece, page));

/** Pieces with the panels that any of them can open, each once. */
export function withPanels(site: Site, pieces: readonly Piece[]): readonly Piece[] {
  return [...new Set([...pieces, ...pieces.flatMap((piece) => panelsFrom(site, piece))])];
}

/** Pages that have the same pieces. */
export interface PageSet {
  readonly pieces: readonly Piece[];
  /** In the order of the inventory; none where the site has no page at all. */
  readonly pages: readonly Page[];
}

/** Every distinct set of pieces with the pages that have it, in the order of the inventory. */
export const pageSets = memoise((site: Site): readonly PageSet[] => {
  const sets = new Map<string, { pieces: readonly Piece[]; pages: Page[] }>();
  for (const page of site.pages) {
    const pieces = piecesOn(site, page);
    const key = pieces.map(({ id }) => id).join();
    const known = sets.get(key);
    if (known) known.pages.push(page);
    else sets.set(key, { pieces, pages: [page] });
  }
  if (sets.size === 0) return [{ pieces: standingPieces(site), pages: [] }];
  return [...sets.values()];
});

/** Whether a piece is shown on no page, though the site has some. */
export const isNowhere = (site: Site, piece: Piece): boolean =>
  site.pages.length > 0 && piece.pages !== undefined && !site.pages.some((page) => isOnPage(piece, page));

const NO_RULE: PageRule = { shown: 'except', pages: [], paths: [] };

/**
 * The rule by which a piece is also shown on some pages, or no longer; undefined where it then is shown on all. A path that
 * names one of them gives way to the pages it named besides.
 */
export function withPages(
  site: Site,
  piece: Ruled,
  pages: readonly Page[],
  isShown: boolean,
): PageRule | undefined {
  const rule = piece.pages ?? NO_RULE;
  const named = isShown === (rule.shown === 'only');
  const changed = new Set(pages.map(({ id }) => id));
  if (named) {
    const added = pages.filter((page) => !isNamed(rule, page)).map(({ id }) => ({ page: id }));
    return simplified({ ...rule, pages: [...rule.pages, ...added] });
  }
  const broken = rule.paths.filter(({ path }) => pages.some((page) => isUnder(page.path, path)));
  const freed = site.pages.filter(
    (page) => !changed.has(page.id) && broken.some(({ path }) => isUnder(page.path, path)),
  );
  const kept = rule.pages.filter(({ page }) => !changed.has(page));
  const known = new Set(kept.map(({ page }) => page));
  return simplified({
    ...rule,
    pages: [...kept, ...freed.filter(({ id }) => !known.has(id)).map(({ id }) => ({ page: id }))],
    paths: rule.paths.filter((entry) => !broken.includes(entry)),
  });
}

/** The rule by which a piece is also shown on all that lies beneath a path, or no longer. */
export function withPath(site: Site, piece: Ruled, path: string, isShown: boolean): PageRule | undefined {
  const beneath = site.pages.filter((page) => isUnder(page.path, path));
  const rule = piece.pages ?? NO_RULE;
  if (isShown !== (rule.shown === 'only')) return withPages(site, piece, beneath, isShown);
  const covered = new Set(beneath.map(({ id }) => id));
  return simplified({
    ...rule,
    pages: rule.pages.filter(({ page }) => !covered.has(page)),
    paths: [...rule.paths.filter((entry) => entry.path !== path), { path }],
  });
}

/** A rule that excepts nothing is none. */
const simplified = (rule: PageRule): PageRule | undefined =>
  rule.shown === 'except' && rule.pages.length + rule.paths.length === 0 ? undefined : rule;
