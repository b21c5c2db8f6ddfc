import { Hono } from 'hono';
import { streamSSE } from 'hono/streaming';
import type { Deps } from '../deps.ts';
import { PROBLEMS } from '../problem.ts';
import { siteIdOf } from '../site-id.ts';
import { isDatabaseAway } from '../store/database.ts';
import { selectRevision } from '../store/sites.ts';

/** How often the revision is looked up, in ms: the process keeps no state, so that several can serve one database. */
const POLL = 700;
/** A comment keeps idle connections open through proxies, every so many polls. */
const HEARTBEAT = 20;

/** Server-sent events: `revision` whenever the site's newest revision changes, `away` while the database does not answer. */
export function eventRoutes(deps: Deps): Hono {
  const routes = new Hono();
  routes.get('/:id/events', async (context) => {
    const id = siteIdOf(context);
    if ((await selectRevision(deps.database, id)) === null) throw PROBLEMS.noSite(id);
    return streamSSE(context, async (stream) => {
      let last: number | string | null = null;
      for (let count = 0; !stream.aborted; count++) {
        const now = await selectRevision(deps.database, id).catch((error: unknown) => {
          if (!isDatabaseAway(error)) throw error;
          return 'away';
        });
        if (now !== last)
          await stream.writeSSE({
            event: typeof now === 'number' ? 'revision' : now === null ? 'gone' : 'away',
            data: String(now ?? ''),
          });
        else if (count % HEARTBEAT === 0) await stream.writeSSE({ event: 'beat', data: '' });
        last = now;
        await stream.sleep(POLL);
      }
    });
  });
  return routes;
}
