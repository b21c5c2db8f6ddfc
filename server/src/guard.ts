import { isIP } from 'node:net';
import type { Context, MiddlewareHandler } from 'hono';
import { PROBLEMS } from './problem.ts';

/** Methods that change something. */
const CHANGING = new Set(['POST', 'PATCH', 'PUT', 'DELETE']);

/** The host a request was sent to, with its port. */
const askedHost = (context: Context): string => context.req.header('host') ?? new URL(context.req.url).host;

/** The same without its port; null where it names none. */
function hostOf(context: Context): string | null {
  const name = /^(?:\[([^\]]+)\]|([^:[\]]*))(?::\d+)?$/.exec(askedHost(context));
  return name ? (name[1] ?? name[2] ?? '').toLowerCase() : null;
}

/**
 * Answers only to names that are ours. A page on the web can point a name of its own at a private address and then read
 * what answers there (DNS rebinding); it can do so with a name alone, never with a plain address.
 */
export function onlyOwnHosts(names: ReadonlySet<string>): MiddlewareHandler {
  return async (context, next) => {
    const host = hostOf(context);
    const isOurs = host !== null && (host === 'localhost' || isIP(host) !== 0 || names.has(host));
    if (!isOurs) throw PROBLEMS.foreignHost();
    await next();
  };
}

/** The origin of an address, or null where it is none. */
function originOf(address: string): string | null {
  return URL.canParse(address) ? new URL(address).origin : null;
}

/**
 * Takes changes only from our own pages. Browsers say where a request comes from in one header or another; who says
 * nothing is no browser, and could do no more than its own user.
 */
export function onlyOwnPages(origins: ReadonlySet<string>): MiddlewareHandler {
  return async (context, next) => {
    if (!CHANGING.has(context.req.method)) return next();
    const site = context.req.header('sec-fetch-site');
    if (site !== undefined && site !== 'same-origin' && site !== 'none') throw PROBLEMS.foreignOrigin();
    const said = context.req.header('origin') ?? context.req.header('referer');
    if (said !== undefined) {
      const origin = originOf(said);
      const host = askedHost(context);
      const isOwn =
        origin !== null &&
        (origin === `http://${host}` || origin === `https://${host}` || origins.has(origin));
      if (!isOwn) throw PROBLEMS.foreignOrigin();
    }
    return next();
  };
}

/** Refuses a path whose percent signs do not decode, before anything tries to. */
export const onlyReadablePaths: MiddlewareHandler = async (context, next) => {
  try {
    decodeURIComponent(new URL(context.req.url).pathname);
  } catch {
    // The reason is only ever that it does not decode.
    throw PROBLEMS.badRequest('the percent signs of its path do not decode');
  }
  await next();
};
