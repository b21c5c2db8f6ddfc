import {
  ADDED_SCRIPT,
  applyChanges,
  bytesOfText,
  colourPlaces,
  elementsOfRule,
  ownElements,
  pathOnDisk,
  FOREIGN_STATES,
  createShortSelectors,
  firstPage,
  groundOf,
  inheritedProperties,
  isElsewhere,
  isHiddenPath,
  isZip,
  markSelector,
  LIMITS,
  navigationOf,
  opensByPointing,
  presentationalHints,
  pseudoElementsOf,
  stagedMarks,
  breakpointsOf,
  readForeignPage,
  stagedPage,
  streamZip,
  tellStates,
  textOfBytes,
  titleOf,
  unpackZip,
  usedFiles,
  valueTrail,
  type AppliedChange,
  type ChangedPage,
  type ColourPlace,
  type ForeignPage,
  type ForeignState,
  type NavigationLine,
  type PageBreakpoint,
  type PageFiles,
  type PageWish,
  type StagedPage,
  type ToldProperty,
  type ToldValue,
  type TrailStep,
} from '@hamaca/core';
import type { ElementMarks } from '../stage/frame/protocol.ts';

type PageElement = ForeignPage['elements'][number];

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
  /** Makes changes of the page, all of them anew. */
  | { readonly kind: 'change'; readonly changes: readonly PageWish[]; readonly inPlace: boolean }
  /** The whole page as it is with its changes, as a zip with the report. */
  | { readonly kind: 'pack' }
  /** Where the page says a colour. */
  | { readonly kind: 'colour'; readonly colour: string }
  /** What is said of an element, or of one of its pseudo-elements, in every state, in a window so wide (px). */
  | { readonly kind: 'look'; readonly at: number; readonly pseudo: string | null; readonly width: number }
  /** The custom properties that a value names, each with where it is written. */
  | {
      readonly kind: 'trail';
      readonly at: number;
      readonly pseudo: string | null;
      readonly width: number;
      readonly state: ForeignState;
      readonly longhand: string;
    }
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
  readonly breakpoints: readonly PageBreakpoint[];
  /** Paths of the files that belong to it, the page first. */
  readonly used: readonly string[];
  /** The files that belong to it, where they came in an archive; null where they came by themselves. */
  readonly unpacked: readonly PathBytes[] | null;
  /** What could not be read or is not there, in words. */
  readonly notes: readonly string[];
}

/** A file that is another one than before. */
export interface ChangedFile {
  readonly path: string;
  /** Null for a new one. */
  readonly before: string | null;
  readonly after: string;
}

/** A page with its changes. */
export interface ChangedView {
  readonly staged: StagedPage;
  readonly lines: readonly NavigationLine[];
  readonly applied: readonly AppliedChange[];
  readonly files: readonly ChangedFile[];
  /** The script that was added; nothing where there is none. */
  readonly script: string;
}

/** What applies to an element: said of it, or of one around it, from where it is inherited. */
export interface AppliedProperty extends ToldProperty {
  /** A selector of the element it is inherited from; null where it is said of this one. */
  readonly from: string | null;
}

/** What applies to an element, state by state in the order of `FOREIGN_STATES`. */
export interface ElementLook {
  readonly at: number;
  /** Null for the element itself. */
  readonly pseudo: string | null;
  /** Of the element, with the pseudo-element. */
  readonly selector: string;
  readonly states: readonly (readonly AppliedProperty[])[];
  /** What the page says by attributes of the element that browsers draw by, such as `width` and `bgcolor`. */
  readonly attributes: readonly { readonly text: string; readonly properties: RegExp }[];
  /** Pseudo-elements of it that rules style. */
  readonly pseudos: readonly string[];
  /** How its states are shown that the page marks in its markup. */
  readonly marks: ElementMarks;
}

export interface ForeignAnswers {
  readonly open: OpenedPage;
  readonly change: ChangedView;
  readonly pack: Uint8Array<ArrayBuffer>;
  readonly colour: readonly ColourPlace[];
  readonly look: ElementLook;
  readonly trail: readonly TrailStep[];
  readonly reach: readonly number[];
}

/** An answer to the request of the same number, or why there is none. */
export type ForeignAnswer =
  | { readonly id: number; readonly value: ForeignAnswers[keyof ForeignAnswers] }
  | { readonly id: number; readonly failure: string }
  /** Not the answer yet: so many changes are made. */
  | { readonly id: number; readonly made: number };

/** The page as it came. */
let original: {
  readonly files: PageFiles;
  readonly path: string;
  readonly html: string;
  readonly bytes: ReadonlyMap<string, Uint8Array>;
} | null = null;
let changedPage: ChangedPage = { files: new Map(), applied: [] };
/** Whether a file came along. */
let has: (path: string) => boolean = () => false;
/** The page as it is now. */
let page: ForeignPage | null = null;
let selectorOf: ReturnType<typeof createShortSelectors> | null = null;

function setPage(now: ForeignPage): ForeignPage {
  page = now;
  selectorOf = createShortSelectors(ownElements(now));
  return now;
}

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
  const page = setPage(readForeignPage(source, path, html));
  original = { files: source, path, html, bytes: files };
  const fits = (at: string) => (files.get(at)?.byteLength ?? Infinity) <= LIMITS.pageFile;
  has = fits;
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
    breakpoints: breakpointsOf(page),
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

function change(
  { changes, inPlace }: Extract<ForeignRequest, { kind: 'change' }>,
  onProgress: (made: number) => void,
): ChangedView {
  if (!original) throw new Error('No page was read.');
  const { files, path, html } = original;
  changedPage = applyChanges(files, path, html, changes, inPlace, onProgress);
  const { files: changed, applied } = changedPage;
  const now: PageFiles = { ...files, text: (at) => changed.get(at) ?? files.text(at) };
  const text = changed.get(path) ?? html;
  const made = setPage(readForeignPage(now, path, text));
  return {
    staged: stagedPage(now, path, text, (at) => changed.has(at) || has(at)),
    lines: navigationOf(made),
    applied,
    files: [...changed].map(([at, after]) => ({
      path: at,
      before: at === path ? html : files.text(at),
      after,
    })),
    script: changed.get(ADDED_SCRIPT) ?? '',
  };
}

function pack(): Uint8Array<ArrayBuffer> {
  if (!original) throw new Error('No page was read.');
  const { bytes } = original;
  const { files: changed, applied } = changedPage;
  const packed = new Map<string, Uint8Array>();
  // The page goes on naming those of other hosts by their addresses.
  for (const [path, content] of bytes) if (!isElsewhere(path)) packed.set(pathOnDisk(path), content);
  for (const [path, text] of changed)
    packed.set(pathOnDisk(path), bytesOfText(text, bytes.get(path) ?? null));
  const report = {
    changed: applied.flatMap((change) => change.changed),
    sideEffects: applied.flatMap((change) => change.sideEffects),
    obstacles: applied.flatMap((change) => change.obstacles),
  };
  packed.set('report.json', new TextEncoder().encode(`${JSON.stringify(report, null, 2)}\n`));
  const pieces: Uint8Array<ArrayBuffer>[] = [];
  streamZip(packed, (piece) => {
    pieces.push(new Uint8Array(piece));
  });
  const whole = new Uint8Array(pieces.reduce((sum, piece) => sum + piece.byteLength, 0));
  let at = 0;
  for (const piece of pieces) {
    whole.set(piece, at);
    at += piece.byteLength;
  }
  return whole;
}

function elementAt(at: number): { readonly page: ForeignPage; readonly element: PageElement } {
  const element = page ? ownElements(page)[at] : undefined;
  if (!page || !element) throw new Error('The element is not there any more.');
  return { page, element };
}

function look({ at, pseudo, width }: Extract<ForeignRequest, { kind: 'look' }>): ElementLook {
  const { page, element } = elementAt(at);
  const viewport = { width, height: null };
  const selector = (one: PageElement) => selectorOf?.(one) ?? one.name;
  const own = tellStates(page, element, pseudo, FOREIGN_STATES, viewport);
  return {
    at,
    pseudo,
    selector: `${selector(element)}${pseudo === null ? '' : `::${pseudo}`}`,
    states: FOREIGN_STATES.map((state, index) => [
      ...(own[index] ?? []).map((told) => ({ ...told, from: null })),
      ...inheritedProperties(page, element, state, viewport, pseudo).map(({ from, ...told }) => ({
        ...told,
        from: selector(from),
      })),
    ]),
    attributes: pseudo === null ? presentationalHints(element) : [],
    pseudos: pseudoElementsOf(page, element),
    marks: {
      current: stagedMarks(page, at, 'current'),
      open: stagedMarks(page, at, 'open'),
      opensByPointing: opensByPointing(page).value,
      isOpenMarked: markSelector(page, element, 'open') !== null,
    },
  };
}

function trail({
  at,
  pseudo,
  width,
  state,
  longhand,
}: Extract<ForeignRequest, { kind: 'trail' }>): readonly TrailStep[] {
  const { page, element } = elementAt(at);
  return valueTrail(page, element, longhand, state, { width, height: null }, pseudo);
}

function answer(
  request: ForeignRequest,
  onProgress: (made: number) => void,
): ForeignAnswers[keyof ForeignAnswers] {
  switch (request.kind) {
    case 'open':
      return open(request);
    case 'change':
      return change(request, onProgress);
    case 'pack':
      return pack();
    case 'colour':
      return page ? colourPlaces(page, request.colour) : [];
    case 'look':
      return look(request);
    case 'trail':
      return trail(request);
    case 'reach':
      return page ? elementsOfRule(page, request.value) : [];
  }
}

self.addEventListener('message', ({ data }: MessageEvent<ForeignRequest & { readonly id: number }>) => {
  let told: ForeignAnswer;
  try {
    const onProgress = (made: number) => {
      self.postMessage({ id: data.id, made } satisfies ForeignAnswer);
    };
    told = { id: data.id, value: answer(data, onProgress) };
  } catch (error) {
    told = { id: data.id, failure: (error as Error).message };
  }
  self.postMessage(told);
});
