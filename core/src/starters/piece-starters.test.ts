import { describe, expect, test } from '@jest/globals';
import { DEMO, FONTS } from '../../test/demo.ts';
import { after, withPiece } from '../../test/pieces.ts';
import { runChecks } from '../check/run-checks.ts';
import { partsOf } from '../kinds/placed.ts';
import type { Site } from '../kinds/site.ts';
import { loadSite } from '../load/load-site.ts';
import { compileSite } from '../output/compile-site.ts';
import { applyPieceStarter, PIECE_STARTERS, startersFor, type StartedPiece } from './apply-piece.ts';
import type { PieceStarter } from './piece-starter.ts';

const ID = 'started';
const pieceOf = (site: Site) => site.pieces.find((piece): piece is StartedPiece => piece.id === ID);

/** A site with a new piece in a starting design. */
function started(site: Site, starter: PieceStarter): Site {
  const added = withPiece(site, starter.kind, ID);
  const piece = pieceOf(added);
  if (!piece) throw new Error('no piece');
  return after(added, { name: 'set-design', args: applyPieceStarter(added, piece, starter, { year: 2026 }) });
}

/** A site with as little as one can have: one band, one menu without links. */
const BARE: Site = {
  ...DEMO,
  bands: [{ id: 'all-widths', name: 'All', min: 0 }],
  menus: DEMO.menus.map((menu) => ({ ...menu, items: [] })),
  pieces: DEMO.pieces.flatMap((piece) =>
    piece.kind === 'header'
      ? [
          {
            ...piece,
            look: {},
            rows: piece.rows.map((row) => ({ ...row, look: {}, zones: { start: [], middle: [], end: [] } })),
          },
        ]
      : [],
  ),
};

test('there are enough of each, with ids and names of their own', () => {
  const count = (kind: string, isBar = false) =>
    startersFor({ kind }).filter((starter) => ('bar' in starter && starter.bar === true) === isBar).length;
  expect(count('footer')).toBeGreaterThanOrEqual(6);
  expect(count('sidebar')).toBeGreaterThanOrEqual(4);
  expect(count('floating')).toBeGreaterThanOrEqual(5);
  expect(count('floating', true)).toBeGreaterThanOrEqual(3);
  for (const field of ['id', 'name', 'about'] as const)
    expect(new Set(PIECE_STARTERS.map((starter) => starter[field])).size).toBe(PIECE_STARTERS.length);
});

describe.each(PIECE_STARTERS.map((starter) => [starter.name, starter] as const))('%s', (_name, starter) => {
  test('gives a document that opens again, with something in it and no new problem', () => {
    const site = started(DEMO, starter);
    expect(loadSite(JSON.parse(JSON.stringify(site)))).toMatchObject({ ok: true });
    const piece = pieceOf(site);
    expect(piece && partsOf(site, piece).length).toBeGreaterThan(0);
    const told = (own: Site) =>
      runChecks(own).map(({ check, evidence, reason }) => `${check} ${evidence} ${reason}`);
    const before = new Set(told(DEMO));
    expect(told(site).filter((finding) => !before.has(finding))).toEqual([]);
  });

  test('keeps name, pages and parts of what it is put in the place of', () => {
    const site = withPiece(DEMO, starter.kind, ID, {
      name: 'Mine',
      pages: { shown: 'only', pages: [], paths: [{ path: '/learn/*' }] },
    });
    const piece = pieceOf(site);
    if (!piece) throw new Error('no piece');
    const [made] = applyPieceStarter(site, piece, starter, { year: 2026 }).pieces;
    expect(made).toMatchObject({ id: ID, name: 'Mine', pages: piece.pages });
    const next = after(site, {
      name: 'set-design',
      args: applyPieceStarter(site, piece, starter, { year: 2026 }),
    });
    const kept = new Set(pieceOf(next) && partsOf(next, pieceOf(next) as StartedPiece).map(({ id }) => id));
    for (const { id } of partsOf(site, piece)) expect(kept.has(id)).toBe(true);
  });

  test('can be put on a site with one band and menus without links', () => {
    const site = started(BARE, starter);
    expect(loadSite(JSON.parse(JSON.stringify(site)))).toMatchObject({ ok: true });
    expect(compileSite(site, { fonts: FONTS }).pieces.get(ID)).toContain('hm-');
  });

  test('chosen twice it is the same', () => {
    const once = started(DEMO, starter);
    const piece = pieceOf(once);
    if (!piece) throw new Error('no piece');
    expect(
      after(once, { name: 'set-design', args: applyPieceStarter(once, piece, starter, { year: 2026 }) }),
    ).toEqual(once);
  });
});
