import type { Site } from '@hamaca/core';
import { expect, launchApp, PLAIN, test as base, type App } from '../support/app.ts';
import { answerOf, IS_LONG, labelPaths, wholeLog, write, type Acknowledged } from '../support/writer.ts';

const WRITERS = IS_LONG ? 50 : 16;
const SECONDS = IS_LONG ? 60 : 3;
const ROUNDS = IS_LONG ? 30 : 3;

/** Fails where an edit was acknowledged and is not in the log, is in it twice, or is not what the document says. */
async function expectAllKept(url: string, id: string, acknowledged: readonly Acknowledged[]): Promise<void> {
  const log = await wholeLog(url, id);
  expect(log.map(({ revision }) => revision)).toEqual(log.map((_, index) => index + 2));
  const known = new Map(log.map((change) => [change.changeId, change]));
  expect(known.size).toBe(log.length);
  const lost = acknowledged.filter((edit) => known.get(edit.id)?.revision !== edit.revision);
  expect(lost).toEqual([]);
  const last = new Map(log.flatMap(({ patch }) => patch.map(({ path, value }) => [path, value])));
  const site = (await answerOf(`${url}/api/sites/${id}`)).body as Site;
  const at = (path: string) =>
    path
      .split('/')
      .slice(1)
      .reduce<unknown>((node, key) => (node as Record<string, unknown>)[key], site);
  for (const [path, value] of last) expect(at(path)).toBe(value);
}

/** A site with a link for each writer. */
async function manyLinks(url: string): Promise<{ id: string; site: Site }> {
  const demo = PLAIN as unknown as Site;
  const items = Array.from({ length: 60 }, (_, index) => ({
    id: `link-${index}`,
    label: `Link ${index}`,
    target: { kind: 'none' as const },
    children: [],
  }));
  const [menu] = demo.menus;
  if (!menu) throw new Error('The demo has a menu.');
  const site: Site = { ...demo, menus: [{ ...menu, items: [...menu.items, ...items] }] };
  const created = await fetch(`${url}/api/sites`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(site),
  });
  return { id: ((await created.json()) as { id: string }).id, site };
}

const after = (ms: number) => AbortSignal.timeout(ms);

base(`${WRITERS} writers on two servers: nothing that was acknowledged is lost`, async () => {
  const app = await launchApp();
  try {
    const urls = [app.url, await app.startAnother()];
    const { id, site } = await manyLinks(app.url);
    const paths = labelPaths(site).slice(-60);
    const stop = after(SECONDS * 1000);
    const written = await Promise.all(
      Array.from({ length: WRITERS }, (_, writer) =>
        write(
          () => urls[writer % 2] ?? app.url,
          id,
          paths[writer % paths.length] ?? '',
          stop,
          after(600_000),
        ),
      ),
    );
    const all = written.flat();
    await expectAllKept(app.url, id, all);
    expect(written.every((edits) => edits.length > 0)).toBe(true);
    const times = all.map(({ ms }) => ms).sort((a, b) => a - b);
    const share = (part: number) => Math.round(times[Math.floor(times.length * part)] ?? 0);
    process.stdout.write(
      `  ${WRITERS} writers: ${Math.round(all.length / SECONDS)} edits/s, median ${share(0.5)} ms, p95 ${share(0.95)} ms\n`,
    );
  } finally {
    await app.stop();
  }
});

/** Starts the server again, as the launcher does: one that finds the database killed ends, and is started once more. */
async function startAgain(app: App, tries = 20): Promise<void> {
  try {
    await app.startServer();
  } catch (error) {
    if (tries === 0) throw error;
    await new Promise((resolve) => {
      setTimeout(resolve, 300);
    });
    await startAgain(app, tries - 1);
  }
}

base(`${ROUNDS} rounds of kill -9 while it is written: nothing lost, nothing twice`, async () => {
  const app = await launchApp();
  try {
    const { id, site } = await manyLinks(app.url);
    const paths = labelPaths(site).slice(0, 5);
    const stop = new AbortController();
    const giveUp = after(900_000);
    const writing = Promise.all(paths.map((path) => write(() => app.url, id, path, stop.signal, giveUp)));
    for (let round = 0; round < ROUNDS; round++) {
      await new Promise((resolve) => {
        setTimeout(resolve, 150 + Math.random() * 500);
      });
      if (round % 3 === 2) app.killDatabase();
      else {
        await app.killServer();
        await startAgain(app);
      }
    }
    stop.abort();
    const all = (await writing).flat();
    await expectAllKept(app.url, id, all);
    expect(all.length).toBeGreaterThan(ROUNDS);
    process.stdout.write(`  ${ROUNDS} rounds of kill -9: ${all.length} acknowledged edits kept\n`);
  } finally {
    await app.stop();
  }
});
