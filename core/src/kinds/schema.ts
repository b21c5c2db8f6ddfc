import { array, boolean, lazy, mixed, number, object, string, ValidationError, type Schema } from 'yup';
import { isRecord } from '../base/json.ts';
import { parseColour } from '../colour/colour.ts';
import { slotsOf, type OwnerKind } from './catalogue.ts';
import { acceptsValue, allowedValue, COLOUR_ALLOWED, isColourLink } from '../values/accepts.ts';
import {
  bandIds,
  itemFaults,
  pageFaults,
  pictureFault,
  socialFaults,
  targetFaults,
  textFaults,
  type Fault,
} from '../model/faults.ts';
import { LIMITS } from '../model/limits.ts';
import { isCleanSvg } from '../model/clean-svg.ts';
import { isPropertyId, property } from './properties/properties.ts';
import { ARRANGEMENT_IDS } from './pieces/header.ts';
import { SOCIAL_COLOURS } from './parts/social.ts';
import { DERIVATIONS } from '../model/swatch.ts';
import { LEVEL_KEYS, SHOWN_LEVELS, isState } from '../model/states.ts';
import type { PartKindName } from './part.ts';
import { ID, LANGUAGE_TAG, refuseUrl, SITE_ADDRESS } from '../model/url.ts';
import { ROLES } from '../values/values.ts';
import { isFamily, OWN_PREFIX } from '../text/typefaces.ts';

/*
 * The one schema of a site document. Messages say what is allowed; the loader adds the path and what was found.
 * Everything is strict: nothing is cast, unknown keys are refused.
 */

const id = () =>
  string().strict().required('an id').matches(ID, 'an id of letters, digits, - and _, at most 64 characters');
const text = (max: number = LIMITS.label) => {
  const allowed = `text of at most ${max} characters`;
  return string().strict().defined(allowed).typeError(allowed).max(max, allowed);
};
const choice = <T extends string>(values: readonly T[]) => {
  const allowed = `one of ${values.join(', ')}`;
  return string()
    .strict()
    .required(allowed)
    .typeError(allowed)
    .oneOf([...values], allowed);
};
const whole = (min: number, max: number) => {
  const allowed = `a whole number from ${min} to ${max}`;
  return number()
    .strict()
    .required(allowed)
    .typeError(allowed)
    .integer(allowed)
    .min(min, allowed)
    .max(max, allowed);
};
const list = (of: Schema, max: number, min = 0) => {
  const allowed = `a list of ${min} to ${max} entries`;
  return array(of as never)
    .strict()
    .required(allowed)
    .typeError(allowed)
    .min(min, allowed)
    .max(max, allowed);
};
const record = (fields: Record<string, Schema>) =>
  object(fields as never)
    .strict()
    .required('an object')
    .typeError('an object')
    .noUnknown(`only the keys ${Object.keys(fields).join(', ')}`);
const flag = () => boolean().strict().required('true or false').typeError('true or false');
const literal = (value: string | number) =>
  mixed().strict().oneOf([value], JSON.stringify(value)).required(JSON.stringify(value));

const colourLiteral = 'a CSS colour such as #3f6b4a, rgb(63 107 74) or oklch(60% 0.1 150)';
const cssColour = () => text(100).test('colour', colourLiteral, (value) => parseColour(value) !== null);

export const colourValueSchema = mixed()
  .strict()
  .test('colour-value', COLOUR_ALLOWED, (value) => isColourLink(value));

/** A tagged union: the value's `kind` says which schema it must match. */
function tagged(what: string, schemas: Readonly<Record<string, Schema>>): Schema {
  const unknown = mixed().test(what, `a ${what} of kind ${Object.keys(schemas).join(', ')}`, () => false);
  return lazy((value: unknown) => {
    const kind = isRecord(value) ? value['kind'] : null;
    return (typeof kind === 'string' && Object.hasOwn(schemas, kind) ? schemas[kind] : unknown) as Schema;
  }) as unknown as Schema;
}

/** A segment as the schema library writes paths, quoted where it needs to be. */
const bracket = (segment: string) =>
  /^[A-Za-z_$][\w$]*$/.test(segment)
    ? `.${segment}`
    : /^\d+$/.test(segment)
      ? `[${segment}]`
      : `["${segment.replaceAll('"', '')}"]`;

/** A value whose faults are found by a function of our own; each is told at its own path. */
const judged = (name: string, faultsOf: (value: unknown) => readonly Fault[]): Schema =>
  mixed()
    .strict()
    .test({
      name,
      test(value, context) {
        const faults = faultsOf(value);
        if (faults.length === 0) return true;
        const errors = faults.slice(0, MOST_FAULTS).map((fault) =>
          context.createError({
            path: context.path + fault.path.map(bracket).join(''),
            message: fault.allowed,
          }),
        );
        return new ValidationError(errors, value, context.path);
      },
    });

/** Most faults told of one value; more would not be read. */
const MOST_FAULTS = 50;

const targetSchema = judged('target', (value) => targetFaults(value));

/** Walks a look by the catalogue; faults are paths below the look with what is allowed there. */
function lookFaults(kind: OwnerKind, look: unknown): Fault[] {
  const faults: Fault[] = [];
  const entries = (
    value: unknown,
    path: string[],
    allowedKeys: string,
    isAllowed: (key: string) => boolean,
  ) => {
    if (!isRecord(value)) {
      faults.push({ path, allowed: `an object with the keys ${allowedKeys}` });
      return [];
    }
    return Object.entries(value).filter(([key]) => {
      if (!isAllowed(key)) faults.push({ path: [...path, key], allowed: `one of the keys ${allowedKeys}` });
      return isAllowed(key);
    });
  };
  const slots = slotsOf(kind);
  for (const [slot, levels] of entries(look, [], Object.keys(slots).join(', '), (key) =>
    Object.hasOwn(slots, key),
  )) {
    const kindOfSlot = slots[slot];
    if (!kindOfSlot) continue;
    const levelKeys = LEVEL_KEYS.filter(
      (key) => key === 'all' || kindOfSlot.levels.some((level) => String(level) === key),
    );
    for (const [level, states] of entries(levels, [slot], levelKeys.join(', '), (key) =>
      (levelKeys as string[]).includes(key),
    )) {
      const stateOk = (key: string) => isState(key) && kindOfSlot.states.includes(key);
      for (const [state, bands] of entries(states, [slot, level], kindOfSlot.states.join(', '), stateOk)) {
        for (const [band, values] of entries(bands, [slot, level, state], 'all or a band’s id', (key) =>
          ID.test(key),
        )) {
          const path = [slot, level, state, band];
          const known = (key: string) => isPropertyId(key) && kindOfSlot.properties.includes(key);
          for (const [key, value] of entries(values, path, kindOfSlot.properties.join(', '), known)) {
            if (!isPropertyId(key)) continue;
            const entry = property(key);
            if (!acceptsValue(entry, value))
              faults.push({ path: [...path, key], allowed: allowedValue(entry) });
          }
        }
      }
    }
  }
  return faults;
}

const look = (kind: OwnerKind) => judged('look', (value) => lookFaults(kind, value));

const svgSource = () =>
  string()
    .strict()
    .max(LIMITS.svg, `SVG of at most ${LIMITS.svg} characters`)
    .test(
      'svg',
      'cleaned SVG source: no scripts, no event handlers, no outside references',
      (value) => value == null || isCleanSvg(value),
    );
const svg = () => svgSource().nullable().defined('cleaned SVG source or null');

const bands = () =>
  mixed()
    .strict()
    .optional()
    .test(
      'bands',
      'a list of the ids of 1 to 8 bands',
      (value) => value === undefined || bandIds(value) === null,
    );
const picture = () =>
  mixed()
    .strict()
    .nullable()
    .defined('a picture or null')
    .test(
      'picture',
      'a picture’s address or data, or null',
      (value) => value === null || (value !== '' && pictureFault(value) === null),
    );
const address = () =>
  text(LIMITS.url).test('address', 'an address of a page', (value) => refuseUrl(value) === null);
const nullableId = () =>
  string()
    .strict()
    .nullable()
    .defined('an id or null')
    .matches(ID, { message: 'an id or null', excludeEmptyString: false });

/** A part's schema: what all have, and its own settings. */
const part = (kind: PartKindName, fields: Record<string, Schema> = {}) =>
  record({ kind: literal(kind), id: id(), bands: bands(), ...fields, look: look(kind) });

const menuPartSchema = part('menu', {
  name: text(),
  menu: id(),
  branch: string().strict().nullable().defined('a link’s id or null'),
  levels: mixed()
    .strict()
    .oneOf([...SHOWN_LEVELS], `one of ${SHOWN_LEVELS.join(', ')}`)
    .required(`one of ${SHOWN_LEVELS.join(', ')}`),
  opensOn: choice(['click', 'hover']),
});

const PART_SCHEMAS: Readonly<Record<PartKindName, Schema>> = {
  logo: part('logo', { text: text(), svg: svg(), image: picture(), second: svg(), textShown: flag() }),
  menu: menuPartSchema,
  button: part('button', { label: text(), target: targetSchema }),
  search: part('search', {
    label: text(),
    placeholder: text(),
    action: address(),
    field: text(80).matches(/^[^\s"'<>&]+$/, 'a name without spaces'),
    open: flag(),
  }),
  social: part('social', {
    name: text(),
    links: judged('links', socialFaults),
    colours: choice(SOCIAL_COLOURS),
  }),
  text: part('text', { entries: judged('entries', textFaults) }),
  image: part('image', { image: picture(), svg: svg(), alternative: text(), target: targetSchema }),
  rule: part('rule'),
  shortcut: part('shortcut', { label: text(), labelShown: flag(), icon: nullableId(), target: targetSchema }),
  opener: part('opener', { label: text(), panel: id() }),
};

const zone = () => list(tagged('part', PART_SCHEMAS), 50);
const rowSchema = record({
  id: id(),
  name: text(),
  contained: whole(200, 4000).nullable().notRequired().defined('a whole number from 200 to 4000, or null'),
  arrangement: choice(ARRANGEMENT_IDS),
  apart: whole(1, 10),
  bands: bands(),
  zones: record({ start: zone(), middle: zone(), end: zone() }),
  look: look('row'),
});

const pieceSchema = tagged('piece', {
  header: record({
    kind: literal('header'),
    id: id(),
    name: text(),
    foldBand: string().strict().nullable().defined('a band’s id or null'),
    stays: flag(),
    over: flag(),
    rows: list(rowSchema, 8, 1),
    look: look('header'),
  }),
  panel: record({
    kind: literal('panel'),
    id: id(),
    name: text(),
    side: choice(['start', 'end']),
    closeLabel: text(),
    parts: list(menuPartSchema, 20),
    look: look('panel'),
  }),
});

const isSwatchRecord = (value: unknown) => isRecord(value) && 'from' in value;
const ownSwatch = record({ id: id(), name: text(80), value: cssColour() });
const derivedSwatch = record({
  id: id(),
  name: text(80),
  from: id(),
  change: choice(DERIVATIONS),
  by: number()
    .strict()
    .required('a number from 0 to 100')
    .typeError('a number from 0 to 100')
    .min(0, 'a number from 0 to 100')
    .max(100, 'a number from 0 to 100'),
  with: string().strict().optional().matches(ID, 'the id of a swatch'),
});
const swatchSchema = lazy((value: unknown) =>
  isSwatchRecord(value) ? derivedSwatch : ownSwatch,
) as unknown as Schema;

const sameLook = record({ owner: id(), slot: text(40), as: record({ owner: id(), slot: text(40) }) });

const language = () => text(35).matches(LANGUAGE_TAG, 'a language tag such as en or pt-BR');
const siteUrl = () =>
  text(LIMITS.url).matches(SITE_ADDRESS, 'an address starting with https:// or http://, or empty');

export const siteSchema = record({
  format: literal('hamaca-site'),
  formatVersion: whole(1, 1_000_000),
  name: text(),
  url: siteUrl(),
  language: language(),
  direction: choice(['ltr', 'rtl']),
  palette: list(swatchSchema, LIMITS.swatches),
  roles: record(Object.fromEntries(ROLES.map((role) => [role, colourValueSchema]))),
  typefaces: list(
    record({
      id: id().matches(new RegExp(`^${OWN_PREFIX}[a-z0-9-]+$`), `an id that starts with ${OWN_PREFIX}`),
      name: text(80),
      fallback: choice(['sans', 'serif']),
      weights: mixed()
        .strict()
        .test(
          'weights',
          'two whole numbers from 100 to 900',
          (value) =>
            Array.isArray(value) &&
            value.length === 2 &&
            value.every(
              (weight: unknown) =>
                Number.isInteger(weight) && (weight as number) >= 100 && (weight as number) <= 900,
            ),
        ),
    }),
    50,
  ),
  typeStyles: list(
    record({
      id: id(),
      name: text(80),
      size: whole(6, 200),
      weight: whole(100, 900),
      family: text(80).test('family', 'a bundled typeface or "system"', (value) => isFamily(value)),
    }),
    50,
    1,
  ),
  bands: list(record({ id: id(), name: text(40), min: whole(0, 4000) }), 8, 1),
  pages: judged('pages', pageFaults),
  icons: list(
    record({
      id: id(),
      name: text(80),
      svg: svgSource().required('cleaned SVG source'),
      set: string()
        .strict()
        .nullable()
        .oneOf(['tabler', null], '"tabler" or null')
        .defined('"tabler" or null'),
    }),
    LIMITS.icons,
  ),
  menus: list(
    record({ id: id(), name: text(), items: judged('items', (value) => itemFaults(value)) }),
    LIMITS.menus,
  ),
  pieces: list(pieceSchema, 50),
  sameLooks: list(sameLook, 500),
  scenes: list(
    record({ id: id(), name: text(80), kind: choice(['blank', 'article', 'picture']), ground: cssColour() }),
    50,
    1,
  ),
});
