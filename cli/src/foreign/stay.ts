import {
  COMINGS,
  stay,
  type Coming,
  type StayChange,
  type StayOptions,
  type ToldObstacle,
} from '@hamaca/core';
import type { Output } from '../output.ts';
import { ERRORS } from '../words.ts';
import { changePage, type Delivery } from './change-page.ts';

/** Whether a text names a way in which a header leaves and comes. */
export const isComing = (text: string): text is Coming => (COMINGS as readonly string[]).includes(text);

/** One obstacle for the terminal: what prevents it, where it is said, and the ways out. */
function obstacleInWords({ text, file, line, ways }: ToldObstacle): string {
  const place = file === null ? '' : ` (${file}:${line ?? 0})`;
  const out = ways.map((way) => `  ${way.taken ? 'done' : 'or'}: ${way.text}`);
  return [`prevented: ${text}${place}`, ...(out.length > 0 ? out : ['  no way out was found'])].join('\n');
}

/** `hamaca stay`: a header of a page stays in the window. */
export function runStay(
  from: string,
  options: StayOptions,
  delivery: Delivery,
  output: Output,
): Promise<number> {
  const reasons = {
    'no selector': ERRORS.noSelector(options.at),
    'no element': ERRORS.noElement(options.at, from),
    'no declaration': ERRORS.noDeclaration(
      [options.scrolled, options.scrolledLogo].filter(Boolean).join('; '),
    ),
    'no logo': ERRORS.noLogo(options.at),
    'no width': ERRORS.noWidth,
  };
  return changePage<StayChange, keyof typeof reasons>(
    from,
    (page, files) => stay(page, files, options),
    reasons,
    delivery,
    output,
    {
      report: ({ obstacles }) => ({ obstacles }),
      words: ({ obstacles }) => obstacles.map(obstacleInWords),
      isWhole: ({ obstacles }) => obstacles.every(({ ways }) => ways.length > 0),
    },
  );
}
