import { runChecks, type FetchedLink, type Finding, type Site } from '@hamaca/core';

export interface ChecksRequest {
  readonly id: number;
  readonly site: Site;
  readonly fetched: ReadonlyMap<string, FetchedLink>;
}

export interface ChecksAnswer {
  readonly id: number;
  readonly findings: readonly Finding[];
}

self.addEventListener('message', ({ data: { id, site, fetched } }: MessageEvent<ChecksRequest>) => {
  self.postMessage({ id, findings: runChecks(site, fetched) } satisfies ChecksAnswer);
});
