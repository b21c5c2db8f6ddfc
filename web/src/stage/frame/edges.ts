import type { ElementEntry } from '@hamaca/core';
import type { FromFrame } from './protocol.ts';

/** How near to an edge the pointer takes hold of it, in px. */
const NEAR = 6;

interface Edge {
  readonly dialog: HTMLDialogElement;
  readonly owner: string;
  readonly axis: 'inline' | 'block';
  /** How large the panel is for a place of the pointer, in px. */
  readonly sizeAt: (x: number, y: number) => number;
}

/** The edge of an open panel at a place, of those that do not lie at the window's. */
function edgeAt(holder: HTMLElement, entries: readonly ElementEntry[], x: number, y: number): Edge | null {
  const dialog = holder.querySelector<HTMLDialogElement>('dialog[open]');
  const owner = dialog && entries.find((entry) => dialog.matches(entry.selector))?.owner;
  if (!dialog || owner === undefined || owner === null) return null;
  const { left, right, top, bottom } = dialog.getBoundingClientRect();
  const width = document.documentElement.clientWidth;
  const isWithin = (at: number, from: number, to: number) => at > from - NEAR && at < to + NEAR;
  const found = (axis: Edge['axis'], sizeAt: Edge['sizeAt']): Edge => ({ dialog, owner, axis, sizeAt });
  const middle = { x: (left + right) / 2, y: (top + bottom) / 2 };
  const isFreeAcross = left > NEAR && right < width - NEAR;
  const isFreeAlong = top > NEAR && bottom < innerHeight - NEAR;
  if (isWithin(y, top, bottom)) {
    // In the middle of the window both sides move.
    const both = (at: number) => 2 * Math.abs(at - middle.x);
    if (Math.abs(x - left) < NEAR && left > NEAR)
      return found('inline', isFreeAcross ? both : (at) => right - at);
    if (Math.abs(x - right) < NEAR && right < width - NEAR)
      return found('inline', isFreeAcross ? both : (at) => at - left);
  }
  if (isWithin(x, left, right)) {
    const both = (at: number) => 2 * Math.abs(at - middle.y);
    if (Math.abs(y - top) < NEAR && top > NEAR)
      return found('block', isFreeAlong ? (_x, at) => both(at) : (_x, at) => bottom - at);
    if (Math.abs(y - bottom) < NEAR && bottom < innerHeight - NEAR)
      return found('block', isFreeAlong ? (_x, at) => both(at) : (_x, at) => at - top);
  }
  return null;
}

/** Lets the free edges of an open panel be dragged: tells how large it is to be, step by step, and when it is let go. */
export function listenToEdges(
  holder: HTMLElement,
  entries: () => readonly ElementEntry[],
  tell: (message: FromFrame) => void,
): void {
  let held: Edge | null = null;
  const say = (edge: Edge, phase: 'move' | 'end' | 'cancel', { clientX, clientY }: MouseEvent) => {
    const size = Math.max(40, Math.round(edge.sizeAt(clientX, clientY)));
    tell({ type: 'edge', phase, owner: edge.owner, axis: edge.axis, size });
  };
  const show = (edge: Edge | null) => {
    document.documentElement.style.cursor =
      edge === null ? '' : edge.axis === 'inline' ? 'ew-resize' : 'ns-resize';
  };
  const letGo = () => {
    held = null;
    show(null);
  };
  document.addEventListener(
    'pointermove',
    (event) => {
      if (held) say(held, 'move', event);
      else show(edgeAt(holder, entries(), event.clientX, event.clientY));
    },
    true,
  );
  document.addEventListener(
    'pointerdown',
    (event) => {
      const edge = event.button === 0 ? edgeAt(holder, entries(), event.clientX, event.clientY) : null;
      if (!edge) return;
      held = edge;
      event.preventDefault();
      event.stopPropagation();
      // What is let go beside the panel is no press on its scrim, for the browser neither.
      edge.dialog.setPointerCapture(event.pointerId);
      const closedBy = edge.dialog.getAttribute('closedby');
      edge.dialog.setAttribute('closedby', 'none');
      document.addEventListener(
        'click',
        (click) => {
          click.stopPropagation();
        },
        { capture: true, once: true },
      );
      document.addEventListener(
        'pointerup',
        (up) => {
          if (held) say(held, 'end', up);
          letGo();
          setTimeout(() => {
            if (closedBy !== null) edge.dialog.setAttribute('closedby', closedBy);
          }, 50);
        },
        { capture: true, once: true },
      );
    },
    true,
  );
  document.addEventListener('keydown', (event) => {
    if (event.key !== 'Escape' || !held) return;
    event.preventDefault();
    tell({ type: 'edge', phase: 'cancel', owner: held.owner, axis: held.axis, size: 0 });
    letGo();
  });
}
