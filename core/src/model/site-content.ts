import { OWN_PREFIX } from '../text/typefaces.ts';
import { LIMITS } from '../values/limits.ts';
import { LANGUAGE_TAG, PAGE_PATH, SITE_ADDRESS } from '../values/url.ts';
import { ROLES, type ColourValue, type Role } from '../values/values.ts';
import { MOST_BANDS } from './limits.ts';
import type { MenuItem } from './menu-item.ts';
import type { Field, Infer } from './shape/field.ts';
import {
  choice,
  choiceOrNone,
  colour,
  colourValue,
  family,
  flag,
  group,
  id,
  itemPicture,
  items,
  list,
  listOf,
  literal,
  optional,
  reference,
  svg,
  text,
  union,
  weights,
  whole,
} from './shape/fields.ts';
import type { SlotRef } from './look.ts';
import { SWATCH_UNION } from './swatch.ts';

/** A named setting of type; `size` in px. */
const TYPE_STYLE_SHAPE = {
  id: id(),
  name: text({ max: 80 }),
  size: whole({ min: 6, max: 200 }),
  weight: whole({ min: 100, max: 900 }),
  family: family(),
} as const;
export type TypeStyle = Infer<typeof TYPE_STYLE_SHAPE>;

/** The widths from `min` (px) up to the next wider band. */
const BAND_SHAPE = { id: id(), name: text({ max: 40 }), min: whole({ min: 0, max: 4000 }) } as const;
export type Band = Infer<typeof BAND_SHAPE>;

/** A place on a page that a link can lead to; its id as written in the page's markup. */
const SECTION_SHAPE = { id: text({ min: 1 }), title: text() } as const;
export type PageSection = Infer<typeof SECTION_SHAPE>;

/** A page of the inventory. `listed` is false where only a link names it, not a sitemap, a file or a person. */
const PAGE_SHAPE = {
  id: id(),
  path: text({ max: LIMITS.url, pattern: { test: PAGE_PATH, allowed: 'a path that starts with /' } }),
  title: text(),
  listed: flag(),
  sections: list(SECTION_SHAPE, { one: 'section', max: 1000 }),
} as const;
export type Page = Infer<typeof PAGE_SHAPE>;

/** Where the site's icons come from, so that a library's licence goes with the output. */
const ICON_SETS = { tabler: 'Tabler Icons' } as const;

/** What links refer to by id: cleaned SVG source, a small picture, or a single character; one of the three. */
const ICON_SHAPE = {
  id: id(),
  name: text({ max: 80 }),
  svg: svg({ hint: 'what it says in currentColor is drawn in the text’s colour' }),
  image: optional(
    itemPicture({ hint: 'instead of a drawing: address of a picture, or a small one as data' }),
  ),
  character: optional(text({ min: 1, max: 16, hint: 'instead of a drawing: a letter, sign or emoji' })),
  set: choiceOrNone(ICON_SETS),
} as const;
export type Icon = Infer<typeof ICON_SHAPE>;

const MENU_SHAPE = {
  id: id(),
  name: text(),
  draft: optional(flag({ hint: 'in no hand-off until it is let go' })),
  items: items<MenuItem>(),
} as const;
export type Menu = Infer<typeof MENU_SHAPE>;

/** The page drawn behind a piece on the stage; `ground` is its own background, what translucent fills are judged over. */
const SCENE_SHAPE = {
  id: id(),
  name: text({ max: 80 }),
  kind: choice({ blank: 'blank', article: 'article', picture: 'picture' }),
  ground: colour(),
} as const;
export type Scene = Infer<typeof SCENE_SHAPE>;

/** A file of a foreign page: kept by its content, found by its path. */
const PAGE_FILE_SHAPE = {
  path: text({ min: 1, max: LIMITS.url, hint: 'as the page names it; of other hosts the whole address' }),
  file: text({
    max: 64,
    pattern: { test: /^[0-9a-f]{64}$/, allowed: 'the SHA-256 of its content, in hexadecimal' },
  }),
} as const;
export type PageFile = Infer<typeof PAGE_FILE_SHAPE>;

const CHANGE_SHAPES = {
  restyle: {
    id: id(),
    at: text({ min: 1, max: 2000, hint: 'a selector' }),
    state: choice({
      rest: 'rest',
      hover: 'hover',
      focus: 'focus',
      pressed: 'pressed',
      current: 'current',
      open: 'open',
    }),
    set: text({ min: 1, max: 4000, hint: 'declarations, as in a style attribute' }),
    media: text({
      max: 4000,
      hint: 'media queries within which alone it holds, one a line; nothing for every window',
    }),
  },
  recolour: {
    id: id(),
    from: text({ min: 1, max: 200, hint: 'a CSS colour' }),
    to: text({ min: 1, max: 200, hint: 'a CSS colour' }),
    within: text({ max: 2000, hint: 'a selector; nothing for the whole page' }),
    only: text({ max: 40_000, hint: 'places of declarations, one a line; nothing for all' }),
  },
  stay: {
    id: id(),
    at: text({ min: 1, max: 2000, hint: 'a selector' }),
    sticking: choice({
      'on top': 'on top',
      hides: 'hides on the way down',
      appears: 'appears after a distance',
    }),
    after: whole({ min: 1, max: 20_000, hint: 'px' }),
    coming: choice({ slides: 'slides', fades: 'fades', 'at once': 'at once' }),
    above: whole({ min: 0, max: 4000, hint: 'px; 0 for every width' }),
    below: whole({ min: 0, max: 4000, hint: 'px; 0 for every width' }),
    scrolled: text({ max: 4000, hint: 'declarations while the page is scrolled' }),
    scrolledLogo: text({ max: 4000, hint: 'declarations for its logo meanwhile' }),
    height: whole({ min: 0, max: 4000, hint: 'px it is high; 0 where that is not known' }),
    hangs: flag({ hint: 'out of the page’s flow' }),
    ways: text({ max: 400, hint: 'ways out that are not the best, as obstacle: way, one a line' }),
  },
} as const;

/** What is changed of a foreign page: the look of elements, a colour, or that its header stays. */
export type ForeignChange =
  | Infer<typeof CHANGE_SHAPES.restyle>
  | Infer<typeof CHANGE_SHAPES.recolour>
  | Infer<typeof CHANGE_SHAPES.stay>;

const CHANGE_UNION = union<ForeignChange>({
  one: 'change',
  of: CHANGE_SHAPES,
  pick: (value) => ('set' in value ? 'restyle' : 'from' in value ? 'recolour' : 'stay'),
});

/** A page that exists already and was brought along; `ground` is what its body is filled with. */
const FOREIGN_PAGE_SHAPE = {
  id: id(),
  name: text({ max: 80 }),
  origin: text({
    max: LIMITS.url,
    pattern: { test: /^$|^https?:\/\/[^/]+$/, allowed: 'an address without a path, or nothing' },
    hint: 'where it came from on the web; nothing for files',
  }),
  path: text({ min: 1, max: LIMITS.url, hint: 'which of its files is the page' }),
  files: list(PAGE_FILE_SHAPE, { one: 'file', min: 1, max: LIMITS.pageFiles }),
  ground: colour(),
  changes: listOf(CHANGE_UNION, { one: 'change', max: 200 }),
  inPlace: flag({ hint: 'its own stylesheets are edited, instead of one more that is added' }),
} as const;
export type BroughtPage = Infer<typeof FOREIGN_PAGE_SHAPE>;

const SLOT_REF_SHAPE = { owner: reference('owner'), slot: text({ max: 40 }) } as const;

/** A slot that takes another one's look. */
export interface SameLook extends SlotRef {
  readonly as: SlotRef;
}

const TYPEFACE_SHAPE = {
  id: text({
    max: 64,
    pattern: {
      test: new RegExp(`^${OWN_PREFIX}[a-z0-9-]+$`),
      allowed: `an id that starts with ${OWN_PREFIX}`,
    },
  }),
  name: text({ max: 80 }),
  fallback: choice({ sans: 'sans', serif: 'serif' }),
  weights: weights(),
} as const;

const ROLES_SHAPE = Object.fromEntries(ROLES.map((role) => [role, colourValue()])) as Readonly<
  Record<Role, Field<ColourValue, false>>
>;

/** Everything Hamaca keeps about one website but its pieces. Plain JSON; references are ids; nothing derived is stored. */
export const CONTENT_SHAPE = {
  format: literal('hamaca-site'),
  formatVersion: whole({ min: 1, max: 1_000_000 }),
  name: text(),
  url: text({
    max: LIMITS.url,
    pattern: { test: SITE_ADDRESS, allowed: 'an address starting with https:// or http://, or empty' },
  }),
  language: text({
    max: 35,
    pattern: { test: LANGUAGE_TAG, allowed: 'a language tag such as en or pt-BR' },
  }),
  direction: choice({ ltr: 'left to right', rtl: 'right to left' }),
  palette: listOf(SWATCH_UNION, { one: 'swatch', max: LIMITS.swatches }),
  roles: group(ROLES_SHAPE),
  typefaces: list(TYPEFACE_SHAPE, { one: 'typeface', max: 50 }),
  typeStyles: list(TYPE_STYLE_SHAPE, { one: 'type style', min: 1, max: 50 }),
  bands: list(BAND_SHAPE, { one: 'band', min: 1, max: MOST_BANDS }),
  pages: list(PAGE_SHAPE, { one: 'page', max: LIMITS.pages }),
  icons: list(ICON_SHAPE, { one: 'icon', max: LIMITS.icons }),
  menus: list(MENU_SHAPE, { one: 'menu', max: LIMITS.menus }),
  sameLooks: list({ ...SLOT_REF_SHAPE, as: group(SLOT_REF_SHAPE) } as const, {
    one: 'shared look',
    max: 500,
  }),
  scenes: list(SCENE_SHAPE, { one: 'scene', min: 1, max: 50 }),
  foreignPages: list(FOREIGN_PAGE_SHAPE, { one: 'foreign page', max: LIMITS.foreignPages }),
} as const;

export type SiteContent = Infer<typeof CONTENT_SHAPE>;
