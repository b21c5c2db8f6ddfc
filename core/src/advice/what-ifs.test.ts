import { describe, expect, test } from '@jest/globals';
import { DEMO, DEMO_HEADER, MARISMA, measure } from '../../test/demo.ts';
import { randomHeader } from '../../test/random-header.ts';
import { seeded } from '../../test/random-site.ts';
import { runEdit } from '../edit/operations.ts';
import { findPiece, standingPieces } from '../kinds/placed.ts';
import type { Piece, Site } from '../kinds/site.ts';
import { fitLine } from '../layout/fit.ts';
import { whatIfs } from './what-ifs.ts';

/** The least width at which a piece is in one line in its widest band, as the width line tells it. */
const needed = (site: Site, piece: Piece) =>
  Math.ceil(fitLine(site, piece, { from: 320, to: 1920 }, measure).needed[0]?.width ?? 0);

describe('what would let a row fit', () => {
  test('is told with the width it then fits from, which is what comes of the edit', () => {
    const changes = whatIfs(DEMO, DEMO_HEADER, measure);
    expect(changes.length).toBeGreaterThan(3);
    for (const { edit, from, instead, label } of changes) {
      const ran = runEdit(DEMO, edit);
      const changed = ran.ok ? findPiece(ran.value.site, DEMO_HEADER.id) : null;
      expect([label, ran.ok && changed ? needed(ran.value.site, changed) : null]).toEqual([label, from]);
      expect(instead).toBe(needed(DEMO, DEMO_HEADER));
      expect(from).toBeLessThan(instead);
    }
    expect(changes.map(({ from }) => from)).toEqual(
      changes.map(({ from }) => from).toSorted((a, b) => a - b),
    );
  });

  test('shortens labels of several words, never to nothing', () => {
    for (const { label, edit } of whatIfs(MARISMA, standingPieces(MARISMA)[0] as Piece, measure))
      if (edit.name === 'set-item') {
        expect(edit.args.fields.label).toMatch(/\S/);
        expect(label).toMatch(/^“.+” as “.+”$/);
      }
  });

  test('holds for any header', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const site = randomHeader(seeded(seed));
      for (const piece of standingPieces(site))
        for (const { from, instead, edit } of whatIfs(site, piece, measure)) {
          expect(from).toBeLessThan(instead);
          expect(runEdit(site, edit).ok).toBe(true);
        }
    }
  });
});
