import { useRef, type PointerEvent } from 'react';

interface Drag {
  readonly onMove: (event: PointerEvent<HTMLElement>) => void;
  readonly onEnd: () => void;
  readonly onCancel: () => void;
}

interface Active {
  readonly element: HTMLElement;
  readonly pointer: number;
  readonly listen: (event: KeyboardEvent) => void;
}

/** Pointer handlers for a drag that is one step: Escape leads back to its start. */
export function useDrag(drag: Drag) {
  const latest = useRef(drag);
  latest.current = drag;
  const active = useRef<Active | null>(null);

  const finish = (how: 'onEnd' | 'onCancel') => {
    const ended = active.current;
    if (!ended) return;
    active.current = null;
    window.removeEventListener('keydown', ended.listen, true);
    if (ended.element.hasPointerCapture(ended.pointer)) ended.element.releasePointerCapture(ended.pointer);
    latest.current[how]();
  };
  return {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      if (event.button !== 0) return;
      const element = event.currentTarget;
      const listen = (pressed: KeyboardEvent) => {
        if (pressed.key !== 'Escape') return;
        pressed.preventDefault();
        pressed.stopPropagation();
        finish('onCancel');
      };
      element.setPointerCapture(event.pointerId);
      element.focus();
      active.current = { element, pointer: event.pointerId, listen };
      window.addEventListener('keydown', listen, true);
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      if (active.current) latest.current.onMove(event);
    },
    onPointerUp: () => {
      finish('onEnd');
    },
    onPointerCancel: () => {
      finish('onCancel');
    },
  };
}
