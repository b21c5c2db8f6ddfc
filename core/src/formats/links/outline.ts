import { cutText } from '../../base/well-formed.ts';
import { LIMITS } from '../../values/limits.ts';
import { refuseUrl } from '../../values/url.ts';
import type { Site } from '../../kinds/site.ts';
import { findMenu } from '../../kinds/content.ts';
import type { ImportNote, LinkLine, ReadLinks } from '../../links/link-line.ts';
import { menuLines } from '../../links/menu-lines.ts';
import { targetLeftOut } from './target-note.ts';

/** How wide a tab counts when indentation mixes tabs and spaces. */
const TAB = 4;

const BULLET = /^(?:[-*+•–]|\d{1,3}[.)])\s+/;
const MARKDOWN_LINK =
  /^\[((?:[^\]\\]|\\.)*)\]\(\s*(?:<([^<>]*)>|([^)>\s]*))(?:\s+"((?:[^"\\]|\\.)*)")?\s*\)$/;

/** Text that reads as a target behind a label: a path, a fragment, an address, a scheme. */
const TARGET =
  /^(?:\/\S*|#\S+|\?\S*|\.\.?\/\S*|[a-z][a-z0-9+.-]*:\S+|www\.\S+|[^\s@]+@[^\s@]+\.[^\s@]+|\S+\.(?:html?|php|aspx?)(?:[?#]\S*)?)$/i;

function indentOf(line: string): number {
  let width = 0;
  for (const character of line) {
    if (character === '\t') width += TAB - (width % TAB);
    else if (character === ' ' || character === '\u00a0') width++;
    else break;
  }
  return width;
}

interface SplitLine {
  readonly label: string;
  readonly href: string | null;
  readonly title?: string;
}

const unescape = (text: string) => text.replace(/\\(.)/g, '$1');

/** Label and target of one line. The target stands behind `->`, `→`, a tab or `|`, in brackets, or as the last word. */
function splitLine(content: string): SplitLine {
  const markdown = MARKDOWN_LINK.exec(content);
  if (markdown) {
    const [, label = '', bracketed, bare, title] = markdown;
    return {
      label: unescape(label).trim(),
      href: bracketed || bare || null,
      ...(title ? { title: unescape(title) } : {}),
    };
  }
  const arrow = /^(.*?)\s*(?:->|→|=>|\t+|\|)\s*(\S*)$/.exec(content);
  if (arrow) return { label: (arrow[1] ?? '').trim(), href: arrow[2] || null };
  const bracketed = /^(.*\S)\s+[(<]([^()<>\s]+)[)>]$/.exec(content);
  if (bracketed && TARGET.test(bracketed[2] ?? ''))
    return { label: (bracketed[1] ?? '').trim(), href: bracketed[2] ?? null };
  const last = /^(.*\S)\s+(\S+)$/.exec(content);
  if (last && TARGET.test(last[2] ?? ''))
    return { label: (last[1] ?? '').replace(/\s*[:,=–—-]$/, '').trim(), href: last[2] ?? null };
  return { label: content, href: null };
}

/** NUL bytes and other control characters say nothing in a label. */
const clean = (text: string) => text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f\ufeff]/g, '');

/** The longest line that is looked at; the rest of a longer one is left out and noted. */
const LONGEST_LINE = 4000;

/** The depth of a line among the indents open above it. */
function depthOf(indents: number[], indent: number): number {
  while (indents.length > 0 && (indents.at(-1) ?? 0) > indent) indents.pop();
  if ((indents.at(-1) ?? -1) < indent) indents.push(indent);
  return indents.length;
}

/**
 * Reads an indented outline: one link a line, deeper lines nested, bullets and Markdown links allowed. Lines that
 * cannot be read are noted, never guessed at.
 */
export function readOutline(text: string): ReadLinks {
  const links: LinkLine[] = [];
  const notes: ImportNote[] = [];
  const indents: number[] = [];
  text.split(/\r\n?|\n/).forEach((raw, index) => {
    const line = index + 1;
    const note = (reason: string) => notes.push({ line, text: cutText(clean(raw).trim(), 80), reason });
    if (links.length >= LIMITS.links) {
      if (links.length === LIMITS.links && notes.at(-1)?.reason.startsWith('Only') !== true)
        note(`Only the first ${LIMITS.links} links are read.`);
      return;
    }
    const cut = raw.length > LONGEST_LINE ? raw.slice(0, LONGEST_LINE) : raw;
    const content = clean(cut).trim().replace(BULLET, '');
    if (content === '') return;
    if (/^[-=_*#~]{3,}$/.test(content)) {
      note('A ruled line is no link.');
      return;
    }
    const { label, href, title } = splitLine(content);
    if (label === '') {
      note('There is a target but no label.');
      return;
    }
    if (label.length > LIMITS.label) note(`The label was cut to ${LIMITS.label} characters.`);
    const refused = href === null ? null : refuseUrl(href);
    if (refused !== null) note(targetLeftOut(refused));
    const depth = depthOf(indents, indentOf(cut));
    links.push({
      label: cutText(label, LIMITS.label),
      href: refused === null ? href : null,
      depth,
      ...(title === undefined ? {} : { fields: { title } }),
    });
  });
  return { links, notes };
}

/** A label that would read as something else stands in a Markdown link; any other as it is. */
function printLine({ label, href }: LinkLine): string {
  const plain = `${label}${href === null || href === '' ? '' : ` -> ${href}`}`;
  const read = splitLine(plain.replace(BULLET, ''));
  const same =
    read.label === label &&
    read.href === (href || null) &&
    !BULLET.test(plain) &&
    !/^[-=_*#~]{3,}$/.test(plain);
  return same
    ? plain
    : `[${label.replace(/[\\[\]]/g, '\\$&')}](${href === null ? '' : /[\s()]/.test(href) ? `<${href}>` : href})`;
}

/** Links as an outline that reads back as the same links. */
export function printLines(links: readonly LinkLine[]): string {
  return links
    .map(
      (link) =>
        `${'  '.repeat(link.depth - 1)}${printLine({ ...link, label: link.label.replace(/\s+/g, ' ').trim() })}\n`,
    )
    .join('');
}

/** A menu as an outline. */
export function printOutline(site: Site, menuId: string): string {
  return printLines(menuLines(site, findMenu(site, menuId)?.items ?? []));
}
