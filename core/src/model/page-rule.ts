import { LIMITS } from '../values/limits.ts';
import { choice, group, list, optional, reference, text } from './shape/fields.ts';
import type { Infer } from './shape/field.ts';

/** A path, or the start of one with all that lies beneath it: `/learn/*`. */
const PATH_RULE = /^\/(?:[^\s?#*]*|(?:[^\s?#*]+\/)?\*)$/;

const RULE_SHAPE = {
  shown: choice({ only: 'only on', except: 'on all but' }),
  pages: list({ page: reference('page', { gone: 'removed' }) } as const, { one: 'page', max: LIMITS.pages }),
  paths: list(
    {
      path: text({
        min: 1,
        max: LIMITS.url,
        pattern: {
          test: PATH_RULE,
          allowed: 'a path such as /learn, or /learn/* with all that lies beneath',
        },
      }),
    } as const,
    { one: 'path', max: 200 },
  ),
} as const;

/** On which pages a piece is shown: on those that are named alone, or on all but those. */
export type PageRule = Infer<typeof RULE_SHAPE>;

/** The field of a piece; left out, it is shown on every page. */
export const PAGE_RULE = optional(group(RULE_SHAPE));
