import type { FetchedLink, Finding, Site } from '@hamaca/core';
import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import type { ChecksAnswer, ChecksProgress, ChecksRequest } from '../workers/run-checks.ts';

type Fetched = ChecksRequest['fetched'];

const NOTHING_FETCHED: Fetched = new Map<string, FetchedLink>();

interface Asked {
  readonly site: Site;
  readonly fetched: Fetched;
  readonly answer: Promise<readonly Finding[]>;
}

/** How far the newest checks are, 0 to 1; null where none run. */
const progress = createStore<{ readonly share: number | null }>(() => ({ share: null }));

/** How far the checks are, 0 to 1; null where none run. */
export const useChecking = (): number | null => useStore(progress, ({ share }) => share);

let worker: Worker | null = null;
let count = 0;
/** Answers that are waited for, by the id of what was asked. */
const waiting = new Map<number, (findings: readonly Finding[]) => void>();
let last: Asked | null = null;

function startWorker(): Worker {
  const started = new Worker(new URL('../workers/run-checks.ts', import.meta.url), { type: 'module' });
  started.addEventListener('message', ({ data }: MessageEvent<ChecksAnswer | ChecksProgress>) => {
    const isDone = 'findings' in data;
    if (data.id === count) progress.setState({ share: isDone ? null : data.share });
    if (!isDone) return;
    waiting.get(data.id)?.(data.findings);
    waiting.delete(data.id);
  });
  return started;
}

/** The findings of a site, from a worker; everyone who asks about the same site gets the same answer. */
function askFindings(site: Site, fetched: Fetched): Promise<readonly Finding[]> {
  if (last?.site === site && last.fetched === fetched) return last.answer;
  worker ??= startWorker();
  const id = ++count;
  progress.setState({ share: 0 });
  worker.postMessage({ id, site, fetched } satisfies ChecksRequest);
  const answer = new Promise<readonly Finding[]>((resolve) => {
    waiting.set(id, resolve);
  });
  last = { site, fetched, answer };
  return answer;
}

/** What the checks find, a moment behind the edits; null until the first answer. */
export function useFindings(
  site: Site | null | undefined,
  fetched: Fetched = NOTHING_FETCHED,
): readonly Finding[] | null {
  const [findings, setFindings] = useState<readonly Finding[] | null>(null);
  useEffect(() => {
    if (!site) return;
    let isWanted = true;
    void askFindings(site, fetched).then((found) => {
      if (isWanted) setFindings(found);
    });
    return () => {
      isWanted = false;
    };
  }, [site, fetched]);
  return findings;
}
