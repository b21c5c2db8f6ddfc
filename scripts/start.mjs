/** `npm start`: installs what is missing, starts the database, builds where needed, serves until it is stopped. */
import { ensureBuilt } from './lib/build.mjs';
import { startDatabase } from './lib/database.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { dataFolder } from './lib/paths.mjs';
import { run, start } from './lib/run.mjs';

ensurePackages();
for (const made of ['fonts/build.mjs', 'core/build.mjs'])
  run(process.execPath, [made], { stdio: ['ignore', 2, 2] });
await ensureBuilt();

let server = null;
let stopping = false;
// Ctrl-C reaches the server by itself; here it only must not end this process before the database is stopped.
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
  process.on(signal, () => {
    stopping = true;
    server?.child.kill('SIGTERM');
  });
}

const own = process.env.HAMACA_DATABASE_URL ? null : await startDatabase(dataFolder());
let code = 0;
if (!stopping) {
  const env = { ...process.env, HAMACA_DATABASE_URL: process.env.HAMACA_DATABASE_URL ?? own.url };
  server = start(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
    env,
    stdio: ['ignore', 'inherit', 'inherit'],
  });
  code = await server.ended;
}
await own?.stop();
process.exit(stopping ? 0 : code);
