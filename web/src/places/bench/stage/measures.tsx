import { kindLabel, partKindById, sectionsOf, type Part, type Piece, type Site } from '@hamaca/core';
import { Fragment } from 'react';
import type { StageBox } from '../../../stage/frame/protocol.ts';

/** Room below which a gap is too narrow for its number, in px. */
const LEAST_GAP = 14;

const titleOf = (part: Part): string => partKindById(part.kind).name?.(part as never) ?? kindLabel(part.kind);

/** A part of a row with the room it takes on the stage. */
interface Measured {
  readonly id: string;
  readonly name: string;
  readonly box: StageBox;
}

/** The parts of each row of a piece that are seen, from left to right; those on a further line by themselves. */
function linesOf(site: Site, piece: Piece, boxes: readonly StageBox[]): readonly (readonly Measured[])[] {
  const byOwner = new Map(boxes.map((box) => [box.owner, box]));
  return sectionsOf(site)
    .filter((placed) => placed.piece.id === piece.id)
    .flatMap(({ regions }) => {
      const lines: Measured[][] = [];
      const parts = regions.flatMap((region) =>
        region.parts.flatMap((part): Measured[] => {
          const box = byOwner.get(part.id);
          return box ? [{ id: part.id, name: titleOf(part), box }] : [];
        }),
      );
      for (const part of parts.sort((a, b) => a.box.left - b.box.left)) {
        const line = lines.find(
          ([first]) => first && part.box.top < first.box.bottom && part.box.bottom > first.box.top,
        );
        if (line) line.push(part);
        else lines.push([part]);
      }
      return lines;
    });
}

/** A line from one place to another with its ends marked, and a number upon it. */
function Dimension({
  from,
  to,
  label,
  isGap = false,
}: {
  from: number;
  to: number;
  label: string;
  isGap?: boolean;
}) {
  return (
    <span
      style={{ left: from, width: to - from }}
      className={`absolute top-0 flex h-4 items-center justify-center border-x ${isGap ? 'border-transparent' : 'border-ink'}`}
    >
      <span className={`absolute inset-x-0 top-1/2 h-px ${isGap ? '' : 'bg-ink'}`} />
      <span
        className={`relative rounded-[2px] px-1 text-[11px] leading-4 tabular ${isGap ? 'shrink-0 bg-ochre-wash text-ink' : 'max-w-full truncate bg-ink text-white'}`}
      >
        {label}
      </span>
    </span>
  );
}

interface Props {
  readonly site: Site;
  readonly piece: Piece;
  readonly boxes: readonly StageBox[];
  /** Width of the page in px. */
  readonly width: number;
}

/** What takes the room in each row: every part and the room between, drawn beneath the parts in px of the page. */
export function Measures({ site, piece, boxes, width }: Props) {
  return linesOf(site, piece, boxes).map((line) => {
    const bottom = Math.max(...line.map(({ box }) => box.bottom));
    const ends = [0, ...line.map(({ box }) => box.right)];
    const last = ends.at(-1) ?? 0;
    return (
      <div
        key={line[0]?.id}
        data-testid="measures"
        style={{ top: bottom + 2 }}
        className="absolute inset-x-0 h-4"
      >
        {line.map(({ id, name, box }, index) => {
          const before = ends[index] ?? 0;
          const gap = Math.round(box.left - before);
          return (
            <Fragment key={id}>
              {gap >= LEAST_GAP && <Dimension from={before} to={box.left} label={String(gap)} isGap />}
              <Dimension
                from={box.left}
                to={box.right}
                label={`${name} ${Math.round(box.right - box.left)}`}
              />
            </Fragment>
          );
        })}
        {width - last >= LEAST_GAP && (
          <Dimension from={last} to={width} label={String(Math.round(width - last))} isGap />
        )}
      </div>
    );
  });
}
