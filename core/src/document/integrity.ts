import { describeValue, type Problem } from '../base/result.ts';
import { slotsOf } from './catalogue.ts';
import { LIMITS } from './limits.ts';
import type { MenuItem } from './menu-item.ts';
import type { Site } from './site.ts';
import type { Target } from './target.ts';
import type { ColourValue, Value } from './values.ts';
import type { Part } from './part.ts';
import { ownersOf, placedParts, rowParts, walkMenu } from './walk.ts';

/** What a site refers to by id, gathered once. */
interface Known {
  readonly swatches: ReadonlySet<string>;
  readonly pages: ReadonlySet<string>;
  readonly bands: ReadonlySet<string>;
  readonly menus: ReadonlySet<string>;
  readonly panels: ReadonlySet<string>;
  readonly icons: ReadonlySet<string>;
}

const dangling = (path: string, what: string, id: string, known: ReadonlySet<string>): Problem[] =>
  known.has(id) ? [] : [{
    code: 'unknown-reference', path, message: `${path}: there is no ${what} with the id "${id}"`, found: describeValue(id),
    allowed: known.size === 0 ? `nothing: the site has no ${what}` : `the id of a ${what}: ${[...known].slice(0, 8).join(', ')}`,
  }];

function colourProblems(value: Value | undefined, path: string, known: Known): Problem[] {
  if (typeof value !== 'object' || !('swatch' in value)) return [];
  return dangling(`${path}/swatch`, 'swatch', value.swatch, known.swatches);
}

function targetProblems(target: Target, path: string, known: Known): Problem[] {
  if (target.kind === 'panel') return dangling(`${path}/panel`, 'panel', target.panel, known.panels);
  return target.kind === 'page' ? dangling(`${path}/page`, 'page', target.page, known.pages) : [];
}

function itemProblems(item: MenuItem, path: string, known: Known): Problem[] {
  const icon = item.icon === undefined ? [] : dangling(`${path}/icon`, 'icon', item.icon, known.icons);
  const bands = (item.bands ?? []).flatMap((band, index) => dangling(`${path}/bands/${index}`, 'band', band, known.bands));
  return [...targetProblems(item.target, `${path}/target`, known), ...icon, ...bands];
}

function uniqueIds(site: Site): Problem[] {
  const seen = new Set<string>();
  const problems: Problem[] = [];
  const note = (id: string, path: string) => {
    if (seen.has(id)) {
      problems.push({
        code: 'duplicate-id', path: `${path}/id`, message: `${path}/id: the id "${id}" is used twice`, found: describeValue(id),
        allowed: 'an id that nothing else in the site has',
      });
    }
    seen.add(id);
  };
  for (const list of ['palette', 'typeStyles', 'bands', 'pages', 'icons', 'menus', 'scenes', 'pieces'] as const) {
    site[list].forEach((entry, index) => { note(entry.id, `/${list}/${index}`); });
  }
  site.menus.forEach((menu, index) => { walkMenu(menu, `/menus/${index}`, ({ item, path }) => { note(item.id, path); }); });
  site.pieces.forEach((piece, index) => {
    if (piece.kind === 'panel') {
      piece.parts.forEach((part, place) => { note(part.id, `/pieces/${index}/parts/${place}`); });
      return;
    }
    piece.rows.forEach((row, rowIndex) => {
      const path = `/pieces/${index}/rows/${rowIndex}`;
      note(row.id, path);
      for (const part of rowParts(row)) note(part.id, `${path}/zones`);
    });
  });
  return problems;
}

function bandProblems(site: Site): Problem[] {
  return site.bands.flatMap((band, index) => {
    const next = site.bands[index + 1];
    const path = `/bands/${index}/min`;
    if (!next && band.min !== 0) {
      return [{ code: 'band-order', path, message: `${path}: the narrowest band must start at 0`, found: String(band.min), allowed: '0' }];
    }
    if (next && next.min >= band.min) {
      return [{
        code: 'band-order', path, message: `${path}: bands stand widest first, each with its own start`, found: String(band.min),
        allowed: `more than ${next.min}`,
      }];
    }
    return [];
  });
}

function lookProblems(site: Site, known: Known): Problem[] {
  const problems: Problem[] = [];
  for (const owner of ownersOf(site).values()) {
    for (const slot of Object.keys(slotsOf(owner.kind))) {
      for (const [level, states] of Object.entries(owner.look[slot] ?? {})) {
        for (const [state, bands] of Object.entries(states)) {
          for (const [band, values] of Object.entries(bands)) {
            const path = `${owner.path}/look/${slot}/${level}/${state}/${band}`;
            if (band !== 'all') problems.push(...dangling(path, 'band', band, known.bands));
            for (const [id, value] of Object.entries(values)) problems.push(...colourProblems(value, `${path}/${id}`, known));
          }
        }
      }
    }
  }
  return problems;
}

/** A part's references. The link a menu starts from may be gone: then nothing is shown, and a check says so. */
function partProblems(part: Part, at: string, known: Known): Problem[] {
  if (part.kind === 'menu') return dangling(`${at}/menu`, 'menu', part.menu, known.menus);
  if (part.kind === 'opener') return dangling(`${at}/panel`, 'panel', part.panel, known.panels);
  return part.kind === 'button' ? targetProblems(part.target, `${at}/target`, known) : [];
}

function pieceProblems(site: Site, known: Known): Problem[] {
  const folds = site.pieces.flatMap((piece, index) =>
    (piece.kind === 'header' && piece.foldBand !== null ? dangling(`/pieces/${index}/foldBand`, 'band', piece.foldBand, known.bands) : []));
  return [...folds, ...placedParts(site).flatMap(({ part, path }) => partProblems(part, path, known))];
}

function menuProblems(site: Site, known: Known): Problem[] {
  const problems: Problem[] = [];
  let count = 0;
  site.menus.forEach((menu, index) => {
    walkMenu(menu, `/menus/${index}`, ({ item, path, depth }) => {
      count++;
      problems.push(...itemProblems(item, path, known));
      if (depth > LIMITS.depth) {
        problems.push({
          code: 'too-deep', path, message: `${path}: links are nested ${depth} deep`, found: `depth ${depth}`, allowed: `at most ${LIMITS.depth}`,
        });
      }
    });
  });
  if (count > LIMITS.links) {
    problems.push({
      code: 'too-many', path: '/menus', message: `/menus: ${count} links in all`, found: `${count} links`, allowed: `at most ${LIMITS.links}`,
    });
  }
  return problems;
}

/** What the shape alone cannot say: ids are unique, references lead somewhere, bands are in order. */
export function checkIntegrity(site: Site): Problem[] {
  const ids = (list: readonly { id: string }[]) => new Set(list.map((entry) => entry.id));
  const known: Known = {
    swatches: ids(site.palette), pages: ids(site.pages), bands: ids(site.bands), menus: ids(site.menus),
    icons: ids(site.icons),
    panels: ids(site.pieces.filter((piece) => piece.kind === 'panel')),
  };
  const roles = Object.entries(site.roles).flatMap(([role, value]) => colourProblems(value, `/roles/${role}`, known));
  const circular = roleCycles(site.roles);
  return [...uniqueIds(site), ...bandProblems(site), ...roles, ...circular, ...lookProblems(site, known), ...pieceProblems(site, known), ...menuProblems(site, known)];
}

function roleCycles(roles: Site['roles']): Problem[] {
  return Object.keys(roles).flatMap((start) => {
    const seen = new Set<string>();
    let at: string | null = start;
    while (at !== null && !seen.has(at)) {
      seen.add(at);
      const value: ColourValue = roles[at as keyof typeof roles];
      at = 'role' in value ? value.role : null;
    }
    return at === null ? [] : [{
      code: 'circular', path: `/roles/${start}`, message: `/roles/${start}: the role leads back to itself`, found: [...seen].join(' → '),
      allowed: 'a swatch, a literal, or a role that ends in one',
    }];
  });
}
