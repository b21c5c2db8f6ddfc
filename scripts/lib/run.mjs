import { spawn, spawnSync } from 'node:child_process';
import { ROOT } from './paths.mjs';

/** Says what is being done, on standard error, so that standard output stays the address alone. */
export function say(message) {
  process.stderr.write(`hamaca: ${message}\n`);
}

/** Ends the script with a message for the person who started it. */
export function stopWith(message) {
  say(message);
  process.exit(1);
}

/** Why something failed, in words for the person who started it: no stack, no settings. */
export function plainReason(error) {
  const { code, path, message } = error;
  const where = path ?? 'the data folder';
  if (code === 'ENOSPC' || code === 'EDQUOT') return `there is no room left on the disk for ${where}`;
  if (['EACCES', 'EPERM', 'EROFS', 'ENOTDIR', 'EEXIST', 'ENOENT'].includes(code) && path)
    return `${where} cannot be written; HAMACA_DATA names the folder for the data`;
  return message;
}

/** Runs a command to its end with its output shown; throws where it fails. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  if (error) throw error;
  if (status !== 0) throw new Error(`${command} ${args.join(' ')} ended with ${status}`);
}

/** Whether a command can be found. */
export function hasCommand(command) {
  return spawnSync('sh', ['-c', `command -v ${command}`], { stdio: 'ignore' }).status === 0;
}

/** Starts a process and answers it with a promise of its exit code. */
export function start(command, args, options = {}) {
  const child = spawn(command, args, { cwd: ROOT, ...options });
  const ended = new Promise((resolve) => {
    child.once('exit', (code, signal) => resolve(code ?? (signal ? 1 : 0)));
    child.once('error', () => resolve(1));
  });
  return { child, ended };
}

export const sleep = (ms) =>
  new Promise((resolve) => {
    setTimeout(resolve, ms);
  });
