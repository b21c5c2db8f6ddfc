import {
  elementsOfRule,
  FOREIGN_STATES,
  createShortSelectors,
  firstPage,
  groundOf,
  isHiddenPath,
  isZip,
  LIMITS,
  navigationOf,
  readForeignPage,
  stagedPage,
  tellStates,
  textOfBytes,
  titleOf,
  unpackZip,
  usedFiles,
  type ForeignPage,
  type NavigationLine,
  type StagedPage,
  type ToldProperty,
  type ToldValue,
} from '@hamaca/core';

/** A file by its path. */
export interface PathBytes {
  readonly path: string;
  readonly bytes: Uint8Array;
}

export type ForeignRequest =
  /** Reads a page; of files that were dropped `path` is null, and the page is looked for among them. */
  | {
      readonly kind: 'open';
      readonly files: readonly PathBytes[];
      readonly path: string | null;
      readonly origin: string | null;
    }
  /** What is said of an element in every state, in a window so wide (px). */
  | { readonly kind: 'look'; readonly at: number; readonly width: number }
  /** The elements that the rule of a value styles. */
  | {
      readonly kind: 'reach';
      readonly value: Pick<ToldValue, 'file' | 'line' | 'column' | 'selector'>;
    };

/** A page that was read. */
export interface OpenedPage {
  readonly path: string;
  readonly title: string;
  readonly ground: string;
  readonly staged: StagedPage;
  readonly lines: readonly NavigationLine[];
  /** Paths of the files that belong to it, the page first. */
  readonly used: readonly string[];
  /** The files that belong to it, where they came in an archive; null where they came by themselves. */
  readonly unpacked: readonly PathBytes[] | null;
  /** What could not be read or is not there, in words. */
  readonly notes: readonly string[];
}

/** What is said of an element, state by state in the order of `FOREIGN_STATES`. */
export interface ElementLook {
  readonly at: number;
  readonly selector: string;
  readonly states: readonly (readonly ToldProperty[])[];
}

export interface ForeignAnswers {
  readonly open: OpenedPage;
  readonly look: ElementLook;
  readonly reach: readonly number[];
}

/** An answer to the request of the same number, or why there is none. */
export type ForeignAnswer =
  | { readonly id: number; readonly value: ForeignAnswers[keyof ForeignAnswers] }
  | { readonly id: number; readonly failure: string };

let page: ForeignPage | null = null;
let selectorOf: ReturnType<typeof createShortSelectors> | null = null;

/** Files as they are meant: archives as what is in them. */
function unpacked(files: readonly PathBytes[]): readonly PathBytes[] {
  return files.flatMap((file) => {
    if (!isZip(file.bytes)) return isHiddenPath(file.path) ? [] : [file];
    const archive = unpackZip(file.bytes, (path) => !isHiddenPath(path));
    if (!archive.ok) throw new Error(`${file.path} cannot be unpacked: ${archive.error}.`);
    return archive.value.files;
  });
}

function open({ files: given, path: wanted, origin }: Extract<ForeignRequest, { kind: 'open' }>): OpenedPage {
  const all = unpacked(given);
  const files = new Map(all.map((file) => [file.path, file.bytes]));
  const path = wanted ?? firstPage([...files.keys()]);
  const bytes = path === null ? undefined : files.get(path);
  if (path === null || !bytes)
    throw new Error(
      'No page was found: an index, or one HTML file alone, with the files it names beside it.',
    );
  const texts = new Map<string, string>();
  const text = (at: string): string | null => {
    const found = texts.get(at);
    if (found !== undefined) return found;
    const content = files.get(at);
    if (!content || content.byteLength > LIMITS.pageFile) return null;
    const made = textOfBytes(content);
    texts.set(at, made);
    return made;
  };
  const source = { text, origin };
  const html = textOfBytes(bytes);
  page = readForeignPage(source, path, html);
  selectorOf = createShortSelectors(page.elements);
  const fits = (at: string) => (files.get(at)?.byteLength ?? Infinity) <= LIMITS.pageFile;
  const named = usedFiles(page);
  const isScript = (at: string) => /\.m?js(?:$|\?)/i.test(at);
  const used = named.filter((at) => fits(at) && !isScript(at) && at !== path);
  const own = [path, ...used].slice(0, LIMITS.pageFiles);
  const came = new Set(given);
  return {
    path,
    title: titleOf(page),
    ground: groundOf(page),
    staged: stagedPage(source, path, html, fits),
    lines: navigationOf(page),
    used: own,
    unpacked: all.every((file) => came.has(file))
      ? null
      : own.map((at) => ({ path: at, bytes: files.get(at) ?? new Uint8Array() })),
    notes: [
      ...page.rules.notes.map(({ place, text: words }) =>
        place ? `${place.file}:${place.line}: ${words}` : words,
      ),
      ...named.filter((at) => files.has(at) && !fits(at)).map((at) => `${at} is larger than 8 MB.`),
    ],
  };
}

function look({ at, width }: Extract<ForeignRequest, { kind: 'look' }>): ElementLook {
  const element = page?.elements[at];
  if (!page || !element) throw new Error('The element is not there any more.');
  return {
    at,
    selector: selectorOf?.(element) ?? element.name,
    states: tellStates(page, element, null, FOREIGN_STATES, { width, height: null }),
  };
}

function answer(request: ForeignRequest): ForeignAnswers[keyof ForeignAnswers] {
  switch (request.kind) {
    case 'open':
      return open(request);
    case 'look':
      return look(request);
    case 'reach':
      return page ? elementsOfRule(page, request.value) : [];
  }
}

self.addEventListener('message', ({ data }: MessageEvent<ForeignRequest & { readonly id: number }>) => {
  let told: ForeignAnswer;
  try {
    told = { id: data.id, value: answer(data) };
  } catch (error) {
    told = { id: data.id, failure: (error as Error).message };
  }
  self.postMessage(told);
});
