import type { LinkCheck } from '../check.ts';

/** More letters than a bar or a phone panel can show on one line. */
export const LONGEST_LABEL = { top: 30, below: 48 } as const;

/** A label that will not fit on a line. */
export const labelLong: LinkCheck = {
  of: 'link',
  id: 'label-long',
  label: 'A very long label',
  why: 'It breaks the row early, and nobody reads it to the end.',
  check: ({ item, depth }) => {
    const most = depth === 1 ? LONGEST_LABEL.top : LONGEST_LABEL.below;
    return item.label.length > most
      ? {
          outcome: 'look',
          reason: `The label has ${item.label.length} characters; more than ${most} are hard to place.`,
          evidence: item.label,
        }
      : null;
  },
};
