import type { FindObstacles } from '../obstacle.ts';
import { anchors } from './anchors.ts';
import { captured } from './captured.ts';
import { clippedBox } from './clipped-box.ts';
import { limitedHeight } from './limited-height.ts';
import { scrollingBox } from './scrolling-box.ts';
import { seeThrough } from './see-through.ts';
import { slipsBeneath } from './slips-beneath.ts';
import { stacking } from './stacking.ts';
import { staysAlready } from './stays-already.ts';

/** Everything that is looked for once it is known what stays, in the order it is told. */
export const OBSTACLES: readonly FindObstacles[] = [
  staysAlready,
  clippedBox,
  scrollingBox,
  limitedHeight,
  captured,
  slipsBeneath,
  stacking,
  seeThrough,
  anchors,
];
