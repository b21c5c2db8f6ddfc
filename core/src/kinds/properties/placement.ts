import type { Property } from '../../values/property.ts';
import { same } from './same.ts';

/** How a submenu opens, and where its box then is. */
export const OPENINGS = ['below', 'beside', 'across', 'in place', 'always open', 'not at all'] as const;

export type Opening = (typeof OPENINGS)[number];

/** What the device keeps for itself along an edge. */
export const INSET = (edge: string) => `env(safe-area-inset-${edge}, 0px)`;

/** The device's own edges are told as left and right: the wider one is kept on both sides. */
export const ASIDE = `max(${INSET('left')}, ${INSET('right')})`;

/** Places of a window where something stands fixed, with what keeps it there; null in its row. */
export const FIXED_PLACES = {
  'in its row': null,
  'at the top, end': corner('top', 'end'),
  'at the top, start': corner('top', 'start'),
  'at the bottom, end': corner('bottom', 'end'),
  'at the bottom, start': corner('bottom', 'start'),
  'at the end': side('end'),
  'at the start': side('start'),
} as const satisfies Record<string, readonly (readonly [string, string])[] | null>;

export type FixedPlace = keyof typeof FIXED_PLACES;

function corner(block: 'top' | 'bottom', inline: 'start' | 'end') {
  return [
    [`inset-block-${block === 'top' ? 'start' : 'end'}`, INSET(block)],
    [`inset-inline-${inline}`, ASIDE],
  ] as const;
}

function side(inline: 'start' | 'end') {
  return [
    ['inset-block', '0'],
    ['block-size', 'fit-content'],
    ['margin-block', 'auto'],
    [`inset-inline-${inline}`, ASIDE],
  ] as const;
}

/** How the links of a menu stand where it is in a row. */
export const MENU_FORMS = [
  'in a row',
  'in a strip',
  'the rest under “more”',
  'at the bottom',
  'beneath one another',
  'in columns',
] as const;

export type MenuForm = (typeof MENU_FORMS)[number];

/** Where a submenu's box stands, and how wide and in how many columns it lies there. */
export const PLACEMENT_PROPERTIES = {
  fixedAt: {
    kind: 'choice',
    label: 'stands',
    group: 'placement',
    css: ['position'],
    initial: 'in its row',
    choices: same(...(Object.keys(FIXED_PLACES) as FixedPlace[])),
    arranged: true,
    unshared: true,
    common: true,
    bringsWith: Object.fromEntries(
      Object.keys(FIXED_PLACES)
        .slice(1)
        .map((place) => [place, { marginInline: 16, marginBlock: 16 }]),
    ),
    hint: 'in its row, or fixed on the page while that scrolls; margins are its distance from the edges',
    related: ['marginInline', 'marginBlock'],
  },
  menuForm: {
    kind: 'choice',
    label: 'links stand',
    group: 'placement',
    css: ['flex-wrap'],
    initial: 'in a row',
    choices: same(...MENU_FORMS),
    arranged: true,
    unshared: true,
    common: true,
    bringsWith: { 'at the bottom': { fill: { role: 'paper' } } },
    hint: 'in a row that wraps where there is no room, in a strip that scrolls, as far as there is room with the rest under a word such as “More”, in a bar at the bottom of the window, beneath one another, or each branch in a column; around a logo the rest scrolls',
    related: ['bottomHeight', 'fill', 'lineTop'],
  },
  bottomHeight: {
    kind: 'length',
    label: 'height at the bottom',
    group: 'placement',
    css: ['min-block-size'],
    initial: 56,
    min: 24,
    max: 200,
    step: 1,
    arranged: true,
    unshared: true,
    hint: 'of the bar at the bottom of the window; the page keeps as much room at its end',
    related: ['menuForm'],
  },
  opens: {
    kind: 'choice',
    label: 'opens',
    group: 'placement',
    css: ['position'],
    initial: 'below',
    choices: same(...OPENINGS),
    arranged: true,
    unshared: true,
    common: true,
    bringsWith: { across: { columns: 0, gap: 24, paddingInline: 24, paddingBlock: 20 } },
    likeAbove: ['below', 'beside', 'across'],
    hint: 'below its link, beside it, across the whole row, unfolding in place, always open, or not at all; in a panel all unfold in place',
    related: ['lies', 'columns', 'boxWidth', 'offsetBlock', 'offsetInline', 'arrives'],
  },
  lies: {
    kind: 'choice',
    label: 'lies',
    group: 'placement',
    css: ['inset-inline-start'],
    initial: 'from the start',
    choices: same('from the start', 'centred', 'from the end'),
    arranged: true,
    hint: 'to its link; at the window’s edge it goes over to the other side by itself',
  },
  boxWidth: {
    kind: 'length',
    label: 'width',
    group: 'placement',
    css: ['inline-size'],
    initial: 0,
    min: 0,
    max: 1920,
    step: 4,
    units: ['em', 'vw'],
    share: true,
    inRow: true,
    hint: 'such as 640; 100% is as wide as what it hangs from, 0 as wide as its content',
  },
  spans: {
    kind: 'choice',
    label: 'lies across',
    group: 'space',
    css: ['grid-column'],
    initial: 'one column',
    choices: same('one column', 'all columns'),
    arranged: true,
    byLink: true,
    unshared: true,
    hint: 'in a submenu with columns: one of them, or all; a heading above them, a call to action beneath',
  },
  columns: {
    kind: 'number',
    label: 'columns',
    group: 'placement',
    css: ['grid-template-columns', 'grid-auto-flow', 'grid-auto-columns'],
    initial: 1,
    min: 0,
    max: 8,
    step: 1,
    inRow: true,
    hint: 'its links stand in; 0 gives each branch a column of its own',
  },
  offsetInline: {
    kind: 'length',
    label: 'offset, sideways',
    group: 'placement',
    css: ['--shift'],
    initial: 0,
    min: -400,
    max: 400,
    step: 1,
    hint: 'from where it would stand, away from the start',
  },
  offsetBlock: {
    kind: 'length',
    label: 'offset, down',
    group: 'placement',
    css: ['--drop'],
    initial: 0,
    min: -200,
    max: 200,
    step: 1,
    hint: 'from where it would stand: below the bar, or level with its link',
  },
  notch: {
    kind: 'length',
    label: 'pointer',
    group: 'placement',
    css: ['--notch'],
    initial: 0,
    min: 0,
    max: 60,
    step: 1,
    hint: 'height of a little pointer from the box to its link, in the box’s fill',
  },
  indent: {
    kind: 'length',
    label: 'indentation',
    group: 'placement',
    css: ['--indent'],
    initial: 12,
    min: 0,
    max: 120,
    step: 1,
    hint: 'of lists that unfold in place or are always open',
  },
} as const satisfies Record<string, Property>;
