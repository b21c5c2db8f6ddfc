import type { Result } from '../../base/result.ts';
import { readForeignPage, type ForeignPage, type PageFiles } from '../page.ts';
import { OBSTACLE_KINDS, type ObstacleKind } from '../stay/obstacle.ts';
import { stay, type ToldObstacle } from '../stay/stay.ts';
import type { Coming, Sticking } from '../stay/stay-rules.ts';
import type { ChangedFiles } from './edited-page.ts';
import type { PageChange } from './page-change.ts';
import type { ForeignState } from '../cascade/situation.ts';
import type { ChangedValue } from './prove.ts';
import { recolour } from './recolour.ts';
import { restyle } from './restyle.ts';

/** A change of a page as it is kept: plain values alone, nothing left out. */
export type PageWish =
  | {
      readonly id: string;
      readonly at: string;
      readonly state: ForeignState;
      readonly set: string;
      /** Media queries within which alone it holds, one a line; nothing for every window. */
      readonly media: string;
    }
  | {
      readonly id: string;
      readonly from: string;
      readonly to: string;
      /** A selector; nothing for the whole page. */
      readonly within: string;
      /** Places of declarations, one a line; nothing for all. */
      readonly only: string;
    }
  | {
      readonly id: string;
      readonly at: string;
      readonly sticking: Sticking['kind'];
      readonly after: number;
      readonly coming: Coming;
      /** Px; 0 for every width. */
      readonly above: number;
      readonly below: number;
      readonly scrolled: string;
      readonly scrolledLogo: string;
      /** Px; 0 where it is not known. */
      readonly height: number;
      readonly hangs: boolean;
      /** Ways out that are not the best, as `obstacle: way`, one a line. */
      readonly ways: string;
    };

/** What a change did, or why it could not be made. */
export interface AppliedChange {
  readonly id: string;
  readonly refusal: string | null;
  readonly changed: readonly ChangedValue[];
  readonly sideEffects: readonly ChangedValue[];
  readonly obstacles: readonly ToldObstacle[];
}

/** A page with its changes made one after the other. */
export interface ChangedPage {
  /** The files that are others than before, by path. */
  readonly files: ChangedFiles;
  readonly applied: readonly AppliedChange[];
}

const orNull = <Value>(value: Value, nothing: Value): Value | null => (value === nothing ? null : value);

const linesOf = (text: string): readonly string[] => text.split('\n').filter((line) => line !== '');

/** A way out by its obstacle; nothing where a line says none. */
function readWay(line: string): readonly (readonly [ObstacleKind, string])[] {
  const [name = '', way = ''] = line.split(': ');
  const kind = OBSTACLE_KINDS.find((one) => one === name);
  return kind === undefined ? [] : [[kind, way]];
}

function make(
  page: ForeignPage,
  files: PageFiles,
  wish: PageWish,
  inPlace: boolean,
): Result<PageChange & { readonly obstacles?: readonly ToldObstacle[] }, string> {
  if ('set' in wish) return restyle(page, files, { ...wish, media: linesOf(wish.media), inPlace });
  if ('from' in wish) {
    const only = linesOf(wish.only);
    return recolour(page, files, {
      from: wish.from,
      to: wish.to,
      within: orNull(wish.within, ''),
      inPlace,
      ...(only.length > 0 ? { only: new Set(only) } : {}),
    });
  }
  const sticking: Sticking =
    wish.sticking === 'appears' ? { kind: 'appears', after: wish.after } : { kind: wish.sticking };
  return stay(page, files, {
    at: wish.at,
    sticking,
    coming: wish.coming,
    widths: { from: orNull(wish.above, 0), below: orNull(wish.below, 0) },
    scrolled: orNull(wish.scrolled, ''),
    scrolledLogo: orNull(wish.scrolledLogo, ''),
    height: orNull(wish.height, 0),
    hangs: wish.hangs,
    ways: Object.fromEntries(wish.ways.split('\n').flatMap((line) => readWay(line))),
  });
}

/**
 * Makes changes of a page one after the other, each on what the ones before made of it, in an added stylesheet or in the page's own. One
 * that cannot be made any more is told, and left out.
 */
export function applyChanges(
  files: PageFiles,
  path: string,
  html: string,
  wishes: readonly PageWish[],
  inPlace: boolean,
  onProgress: (made: number) => void = () => undefined,
): ChangedPage {
  const changed = new Map<string, string>();
  const now: PageFiles = { ...files, text: (at) => changed.get(at) ?? files.text(at) };
  const applied: AppliedChange[] = [];
  for (const [count, wish] of wishes.entries()) {
    onProgress(count);
    const page = readForeignPage(now, path, changed.get(path) ?? html);
    const made = make(page, now, wish, inPlace);
    if (!made.ok) {
      applied.push({ id: wish.id, refusal: made.error, changed: [], sideEffects: [], obstacles: [] });
      continue;
    }
    for (const [at, text] of made.value.files) changed.set(at, text);
    const { changed: values, sideEffects, obstacles = [] } = made.value;
    applied.push({ id: wish.id, refusal: null, changed: values, sideEffects, obstacles });
  }
  return { files: changed, applied };
}
