import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { DEMO } from '../../../core/test/demo.ts';
import { applyPatch, type Edit, type JsonPatch, type Site } from '@hamaca/core';
import type { LoggedChange } from './api.ts';
import { loadChecks } from './check-edit.ts';
import { noticeStore } from './notices.ts';
import { openSite, type SiteStore } from './site-store.ts';

/** A server in memory that keeps to the HTTP interface: revisions, 412, ids that count once. */
function createServer() {
  let site: Site = DEMO;
  const log: LoggedChange[] = [];
  const state = { away: false, answersLost: 0, deleted: false, refuse: '', fails: '', page: 200, folded: 0 };
  const revision = () => log.length + 1;
  const answer = (status: number, body: unknown, headers: Record<string, string> = {}) =>
    new Response(JSON.stringify(body), { status, headers });
  const accept = (
    patch: JsonPatch,
    change: Pick<LoggedChange, 'changeId' | 'clientId' | 'kind' | 'label'>,
  ) => {
    const applied = applyPatch(site, patch);
    if (!applied.ok) throw new Error('The patch does not fit.');
    site = applied.value.document;
    log.push({ ...change, patch, inverse: applied.value.inverse, revision: revision() + 1 });
  };
  const patchSite = (options: RequestInit) => {
    const headers = new Headers(options.headers);
    const changeId = headers.get('edit-id') ?? '';
    const known = log.find((change) => change.changeId === changeId);
    if (known) return answer(200, {}, { etag: `"${known.revision}"` });
    const body = String(options.body);
    if (state.refuse !== '' && body.includes(state.refuse)) return answer(422, { detail: 'Not allowed' });
    if (state.fails !== '' && body.includes(state.fails))
      return answer(500, { detail: 'Something went wrong' });
    if (headers.get('if-match') !== `"${revision()}"`)
      return answer(412, { detail: 'stale', revision: revision() });
    accept(JSON.parse(String(options.body)) as JsonPatch, {
      changeId,
      clientId: headers.get('edit-client') ?? '',
      kind: (headers.get('edit-kind') ?? 'edit') as 'edit',
      label: decodeURIComponent(headers.get('edit-label') ?? ''),
    });
    if (state.answersLost-- > 0) throw new TypeError('network');
    return answer(200, {}, { etag: `"${revision()}"` });
  };
  /** A page of the log, as short as the test wants it. */
  const pageOf = (query: URLSearchParams) => {
    const [after, before] = [query.get('after'), query.get('before')];
    const asked = log.filter(({ revision: at }) =>
      after === null ? at < Number(before) : at > Number(after),
    );
    const changes = after === null ? asked.slice(-state.page) : asked.slice(0, state.page);
    return {
      changes: changes.filter(({ revision: at }) => at > state.folded),
      more: asked.length > changes.length,
    };
  };
  const fetchStub = async (input: string, options: RequestInit = {}): Promise<Response> => {
    await Promise.resolve();
    if (state.away) throw new TypeError('network');
    if (state.deleted) return answer(404, { detail: 'gone' });
    const url = new URL(input, 'http://hamaca.test');
    if (url.pathname.endsWith('/changes')) return answer(200, pageOf(url.searchParams));
    return options.method === 'PATCH' ? patchSite(options) : answer(200, site, { etag: `"${revision()}"` });
  };
  /** An edit of another tab. */
  const fromElsewhere = (patch: JsonPatch, label = 'Elsewhere') => {
    accept(patch, { changeId: `other-${revision()}`, clientId: 'other', kind: 'edit', label });
  };
  return { state, log, site: () => site, fetchStub, fromElsewhere };
}

class Events {
  static last: Events | null = null;
  readonly listeners = new Map<string, (event: { data: string }) => void>();
  readyState = 1;
  static opened = 0;
  constructor() {
    Events.last = this;
    Events.opened++;
  }
  addEventListener(type: string, listener: (event: { data: string }) => void) {
    this.listeners.set(type, listener);
  }
  tell(type: string, data = '') {
    this.listeners.get(type)?.({ data });
  }
  close() {
    this.listeners.clear();
  }
}

function createStorage() {
  const kept = new Map<string, string>();
  const storage = {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => {
      kept.set(key, value);
    },
    removeItem: (key: string) => {
      kept.delete(key);
    },
  };
  // The browser lists a storage's keys as its own properties.
  return new Proxy(storage, {
    ownKeys: () => [...kept.keys()],
    getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
  });
}

let server: ReturnType<typeof createServer>;
let store: SiteStore;
const world = globalThis as unknown as Record<string, unknown>;

const until = async (holds: () => boolean) => {
  for (let turn = 0; turn < 400 && !holds(); turn++)
    await new Promise((resolve) => {
      setTimeout(resolve, 10);
    });
  expect(holds()).toBe(true);
};
const open = async () => {
  (store as SiteStore | undefined)?.close();
  store = openSite('marisma');
  await until(() => store.getState().status === 'ready' && store.getState().saving === 'saved');
};
const swatch = (value: string, id = 'reed'): Edit => ({ name: 'set-swatch', args: { id, value } });
const colour = (site: Site | null, id = 'reed') =>
  ((swatch) => (swatch && 'value' in swatch ? swatch.value : undefined))(
    site?.palette.find((entry) => entry.id === id),
  );
const notices = () => noticeStore.getState().notices.map((notice) => notice.text);
const replaceSwatch = (index: number, value: string): JsonPatch => [
  { op: 'replace', path: `/palette/${index}/value`, value },
];

beforeEach(async () => {
  server = createServer();
  Object.assign(world, {
    fetch: server.fetchStub,
    EventSource: Events,
    localStorage: createStorage(),
    sessionStorage: createStorage(),
  });
  Object.defineProperty(globalThis, 'navigator', {
    configurable: true,
    value: {
      locks: {
        query: async () => Promise.resolve({ held: [] }),
        request: async (...given: unknown[]) => (given.at(-1) as () => Promise<void>)(),
      },
    },
  });
  noticeStore.setState({ notices: [] });
  await open();
});
afterEach(() => {
  store.close();
});

describe('an edit', () => {
  test('shows at once, is saved by itself, and is undone and redone as changes of their own', async () => {
    expect(store.edit(swatch('#111111'), 'Swatch Reed')).toBe(true);
    expect(colour(store.getState().site)).toBe('#111111');
    expect(store.getState().saving).toBe('saving');
    await until(() => store.getState().saving === 'saved');
    expect(colour(server.site())).toBe('#111111');
    store.undo();
    store.redo();
    store.undo();
    await until(() => store.getState().saving === 'saved');
    expect(server.log.map((change) => change.kind)).toEqual(['edit', 'undo', 'redo', 'undo']);
    expect(server.site()).toEqual(DEMO);
  });
  test('that changes nothing is no step of undo, one that cannot be done is said', () => {
    store.edit(swatch('#2f6b4f'), 'Same');
    expect(store.getState().history.undo).toEqual([]);
    expect(store.edit(swatch('reddish'), 'Swatch')).toBe(false);
    expect(notices()[0]).toContain('“Swatch” could not be kept');
  });
  test('under way is shown and not kept; ending it leads back', async () => {
    store.preview(swatch('#222222'));
    expect([colour(store.getState().site), store.getState().previewing]).toEqual(['#222222', true]);
    expect(colour(store.settled())).toBe('#2f6b4f');
    store.preview(null);
    expect([colour(store.getState().site), store.getState().previewing]).toEqual(['#2f6b4f', false]);
    expect(server.log).toEqual([]);
    store.preview(swatch('#222222'));
    store.edit(swatch('#333333'), 'Swatch');
    await until(() => store.getState().saving === 'saved');
    expect(server.log).toHaveLength(1);
  });
});

describe('with another tab', () => {
  test('a stale edit is made again on top of the other one; both are kept', async () => {
    server.fromElsewhere(replaceSwatch(3, '#eeeeee'), 'Swatch Silt');
    store.edit(swatch('#111111'), 'Swatch Reed');
    await until(() => store.getState().saving === 'saved');
    expect([colour(server.site()), colour(server.site(), 'silt')]).toEqual(['#111111', '#eeeeee']);
    expect(store.getState().site).toEqual(server.site());
    expect(notices()).toEqual(['Changed in another tab: Swatch Silt.']);
  });
  test('its changes arrive by event; undo takes back one’s own newest edit and leaves them', async () => {
    store.edit(swatch('#111111'), 'Mine');
    await until(() => store.getState().saving === 'saved');
    server.fromElsewhere(replaceSwatch(3, '#abcdef'));
    Events.last?.tell('revision', '3');
    await until(() => colour(store.getState().site, 'silt') === '#abcdef');
    expect(store.getState().history.undo.map(({ label }) => label)).toEqual(['Mine']);
    store.undo();
    await until(() => store.getState().saving === 'saved');
    expect([colour(server.site()), colour(server.site(), 'silt')]).toEqual(['#2f6b4f', '#abcdef']);
    store.undo();
    store.redo();
    await until(() => store.getState().saving === 'saved');
    expect([colour(server.site()), colour(server.site(), 'silt')]).toEqual(['#111111', '#abcdef']);
  });
  test('what it changed since is not undone over it, and why is said', async () => {
    store.edit(swatch('#111111'), 'Mine');
    await until(() => store.getState().saving === 'saved');
    const index = DEMO.palette.findIndex(({ id }) => id === 'reed');
    server.fromElsewhere(replaceSwatch(index, '#abcdef'), 'Theirs');
    Events.last?.tell('revision', '3');
    await until(() => colour(store.getState().site) === '#abcdef');
    store.undo();
    expect(notices().at(-1)).toMatch(/“Mine” cannot be taken back any more: .* \(Theirs\)/);
    expect(server.log).toHaveLength(2);
    expect(colour(store.getState().site)).toBe('#abcdef');
  });
  test('what moved places since is taken back where it is now, or not at all', async () => {
    const [first] = DEMO.menus[0]?.items ?? [];
    store.edit({ name: 'set-item', args: { id: first?.id ?? '', fields: { label: 'Mine' } } }, 'Mine');
    await until(() => store.getState().saving === 'saved');
    server.fromElsewhere([{ op: 'move', from: '/menus/0/items/0', path: '/menus/0/items/2' }], 'Moved');
    Events.last?.tell('revision', '3');
    await until(() => store.getState().site?.menus[0]?.items[2]?.label === 'Mine');
    store.undo();
    expect(store.getState().site?.menus[0]?.items.map(({ label }) => label)).toEqual(
      server.site().menus[0]?.items.map(({ label }) => label),
    );
    expect(notices().at(-1)).toContain('cannot be taken back');
  });
  test('many of its changes are taken page by page', async () => {
    server.state.page = 3;
    for (let count = 0; count < 8; count++) server.fromElsewhere(replaceSwatch(3, `#00000${count}`));
    Events.last?.tell('revision', '9');
    await until(() => colour(store.getState().site, 'silt') === '#000007');
  });
  test('changes that were folded meanwhile are made up for by the site as it is now', async () => {
    for (let count = 0; count < 4; count++) server.fromElsewhere(replaceSwatch(3, `#00000${count}`));
    server.state.folded = 3;
    Events.last?.tell('revision', '5');
    await until(() => colour(store.getState().site, 'silt') === '#000003');
    store.edit(swatch('#111111'), 'After');
    await until(() => store.getState().saving === 'saved');
    expect(store.getState().site).toEqual(server.site());
  });
  test('where all that came between was folded, an edit is still saved', async () => {
    server.fromElsewhere(replaceSwatch(3, '#00000a'));
    server.state.folded = 2;
    store.edit(swatch('#111111'), 'Late');
    await until(() => store.getState().saving === 'saved');
    expect([colour(server.site()), colour(server.site(), 'silt')]).toEqual(['#111111', '#00000a']);
  });
  test('an edit of what it removed is said to be lost, later ones are kept', async () => {
    server.fromElsewhere([{ op: 'remove', path: '/menus/0/items/4' }], 'Remove News');
    const news = DEMO.menus[0]?.items[4]?.id ?? '';
    store.edit({ name: 'set-item', args: { id: news, fields: { label: 'Latest' } } }, 'Rename News');
    store.edit(swatch('#111111'), 'Swatch Reed');
    await until(() => store.getState().saving === 'saved');
    expect(notices().some((text) => text.startsWith('“Rename News” could not be kept'))).toBe(true);
    expect(colour(server.site())).toBe('#111111');
    expect(store.getState().site).toEqual(server.site());
  });
});

describe('when the server is away', () => {
  test('edits are kept, said to be unsaved, and sent when it is back', async () => {
    server.state.away = true;
    store.edit(swatch('#111111'), 'One');
    store.edit(swatch('#222222', 'silt'), 'Two');
    await until(() => store.getState().saving === 'offline');
    server.state.away = false;
    await until(() => store.getState().saving === 'saved');
    expect([colour(server.site()), colour(server.site(), 'silt')]).toEqual(['#111111', '#222222']);
  });
  test('an edit whose answer was lost counts once', async () => {
    server.state.answersLost = 1;
    store.edit(swatch('#111111'), 'Once');
    await until(() => store.getState().saving === 'saved' && server.log.length > 0);
    expect(server.log).toHaveLength(1);
    expect(store.getState().site).toEqual(server.site());
    expect(store.getState().history.undo).toHaveLength(1);
  });
  test('edits of a closed page are sent by the next one', async () => {
    server.state.away = true;
    store.edit(swatch('#111111'), 'Before closing');
    await until(() => store.getState().saving === 'offline');
    store.close();
    server.state.away = false;
    await open();
    await until(() => colour(server.site()) === '#111111');
    expect(colour(store.getState().site)).toBe('#111111');
  });
});

test('events that were answered with an error are asked for again, and what was missed is taken', async () => {
  const before = Events.opened;
  if (Events.last) Events.last.readyState = 2;
  Events.last?.tell('error');
  expect(store.getState().saving).toBe('offline');
  server.fromElsewhere(replaceSwatch(1, '#abcdef'));
  await until(() => Events.opened > before);
  Events.last?.tell('revision', '2');
  await until(() => colour(store.getState().site) === '#abcdef' && store.getState().saving === 'saved');
});

describe('a browser that keeps less', () => {
  test('without locks the site opens, and a reload takes up what was kept', async () => {
    store.close();
    Object.defineProperty(globalThis, 'navigator', { configurable: true, value: {} });
    await open();
    server.state.away = true;
    store.edit(swatch('#111111'), 'Kept');
    await until(() => store.getState().saving === 'offline');
    store.close();
    server.state.away = false;
    await open();
    await until(() => colour(server.site()) === '#111111');
  });
  test('a full storage is not called kept', async () => {
    const full = { getItem: () => null, removeItem: () => undefined };
    const setItem = () => {
      throw new Error('full');
    };
    Object.assign(world, { localStorage: { ...full, setItem } });
    server.state.away = true;
    store.edit(swatch('#111111'), 'Not kept');
    await until(() => store.getState().saving === 'offline');
    expect(store.getState().kept).toBe(false);
    server.state.away = false;
    await until(() => store.getState().saving === 'saved');
    expect([store.getState().kept, colour(server.site())]).toEqual([true, '#111111']);
  });
  test('an entry that cannot be read is put aside and said; the site opens', async () => {
    store.close();
    const storage = world['localStorage'] as Storage;
    storage.setItem('hamaca.pending.marisma.gone', '[{"id":');
    storage.setItem('hamaca.pending.marisma.odd', '{"a":1}');
    await open();
    expect(notices().some((text) => text.includes('cannot be read'))).toBe(true);
    expect(storage.getItem('hamaca.broken.hamaca.pending.marisma.gone')).toBe('[{"id":');
    expect(storage.getItem('hamaca.pending.marisma.gone')).toBeNull();
  });
});

test('an edit the server fails at is tried a few times, then set aside and named; the ones after it are kept', async () => {
  server.state.fails = '#111111';
  store.edit(swatch('#111111'), 'Cursed');
  store.edit(swatch('#eeeeee', 'silt'), 'After it');
  await until(() => store.getState().saving === 'failing');
  await until(() => store.getState().saving === 'saved');
  expect([colour(server.site()), colour(server.site(), 'silt')]).toEqual(['#2f6b4f', '#eeeeee']);
  expect(store.getState().site).toEqual(server.site());
  const [notice] = noticeStore.getState().notices;
  expect(notice?.text).toContain('“Cursed” could not be kept');
  expect(notice?.action?.label).toBe('Copy it');
});

test('a fault of our own while sending is told as one and stops nothing', async () => {
  store.edit(swatch('#111111'), undefined as unknown as string);
  store.edit(swatch('#eeeeee', 'silt'), 'After it');
  await until(() => store.getState().saving === 'saved');
  expect(notices()[0]).toContain('fault of Hamaca');
  expect(colour(server.site(), 'silt')).toBe('#eeeeee');
});

test('a label that ends in half a character is sent like any other', async () => {
  store.edit(swatch('#111111'), `${'x'.repeat(59)}\u{1f41f}`);
  store.edit(swatch('#eeeeee', 'silt'), 'a\ud83db');
  await until(() => store.getState().saving === 'saved');
  expect(server.log.map((change) => change.label)).toEqual(['x'.repeat(59), 'a\ufffdb']);
});

test('an edit the server would refuse is refused before it is made, and nothing is sent', async () => {
  await loadChecks(DEMO);
  const before = store.getState().site;
  const name = 'x'.repeat(501);
  expect(store.edit({ name: 'set-site', args: { name } }, 'Name')).toBe(false);
  expect(store.getState()).toMatchObject({ site: before, saving: 'saved' });
  expect(notices()[0]).toMatch(/^“Name” could not be kept: found/);
  expect(server.log).toEqual([]);
});

test('an edit the server refuses is taken back and said, and those after it are kept', async () => {
  server.state.refuse = '#111111';
  store.edit(swatch('#eeeeee', 'silt'), 'Before it');
  store.edit(swatch('#111111'), 'Swatch Reed');
  await until(() => store.getState().saving === 'saved');
  expect(colour(store.getState().site)).toBe('#2f6b4f');
  expect(colour(server.site(), 'silt')).toBe('#eeeeee');
  expect(notices()[0]).toContain('Not allowed');
});

test('the history is rebuilt from the log after a reload', async () => {
  store.edit(swatch('#111111'), 'One');
  store.edit(swatch('#222222'), 'Two');
  store.undo();
  await until(() => store.getState().saving === 'saved');
  store.close();
  await open();
  expect(store.getState().history.undo.map((change) => change.label)).toEqual(['One']);
  expect(store.getState().history.redo.map((change) => change.label)).toEqual(['Two']);
  store.redo();
  await until(() => colour(server.site()) === '#222222');
});

test('undo reaches back page by page, and passes over what others did', async () => {
  for (let count = 0; count < 5; count++) store.edit(swatch(`#00000${count}`), `Mine ${count}`);
  await until(() => store.getState().saving === 'saved');
  for (let count = 0; count < 9; count++) server.fromElsewhere(replaceSwatch(3, `#11111${count}`));
  store.close();
  server.state.page = 2;
  await open();
  await until(() => store.getState().history.undo.length === 5);
  expect(store.getState().history.undo.map(({ label }) => label)).toEqual(
    [0, 1, 2, 3, 4].map((n) => `Mine ${n}`),
  );
});

test('a change that was saved without being confirmed is not made twice', async () => {
  server.state.answersLost = 1;
  const news = DEMO.menus[0]?.items[4]?.id ?? '';
  store.edit({ name: 'remove-items', args: { ids: [news] } }, 'Remove News');
  await until(() => store.getState().saving === 'offline');
  store.close();
  await open();
  expect(notices()).toEqual([]);
  expect(server.log).toHaveLength(1);
  expect(store.getState().site).toEqual(server.site());
});

test('a site that is brought back opens by itself', async () => {
  server.state.deleted = true;
  Events.last?.tell('gone');
  expect(store.getState().status).toBe('missing');
  server.state.deleted = false;
  Events.last?.tell('revision', '1');
  await until(() => store.getState().status === 'ready');
  expect(store.edit(swatch('#111111'), 'Again')).toBe(true);
  await until(() => colour(server.site()) === '#111111');
});

test('a site that was deleted is said to be missing', async () => {
  server.state.deleted = true;
  store.edit(swatch('#111111'), 'Late');
  await until(() => store.getState().status === 'missing');
});

test('an edit made on a site that was deleted meanwhile comes back with the site', async () => {
  server.state.deleted = true;
  store.edit(swatch('#111111'), 'Late');
  await until(() => store.getState().status === 'missing');
  expect(store.getState().unsent).toBe(1);
  expect(notices()).toEqual([]);
  // The page is closed, and another one opened once the site is there again.
  store.close();
  server.state.deleted = false;
  await open();
  await until(() => colour(server.site()) === '#111111');
  expect(store.getState().unsent).toBe(0);
});

test('the page itself takes it up again too, without being loaded anew', async () => {
  server.state.deleted = true;
  store.edit(swatch('#111111'), 'Late');
  await until(() => store.getState().status === 'missing');
  server.state.deleted = false;
  Events.last?.tell('revision', '1');
  await until(() => colour(server.site()) === '#111111');
  expect(store.getState().status).toBe('ready');
});
