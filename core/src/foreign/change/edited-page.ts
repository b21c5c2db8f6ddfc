import type { Element } from 'domhandler';
import { memoise } from '../../base/memo.ts';
import type { ForeignPage, PageFiles } from '../page.ts';
import { readForeignPage } from '../page.ts';
import type { Declaration } from '../sheet/rules.ts';
import type { Place } from '../source.ts';

/** Another text for a stretch of a file. */
export interface TextEdit {
  readonly place: Place;
  readonly text: string;
}

/** A page as it would be: the files that change, by path. */
export type ChangedFiles = ReadonlyMap<string, string>;

/**
 * The edit of one declaration's value: what surrounds it stays as it was written. Null where the value stands there in another way,
 * with entities say.
 */
export function valueEdit(
  page: ForeignPage,
  { place, property, value }: Declaration,
  text: string,
): TextEdit | null {
  const source = page.sheets.find(({ file }) => file === place.file);
  const at = source?.text.slice(place.start, place.end).indexOf(value, property.length) ?? -1;
  if (at === -1) return null;
  const start = place.start + at;
  return { place: { ...place, start, end: start + value.length }, text };
}

/** Makes edits of files; every character that none of them touches stays. A stylesheet that comes twice is edited once. */
export function editFiles(page: ForeignPage, edits: readonly TextEdit[]): ChangedFiles {
  const texts = new Map(page.sheets.map(({ file, text }) => [file, text]));
  const changed = new Map<string, string>();
  const single = new Map(edits.map((edit) => [`${edit.place.file} ${edit.place.start}`, edit]));
  const backwards = [...single.values()].sort((a, b) => b.place.start - a.place.start);
  for (const { place, text } of backwards) {
    const before = changed.get(place.file) ?? texts.get(place.file) ?? '';
    changed.set(place.file, before.slice(0, place.start) + text + before.slice(place.end));
  }
  return changed;
}

/** The name of an added stylesheet, beside the page's own files. */
export const ADDED = 'added.css';

/** The name of an added script, beside the page's own files. */
export const ADDED_SCRIPT = 'added.js';

/** Whether an element brings what was added: the link to the stylesheet, or the script. */
export const bringsAdded = ({ name, attribs }: Element): boolean =>
  (name === 'link' && /(?:^|\/)added\.css$/.test(attribs['href'] ?? '')) ||
  (name === 'script' && /(?:^|\/)added\.js$/.test(attribs['src'] ?? ''));

/** The elements of a page without those that bring what was added, so that their places are the same before and after. */
export const ownElements = memoise(({ elements }: ForeignPage): readonly Element[] =>
  elements.filter((element) => !bringsAdded(element)),
);

/** The page with a link to the added stylesheet, and to a script where there is one, after everything that brings styles. */
function withAdded(page: ForeignPage, hasSheet: boolean, hasScript: boolean): string {
  const { text, file } = page.source;
  let at = 0;
  let line = 0;
  for (const { name, sourceCodeLocation: location } of page.elements) {
    if ((name !== 'style' && name !== 'link') || !location || location.endOffset <= at) continue;
    at = location.endOffset;
    line = location.startOffset;
  }
  if (at === 0) {
    const head = page.elements.find(({ name }) => name === 'head')?.sourceCodeLocation;
    const end = head && 'endTag' in head ? (head.endTag as { startOffset?: number } | undefined) : undefined;
    const doctype = /^\s*<!doctype[^>]*>/i.exec(text)?.[0].length ?? 0;
    at = end?.startOffset ?? doctype;
  }
  const way = '../'.repeat(file.split('/').length - 1);
  const lines = [
    ...(hasSheet ? [`<link rel="stylesheet" href="${way}${ADDED}">`] : []),
    ...(hasScript ? [`<script src="${way}${ADDED_SCRIPT}" defer></script>`] : []),
  ];
  const indent = /\n([ \t]*)[^\n]*$/.exec(text.slice(0, line))?.[1] ?? '';
  const lead = at > 0 ? `\n${indent}` : '';
  return text.slice(0, at) + lead + lines.join(`\n${indent}`) + text.slice(at);
}

/**
 * What changes where a stylesheet, and a script, are added to a page: those, and the page that links to them. What was added before
 * stays, and comes first.
 */
export function addingSheet(
  page: ForeignPage,
  css: string,
  script: string | null = null,
  scriptBefore: string | null = null,
): ChangedFiles {
  const before = page.sheets.find(({ file }) => file === ADDED)?.text ?? '';
  const isLinked = page.elements.some((element) => element.name === 'link' && bringsAdded(element));
  return new Map([
    ...(isLinked && script === null
      ? []
      : ([[page.source.file, withAdded(page, !isLinked, script !== null)]] as const)),
    [ADDED, before + css],
    ...(script === null ? [] : ([[ADDED_SCRIPT, (scriptBefore ?? '') + script]] as const)),
  ]);
}

/** Reads a page anew with some of its files as they would be. */
export function rereadPage(page: ForeignPage, files: PageFiles, changed: ChangedFiles): ForeignPage {
  const { file, text } = page.source;
  return readForeignPage(
    { ...files, text: (path) => changed.get(path) ?? files.text(path) },
    file,
    changed.get(file) ?? text,
  );
}
