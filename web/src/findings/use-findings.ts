import type { FetchedLink, Finding, Site } from '@hamaca/core';
import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import type { ChecksAnswer, ChecksProgress, ChecksRequest } from '../workers/run-checks.ts';

type Fetched = ChecksRequest['fetched'];

const NOTHING_FETCHED: Fetched = new Map<string, FetchedLink>();

/** How long a site must stay as it is before the checks look at it, in ms; the first one is looked at at once. */
const PAUSE = 100;

/** What is asked of the checks. */
interface Asked {
  readonly site: Site;
  readonly fetched: Fetched;
  readonly answer: Promise<readonly Finding[]>;
  readonly resolve: (findings: readonly Finding[]) => void;
  isSent: boolean;
}

function createAsked(site: Site, fetched: Fetched): Asked {
  let resolve: Asked['resolve'] = () => undefined;
  const answer = new Promise<readonly Finding[]>((settle) => {
    resolve = settle;
  });
  return { site, fetched, answer, resolve, isSent: false };
}

/** How far the newest checks are, 0 to 1; null where none run. */
const progress = createStore<{ readonly share: number | null }>(() => ({ share: null }));

/** How far the checks are, 0 to 1; null where none run. */
export const useChecking = (): number | null => useStore(progress, ({ share }) => share);

let worker: Worker | null = null;
/** What the worker is at; it is asked for one thing after the other, and only for the newest. */
let running: Asked | null = null;
let newest: Asked | null = null;
let pause: ReturnType<typeof setTimeout> | undefined;

function startWorker(): Worker {
  const started = new Worker(new URL('../workers/run-checks.ts', import.meta.url), { type: 'module' });
  started.addEventListener('message', ({ data }: MessageEvent<ChecksAnswer | ChecksProgress>) => {
    const isDone = 'findings' in data;
    if (running === newest) progress.setState({ share: isDone ? null : data.share });
    if (!isDone) return;
    running?.resolve(data.findings);
    running = null;
    // What was asked meanwhile has had its pause.
    if (pause === undefined) send();
  });
  return started;
}

function send(): void {
  pause = undefined;
  if (running || !newest || newest.isSent) return;
  running = newest;
  running.isSent = true;
  const { site, fetched } = running;
  worker ??= startWorker();
  worker.postMessage({ site, fetched } satisfies ChecksRequest);
}

/** The findings of a site, from a worker; everyone who asks about the same site gets the same answer. */
function askFindings(site: Site, fetched: Fetched): Promise<readonly Finding[]> {
  if (newest?.site === site && newest.fetched === fetched) return newest.answer;
  const asked = createAsked(site, fetched);
  const overtaken = newest?.isSent === false ? newest : null;
  if (overtaken) void asked.answer.then(overtaken.resolve);
  const isFirst = newest === null;
  newest = asked;
  progress.setState({ share: 0 });
  clearTimeout(pause);
  if (isFirst) send();
  else pause = setTimeout(send, PAUSE);
  return asked.answer;
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
