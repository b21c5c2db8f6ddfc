import {
  type HandOffFile,
  type HandOffOptions,
  handOffFiles,
  loadSite,
  printTriedPage,
  streamZip,
  type FontMetrics,
  type Problem,
  type Result,
  type TriedPage,
  type TriedPageOptions,
} from '@hamaca/core';
import { BUNDLED_FILES, loadFontMetrics, readFont } from '../fonts.ts';
import { readJsonText, type JsonRefusal } from '../json-text.ts';
import { readFontFile } from '../read-font.ts';
import { layHeavyEdits, type HeavyAnswer, type HeavyEdits } from '../saving/lay-edits.ts';
import { loadStored } from '../stored-site.ts';
import type { StoredFont } from '../store/fonts.ts';

/** What came of a text that should be a site. */
export type ReadSite =
  | { readonly kind: 'site'; readonly name: string; readonly document: string }
  | JsonRefusal
  | { readonly kind: 'invalid'; readonly problems: readonly Problem[] };

function readSite(text: string): ReadSite {
  const read = readJsonText(text);
  if (read.kind !== 'json') return read;
  const loaded = loadSite(read.json);
  return loaded.ok
    ? { kind: 'site', name: loaded.value.name, document: JSON.stringify(loaded.value) }
    : { kind: 'invalid', problems: loaded.error };
}

/** A stored document, the measures of typefaces that were brought along for it, and what was asked for. */
export interface HandOffInput {
  readonly document: string;
  readonly options: HandOffOptions;
  readonly ownFonts: readonly FontMetrics[];
  /** Files of such typefaces by name. */
  readonly ownFiles: ReadonlyMap<string, Uint8Array>;
}

/** Gives out a piece of what a task makes, before it is done. */
export type Emit = (piece: Uint8Array) => void;

let bundled: Promise<FontMetrics[]> | null = null;

/** The measures of all typefaces there are for a site. */
async function fontsWith(ownFonts: readonly FontMetrics[]): Promise<FontMetrics[]> {
  bundled ??= loadFontMetrics();
  return [...(await bundled), ...ownFonts];
}

/** The bytes of a file of the hand-off; null for a typeface that was never brought here: its fallback serves. */
async function bytesOf(file: HandOffFile, ownFiles: HandOffInput['ownFiles']): Promise<Uint8Array | null> {
  if ('text' in file) return new TextEncoder().encode(file.text);
  if ('base64' in file) return Buffer.from(file.base64, 'base64');
  return BUNDLED_FILES.has(file.font) ? readFont(file.font) : (ownFiles.get(file.font) ?? null);
}

/** Gives the hand-off out as a zip; answers the site's name, or null where there is nothing to hand off. */
async function zipHandOff(
  { document, ownFonts, ownFiles, options }: HandOffInput,
  emit: Emit,
): Promise<string | null> {
  const site = loadStored(document);
  const files = handOffFiles(site, await fontsWith(ownFonts), options);
  if (!files) return null;
  const contents = new Map<string, Uint8Array>();
  for (const file of files) {
    const bytes = await bytesOf(file, ownFiles);
    if (bytes) contents.set(file.name, bytes);
  }
  streamZip(contents, emit);
  return site.name;
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
  /** The ids of the typefaces that a document uses and were brought along. */
  typefaces: async (document: string): Promise<readonly string[]> =>
    Promise.resolve(loadStored(document).typefaces.map(({ id }) => id)),
  /** A stored document in today's format. */
  current: async (document: string): Promise<string> => Promise.resolve(JSON.stringify(loadStored(document))),
  'lay-edits': async (edits: HeavyEdits): Promise<HeavyAnswer> => Promise.resolve(layHeavyEdits(edits)),
  'hand-off': zipHandOff,
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
    emit?: Emit,
  ) => Promise<TaskAnswer<Name>>;
  readonly end: () => Promise<void>;
}
