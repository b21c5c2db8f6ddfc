import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine';
import {
  draggable,
  dropTargetForElements,
  monitorForElements,
} from '@atlaskit/pragmatic-drag-and-drop/element/adapter';
import type { ElementEntry } from '@hamaca/core';
import { boxesOf } from './boxes.ts';
import type { FromFrame } from './protocol.ts';

const OWNER = 'hamaca owner';

/** The innermost element around a target that stands for an owner. */
function carriedAt(holder: HTMLElement, entries: readonly ElementEntry[], target: EventTarget | null) {
  let at = target instanceof Element ? target : null;
  for (; at && at !== holder; at = at.parentElement) {
    const element = at;
    const entry = entries.find((one) => element.matches(one.selector));
    if (entry && element instanceof HTMLElement) return { element, owner: entry.owner };
  }
  return null;
}

/**
 * Lets parts be carried over the stage: tells where the pointer is and where everything stands. Nothing of the page is
 * marked as draggable but what is pressed, and only as long as it is.
 */
export function listenToCarrying(
  holder: HTMLElement,
  entries: () => readonly ElementEntry[],
  tell: (message: FromFrame) => void,
): void {
  let release: (() => void) | null = null;
  const letGo = () => {
    release?.();
    release = null;
  };

  document.addEventListener('pointerdown', (event) => {
    letGo();
    const carried = event.button === 0 ? carriedAt(holder, entries(), event.target) : null;
    if (!carried) return;
    const { element, owner } = carried;
    release = draggable({ element, getInitialData: () => ({ [OWNER]: owner }) });
  });
  document.addEventListener('pointerup', letGo);

  const say = (
    phase: 'move' | 'end' | 'cancel',
    owner: unknown,
    input: { readonly clientX: number; readonly clientY: number },
  ) => {
    const boxes = boxesOf(holder, entries());
    tell({ type: 'carry', phase, owner: String(owner), x: input.clientX, y: input.clientY, boxes });
  };
  combine(
    dropTargetForElements({ element: document.documentElement }),
    monitorForElements({
      canMonitor: ({ source }) => source.data[OWNER] !== undefined,
      onDrag: ({ source, location }) => {
        say('move', source.data[OWNER], location.current.input);
      },
      onDrop: ({ source, location }) => {
        // Escape, or letting go elsewhere than on the page, leaves everything as it was.
        const isDropped = location.current.dropTargets.length > 0;
        say(isDropped ? 'end' : 'cancel', source.data[OWNER], location.current.input);
        letGo();
      },
    }),
  );
}
