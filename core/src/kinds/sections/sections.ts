import { BLOCK } from './block/block.ts';
import { ROW } from './row/row.ts';

/** All sorts of sections. */
export const SECTIONS = [ROW, BLOCK] as const;
