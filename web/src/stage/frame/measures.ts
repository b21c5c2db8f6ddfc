import type { ElementEntry } from '@hamaca/core';
import { boxesOf } from './boxes.ts';
import type { FromFrame } from './protocol.ts';

/** What only holds other things: it may be wider than all of them. */
const HOLDERS = new Set(['NAV', 'UL', 'LI', 'FORM', 'DETAILS', 'DIALOG']);

/** Whether an element takes room of its own here: what lies open over the page does not. */
const counts = (element: Element): boolean =>
  !HOLDERS.has(element.tagName) &&
  !element.closest('li > ul, dialog') &&
  element.checkVisibility({ visibilityProperty: true });

/**
 * Tells where everything stands as long as that is asked for, whenever it may have changed. Answers how to turn it on and
 * off, and how to look now: a stylesheet that changes is no change of the document.
 */
export function listenToMeasures(
  holder: HTMLElement,
  entries: () => readonly ElementEntry[],
  tell: (message: FromFrame) => void,
): { readonly turn: (on: boolean) => void; readonly look: () => void } {
  let isOn = false;
  let isAsked = false;
  const look = () => {
    isAsked = false;
    if (isOn) tell({ type: 'measures', boxes: boxesOf(holder, entries(), counts) });
  };
  const ask = () => {
    if (!isOn || isAsked) return;
    isAsked = true;
    requestAnimationFrame(look);
  };
  // Watched only while somebody asks: the page changes with every edit.
  const observer = new MutationObserver(ask);
  for (const type of ['scroll', 'resize', 'transitionend']) window.addEventListener(type, ask);
  document.fonts.addEventListener('loadingdone', ask);
  const turn = (on: boolean) => {
    isOn = on;
    observer.disconnect();
    if (on)
      observer.observe(document.documentElement, {
        subtree: true,
        childList: true,
        attributes: true,
        characterData: true,
      });
    ask();
  };
  return { turn, look: ask };
}
