import {
  type HandOffOptions,
  findHalfCharacter,
  handOffFiles,
  loadSite,
  printTriedPage,
  type FontMetrics,
  type Problem,
  type Result,
  type TriedPage,
  type TriedPageOptions,
} from '@hamaca/core';
import { loadFontMetrics } from '../fonts.ts';
import { readFontFile } from '../read-font.ts';
import { loadStored } from '../stored-site.ts';
import type { StoredFont } from '../store/fonts.ts';

/** What came of a text that should be a site. */
export type ReadSite =
  | { readonly kind: 'site'; readonly name: string; readonly document: string }
  | { readonly kind: 'not-json'; readonly reason: string }
  | { readonly kind: 'half-character'; readonly path: string }
  | { readonly kind: 'invalid'; readonly problems: readonly Problem[] };

function readSite(text: string): ReadSite {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (error) {
    return { kind: 'not-json', reason: (error as Error).message };
  }
  const half = findHalfCharacter(raw);
  if (half !== null) return { kind: 'half-character', path: half };
  const loaded = loadSite(raw);
  return loaded.ok
    ? { kind: 'site', name: loaded.value.name, document: JSON.stringify(loaded.value) }
    : { kind: 'invalid', problems: loaded.error };
}

/** A stored document, the measures of typefaces that were brought along for it, and what was asked for. */
export interface HandOffInput {
  readonly document: string;
  readonly options: HandOffOptions;
  readonly ownFonts: readonly FontMetrics[];
}

let bundled: Promise<FontMetrics[]> | null = null;

/** The measures of all typefaces there are for a site. */
async function fontsWith(ownFonts: readonly FontMetrics[]): Promise<FontMetrics[]> {
  bundled ??= loadFontMetrics();
  return [...(await bundled), ...ownFonts];
}

async function makeHandOff({
  document,
  ownFonts,
  options,
}: HandOffInput): Promise<ReturnType<typeof handOffFiles>> {
  return handOffFiles(loadStored(document), await fontsWith(ownFonts), options);
}

/** A stored document, and which of its pages is tried where. */
export interface TriedPageInput extends Omit<TriedPageOptions, 'fonts'> {
  readonly document: string;
  readonly ownFonts: readonly FontMetrics[];
}

async function makeTriedPage({ document, ownFonts, ...where }: TriedPageInput): Promise<TriedPage> {
  return printTriedPage(loadStored(document), { ...where, fonts: await fontsWith(ownFonts) });
}

/** Work that may take long, by name: each gets what can be handed to a thread, and answers likewise. */
export const TASKS = {
  'read-site': async (text: string): Promise<ReadSite> => Promise.resolve(readSite(text)),
  'read-font': async (bytes: Uint8Array): Promise<Result<StoredFont, string>> =>
    readFontFile(Buffer.from(bytes)),
  'hand-off': makeHandOff,
  'tried-page': makeTriedPage,
} as const;

export type TaskName = keyof typeof TASKS;
export type TaskInput<Name extends TaskName> = Parameters<(typeof TASKS)[Name]>[0];
export type TaskAnswer<Name extends TaskName> = Awaited<ReturnType<(typeof TASKS)[Name]>>;

/** Does such work, within a time limit, until nobody waits for it any more. */
export interface Compute {
  readonly run: <Name extends TaskName>(
    name: Name,
    input: TaskInput<Name>,
    signal: AbortSignal,
  ) => Promise<TaskAnswer<Name>>;
  readonly end: () => Promise<void>;
}
