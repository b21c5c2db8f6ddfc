import {
  property,
  type ContrastReport,
  type PropertyGroup,
  type PropertyId,
  type Scene,
  type Site,
  type State,
} from '@hamaca/core';
import {
  Fragment,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type ClipboardEvent,
  type KeyboardEvent,
} from 'react';
import { notify } from '../../../store/notices.ts';
import { useEdit } from '../../../store/open-site.tsx';
import { benchStore, focusColumn, playMotion, toggleGroup, useBench } from '../../../store/bench-store.ts';
import { CellStrip } from './cell-strip.tsx';
import { SheetCellView, type CellActions } from './sheet-cell.tsx';
import { clearRange, pasteRange, rangeText, setCells } from './sheet-edits.ts';
import { SheetHead } from './sheet-head.tsx';
import { rangeOf, readSheet, suggestColour, type Sheet, type SheetGroup } from './sheet-model.ts';

function Ratio({ report, onFix }: { readonly report: ContrastReport | null; readonly onFix: () => void }) {
  if (!report) return <td role="gridcell" className="border-r border-b border-linen" />;
  const ratio = (Math.floor(report.ratio * 10) / 10).toFixed(1);
  if (!report.certain) {
    return (
      <td
        role="gridcell"
        data-passes="unknown"
        title="A picture lies behind whose colours are not known; this is the ratio without it"
        className="h-[27px] border-r border-b border-linen px-2 whitespace-nowrap text-ink-soft"
      >
        <span aria-hidden="true">?</span> {ratio}
      </td>
    );
  }
  return (
    <td
      role="gridcell"
      data-passes={report.passes}
      title="The worst of all that can lie behind, by WCAG 2.2"
      className={`h-[27px] border-r border-b border-linen px-2 whitespace-nowrap ${report.passes ? 'text-reed' : 'bg-brick-wash font-semibold text-brick'}`}
    >
      <span aria-hidden="true">{report.passes ? '✓' : '✗'}</span> {ratio}
      {report.passes ? (
        <span className="text-small text-ink-faint"> of {report.required}</span>
      ) : (
        <button
          type="button"
          title={`needs ${report.required}; take a colour of the site that passes (! in this column)`}
          onClick={onFix}
          className="ml-1.5 rounded-[2px] border border-brick px-1 text-small"
        >
          mend
        </button>
      )}
    </td>
  );
}

const GROUP_LABELS: Readonly<Record<PropertyGroup, string>> = {
  text: 'text',
  fill: 'fill',
  edge: 'edge',
  space: 'space',
  placement: 'placement',
  mark: 'mark',
  icon: 'icon',
  motion: 'opacity and motion',
  own: 'own CSS',
};

const PLAYS =
  'ml-1 h-6 rounded-[2px] px-1 text-ink-soft underline decoration-twine underline-offset-2 hover:bg-linen';

/** A group's own line: it folds the group to its name, and tells how many rarer properties are left out. */
function GroupLine({
  group,
  columns,
  plays,
}: {
  readonly group: SheetGroup;
  readonly columns: number;
  /** Whether there is a motion to be played on the stage. */
  readonly plays: boolean;
}) {
  const open = useBench((state) => state.openGroups.includes(group.group));
  const filter = useBench((state) => state.filter);
  const toggleRarer = () => {
    const { openGroups } = benchStore.getState();
    benchStore.setState({
      openGroups: open ? openGroups.filter((entry) => entry !== group.group) : [...openGroups, group.group],
    });
  };
  const name = GROUP_LABELS[group.group];
  return (
    <tr>
      <th
        scope="rowgroup"
        colSpan={columns + 1}
        className="sticky left-0 h-[24px] border-b border-twine bg-cotton p-0 text-left text-small font-normal text-ink-faint"
      >
        <span className="sticky left-0 inline-flex items-center">
          {filter === '' ? (
            <button
              type="button"
              aria-expanded={!group.closed}
              title={group.closed ? `Unfold: ${name}` : `Fold: ${name}`}
              onClick={() => {
                toggleGroup(group.group);
              }}
              className="flex h-6 items-center gap-1 rounded-[2px] pr-1.5 pl-2 hover:bg-linen hover:text-ink"
            >
              <span aria-hidden="true" className={`inline-block w-2.5 ${group.closed ? '-rotate-90' : ''}`}>
                ▾
              </span>
              {name}
            </button>
          ) : (
            <span className="pl-2">{name}</span>
          )}
          {filter === '' && !group.closed && (group.hidden > 0 || open) && (
            <button
              type="button"
              aria-expanded={open}
              onClick={toggleRarer}
              className="h-6 rounded-[2px] px-1 text-ink-soft underline decoration-twine underline-offset-2 hover:bg-linen"
            >
              {open ? 'fewer' : `${group.hidden} more`}
            </button>
          )}
          {plays && !group.closed && (
            <>
              <button
                type="button"
                title="Closes and opens it on the stage"
                onClick={() => {
                  playMotion();
                }}
                className={PLAYS}
              >
                play on the stage
              </button>
              <button
                type="button"
                title="The same, four times as slow"
                onClick={() => {
                  playMotion(true);
                }}
                className={PLAYS}
              >
                slowly
              </button>
            </>
          )}
        </span>
      </th>
    </tr>
  );
}

/** What says how something comes: then that can be played. */
const MOVING: readonly PropertyId[] = ['arrives', 'comesIn'];

type Corner = { readonly property: PropertyId; readonly state: State };

/** The look of the selected slot: properties down, states across, every value with where it comes from. */
export function LookSheet({ site, scene }: { readonly site: Site; readonly scene: Scene }) {
  const selected = useBench((state) => state.selected);
  const reach = useBench((state) => state.reach);
  const column = useBench((state) => state.state);
  const row = useBench((state) => state.property);
  const anchor = useBench((state) => state.anchor);
  const openGroups = useBench((state) => state.openGroups);
  const closedGroups = useBench((state) => state.closedGroups);
  const filter = useBench((state) => state.filter);
  const edit = useEdit();
  const [typing, setTyping] = useState<string | null>(null);
  const table = useRef<HTMLTableElement>(null);
  // Another slot's sheet starts at its top, but what is in focus is in sight.
  useLayoutEffect(() => {
    table.current?.parentElement?.scrollTo(0, 0);
  }, [selected]);
  useLayoutEffect(() => {
    table.current?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' });
  }, [selected, row, column]);
  const sheet = useMemo(
    () => readSheet(site, { selected, reach, openGroups, closedGroups, filter }, scene),
    [site, selected, reach, openGroups, closedGroups, filter, scene],
  );
  const typed = useBench((state) => state.typed);
  const hasCells = sheet !== null && sheet.rows.length > 0;
  useEffect(() => {
    if (typed === null) return;
    benchStore.setState({ typed: null });
    if (hasCells) setTyping((before) => before ?? typed);
  }, [typed, hasCells]);
  const latest = useRef<CellActions | null>(null);
  const actions = useMemo(
    (): CellActions => ({
      focus: (cell, extend) => latest.current?.focus(cell, extend),
      edit: () => latest.current?.edit(),
      done: (cell, down) => latest.current?.done(cell, down),
      fills: (cell) => latest.current?.fills(cell) ?? [cell],
    }),
    [],
  );
  if (!sheet)
    return (
      <p className="p-4 text-bench text-ink-soft">
        Click something on the stage or in the outline to see its look.
      </p>
    );

  const rowIds = sheet.rows.map((entry) => entry.property);
  const focusedRow = rowIds.includes(row) ? row : rowIds[0];
  const focusedCells = sheet.rows.find((entry) => entry.property === focusedRow)?.cells ?? [];
  // What is arranged has one value for all states.
  const focusedState = focusedCells.some(({ cell }) => cell.state === column) ? column : 'rest';
  const focus: Corner | null =
    focusedRow === undefined ? null : { property: focusedRow, state: focusedState };
  const current =
    sheet.rows
      .find((entry) => entry.property === focusedRow)
      ?.cells.find((entry) => entry.cell.state === focusedState) ?? null;
  const isAnchored =
    anchor !== null && rowIds.includes(anchor.property) && sheet.states.includes(anchor.state);
  const range = focus ? rangeOf(sheet, isAnchored ? anchor : focus, focus) : [];
  const taken = new Set(isAnchored ? range.flat() : []);

  const focusCell = (at: Corner, extend: boolean) => {
    setTyping(null);
    benchStore.setState({ property: at.property, anchor: extend ? (isAnchored ? anchor : focus) : null });
    focusColumn(at.state);
  };
  const moveTo = (id: PropertyId | undefined, state: State | undefined, extend = false) => {
    if (!id || !state) return;
    focusCell({ property: id, state }, extend);
    table.current?.querySelector<HTMLElement>(`[data-cell="${id} ${state}"]`)?.focus();
  };
  latest.current = {
    focus: ({ property: id, state }, extend) => {
      // A cell that is gone to by keys is focused already; its range stays.
      const now = benchStore.getState();
      if (extend || now.property !== id || now.state !== state) focusCell({ property: id, state }, extend);
    },
    edit: () => {
      setTyping('');
    },
    done: ({ property: id, state }, down) => {
      setTyping(null);
      moveTo(down ? (rowIds[rowIds.indexOf(id) + 1] ?? id) : id, state);
    },
    fills: (cell) => (taken.has(cell) ? [...taken] : [cell]),
  };
  const clear = () => {
    const made = clearRange(range);
    if (made && current)
      edit(made, range.flat().length > 1 ? 'Clear cells' : `Clear ${property(current.cell.property).label}`);
  };
  const mend = (state: State) => {
    const colour = suggestColour(site, { selected, reach }, state, scene);
    const cell = sheet.rows
      .find((entry) => entry.property === 'colour')
      ?.cells.find((entry) => entry.cell.state === state)?.cell;
    if (colour && cell) edit(setCells([{ ...cell, value: colour }]), `Text colour that passes, ${state}`);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (typing !== null || event.ctrlKey || event.metaKey || event.altKey || !focusedRow) return;
    if ((event.target as HTMLElement).tagName === 'BUTTON') return;
    const y = rowIds.indexOf(focusedRow);
    const x = sheet.states.indexOf(focusedState);
    const moves: Readonly<Record<string, readonly [number, number]>> = {
      ArrowUp: [-1, 0],
      ArrowDown: [1, 0],
      ArrowLeft: [0, -1],
      ArrowRight: [0, 1],
    };
    const move = moves[event.key];
    if (move) moveTo(rowIds[y + move[0]], sheet.states[x + move[1]], event.shiftKey);
    else if (event.key === 'Enter' || event.key === 'F2') setTyping('');
    else if (event.key === 'Delete' || event.key === 'Backspace') clear();
    else if (event.key === '!') mend(focusedState);
    else if (event.key === 'Escape' && isAnchored) benchStore.setState({ anchor: null });
    else if (event.key.length === 1 && event.key !== ' ') setTyping(event.key);
    else return;
    event.preventDefault();
  };
  const onCopy = (event: ClipboardEvent) => {
    if (typing !== null) return;
    event.clipboardData.setData('text/plain', rangeText(site, range));
    event.preventDefault();
    if (event.type === 'cut') clear();
  };
  const onPaste = (event: ClipboardEvent) => {
    if (typing !== null || !focus) return;
    event.preventDefault();
    const text = event.clipboardData.getData('text/plain');
    const lines = text.replace(/\n$/, '').split('\n');
    // One cell takes a whole block, as far as there are cells.
    const corner = {
      property: rowIds[rowIds.indexOf(focus.property) + lines.length - 1] ?? rowIds.at(-1),
      state:
        sheet.states[sheet.states.indexOf(focus.state) + (lines[0]?.split('\t').length ?? 1) - 1] ??
        sheet.states.at(-1),
    };
    const into =
      isAnchored || corner.property === undefined || corner.state === undefined
        ? range
        : rangeOf(sheet, focus, corner as Corner);
    const pasted = pasteRange(site, text, into);
    if (pasted.edit) edit(pasted.edit, 'Paste cells');
    if (pasted.refused[0] !== undefined)
      notify({
        tone: 'error',
        text: `${pasted.refused.length === 1 ? 'One cell was' : `${pasted.refused.length} cells were`} left as before. ${pasted.refused[0]}`,
      });
  };

  return (
    <section aria-label="Look sheet" className="flex h-full min-h-0 flex-col">
      <SheetHead sheet={sheet} site={site} />
      <div className="min-h-0 grow overflow-auto bg-white">
        <table
          ref={table}
          role="grid"
          data-sheet-of={selected.owner}
          aria-multiselectable="true"
          aria-label={`Look of ${sheet.kind.label}`}
          onKeyDown={onKeyDown}
          onCopy={onCopy}
          onCut={onCopy}
          onPaste={onPaste}
          className="group/sheet w-full border-separate border-spacing-0 text-bench tabular"
        >
          <thead>
            <tr>
              <td className="sticky top-0 left-0 z-20 w-[112px] border-r border-b border-twine bg-linen" />
              {sheet.states.map((state) => (
                <th
                  key={state}
                  scope="col"
                  className={`sticky top-0 z-10 h-[25px] min-w-[92px] border-r border-b border-twine px-2 text-left font-normal ${state === focusedState ? 'bg-ochre-wash font-semibold' : 'bg-linen'}`}
                >
                  {state}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {sheet.groups.map((group) => (
              <Fragment key={group.group}>
                <GroupLine
                  group={group}
                  columns={sheet.states.length}
                  plays={group.group === 'motion' && MOVING.some((id) => sheet.kind.properties.includes(id))}
                />
                {group.rows.map((entry) => (
                  <Fragment key={entry.property}>
                    <tr>
                      <th
                        scope="row"
                        title={property(entry.property).hint}
                        className="sticky left-0 z-10 border-r border-b border-twine bg-linen px-2 text-left font-normal whitespace-nowrap"
                      >
                        {property(entry.property).label}
                      </th>
                      {entry.cells.map((cell) => {
                        const { property: id, state } = cell.cell;
                        const focused = id === focusedRow && state === focusedState;
                        return (
                          <SheetCellView
                            key={state}
                            site={site}
                            cell={cell}
                            focused={focused}
                            taken={taken.has(cell)}
                            typing={focused ? typing : null}
                            actions={actions}
                          />
                        );
                      })}
                    </tr>
                    {entry.property === 'colour' && sheet.contrast.some((report) => report !== null) && (
                      <ContrastRow sheet={sheet} onMend={mend} />
                    )}
                  </Fragment>
                ))}
              </Fragment>
            ))}
          </tbody>
        </table>
        {sheet.groups.length === 0 && (
          <p className="p-4 text-bench text-ink-soft">
            No property of {sheet.kind.label.toLowerCase()} is called that.
          </p>
        )}
      </div>
      {current && <CellStrip site={site} cell={current} onClear={clear} />}
    </section>
  );
}

function ContrastRow({ sheet, onMend }: { readonly sheet: Sheet; readonly onMend: (state: State) => void }) {
  return (
    <tr>
      <th
        scope="row"
        title="Contrast with what is really behind, by WCAG 2.2"
        className="sticky left-0 z-10 border-r border-b border-twine bg-linen px-2 text-left font-normal"
      >
        contrast
      </th>
      {sheet.states.map((state, index) => (
        <Ratio
          key={state}
          report={sheet.contrast[index] ?? null}
          onFix={() => {
            onMend(state);
          }}
        />
      ))}
    </tr>
  );
}
