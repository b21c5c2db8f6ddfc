import { readHtmlLinks, readOutline, type ReadLinks } from '@hamaca/core';
import { readInput } from './input.ts';
import type { Output } from './output.ts';

export const LINK_FORMATS = ['outline', 'html'] as const;
export type LinkFormat = (typeof LINK_FORMATS)[number];

const READERS: Readonly<Record<LinkFormat, (text: string) => ReadLinks>> = { outline: readOutline, html: readHtmlLinks };

const formatOf = (file: string): LinkFormat => (/\.x?html?$/i.test(file) ? 'html' : 'outline');

/** `hamaca links`: what the imports of the interface understand of a file. */
export function runLinks(file: string, from: LinkFormat | undefined, json: boolean, output: Output): number {
  const text = readInput(file);
  if (!text.ok) return output.refuse(text.error);
  const { links, notes } = READERS[from ?? formatOf(file)](text.value);
  for (const note of notes) output.warn(`${note.line > 0 ? `line ${note.line}: ` : ''}${note.reason}${note.text ? ` (${note.text})` : ''}\n`);
  if (json) output.print(`${JSON.stringify(links.map(({ label, href, depth }) => ({ label, href, depth })), null, 2)}\n`);
  else for (const { label, href, depth } of links) output.print(`${'  '.repeat(depth - 1)}${label}${href === null ? '' : ` -> ${href}`}\n`);
  return 0;
}
