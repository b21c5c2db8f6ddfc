import type { Context } from 'hono';
import { PROBLEMS } from './problem.ts';

/** Ids as the store has them: what else is asked for is nowhere, and never compared with what the database holds. */
const SITE_ID = /^[A-Za-z0-9_-]{1,64}$/;

/** The id of the site a request asks for. */
export function siteIdOf(context: Context): string {
  const id = context.req.param('id') ?? '';
  if (!SITE_ID.test(id)) throw PROBLEMS.noSite(id.slice(0, 64));
  return id;
}
