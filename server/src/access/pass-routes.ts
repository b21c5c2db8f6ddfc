import { Hono, type MiddlewareHandler } from 'hono';
import type { Deps } from '../deps.ts';
import { PROBLEMS } from '../problem.ts';
import { fontRoutes } from '../routes/fonts.ts';
import { triedRoutes } from '../routes/tried.ts';
import { assetRoutes } from '../routes/web.ts';
import type { Access } from './access.ts';
import { holdsPass } from './pass.ts';

/** Scripts and fonts for the stage, and pages that are tried, by addresses that carry a pass. */
export function passRoutes(deps: Deps, access: Access): Hono {
  const onlyWithPass: MiddlewareHandler = async (context, next) => {
    if (holdsPass(context.req.path, await access.secret(), deps.now())) return next();
    access.refused(context);
    throw PROBLEMS.noKey();
  };
  const routes = new Hono();
  routes.use('*', onlyWithPass);
  routes.route('/:pass/fonts', fontRoutes(deps));
  routes.route('/:pass/tried', triedRoutes(deps));
  if (deps.webRoot !== null) routes.route('/:pass/assets', assetRoutes(deps.webRoot));
  routes.all('*', (context) => {
    throw PROBLEMS.noRoute(context.req.path);
  });
  return routes;
}
