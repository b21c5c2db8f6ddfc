import type { Property } from '../../values/property.ts';

/** The sign that says that there is more. It is drawn as a clipped box, pointing down. */
export const SIGN_PROPERTIES = {
  sign: {
    kind: 'choice',
    label: 'sign',
    group: 'mark',
    on: 'sign',
    css: ['clip-path'],
    initial: 'angle',
    common: true,
    choices: {
      angle: 'polygon(50% 60%, 86% 24%, 97% 35%, 50% 82%, 3% 35%, 14% 24%)',
      wedge: 'polygon(8% 28%, 92% 28%, 50% 80%)',
      arrow: 'polygon(43% 4%, 57% 4%, 57% 68%, 79% 46%, 89% 56%, 50% 95%, 11% 56%, 21% 46%, 43% 68%)',
      plus: 'polygon(43% 5%, 57% 5%, 57% 43%, 95% 43%, 95% 57%, 57% 57%, 57% 95%, 43% 95%, 43% 57%, 5% 57%, 5% 43%, 43% 43%)',
      corner: 'polygon(88% 18%, 88% 88%, 18% 88%)',
      dots: 'polygon(0% 40%, 22% 40%, 22% 60%, 39% 60%, 39% 40%, 61% 40%, 61% 60%, 78% 60%, 78% 40%, 100% 40%, 100% 60%, 0% 60%)',
      dash: 'polygon(8% 43%, 92% 43%, 92% 57%, 8% 57%)',
      none: 'inset(50%)',
    },
    hint: 'what says that there is more',
    related: ['signTurn', 'signSide', 'size', 'marginInline'],
  },
  signTurn: {
    kind: 'choice',
    label: 'sign turns',
    group: 'mark',
    css: ['--turn'],
    initial: 'over',
    choices: { over: '180deg', 'a quarter': '90deg', 'to a cross': '45deg', not: '0deg' },
    hint: 'while what it stands for is open; signs of boxes beside their link point there and stay',
  },
  signSide: {
    kind: 'choice',
    label: 'sign stands',
    group: 'mark',
    css: ['order'],
    initial: 'behind',
    choices: { behind: '0', before: '-1' },
    hint: 'behind the label, or before it',
  },
} as const satisfies Record<string, Property>;
