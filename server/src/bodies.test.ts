import { connect } from 'node:net';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { serve, type ServerType } from '@hono/node-server';
import { Hono } from 'hono';
import { boundedBodies } from './bodies.ts';
import { HttpProblem, problemResponse } from './problem.ts';

const KB = 1024;

let server: ServerType;
let port: number;

beforeAll(async () => {
  const app = new Hono();
  app.onError((error, context) => {
    if (error instanceof HttpProblem) return problemResponse(context, error);
    throw error;
  });
  app.use(boundedBodies({ each: 400 * KB, together: 1500 * KB, seconds: 1 }));
  app.post('/', async (context) => context.text(String((await context.req.text()).length)));
  await new Promise<void>((resolve) => {
    server = serve({ fetch: app.fetch, port: 0, hostname: '127.0.0.1' }, (address: AddressInfo) => {
      ({ port } = address);
      resolve();
    });
  });
});
afterAll(() => {
  server.close();
});

/** Sends a body that never ends, as fast as it is taken, until it is answered; answers the first line of that. */
function sendEndlessly(piece: number, pause: number): Promise<string> {
  return new Promise((resolve) => {
    const socket = connect(port, '127.0.0.1');
    let answer = '';
    const chunk = `${piece.toString(16)}\r\n${'x'.repeat(piece)}\r\n`;
    const timer = setInterval(() => socket.write(chunk), pause);
    const end = () => {
      clearInterval(timer);
      socket.destroy();
      resolve(answer.split('\r\n')[0] ?? '');
    };
    socket.write('POST / HTTP/1.1\r\nHost: 127.0.0.1\r\nTransfer-Encoding: chunked\r\n\r\n');
    socket.on('data', (data) => {
      answer += String(data);
      if (answer.includes('\r\n\r\n')) end();
    });
    socket.on('error', end);
    socket.on('close', end);
  });
}

const send = async (length: number) =>
  fetch(`http://127.0.0.1:${port}/`, { method: 'POST', body: 'x'.repeat(length) });

test('bodies are taken as they are, up to their bound', async () => {
  expect(await (await send(5)).text()).toBe('5');
  expect(await (await send(400 * KB)).text()).toBe(String(400 * KB));
  expect((await send(400 * KB + 1)).status).toBe(413);
});

test('every one of sixty endless bodies is answered, and so is whoever sends little meanwhile', async () => {
  const endless = Array.from({ length: 60 }, () => sendEndlessly(16 * KB, 5));
  const others: number[] = [];
  for (let count = 0; count < 20; count++) others.push((await send(100)).status);
  const answers = await Promise.all(endless);
  expect(others.every((status) => status === 200)).toBe(true);
  expect(answers.filter((line) => !/^HTTP\/1\.1 (?:413|503) /.test(line))).toEqual([]);
  // Nothing of them is counted any more.
  expect((await send(400 * KB)).status).toBe(200);
});

test('a body of which nothing more comes is given up', async () => {
  expect(await sendEndlessly(10, 5000)).toMatch(/^HTTP\/1\.1 408 /);
});
