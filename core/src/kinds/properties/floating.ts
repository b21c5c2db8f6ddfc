import type { Property } from '../../values/property.ts';
import { same } from './same.ts';

/** Places of the window where something floats: along its edges, and over the whole width at the bottom. */
export const FLOAT_PLACES = [
  'at the bottom, end',
  'at the bottom',
  'at the bottom, start',
  'at the end',
  'at the start',
  'at the top, end',
  'at the top',
  'at the top, start',
  'along the bottom',
] as const;

export type FloatPlace = (typeof FLOAT_PLACES)[number];

/** How the links around a floating opener stand. */
export const RING_FORMS = ['on an arc', 'in a column', 'in a row'] as const;
export type RingForm = (typeof RING_FORMS)[number];

/** Where the labels of such links are. */
export const RING_LABELS = ['at pointing', 'in sight', 'read out alone'] as const;
export type RingLabels = (typeof RING_LABELS)[number];

/** How such links come. */
export const RING_COMINGS = ['together', 'one after the other', 'at once'] as const;
export type RingComing = (typeof RING_COMINGS)[number];

/** Where floating pieces stand, and how the links around their opener do. */
export const FLOATING_PROPERTIES = {
  floatsAt: {
    kind: 'choice',
    label: 'stands',
    group: 'placement',
    css: ['position'],
    initial: 'at the bottom, end',
    choices: same(...FLOAT_PLACES),
    arranged: true,
    unshared: true,
    common: true,
    bringsWith: { 'along the bottom': { height: 56 } },
    hint: 'a corner of the window, the middle of an edge, or along the whole bottom',
    related: ['floatInline', 'floatBlock', 'appears'],
  },
  floatInline: {
    kind: 'length',
    label: 'from the side',
    group: 'placement',
    css: ['inset-inline'],
    initial: 16,
    min: -400,
    max: 400,
    step: 1,
    arranged: true,
    unshared: true,
    common: true,
    hint: 'its distance from the window’s side; in the middle of an edge how far it is moved toward the end. What the device covers is added',
  },
  floatBlock: {
    kind: 'length',
    label: 'from the edge',
    group: 'placement',
    css: ['inset-block'],
    initial: 16,
    min: -400,
    max: 400,
    step: 1,
    arranged: true,
    unshared: true,
    common: true,
    hint: 'its distance from the window’s top or bottom; in the middle of a side how far it is moved down. What the device covers is added',
  },
  appears: {
    kind: 'choice',
    label: 'appears',
    group: 'placement',
    css: ['visibility'],
    initial: 'at once',
    choices: same('at once', 'after a distance'),
    arranged: true,
    unshared: true,
    common: true,
    hint: 'with the page, or once that is scrolled some way',
    related: ['sticksAfter'],
  },
  ringForm: {
    kind: 'choice',
    label: 'links stand',
    group: 'placement',
    css: ['inset'],
    initial: 'on an arc',
    choices: same(...RING_FORMS),
    arranged: true,
    unshared: true,
    common: true,
    hint: 'on as few circles around the opener as hold them, in a column or in a row beside it; where the window has no room for an arc they stand in a column that scrolls',
    related: ['ringDistance', 'ringTurn', 'ringSpan', 'ringLabels', 'ringComes'],
  },
  ringDistance: {
    kind: 'length',
    label: 'distance',
    group: 'placement',
    css: ['--distance'],
    initial: 0,
    min: 0,
    max: 400,
    step: 4,
    arranged: true,
    unshared: true,
    hint: 'of the links on an arc from the opener, from middle to middle; 0 is as near as they will stand',
    related: ['ringTurn', 'ringSpan'],
  },
  ringTurn: {
    kind: 'number',
    label: 'turned by',
    group: 'placement',
    css: ['--turn'],
    initial: 0,
    min: -180,
    max: 180,
    step: 5,
    arranged: true,
    unshared: true,
    hint: 'degrees by which the arc is turned from where it faces the middle of the window',
    related: ['ringSpan', 'ringDistance'],
  },
  ringSpan: {
    kind: 'number',
    label: 'arc',
    group: 'placement',
    css: ['--span'],
    initial: 0,
    min: 0,
    max: 360,
    step: 5,
    arranged: true,
    unshared: true,
    hint: 'degrees the arc is wide at most; 0 is as wide as there is room',
    related: ['ringTurn', 'ringDistance'],
  },
  ringLabels: {
    kind: 'choice',
    label: 'labels',
    group: 'text',
    css: ['position'],
    initial: 'at pointing',
    choices: same(...RING_LABELS),
    arranged: true,
    unshared: true,
    common: true,
    hint: 'beside a link while it is pointed at or has the focus, always in sight, or for those who listen alone; where a link has no icon, all labels are in sight, in a column where they are too long to stand whole around the opener',
  },
  ringComes: {
    kind: 'choice',
    label: 'links come',
    group: 'motion',
    css: ['transition-delay'],
    initial: 'together',
    choices: same(...RING_COMINGS),
    arranged: true,
    unshared: true,
    common: true,
    hint: 'from the opener to their places, all together or one after the other; or without a motion',
    related: ['motionTime'],
  },
} as const satisfies Record<string, Property>;
