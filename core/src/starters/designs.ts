import type { Values } from '../model/look.ts';
import { levels, slot, type Starter, type StarterPart } from './starter.ts';

/*
 * The starting designs, each of our own. Colours are roles, so a site's palette and its contrasts carry over.
 */

const NONE = { literal: 'transparent' } as const;
const INK = { role: 'ink' } as const;
const PAPER = { role: 'paper' } as const;
const ACCENT = { role: 'accent' } as const;
const ON_ACCENT = { role: 'on-accent' } as const;
const SOFT = { role: 'soft' } as const;
const LINE = { role: 'line' } as const;

const line = (width: number, colour: typeof LINE | typeof INK | typeof ACCENT = LINE) =>
  ({ line: { width, style: 'solid', colour } }) as const;
const shadow = (y: number, blur: number, alpha: number) =>
  ({ shadows: [{ x: 0, y, blur, colour: { role: 'ink', alpha } }] }) as const;
const smooth = { motionTime: 160 } as const;

/** On a phone the name is smaller, so that a call to action and the opener stand beside it. */
const logo = (rest = {}, narrow = {}): StarterPart => ({
  kind: 'logo',
  look: {
    logo: slot({ rest: { ...rest } }, { rest: { size: 16, gap: 6, ...narrow } }),
    drawing: slot({}, { rest: { drawnHeight: 30 } }),
  },
});
const opener = (
  look: StarterPart['look'] = { opener: slot({ hover: { fill: SOFT }, rest: { radius: 6 } }) },
): StarterPart => ({ kind: 'opener', look });
const button = (rest = {}, hover: object = { fill: INK, colour: PAPER }): StarterPart => ({
  kind: 'button',
  look: {
    button: slot(
      { rest: { paddingInline: 16, paddingBlock: 9, radius: 6, ...smooth, ...rest }, hover },
      { rest: { paddingInline: 10, paddingBlock: 7, size: 13, align: 'centre' } },
    ),
  },
});
/** The box of the second level; the third's lists stand open in it. */
const boxed = (rest: Values, narrow: Values) =>
  levels(
    {},
    { 2: { rest: { paddingInline: 8, paddingBlock: 8, radius: 8, gap: 2, ...rest } } },
    { 2: { rest: { shadow: { shadows: [] }, ...narrow } } },
  );
const box = (extra: Values = {}) =>
  boxed({ shadow: shadow(6, 20, 0.16), ...extra }, { lineTop: { line: null } });
const darkBox = boxed({ shadow: shadow(6, 20, 0.3), fill: INK }, { fill: NONE });
const quietPanel = { close: slot({ rest: { radius: 6 }, hover: { fill: SOFT } }) };

const menu = (look: StarterPart['look'], settings?: StarterPart['settings']): StarterPart => ({
  kind: 'menu',
  look,
  ...(settings ? { settings } : {}),
});

const sans = (family: string, size = 16, weight = 500) => ({
  menu: { family, size, weight },
  title: { family, size: 21, weight: 700 },
  action: { family, size: size - 1, weight: 600 },
});

export const STARTERS: readonly Starter[] = [
  {
    id: 'quiet',
    name: 'Quiet',
    about: 'logo, links in between and a call to action; a soft box where one points',
    tags: ['one row'],
    stays: false,
    over: false,
    type: sans('figtree'),
    look: {},
    rows: [
      {
        name: 'Main',
        arrangement: 'between',
        start: [logo()],
        end: [button(), opener()],
        middle: [
          menu({
            list: slot({ rest: { gap: 4 } }),
            submenu: box(),
            link: slot({
              rest: { paddingInline: 12, paddingBlock: 8, radius: 6, ...smooth },
              current: { colour: ACCENT },
              hover: { fill: SOFT },
            }),
          }),
        ],
        look: {
          row: slot({ rest: { height: 68 } }, { rest: { paddingInline: 16, paddingBlock: 6, gap: 8 } }),
        },
      },
    ],
    panel: { look: quietPanel },
  },
  {
    id: 'growing-line',
    name: 'Growing line',
    about: 'links beside the end; a line grows beneath the one pointed at',
    tags: ['one row', 'stays'],
    stays: true,
    over: false,
    type: sans('work-sans', 15),
    look: { bar: slot({ rest: { lineBottom: line(1) }, scrolled: { shadow: shadow(2, 14, 0.14) } }) },
    rows: [
      {
        name: 'Main',
        arrangement: 'far',
        contained: 1200,
        start: [logo()],
        end: [button({ paddingInline: 18, paddingBlock: 10, radius: 0 }), opener()],
        middle: [
          menu({
            list: slot({ rest: { gap: 22 } }, { rest: { gap: 0 } }),
            submenu: box({ radius: 0, lineTop: line(2, ACCENT) }),
            link: levels(
              slot(
                {
                  rest: {
                    paddingBlock: 10,
                    mark: 'none',
                    markFrom: 'from the start',
                    markThickness: 2,
                    markOffset: 4,
                    ...smooth,
                  },
                  hover: { mark: 'line under' },
                  current: { mark: 'line under' },
                },
                { rest: { paddingInline: 8 } },
              ),
              { 2: { rest: { paddingInline: 10, paddingBlock: 8, markOffset: 2 } } },
            ),
          }),
        ],
        look: {
          row: slot(
            { rest: { height: 76 }, scrolled: { height: 60 } },
            { rest: { paddingInline: 16, paddingBlock: 6, gap: 8 } },
          ),
        },
      },
    ],
    panel: { look: quietPanel },
  },
  {
    id: 'two-storeys',
    name: 'Two storeys',
    about: 'a slim row of small print and profiles above the links',
    tags: ['several rows', 'social'],
    stays: false,
    over: false,
    type: sans('archivo', 15, 600),
    look: {},
    rows: [
      {
        name: 'Top',
        arrangement: 'between',
        only: 'wide',
        end: [
          {
            kind: 'social',
            look: {
              profile: slot({ rest: { colour: PAPER, size: 17 }, hover: { colour: PAPER, opacity: 70 } }),
            },
          },
        ],
        start: [
          {
            kind: 'text',
            look: {
              text: slot({ rest: { colour: PAPER, size: 13, gap: 20 } }),
              contact: slot({ hover: { decoration: 'underline' } }),
            },
          },
        ],
        look: { row: slot({ rest: { fill: INK, height: 36 } }) },
      },
      {
        name: 'Main',
        arrangement: 'beside',
        start: [logo()],
        end: [button(), opener()],
        middle: [
          menu({
            list: slot({ rest: { gap: 2 } }),
            submenu: box({ radius: 2 }),
            link: slot({
              rest: { paddingInline: 14, paddingBlock: 10, radius: 2, ...smooth },
              current: { fill: SOFT },
              hover: { fill: SOFT },
            }),
          }),
        ],
        look: {
          row: slot(
            { rest: { height: 72, lineBottom: line(1) } },
            { rest: { paddingInline: 16, paddingBlock: 6, gap: 8 } },
          ),
        },
      },
    ],
    panel: { look: quietPanel },
  },
  {
    id: 'around',
    name: 'Around the mark',
    about: 'links in two halves at both sides of the logo',
    tags: ['one row', 'centred', 'serif'],
    stays: false,
    over: false,
    type: {
      menu: { family: 'newsreader', size: 18, weight: 500 },
      title: { family: 'fraunces', size: 24, weight: 600 },
      action: { family: 'newsreader', size: 16, weight: 600 },
    },
    look: { bar: slot({ rest: { lineBottom: line(1) } }) },
    rows: [
      {
        name: 'Main',
        arrangement: 'around',
        start: [logo()],
        end: [opener()],
        middle: [
          menu({
            list: slot({ rest: { gap: 2 } }, { rest: { gap: 0 } }),
            submenu: box({ radius: 3 }),
            link: slot({
              rest: { paddingInline: 12, paddingBlock: 10, markThickness: 2, markOffset: 2, ...smooth },
              hover: { colour: ACCENT },
              current: { mark: 'dot' },
            }),
          }),
        ],
        look: {
          row: slot(
            { rest: { height: 92, gap: 20 } },
            { rest: { height: 68, paddingInline: 12, paddingBlock: 6, gap: 8 } },
          ),
        },
      },
    ],
    panel: { look: quietPanel },
  },
  {
    id: 'over-the-view',
    name: 'Over the view',
    about: 'lies over the page’s picture, and gets a ground of its own once the page is scrolled',
    tags: ['one row', 'stays', 'over a picture'],
    stays: true,
    over: true,
    type: sans('outfit', 17, 500),
    look: {
      bar: slot({
        rest: { fill: { role: 'ink', alpha: 0.82 }, ...smooth },
        scrolled: { fill: INK, shadow: shadow(4, 18, 0.3) },
      }),
    },
    rows: [
      {
        name: 'Main',
        arrangement: 'far',
        start: [logo({ colour: PAPER })],
        end: [
          button(
            { fill: PAPER, colour: INK, paddingInline: 18, paddingBlock: 10, radius: 999 },
            { fill: SOFT },
          ),
          opener({ opener: slot({ rest: { colour: PAPER } }) }),
        ],
        middle: [
          menu({
            list: slot({ rest: { gap: 6 } }),
            submenu: darkBox,
            link: levels(
              slot(
                {
                  rest: {
                    colour: PAPER,
                    paddingInline: 12,
                    paddingBlock: 8,
                    markThickness: 1,
                    markOffset: 4,
                    markColour: PAPER,
                    ...smooth,
                  },
                  hover: { mark: 'line under' },
                  current: { mark: 'line under' },
                },
                { rest: { colour: INK, markColour: ACCENT } },
              ),
              { 2: { rest: { markColour: PAPER } } },
            ),
          }),
        ],
        look: {
          row: slot(
            { rest: { height: 84 }, scrolled: { height: 64 } },
            { rest: { height: 64, paddingInline: 16, paddingBlock: 6, gap: 8 } },
          ),
        },
      },
    ],
    panel: { look: quietPanel },
  },
  {
    id: 'island',
    name: 'Island',
    about: 'a rounded bar that floats clear of the page’s edges',
    tags: ['one row', 'stays'],
    stays: true,
    over: false,
    type: sans('rubik', 15, 500),
    look: {
      bar: slot(
        {
          rest: {
            marginInline: 16,
            marginBlock: 14,
            radius: 999,
            shadow: shadow(4, 22, 0.16),
            lineTop: line(1),
            lineBottom: line(1),
            lineStart: line(1),
            lineEnd: line(1),
          },
          scrolled: { shadow: shadow(8, 28, 0.26) },
        },
        { rest: { marginInline: 10, marginBlock: 10 } },
      ),
    },
    rows: [
      {
        name: 'Main',
        arrangement: 'between',
        start: [logo()],
        end: [
          button({ paddingInline: 20, paddingBlock: 10, radius: 999 }),
          opener({ opener: slot({ rest: { radius: 999 }, hover: { fill: SOFT } }) }),
        ],
        middle: [
          menu({
            list: slot(
              {
                rest: { gap: 2, fill: SOFT, radius: 999, paddingInline: 4, paddingBlock: 4, marginBlock: 7 },
              },
              { rest: { fill: NONE, paddingInline: 0, marginBlock: 0 } },
            ),
            submenu: box({ radius: 16 }),
            link: slot(
              {
                rest: { paddingInline: 14, paddingBlock: 7, radius: 999, ...smooth },
                current: { fill: PAPER },
                hover: { fill: PAPER },
              },
              { rest: { radius: 10 }, hover: { fill: SOFT }, current: { fill: SOFT } },
            ),
          }),
        ],
        look: {
          row: slot(
            { rest: { height: 60, paddingInline: 22, gap: 20 } },
            { rest: { paddingInline: 16, paddingBlock: 6, gap: 8 } },
          ),
        },
      },
    ],
    panel: {
      look: { ...quietPanel, panel: slot({ rest: { radius: { corners: [20, 0, 0, 20] } } }) },
    },
  },
  {
    id: 'ledger',
    name: 'Ledger',
    about: 'links in even columns with lines between them, in small capitals of the same width',
    tags: ['several rows'],
    stays: false,
    over: false,
    type: {
      menu: { family: 'archivo', size: 13, weight: 600 },
      title: { family: 'archivo', size: 24, weight: 800 },
      action: { family: 'archivo', size: 13, weight: 700 },
    },
    look: {},
    rows: [
      {
        name: 'Main',
        arrangement: 'between',
        start: [logo()],
        end: [
          button({ letters: 'capitals', tracking: 0.6, paddingInline: 16, paddingBlock: 10, radius: 0 }),
          opener(),
        ],
        look: {
          row: slot({ rest: { height: 72 } }, { rest: { paddingInline: 16, paddingBlock: 6, gap: 8 } }),
        },
      },
      {
        name: 'Columns',
        arrangement: 'equal',
        look: {
          row: slot(
            { rest: { height: 46, lineTop: line(1, INK), lineBottom: line(1, INK), gap: 0 } },
            { rest: { height: 0, lineTop: { line: null }, lineBottom: { line: null } } },
          ),
        },
        middle: [
          menu({
            list: slot({ rest: { separator: line(1) } }),
            submenu: box({ radius: 0 }),
            link: levels(
              slot({
                rest: { letters: 'capitals', tracking: 0.8, paddingInline: 10, paddingBlock: 14, ...smooth },
                current: { fill: INK, colour: PAPER },
                hover: { fill: SOFT },
              }),
              { 2: { rest: { letters: 'as typed', tracking: 0, paddingBlock: 8, size: 14 } } },
            ),
          }),
        ],
      },
    ],
    panel: { look: quietPanel },
  },
  {
    id: 'masthead',
    name: 'Masthead',
    about: 'the name alone in the middle, the links between two lines beneath it',
    tags: ['several rows', 'centred', 'serif'],
    stays: false,
    over: false,
    type: {
      menu: { family: 'source-serif-4', size: 17, weight: 500 },
      title: { family: 'source-serif-4', size: 34, weight: 700 },
      action: { family: 'source-serif-4', size: 16, weight: 600 },
    },
    look: {},
    rows: [
      {
        name: 'Name',
        arrangement: 'centre',
        middle: [logo({}, { size: 20 })],
        end: [opener()],
        look: {
          row: slot(
            { rest: { height: 96 } },
            { rest: { height: 68, paddingInline: 12, paddingBlock: 6, gap: 6 } },
          ),
        },
      },
      {
        name: 'Links',
        arrangement: 'between',
        look: {
          row: slot(
            { rest: { height: 50, lineTop: line(1, INK), lineBottom: line(3, INK) } },
            { rest: { height: 0, lineTop: { line: null } } },
          ),
        },
        middle: [
          menu({
            list: slot({ rest: { gap: 14 } }, { rest: { gap: 0 } }),
            submenu: box({ radius: 0, lineTop: line(3, INK) }),
            link: slot({
              rest: { paddingInline: 10, paddingBlock: 8, ...smooth },
              current: { style: 'italic' },
              hover: { colour: ACCENT, decoration: 'underline' },
            }),
          }),
        ],
      },
    ],
    panel: { look: quietPanel },
  },
  {
    id: 'night',
    name: 'Night',
    about: 'light on dark, the current link in a box of the accent',
    tags: ['one row', 'dark'],
    stays: false,
    over: false,
    type: sans('bricolage-grotesque', 16, 500),
    look: { bar: slot({ rest: { fill: INK } }) },
    rows: [
      {
        name: 'Main',
        arrangement: 'last-apart',
        apart: 1,
        start: [logo({ colour: PAPER })],
        end: [opener({ opener: slot({ rest: { colour: PAPER } }) })],
        middle: [
          menu({
            list: slot({ rest: { gap: 4 } }),
            submenu: box({ fill: INK }),
            link: slot({
              rest: { colour: PAPER, paddingInline: 14, paddingBlock: 9, radius: 4, ...smooth },
              current: { fill: ACCENT, colour: ON_ACCENT },
              hover: { fill: PAPER, colour: INK },
            }),
          }),
        ],
        look: {
          row: slot({ rest: { height: 70 } }, { rest: { paddingInline: 16, paddingBlock: 6, gap: 8 } }),
        },
      },
    ],
    panel: {
      look: { panel: slot({ rest: { fill: INK } }), close: slot({ rest: { colour: PAPER } }) },
    },
  },
  {
    id: 'shopfront',
    name: 'Shopfront',
    about: 'a wide search in the middle, account and basket at the end, the links beneath',
    tags: ['several rows', 'search'],
    stays: false,
    over: false,
    type: sans('commissioner', 15, 500),
    look: {},
    rows: [
      {
        name: 'Main',
        arrangement: 'between',
        start: [logo()],
        middle: [
          {
            kind: 'search',
            look: {
              search: slot({ rest: { radius: 999, paddingInline: 8, fill: SOFT } }),
              field: slot({ rest: { width: 340 } }, { rest: { width: 150 } }),
              submit: slot({ hover: { colour: ACCENT } }),
            },
            only: 'wide',
            settings: { open: true },
          },
        ],
        end: [
          {
            kind: 'shortcut',
            icon: 'person',
            label: 'Account',
            leaves: true,
            look: {
              shortcut: slot({
                rest: { radius: 6, paddingInline: 8, paddingBlock: 8 },
                hover: { fill: SOFT },
              }),
            },
          },
          {
            kind: 'shortcut',
            icon: 'basket',
            label: 'Basket',
            look: {
              shortcut: slot({
                rest: { radius: 6, paddingInline: 8, paddingBlock: 8 },
                hover: { fill: SOFT },
              }),
            },
          },
          opener(),
        ],
        look: {
          row: slot(
            { rest: { height: 72, gap: 20 } },
            { rest: { paddingInline: 16, paddingBlock: 6, gap: 4 } },
          ),
        },
      },
      {
        name: 'Links',
        arrangement: 'beside',
        look: {
          row: slot(
            { rest: { height: 46, lineTop: line(1), lineBottom: line(1) } },
            { rest: { height: 0, lineTop: { line: null } } },
          ),
        },
        middle: [
          menu({
            list: slot({ rest: { gap: 18 } }, { rest: { gap: 0 } }),
            submenu: box({ radius: 4 }),
            link: levels(
              slot(
                {
                  rest: { paddingBlock: 12, markThickness: 3, ...smooth },
                  current: { mark: 'line under' },
                  hover: { colour: ACCENT },
                },
                { rest: { paddingInline: 8 } },
              ),
              { 2: { rest: { paddingInline: 10, paddingBlock: 8 } } },
            ),
          }),
        ],
      },
    ],
    panel: { look: quietPanel },
  },
  {
    id: 'pointer',
    name: 'Pointer',
    about: 'a strip of the accent with a little pointer under the link',
    tags: ['one row', 'dark'],
    stays: false,
    over: false,
    type: sans('karla', 17, 600),
    look: { bar: slot({ rest: { fill: ACCENT } }) },
    rows: [
      {
        name: 'Main',
        arrangement: 'first-centred',
        apart: 1,
        start: [logo({ colour: ON_ACCENT })],
        end: [opener({ opener: slot({ rest: { colour: ON_ACCENT } }) })],
        middle: [
          menu({
            list: slot({ rest: { gap: 0 } }),
            submenu: box({ radius: 0 }),
            link: levels(
              slot({
                rest: { colour: INK, paddingInline: 14, paddingBlock: 10, ...smooth },
                hover: { fill: SOFT },
              }),
              {
                1: {
                  rest: { colour: ON_ACCENT, paddingBlock: 24, markThickness: 3, markColour: PAPER },
                  hover: { mark: 'notch', fill: NONE },
                  current: { mark: 'notch' },
                },
              },
              {
                1: {
                  rest: { colour: INK, paddingBlock: 10 },
                  hover: { mark: 'none', fill: SOFT },
                  current: { mark: 'side bar', markColour: ACCENT },
                },
              },
            ),
          }),
        ],
        look: {
          row: slot(
            { rest: { height: 70, paddingBlock: 0 } },
            { rest: { paddingInline: 16, paddingBlock: 6, gap: 8 } },
          ),
        },
      },
    ],
    panel: { look: quietPanel },
  },
  {
    id: 'brackets',
    name: 'Brackets',
    about: 'plain type; brackets close in on the link pointed at',
    tags: ['one row', 'serif'],
    stays: false,
    over: false,
    type: {
      menu: { family: 'literata', size: 17, weight: 400 },
      title: { family: 'literata', size: 22, weight: 700 },
      action: { family: 'literata', size: 16, weight: 600 },
    },
    look: {},
    rows: [
      {
        name: 'Main',
        arrangement: 'between',
        start: [logo()],
        end: [
          button({
            fill: NONE,
            colour: INK,
            paddingInline: 16,
            paddingBlock: 9,
            lineTop: line(1, INK),
            lineBottom: line(1, INK),
            lineStart: line(1, INK),
            lineEnd: line(1, INK),
          }),
          opener(),
        ],
        middle: [
          menu({
            list: slot({ rest: { gap: 2 } }, { rest: { gap: 0 } }),
            submenu: box({
              radius: 0,
              shadow: { shadows: [] },
              lineTop: line(1, INK),
              lineBottom: line(1, INK),
              lineStart: line(1, INK),
              lineEnd: line(1, INK),
            }),
            link: slot({
              rest: { paddingInline: 12, paddingBlock: 7, markThickness: 2, ...smooth },
              hover: { mark: 'brackets' },
              current: { mark: 'brackets', markColour: INK },
            }),
          }),
        ],
        look: {
          row: slot(
            { rest: { height: 80 } },
            { rest: { height: 64, paddingInline: 16, paddingBlock: 6, gap: 8 } },
          ),
        },
      },
    ],
    panel: { look: quietPanel },
  },
];
