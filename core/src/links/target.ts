import { fail, succeed, type Result } from '../base/result.ts';
import type { Site } from '../document/site.ts';
import { NO_TARGET, type Target } from '../document/target.ts';
import { refuseUrl } from '../document/url.ts';
import { findPage } from '../document/walk.ts';

const MAIL = /^[^\s@<>"]+@[^\s@<>"]+\.[^\s@<>"]+$/;
const PHONE = /^\+?[\d\s()./-]{6,24}$/;

/**
 * Recognises what was typed or written as a link's target: a page by path (with `#section`) or by title, a section,
 * a mail address, a telephone number, any other address. Empty text is no target; a refused scheme is an error.
 */
export function parseTarget(site: Pick<Site, 'pages'>, text: string): Result<Target, string> {
  const typed = text.trim();
  if (typed === '') return succeed(NO_TARGET);
  if (/^#[^\s#]+$/.test(typed)) return succeed({ kind: 'section', section: typed.slice(1) });
  const page = pageTarget(site, typed);
  if (page) return succeed(page);
  if (/^mailto:/i.test(typed) || MAIL.test(typed)) return succeed({ kind: 'mail', address: typed.replace(/^mailto:/i, '') });
  if (/^tel:/i.test(typed) || PHONE.test(typed)) return succeed({ kind: 'phone', number: typed.replace(/^tel:/i, '') });
  const refused = refuseUrl(typed);
  return refused === null ? succeed({ kind: 'url', url: typed }) : fail(refused);
}

function pageTarget(site: Pick<Site, 'pages'>, typed: string): Target | null {
  const [path = '', section] = typed.split('#', 2);
  const byPath = site.pages.find((page) => page.path === path);
  if (byPath) return { kind: 'page', page: byPath.id, ...(section ? { section } : {}) };
  const byTitle = site.pages.find((page) => page.title.toLowerCase() === typed.toLowerCase());
  return byTitle ? { kind: 'page', page: byTitle.id } : null;
}

/** A target as it stands in the outline's field and can be typed again. */
export function formatTarget(site: Site, target: Target): string {
  switch (target.kind) {
    case 'mail': return target.address;
    case 'phone': return target.number;
    case 'none': return '';
    default: return hrefOf(site, target) ?? '';
  }
}

/** The `href` a target becomes, or null where the link leads nowhere (no target, or a page that is gone). */
export function hrefOf(site: Site, target: Target): string | null {
  switch (target.kind) {
    case 'page': {
      const path = findPage(site, target.page)?.path;
      return path === undefined ? null : path + (target.section ? `#${target.section}` : '');
    }
    case 'section': return `#${target.section}`;
    case 'url': return target.url;
    case 'mail': return `mailto:${target.address}`;
    case 'phone': return `tel:${target.number.replace(/[^\d+]/g, '')}`;
    case 'none': return null;
  }
}
