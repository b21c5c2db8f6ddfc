import { useRef, type PointerEvent } from 'react';

interface Drag {
  readonly onMove: (event: PointerEvent<HTMLElement>) => void;
  readonly onEnd: () => void;
  readonly onCancel: () => void;
}

/** Pointer handlers for a drag that is one step: Escape leads back to its start. */
export function useDrag({ onMove, onEnd, onCancel }: Drag) {
  const active = useRef<{ element: HTMLElement; pointer: number } | null>(null);
  const finish = (how: () => void) => {
    if (!active.current) return;
    active.current = null;
    window.removeEventListener('keydown', escape, true);
    how();
  };
  const escape = (event: KeyboardEvent) => {
    if (event.key !== 'Escape') return;
    event.preventDefault();
    event.stopPropagation();
    const drag = active.current;
    if (drag?.element.hasPointerCapture(drag.pointer)) drag.element.releasePointerCapture(drag.pointer);
    finish(onCancel);
  };
  return {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      if (event.button !== 0) return;
      event.currentTarget.setPointerCapture(event.pointerId);
      event.currentTarget.focus();
      active.current = { element: event.currentTarget, pointer: event.pointerId };
      window.addEventListener('keydown', escape, true);
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => { if (active.current) onMove(event); },
    onPointerUp: () => { finish(onEnd); },
    onPointerCancel: () => { finish(onCancel); },
  };
}
