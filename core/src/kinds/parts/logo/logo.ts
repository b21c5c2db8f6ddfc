import {
  element,
  styleRule,
  text,
  type ConditionalRule,
  type Declaration,
  type HtmlNode,
} from '../../../print/trees.ts';
import { flag, picture, svg, text as textField } from '../../../model/shape/fields.ts';
import { BUTTON_STATES, CONTROL_PROPERTIES, LINK_STATES } from '../../../model/slot.ts';
import { ratioOf } from '../../../drawings/picture-ratio.ts';
import { pictureExtent, type Extent, type PartExtents } from '../../extent.ts';
import type { PartKind, PartOf } from '../../kind.ts';
import { CLICKABLE, drawnWithin, fragment, IN_LINE, type Fragment, type PartOut } from '../../out.ts';

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

/** Where a row has no room, a name of several words stands on several lines before the row breaks. */
const GIVES_WAY: readonly Declaration[] = [
  // Before anything else in the row that grows, so that it never breaks while there is room for it.
  ['flex', '9999 1 min-content'],
  ['min-inline-size', '0'],
  ['max-inline-size', 'max-content'],
  ['overflow-wrap', 'break-word'],
];

const showsText = (part: Logo) => !isDrawn(part) || part.textShown;

function rules(part: Logo, out: PartOut): ConditionalRule[] {
  const own = [
    styleRule(out.at('logo'), [...IN_LINE, CLICKABLE]),
    ...(out.form === 'row' && showsText(part) && /\s/.test(part.text.trim())
      ? out.inRow([[out.at('logo'), GIVES_WAY]])
      : []),
  ];
  if (!isDrawn(part)) return own;
  const drawn = [...own, ...drawnWithin(out.at('drawing'), ratioOf(part))];
  if (secondOf(part, out) === null) return drawn;
  const [first, second] = [`.${out.class('drawing')}`, `.${out.class('second')}`];
  const away = [['display', 'none']] as const;
  return [
    ...drawn,
    styleRule(out.within(second), away),
    styleRule(`${out.scrolled} ${first}:not(${second})`, away, ...out.whileScrolled),
    styleRule(`${out.scrolled} ${first}${second}`, [['display', 'block']], ...out.whileScrolled),
  ];
}

function compile(part: Logo, out: PartOut): Fragment {
  const second = secondOf(part, out);
  const drawn = [
    ...drawings(part, out),
    ...(second === null ? [] : [out.drawn(second, `${out.class('drawing')} ${out.class('second')}`)]),
  ];
  const attributes = {
    class: out.classes('logo'),
    ...out.attributes,
    href: out.address(homePath(out.site.url)),
    'aria-label': showsText(part) ? null : part.text,
  };
  const link = element('a', attributes, ...drawn, showsText(part) ? text(part.text) : null);
  return fragment([link], rules(part, out), second === null ? [] : ['scrolled']);
}

function extent(part: Logo, at: PartExtents): Extent {
  const drawing = () => pictureExtent(at.slot('drawing').pixels('drawnHeight'), ratioOf(part), 'logo');
  return at.control(
    [...(isDrawn(part) ? [drawing()] : []), ...(showsText(part) ? [at.words(part.text, 'logo')] : [])],
    'logo',
  );
}

export const LOGO: PartKind<'logo', typeof LOGO_SHAPE> = {
  id: 'logo',
  alsoCalled: 'brand picture image name',
  label: 'Logo',
  hint: 'the site’s name or mark, linked to its front page',
  shape: LOGO_SHAPE,
  slots: SLOTS,
  create: ({ site }) => ({ text: site.name || 'Name' }),
  hasSlot: (part, slot) => slot !== 'drawing' || isDrawn(part),
  beside: ['second'],
  compile,
  extent,
  texts: (part) => [part.text],
};
