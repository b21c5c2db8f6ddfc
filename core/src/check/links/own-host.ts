import type { Target } from '../../model/target.ts';
import { pagesByPath } from '../../kinds/content.ts';
import type { LinkCheck } from '../check.ts';

/** The site's own host written out. */
export const ownHost: LinkCheck = {
  of: 'link',
  id: 'own-host',
  label: 'Own host written out',
  why: 'It breaks on a test server, and does not follow the page when it moves.',
  check: ({ item }, { site, own }) => {
    const match =
      item.target.kind === 'url'
        ? /^(?:https?:)?\/\/([^/?#]+)([^#]*)(?:#(.*))?$/i.exec(item.target.url)
        : null;
    if (
      !match ||
      item.target.kind !== 'url' ||
      own.host === '' ||
      (match[1] ?? '').toLowerCase().replace(/^www\./, '') !== own.host
    )
      return null;
    const path = match[2] || '/';
    const page = pagesByPath(site).get(path);
    const target: Target = page
      ? { kind: 'page', page: page.id, ...(match[3] ? { section: match[3] } : {}) }
      : { kind: 'url', url: path + (match[3] ? `#${match[3]}` : '') };
    const label = page ? `Link to the page “${page.title}”` : `Make it ${path}`;
    return {
      outcome: 'look',
      reason: 'The address writes out the site’s own host.',
      evidence: item.target.url,
      fix: { label, edit: { name: 'set-item', args: { id: item.id, fields: { target } } } },
    };
  },
};
