import { findPage } from '../../kinds/content.ts';
import type { LinkCheck } from '../check.ts';

/** A page that only this link knows of, where the site's pages were listed. */
export const pageUnlisted: LinkCheck = {
  of: 'link',
  id: 'page-unlisted',
  label: 'No page answers',
  why: 'The site’s own list of pages does not have it; visitors may find an error there.',
  check: ({ item }, { site, hasListedPages }) => {
    const page = item.target.kind === 'page' ? findPage(site, item.target.page) : null;
    if (!page || page.listed || !hasListedPages) return null;
    return { outcome: 'fail', reason: `No page of the site has the path ${page.path}.`, evidence: page.path };
  },
};
