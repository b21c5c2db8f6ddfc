import { Hono } from 'hono';
import { compress } from 'hono/compress';
import { secureHeaders } from 'hono/secure-headers';
import { onlyWithKey } from './access/gate.ts';
import { withoutPass } from './access/pass.ts';
import { passRoutes } from './access/pass-routes.ts';
import { boundedBodies } from './bodies.ts';
import { ENTER, signInRoutes } from './access/sign-in.ts';
import type { Deps } from './deps.ts';
import { onlyOwnHosts, onlyOwnPages, onlyReadablePaths } from './guard.ts';
import { HttpProblem, problemResponse, PROBLEMS } from './problem.ts';
import { eventRoutes } from './routes/events.ts';
import { fetchingRoutes } from './routes/fetching.ts';
import { handOffRoutes } from './routes/hand-off.ts';
import { healthRoutes } from './routes/health.ts';
import { pageFileRoutes } from './routes/page-files.ts';
import { siteRoutes } from './routes/sites.ts';
import { fontRoutes, uploadRoutes } from './routes/fonts.ts';
import { iconRoutes } from './routes/icons.ts';
import { triedRoutes } from './routes/tried.ts';
import { assetRoutes, pageRoutes } from './routes/web.ts';
import { isDatabaseAway, isStorageFull } from './store/database.ts';

/** What an answer may do that is no page of ours. */
const NOTHING = "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'";

/** The whole server as a function of its world; it listens to no port by itself. */
export function createApp(deps: Deps): Hono {
  const app = new Hono();

  app.onError((error, context) => {
    if (error instanceof HttpProblem) return problemResponse(context, error);
    // Whoever asked has gone, and nobody reads what is answered.
    if (context.req.raw.signal.aborted) return new Response(null, { status: 499 });
    if (isDatabaseAway(error)) {
      deps.log.warn({ err: error.message }, 'database away');
      return problemResponse(context, PROBLEMS.away());
    }
    if (isStorageFull(error)) {
      deps.log.error({ err: error.message }, 'storage full');
      return problemResponse(context, PROBLEMS.storageFull());
    }
    deps.log.error({ err: error, path: withoutPass(context.req.path) }, 'request failed');
    return problemResponse(context, PROBLEMS.internal());
  });
  app.notFound((context) => problemResponse(context, PROBLEMS.noRoute(context.req.path)));

  app.use(async (context, next) => {
    const start = performance.now();
    await next();
    const ms = Math.round(performance.now() - start);
    deps.log.info(
      { method: context.req.method, path: withoutPass(context.req.path), status: context.res.status, ms },
      'request',
    );
  });
  app.use(onlyReadablePaths);
  app.use(onlyOwnHosts(new Set([...deps.origins].map((origin) => new URL(origin).hostname))));
  app.use(onlyOwnPages(deps.origins));
  // What is told apart per answer stays with it: fonts and assets are for the stage, whose origin is opaque. Whether the
  // way is encrypted is for the proxy to promise. In a process of its own the stage is not told when the pointer leaves.
  app.use(
    secureHeaders({
      strictTransportSecurity: false,
      crossOriginResourcePolicy: false,
      originAgentCluster: false,
    }),
  );
  app.use(async (context, next) => {
    await next();
    // A drawing or an answer opened by itself is a page as well: it may do nothing. Workers take the policy of their own
    // script, so that assets keep none.
    const { headers } = context.res;
    if (!headers.has('content-security-policy') && !context.req.path.startsWith('/assets/'))
      headers.set('content-security-policy', NOTHING);
  });
  app.use(boundedBodies());
  const compressed = compress();
  app.use((context, next) =>
    context.req.path.endsWith('/events') ||
    context.req.path.startsWith('/api/fetched/') ||
    context.req.path.endsWith('.zip')
      ? next()
      : compressed(context, next),
  );

  const { access, webRoot } = deps;
  if (access) {
    app.use(onlyWithKey(access));
    app.route(ENTER, signInRoutes(access));
    app.route('/pass', passRoutes(deps, access));
  }
  app.route('/api/health', healthRoutes(deps));
  app.route('/api/sites', siteRoutes(deps));
  app.route('/api/sites', eventRoutes(deps));
  app.route('/api/sites', handOffRoutes(deps));
  app.route('/api/fetched', fetchingRoutes(deps));
  app.route('/api/page-files', pageFileRoutes(deps));
  app.route('/api/fonts', uploadRoutes(deps));
  app.route('/api/icons', iconRoutes());
  app.route('/fonts', fontRoutes(deps));
  app.route('/tried', triedRoutes(deps));
  if (webRoot !== null) {
    app.route('/assets', assetRoutes(webRoot));
    app.route('/', pageRoutes(webRoot, deps));
  }
  return app;
}
