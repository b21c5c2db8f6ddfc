import type { FetchedLink, Finding, Site } from '@hamaca/core';
import { useEffect, useRef, useState } from 'react';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import { useWithSights } from './sights.ts';
import type { ChecksAnswer, ChecksProgress, ChecksRequest } from '../workers/run-checks.ts';

type Fetched = ChecksRequest['fetched'];

const NOTHING_FETCHED: Fetched = new Map<string, FetchedLink>();

/** How long a site must stay as it is before the checks look at it, in ms; what is asked for first they look at at once. */
const PAUSE = 100;

/** What is asked of the checks, and by whom. */
interface Asked {
  readonly site: Site;
  readonly fetched: Fetched;
  readonly wantedBy: Set<object>;
  readonly answer: Promise<readonly Finding[]>;
  readonly resolve: (findings: readonly Finding[]) => void;
}

function createAsked(site: Site, fetched: Fetched): Asked {
  let resolve: Asked['resolve'] = () => undefined;
  const answer = new Promise<readonly Finding[]>((settle) => {
    resolve = settle;
  });
  return { site, fetched, wantedBy: new Set(), answer, resolve };
}

/** How far the newest checks are, 0 to 1; null where none run. */
const progress = createStore<{ readonly share: number | null }>(() => ({ share: null }));

/** How far the checks are, 0 to 1; null where none run. */
export const useChecking = (): number | null => useStore(progress, ({ share }) => share);

let worker: Worker | null = null;
/** What waits for its turn, what the worker is at, and what it was at last. */
let queue: readonly Asked[] = [];
let running: Asked | null = null;
let answered: Asked | null = null;
let pause: ReturnType<typeof setTimeout> | undefined;

function startWorker(): Worker {
  const started = new Worker(new URL('../workers/run-checks.ts', import.meta.url), { type: 'module' });
  started.addEventListener('message', ({ data }: MessageEvent<ChecksAnswer | ChecksProgress>) => {
    const isDone = 'findings' in data;
    if (queue.length === 0) progress.setState({ share: isDone ? null : data.share });
    if (!isDone) return;
    running?.resolve(data.findings);
    answered = running;
    running = null;
    // What was asked meanwhile has had its pause.
    if (pause === undefined) send();
  });
  return started;
}

function send(): void {
  pause = undefined;
  const [next, ...others] = queue;
  if (running || !next) return;
  queue = others;
  running = next;
  worker ??= startWorker();
  worker.postMessage({ site: next.site, fetched: next.fetched } satisfies ChecksRequest);
}

/** Somebody wants an answer no more: what nobody waits for is not looked at. */
function leave(who: object): void {
  for (const asked of queue) asked.wantedBy.delete(who);
  queue = queue.filter(({ wantedBy }) => wantedBy.size > 0);
}

/** The findings of a site, from a worker; everyone who asks about the same site gets the same answer. */
function askFindings(
  who: object,
  site: Site,
  fetched: Fetched,
  isFirst: boolean,
): Promise<readonly Finding[]> {
  const known = [answered, running, ...queue].find(
    (asked) => asked?.site === site && asked.fetched === fetched,
  );
  const asked = known ?? createAsked(site, fetched);
  asked.wantedBy.add(who);
  if (known) return known.answer;
  queue = [...queue, asked];
  progress.setState({ share: 0 });
  clearTimeout(pause);
  pause = undefined;
  if (isFirst) send();
  else pause = setTimeout(send, PAUSE);
  return asked.answer;
}

/** What the checks find, a moment behind the edits, and what was seen in the output; null until the first answer. */
export function useFindings(
  site: Site | null | undefined,
  fetched: Fetched = NOTHING_FETCHED,
): readonly Finding[] | null {
  const [findings, setFindings] = useState<readonly Finding[] | null>(null);
  const who = useRef({ hasAsked: false });
  useEffect(() => {
    if (!site) return;
    const asker = who.current;
    let isWanted = true;
    void askFindings(asker, site, fetched, !asker.hasAsked).then((found) => {
      if (isWanted) setFindings(found);
    });
    asker.hasAsked = true;
    return () => {
      isWanted = false;
      leave(asker);
    };
  }, [site, fetched]);
  return useWithSights(site, findings);
}
