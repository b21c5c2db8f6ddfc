import { cutText } from '../../base/well-formed.ts';
import { ITEM_ROLES } from '../../model/menu-item.ts';
import { LIMITS } from '../../values/limits.ts';
import type { LineFields } from '../../links/link-line.ts';

/** The texts a format has for what a link may say besides label and target, whatever it calls them. */
type FieldTexts = Readonly<
  Record<'role' | 'description' | 'name' | 'title' | 'rel' | 'className' | 'data', string>
>;

/** What the texts of one link come to; empty ones say nothing. */
export function readFields(texts: FieldTexts, newTab: boolean): LineFields {
  const text = (field: keyof FieldTexts) => cutText(texts[field].trim(), LIMITS.label);
  const words = (field: keyof FieldTexts) => text(field).replace(/\s+/g, ' ');
  const role = ITEM_ROLES.find((own) => own === text('role').toLowerCase());
  return {
    ...(role ? { role } : {}),
    ...(text('description') ? { description: text('description') } : {}),
    ...(text('name') ? { name: text('name') } : {}),
    ...(text('title') ? { title: text('title') } : {}),
    ...(newTab ? { newTab: true as const } : {}),
    ...(text('rel') ? { rel: words('rel') } : {}),
    ...(text('className') ? { className: words('className') } : {}),
    ...(text('data') ? { data: text('data') } : {}),
  };
}
