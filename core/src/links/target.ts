import { fail, succeed, type Result } from '../base/result.ts';
import type { Site } from '../kinds/site.ts';
import { NO_TARGET, type Target } from '../model/target.ts';
import { refuseUrl } from '../values/url.ts';
import { findPage, pagesByPath, pagesByTitle } from '../kinds/content.ts';
import { findPiece, opensOver } from '../kinds/placed.ts';

const MAIL = /^[^\s@<>"]+@[^\s@<>"]+\.[^\s@<>"]+$/;
const PHONE = /^\+?[\d\s()./-]{6,24}$/;

/** What targets are looked up in: the pages, and the panels where there are pieces. */
type Known = Pick<Site, 'pages'> & Partial<Pick<Site, 'pieces'>>;

/**
 * Recognises what was typed or written as a link's target: a page by path (with `#section`) or by title, a section,
 * a mail address, a telephone number, `opens` with a panel's name, any other address. Empty text is no target; a
 * refused scheme is an error.
 */
export function parseTarget(site: Known, text: string): Result<Target, string> {
  const typed = text.trim();
  if (typed === '') return succeed(NO_TARGET);
  if (/^#[^\s#]+$/.test(typed)) return succeed({ kind: 'section', section: typed.slice(1) });
  const known = pageTarget(site, typed) ?? panelTarget(site, typed);
  if (known) return succeed(known);
  if (/^mailto:[^?]+$/i.test(typed) || MAIL.test(typed))
    return succeed({ kind: 'mail', address: typed.replace(/^mailto:/i, '') });
  if (/^tel:/i.test(typed) || PHONE.test(typed))
    return succeed({ kind: 'phone', number: typed.replace(/^tel:/i, '') });
  const refused = refuseUrl(typed);
  return refused === null ? succeed({ kind: 'url', url: typed }) : fail(refused);
}

function pageTarget(site: Known, typed: string): Target | null {
  const [path = '', section] = typed.split('#', 2);
  const byPath = pagesByPath(site).get(path);
  if (byPath) return { kind: 'page', page: byPath.id, ...(section ? { section } : {}) };
  const byTitle = pagesByTitle(site).get(typed.toLowerCase());
  return byTitle ? { kind: 'page', page: byTitle.id } : null;
}

function panelTarget(site: Known, typed: string): Target | null {
  const name = /^opens\s+(.+)$/i.exec(typed)?.[1]?.toLowerCase();
  const panel =
    name === undefined
      ? undefined
      : site.pieces?.find((piece) => opensOver(piece) && piece.name.toLowerCase() === name);
  return panel ? { kind: 'panel', panel: panel.id } : null;
}

/** A target as it stands in the outline's field and can be typed again. */
export function formatTarget(site: Site, target: Target): string {
  switch (target.kind) {
    case 'mail':
      return target.address;
    case 'phone':
      return target.number;
    case 'none':
      return '';
    case 'panel':
      return `opens ${findPiece(site, target.panel)?.name ?? 'a panel that is gone'}`;
    default:
      return hrefOf(site, target) ?? '';
  }
}

/** The `href` a target becomes, or null where the link leads nowhere (no target, or a page that is gone). */
export function hrefOf(site: Pick<Site, 'pages'>, target: Target): string | null {
  switch (target.kind) {
    case 'page': {
      const path = findPage(site, target.page)?.path;
      return path === undefined ? null : path + (target.section ? `#${target.section}` : '');
    }
    case 'section':
      return `#${target.section}`;
    case 'url':
      return target.url;
    case 'mail':
      return `mailto:${target.address}`;
    case 'phone':
      return `tel:${target.number.replace(/[^\d+]/g, '')}`;
    case 'panel':
    case 'none':
      return null;
  }
}

/** What makes two targets the same place; null where a link leads nowhere. */
export function targetKey(site: Site, target: Target): string | null {
  if (target.kind === 'panel') return `panel ${target.panel}`;
  return hrefOf(site, target)?.toLowerCase() ?? null;
}

/** The address a target can be fetched at, without its fragment; null for all that is no page of the web. */
export function fetchAddress(site: Pick<Site, 'pages' | 'url'>, target: Target): string | null {
  const href =
    target.kind === 'page' || target.kind === 'url' ? hrefOf(site, target)?.split('#')[0] : undefined;
  if (href === undefined || href === '') return null;
  if (/^https?:\/\//i.test(href)) return href;
  const origin = /^https?:\/\/[^/?#]+/i.exec(site.url)?.[0];
  return origin !== undefined && /^\/(?!\/)/.test(href) ? origin + href : null;
}
