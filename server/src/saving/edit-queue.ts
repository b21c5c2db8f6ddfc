import { setTimeout as pause } from 'node:timers/promises';
import type { Deps } from '../deps.ts';
import { isPassing } from '../store/database.ts';
import type { StoredChange } from '../store/changes.ts';
import { rememberSites } from './known-sites.ts';
import { saveEdits, type SavedEdit, type WantedEdit } from './save-edits.ts';

/** Most edits that share a transaction. */
const MOST_TOGETHER = 64;
/** How often a transaction is tried that another process got in the way of. */
const MOST_TRIES = 4;
/** Longest pause before it is tried again, in ms. */
const LONGEST_PAUSE = 40;

interface Waiting {
  readonly edit: WantedEdit;
  readonly answer: (saved: SavedEdit) => void;
  readonly fail: (reason: unknown) => void;
}

/** Takes edits and saves them: those that wait for the same site go together. */
export interface EditQueue {
  /** Answers once the edit is stored for good; throws why it is refused. */
  readonly save: (id: string, edit: WantedEdit) => Promise<StoredChange>;
}

export function createEditQueue({
  database,
  compute,
  now,
}: Pick<Deps, 'database' | 'compute' | 'now'>): EditQueue {
  const sites = rememberSites();
  const queues = new Map<string, Waiting[]>();

  const store = async (id: string, edits: readonly WantedEdit[]): Promise<readonly SavedEdit[]> => {
    for (let tries = 1; ; tries++) {
      try {
        const saved = await database.transact((connection) =>
          saveEdits(connection, { sites, compute }, id, edits, now()),
        );
        // Not before it is stored for good: what failed at the last moment never was.
        if (saved.known) sites.keep(id, saved.known);
        return saved.answers;
      } catch (error) {
        if (tries === MOST_TRIES || !isPassing(error)) throw error;
        await pause(Math.random() * LONGEST_PAUSE);
      }
    }
  };

  const drain = async (id: string, queue: Waiting[]): Promise<void> => {
    while (queue.length > 0) {
      const together = queue.splice(0, MOST_TOGETHER);
      try {
        const answers = await store(
          id,
          together.map(({ edit }) => edit),
        );
        together.forEach(({ answer }, index) => {
          answer(answers[index] as SavedEdit);
        });
      } catch (error) {
        for (const { fail } of together) fail(error);
      }
    }
    queues.delete(id);
  };

  return {
    save: async (id, edit) => {
      const saved = await new Promise<SavedEdit>((answer, fail) => {
        const waiting = { edit, answer, fail };
        const queue = queues.get(id);
        if (queue) {
          queue.push(waiting);
          return;
        }
        const started = [waiting];
        queues.set(id, started);
        void drain(id, started);
      });
      if ('refused' in saved) throw saved.refused;
      return saved.saved;
    },
  };
}
