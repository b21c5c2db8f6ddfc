import { pagesByPath } from '../../kinds/content.ts';
import { fetchAddress } from '../../links/target.ts';
import type { LinkCheck } from '../check.ts';

/** Where a fetched address redirects to for good. */
export const redirected: LinkCheck = {
  of: 'link',
  id: 'redirected',
  label: 'Redirected',
  why: 'Every visit takes a detour, and one day the signpost is gone.',
  asks: 'addresses',
  check: ({ item }, { site, fetched, own }) => {
    if (fetched.size === 0) return null;
    const found = fetched.get(fetchAddress(site, item.target) ?? '');
    if (!found || found.error !== null || found.finalUrl === found.url || (found.status ?? 0) >= 400)
      return null;
    const certain = found.permanent && item.target.kind === 'url';
    const host = /^https?:\/\/([^/?#]+)/i
      .exec(found.finalUrl)?.[1]
      ?.toLowerCase()
      .replace(/^www\./, '');
    const path = found.finalUrl.replace(/^https?:\/\/[^/?#]+/i, '') || '/';
    const page =
      item.target.kind === 'page' && found.permanent && host === own.host ? item.target.page : null;
    const fix = certain
      ? {
          fix: {
            label: `Link to ${found.finalUrl}`,
            edit: {
              name: 'set-item',
              args: { id: item.id, fields: { target: { kind: 'url', url: found.finalUrl } } },
            } as const,
          },
        }
      : page !== null && !pagesByPath(site).has(path)
        ? {
            fix: {
              label: `Move the page to ${path}`,
              edit: { name: 'set-page', args: { id: page, fields: { path } } } as const,
            },
          }
        : {};
    return {
      outcome: 'look',
      reason: `It is redirected to ${found.finalUrl}${found.permanent ? ' for good' : ', for now'}.`,
      evidence: found.url,
      ...fix,
    };
  },
};
