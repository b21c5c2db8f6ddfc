import type { NavigationLine } from '@hamaca/core';
import { useEffect, useRef } from 'react';
import { useOutlineKeys } from '../outline/use-outline-keys.ts';

interface Props {
  readonly lines: readonly NavigationLine[];
  readonly chosen: number | null;
  readonly onChoose: (at: number) => void;
}

/** The navigation of a foreign page as an outline: the arrow keys walk from header to list to link. */
export function ForeignOutline({ lines, chosen, onChoose }: Props) {
  const grid = useRef<HTMLDivElement>(null);
  const onKeyDown = useOutlineKeys(grid);
  useEffect(() => {
    grid.current
      ?.querySelector('[aria-current="true"]')
      ?.scrollIntoView({ block: 'nearest', behavior: 'instant' });
  }, [chosen]);
  if (lines.length === 0)
    return <p className="p-3 text-bench text-ink-soft">The page has nothing that could be looked at.</p>;
  return (
    <div
      ref={grid}
      role="treegrid"
      aria-label="Navigation of the page"
      onKeyDown={onKeyDown}
      className="h-full overflow-auto py-1 text-bench"
    >
      {lines.map(({ at, depth, name, text }) => (
        <div key={at} role="row" aria-level={depth + 1}>
          <span role="gridcell">
            <button
              type="button"
              data-line={at}
              aria-current={at === chosen ? 'true' : undefined}
              title={text === '' ? name : `${name}: ${text}`}
              onClick={() => {
                onChoose(at);
              }}
              onFocus={() => {
                onChoose(at);
              }}
              style={{ paddingInlineStart: 8 + Math.min(depth, 12) * 10 }}
              className={`flex h-6 w-full items-center gap-1.5 pr-2 text-left whitespace-nowrap ${at === chosen ? 'bg-ochre-wash font-semibold' : 'hover:bg-linen'}`}
            >
              {text !== '' && <span className="truncate">{text}</span>}
              <span className="min-w-0 shrink truncate font-mono text-[11px] text-ink-faint">{name}</span>
            </button>
          </span>
        </div>
      ))}
    </div>
  );
}
