/** `npm test`: sets itself up, then checks types, format, lint and boundaries, and runs unit and browser tests. */
import { run, say } from './lib/run.mjs';
import { setUp } from './lib/set-up.mjs';

const STEPS = [
  ['types', ['run', '-s', 'types']],
  ['format', ['run', '-s', 'format']],
  ['lint', ['run', '-s', 'lint']],
  ['boundaries', ['run', '-s', 'boundaries']],
  ['unit tests', ['run', '-s', 'unit']],
  ['browser tests', ['run', '-s', 'browser']],
];

await setUp();

const failed = [];
for (const [name, args] of STEPS) {
  say(`${name}…`);
  try {
    run('npm', args);
  } catch {
    failed.push(name);
  }
}
const passed = STEPS.length - failed.length;
if (failed.length > 0) say(`failed: ${failed.join(', ')}`);
process.stdout.write(`steps: ${passed} passed, ${failed.length} failed\n`);
process.exit(failed.length > 0 ? 1 : 0);
