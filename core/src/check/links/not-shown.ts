import type { LinkCheck } from '../check.ts';

/** A link deeper than any placement of its menu shows. */
export const notShown: LinkCheck = {
  of: 'link',
  id: 'not-shown',
  label: 'Deeper than shown',
  why: 'It stands in the menu but no visitor sees it.',
  check: ({ depth }, { shownDepth }) => {
    if (shownDepth === null || depth <= shownDepth) return null;
    return {
      outcome: 'look',
      reason: `No placement of this menu shows level ${depth}; the deepest shows ${shownDepth}.`,
      evidence: `level ${depth}`,
    };
  },
};
