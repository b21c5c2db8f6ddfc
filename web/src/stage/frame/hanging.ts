import type { ElementEntry } from '@hamaca/core';
import type { Box, FromFrame } from './protocol.ts';

const isSame = (a: readonly Box[], b: readonly Box[]) =>
  a.length === b.length &&
  a.every(
    (box, index) =>
      box.left === b[index]?.left &&
      box.right === b[index].right &&
      box.top === b[index].top &&
      box.bottom === b[index].bottom,
  );

/**
 * Tells the boxes of all submenus that stand open, whenever these change: by what is revealed, by the pointer, or by the
 * output's own script. Answers how to look now.
 */
export function listenToHanging(
  holder: HTMLElement,
  entries: () => readonly ElementEntry[],
  tell: (message: FromFrame) => void,
): () => void {
  let told: readonly Box[] = [];
  let isAsked = false;

  const look = () => {
    isAsked = false;
    const boxes = entries()
      .filter((entry) => entry.slot === 'submenu')
      .flatMap(({ selector }) => [...holder.querySelectorAll(selector)])
      // What is always open stands in the page as anything else does.
      .filter(
        (element) =>
          element.checkVisibility({ visibilityProperty: true }) &&
          getComputedStyle(element).position === 'absolute',
      )
      .map((element): Box => {
        const { left, right, top, bottom } = element.getBoundingClientRect();
        return { left, right, top, bottom };
      })
      .filter((box) => box.right > box.left && box.bottom > box.top);
    if (isSame(boxes, told)) return;
    told = boxes;
    tell({ type: 'hanging', boxes });
  };
  const ask = () => {
    if (isAsked) return;
    isAsked = true;
    requestAnimationFrame(look);
  };
  new MutationObserver(ask).observe(holder, { subtree: true, childList: true, attributes: true });
  for (const type of [
    'pointerover',
    'pointerout',
    'focusin',
    'focusout',
    'transitionend',
    'scroll',
    'resize',
  ])
    window.addEventListener(type, ask, { passive: true });
  return ask;
}
