import { describe, expect, test } from '@jest/globals';
import { Hono } from 'hono';
import { onlyOwnHosts, onlyOwnPages, onlyReadablePaths } from './guard.ts';
import { HttpProblem, problemResponse } from './problem.ts';

const OWN = 'https://hamaca.example';

const app = new Hono();
app.onError((error, context) => {
  if (error instanceof HttpProblem) return problemResponse(context, error);
  throw error;
});
app.use(onlyReadablePaths);
app.use(onlyOwnHosts(new Set(['hamaca.example'])));
app.use(onlyOwnPages(new Set([OWN])));
app.all('*', (context) => context.text('in'));

const status = async (method: string, headers: Record<string, string>, path = '/api/sites/x') =>
  (
    await app.request(`http://127.0.0.1:4310${path}`, {
      method,
      headers: { host: '127.0.0.1:4310', ...headers },
    })
  ).status;

describe('who is answered', () => {
  test.each([
    '127.0.0.1:4310',
    'localhost:4310',
    'localhost',
    '[::1]:4310',
    '192.168.0.7:80',
    'hamaca.example',
    'HAMACA.example:443',
  ])('those who ask for %s', async (host) => {
    expect(await status('GET', { host })).toBe(200);
  });
  test.each([
    'rebound.example',
    'rebound.example:4310',
    '127.0.0.1.rebound.example',
    'localhost.rebound.example',
    'xlocalhost',
    'hamaca.example.rebound.example',
    '',
    'a b',
    '127.0.0.1:4310@x.example',
  ])('not those who ask for %j', async (host) => {
    for (const method of ['GET', 'DELETE']) expect(await status(method, { host })).toBe(421);
  });
});

const CHANGES = ['POST', 'PATCH', 'PUT', 'DELETE'];

describe('who may change something', () => {
  test.each<[string, Record<string, string>]>([
    ['a page of ours', { origin: 'http://127.0.0.1:4310', 'sec-fetch-site': 'same-origin' }],
    ['a page of ours behind a proxy', { host: 'hamaca.example', origin: OWN }],
    ['a page of ours that only says where it is', { referer: 'http://127.0.0.1:4310/sites/x/bench' }],
    ['what is no browser', {}],
  ])('%s', async (_who, headers) => {
    for (const method of CHANGES) expect(await status(method, headers)).toBe(200);
  });
  test.each<[string, Record<string, string>]>([
    ['a page elsewhere', { origin: 'https://elsewhere.example' }],
    ['another port of ours', { origin: 'http://127.0.0.1:9999' }],
    ['a page that hides where it is', { origin: 'null' }],
    ['a page elsewhere that only says where it is', { referer: 'https://elsewhere.example/127.0.0.1:4310' }],
    ['a page whose browser tells on it', { 'sec-fetch-site': 'cross-site' }],
    ['a page of a neighbour', { 'sec-fetch-site': 'same-site', origin: 'http://127.0.0.1:4310' }],
    ['nonsense', { origin: 'http://127.0.0.1:4310.elsewhere.example' }],
  ])('not %s', async (_who, headers) => {
    for (const method of CHANGES) expect(await status(method, headers)).toBe(403);
    expect(await status('GET', headers)).toBe(200);
  });
});

test.each(['/sites/%', '/%zz', '/fonts/%e0%a4%a', '/assets/%c3%28'])(
  '%s is refused as it stands',
  async (path) => {
    expect(await status('GET', {}, path)).toBe(400);
  },
);
