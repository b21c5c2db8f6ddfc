import type { LinkLine } from '../../links/link-line.ts';

const escapeLabel = (label: string) => label.replace(/\s+/g, ' ').replace(/[\\[\]]/g, '\\$&');
const escapeHref = (href: string) =>
  /[\s()<>]/.test(href) ? `<${href.replace(/[<>]/g, encodeURIComponent)}>` : href;

/** Links as a nested Markdown list (CommonMark, sections 5.2 and 6.3). A link without a target has an empty one. */
export function printMarkdown(links: readonly LinkLine[]): string {
  return links
    .map(({ label, href, depth, fields }) => {
      const title = fields?.title === undefined ? '' : ` "${fields.title.replace(/["\\]/g, '\\$&')}"`;
      return `${'  '.repeat(depth - 1)}- [${escapeLabel(label)}](${href === null ? '' : escapeHref(href)}${href === null ? '' : title})\n`;
    })
    .join('');
}
