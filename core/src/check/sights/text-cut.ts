import type { SightCheck } from '../check.ts';
import { evidenceOf, named, spotOf, whereSeen } from './words.ts';

/** Words of which a part is not to be seen. */
export const textCut: SightCheck = {
  of: 'sight',
  id: 'text-cut',
  asks: 'page',
  sees: 'cut',
  label: 'Text that is cut',
  why: 'What is cut cannot be read by anybody, and nothing says that there is more.',
  check: (sight, { site }) => ({
    outcome: 'fail',
    reason: `${named(site, sight)} is cut by ${Math.ceil(sight.amount)} px ${whereSeen(sight)}.`,
    evidence: evidenceOf(site, sight),
    at: spotOf(site, sight, 'size'),
  }),
};
