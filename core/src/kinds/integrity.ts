import { describeValue, type Problem } from '../base/result.ts';
import type { RefKind } from '../model/shape/field.ts';
import { shapeNames, visitShape } from '../model/shape/visit.ts';
import { isDerived } from '../model/swatch.ts';
import { OWN_PREFIX } from '../text/typefaces.ts';
import { LIMITS } from '../values/limits.ts';
import { coloursIn, isTypeLink, type ColourValue, type Value } from '../values/values.ts';
import { BOOK } from './book.ts';
import { pieceKind, SITE_SHAPE } from './catalogue.ts';
import { walkMenu } from './content.ts';
import { lookCells } from './looks.ts';
import type { Site } from './site.ts';
import { ownersOf, panelsOf, placedParts, refsOf, slotKind } from './placed.ts';

const REF_WORDS: Readonly<Record<RefKind, string>> = {
  band: 'band',
  icon: 'icon',
  menu: 'menu',
  item: 'link',
  page: 'page',
  panel: 'panel',
  berth: 'berth',
  owner: 'part',
  swatch: 'swatch',
  'type-style': 'type style',
  typeface: 'typeface',
};

/** What a site refers to by id, gathered once. */
type Known = Readonly<Record<Exclude<RefKind, 'item'>, ReadonlySet<string>>>;

const idsIn = (list: readonly { readonly id: string }[]) => new Set(list.map((entry) => entry.id));

function gatherKnown(site: Site): Known {
  return {
    band: idsIn(site.bands),
    icon: idsIn(site.icons),
    menu: idsIn(site.menus),
    page: idsIn(site.pages),
    panel: idsIn(panelsOf(site)),
    berth: new Set(placedParts(site).flatMap(({ part }) => (part.kind === 'berth' ? [part.id] : []))),
    owner: new Set(ownersOf(site).keys()),
    swatch: idsIn(site.palette),
    'type-style': idsIn(site.typeStyles),
    typeface: idsIn(site.typefaces),
  };
}

/** Whether there is what is referred to. */
function isThere(to: RefKind, id: string, known: Known): boolean {
  // The link a menu starts from may be gone: then nothing is shown, and a check says so. Bundled typefaces are there.
  if (to === 'item' || (to === 'typeface' && !id.startsWith(OWN_PREFIX))) return true;
  return known[to].has(id);
}

function dangling(to: RefKind, path: string, id: string, known: Known): Problem[] {
  if (to === 'item' || isThere(to, id, known)) return [];
  const what = REF_WORDS[to];
  return [
    {
      code: 'unknown-reference',
      path,
      message: `${path}: there is no ${what} with the id "${id}"`,
      found: describeValue(id),
      allowed:
        known[to].size === 0
          ? `nothing: the site has no ${what}`
          : `the id of a ${what}: ${[...known[to]].slice(0, 8).join(', ')}`,
    },
  ];
}

function valueProblems(value: Value, path: string, known: Known): Problem[] {
  if (typeof value !== 'object') return [];
  if (isTypeLink(value)) return dangling('type-style', `${path}/type`, value.type, known);
  return coloursIn(value).flatMap((colour) =>
    'swatch' in colour ? dangling('swatch', `${path}/swatch`, colour.swatch, known) : [],
  );
}

function lookProblems(site: Site, known: Known): Problem[] {
  const owners = ownersOf(site);
  return lookCells(site).flatMap(({ owner, slot, level, state, band, property, value }) => {
    const path = `${owners.get(owner)?.path ?? ''}/look/${slot}/${level}/${state}/${band}`;
    return [
      ...valueProblems(value, `${path}/${property}`, known),
      ...(property === 'family' && typeof value === 'string'
        ? dangling('typeface', `${path}/${property}`, value, known)
        : []),
    ];
  });
}

/** Bands that looks name, also where they say nothing for them. */
function lookBandProblems(site: Site, known: Known): Problem[] {
  return [...ownersOf(site).values()].flatMap(({ look, path: owner }) =>
    Object.entries(look).flatMap(([slot, levels]) =>
      Object.entries(levels).flatMap(([level, states]) =>
        Object.entries(states).flatMap(([state, bands]) =>
          Object.keys(bands)
            .filter((band) => band !== 'all')
            .flatMap((band) =>
              dangling('band', `${owner}/look/${slot}/${level}/${state}/${band}`, band, known),
            ),
        ),
      ),
    ),
  );
}

function uniqueIds(site: Site): Problem[] {
  const seen = new Set<string>();
  const problems: Problem[] = [];
  const note = (id: string, path: string) => {
    if (seen.has(id))
      problems.push({
        code: 'duplicate-id',
        path,
        message: `${path}: the id "${id}" is used twice`,
        found: describeValue(id),
        allowed: 'an id that nothing else in the site has',
      });
    seen.add(id);
  };
  visitShape(SITE_SHAPE, site as unknown as Record<string, unknown>, '', BOOK, {
    field: ({ field, value, path }) => {
      if (field.spec.kind === 'id') note(String(value), path);
    },
  });
  site.typefaces.forEach(({ id }, index) => {
    note(id, `/typefaces/${index}/id`);
  });
  return problems;
}

function bandProblems(site: Site): Problem[] {
  return site.bands.flatMap((band, index) => {
    const next = site.bands[index + 1];
    const path = `/bands/${index}/min`;
    const found = { code: 'band-order', path, found: String(band.min) };
    if (!next && band.min !== 0)
      return [{ ...found, message: `${path}: the narrowest band must start at 0`, allowed: '0' }];
    if (next && next.min >= band.min)
      return [
        {
          ...found,
          message: `${path}: bands stand widest first, each with its own start`,
          allowed: `more than ${next.min}`,
        },
      ];
    return [];
  });
}

function menuProblems(site: Site): Problem[] {
  const problems: Problem[] = [];
  let count = 0;
  site.menus.forEach((menu, index) => {
    walkMenu(menu, `/menus/${index}`, ({ path, depth }) => {
      count++;
      if (depth > LIMITS.depth)
        problems.push({
          code: 'too-deep',
          path,
          message: `${path}: links are nested ${depth} deep`,
          found: `depth ${depth}`,
          allowed: `at most ${LIMITS.depth}`,
        });
    });
  });
  if (count > LIMITS.links)
    problems.push({
      code: 'too-many',
      path: '/menus',
      message: `/menus: ${count} links in all`,
      found: `${count} links`,
      allowed: `at most ${LIMITS.links}`,
    });
  return problems;
}

const circle = (path: string, what: string, found: string, allowed: string): Problem => ({
  code: 'circular',
  path,
  message: `${path}: ${what}`,
  found,
  allowed,
});

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
          circle(
            `/roles/${start}`,
            'the role leads back to itself',
            [...seen].join(' → '),
            'a swatch, a literal, or a role that ends in one',
          ),
        ];
  });
}

/** No swatch follows itself, and mixed ones have what they are mixed with. */
function swatchProblems(site: Site): Problem[] {
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
    const problems: Problem[] = [];
    const ancestors = new Set(made(swatch.id));
    for (const id of ancestors) for (const further of made(id)) ancestors.add(further);
    if (ancestors.has(swatch.id))
      problems.push(
        circle(
          path,
          `the swatch ${swatch.name} is made of itself`,
          [...ancestors].join(' → '),
          'a swatch that ends in a colour of its own',
        ),
      );
    if (swatch.change === 'mixed' && swatch.with === undefined)
      problems.push({
        code: 'shape',
        path: `${path}/with`,
        message: `${path}/with: a mixed swatch needs another one`,
        found: 'nothing',
        allowed: 'the id of a swatch',
      });
    return problems;
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

/** An icon is one thing: a drawing, a picture or a character. */
function iconProblems({ icons }: Site): Problem[] {
  return icons.flatMap(({ svg, image, character }, index) => {
    const given = [svg ?? undefined, image, character].filter((one) => one !== undefined).length;
    if (given === 1) return [];
    const path = `/icons/${index}`;
    return [
      {
        code: 'shape',
        path,
        message: `${path}: an icon is one of a drawing, a picture and a character`,
        found: `${given} of them`,
        allowed: 'svg, or image or character with svg null',
      },
    ];
  });
}

/** Settings of a piece that do not go together. */
function pieceProblems({ pieces }: Site): Problem[] {
  return pieces.flatMap((piece, index) => {
    const reason = pieceKind(piece).problem?.(piece as never) ?? null;
    const path = `/pieces/${index}`;
    return reason === null
      ? []
      : [{ code: 'shape', path, message: `${path}: ${reason}`, found: piece.name, allowed: reason }];
  });
}

/** What the shape alone cannot say: ids are unique, references lead somewhere, bands are in order. */
export function checkIntegrity(site: Site): Problem[] {
  const known = gatherKnown(site);
  const names = shapeNames(SITE_SHAPE, site as unknown as Record<string, unknown>, BOOK);
  const ids = [...names.ids, ...site.typefaces.map(({ id }) => id)];
  // Places are told only where something is wrong: to gather them takes a walk through everything.
  const isUnique = new Set(ids).size === ids.length;
  const isWhole = names.refs.every(({ to, id }) => isThere(to, id, known));
  return [
    ...(isUnique ? [] : uniqueIds(site)),
    ...bandProblems(site),
    ...iconProblems(site),
    ...pieceProblems(site),
    ...(isWhole ? [] : refsOf(site).flatMap(({ to, id, path }) => dangling(to, path, id, known))),
    ...roleCycles(site.roles),
    ...swatchProblems(site),
    ...sameLookProblems(site),
    ...lookBandProblems(site, known),
    ...lookProblems(site, known),
    ...menuProblems(site),
  ];
}
