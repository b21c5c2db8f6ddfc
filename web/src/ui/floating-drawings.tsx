import type { ReactNode } from 'react';
import { filled, windowed } from './panel-drawings.tsx';
import type { Drawings } from './setting-drawings.tsx';

/** A disc of the drawing, in its middle's place. */
const disc = (x: number, y: number, radius = 2.2, opacity = 1) => (
  <circle
    key={`${x} ${y}`}
    cx={x}
    cy={y}
    r={radius}
    fill="currentColor"
    fillOpacity={opacity}
    stroke="none"
  />
);

const discAt = (x: number, y: number) => windowed(disc(x, y));

const FLOATS_AT: Drawings = {
  'at the bottom, end': discAt(31, 17),
  'at the bottom': discAt(22, 17),
  'at the bottom, start': discAt(13, 17),
  'at the end': discAt(31, 12),
  'at the start': discAt(13, 12),
  'at the top, end': discAt(31, 7),
  'at the top': discAt(22, 7),
  'at the top, start': discAt(13, 7),
  'along the bottom': windowed(filled('M9 16h26v5H9z')),
};

const APPEARS: Drawings = {
  'at once': discAt(31, 17),
  'after a distance': windowed(
    <>
      {disc(31, 17)}
      <path d="M5 3v18" strokeWidth="1" strokeDasharray="2 1.5" />
      <path d="M39 7v10M37 14.5l2 2.5 2-2.5" strokeWidth="1.5" />
    </>,
  ),
};

/** An opener in the corner with something around it. */
const around = (more: ReactNode) =>
  windowed(
    <>
      {disc(31, 17.5, 2.4)}
      {more}
    </>,
  );

const RING_FORMS: Drawings = {
  'on an arc': around([disc(20, 17.5), disc(23, 10), disc(31, 7)]),
  'in a column': around([disc(31, 12), disc(31, 7)]),
  'in a row': around([disc(25, 17.5), disc(19.5, 17.5), disc(14, 17.5)]),
};

const pill = (opacity: number) => (
  <rect x="12" y="10" width="12" height="4" rx="1" fill="currentColor" fillOpacity={opacity} stroke="none" />
);

const RING_LABELS: Drawings = {
  'at pointing': windowed(
    <>
      {disc(29, 12, 3)}
      {pill(0.6)}
      <path d="M28 13l4 5 1-2.5 2.5-1z" className="stroke-ink" strokeWidth="0.75" fill="none" />
    </>,
  ),
  'in sight': windowed(
    <>
      {disc(29, 12, 3)}
      {pill(0.6)}
    </>,
  ),
  'read out alone': windowed(
    <>
      {disc(29, 12, 3)}
      <path d="M14 10q3 2 0 4M17 8.5q5 3.5 0 7M20 7q7 5 0 10" strokeWidth="1" />
    </>,
  ),
};

const RING_COMES: Drawings = {
  together: around([disc(20, 17.5), disc(23, 10), disc(31, 7)]),
  'one after the other': around([disc(20, 17.5, 2.2, 1), disc(23, 10, 2.2, 0.5), disc(31, 7, 2.2, 0.2)]),
  'at once': around(<path d="M14 8l8 8M22 8l-8 8" strokeWidth="1" strokeOpacity="0.5" />),
};

/** Drawings of the named values of what floating menus are placed and arranged by. */
export const FLOATING_DRAWINGS: Readonly<Record<string, Drawings>> = {
  floatsAt: FLOATS_AT,
  appears: APPEARS,
  ringForm: RING_FORMS,
  ringLabels: RING_LABELS,
  ringComes: RING_COMES,
};
