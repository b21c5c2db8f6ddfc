import { own } from '../../base/json.ts';
import { fail, succeed } from '../../base/result.ts';
import type { ValueKind } from '../value-kind.ts';

/** One keyword out of a list. */
export const CHOICE: ValueKind<'choice', string> = {
  id: 'choice',
  accepts: ({ choices }, value) => typeof value === 'string' && Object.hasOwn(choices, value),
  allowed: ({ choices }) => `one of ${Object.keys(choices).join(', ')}`,
  schema: ({ choices }) => ({ enum: Object.keys(choices) }),
  // A keyword, or the start of the only one it can be.
  parse: ({ choices, label }, text) => {
    const wanted = text.toLowerCase();
    const keywords = Object.keys(choices);
    const starts = keywords.filter((keyword) => keyword.startsWith(wanted));
    const found =
      keywords.find((keyword) => keyword === wanted) ?? (starts.length === 1 ? starts[0] : undefined);
    return found === undefined ? fail(`${label} is one of ${keywords.join(', ')}`) : succeed(found);
  },
  step: ({ choices }, value, steps) => {
    if (typeof value !== 'string') return null;
    const keywords = Object.keys(choices);
    const next = keywords.indexOf(value) - Math.sign(steps) + keywords.length;
    return keywords[next % keywords.length] ?? null;
  },
  css: (value, _out, { choices }) => own(choices, value as string) ?? '',
};
