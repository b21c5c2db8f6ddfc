import { sections } from '../../../model/shape/fields.ts';
import { BOX_PROPERTIES, BOX_STATES } from '../../../model/slot.ts';
import { element, styleRule, type ConditionalRule, type Declaration } from '../../../print/trees.ts';
import { lengthCss } from '../../../values/kinds/length.ts';
import { isLength } from '../../../values/length.ts';
import type { PieceKind, PieceOf } from '../../kind.ts';
import { newPart } from '../../new-part.ts';
import {
  fragment,
  joined,
  movesOnceReady,
  NO_SCRIPT,
  PRINT,
  waitsForScript,
  widely,
  type Fragment,
  type PieceOut,
  type Said,
} from '../../out.ts';
import type { FloatPlace, FLOATING_PROPERTIES } from '../../properties/floating.ts';
import { ASIDE, INSET } from '../../properties/placement.ts';
import { RING_LOOK, RING_SHAPE, type RingPart } from '../../parts/ring/shape.ts';
import { createBlock, type Block } from '../../sections/block/block.ts';
import type { Part, Site } from '../../site.ts';

const FLOATING_SHAPE = {
  blocks: sections<Block>(['block'], { min: 1, max: 8 }),
} as const;

/** What stands fixed in the window, over the page: a corner's opener with links around it, a bar at the bottom, a jump menu. */
export type Floating = PieceOf<'floating', typeof FLOATING_SHAPE>;

type Appearing = keyof (typeof FLOATING_PROPERTIES)['appears']['choices'];

/** How it stands in some bands. */
interface Stand {
  readonly place: FloatPlace;
  readonly inline: string;
  readonly block: string;
  readonly appears: Appearing;
  /** The least height in px of a bar along the bottom. */
  readonly height: number;
}

function standIn({ id }: Floating, band: number, out: PieceOut): Stand {
  const value = (property: 'floatInline' | 'floatBlock' | 'height') => {
    const found = out.valueIn(id, 'floating', property, band);
    return isLength(found) ? lengthCss(found) : '0';
  };
  const height = out.valueIn(id, 'floating', 'height', band);
  return {
    place: out.valueIn(id, 'floating', 'floatsAt', band) as FloatPlace,
    inline: value('floatInline'),
    block: value('floatBlock'),
    appears: out.valueIn(id, 'floating', 'appears', band) as Appearing,
    height: typeof height === 'number' ? height : 0,
  };
}

const plus = (offset: string, inset: string) => (offset === '0' ? inset : `calc(${offset} + ${inset})`);

/** In the middle of an edge, moved along it. */
function middle(axis: 'inline' | 'block', offset: string): readonly Declaration[] {
  const moved = offset === '0' ? '0' : `calc(2 * ${offset}) 0`;
  return [
    [`inset-${axis}`, moved],
    [`${axis}-size`, 'fit-content'],
    [`margin-${axis}`, 'auto'],
  ];
}

/** What keeps it at its place. */
function placed({ place, inline, block }: Stand): readonly Declaration[] {
  const edge = (side: 'start' | 'end', axis: 'block' | 'inline', offset: string): Declaration => {
    const inset = axis === 'inline' ? ASIDE : INSET(side === 'start' ? 'top' : 'bottom');
    return [`inset-${axis}-${side}`, plus(offset, inset)];
  };
  switch (place) {
    case 'along the bottom':
      return [
        ['inset-block-end', '0'],
        ['inset-inline', '0'],
        ['padding-block-end', INSET('bottom')],
      ];
    case 'at the top':
      return [edge('start', 'block', block), ...middle('inline', inline)];
    case 'at the bottom':
      return [edge('end', 'block', block), ...middle('inline', inline)];
    case 'at the start':
      return [edge('start', 'inline', inline), ...middle('block', block)];
    case 'at the end':
      return [edge('end', 'inline', inline), ...middle('block', block)];
    case 'at the top, start':
      return [edge('start', 'block', block), edge('start', 'inline', inline)];
    case 'at the top, end':
      return [edge('start', 'block', block), edge('end', 'inline', inline)];
    case 'at the bottom, start':
      return [edge('end', 'block', block), edge('start', 'inline', inline)];
    case 'at the bottom, end':
      return [edge('end', 'block', block), edge('end', 'inline', inline)];
  }
}

/** How long it takes to come and go with the page's way, in ms. */
const TIME = '200ms';

/** Out of sight until the page is scrolled far enough; without the script it is always there. */
function appearRules(out: PieceOut): readonly ConditionalRule[] {
  const ready = `${out.own}[${out.attribute('ready')}]`;
  return [
    styleRule(out.own, [[out.variable('after'), '400px']]),
    styleRule(`${ready}:not([${out.attribute('past')}])`, [
      ['opacity', '0'],
      ['visibility', 'hidden'],
    ]),
    ...movesOnceReady(out, `opacity ${TIME}, visibility ${TIME}`),
    waitsForScript(out),
  ];
}

/** The links of a bar share its width, all alike; long labels end in an ellipsis. */
function barRules(menu: string, out: PieceOut): ConditionalRule[] {
  const list = `${out.own} .${out.classOf(menu, 'list')}`;
  return [
    styleRule(`${list}, ${out.own} .${out.classOf(menu, 'nav')}`, [['flex', '1']]),
    styleRule(list, [['flex-wrap', 'nowrap']]),
    styleRule(`${list}>li`, [
      ['flex', '1 1 0'],
      ['min-inline-size', '0'],
      ['align-self', 'stretch'],
    ]),
    styleRule(`${list}>li>:first-child`, [
      ['flex', '1'],
      ['align-self', 'stretch'],
      ['justify-content', 'center'],
      ['min-inline-size', '0'],
      ['overflow', 'hidden'],
      ['text-overflow', 'ellipsis'],
    ]),
  ];
}

function standRules(stand: Stand, menus: readonly string[], out: PieceOut): readonly ConditionalRule[] {
  const isBar = stand.place === 'along the bottom';
  const room = `calc(${stand.height}px + ${INSET('bottom')})`;
  return [
    styleRule(out.own, [['display', 'block'], ['position', 'fixed'], ['z-index', '110'], ...placed(stand)]),
    // The end of the page is not hidden beneath a bar, and what opens from it opens upward.
    ...(isBar ? [styleRule(`body:has(${out.own})`, [['padding-block-end', room]])] : []),
    ...(isBar ? [styleRule(`html:has(${out.own})`, [['scroll-padding-block-end', room]])] : []),
    ...(stand.place.includes('bottom')
      ? menus.map((id) =>
          styleRule(`${out.own} .${out.classOf(id, 'submenu')}`, [['inset-block', 'auto 100%']]),
        )
      : []),
    ...(isBar ? menus.flatMap((id) => barRules(id, out)) : []),
    ...(stand.appears === 'after a distance' ? appearRules(out) : []),
  ];
}

function compile(floating: Floating, out: PieceOut): Fragment {
  const blocks = joined(floating.blocks.map((block) => out.section(block)));
  const parts: readonly Part[] = floating.blocks.flatMap((block) => block.parts);
  const menus = parts.filter(({ kind }) => kind === 'menu').map(({ id }) => id);
  const hasRing = parts.some(({ kind }) => kind === 'ring');
  const stands = out
    .inBands((band) => (out.isShownIn(band) ? standIn(floating, band, out) : null))
    .filter((stand) => stand.value !== null) as readonly Said<Stand>[];
  const node = element('div', { ...out.rootData, class: out.rootClass }, out.symbols(), ...blocks.nodes);
  return fragment(
    [node],
    [
      ...stands.flatMap(({ value, conditions }) => widely(standRules(value, menus, out), conditions)),
      styleRule(out.own, [['display', 'none']], PRINT),
      // What no script can open stands in the page, with every link in sight.
      ...(hasRing ? [styleRule(out.own, [['position', 'static']], NO_SCRIPT)] : []),
      ...blocks.rules,
    ],
    [
      ...(stands.some(({ value }) => value.appears === 'after a distance') ? (['appears'] as const) : []),
      ...blocks.behaviours,
    ],
  );
}

/** A new one is an opener with the site's links around it. */
function ringOf(site: Site, id: string): readonly Part[] {
  return site.menus.length === 0
    ? []
    : [
        newPart<RingPart>(RING_SHAPE, {
          kind: 'ring',
          id,
          menu: site.menus[0]?.id ?? '',
          look: RING_LOOK,
        }),
      ];
}

export const FLOATING: PieceKind<'floating', typeof FLOATING_SHAPE> = {
  id: 'floating',
  alsoCalled: 'corner button bottom bar tab bar',
  label: 'Floating menu',
  hint: 'stays in the window, over the page',
  shape: FLOATING_SHAPE,
  slots: {
    floating: {
      label: 'Floating menu',
      levels: [],
      states: BOX_STATES,
      text: 'none',
      properties: [
        'floatsAt',
        'floatInline',
        'floatBlock',
        'appears',
        'sticksAfter',
        'height',
        ...BOX_PROPERTIES,
      ],
      defaults: {},
    },
  },
  reads: { floating: ['height', 'paddingInline', 'paddingBlock'] },
  stands: 'window',
  create: ({ id, name, freshId, site }) => ({
    kind: 'floating',
    id,
    name,
    blocks: [createBlock(freshId(), 'Links', site ? ringOf(site, freshId()) : [])],
    look: {},
  }),
  comesTo: () => true,
  keeps: (floating, read, band) => {
    const at = read.value(floating.id, 'floating', 'floatsAt', band) as FloatPlace;
    return at === 'along the bottom'
      ? { at: 'bottom', height: read.pixels(floating.id, 'floating', 'height', band), by: 'floatsAt' }
      : { at, height: read.pixels(floating.id, 'floating', 'floatBlock', band), by: 'floatBlock' };
  },
  overContent: () => true,
  grounds: ['floating'],
  behind: () => [],
  rootSlot: 'floating',
  compile,
};
