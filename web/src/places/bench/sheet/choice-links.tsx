import { colourOf, formatColour, property, type Site } from '@hamaca/core';
import { PropertyDrawing } from '../../../ui/lazy.tsx';
import { useEdit } from '../../../store/open-site.tsx';
import { bringing, setCells } from './sheet-edits.ts';
import type { SheetCell } from './sheet-model.ts';

/** All that a cell with named values can be, as drawings to be pressed. */
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
            edit(setCells(bringing(site, [{ ...cell.cell, value: choice }])), `${entry.label}, ${state}`);
          }}
          className="grid h-7 min-w-7 place-items-center rounded-[2px] border border-twine bg-white px-1.5 hover:border-rope aria-pressed:border-ochre aria-pressed:bg-ochre-wash"
        >
          <PropertyDrawing property={id} choice={choice} colour={colour} />
        </button>
      ))}
    </div>
  );
}
