import { checkTypedLabel, type Finding, type Site } from '@hamaca/core';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import {
  goToLine,
  linksStore,
  selectTo,
  useLinks,
  type Column,
  type DropSide,
} from '../../../store/links-store.ts';
import { FindingSign } from '../../../findings/finding-sign.tsx';
import type { OutlineRow } from './outline-rows.ts';
import { TargetField } from './target-field.tsx';
import { draggedWith, useDraggedLine } from './use-outline-drag.ts';

export const ROW = 32;
const INDENT = 24;

/** How a link's role shows before its label: a word, not a colour. */
const ROLE_SIGNS: Readonly<Record<string, string>> = { action: 'call', heading: 'heading', divider: 'line' };

interface LabelProps {
  readonly site: Site;
  readonly row: OutlineRow;
  readonly onCommit: (label: string) => void;
  readonly onKeyDown: (event: KeyboardEvent<HTMLInputElement>) => void;
  readonly onFocus: () => void;
  readonly onTyped: (findings: readonly Finding[] | null) => void;
}

/** The label of a link; it counts when it is left, and before anything else is done to the line. */
function LabelField({ site, row, onCommit, onKeyDown, onFocus, onTyped }: LabelProps) {
  const [text, setText] = useState<string | null>(null);
  const end = () => {
    setText(null);
    onTyped(null);
  };
  const keep = () => {
    if (text !== null && text !== row.item.label) onCommit(text);
  };
  const commit = () => {
    keep();
    if (text !== null) end();
  };
  // The line may go while one types: scrolled out of sight, or removed by someone else, which is then said.
  const latest = useRef(keep);
  latest.current = keep;
  useEffect(
    () => () => {
      latest.current();
    },
    [],
  );
  return (
    <input
      value={text ?? row.item.label}
      placeholder={row.item.role === 'divider' ? 'a line' : 'label'}
      aria-label="Label"
      data-column="label"
      data-dirty={text !== null}
      maxLength={500}
      className={`h-7 min-w-0 grow rounded-[2px] border border-transparent bg-transparent px-1.5 text-[14px] placeholder:text-ink-faint hover:border-twine focus:border-ochre focus:bg-white ${row.item.role === 'heading' ? 'font-semibold' : ''}`}
      onFocus={onFocus}
      onChange={(event) => {
        setText(event.target.value);
        onTyped(checkTypedLabel(site, row.item.id, event.target.value));
      }}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Escape' && text !== null) {
          event.stopPropagation();
          end();
          return;
        }
        if (
          ['Enter', 'Tab', 'ArrowUp', 'ArrowDown'].includes(event.key) ||
          ((event.ctrlKey || event.metaKey) && ['d', 'x', 'c', 'v'].includes(event.key))
        )
          commit();
        onKeyDown(event);
      }}
    />
  );
}

/** What is said about a link's level: how deep it is, and whether and how it will be seen. */
function levelNote(
  depth: number,
  shown: number | null,
): { readonly text: string; readonly title: string } | null {
  if (shown !== null && depth > shown)
    return {
      text: 'not shown',
      title: `No placement of this menu shows level ${depth}; the deepest shows ${shown}.`,
    };
  if (depth > 3)
    return {
      text: `level ${depth}`,
      title: 'Levels beyond the third are drawn like the third, each indented once more.',
    };
  return null;
}

interface Props {
  readonly site: Site;
  readonly row: OutlineRow;
  readonly shown: number | null;
  readonly findings: readonly Finding[];
  readonly selected: boolean;
  readonly drop: DropSide | null;
  readonly order: () => string[];
  readonly onKeyDown: (row: OutlineRow, column: Column) => (event: KeyboardEvent<HTMLInputElement>) => void;
  readonly onLabel: (label: string) => void;
  readonly onTarget: (target: Parameters<Parameters<typeof TargetField>[0]['onCommit']>[0]) => void;
  readonly onFold: () => void;
}

/** One line of the outline: fold sign, handle, label, target and what is wrong with it. */
export function OutlineLine({
  site,
  row,
  shown,
  findings,
  selected,
  drop,
  order,
  onKeyDown,
  onLabel,
  onTarget,
  onFold,
}: Props) {
  const { item, depth } = row;
  const [typed, setTyped] = useState<readonly Finding[] | null>(null);
  const isOpen = useLinks((state) => state.open === item.id);
  const isDragged = useLinks((state) => state.drag?.kind === 'items' && state.drag.ids.includes(item.id));
  const onFocus = () => {
    const { caret, selected: before } = linksStore.getState();
    // Moving a selection keeps it; coming to another line ends it.
    if (caret !== item.id || !before.has(item.id))
      linksStore.setState({ caret: item.id, selected: new Set([item.id]), anchor: item.id });
  };
  const line = useRef<HTMLDivElement>(null);
  const grip = useRef<HTMLSpanElement>(null);
  const dragged = useRef(() => ({ kind: 'items' as const, ids: draggedWith(site, item.id) }));
  dragged.current = () => ({ kind: 'items', ids: draggedWith(site, item.id) });
  useDraggedLine(line, grip, dragged);
  const press = (event: React.PointerEvent) => {
    if (event.shiftKey) selectTo(item.id, order());
    else if (event.ctrlKey || event.metaKey) {
      const next = new Set(linksStore.getState().selected);
      if (!next.delete(item.id)) next.add(item.id);
      linksStore.setState({ selected: next, caret: item.id, anchor: item.id });
      return;
    } else if (!linksStore.getState().selected.has(item.id))
      linksStore.setState({
        caret: item.id,
        selected: new Set([item.id]),
        anchor: item.id,
      });
  };
  const note = levelNote(depth, shown);
  const indent = (depth - 1) * INDENT;
  return (
    <div
      ref={line}
      style={{ height: ROW }}
      className={`group relative grid grid-cols-[1fr_minmax(150px,40%)_52px] items-center border-b border-linen pr-1 focus-within:bg-ochre-wash/60 ${selected ? 'bg-ochre-wash' : ''} ${isDragged ? 'opacity-45' : ''} ${drop === 'inside' ? 'outline-2 -outline-offset-2 outline-ochre' : ''}`}
    >
      {(drop === 'before' || drop === 'after') && (
        <span
          aria-hidden="true"
          data-drop={drop}
          className={`absolute right-0 z-20 h-[3px] bg-ochre ${drop === 'before' ? '-top-[2px]' : '-bottom-[2px]'}`}
          style={{ left: indent + 24 }}
        />
      )}
      <div role="gridcell" className="flex min-w-0 items-center" style={{ paddingInlineStart: indent }}>
        <button
          type="button"
          tabIndex={-1}
          aria-label={`${row.folded ? 'Unfold' : 'Fold'} ${item.label}`}
          onClick={onFold}
          className={`grid size-6 shrink-0 place-items-center text-[11px] text-ink-faint hover:text-ink ${row.hasChildren ? '' : 'invisible'}`}
        >
          {row.folded ? '▸' : '▾'}
        </button>
        <span
          ref={grip}
          onPointerDown={press}
          onClick={(event) => {
            if (!event.shiftKey && !event.ctrlKey && !event.metaKey) goToLine(item.id);
          }}
          title="Drag to move; Shift or Ctrl and click to take more"
          className="grid h-6 w-5 shrink-0 cursor-grab touch-none place-items-center text-ink-faint/60 select-none group-hover:text-ink-faint"
        >
          ⠿
        </span>
        {item.role !== undefined && (
          <span className="mr-1 shrink-0 rounded-[2px] border border-twine px-1 text-[11px] leading-4 text-ink-faint">
            {ROLE_SIGNS[item.role]}
          </span>
        )}
        <LabelField
          site={site}
          row={row}
          onCommit={onLabel}
          onFocus={onFocus}
          onKeyDown={onKeyDown(row, 'label')}
          onTyped={setTyped}
        />
        {row.folded && (
          <span className="ml-1 shrink-0 text-small text-ink-faint tabular">
            {item.children.length} in it
          </span>
        )}
        {note && (
          <span title={note.title} className="mx-1 shrink-0 text-small text-ink-faint">
            {note.text}
          </span>
        )}
      </div>
      <div role="gridcell" className="min-w-0">
        <TargetField
          site={site}
          target={item.target}
          label={item.label}
          opens={row.hasChildren || item.role === 'heading'}
          onCommit={onTarget}
          onKeyDown={onKeyDown(row, 'target')}
          onFocus={onFocus}
        />
      </div>
      <div role="gridcell" className="flex items-center justify-end gap-1">
        <FindingSign findings={typed ?? findings} />
        <button
          type="button"
          tabIndex={-1}
          aria-label={`Details of ${item.label}`}
          aria-expanded={isOpen}
          title="Everything else about this link (Alt+Enter)"
          onClick={() => {
            linksStore.setState({
              open: isOpen ? null : item.id,
              caret: item.id,
              selected: new Set([item.id]),
              anchor: item.id,
            });
          }}
          className={`grid size-6 place-items-center rounded-[2px] text-ink-faint hover:bg-linen hover:text-ink ${isOpen ? 'bg-linen text-ink' : ''}`}
        >
          ⋯
        </button>
      </div>
    </div>
  );
}
