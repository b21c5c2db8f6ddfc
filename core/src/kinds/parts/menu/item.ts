import type { MenuItem } from '../../../model/menu-item.ts';
import { dataAttributes, withOwnClass } from '../../../model/own-attributes.ts';
import { element, text, type HtmlElement, type HtmlNode } from '../../../print/trees.ts';
import { labelWords } from '../../label-words.ts';
import type { PartOut } from '../../out.ts';
import { withIcon } from '../../with-icon.ts';

/** Space between a link's picture and what stands behind it, in px. */
export const PICTURE_SPACE = 8;

/** Whether a parent has somewhere to lead besides opening what is nested in it. */
export const hasOwnTarget = (item: MenuItem) => item.target.kind !== 'none' && item.role !== 'heading';

/** Whether a parent has a page of its own besides what is nested in it. */
export const isLinkedParent = (item: MenuItem) => item.children.length > 0 && hasOwnTarget(item);

/** The slot a link or parent is drawn as. */
export const controlSlot = (item: MenuItem): 'link' | 'action' =>
  item.role === 'action' ? 'action' : 'link';

/** Whether a link shows its label alone. */
export const isBare = (item: MenuItem) =>
  item.icon === undefined && item.image === undefined && item.description === undefined && !item.labelHidden;

/** Label and description. Two lines need an element around them; a bare label needs none. */
function words(item: MenuItem, out: PartOut): HtmlNode | null {
  if (item.labelHidden) return null;
  if (item.description === undefined) return labelWords(item.label);
  return element(
    'span',
    {},
    labelWords(item.label),
    element('span', { class: out.class('description') }, text(item.description)),
  );
}

/** What a link shows: picture, icon, label and description. */
export function itemContent(item: MenuItem, out: PartOut): (HtmlNode | null)[] {
  if (isBare(item)) return [labelWords(item.label)];
  const icon = item.icon === undefined ? null : out.glyph(out.class('glyph'), item.icon);
  const labelled = withIcon(out, 'glyph', icon, words(item, out));
  // Nothing stands behind a picture where there is no icon and the label is hidden.
  const alone = labelled === null ? ` ${out.name('alone')}` : '';
  const image =
    item.image === undefined
      ? null
      : element('img', {
          class: out.class('picture') + alone,
          src: item.image,
          alt: item.imageText ?? '',
          loading: 'lazy',
        });
  return [image, labelled];
}

/** The name of a link where it is not its label. */
export const accessibleName = (item: MenuItem): string | null =>
  item.name ?? (item.labelHidden ? item.label : null);

/** The attributes a link takes from its item; most have none but the class. */
export function itemAttributes(item: MenuItem, className: string): HtmlElement['attributes'] {
  const attributes: Record<string, string | true | null | false> = {
    class: withOwnClass(className, item),
    ...dataAttributes(item),
  };
  if (item.newTab) attributes['target'] = '_blank';
  const rel = item.newTab ? `noopener ${item.rel ?? ''}`.trim() : item.rel;
  if (rel !== undefined) attributes['rel'] = [...new Set(rel.split(' '))].join(' ');
  if (item.title !== undefined) attributes['title'] = item.title;
  const name = accessibleName(item);
  if (name !== null) attributes['aria-label'] = name;
  return attributes;
}
