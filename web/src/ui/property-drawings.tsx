import { ICON_MOTIONS, type Keyframes } from '@hamaca/core';
import type { ReactNode } from 'react';
import { FLOATING_DRAWINGS } from './floating-drawings.tsx';
import { PANEL_DRAWINGS } from './panel-drawings.tsx';
import { ChoiceDrawing, type Drawings } from './setting-drawings.tsx';

/*
 * Named values as small drawings: each in a box of 44 by 24, drawn in the current colour, with what is around it in ink.
 */

const word = (attributes: Readonly<Record<string, string>> = {}, text = 'Link') => (
  <text x="22" y="16" textAnchor="middle" className="fill-ink text-[11px]" stroke="none" {...attributes}>
    {text}
  </text>
);

/** A mark as it lies around a word, which stands from 10 to 34. */
const marked = (mark: ReactNode) => (
  <>
    {mark}
    {word()}
  </>
);

const MARKS: Drawings = {
  none: marked(null),
  'line under': marked(<path d="M8 20h28" />),
  'line over': marked(<path d="M8 4h28" />),
  'line through': marked(<path d="M8 12h28" />),
  'lines both': marked(<path d="M8 4h28M8 20h28" />),
  'side bar': marked(<path d="M6 4v16" />),
  box: marked(
    <rect x="5" y="3" width="34" height="18" rx="3" fillOpacity="0.35" fill="currentColor" stroke="none" />,
  ),
  notch: marked(<path d="M17 23l5-5 5 5z" fill="currentColor" stroke="none" />),
  dot: marked(<circle cx="22" cy="21" r="2" fill="currentColor" stroke="none" />),
  brackets: marked(<path d="M9 4H6v16h3M35 4h3v16h-3" />),
};

/** A line on its way: drawn as far as it has come, dashed where it goes. */
const growing = (come: string, going: string, arrows: string) => (
  <>
    <path d={going} strokeDasharray="2 2" strokeOpacity="0.6" />
    <path d={come} />
    <path d={arrows} strokeWidth="1.5" />
  </>
);

const MARK_FROM: Drawings = {
  'at once': <path d="M6 15h32" />,
  'from the start': growing('M6 15h16', 'M22 15h16', 'M22 6l4 3-4 3M6 9h18'),
  'from the centre': growing('M15 15h14', 'M6 15h32', 'M9 6l-4 3 4 3M35 6l4 3-4 3M6 9h32'),
  'from the end': growing('M22 15h16', 'M6 15h16', 'M22 6l-4 3 4 3M20 9h18'),
};

/** Way over time, from the lower left to the upper right. */
const curve = (path: string) => (
  <>
    <path d="M10 3v18h26" className="stroke-rope" strokeWidth="1" />
    <path d={path} />
  </>
);

const MOTION_CURVE: Drawings = {
  ease: curve('M10 21C16 20 16 4 36 4'),
  even: curve('M10 21L36 4'),
  'slow start': curve('M10 21C22 21 36 4 36 4'),
  'slow end': curve('M10 21C10 21 22 4 36 4'),
  'slow both': curve('M10 21C21 21 25 4 36 4'),
  spring: curve('M10 21C18 -6 24 4 36 4'),
};

/** What moves is doubled, as if seen on its way. */
const MOTION: Drawings = {
  none: (
    <>
      {word()}
      <path d="M8 20h28" className="stroke-rope" />
    </>
  ),
  colours: (
    <>
      <rect x="6" y="5" width="10" height="14" fill="currentColor" fillOpacity="0.15" stroke="none" />
      <rect x="17" y="5" width="10" height="14" fill="currentColor" fillOpacity="0.5" stroke="none" />
      <rect x="28" y="5" width="10" height="14" fill="currentColor" stroke="none" />
    </>
  ),
  mark: (
    <>
      {word()}
      <path d="M8 20h10" />
      <path d="M20 20h16" strokeDasharray="2 2" strokeOpacity="0.6" />
    </>
  ),
  everything: (
    <>
      <rect x="5" y="5" width="24" height="14" rx="2" strokeOpacity="0.35" strokeWidth="1.5" />
      <rect x="10" y="5" width="24" height="14" rx="2" strokeOpacity="0.6" strokeWidth="1.5" />
      <rect x="15" y="5" width="24" height="14" rx="2" strokeWidth="1.5" />
    </>
  ),
};

/** The box of a fill, and the picture in it, cut to the box. */
const pictured = (x: number, y: number, width: number, height: number) => (
  <>
    <svg x="7" y="3" width="30" height="18" viewBox="7 3 30 18" overflow="hidden">
      <rect x={x} y={y} width={width} height={height} fill="currentColor" fillOpacity="0.3" stroke="none" />
      <path
        d={`M${x} ${y + height}l${width * 0.4} ${-height * 0.6}l${width * 0.3} ${height * 0.35}l${width * 0.15} ${-height * 0.2}l${width * 0.15} ${height * 0.45}z`}
        fill="currentColor"
        stroke="none"
      />
    </svg>
    <rect x="7" y="3" width="30" height="18" className="stroke-ink" strokeWidth="1" />
  </>
);

const PAINT_SIZE: Drawings = {
  'as it is': pictured(7, 3, 12, 9),
  'fill the box': pictured(7, 1, 30, 22),
  'show all': pictured(10, 3, 24, 18),
  stretch: pictured(7, 3, 30, 18),
};

const PLACES = { left: 8, middle: 17, right: 26, top: 4, centre: 8.5, bottom: 13 } as const;

const PAINT_PLACE: Drawings = {
  'top left': pictured(PLACES.left, PLACES.top, 10, 7),
  top: pictured(PLACES.middle, PLACES.top, 10, 7),
  'top right': pictured(PLACES.right, PLACES.top, 10, 7),
  left: pictured(PLACES.left, PLACES.centre, 10, 7),
  middle: pictured(PLACES.middle, PLACES.centre, 10, 7),
  right: pictured(PLACES.right, PLACES.centre, 10, 7),
  'bottom left': pictured(PLACES.left, PLACES.bottom, 10, 7),
  bottom: pictured(PLACES.middle, PLACES.bottom, 10, 7),
  'bottom right': pictured(PLACES.right, PLACES.bottom, 10, 7),
};

const ALIGN: Drawings = {
  natural: <path d="M8 7h28M8 12h18M8 17h24" strokeDasharray="3 1.5" />,
  start: <path d="M8 7h28M8 12h18M8 17h24" />,
  centre: <path d="M8 7h28M13 12h18M10 17h24" />,
  end: <path d="M8 7h28M18 12h18M12 17h24" />,
};

const LETTERS: Drawings = {
  'as typed': word({}, 'Reed bed'),
  capitals: word({}, 'REED'),
  small: word({}, 'reed'),
  'initial capitals': word({}, 'Reed Bed'),
};

const DECORATION: Drawings = {
  none: word(),
  underline: word({ textDecoration: 'underline' }),
  overline: word({ textDecoration: 'overline' }),
  'line-through': word({ textDecoration: 'line-through' }),
};

/** A link in a bar, and the box that belongs to it. */
const opening = (box: string, link = 'M5 4h10') => (
  <>
    <path d={link} className="stroke-ink" />
    <path d={box} fill="currentColor" fillOpacity="0.35" strokeWidth="1" />
  </>
);

const OPENS: Drawings = {
  below: opening('M5 8h16v13H5z'),
  beside: opening('M18 3h16v13H18z'),
  across: opening('M2 8h40v12H2z'),
  'in place': (
    <>
      <path d="M5 4h12M5 20h12" className="stroke-ink" />
      <path d="M9 9h12M9 14h12" />
      <path d="M26 7v10M23 14l3 3 3-3" strokeWidth="1.5" />
    </>
  ),
  'always open': (
    <>
      <path d="M5 4h12M5 20h12" className="stroke-ink" />
      <path d="M9 9h12M9 14h12" />
    </>
  ),
  'not at all': <path d="M5 4h10" className="stroke-ink" />,
};

/** Three links as far as a bar has room. */
const MENU_FORM: Drawings = {
  'in a row': (
    <>
      <path d="M2 12h40" className="stroke-rope" strokeWidth="14" strokeOpacity="0.35" />
      <path d="M6 12h8M18 12h8M30 12h8" />
    </>
  ),
  'in a strip': (
    <>
      <path d="M2 12h40" className="stroke-rope" strokeWidth="14" strokeOpacity="0.35" />
      <path d="M2 10h6M12 10h10M26 10h10M40 10h2" />
      <path d="M6 16h16" strokeWidth="1" />
    </>
  ),
  'the rest under “more”': (
    <>
      <path d="M2 6h40" className="stroke-rope" strokeWidth="10" strokeOpacity="0.35" />
      <path d="M5 6h8M17 6h8" />
      <path d="M30 5l3 3 3-3" strokeWidth="1.5" />
      <path d="M26 12h14v10H26z" fill="currentColor" fillOpacity="0.25" strokeWidth="1" />
    </>
  ),
  'beneath one another': <path d="M14 5h16M14 12h16M14 19h16" />,
  'in columns': (
    <>
      <path d="M5 5h9M18 5h9M31 5h9" />
      <path d="M5 11h7M5 16h8M18 11h8M18 16h5M31 11h6" strokeWidth="1" />
    </>
  ),
  'at the bottom': (
    <>
      <rect x="13" y="2" width="18" height="20" className="stroke-ink" strokeWidth="1" />
      <path d="M13 17h18v5H13z" fill="currentColor" fillOpacity="0.3" stroke="none" />
      <path d="M15.5 19.5h3M20.5 19.5h3M25.5 19.5h3" strokeWidth="1.5" />
    </>
  ),
};

const LIES: Drawings = {
  'from the start': opening('M10 9h24v12H10z', 'M10 5h10'),
  centred: opening('M10 9h24v12H10z', 'M17 5h10'),
  'from the end': opening('M10 9h24v12H10z', 'M24 5h10'),
};

/** A box on its way: where it starts, dashed, and where it stands. */
const coming = (from: string, to = 'M12 4h20v17H12z') => (
  <>
    <path d={to} fill="currentColor" fillOpacity="0.25" strokeWidth="1" />
    <path d={from} strokeDasharray="2 2" strokeWidth="1" />
  </>
);

const ARRIVALS: Drawings = {
  'at once': coming(''),
  fading: (
    <>
      <path d="M5 6h9v13H5z" fill="currentColor" fillOpacity="0.1" stroke="none" />
      <path d="M17 6h9v13h-9z" fill="currentColor" fillOpacity="0.35" stroke="none" />
      <path d="M29 6h9v13h-9z" fill="currentColor" fillOpacity="0.8" stroke="none" />
    </>
  ),
  sliding: coming('M12 1h20', 'M12 7h20v14H12z'),
  growing: coming('M17 8h10v9H17z'),
  unrolling: coming('M12 9h20M12 14h20'),
  'one by one': (
    <>
      <path d="M10 5h24" />
      <path d="M10 11h24" strokeOpacity="0.6" />
      <path d="M10 17h24" strokeOpacity="0.25" />
    </>
  ),
};

/** A sign behind a word; the sign itself is drawn from the clip path that the output has. */
const sign = (path: string) => (
  <g transform="translate(15 5)">
    <path d={path} fill="currentColor" stroke="none" />
  </g>
);

const SIGNS: Drawings = {
  angle: sign('M7 8.4l5-5 1.5 1.5L7 11.5.4 4.9 2 3.4z'),
  wedge: sign('M1 4h12l-6 7.2z'),
  arrow: sign('M6 .6h2v9l3-3 1.4 1.4L7 13.3 1.5 7.8 3 6.4l3 3z'),
  plus: sign('M6 .7h2V6h5.3v2H8v5.3H6V8H.7V6H6z'),
  corner: sign('M12.3 2.5v9.8H2.5z'),
  dots: sign('M0 5.6h3v2.8H0zM5.5 5.6h3v2.8h-3zM11 5.6h3v2.8h-3z'),
  dash: sign('M1 6h12v2H1z'),
  none: <path d="M16 12h12" className="stroke-rope" strokeDasharray="1 3" />,
};

/** A sign closed and open. */
const turning = (closed: string, open: string) => (
  <>
    <path d={closed} strokeOpacity="0.5" />
    <path d={open} />
  </>
);

const TURNS: Drawings = {
  over: turning('M7 10l5 5 5-5', 'M27 15l5-5 5 5'),
  'a quarter': turning('M7 10l5 5 5-5', 'M35 7l-5 5 5 5'),
  'to a cross': turning('M12 7v10M7 12h10', 'M28 8l8 8M36 8l-8 8'),
  not: turning('M7 10l5 5 5-5', 'M27 10l5 5 5-5'),
};

const SIGN_SIDES: Drawings = {
  behind: (
    <>
      {word({ x: '17' })}
      <path d="M33 11l3 3 3-3" />
    </>
  ),
  before: (
    <>
      {word({ x: '27' })}
      <path d="M5 11l3 3 3-3" />
    </>
  ),
};

/** A bell, by which an icon is told. */
const BELL = 'M-5 4h10c-1.5-1.5-1.5-3-1.5-5a3.5 3.5 0 0 0-7 0c0 2 0 3.5-1.5 5zM-1 6.5h2';

const bell = (x: number, y: number) => <path d={BELL} transform={`translate(${x} ${y})`} strokeWidth="1.5" />;
const label = (path: string) => <path d={path} className="stroke-ink" />;

const ICON_PLACE: Drawings = {
  before: (
    <>
      {bell(11, 12)}
      {label('M20 12h18')}
    </>
  ),
  behind: (
    <>
      {bell(33, 12)}
      {label('M6 12h18')}
    </>
  ),
  above: (
    <>
      {bell(22, 8)}
      {label('M13 20h18')}
    </>
  ),
  beneath: (
    <>
      {bell(22, 16)}
      {label('M13 4h18')}
    </>
  ),
};

const ICON_ALIGN: Drawings = {
  'in the middle': (
    <>
      {bell(10, 12)}
      {label('M20 8h18M20 16h12')}
    </>
  ),
  'with the first line': (
    <>
      {bell(10, 7)}
      {label('M20 8h18M20 16h12')}
    </>
  ),
  'with the last line': (
    <>
      {bell(10, 16)}
      {label('M20 8h18M20 16h12')}
    </>
  ),
};

/** A drawing with two colours of its own, on the ground it would stand on. */
const toned = (ground: string, first: string, second: string) => (
  <>
    <rect x="6" y="2" width="32" height="20" rx="2" fill={ground} stroke="none" />
    <path d="M22 4 31 19H13z" fill={first} stroke="none" />
    <circle cx="22" cy="14" r="3.4" fill={second} stroke="none" />
  </>
);

const [DARK, MUD, LIGHT, STRAW] = ['#22333a', '#8a5a2b', '#f3f5f4', '#e0b88a'];

/** Links in columns, one of them across. */
const spanning = (path: string) => (
  <>
    <path d="M9 12h7M18.5 12h7M28 12h7M9 17h7M18.5 17h7M28 17h7" className="stroke-rope" strokeWidth="1.4" />
    <path d={path} stroke="currentColor" strokeWidth="2.4" />
  </>
);

const SPANS: Drawings = { 'one column': spanning('M9 6h7'), 'all columns': spanning('M9 6h26') };

const ICON_TONES: Drawings = {
  'as drawn': toned(LIGHT, DARK, MUD),
  'all light': toned(DARK, LIGHT, LIGHT),
  'all dark': toned(LIGHT, DARK, DARK),
  'light for dark': toned(DARK, LIGHT, STRAW),
  grey: toned(LIGHT, '#33393b', '#8b8f91'),
};

const ICON_SHOWS: Drawings = {
  'with its label': ICON_PLACE['before'],
  'instead of it': bell(22, 12),
  'not at all': label('M13 12h18'),
};

/** A movement as the output has it, under a name of the interface's own. */
function keyframes(name: string, steps: Keyframes): string {
  const frames = steps.map(([at, ...declarations]) => {
    const lines = declarations.map(([property, value]) => `${property}:${value}`);
    return `${at}{${lines.join(';')}}`;
  });
  return `@keyframes icon-${name}{${frames.join('')}}`;
}

/** An icon that moves as it is named, now and again. */
const moving = (name: string, steps: Keyframes) => (
  <>
    <style>{keyframes(name, steps)}</style>
    <g transform="translate(22 12) scale(1.3)">
      <g
        style={{
          animation: `icon-${name} 1.2s ease infinite`,
          transformBox: 'fill-box',
          transformOrigin: 'center',
        }}
      >
        <path d={BELL} strokeWidth="1.5" />
      </g>
    </g>
  </>
);

const ICON_MOTION: Drawings = {
  none: bell(22, 12),
  ...Object.fromEntries(
    Object.entries<Keyframes>(ICON_MOTIONS).map(([name, steps]) => [name, moving(name, steps)]),
  ),
};

const STYLE: Drawings = { upright: word(), italic: word({ fontStyle: 'italic' }) };

/** Drawings of the named values of properties, by the property's id. */
export const PROPERTY_DRAWINGS: Readonly<Record<string, Drawings>> = {
  style: STYLE,
  letters: LETTERS,
  decoration: DECORATION,
  align: ALIGN,
  paintSize: PAINT_SIZE,
  paintPlace: PAINT_PLACE,
  mark: MARKS,
  markFrom: MARK_FROM,
  motion: MOTION,
  motionCurve: MOTION_CURVE,
  opens: OPENS,
  menuForm: MENU_FORM,
  lies: LIES,
  arrives: ARRIVALS,
  leaves: ARRIVALS,
  sign: SIGNS,
  signTurn: TURNS,
  signSide: SIGN_SIDES,
  iconPlace: ICON_PLACE,
  iconAlign: ICON_ALIGN,
  iconShows: ICON_SHOWS,
  iconTone: ICON_TONES,
  spans: SPANS,
  iconMotion: ICON_MOTION,
  comeCurve: MOTION_CURVE,
  ...PANEL_DRAWINGS,
  ...FLOATING_DRAWINGS,
};

export interface PropertyDrawingProps {
  readonly property: string;
  readonly choice: string;
  readonly colour: string;
}

/** What a named value of a property looks like; its name where it has no drawing. */
export function PropertyDrawing({ property, choice, colour }: PropertyDrawingProps) {
  const drawing = PROPERTY_DRAWINGS[property]?.[choice];
  return drawing === undefined ? choice : <ChoiceDrawing drawing={drawing} colour={colour} />;
}
