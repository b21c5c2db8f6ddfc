import {
  applyPanelStarter,
  applyPieceStarter,
  applyStarter,
  designWithRoom,
  PANEL_STARTERS,
  partsOf,
  pieceKind,
  runEdit,
  STARTERS,
  startersFor,
  type Piece,
  type PieceKindId,
  type Scene,
  type SetDesign,
  type Site,
  type StartedPiece,
  type StarterTag,
} from '@hamaca/core';
import type { Fonts } from '../../../media/load-fonts.ts';
import { measurersOf } from '../../../media/measurers.ts';
import type { PinnedElement, StageElement } from '../../../stage/frame/protocol.ts';
import type { StagePage } from '../../../stage/output.ts';

/** A page that designs are drawn on, in px, and how much smaller it is drawn. */
export interface DrawnPage {
  readonly label: string;
  readonly width: number;
  readonly height: number;
  readonly scale: number;
  /** Width in px of what is seen of it; left out, all is. */
  readonly cut?: number;
}

/** One starting design of a piece, and what it makes of the site. */
export interface Design {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly make: () => SetDesign;
  /** The sort of page it is drawn over; an article where none is told. */
  readonly scene?: Scene['kind'];
  readonly tags?: readonly StarterTag[];
}

/** How the designs of a kind of piece are shown. */
export interface DesignsShown {
  readonly title: string;
  readonly pages: readonly DrawnPage[];
  /** Room that a card keeps until it is drawn, and how wide cards are at least. */
  readonly room: string;
  readonly columns: string;
  /** What becomes of what a design has no place for. */
  readonly rest: string;
  /** Whether submenus are seen open, and the panel itself. */
  readonly reveals?: 'submenus' | 'panel';
  /** Whether the page is seen as scrolled, for what is only there then. */
  readonly scrolled?: true;
}

const NARROW: DrawnPage = { label: 'narrow', width: 390, height: 740, scale: 0.25 };

const TWO_PAGES = 'grid-cols-[repeat(auto-fill,minmax(460px,1fr))]';
const ONE_PHONE = 'grid-cols-[repeat(auto-fill,minmax(200px,1fr))]';

const KEPT =
  'What stands in the piece stays in it; what a design shows besides comes from elsewhere in the site.';

export const DESIGNS_SHOWN: Readonly<Record<PieceKindId, DesignsShown>> = {
  header: {
    title: 'Starting designs',
    pages: [
      { label: 'wide', width: 1240, height: 250, scale: 0.305 },
      { label: 'narrow', width: 380, height: 339, scale: 0.225 },
    ],
    room: 'h-[76px]',
    columns: TWO_PAGES,
    rest: 'What a design has no place for goes; Undo brings it back.',
  },
  footer: {
    title: 'Starting footers',
    pages: [{ label: 'wide', width: 1240, height: 640, scale: 0.29 }, NARROW],
    room: 'h-[186px]',
    columns: TWO_PAGES,
    rest: KEPT,
    reveals: 'submenus',
  },
  sidebar: {
    title: 'Starting sidebars',
    // Of a wide page the side with the column in it.
    pages: [{ label: 'wide', width: 1240, height: 440, scale: 0.42, cut: 264 }, NARROW],
    room: 'h-[186px]',
    columns: 'grid-cols-[repeat(auto-fill,minmax(380px,1fr))]',
    rest: KEPT,
    reveals: 'submenus',
  },
  floating: {
    title: 'Starting floating menus and bars',
    pages: [{ label: 'phone', width: 390, height: 640, scale: 0.44 }],
    room: 'h-[282px]',
    columns: ONE_PHONE,
    rest: KEPT,
    reveals: 'submenus',
    scrolled: true,
  },
  panel: {
    title: 'Starting panels',
    // A phone that is not the smallest.
    pages: [{ label: 'open', width: 390, height: 720, scale: 0.4 }],
    room: 'h-[288px]',
    columns: ONE_PHONE,
    rest: 'Everything the panel holds stays in it; logo and social links come along where a design shows them.',
    reveals: 'panel',
  },
};

const pieceDesigns = (site: Site, piece: StartedPiece, isNew: boolean): Design[] =>
  startersFor(piece).map((starter) => ({
    ...starter,
    make: () => applyPieceStarter(site, piece, starter, { year: new Date().getFullYear(), isNew }),
  }));

/** The starting designs for a piece; one only just made keeps nothing of what stands in it. */
export function designsFor(site: Site, piece: Piece, isNew: boolean): readonly Design[] {
  switch (piece.kind) {
    case 'header':
      return STARTERS.map((starter) => ({
        ...starter,
        ...(starter.over ? { scene: 'picture' } : {}),
        make: () => applyStarter(site, piece, starter),
      }));
    case 'panel':
      return PANEL_STARTERS.map((starter) => ({
        ...starter,
        make: () => applyPanelStarter(site, piece, starter),
      }));
    default:
      return pieceDesigns(site, piece, isNew);
  }
}

/** The site with a design in it; as it was where it cannot be. */
export function withDesign(site: Site, made: SetDesign): Site {
  const ran = runEdit(site, { name: 'set-design', args: made });
  return ran.ok ? ran.value.site : site;
}

/** A design as it is taken once its fonts are there: with room for its links in every row. */
export const fittedDesign = (site: Site, made: SetDesign, fonts: Fonts | null): SetDesign =>
  fonts ? designWithRoom(site, made, ...measurersOf(withDesign(site, made), fonts)) : made;

/** The piece as it is while the page is scrolled. */
export function scrolledPin(piece: Piece, page: StagePage): PinnedElement | null {
  const selector = page.compiled.elements.selectorOf({ owner: piece.id, slot: pieceKind(piece).rootSlot });
  return selector ? { selector, index: 0, states: ['scrolled'] } : null;
}

/** The links of a ring, which are seen while they are open. */
export function ringOf(site: Site, piece: Piece, page: StagePage): StageElement | null {
  const ring = partsOf(site, piece).find((part) => part.kind === 'ring');
  const selector = ring && page.compiled.elements.selectorOf({ owner: ring.id, slot: 'ring' });
  return selector ? { selector, index: 0 } : null;
}
