import { colourOf, formatColour, property, type Site } from '@hamaca/core';
import type { ReactNode } from 'react';
import { useEdit } from '../../../store/open-site.tsx';
import { setCells } from './sheet-edits.ts';
import type { SheetCell } from './sheet-model.ts';

/** Each mark as it lies around a word: drawn in a box of 44 by 24, the word from 10 to 34. */
const MARKS: Readonly<Record<string, ReactNode>> = {
  none: null,
  'line under': <path d="M8 20h28" />,
  'line over': <path d="M8 4h28" />,
  'line through': <path d="M8 12h28" />,
  'lines both': <path d="M8 4h28M8 20h28" />,
  'side bar': <path d="M6 4v16" />,
  box: (
    <rect x="5" y="3" width="34" height="18" rx="3" fillOpacity="0.35" fill="currentColor" stroke="none" />
  ),
  notch: <path d="M17 23l5-5 5 5z" fill="currentColor" stroke="none" />,
  dot: <circle cx="22" cy="21" r="2" fill="currentColor" stroke="none" />,
  brackets: <path d="M9 4H6v16h3M35 4h3v16h-3" />,
};

function MarkDrawing({ mark, colour }: { readonly mark: string; readonly colour: string }) {
  return (
    <svg viewBox="0 0 44 24" className="h-6 w-11" aria-hidden="true">
      <g stroke="currentColor" strokeWidth="2" fill="none" style={{ color: colour }}>
        {MARKS[mark]}
      </g>
      <text x="22" y="16" textAnchor="middle" className="fill-ink text-[11px]">
        Link
      </text>
    </svg>
  );
}

/** All that a cell with named values can be, to be pressed; marks are drawn. */
export function ChoiceLinks({ site, cell }: { readonly site: Site; readonly cell: SheetCell }) {
  const edit = useEdit();
  const { property: id, state } = cell.cell;
  const entry = property(id);
  if (entry.kind !== 'choice') return null;
  const colour = formatColour(colourOf(site, { role: 'accent' }));
  return (
    <div className="flex flex-wrap items-center gap-1" role="group" aria-label={`Choose: ${entry.label}`}>
      {Object.keys(entry.choices).map((choice) => (
        <button
          key={choice}
          type="button"
          title={choice}
          aria-label={choice}
          aria-pressed={cell.resolved.value === choice}
          onClick={() => {
            edit(setCells([{ ...cell.cell, value: choice }]), `${entry.label}, ${state}`);
          }}
          className="grid h-7 min-w-7 place-items-center rounded-[2px] border border-twine bg-white px-1.5 hover:border-rope aria-pressed:border-ochre aria-pressed:bg-ochre-wash"
        >
          {id === 'mark' ? <MarkDrawing mark={choice} colour={colour} /> : choice}
        </button>
      ))}
    </div>
  );
}
