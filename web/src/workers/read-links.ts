import {
  guessLinkFormat,
  LINK_FORMATS,
  readHtmlMenus,
  succeed,
  type FoundMenu,
  type LinkFormatName,
  type ReadLinks,
} from '@hamaca/core';
import { decodeText } from './decode-text.ts';

/** Text or a file's bytes; without `from` the format is found out. */
export interface ReadRequest {
  readonly id: number;
  readonly from: LinkFormatName | null;
  readonly name: string;
  readonly text: string | Uint8Array;
}

export interface ReadAnswer extends ReadLinks {
  readonly id: number;
  readonly format: LinkFormatName;
  /** All menus of a page; empty for any other format. */
  readonly menus: readonly FoundMenu[];
}

self.addEventListener('message', (event: MessageEvent<ReadRequest>) => {
  const { id, from, name, text: content } = event.data;
  const decoded = typeof content === 'string' ? succeed(content) : decodeText(content);
  const text = decoded.ok ? decoded.value : '';
  const format = from ?? guessLinkFormat(text, name);
  const read = LINK_FORMATS[format].read(text);
  const menus = format === 'html' ? readHtmlMenus(text) : [];
  const notes = decoded.ok
    ? read.notes
    : [{ line: 0, text: '', reason: `The file cannot be read: ${decoded.error}.` }];
  self.postMessage({ id, format, menus, links: read.links, notes } satisfies ReadAnswer);
});
