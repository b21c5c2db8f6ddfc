import { Hono } from 'hono';
import type { Deps } from '../deps.ts';

/** Whether the server can do its work: 200 with the schema's version, 503 while the database is away. */
export function healthRoutes(deps: Deps): Hono {
  const routes = new Hono();
  routes.get('/', async (context) => {
    const answers = await deps.database.execute('SELECT 1').then(
      () => true,
      () => false,
    );
    const body = {
      status: answers ? 'ready' : 'away',
      database: answers ? 'answers' : 'away',
      schemaVersion: deps.schemaVersion,
    };
    return context.json(body, answers ? 200 : 503, { 'cache-control': 'no-store' });
  });
  return routes;
}
