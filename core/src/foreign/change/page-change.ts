import type { ChangedFiles } from './edited-page.ts';
import type { ChangedValue } from './prove.ts';

/** A change of a page: the files as they would be, and the proof of what it does. */
export interface PageChange {
  readonly files: ChangedFiles;
  /** The text of the added stylesheet; null where there is none. */
  readonly added: string | null;
  readonly changed: readonly ChangedValue[];
  readonly sideEffects: readonly ChangedValue[];
}
