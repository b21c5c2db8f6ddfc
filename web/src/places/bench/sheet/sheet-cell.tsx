import {
  colourOf,
  coloursIn,
  formatColour,
  formatValue,
  property,
  readLength,
  sameJson,
  stepValue,
  type Cell,
  type Site,
} from '@hamaca/core';
import { memo, useRef } from 'react';
import { useSiteStore } from '../../../store/open-site.tsx';
import { benchStore } from '../../../store/bench-store.ts';
import { CellInput } from './cell-input.tsx';
import { setCells } from './sheet-edits.ts';
import type { SheetCell } from './sheet-model.ts';
import { useDrag } from '../use-drag.ts';

const CROSSED = 'bg-[linear-gradient(135deg,transparent_46%,var(--color-brick)_46%_54%,transparent_54%)]';

/** The colours of a value as small squares; nothing is crossed out. */
function ColourChips({ site, cell }: { readonly site: Site; readonly cell: SheetCell }) {
  return coloursIn(cell.resolved.value)
    .slice(0, 3)
    .map((value, index) => {
      const colour = colourOf(site, value);
      return (
        <span
          key={index}
          aria-hidden="true"
          className={`size-3.5 shrink-0 rounded-[2px] border border-ink/25 ${colour.a === 0 ? CROSSED : ''}`}
          style={colour.a === 0 ? {} : { background: formatColour(colour) }}
        />
      );
    });
}

/** Pixels of the pointer's way that make one step. */
const WAY = 3;

/** A grip that changes a number by dragging sideways: one step of undo, Escape leads back. */
function Grip({ cell }: { readonly cell: SheetCell }) {
  const store = useSiteStore();
  const { property: id, state } = cell.cell;
  const { value } = cell.resolved;
  const start = useRef({ x: 0, value });
  const last = useRef<typeof value | null>(null);
  const asEdit = (dragged: typeof value) => setCells([{ ...cell.cell, value: dragged }]);
  const drag = useDrag({
    onMove: (event) => {
      const steps =
        Math.round((event.clientX - start.current.x) / WAY) * (event.shiftKey ? 10 : event.altKey ? 0.1 : 1);
      last.current = steps === 0 ? null : stepValue(id, start.current.value, steps);
      store.preview(last.current === null ? null : asEdit(last.current));
    },
    onEnd: () => {
      if (last.current !== null) store.edit(asEdit(last.current), `${property(id).label}, ${state}`);
      else store.preview(null);
    },
    onCancel: () => {
      store.preview(null);
    },
  });
  return (
    <span
      aria-hidden="true"
      title="Drag to change"
      {...drag}
      onPointerDown={(event) => {
        start.current = { x: event.clientX, value };
        last.current = null;
        drag.onPointerDown(event);
      }}
      className="ml-auto hidden h-6 w-6 shrink-0 cursor-ew-resize touch-none place-items-center text-ink-faint select-none group-hover:grid group-aria-selected:grid"
    >
      ↔
    </span>
  );
}

const isDraggable = (cell: SheetCell) => {
  const { kind } = property(cell.cell.property);
  const { value } = cell.resolved;
  return (
    (kind === 'length' || kind === 'number' || kind === 'corners') &&
    typeof value !== 'object' &&
    readLength(value) !== null
  );
};

interface CellProps {
  readonly site: Site;
  readonly cell: SheetCell;
  readonly focused: boolean;
  /** Whether it lies in the range that is taken. */
  readonly taken: boolean;
  readonly typing: string | null;
  /** Always the same object: what it does may change. */
  readonly actions: CellActions;
}

/** What a cell asks its sheet for. */
export interface CellActions {
  readonly focus: (cell: Cell, extend: boolean) => void;
  readonly edit: () => void;
  readonly done: (cell: Cell, down: boolean) => void;
  /** The cells that take what is typed into one. */
  readonly fills: (cell: SheetCell) => readonly SheetCell[];
}

/** Whether two documents call values by the same names and colours. */
const sameNames = (a: Site, b: Site) =>
  a === b || (a.palette === b.palette && a.roles === b.roles && a.typeStyles === b.typeStyles);

/** An edit makes every cell anew; only those that come out different are drawn again. */
const isSameCell = (a: CellProps, b: CellProps) =>
  a.focused === b.focused &&
  a.taken === b.taken &&
  a.typing === b.typing &&
  a.actions === b.actions &&
  sameNames(a.site, b.site) &&
  sameJson(a.cell, b.cell);

/** One value: its own in full ink, an inherited one faint with a dot, and where it comes from on pointing. */
export const SheetCellView = memo(function SheetCellView(props: CellProps) {
  const { site, cell, focused, taken, typing, actions } = props;
  const { state, property: id } = cell.cell;
  const type = site.typeStyles.find((style) => style.id === cell.resolved.type);
  const text = `${formatValue(site, cell.resolved.value)}${type ? ` of ${type.name}` : ''}`;
  const trail = cell.trail.map((step) => step.label);
  return (
    <td
      role="gridcell"
      aria-selected={focused || taken}
      aria-label={`${property(id).label}, ${state}: ${text}${cell.own ? '' : `, from ${trail.join(', ')}`}`}
      data-cell={`${id} ${state}`}
      data-own={cell.own}
      tabIndex={focused ? 0 : -1}
      title={cell.own ? `set here · ${trail.join(' ← ')}` : trail.join(' ← ')}
      onFocus={(event) => {
        if (event.target === event.currentTarget && !focused) actions.focus(cell.cell, false);
      }}
      onMouseDown={(event) => {
        if (event.shiftKey) {
          event.preventDefault();
          actions.focus(cell.cell, true);
        }
      }}
      onClick={(event) => {
        if (!event.shiftKey && typing === null) {
          benchStore.setState({ anchor: null });
          actions.focus(cell.cell, false);
          event.currentTarget.focus();
        }
      }}
      onDoubleClick={() => {
        actions.edit();
      }}
      className={`group relative h-[27px] max-w-[220px] border-r border-b border-linen p-0 ${focused ? 'bg-ochre-wash outline-2 -outline-offset-2 outline-twine group-focus-within/sheet:outline-ochre' : taken ? 'bg-ochre-wash' : 'hover:bg-cotton'}`}
    >
      {typing !== null ? (
        <CellInput
          cell={cell}
          fills={actions.fills(cell)}
          start={typing}
          onDone={(down) => {
            actions.done(cell.cell, down);
          }}
        />
      ) : (
        <span
          className={`flex items-center gap-1.5 px-2 whitespace-nowrap ${cell.own ? 'font-medium text-ink' : 'text-ink-faint'}`}
        >
          <ColourChips site={site} cell={cell} />
          <span className={property(id).kind === 'declarations' ? 'w-24 truncate' : 'truncate'}>{text}</span>
          {!cell.own && (
            <span aria-hidden="true" className="text-twine">
              ·
            </span>
          )}
          {cell.exceptions.length > 0 && (
            <span
              title={`another value in ${cell.exceptions.join(', ')}`}
              className="ml-auto size-[9px] shrink-0 rounded-full border-2 border-ink bg-cotton"
            />
          )}
          {isDraggable(cell) && <Grip cell={cell} />}
        </span>
      )}
    </td>
  );
}, isSameCell);
