/** `npm run screenshots`: takes the pictures of docs/screenshots/ from the demo. */
import { ensureBrowser } from './lib/browser.mjs';
import { ensureBuilt } from './lib/build.mjs';
import { ensureDatabaseServer } from './lib/database.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { run } from './lib/run.mjs';

ensurePackages();
ensureDatabaseServer();
ensureBrowser();
await ensureBuilt();
run(process.execPath, ['--import', 'tsx', 'e2e/support/screenshots.ts']);
