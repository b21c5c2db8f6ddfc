import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { serve, type ServerType } from '@hono/node-server';
import { nanoid } from 'nanoid';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { readConfig, type Config } from './config.ts';
import { ROOT } from './folders.ts';
import { loadFontMetrics, readFont } from './fonts.ts';
import { startRefusal } from './refusal.ts';
import { seedDemo } from './seed.ts';
import { startStandIn } from './stand-in.ts';
import { openDatabase } from './store/database.ts';
import { migrateDatabase } from './store/migrate.ts';

const ID_LENGTH = 12;
/** Milliseconds open requests get to end after a signal. */
const GRACE = 1500;

const now = () => new Date();

/** Listens; throws where it cannot. */
function listen(fetch: Parameters<typeof serve>[0]['fetch'], { host, port }: Config): Promise<ServerType> {
  return new Promise((resolve, reject) => {
    const server = serve({ fetch, hostname: host, port }, (address) => {
      process.stdout.write(`Hamaca is ready at http://${host}:${address.port}\n`);
      resolve(server);
    });
    server.once('error', reject);
  });
}

async function start(config: Config): Promise<void> {
  const log = pino({ level: config.logLevel });
  const webRoot = fileURLToPath(new URL('web/dist', ROOT));
  const schemaVersion = await migrateDatabase(config.databaseUrl);
  const database = openDatabase(config.databaseUrl, config.databaseLimit);
  await seedDemo(database, now());
  const standIn = config.standIn ? await startStandIn() : null;
  const app = createApp({
    fetching: {
      standIns: new Map(standIn ? [['marisma.example', standIn.url]] : []),
      allowed: new Set(config.fetchHosts),
    },
    database,
    log,
    now,
    schemaVersion,
    // A name it listens on by is one it is reached by.
    origins: new Set([
      ...config.origins,
      `http://${config.host.includes(':') ? `[${config.host}]` : config.host}`,
    ]),
    readFont,
    fonts: await loadFontMetrics(),
    webRoot: existsSync(webRoot) ? webRoot : null,
    // Ids stand in addresses: letters and digits only read better there.
    newId: () => nanoid(ID_LENGTH).replace(/[-_]/g, 'x'),
  });
  const server = await listen(app.fetch, config);
  const stop = () => {
    setTimeout(() => process.exit(0), GRACE).unref();
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
