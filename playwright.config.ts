import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

const shell = '/usr/lib/chromium/chromium-headless-shell';

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results',
  fullyParallel: true,
  workers: 2,
  // Generous: a busy machine is slow (five times was seen), not wrong.
  timeout: 900_000,
  expect: { timeout: 90_000 },
  reporter: [['list']],
  forbidOnly: true,
  use: {
    actionTimeout: 90_000,
    navigationTimeout: 180_000,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: existsSync(shell) ? shell : '/usr/bin/chromium',
      // Without the first one the shell rounds glyph advances to whole pixels.
      args: ['--font-render-hinting=none', '--force-color-profile=srgb'],
    },
  },
});
