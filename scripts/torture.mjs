/** `npm run torture`: sets itself up, then attacks, kills and crowds a Hamaca of its own for some minutes. */
import { run } from './lib/run.mjs';
import { setUp } from './lib/set-up.mjs';

await setUp();
const SUITES = ['e2e/torture', 'e2e/starting.spec.ts', 'e2e/saving.spec.ts', 'e2e/key.spec.ts'];
run('npm', ['run', '-s', 'browser', '--', ...SUITES, '--workers', '1'], {
  env: { ...process.env, HAMACA_TORTURE: 'long' },
});
