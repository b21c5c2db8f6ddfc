import type { MiddlewareHandler } from 'hono';
import { PROBLEMS } from '../problem.ts';
import type { Access } from './access.ts';
import { PASS } from './pass.ts';
import { ENTER } from './sign-in.ts';

/** Lets in only who has a session; pages lead to where one is got, everything else is refused. */
export function onlyWithKey(access: Access): MiddlewareHandler {
  return async (context, next) => {
    const { path, method } = context.req;
    // A pass says by itself whether it holds.
    if (path === ENTER || path.startsWith(`${PASS}/`) || (await access.whoAsks(context))) return next();
    access.refused(context);
    const isPage = method === 'GET' && /\btext\/html\b/.test(context.req.header('accept') ?? '');
    if (!isPage) throw PROBLEMS.noKey();
    const { search } = new URL(context.req.url);
    return context.redirect(`${ENTER}?to=${encodeURIComponent(path + search)}`, 303);
  };
}
