import { speaking } from '../advice/speaking.ts';
import { countingIds } from '../base/ids.ts';
import { partKind } from '../kinds/catalogue.ts';
import { shownLinks } from '../kinds/content.ts';
import { createPart } from '../kinds/create.ts';
import { foldOf } from '../kinds/folds.ts';
import type { NewPartWorld } from '../kinds/kind.ts';
import type { Header } from '../kinds/pieces/header/header.ts';
import { PANEL } from '../kinds/pieces/panel/panel.ts';
import type { Panel } from '../kinds/pieces/panel/shape.ts';
import { PANEL_PROPERTIES } from '../kinds/properties/panel.ts';
import type { PropertyId } from '../kinds/properties/properties.ts';
import { createRow, ZONES, type Row } from '../kinds/sections/row/shape.ts';
import type { Part, PartKindId, Site } from '../kinds/site.ts';
import { idsOf, panelsFrom, panelsOf, partsOf } from '../kinds/placed.ts';
import type { Look, Values } from '../model/look.ts';
import type { Icon } from '../model/site-content.ts';
import type { Design } from '../edit/operations/design.ts';
import { fitLook } from './fit-look.ts';
import type { Starter, StarterPart, StarterRow } from './starter.ts';
import { unplaced } from './copied.ts';

/** Drawings that icon links of a design start with, drawn for Hamaca. */
const DRAWINGS = {
  person:
    '<svg viewBox="0 0 24 24" fill="none" stroke="currentColor" stroke-width="2" stroke-linecap="round"><circle cx="12" cy="8" r="4"/><path d="M4.5 20.5c.8-4 3.8-6 7.5-6s6.7 2 7.5 6"/></svg>',
  basket:
    '<svg viewBox="0 0 24 24" fill="none" stroke="currentColor" stroke-width="2" stroke-linecap="round" stroke-linejoin="round"><path d="M3 10h18l-2 10H5zM8 10l3-6M16 10l-3-6"/></svg>',
} as const;

/**
 * Takes a header's parts kind by kind, each once, so that their content goes on; of menus the one with the most links,
 * as a slim row of them above is not what a design is drawn for.
 */
function partTaker(site: Site, parts: readonly Part[]) {
  const links = (part: Part) => (part.kind === 'menu' ? shownLinks(site, part).length : 0);
  const left = [...parts].sort((a, b) => links(b) - links(a));
  return (kind: PartKindId): Part | null => {
    const index = left.findIndex((part) => part.kind === kind);
    return index === -1 ? null : (left.splice(index, 1)[0] ?? null);
  };
}

interface Making {
  readonly site: Site;
  readonly take: (kind: PartKindId) => Part | null;
  readonly world: NewPartWorld;
  readonly panel: string;
  /** Id of the berth that what folds goes to. */
  readonly berth: string;
  readonly icons: Icon[];
}

/** The icon a new icon link of a design starts with: the site's own where it has it already. */
function startingIcon({ site, world, icons }: Making, name: keyof typeof DRAWINGS): Icon {
  const svg = DRAWINGS[name];
  const known = [...site.icons, ...icons].find((entry) => entry.svg === svg);
  if (known) return known;
  const icon: Icon = { id: world.freshId('icon'), name, svg, set: null };
  icons.push(icon);
  return icon;
}

function newPart(making: Making, { kind, icon, label }: StarterPart): Part {
  const { world, panel } = making;
  const part = createPart(kind, world.freshId(kind), world);
  if (part.kind === 'opener') return { ...part, panel, shows: 'needed' };
  if (part.kind !== 'shortcut') return part;
  return {
    ...part,
    label: label ?? part.label,
    labelShown: false,
    icon: startingIcon(making, icon ?? 'person').id,
  };
}

/** The bands in which the menu is unfolded, for what shows only there; null where it shows everywhere. */
function bandsOf(site: Site, foldBand: string | null, only: 'wide' | undefined): readonly string[] | null {
  const fold = site.bands.findIndex((band) => band.id === foldBand);
  if (only === undefined || fold <= 0) return null;
  return site.bands.slice(0, fold).map((band) => band.id);
}

function makePart(making: Making, given: StarterPart, foldBand: string | null): Part {
  const part = making.take(given.kind) ?? newPart(making, given);
  const bands = bandsOf(making.site, foldBand, given.only);
  const leaves = foldBand !== null && (given.leaves ?? partKind(part).givesWay) === true;
  return {
    ...unplaced(part),
    ...given.settings,
    ...(bands ? { bands } : {}),
    ...(leaves ? { folds: { from: foldBand, berth: making.berth, tight: true } } : {}),
    look: fitLook(given.look, foldBand),
  };
}

function makeRow(making: Making, row: StarterRow, foldBand: string | null, index: number): Row {
  const bands = bandsOf(making.site, foldBand, row.only);
  return {
    ...createRow(making.world.freshId(`row-${index + 1}`), row.name),
    arrangement: row.arrangement,
    apart: row.apart ?? 1,
    contained: row.contained ?? null,
    ...(bands ? { bands } : {}),
    zones: Object.fromEntries(
      ZONES.map((zone) => [zone, (row[zone] ?? []).map((part) => makePart(making, part, foldBand))]),
    ) as unknown as Row['zones'],
    look: fitLook(row.look, foldBand),
  };
}

/** The band from which the header's menu folds: where it does so now, otherwise the narrowest; null where there is one band. */
function foldBandOf(site: Site, header: Header): string | null {
  if (site.bands.length < 2) return null;
  const bands = partsOf(site, header).flatMap((part) => foldOf(site, part.id)?.band ?? []);
  const widest = bands.length > 0 ? Math.min(...bands) : site.bands.length - 1;
  return site.bands[widest]?.id ?? null;
}

/** What a panel's own design says of how it stands, comes and closes: a header's leaves it as it is. */
const STANDING: readonly PropertyId[] = [
  ...(Object.keys(PANEL_PROPERTIES) as PropertyId[]),
  'width',
  'radius',
];

/** The look of a panel with what another one says of how it stands. */
function withStanding(look: Look, before: Look): Look {
  const kept = before['panel']?.all?.rest ?? {};
  const bands = Object.entries(kept).map(([band, values]) => [
    band,
    Object.fromEntries(Object.entries(values).filter(([id]) => STANDING.includes(id as PropertyId))),
  ]);
  const rest = look['panel']?.all?.rest ?? {};
  const merged = Object.fromEntries([
    ...Object.entries(rest),
    ...bands.map(([band, values]) => [band as string, { ...rest[band as string], ...(values as object) }]),
  ]) as Readonly<Record<string, Values>>;
  return { ...look, panel: { ...look['panel'], all: { ...look['panel']?.all, rest: merged } } };
}

/** The panel a header's menu goes into, with a berth for it: the one it has, or a new one. */
function preparePanel(site: Site, header: Header, starter: Starter, world: NewPartWorld, look: Look) {
  const isPanel = (piece: { readonly kind: string } | null | undefined): piece is Panel =>
    piece?.kind === PANEL.id;
  const old = [...panelsFrom(site, header), ...panelsOf(site)].find(isPanel);
  const before =
    old ??
    PANEL.create({ id: world.freshId('panel'), name: 'Menu', freshId: () => world.freshId('block'), site });
  const berth = before.blocks.flatMap((block) => block.parts).find((part) => part.kind === 'berth');
  const made = berth ?? ({ kind: 'berth', id: world.freshId('berth'), look: {} } as const);
  const blocks = berth
    ? before.blocks
    : before.blocks.map((block, index) =>
        index === 0 ? { ...block, parts: [made, ...block.parts] } : block,
      );
  return { panel: { ...before, blocks, look: withStanding(look, before.look) }, berth: made.id };
}

/** The look of a starting design's bar, with what becomes of it while the page scrolls. */
function lookOf({ look, stays }: Starter): Starter['look'] {
  if (!stays) return look;
  const bar = look['bar'] ?? {};
  const rest = bar.all?.rest ?? {};
  const all = { ...bar.all, rest: { ...rest, all: { sticks: 'stays on top', ...rest['all'] } } };
  return { ...look, bar: { ...bar, all } };
}

/** The first menu folds away; every other part stays, leaves or is hidden as the design says. */
function foldMenu(rows: readonly Row[], from: string, berth: string): Row[] {
  const first = rows
    .flatMap((row) => ZONES.flatMap((zone) => row.zones[zone]))
    .find((part) => part.kind === 'menu');
  const fold = (part: Part): Part => (part === first ? { ...part, folds: { from, berth } } : part);
  return rows.map((row) => ({
    ...row,
    zones: {
      start: row.zones.start.map(fold),
      middle: row.zones.middle.map(fold),
      end: row.zones.end.map(fold),
    },
  }));
}

/**
 * A starting design filled with a site's own links, logo, palette and words: what every part of the header says goes on
 * in the design's part of its kind; parts the design has no place for go, until the change is undone.
 */
export function applyStarter(site: Site, header: Header, starter: Starter): Design {
  const used = idsOf(site);
  const taken = new Set<string>();
  const freshId = (word: string) => {
    const next =
      !used.has(word) && !taken.has(word) ? word : countingIds(word, new Set([...used, ...taken]))();
    taken.add(next);
    return next;
  };
  const panels = panelsOf(site).map(({ id }) => id);
  const world: NewPartWorld = { site, panels, freshId, form: 'row' };
  const foldBand = foldBandOf(site, header);
  const { panel, berth } = preparePanel(site, header, starter, world, fitLook(starter.panel.look, foldBand));
  const icons: Icon[] = [];
  const take = partTaker(site, partsOf(site, header));
  const making: Making = { site, take, world, panel: panel.id, berth, icons };
  const made = starter.rows.map((row, index) => makeRow(making, row, foldBand, index));
  const rows = foldBand === null ? made : foldMenu(made, foldBand, berth);
  const { menu, title, action } = starter.type;
  return {
    pieces: speaking<Design['pieces']>(
      [{ ...header, over: starter.over, rows, look: fitLook(lookOf(starter), foldBand) }, panel],
      site.language,
    ),
    icons,
    typeStyles: { menu, title, action },
  };
}
