import type { ReactNode } from 'react';
import type { Drawings } from './setting-drawings.tsx';

/*
 * Panels as small drawings in a box of 44 by 24: the window in ink, what lies over it filled in the current colour.
 */

/** A window with what is drawn in it. */
export const windowed = (inside: ReactNode) => (
  <>
    {inside}
    <rect x="9" y="3" width="26" height="18" className="stroke-ink" strokeWidth="1" />
  </>
);

/** A shape of what lies in it. */
export const filled = (path: string, opacity = 0.6) => (
  <path d={path} fill="currentColor" fillOpacity={opacity} stroke="none" />
);

/** The window with a panel in it. */
const over = (path: string, more: ReactNode = null) =>
  windowed(
    <>
      {filled(path)}
      {more}
    </>,
  );

const STANDS: Drawings = {
  'at its opener’s side': over(
    'M24 3h11v18H24z',
    <path d="M28 5.5h5M28 8h5" className="stroke-ink" strokeWidth="1" />,
  ),
  'at the start': over('M9 3h11v18H9z'),
  'at the end': over('M24 3h11v18H24z'),
  'at the top': over('M9 3h26v8H9z'),
  'at the bottom': over('M9 13h26v8H9z'),
  'over the whole window': over('M9 3h26v18H9z'),
  'in the middle': over('M15 7h14v10H15z'),
  'beneath the bar': over('M9 8h26v9H9z', <path d="M9 8h26" className="stroke-ink" strokeWidth="1" />),
};

const TALL: Drawings = {
  'as usual': over(
    'M24 3h11v18H24z',
    <path d="M24 12h11" className="stroke-ink" strokeDasharray="2 2" strokeWidth="1" />,
  ),
  'the whole window': over('M24 3h11v18H24z'),
  'its content': over('M24 3h11v9H24z'),
};

const BLOCKS: Drawings = {
  'beneath one another': windowed(
    <>
      {filled('M9 3h26v9H9z')}
      {filled('M9 12h26v9H9z', 0.25)}
    </>,
  ),
  'side by side': windowed(
    <>
      {filled('M9 3h13v18H9z')}
      {filled('M22 3h13v18H22z', 0.25)}
    </>,
  ),
};

/** Columns at the end of a page, with their links. */
const COLUMNS: Drawings = {
  'beneath one another': windowed(<path d="M14 8h16M14 12h16M14 16h16" />),
  'side by side': windowed(
    <path d="M12 11h5M20 11h5M28 11h5M12 14h5M20 14h5M28 14h5M12 17h5M20 17h5M28 17h5" />,
  ),
};

const lines = (...heights: readonly number[]) =>
  windowed(<path d={heights.map((y) => `M14 ${y}h16`).join('')} />);

const CONTENT: Drawings = {
  'at the top': lines(6.5, 10),
  'in the middle': lines(10.25, 13.75),
  'at the bottom': lines(14, 17.5),
  'spread out': lines(6.5, 12, 17.5),
};

const crossAt = (x: number, y: number) => <path d={`M${x} ${y}l5 5M${x + 5} ${y}l-5 5`} strokeWidth="1.5" />;
const content = filled('M12 11h20v7H12z', 0.25);

const CLOSE_STANDS: Drawings = {
  'at the end': windowed(
    <>
      {content}
      {crossAt(28, 4.5)}
    </>,
  ),
  'at the start': windowed(
    <>
      {content}
      {crossAt(11, 4.5)}
    </>,
  ),
  'in the middle': windowed(
    <>
      {content}
      {crossAt(19.5, 4.5)}
    </>,
  ),
  'beneath all': windowed(
    <>
      {filled('M12 5h20v7H12z', 0.25)}
      {crossAt(19.5, 14.5)}
    </>,
  ),
};

const CLOSE_LIES: Drawings = {
  'beside the content': windowed(
    <>
      {content}
      {crossAt(28, 4.5)}
    </>,
  ),
  'over the content': windowed(
    <>
      {filled('M9 3h26v18H9z', 0.3)}
      {crossAt(28, 4.5)}
    </>,
  ),
  'over its opener': windowed(
    <>
      <path d="M27 5h6M27 7.5h6M27 10h6" className="stroke-ink" strokeWidth="1" strokeOpacity="0.5" />
      {crossAt(27.5, 5)}
    </>,
  ),
};

const PAGE_BEHIND: Drawings = {
  stays: over('M24 3h11v18H24z'),
  'is pushed aside': windowed(
    <>
      {filled('M24 3h11v18H24z')}
      <path d="M21 12H6M9 9l-3 3 3 3" strokeWidth="1.5" />
    </>,
  ),
  'is drawn smaller': windowed(
    <>
      {filled('M24 3h11v18H24z')}
      <rect
        x="12"
        y="6"
        width="17"
        height="12"
        className="stroke-ink"
        strokeWidth="1"
        strokeDasharray="2 1.5"
      />
    </>,
  ),
};

const arrow = (path: string) => <path d={path} strokeWidth="1.5" />;

const COMES: Drawings = {
  'at once': over('M13 5h18v14H13z'),
  fading: windowed(
    <>
      {filled('M13 5h6v14h-6z', 0.15)}
      {filled('M19 5h6v14h-6z', 0.4)}
      {filled('M25 5h6v14h-6z', 0.8)}
    </>,
  ),
  sliding: over('M19 5h16v14H19z', arrow('M17 12H5M8 9l-3 3 3 3')),
  'fading and sliding': windowed(
    <>
      {filled('M19 5h16v14H19z', 0.25)}
      {arrow('M17 12H5M8 9l-3 3 3 3')}
    </>,
  ),
  growing: windowed(
    <>
      {filled('M19 9.5h6v5h-6z')}
      <rect x="13" y="5.5" width="18" height="13" strokeWidth="1" strokeDasharray="2 2" />
    </>,
  ),
  unrolling: over('M12 4h20v6H12z', arrow('M22 11v8M19 16l3 3 3-3')),
  'as a curtain': windowed(
    <>
      {filled('M18 5h8v14h-8z')}
      {arrow('M16 12h-5M13 10l-2 2 2 2M28 12h5M31 10l2 2-2 2')}
    </>,
  ),
  'one by one': windowed(
    <>
      <path d="M13 7h18" />
      <path d="M15 12h16" strokeOpacity="0.6" />
      <path d="M18 17h13" strokeOpacity="0.3" />
    </>,
  ),
};

const FROM: Drawings = {
  'its own edge': windowed(<path d="M33 12H19M22 9l-3 3 3 3" strokeDasharray="2 1.5" />),
  'where it came from': windowed(<path d="M13 12h14M24 9l3 3-3 3" strokeDasharray="2 1.5" />),
  'the start': windowed(<path d="M11 12h14M22 9l3 3-3 3" />),
  'the end': windowed(<path d="M33 12H19M22 9l-3 3 3 3" />),
  'the top': windowed(<path d="M22 5v12M19 14l3 3 3-3" />),
  'the bottom': windowed(<path d="M22 19V7M19 10l3-3 3 3" />),
};

const FIXED: Drawings = {
  'in its row': windowed(
    <>
      {filled('M9 3h26v6H9z', 0.25)}
      {filled('M29 4.5h4v3h-4z')}
    </>,
  ),
  'at the top, end': windowed(filled('M28 5h5v5h-5z')),
  'at the top, start': windowed(filled('M11 5h5v5h-5z')),
  'at the bottom, end': windowed(filled('M28 14h5v5h-5z')),
  'at the bottom, start': windowed(filled('M11 14h5v5h-5z')),
  'at the end': windowed(filled('M30 9h5v6h-5z')),
  'at the start': windowed(filled('M9 9h5v6H9z')),
};

/** A page, its bar, and which way it is scrolled. */
const scrolled = (bar: string, way: string, more: ReactNode = null) =>
  windowed(
    <>
      {filled(bar)}
      {more}
      <path d={way} strokeWidth="1.5" />
    </>,
  );

const DOWN = 'M39 7v10M37 14.5l2 2.5 2-2.5';
const UP = 'M39 17V7M37 9.5l2-2.5 2 2.5';
const GONE = <path d="M9 0.5h26v2.5H9z" fill="currentColor" fillOpacity="0.25" stroke="none" />;

const STICKS: Drawings = {
  'scrolls away': scrolled('M9 -1h26v2H9z', DOWN, GONE),
  'stays on top': scrolled('M9 3h26v5H9z', DOWN),
  'hides on the way down': scrolled('M9 3h26v5H9z', UP),
  'appears after a distance': scrolled(
    'M9 3h26v5H9z',
    DOWN,
    <path d="M5 3v18" strokeWidth="1" strokeDasharray="2 1.5" />,
  ),
  'stays at the bottom': scrolled('M9 16h26v5H9z', DOWN),
};

const ROW_STICKS: Drawings = {
  'with the bar': scrolled(
    'M9 3h26v6H9z',
    DOWN,
    <path d="M9 6h26" className="stroke-ink" strokeWidth="0.75" />,
  ),
  'scrolls away': scrolled('M9 3h26v3H9z', DOWN, GONE),
};

const COLUMN_STICKS: Drawings = {
  'with the page': scrolled('M9 -1h8v8H9z', DOWN, GONE),
  'stays in sight': scrolled('M9 3h8v14H9z', DOWN),
};

function without(name: string, drawings: Drawings): Drawings {
  return Object.fromEntries(Object.entries(drawings).filter(([own]) => own !== name));
}

/** Drawings of the named values of what panels and their openers are placed and moved by. */
export const PANEL_DRAWINGS: Readonly<Record<string, Drawings>> = {
  stands: STANDS,
  tall: TALL,
  blocksStand: BLOCKS,
  contentStands: CONTENT,
  closeStands: CLOSE_STANDS,
  closeLies: CLOSE_LIES,
  pageBehind: PAGE_BEHIND,
  comesIn: COMES,
  goesOut: without('one by one', { 'as it came': FROM['where it came from'], ...COMES }),
  comesFrom: without('where it came from', FROM),
  goesTo: without('its own edge', FROM),
  sticks: STICKS,
  rowSticks: ROW_STICKS,
  columnSticks: COLUMN_STICKS,
  columnsStand: COLUMNS,
  fixedAt: FIXED,
};
