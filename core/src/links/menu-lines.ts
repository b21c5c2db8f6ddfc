import type { MenuItem } from '../model/menu-item.ts';
import type { Site } from '../kinds/site.ts';
import { walkMenu } from '../kinds/content.ts';
import type { LineFields, LinkLine } from './link-line.ts';
import { hrefOf } from './target.ts';

const LINE_FIELDS = [
  'role',
  'description',
  'name',
  'title',
  'newTab',
  'rel',
  'className',
  'data',
] as const satisfies readonly (keyof LineFields)[];

/** What a link has besides label and target that a format may hold; undefined where it has nothing. */
function fieldsOf(item: MenuItem): LineFields | undefined {
  const fields = Object.fromEntries(
    LINE_FIELDS.flatMap((field) => (item[field] === undefined ? [] : [[field, item[field]]])),
  );
  return Object.keys(fields).length > 0 ? fields : undefined;
}

/** Links as lines with the addresses their targets become: what every export starts from. */
export function menuLines(site: Site, items: readonly MenuItem[]): LinkLine[] {
  const lines: LinkLine[] = [];
  walkMenu({ id: '', name: '', items }, '', ({ item, depth }) => {
    const fields = fieldsOf(item);
    lines.push({
      label: item.label,
      href: hrefOf(site, item.target),
      depth,
      ...(item.target.kind === 'panel' ? { panel: item.target.panel } : {}),
      ...(fields ? { fields } : {}),
    });
  });
  return lines;
}
