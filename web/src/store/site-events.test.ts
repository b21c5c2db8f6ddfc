import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { hearSite, type SiteEvent } from './site-events.ts';

class Source {
  static readonly open: Source[] = [];
  readonly listeners = new Map<string, (event: { data: string }) => void>();
  constructor() {
    Source.open.push(this);
  }
  addEventListener(type: string, listener: (event: { data: string }) => void) {
    this.listeners.set(type, listener);
  }
  tell(type: string, data: string) {
    this.listeners.get(type)?.({ data });
  }
  close() {
    Source.open.splice(Source.open.indexOf(this), 1);
  }
}

/** Locks as browsers have them: one holder a name, the others wait in a row. */
function createLocks() {
  const rows = new Map<string, (() => Promise<void>)[]>();
  const next = (name: string) => {
    const work = rows.get(name)?.[0];
    void work?.().then(() => {
      rows.get(name)?.shift();
      next(name);
    });
  };
  return {
    request: async (name: string, { signal }: { signal: AbortSignal }, work: () => Promise<void>) => {
      const row = rows.get(name) ?? [];
      rows.set(name, row);
      row.push(work);
      signal.addEventListener('abort', () => {
        if (row.indexOf(work) > 0) row.splice(row.indexOf(work), 1);
      });
      if (row.length === 1) next(name);
      return Promise.resolve();
    },
  };
}

const ends: (() => void)[] = [];
const tab = () => {
  const heard: string[] = [];
  const end = hearSite('marisma', ({ type, data }: SiteEvent) => heard.push(`${type} ${data}`));
  ends.push(end);
  return { heard, end };
};
const settle = async () =>
  new Promise((resolve) => {
    setTimeout(resolve, 30);
  });

beforeEach(() => {
  Object.assign(globalThis, { EventSource: Source });
  Object.defineProperty(globalThis, 'navigator', { configurable: true, value: { locks: createLocks() } });
});
afterEach(() => {
  for (const end of ends.splice(0)) end();
  Source.open.splice(0);
});

test('of six tabs one hears the server and tells the others', async () => {
  const tabs = Array.from({ length: 6 }, tab);
  await settle();
  expect(Source.open).toHaveLength(1);
  Source.open[0]?.tell('revision', '2');
  await settle();
  expect(tabs.map(({ heard }) => heard)).toEqual(Array.from({ length: 6 }, () => ['revision 2']));
});

test('who comes later is told what was told last', async () => {
  tab();
  Source.open[0]?.tell('revision', '7');
  const late = tab();
  await settle();
  expect(late.heard).toEqual(['revision 7']);
});

test('when the one that hears closes, the next one does; when all are closed, nobody', async () => {
  const [first, second] = [tab(), tab()];
  first.end();
  await settle();
  expect(Source.open).toHaveLength(1);
  Source.open[0]?.tell('revision', '3');
  await settle();
  expect([first.heard, second.heard]).toEqual([[], ['revision 3']]);
  second.end();
  await settle();
  expect(Source.open).toHaveLength(0);
});

test('without locks each tab hears for itself', () => {
  Object.defineProperty(globalThis, 'navigator', { configurable: true, value: {} });
  const [one, two] = [tab(), tab()];
  expect(Source.open).toHaveLength(2);
  Source.open[0]?.tell('away', '');
  expect([one.heard, two.heard]).toEqual([['away '], []]);
});
