/** One text as it came, with the lines in it. */
export interface Source {
  /** The path of the file within the page. */
  readonly file: string;
  readonly text: string;
  /** Where each line begins, in UTF-16 code units. */
  readonly lines: readonly number[];
}

/** Where something stands: lines and columns count from 1, `start` and `end` are offsets in the text of the file. */
export interface Place {
  readonly file: string;
  readonly line: number;
  readonly column: number;
  readonly start: number;
  readonly end: number;
}

/** A text as a source. */
export function createSource(file: string, text: string): Source {
  const lines = [0];
  for (let at = text.indexOf('\n'); at !== -1; at = text.indexOf('\n', at + 1)) lines.push(at + 1);
  return { file, text, lines };
}

/** The number of the line that an offset lies in, from 0. */
function lineAt(lines: readonly number[], offset: number): number {
  let [low, high] = [0, lines.length - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if ((lines[middle] ?? 0) <= offset) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** The place of a stretch of a source. */
export function placeIn(source: Source, start: number, end: number): Place {
  const line = lineAt(source.lines, start);
  return { file: source.file, line: line + 1, column: start - (source.lines[line] ?? 0) + 1, start, end };
}
