import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { sleep } from './run.mjs';

const POLL = 30;
/** Milliseconds a process gets to end by itself. */
const GRACE = 4000;

/** The command line of a process; an empty text where there is no such process. */
export function commandOf(pid) {
  if (!Number.isInteger(pid) || pid <= 0) return '';
  if (!existsSync('/proc/self/cmdline'))
    return spawnSync('ps', ['-o', 'command=', '-p', String(pid)], { encoding: 'utf8' }).stdout ?? '';
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ');
  } catch {
    // There is no such process any more.
    return '';
  }
}

function signal(pid, name) {
  try {
    process.kill(pid, name);
    return true;
  } catch {
    // It has ended already, which is what is wanted.
    return false;
  }
}

/** Ends a process: it is asked first, and made to where it does not go. */
export async function endProcess(pid) {
  if (!signal(pid, 'SIGTERM')) return;
  for (let waited = 0; waited < GRACE; waited += POLL) {
    if (commandOf(pid) === '') return;
    await sleep(POLL);
  }
  signal(pid, 'SIGKILL');
  while (commandOf(pid) !== '') await sleep(POLL);
}

/** Counts deaths: answers the pause before the next start in ms, or null where it dies too often. */
export function countDeaths(most, within = 60_000) {
  const times = [];
  return () => {
    const now = Date.now();
    times.push(now);
    while (times[0] < now - within) times.shift();
    return times.length > most ? null : 250 * times.length;
  };
}
