/** `npm run benchmark`: sets itself up and measures. */
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
ensureBuilt();
run(process.execPath, ['--import', 'tsx', 'benchmarks/run.ts']);
