import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

const SHELL = '/usr/lib/chromium/chromium-headless-shell';
const WHOLE = '/usr/bin/chromium';

/*
 * Most tests run in Chromium's headless shell, which is quick. What people use is the whole of it, where the stage's frame lives
 * in a process of its own: the tests of the stage run there too.
 */
const OF_THE_STAGE = /(?:bench|checks|design|journey|own-css|single-link|stage|panel-bench)\.spec\.ts/;

// Without the first one the shell rounds glyph advances to whole pixels.
const args = ['--font-render-hinting=none', '--force-color-profile=srgb'];
const browser = (executablePath: string) => ({ launchOptions: { executablePath, args } });

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results',
  fullyParallel: true,
  workers: 2,
  // Generous: a busy machine is slow (five times was seen), not wrong.
  timeout: 360_000,
  // A fault that many tests share is told after some of them.
  maxFailures: 6,
  expect: { timeout: 90_000 },
  reporter: [['list']],
  forbidOnly: true,
  use: {
    actionTimeout: 90_000,
    navigationTimeout: 180_000,
    viewport: { width: 1280, height: 800 },
    // Pictures and benchmarks start it from here too.
    ...browser(existsSync(SHELL) ? SHELL : WHOLE),
  },
  projects: [
    { name: 'shell' },
    ...(existsSync(SHELL) && existsSync(WHOLE)
      ? [{ name: 'whole', testMatch: OF_THE_STAGE, use: browser(WHOLE) }]
      : []),
  ],
});
