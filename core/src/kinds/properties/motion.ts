import type { Property } from '../../values/property.ts';
import { same } from './same.ts';

/** How what opens comes, and how it goes. */
export const ARRIVALS = ['at once', 'fading', 'sliding', 'growing', 'unrolling', 'one by one'] as const;

export type Arrival = (typeof ARRIVALS)[number];

/** What coming and going have in common. */
const ON_ITS_WAY = {
  kind: 'choice',
  group: 'motion',
  moves: true,
  css: ['transition-behavior'],
  initial: 'at once',
  choices: same(...ARRIVALS),
  arranged: true,
  brings: { motionTime: 200 },
} as const;

/** Opacity, and what moves smoothly from state to state. */
export const MOTION_PROPERTIES = {
  opacity: {
    kind: 'number',
    label: 'opacity',
    group: 'motion',
    paints: true,
    css: ['opacity'],
    initial: 100,
    min: 0,
    max: 100,
    step: 1,
    unit: '%',
    hint: 'of the box and everything in it, in per cent',
  },
  motion: {
    kind: 'choice',
    label: 'motion',
    group: 'motion',
    moves: true,
    css: ['transition-property'],
    initial: 'everything',
    choices: {
      none: 'none',
      colours: 'color, background-color, border-color, outline-color, text-shadow, box-shadow, opacity',
      mark: 'scale, opacity',
      everything: 'all',
    },
    hint: 'what moves smoothly from state to state; never where a visitor asked for no motion',
    related: ['motionTime', 'motionCurve', 'motionDelay'],
  },
  arrives: {
    ...ON_ITS_WAY,
    label: 'arrives',
    hint: 'how the box comes once it is opened; never moving where a visitor asked for no motion',
    related: ['leaves', 'motionTime', 'motionCurve', 'motionDelay'],
  },
  leaves: {
    ...ON_ITS_WAY,
    label: 'leaves',
    hint: 'how the box goes once it is closed',
    related: ['arrives', 'motionTime'],
  },
  motionTime: {
    kind: 'number',
    label: 'motion time',
    group: 'motion',
    moves: true,
    css: ['transition-duration'],
    initial: 0,
    min: 0,
    max: 3000,
    step: 10,
    unit: 'ms',
    hint: 'in milliseconds; 0 is at once',
    related: ['motion', 'motionCurve', 'motionDelay'],
  },
  motionCurve: {
    kind: 'choice',
    label: 'motion curve',
    group: 'motion',
    moves: true,
    css: ['transition-timing-function'],
    initial: 'ease',
    choices: {
      ease: 'ease',
      even: 'linear',
      'slow start': 'ease-in',
      'slow end': 'ease-out',
      'slow both': 'ease-in-out',
      spring: 'cubic-bezier(0.34, 1.56, 0.64, 1)',
    },
    hint: 'how the speed changes on the way; without a motion time nothing moves',
    brings: { motionTime: 200 },
    related: ['motionTime', 'motionDelay'],
  },
  motionDelay: {
    kind: 'number',
    label: 'motion delay',
    group: 'motion',
    moves: true,
    css: ['transition-delay'],
    initial: 0,
    min: 0,
    max: 3000,
    step: 10,
    unit: 'ms',
    hint: 'in milliseconds',
  },
} as const satisfies Record<string, Property>;
