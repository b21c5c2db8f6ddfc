import { pagesByPath } from '../../kinds/content.ts';
import type { LinkCheck } from '../check.ts';
import { isPlaceholder } from './placeholder.ts';

/** An address on the site itself that none of its pages has. */
export const pathUnknown: LinkCheck = {
  of: 'link',
  id: 'path-unknown',
  label: 'No such page',
  why: 'The address is on this site, but no page has it; a link to the page would follow it when it moves.',
  check: ({ item }, { site, hasListedPages }) => {
    if (item.target.kind !== 'url' || !/^\/(?!\/)/.test(item.target.url) || isPlaceholder(item.target.url))
      return null;
    const [path = '', section] = item.target.url.split('#', 2);
    const page =
      pagesByPath(site).get(path) ??
      pagesByPath(site).get(path.endsWith('/') ? path.slice(0, -1) : `${path}/`);
    if (page) {
      const target = { kind: 'page', page: page.id, ...(section ? { section } : {}) } as const;
      return {
        outcome: 'look',
        reason: `The address is the page “${page.title}”, but does not follow it when it moves.`,
        evidence: item.target.url,
        fix: {
          label: `Link to the page “${page.title}”`,
          edit: { name: 'set-item', args: { id: item.id, fields: { target } } },
        },
      };
    }
    return hasListedPages && !path.includes('?')
      ? { outcome: 'fail', reason: `No page of the site has the path ${path}.`, evidence: item.target.url }
      : null;
  },
};
