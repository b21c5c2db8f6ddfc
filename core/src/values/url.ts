import { isWellFormed } from '../base/well-formed.ts';
import { ALLOWED_SCHEMES, LIMITS } from './limits.ts';

/**
 * Why a link address is refused, or null where it may stand. Relative addresses are allowed. Control characters and
 * white space are stripped as browsers do before the scheme is read (URL Standard, basic URL parser), so that a
 * scheme cannot hide behind a tab or a line break.
 */
export function refuseUrl(url: string): string | null {
  if (url.length > LIMITS.url) return `longer than ${LIMITS.url} characters`;
  if (/[\u0000-\u001f\u007f]/.test(url)) return 'contains control characters';
  if (!isWellFormed(url)) return 'contains half a character';
  const scheme = /^\s*([a-z][a-z0-9+.-]*):/i.exec(url)?.[1]?.toLowerCase();
  if (scheme === undefined || (ALLOWED_SCHEMES as readonly string[]).includes(scheme)) return null;
  // `visit:hours` has no slash and no known scheme; a browser would still read it as a scheme.
  return `the scheme "${scheme}:" is not allowed; use ${ALLOWED_SCHEMES.map((name) => `${name}:`).join(', ')} or a path`;
}

/** A website's own address, or none. */
export const SITE_ADDRESS = /^$|^https?:\/\/[^\s<>"']+$/;

/** A language tag as far as its form goes (BCP 47). */
export const LANGUAGE_TAG = /^[A-Za-z]{2,8}(-[A-Za-z0-9]{1,8})*$/;

/** A page's path on its site. */
export const PAGE_PATH = /^\/[^\s<>"']{0,2047}$/;

/** An id of the document: also safe in addresses, selectors and JSON Pointers. */
export const ID = /^(?!(?:constructor|prototype)$)[A-Za-z0-9][A-Za-z0-9_-]{0,63}$/;

/** An address a link may have, as a pattern: relative, or of an allowed scheme; `refuseUrl` says why not. */
export const LINK_ADDRESS =
  /^(?:(?:https?|mailto|tel|sms|ftp):|(?![A-Za-z][A-Za-z0-9+.-]*:))[^\u0000-\u001f\u007f]*$/;

/** `rel` and class tokens (HTML, section 2.3.7). */
export const TOKENS = /^[^\s"'<>&=`]+(?: [^\s"'<>&=`]+)*$/;
