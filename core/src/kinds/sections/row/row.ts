import { BOX_STATES, EDGE_PROPERTIES, FILL_PROPERTIES, MOTION_PROPERTIES } from '../../../model/slot.ts';
import type { SectionKind } from '../../kind.ts';
import { compileRow } from './compile.ts';
import { rowExtent } from './extent.ts';
import { createRow, ROW_SHAPE } from './shape.ts';

export const ROW: SectionKind<'row', typeof ROW_SHAPE> = {
  id: 'row',
  alsoCalled: 'line strip',
  label: 'Row',
  hint: 'a line of a header, with a start, a middle and an end',
  shape: ROW_SHAPE,
  slots: {
    row: {
      label: 'Row',
      levels: [],
      states: BOX_STATES,
      text: 'none',
      properties: [
        'rowSticks',
        'height',
        'paddingInline',
        'paddingBlock',
        'gap',
        ...FILL_PROPERTIES,
        ...EDGE_PROPERTIES,
        ...MOTION_PROPERTIES,
      ],
      defaults: { height: 64, paddingInline: 24, gap: 24 },
    },
  },
  create: (id, name) => ({
    ...createRow(id, name),
    look: { row: { all: { rest: { all: { height: 36 } } } } },
  }),
  ground: 'row',
  contained: (row) => row.contained,
  beside: ['start', 'middle', 'end'],
  compile: compileRow,
  extent: rowExtent,
};
