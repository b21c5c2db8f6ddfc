/** Whether an address begins elsewhere: with a scheme, or a host of its own. */
const BEGINS_ELSEWHERE = /^(?:[a-z][a-z\d+.-]*:|\/\/)/i;

/** Whether a path is that of a file on another host, which stands under its whole address. */
export const isElsewhere = (path: string): boolean => /^https?:\/\//i.test(path);

/** The address on the web of a file of a page that came from there; `origin` is the page's own, such as `https://site.example`. */
export const addressOf = (path: string, origin: string): string =>
  isElsewhere(path) ? path : `${origin}/${path}`;

/** The path of a file of a page that came from the web: what lies beside it by its path and query, else by its address. */
export function pathOnWeb(address: string, from: string, origin: string): string | null {
  let url: URL;
  try {
    url = new URL(address.trim(), addressOf(from, origin));
  } catch {
    // The reason is only ever that it is none.
    return null;
  }
  if (url.protocol !== 'https:' && url.protocol !== 'http:') return null;
  url.hash = '';
  return url.origin === origin ? `${url.pathname}${url.search}`.slice(1) : url.href;
}

/**
 * The path that an address leads to from a file; null for what does not belong to the page. Of a page that came from the web
 * (`origin`) what lies elsewhere belongs to it, too, under its whole address, and queries are kept.
 */
export function pathFrom(address: string, from: string, origin: string | null = null): string | null {
  const plain = address.replace(/#.*$/s, '').trim();
  if (plain === '') return null;
  if (origin !== null) return pathOnWeb(plain, from, origin);
  if (BEGINS_ELSEWHERE.test(plain)) return null;
  const file = plain.replace(/\?.*$/s, '');
  if (file === '') return null;
  let decoded = file;
  try {
    decoded = decodeURIComponent(file);
  } catch {
    // It may be the file's name just so.
  }
  const path = plain.startsWith('/') ? [] : from.split('/').slice(0, -1);
  for (const part of decoded.split('/')) {
    if (part === '..') path.pop();
    else if (part !== '.' && part !== '') path.push(part);
  }
  return path.join('/');
}

/** The path a file of a page is written under: without a query, in letters, and within the folder of the page. */
export function pathOnDisk(path: string): string {
  const plain = path.replace(/^https?:\/\//i, '').replace(/[?#].*$/s, '');
  let decoded = plain;
  try {
    decoded = decodeURIComponent(plain);
  } catch {
    // It may be the file's name just so.
  }
  return decoded
    .split(/[/\\]/)
    .filter((part) => part !== '' && part !== '.' && part !== '..')
    .map((part) => part.replaceAll(/[\0:*"<>|]/g, '_'))
    .join('/');
}
