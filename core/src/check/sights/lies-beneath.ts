import type { SightCheck } from '../check.ts';
import { evidenceOf, named, spotOf, whereSeen } from './words.ts';

/** Two things of a piece in one place. */
export const liesBeneath: SightCheck = {
  of: 'sight',
  id: 'lies-beneath',
  asks: 'page',
  sees: 'beneath',
  label: 'Things that lie over one another',
  why: 'Neither can be read, and a press meets the wrong one.',
  check: (sight, { site }) => ({
    outcome: 'fail',
    reason: `${named(site, sight)} and ${sight.other ? `“${sight.other}”` : 'a drawing'} lie ${Math.ceil(sight.amount)} px over one another ${whereSeen(sight)}.`,
    evidence: evidenceOf(site, sight),
    at: spotOf(site, sight, 'paddingInline'),
  }),
};
