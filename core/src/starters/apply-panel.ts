import { inActions } from '../advice/in-actions.ts';
import { speaking } from '../advice/speaking.ts';
import type { Design } from '../edit/operations/design.ts';
import { slotsOf } from '../kinds/catalogue.ts';
import { makePart, newPartWorld } from '../kinds/create.ts';
import { arrivingAt, foldOf } from '../kinds/folds.ts';
import type { NewPartWorld } from '../kinds/kind.ts';
import { PANEL_SHAPE, type Panel } from '../kinds/pieces/panel/shape.ts';
import { isColumn } from '../kinds/sections/column/column.ts';
import { ZONES, type Row } from '../kinds/sections/row/shape.ts';
import { partsOf, placedParts } from '../kinds/placed.ts';
import { createBlock } from '../kinds/sections/block/block.ts';
import type { Part, Piece, Site } from '../kinds/site.ts';
import { initialOf } from '../model/shape/field.ts';
import type { Look, Values } from '../model/look.ts';
import type { SlotKind } from '../model/slot.ts';
import { itemKey, itemKeysIn, levelKey, type LevelKey, type State } from '../model/states.ts';
import type { Held, PanelStarter } from './panel-starter.ts';
import { copiedPart } from './copied.ts';
import { leftOver } from './left-over.ts';

/** A look with more values at one place. */
function say(look: Look, slot: string, level: LevelKey, state: State, band: string, values: Values): Look {
  const states = look[slot]?.[level] ?? {};
  const bands = states[state] ?? {};
  return {
    ...look,
    [slot]: {
      ...look[slot],
      [level]: { ...states, [state]: { ...bands, [band]: { ...bands[band], ...values } } },
    },
  };
}

const NONE: Values = { fill: { literal: 'transparent' } };

/** Of some values those that a slot has. */
const able = (kind: SlotKind | undefined, values: Values): Values =>
  Object.fromEntries(
    Object.entries(values).filter(([id]) =>
      (kind?.properties as readonly string[] | undefined)?.includes(id),
    ),
  );

/** What a slot wears in a state on the ground of a panel. */
function onGround(kind: SlotKind, state: State, dark: boolean): Values {
  return able(kind, {
    colour: { role: dark ? 'paper' : 'ink' },
    ...NONE,
    paint: { paint: null },
    mark: 'none',
    ...(state === 'hover' ? { decoration: 'underline' } : {}),
    ...(state === 'current' ? { weight: 700 } : {}),
  });
}

/** What stands within calls to action, drawn as these are: they keep a ground of their own. */
function drawnInActions(site: Site, part: Part, band: string): Look {
  const index = site.bands.findIndex(({ id }) => id === band);
  return inActions(site, part, Math.max(0, index))
    .filter(({ state }) => state !== 'scrolled')
    .reduce<Look>(
      (look, { slot, item, state, colour }) =>
        say(look, slot, itemKey(item), state, band, able(slotsOf(part.kind)[slot], { colour, ...NONE })),
      part.look,
    );
}

/** A part drawn for the ground of a panel, as far as it stands there: calls to action keep their own. */
function drawn(site: Site, part: Part, band: string, starter: PanelStarter): Part {
  if (part.kind === 'button') return part;
  let look = part.look;
  for (const [slot, kind] of Object.entries(slotsOf(part.kind))) {
    if (kind.isAction) continue;
    const levels: readonly LevelKey[] = [
      ...(kind.levels.length > 0 ? kind.levels.map(levelKey) : (['all'] as const)),
      // A link with a look of its own stands on the same ground.
      ...itemKeysIn(look[slot] ?? {}),
    ];
    if (slot === 'submenu')
      for (const level of levels)
        look = say(look, slot, level, 'rest', band, { ...NONE, shadow: { shadows: [] } });
    if (kind.text === 'none') continue;
    for (const level of levels)
      for (const state of kind.states) {
        if (state === 'scrolled') continue;
        look = say(look, slot, level, state, band, onGround(kind, state, starter.dark));
      }
  }
  if (part.kind === 'menu') {
    look = say(look, 'link', '1', 'rest', band, starter.links);
    if (starter.deeper)
      for (const level of ['2', '3'] as const) look = say(look, 'link', level, 'rest', band, starter.deeper);
  }
  return { ...part, look: drawnInActions(site, { ...part, look }, band) };
}

/** The key of looks for the widths at which a part stands in a panel. */
function bandOf(site: Site, part: Part): string {
  const band = foldOf(site, part.id)?.band ?? 0;
  return band === 0 ? 'all' : (site.bands[band]?.id ?? 'all');
}

const HELD: Readonly<Record<Exclude<Held, 'more links' | 'rest'>, (part: Part) => boolean>> = {
  logo: ({ kind }) => kind === 'logo',
  links: ({ kind }) => kind === 'menu' || kind === 'berth',
  action: ({ kind }) => kind === 'button',
  social: ({ kind }) => kind === 'social',
};

/** Takes parts out of a list by what a block holds. */
function taker(parts: readonly Part[]) {
  let left = parts;
  return (wanted: (part: Part) => boolean): Part[] => {
    const taken = new Set(left.filter(wanted));
    left = left.filter((part) => !taken.has(part));
    return [...taken];
  };
}

/** A copy of what the site has of a kind elsewhere, so that it stands in the panel too. */
function copyOf(site: Site, panel: Panel, kind: 'logo' | 'social', world: NewPartWorld): Part[] {
  const found = placedParts(site).find(({ part, piece }) => part.kind === kind && piece.id !== panel.id);
  const arrives = found && foldOf(site, found.part.id)?.to?.piece.id === panel.id;
  if (!found || arrives) return [];
  return [copiedPart(found.part, world)];
}

/** The first menu of the site that is not shown here yet. */
function moreLinks(site: Site, shown: readonly Part[], world: NewPartWorld): Part[] {
  const used = new Set(shown.flatMap((part) => (part.kind === 'menu' ? [part.menu] : [])));
  const menu = site.menus.find(({ id, items }) => !used.has(id) && items.length > 0);
  if (!menu) return [];
  return [makePart('menu', world.freshId('menu'), { menu: menu.id, levels: 1, name: menu.name })];
}

/** A piece with its parts changed. */
function withParts(piece: Piece, change: (part: Part) => Part): Piece {
  if ('blocks' in piece)
    return { ...piece, blocks: piece.blocks.map((block) => ({ ...block, parts: block.parts.map(change) })) };
  const inRow = (row: Row): Row => {
    const zones = Object.fromEntries(ZONES.map((zone) => [zone, row.zones[zone].map(change)]));
    return { ...row, zones: zones as unknown as Row['zones'] };
  };
  if ('rows' in piece) return { ...piece, rows: piece.rows.map(inRow) };
  const sections = piece.sections.map((section) =>
    isColumn(section) ? { ...section, parts: section.parts.map(change) } : inRow(section),
  );
  return { ...piece, sections };
}

/** The pieces that a panel is opened from and that something comes to it from: drawn for it, and turning with it. */
function hostsOf(site: Site, panel: Panel, arriving: readonly Part[], starter: PanelStarter): Piece[] {
  const opens = (part: Part) => part.kind === 'opener' && part.panel === panel.id;
  const change = (part: Part): Part => {
    if (arriving.includes(part)) return drawn(site, part, bandOf(site, part), starter);
    return part.kind === 'opener' && opens(part) ? { ...part, turns: starter.turns ?? 'none' } : part;
  };
  return site.pieces
    .filter((piece) => piece.id !== panel.id)
    .filter((piece) => partsOf(site, piece).some((part) => arriving.includes(part) || opens(part)))
    .map((piece) => withParts(piece, change));
}

/**
 * A starting panel filled with what a panel has: its parts keep their content, and stand where the design has a place for
 * them; logo and social links come along where the design shows them. What arrives from elsewhere is drawn for its ground.
 */
export function applyPanelStarter(site: Site, panel: Panel, starter: PanelStarter): Design {
  const world = newPartWorld(site);
  const own = panel.blocks.flatMap(({ parts }) => parts);
  const arriving = own.flatMap((part) => (part.kind === 'berth' ? arrivingAt(site, part.id) : []));
  const take = taker(own);
  const fill = (held: Held): readonly Part[] => {
    switch (held) {
      case 'rest':
        return [];
      case 'more links': {
        const more = take(HELD.links);
        return more.length > 0 ? more : moreLinks(site, [...own, ...arriving], world);
      }
      case 'links': {
        const isSplit = starter.blocks.some(({ holds }) => holds.includes('more links'));
        let count = 0;
        return take((part) => HELD.links(part) && (!isSplit || count++ === 0));
      }
      case 'logo':
      case 'social': {
        const found = take(HELD[held]);
        return found.length > 0 ? found : copyOf(site, panel, held, world);
      }
      case 'action':
        return take(HELD.action);
    }
  };
  const filled = starter.blocks.map((block) => ({
    block,
    byHeld: block.holds.map((held) => [held, fill(held)] as const),
  }));
  const rest = take(() => true);
  const blocks = filled
    .flatMap(({ block, byHeld }, index) => {
      const held = byHeld
        .flatMap(([what, parts]) => (what === 'rest' ? rest : parts))
        .map((part) => drawn(site, part, 'all', starter));
      return leftOver(held, []).map((parts, list) => ({
        ...createBlock(
          (list === 0 ? panel.blocks[index]?.id : undefined) ?? world.freshId(`${panel.id}-block`),
          block.name,
          parts,
        ),
        flow: block.flow ?? ('stack' as const),
        align: block.align ?? ('wide' as const),
        look: block.look ?? {},
      }));
    })
    .filter(({ parts }, _index, all) => parts.length > 0 || all.every((one) => one.parts.length === 0));
  return {
    pieces: speaking<Design['pieces']>(
      [
        {
          ...panel,
          ...(initialOf(SETTINGS) as Partial<Panel>),
          ...starter.settings,
          blocks: blocks.length > 0 ? blocks : panel.blocks,
          look: starter.look,
        },
        ...hostsOf(site, panel, arriving, starter),
      ],
      site.language,
    ),
    icons: [],
    typeStyles: {},
  };
}

/** What a design says of a panel's settings; how it is opened and named stays. */
const { blocks: _blocks, openedBy: _openedBy, closeLabel: _closeLabel, ...SETTINGS } = PANEL_SHAPE;
