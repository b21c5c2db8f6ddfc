import { array, boolean, lazy, mixed, number, object, string, ValidationError, type Schema } from 'yup';
import { isRecord } from '../base/json.ts';
import { parseColour } from '../colour/colour.ts';
import { slotsOf, type OwnerKind } from './catalogue.ts';
import { itemFaults, pageFaults, targetFaults, type Fault } from './faults.ts';
import { LIMITS } from './limits.ts';
import { isPropertyId, property, type Property } from './properties.ts';
import { LEVEL_KEYS, SHOWN_LEVELS, isState } from './states.ts';
import { ID, LANGUAGE_TAG, SITE_ADDRESS } from './url.ts';
import { LENGTH_UNITS, readLength, ROLES, toPixels } from './values.ts';
import { isFamily } from '../text/typefaces.ts';

/*
 * The one schema of a site document. Messages say what is allowed; the loader adds the path and what was found.
 * Everything is strict: nothing is cast, unknown keys are refused.
 */

const id = () => string().strict().required('an id').matches(ID, 'an id of letters, digits, - and _, at most 64 characters');
const text = (max: number = LIMITS.label) => {
  const allowed = `text of at most ${max} characters`;
  return string().strict().defined(allowed).typeError(allowed).max(max, allowed);
};
const choice = <T extends string>(values: readonly T[]) => {
  const allowed = `one of ${values.join(', ')}`;
  return string().strict().required(allowed).typeError(allowed).oneOf([...values], allowed);
};
const whole = (min: number, max: number) => {
  const allowed = `a whole number from ${min} to ${max}`;
  return number().strict().required(allowed).typeError(allowed).integer(allowed).min(min, allowed).max(max, allowed);
};
const list = (of: Schema, max: number, min = 0) => {
  const allowed = `a list of ${min} to ${max} entries`;
  return array(of as never).strict().required(allowed).typeError(allowed).min(min, allowed).max(max, allowed);
};
const record = (fields: Record<string, Schema>) =>
  object(fields as never).strict().required('an object').typeError('an object')
    .noUnknown(`only the keys ${Object.keys(fields).join(', ')}`);
const flag = () => boolean().strict().required('true or false').typeError('true or false');
const literal = (value: string | number) => mixed().strict().oneOf([value], JSON.stringify(value)).required(JSON.stringify(value));

const colourLiteral = 'a CSS colour such as #3f6b4a, rgb(63 107 74) or oklch(60% 0.1 150)';
const cssColour = () => text(100).test('colour', colourLiteral, (value) => parseColour(value) !== null);

const alpha = () => number().strict().typeError('a number from 0 to 1').min(0, 'a number from 0 to 1').max(1, 'a number from 0 to 1').optional();
const COLOUR_ALLOWED = '{ "swatch": id, "alpha"? }, { "role": name, "alpha"? } or { "literal": colour }';

export const colourValueSchema = lazy((value: unknown) => {
  if (isRecord(value) && 'swatch' in value) return record({ swatch: id(), alpha: alpha() });
  if (isRecord(value) && 'role' in value) return record({ role: choice(ROLES), alpha: alpha() });
  if (isRecord(value) && 'literal' in value) return record({ literal: cssColour() });
  return mixed().test('colour-value', COLOUR_ALLOWED, () => false);
});

/** A tagged union: the value's `kind` says which schema it must match. */
function tagged(what: string, schemas: Readonly<Record<string, Schema>>): Schema {
  const unknown = mixed().test(what, `a ${what} of kind ${Object.keys(schemas).join(', ')}`, () => false);
  return lazy((value: unknown) => {
    const kind = isRecord(value) ? value['kind'] : null;
    return (typeof kind === 'string' && Object.hasOwn(schemas, kind) ? schemas[kind] : unknown) as Schema;
  }) as unknown as Schema;
}

/** A segment as the schema library writes paths, quoted where it needs to be. */
const bracket = (segment: string) => (/^[A-Za-z_$][\w$]*$/.test(segment) ? `.${segment}` : /^\d+$/.test(segment) ? `[${segment}]` : `["${segment.replaceAll('"', '')}"]`);

/** A value whose faults are found by a function of our own; each is told at its own path. */
const judged = (name: string, faultsOf: (value: unknown) => readonly Fault[]): Schema =>
  mixed().strict().test({
    name,
    test(value, context) {
      const faults = faultsOf(value);
      if (faults.length === 0) return true;
      const errors = faults.slice(0, MOST_FAULTS).map((fault) => context.createError({ path: context.path + fault.path.map(bracket).join(''), message: fault.allowed }));
      return new ValidationError(errors, value, context.path);
    },
  });

/** Most faults told of one value; more would not be read. */
const MOST_FAULTS = 50;

const targetSchema = judged('target', (value) => targetFaults(value));

/** What a property's value may be, as words; the check itself is `acceptsValue`. */
export function allowedValue(entry: Property): string {
  switch (entry.kind) {
    case 'colour': return COLOUR_ALLOWED;
    case 'length': return `a number of px from ${entry.min} to ${entry.max}, or text with ${(entry.units ?? LENGTH_UNITS).join(', ')} such as "1.25rem"`;
    case 'number': return `a number from ${entry.min} to ${entry.max}`;
    case 'family': return 'a bundled typeface or "system"';
  }
}

/** Whether a value may stand in a look for this property. */
export function acceptsValue(entry: Property, value: unknown): boolean {
  switch (entry.kind) {
    case 'colour': return colourValueSchema.isValidSync(value);
    case 'family': return typeof value === 'string' && isFamily(value);
    case 'number': return typeof value === 'number' && value >= entry.min && value <= entry.max;
    case 'length': {
      if (typeof value !== 'number' && typeof value !== 'string') return false;
      if (typeof value === 'string' && /^-?[\d.]+$/.test(value)) return false;
      const length = readLength(value);
      if (!length || !(entry.units ?? LENGTH_UNITS).includes(length.unit)) return false;
      const pixels = toPixels(value, 16);
      return pixels >= entry.min && pixels <= entry.max;
    }
  }
}

/** Walks a look by the catalogue; faults are paths below the look with what is allowed there. */
function lookFaults(kind: OwnerKind, look: unknown): Fault[] {
  const faults: Fault[] = [];
  const entries = (value: unknown, path: string[], allowedKeys: string, isAllowed: (key: string) => boolean) => {
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
  for (const [slot, levels] of entries(look, [], Object.keys(slots).join(', '), (key) => Object.hasOwn(slots, key))) {
    const kindOfSlot = slots[slot];
    if (!kindOfSlot) continue;
    const levelKeys = LEVEL_KEYS.filter((key) => key === 'all' || kindOfSlot.levels.some((level) => String(level) === key));
    for (const [level, states] of entries(levels, [slot], levelKeys.join(', '), (key) => (levelKeys as string[]).includes(key))) {
      const stateOk = (key: string) => isState(key) && kindOfSlot.states.includes(key);
      for (const [state, bands] of entries(states, [slot, level], kindOfSlot.states.join(', '), stateOk)) {
        for (const [band, values] of entries(bands, [slot, level, state], 'all or a band’s id', (key) => ID.test(key))) {
          const path = [slot, level, state, band];
          const known = (key: string) => isPropertyId(key) && kindOfSlot.properties.includes(key);
          for (const [key, value] of entries(values, path, kindOfSlot.properties.join(', '), known)) {
            if (!isPropertyId(key)) continue;
            const entry = property(key);
            if (!acceptsValue(entry, value)) faults.push({ path: [...path, key], allowed: allowedValue(entry) });
          }
        }
      }
    }
  }
  return faults;
}

const look = (kind: OwnerKind) => judged('look', (value) => lookFaults(kind, value));

const svgSource = () => string().strict().max(LIMITS.svg, `SVG of at most ${LIMITS.svg} characters`)
  .test('svg', 'cleaned SVG source: no scripts, no event handlers, no outside references', (value) => value == null || isCleanSvg(value));
const svg = () => svgSource().nullable().defined('cleaned SVG source or null');

/** Whether SVG source holds nothing that runs or loads: the server's last door; cleaning happens before. */
export function isCleanSvg(source: string): boolean {
  const dangerous = /<\s*(script|foreignobject|iframe|embed|object|handler|set|animate\w*|image|feimage|a|style|link|meta|audio|video)[\s>/]|[\s"'/]on\w+\s*=|javascript:|data:|<!|<\?|(?:href|src)\s*=\s*["']?(?!#)|url\s*\(\s*["']?(?!#)|&/i;
  return /^\s*<svg[\s>]/i.test(source) && /<\/svg>\s*$/i.test(source) && !dangerous.test(source.replace(/&(?:amp|lt|gt|quot|apos|#\d+);/g, ''));
}

const menuPartSchema = record({
  kind: literal('menu'), id: id(), name: text(), menu: id(), branch: string().strict().nullable().defined('a link’s id or null'),
  levels: mixed().strict().oneOf([...SHOWN_LEVELS], `one of ${SHOWN_LEVELS.join(', ')}`).required(`one of ${SHOWN_LEVELS.join(', ')}`),
  opensOn: choice(['click', 'hover']), look: look('menu'),
});

const partSchema = tagged('part', {
  logo: record({ kind: literal('logo'), id: id(), text: text(), svg: svg(), textShown: flag(), svgHeight: whole(8, 400), look: look('logo') }),
  menu: menuPartSchema,
  button: record({ kind: literal('button'), id: id(), label: text(), target: targetSchema, look: look('button') }),
  opener: record({ kind: literal('opener'), id: id(), label: text(), panel: id(), look: look('opener') }),
});

const zone = () => list(partSchema, 50);
const rowSchema = record({
  id: id(), name: text(), zones: record({ start: zone(), middle: zone(), end: zone() }), look: look('row'),
});

const pieceSchema = tagged('piece', {
  header: record({
    kind: literal('header'), id: id(), name: text(), foldBand: string().strict().nullable().defined('a band’s id or null'),
    rows: list(rowSchema, 8, 1), look: look('header'),
  }),
  panel: record({
    kind: literal('panel'), id: id(), name: text(), side: choice(['start', 'end']), closeLabel: text(),
    parts: list(menuPartSchema, 20), look: look('panel'),
  }),
});

const language = () => text(35).matches(LANGUAGE_TAG, 'a language tag such as en or pt-BR');
const siteUrl = () => text(LIMITS.url).matches(SITE_ADDRESS, 'an address starting with https:// or http://, or empty');

export const siteSchema = record({
  format: literal('hamaca-site'),
  formatVersion: whole(1, 1_000_000),
  name: text(), url: siteUrl(), language: language(), direction: choice(['ltr', 'rtl']),
  palette: list(record({ id: id(), name: text(80), value: cssColour() }), LIMITS.swatches),
  roles: record(Object.fromEntries(ROLES.map((role) => [role, colourValueSchema as unknown as Schema]))),
  typeStyles: list(
    record({
      id: id(), name: text(80), size: whole(6, 200), weight: whole(100, 900),
      family: text(80).test('family', 'a bundled typeface or "system"', (value) => isFamily(value)),
    }), 50, 1),
  bands: list(record({ id: id(), name: text(40), min: whole(0, 4000) }), 8, 1),
  pages: judged('pages', pageFaults),
  icons: list(record({ id: id(), name: text(80), svg: svgSource().required('cleaned SVG source'), set: string().strict().nullable().oneOf(['tabler', null], '"tabler" or null').defined('"tabler" or null') }), LIMITS.icons),
  menus: list(record({ id: id(), name: text(), items: judged('items', (value) => itemFaults(value)) }), LIMITS.menus),
  pieces: list(pieceSchema, 50),
  scenes: list(record({ id: id(), name: text(80), kind: choice(['blank', 'article', 'picture']), ground: cssColour() }), 50, 1),
});

