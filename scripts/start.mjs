/** `npm start`: installs what is missing, starts the database, builds where needed, serves until it is stopped. */
import { ensureBuilt } from './lib/build.mjs';
import { startDatabase } from './lib/database.mjs';
import { holdFolder } from './lib/hold-folder.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { dataFolder } from './lib/paths.mjs';
import { countDeaths, endProcess } from './lib/processes.mjs';
import { plainReason, say, sleep, start } from './lib/run.mjs';
import { ensureMade } from './lib/set-up.mjs';

/** A server that dies more often within a minute is not started again. */
const MOST_DEATHS = 5;

const stop = new AbortController();

/** Runs the server until it is told to stop, and starts it again should it die. Answers the exit code. */
async function serve(env, tell) {
  const died = countDeaths(MOST_DEATHS);
  for (;;) {
    let ready = false;
    const { child, ended } = start(process.execPath, ['server/dist/main.js'], {
      env,
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    child.stdout.on('data', (data) => {
      const text = data.toString();
      const url = /http:\/\/\S+/.exec(text)?.[0];
      if (url && !ready) tell({ server: child.pid, url });
      ready = true;
      process.stdout.write(text);
    });
    const end = () => void endProcess(child.pid);
    stop.signal.addEventListener('abort', end);
    const code = await ended;
    stop.signal.removeEventListener('abort', end);
    if (stop.signal.aborted) return 0;
    // What ends before it was ready has said why, and would say it again.
    if (!ready) return code;
    const pause = died();
    if (pause === null) {
      say('the server keeps stopping');
      return 1;
    }
    say('the server stopped by itself; starting it again');
    await sleep(pause);
  }
}

async function main() {
  // First of all: two that install or build at once would spoil each other's work.
  const folder = dataFolder();
  const held = await holdFolder(folder);
  ensurePackages();
  ensureMade();
  await ensureBuilt();
  let code = 0;
  // Ctrl-C reaches the server by itself; here it only must not end this process before the database is stopped.
  for (const name of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(name, () => stop.abort());
  let own = null;
  try {
    const given = process.env.HAMACA_DATABASE_URL;
    const gone = (reason) => {
      say(reason);
      code = 1;
      stop.abort();
    };
    own = given ? null : await startDatabase(folder, { gone, signal: stop.signal });
    const env = { ...process.env, HAMACA_DATABASE_URL: given ?? own.url };
    if (own) held.tell({ database: own.url });
    if (!stop.signal.aborted) code = (await serve(env, held.tell)) || code;
  } catch (error) {
    if (!stop.signal.aborted) {
      say(plainReason(error));
      code = 1;
    }
  }
  await own?.stop();
  held.giveBack();
  return code;
}

try {
  process.exit(await main());
} catch (error) {
  say(plainReason(error));
  process.exit(1);
}
