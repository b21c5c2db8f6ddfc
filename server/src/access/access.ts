import { getConnInfo } from '@hono/node-server/conninfo';
import type { Context } from 'hono';
import { getSignedCookie, setSignedCookie } from 'hono/cookie';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import type { Logger } from 'pino';
import { selectAccess, type StoredAccess } from '../store/access.ts';
import type { Database } from '../store/database.ts';
import { isKey } from './key.ts';
import { withoutPass } from './pass.ts';

/** Who asks. Today one key is everybody's; accounts would tell people apart here. */
export interface Asker {
  readonly name: 'key';
}

/** Decides who comes in. */
export interface Access {
  /** The one place that says who asks; null is nobody known. */
  readonly whoAsks: (context: Context) => Promise<Asker | null>;
  /** Exchanges a key for a session. `later`: too many were tried, and how many seconds to wait. */
  readonly enter: (
    context: Context,
    key: string,
  ) => Promise<{ readonly entered: boolean; readonly later?: number }>;
  /** What sessions and passes are signed with. */
  readonly secret: () => Promise<string>;
  /** Writes down that someone was refused. */
  readonly refused: (context: Context) => void;
}

export interface AccessOptions {
  readonly database: Database;
  readonly log: Logger;
  readonly now: () => Date;
  /** Origins it is reached by, as their `https` says whether sessions may go unencrypted. */
  readonly origins: ReadonlySet<string>;
  /** The header a trusted proxy tells the asker's address in; null trusts none. */
  readonly forwarded: string | null;
}

const COOKIE = 'hamaca';
/** Seconds a session lasts. */
const SESSION = 30 * 24 * 60 * 60;
/** Milliseconds after which a changed key is noticed. */
const REMEMBER = 2000;
/**
 * Wrong keys that are looked at within a minute from one address. The right one is let in however many wrong ones were sent,
 * from there or elsewhere: it is too long to be guessed, and nobody can lock out whoever has it.
 */
const MOST_WRONG = 10;

/** The address a request came from. */
function addressOf(context: Context, forwarded: string | null): string {
  // The nearest proxy adds to the end; what stands before it is whatever it was sent.
  const told = forwarded === null ? undefined : context.req.header(forwarded)?.split(',').at(-1)?.trim();
  if (told !== undefined && told !== '') return told;
  try {
    return getConnInfo(context).remote.address ?? 'unknown';
  } catch {
    // Asked without a connection, as tests do.
    return 'unknown';
  }
}

export function createAccess({ database, log, now, origins, forwarded }: AccessOptions): Access {
  const wrong = new RateLimiterMemory({ points: MOST_WRONG, duration: 60 });
  let known: { readonly access: StoredAccess; readonly at: number } | null = null;

  const current = async (): Promise<StoredAccess> => {
    if (known && now().getTime() - known.at < REMEMBER) return known.access;
    const access = await selectAccess(database);
    if (!access) throw new Error('There is no key; start again to make one.');
    known = { access, at: now().getTime() };
    return access;
  };

  const waitFor = async (address: string): Promise<number | null> => {
    try {
      await wrong.consume(address);
      return null;
    } catch (reached) {
      const { msBeforeNext } = reached as { msBeforeNext?: number };
      if (msBeforeNext === undefined) throw reached;
      return Math.ceil(msBeforeNext / 1000);
    }
  };

  const refused = (context: Context) => {
    log.warn(
      {
        audit: 'refused',
        address: addressOf(context, forwarded),
        method: context.req.method,
        path: withoutPass(context.req.path),
      },
      'someone without a key was refused',
    );
  };

  return {
    refused,
    secret: async () => (await current()).secret,
    whoAsks: async (context) => {
      const until = await getSignedCookie(context, (await current()).secret, COOKIE);
      return typeof until === 'string' && Number(until) > now().getTime() ? { name: 'key' } : null;
    },
    enter: async (context, key) => {
      const address = addressOf(context, forwarded);
      const later = isKey(key, await current()) ? null : await waitFor(address);
      if (later !== null) {
        refused(context);
        return { entered: false, later };
      }
      // It may be another one since a moment ago.
      known = null;
      const access = await current();
      if (!isKey(key, access)) {
        refused(context);
        return { entered: false };
      }
      log.warn({ audit: 'entered', address }, 'someone came in with the key');
      await setSignedCookie(context, COOKIE, String(now().getTime() + SESSION * 1000), access.secret, {
        path: '/',
        httpOnly: true,
        sameSite: 'Lax',
        secure: origins.has(`https://${context.req.header('host') ?? ''}`),
        maxAge: SESSION,
      });
      return { entered: true };
    },
  };
}
