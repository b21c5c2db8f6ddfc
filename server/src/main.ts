import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { serve, type ServerType } from '@hono/node-server';
import { nanoid } from 'nanoid';
import { pino } from 'pino';
import { createAccess } from './access/access.ts';
import { makeKey } from './access/key.ts';
import { createApp } from './app.ts';
import { createThreads } from './compute/threads.ts';
import { readConfig, type Config } from './config.ts';
import { ROOT } from './folders.ts';
import { readFont } from './fonts.ts';
import { startRefusal } from './refusal.ts';
import { seedDemo } from './seed.ts';
import { removeOldDaily } from './saving/fold.ts';
import { startStandIn } from './stand-in.ts';
import { insertAccess } from './store/access.ts';
import { openDatabase, type Database } from './store/database.ts';
import { migrateDatabase } from './store/migrate.ts';

const ID_LENGTH = 12;
/** Milliseconds open requests get to end after a signal. */
const GRACE = 1500;

/**
 * Milliseconds a connection is kept while nothing is asked: longer than browsers and proxies keep theirs, so that no request
 * comes just as it is closed.
 */
const KEPT_OPEN = 75_000;

/** Work beside requests: few threads, as they share the machine with whoever works on it. */
const THREADS = { most: 2, limit: 60_000 } as const;

const now = () => new Date();

/** Listens; throws where it cannot. */
function listen(fetch: Parameters<typeof serve>[0]['fetch'], { host, port }: Config): Promise<ServerType> {
  return new Promise((resolve, reject) => {
    const serverOptions = { keepAliveTimeout: KEPT_OPEN };
    const server = serve({ fetch, hostname: host, port, serverOptions }, (address) => {
      process.stdout.write(`Hamaca is ready at http://${host}:${address.port}\n`);
      resolve(server);
    });
    server.once('error', reject);
  });
}

/** The address it listens on, without its port. */
const listensOn = ({ host }: Config) => `http://${host.includes(':') ? `[${host}]` : host}`;

/** Where it is reached from elsewhere: by its own names, or by the address it listens on. */
const reachedAt = (config: Config) => config.origins[0] ?? `${listensOn(config)}:${config.port}`;

/** Says who can reach it, and how to come in. */
async function tellWhoComesIn(config: Config, database: Database): Promise<void> {
  const say = (text: string) => process.stderr.write(`hamaca: ${text}\n`);
  const at = reachedAt(config);
  say(`everybody who can reach ${at} can ask for its pages; the key decides who comes in`);
  if (at.startsWith('http:'))
    say('the way there is not encrypted: put a proxy with https before it, and name that with HAMACA_ORIGIN');
  const { key, access } = makeKey();
  if (await insertAccess(database, access, now()))
    say(`the key, told this once; who opens this link is in: ${at}/enter#${key}`);
  else say('the key was told when it was made; `npm run key` makes a new one');
}

async function start(config: Config): Promise<void> {
  const log = pino({ level: config.logLevel });
  const webRoot = fileURLToPath(new URL('web/dist', ROOT));
  const schemaVersion = await migrateDatabase(config.databaseUrl);
  const database = openDatabase(config.databaseUrl, config.databaseLimit);
  await seedDemo(database, now());
  const standIn = config.standIn ? await startStandIn() : null;
  // A name it listens on by is one it is reached by.
  const origins = new Set([...config.origins, listensOn(config)]);
  const { forwarded } = config;
  const access = config.asksForKey ? createAccess({ database, log, now, origins, forwarded }) : null;
  const compute = createThreads({ script: new URL('./thread.js', import.meta.url), ...THREADS });
  const app = createApp({
    access,
    fetching: {
      standIns: new Map(standIn ? [['marisma.example', standIn.url]] : []),
      allowed: new Set(config.fetchHosts),
    },
    database,
    log,
    now,
    schemaVersion,
    origins,
    readFont,
    compute,
    webRoot: existsSync(webRoot) ? webRoot : null,
    // Ids stand in addresses: letters and digits only read better there.
    newId: () => nanoid(ID_LENGTH).replace(/[-_]/g, 'x'),
  });
  const stopRemoving = removeOldDaily(database, log, now);
  const server = await listen(app.fetch, config);
  if (access) await tellWhoComesIn(config, database);
  const stop = () => {
    setTimeout(() => process.exit(0), GRACE).unref();
    stopRemoving();
    void compute.end();
    standIn?.server.close();
    server.close(() => {
      void database.end().finally(() => process.exit(0));
    });
    if ('closeIdleConnections' in server) server.closeIdleConnections();
  };
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, stop);
}

let config: Config | null = null;
try {
  config = readConfig(process.env);
  await start(config);
} catch (error) {
  process.stderr.write(`hamaca: ${startRefusal(error, config)}\n`);
  process.exit(1);
}
