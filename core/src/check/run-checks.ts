import { memoise } from '../base/memo.ts';
import type { Edit } from '../edit/operations.ts';
import { itemsOf, walkMenu, type PlacedItem } from '../kinds/content.ts';
import type { Site } from '../kinds/site.ts';
import { slotsOf } from '../kinds/catalogue.ts';
import { hasSlot, ownersOf, placedParts, standingPieces } from '../kinds/placed.ts';
import { rowFits } from '../layout/fit.ts';
import type { Measurer } from '../text/measure.ts';
import { partLinks, type PartLink } from '../links/part-links.ts';
import { shownDepth } from '../links/reach.ts';
import { targetKey } from '../links/target.ts';
import type { Menu } from '../model/site-content.ts';
import type { Check, FetchedLink, Finding, Fix, LinkWorld, Objection, World } from './check.ts';
import { CHECKS } from './checks.ts';
import { NOTHING_FETCHED, worldOf } from './world.ts';

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

const linkWorld = (world: World, menu: Menu, items: readonly PlacedItem[]): LinkWorld => ({
  ...world,
  menu,
  shownDepth: shownDepth(world.site, menu.id),
  byTarget: group(items, ({ item }) => targetKey(world.site, item.target)),
  byLabel: group(items, ({ item }) => item.label.trim().toLowerCase() || null),
});

const checksOf = <Sort extends Check['of']>(sort: Sort) =>
  CHECKS.filter((check): check is Extract<Check, { of: Sort }> => check.of === sort);
const LINK_CHECKS = checksOf('link');
const PART_CHECKS = checksOf('part');
const LOOK_CHECKS = checksOf('look');
const ROW_CHECKS = checksOf('row');
const PIECE_CHECKS = checksOf('piece');

function checkLink(placed: PlacedItem, world: LinkWorld, findings: Finding[] = []): Finding[] {
  for (const { id, check } of LINK_CHECKS) {
    const objection = check(placed, world);
    if (objection)
      findings.push({
        check: id,
        menu: world.menu.id,
        item: placed.item.id,
        path: placed.path,
        ...objection,
      });
  }
  return findings;
}

/** The worlds of all menus, made once for a document: checks of the whole and of single links share them. */
const worldsOf = memoise(
  (site: Site): ReadonlyMap<string, { world: LinkWorld; items: readonly PlacedItem[] }> => {
    const world = worldOf(site, NOTHING_FETCHED);
    return new Map(
      site.menus.map((menu, index) => {
        const items: PlacedItem[] = [];
        walkMenu(menu, `/menus/${index}`, (placed) => {
          items.push(placed);
        });
        return [menu.id, { world: linkWorld(world, menu, items), items }];
      }),
    );
  },
);

/** What would be found about one link if its label were another: an answer while it is typed. */
export function checkTypedLabel(site: Site, id: string, label: string): readonly Finding[] {
  const placed = itemsOf(site).get(id);
  const world = placed && worldsOf(site).get(placed.menu.id)?.world;
  return placed && world ? checkLink({ ...placed, item: { ...placed.item, label } }, world) : [];
}

/** What some checks say of one place that is no link. */
function judge<Place, Told extends World>(
  checks: readonly {
    readonly id: string;
    readonly check: (place: Place, world: Told) => Objection | null;
  }[],
  place: Place,
  world: Told,
  where: Pick<Finding, 'path'> & Partial<Pick<Finding, 'menu'>>,
): Finding[] {
  return checks.flatMap(({ id, check }): Finding[] => {
    const objection = check(place, world);
    return objection ? [{ check: id, menu: null, item: null, ...where, ...objection }] : [];
  });
}

/** Parts in their places. */
function checkParts(world: World): Finding[] {
  return placedParts(world.site).flatMap((placed) => {
    const menu = placed.part.kind === 'menu' ? placed.part.menu : null;
    return judge(PART_CHECKS, placed, world, { menu, path: placed.path });
  });
}

/** Every slot that is there. */
function checkLooks(world: World): Finding[] {
  const { site } = world;
  return [...ownersOf(site).values()].flatMap((owner) =>
    Object.entries(slotsOf(owner.kind))
      .filter(([slot]) => hasSlot(site, owner, slot))
      .flatMap(([slot, kind]) =>
        judge(LOOK_CHECKS, { owner, slot, kind }, world, { path: `${owner.path}/look/${slot}` }),
      ),
  );
}

/** Every row in every band it is shown in, where typefaces can be measured. */
function checkRows(world: World, measure: Measurer | null): Finding[] {
  if (!measure) return [];
  const { site } = world;
  return rowFits(site, measure).flatMap((fit) =>
    judge(
      ROW_CHECKS,
      fit,
      { ...world, measure },
      { path: `${ownersOf(site).get(fit.row)?.path ?? ''}#${fit.band}` },
    ),
  );
}

/** Every piece that stands in pages. */
function checkPieces(world: World): Finding[] {
  return standingPieces(world.site).flatMap((piece) =>
    judge(PIECE_CHECKS, piece, world, { path: ownersOf(world.site).get(piece.id)?.path ?? '' }),
  );
}

/** A value with something deep in it changed. */
function changedAt(
  value: unknown,
  keys: readonly string[],
  change: Readonly<Record<string, unknown>>,
): unknown {
  const [key, ...rest] = keys;
  if (key === undefined) return { ...(value as object), ...change };
  if (Array.isArray(value)) return value.with(Number(key), changedAt(value[Number(key)], rest, change));
  const record = value as Record<string, unknown>;
  return { ...record, [key]: changedAt(record[key], rest, change) };
}

/** A fix of a link as a fix of a part's own link; only words and target are the same. */
function fixForPart({ part, within, labelField }: PartLink, fix: Fix): Fix | null {
  if (fix.edit.name !== 'set-item') return fix;
  const { label, target, ...others } = fix.edit.args.fields;
  if (Object.keys(others).length > 0 || (label !== undefined && labelField === null)) return null;
  const change = {
    ...(label === undefined || labelField === null ? {} : { [labelField]: label }),
    ...(target === undefined ? {} : { target }),
  };
  const [key, ...rest] = within;
  const fields =
    key === undefined
      ? change
      : { [key]: changedAt((part as unknown as Record<string, unknown>)[key], rest, change) };
  return { label: fix.label, edit: { name: 'set-owner', args: { id: part.id, fields } } };
}

/** Checks that make sense only of a link with words that are seen. */
const isJudged = ({ label, target, part }: PartLink) =>
  part.kind === 'button' || target.kind !== 'none' || (label !== '' && part.kind === 'shortcut');

/** Links of parts are links too: each is judged like a link of a menu of its own. */
function checkPartLinks(world: World): Finding[] {
  return partLinks(world.site)
    .filter(isJudged)
    .flatMap((link): Finding[] => {
      const { part, piece, path, target, label } = link;
      const item = { id: part.id, label: label || 'picture', target, children: [] };
      const menu: Menu = { id: part.id, name: piece.name, items: [item] };
      const placed: PlacedItem = { item, menu, depth: 1, index: 0, parent: null, siblings: menu.items, path };
      return checkLink(placed, linkWorld(world, menu, [placed])).map(({ fix, ...finding }): Finding => {
        const own = fix ? fixForPart(link, fix) : null;
        return {
          ...finding,
          menu: null,
          item: null,
          evidence: `${piece.name} › ${label}`,
          ...(own ? { fix: own } : {}),
        };
      });
    });
}

/** Is told how much of the work is done, 0 to 1. */
type Told = (share: number) => void;

const checkBare = memoise((site: Site): readonly Finding[] => checkWith(site, NOTHING_FETCHED, null));

function checkWith(
  site: Site,
  fetched: ReadonlyMap<string, FetchedLink>,
  measure: Measurer | null,
  told: Told = () => undefined,
): Finding[] {
  const findings: Finding[] = [];
  const world = worldOf(site, fetched);
  const rest = [
    () => checkPartLinks(world),
    () => checkPieces(world),
    () => checkParts(world),
    () => checkLooks(world),
    () => checkRows(world, measure),
  ];
  const worlds = [...worldsOf(site).values()];
  let done = 0;
  const step = () => {
    told(++done / (worlds.length + rest.length));
  };
  for (const { world: around, items } of worlds) {
    const asked = { ...around, fetched };
    for (const placed of items) checkLink(placed, asked, findings);
    step();
  }
  for (const check of rest) {
    findings.push(...check());
    step();
  }
  return findings;
}

/**
 * Every finding about a site, menu by menu in document order, then its parts, their looks and its rows; within a place the
 * gravest first. Rows are judged where there is a measurer. `told` hears how far it is.
 */
export function runChecks(
  site: Site,
  fetched: ReadonlyMap<string, FetchedLink> = NOTHING_FETCHED,
  measure: Measurer | null = null,
  told?: Told,
): readonly Finding[] {
  return fetched.size === 0 && !measure && !told ? checkBare(site) : checkWith(site, fetched, measure, told);
}

/** Every fix of some findings as one edit, which is one step of undo; null where nothing can be mended. */
export function mendAll(findings: readonly Finding[]): Edit | null {
  const edits = findings.flatMap(({ fix }) => (fix ? [fix.edit] : []));
  return edits.length === 0 ? null : { name: 'several', args: { edits } };
}
