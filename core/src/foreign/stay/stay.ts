import type { Element } from 'domhandler';
import { fail, succeed, type Result } from '../../base/result.ts';
import { joinBehaviours, type BehaviourId } from '../../kinds/behaviours/behaviours.ts';
import { ADDED_SCRIPT, addingSheet, rereadPage } from '../change/edited-page.ts';
import type { PageChange } from '../change/page-change.ts';
import { PROVED_WIDTHS } from '../change/prove.ts';
import { createShortSelectors } from '../element-selector.ts';
import { findElements, type NotFound } from '../find-elements.ts';
import type { ForeignPage, PageFiles } from '../page.ts';
import { readDeclarations } from '../sheet/read-declarations.ts';
import { createSource } from '../source.ts';
import { isElement, lineage } from '../tree.ts';
import { isTaken } from '../values/is-taken.ts';
import { BoxReader } from './box-reader.ts';
import type { Obstacle, ObstacleKind, StayView } from './obstacle.ts';
import { OBSTACLES } from './obstacles/obstacles.ts';
import { printStay, STRENGTH_LEVELS } from './print-stay.ts';
import { proveStay } from './prove-stay.ts';
import { findStaying, type Staying } from './short-box.ts';
import {
  PREFIX,
  stayRules,
  type Coming,
  type Sticking,
  type StayRule,
  type StayWidths,
  type WhileScrolled,
} from './stay-rules.ts';

export interface StayOptions {
  /** A selector of the header; of several elements the first is meant. */
  readonly at: string;
  readonly sticking: Sticking;
  readonly coming: Coming;
  readonly widths: StayWidths;
  /** Declarations for the header while the page is scrolled; null for none. */
  readonly scrolled: string | null;
  /** Declarations for its logo while the page is scrolled; null for none. */
  readonly scrolledLogo: string | null;
  /** Px it is high, where that is known; null lets the page's rules say it. */
  readonly height: number | null;
  /** Whether it hangs in the window at any rate, instead of staying within the page's flow. */
  readonly hangs: boolean;
  /** Which way out is taken, by obstacle; without one, the best. */
  readonly ways: Readonly<Partial<Record<ObstacleKind, string>>>;
}

export type StayRefusal = NotFound | 'no declaration' | 'no logo' | 'no width';

/** A way out, and whether it is taken. */
export interface ToldWay {
  readonly id: string;
  readonly text: string;
  readonly taken: boolean;
}

/** Something that prevents a header from staying, with what says it. */
export interface ToldObstacle {
  readonly kind: ObstacleKind;
  readonly element: string;
  readonly text: string;
  /** Where it is said; null where it is how the page is built. */
  readonly file: string | null;
  readonly line: number | null;
  readonly column: number | null;
  readonly ways: readonly ToldWay[];
}

/** A page whose header stays: the change, the script it needs, and what prevented it. */
export interface StayChange extends PageChange {
  readonly script: string | null;
  readonly obstacles: readonly ToldObstacle[];
}

/** Rounds of making rules count more. */
const MOST_ROUNDS = 24;

function declarationsOf(page: ForeignPage, text: string | null) {
  if (text === null) return [];
  return readDeclarations(createSource(page.source.file, text), text, 0).filter(
    ({ property, value }) => isTaken(property, value) === true,
  );
}

/** The picture that a header bears as its logo: the first in a link, else the first. */
function logoOf(header: Element): Element | null {
  const pictures: Element[] = [];
  const waiting = [header];
  for (let element = waiting.shift(); element; element = waiting.shift()) {
    if (element.name === 'img' || element.name === 'svg' || element.name === 'picture')
      pictures.push(element);
    else waiting.unshift(...element.children.filter(isElement));
  }
  const inLink = pictures.find((picture) => [...lineage(picture)].some(({ name }) => name === 'a'));
  const found = inLink ?? pictures[0] ?? null;
  return found?.name === 'picture' ? (found.children.filter(isElement).at(-1) ?? null) : found;
}

const holds = ({ from, below }: StayWidths, width: number) =>
  width >= (from ?? 0) && width < (below ?? Infinity);

const FILLS = /^background(?:-color|-image)?$/;

/** What is looked at: what stays, and how the page stands around it. */
function viewOf(
  page: ForeignPage,
  header: Element,
  {
    staying,
    options,
    reader,
    selectorOf,
  }: {
    readonly staying: Staying;
    readonly options: StayOptions;
    readonly reader: BoxReader;
    readonly selectorOf: (element: Element) => string;
  },
): StayView {
  const position = reader.value(staying.target, 'position');
  const wasOver = /^(?:absolute|fixed)$/.test(position);
  return {
    page,
    header,
    target: staying.target,
    within: staying.within,
    isFixed: staying.isFixed || wasOver,
    wasOver,
    needsScroll:
      options.sticking.kind !== 'on top' || options.scrolled !== null || options.scrolledLogo !== null,
    comesLater: options.sticking.kind === 'appears',
    fillsItself: declarationsOf(page, options.scrolled).some(({ property }) => FILLS.test(property)),
    height: options.height ?? reader.heightOf(staying.target),
    reader,
    selectorOf,
  };
}

function tellObstacle(obstacle: Obstacle, view: StayView, taken: string | null): ToldObstacle {
  const place = obstacle.said?.candidate.declaration.place;
  return {
    kind: obstacle.kind,
    element: view.selectorOf(obstacle.element),
    text: `${obstacle.text}${obstacle.said?.candidate.certain === false ? ' (where its conditions hold)' : ''}.`,
    file: place?.file ?? null,
    line: place?.line ?? null,
    column: place?.column ?? null,
    ways: obstacle.ways.map(({ id, text }) => ({ id, text, taken: id === taken })),
  };
}

const BEHAVIOUR_OF = { down: 'hides', past: 'appears', scrolled: 'scrolled' } as const;

/** The script that tells the stylesheet how the page is scrolled; null where no rule asks. */
function scriptFor(rules: readonly StayRule[], roots: string): string | null {
  const needed = new Set<BehaviourId>();
  for (const { when } of rules) if (when !== null) needed.add(BEHAVIOUR_OF[when]);
  return needed.size === 0 ? null : joinBehaviours(PREFIX, roots, needed, 'script');
}

/** Makes a header of a page stay in the window, finds what prevents it, and proves what that changes. */
export function stay(
  page: ForeignPage,
  files: PageFiles,
  options: StayOptions,
): Result<StayChange, StayRefusal> {
  const found = findElements(page, options.at);
  if (!found.ok) return found;
  const [header] = found.value.elements;
  if (!header || found.value.pseudo !== null) return fail('no element');
  const width = PROVED_WIDTHS.findLast((one) => holds(options.widths, one));
  if (width === undefined && (options.widths.from ?? 0) >= (options.widths.below ?? Infinity))
    return fail('no width');
  const reader = new BoxReader(page, width ?? options.widths.from ?? PROVED_WIDTHS[0]);
  const shortest = createShortSelectors(page.elements);
  const isExact = found.value.elements.length === 1 && !options.at.includes(',');
  const selectorOf = (element: Element) =>
    element === header && isExact ? options.at.trim() : shortest(element);
  const whileScrolled = scrolledOf(page, header, options);
  if (!whileScrolled.ok) return whileScrolled;

  const isOver = /^(?:absolute|fixed)$/.test(reader.value(header, 'position'));
  const staying: Staying =
    options.hangs || isOver
      ? { target: header, within: null, isFixed: true, obstacles: [] }
      : findStaying(header, reader, selectorOf, options.ways['short box'] ?? null);
  const view = viewOf(page, header, { staying, options, reader, selectorOf });
  const obstacles = [...staying.obstacles, ...OBSTACLES.flatMap((find) => find(view))];
  const wayOf = ({ kind, ways }: Obstacle) =>
    ways.find(({ id }) => id === options.ways[kind]) ?? ways[0] ?? null;
  const wayRules = obstacles.flatMap((obstacle) => wayOf(obstacle)?.rules ?? []);
  const rules = stayRules(
    view,
    { sticking: options.sticking, coming: options.coming, scrolled: whileScrolled.value },
    wayRules,
  );
  const script = scriptFor(rules, selectorOf(view.target));
  const levels = rules.map(() => 0);
  for (let round = 0; ; round++) {
    const added = printStay(rules, levels, options.widths);
    const changedFiles = addingSheet(page, added, script, files.text(ADDED_SCRIPT));
    const filesThen: PageFiles = { ...files, text: (path) => changedFiles.get(path) ?? files.text(path) };
    const proof = proveStay(
      page,
      rereadPage(page, files, changedFiles),
      { was: files, is: filesThen },
      rules,
      view.target,
      (at) => holds(options.widths, at),
    );
    const raised = proof.losing.filter((at) => (levels[at] ?? 0) < STRENGTH_LEVELS - 1);
    if (raised.length === 0 || round === MOST_ROUNDS)
      return succeed({
        files: changedFiles,
        added,
        script,
        obstacles: obstacles.map((obstacle) => tellObstacle(obstacle, view, wayOf(obstacle)?.id ?? null)),
        changed: proof.changed,
        sideEffects: proof.sideEffects,
      });
    for (const at of raised) levels[at] = (levels[at] ?? 0) + 1;
  }
}

/** What is said while the page is scrolled; a refusal where there is nothing, or no logo. */
function scrolledOf(
  page: ForeignPage,
  header: Element,
  { scrolled, scrolledLogo }: StayOptions,
): Result<readonly WhileScrolled[], StayRefusal> {
  const said: WhileScrolled[] = [];
  const logo = logoOf(header);
  for (const [element, text] of [
    [header, scrolled],
    [logo, scrolledLogo],
  ] as const) {
    if (text === null) continue;
    if (!element) return fail('no logo');
    const declarations = declarationsOf(page, text);
    if (declarations.length === 0) return fail('no declaration');
    said.push({
      element,
      declarations: declarations.map(({ property, value, important }) => ({ property, value, important })),
    });
  }
  return succeed(said);
}
