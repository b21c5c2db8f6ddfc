import type { LinkCheck } from '../check.ts';

/** A link without a label, or one whose hidden label has nothing to be seen instead. */
export const labelEmpty: LinkCheck = {
  of: 'link',
  id: 'label-empty',
  label: 'No label',
  why: 'Nothing can be seen or heard of it.',
  check: ({ item }) => {
    if (item.role === 'divider') return null;
    if (item.label.trim() === '')
      return {
        outcome: 'fail',
        reason:
          item.name === undefined
            ? 'The link has no label.'
            : 'The link has a name for assistive technology but no label.',
        evidence: 'empty',
      };
    if (item.labelHidden && item.icon === undefined && item.image === undefined) {
      return {
        outcome: 'fail',
        reason: 'The label is hidden, and there is neither an icon nor a picture to see.',
        evidence: item.label,
        fix: {
          label: 'Show the label',
          edit: { name: 'set-item', args: { id: item.id, fields: { labelHidden: null } } },
        },
      };
    }
    return null;
  },
};
