import { memoise } from '../../base/memo.ts';
import type { Menu, Site } from '../../model/site.ts';
import { levelCount } from '../../model/states.ts';
import { itemsOf, placedParts, placementsOf, walkMenu, type PlacedItem } from '../../kinds/walk.ts';
import { targetKey } from '../../links/target.ts';
import type { FetchedLink, Finding, Fix, LinkWorld } from '../finding.ts';
import { LINK_RULES } from './link-rules.ts';

const NOTHING_FETCHED: ReadonlyMap<string, FetchedLink> = new Map();

function group(
  items: readonly PlacedItem[],
  keyOf: (placed: PlacedItem) => string | null,
): ReadonlyMap<string, PlacedItem[]> {
  const groups = new Map<string, PlacedItem[]>();
  for (const placed of items) {
    const key = keyOf(placed);
    if (key === null) continue;
    const list = groups.get(key);
    if (list) list.push(placed);
    else groups.set(key, [placed]);
  }
  return groups;
}

/** The deepest level of a menu that any of its placements shows. */
export function shownDepth(site: Site, menu: string): number | null {
  const depths = placementsOf(site, menu).map(({ part }) => {
    const start = part.branch === null ? 0 : (itemsOf(site).get(part.branch)?.depth ?? 0);
    return start + levelCount(part.levels);
  });
  return depths.length === 0 ? null : Math.max(...depths);
}

function ownHost(site: Site): LinkWorld['own'] {
  const match = /^(https?):\/\/([^/?#]+)/i.exec(site.url);
  return {
    host: (match?.[2] ?? '').toLowerCase().replace(/^www\./, ''),
    secure: match?.[1]?.toLowerCase() === 'https',
  };
}

function worldOf(site: Site, menu: Menu, items: readonly PlacedItem[]): LinkWorld {
  return {
    site,
    menu,
    fetched: NOTHING_FETCHED,
    own: ownHost(site),
    shownDepth: shownDepth(site, menu.id),
    hasListedPages: site.pages.some((page) => page.listed),
    byTarget: group(items, ({ item }) => targetKey(site, item.target)),
    byLabel: group(items, ({ item }) => item.label.trim().toLowerCase() || null),
  };
}

function checkPlaced(placed: PlacedItem, world: LinkWorld, findings: Finding[] = []): Finding[] {
  for (const rule of LINK_RULES) {
    const fault = rule.check(placed, world);
    if (fault)
      findings.push({
        rule: rule.id,
        menu: world.menu.id,
        item: placed.item.id,
        path: placed.path,
        ...fault,
      });
  }
  return findings;
}

/** The worlds of all menus, made once for a document: checks of the whole and of single links share them. */
const worldsOf = memoise(
  (site: Site): ReadonlyMap<string, { world: LinkWorld; items: readonly PlacedItem[] }> =>
    new Map(
      site.menus.map((menu, index) => {
        const items: PlacedItem[] = [];
        walkMenu(menu, `/menus/${index}`, (placed) => {
          items.push(placed);
        });
        return [menu.id, { world: worldOf(site, menu, items), items }];
      }),
    ),
);

/** What would be found about one link if its label were another: an answer while it is typed. */
export function checkTypedLabel(site: Site, id: string, label: string): readonly Finding[] {
  const placed = itemsOf(site).get(id);
  const world = placed && worldsOf(site).get(placed.menu.id)?.world;
  return placed && world ? checkPlaced({ ...placed, item: { ...placed.item, label } }, world) : [];
}

/** Placements that show nothing. */
function checkPlacements(site: Site): Finding[] {
  return placedParts(site).flatMap(({ part, piece, path }): Finding[] => {
    if (part.kind !== 'menu' || part.branch === null) return [];
    const start = itemsOf(site).get(part.branch);
    if (start?.menu.id === part.menu && start.item.children.length > 0) return [];
    const reason =
      start?.menu.id === part.menu
        ? `“${start.item.label}” has nothing nested in it, so ${piece.name} shows no links.`
        : `The link that ${piece.name} starts from is gone, so it shows no links.`;
    return [
      {
        rule: 'placement-empty',
        outcome: 'fail',
        menu: part.menu,
        item: null,
        path,
        reason,
        evidence: piece.name,
        fix: {
          label: 'Show the whole menu',
          edit: { name: 'set-owner', args: { id: part.id, fields: { branch: null } } },
        },
      },
    ];
  });
}

/** Panels that links open but that show nothing while the header is unfolded. */
function checkPanels(site: Site): Finding[] {
  return [...itemsOf(site).values()].flatMap(({ item, menu, path }): Finding[] => {
    const { target } = item;
    const panel =
      target.kind === 'panel' ? site.pieces.find((piece) => piece.id === target.panel) : undefined;
    if (panel?.kind !== 'panel' || panel.parts.length > 0) return [];
    return [
      {
        rule: 'panel-empty',
        outcome: 'look',
        menu: menu.id,
        item: item.id,
        path,
        reason: `${panel.name} has no links of its own: where the menu stands in the bar, it opens empty.`,
        evidence: panel.name,
      },
    ];
  });
}

/** A fix of a link as a fix of a button, which is a part of its own; only label and target are the same. */
function fixForPart(id: string, fix: Fix): Fix | null {
  if (fix.edit.name !== 'set-item') return fix;
  const { label, target, ...others } = fix.edit.args.fields;
  if (Object.keys(others).length > 0) return null;
  return {
    label: fix.label,
    edit: {
      name: 'set-owner',
      args: {
        id,
        fields: { ...(label === undefined ? {} : { label }), ...(target === undefined ? {} : { target }) },
      },
    },
  };
}

/** Calls to action are links too: each is judged like a link of a menu of its own. */
function checkButtons(site: Site, fetched: ReadonlyMap<string, FetchedLink>): Finding[] {
  return placedParts(site).flatMap(({ part, piece, path }): Finding[] => {
    if (part.kind !== 'button') return [];
    const item = { id: part.id, label: part.label, target: part.target, children: [] };
    const menu: Menu = { id: part.id, name: piece.name, items: [item] };
    const placed: PlacedItem = { item, menu, depth: 1, index: 0, parent: null, siblings: menu.items, path };
    return checkPlaced(placed, { ...worldOf(site, menu, [placed]), fetched }).map(
      ({ fix, ...finding }): Finding => {
        const own = fix ? fixForPart(part.id, fix) : null;
        return {
          ...finding,
          menu: null,
          item: null,
          evidence: `${piece.name} › ${part.label}`,
          ...(own ? { fix: own } : {}),
        };
      },
    );
  });
}

const checkBare = memoise((site: Site): readonly Finding[] => checkWith(site, NOTHING_FETCHED));

function checkWith(site: Site, fetched: ReadonlyMap<string, FetchedLink>): Finding[] {
  const findings: Finding[] = [];
  for (const { world, items } of worldsOf(site).values()) {
    const asked = { ...world, fetched };
    for (const placed of items) checkPlaced(placed, asked, findings);
  }
  return [...findings, ...checkButtons(site, fetched), ...checkPlacements(site), ...checkPanels(site)];
}

/** Every finding about a site's links, menu by menu in document order; within a link the gravest first. */
export function checkLinks(
  site: Site,
  fetched: ReadonlyMap<string, FetchedLink> = NOTHING_FETCHED,
): readonly Finding[] {
  return fetched.size === 0 ? checkBare(site) : checkWith(site, fetched);
}

/** Ids of the listed pages that no link of any menu leads to. */
export function unreachedPages(site: Site): ReadonlySet<string> {
  const reached = new Set<string>();
  for (const { item } of itemsOf(site).values())
    if (item.target.kind === 'page') reached.add(item.target.page);
  for (const { part } of placedParts(site))
    if (part.kind === 'button' && part.target.kind === 'page') reached.add(part.target.page);
  return new Set(site.pages.filter((page) => !reached.has(page.id)).map((page) => page.id));
}
