import {
  findPlaced,
  givingWay,
  kindLabel,
  partKindById,
  type Measurer,
  type Part,
  type Piece,
  type Site,
} from '@hamaca/core';
import { WIDTHS } from '../../../store/bench-store.ts';

/** A part that leaves its row for want of room, below a width in px. */
export interface Way {
  readonly id: string;
  readonly name: string;
  readonly below: number;
}

const titleOf = (part: Part): string =>
  'label' in part && typeof part.label === 'string' && part.label !== ''
    ? `“${part.label}”`
    : (partKindById(part.kind).name?.(part as never) ?? kindLabel(part.kind));

/** What of a piece gives way at widths that are looked at. */
export function waysOf(site: Site, piece: Piece, measure: Measurer): readonly Way[] {
  return [...givingWay(site, measure)].flatMap(([id, below]) => {
    const placed = findPlaced(site, id);
    const isSeen = placed?.piece.id === piece.id && below > WIDTHS.from;
    return isSeen ? [{ id, below, name: titleOf(placed.part) }] : [];
  });
}

/** Where parts leave for want of room, as hooks above the rope. */
export function GivingWay({
  ways,
  toX,
}: {
  readonly ways: readonly Way[];
  readonly toX: (value: number) => number;
}) {
  if (ways.length === 0) return null;
  return (
    <ul aria-label="What gives way">
      {ways.map(({ id, below, name }) => (
        <li
          key={id}
          style={{ left: toX(below) - 12 }}
          className="pointer-events-none absolute top-[-7px] grid size-6 place-items-center"
        >
          <span className="sr-only">
            Below {below} px {name} leaves for want of room
          </span>
          <svg viewBox="0 0 16 16" className="size-4" aria-hidden="true">
            <path d="M12 15V8H4M7 5L4 8l3 3" fill="none" strokeWidth="2" className="stroke-ochre" />
          </svg>
        </li>
      ))}
    </ul>
  );
}
