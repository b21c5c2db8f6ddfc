import { refuseUrl } from '../../values/url.ts';
import type { LinkCheck } from '../check.ts';

/** A scheme that runs or loads something instead of leading somewhere. */
export const refusedScheme: LinkCheck = {
  of: 'link',
  id: 'refused-scheme',
  label: 'An address that is not allowed',
  why: 'Scripts and data in links are a way in for attackers.',
  check: ({ item }) => {
    const refused = item.target.kind === 'url' ? refuseUrl(item.target.url) : null;
    return refused === null || item.target.kind !== 'url'
      ? null
      : {
          outcome: 'fail',
          reason: `The address cannot be used: ${refused}.`,
          evidence: item.target.url.slice(0, 80),
          fix: {
            label: 'Take the target away',
            edit: { name: 'set-item', args: { id: item.id, fields: { target: { kind: 'none' } } } },
          },
        };
  },
};
