import { hrefOf, targetKey } from '../../links/target.ts';
import type { LinkCheck } from '../check.ts';

/** The same target twice in one menu. */
export const repeatedTarget: LinkCheck = {
  of: 'link',
  id: 'repeated-target',
  label: 'The same target twice',
  why: 'Two links of one menu to one place make visitors look for a difference.',
  check: (placed, { site, byTarget }) => {
    const key = targetKey(site, placed.item.target);
    const [first] = (key === null ? undefined : byTarget.get(key)) ?? [];
    // A parent's own page once more as the first link beneath it is a usual way to reach it.
    if (!first || first.item.id === placed.item.id || placed.parent?.id === first.item.id) return null;
    return {
      outcome: 'look',
      reason: `“${first.item.label}” leads to the same place.`,
      evidence: hrefOf(site, placed.item.target) ?? '',
    };
  },
};
