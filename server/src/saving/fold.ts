import type { Logger } from 'pino';
import { foldChanges } from '../store/changes.ts';
import type { Database } from '../store/database.ts';

const DAY = 24 * 60 * 60 * 1000;
/** Milliseconds single changes are kept, so that they can be undone. */
const KEEP = 30 * DAY;

/** Folds the logs of all sites once a day. Answers how to stop. */
export function foldDaily(database: Database, log: Logger, now: () => Date): () => void {
  const fold = () => {
    foldChanges(database, new Date(now().getTime() - KEEP)).then(
      (folded) => {
        if (folded > 0) log.info({ folded }, 'old changes folded');
      },
      (error: unknown) => {
        // A day more of them does no harm; the next day folds both.
        log.warn({ err: error }, 'old changes were not folded');
      },
    );
  };
  fold();
  const timer = setInterval(fold, DAY);
  timer.unref();
  return () => {
    clearInterval(timer);
  };
}
