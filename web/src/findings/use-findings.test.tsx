/** @jest-environment jsdom */
import { beforeEach, expect, jest, test } from '@jest/globals';
import type { Finding, Site } from '@hamaca/core';
import { act } from 'react';
import { createRoot } from 'react-dom/client';
import type { ChecksRequest } from '../workers/run-checks.ts';

/** A worker that answers when it is told to: as many findings as the name of the site has letters. */
class SlowWorker extends EventTarget {
  static readonly asked: ChecksRequest[] = [];
  static current: SlowWorker | null = null;
  constructor() {
    super();
    SlowWorker.current = this;
  }
  postMessage(request: ChecksRequest) {
    SlowWorker.asked.push(request);
  }
  answer() {
    const { site } = SlowWorker.asked.at(-1) as ChecksRequest;
    const findings = Array.from(site.name, () => ({}) as Finding);
    this.dispatchEvent(new MessageEvent('message', { data: { findings } }));
  }
}
Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true, Worker: SlowWorker });

const { useFindings } = await import('./use-findings.ts');

const siteOf = (name: string) => ({ name }) as Site;
const Count = ({ site }: { readonly site: Site }) => <b>{useFindings(site)?.length ?? '?'} </b>;

let draw: (...sites: readonly Site[]) => void;
beforeEach(() => {
  jest.useFakeTimers();
  SlowWorker.asked.length = 0;
  document.body.innerHTML = '<div></div>';
  const root = createRoot(document.body.firstElementChild as Element);
  draw = (...sites) => {
    act(() => {
      root.render(sites.map((site, index) => <Count key={index} site={site} />));
    });
  };
});

const answer = () =>
  act(async () => {
    SlowWorker.current?.answer();
    await Promise.resolve();
  });
const asked = () => SlowWorker.asked.map(({ site }) => site.name);
const wait = () => {
  act(() => {
    jest.advanceTimersByTime(200);
  });
};

test('each who asks gets the answer for their own site, and the worker has one thing to do at a time', async () => {
  draw(siteOf('a'), siteOf('bb'), siteOf('ccc'));
  expect(asked()).toEqual(['a']);
  await answer();
  expect(asked()).toEqual(['a', 'bb']);
  await answer();
  await answer();
  expect(document.body.textContent).toBe('1 2 3 ');
});

test('of many edits in a row only the last is looked at', async () => {
  const first = siteOf('a');
  draw(first);
  await answer();
  for (const name of ['bb', 'ccc', 'dddd']) draw(siteOf(name));
  expect(asked()).toEqual(['a']);
  wait();
  expect(asked()).toEqual(['a', 'dddd']);
  expect(document.body.textContent).toBe('1 ');
  // What was asked while it works has its turn behind.
  draw(siteOf('eeeee'));
  wait();
  expect(asked()).toEqual(['a', 'dddd']);
  await answer();
  expect(asked()).toEqual(['a', 'dddd', 'eeeee']);
  await answer();
  expect(document.body.textContent).toBe('5 ');
});

test('who asks about the same site shares an answer, also where one of them goes on', async () => {
  const site = siteOf('aa');
  const other = siteOf('x');
  draw(other);
  draw(other, site, site);
  await answer();
  expect(asked()).toEqual(['x', 'aa']);
  await answer();
  expect(document.body.textContent).toBe('1 2 2 ');
  draw(other, siteOf('bbb'), site);
  wait();
  await answer();
  expect(document.body.textContent).toMatch(/ 3 2 $/);
});
