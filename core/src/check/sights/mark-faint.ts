import type { SightCheck } from '../check.ts';
import { evidenceOf, named, spotOf, whereSeen } from './words.ts';

/** Contrast that a mark needs. */
const NEEDED = 3;

/** Contrast below which a mark is as good as not there. */
const UNSEEN = 1.5;

/** A drawing in a control that hardly differs from its ground (WCAG 2.2, 1.4.11). */
export const markFaint: SightCheck = {
  of: 'sight',
  id: 'mark-faint',
  asks: 'page',
  sees: 'faint',
  yieldsTo: ['text-contrast'],
  label: 'A mark that cannot be seen',
  why: 'A control that is known by its drawing alone is not there for who does not see it.',
  check: (sight, { site }) => {
    const ratio = sight.amount;
    if (ratio >= NEEDED) return null;
    return {
      outcome: ratio < UNSEEN ? 'fail' : 'look',
      reason: `The mark of ${named(site, sight)} has ${Math.floor(ratio * 10) / 10} : 1 to its ground ${whereSeen(sight)}, where ${NEEDED} : 1 is needed.`,
      evidence: evidenceOf(site, sight),
      at: spotOf(site, sight, 'colour'),
    };
  },
};
