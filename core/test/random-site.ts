import { countingIds } from '../src/base/ids.ts';
import { wornAt } from '../src/kinds/wears.ts';
import { itemKey } from '../src/model/states.ts';
import { kindLabel, pieceKind, pieceKindById, sectionKind, slotsOf } from '../src/kinds/catalogue.ts';
import { createPart, makePart, newPartWorld } from '../src/kinds/create.ts';
import { property, PROPERTIES, type PropertyId } from '../src/kinds/properties/properties.ts';
import { PARTS } from '../src/kinds/parts/parts.ts';
import type { Part, Piece, Section, Site } from '../src/kinds/site.ts';
import { regionsOf, sectionKindsIn } from '../src/kinds/placed.ts';
import { createColumn } from '../src/kinds/sections/column/column.ts';
import { runEdit, type SingleEdit } from '../src/edit/operations.ts';
import { loadSite } from '../src/load/load-site.ts';
import { NO_TARGET } from '../src/model/target.ts';
import type { SlotKind } from '../src/model/slot.ts';
import { ROLES, type ColourValue, type Value } from '../src/values/values.ts';
import { rawDemo } from './demo.ts';
import { dress } from './dressed.ts';
import { partsRow, REED } from './furnished.ts';

/** A small seeded generator (mulberry32), so that a failure can be run again. */
export function seeded(seed: number) {
  let state = seed;
  const next = () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
  return {
    next,
    pick: <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)] as T,
    chance: (share: number) => next() < share,
  };
}
export type Random = ReturnType<typeof seeded>;

/** A whole number between two, both included. */
export const whole = (random: Random, from: number, to: number) =>
  Math.round(from + random.next() * (to - from));

function randomColour(random: Random, site: Site): ColourValue {
  return random.pick<() => ColourValue>([
    () => ({ swatch: random.pick(site.palette).id }),
    () => ({ swatch: random.pick(site.palette).id, alpha: 0.5 }),
    () => ({ role: random.pick(ROLES) }),
    () => ({ literal: random.pick(['#336699', 'rgb(10 20 30 / 0.5)', 'oklch(60% 0.1 150)', 'transparent']) }),
  ])();
}

function randomLength(random: Random, id: PropertyId, min: number, max: number): Value {
  // A box is never narrower than its padding; widths stay above what padding can come to.
  const size = whole(random, Math.max(min, 0), Math.min(max, 40)) + (id === 'width' ? 160 : 0);
  if (random.chance(0.2) && min >= 0) return `${Math.max(min, size) / 16}rem`;
  const units = (PROPERTIES[id] as { units?: readonly string[] }).units ?? [];
  return random.chance(0.15) && units.includes('vw')
    ? `clamp(${Math.max(min, size)}px, 1vw + 4px, ${Math.max(min, size) + 20}px)`
    : Math.max(min, size);
}

/** Any value a property takes. */
export function randomValue(random: Random, site: Site, id: PropertyId): Value {
  const entry = property(id);
  if (entry.typed === true && random.chance(0.15)) return { type: random.pick(site.typeStyles).id };
  switch (entry.kind) {
    case 'colour':
      return randomColour(random, site);
    case 'family':
      return random.pick(['figtree', 'karla', 'newsreader', 'system']);
    case 'number':
      return (
        Math.round(
          whole(random, 0, Math.floor((entry.max - entry.min) / entry.step)) * entry.step * 100 +
            entry.min * 100,
        ) / 100
      );
    case 'length':
      return randomLength(random, id, entry.min, entry.max);
    case 'corners':
      return random.chance(0.4)
        ? { corners: [whole(random, 0, 9), '50%', whole(random, 0, 9), '0.5rem'] }
        : random.pick<Value>([0, 6, '50%', '1rem']);
    case 'choice':
      return random.pick(Object.keys(entry.choices));
    case 'line':
      return random.chance(0.2)
        ? { line: null }
        : {
            line: {
              width: whole(random, 1, 5),
              style: random.pick(['solid', 'dashed', 'dotted'] as const),
              colour: randomColour(random, site),
            },
          };
    case 'shadow':
      return {
        shadows: Array.from({ length: whole(random, 0, 2) }, () => ({
          x: whole(random, -4, 4),
          y: whole(random, 0, 8),
          blur: whole(random, 0, 9),
          ...(entry.ofText === true ? {} : { spread: 1, inset: random.chance(0.5) }),
          colour: randomColour(random, site),
        })),
      };
    case 'declarations':
      return random.pick(['object-position: 3px 4px', 'object-position: 5px 0; cursor: help']);
    case 'paint':
      return random.pick<() => Value>([
        () => ({ paint: null }),
        () => ({ paint: { image: '/reeds.png' } }),
        () => ({
          paint: {
            gradient: {
              angle: whole(random, 10, 170),
              stops: [
                { colour: randomColour(random, site), at: 0 },
                { colour: randomColour(random, site), at: 70 },
              ],
            },
          },
        }),
      ])();
  }
}

/** Links that wear every slot of a menu, for one level. */
const dressed = (level: number) => [
  {
    id: `dressed-${level}`,
    label: 'Dressed',
    target: { kind: 'url', url: `/dressed/${level}` },
    description: 'A line beneath',
    icon: 'icon-reed',
    image: '/reed.png',
    children: [],
  },
  {
    id: `action-${level}`,
    label: 'Act',
    target: { kind: 'url', url: `/act/${level}` },
    role: 'action',
    children: [],
  },
  { id: `heading-${level}`, label: 'Head', target: { kind: 'none' }, role: 'heading', children: [] },
  { id: `divider-${level}`, label: '', target: { kind: 'none' }, role: 'divider', children: [] },
];

/** Columns of a footer, one under a heading. */
const columns = () => [
  { ...createColumn('column-a', 'First'), heading: 'Under a heading', parts: [columnText('column-text')] },
  createColumn('column-b', 'Second', [columnText('column-more')]),
];

const columnText = (id: string) =>
  makePart('text', id, {
    entries: [{ id: `${id}-entry`, text: '© 2019–2024 Marisma', target: NO_TARGET, icon: null }],
    yearKept: true,
  });

/** Links that have looks of their own: of every role, at every level. */
const SINGLE = ['link1', 'dressed-1', 'dressed-2', 'dressed-3', 'action-2', 'heading-1', 'divider-2'];

/** The demo with every kind of part, three levels placed, derived swatches and random values in random cells of every slot. */
export function randomSite(random: Random): Site {
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- looks are filled in as raw JSON and loaded again
  const raw = rawDemo() as any;
  const header = raw.pieces[0];
  delete raw.pieces[0].rows[0].bands;
  raw.palette.push(
    { id: 'pale', name: 'Pale', from: raw.palette[0].id, change: 'lighter', by: 40 },
    { id: 'dim', name: 'Dim', from: 'pale', change: 'darker', by: 25 },
    { id: 'haze', name: 'Haze', from: raw.palette[1].id, change: 'thinner', by: 35 },
    { id: 'blend', name: 'Blend', from: 'pale', change: 'mixed', by: 30, with: raw.palette[2].id },
  );
  header.rows[0].contained = random.chance(0.5) ? 960 : null;
  header.rows[0].zones.middle[0].levels = 3;
  header.rows.push(partsRow());
  raw.icons = [{ id: 'icon-reed', name: 'reed', svg: REED, set: null }];
  for (const part of header.rows[0].zones.end) part.icon = 'icon-reed';
  const [visit] = raw.menus[0].items;
  raw.menus[0].items.push(...dressed(1));
  visit.children.push(...dressed(2));
  visit.children[2].children.push(...dressed(3));
  const filled = JSON.parse(JSON.stringify(raw)) as Site;
  for (const [kind, id] of STANDING) {
    const freshId = countingIds(`${id}-`);
    const made = pieceKindById(kind).create({ id, name: kindLabel(kind), freshId, site: filled });
    raw.pieces.push(JSON.parse(JSON.stringify(made)));
  }
  const foot = raw.pieces.find(({ kind }: Piece) => kind === 'footer');
  foot.sections.unshift(...columns());
  // The opener’s label is there to be styled.
  raw.pieces.at(-1).blocks[0].parts[0].labelShown = true;
  const owners = [
    header,
    ...header.rows,
    ...header.rows.flatMap((row: { zones: object }) => Object.values(row.zones).flat()),
    raw.pieces[1],
    ...raw.pieces[1].blocks,
    // What stands in a footer is what stands in a header.
    ...raw.pieces.slice(2),
    ...foot.sections.slice(0, 2),
    ...raw.pieces.at(-1).blocks.flatMap((block: { parts: object[] }) => block.parts),
  ];
  for (const owner of owners) {
    const kinds = slotsOf(owner.kind ?? (owner.zones ? 'row' : 'block')) as Record<string, SlotKind>;
    owner.look = {};
    for (const [slot, kind] of Object.entries(kinds)) {
      for (let count = 0; count < kind.properties.length * 2; count++) {
        const ofLevel =
          kind.levels.length > 1 && random.chance(0.6) ? String(random.pick(kind.levels)) : 'all';
        const level = kind.single && random.chance(0.15) ? itemKey(random.pick(SINGLE)) : ofLevel;
        const state = random.pick(kind.states);
        const band = random.chance(0.3) ? 'phone' : 'all';
        const id = random.pick(wornAt(kind, level));
        const values = ((((owner.look[slot] ??= {})[level] ??= {})[state] ??= {})[band] ??= {});
        values[id] = randomValue(random, filled, id);
      }
    }
  }
  // One slot wears another one's look.
  raw.sameLooks = [{ owner: 'book', slot: 'button', as: { owner: 'menu-main', slot: 'action' } }];
  const loaded = loadSite(raw);
  if (!loaded.ok)
    throw new Error(
      loaded.error
        .slice(0, 3)
        .map((problem) => problem.message)
        .join('; '),
    );
  return loaded.value;
}

/** One target of every kind. */
const TARGETS = [
  { kind: 'page', page: 'page-book', section: 'north' },
  { kind: 'section', section: 'hours' },
  { kind: 'url', url: 'https://orilla.example/far' },
  { kind: 'mail', address: 'hello@marisma.example' },
  { kind: 'phone', number: '+34 955 010 203' },
  { kind: 'panel', panel: 'extra' },
  { kind: 'none' },
] as const;

/** The pieces a site has besides headers and panels, with their ids. */
const STANDING = [
  ['footer', 'foot'],
  ['sidebar', 'column'],
  ['floating', 'corner'],
] as const;

/** The kinds of parts that may stand in a piece. */
export const partKindsFor = (piece: Piece) =>
  PARTS.filter((kind) => !('onlyIn' in kind) || kind.onlyIn === pieceKind(piece).stands);

/** A site with every kind of part in every region it may stand in, every kind of target, shared looks, every kind of piece and several of some. */
export function wholeSite(): Site {
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- a raw document is changed
  const raw = dress(rawDemo()) as any;
  const loaded = loadSite(raw);
  if (!loaded.ok) throw new Error(loaded.error[0]?.message);
  let site = loaded.value;
  const make = (edit: SingleEdit) => {
    const ran = runEdit(site, edit);
    if (!ran.ok) throw new Error(`${edit.name}: ${ran.error[0]?.message ?? ''}`);
    site = ran.value.site;
  };
  make({ name: 'duplicate-piece', args: { id: 'header', copy: 'header-2' } });
  make({ name: 'duplicate-piece', args: { id: 'panel', copy: 'panel-2' } });
  make({ name: 'duplicate-section', args: { id: 'extra-block', copy: 'extra-more' } });
  const { freshId } = newPartWorld(site);
  for (const [kind, id] of STANDING) {
    const piece = pieceKindById(kind).create({ id, name: kindLabel(kind), freshId: () => freshId(id), site });
    make({ name: 'add-piece', args: { piece: piece as never } });
    // A section of every kind it may hold.
    for (const held of sectionKindsIn(piece as never)) {
      const section = sectionKind(held).create(`${id}-${held}`, held) as unknown as Section;
      make({ name: 'add-section', args: { piece: id, section, index: 99 } });
    }
  }
  const [page] = site.pages;
  make({
    name: 'set-owner',
    args: {
      id: 'column',
      fields: {
        pages: { shown: 'only', pages: [{ page: page?.id }], paths: [{ path: '/learn/*' }] },
        bands: ['wide'],
      },
    },
  });
  for (const { id: region, piece } of regionsOf(site).values())
    for (const { id } of partKindsFor(piece)) {
      const part = createPart(id, `${region.replace('.', '-')}-${id}`, newPartWorld(site)) as Part;
      make({ name: 'add-part', args: { place: { region, index: 99 }, part } });
    }
  make({
    name: 'add-items',
    args: {
      place: { menu: 'main', parent: null, index: 0 },
      items: TARGETS.map((target, index) => ({
        id: `leads-${index}`,
        label: `Leads ${target.kind}`,
        target,
        children: [],
      })),
    },
  });
  make({
    name: 'set-same-look',
    args: { owner: 'book', slot: 'button', as: { owner: 'menu-main', slot: 'action' } },
  } as SingleEdit);
  return site;
}
