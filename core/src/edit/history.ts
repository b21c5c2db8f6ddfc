import type { JsonPatch } from './json-patch.ts';

/** One change of a site as the log keeps it. */
export interface Change {
  readonly kind: 'edit' | 'undo' | 'redo';
  /** What was done, in words: `Link text, hover`. */
  readonly label: string;
  readonly patch: JsonPatch;
  readonly inverse: JsonPatch;
}

/** What can be undone and redone next, the next one last. */
export interface History<Entry extends Change = Change> {
  readonly undo: readonly Entry[];
  readonly redo: readonly Entry[];
}

export const EMPTY_HISTORY: History<never> = { undo: [], redo: [] };

/** The history after one more change. An undo takes from one pile to the other; an edit ends what could be redone. */
export function recordChange<Entry extends Change>(history: History<Entry>, change: Entry): History<Entry> {
  switch (change.kind) {
    case 'edit':
      return { undo: [...history.undo, change], redo: [] };
    case 'undo':
      return { undo: history.undo.slice(0, -1), redo: [...history.redo, flip(change)] };
    case 'redo':
      return { undo: [...history.undo, change], redo: history.redo.slice(0, -1) };
  }
}

/** An undone change as it will be redone: the undo's inverse does it again. */
const flip = <Entry extends Change>(undo: Entry): Entry => ({
  ...undo,
  kind: 'edit',
  patch: undo.inverse,
  inverse: undo.patch,
});

/** The history that a log of changes leaves, oldest first. */
export function replayHistory<Entry extends Change>(changes: readonly Entry[]): History<Entry> {
  return changes.reduce<History<Entry>>(recordChange, EMPTY_HISTORY);
}

/** The change that undoes the newest one, or null. */
export function undoChange(history: History): Change | null {
  const last = history.undo.at(-1);
  return last ? { kind: 'undo', label: last.label, patch: last.inverse, inverse: last.patch } : null;
}

/** The change that does the newest undone one again, or null. */
export function redoChange(history: History): Change | null {
  const last = history.redo.at(-1);
  return last ? { kind: 'redo', label: last.label, patch: last.patch, inverse: last.inverse } : null;
}
