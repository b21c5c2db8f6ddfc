import type { LinkCheck } from '../check.ts';

/** A link that neither leads anywhere nor opens anything. */
export const noTarget: LinkCheck = {
  of: 'link',
  id: 'no-target',
  label: 'No target',
  why: 'Visitors press it and nothing happens.',
  check: ({ item }) => {
    if (
      item.target.kind !== 'none' ||
      item.role === 'heading' ||
      item.role === 'divider' ||
      item.children.length > 0
    )
      return null;
    return { outcome: 'fail', reason: 'The link leads nowhere and opens nothing.', evidence: 'no target' };
  },
};
