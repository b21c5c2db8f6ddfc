import { NO_TARGET, stepPlace, type Menu, type Site } from '@hamaca/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { Button } from '../../controls/button.tsx';
import { useSiteStore } from '../../state/open-site.tsx';
import { randomId } from '../../state/pending.ts';
import { dropPlace, outlineRows, type DropSide, type OutlineRow } from './outline-rows.ts';
import { TargetField } from './target-field.tsx';

const ROW = 32;
const INDENT = 24;

interface Drop {
  readonly over: string;
  readonly side: DropSide;
}

/** The label of a link; it counts when it is left, and before anything else is done to the line. */
function LabelField({ row, onCommit, onKeyDown }: { readonly row: OutlineRow; readonly onCommit: (label: string) => void; readonly onKeyDown: (event: KeyboardEvent<HTMLInputElement>) => void }) {
  const [text, setText] = useState<string | null>(null);
  const commit = () => {
    if (text !== null && text !== row.item.label) onCommit(text);
    setText(null);
  };
  return (
    <input value={text ?? row.item.label} placeholder="label" aria-label="Label" data-column="label" data-dirty={text !== null} maxLength={500}
      className="h-7 min-w-0 grow rounded-[2px] border border-transparent bg-transparent px-1.5 text-[14px] placeholder:text-ink-faint hover:border-twine focus:border-ochre focus:bg-white"
      onChange={(event) => { setText(event.target.value); }} onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Escape' && text !== null) { event.stopPropagation(); setText(null); return; }
        if (['Enter', 'Tab', 'ArrowUp', 'ArrowDown'].includes(event.key)) commit();
        onKeyDown(event);
      }} />
  );
}

interface Props {
  readonly site: Site;
  readonly menu: Menu;
}

/** A menu as an outline that is edited like text, by keyboard or by mouse. */
export function Outline({ site, menu }: Props) {
  const store = useSiteStore();
  const [folded, setFolded] = useState<ReadonlySet<string>>(new Set());
  const [focus, setFocus] = useState<{ id: string; column: string } | null>(null);
  const [drag, setDrag] = useState<{ id: string; drop: Drop | null } | null>(null);
  const scroller = useRef<HTMLDivElement>(null);
  const rows = useMemo(() => outlineRows(menu, folded), [menu, folded]);
  const virtual = useVirtualizer({ count: rows.length, getScrollElement: () => scroller.current, estimateSize: () => ROW, overscan: 12, getItemKey: (index) => rows[index]?.item.id ?? index });

  // Before the next key can come: what is typed after Enter belongs to the new line.
  useLayoutEffect(() => {
    if (!focus) return;
    const index = rows.findIndex((row) => row.item.id === focus.id);
    if (index === -1) return;
    const enter = () => {
      const field = scroller.current?.querySelector<HTMLInputElement>(`[data-row="${CSS.escape(focus.id)}"] [data-column="${focus.column}"]`);
      field?.focus({ preventScroll: true });
      if (field) setFocus(null);
      return field !== null && field !== undefined;
    };
    const entered = enter();
    virtual.scrollToIndex(index);
    if (entered) return;
    // A line far away is drawn once the list has scrolled to it.
    const id = requestAnimationFrame(enter);
    return () => { cancelAnimationFrame(id); };
  }, [focus, rows, virtual]);

  const addAfter = (row: OutlineRow | null) => {
    const id = `link-${randomId()}`;
    const item = { id, label: '', target: NO_TARGET, children: [] };
    const below = row && !row.folded && row.hasChildren;
    const placed = row ? stepPlace(store.getState().site ?? site, row.item.id, 'down') : null;
    const siblingsEnd = row ? siblingIndex(row) + 1 : menu.items.length;
    const place = row && below ? { menu: menu.id, parent: row.item.id, index: 0 }
      : { menu: menu.id, parent: row ? parentId(row) : null, index: placed ? placed.index : siblingsEnd };
    if (store.edit({ name: 'add-item', args: { place, item } }, 'Add a link')) setFocus({ id, column: 'label' });
  };
  const parents = useMemo(() => parentIndex(menu), [menu]);
  const parentId = (row: OutlineRow) => parents.get(row.item.id)?.parent ?? null;
  const siblingIndex = (row: OutlineRow) => parents.get(row.item.id)?.index ?? 0;

  const move = (row: OutlineRow, step: 'up' | 'down' | 'in' | 'out', column: string) => {
    const place = stepPlace(store.getState().site ?? site, row.item.id, step);
    if (!place) return;
    if (step === 'in' && place.parent !== null) setFolded((before) => new Set([...before].filter((id) => id !== place.parent)));
    if (store.edit({ name: 'move-item', args: { id: row.item.id, place } }, 'Move a link')) setFocus({ id: row.item.id, column });
  };
  const remove = (row: OutlineRow) => {
    const index = rows.findIndex((entry) => entry.item.id === row.item.id);
    const next = rows[index - 1] ?? rows[index + 1];
    if (store.edit({ name: 'remove-items', args: { ids: [row.item.id] } }, `Remove “${row.item.label}”`) && next) setFocus({ id: next.item.id, column: 'label' });
  };
  const toggle = (id: string) => {
    setFolded((before) => (before.has(id) ? new Set([...before].filter((entry) => entry !== id)) : new Set([...before, id])));
  };

  const onKeyDown = (row: OutlineRow, column: string) => (event: KeyboardEvent<HTMLInputElement>) => {
    const field = event.currentTarget;
    const at = rows.findIndex((entry) => entry.item.id === row.item.id);
    const goTo = (index: number) => { const next = rows[index]; if (next) setFocus({ id: next.item.id, column }); };
    const done = () => { event.preventDefault(); event.stopPropagation(); };
    if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) { done(); move(row, event.key === 'ArrowUp' ? 'up' : 'down', column); }
    else if (event.ctrlKey || event.metaKey || event.altKey) return;
    else if (event.key === 'Enter') { done(); addAfter(row); }
    else if (event.key === 'Tab' && column === 'label') { done(); move(row, event.shiftKey ? 'out' : 'in', column); }
    else if (event.key === 'ArrowUp') { done(); goTo(at - 1); }
    else if (event.key === 'ArrowDown') { done(); goTo(at + 1); }
    else if (event.key === 'ArrowRight' && column === 'label' && field.selectionStart === field.value.length) { done(); setFocus({ id: row.item.id, column: 'target' }); }
    else if (event.key === 'ArrowLeft' && column === 'target' && field.selectionStart === 0 && field.selectionEnd === 0) { done(); setFocus({ id: row.item.id, column: 'label' }); }
    else if (event.key === 'Backspace' && column === 'label' && field.value === '' && !row.hasChildren) { done(); remove(row); }
    else if (event.key === 'Escape') { done(); scroller.current?.focus(); }
  };

  const dropAt = (event: PointerEvent<HTMLElement>): Drop | null => {
    const box = scroller.current?.getBoundingClientRect();
    if (!box) return null;
    const y = event.clientY - box.top + (scroller.current?.scrollTop ?? 0);
    const index = Math.max(0, Math.min(rows.length - 1, Math.floor(y / ROW)));
    const row = rows[index];
    if (!row) return null;
    const share = (y - index * ROW) / ROW;
    return { over: row.item.id, side: share < 0.3 ? 'before' : share > 0.7 ? 'after' : 'inside' };
  };
  const handle = (row: OutlineRow) => ({
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      event.preventDefault();
      event.currentTarget.setPointerCapture(event.pointerId);
      setDrag({ id: row.item.id, drop: null });
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      if (!drag) return;
      const drop = dropAt(event);
      setDrag({ id: drag.id, drop: drop && dropPlace(site, menu.id, drag.id, drop.over, drop.side) ? drop : null });
    },
    onPointerUp: () => {
      const place = drag?.drop ? dropPlace(site, menu.id, drag.id, drag.drop.over, drag.drop.side) : null;
      if (drag && place) store.edit({ name: 'move-item', args: { id: drag.id, place } }, 'Move a link');
      setDrag(null);
    },
    onPointerCancel: () => { setDrag(null); },
  });

  return (
    <div className="flex min-h-0 grow flex-col">
      <div ref={scroller} role="treegrid" aria-label={`Links of ${menu.name}`} tabIndex={-1} className="relative min-h-0 grow overflow-auto border border-twine bg-white"
        onKeyDown={(event) => { if (event.key === 'Escape') setDrag(null); }}>
        {rows.length === 0 && <p className="p-4 text-bench text-ink-soft">No links yet. Add the first one and type; Enter adds the next, Tab nests it.</p>}
        <div style={{ height: virtual.getTotalSize(), position: 'relative' }}>
          {virtual.getVirtualItems().map(({ index, start }) => {
            const row = rows[index];
            if (!row) return null;
            const drop = drag?.drop?.over === row.item.id ? drag.drop.side : null;
            return (
              <div key={row.item.id} role="row" aria-level={row.depth} aria-expanded={row.hasChildren ? !row.folded : undefined} aria-rowindex={index + 1} data-row={row.item.id}
                style={{ position: 'absolute', top: 0, left: 0, right: 0, height: ROW, transform: `translateY(${start}px)` }}
                className={`group grid grid-cols-[1fr_minmax(180px,38%)_64px] items-center border-b border-linen pr-2 focus-within:z-10 focus-within:bg-ochre-wash/50 ${drag?.id === row.item.id ? 'opacity-50' : ''} ${drop === 'inside' ? 'bg-ochre-wash outline-2 -outline-offset-2 outline-ochre' : ''}`}>
                {drop === 'before' && <span className="absolute inset-x-0 -top-[2px] z-20 h-[3px] bg-ochre" style={{ left: (row.depth - 1) * INDENT + 24 }} />}
                {drop === 'after' && <span className="absolute inset-x-0 -bottom-[2px] z-20 h-[3px] bg-ochre" style={{ left: (row.depth - 1) * INDENT + 24 }} />}
                <div role="gridcell" className="flex min-w-0 items-center" style={{ paddingInlineStart: (row.depth - 1) * INDENT }}>
                  <span {...handle(row)} title="Drag to move" className="grid h-8 w-6 shrink-0 cursor-grab touch-none place-items-center text-rope" aria-hidden="true">⠿</span>
                  {row.hasChildren
                    ? <button type="button" tabIndex={-1} aria-label={`${row.folded ? 'Unfold' : 'Fold'} ${row.item.label}`} onClick={() => { toggle(row.item.id); }} className="grid size-6 shrink-0 place-items-center text-ink-soft">{row.folded ? '▸' : '▾'}</button>
                    : <span className="w-6 shrink-0" />}
                  <LabelField row={row} onKeyDown={onKeyDown(row, 'label')} onCommit={(label) => { store.edit({ name: 'set-item', args: { id: row.item.id, label } }, `Rename “${row.item.label}”`); }} />
                </div>
                <div role="gridcell"><TargetField site={site} target={row.item.target} label={row.item.label} onKeyDown={onKeyDown(row, 'target')}
                  onCommit={(target) => { store.edit({ name: 'set-item', args: { id: row.item.id, target } }, `Target of “${row.item.label}”`); }} /></div>
                <div role="gridcell" className="flex justify-end opacity-0 group-focus-within:opacity-100 group-hover:opacity-100">
                  <button type="button" tabIndex={-1} aria-label={`Add a link below ${row.item.label}`} title="Add below" onClick={() => { addAfter(row); }} className="grid size-7 place-items-center rounded-[2px] hover:bg-linen">+</button>
                  <button type="button" tabIndex={-1} aria-label={`Remove ${row.item.label}`} title={row.hasChildren ? 'Remove with all links in it' : 'Remove'} onClick={() => { remove(row); }} className="grid size-7 place-items-center rounded-[2px] hover:bg-linen">✕</button>
                </div>
              </div>
            );
          })}
        </div>
      </div>
      <div className="pt-2"><Button onClick={() => { addAfter(null); }}>Add a link</Button></div>
    </div>
  );
}

/** Parent and place of every link of a menu. */
function parentIndex(menu: Menu): ReadonlyMap<string, { parent: string | null; index: number }> {
  const found = new Map<string, { parent: string | null; index: number }>();
  const waiting: { parent: string | null; items: Menu['items'] }[] = [{ parent: null, items: menu.items }];
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const { parent, items } = next;
    items.forEach((item, index) => {
      found.set(item.id, { parent, index });
      waiting.push({ parent: item.id, items: item.children });
    });
  }
  return found;
}
