import { chromium } from '@playwright/test';
import config from '../../playwright.config.ts';
import { launchApp, stageFrame } from './app.ts';
const { default: steps } = await import(process.argv[2] as string);
const app = await launchApp();
const browser = await chromium.launch(config.use?.launchOptions ?? {});
try {
  const page = await browser.newPage({
    viewport: { width: Number(process.env["W"] ?? 1280), height: Number(process.env["H"] ?? 800) },
    baseURL: app.url,
  });
  page.on('pageerror', (e) => console.log('ERR', e.message));
  await steps(page, {
    stageFrame,
    shot: (name: string) => page.screenshot({ path: `/tmp/shots/${name}.png` }),
  });
} finally {
  await browser.close();
  await app.stop();
}
