import { describe, expect, test } from '@jest/globals';
import { DEMO, FONTS } from '../../../../test/demo.ts';
import { after, looking, withPiece } from '../../../../test/pieces.ts';
import { loadSite } from '../../../load/load-site.ts';
import { compileSite } from '../../../output/compile-site.ts';
import { backdropOf } from '../../../resolve/backdrop.ts';
import { berthIn, foldOf, isOnPageIn } from '../../folds.ts';
import { findPiece, panelsFrom, partsOf } from '../../placed.ts';
import type { Site } from '../../site.ts';

const BESIDE = withPiece(DEMO, 'sidebar', 'side');
const FOLDED = after(BESIDE, { name: 'fold-part', args: { id: 'side', from: 'phone', panel: 'panel' } });
const [PHONE] = [DEMO.bands.findIndex(({ id }) => id === 'phone')];

const pieceOf = (site: Site) => {
  const piece = findPiece(site, 'side');
  if (!piece) throw new Error('no sidebar');
  return piece;
};

const BLACK = { r: 0, g: 0, b: 0, a: 1 };

const [MENU] = partsOf(BESIDE, pieceOf(BESIDE));

describe('a sidebar that goes into a panel', () => {
  test('is moved as one box, to the panel’s berth, where the stylesheet says so', () => {
    const { pieces, stylesheet, script } = compileSite(FOLDED, { fonts: FONTS, flat: true });
    const markup = pieces.get('side') ?? '';
    const berth = /data-hm-berth="([^"]+)"/.exec(markup)?.[1];
    expect(pieces.get('panel')).toContain(`id="${berth}"`);
    // Heading and links are in the box, which is all there is in the sidebar.
    expect(markup).toMatch(/^<aside[^>]*>\s*<div class="hm-side-sidebar-whole"[^>]*>\s*<h2/);
    expect(markup.match(/data-hm-berth/g)).toHaveLength(1);
    expect(stylesheet).toMatch(/@media \(width < \d+px\) \{[^@]*\.hm-side-sidebar-whole \{\s*--hm-folds: 1/);
    expect(script).toContain('berth');
  });

  test('is not on the page there any more, and its links stand in the panel', () => {
    expect(isOnPageIn(FOLDED, pieceOf(FOLDED), 0)).toBe(true);
    expect(isOnPageIn(FOLDED, pieceOf(FOLDED), PHONE ?? 0)).toBe(false);
    expect(berthIn(FOLDED, MENU?.id ?? '', PHONE ?? 0)?.piece.id).toBe('panel');
    expect(berthIn(FOLDED, MENU?.id ?? '', 0)).toBeNull();
    expect(panelsFrom(FOLDED, pieceOf(FOLDED)).map(({ id }) => id)).toContain('panel');
  });

  test('has its own blocks and the panel behind its links there', () => {
    const coloured = looking(
      FOLDED,
      { owner: 'panel', slot: 'panel', property: 'fill', value: { literal: '#102030' } },
      { owner: 'side', slot: 'sidebar', property: 'fill', value: { literal: '#ffeedd' } },
    );
    const scene = coloured.scenes[0];
    if (!scene || !MENU) throw new Error('nothing to look at');
    const behind = (site: Site, band: number) =>
      JSON.stringify(
        backdropOf(site, { owner: MENU.id, slot: 'link', level: 1, states: [], band }, scene).pairs(BLACK),
      );
    const block = (site: Site) => {
      const piece = pieceOf(site);
      return 'blocks' in piece ? (piece.blocks[0]?.id ?? '') : '';
    };
    expect(behind(coloured, 0)).not.toBe(behind(coloured, PHONE ?? 0));
    const own = looking(coloured, {
      owner: block(coloured),
      slot: 'block',
      property: 'fill',
      value: { literal: '#abcdef' },
    });
    expect(behind(own, 0)).toBe(behind(own, PHONE ?? 0));
  });

  test('stays where the panel is gone, or is told to', () => {
    const gone = after(FOLDED, { name: 'remove-piece', args: { id: 'panel' } });
    expect(pieceOf(gone).folds).toBeUndefined();
    const stays = after(FOLDED, { name: 'fold-part', args: { id: 'side', from: null } });
    expect(pieceOf(stays)).toEqual(pieceOf(BESIDE));
    expect(foldOf(stays, MENU?.id ?? '')).toBeNull();
  });

  test('and one that opens by its heading, goes on with the band that its own joins', () => {
    const boxed = withPiece(DEMO, 'sidebar', 'side', { boxFrom: 'wide' });
    const joined = after(boxed, { name: 'remove-band', args: { id: 'wide' } });
    expect(pieceOf(joined)).toMatchObject({ boxFrom: 'phone' });
    expect(loadSite(JSON.parse(JSON.stringify(joined)))).toMatchObject({ ok: true });
  });

  test('follows a band that joins the next, and a part of its own way goes that way', () => {
    const wide = after(BESIDE, { name: 'fold-part', args: { id: 'side', from: 'wide', panel: 'panel' } });
    const joined = after(wide, { name: 'remove-band', args: { id: 'wide' } });
    expect(pieceOf(joined).folds?.from).toBe('phone');
    const own = after(FOLDED, {
      name: 'fold-part',
      args: { id: MENU?.id ?? '', from: 'phone', panel: null },
    });
    expect(foldOf(own, MENU?.id ?? '')?.to).toBeNull();
    expect(pieceOf(own).folds).toBeDefined();
  });

  test('by itself, whatever another one does, and never nowhere', () => {
    const two = after(FOLDED, { name: 'duplicate-piece', args: { id: 'side', copy: 'other' } });
    const wide = after(two, { name: 'fold-part', args: { id: 'other', from: 'wide', panel: 'panel' } });
    const { pieces, stylesheet } = compileSite(wide, { fonts: FONTS, flat: true });
    expect(pieces.get('other')).toContain('class="hm-side-copy-sidebar-whole"');
    expect(stylesheet).toMatch(/\.hm-side-copy-sidebar-whole \{[^}]*--hm-folds: 1/);
    expect(() => after(two, { name: 'fold-part', args: { id: 'side', from: 'phone', panel: null } })).toThrow(
      'goes into a panel',
    );
  });

  test('no other piece of a page does so', () => {
    expect(() =>
      after(DEMO, { name: 'fold-part', args: { id: 'header', from: 'phone', panel: 'panel' } }),
    ).toThrow('no longer there');
  });
});
