import { existsSync } from 'node:fs';
import { ensureDebianPackages } from './packages.mjs';

/**
 * Makes sure Debian's Chromium is there for the browser tests, whole and as the headless shell: most tests run in the shell,
 * those of the stage in both. One of them alone will do where nothing can be installed.
 */
export function ensureBrowser() {
  const [shell, whole] = ['/usr/lib/chromium/chromium-headless-shell', '/usr/bin/chromium'].map(existsSync);
  if (shell && whole) return;
  ensureDebianPackages('Chromium', ['chromium', 'chromium-headless-shell'], shell || whole);
}
