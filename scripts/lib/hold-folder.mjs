import { mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { commandOf, endProcess } from './processes.mjs';
import { say, stopWith } from './run.mjs';

/** Writes a file whole or not at all. */
export function writeWhole(file, text, options = {}) {
  writeFileSync(`${file}.new`, text, options);
  renameSync(`${file}.new`, file);
}

function readHolder(file) {
  try {
    const holder = JSON.parse(readFileSync(file, 'utf8'));
    return typeof holder === 'object' && holder !== null ? holder : {};
  } catch {
    // Missing, or cut off in the middle of being written: nobody holds the folder by it.
    return {};
  }
}

const isLauncher = (pid) => pid !== process.pid && /start\.mjs/.test(commandOf(pid));

/** What a launcher that is alive has told of the data folder; null where none holds it. */
export function holderOf(folder) {
  const holder = readHolder(join(folder, 'running.json'));
  return isLauncher(holder.launcher) ? holder : null;
}

/**
 * Takes the data folder for this launcher. Where another one runs on it, says so and ends; what a killed one left running is
 * ended. Answers how to tell what runs here now, and how to give the folder back.
 */
export async function holdFolder(folder) {
  mkdirSync(folder, { recursive: true });
  const file = join(folder, 'running.json');
  for (let tries = 0; ; tries++) {
    try {
      writeFileSync(file, JSON.stringify({ launcher: process.pid }), { flag: 'wx', mode: 0o600 });
      break;
    } catch (error) {
      if (error.code !== 'EEXIST' || tries > 5) throw error;
    }
    const { launcher, server, url } = readHolder(file);
    if (isLauncher(launcher))
      stopWith(
        `this data is in use: process ${launcher} serves it${url ? ` at ${url}` : ''}. Stop that one first, or set HAMACA_DATA to another folder.`,
      );
    if (/server\/dist\/main\.js/.test(commandOf(server))) {
      say('ending the server that an earlier start left running');
      await endProcess(server);
    }
    rmSync(file, { force: true });
  }
  const holder = { launcher: process.pid };
  return {
    tell: (facts) => {
      Object.assign(holder, facts);
      writeWhole(file, JSON.stringify(holder), { mode: 0o600 });
    },
    giveBack: () => rmSync(file, { force: true }),
  };
}
