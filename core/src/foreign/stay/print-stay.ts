import { printAddedSheet } from '../change/added-sheet.ts';
import { STRENGTHS } from '../change/strengths.ts';
import type { Condition } from '../sheet/rules.ts';
import { MOTION, MOTION_FROM, type StayRule, type StayWidths } from './stay-rules.ts';

/** How many ways there are to make a rule count more: by its selector, then by importance. */
export const STRENGTH_LEVELS = STRENGTHS.length * 2;

const media = (text: string): Condition => ({ kind: 'media', text });

function bandOf({ from, below }: StayWidths): Condition[] {
  if (from !== null && below !== null) return [media(`(${from}px <= width < ${below}px)`)];
  if (from !== null) return [media(`(width >= ${from}px)`)];
  return below === null ? [] : [media(`(width < ${below}px)`)];
}

/** The stylesheet that makes a header stay; `levels` says how much each rule has to count. */
export function printStay(rules: readonly StayRule[], levels: readonly number[], widths: StayWidths): string {
  const band = bandOf(widths);
  const sheet = printAddedSheet(
    rules.map(({ selector, moves, declarations }, at) => {
      const level = levels[at] ?? 0;
      const strengthen = STRENGTHS[level % STRENGTHS.length] ?? STRENGTHS[0];
      const isImportant = level >= STRENGTHS.length;
      return {
        selector: strengthen?.(selector) ?? selector,
        layer: null,
        conditions: [...band, ...(moves ? [media('(prefers-reduced-motion: no-preference)')] : [])],
        declarations: declarations.map(({ property, value, important }) => ({
          property,
          value,
          important: important || (isImportant && !property.startsWith('--')),
        })),
      };
    }),
  );
  const motions = (['slides', 'fades'] as const).filter((motion) =>
    sheet.includes(`animation: ${MOTION[motion]} `),
  );
  return [
    sheet,
    ...motions.map(
      (motion) => `@keyframes ${MOTION[motion]} {\n  from {\n    ${MOTION_FROM[motion]};\n  }\n}\n`,
    ),
  ].join('');
}
