import type { FetchedLink, Finding, Site } from '@hamaca/core';
import { useEffect, useState } from 'react';
import type { ChecksAnswer, ChecksRequest } from '../workers/run-checks.ts';

type Fetched = ChecksRequest['fetched'];

const NOTHING_FETCHED: Fetched = new Map<string, FetchedLink>();

interface Asked {
  readonly site: Site;
  readonly fetched: Fetched;
  readonly answer: Promise<readonly Finding[]>;
}

let worker: Worker | null = null;
let count = 0;
/** Answers that are waited for, by the id of what was asked. */
const waiting = new Map<number, (findings: readonly Finding[]) => void>();
let last: Asked | null = null;

function startWorker(): Worker {
  const started = new Worker(new URL('../workers/run-checks.ts', import.meta.url), { type: 'module' });
  started.addEventListener('message', ({ data }: MessageEvent<ChecksAnswer>) => {
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
