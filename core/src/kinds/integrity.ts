import { describeValue, type Problem } from '../base/result.ts';
import { slotsOf } from './catalogue.ts';
import { LIMITS } from '../model/limits.ts';
import { OWN_PREFIX } from '../text/typefaces.ts';
import type { MenuItem } from '../model/menu-item.ts';
import type { Site } from '../model/site.ts';
import type { Target } from '../model/target.ts';
import { isDerived } from '../model/swatch.ts';
import { coloursIn, isTypeLink, type ColourValue, type Value } from '../values/values.ts';
import type { Part } from './part.ts';
import { ownersOf, partEntries, placedParts, rowParts, slotKind, walkMenu } from './walk.ts';

/** What a site refers to by id, gathered once. */
interface Known {
  readonly swatches: ReadonlySet<string>;
  readonly pages: ReadonlySet<string>;
  readonly bands: ReadonlySet<string>;
  readonly menus: ReadonlySet<string>;
  readonly panels: ReadonlySet<string>;
  readonly icons: ReadonlySet<string>;
  readonly types: ReadonlySet<string>;
  /** Typefaces that were brought along. */
  readonly faces: ReadonlySet<string>;
}

const dangling = (path: string, what: string, id: string, known: ReadonlySet<string>): Problem[] =>
  known.has(id)
    ? []
    : [
        {
          code: 'unknown-reference',
          path,
          message: `${path}: there is no ${what} with the id "${id}"`,
          found: describeValue(id),
          allowed:
            known.size === 0
              ? `nothing: the site has no ${what}`
              : `the id of a ${what}: ${[...known].slice(0, 8).join(', ')}`,
        },
      ];

function colourProblems(value: Value | undefined, path: string, known: Known): Problem[] {
  if (typeof value !== 'object') return [];
  if (isTypeLink(value)) return dangling(`${path}/type`, 'type style', value.type, known.types);
  return coloursIn(value).flatMap((colour) =>
    'swatch' in colour ? dangling(`${path}/swatch`, 'swatch', colour.swatch, known.swatches) : [],
  );
}

const familyProblems = (family: string, path: string, known: Known): Problem[] =>
  family.startsWith(OWN_PREFIX) ? dangling(path, 'typeface', family, known.faces) : [];

function targetProblems(target: Target, path: string, known: Known): Problem[] {
  if (target.kind === 'panel') return dangling(`${path}/panel`, 'panel', target.panel, known.panels);
  return target.kind === 'page' ? dangling(`${path}/page`, 'page', target.page, known.pages) : [];
}

function itemProblems(item: MenuItem, path: string, known: Known): Problem[] {
  const icon = item.icon === undefined ? [] : dangling(`${path}/icon`, 'icon', item.icon, known.icons);
  const bands = shownProblems(item.bands, path, known);
  return [...targetProblems(item.target, `${path}/target`, known), ...icon, ...bands];
}

function uniqueIds(site: Site): Problem[] {
  const seen = new Set<string>();
  const problems: Problem[] = [];
  const note = (id: string, path: string) => {
    if (seen.has(id)) {
      problems.push({
        code: 'duplicate-id',
        path: `${path}/id`,
        message: `${path}/id: the id "${id}" is used twice`,
        found: describeValue(id),
        allowed: 'an id that nothing else in the site has',
      });
    }
    seen.add(id);
  };
  for (const list of [
    'palette',
    'typefaces',
    'typeStyles',
    'bands',
    'pages',
    'icons',
    'menus',
    'scenes',
    'pieces',
  ] as const) {
    site[list].forEach((entry, index) => {
      note(entry.id, `/${list}/${index}`);
    });
  }
  site.menus.forEach((menu, index) => {
    walkMenu(menu, `/menus/${index}`, ({ item, path }) => {
      note(item.id, path);
    });
  });
  site.pieces.forEach((piece, index) => {
    if (piece.kind === 'panel') {
      piece.parts.forEach((part, place) => {
        note(part.id, `/pieces/${index}/parts/${place}`);
      });
      return;
    }
    piece.rows.forEach((row, rowIndex) => {
      const path = `/pieces/${index}/rows/${rowIndex}`;
      note(row.id, path);
      for (const part of rowParts(row)) {
        note(part.id, `${path}/zones`);
        for (const entry of partEntries(part)) note(entry.id, `${path}/zones`);
      }
    });
  });
  return problems;
}

function bandProblems(site: Site): Problem[] {
  return site.bands.flatMap((band, index) => {
    const next = site.bands[index + 1];
    const path = `/bands/${index}/min`;
    if (!next && band.min !== 0) {
      return [
        {
          code: 'band-order',
          path,
          message: `${path}: the narrowest band must start at 0`,
          found: String(band.min),
          allowed: '0',
        },
      ];
    }
    if (next && next.min >= band.min) {
      return [
        {
          code: 'band-order',
          path,
          message: `${path}: bands stand widest first, each with its own start`,
          found: String(band.min),
          allowed: `more than ${next.min}`,
        },
      ];
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
            for (const [id, value] of Object.entries(values)) {
              problems.push(...colourProblems(value, `${path}/${id}`, known));
              if (id === 'family' && typeof value === 'string')
                problems.push(...familyProblems(value, `${path}/${id}`, known));
            }
          }
        }
      }
    }
  }
  return problems;
}

/** A part's references. The link a menu starts from may be gone: then nothing is shown, and a check says so. */
function partProblems(part: Part, at: string, known: Known): Problem[] {
  const icon = (id: string | null, path: string) =>
    id === null ? [] : dangling(path, 'icon', id, known.icons);
  switch (part.kind) {
    case 'menu':
      return dangling(`${at}/menu`, 'menu', part.menu, known.menus);
    case 'opener':
      return dangling(`${at}/panel`, 'panel', part.panel, known.panels);
    case 'button':
    case 'image':
      return targetProblems(part.target, `${at}/target`, known);
    case 'shortcut':
      return [...targetProblems(part.target, `${at}/target`, known), ...icon(part.icon, `${at}/icon`)];
    case 'social':
      return part.links.flatMap((link, index) => icon(link.icon, `${at}/links/${index}/icon`));
    case 'text':
      return part.entries.flatMap((entry, index) => [
        ...targetProblems(entry.target, `${at}/entries/${index}/target`, known),
        ...icon(entry.icon, `${at}/entries/${index}/icon`),
      ]);
    case 'logo':
    case 'search':
    case 'rule':
      return [];
  }
}

const shownProblems = (bands: readonly string[] | undefined, at: string, known: Known): Problem[] =>
  (bands ?? []).flatMap((band, index) => dangling(`${at}/bands/${index}`, 'band', band, known.bands));

function pieceProblems(site: Site, known: Known): Problem[] {
  const folds = site.pieces.flatMap((piece, index) =>
    piece.kind === 'header' && piece.foldBand !== null
      ? dangling(`/pieces/${index}/foldBand`, 'band', piece.foldBand, known.bands)
      : [],
  );
  const rows = site.pieces.flatMap((piece, index) =>
    piece.kind === 'header'
      ? piece.rows.flatMap((row, place) => shownProblems(row.bands, `/pieces/${index}/rows/${place}`, known))
      : [],
  );
  const parts = placedParts(site).flatMap(({ part, path }) => [
    ...partProblems(part, path, known),
    ...shownProblems(part.bands, path, known),
  ]);
  return [...folds, ...rows, ...parts];
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
          code: 'too-deep',
          path,
          message: `${path}: links are nested ${depth} deep`,
          found: `depth ${depth}`,
          allowed: `at most ${LIMITS.depth}`,
        });
      }
    });
  });
  if (count > LIMITS.links) {
    problems.push({
      code: 'too-many',
      path: '/menus',
      message: `/menus: ${count} links in all`,
      found: `${count} links`,
      allowed: `at most ${LIMITS.links}`,
    });
  }
  return problems;
}

/** What the shape alone cannot say: ids are unique, references lead somewhere, bands are in order. */
export function checkIntegrity(site: Site): Problem[] {
  const ids = (list: readonly { id: string }[]) => new Set(list.map((entry) => entry.id));
  const known: Known = {
    swatches: ids(site.palette),
    pages: ids(site.pages),
    bands: ids(site.bands),
    menus: ids(site.menus),
    icons: ids(site.icons),
    types: ids(site.typeStyles),
    faces: ids(site.typefaces),
    panels: ids(site.pieces.filter((piece) => piece.kind === 'panel')),
  };
  const roles = Object.entries(site.roles).flatMap(([role, value]) =>
    colourProblems(value, `/roles/${role}`, known),
  );
  const styles = site.typeStyles.flatMap((style, index) =>
    familyProblems(style.family, `/typeStyles/${index}/family`, known),
  );
  const circular = [...roleCycles(site.roles), ...swatchProblems(site, known), ...sameLookProblems(site)];
  return [
    ...uniqueIds(site),
    ...bandProblems(site),
    ...roles,
    ...styles,
    ...circular,
    ...lookProblems(site, known),
    ...pieceProblems(site, known),
    ...menuProblems(site, known),
  ];
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
    return at === null
      ? []
      : [
          {
            code: 'circular',
            path: `/roles/${start}`,
            message: `/roles/${start}: the role leads back to itself`,
            found: [...seen].join(' → '),
            allowed: 'a swatch, a literal, or a role that ends in one',
          },
        ];
  });
}

const circle = (path: string, what: string, found: string, allowed: string): Problem => ({
  code: 'circular',
  path,
  message: `${path}: ${what}`,
  found,
  allowed,
});

/** Swatches follow swatches that are there, and none follows itself. */
function swatchProblems(site: Site, known: Known): Problem[] {
  const byId = new Map(site.palette.map((swatch) => [swatch.id, swatch]));
  const made = (id: string): string[] => {
    const swatch = byId.get(id);
    return swatch && isDerived(swatch)
      ? [swatch.from, ...(swatch.with === undefined ? [] : [swatch.with])]
      : [];
  };
  return site.palette.flatMap((swatch, index) => {
    if (!isDerived(swatch)) return [];
    const path = `/palette/${index}`;
    const gone = [
      ...dangling(`${path}/from`, 'swatch', swatch.from, known.swatches),
      ...(swatch.with === undefined ? [] : dangling(`${path}/with`, 'swatch', swatch.with, known.swatches)),
    ];
    const ancestors = new Set(made(swatch.id));
    for (const id of ancestors) for (const further of made(id)) ancestors.add(further);
    if (ancestors.has(swatch.id))
      gone.push(
        circle(
          path,
          `the swatch ${swatch.name} is made of itself`,
          [...ancestors].join(' → '),
          'a swatch that ends in a colour of its own',
        ),
      );
    if (swatch.change === 'mixed' && swatch.with === undefined)
      gone.push({
        code: 'shape',
        path: `${path}/with`,
        message: `${path}/with: a mixed swatch needs another one`,
        found: 'nothing',
        allowed: 'the id of a swatch',
      });
    return gone;
  });
}

/** Slots that look the same are there, each says so once, and none leads back to itself. */
function sameLookProblems(site: Site): Problem[] {
  const key = (ref: { owner: string; slot: string }) => `${ref.owner} ${ref.slot}`;
  const next = new Map(site.sameLooks.map((entry) => [key(entry), entry.as]));
  return site.sameLooks.flatMap((entry, index) => {
    const path = `/sameLooks/${index}`;
    const gone = [entry, entry.as]
      .filter((ref) => slotKind(site, ref) === null)
      .map((ref): Problem => ({
        code: 'unknown-reference',
        path,
        message: `${path}: there is no slot "${ref.slot}" at "${ref.owner}"`,
        found: key(ref),
        allowed: 'a slot of a piece, row or part of this site',
      }));
    const seen = new Set<string>();
    for (
      let at: { owner: string; slot: string } | undefined = entry;
      at && !seen.has(key(at));
      at = next.get(key(at))
    )
      seen.add(key(at));
    const last = [...seen].at(-1);
    const back = last === undefined ? undefined : next.get(last);
    return back && seen.has(key(back))
      ? [
          ...gone,
          circle(
            path,
            'the look leads back to itself',
            [...seen].join(' → '),
            'a slot that has a look of its own',
          ),
        ]
      : gone;
  });
}
