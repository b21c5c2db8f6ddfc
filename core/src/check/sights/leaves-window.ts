import type { SightCheck } from '../check.ts';
import { evidenceOf, named, spotOf, whereSeen } from './words.ts';

/** What reaches past the window where nobody can scroll to it. */
export const leavesWindow: SightCheck = {
  of: 'sight',
  id: 'leaves-window',
  asks: 'page',
  sees: 'outside',
  label: 'Something leaves the window',
  why: 'What lies past the edge of the window cannot be read or pressed.',
  check: (sight, { site }) => ({
    outcome: 'fail',
    reason: `${named(site, sight)} reaches ${Math.ceil(sight.amount)} px past the window ${whereSeen(sight)}.`,
    evidence: evidenceOf(site, sight),
    at: spotOf(site, sight, 'paddingInline'),
  }),
};
