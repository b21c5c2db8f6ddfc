import { element, styleRule, type ConditionalRule, type Declaration } from '../../../print/trees.ts';
import { initialOf, type Infer } from '../../../model/shape/field.ts';
import {
  BOX_PROPERTIES,
  BUTTON_STATES,
  COMING_PROPERTIES,
  FILL_PROPERTIES,
  ICON_CONTROL_PROPERTIES,
  LONE_ICON_PROPERTIES,
  REST_ONLY,
} from '../../../model/slot.ts';
import type { BehaviourId } from '../../behaviours/behaviours.ts';
import { labelSlot } from '../../controls/labelled.ts';
import type { PieceKind } from '../../kind.ts';
import { fragment, joined, SCRIPT, type Fragment, type PieceOut } from '../../out.ts';
import { createBlock } from '../../sections/block/block.ts';
import { behindRules, drawsSmaller } from './behind.ts';
import { closeControl, closeRules, closingAttributes, closingProblem, coversContent } from './closing.ts';
import { comingRules } from './coming.ts';
import { PANEL_SHAPE, type Panel } from './shape.ts';
import { standingRules } from './standing.ts';

/** States of what lies over the page: how far that is scrolled makes no difference. */
const CLOSE_STATES = BUTTON_STATES.filter((state) => state !== 'scrolled');

function rules(panel: Panel, hasOwn: boolean, out: PieceOut): ConditionalRule[] {
  return [
    styleRule(`${out.own}::backdrop`, [
      ['all', 'unset'],
      ['position', 'fixed'],
      ['inset', '0'],
    ]),
    ...standingRules(panel, out),
    ...closeRules(panel, out),
    ...behindRules(panel, out),
    ...comingRules(panel, out),
    ...closedRules(panel, hasOwn, out),
  ];
}

/** As everything else of the page, whatever it is like where it is open. */
const IN_PAGE: readonly Declaration[] = [
  ['display', 'block'],
  ['position', 'static'],
  ['inline-size', 'auto'],
  ['block-size', 'auto'],
  ['max-inline-size', 'none'],
  ['max-block-size', 'none'],
  ['margin', '0'],
];

/** A panel that is closed. Where no script has taken charge of it, what is its own stands in the page. */
function closedRules(panel: Panel, hasOwn: boolean, out: PieceOut): ConditionalRule[] {
  const closed = `${out.own}:not([open])`;
  if (!hasOwn) return [styleRule(closed, [['display', 'none']])];
  const ready = `[${out.attribute('ready')}]`;
  const inPage = `${closed}:not(${ready})`;
  return [
    styleRule(`${closed}${ready}`, [['display', 'none']]),
    styleRule(inPage, IN_PAGE),
    styleRule(inPage, [out.waits], SCRIPT),
    ...(panel.closeAs === 'none'
      ? []
      : [styleRule(`${inPage} .${out.class('close')}`, [['display', 'none']])]),
  ];
}

/** What the script does for a panel besides opening and closing it. */
function behaviours(panel: Panel, out: PieceOut): BehaviourId[] {
  return [
    'panel',
    ...(panel.openedBy.trim() === '' ? [] : (['summons'] as const)),
    ...(panel.byScroll && !panel.holdsPage ? (['away'] as const) : []),
    ...(panel.bySwipe ? (['swipe'] as const) : []),
    ...(drawsSmaller(panel, out) ? (['distance'] as const) : []),
  ];
}

function compile(panel: Panel, out: PieceOut): Fragment {
  const blocks = joined(panel.blocks.map((block) => out.section(block)));
  const hasOwn = panel.blocks.some((block) => block.parts.some((part) => part.kind !== 'berth'));
  const node = element(
    'dialog',
    {
      ...out.rootData,
      class: out.rootClass,
      id: out.id(out.class('panel')),
      'aria-label': panel.name,
      ...closingAttributes(panel, out),
    },
    out.symbols(),
    closeControl(panel, out),
    element('div', { class: out.class('inside') }, ...blocks.nodes),
  );
  return fragment(
    [node],
    [...rules(panel, hasOwn, out), ...blocks.rules],
    [...behaviours(panel, out), ...blocks.behaviours],
  );
}

export const PANEL: PieceKind<'panel', typeof PANEL_SHAPE> = {
  id: 'panel',
  alsoCalled: 'drawer off-canvas side mobile menu dialog overlay',
  label: 'Panel',
  hint: 'lies over the page once it is opened',
  shape: PANEL_SHAPE,
  slots: {
    panel: {
      label: 'Panel',
      levels: [],
      states: REST_ONLY,
      text: 'none',
      properties: [
        'stands',
        'width',
        'tall',
        'panelHeight',
        'windowGap',
        'blocksStand',
        'contentStands',
        'pageBehind',
        ...BOX_PROPERTIES,
        'gap',
        ...COMING_PROPERTIES,
      ],
      defaults: {
        fill: { role: 'paper' },
        width: 320,
        paddingInline: 16,
        paddingBlock: 12,
        gap: 8,
        comesIn: 'sliding',
        comeTime: 200,
      },
    },
    close: {
      label: 'Close control',
      levels: [],
      states: CLOSE_STATES,
      text: 'icon',
      properties: ['closeStands', 'closeLies', ...ICON_CONTROL_PROPERTIES, 'gap'],
      defaults: { colour: { role: 'ink' }, size: 24, paddingInline: 10, paddingBlock: 10, gap: 8 },
    },
    'close-label': labelSlot('Close control’s word', 'close', CLOSE_STATES),
    'close-icon': {
      label: 'Close control’s drawing',
      levels: [],
      states: CLOSE_STATES,
      text: 'none',
      inside: 'close',
      properties: LONE_ICON_PROPERTIES,
      defaults: {},
    },
    scrim: {
      label: 'Scrim',
      levels: [],
      states: REST_ONLY,
      text: 'none',
      properties: FILL_PROPERTIES.filter((id) => id === 'fill' || id === 'blur'),
      defaults: { fill: { literal: '#00000080' } },
    },
  },
  stands: 'over',
  create: ({ id, name, freshId }) => ({
    ...(initialOf(PANEL_SHAPE) as Infer<typeof PANEL_SHAPE>),
    kind: 'panel',
    id,
    name,
    blocks: [createBlock(freshId(), 'Content')],
    look: {},
  }),
  problem: closingProblem,
  hasSlot: (panel, slot) => {
    switch (slot) {
      case 'close':
        return panel.closeAs !== 'none';
      case 'close-label':
        return panel.closeAs === 'word' || panel.closeAs === 'both';
      case 'close-icon':
        return panel.closeIcon !== null && (panel.closeAs === 'drawing' || panel.closeAs === 'both');
      default:
        return true;
    }
  },
  drawn: (panel) => (panel.closeIcon === null ? [] : [panel.closeIcon]),
  texts: (panel) => [panel.closeWord],
  comesTo: (_panel, state) => state !== 'scrolled',
  overContent: () => true,
  grounds: ['panel', 'scrim'],
  behind: (slot) => (slot === 'close' || slot === 'close-label' ? ['panel'] : []),
  liesOver: (panel, slot) =>
    slot.startsWith('close') && coversContent(panel) ? panel.blocks.map(({ id }) => id) : [],
  rootSlot: 'panel',
  backdropSlot: 'scrim',
  beside: ['inside', 'opener-place', 'turned'],
  compile,
};
