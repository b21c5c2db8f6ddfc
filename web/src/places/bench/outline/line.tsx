import { itemKey, itemOf } from '@hamaca/core';
import { memo, type KeyboardEvent, type ReactNode, type Ref } from 'react';
import { selectSlot, toggleBranch, useBench } from '../../../store/bench-store.ts';
import type { SlotLine } from './slot-lines.ts';

/** Whether what stands beneath a line is folded away. */
export const useFolded = (id: string): boolean => useBench((state) => state.foldedBranches.includes(id));

/** Indentation of a line, by how deep it stands, in px; the sign that folds it stands before. */
const INDENT = 12;

interface RowProps {
  readonly depth: number;
  readonly children: ReactNode;
  /** Whether it is folded; null where nothing stands beneath it. */
  readonly folded?: boolean | null;
  readonly current?: boolean;
  readonly className?: string;
  readonly ref?: Ref<HTMLDivElement> | undefined;
  /** Names of the line for drags, as data attributes. */
  readonly names?: Readonly<Record<string, string>> | undefined;
}

/** One row of the outline. */
export function OutlineRow({
  depth,
  folded = null,
  current,
  className = '',
  names,
  ref,
  children,
}: RowProps) {
  return (
    <div
      ref={ref}
      role="row"
      aria-level={depth + 1}
      aria-expanded={folded === null ? undefined : !folded}
      aria-selected={current}
      className={`group flex items-center ${className}`}
      {...names}
    >
      {children}
    </div>
  );
}

interface Props {
  readonly line: SlotLine;
  readonly depth: number;
  /** Id of the branch beneath the line, where there is one. */
  readonly branch?: string;
  readonly children?: ReactNode;
  readonly onKeyDown?: (event: KeyboardEvent) => void;
  readonly ref?: Ref<HTMLDivElement> | undefined;
  readonly names?: Readonly<Record<string, string>> | undefined;
}

/** A line that stands for a slot: pressing it selects the slot, its sign folds what is beneath. */
export const Line = memo(function Line({ line, depth, branch, children, onKeyDown, ref, names }: Props) {
  const current = useBench(
    ({ selected }) =>
      selected.owner === line.owner &&
      selected.slot === line.slot &&
      (line.item === undefined
        ? itemOf(selected.level) === null &&
          (line.level === null || selected.level === String(line.level) || selected.level === 'all')
        : selected.level === itemKey(line.item)),
  );
  const isFolded = useFolded(branch ?? '');
  return (
    <OutlineRow
      ref={ref}
      depth={depth}
      folded={branch === undefined ? null : isFolded}
      current={current}
      names={names}
      className={`h-[26px] border-l-[3px] ${current ? 'border-ochre bg-ochre-wash font-semibold' : 'border-transparent hover:bg-linen'}`}
    >
      <div role="gridcell" className="flex h-full min-w-0 grow items-center">
        {branch !== undefined && (
          <button
            type="button"
            data-fold={branch}
            aria-label={`${isFolded ? 'Unfold' : 'Fold'} ${line.label}`}
            onClick={() => {
              toggleBranch(branch);
            }}
            style={{ marginInlineStart: depth * INDENT - 3 }}
            className="grid size-6 shrink-0 place-items-center text-[11px] text-ink-faint hover:text-ink"
          >
            <span aria-hidden="true" className={isFolded ? '-rotate-90' : ''}>
              ▾
            </span>
          </button>
        )}
        <button
          type="button"
          data-line=""
          data-owner={line.owner}
          aria-current={current ? 'true' : undefined}
          onClick={() => {
            selectSlot(line.owner, line.slot, line.item === undefined ? line.level : itemKey(line.item));
          }}
          onKeyDown={onKeyDown}
          style={{ paddingInlineStart: branch === undefined ? 21 + depth * INDENT : 0 }}
          className="h-full min-w-0 grow truncate text-left text-bench"
        >
          {line.label}
        </button>
      </div>
      {children !== undefined && (
        <div role="gridcell" className="flex shrink-0 items-center">
          {children}
        </div>
      )}
    </OutlineRow>
  );
});
