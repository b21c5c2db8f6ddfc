import { describe, expect, test } from '@jest/globals';
import { MARISMA } from '../../test/demo.ts';
import { after } from '../../test/pieces.ts';
import { randomSite, seeded, wholeSite } from '../../test/random-site.ts';
import { checkRanEdit } from '../edit/checked-patch.ts';
import type { Design } from '../edit/operations/design.ts';
import { runEdit } from '../edit/operations.ts';
import { makePart, newPartWorld } from '../kinds/create.ts';
import { isHeader } from '../kinds/pieces/header/header.ts';
import type { Panel } from '../kinds/pieces/panel/shape.ts';
import { idsOf, regionsOf } from '../kinds/placed.ts';
import type { Part, Piece, Site } from '../kinds/site.ts';
import { loadSite } from '../load/load-site.ts';
import { applyPanelStarter } from './apply-panel.ts';
import { applyPieceStarter, PIECE_STARTERS, type StartedPiece } from './apply-piece.ts';
import { applyStarter } from './apply.ts';
import { STARTERS } from './designs.ts';
import { PANEL_STARTERS } from './panel-designs.ts';

/** Every design there is, for whatever piece it is made for. */
const DESIGNS: readonly {
  readonly name: string;
  readonly suits: (piece: Piece) => boolean;
  readonly apply: (site: Site, piece: Piece) => Design;
}[] = [
  ...STARTERS.map((starter) => ({
    name: `header ${starter.name}`,
    suits: isHeader,
    apply: (site: Site, piece: Piece) => applyStarter(site, piece as never, starter),
  })),
  ...PANEL_STARTERS.map((starter) => ({
    name: `panel ${starter.name}`,
    suits: ({ kind }: Piece) => kind === 'panel',
    apply: (site: Site, piece: Piece) => applyPanelStarter(site, piece as Panel, starter),
  })),
  ...PIECE_STARTERS.flatMap((starter) =>
    [true, false].map((isNew) => ({
      name: `${starter.kind} ${starter.name}${isNew ? ', new' : ''}`,
      suits: ({ kind }: Piece) => kind === starter.kind,
      apply: (site: Site, piece: Piece) =>
        applyPieceStarter(site, piece as StartedPiece, starter, { year: 2026, isNew }),
    })),
  ),
];

/** Social links and a logo that have much in them, in the first header's first row. */
function withFurniture(site: Site): Site {
  const [first] = [...regionsOf(site).values()];
  const social = makePart('social', 'social-many', {
    links: Array.from({ length: 4 }, (_, index) => ({
      id: `social-many-${index}`,
      name: `Mark ${index}`,
      url: `https://orilla.example/${index}`,
      icon: site.icons[0]?.id ?? null,
      colour: null,
    })),
  } as never);
  return first
    ? after(site, { name: 'add-part', args: { place: { region: first.id, index: 0 }, part: social as Part } })
    : site;
}

/** The same with pieces of every kind, so that each design has one to be applied to. */
function sites(): readonly (readonly [string, Site])[] {
  const random = [11, 24, 60, 73].map((seed) => [`random site ${seed}`, randomSite(seeded(seed))] as const);
  return [['Marisma', MARISMA], ['the whole one', wholeSite()], ...random].map(
    ([name, site]) => [name as string, withFurniture(site as Site)] as const,
  );
}

describe.each(sites())('on %s', (_name, site) => {
  test.each(DESIGNS)(
    '$name makes a document that is taken as it is, also a second time',
    ({ suits, apply }) => {
      const piece = site.pieces.find(suits);
      if (!piece) return;
      let current = site;
      for (let time = 0; time < 2; time++) {
        const of = current.pieces.find(({ id }) => id === piece.id) as Piece;
        const ran = runEdit(current, { name: 'set-design', args: apply(current, of) });
        if (!ran.ok) throw new Error(ran.error[0]?.message);
        const checked = checkRanEdit(ran.value);
        expect(checked.ok ? [] : checked.error).toEqual([]);
        current = ran.value.site;
      }
      expect(loadSite(JSON.parse(JSON.stringify(current))).ok).toBe(true);
      expect(newPartWorld(current).freshId('link')).not.toBe([...idsOf(current)][0]);
    },
  );
});
