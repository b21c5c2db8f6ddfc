import { replayHistory, touchesSame, type Change, type History } from '@hamaca/core';

/** A change that stands in the site, in this browser's eyes. */
export interface DoneChange extends Change {
  readonly id: string;
  /** Made here, and not by another tab that is open now or by someone else. */
  readonly own: boolean;
}

/** What can be undone and redone here: one's own changes alone. `done` stands in the order the changes were made. */
export function ownHistory(done: readonly DoneChange[]): History<DoneChange> {
  return replayHistory(done.filter(({ own }) => own));
}

/** What others did since to the very places that taking `entry` back, or doing it again, would change. */
export function overtakenBy(
  done: readonly DoneChange[],
  entry: DoneChange,
  step: Pick<Change, 'patch'>,
): readonly DoneChange[] {
  const since = done.slice(done.findIndex(({ id }) => id === entry.id) + 1);
  return since.filter(({ own, patch }) => !own && touchesSame(patch, step.patch));
}
