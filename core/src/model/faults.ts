import { isRecord } from '../base/json.ts';
import { parseColour } from '../colour/colour.ts';
import { ITEM_ROLES, type ItemField } from './menu-item.ts';
import { LIMITS } from './limits.ts';
import { ID, PAGE_PATH, refuseUrl } from './url.ts';

/*
 * Links and pages come in thousands, so their shape is read by tables of plain tests instead of the schema library.
 */

/** Something not allowed: the way to it from the value that was looked at, and what may stand there. */
export interface Fault {
  readonly path: readonly string[];
  readonly allowed: string;
}

type Check = (value: unknown) => string | null;

const text =
  (max: number, min = 0): Check =>
  (value) =>
    typeof value === 'string' && value.length <= max && value.length >= min
      ? null
      : `text of at most ${max} characters`;
const id: Check = (value) =>
  typeof value === 'string' && ID.test(value)
    ? null
    : 'an id of letters, digits, - and _, at most 64 characters';
const literal =
  (wanted: unknown): Check =>
  (value) =>
    value === wanted ? null : JSON.stringify(wanted);
const flag: Check = (value) => (typeof value === 'boolean' ? null : 'true or false');
const matching =
  (pattern: RegExp, allowed: string): Check =>
  (value) =>
    typeof value === 'string' && pattern.test(value) ? null : allowed;
const url: Check = (value) => {
  const refused = typeof value === 'string' ? refuseUrl(value) : 'text is expected';
  return refused === null ? null : `a link address; ${refused}`;
};

/** A picture: an address, or a small raster picture as data. */
const IMAGE_DATA = /^data:image\/(?:png|jpeg|webp|gif|avif);base64,[A-Za-z0-9+/]+=*$/;

/** Why a value is no picture that may be shown, or null. */
export const pictureFault: Check = (value) => {
  if (
    typeof value === 'string' &&
    value.startsWith('data:') &&
    value.length <= LIMITS.image &&
    IMAGE_DATA.test(value)
  )
    return null;
  return url(value) === null
    ? null
    : `a picture’s address, or a PNG, JPEG, WebP, AVIF or GIF as data of at most ${LIMITS.image} characters`;
};

/** `rel` and class tokens (HTML, section 2.3.7). */
export const TOKENS = /^[^\s"'<>&=`]+(?: [^\s"'<>&=`]+)*$/;

type Fields = Readonly<Record<string, Check>>;

const TARGETS: Readonly<Record<string, { required: Fields; optional?: Fields }>> = {
  page: { required: { page: id }, optional: { section: text(LIMITS.label) } },
  section: { required: { section: text(LIMITS.label) } },
  url: { required: { url } },
  mail: { required: { address: text(LIMITS.url) } },
  phone: { required: { number: text(LIMITS.label) } },
  panel: { required: { panel: id } },
  none: { required: {} },
};

function recordFaults(
  value: unknown,
  path: readonly string[],
  required: Fields,
  optional: Fields,
  faults: Fault[],
): value is Record<string, unknown> {
  if (!isRecord(value)) {
    faults.push({ path, allowed: 'an object' });
    return false;
  }
  for (const key in required) {
    const allowed = required[key]?.(value[key]) ?? null;
    if (allowed !== null) faults.push({ path: [...path, key], allowed });
  }
  for (const key in value) {
    if (Object.hasOwn(required, key)) continue;
    const check = Object.hasOwn(optional, key) ? optional[key] : undefined;
    const allowed = check
      ? check(value[key])
      : `only the keys ${[...Object.keys(required), ...Object.keys(optional)].join(', ')}`;
    if (allowed !== null) faults.push({ path: check ? [...path, key] : path, allowed });
  }
  return true;
}

/** What is wrong with a link's target. */
export function targetFaults(value: unknown, path: readonly string[] = []): Fault[] {
  const kind = isRecord(value) ? value['kind'] : null;
  const fields = typeof kind === 'string' && Object.hasOwn(TARGETS, kind) ? TARGETS[kind] : undefined;
  if (!fields) return [{ path, allowed: `a target of kind ${Object.keys(TARGETS).join(', ')}` }];
  const faults: Fault[] = [];
  recordFaults(value, path, { kind: literal(kind), ...fields.required }, fields.optional ?? {}, faults);
  return faults;
}

/** Which bands something shows in. */
export const bandIds: Check = (value) =>
  Array.isArray(value) && value.length > 0 && value.length <= 8 && value.every((entry) => id(entry) === null)
    ? null
    : 'a list of the ids of 1 to 8 bands';

const ITEM_REQUIRED: Fields = { id, label: text(LIMITS.label), target: () => null, children: () => null };

/** What a link may have besides, with what is allowed there. */
const ITEM_CHECKS: Readonly<Record<ItemField, Check>> = {
  role: (value) =>
    (ITEM_ROLES as readonly unknown[]).includes(value) ? null : `one of ${ITEM_ROLES.join(', ')}`,
  description: text(LIMITS.label, 1),
  icon: id,
  image: pictureFault,
  imageText: text(LIMITS.label, 1),
  name: text(LIMITS.label, 1),
  labelHidden: literal(true),
  title: text(LIMITS.label, 1),
  newTab: literal(true),
  rel: matching(TOKENS, 'words such as nofollow, separated by single spaces'),
  className: matching(TOKENS, 'class names separated by single spaces'),
  bands: bandIds,
};

/** What is wrong with the links of a menu. Nesting is followed as far as the JSON's own bound lets it. */
export function itemFaults(items: unknown, path: readonly string[] = []): Fault[] {
  const faults: Fault[] = [];
  const visit = (list: unknown, at: readonly string[]) => {
    if (!Array.isArray(list)) {
      faults.push({ path: at, allowed: 'a list of links' });
      return;
    }
    list.forEach((item: unknown, index) => {
      const own = [...at, String(index)];
      if (!recordFaults(item, own, ITEM_REQUIRED, ITEM_CHECKS, faults)) return;
      const target = targetFaults(item['target'], [...own, 'target']);
      if (target.length > 0) faults.push(...target);
      visit(item['children'], [...own, 'children']);
    });
  };
  visit(items, path);
  return faults;
}

const PAGE_FIELDS: Fields = {
  id,
  path: matching(PAGE_PATH, 'a path that starts with /'),
  title: text(LIMITS.label),
  listed: flag,
  sections: (value) =>
    Array.isArray(value) && value.length <= 1000 ? null : 'a list of at most 1000 sections',
};
const SECTION_FIELDS: Fields = { id: text(LIMITS.label, 1), title: text(LIMITS.label) };

/** What is wrong with the pages of a site. */
export function pageFaults(pages: unknown): Fault[] {
  if (!Array.isArray(pages) || pages.length > LIMITS.pages)
    return [{ path: [], allowed: `a list of 0 to ${LIMITS.pages} entries` }];
  const faults: Fault[] = [];
  pages.forEach((page: unknown, index) => {
    const path = [String(index)];
    if (!recordFaults(page, path, PAGE_FIELDS, {}, faults) || !Array.isArray(page['sections'])) return;
    page['sections'].forEach((section: unknown, place) => {
      recordFaults(section, [...path, 'sections', String(place)], SECTION_FIELDS, {}, faults);
    });
  });
  return faults;
}

const hexColour: Check = (value) =>
  value === null || (typeof value === 'string' && parseColour(value) !== null)
    ? null
    : 'a CSS colour or null';
const nullableId: Check = (value) => (value === null ? null : id(value));
const SOCIAL_FIELDS: Fields = { id, name: text(LIMITS.label), url, icon: id, colour: hexColour };
const ENTRY_FIELDS: Fields = { id, text: text(LIMITS.label), icon: nullableId, target: () => null };

/** Most social marks or texts in one part. */
export const MOST_ENTRIES = 30;

function listFaults(value: unknown, fields: Fields, withTarget: boolean): Fault[] {
  if (!Array.isArray(value) || value.length > MOST_ENTRIES)
    return [{ path: [], allowed: `a list of at most ${MOST_ENTRIES}` }];
  const faults: Fault[] = [];
  value.forEach((entry: unknown, index) => {
    const path = [String(index)];
    if (recordFaults(entry, path, fields, {}, faults) && withTarget)
      faults.push(...targetFaults(entry['target'], [...path, 'target']));
  });
  return faults;
}

/** What is wrong with the marks of a social part. */
export const socialFaults = (value: unknown): Fault[] => listFaults(value, SOCIAL_FIELDS, false);

/** What is wrong with the texts of a text part. */
export const textFaults = (value: unknown): Fault[] => listFaults(value, ENTRY_FIELDS, true);
