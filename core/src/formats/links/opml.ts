import { cutText } from '../../base/well-formed.ts';
import { escapeAttribute, escapeText } from '../../print/html.ts';
import { LIMITS } from '../../values/limits.ts';
import { refuseUrl } from '../../values/url.ts';
import type { ImportNote, LinkLine, ReadLinks } from '../../links/link-line.ts';
import { readFields } from './line-fields.ts';
import { readXml } from './xml.ts';
import { targetLeftOut } from './target-note.ts';

const ADDRESSES = ['url', 'htmlurl', 'link', 'href', 'xmlurl'];

/**
 * Reads an outline in OPML 2.0 (opml.org/spec2.opml): `text` is the label, `url` or `htmlUrl` the target; our own exports say
 * more of a link.
 */
export function readOpml(text: string): ReadLinks {
  const links: LinkLine[] = [];
  const notes: ImportNote[] = [];
  let depth = 0;
  const failure = readXml(text.replace(/^\ufeff/, ''), {
    open: (name, attributes) => {
      if (name.toLowerCase() !== 'outline') return;
      depth++;
      // One more than a site may have tells that there are more.
      if (links.length > LIMITS.links) return;
      const at = (wanted: string) =>
        Object.entries(attributes)
          .find(([key]) => key.toLowerCase() === wanted)?.[1]
          ?.trim() ?? '';
      const href = ADDRESSES.map(at).find((address) => address !== '') ?? '';
      const label = cutText((at('text') || at('title') || href).replace(/<[^>]*>/g, ''), LIMITS.label);
      if (label === '' && at('role').toLowerCase() !== 'divider') {
        notes.push({ line: 0, text: '', reason: 'An outline without text was left out.' });
        return;
      }
      const refused = href === '' ? null : refuseUrl(href);
      if (refused !== null) notes.push({ line: 0, text: cutText(label, 80), reason: targetLeftOut(refused) });
      const fields = readFields(
        {
          role: at('role'),
          description: at('description'),
          name: at('name'),
          title: at('text') && at('title') !== at('text') ? at('title') : '',
          rel: at('rel'),
          className: at('class'),
          data: at('data'),
        },
        at('newtab') === 'true',
      );
      links.push({
        label,
        href: refused === null && href !== '' ? href : null,
        depth,
        ...(at('panel') === '' ? {} : { panel: at('panel') }),
        ...(Object.keys(fields).length > 0 ? { fields } : {}),
      });
    },
    text: () => undefined,
    close: (name) => {
      if (name.toLowerCase() === 'outline') depth--;
    },
  });
  if (failure !== null)
    notes.unshift({
      line: Number(/^line (\d+)/.exec(failure)?.[1] ?? 0),
      text: '',
      reason: `The file could be read only in part: ${failure}.`,
    });
  if (failure === null && links.length === 0)
    notes.push({ line: 0, text: '', reason: 'There are no outlines in it.' });
  return { links, notes };
}

/** An attribute that says something; an outline without a text has an empty one all the same. */
const attribute = (name: string, value: string | undefined) =>
  value === undefined || (value === '' && name !== 'text') ? '' : ` ${name}="${escapeAttribute(value)}"`;

/** Links as OPML 2.0. */
export function printOpml(links: readonly LinkLine[], title: string): string {
  const lines: string[] = [];
  let open = 0;
  const close = (until: number) => {
    while (open > until) lines.push(`${'  '.repeat(1 + open--)}</outline>`);
  };
  links.forEach((link, index) => {
    close(link.depth - 1);
    const { href, fields = {} } = link;
    const attributes = [
      ['text', link.label],
      ['type', href === null ? undefined : 'link'],
      ['url', href ?? undefined],
      ['description', fields.description],
      ['title', fields.title],
      ['newTab', fields.newTab ? 'true' : undefined],
      ['name', fields.name],
      ['rel', fields.rel],
      ['class', fields.className],
      ['data', fields.data],
      ['role', fields.role],
      ['panel', link.panel],
    ] as const;
    const start = `${'  '.repeat(1 + link.depth)}<outline${attributes.map(([name, value]) => attribute(name, value)).join('')}`;
    const opens = (links[index + 1]?.depth ?? 0) > link.depth;
    lines.push(`${start}${opens ? '>' : '/>'}`);
    if (opens) open = link.depth;
  });
  close(0);
  return `<?xml version="1.0" encoding="UTF-8"?>\n<opml version="2.0">\n  <head><title>${escapeText(title)}</title></head>\n  <body>\n${lines.map((line) => `${line}\n`).join('')}  </body>\n</opml>\n`;
}
