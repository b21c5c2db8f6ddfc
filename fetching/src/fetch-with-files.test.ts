import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach, expect, test } from '@jest/globals';
import { FILE_LIMITS, fetchWithFiles, type Fetching } from './fetch-with-files.ts';

const servers: Server[] = [];
afterEach(() => {
  for (const server of servers.splice(0)) {
    server.closeAllConnections();
    server.close();
  }
});

type Answers = Readonly<
  Record<string, string | number | ((request: IncomingMessage, response: ServerResponse) => void)>
>;

/** A host with some files by path and query; answers its origin and what was asked of it. */
async function host(answers: Answers) {
  const asked: string[] = [];
  const server = createServer((request, response) => {
    const at = request.url ?? '';
    asked.push(at);
    const answer = answers[at] ?? 404;
    if (typeof answer === 'function') answer(request, response);
    else if (typeof answer === 'number') response.writeHead(answer).end();
    else response.end(answer);
  });
  servers.push(server);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return { origin: `http://127.0.0.1:${(server.address() as AddressInfo).port}`, asked };
}

const allowing = (...origins: string[]) => ({
  standIns: new Map(),
  allowed: new Set(origins.map((origin) => new URL(origin).host)),
});

async function fetched(origin: string, path: string, what: Fetching, ...others: string[]) {
  const found = await fetchWithFiles(origin + path, allowing(origin, ...others), { what });
  return { ...found, paths: [...found.files.keys()].sort() };
}

test('a page comes with what its stylesheets import, from other hosts as well, and nothing else', async () => {
  const shelf = await host({
    '/wide.css?family=Reed&w=400': '@import "more.css"; a { color: red }',
    '/more.css': '',
  });
  const site = await host({
    '/visit/': `<link rel=stylesheet href="../css/a.css?v=3"><link rel=stylesheet href="${shelf.origin}/wide.css?family=Reed&amp;w=400">
      <script src=/x.js></script><iframe src=/frame></iframe><img src=/boat.png><a href=/other>Other</a>`,
    '/css/a.css?v=3': '@import url(deep/b.css); nav { background: url(/reed.png) }',
    '/css/deep/b.css': '@import "../a.css?v=3";',
    '/boat.png': 'boat',
    '/reed.png': 'reed',
  });
  const sheets = await fetched(site.origin, '/visit/', 'stylesheets', shelf.origin);
  expect(sheets).toMatchObject({ origin: site.origin, path: 'visit/index.html', missing: [] });
  expect(sheets.paths).toEqual(
    [
      'css/a.css?v=3',
      'css/deep/b.css',
      `${shelf.origin}/more.css`,
      `${shelf.origin}/wide.css?family=Reed&w=400`,
      'visit/index.html',
    ].sort(),
  );
  expect(site.asked).toEqual(['/visit/', '/css/a.css?v=3', '/css/deep/b.css']);
  const all = await fetched(site.origin, '/visit/', 'all', shelf.origin);
  expect(all.paths).toContain('boat.png');
  expect(all.paths).toContain('reed.png');
  expect([...site.asked].filter((path) => /x\.js|other/.test(path))).toEqual([]);
});

test('a page that moved is read where it lies, with a base of its own', async () => {
  const site = await host({
    '/old': (_, response) => response.writeHead(302, { location: '/new/page' }).end(),
    '/new/page': '<base href="/assets/"><link rel=stylesheet href=a.css>',
    '/assets/a.css': 'a { color: red }',
  });
  const page = await fetched(site.origin, '/old', 'stylesheets');
  expect([page.path, page.paths]).toEqual(['new/page.html', ['assets/a.css', 'new/page.html']]);
});

test('a file of a private host that was not named is left out, and told', async () => {
  const inside = await host({ '/a.css': 'a { color: red }' });
  const site = await host({
    '/': `<link rel=stylesheet href="${inside.origin}/a.css"><link rel=stylesheet href=gone.css>`,
  });
  const page = await fetched(site.origin, '/', 'all');
  expect(page.paths).toEqual(['index.html']);
  expect(page.missing).toEqual([
    expect.stringContaining('a.css: “127.0.0.1” is a private address'),
    `${site.origin}/gone.css: it answers with 404`,
  ]);
  expect(inside.asked).toEqual([]);
});

test('what is too much, too large or too deep is left out, and the page comes', async () => {
  const many = Array.from({ length: FILE_LIMITS.files + 20 }, (_, at) => `<img src="/${at}.png">`).join('');
  const deep = Array.from({ length: 30 }, (_, at) => [`/${at}.css`, `@import "${at + 1}.css";`]);
  const site = await host({
    '/many': many,
    '/deep': '<link rel=stylesheet href=0.css>',
    '/large': '<link rel=stylesheet href=large.css>',
    '/large.css': (_, response) => response.end(Buffer.alloc(FILE_LIMITS.bytes + 1, 32)),
    ...Object.fromEntries(deep),
  });
  const crowd = await fetched(site.origin, '/many', 'all');
  expect(site.asked.length).toBeLessThanOrEqual(FILE_LIMITS.files);
  expect(crowd.missing.filter((text) => text.endsWith(`more than ${FILE_LIMITS.files} files`)).length).toBe(
    21,
  );
  const chain = await fetched(site.origin, '/deep', 'stylesheets');
  expect(chain.paths).toHaveLength(FILE_LIMITS.rounds + 1);
  const large = await fetched(site.origin, '/large', 'stylesheets');
  expect(large.missing).toEqual([`${site.origin}/large.css: it is larger than 8 MB`]);
});

test.each([
  ['/gone', 'it answers with 404'],
  ['/inside', 'private address'],
])('%s is refused', async (path, reason) => {
  const site = await host({
    '/inside': (_, response) => response.writeHead(302, { location: 'http://127.0.0.2/' }).end(),
  });
  await expect(fetched(site.origin, path, 'stylesheets')).rejects.toThrow(reason);
});

test('stopping stops it', async () => {
  const site = await host({
    '/': '<link rel=stylesheet href=slow.css>',
    '/slow.css': () => {
      // It never answers.
    },
  });
  const stop = new AbortController();
  const fetching = fetchWithFiles(`${site.origin}/`, allowing(site.origin), {
    what: 'all',
    signal: stop.signal,
  });
  while (site.asked.length < 2) await new Promise((resolve) => setTimeout(resolve, 10));
  stop.abort();
  await expect(fetching).rejects.toThrow();
});
