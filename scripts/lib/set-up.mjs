import { ensureBrowser } from './browser.mjs';
import { ensureBuilt } from './build.mjs';
import { ensureDatabaseServer } from './database.mjs';
import { ensurePackages } from './packages.mjs';
import { run } from './run.mjs';

/** Makes what is made of fonts and the core. */
export function ensureMade() {
  for (const made of ['fonts/build.mjs', 'core/build.mjs'])
    run(process.execPath, [made], { stdio: ['ignore', 2, 2] });
}

/** Everything that tests and measurements need: packages, database, browser, and what is built. */
export async function setUp() {
  ensurePackages();
  ensureDatabaseServer();
  ensureBrowser();
  ensureMade();
  await ensureBuilt();
}
