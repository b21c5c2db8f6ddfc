import type { Look, Values } from '../model/look.ts';
import type { FooterStarter, PieceStarterPart } from './piece-starter.ts';
import { NARROW } from './starter.ts';

const SEE_THROUGH = { literal: '#00000000' } as const;

/** Rows of a footer are as high as what is in them. */
const row = (values: Values = {}): Values => ({
  height: 0,
  paddingBlock: 24,
  paddingInline: 24,
  gap: 32,
  ...values,
});

/** Links in columns, each branch under its heading; where told they fold beneath it in the narrowest band. */
function columns(colours: { readonly heading?: Values; readonly link?: Values } = {}, folds = false): Look {
  const narrow: Values = folds ? { opens: 'in place', paddingInline: 12 } : {};
  return {
    list: { all: { rest: { all: { menuForm: 'in columns', gap: 24 } } } },
    link: {
      1: { rest: { all: { weight: 600, ...colours.heading } } },
      2: {
        rest: { all: { size: 14, weight: 400, ...colours.link } },
        hover: { all: { decoration: 'underline' } },
      },
      all: { rest: { all: { paddingBlock: 4 } } },
    },
    ...(folds ? { marker: { 1: { rest: { all: { ...colours.heading } } } } } : {}),
    submenu: {
      2: {
        rest: {
          all: { opens: 'always open', indent: 0, fill: SEE_THROUGH, minWidth: 0, paddingBlock: 4 },
          ...(folds ? { [NARROW]: narrow } : {}),
        },
      },
    },
  };
}

/** Lists of links at a page's end say what leads where, and no more. */
const PLAIN = { plain: true } as const;

const linksInColumns = (look: Look): PieceStarterPart => ({
  holds: 'links',
  levels: 2,
  settings: PLAIN,
  look,
});

/** Links of the first level beside one another. */
const linksInRow = (values: Values): PieceStarterPart => ({
  holds: 'links',
  levels: 1,
  look: {
    // No padding at their sides: they begin where everything else does.
    list: { all: { rest: { all: { gap: 24 }, [NARROW]: { gap: 16 } } } },
    link: {
      all: {
        rest: {
          all: { paddingInline: 0, paddingBlock: 6, size: 15, ...values },
          [NARROW]: { paddingBlock: 2 },
        },
        hover: { all: { decoration: 'underline' } },
      },
    },
  },
});

const text = (values: Values): Look => ({ text: { all: { rest: { all: { size: 14, ...values } } } } });
const owner = (values: Values = {}): PieceStarterPart => ({ holds: 'owner', look: text(values) });
const social = (values: Values = {}): PieceStarterPart => ({
  holds: 'social',
  look: { profile: { all: { rest: { all: { size: 22, paddingInline: 6, paddingBlock: 6, ...values } } } } },
});
const logo = (values: Values = {}): PieceStarterPart => ({
  holds: 'logo',
  look: { logo: { all: { rest: { all: values } } } },
});

/** The links of one branch beneath one another. */
const branch = (values: Values = {}): PieceStarterPart => ({
  holds: 'branch',
  levels: 1,
  settings: PLAIN,
  look: {
    list: { all: { rest: { all: { menuForm: 'beneath one another', gap: 0 } } } },
    link: {
      all: {
        rest: { all: { size: 15, weight: 400, paddingBlock: 5, paddingInline: 0, ...values } },
        hover: { all: { decoration: 'underline' } },
      },
    },
  },
});

/** Columns for as many branches as most sites have. */
const BRANCHES = ['First', 'Second', 'Third', 'Fourth'];

const HAIRLINE = { line: { width: 1, style: 'solid', colour: { role: 'line' } } } as const;

const LIGHT: Values = { colour: { role: 'paper' } };

/** Starting footers, in roles alone. */
export const FOOTERS: readonly FooterStarter[] = [
  {
    kind: 'footer',
    id: 'reed-bed',
    name: 'Reed bed',
    about: 'every branch a column under its heading, the name beneath',
    look: { fill: { role: 'soft' } },
    sections: [
      { name: 'Links', zones: { middle: [linksInColumns(columns())] }, look: row({ paddingBlock: 32 }) },
      {
        name: 'Foot',
        zones: { start: [owner()], end: [social()] },
        look: row({
          lineTop: { line: { width: 1, style: 'solid', colour: { role: 'line' } } },
          paddingBlock: 12,
        }),
      },
    ],
  },
  {
    kind: 'footer',
    id: 'folding-boat',
    name: 'Folding boat',
    about: 'columns that fold under their headings where the page is narrow',
    look: {
      fill: { role: 'paper' },
      lineTop: { line: { width: 3, style: 'solid', colour: { role: 'accent' } } },
    },
    sections: [
      {
        name: 'Links',
        zones: { middle: [linksInColumns(columns({}, true))] },
        look: row({ paddingBlock: 28 }),
      },
      { name: 'Foot', zones: { start: [logo()], end: [owner()] }, look: row({ paddingBlock: 16 }) },
    ],
  },
  {
    kind: 'footer',
    id: 'night-heron',
    name: 'Night heron',
    about: 'dark, with the logo before the columns',
    look: { fill: { role: 'ink' } },
    columns: { columnsLeast: 150, gap: 48, paddingBlock: 40 },
    columnsNarrow: { columnsStand: 'beneath one another', gap: 24, paddingBlock: 32 },
    sections: [
      { name: 'Name', column: [logo(LIGHT)], look: { columnShare: 1 } },
      {
        name: 'Links',
        column: [linksInColumns(columns({ heading: LIGHT, link: LIGHT }))],
        look: { columnShare: 5 },
      },
      {
        name: 'Foot',
        zones: { start: [owner(LIGHT)], end: [social(LIGHT)] },
        look: row({
          paddingBlock: 14,
          lineTop: { line: { width: 1, style: 'solid', colour: { role: 'paper', alpha: 0.25 } } },
        }),
      },
    ],
  },
  {
    kind: 'footer',
    id: 'low-tide',
    name: 'Low tide',
    about: 'one slim line: name, links, profiles',
    look: {
      fill: { role: 'paper' },
      lineTop: { line: { width: 1, style: 'solid', colour: { role: 'line' } } },
    },
    sections: [
      {
        name: 'Line',
        arrangement: 'centre',
        zones: { start: [owner()], middle: [linksInRow({})], end: [social()] },
        look: row({ paddingBlock: 12, gap: 24 }),
      },
    ],
  },
  {
    kind: 'footer',
    id: 'still-water',
    name: 'Still water',
    about: 'all in the middle, one beneath another',
    look: { fill: { role: 'soft' } },
    sections: [
      { name: 'Logo', zones: { middle: [logo()] }, look: row({ paddingBlock: 28 }) },
      { name: 'Links', zones: { middle: [linksInRow({ weight: 600 })] }, look: row({ paddingBlock: 4 }) },
      { name: 'Profiles', zones: { middle: [social()] }, look: row({ paddingBlock: 8 }) },
      { name: 'Foot', zones: { middle: [owner()] }, look: row({ paddingBlock: 24 }) },
    ],
  },
  {
    kind: 'footer',
    id: 'marker-post',
    name: 'Marker post',
    about: 'in the accent, a bold line of links over a plain one',
    look: { fill: { role: 'accent' } },
    sections: [
      {
        name: 'Links',
        zones: {
          start: [linksInRow({ colour: { role: 'on-accent' }, weight: 700, size: 18 })],
          end: [social({ colour: { role: 'on-accent' } })],
        },
        look: row({ paddingBlock: 28 }),
      },
      {
        name: 'Foot',
        zones: {
          start: [owner({ colour: { role: 'on-accent' } })],
          end: [{ holds: 'more links', levels: 1, look: moreLinks({ colour: { role: 'on-accent' } }) }],
        },
        look: row({ paddingBlock: 12 }),
      },
    ],
  },
  {
    kind: 'footer',
    id: 'two-banks',
    name: 'Two banks',
    about: 'columns over a second, darker strip with logo and further links',
    look: { fill: { role: 'soft' } },
    sections: [
      { name: 'Links', zones: { middle: [linksInColumns(columns())] }, look: row({ paddingBlock: 32 }) },
      {
        name: 'Foot',
        zones: {
          start: [logo(LIGHT)],
          middle: [{ holds: 'more links', levels: 1, look: moreLinks(LIGHT) }],
          end: [owner(LIGHT)],
        },
        look: row({ fill: { role: 'ink' }, paddingBlock: 16 }),
      },
    ],
  },
  {
    kind: 'footer',
    id: 'jetties',
    name: 'Jetties',
    about: 'a column for each branch, with lines between; on phones each folds under its heading',
    look: {
      fill: { role: 'paper' },
      lineTop: { line: { width: 1, style: 'solid', colour: { role: 'line' } } },
    },
    columns: { columnsLine: HAIRLINE, columnsLeast: 150, gap: 48, paddingBlock: 36 },
    columnsNarrow: { columnsStand: 'beneath one another', gap: 16, paddingBlock: 16 },
    sections: [
      { name: 'Name', column: [logo(), social()], look: { columnShare: 2, gap: 16 } },
      ...BRANCHES.map((name) => ({
        name,
        headed: true,
        folds: true,
        column: [branch()],
        look: { gap: 4 },
      })),
      {
        name: 'Foot',
        zones: { start: [owner()] },
        look: row({ paddingBlock: 12, lineTop: HAIRLINE }),
      },
    ],
  },
  {
    kind: 'footer',
    id: 'stilt-house',
    name: 'Stilt house',
    about: 'dark, the name large at one side, two columns of links at the other',
    look: { fill: { role: 'ink' } },
    columns: { columnsCount: 3, gap: 40, paddingBlock: 48 },
    columnsNarrow: { columnsCount: 1, gap: 24, paddingBlock: 28 },
    contained: 1120,
    sections: [
      { name: 'Name', column: [logo(LIGHT), owner(LIGHT), social(LIGHT)], look: { columnShare: 2, gap: 16 } },
      { name: 'First', headed: true, heading: LIGHT, column: [branch(LIGHT)], look: { gap: 4 } },
      { name: 'Second', headed: true, heading: LIGHT, column: [branch(LIGHT)], look: { gap: 4 } },
    ],
  },
];

function moreLinks(values: Values): Look {
  return {
    list: { all: { rest: { all: { gap: 20 }, [NARROW]: { gap: 16 } } } },
    link: {
      all: {
        rest: {
          all: { size: 14, paddingInline: 0, paddingBlock: 6, ...values },
          [NARROW]: { paddingBlock: 2 },
        },
        hover: { all: { decoration: 'underline' } },
      },
    },
  };
}
