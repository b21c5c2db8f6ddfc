import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { serve } from '@hono/node-server';
import { nanoid } from 'nanoid';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { readConfig } from './config.ts';
import { loadFontMetrics, readFont } from './fonts.ts';
import { seedDemo } from './seed.ts';
import { startStandIn } from './stand-in.ts';
import { openDatabase } from './store/database.ts';
import { migrateDatabase } from './store/migrate.ts';

const ID_LENGTH = 12;
/** Milliseconds open requests get to end after a signal. */
const GRACE = 1500;

const config = readConfig(process.env);
const log = pino({ level: config.logLevel });
const webRoot = fileURLToPath(new URL('../../web/dist', import.meta.url));
const schemaVersion = await migrateDatabase(config.databaseUrl);
const database = openDatabase(config.databaseUrl, config.databaseLimit);
const now = () => new Date();
await seedDemo(database, now());

const standIn = config.standIn ? await startStandIn() : null;
const standIns = new Map(standIn ? [['marisma.example', standIn.url]] : []);
const app = createApp({
  fetching: { standIns, allowed: new Set(config.fetchHosts) },
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
const server = serve({ fetch: app.fetch, hostname: config.host, port: config.port }, ({ port }) => {
  process.stdout.write(`Hamaca is ready at http://${config.host}:${port}\n`);
});

function stop(): void {
  const force = setTimeout(() => process.exit(0), GRACE);
  force.unref();
  standIn?.server.close();
  server.close(() => {
    void database.end().finally(() => process.exit(0));
  });
  if ('closeIdleConnections' in server) server.closeIdleConnections();
}
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, stop);
