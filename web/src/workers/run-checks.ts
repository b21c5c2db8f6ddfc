import { runChecks, type FetchedLink, type Finding, type Site } from '@hamaca/core';
import { familyList, loadFonts } from '../media/load-fonts.ts';

export interface ChecksRequest {
  readonly id: number;
  readonly site: Site;
  readonly fetched: ReadonlyMap<string, FetchedLink>;
}

export interface ChecksAnswer {
  readonly id: number;
  readonly findings: readonly Finding[];
}

async function answer({ id, site, fetched }: ChecksRequest): Promise<void> {
  // Where no measures come, rows are not judged and everything else is.
  const fonts = await loadFonts(familyList(site)).catch(() => null);
  const findings = runChecks(site, fetched, fonts?.measure ?? null);
  self.postMessage({ id, findings } satisfies ChecksAnswer);
}

self.addEventListener('message', ({ data }: MessageEvent<ChecksRequest>) => void answer(data));
