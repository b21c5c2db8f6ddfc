import { ValidationError } from 'yup';
import type { Config } from './config.ts';
import { SchemaTooNew } from './store/migrate.ts';
import { isDatabaseAway, isStorageFull } from './store/database.ts';

/** Where the database is, without who asks for it. */
function placeOf(databaseUrl: string): string {
  const { hostname, port, pathname } = new URL(databaseUrl);
  return `${hostname}:${port || '3306'}${pathname}`;
}

/** What keeps a server from listening, by the code of the error (POSIX). */
const LISTENING: Readonly<Record<string, (config: Config) => string>> = {
  EADDRINUSE: ({ port }) => `Port ${port} is in use; set HAMACA_PORT to another.`,
  EADDRNOTAVAIL: ({ host }) => `HAMACA_HOST names ${host}, which is no address of this machine.`,
  ENOTFOUND: ({ host }) => `HAMACA_HOST names ${host}, which is no address of this machine.`,
  EAI_AGAIN: ({ host }) => `HAMACA_HOST names ${host}, which is no address of this machine.`,
  EINVAL: ({ host }) => `HAMACA_HOST names ${host}, which cannot be listened on.`,
  EACCES: ({ port }) => `Port ${port} may not be opened by this user; set HAMACA_PORT to one above 1023.`,
};

/** What a database says that lets nobody in, by its code. */
const ENTERING: Readonly<Record<string, string>> = {
  ER_ACCESS_DENIED_ERROR: 'refuses the user or the password of HAMACA_DATABASE_URL',
  ER_DBACCESS_DENIED_ERROR: 'does not let this user into the database of HAMACA_DATABASE_URL',
  ER_BAD_DB_ERROR: 'has no database of the name in HAMACA_DATABASE_URL',
  ER_TABLEACCESS_DENIED_ERROR: 'does not let this user make or change tables',
};

/**
 * Why the server cannot start, in one sentence for the person who started it. Never more than that: a value of the
 * environment may be a secret.
 */
export function startRefusal(error: unknown, config: Config | null): string {
  if (error instanceof ValidationError) return `${error.message}.`;
  if (error instanceof SchemaTooNew) return error.message;
  if (isStorageFull(error)) return 'The disk of the database is full; make room and start again.';
  const {
    code = '',
    message = 'unknown',
    syscall,
  } = error as {
    code?: string;
    message?: string;
    syscall?: string;
  };
  if (config) {
    const listening = syscall === 'listen' || syscall === 'getaddrinfo' ? LISTENING[code] : undefined;
    if (listening) return listening(config);
    const place = placeOf(config.databaseUrl);
    if (Object.hasOwn(ENTERING, code)) return `The database at ${place} ${ENTERING[code] ?? ''}.`;
    if (isDatabaseAway(error) || code === 'ENOTFOUND')
      return `The database at ${place} does not answer; is it running?`;
  }
  return `It could not start: ${message}.`;
}
