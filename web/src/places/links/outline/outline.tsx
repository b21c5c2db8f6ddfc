import { shownDepth, type Finding, type Menu, type Site } from '@hamaca/core';
import { defaultRangeExtractor, useVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useMemo, useRef, type ClipboardEvent, type KeyboardEvent } from 'react';
import { useSiteStore } from '../../../store/open-site.tsx';
import { notify } from '../../../store/notices.ts';
import { WORDS } from '../../../words/words.ts';
import { copyBranches, pastedLinks } from './clipboard.ts';
import { LinkDetails } from './link-details.tsx';
import { goToLine, linksStore, selectTo, useLinks, type Column } from '../../../store/links-store.ts';
import type { OutlineActions } from './outline-actions.ts';
import { OutlineLine, ROW } from './outline-row.tsx';
import { outlineRows, type OutlineRow } from './outline-rows.ts';
import { useDropOnLines } from './use-outline-drag.ts';

interface Props {
  readonly site: Site;
  readonly menu: Menu;
  readonly actions: OutlineActions;
  readonly findings: ReadonlyMap<string, readonly Finding[]>;
}

const NONE: readonly Finding[] = [];
const NO_IDS: readonly string[] = [];

/** Whether a field has words selected in it: then copy and cut are about these. */
const hasWordsSelected = (target: EventTarget | null) =>
  target instanceof HTMLInputElement && target.selectionStart !== target.selectionEnd;

/** A menu as an outline that is edited like text, by keyboard or by mouse. */
export function Outline({ site, menu, actions, findings }: Props) {
  const store = useSiteStore();
  const folded = useLinks((state) => state.folded);
  const wanted = useLinks((state) => state.wanted);
  const selected = useLinks((state) => state.selected);
  const open = useLinks((state) => state.open);
  const drop = useLinks((state) => state.drag?.drop ?? null);
  const scroller = useRef<HTMLDivElement>(null);
  const rows = useMemo(() => outlineRows(menu, folded), [menu, folded]);
  const depth = useMemo(() => shownDepth(site, menu.id), [site, menu.id]);
  const dragged = useLinks((state) => (state.drag?.kind === 'items' ? state.drag.ids : NO_IDS));
  useDropOnLines(scroller);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 12,
    getItemKey: (index) => rows[index]?.item.id ?? index,
    // What is dragged stays there, also where the list has scrolled on: the browser ends a drag whose line is gone.
    rangeExtractor: (range) => {
      const held = dragged.map((id) => rows.findIndex((row) => row.item.id === id)).filter((at) => at >= 0);
      return [...new Set([...defaultRangeExtractor(range), ...held])].sort((a, b) => a - b);
    },
  });

  // Before the next key can come: what is typed after Enter belongs to the new line.
  useLayoutEffect(() => {
    if (!wanted) return;
    const index = rows.findIndex((row) => row.item.id === wanted.id);
    if (index === -1) return;
    const enter = () => {
      const field = scroller.current?.querySelector<HTMLInputElement>(
        `[data-row="${CSS.escape(wanted.id)}"] [data-column="${wanted.column}"]`,
      );
      // Whoever opened a dialog in the meantime types there.
      if (!document.activeElement?.closest('[role="dialog"]')) field?.focus({ preventScroll: true });
      if (field) linksStore.setState({ wanted: null });
      return field !== null && field !== undefined;
    };
    const entered = enter();
    virtual.scrollToIndex(index);
    if (entered) return;
    // A line far away is drawn once the list has scrolled to it.
    const id = requestAnimationFrame(enter);
    return () => {
      cancelAnimationFrame(id);
    };
  }, [wanted, rows, virtual]);

  const onKeyDown = (row: OutlineRow, column: Column) => (event: KeyboardEvent<HTMLInputElement>) => {
    const field = event.currentTarget;
    const at = rows.findIndex((entry) => entry.item.id === row.item.id);
    const goTo = (index: number) => {
      const next = rows[index];
      if (next) goToLine(next.item.id, column);
    };
    const done = () => {
      event.preventDefault();
      event.stopPropagation();
    };
    const extend = (index: number) => {
      const next = rows[index];
      if (!next) return;
      selectTo(
        next.item.id,
        rows.map((entry) => entry.item.id),
      );
      linksStore.setState({ caret: next.item.id, wanted: { id: next.item.id, column } });
    };
    const several = linksStore.getState().selected.size > 1;
    const vertical = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    if (event.altKey && vertical !== 0) {
      done();
      actions.step(vertical < 0 ? 'up' : 'down', column);
    } else if (event.altKey && event.key === 'Enter') {
      done();
      actions.toggleDetails();
    } else if (
      (event.ctrlKey || event.metaKey) &&
      event.key === 'a' &&
      column === 'label' &&
      !hasWordsSelected(field) &&
      field.value === ''
    ) {
      done();
      actions.selectAll();
    } else if (
      (event.ctrlKey || event.metaKey) &&
      event.key === 'a' &&
      field.selectionStart === 0 &&
      field.selectionEnd === field.value.length
    ) {
      done();
      actions.selectAll();
    } else if (event.ctrlKey || event.metaKey || event.altKey) return;
    else if (event.shiftKey && vertical !== 0) {
      done();
      extend(at + vertical);
    } else if (event.key === 'Enter') {
      done();
      actions.addAfterCaret();
    } else if (event.key === 'Tab' && (column === 'label' || several)) {
      done();
      actions.step(event.shiftKey ? 'out' : 'in', column);
    } else if (vertical !== 0) {
      done();
      goTo(at + vertical);
    } else if (
      event.key === 'ArrowRight' &&
      column === 'label' &&
      !several &&
      field.selectionStart === field.value.length
    ) {
      done();
      goToLine(row.item.id, 'target');
    } else if (
      event.key === 'ArrowLeft' &&
      column === 'target' &&
      field.selectionStart === 0 &&
      field.selectionEnd === 0
    ) {
      done();
      goToLine(row.item.id, 'label');
    } else if ((event.key === 'Delete' || event.key === 'Backspace') && several) {
      done();
      actions.remove();
    } else if (event.key === 'Backspace' && column === 'label' && field.value === '' && !row.hasChildren) {
      done();
      actions.remove();
    } else if (event.key === 'Escape') {
      done();
      if (several) linksStore.setState({ selected: new Set([row.item.id]), anchor: row.item.id });
      else if (open !== null) linksStore.setState({ open: null });
      else scroller.current?.focus();
    }
  };

  const onCopy = (event: ClipboardEvent) => {
    const ids = actions.selectedIds();
    if ((hasWordsSelected(event.target) && ids.length < 2) || ids.length === 0) return;
    event.preventDefault();
    copyBranches(store.getState().site ?? site, ids, event.clipboardData);
    if (event.type === 'cut') actions.remove();
  };
  const onPaste = (event: ClipboardEvent) => {
    const pasted = pastedLinks(store.getState().site ?? site, event.clipboardData);
    if (!pasted) return;
    event.preventDefault();
    actions.insert(pasted.links, `Paste ${pasted.links.items.length === 1 ? 'a link' : 'links'}`);
    if (pasted.notes.length > 0) notify({ tone: 'error', text: WORDS.pasteNotes(pasted.notes) });
  };

  return (
    <div
      ref={scroller}
      role="treegrid"
      aria-label={`Links of ${menu.name}`}
      aria-multiselectable="true"
      tabIndex={-1}
      data-outline={menu.id}
      className={`relative min-h-0 grow overflow-auto border border-twine bg-white ${drop && 'menu' in drop && drop.menu === menu.id ? 'outline-2 -outline-offset-2 outline-ochre' : ''}`}
      onCopy={onCopy}
      onCut={onCopy}
      onPaste={onPaste}
    >
      {rows.length === 0 && (
        <p className="p-4 text-bench text-ink-soft">
          No links yet. Add the first one and type; Enter adds the next, Tab nests it. Lines pasted from
          anywhere become links too.
        </p>
      )}
      <div style={{ height: virtual.getTotalSize(), position: 'relative' }}>
        {virtual.getVirtualItems().map(({ index, start }) => {
          const row = rows[index];
          if (!row) return null;
          const { id } = row.item;
          const own = findings.get(id) ?? NONE;
          return (
            <div
              key={id}
              ref={virtual.measureElement}
              data-index={index}
              role="row"
              aria-level={row.depth}
              aria-expanded={row.hasChildren ? !row.folded : undefined}
              aria-rowindex={index + 1}
              aria-selected={selected.has(id)}
              data-row={id}
              style={{ position: 'absolute', top: 0, left: 0, right: 0, transform: `translateY(${start}px)` }}
              className="focus-within:z-10"
            >
              <OutlineLine
                site={site}
                row={row}
                shown={depth}
                findings={own}
                selected={selected.has(id) && selected.size > 1}
                drop={drop && 'over' in drop && drop.over === id ? drop.side : null}
                order={() => rows.map((entry) => entry.item.id)}
                onKeyDown={onKeyDown}
                onFold={() => {
                  actions.toggleFold(id);
                }}
                onLabel={(label) => {
                  store.edit({ name: 'set-item', args: { id, fields: { label } } }, `Rename “${label}”`);
                }}
                onTarget={(target) => {
                  store.edit(
                    { name: 'set-item', args: { id, fields: { target } } },
                    `Target of “${row.item.label}”`,
                  );
                }}
              />
              {open === id && (
                <LinkDetails site={site} item={row.item} depth={row.depth} findings={own} actions={actions} />
              )}
            </div>
          );
        })}
      </div>
    </div>
  );
}

/** Findings by the link they are about. */
export function findingsByItem(findings: readonly Finding[]): ReadonlyMap<string, readonly Finding[]> {
  const found = new Map<string, Finding[]>();
  for (const finding of findings)
    if (finding.item !== null) found.set(finding.item, [...(found.get(finding.item) ?? []), finding]);
  return found;
}
