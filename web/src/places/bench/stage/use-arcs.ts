import { bandAt, resolve, type PropertyId, type Site } from '@hamaca/core';
import { useRef } from 'react';
import { benchStore } from '../../../store/bench-store.ts';
import { useSiteStore } from '../../../store/open-site.tsx';
import type { DraggedArc } from '../../../stage/stage.tsx';
import { reachKey, setCells } from '../sheet/sheet-edits.ts';

const STEP = { angle: 5, distance: 4 } as const;

const rounded = (value: number, step: number) => Math.round(value / step) * step;

/** Dragging a ring's links turns, widens or moves it as far as the reach goes, as one step. */
export function useArcs(site: Site) {
  const store = useSiteStore();
  const turn = useRef<number | null>(null);
  return ({ phase, owner, turned, span, distance }: DraggedArc) => {
    if (phase === 'cancel') {
      turn.current = null;
      store.preview(null);
      return;
    }
    const { reach, width } = benchStore.getState();
    const at = { owner, slot: 'ring', level: null, states: [], band: bandAt(site, width) } as const;
    turn.current ??= Number(resolve(site, { ...at, property: 'ringTurn' })?.value ?? 0);
    const wished: (readonly [PropertyId, number])[] = [
      ...(turned === 0 ? [] : [['ringTurn', rounded(turn.current + turned, STEP.angle)] as const]),
      ...(span === null ? [] : [['ringSpan', Math.max(STEP.angle, rounded(span, STEP.angle))] as const]),
      ...(distance === null
        ? []
        : [['ringDistance', Math.min(400, rounded(distance, STEP.distance))] as const]),
    ];
    const band = reachKey(site, reach);
    const cells = wished.map(([property, value]) => ({
      owner,
      slot: 'ring',
      property,
      level: 'all' as const,
      state: 'rest' as const,
      band,
      value: property === 'ringTurn' ? ((((value + 180) % 360) + 360) % 360) - 180 : value,
    }));
    if (cells.length === 0) return;
    if (phase === 'move') store.preview(setCells(cells));
    else {
      turn.current = null;
      store.edit(setCells(cells), 'The ring’s arc');
    }
  };
}
