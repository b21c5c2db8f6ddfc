import { cutText } from '../../base/well-formed.ts';
import type { Page } from '../../model/site-content.ts';
import { LIMITS } from '../../values/limits.ts';
import { slugify, uniqueName } from '../../base/ids.ts';
import type { ImportNote, LinkLine, ReadLinks } from '../../links/link-line.ts';
import { titleOf } from '../../links/page-title.ts';
import { readXml } from '../links/xml.ts';

/** What a sitemap holds: addresses of pages, or of further sitemaps. */
export interface ReadSitemap {
  readonly kind: 'pages' | 'index';
  /** As written, in order, each once. */
  readonly addresses: readonly string[];
  readonly notes: readonly ImportNote[];
}

/**
 * Reads a sitemap or an index of sitemaps (sitemaps.org protocol 0.9), or plain text with one address a line. Other
 * namespaces (pictures, languages) are passed over. `onProgress` hears the share that was read, 0 to 1.
 */
export function readSitemap(
  text: string,
  onProgress: (share: number) => void = () => undefined,
): ReadSitemap {
  const start = text
    .slice(0, 1000)
    .replace(/^\ufeff/, '')
    .trimStart();
  return start.startsWith('<')
    ? readXmlSitemap(text.replace(/^\ufeff/, '').trimStart(), onProgress)
    : readTextSitemap(text);
}

function readXmlSitemap(text: string, onProgress: (share: number) => void): ReadSitemap {
  const addresses = new Set<string>();
  const notes: ImportNote[] = [];
  let kind: ReadSitemap['kind'] = 'pages';
  let root = '';
  const path: string[] = [];
  let loc: string | null = null;
  const failure = readXml(
    text,
    {
      open: (name) => {
        if (path.length === 0) {
          root = name;
          if (name === 'sitemapindex') kind = 'index';
        }
        path.push(name);
        const parent = path.at(-2);
        if (name === 'loc' && path.length === 3 && (parent === 'url' || parent === 'sitemap')) loc = '';
      },
      text: (chunk) => {
        if (loc !== null) loc += chunk;
      },
      close: () => {
        path.pop();
        if (loc === null || path.at(-1) === 'loc') return;
        const address = loc.trim();
        loc = null;
        if (/^https?:\/\//i.test(address) && address.length <= LIMITS.url) addresses.add(address);
        else notes.push({ line: 0, text: cutText(address, 80), reason: 'This is no address of a page.' });
      },
    },
    onProgress,
  );
  if (failure !== null)
    notes.unshift({
      line: Number(/^line (\d+)/.exec(failure)?.[1] ?? 0),
      text: '',
      reason: `The sitemap is broken: ${failure}.`,
    });
  else if (root !== 'urlset' && root !== 'sitemapindex')
    notes.push({
      line: 1,
      text: cutText(`<${root}>`, 80),
      reason: 'This is no sitemap: its first element should be <urlset> or <sitemapindex>.',
    });
  return { kind, addresses: [...addresses].slice(0, LIMITS.pages), notes };
}

function readTextSitemap(text: string): ReadSitemap {
  const addresses = new Set<string>();
  const notes: ImportNote[] = [];
  text.split(/\r\n?|\n/).forEach((raw, index) => {
    const line = raw.trim();
    if (line === '') return;
    if (/^https?:\/\/\S+$/i.test(line) && line.length <= LIMITS.url) addresses.add(line);
    else if (notes.length < 50)
      notes.push({
        line: index + 1,
        text: cutText(line.replace(/[\u0000-\u001f]/g, ''), 80),
        reason: 'This is no address of a page.',
      });
  });
  return { kind: 'pages', addresses: [...addresses].slice(0, LIMITS.pages), notes };
}

/** Host and path of an address, without its fragment. */
function splitAddress(address: string): { host: string; path: string } {
  const match = /^https?:\/\/([^/?#]*)([^#]*)/i.exec(address);
  return { host: (match?.[1] ?? '').toLowerCase(), path: match?.[2] || '/' };
}

/** Addresses as pages of the site; those of other hosts are left out and counted. `siteUrl` empty takes the first host. */
export function sitemapPages(
  addresses: readonly string[],
  siteUrl: string,
): { pages: Page[]; foreign: number } {
  const own = splitAddress(siteUrl === '' ? (addresses[0] ?? '') : siteUrl).host.replace(/^www\./, '');
  const pages = new Map<string, Page>();
  const ids = new Set<string>();
  let foreign = 0;
  for (const address of addresses) {
    const { host, path } = splitAddress(address);
    if (host !== own && host.replace(/^www\./, '') !== own) {
      foreign++;
      continue;
    }
    const clean = /[\s<>"']/.test(path)
      ? path.replace(/[\s<>"']/g, (sign) => encodeURIComponent(sign))
      : path;
    if (pages.has(clean)) continue;
    const id = nextId(`page-${slugify(clean, 'home')}`, ids);
    pages.set(clean, {
      id,
      path: clean,
      title: cutText(titleOf(clean), LIMITS.label),
      sections: [],
      listed: true,
    });
  }
  return { pages: [...pages.values()], foreign };
}

/** Thousands of paths can share a slug: after a few tries the count of ids tells them apart. */
function nextId(wanted: string, ids: Set<string>): string {
  const id = ids.has(wanted) ? uniqueName(`${wanted.slice(0, 50)}-${ids.size}`, ids) : wanted;
  ids.add(id);
  return id;
}

/** The pages of a sitemap as links, nested by their paths. */
export function readSitemapLinks(text: string): ReadLinks {
  const { addresses, notes, kind } = readSitemap(text);
  const kept = addresses
    .slice(0, LIMITS.links)
    .map((address) => ({ address, ...splitAddress(address) }))
    .map((entry) => ({ ...entry, key: entry.host + entry.path.replace(/\/$/, '') }));
  const sorted = kept.map((entry, index) => ({ ...entry, index }));
  const known = new Map(sorted.map((entry) => [entry.key, entry]));
  const parentOf = (key: string): string | null => {
    for (let at = key.lastIndexOf('/'); at > 0; at = key.lastIndexOf('/', at - 1)) {
      const parent = key.slice(0, at);
      // Everything lies under the front page; it is no parent.
      if (!parent.includes('/')) return null;
      if (known.has(parent)) return parent;
    }
    return null;
  };
  const below = new Map<string | null, typeof sorted>();
  for (const entry of sorted) {
    const parent = parentOf(entry.key);
    const list = below.get(parent);
    if (list) list.push(entry);
    else below.set(parent, [entry]);
  }
  const links: LinkLine[] = [];
  const place = (parent: string | null, depth: number) => {
    for (const { key, address, path } of below.get(parent) ?? []) {
      links.push({ label: titleOf(path), href: address, depth: Math.min(depth, LIMITS.depth) });
      place(key, depth + 1);
    }
  };
  place(null, 1);
  const index =
    kind === 'index'
      ? [
          {
            line: 0,
            text: '',
            reason: 'This is an index of sitemaps; the links are those of the sitemaps it names.',
          },
        ]
      : [];
  return { links, notes: [...notes, ...index] };
}
