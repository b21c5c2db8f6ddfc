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

/** Each style has a line as wide as the others', so that buttons beside one another are as high. */
const lined = (colour: NonNullable<Values['colour']>): Values =>
  edged({ line: { width: 2, style: 'solid', colour: colour as never } });

const INK = { role: 'ink' } as const;

/** Ways to draw a call to action, in roles alone, at rest and pointed at. */
export const ACTION_STYLES = {
  solid: {
    rest: { fill: ACCENT, colour: ON_ACCENT, ...lined(ACCENT) },
    hover: { fill: INK, colour: { role: 'paper' }, ...lined(INK) },
  },
  outline: {
    rest: {
      fill: NONE,
      colour: ACCENT,
      ...lined(ACCENT),
    },
    hover: { fill: ACCENT, colour: ON_ACCENT, ...lined(ACCENT) },
  },
  quiet: {
    rest: { fill: NONE, colour: ACCENT, ...lined(NONE) },
    hover: { fill: { role: 'soft' }, colour: ACCENT, ...lined(NONE) },
  },
} as const satisfies Readonly<Record<string, { readonly rest: Values; readonly hover: Values }>>;

export type ActionStyle = keyof typeof ACTION_STYLES;
