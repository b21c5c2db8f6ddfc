import { element, styleRule, text, type ConditionalRule, type HtmlNode } from '../../../print/trees.ts';
import { flag, picture, svg, text as textField } from '../../../model/shape/fields.ts';
import { BUTTON_STATES, CONTROL_PROPERTIES, LINK_STATES } from '../../../model/slot.ts';
import { exact, sumExtents, svgRatio, type Extent, type PartExtents } from '../../extent.ts';
import type { PartKind, PartOf } from '../../kind.ts';
import { CLICKABLE, DRAWN, fragment, IN_LINE, type Fragment, type PartOut } from '../../out.ts';

const isDrawn = (part: { readonly svg?: unknown; readonly image?: unknown }) =>
  part.svg !== null || part.image !== null;

const LOGO_SHAPE = {
  text: textField({
    label: 'text',
    needed: true,
    hint: 'the name as text; beside a drawing or picture also what assistive technology reads',
  }),
  svg: svg({ label: 'drawing', hint: 'SVG' }),
  image: picture({ label: 'picture', hint: 'a picture’s address or data instead of a drawing' }),
  second: svg({
    label: 'while scrolled',
    hint: 'another drawing in its place while the page is scrolled, for a bar that changes its ground',
    when: isDrawn,
  }),
  textShown: flag({
    label: 'with text',
    hint: 'whether the text stands beside the drawing; without a drawing it always shows',
    initial: true,
    when: isDrawn,
  }),
} as const;

/** The site's name or mark, linked to its front page. */
export type Logo = PartOf<'logo', typeof LOGO_SHAPE>;

const SLOTS = {
  logo: {
    label: 'Logo',
    levels: [],
    states: BUTTON_STATES,
    text: 'label',
    typeStyle: 'title',
    properties: CONTROL_PROPERTIES,
    defaults: { colour: { role: 'ink' }, gap: 10 },
  },
  drawing: {
    label: 'Logo’s drawing',
    levels: [],
    states: LINK_STATES.filter((state) => state === 'rest' || state === 'scrolled' || state === 'hover'),
    text: 'none',
    inside: 'logo',
    properties: ['drawnHeight', 'radius', 'opacity'],
    defaults: { drawnHeight: 36 },
  },
} as const;

/** The path of the site's front page on its own host. */
function homePath(url: string): string {
  return /^https?:\/\/[^/?#]+(\/[^?#]*)?/i.exec(url)?.[1] ?? '/';
}

function drawings(part: Logo, out: PartOut): HtmlNode[] {
  const className = out.class('drawing');
  if (part.svg === null)
    return part.image === null ? [] : [element('img', { class: className, src: part.image, alt: '' })];
  return [out.drawn(part.svg, className)];
}

/** A drawing of its own while the page is scrolled; null where the header never is. */
const secondOf = (part: Logo, out: PartOut) => (out.scrolls && isDrawn(part) ? part.second : null);

function rules(part: Logo, out: PartOut): ConditionalRule[] {
  const own = [styleRule(out.at('logo'), [...IN_LINE, CLICKABLE])];
  if (!isDrawn(part)) return own;
  const drawn = [...own, styleRule(out.at('drawing'), DRAWN)];
  if (secondOf(part, out) === null) return drawn;
  const [first, second] = [`.${out.class('drawing')}`, `.${out.class('second')}`];
  const away = [['display', 'none']] as const;
  return [
    ...drawn,
    styleRule(out.within(second), away),
    styleRule(`${out.scrolled} ${first}:not(${second})`, away),
    styleRule(`${out.scrolled} ${first}${second}`, [['display', 'block']]),
  ];
}

function compile(part: Logo, out: PartOut): Fragment {
  const second = secondOf(part, out);
  const drawn = [
    ...drawings(part, out),
    ...(second === null ? [] : [out.drawn(second, `${out.class('drawing')} ${out.class('second')}`)]),
  ];
  const hidesText = drawn.length > 0 && !part.textShown;
  const attributes = {
    class: out.classes('logo'),
    ...out.folding,
    href: homePath(out.site.url),
    'aria-label': hidesText ? part.text : null,
  };
  const link = element('a', attributes, ...drawn, hidesText ? null : text(part.text));
  return fragment([link], rules(part, out), second === null ? [] : ['scrolled']);
}

function extent(part: Logo, at: PartExtents): Extent {
  const label = at.label(part.text, 'logo');
  if (!isDrawn(part)) return label;
  const ratio = part.svg === null ? null : svgRatio(part.svg);
  const drawing: Extent = {
    width: at.slot('drawing').pixels('drawnHeight') * (ratio ?? 1),
    certain: ratio !== null,
    unmeasured: ratio === null ? ['logo'] : [],
  };
  const own = at.slot('logo');
  if (part.textShown) return sumExtents([drawing, label], own.pixels('gap'));
  return sumExtents([drawing, exact(2 * own.pixels('paddingInline') + own.around())], 0);
}

export const LOGO: PartKind<'logo', typeof LOGO_SHAPE> = {
  id: 'logo',
  label: 'Logo',
  hint: 'the site’s name or mark, linked to its front page',
  shape: LOGO_SHAPE,
  slots: SLOTS,
  create: ({ site }) => ({ text: site.name || 'Name' }),
  hasSlot: (part, slot) => slot !== 'drawing' || isDrawn(part),
  compile,
  extent,
  texts: (part) => [part.text],
};
