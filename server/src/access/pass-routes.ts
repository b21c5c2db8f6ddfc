import { Hono } from 'hono';
import type { Deps } from '../deps.ts';
import { HttpProblem, problemResponse, PROBLEMS } from '../problem.ts';
import { fontRoutes } from '../routes/fonts.ts';
import { assetRoutes } from '../routes/web.ts';
import type { Access } from './access.ts';
import { behindPass, PASS } from './pass.ts';

/** Scripts and fonts for the stage, by addresses that carry a pass. */
export function passRoutes(deps: Deps, access: Access): Hono {
  const open = new Hono();
  open.onError((error, context) =>
    problemResponse(context, error instanceof HttpProblem ? error : PROBLEMS.internal()),
  );
  open.route('/fonts', fontRoutes(deps));
  if (deps.webRoot !== null) open.route('/assets', assetRoutes(deps.webRoot));
  const routes = new Hono();
  routes.get('/*', async (context) => {
    const path = behindPass(context.req.path, await access.secret(), deps.now());
    if (path === null) {
      access.refused(context);
      throw PROBLEMS.noKey();
    }
    const { method, raw } = context.req;
    const found = await open.fetch(
      new Request(new URL(path, context.req.url), { method, headers: raw.headers }),
    );
    if (!found.ok && found.status !== 304) throw PROBLEMS.noRoute(`${PASS}/…${path}`);
    return found;
  });
  return routes;
}
