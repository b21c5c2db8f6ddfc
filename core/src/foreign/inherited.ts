import type { Element } from 'domhandler';
import { Cascade } from './cascade/cascade.ts';
import { situationOf, type ForeignState } from './cascade/situation.ts';
import type { Viewport } from './conditions/media.ts';
import type { ForeignPage } from './page.ts';
import { toldProperties, type ToldProperty } from './told-rules.ts';
import { parentOf } from './tree.ts';

/** Properties that elements inherit (the properties' own definitions). */
const INHERITED =
  /^(?:color|cursor|direction|line-height|letter-spacing|visibility|white-space.*|word-(?:spacing|break)|overflow-wrap|font-(?:family|size|style|weight|stretch|variant-caps|kerning)|text-(?:align|transform|indent|shadow)|list-style-(?:type|position|image))$/;

/** Whether elements have a property from the one around them where nothing is said of them. */
export const isInherited = (property: string): boolean => INHERITED.test(property);

const CONTROL =
  /^(?:color|line-height|letter-spacing|word-spacing|font-.*|text-(?:align|transform|indent|shadow)|cursor)$/;

/** What browsers say of elements themselves, so that these do not inherit it (HTML, section 15.3). */
const BY_BROWSER: readonly (readonly [names: RegExp, properties: RegExp])[] = [
  [/^(?:a|area)$/, /^(?:color|cursor)$/],
  [/^h[1-6]$/, /^font-(?:size|weight)$/],
  [/^(?:b|strong)$/, /^font-weight$/],
  [/^(?:i|em|cite|var|dfn|address)$/, /^font-style$/],
  [/^(?:code|kbd|samp|pre)$/, /^(?:font-family|font-size|white-space.*)$/],
  [/^(?:small|sub|sup)$/, /^font-size$/],
  [/^th$/, /^(?:font-weight|text-align)$/],
  [/^(?:button|input|select|textarea)$/, CONTROL],
  [/^(?:ul|ol|menu)$/, /^list-style-type$/],
  [/^table$/, /^(?:text-indent)$/],
];

/** Whether the browser's own stylesheet says a property of an element, so that nothing is inherited. */
export const isByBrowser = ({ name, attribs }: Element, property: string): boolean =>
  !(name === 'a' && !('href' in attribs)) &&
  BY_BROWSER.some(([names, properties]) => names.test(name) && properties.test(property));

/** A value that an element has from another one around it. */
export interface InheritedProperty extends ToldProperty {
  /** The element it is said of. */
  readonly from: Element;
}

/** The values that an element, or a pseudo-element of it, inherits in a state, as nothing says them of itself. */
export function inheritedProperties(
  page: ForeignPage,
  element: Element,
  state: ForeignState,
  viewport: Viewport,
  pseudo: string | null = null,
): readonly InheritedProperty[] {
  const cascade = new Cascade(page, situationOf(page, element, state, viewport));
  const known = new Set(toldProperties(page, cascade, element, pseudo).map(({ name }) => name));
  const found: InheritedProperty[] = [];
  let inner = pseudo === null ? element : null;
  for (let around = pseudo === null ? parentOf(element) : element; around; around = parentOf(around)) {
    const from = around;
    const through = inner;
    for (const told of toldProperties(page, cascade, from, null)) {
      if (known.has(told.name) || !INHERITED.test(told.name)) continue;
      known.add(told.name);
      // Where the browser says it of something between, that is what is inherited.
      const isSaidBetween =
        (pseudo === null && isByBrowser(element, told.name)) ||
        (through !== null && isByBrowser(through, told.name));
      if (!isSaidBetween) found.push({ ...told, from });
    }
    inner = from;
  }
  return found;
}
