import type { Values } from '../model/look.ts';
import type { ColumnStarter, PieceStarterPart, StarterBlock } from './piece-starter.ts';

const SHADOW = { shadows: [{ x: 0, y: 2, blur: 8, colour: { literal: '#00000040' } }] } as const;
const HAIRLINE = { line: { width: 1, style: 'solid', colour: { role: 'line' } } } as const;

interface RingLooks {
  readonly ring?: Values;
  readonly opener?: Values;
  readonly link?: Values;
  readonly label?: Values;
  /** Of labels within their links, while those are pointed at or current. */
  readonly labels?: Values;
  readonly settings?: Readonly<Record<string, unknown>>;
}

/** An opener with links around it. */
const ring = ({
  ring: own = {},
  opener = {},
  link = {},
  label = {},
  labels,
  settings = {},
}: RingLooks): StarterBlock => ({
  name: 'Links',
  parts: [
    {
      holds: 'ring',
      settings,
      look: {
        'ring-opener': { all: { rest: { all: { shadow: SHADOW, ...opener } } } },
        ring: { all: { rest: { all: own } } },
        'ring-link': {
          all: {
            rest: { all: { shadow: SHADOW, ...link } },
            hover: { all: { fill: { role: 'accent' }, colour: { role: 'on-accent' } } },
            current: { all: { fill: { role: 'accent' }, colour: { role: 'on-accent' } } },
          },
        },
        'ring-label': {
          all: {
            rest: { all: label },
            ...(labels ? { hover: { all: labels }, current: { all: labels } } : {}),
          },
        },
      },
    },
  ],
});

/** Links of a bar: icon over label, each as wide as the others. */
const barLinks = (values: Values, current: Values): PieceStarterPart => ({
  holds: 'links',
  levels: 1,
  look: {
    link: {
      all: {
        rest: { all: { size: 12, paddingInline: 4, paddingBlock: 8, ...values } },
        current: { all: current },
      },
    },
    glyph: { all: { rest: { all: { iconPlace: 'above', iconGap: 4, size: 24 } } } },
    action: { all: { rest: { all: { size: 12, paddingInline: 8, paddingBlock: 6 } } } },
  },
});

/** What opens the site’s first panel from the end of a bar. */
const more = (colour: Values['colour']): PieceStarterPart => ({
  holds: 'more',
  look: { opener: { all: { rest: { all: colour === undefined ? {} : { colour } } } } },
});

const bar = (
  id: string,
  name: string,
  about: string,
  look: Values,
  links: PieceStarterPart,
  colour: Values['colour'] = { role: 'ink' },
): ColumnStarter => ({
  kind: 'floating',
  id,
  name,
  about,
  bar: true,
  look: { floatsAt: 'along the bottom', height: 56, ...look },
  blocks: [{ name: 'Links', flow: 'row', align: 'wide', parts: [links, more(colour)], look: { gap: 0 } }],
});

/** Starting floating menus and bars at the bottom of phones, in roles alone. */
export const FLOATS: readonly ColumnStarter[] = [
  {
    kind: 'floating',
    id: 'fan',
    name: 'Lily pads',
    about: 'a ring in the corner, labels at pointing, links one after the other',
    look: { floatsAt: 'at the bottom, end' },
    blocks: [
      ring({
        ring: { ringComes: 'one after the other', motionTime: 200 },
        // Where labels stand within their links, they keep from the round ends.
        link: { paddingInline: 12 },
      }),
    ],
  },
  {
    kind: 'floating',
    id: 'ladder',
    name: 'Ladder',
    about: 'a column above the opener, labels in sight',
    look: { floatsAt: 'at the bottom, end' },
    blocks: [
      ring({
        ring: { ringForm: 'in a column', ringLabels: 'in sight', ringComes: 'one after the other', gap: 8 },
        link: { height: 44, minWidth: 44, radius: 22, paddingInline: 11 },
        label: { fill: { literal: '#00000000' }, paddingInline: 0, paddingBlock: 0 },
        labels: { colour: { role: 'on-accent' } },
      }),
    ],
  },
  {
    kind: 'floating',
    id: 'raft',
    name: 'Raft',
    about: 'a row beside an opener with its name, at the bottom’s start',
    look: { floatsAt: 'at the bottom, start' },
    blocks: [
      ring({
        ring: { ringForm: 'in a row', ringLabels: 'at pointing', gap: 8 },
        opener: {
          paddingInline: 20,
          height: 48,
          radius: 24,
          fill: { role: 'ink' },
          colour: { role: 'paper' },
        },
        link: { height: 48, minWidth: 48, radius: 8 },
        settings: { labelShown: true, drawing: 'two' },
      }),
    ],
  },
  {
    kind: 'floating',
    id: 'half-moon',
    name: 'Half moon',
    about: 'half a ring at the middle of the side, once the page is scrolled',
    look: { floatsAt: 'at the end', appears: 'after a distance', sticksAfter: 300, floatInline: 8 },
    blocks: [
      ring({
        ring: { ringComes: 'together', ringDistance: 96 },
        opener: { minWidth: 44, height: 44, radius: 22 },
        link: { minWidth: 44, height: 44, radius: 22, fill: { role: 'soft' } },
        settings: { drawing: 'dots', turns: 'fade' },
      }),
    ],
  },
  {
    kind: 'floating',
    id: 'stakes',
    name: 'Stakes',
    about: 'a jump menu at the side that marks the section in sight',
    look: { floatsAt: 'at the end', floatInline: 12, fill: { role: 'paper' }, radius: 8, shadow: SHADOW },
    blocks: [
      {
        name: 'Links',
        parts: [
          {
            holds: 'links',
            levels: 1,
            settings: { sight: true },
            look: {
              list: { all: { rest: { all: { menuForm: 'beneath one another', gap: 0 } } } },
              link: {
                all: {
                  rest: { all: { size: 14, paddingInline: 14, paddingBlock: 8 } },
                  current: { all: { mark: 'side bar', weight: 700 } },
                  hover: { all: { fill: { role: 'soft' } } },
                },
              },
            },
          },
        ],
      },
    ],
  },
  bar(
    'jetty',
    'Jetty',
    'icons over labels along the bottom of phones, the current one in the accent',
    { fill: { role: 'paper' }, lineTop: HAIRLINE },
    barLinks({}, { colour: { role: 'accent' }, weight: 700 }),
  ),
  bar(
    'moorings',
    'Moorings',
    'dark, the current one in a filled box',
    { fill: { role: 'ink' } },
    barLinks({ colour: { role: 'paper' } }, { fill: { role: 'accent' }, colour: { role: 'on-accent' } }),
    { role: 'paper' },
  ),
  bar(
    'waterline',
    'Waterline',
    'a line over the current one, on soft ground',
    {
      fill: { role: 'soft' },
      shadow: { shadows: [{ x: 0, y: -2, blur: 8, colour: { literal: '#00000022' } }] },
    },
    barLinks({ weight: 600 }, { mark: 'line over', markThickness: 3 }),
  ),
];
