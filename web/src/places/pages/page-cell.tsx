import type { Shown } from './page-rows.ts';

const CHECKED = { all: true, none: false, some: 'mixed' } as const;

interface Props {
  readonly shown: Shown;
  readonly label: string;
  readonly at: readonly [row: number, column: number];
  readonly isStop: boolean;
  readonly onToggle: () => void;
  readonly onFocus: () => void;
}

/** A knot where a piece is on a page, a ring where it is not, and half a knot where it is on some of several. */
export function PageCell({ shown, label, at: [row, column], isStop, onToggle, onFocus }: Props) {
  return (
    <button
      type="button"
      role="checkbox"
      aria-checked={CHECKED[shown]}
      aria-label={label}
      tabIndex={isStop ? 0 : -1}
      data-at={`${row} ${column}`}
      onClick={onToggle}
      onFocus={onFocus}
      className="grid size-full place-items-center rounded-[3px] hover:bg-ochre-wash focus-visible:outline-2 focus-visible:outline-ink"
    >
      <svg viewBox="0 0 16 16" className="size-4" aria-hidden="true">
        <circle
          cx="8"
          cy="8"
          r="5"
          className={`stroke-ink ${shown === 'all' ? 'fill-ink' : 'fill-cotton'}`}
          strokeWidth="1.5"
        />
        {shown === 'some' && <path d="M8 3a5 5 0 0 1 0 10z" className="fill-ink" />}
      </svg>
    </button>
  );
}
