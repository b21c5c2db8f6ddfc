import { withPages, withPath, type PageRule, type Piece, type Site } from '@hamaca/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef, useState, type KeyboardEvent } from 'react';
import { Link } from 'react-router';
import { useEdit, useSiteState } from '../../store/open-site.tsx';
import { Choice } from '../../ui/choice.tsx';
import { DraftMark } from '../../ui/draft-mark.tsx';
import { PageCell } from './page-cell.tsx';
import { pagesOf, ruleWords, shownOn, type PageRow } from './page-rows.ts';

/** Height of a line, and width of the first and of every further column, in px. */
const ROW = 30;
const FIRST = 300;
const COLUMN = 132;

const RULES = { all: 'on all pages', only: 'only where told', except: 'on all but some' } as const;
type RuleKey = keyof typeof RULES;

const ruleKey = ({ pages }: Piece): RuleKey => pages?.shown ?? 'all';

/** Sets on which pages a piece is. */
function useRules() {
  const edit = useEdit();
  return (piece: Piece, rule: PageRule | undefined) => {
    edit(
      { name: 'set-owner', args: { id: piece.id, fields: { pages: rule ?? null } } },
      `${piece.name}: which pages`,
    );
  };
}

/** A piece with the rule it follows and the bands it is in. */
function Column({ site, piece }: { readonly site: Site; readonly piece: Piece }) {
  const id = useSiteState((state) => state.id);
  const edit = useEdit();
  const set = useRules();
  const words = ruleWords(site, piece);
  const bands = piece.bands ?? site.bands.map((band) => band.id);
  return (
    <div role="columnheader" className="grid content-start justify-items-center gap-1 px-1 py-2 text-center">
      <Link
        to={`/sites/${id}/bench/${piece.id}`}
        title="To its bench"
        className="max-w-full truncate font-semibold underline-offset-2 hover:underline"
      >
        {piece.name}
        {piece.draft === true && <DraftMark />}
      </Link>
      <Choice
        label={`Pages of ${piece.name}`}
        value={ruleKey(piece)}
        options={Object.entries(RULES).map(([value, label]) => ({ value, label }))}
        shown={words === 'on no page' ? '▲ on no page' : words}
        onChange={(value) => {
          const { pages = [], paths = [] } = piece.pages ?? {};
          set(piece, value === 'all' ? undefined : { shown: value as 'only' | 'except', pages, paths });
        }}
      />
      {site.bands.length > 1 && (
        <span
          role="group"
          aria-label={`Bands of ${piece.name}`}
          className="flex flex-wrap justify-center gap-0.5"
        >
          {site.bands.map((band) => {
            const isIn = bands.includes(band.id);
            const next = site.bands
              .map((one) => one.id)
              .filter((one) => (one === band.id ? !isIn : bands.includes(one)));
            return (
              <button
                key={band.id}
                type="button"
                aria-pressed={isIn}
                title={isIn ? `shown in ${band.name}` : `not shown in ${band.name}`}
                onClick={() => {
                  // Where it would be shown nowhere it is shown everywhere again.
                  const isAll = next.length === site.bands.length || next.length === 0;
                  edit(
                    { name: 'set-owner', args: { id: piece.id, fields: { bands: isAll ? null : next } } },
                    `${piece.name}: which bands`,
                  );
                }}
                className={`min-h-6 rounded-[2px] px-1 text-small ${isIn ? 'text-ink' : 'text-ink-faint line-through'}`}
              >
                {band.name}
              </button>
            );
          })}
        </span>
      )}
    </div>
  );
}

interface Props {
  readonly site: Site;
  readonly pieces: readonly Piece[];
  readonly rows: readonly PageRow[];
  /** Key of the line that is looked at. */
  readonly chosen: string;
  readonly onChoose: (row: PageRow) => void;
  readonly onFold: (path: string) => void;
}

/** Pages down, pieces across: a knot wherever a piece is shown. Arrow keys go from cell to cell, the space bar turns one. */
export function PageTable({ site, pieces, rows, chosen, onChoose, onFold }: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  const [stop, setStop] = useState<readonly [number, number]>([0, 0]);
  const set = useRules();
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 10,
    getItemKey: (index) => rows[index]?.key ?? index,
  });
  const toggle = (piece: Piece, row: PageRow) => {
    const isShown = shownOn(piece, row) !== 'all';
    set(
      piece,
      row.kind === 'group'
        ? withPath(site, piece, row.path, isShown)
        : withPages(site, piece, pagesOf(row), isShown),
    );
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const [row, column] = stop;
    const to: Readonly<Record<string, readonly [number, number]>> = {
      ArrowDown: [row + 1, column],
      ArrowUp: [row - 1, column],
      ArrowRight: [row, column + 1],
      ArrowLeft: [row, column - 1],
      Home: [row, 0],
      End: [row, pieces.length - 1],
    };
    const next = to[event.key];
    if (!next || !(event.target as Element).matches('[role=checkbox]')) return;
    event.preventDefault();
    const [toRow, toColumn] = next;
    if (!rows[toRow] || !pieces[toColumn]) return;
    setStop([toRow, toColumn]);
    virtual.scrollToIndex(toRow);
    // In the key's own task, as the next key may follow at once; only what is far out of sight has to be drawn first.
    const focusCell = () => {
      const cell = scroller.current?.querySelector<HTMLElement>(`[data-at="${toRow} ${toColumn}"]`);
      cell?.focus();
      return cell != null;
    };
    if (!focusCell()) requestAnimationFrame(focusCell);
  };
  const columns = { gridTemplateColumns: `${FIRST}px repeat(${pieces.length}, ${COLUMN}px)` };
  const width = FIRST + pieces.length * COLUMN;
  return (
    <div
      ref={scroller}
      role="grid"
      aria-label="Pages and pieces"
      aria-rowcount={rows.length}
      onKeyDown={onKeyDown}
      className="min-h-0 overflow-auto text-bench"
    >
      <div
        role="row"
        style={{ ...columns, minWidth: width }}
        className="sticky top-0 z-20 grid border-b border-rope bg-cotton"
      >
        <div role="columnheader" className="sticky left-0 z-10 self-end bg-cotton px-4 py-2 text-ink-faint">
          page
        </div>
        {pieces.map((piece) => (
          <Column key={piece.id} site={site} piece={piece} />
        ))}
      </div>
      <div style={{ height: virtual.getTotalSize(), minWidth: width, position: 'relative' }}>
        {virtual.getVirtualItems().map(({ index, start }) => {
          const row = rows[index];
          if (!row) return null;
          const path = row.kind === 'group' ? row.path : row.page.path;
          const isChosen = row.key === chosen;
          const tone = isChosen ? 'bg-ochre-wash' : row.kind === 'group' ? 'bg-linen' : 'bg-cotton';
          return (
            <div
              key={row.key}
              role="row"
              style={{
                ...columns,
                position: 'absolute',
                top: 0,
                height: ROW,
                transform: `translateY(${start}px)`,
              }}
              className="grid border-b border-linen"
            >
              <div role="rowheader" className={`sticky left-0 z-10 flex items-center gap-1 pl-4 ${tone}`}>
                {row.kind === 'group' && (
                  <button
                    type="button"
                    aria-label={`${row.isOpen ? 'Fold' : 'Show'} the pages beneath ${path}`}
                    onClick={() => {
                      onFold(row.path);
                    }}
                    className="grid size-6 shrink-0 place-items-center text-[11px] text-ink-faint"
                  >
                    {row.isOpen ? '▾' : '▸'}
                  </button>
                )}
                <button
                  type="button"
                  aria-current={isChosen || undefined}
                  onClick={() => {
                    onChoose(row);
                  }}
                  className={`flex min-w-0 grow items-baseline gap-2 text-left ${row.kind === 'page' && row.nested ? 'pl-7' : ''}`}
                >
                  <span className={`truncate tabular ${row.kind === 'group' ? 'font-semibold' : ''}`}>
                    {path}
                  </span>
                  <span className="truncate text-small text-ink-faint">
                    {row.kind === 'group' ? `${row.pages.length} pages` : row.page.title}
                  </span>
                </button>
              </div>
              {pieces.map((piece, column) => (
                <div key={piece.id} role="gridcell">
                  <PageCell
                    shown={shownOn(piece, row)}
                    label={`${piece.name} on ${path}`}
                    at={[index, column]}
                    isStop={stop[0] === index && stop[1] === column}
                    onToggle={() => {
                      toggle(piece, row);
                    }}
                    onFocus={() => {
                      setStop([index, column]);
                      onChoose(row);
                    }}
                  />
                </div>
              ))}
            </div>
          );
        })}
      </div>
    </div>
  );
}
