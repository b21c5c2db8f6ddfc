import type { ReactNode } from 'react';

/** Drawings of named values, by their keys. */
export type Drawings = Readonly<Record<string, ReactNode>>;

/** The page, and the panel over it. */
const panelFrom = (path: string) => (
  <>
    <rect x="9" y="3" width="26" height="18" className="stroke-ink" strokeWidth="1" />
    <path d={path} fill="currentColor" fillOpacity="0.6" stroke="none" />
  </>
);

const bars = (path: string) => (
  <>
    <rect x="9" y="2" width="26" height="20" className="stroke-rope" strokeWidth="1" />
    <path d={path} fill="currentColor" stroke="none" />
  </>
);

/** Drawings of the named values of settings, by the kind of thing and the setting's name. */
export const SETTING_DRAWINGS: Readonly<Record<string, Drawings>> = {
  'panel.side': {
    opener: panelFrom('M24 3h11v18H24zM26 1h7v4h-7z'),
    end: panelFrom('M24 3h11v18H24z'),
    start: panelFrom('M9 3h11v18H9z'),
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
