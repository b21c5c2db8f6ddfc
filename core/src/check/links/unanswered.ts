import { fetchAddress } from '../../links/target.ts';
import type { LinkCheck } from '../check.ts';

/** A fetched address that answers with an error, or not at all. */
export const unanswered: LinkCheck = {
  of: 'link',
  id: 'unanswered',
  label: 'Does not answer',
  why: 'Visitors find an error there.',
  asks: 'addresses',
  check: ({ item }, { site, fetched }) => {
    if (fetched.size === 0) return null;
    const found = fetched.get(fetchAddress(site, item.target) ?? '');
    if (!found) return null;
    if (found.error !== null)
      return { outcome: 'unknown', reason: `It could not be fetched: ${found.error}.`, evidence: found.url };
    if ((found.status ?? 0) < 400) return null;
    // Some servers turn away everything that is no browser.
    const outcome =
      found.status === 404 || found.status === 410 || (found.status ?? 0) >= 500 ? 'fail' : 'unknown';
    return { outcome, reason: `It answers with ${found.status ?? 'nothing'}.`, evidence: found.url };
  },
};
