import { hrefOf, targetKey } from '../../links/target.ts';
import type { LinkCheck } from '../check.ts';

/** Two labels alike that lead to different places. */
export const labelShared: LinkCheck = {
  of: 'link',
  id: 'label-shared',
  label: 'Two alike, two targets',
  why: 'Nobody can tell which of them is meant.',
  check: (placed, { site, byLabel }) => {
    const key = placed.item.label.trim().toLowerCase();
    if (key === '' || placed.item.target.kind === 'none') return null;
    const own = targetKey(site, placed.item.target);
    const other = byLabel
      .get(key)
      ?.find(
        (candidate) =>
          candidate.item.id !== placed.item.id &&
          candidate.item.target.kind !== 'none' &&
          targetKey(site, candidate.item.target) !== own,
      );
    return other
      ? {
          outcome: 'look',
          reason: `Another link with this label leads to ${hrefOf(site, other.item.target) ?? 'a panel'}.`,
          evidence: hrefOf(site, placed.item.target) ?? '',
        }
      : null;
  },
};
