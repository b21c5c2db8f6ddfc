import { afterEach, expect, test } from '@jest/globals';
import { HttpProblem } from '../problem.ts';
import type { Compute, TaskName } from './tasks.ts';
import { createThreads } from './threads.ts';

/** A thread that does as its input says. */
const SCRIPT = new URL(
  `data:text/javascript,${encodeURIComponent(`
    import { parentPort, threadId } from 'node:worker_threads';
    parentPort.on('message', ({ name, input }) => {
      if (input === 'hang') for (;;);
      if (input === 'throw') throw new Error('spoilt');
      if (input === 'fill') { const all = []; for (;;) all.push(new Array(1000).fill(all.length)); }
      if (input === 'fail') parentPort.postMessage({ failed: 'it failed' });
      else setTimeout(() => parentPort.postMessage({ answer: [name, input, threadId] }), 20);
    });
  `)}`,
);

let threads: Compute;
const make = (limit: number, most = 1) => {
  threads = createThreads({ script: SCRIPT, most, limit });
  const open = new AbortController().signal;
  return (input: string, signal = open) =>
    threads.run('read-site' as TaskName, input as never, signal) as unknown as Promise<
      [string, string, number]
    >;
};
afterEach(async () => {
  await threads.end();
});

test('tasks are done one after the other by the same thread', async () => {
  const run = make(20_000);
  const answers = await Promise.all(['a', 'b', 'c'].map((input) => run(input)));
  expect(answers.map(([name, input]) => `${name} ${input}`)).toEqual([
    'read-site a',
    'read-site b',
    'read-site c',
  ]);
  expect(new Set(answers.map(([, , thread]) => thread)).size).toBe(1);
});

test('several at once by several threads, and never more than are allowed', async () => {
  const run = make(20_000, 2);
  const answers = await Promise.all(['a', 'b', 'c', 'd', 'e'].map((input) => run(input)));
  expect(new Set(answers.map(([, , thread]) => thread)).size).toBe(2);
});

test('one that takes too long is stopped, and the next is done by a new thread', async () => {
  const run = make(12_000);
  const [hung, after] = [run('hang'), run('a')];
  await expect(hung).rejects.toBeInstanceOf(HttpProblem);
  await expect(hung).rejects.toThrow('longer than 12 seconds');
  expect((await after)[1]).toBe('a');
});

test('one that nobody waits for any more is stopped, or never begun', async () => {
  const run = make(60_000);
  const stop = new AbortController();
  const [hung, queued, after] = [run('hang', stop.signal), run('b', stop.signal), run('c')];
  setTimeout(() => {
    stop.abort();
  }, 200);
  await expect(hung).rejects.toThrow('has gone');
  await expect(queued).rejects.toThrow('has gone');
  expect((await after)[1]).toBe('c');
});

test('one that fails or breaks its thread is told, and those after it are done', async () => {
  const run = make(20_000);
  const [failed, broken, after] = [run('fail'), run('throw'), run('a')];
  await expect(failed).rejects.toThrow('it failed');
  await expect(broken).rejects.toThrow('spoilt');
  expect((await after)[1]).toBe('a');
});
