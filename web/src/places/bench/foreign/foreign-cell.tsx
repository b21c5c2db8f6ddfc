import { FOREIGN_STATES } from '@hamaca/core';
import { useState } from 'react';
import { isOwn, type ForeignRow, type SaidCell } from './foreign-rows.ts';

const COLOUR =
  /#[0-9a-f]{3,8}\b|\b(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color|color-mix)\((?:[^()]|\([^()]*\))*\)/i;

/** The first colour that a value says; null where it says none. */
export function colourIn(value: string): string | null {
  const colour = COLOUR.exec(value)?.[0] ?? (CSS.supports('color', value) ? value : null);
  const isNone =
    colour === null ||
    /^(?:inherit|initial|unset|revert|revert-layer|currentcolor|transparent)$/i.test(colour);
  return isNone ? null : colour;
}

/** The first colour of a value as a small square. */
function Chip({ value }: { readonly value: string }) {
  const colour = colourIn(value);
  if (colour === null) return null;
  return (
    <span
      aria-hidden="true"
      className="size-3.5 shrink-0 rounded-[2px] border border-ink/25"
      style={{ background: colour }}
    />
  );
}

interface CellProps {
  readonly row: ForeignRow;
  readonly at: number;
  readonly focused: boolean;
  /** What the typing begins with; null where nothing is typed. */
  readonly typing: string | null;
  readonly onFocus: () => void;
  readonly onType: (start: string) => void;
  /** Answers what is wrong with a value, or null where it was taken. */
  readonly onSet: (value: string) => string | null;
  readonly onDone: () => void;
}

/** The value of a cell as it is typed; one that no browser takes stays until it is mended or given up. */
function CellField({
  start,
  before,
  label,
  onSet,
  onDone,
}: {
  readonly start: string;
  readonly before: string;
  readonly label: string;
  readonly onSet: (value: string) => string | null;
  readonly onDone: () => void;
}) {
  const [value, setValue] = useState(start === '' ? before : start);
  const [wrong, setWrong] = useState<string | null>(null);
  const commit = (): boolean => {
    const text = value.trim();
    const failed = text === before || text === '' ? null : onSet(text);
    setWrong(failed);
    return failed === null;
  };
  return (
    <input
      autoFocus
      aria-label={label}
      aria-invalid={wrong !== null}
      title={wrong ?? undefined}
      value={value}
      spellCheck={false}
      onFocus={(event) => {
        if (start === '') event.target.select();
      }}
      onChange={(event) => {
        setValue(event.target.value);
        setWrong(null);
      }}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Escape') onDone();
        if (event.key === 'Enter' && commit()) onDone();
      }}
      onBlur={() => {
        commit();
        onDone();
      }}
      className={`h-[26px] w-full bg-white px-2 outline-none ${wrong === null ? '' : 'text-brick'}`}
    />
  );
}

/** How a value is told that no rule says. */
export const BY_BROWSER = 'as the browser draws it by itself';

/** Where a value comes from, to be read aloud after it. */
function originInWords(cell: SaidCell | null, own: boolean): string {
  if (!cell) return `, ${BY_BROWSER}`;
  if (cell.from !== null) return `, from ${cell.from}`;
  return own ? '' : ', as at rest';
}

/** One value of the sheet: what is said, or else how the browser draws it by itself. */
export function ForeignCell({ row, at, focused, typing, onFocus, onType, onSet, onDone }: CellProps) {
  const cell = row.cells[at] ?? null;
  const drawn = cell ? null : (row.drawn[at] ?? null);
  const own = isOwn(row, at);
  const isStrong = cell !== null && own && cell.from === null;
  const value = cell?.value ?? drawn;
  const state = FOREIGN_STATES[at] ?? 'rest';
  const place = cell ? `${cell.selector ?? 'style attribute'} · ${cell.file}:${cell.line}` : BY_BROWSER;
  return (
    <td
      role="gridcell"
      aria-selected={focused}
      aria-label={`${row.name}, ${state}: ${value ?? 'nothing said'}${originInWords(cell, own)}`}
      data-cell={`${row.name} ${state}`}
      data-own={isStrong}
      data-drawn={drawn !== null}
      tabIndex={focused ? 0 : -1}
      title={place}
      onClick={onFocus}
      onDoubleClick={() => {
        onType('');
      }}
      onFocus={(event) => {
        if (event.target === event.currentTarget) onFocus();
      }}
      className={`h-[27px] max-w-[260px] scroll-mt-[26px] scroll-ml-[150px] border-r border-b border-linen ${typing === null ? 'px-2' : 'p-0'} ${focused ? 'bg-ochre-wash outline-2 -outline-offset-2 outline-twine group-focus-within/sheet:outline-ochre' : 'hover:bg-cotton'}`}
    >
      {typing !== null && (
        <CellField
          start={typing}
          before={value ?? ''}
          label={`${row.name}, ${state}`}
          onSet={onSet}
          onDone={onDone}
        />
      )}
      {typing === null && value !== null && (
        <span
          className={`flex items-center gap-1.5 whitespace-nowrap ${isStrong ? 'font-medium text-ink' : 'text-ink-faint'} ${drawn === null ? '' : 'italic'}`}
        >
          <Chip value={value} />
          <span className="truncate">{value}</span>
          {cell && !isStrong && (
            <span aria-hidden="true" className="text-twine">
              ·
            </span>
          )}
          {cell?.certain === false && (
            <span title="not certain" className="text-brick">
              ?
            </span>
          )}
        </span>
      )}
    </td>
  );
}
