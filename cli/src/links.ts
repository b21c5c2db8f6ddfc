import {
  guessLinkFormat,
  LINK_FORMATS,
  printLines,
  readHtmlMenus,
  type LinkFormatName,
  type LinkLine,
} from '@hamaca/core';
import { readInput } from './input.ts';
import type { Output } from './output.ts';

/** The formats that can be read from a file. */
export const READABLE = (Object.keys(LINK_FORMATS) as LinkFormatName[]).filter((name) => name !== 'markdown');

export interface LinksOptions {
  readonly from: LinkFormatName | undefined;
  readonly json: boolean;
  /** Every menu of a page with its place, not only the main one. */
  readonly all: boolean;
}

/** Lines between links are no links. */
const plain = (links: readonly LinkLine[]) =>
  links.filter(({ label }) => label !== '').map(({ label, href, depth }) => ({ label, href, depth }));

/** `hamaca links`: what the imports of the interface understand of a file. */
export function runLinks(file: string, { from, json, all }: LinksOptions, output: Output): number {
  const text = readInput(file);
  if (!text.ok) return output.refuse(text.error);
  const format = from ?? guessLinkFormat(text.value, file);
  if (all && format === 'html') return printMenus(text.value, json, output);
  const { links, notes } = LINK_FORMATS[format].read(text.value);
  for (const note of notes)
    output.warn(
      `${note.line > 0 ? `line ${note.line}: ` : ''}${note.reason}${note.text ? ` (${note.text})` : ''}\n`,
    );
  output.print(json ? `${JSON.stringify(plain(links), null, 2)}\n` : printLines(links));
  return 0;
}

function printMenus(html: string, json: boolean, output: Output): number {
  const menus = readHtmlMenus(html);
  if (json)
    output.print(
      `${JSON.stringify(
        menus.map(({ place, kind, name, main, links }) => ({ place, kind, name, main, links: plain(links) })),
        null,
        2,
      )}\n`,
    );
  else
    for (const { place, kind, name, main, links } of menus)
      output.print(
        `# ${place}, ${kind}${name ? `, “${name}”` : ''}${main ? ', the main menu' : ''}\n${printLines(links)}\n`,
      );
  if (menus.length === 0) output.warn('No menus were found.\n');
  return 0;
}
