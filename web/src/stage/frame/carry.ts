import type { ElementEntry } from '@hamaca/core';
import type { FromFrame, StageBox } from './protocol.ts';

/** Pixels the pointer goes before a press becomes a carry. */
const STILL = 6;

interface Carry {
  readonly owner: string;
  readonly x: number;
  readonly y: number;
  moving: boolean;
}

/** Lets parts be carried over the stage: tells where the pointer is and where everything stands. */
export function listenToCarrying(
  holder: HTMLElement,
  entries: () => readonly ElementEntry[],
  tell: (message: FromFrame) => void,
): void {
  let carry: Carry | null = null;
  let clickToSwallow = false;

  const ownerOf = (target: Element): string | null => {
    for (let at: Element | null = target; at && at !== holder; at = at.parentElement) {
      const element = at;
      const found = entries().find((entry) => element.matches(entry.selector));
      if (found) return found.owner;
    }
    return null;
  };

  /** The box around everything of an owner that is seen. */
  const boxes = (): StageBox[] => {
    const byOwner = new Map<string, StageBox>();
    for (const { owner, selector } of entries()) {
      for (const element of holder.querySelectorAll(selector)) {
        const { left, right, top, bottom } = element.getBoundingClientRect();
        if (right <= left) continue;
        const before = byOwner.get(owner);
        byOwner.set(
          owner,
          before
            ? {
                owner,
                left: Math.min(before.left, left),
                right: Math.max(before.right, right),
                top: Math.min(before.top, top),
                bottom: Math.max(before.bottom, bottom),
              }
            : { owner, left, right, top, bottom },
        );
      }
    }
    return [...byOwner.values()];
  };

  const say = (phase: 'move' | 'end' | 'cancel', event: { clientX: number; clientY: number }) => {
    if (carry)
      tell({ type: 'carry', phase, owner: carry.owner, x: event.clientX, y: event.clientY, boxes: boxes() });
  };

  document.addEventListener('pointerdown', (event) => {
    clickToSwallow = false;
    const owner = event.button === 0 && event.target instanceof Element ? ownerOf(event.target) : null;
    carry = owner === null ? null : { owner, x: event.clientX, y: event.clientY, moving: false };
  });
  document.addEventListener('pointermove', (event) => {
    if (!carry) return;
    if (!carry.moving && Math.hypot(event.clientX - carry.x, event.clientY - carry.y) < STILL) return;
    if (!carry.moving) document.documentElement.style.cursor = 'grabbing';
    carry.moving = true;
    say('move', event);
  });
  const finish = (phase: 'end' | 'cancel', event: { clientX: number; clientY: number }) => {
    if (carry?.moving) {
      say(phase, event);
      clickToSwallow = true;
    }
    document.documentElement.style.cursor = '';
    carry = null;
  };
  document.addEventListener('pointerup', (event) => {
    finish('end', event);
  });
  document.addEventListener('pointercancel', (event) => {
    finish('cancel', event);
  });
  document.addEventListener('keydown', (event) => {
    if (event.key === 'Escape' && carry) finish('cancel', { clientX: 0, clientY: 0 });
  });
  // What was carried was not clicked; links and pictures are not dragged by the browser either.
  document.addEventListener(
    'click',
    (event) => {
      if (!clickToSwallow) return;
      clickToSwallow = false;
      event.stopImmediatePropagation();
      event.preventDefault();
    },
    true,
  );
  document.addEventListener('dragstart', (event) => {
    event.preventDefault();
  });
}
