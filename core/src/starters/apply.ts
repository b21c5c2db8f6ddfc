import { countingIds } from '../base/ids.ts';
import type { Look, SlotLook } from '../model/look.ts';
import type { Part, PartKindName } from '../kinds/part.ts';
import { createButton } from '../kinds/parts/button.ts';
import { createLogo } from '../kinds/parts/logo.ts';
import { createMenuPart } from '../kinds/parts/menu.ts';
import { createOpener } from '../kinds/parts/opener.ts';
import { createRule } from '../kinds/parts/rule.ts';
import { createSearch } from '../kinds/parts/search.ts';
import { createShortcut } from '../kinds/parts/shortcut.ts';
import { createSocial } from '../kinds/parts/social.ts';
import { createText } from '../kinds/parts/text.ts';
import { createPanel, type Panel } from '../kinds/pieces/panel.ts';
import { createRow, ZONES, type Header, type Row } from '../kinds/pieces/header.ts';
import type { Icon, Site } from '../model/site.ts';
import { NO_TARGET } from '../model/target.ts';
import { headerParts, idsOf, openedPanel } from '../kinds/walk.ts';
import type { Design } from '../edit/operations/design.ts';
import { NARROW, type Starter, type StarterPart, type StarterRow } from './starter.ts';

/** Drawings that icon links of a design start with, drawn for Hamaca. */
const DRAWINGS = {
  person:
    '<svg viewBox="0 0 24 24" fill="none" stroke="currentColor" stroke-width="2" stroke-linecap="round"><circle cx="12" cy="8" r="4"/><path d="M4.5 20.5c.8-4 3.8-6 7.5-6s6.7 2 7.5 6"/></svg>',
  basket:
    '<svg viewBox="0 0 24 24" fill="none" stroke="currentColor" stroke-width="2" stroke-linecap="round" stroke-linejoin="round"><path d="M3 10h18l-2 10H5zM8 10l3-6M16 10l-3-6"/></svg>',
} as const;

/** Takes the site's parts kind by kind, each once, so that their content goes on. */
function partTaker(parts: readonly Part[]) {
  const left = [...parts];
  return (kind: PartKindName): Part | null => {
    const index = left.findIndex((part) => part.kind === kind);
    return index === -1 ? null : (left.splice(index, 1)[0] ?? null);
  };
}

interface Making {
  readonly site: Site;
  readonly take: (kind: PartKindName) => Part | null;
  readonly fresh: (word: string) => string;
  readonly panel: string;
  readonly icons: Icon[];
}

function newPart({ site, fresh, panel, icons }: Making, { kind, icon, label }: StarterPart): Part {
  switch (kind) {
    case 'logo':
      return createLogo(fresh('logo'), site.name || 'Name');
    case 'menu':
      return createMenuPart(fresh('menu'), site.menus[0]?.id ?? '');
    case 'button':
      return createButton(fresh('call'), 'Get in touch', NO_TARGET);
    case 'search':
      return createSearch(fresh('search'));
    case 'social':
      return createSocial(fresh('social'));
    case 'text':
      return createText(fresh('text'), {
        id: fresh('entry'),
        text: 'Open every day',
        target: NO_TARGET,
        icon: null,
      });
    case 'rule':
      return createRule(fresh('rule'));
    case 'opener':
      return createOpener(fresh('opener'), 'Menu', panel);
    case 'shortcut': {
      const svg = DRAWINGS[icon ?? 'person'];
      const known = [...site.icons, ...icons].find((entry) => entry.svg === svg) ?? {
        id: fresh('icon'),
        name: icon ?? 'person',
        svg,
        set: null,
      };
      if (!site.icons.includes(known) && !icons.includes(known)) icons.push(known);
      return createShortcut(fresh('shortcut'), label ?? 'Account', known.id);
    }
  }
}

/** The bands in which the menu is unfolded, for what shows only there; null where it shows everywhere. */
function bandsOf(site: Site, foldBand: string | null, only: 'wide' | undefined): readonly string[] | null {
  const fold = site.bands.findIndex((band) => band.id === foldBand);
  if (only === undefined || fold <= 0) return null;
  return site.bands.slice(0, fold).map((band) => band.id);
}

/** A design's look with the site's own band in place of the narrow one; without one its exceptions are left out. */
function fitLook(look: Look, foldBand: string | null): Look {
  const fitSlot = (slotLook: SlotLook): SlotLook =>
    Object.fromEntries(
      Object.entries(slotLook).map(([level, states]) => [
        level,
        Object.fromEntries(
          Object.entries(states).map(([state, bands]) => [
            state,
            Object.fromEntries(
              Object.entries(bands).flatMap(([band, values]) =>
                band !== NARROW ? [[band, values]] : foldBand === null ? [] : [[foldBand, values]],
              ),
            ),
          ]),
        ),
      ]),
    );
  return Object.fromEntries(Object.entries(look).map(([slot, slotLook]) => [slot, fitSlot(slotLook)]));
}

function makePart(making: Making, given: StarterPart, foldBand: string | null): Part {
  const part = making.take(given.kind) ?? newPart(making, given);
  const { bands: _old, ...kept } = part;
  const bands = bandsOf(making.site, foldBand, given.only);
  return { ...kept, ...given.settings, ...(bands ? { bands } : {}), look: fitLook(given.look, foldBand) };
}

function makeRow(making: Making, row: StarterRow, foldBand: string | null, index: number): Row {
  const bands = bandsOf(making.site, foldBand, row.only);
  return {
    ...createRow(making.fresh(`row-${index + 1}`), row.name),
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

/**
 * A starting design filled with a site's own links, logo, palette and words: what every part of the header says goes on
 * in the design's part of its kind; parts the design has no place for go, until the change is undone.
 */
export function applyStarter(site: Site, header: Header, starter: Starter): Design {
  const used = idsOf(site);
  const taken = new Set<string>();
  const fresh = (word: string) => {
    const next =
      !used.has(word) && !taken.has(word) ? word : countingIds(word, new Set([...used, ...taken]))();
    taken.add(next);
    return next;
  };
  const foldBand =
    site.bands.length > 1
      ? site.bands.some((band) => band.id === header.foldBand)
        ? header.foldBand
        : (site.bands.at(-1)?.id ?? null)
      : null;
  const old =
    openedPanel(site, header) ?? site.pieces.find((piece): piece is Panel => piece.kind === 'panel') ?? null;
  const panel: Panel = {
    ...(old ?? createPanel(fresh('panel'), 'Menu')),
    side: starter.panel.side,
    look: fitLook(starter.panel.look, foldBand),
  };
  const icons: Icon[] = [];
  const making: Making = { site, take: partTaker(headerParts(header)), fresh, panel: panel.id, icons };
  const rows = starter.rows.map((row, index) => makeRow(making, row, foldBand, index));
  const { menu, title, action } = starter.type;
  return {
    header: {
      ...header,
      foldBand,
      stays: starter.stays,
      over: starter.over,
      rows,
      look: fitLook(starter.look, foldBand),
    },
    panel,
    icons,
    typeStyles: { menu, title, action },
  };
}
