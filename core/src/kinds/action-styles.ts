import type { Values } from '../model/look.ts';

const ACCENT = { role: 'accent' } as const;
const ON_ACCENT = { role: 'on-accent' } as const;
const NONE = { literal: 'transparent' } as const;

const edged = (line: Values['lineTop'] & object): Values => ({
  lineTop: line,
  lineBottom: line,
  lineStart: line,
  lineEnd: line,
});

const NO_LINE = edged({ line: null });

/** Ways to draw a call to action, in roles alone, at rest and pointed at. */
export const ACTION_STYLES = {
  solid: {
    rest: { fill: ACCENT, colour: ON_ACCENT, ...NO_LINE },
    hover: { fill: { role: 'ink' }, colour: { role: 'paper' } },
  },
  outline: {
    rest: {
      fill: NONE,
      colour: ACCENT,
      ...edged({ line: { width: 2, style: 'solid', colour: ACCENT } }),
    },
    hover: { fill: ACCENT, colour: ON_ACCENT },
  },
  quiet: {
    rest: { fill: NONE, colour: ACCENT, ...NO_LINE },
    hover: { fill: { role: 'soft' }, colour: ACCENT },
  },
} as const satisfies Readonly<Record<string, { readonly rest: Values; readonly hover: Values }>>;

export type ActionStyle = keyof typeof ACTION_STYLES;
