import { element, shared, styleRule, type ConditionalRule, type Declaration } from '../../../print/trees.ts';
import { choice, parts } from '../../../model/shape/fields.ts';
import { BLOCK_COMING_PROPERTIES, BOX_PROPERTIES, REST_ONLY } from '../../../model/slot.ts';
import type { SectionKind, SectionOf } from '../../kind.ts';
import { fragment, joined, type Fragment, type SectionOut } from '../../out.ts';
import type { Part } from '../../site.ts';
import { ACROSS, alignment, type Alignment } from '../aligned.ts';

const BLOCK_SHAPE = {
  flow: choice(
    { stack: 'beneath one another', row: 'side by side' },
    { label: 'parts stand', hint: 'how the parts of the block stand' },
  ),
  align: alignment('the block'),
  parts: parts<Part>('stack', 'parts'),
} as const;

/** A block of a panel; it holds parts in order. */
export type Block = SectionOf<typeof BLOCK_SHAPE>;

const ALONG: Readonly<Record<Alignment, string>> = {
  wide: 'space-between',
  start: 'flex-start',
  centre: 'center',
  end: 'flex-end',
};

function arrange({ flow, align }: Block): Declaration[] {
  if (flow === 'row')
    return [
      ['display', 'flex'],
      ['flex-wrap', 'wrap'],
      ['align-items', 'center'],
      ['justify-content', ALONG[align]],
    ];
  return [
    ['display', 'flex'],
    ['flex-direction', 'column'],
    ['align-items', ACROSS[align]],
  ];
}

/** What stands over the whole width has its label in the middle of it, as buttons have. */
function wideRules(block: Block, out: SectionOut): ConditionalRule[] {
  const buttons = block.parts.filter((part) => part.kind === 'button');
  if (block.align !== 'wide' || block.flow !== 'stack') return [];
  return buttons.map((part) => styleRule(out.atPart(part, 'button'), [['justify-content', 'center']]));
}

function compile(block: Block, out: SectionOut): Fragment {
  const { nodes, rules, behaviours } = joined(block.parts.map((part) => out.part(part)));
  const hidden = out.hidden(block.bands);
  const node =
    nodes.length === 0
      ? null
      : element(
          'div',
          { class: hidden === null ? out.class('block') : `${out.class('block')} ${hidden}` },
          ...nodes,
        );
  return fragment(
    [node],
    [
      ...rules,
      ...(node ? shared('Blocks', [styleRule(out.at('block'), arrange(block))]) : []),
      ...wideRules(block, out),
    ],
    behaviours,
  );
}

export const BLOCK: SectionKind<'block', typeof BLOCK_SHAPE> = {
  id: 'block',
  alsoCalled: 'group section',
  label: 'Block',
  hint: 'a box of a panel, with parts beneath one another or side by side',
  shape: BLOCK_SHAPE,
  slots: {
    block: {
      label: 'Block',
      levels: [],
      states: REST_ONLY,
      text: 'none',
      properties: [
        'share',
        'contentStands',
        ...BOX_PROPERTIES,
        'gap',
        'height',
        'marginInline',
        'marginBlock',
        ...BLOCK_COMING_PROPERTIES,
      ],
      defaults: { gap: 8 },
    },
  },
  create: (id, name) => createBlock(id, name),
  form: ({ flow }) => flow,
  ground: 'block',
  compile,
};

export function createBlock(id: string, name: string, parts: readonly Part[] = []): Block {
  return { id, name, flow: 'stack', align: 'wide', parts, look: {} };
}
