import type { Property } from '../../values/property.ts';
import { same } from './same.ts';

/** What becomes of a bar while the page scrolls. */
export const STICKING = [
  'scrolls away',
  'stays on top',
  'hides on the way down',
  'appears after a distance',
  'stays at the bottom',
] as const;

export type Sticking = (typeof STICKING)[number];

/** How a bar and its rows stand while the page scrolls. */
export const STICKY_PROPERTIES = {
  sticks: {
    kind: 'choice',
    label: 'while scrolling',
    group: 'placement',
    css: ['position'],
    initial: 'scrolls away',
    choices: same(...STICKING),
    arranged: true,
    unshared: true,
    common: true,
    hint: 'scrolls away with the page, stays on top, hides on the way down and comes back on the way up, appears only after a distance, or stays at the bottom of the window',
    related: ['sticksAt', 'sticksAfter'],
  },
  sticksAt: {
    kind: 'length',
    label: 'from the edge',
    group: 'placement',
    css: ['inset-block-start'],
    initial: 0,
    min: 0,
    max: 400,
    step: 1,
    arranged: true,
    unshared: true,
    hint: 'room for another bar between the window’s edge and this one',
    related: ['sticks'],
  },
  sticksAfter: {
    kind: 'length',
    label: 'appears after',
    group: 'placement',
    css: ['--after'],
    initial: 400,
    min: 0,
    max: 5000,
    step: 10,
    hint: 'how far the page is scrolled before a bar that appears after a distance does, in px',
    related: ['sticks'],
  },
  columnSticks: {
    kind: 'choice',
    label: 'while scrolling',
    group: 'placement',
    css: ['position'],
    initial: 'with the page',
    choices: same('with the page', 'stays in sight'),
    arranged: true,
    unshared: true,
    common: true,
    hint: 'goes with the page, or stays in sight as long as that lasts; longer than the window it scrolls by itself',
    related: ['sticksAt'],
  },
  rowSticks: {
    kind: 'choice',
    label: 'while scrolling',
    group: 'placement',
    css: ['position'],
    initial: 'with the bar',
    choices: same('with the bar', 'scrolls away'),
    arranged: true,
    unshared: true,
    hint: 'the upper rows of a bar that stays on top can scroll away, so that only those beneath stay',
  },
} as const satisfies Record<string, Property>;
