import type { Look, Values } from '../model/look.ts';
import type { ColumnStarter, PieceStarterPart } from './piece-starter.ts';

const SEE_THROUGH = { literal: '#00000000' } as const;
const HAIRLINE = { line: { width: 1, style: 'solid', colour: { role: 'line' } } } as const;

interface LinkLooks {
  readonly first?: Values;
  readonly all?: Values;
  readonly current?: Values;
  readonly hover?: Values;
  readonly box?: Values;
  readonly list?: Values;
}

/** Links beneath one another, what is nested in them beneath them. */
const looks = ({ first = {}, all = {}, current = {}, hover = {}, box = {}, list = {} }: LinkLooks): Look => ({
  list: { all: { rest: { all: list } } },
  link: {
    1: { rest: { all: first } },
    all: {
      rest: { all: { paddingInline: 8, paddingBlock: 6, ...all } },
      current: { all: current },
      hover: { all: hover },
    },
  },
  submenu: { all: { rest: { all: { fill: SEE_THROUGH, minWidth: 0, ...box } } } },
});

const links = (own: LinkLooks, settings: Readonly<Record<string, unknown>> = {}): PieceStarterPart => ({
  holds: 'links',
  levels: 3,
  settings,
  look: looks(own),
});

/** Starting sidebars, in roles alone. */
export const SIDEBARS: readonly ColumnStarter[] = [
  {
    kind: 'sidebar',
    id: 'towpath',
    name: 'Towpath',
    about: 'folding, the branch one is in open, a bar at the current link',
    look: { width: 260, paddingInline: 16, paddingBlock: 16 },
    narrow: { width: '100%' },
    blocks: [
      {
        name: 'Links',
        parts: [
          links({
            first: { weight: 600 },
            current: { mark: 'side bar' },
            hover: { colour: { role: 'accent' } },
          }),
        ],
      },
    ],
  },
  {
    kind: 'sidebar',
    id: 'sluice',
    name: 'Sluice',
    about: 'one branch open at a time, lines between',
    look: { width: 280, lineEnd: HAIRLINE, paddingInline: 0, paddingBlock: 0 },
    heading: { paddingInline: 16, paddingBlock: 12 },
    narrow: { width: '100%' },
    blocks: [
      {
        name: 'Links',
        parts: [
          links(
            {
              list: { separator: HAIRLINE },
              first: { weight: 600, paddingBlock: 12, paddingInline: 16 },
              all: { paddingInline: 16 },
              current: { fill: { role: 'soft' }, weight: 700 },
              hover: { fill: { role: 'soft' } },
            },
            { inPanels: 'one' },
          ),
        ],
      },
    ],
  },
  {
    kind: 'sidebar',
    id: 'heron-steps',
    name: 'Heron steps',
    about: 'drilled into: a branch takes the place of what is around it, with a way back',
    look: { width: 260, fill: { role: 'soft' }, radius: 8, paddingInline: 12, paddingBlock: 12 },
    narrow: { width: '100%', radius: 0 },
    blocks: [
      {
        name: 'Links',
        parts: [
          links(
            {
              first: { weight: 600, paddingBlock: 10 },
              current: { colour: { role: 'accent' }, weight: 700 },
            },
            { inPanels: 'drill' },
          ),
        ],
      },
    ],
  },
  {
    kind: 'sidebar',
    id: 'field-notes',
    name: 'Field notes',
    about: 'all in sight, small and dense, and stays so while the page scrolls',
    look: { width: 220, columnSticks: 'stays in sight', sticksAt: 16, paddingInline: 16, paddingBlock: 16 },
    narrow: { width: '100%', columnSticks: 'with the page' },
    blocks: [
      {
        name: 'Links',
        parts: [
          links({
            first: { weight: 700, size: 13, letters: 'capitals', tracking: 0.6 },
            all: { size: 14, paddingBlock: 3, paddingInline: 10 },
            current: { mark: 'side bar', weight: 700 },
            hover: { decoration: 'underline' },
            box: { opens: 'always open', indent: 0, paddingBlock: 2 },
          }),
        ],
      },
    ],
  },
];
