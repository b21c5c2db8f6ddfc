import { ICON_MOTIONS, type Keyframes } from '../kinds/properties/icon-motions.ts';
import { styleRule, type ConditionalRule } from '../print/trees.ts';
import type { CompileContext } from './context.ts';

const MOTIONS = Object.entries<Keyframes>({
  ...ICON_MOTIONS,
  // Out of sight and in nobody's way; engines that do not know when to display something know the rest.
  wait: [['0%, 100%', ['display', 'none'], ['visibility', 'hidden'], ['position', 'absolute']]],
  // On one line, whatever is on it.
  hold: [['0%, 100%', ['flex-wrap', 'nowrap'], ['overflow', 'hidden'], ['white-space', 'nowrap']]],
});

/** The movements that are named somewhere, each once, in the catalogue's order. */
export const keyframeRules = ({ names }: CompileContext, used: ReadonlySet<string>): ConditionalRule[] =>
  used.size === 0
    ? []
    : MOTIONS.filter(([name]) => used.has(names.prefix + name)).flatMap(([name, steps]) =>
        steps.map(([at, ...declarations]) =>
          styleRule(at, declarations, `@keyframes ${names.prefix}${name}`),
        ),
      );
