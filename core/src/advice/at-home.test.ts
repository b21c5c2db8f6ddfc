import { describe, expect, test } from '@jest/globals';
import { countingIds } from '../base/ids.ts';
import { MARISMA } from '../../test/demo.ts';
import { after, looking } from '../../test/pieces.ts';
import { partKindsFor } from '../../test/random-site.ts';
import { partKindById, pieceKind, pieceKindById, slotsOf } from '../kinds/catalogue.ts';
import { PIECES } from '../kinds/pieces/pieces.ts';
import { createPart, newPartWorld } from '../kinds/create.ts';
import { findPiece, hasSlot, idsOf, ownersOf, regionsOf, type Owner } from '../kinds/placed.ts';
import type { Piece, PieceKindId, Site } from '../kinds/site.ts';
import { resolve } from '../resolve/resolve.ts';
import { addAtHome, readableEdits } from './at-home.ts';
import { failingIn } from './contrast.ts';

const GROUNDS = ['#0b1420', '#f4f1e8', '#6d6d6d'] as const;

/** Marisma with a new piece of a kind on a ground, and the first region of it. */
function withGround(kind: PieceKindId, colour: string): { site: Site; region: string } {
  const freshId = countingIds('fresh-', idsOf(MARISMA));
  const created = pieceKindById(kind).create({ id: 'fresh', name: 'Fresh', freshId, site: MARISMA });
  const add = { name: 'add-piece', args: { piece: created as unknown as Piece } } as const;
  const made = after(MARISMA, addAtHome(MARISMA, add));
  expect(unreadable(made, ({ piece }) => piece.id === 'fresh')).toEqual([]);
  const piece = findPiece(made, 'fresh');
  const region = [...regionsOf(made).values()].find((one) => one.piece.id === 'fresh');
  const slot = piece && pieceKind(piece).grounds[0];
  if (!slot || !region) throw new Error('the piece holds nothing');
  const value = { literal: colour } as const;
  return { site: looking(made, { owner: 'fresh', slot, property: 'fill', value }), region: region.id };
}

/** What cannot be read of some owners. */
const unreadable = (site: Site, isMeant: (owner: Owner) => boolean) =>
  [...ownersOf(site).values()].filter(isMeant).flatMap((owner) =>
    Object.entries(slotsOf(owner.kind))
      .filter(([slot]) => hasSlot(site, owner, slot))
      .flatMap(([slot, kind]) =>
        failingIn(site, { owner, slot, kind }).map(({ state }) => `${owner.id} ${slot} ${state}`),
      ),
  );

describe('what is added is at home where it stands', () => {
  test.each(PIECES.flatMap(({ id }) => GROUNDS.map((colour) => [id, colour] as const)))(
    'every part in a new piece (%s) on %s can be read, in the typeface around it',
    (kind, colour) => {
      const { site, region } = withGround(kind, colour);
      const piece = findPiece(site, 'fresh');
      const kinds = piece ? partKindsFor(piece) : [];
      expect(kinds.length).toBeGreaterThan(8);
      for (const { id } of kinds) {
        const world = newPartWorld(site);
        if (partKindById(id).refused?.(world)) continue;
        const part = createPart(id, 'added', world);
        const next = after(
          site,
          addAtHome(site, { name: 'add-part', args: { place: { region, index: 0 }, part } }),
        );
        expect([id, unreadable(next, ({ id: owner }) => owner === 'added')]).toEqual([id, []]);
        const family = (owner: string, slot: string) =>
          resolve(next, { owner, slot, property: 'family', level: null, states: [], band: 0 })?.value;
        const own = { markup: 'markup', text: 'text', ring: 'ring-label', button: 'button' } as const;
        const slot = own[id as keyof typeof own];
        if (slot !== undefined)
          expect([id, family('added', slot)]).toEqual([id, family('menu-main', 'link')]);
      }
    },
  );
  test('a piece made dark is read again by one press', () => {
    const panel = MARISMA.pieces.find(({ kind }) => kind === 'panel');
    if (!panel) throw new Error('no panel');
    const dark = looking(MARISMA, {
      owner: panel.id,
      slot: 'panel',
      property: 'fill',
      value: { literal: '#05080c' },
    });
    const inPanel = ({ piece }: Owner) => piece.id === panel.id;
    expect(unreadable(dark, inPanel).length).toBeGreaterThan(0);
    const edits = readableEdits(dark, panel.id);
    expect(unreadable(after(dark, { name: 'several', args: { edits } }), inPanel)).toEqual([]);
    expect(readableEdits(MARISMA, panel.id)).toEqual([]);
  });
});
