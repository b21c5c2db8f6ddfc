import { formatValue, property, ROLES, type ColourValue, type Site, type SlotKind } from '@hamaca/core';
import { colourOf, formatColour } from '@hamaca/core';
import { Button } from '../../controls/button.tsx';
import { useEdit } from '../../state/open-site.tsx';
import type { SheetCell } from './sheet-model.ts';

interface Props {
  readonly site: Site;
  readonly kind: SlotKind;
  readonly cell: SheetCell;
  readonly onClear: () => void;
}

/** About the cell in focus: where its value comes from, and for colours everything it could be linked to. */
export function CellStrip({ site, cell, onClear }: Props) {
  const edit = useEdit();
  const { property: id, state } = cell.cell;
  const entry = property(id);
  const set = (value: ColourValue) => { edit({ name: 'set-look', args: { cells: [{ ...cell.cell, value }] } }, `${entry.label}, ${state}`); };
  const links: { key: string; label: string; value: ColourValue }[] = entry.kind === 'colour' ? [
    ...site.palette.map((swatch) => ({ key: `swatch ${swatch.id}`, label: swatch.name, value: { swatch: swatch.id } })),
    ...ROLES.map((role) => ({ key: `role ${role}`, label: `role ${role}`, value: { role } })),
    { key: 'none', label: 'none', value: { literal: 'transparent' } },
  ] : [];
  return (
    <div className="grid shrink-0 grid-cols-[minmax(0,1fr)] gap-1 border-t border-twine bg-cotton px-3 py-1.5 text-small">
      <div className="flex items-center gap-2">
        <span className="min-w-0 truncate"><b className="font-semibold">{entry.label}, {state}: {formatValue(site, cell.resolved.value)}</b>
          <span className="text-ink-soft" data-testid="origin"> {cell.own ? '← set here' : ''}{cell.trail.slice(cell.own ? 1 : 0).map((step) => ` ← ${step}`).join('')}</span></span>
        <span className="ml-auto hidden min-w-0 truncate text-ink-faint 2xl:inline">{entry.hint}</span>
        <Button className="ml-auto !h-6 shrink-0 !text-small 2xl:ml-0" disabled={!cell.own} onClick={onClear} title="Delete">Clear</Button>
      </div>
      {links.length > 0 && (
        <div className="flex flex-wrap gap-0.5" role="group" aria-label="Link the colour">
          {links.map((link) => (
            <button key={link.key} type="button" title={link.label} aria-label={`Link to ${link.label}`} onClick={() => { set(link.value); }}
              className="flex h-6 items-center gap-1 rounded-[2px] border border-transparent px-1 hover:border-rope hover:bg-white">
              <span aria-hidden="true" className="size-3.5 rounded-[2px] border border-ink/25" style={{ background: formatColour(colourOf(site, link.value)) }} />{link.label}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}
