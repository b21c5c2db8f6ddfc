import { contrastRatio } from '../../colour/contrast.ts';
import { formatColour, parseColour } from '../../colour/colour.ts';
import type { Social, SocialLink } from '../../kinds/parts/social.ts';
import { within, type CompileContext } from '../context.ts';
import { DRAWN, glyph } from '../icons.ts';
import { partClasses } from '../shown.ts';
import {
  element,
  rule,
  type ConditionalRule,
  type Declaration,
  type HtmlElement,
} from '../../print/trees.ts';

/** Profiles elsewhere as a list of named icons. */
export function socialMarkup(context: CompileContext, part: Social): HtmlElement {
  const at = (slot: string) => context.names.slotClass(part.id, slot);
  const marks = part.links.map((link) =>
    element(
      'li',
      {},
      element(
        'a',
        { class: at('profile'), href: link.url, 'aria-label': link.name },
        glyph(context, at('profile-icon'), link.icon),
      ),
    ),
  );
  return element('ul', { class: partClasses(context, part, 'social'), 'aria-label': part.name }, ...marks);
}

const WHITE = { r: 1, g: 1, b: 1, a: 1 };
const BLACK = { r: 0, g: 0, b: 0, a: 1 };

/** A network's colour, and black or white upon it, as custom properties that the look's colours fall back from. */
function networkColours(context: CompileContext, { colour }: SocialLink): Declaration[] {
  const parsed = colour === null ? null : parseColour(colour);
  if (!parsed) return [];
  const on = contrastRatio(WHITE, parsed) >= contrastRatio(BLACK, parsed) ? WHITE : BLACK;
  return [
    [context.names.variable('network'), formatColour(parsed)],
    [context.names.variable('on-network'), formatColour(on)],
  ];
}

export function socialRules(context: CompileContext, part: Social): ConditionalRule[] {
  const at = (slot: string, rest = '') =>
    within(context, `.${context.names.slotClass(part.id, slot)}${rest}`);
  const own =
    part.colours === 'look'
      ? []
      : part.links.flatMap((link, index) => {
          const colours = networkColours(context, link);
          return colours.length > 0 ? [rule(at('social', `>:nth-child(${index + 1})`), colours)] : [];
        });
  return [
    rule(at('social'), [
      ['display', 'flex'],
      ['flex-wrap', 'wrap'],
      ['align-items', 'center'],
    ]),
    rule(at('profile'), [
      ['display', 'block'],
      ['cursor', 'pointer'],
    ]),
    // Its size is its font size.
    ...(part.links.length > 0
      ? [rule(at('profile-icon'), [...DRAWN, ['inline-size', '1em'], ['block-size', '1em']])]
      : []),
    ...own,
  ];
}
