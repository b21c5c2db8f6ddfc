import { guessLinkFormat, isGzip, LINK_FORMATS, readHtmlMenus, sniffEncoding, unpackGzip, type FoundMenu, type LinkFormatName, type ReadLinks } from '@hamaca/core';

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

function textOf(content: string | Uint8Array): { text: string; reason: string | null } {
  if (typeof content === 'string') return { text: content, reason: null };
  const unpacked = isGzip(content) ? unpackGzip(content) : { ok: true as const, value: content };
  if (!unpacked.ok) return { text: '', reason: `The file cannot be read: ${unpacked.error}.` };
  return { text: new TextDecoder(sniffEncoding(unpacked.value)).decode(unpacked.value), reason: null };
}

self.addEventListener('message', (event: MessageEvent<ReadRequest>) => {
  const { id, from, name, text: content } = event.data;
  const { text, reason } = textOf(content);
  const format = from ?? guessLinkFormat(text, name);
  const read = LINK_FORMATS[format].read(text);
  const menus = format === 'html' ? readHtmlMenus(text) : [];
  const notes = reason === null ? read.notes : [{ line: 0, text: '', reason }];
  self.postMessage({ id, format, menus, links: read.links, notes } satisfies ReadAnswer);
});
