import type { SightCheck } from '../check.ts';
import { evidenceOf, named, spotOf, whereSeen } from './words.ts';

/** What can be pressed and is smaller than anybody may ask for (WCAG 2.2, 2.5.8). */
export const targetTiny: SightCheck = {
  of: 'sight',
  id: 'target-tiny',
  asks: 'page',
  sees: 'small',
  yieldsTo: ['target-small'],
  label: 'A target under 24 px',
  why: 'Who points with a finger or an unsteady hand misses it.',
  check: (sight, { site }) => ({
    outcome: 'fail',
    reason: `${named(site, sight)} can be pressed on ${Math.floor(sight.amount * 10) / 10} px ${whereSeen(sight)}, where 24 px are needed.`,
    evidence: evidenceOf(site, sight),
    at: spotOf(site, sight, 'paddingBlock'),
  }),
};
