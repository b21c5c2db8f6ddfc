import { element, styleRule, type HtmlNode } from '../../../print/trees.ts';
import { picture, svg, text } from '../../../model/shape/fields.ts';
import { BOX_STATES } from '../../../model/slot.ts';
import { target } from '../../../model/target.ts';
import { ratioOf } from '../../../drawings/picture-ratio.ts';
import { pictureExtent, sumExtents, type Extent, type PartExtents } from '../../extent.ts';
import type { PartKind, PartOf } from '../../kind.ts';
import { CLICKABLE, drawnWithin, fragment, NOTHING, type Fragment, type PartOut } from '../../out.ts';

const IMAGE_SHAPE = {
  image: picture({ label: 'picture', hint: 'a picture’s address or data' }),
  svg: svg({ label: 'drawing', hint: 'SVG' }),
  alternative: text({
    label: 'shows',
    hint: 'what assistive technology reads; empty where it only decorates',
  }),
  target: target(),
} as const;

/** A picture or drawing of its own: a partner's mark, a seal. */
export type Image = PartOf<'image', typeof IMAGE_SHAPE>;

function drawn(part: Image, out: PartOut): HtmlNode | null {
  if (part.svg !== null) return out.drawn(part.svg, out.class('image'));
  return part.image === null
    ? null
    : element('img', { class: out.class('image'), src: part.image, alt: part.alternative, loading: 'lazy' });
}

/** A picture or drawing in a box that is a link where it leads somewhere; nothing while it has neither. */
function compile(part: Image, out: PartOut): Fragment {
  const picture = drawn(part, out);
  if (!picture) return NOTHING;
  const isLink = part.target.kind !== 'none';
  const box = { class: out.classes('image-box'), ...out.attributes };
  const name = part.svg !== null && part.alternative !== '' ? part.alternative : null;
  const node = isLink
    ? out.link({ ...box, 'aria-label': name }, part.target, picture)
    : element('span', name === null ? box : { ...box, role: 'img', 'aria-label': name }, picture);
  return fragment(
    [node],
    [
      ...(isLink ? [styleRule(out.at('image-box'), [CLICKABLE])] : []),
      styleRule(out.at('image'), [['display', 'block']]),
      ...drawnWithin(out.at('image'), ratioOf(part)),
    ],
  );
}

function extent(part: Image, at: PartExtents): Extent {
  const own = at.slot('image');
  const picture = pictureExtent(own.pixels('drawnHeight'), ratioOf(part), 'image');
  return sumExtents([picture], 0, own.around());
}

export const IMAGE: PartKind<'image', typeof IMAGE_SHAPE> = {
  id: 'image',
  alsoCalled: 'picture badge seal photo',
  label: 'Image',
  hint: 'a picture or drawing of its own: a partner’s mark, a seal',
  shape: IMAGE_SHAPE,
  slots: {
    image: {
      label: 'Image',
      levels: [],
      states: BOX_STATES,
      text: 'none',
      properties: ['drawnHeight', 'radius', 'shadow', 'marginInline', 'marginBlock', 'opacity'],
      defaults: { drawnHeight: 40 },
    },
  },
  box: () => 'image-box',
  compile,
  comesToNothing: (part) => part.svg === null && part.image === null,
  extent,
  texts: () => [],
};
