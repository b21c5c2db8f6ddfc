import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './paths.mjs';
import { hasCommand, run, say, stopWith } from './run.mjs';

const STAMP = join(ROOT, 'node_modules', '.hamaca-lock');

const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');

/** Installs the npm packages of the lock file, unless they are there. */
export function ensurePackages() {
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lockHash()) return;
  say('installing npm packages…');
  const env = { ...process.env, PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1' };
  run('npm', ['ci', '--prefer-offline', '--no-audit', '--no-fund', '--loglevel=error'], {
    env,
    stdio: ['ignore', 2, 2],
  });
  writeFileSync(STAMP, lockHash());
}

const isRoot = () => process.getuid?.() === 0;

/**
 * Installs Debian packages, or says the one command that does. What can be done without (`isSpare`) stops nothing where it
 * cannot be installed.
 */
export function ensureDebianPackages(what, packages, isSpare = false) {
  const install = [
    'apt-get',
    '-o',
    'DPkg::Lock::Timeout=600',
    'install',
    '-y',
    '--no-install-recommends',
    ...packages,
  ];
  const byHand = `sudo apt-get update && sudo apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  if (isSpare && !(hasCommand('apt-get') && isRoot())) return;
  if (!hasCommand('apt-get'))
    stopWith(
      `${what} is missing. Install it with your system's packages (Debian: ${packages.join(' ')}), then run this again.`,
    );
  const prefix = isRoot() ? [] : hasCommand('sudo') && process.stdin.isTTY ? ['sudo'] : null;
  if (!prefix) stopWith(`${what} is missing. Run this once, then start again:\n  ${byHand}`);
  say(`installing ${what} from Debian's packages…`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const apt = (args) => {
    const [command, ...rest] = [...prefix, ...args];
    run(command, rest, { env, stdio: ['inherit', 2, 2] });
  };
  try {
    apt(['apt-get', '-o', 'DPkg::Lock::Timeout=600', '-qq', 'update']);
    apt(install);
  } catch (error) {
    if (isSpare) {
      say(
        `${what} could not be installed as a whole (${error.message}); the tests go on with what is there.`,
      );
      return;
    }
    stopWith(
      `${what} could not be installed (${error.message}). Run this by hand, then start again:\n  ${byHand}`,
    );
  }
}
