import type { ReactNode } from 'react';

/** Drawings of named values, by their keys. */
export type Drawings = Readonly<Record<string, ReactNode>>;

const bars = (path: string) => (
  <>
    <rect x="9" y="2" width="26" height="20" className="stroke-rope" strokeWidth="1" />
    <path d={path} fill="currentColor" stroke="none" />
  </>
);

const written = (words: string) => (
  <text x="22" y="16" textAnchor="middle" className="fill-ink text-[11px]" stroke="none">
    {words}
  </text>
);

/** Three lines, and what they turn into. */
const turning = (into: ReactNode) => (
  <>
    <path d="M4 6h14M4 12h14M4 18h14" strokeOpacity="0.45" />
    {into}
  </>
);

/** Drawings of the named values of settings, by the kind of thing and the setting's name. */
export const SETTING_DRAWINGS: Readonly<Record<string, Drawings>> = {
  'opener.drawing': {
    lines: <path d="M13 6h18M13 12h18M13 18h18" />,
    two: <path d="M13 8.5h18M13 15.5h18" />,
    uneven: <path d="M13 6h18M13 12h12M13 18h15" />,
    dots: (
      <path
        d="M15 5h.01M22 5h.01M29 5h.01M15 12h.01M22 12h.01M29 12h.01M15 19h.01M22 19h.01M29 19h.01"
        strokeWidth="4"
        strokeLinecap="round"
      />
    ),
    plus: <path d="M22 4v16M14 12h16" />,
    none: written('Menu'),
  },
  'opener.turns': {
    none: <path d="M4 6h14M4 12h14M4 18h14M26 6h14M26 12h14M26 18h14" />,
    cross: turning(<path d="M28 7l10 10M38 7L28 17" />),
    spin: turning(
      <>
        <path d="M28 7l10 10M38 7L28 17" />
        <path d="M25 12a8 8 0 0 1 14-5" strokeWidth="1" />
      </>,
    ),
    gather: turning(
      <>
        <path d="M20 12h6" />
        <path d="M31 7l10 10M41 7L31 17" />
      </>,
    ),
    fade: turning(<path d="M28 7l10 10M38 7L28 17" strokeOpacity="0.45" />),
    grow: turning(<path d="M31 10l4 4M35 10l-4 4" />),
    flip: turning(<path d="M31 7l4 10M35 7l-4 10" />),
  },
  'panel.closeAs': {
    drawing: <path d="M17 7l10 10M27 7L17 17" />,
    word: written('Close'),
    both: (
      <>
        <path d="M4 9l6 6M10 9l-6 6" />
        <text x="13" y="16" className="fill-ink text-[10px]" stroke="none">
          Close
        </text>
      </>
    ),
    opener: turning(<path d="M28 7l10 10M38 7L28 17" />),
    none: <path d="M17 7l10 10M27 7L17 17" strokeOpacity="0.2" />,
  },
  'block.flow': {
    stack: bars('M12 5h20v3H12zM12 10h20v3H12zM12 15h20v3H12z'),
    row: bars('M12 9h5v6h-5zM19 9h5v6h-5zM26 9h5v6h-5z'),
  },
  'block.align': {
    wide: bars('M11 6h22v4H11zM11 13h22v4H11z'),
    start: bars('M11 6h10v4H11zM11 13h14v4H11z'),
    centre: bars('M17 6h10v4H17zM15 13h14v4H15z'),
    end: bars('M23 6h10v4H23zM19 13h14v4H19z'),
  },
};

/** A named value as a drawing. */
export function ChoiceDrawing({
  drawing,
  colour,
}: {
  readonly drawing: ReactNode;
  readonly colour?: string;
}) {
  return (
    <svg viewBox="0 0 44 24" className="h-6 w-11" aria-hidden="true" data-drawing="">
      <g
        stroke="currentColor"
        strokeWidth="2"
        fill="none"
        style={colour === undefined ? {} : { color: colour }}
      >
        {drawing}
      </g>
    </svg>
  );
}
