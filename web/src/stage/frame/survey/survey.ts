import type { ElementEntry, Sight } from '@hamaca/core';
import { look, type Seen } from './look.ts';

/** Most things opened on one page: a menu may have thousands. */
const MOST_OPENED = 80;

/** Longest words told of a thing. */
const MOST_WORDS = 60;

/** What opens something: a submenu, a fold, a search, a panel. */
const OPENERS = '[aria-expanded=false], [commandfor]:not([command=close])';

/** What a button opens. */
const boxOf = (button: Element) =>
  document.getElementById(button.getAttribute('aria-controls') ?? button.getAttribute('commandfor') ?? '');

/** Words of an element: what it says, or the name it has. */
export function wordsOf(element: Element): string {
  const named = element.closest('[aria-label]');
  const words = (element.textContent ?? '').trim() || named?.getAttribute('aria-label') || '';
  return words.replace(/\s+/g, ' ').slice(0, MOST_WORDS);
}

/** Everything that is on its way arrives. */
function arrive(): void {
  for (const animation of document.getAnimations())
    if (animation.effect?.getComputedTiming().endTime !== Infinity) animation.finish();
}

/** One state of a page: what is looked at in it, and what was opened for it. */
export interface Opened {
  readonly scope: Element;
  readonly opened: readonly string[];
}

/** Whether a box lies over what is around it, so that it is looked at by itself. */
const liesOver = (box: Element) => ['absolute', 'fixed'].includes(getComputedStyle(box).position);

/**
 * Goes through a page: as it stands, then with each thing open that opens, and each within those. The page is as it was
 * afterwards.
 */
export function* states(holder: Element): Generator<Opened> {
  let left = MOST_OPENED;
  function* within({ scope, opened }: Opened, newlyOpen: Element): Generator<Opened> {
    yield { scope, opened };
    const openers = [...newlyOpen.querySelectorAll<HTMLElement>(OPENERS)];
    for (const opener of openers) {
      const box = boxOf(opener);
      if (left === 0 || !box || !opener.checkVisibility({ visibilityProperty: true })) continue;
      if (box.checkVisibility()) continue;
      left--;
      opener.click();
      arrive();
      const words = wordsOf(opener) || wordsOf(opener.parentElement ?? opener);
      // What unfolds in place moves what is around it.
      const looked = { scope: liesOver(box) ? box : scope, opened: [...opened, words] };
      if (box.checkVisibility()) yield* within(looked, box);
      if (box instanceof HTMLDialogElement) box.close();
      else if (opener.getAttribute('aria-expanded') === 'true') opener.click();
      arrive();
    }
  }
  arrive();
  yield* within({ scope: holder, opened: [] }, holder);
}

/** What a page was found to be like at its width. */
export interface Surveyed {
  readonly sights: readonly Sight[];
  /** How many states of it were looked at. */
  readonly states: number;
}

/** Everything that may be wrong in a page at its width, in every state that can be opened. */
export function survey(holder: HTMLElement, entries: readonly ElementEntry[]): Surveyed {
  // The innermost slot an element belongs to.
  const homes = new Map<Element, ElementEntry>();
  for (const entry of entries)
    for (const element of holder.querySelectorAll(entry.selector)) homes.set(element, entry);
  const homeOf = (element: Element): ElementEntry | null => {
    for (let at: Element | null = element; at && at !== holder; at = at.parentElement) {
      const entry = homes.get(at);
      if (entry) return entry;
    }
    return null;
  };
  const told = (
    { element, other, kind, amount, paint, isOpened }: Seen,
    opened: readonly string[],
  ): Sight[] => {
    const home = homeOf(element);
    if (!home) return [];
    const { owner, slot, level } = home;
    const words = isOpened ? '' : wordsOf(element.closest('a, button') ?? element);
    const others = other ? wordsOf(other.closest('a, button') ?? other) : null;
    const sight = { owner, slot, level, kind, amount, words, other: others, width: innerWidth, opened };
    return [paint ? { ...sight, paint } : sight];
  };
  // Nothing of the page takes the focus while it is opened; a dialog over the page is not held by what is around it.
  const focusable = [holder, ...holder.querySelectorAll('dialog')];
  const keepInert = (inert: boolean) => {
    for (const element of focusable) element.inert = inert;
  };
  keepInert(true);
  const sights: Sight[] = [];
  let count = 0;
  for (const { scope, opened } of states(holder)) {
    count++;
    sights.push(...look(scope, holder).flatMap((seen) => told(seen, opened)));
  }
  keepInert(false);
  return { sights, states: count };
}
