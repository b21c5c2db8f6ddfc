import { colourOf, formatColour, formatValue, isColourValue, property, type ContrastReport, type PropertyId, type Scene, type Site, type State } from '@hamaca/core';
import { useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { Choice } from '../../controls/choice.tsx';
import { useEdit } from '../../state/open-site.tsx';
import { benchStore, focusColumn, useBench } from './bench-state.ts';
import { CellInput } from './cell-input.tsx';
import { CellStrip } from './cell-strip.tsx';
import { groupOf, readSheet, suggestColour, type Sheet, type SheetCell } from './sheet-model.ts';

function ColourChip({ site, cell }: { readonly site: Site; readonly cell: SheetCell }) {
  const { value } = cell.resolved;
  if (!isColourValue(value)) return null;
  const colour = colourOf(site, value);
  return (
    <span aria-hidden="true" className={`size-3.5 shrink-0 rounded-[2px] border border-ink/25 ${colour.a === 0 ? 'bg-[linear-gradient(135deg,transparent_46%,var(--color-brick)_46%_54%,transparent_54%)]' : ''} ${cell.own ? '' : 'opacity-60'}`}
      style={colour.a === 0 ? {} : { background: formatColour(colour) }} />
  );
}

interface CellProps {
  readonly site: Site;
  readonly cell: SheetCell;
  readonly focused: boolean;
  readonly typing: string | null;
  readonly onFocus: () => void;
  readonly onEdit: (start: string | null) => void;
  readonly onDone: (move: boolean) => void;
}

function CellView({ site, cell, focused, typing, onFocus, onEdit, onDone }: CellProps) {
  const { state, property: id } = cell.cell;
  const text = formatValue(site, cell.resolved.value);
  const label = `${property(id).label}, ${state}: ${text}${cell.own ? '' : `, from ${cell.trail.join(', ')}`}`;
  return (
    <td role="gridcell" aria-selected={focused} aria-label={label} data-cell={`${id} ${state}`} data-own={cell.own} tabIndex={focused ? 0 : -1}
      title={cell.own ? `set here · ${cell.trail.join(' ← ')}` : cell.trail.join(' ← ')}
      onFocus={(event) => { if (event.target === event.currentTarget) onFocus(); }} onClick={(event) => { event.currentTarget.focus(); }} onDoubleClick={() => { onEdit(null); }}
      className={`relative h-[27px] border-r border-b border-linen p-0 ${focused ? 'bg-ochre-wash outline-2 -outline-offset-2 outline-ochre' : 'hover:bg-cotton'}`}>
      {typing !== null
        ? <CellInput cell={cell} start={typing} onDone={onDone} />
        : (
          <span className={`flex items-center gap-1.5 px-2 whitespace-nowrap ${cell.own ? 'font-medium text-ink' : 'text-ink-faint'}`}>
            <ColourChip site={site} cell={cell} />
            <span className="truncate">{text}</span>
            {!cell.own && <span aria-hidden="true" className="text-twine">·</span>}
            {cell.exceptions.length > 0 && (
              <span title={`another value in ${cell.exceptions.join(', ')}`} className="ml-auto size-[9px] shrink-0 rounded-full border-2 border-ink bg-cotton" />
            )}
          </span>
        )}
    </td>
  );
}

function Ratio({ report, onFix }: { readonly report: ContrastReport | null; readonly onFix: () => void }) {
  if (!report) return <td role="gridcell" className="border-r border-b border-linen" />;
  const ratio = (Math.floor(report.ratio * 10) / 10).toFixed(1);
  return (
    <td role="gridcell" data-passes={report.passes} className={`h-[27px] border-r border-b border-linen px-2 whitespace-nowrap ${report.passes ? 'text-reed' : 'bg-brick-wash font-semibold text-brick'}`}>
      <span aria-hidden="true">{report.passes ? '✓' : '✗'}</span> {ratio}
      {report.passes
        ? <span className="text-small text-ink-faint"> of {report.required}</span>
        : <button type="button" title={`needs ${report.required}; take the nearest text colour that passes`} onClick={onFix} className="ml-1.5 rounded-[2px] border border-brick px-1 text-small">mend</button>}
    </td>
  );
}

function groupedRows(sheet: Sheet) {
  return sheet.rows.map((row, index) => ({ row, starts: groupOf(row.property) !== groupOf(sheet.rows[index - 1]?.property ?? row.property) }));
}

/** The look of the selected slot: properties down, states across, every value with where it comes from. */
export function LookSheet({ site, scene }: { readonly site: Site; readonly scene: Scene }) {
  const selected = useBench((state) => state.selected);
  const reach = useBench((state) => state.reach);
  const column = useBench((state) => state.state);
  const row = useBench((state) => state.property);
  const edit = useEdit();
  const [typing, setTyping] = useState<string | null>(null);
  const table = useRef<HTMLTableElement>(null);
  const sheet = useMemo(() => readSheet(site, { selected, reach }, scene), [site, selected, reach, scene]);
  if (!sheet) return <p className="p-4 text-bench text-ink-soft">Click something on the stage or in the outline to see its look.</p>;

  const rowIds = sheet.rows.map((entry) => entry.property);
  const focusedRow = rowIds.includes(row) ? row : rowIds[0];
  const focusedState = sheet.states.includes(column) ? column : 'rest';
  const current = sheet.rows.find((entry) => entry.property === focusedRow)?.cells.find((entry) => entry.cell.state === focusedState) ?? null;

  const focusCell = (id: PropertyId, state: State) => {
    setTyping(null);
    benchStore.setState({ property: id });
    focusColumn(state);
  };
  const moveTo = (id: PropertyId | undefined, state: State | undefined) => {
    if (!id || !state) return;
    focusCell(id, state);
    table.current?.querySelector<HTMLElement>(`[data-cell="${id} ${state}"]`)?.focus();
  };
  const clear = () => {
    if (current?.own) edit({ name: 'set-look', args: { cells: [{ ...current.cell, value: null }] } }, `Clear ${property(current.cell.property).label}`);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (typing !== null || event.ctrlKey || event.metaKey || event.altKey || !focusedRow) return;
    if ((event.target as HTMLElement).tagName === 'BUTTON') return;
    const y = rowIds.indexOf(focusedRow);
    const x = sheet.states.indexOf(focusedState);
    const moves: Readonly<Record<string, readonly [number, number]>> = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] };
    const move = moves[event.key];
    if (move) moveTo(rowIds[y + move[0]], sheet.states[x + move[1]]);
    else if (event.key === 'Enter' || event.key === 'F2') setTyping('');
    else if (event.key === 'Delete' || event.key === 'Backspace') clear();
    else if (event.key.length === 1 && event.key !== ' ') setTyping(event.key);
    else return;
    event.preventDefault();
  };
  const mend = (state: State) => {
    const colour = suggestColour(site, { selected, reach }, state, scene);
    const cell = sheet.rows.find((entry) => entry.property === 'colour')?.cells.find((entry) => entry.cell.state === state)?.cell;
    if (colour && cell) edit({ name: 'set-look', args: { cells: [{ ...cell, value: { literal: formatColour(colour) } }] } }, `Text colour that passes, ${state}`);
  };

  return (
    <section aria-label="Look sheet" className="flex h-full min-h-0 flex-col">
      <SheetHead sheet={sheet} site={site} />
      <div className="min-h-0 grow overflow-auto bg-white">
        <table ref={table} role="grid" aria-label={`Look of ${sheet.kind.label}`} onKeyDown={onKeyDown} className="w-full border-separate border-spacing-0 text-bench tabular">
          <thead>
            <tr>
              <th scope="col" className="sticky top-0 left-0 z-20 w-[112px] border-r border-b border-twine bg-linen" />
              {sheet.states.map((state) => (
                <th key={state} scope="col" className={`sticky top-0 z-10 h-[25px] min-w-[92px] border-r border-b border-twine px-2 text-left font-normal ${state === focusedState ? 'bg-ochre-wash font-semibold' : 'bg-linen'}`}>{state}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {groupedRows(sheet).map(({ row: entry, starts }) => [
              <tr key={entry.property}>
                <th scope="row" title={property(entry.property).hint} className={`sticky left-0 z-10 border-r border-b border-twine bg-linen px-2 text-left font-normal whitespace-nowrap ${starts ? 'border-t border-t-twine' : ''}`}>{property(entry.property).label}</th>
                {entry.cells.map((cell) => {
                  const { property: id, state } = cell.cell;
                  const focused = id === focusedRow && state === focusedState;
                  return (
                    <CellView key={state} site={site} cell={cell} focused={focused} typing={focused ? typing : null}
                      onFocus={() => { focusCell(id, state); }} onEdit={(start) => { setTyping(start ?? ''); }}
                      onDone={(down) => { setTyping(null); moveTo(down ? (rowIds[rowIds.indexOf(id) + 1] ?? id) : id, state); }} />
                  );
                })}
              </tr>,
              entry.property === 'colour' && sheet.contrast.some((report) => report !== null) && (
                <tr key="contrast">
                  <th scope="row" title="Contrast with what is really behind, by WCAG 2.2" className="sticky left-0 z-10 border-r border-b border-twine bg-linen px-2 text-left font-normal">contrast</th>
                  {sheet.states.map((state, index) => <Ratio key={state} report={sheet.contrast[index] ?? null} onFix={() => { mend(state); }} />)}
                </tr>
              ),
            ])}
          </tbody>
        </table>
      </div>
      {current && <CellStrip site={site} kind={sheet.kind} cell={current} onClear={clear} />}
    </section>
  );
}

const LEVELS = [{ value: 'all', label: 'all levels' }, { value: '1', label: 'level 1' }, { value: '2', label: 'level 2' }, { value: '3', label: 'level 3' }] as const;

function SheetHead({ sheet, site }: { readonly sheet: Sheet; readonly site: Site }) {
  const selected = useBench((state) => state.selected);
  const reach = useBench((state) => state.reach);
  const reaches = [{ value: 'all', label: 'all widths' }, ...site.bands.slice(1).map((band) => ({ value: band.id, label: `${band.name} and narrower` }))];
  return (
    <div className="flex h-9 shrink-0 items-center gap-3 border-b border-twine px-3 text-bench">
      <h2 className="font-semibold">{sheet.kind.label}</h2>
      {sheet.kind.levels.length > 1 && (
        <Choice label="Level" value={selected.level} options={LEVELS} onChange={(level) => { benchStore.setState({ selected: { ...selected, level: level as typeof selected.level, index: 0 } }); }} />
      )}
      <span className="ml-auto text-small text-ink-faint">reach</span>
      <Choice label="Reach" value={reaches.some((entry) => entry.value === reach) ? reach : 'all'} options={reaches} onChange={(value) => { benchStore.setState({ reach: value }); }} />
    </div>
  );
}
