import { initialOf } from '../../../model/shape/field.ts';
import { literal, parts } from '../../../model/shape/fields.ts';
import { BOX_PROPERTIES, REST_ONLY } from '../../../model/slot.ts';
import { element, shared, styleRule } from '../../../print/trees.ts';
import { headed, headingField, headingSlot, opensFrom } from '../../heading-box.ts';
import type { SectionKind, SectionOf } from '../../kind.ts';
import { fragment, joined, NOTHING, type Fragment, type SectionOut } from '../../out.ts';
import type { Part, Section } from '../../site.ts';
import { ACROSS, alignment } from '../aligned.ts';

const COLUMN_SHAPE = {
  /** Pieces that hold columns hold rows too. */
  kind: literal('column'),
  heading: headingField(),
  foldsFrom: opensFrom('folds under its heading from'),
  align: alignment('the column'),
  parts: parts<Part>('stack', 'parts'),
} as const;

/** A column of a footer: parts beneath one another, under a heading where it has one. */
export type Column = SectionOf<typeof COLUMN_SHAPE>;

export const isColumn = (section: Section): section is Column => 'kind' in section;

function compile(column: Column, out: SectionOut): Fragment {
  const parts = joined(column.parts.map((part) => out.part(part)));
  if (parts.nodes.length === 0 && column.heading === '') return NOTHING;
  const { heading, foldsFrom: from } = column;
  const held = headed({ heading, from, slot: 'column-heading', inside: 'column-inside' }, parts.nodes, out);
  const hidden = out.hidden(column.bands);
  const own = out.class('column');
  return fragment(
    [element('div', { class: hidden === null ? own : `${own} ${hidden}` }, ...held.nodes)],
    [
      ...parts.rules,
      ...shared('Columns', [
        styleRule(out.at('column'), [
          ['display', 'flex'],
          ['flex-direction', 'column'],
          ['align-items', ACROSS[column.align]],
        ]),
      ]),
      ...held.rules,
      // The sign of what folds stands at the far end of its line.
      ...(column.align === 'wide' || from === null || heading === ''
        ? []
        : [styleRule(out.at('column-heading'), [['align-self', 'stretch']])]),
    ],
    [...held.behaviours, ...parts.behaviours],
  );
}

export const COLUMN: SectionKind<'column', typeof COLUMN_SHAPE> = {
  id: 'column',
  alsoCalled: 'group stack',
  label: 'Column',
  hint: 'parts beneath one another, beside other columns',
  shape: COLUMN_SHAPE,
  slots: {
    column: {
      label: 'Column',
      levels: [],
      states: REST_ONLY,
      text: 'none',
      properties: ['columnShare', 'columnWidth', 'gap', ...BOX_PROPERTIES],
      defaults: { gap: 8 },
    },
    'column-heading': headingSlot({ weight: 600, paddingBlock: 4 }),
  },
  create: (id, name) => createColumn(id, name),
  ground: 'column',
  hasSlot: (column, slot) => slot !== 'column-heading' || column.heading !== '',
  texts: ({ heading }) => [heading],
  compile,
};

export function createColumn(id: string, name: string, parts: readonly Part[] = []): Column {
  return { ...(initialOf(COLUMN_SHAPE) as unknown as Column), id, name, parts, look: {} };
}
