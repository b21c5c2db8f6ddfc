import { readMarkup, markupText, type MarkupNode } from '../../../markup/read-markup.ts';
import { BOX_PROPERTIES, BOX_STATES, MARGIN_PROPERTIES, TEXT_PROPERTIES } from '../../../model/slot.ts';
import { markup } from '../../../model/shape/fields.ts';
import { element, styleRule, text, withOwnBlanks, type HtmlNode } from '../../../print/trees.ts';
import type { Extent, PartExtents } from '../../extent.ts';
import type { PartKind, PartOf } from '../../kind.ts';
import { fragment, NOTHING, type Fragment, type PartOut } from '../../out.ts';

const MARKUP_SHAPE = {
  source: markup({
    label: 'HTML',
    hint: 'markup of your own: text, lists, tables, pictures, forms. The page’s own stylesheet dresses it',
    initial: '<p>Your own HTML</p>',
  }),
} as const;

/** Markup of the designer's own: what no other part is, such as a form for a newsletter. */
export type OwnMarkup = PartOf<'markup', typeof MARKUP_SHAPE>;

const nodesOf = ({ source }: OwnMarkup): readonly MarkupNode[] => {
  const read = readMarkup(source);
  return read.ok ? read.value : [];
};

/** Attributes that lead somewhere, as links of menus do. */
const LEADING = new Set(['href', 'action']);

/** An element as the output has it. An attribute without a value is written as one. */
const printed = (node: MarkupNode, address: PartOut['address']): HtmlNode =>
  typeof node === 'string'
    ? text(node)
    : element(
        node.name,
        Object.fromEntries(
          Object.entries(node.attributes).map(([name, value]) => {
            const written = LEADING.has(name) ? address(value) : value;
            return [name, written === '' ? true : written];
          }),
        ),
        ...node.children.map((child) => printed(child, address)),
      );

function compile(part: OwnMarkup, out: PartOut): Fragment {
  const nodes = nodesOf(part);
  if (nodes.length === 0) return NOTHING;
  return fragment(
    [
      withOwnBlanks(
        element(
          'div',
          { class: `${out.classes('markup')} ${out.name('own')}`, ...out.attributes },
          ...nodes.map((node) => printed(node, (href) => out.address(href))),
        ),
      ),
    ],
    [
      styleRule(out.at('markup'), [
        ['display', 'block'],
        ['min-inline-size', '0'],
        // What is wider than its place scrolls there.
        ['max-inline-size', '100%'],
        ['overflow-x', 'auto'],
      ]),
    ],
  );
}

/** What the page makes of it is not known: its words on one line are a guess. */
function extent(part: OwnMarkup, at: PartExtents): Extent {
  const own = at.slot('markup');
  const words = at.words(markupText(nodesOf(part)), 'markup');
  const width = Math.min(words.width, MOST_GUESSED) + 2 * own.pixels('paddingInline') + own.around();
  return { width, certain: false, unmeasured: ['own HTML'] };
}

/** What own markup is guessed to take at most, in px: longer text wraps. */
const MOST_GUESSED = 240;

export const MARKUP: PartKind<'markup', typeof MARKUP_SHAPE> = {
  id: 'markup',
  alsoCalled: 'html code form embed',
  label: 'Own HTML',
  hint: 'markup of your own, dressed by the page it stands in',
  shape: MARKUP_SHAPE,
  slots: {
    markup: {
      label: 'Own HTML',
      levels: [],
      states: BOX_STATES,
      text: 'label',
      typeStyle: 'menu',
      properties: [...TEXT_PROPERTIES, ...BOX_PROPERTIES, ...MARGIN_PROPERTIES],
      defaults: { colour: { role: 'ink' } },
    },
  },
  compile,
  extent,
  comesToNothing: (part) => nodesOf(part).length === 0,
  texts: (part) => [markupText(nodesOf(part))],
};
