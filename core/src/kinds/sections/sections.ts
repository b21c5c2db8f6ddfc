import { BLOCK } from './block/block.ts';
import { COLUMN } from './column/column.ts';
import { ROW } from './row/row.ts';

/** All sorts of sections. */
export const SECTIONS = [ROW, BLOCK, COLUMN] as const;
