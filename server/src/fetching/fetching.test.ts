import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readSitemap, sitemapPages, unpackGzip, type FetchedLink } from '@hamaca/core';
import { startStandIn } from '../stand-in.ts';
import { CHECK_LIMITS, checkAddresses } from './check-addresses.ts';
import { fetchPage, FETCH_LIMITS, isPrivateAddress, type FetchWorld } from '@hamaca/fetching';

let standIn: Awaited<ReturnType<typeof startStandIn>>;
let world: FetchWorld;
beforeAll(async () => {
  standIn = await startStandIn();
  world = { standIns: new Map([['marisma.example', standIn.url]]), allowed: new Set() };
});
afterAll(() => {
  standIn.server.close();
  if ('closeAllConnections' in standIn.server) standIn.server.closeAllConnections();
});

const text = (bytes: Uint8Array) => new TextDecoder().decode(bytes);
const refused = async (address: string, at: FetchWorld = world, milliseconds = 2000) =>
  fetchPage(address, at, { milliseconds }).then(
    () => null,
    (error: unknown) => (error as Error).message,
  );

test.each([
  '127.0.0.1',
  '127.8.8.8',
  '10.0.0.1',
  '172.31.0.1',
  '192.168.1.1',
  '169.254.169.254',
  '100.64.0.1',
  '0.0.0.0',
  '255.255.255.255',
  '224.0.0.1',
  '::1',
  '::',
  '[::1]',
  'fe80::1%eth0',
  'fd00::1',
  '::ffff:127.0.0.1',
  '::ffff:7f00:1',
  '64:ff9b::7f00:1',
  '2002:7f00:1::',
  '192.0.2.1',
  '2001:db8::1',
  'nonsense',
  '',
])('%s is private', (address) => {
  expect(isPrivateAddress(address)).toBe(true);
});
test.each(['8.8.8.8', '172.32.0.1', '193.0.0.1', '2a00:1450::1', '::ffff:8.8.8.8', '[2a00::1]'])(
  '%s is public',
  (address) => {
    expect(isPrivateAddress(address)).toBe(false);
  },
);

describe('servers that do not answer as they should', () => {
  test('one that changes to another protocol is let go at once', async () => {
    const server = createServer();
    server.on('upgrade', (_request, socket) => socket.end());
    server.on('request', (request) => {
      request.socket.write('HTTP/1.1 101 Switching Protocols\r\nConnection: Upgrade\r\nUpgrade: x\r\n\r\n');
    });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const { port } = server.address() as AddressInfo;
    const at = { standIns: new Map(), allowed: new Set([`127.0.0.1:${port}`]) };
    const started = performance.now();
    expect(await refused(`http://127.0.0.1:${port}/`, at, 20_000)).toBe('it answers with 101');
    expect(performance.now() - started).toBeLessThan(5000);
    server.closeAllConnections();
    server.close();
  });
  test('one that leads to an address with a lone percent sign is followed as a browser would', async () => {
    const server = createServer((request, response) => {
      if (request.url === '/from') response.writeHead(302, { location: '/to/100%' }).end();
      else response.end(request.url);
    });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const { port } = server.address() as AddressInfo;
    const at = { standIns: new Map(), allowed: new Set([`127.0.0.1:${port}`]) };
    expect(await fetchPage(`http://127.0.0.1:${port}/from`, at)).toMatchObject({
      status: 200,
      finalUrl: `http://127.0.0.1:${port}/to/100%`,
    });
    server.close();
  });
});

describe('fetching a page', () => {
  test('the stand-in answers for its host', async () => {
    const page = await fetchPage('https://www.marisma.example/visit/getting-here/', world);
    expect(page).toMatchObject({
      status: 200,
      finalUrl: 'https://www.marisma.example/visit/getting-here/',
      contentType: 'text/html; charset=utf-8',
    });
    expect(text(page.bytes)).toContain('id="by-train"');
  });
  test('its sitemap names two more, one of them packed', async () => {
    const index = readSitemap(text((await fetchPage('https://marisma.example/sitemap.xml', world)).bytes));
    expect(index).toMatchObject({
      kind: 'index',
      addresses: [
        'https://marisma.example/sitemap-pages.xml',
        'https://marisma.example/sitemap-birds.xml.gz',
      ],
    });
    const packed = unpackGzip((await fetchPage(index.addresses[1] ?? '', world)).bytes);
    const { addresses } = readSitemap(packed.ok ? text(packed.value) : '');
    expect(sitemapPages(addresses, 'https://marisma.example').pages.map((page) => page.path)).toContain(
      '/birds/stilt/',
    );
  });
  test('redirects are followed and told, for good or for now', async () => {
    expect(await fetchPage('https://marisma.example/hides/', world)).toMatchObject({
      finalUrl: 'https://marisma.example/visit/trails-and-hides/',
      permanent: true,
    });
    expect(await fetchPage('https://marisma.example/today/', world)).toMatchObject({
      finalUrl: 'https://marisma.example/birds/sightings/',
      permanent: false,
    });
  });
  test.each([
    ['http://127.0.0.1/', 'private'],
    ['http://[::1]/', 'private'],
    ['http://localhost/', 'private'],
    ['http://0x7f000001/', 'private'],
    ['http://2130706433/', 'private'],
    ['http://169.254.169.254/latest/meta-data/', 'private'],
    ['https://marisma.example/inside/', 'private'],
    ['https://marisma.example/round/a/', 'more than 5 times'],
    ['file:///etc/passwd', 'only https and http'],
    ['https://a:b@marisma.example/', 'name or password'],
    ['nonsense', 'no address'],
    ['https://nowhere.invalid/', 'no host'],
    [`https://marisma.example/${'x'.repeat(3000)}`, 'longer than'],
  ])('%s is refused', async (address, reason) => {
    expect(await refused(address)).toContain(reason);
  });
  test('a server that never answers, or never ends, is given up', async () => {
    expect(await refused('https://marisma.example/asleep/', world, 300)).toContain('did not answer in time');
    const endless = createServer((_request, response) => {
      response.writeHead(200);
      const push = () => {
        while (response.write(Buffer.alloc(1 << 20)));
        response.once('drain', push);
      };
      push();
    });
    await new Promise<void>((resolve) => {
      endless.listen(0, '127.0.0.1', resolve);
    });
    const { port } = endless.address() as AddressInfo;
    expect(
      await refused(
        `http://127.0.0.1:${port}/`,
        { standIns: new Map(), allowed: new Set([`127.0.0.1:${port}`]) },
        20_000,
      ),
    ).toContain(`larger than ${FETCH_LIMITS.bytes / 1024 / 1024} MB`);
    endless.closeAllConnections();
    endless.close();
  });
});

describe('checking links', () => {
  test('each address gets its answer; some do not have one', async () => {
    const found: FetchedLink[] = [];
    const paths = ['/news/', '/hides/', '/gone/', '/broken/', '/round/a/'];
    await checkAddresses(
      paths.map((path) => `https://marisma.example${path}`),
      world,
      new AbortController().signal,
      (link) => {
        found.push(link);
        return Promise.resolve();
      },
    );
    const by = (path: string) => found.find((link) => link.url.endsWith(path));
    expect(found).toHaveLength(5);
    expect([by('/news/')?.status, by('/gone/')?.status, by('/broken/')?.status]).toEqual([200, 404, 500]);
    expect(by('/hides/')).toMatchObject({
      permanent: true,
      finalUrl: 'https://marisma.example/visit/trails-and-hides/',
    });
    expect(by('/round/a/')?.error).toContain('redirects');
  });
  test('stopping stops it, and it keeps to its rate', async () => {
    const stop = new AbortController();
    const found: string[] = [];
    const start = Date.now();
    await checkAddresses(
      Array.from({ length: 200 }, () => 'https://marisma.example/news/'),
      world,
      stop.signal,
      (link) => {
        found.push(link.url);
        if (found.length === 6) stop.abort();
        return Promise.resolve();
      },
    );
    expect(found.length).toBeLessThan(12);
    expect(Date.now() - start).toBeGreaterThan(
      ((6 - CHECK_LIMITS.parallel) * 1000) / CHECK_LIMITS.perSecond / 2,
    );
  });
});
