import { useRef } from 'react';
import { useDraggedLine } from '../outline/use-outline-drag.ts';
import type { PageRow } from './page-rows.ts';

/** Height of a line, in px. */
export const ROW = 28;

/** The id of a line's element, by which the list tells which of them its keys are about. */
export const lineId = (key: string): string => `page-line-${key}`;

interface Props {
  readonly row: PageRow;
  /** Where it stands in the list, in px from its top. */
  readonly start: number;
  readonly isOpen: boolean;
  readonly isSelected: boolean;
  /** Ids of the pages that a drag of this line takes along. */
  readonly dragged: () => readonly string[];
  readonly onChoose: (how: { readonly shift: boolean; readonly toggle: boolean }) => void;
  readonly onInsert: () => void;
  readonly onToggle: (open: boolean) => void;
}

/** One page of the inventory, or a section of it: its title, its path, the menus it is in. */
export function PageLine({ row, start, isOpen, isSelected, dragged, onChoose, onInsert, onToggle }: Props) {
  const { page, section, key, menus, doubtful } = row;
  const line = useRef<HTMLDivElement>(null);
  const asDrag = () => {
    const ids = section ? [] : dragged();
    return ids.length > 0 ? { kind: 'pages' as const, ids } : null;
  };
  const drag = useRef(asDrag);
  drag.current = asDrag;
  useDraggedLine(line, null, drag);
  return (
    <div
      ref={line}
      role="row"
      id={lineId(key)}
      aria-selected={isSelected}
      data-page={key}
      style={{
        position: 'absolute',
        top: 0,
        left: 0,
        right: 0,
        height: ROW,
        transform: `translateY(${start}px)`,
      }}
      onPointerDown={(event) => {
        const how = { shift: event.shiftKey, toggle: event.ctrlKey || event.metaKey };
        // Several that are selected are dragged together: a press alone does not let the others go.
        if (!isSelected || how.shift || how.toggle) onChoose(how);
      }}
      onClick={(event) => {
        if (!event.shiftKey && !event.ctrlKey && !event.metaKey) onChoose({ shift: false, toggle: false });
      }}
      onDoubleClick={onInsert}
      className={`grid cursor-default grid-cols-[24px_minmax(0,1fr)_minmax(0,1fr)_minmax(0,92px)] items-center gap-1 border-b border-linen pr-2 select-none ${isSelected ? 'bg-ochre-wash' : 'hover:bg-linen'}`}
    >
      <span role="gridcell" className="grid">
        <button
          type="button"
          tabIndex={-1}
          aria-label={`${isOpen ? 'Hide' : 'Show'} sections of ${page.title}`}
          onPointerDown={(event) => {
            event.stopPropagation();
          }}
          onClick={(event) => {
            event.stopPropagation();
            onToggle(!isOpen);
          }}
          className={`grid size-6 place-items-center text-[11px] text-ink-faint ${section || page.sections.length === 0 ? 'invisible' : ''}`}
        >
          {isOpen ? '▾' : '▸'}
        </button>
      </span>
      <span
        role="gridcell"
        className={`truncate ${section ? 'pl-3 text-ink-soft' : ''}`}
        title={section ? section.title : page.title}
      >
        {section ? `# ${section.title || section.id}` : page.title || '…'}
      </span>
      <span role="gridcell" className="truncate text-ink-faint tabular" title={page.path}>
        {section ? `#${section.id}` : page.path}
      </span>
      <span
        role="gridcell"
        className="truncate text-right text-small text-ink-faint"
        title={menus.join(', ')}
      >
        {section ? '' : doubtful ? '▲ only in links' : menus.length === 0 ? '— no menu' : menus.join(', ')}
      </span>
    </div>
  );
}
