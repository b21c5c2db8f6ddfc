import type { ElementEntry } from '@hamaca/core';
import type { FromFrame, StageBox } from './protocol.ts';

/** What only holds other things: it may be wider than all of them. */
const HOLDERS = new Set(['NAV', 'UL', 'LI', 'FORM', 'DETAILS', 'DIALOG']);

/** The box around two boxes of one owner. */
const around = (one: StageBox, other: StageBox): StageBox => ({
  owner: one.owner,
  left: Math.min(one.left, other.left),
  right: Math.max(one.right, other.right),
  top: Math.min(one.top, other.top),
  bottom: Math.max(one.bottom, other.bottom),
});

/** Whether an element takes room of its own here: what lies open over the page does not. */
const counts = (element: Element): boolean =>
  !HOLDERS.has(element.tagName) &&
  !element.closest('li > ul, dialog') &&
  element.checkVisibility({ visibilityProperty: true });

/** The room that what is seen of each owner takes, in px of the page. */
function boxesOf(holder: HTMLElement, entries: readonly ElementEntry[]): StageBox[] {
  const byOwner = new Map<string, StageBox>();
  for (const { owner, selector } of entries)
    for (const element of holder.querySelectorAll(selector)) {
      if (!counts(element)) continue;
      const { left, right, top, bottom } = element.getBoundingClientRect();
      if (right <= left) continue;
      const own = { owner, left, right, top, bottom };
      const before = byOwner.get(owner);
      byOwner.set(owner, before ? around(before, own) : own);
    }
  return [...byOwner.values()];
}

/** Tells where everything stands as long as that is asked for, whenever it may have changed. Answers how to ask. */
export function listenToMeasures(
  holder: HTMLElement,
  entries: () => readonly ElementEntry[],
  tell: (message: FromFrame) => void,
): (on: boolean) => void {
  let isOn = false;
  let isAsked = false;
  const look = () => {
    isAsked = false;
    if (isOn) tell({ type: 'measures', boxes: boxesOf(holder, entries()) });
  };
  const ask = () => {
    if (!isOn || isAsked) return;
    isAsked = true;
    requestAnimationFrame(look);
  };
  new MutationObserver(ask).observe(document.documentElement, {
    subtree: true,
    childList: true,
    attributes: true,
    characterData: true,
  });
  for (const type of ['scroll', 'resize', 'transitionend']) window.addEventListener(type, ask);
  document.fonts.addEventListener('loadingdone', ask);
  return (on) => {
    isOn = on;
    ask();
  };
}
