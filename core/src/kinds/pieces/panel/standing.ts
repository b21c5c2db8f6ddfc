import { styleRule, type ConditionalRule, type Declaration } from '../../../print/trees.ts';
import { lengthCss } from '../../../values/kinds/length.ts';
import { isLength } from '../../../values/length.ts';
import type { Values } from '../../../model/look.ts';
import { widely, type PieceOut } from '../../out.ts';
import type { PANEL_PROPERTIES, Standing } from '../../properties/panel.ts';
import type { Panel } from './shape.ts';

/*
 * Where a panel stands over the page, and how its blocks stand in it.
 */

/** The edge a panel comes from by itself. */
export type OwnEdge = 'start' | 'end' | 'top' | 'bottom';

/** Where a panel stands, once it is known at which side its opener is. */
export type Place = OwnEdge | 'whole' | 'middle' | 'beneath';

const PLACES: Readonly<Record<Exclude<Standing, 'at its opener’s side'>, Place>> = {
  'at the start': 'start',
  'at the end': 'end',
  'at the top': 'top',
  'at the bottom': 'bottom',
  'over the whole window': 'whole',
  'in the middle': 'middle',
  'beneath the bar': 'beneath',
};

export function placeIn(values: Values, openedFrom: 'start' | 'end'): Place {
  const standing = values.stands as Standing;
  return standing === 'at its opener’s side' ? openedFrom : PLACES[standing];
}

/** The edge nearest to where a panel stands: it comes from there unless told otherwise. */
export function ownEdge(place: Place, openedFrom: 'start' | 'end'): OwnEdge {
  switch (place) {
    case 'whole':
      return openedFrom;
    case 'middle':
      return 'bottom';
    case 'beneath':
      return 'top';
    default:
      return place;
  }
}

export const isAtSide = (place: Place): place is 'start' | 'end' => place === 'start' || place === 'end';

/** The room left between a panel and the window's edges. */
function gapIn({ windowGap }: Values): { readonly gap: string; readonly whole: string } {
  const gap = isLength(windowGap) ? lengthCss(windowGap) : '0';
  return { gap, whole: gap === '0' ? '100%' : `calc(100% - 2 * ${gap})` };
}

/** Where the bar ends that a panel hangs from: its least height, or as it really stands where the browser can tell. */
const beneath = (height: number) => `${Math.round(height)}px`;

function insets(place: Place, gap: string, isWhole: boolean, bar: number): readonly Declaration[] {
  const along: Declaration = ['inset-inline', gap];
  switch (place) {
    case 'start':
    case 'end':
      return [
        ['inset-block', isWhole ? gap : `${gap} auto`],
        ['inset-inline', place === 'start' ? `${gap} auto` : `auto ${gap}`],
      ];
    case 'bottom':
      return [['inset-block', isWhole ? gap : `auto ${gap}`], along];
    case 'beneath':
      return [['inset-block', `${beneath(bar)} ${isWhole ? gap : 'auto'}`], along];
    case 'top':
      return [['inset-block', isWhole ? gap : `${gap} auto`], along];
    default:
      return [['inset-block', gap], along];
  }
}

/** How wide and high it is besides what its look says. */
function sizes(place: Place, whole: string, isWhole: boolean, bar: number): readonly Declaration[] {
  const high: Declaration = ['max-block-size', place === 'beneath' ? `calc(100% - ${beneath(bar)})` : whole];
  if (isAtSide(place)) return [['max-inline-size', whole], ...(isWhole ? [] : [high])];
  if (place === 'middle')
    return [
      ['margin', 'auto'],
      ['block-size', isWhole ? 'auto' : 'fit-content'],
      ['max-inline-size', whole],
      high,
    ];
  return [['inline-size', 'auto'], ...(isWhole ? [] : [high])];
}

/** The panel, so that where it stands decides how wide it is before its look does. */
const firmly = (out: PieceOut) => `${out.own}[id]`;

function placeRules(values: Values, panel: Panel, out: PieceOut): ConditionalRule[] {
  const place = placeIn(values, out.openedFrom);
  const { gap, whole } = gapIn(values);
  const { tall } = values;
  const isWhole =
    place === 'whole' || tall === 'the whole window' || (isAtSide(place) && tall === 'as usual');
  const [first] = out.openers;
  const bar = first?.height ?? 0;
  const rules = [
    styleRule(firmly(out), [...insets(place, gap, isWhole, bar), ...sizes(place, whole, isWhole, bar)]),
  ];
  if (place !== 'beneath') return rules;
  const backdrop = styleRule(`${out.own}::backdrop`, [['inset-block-start', beneath(bar)]]);
  if (!first) return [...rules, backdrop];
  // A bar that wraps is taller, one that scrolls away is higher: the browser knows (CSS Anchor Positioning).
  const anchor = `--${out.name('bar')}`;
  const end = `max(0px, anchor(${anchor} bottom, ${beneath(bar)}))`;
  const anchored = '@supports (top: anchor(--x bottom))';
  return [
    ...rules,
    backdrop,
    styleRule(first.root, [['anchor-name', anchor]], anchored),
    styleRule(firmly(out), [['top', end]], anchored),
    styleRule(`${out.own}::backdrop`, [['top', end]], anchored),
  ];
}

type Stands = keyof (typeof PANEL_PROPERTIES)['contentStands']['choices'];

const CONTENT: Readonly<Record<Stands, string | null>> = {
  'at the top': null,
  'in the middle': 'safe center',
  'at the bottom': 'safe end',
  'spread out': 'space-between',
};

/** Where content stands that has more height than it takes. */
function contentAt(values: Values, property: 'justify-content' | 'align-content'): Declaration[] {
  const css = CONTENT[values.contentStands as Stands];
  return css === null ? [] : [[property, css]];
}

/** The least width in px of a block beside another one. */
const LEAST_BLOCK = 220;

function blockRules(panel: Panel, out: PieceOut): ConditionalRule[] {
  const inside = out.at('inside');
  return out.saidOf(panel.id, 'panel', ['blocksStand', 'contentStands']).flatMap(({ value, conditions }) => {
    const isRow = value.blocksStand === 'side by side';
    const rules = [
      styleRule(inside, [
        ['flex-flow', isRow ? 'wrap' : 'column'],
        ...contentAt(value, isRow ? 'align-content' : 'justify-content'),
      ]),
      styleRule(
        `${inside}>*`,
        isRow
          ? [
              ['flex', '1 1 0'],
              // Where both have no room for their words they stand beneath one another.
              ['min-inline-size', `min(100%, ${LEAST_BLOCK}px)`],
              ['overflow-y', 'auto'],
            ]
          : [['flex', 'none']],
      ),
    ];
    return widely(rules, conditions);
  });
}

/** Where the content of single blocks stands. */
function contentRules(panel: Panel, out: PieceOut): ConditionalRule[] {
  return panel.blocks.flatMap((block) =>
    out.saidOf(block.id, 'block', ['contentStands']).flatMap(({ value, conditions }) => {
      const said = contentAt(value, block.flow === 'row' ? 'align-content' : 'justify-content');
      return said.length === 0 ? [] : [styleRule(out.atOf(block.id, 'block'), said, ...conditions)];
    }),
  );
}

/** Where a panel stands, how large it is, and how its blocks share it. */
export function standingRules(panel: Panel, out: PieceOut): ConditionalRule[] {
  return [
    // As it is open it stays while it goes: only then is it displayed and closed.
    styleRule(out.own, [
      ['position', 'fixed'],
      ['display', 'flex'],
      ['flex-direction', 'column'],
      ['overflow', 'hidden'],
    ]),
    styleRule(out.at('inside'), [
      ['display', 'flex'],
      ['flex', 'auto'],
      ['min-block-size', '0'],
      ['gap', 'inherit'],
      ['overflow-y', 'auto'],
      ['overscroll-behavior', 'contain'],
    ]),
    ...out
      .saidOf(panel.id, 'panel', ['stands', 'tall', 'windowGap'])
      .flatMap(({ value, conditions }) => widely(placeRules(value, panel, out), conditions)),
    ...blockRules(panel, out),
    ...contentRules(panel, out),
  ];
}
