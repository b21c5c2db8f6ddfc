import { element, styleRule, type ConditionalRule } from '../../../print/trees.ts';
import { choice, sections, text } from '../../../model/shape/fields.ts';
import {
  BOX_PROPERTIES,
  BUTTON_STATES,
  FILL_PROPERTIES,
  ICON_CONTROL_PROPERTIES,
  REST_ONLY,
} from '../../../model/slot.ts';
import type { PieceKind, PieceOf } from '../../kind.ts';
import { CLICKABLE, fragment, MAY_MOVE, NO_SCRIPT, type Fragment, type PieceOut } from '../../out.ts';
import { createBlock, type Block } from '../../sections/block/block.ts';

const PANEL_SHAPE = {
  side: choice(
    { opener: 'the side of what opens it', end: 'the end', start: 'the start' },
    { label: 'comes from', hint: 'the edge it slides in from' },
  ),
  closeLabel: text({
    label: 'close button’s name',
    needed: true,
    hint: 'accessible name of the control that closes it',
    initial: 'Close menu',
  }),
  blocks: sections<Block>('block', { min: 1, max: 8 }),
} as const;

/** A side panel over the page: a modal dialog. What folds away elsewhere arrives at its berths. */
export type Panel = PieceOf<'panel', typeof PANEL_SHAPE>;

function closeButton(panel: Panel, out: PieceOut) {
  return element(
    'button',
    {
      class: out.class('close'),
      type: 'button',
      command: 'close',
      commandfor: out.id(out.class('panel')),
      'aria-label': panel.closeLabel,
    },
    out.icon('cross'),
  );
}

function rules(panel: Panel, hasOwn: boolean, out: PieceOut): ConditionalRule[] {
  const open = `${out.own}[open]`;
  const closed = `${out.own}:not([open])`;
  const side = panel.side === 'opener' ? out.openedFrom : panel.side;
  const [away, back] = side === 'end' ? ['100%', '-100%'] : ['-100%', '100%'];
  const lock = `html:has(${out.own.split(':not(')[0] ?? ''}:modal)`;
  return [
    styleRule(out.own, [['display', 'none']]),
    // Without a script it stands in the page with what is its own.
    ...(hasOwn
      ? [
          styleRule(closed, [['display', 'block']], NO_SCRIPT),
          styleRule(`${closed} .${out.class('close')}`, [['display', 'none']]),
        ]
      : []),
    styleRule(out.at('close'), [['align-self', 'flex-end'], CLICKABLE]),
    styleRule(open, [
      ['position', 'fixed'],
      ['inset-block', '0'],
      [`inset-inline-${side}`, '0'],
      ['display', 'flex'],
      ['flex-direction', 'column'],
      ['max-inline-size', '100%'],
      ['overflow-y', 'auto'],
      ['overscroll-behavior', 'contain'],
    ]),
    styleRule(`${out.own}::backdrop`, [
      ['all', 'unset'],
      ['position', 'fixed'],
      ['inset', '0'],
    ]),
    // The page behind does not scroll; its scrollbar's room is kept where it had one (the script marks a bare edge).
    styleRule(lock, [['overflow', 'hidden']]),
    styleRule(`${lock}:not(:has([${out.attribute('bare')}]))`, [['scrollbar-gutter', 'stable']]),
    styleRule(open, [['transition', 'translate .2s ease-out']], MAY_MOVE),
    styleRule(open, [['translate', away]], MAY_MOVE, '@starting-style'),
    styleRule(`${open}:dir(rtl)`, [['translate', back]], MAY_MOVE, '@starting-style'),
  ];
}

function compile(panel: Panel, out: PieceOut): Fragment {
  const blocks = panel.blocks.map((block) => out.section(block));
  const hasOwn = panel.blocks.some((block) => block.parts.some((part) => part.kind !== 'berth'));
  const node = element(
    'dialog',
    {
      ...out.rootData,
      class: out.rootClass,
      id: out.id(out.class('panel')),
      'aria-label': panel.name,
      closedby: 'any',
    },
    out.symbols(),
    closeButton(panel, out),
    ...blocks.flatMap((block) => block.nodes),
  );
  return fragment(
    [node],
    [...rules(panel, hasOwn, out), ...blocks.flatMap((block) => block.rules)],
    ['panel', ...blocks.flatMap((block) => block.behaviours)],
  );
}

export const PANEL: PieceKind<'panel', typeof PANEL_SHAPE> = {
  id: 'panel',
  label: 'Panel',
  hint: 'slides in over the page',
  shape: PANEL_SHAPE,
  slots: {
    panel: {
      label: 'Panel',
      levels: [],
      states: REST_ONLY,
      text: 'none',
      properties: [...BOX_PROPERTIES, 'width', 'gap'],
      defaults: { fill: { role: 'paper' }, width: 320, paddingInline: 16, paddingBlock: 12, gap: 8 },
    },
    close: {
      label: 'Close button',
      levels: [],
      states: BUTTON_STATES.filter((state) => state !== 'scrolled'),
      text: 'icon',
      properties: ICON_CONTROL_PROPERTIES,
      defaults: { colour: { role: 'ink' }, size: 24, paddingInline: 10, paddingBlock: 10 },
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
  opens: true,
  create: ({ id, name, freshId }) => ({
    kind: 'panel',
    id,
    name,
    side: 'opener',
    closeLabel: 'Close menu',
    blocks: [createBlock(freshId(), 'Content')],
    look: {},
  }),
  comesTo: (_panel, state) => state !== 'scrolled',
  overContent: () => true,
  grounds: ['panel', 'scrim'],
  behind: (slot) => (slot === 'close' ? ['panel'] : []),
  rootSlot: 'panel',
  backdropSlot: 'scrim',
  compile,
};
