/** `npm run screenshots`: takes the pictures of docs/screenshots/ from the demo; names after `--` take some of them alone. */
import { run } from './lib/run.mjs';
import { setUp } from './lib/set-up.mjs';

await setUp();
run(process.execPath, ['--import', 'tsx', 'e2e/support/screenshots.ts', ...process.argv.slice(2)]);
