import type { PartPlace } from '@hamaca/core';
import { useRef, useState, type RefObject } from 'react';
import { useDragging } from '../../../ui/use-dragging.ts';

const PART = 'hamaca part';
const PLACE = 'hamaca place of a part';

const isPart = ({ source }: { readonly source: { readonly data: Record<string, unknown> } }) =>
  source.data[PART] !== undefined;

/** Reads where a line was let go: above the upper half of a part, below its lower one, or at a region's end. */
function placeUnder(x: number, y: number): PartPlace | null {
  const target = document.elementFromPoint(x, y)?.closest<HTMLElement>('[data-drop]');
  const [region, index] = target?.dataset['drop']?.split(' ') ?? [];
  if (!target || region === undefined) return null;
  const { top, height } = target.getBoundingClientRect();
  const after = target.dataset['part'] !== undefined && y > top + height / 2;
  return { region, index: Number(index) + (after ? 1 : 0) };
}

/** Draws the line where a dragged part would go. */
function markDrop(place: PartPlace | null): void {
  for (const marked of document.querySelectorAll('[data-dropping]')) marked.removeAttribute('data-dropping');
  if (!place) return;
  const own = document.querySelector(`[data-drop="${place.region} ${place.index}"]`);
  const before = document.querySelector(`[data-drop="${place.region} ${place.index - 1}"]`);
  if (own) own.setAttribute('data-dropping', 'before');
  else before?.setAttribute('data-dropping', 'after');
}

/** Lets the lines of parts be carried to other places of an outline. */
export function usePartDrops(
  outline: RefObject<HTMLElement | null>,
  moveTo: (part: string, place: PartPlace) => void,
): void {
  const latest = useRef(moveTo);
  latest.current = moveTo;
  useDragging(
    ({ autoScrollForElements, combine, dropTargetForElements, monitorForElements }) => {
      const element = outline.current;
      if (!element) return undefined;
      return combine(
        dropTargetForElements({
          element,
          canDrop: isPart,
          getData: ({ input }) => ({ [PLACE]: placeUnder(input.clientX, input.clientY) }),
        }),
        autoScrollForElements({ element, canScroll: isPart }),
        monitorForElements({
          canMonitor: isPart,
          onDrag: ({ location }) => {
            markDrop((location.current.dropTargets[0]?.data[PLACE] as PartPlace | null | undefined) ?? null);
          },
          onDrop: ({ source, location }) => {
            markDrop(null);
            const place = location.current.dropTargets[0]?.data[PLACE] as PartPlace | null | undefined;
            if (place) latest.current(String(source.data[PART]), place);
          },
        }),
      );
    },
    [outline],
  );
}

/** Lets a part's line be dragged by its grip; tells whether it is under way. */
export function useDraggedPart(
  part: string,
  line: RefObject<HTMLElement | null>,
  grip: RefObject<HTMLElement | null>,
): boolean {
  const [isDragged, setDragged] = useState(false);
  useDragging(
    ({ draggable }) => {
      const element = line.current;
      if (!element || !grip.current) return undefined;
      return draggable({
        element,
        dragHandle: grip.current,
        getInitialData: () => ({ [PART]: part }),
        onDragStart: () => {
          setDragged(true);
        },
        onDrop: () => {
          setDragged(false);
        },
      });
    },
    [part, line, grip],
  );
  return isDragged;
}
