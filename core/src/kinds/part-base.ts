import type { Look } from '../model/look.ts';

/** What every part has. */
export interface PartBase {
  readonly id: string;
  /** Ids of the bands it is shown in; left out, it shows at every width. */
  readonly bands?: readonly string[];
  readonly look: Look;
}
