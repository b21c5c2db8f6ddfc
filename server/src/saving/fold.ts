import type { Logger } from 'pino';
import { foldChanges } from '../store/changes.ts';
import type { Database } from '../store/database.ts';
import { removeUnusedPageFiles } from '../store/page-files.ts';
import { removeDeletedSites } from '../store/sites.ts';

const DAY = 24 * 60 * 60 * 1000;
/** Milliseconds single changes and deleted sites are kept, so that both can be undone. */
const KEEP = 30 * DAY;

/** What was removed, as numbers of changes, sites and files of foreign pages. */
interface Removed {
  readonly folded: number;
  readonly removed: number;
  readonly files: number;
}

/**
 * Removes what is kept no longer: changes older than 30 days, sites that were deleted before that, and files of foreign pages that came
 * before that and that nothing names any more.
 */
export async function removeOld(database: Database, now: Date): Promise<Removed> {
  const before = new Date(now.getTime() - KEEP);
  const folded = await foldChanges(database, before);
  const removed = await removeDeletedSites(database, before);
  return { folded, removed, files: await removeUnusedPageFiles(database, before) };
}

/** Folds the logs of all sites and empties the bin of what is old, once a day. Answers how to stop. */
export function removeOldDaily(database: Database, log: Logger, now: () => Date): () => void {
  const remove = () => {
    removeOld(database, now()).then(
      (done) => {
        if (done.folded + done.removed + done.files > 0)
          log.info(done, 'old changes folded, deleted sites and unused files removed');
      },
      (error: unknown) => {
        // A day more of them does no harm; the next day takes both.
        log.warn({ err: error }, 'old changes were not folded');
      },
    );
  };
  remove();
  const timer = setInterval(remove, DAY);
  timer.unref();
  return () => {
    clearInterval(timer);
  };
}
