import { runChecks, type FetchedLink, type Finding, type Site } from '@hamaca/core';
import { familyList, loadFonts } from '../media/load-fonts.ts';

export interface ChecksRequest {
  readonly site: Site;
  readonly fetched: ReadonlyMap<string, FetchedLink>;
}

/** How much of what was asked is done, 0 to 1. */
export interface ChecksProgress {
  readonly share: number;
}

export interface ChecksAnswer {
  readonly findings: readonly Finding[];
}

async function answer({ site, fetched }: ChecksRequest): Promise<void> {
  // Where no measures come, rows are not judged and everything else is.
  const fonts = await loadFonts(familyList(site)).catch(() => null);
  const findings = runChecks(site, fetched, fonts?.measure ?? null, (share) => {
    self.postMessage({ share } satisfies ChecksProgress);
  });
  self.postMessage({ findings } satisfies ChecksAnswer);
}

self.addEventListener('message', ({ data }: MessageEvent<ChecksRequest>) => void answer(data));
