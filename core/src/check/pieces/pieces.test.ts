import { describe, expect, test } from '@jest/globals';
import { DEMO } from '../../../test/demo.ts';
import { after, looking, withPiece } from '../../../test/pieces.ts';
import { partsOf } from '../../kinds/placed.ts';
import type { Site } from '../../kinds/site.ts';
import { runChecks } from '../run-checks.ts';
import { collisionsOf } from './pieces-collide.ts';

const told = (site: Site, check: string) => runChecks(site).filter((finding) => finding.check === check);
const collisions = (site: Site) => told(site, 'pieces-collide').map(({ reason }) => reason);

const only = (path: string) => ({ pages: { shown: 'only', pages: [], paths: [{ path }] } });

describe('pieces that get in each other’s way', () => {
  test('two headers on a page are told once, and not where they share none', () => {
    const two = after(DEMO, { name: 'duplicate-piece', args: { id: 'header', copy: 'slim' } });
    expect(collisions(two)).toEqual([
      'Header copy and Header stand on the same page, one above the other, from 1000 px on.',
    ]);
    const apart = after(two, { name: 'set-owner', args: { id: 'slim', fields: only('/learn/*') } });
    expect(collisions(apart)).toHaveLength(1);
    const shop = after(apart, {
      name: 'set-owner',
      args: {
        id: 'header',
        fields: { pages: { shown: 'except', pages: [], paths: [{ path: '/learn/*' }] } },
      },
    });
    expect(collisions(shop)).toEqual([]);
    const byBand = after(
      after(two, { name: 'set-owner', args: { id: 'slim', fields: { bands: ['phone'] } } }),
      { name: 'set-owner', args: { id: 'header', fields: { bands: ['wide'] } } },
    );
    expect(collisions(byBand)).toEqual([]);
  });

  test('a header that stays covers the head of a column that stays from the top, with the widths', () => {
    const column = withPiece(DEMO, 'sidebar', 'column');
    const stays = looking(
      column,
      { owner: 'header', slot: 'bar', property: 'sticks', value: 'stays on top' },
      { owner: 'column', slot: 'sidebar', property: 'columnSticks', value: 'stays in sight', band: 'all' },
    );
    expect(collisions(column)).toEqual([]);
    expect(collisions(stays)[0]).toContain('covers the head of column');
    const lower = looking(stays, { owner: 'column', slot: 'sidebar', property: 'sticksAt', value: 160 });
    expect(collisions(lower)).toEqual([]);
  });

  test('what floats over a bar at the bottom is told until it stands higher', () => {
    const both = looking(
      withPiece(withPiece(DEMO, 'floating', 'bar'), 'floating', 'corner'),
      { owner: 'bar', slot: 'floating', property: 'floatsAt', value: 'along the bottom' },
      { owner: 'bar', slot: 'floating', property: 'height', value: 56 },
    );
    expect(collisions(both)).toEqual([
      'corner stands over bar, which is 56 px high at the bottom, from 1000 px on.',
    ]);
    const higher = looking(both, { owner: 'corner', slot: 'floating', property: 'floatBlock', value: 72 });
    expect(collisions(higher)).toEqual([]);
    const same = looking(both, {
      owner: 'bar',
      slot: 'floating',
      property: 'floatsAt',
      value: 'at the bottom, end',
    });
    expect(collisions(same)).toEqual([
      'corner and bar both stand at the bottom, end of the window, from 1000 px on.',
    ]);
    const [bar, corner] = same.pieces.slice(-2);
    expect(bar && collisionsOf(same, bar)).toEqual([]);
    expect(corner && collisionsOf(same, corner)).toHaveLength(1);
  });
});

test('a piece whose pages are gone is told, and mended by showing it everywhere', () => {
  const lost = withPiece(DEMO, 'footer', 'foot', only('/shop/*'));
  const [finding] = told(lost, 'piece-nowhere');
  expect(finding?.reason).toBe('foot is meant for /shop/*, and there is no such page.');
  if (!finding?.fix) throw new Error('no fix');
  expect(told(after(lost, finding.fix.edit), 'piece-nowhere')).toEqual([]);
});

test('a piece without parts is told', () => {
  const footed = withPiece(DEMO, 'footer', 'foot');
  expect(told(footed, 'piece-empty')).toEqual([]);
  const foot = footed.pieces.at(-1);
  const bare = (foot ? partsOf(footed, foot) : []).reduce(
    (site, { id }) => after(site, { name: 'remove-part', args: { id } }),
    footed,
  );
  expect(told(bare, 'piece-empty').map(({ evidence }) => evidence)).toEqual(['foot']);
});

describe('a ring', () => {
  const ringed = withPiece(DEMO, 'floating', 'corner');
  const corner = ringed.pieces.at(-1);
  const ring = (corner && partsOf(ringed, corner)[0]?.id) ?? '';
  /** With so many links more. */
  const many = (count: number): Site =>
    after(ringed, {
      name: 'add-items',
      args: {
        place: { menu: 'main', parent: null, index: 0 },
        items: Array.from({ length: count }, (_, index) => ({
          id: `more-${index}`,
          label: `Hide ${index + 1}`,
          target: { kind: 'url', url: `https://marisma.example/${index}/` },
          children: [],
        })),
      },
    });

  test('with a few links says nothing, with 500 that they stand in a column', () => {
    expect(told(ringed, 'ring-full')).toEqual([]);
    const [finding, ...more] = told(many(500), 'ring-full');
    expect(more).toEqual([]);
    expect(finding?.outcome).toBe('fail');
    expect(finding?.reason).toMatch(/^50\d links do not fit around the opener in a window of \d+ × 480 px/);
  });

  test('that is wished too narrow says so', () => {
    const narrow = looking(many(8), { owner: ring, slot: 'ring', property: 'ringSpan', value: 5 });
    expect(told(narrow, 'ring-full').map(({ outcome }) => outcome)).toEqual(['look']);
  });
});
