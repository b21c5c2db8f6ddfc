import { designInFamily } from '../advice/at-home.ts';
import { speaking } from '../advice/speaking.ts';
import { uniqueTitle } from '../base/ids.ts';
import type { Design } from '../edit/operations/design.ts';
import { itemsOf } from '../kinds/content.ts';
import { makePart, newPartWorld } from '../kinds/create.ts';
import type { NewPartWorld } from '../kinds/kind.ts';
import { opensOver, panelsOf, partsOf, placedParts } from '../kinds/placed.ts';
import type { Floating } from '../kinds/pieces/floating/floating.ts';
import type { Footer } from '../kinds/pieces/footer/footer.ts';
import type { MenuPart } from '../kinds/parts/menu/shape.ts';
import type { Sidebar } from '../kinds/pieces/sidebar/sidebar.ts';
import { createBlock } from '../kinds/sections/block/block.ts';
import { createColumn, isColumn, type Column } from '../kinds/sections/column/column.ts';
import { createRow, ZONES, type Row } from '../kinds/sections/row/shape.ts';
import { rowParts } from '../kinds/sections/row/zones.ts';
import type { Part, PartKindId, Site } from '../kinds/site.ts';
import type { Look, Values } from '../model/look.ts';
import type { MenuItem } from '../model/menu-item.ts';
import type { Menu } from '../model/site-content.ts';
import { FLOATS } from './floats.ts';
import { FOOTERS } from './footers.ts';
import { leftOver } from './left-over.ts';
import { fitLook } from './fit-look.ts';
import type {
  ColumnStarter,
  FooterStarter,
  PieceStarter,
  PieceStarterPart,
  StarterFooterColumn,
  StarterFooterRow,
} from './piece-starter.ts';
import { NARROW } from './starter.ts';
import { SIDEBARS } from './sidebars.ts';
import { copiedPart } from './copied.ts';

/** A piece that such designs are for. */
export type StartedPiece = Footer | Sidebar | Floating;

export const PIECE_STARTERS: readonly PieceStarter[] = [...FOOTERS, ...SIDEBARS, ...FLOATS];

/** The designs for a piece. */
export const startersFor = ({ kind }: { readonly kind: string }): readonly PieceStarter[] =>
  PIECE_STARTERS.filter((starter) => starter.kind === kind);

const KINDS: Readonly<Record<PieceStarterPart['holds'], PartKindId>> = {
  links: 'menu',
  'more links': 'menu',
  branch: 'menu',
  ring: 'ring',
  logo: 'logo',
  social: 'social',
  owner: 'text',
  more: 'opener',
};

/** Most links that stand beside one another along the bottom of a phone. */
const MOST_IN_BAR = 5;

/** What a starting design is told besides. */
export interface StarterWorld {
  /** The year it is, for a legal line. */
  readonly year: number;
  /** Whether the piece was only just made: what stands in it is nobody's work, and goes. */
  readonly isNew?: boolean;
}

interface Making {
  readonly site: Site;
  readonly piece: StartedPiece;
  readonly world: NewPartWorld;
  /** Takes one of the piece's own parts of a kind. */
  readonly take: (kind: PartKindId) => Part | null;
  readonly left: () => readonly Part[];
  readonly isBar: boolean;
  /** The year a legal line begins with. */
  readonly year: number;
  /** Takes the next link of the site's first menu that has links nested in it. */
  readonly branch: () => MenuItem | null;
}

function making(site: Site, piece: StartedPiece, isBar: boolean, { year, isNew }: StarterWorld): Making {
  const left = isNew ? [] : [...partsOf(site, piece)];
  const branches = site.menus[0]?.items.filter(({ children }) => children.length > 0) ?? [];
  return {
    site,
    piece,
    world: newPartWorld(site),
    take: (kind) => {
      const index = left.findIndex((part) => part.kind === kind);
      return index === -1 ? null : (left.splice(index, 1)[0] ?? null);
    },
    left: () => left,
    isBar,
    year,
    branch: () => branches.shift() ?? null,
  };
}

/** The site's narrowest band, null where there is but one. */
const narrowestOf = ({ bands }: Site): string | null =>
  bands.length > 1 ? (bands.at(-1)?.id ?? null) : null;

/** The menu that a new placement shows: the first, or for a bar the first that is short enough. */
function menuFor({ site, isBar }: Making, used: ReadonlySet<string>): Menu | null {
  const filled = site.menus.filter(({ id, items }) => items.length > 0 && !used.has(id));
  const short = filled.find(({ items }) => items.length > 1 && items.length <= MOST_IN_BAR);
  return (isBar ? short : undefined) ?? filled[0] ?? null;
}

/** A copy of what the site has of a kind elsewhere. */
function copyOf({ site, world }: Making, kind: 'logo' | 'social'): Part | null {
  const found = placedParts(site).find(({ part, piece }) => part.kind === kind && !opensOver(piece));
  return found ? copiedPart(found.part, world) : null;
}

/** What a navigation of a menu is called: like no other of the site. */
function navName({ site, piece }: Making, { name }: Menu): string {
  const taken = new Set(placedParts(site).flatMap(({ part }) => (part.kind === 'menu' ? [part.name] : [])));
  return uniqueTitle(taken.has(name) ? `${name}, ${piece.name}` : name, taken);
}

function newPart(make: Making, { holds }: PieceStarterPart, used: ReadonlySet<string>): Part | null {
  const { site, world } = make;
  const menu = menuFor(make, used);
  switch (holds) {
    case 'logo':
    case 'social':
      return copyOf(make, holds);
    case 'links':
    case 'more links':
      return menu && makePart('menu', world.freshId('menu'), { menu: menu.id, name: navName(make, menu) });
    case 'branch': {
      const [first] = site.menus;
      const held = make.branch();
      return held && first
        ? makePart('menu', world.freshId('menu'), { menu: first.id, branch: held.id, name: held.label })
        : null;
    }
    case 'ring':
      return menu && makePart('ring', world.freshId('ring'), { menu: menu.id });
    case 'owner': {
      const entry = {
        id: world.freshId('text-entry'),
        text: `© ${make.year} ${site.name}`,
        target: { kind: 'none' },
        icon: null,
      } as const;
      return makePart('text', world.freshId('text'), { entries: [entry], yearKept: true });
    }
    case 'more': {
      const [panel] = panelsOf(site);
      return panel
        ? makePart('opener', world.freshId('opener'), { panel: panel.id, shows: 'always', label: 'More' })
        : null;
    }
  }
}

/** The links of a ring as a menu, or those of a menu as a ring: what the piece has, in the form of the design. */
function converted(make: Making, { holds }: PieceStarterPart): Part | null {
  const part = holds === 'links' ? make.take('ring') : holds === 'ring' ? make.take('menu') : null;
  if (part?.kind === 'ring')
    return makePart('menu', part.id, { menu: part.menu, branch: part.branch, name: part.label });
  if (part?.kind === 'menu')
    return makePart('ring', part.id, { menu: part.menu, branch: part.branch, label: part.name });
  return null;
}

/** A menu of the piece as a design wants it: the next branch of the site's first one, or all of it where it came in branches. */
function asWanted(make: Making, { holds }: PieceStarterPart, part: MenuPart): MenuPart {
  if (holds !== 'branch') {
    const others = make.left().filter(({ kind }) => kind === 'menu') as MenuPart[];
    const inBranches = others.some(({ menu, branch }) => menu === part.menu && branch !== null);
    return make.piece.kind === 'footer' && inBranches ? { ...part, branch: null } : part;
  }
  const branch = part.branch === null ? make.branch() : null;
  return branch ? { ...part, branch: branch.id, name: branch.label } : part;
}

/** The parts of a list of a design, filled with what the piece and the site have. */
function fill(make: Making, wanted: readonly PieceStarterPart[], used: Set<string>): Part[] {
  return wanted.flatMap((entry): Part[] => {
    const part = make.take(KINDS[entry.holds]) ?? converted(make, entry) ?? newPart(make, entry, used);
    if (!part) return [];
    const look = fitLook(entry.look ?? {}, narrowestOf(make.site));
    if (part.kind !== 'menu') return [{ ...part, ...entry.settings, look }];
    used.add(part.menu);
    const levels = entry.levels === undefined ? {} : { levels: entry.levels };
    return [{ ...asWanted(make, entry, part), ...levels, ...entry.settings, look }];
  });
}

const valuesLook = (site: Site, slot: string, values: Values, narrow: Values = {}): Look =>
  fitLook({ [slot]: { all: { rest: { all: values, [NARROW]: narrow } } } }, narrowestOf(site));

function blocksOf(make: Making, piece: Sidebar | Floating, starter: ColumnStarter) {
  const used = new Set<string>();
  const blocks = starter.blocks.map((block, index) => ({
    ...createBlock(
      piece.blocks[index]?.id ?? make.world.freshId(`${piece.id}-block`),
      block.name,
      fill(make, block.parts, used),
    ),
    flow: block.flow ?? ('stack' as const),
    align: block.align ?? ('wide' as const),
    look: block.look ? valuesLook(make.site, 'block', block.look) : {},
  }));
  // What the design has no place for goes on behind the rest.
  return blocks.flatMap((block, index) => {
    if (index < blocks.length - 1) return [block];
    const [first = [], ...more] = leftOver(block.parts, make.left());
    const others = more.map((parts) =>
      createBlock(make.world.freshId(`${piece.id}-block`), block.name, parts),
    );
    return [{ ...block, parts: first }, ...others];
  });
}

function rowOf(make: Making, row: StarterFooterRow, id: string, used: Set<string>): Row {
  const zones = Object.fromEntries(ZONES.map((zone) => [zone, fill(make, row.zones[zone] ?? [], used)]));
  return {
    ...createRow(id, row.name),
    arrangement: row.arrangement ?? 'between',
    zones: zones as unknown as Row['zones'],
    look: valuesLook(make.site, 'row', row.look),
  };
}

function columnOf(make: Making, column: StarterFooterColumn, id: string, used: Set<string>): Column | null {
  const parts = fill(make, column.column, used);
  if (parts.length === 0) return null;
  const menu = parts.find((part) => part.kind === 'menu');
  const branch = menu?.branch == null ? null : itemsOf(make.site).get(menu.branch);
  const heading = column.headed && branch ? branch.item.label : '';
  return {
    ...createColumn(id, heading === '' ? column.name : heading, parts),
    heading,
    foldsFrom: column.folds === true && heading !== '' ? narrowestOf(make.site) : null,
    align: 'start',
    look: {
      ...valuesLook(make.site, 'column', column.look ?? {}),
      ...(column.heading ? valuesLook(make.site, 'column-heading', column.heading) : {}),
    },
  };
}

const partsIn = (section: Row | Column): readonly Part[] =>
  isColumn(section) ? section.parts : rowParts(section);

function sectionsOf(make: Making, piece: Footer, starter: FooterStarter): (Row | Column)[] {
  const used = new Set<string>();
  const made = starter.sections.flatMap((section, index): (Row | Column)[] => {
    const id = piece.sections[index]?.id ?? make.world.freshId(`${piece.id}-section`);
    if ('zones' in section) return [rowOf(make, section, id, used)];
    const column = columnOf(make, section, id, used);
    return column ? [column] : [];
  });
  // What the design has no place for goes on behind the rest, but for branches of a menu that is there as a whole.
  const whole = new Set(
    made
      .flatMap(partsIn)
      .flatMap((part) => (part.kind === 'menu' && part.branch === null ? [part.menu] : [])),
  );
  const left = make
    .left()
    .filter((part) => part.kind !== 'menu' || part.branch === null || !whole.has(part.menu));
  const last = made.at(-1);
  if (!last || left.length === 0) return made;
  const [first = [], ...more] = leftOver('zones' in last ? last.zones.end : last.parts, left);
  const filled =
    'zones' in last ? { ...last, zones: { ...last.zones, end: first } } : { ...last, parts: first };
  const others = more.map((parts) => {
    const row = createRow(make.world.freshId(`${piece.id}-section`), last.name);
    return { ...row, zones: { ...row.zones, end: parts } };
  });
  return [...made.slice(0, -1), filled, ...others];
}

/** A footer in a design, with how its columns stand. */
function footerOf(make: Making, piece: Footer, starter: FooterStarter, look: Look): Footer {
  const { columns, columnsNarrow, contained = null } = starter;
  return {
    ...piece,
    contained,
    look: { ...look, ...(columns ? valuesLook(make.site, 'columns', columns, columnsNarrow) : {}) },
    sections: sectionsOf(make, piece, starter),
  };
}

/** What a piece says by itself in a design, and which of its fields hold what stands in it. */
function madeOf(site: Site, piece: StartedPiece, starter: PieceStarter, world: StarterWorld): StartedPiece {
  const make = making(site, piece, starter.kind === 'floating' && starter.bar === true, world);
  const look = valuesLook(site, piece.kind, starter.look, starter.narrow);
  if (piece.kind === 'footer')
    return starter.kind === 'footer' ? footerOf(make, piece, starter, look) : piece;
  if (starter.kind === 'footer') return piece;
  const blocks = blocksOf(make, piece, starter);
  if (piece.kind === 'sidebar') {
    const heading = starter.heading ? valuesLook(site, 'sidebar-heading', starter.heading) : {};
    return { ...piece, look: { ...look, ...heading }, blocks };
  }
  // A bar is for phones, anything else for every width.
  const { bands: _bands, ...anywhere } = piece;
  const narrowest = narrowestOf(site);
  const bands = starter.bar && narrowest !== null ? { bands: [narrowest] } : {};
  return { ...anywhere, ...bands, look, blocks };
}

/**
 * A starting design for a footer, sidebar or floating menu: the piece keeps its name, its pages and what stands in it; what
 * the design shows besides comes from elsewhere in the site.
 */
export function applyPieceStarter(
  site: Site,
  piece: StartedPiece,
  starter: PieceStarter,
  world: StarterWorld,
): Design {
  const made = speaking(madeOf(site, piece, starter, world), site.language);
  return designInFamily(site, { pieces: [made], icons: [], typeStyles: {} });
}
