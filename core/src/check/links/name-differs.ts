import type { LinkCheck } from '../check.ts';

const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** An accessible name that does not hold the label (WCAG 2.2, success criterion 2.5.3). */
export const nameDiffers: LinkCheck = {
  of: 'link',
  id: 'name-differs',
  label: 'Name without its label',
  why: 'Who speaks the label they see does not reach the link (WCAG 2.5.3).',
  check: ({ item }) => {
    if (item.name === undefined || item.labelHidden || plain(item.name).includes(plain(item.label)))
      return null;
    return {
      outcome: 'fail',
      reason: `The accessible name “${item.name}” does not hold the label.`,
      evidence: item.name,
      fix: {
        label: 'Drop the accessible name',
        edit: { name: 'set-item', args: { id: item.id, fields: { name: null } } },
      },
    };
  },
};
