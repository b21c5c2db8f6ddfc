import { existsSync } from 'node:fs';
import { ensureDebianPackages } from './packages.mjs';

/** Makes sure a Chromium of Debian's is there for the browser tests. */
export function ensureBrowser() {
  if (existsSync('/usr/lib/chromium/chromium-headless-shell') || existsSync('/usr/bin/chromium')) return;
  ensureDebianPackages('Chromium', ['chromium-headless-shell']);
}
