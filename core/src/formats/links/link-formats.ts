import type { LinkLine, ReadLinks } from '../../links/link-line.ts';
import { printCsv, readCsv } from './csv.ts';
import { printHtmlList } from './html-list.ts';
import { readHtmlLinks } from './html-menus.ts';
import { printMarkdown } from './markdown.ts';
import { printOpml, readOpml } from './opml.ts';
import { printLines, readOutline } from './outline.ts';
import { soundLinks } from './sound-links.ts';
import { readSitemapLinks } from '../pages/sitemap.ts';

/** A way to write links down. */
export interface LinkFormat {
  readonly label: string;
  readonly extension: string;
  readonly type: string;
  /** Reads any text; what is not of the format gives notes, never an error. Null where it is only written. */
  readonly read: ((text: string) => ReadLinks) | null;
  /** Null where it is only read. */
  readonly print: ((links: readonly LinkLine[], name: string) => string) | null;
}

/** A reader whose links are as a menu can have them. */
const sound =
  (read: (text: string) => ReadLinks) =>
  (text: string): ReadLinks =>
    soundLinks(read(text));

/** All formats of links by the name the command line and the interface call them. */
export const LINK_FORMATS = {
  outline: {
    label: 'Outline',
    extension: 'txt',
    type: 'text/plain',
    read: sound(readOutline),
    print: printLines,
  },
  markdown: {
    label: 'Markdown',
    extension: 'md',
    type: 'text/markdown',
    read: sound(readOutline),
    print: printMarkdown,
  },
  html: { label: 'HTML', extension: 'html', type: 'text/html', read: readHtmlLinks, print: printHtmlList },
  opml: { label: 'OPML', extension: 'opml', type: 'text/x-opml', read: sound(readOpml), print: printOpml },
  csv: { label: 'CSV', extension: 'csv', type: 'text/csv', read: sound(readCsv), print: printCsv },
  sitemap: {
    label: 'Sitemap',
    extension: 'xml',
    type: 'application/xml',
    read: sound(readSitemapLinks),
    print: null,
  },
} as const satisfies Record<string, LinkFormat>;

export type LinkFormatName = keyof typeof LINK_FORMATS;
export const LINK_FORMAT_NAMES = Object.keys(LINK_FORMATS) as LinkFormatName[];

/** Which format a text is in, by how it begins; the file's name helps where it has one. */
export function guessLinkFormat(text: string, fileName = ''): LinkFormatName {
  const start = text
    .slice(0, 4000)
    .replace(/^\ufeff/, '')
    .trimStart();
  if (/<opml[\s>]/i.test(start)) return 'opml';
  if (/<(?:\w+:)?(?:urlset|sitemapindex)[\s>]/i.test(start)) return 'sitemap';
  if (/\.csv$|\.tsv$/i.test(fileName)) return 'csv';
  if (
    /\.x?html?$/i.test(fileName) ||
    /^<!--|^<(?:!doctype|html|head|body|nav|header|footer|main|aside|section|div|ul|ol|dl|menu|table|p|a|h[1-6]|span|center|frameset)\b/i.test(
      start,
    )
  )
    return 'html';
  const [first = '', second = ''] = start.split(/\r\n?|\n/, 2);
  const separator = [';', ',', '\t'].find((sign) => first.includes(sign) && second.includes(sign));
  if (
    separator !== undefined &&
    /\b(?:label|title|name|text|url|href|target|link)\b/i.test(first) &&
    !/^\s*[-*+]/.test(first)
  )
    return 'csv';
  return 'outline';
}
