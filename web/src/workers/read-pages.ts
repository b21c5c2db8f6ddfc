import {
  filePages,
  isZip,
  readSitemap,
  sitemapPages,
  unpackZip,
  type ImportNote,
  type Page,
} from '@hamaca/core';
import { decodeText } from './decode-text.ts';

/** Files or texts to be read as pages of a site. */
export interface PagesRequest {
  readonly files: readonly { readonly path: string; readonly bytes: Uint8Array; readonly type?: string }[];
  readonly siteUrl: string;
}

export type PagesAnswer =
  | { readonly kind: 'progress'; readonly done: number; readonly of: number }
  | {
      readonly kind: 'done';
      readonly pages: readonly Page[];
      readonly sitemaps: readonly string[];
      readonly notes: readonly ImportNote[];
    };

const PAGE_NAME = /\.(?:x?html?|php)$/i;
const SITEMAP_NAME = /\.(?:xml|txt)(?:\.gz)?$/i;
/** Files read between two words of progress. */
const STEP = 40;

const tell = (answer: PagesAnswer) => {
  self.postMessage(answer);
};

/** Archives as the files in them; anything else stays as it is. */
function unpacked(
  request: PagesRequest,
  notes: ImportNote[],
): { path: string; bytes: Uint8Array; type?: string }[] {
  return request.files.flatMap((file) => {
    if (!isZip(file.bytes)) return [{ ...file }];
    const archive = unpackZip(
      file.bytes,
      (path) => PAGE_NAME.test(path) || /(?:^|\/)sitemap[^/]*\.xml(?:\.gz)?$/i.test(path),
    );
    if (!archive.ok) {
      notes.push({ line: 0, text: file.path, reason: `The archive was left out: ${archive.error}.` });
      return [];
    }
    for (const path of archive.value.skipped)
      notes.push({
        line: 0,
        text: path,
        reason: 'This file was left out: its path leads out of the archive.',
      });
    return archive.value.files.map((entry) => ({ ...entry }));
  });
}

self.addEventListener('message', (event: MessageEvent<PagesRequest>) => {
  const notes: ImportNote[] = [];
  const files = unpacked(event.data, notes);
  const addresses: string[] = [];
  const sitemaps: string[] = [];
  const html: { path: string; html: string }[] = [];
  files.forEach((file, index) => {
    if (index % STEP === 0) tell({ kind: 'progress', done: index, of: files.length });
    const decoded = decodeText(file.bytes, file.type);
    if (!decoded.ok) {
      notes.push({ line: 0, text: file.path, reason: `The file was left out: ${decoded.error}.` });
      return;
    }
    const text = decoded.value;
    const start = text
      .slice(0, 600)
      .replace(/^\ufeff/, '')
      .trimStart();
    const isPage =
      PAGE_NAME.test(file.path) ||
      /^<!doctype html|^<html/i.test(start) ||
      /text\/html/i.test(file.type ?? '');
    if (isPage && !/<(?:\w+:)?(?:urlset|sitemapindex)[\s>]/i.test(start)) {
      html.push({ path: file.path, html: text });
      return;
    }
    if (!SITEMAP_NAME.test(file.path) && !start.startsWith('<') && !/^https?:\/\//i.test(start)) {
      notes.push({ line: 0, text: file.path, reason: 'This is neither a sitemap nor a page.' });
      return;
    }
    const read = readSitemap(text, (share) => {
      if (files.length === 1) tell({ kind: 'progress', done: Math.round(share * 100), of: 100 });
    });
    notes.push(...read.notes);
    if (read.kind === 'index') sitemaps.push(...read.addresses);
    else for (const address of read.addresses) addresses.push(address);
  });
  tell({ kind: 'progress', done: files.length, of: files.length });
  const listed = sitemapPages(addresses, event.data.siteUrl);
  if (listed.foreign > 0)
    notes.push({ line: 0, text: '', reason: `${listed.foreign} addresses of other hosts were left out.` });
  const pages = [...listed.pages, ...filePages(html)];
  tell({ kind: 'done', pages, sitemaps, notes });
});
