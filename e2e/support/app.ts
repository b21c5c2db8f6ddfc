import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test as base, type Page } from '@playwright/test';
import type { Site } from '@hamaca/core';
import { startDatabase, type OwnDatabase } from '../../scripts/lib/database.mjs';

export const ROOT = fileURLToPath(new URL('../..', import.meta.url));

/** A running Hamaca with a database of its own, whose parts a test may kill. */
export interface App {
  readonly url: string;
  readonly database: OwnDatabase;
  readonly killServer: () => Promise<void>;
  readonly startServer: () => Promise<void>;
  /** One more server on the same database; answers its address. */
  readonly startAnother: () => Promise<string>;
  readonly killDatabase: () => void;
  readonly stop: () => Promise<void>;
}

export async function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => {
        resolve(typeof address === 'object' && address ? address.port : 0);
      });
    });
  });
}

/** Starts a Hamaca with a database of its own; `settings` are added to its environment, `heard` gets what it says. */
export async function launchApp(
  settings: Record<string, string> = {},
  heard: (text: string) => void = () => undefined,
): Promise<App> {
  const folder = mkdtempSync(join(tmpdir(), 'hamaca-e2e-'));
  const database = await startDatabase(folder, { mostDeaths: Infinity });
  const port = await freePort();
  const spawnServer = async (on: number): Promise<ChildProcess> => {
    const child = spawn(process.execPath, ['server/dist/main.js'], {
      cwd: ROOT,
      env: {
        ...process.env,
        HAMACA_PORT: String(on),
        HAMACA_DATABASE_URL: database.url,
        HAMACA_DATABASE_SECONDS: '30',
        ...settings,
      },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    child.stderr.on('data', (data: Buffer) => {
      process.stderr.write(data);
      heard(data.toString());
    });
    await new Promise<void>((resolve, reject) => {
      child.stdout.on('data', (data: Buffer) => {
        if (data.toString().includes('ready')) resolve();
      });
      child.once('exit', () => {
        reject(new Error('The server ended before it was ready.'));
      });
    });
    return child;
  };
  let server: ChildProcess | null = null;
  const others: ChildProcess[] = [];
  const startServer = async () => {
    server = await spawnServer(port);
  };
  const ended = async () =>
    new Promise<void>((resolve) => {
      if (server?.exitCode !== null || server.signalCode !== null) resolve();
      else
        server.once('exit', () => {
          resolve();
        });
    });
  const killServer = async () => {
    server?.kill('SIGKILL');
    await ended();
  };
  await startServer();
  return {
    url: `http://127.0.0.1:${port}`,
    database,
    startServer,
    killServer,
    startAnother: async () => {
      const on = await freePort();
      others.push(await spawnServer(on));
      return `http://127.0.0.1:${on}`;
    },
    killDatabase: () => {
      process.kill(database.pid(), 'SIGKILL');
    },
    stop: async () => {
      for (const other of others) other.kill('SIGKILL');
      server?.kill('SIGTERM');
      await ended();
      await database.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** Tests of the interface: one Hamaca for each worker. */
export const test = base.extend<object, { app: App }>({
  app: [
    async ({}, use) => {
      const app = await launchApp();
      await use(app);
      await app.stop();
    },
    { scope: 'worker', timeout: 600_000 },
  ],
  baseURL: async ({ app }, use) => {
    await use(app.url);
  },
});

export { expect } from '@playwright/test';

/** The reserve's site as the tests start from it. */
export const PLAIN = JSON.parse(
  readFileSync(new URL('../../core/test/plain.hamaca.json', import.meta.url), 'utf8'),
) as Record<string, unknown>;

/** A fresh copy of a site, the plain one where no other is given; answers its id. */
export async function copyDemo(page: Page, demo: object = PLAIN): Promise<string> {
  const created = await page.request.post('/api/sites', { data: demo });
  return ((await created.json()) as { id: string }).id;
}

/** The site's document as the server has it. */
export async function savedSite(page: Page, id: string): Promise<Site> {
  return (await (await page.request.get(`/api/sites/${id}`)).json()) as Site;
}

/** The stage's frame, once it has painted. */
export async function stageFrame(page: Page) {
  const frame = page.locator('iframe[title="Stage"]');
  await frame.and(page.locator('[data-painted]')).waitFor();
  return frame.contentFrame();
}

/**
 * Takes the pointer off what is drawn on the stage, within its frame: where that lives in a process of its own, a pointer of
 * tests that leaves it is not told there, as one of a hand is.
 */
export async function pointNowhere(page: Page): Promise<void> {
  const stage = await stageFrame(page);
  await stage.locator('html').evaluate((html) => {
    const cover = document.createElement('div');
    cover.id = 'nowhere';
    cover.style.cssText = 'position:fixed;inset:auto 0 0 auto;width:6px;height:6px;z-index:2147483647';
    html.append(cover);
  });
  await stage.locator('#nowhere').hover();
  await stage.locator('#nowhere').evaluate((cover) => {
    cover.remove();
  });
}

/** Moves the pointer, so that what drags are made of is loaded, and waits until something can be dragged. */
export async function draggable(page: Page, within: string): Promise<void> {
  let at = 600;
  await expect
    .poll(async () => {
      await page.mouse.move(at++, 60);
      return page.locator(`${within} [draggable="true"]`).count();
    })
    .toBeGreaterThan(0);
}

export const saved = (page: Page) => page.locator('[data-saving="saved"]').waitFor();
