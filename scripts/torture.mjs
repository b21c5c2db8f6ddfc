/** `npm run torture`: sets itself up, then attacks, kills and crowds a Hamaca of its own for some minutes. */
import { ensureBrowser } from './lib/browser.mjs';
import { ensureBuilt } from './lib/build.mjs';
import { ensureDatabaseServer } from './lib/database.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { run } from './lib/run.mjs';

ensurePackages();
ensureDatabaseServer();
ensureBrowser();
for (const made of ['fonts/build.mjs', 'core/build.mjs'])
  run(process.execPath, [made], { stdio: ['ignore', 2, 2] });
await ensureBuilt();
run('npm', ['run', '-s', 'browser', '--', 'e2e/torture', 'e2e/starting.spec.ts', '--workers', '1'], {
  env: { ...process.env, HAMACA_TORTURE: 'long' },
});
