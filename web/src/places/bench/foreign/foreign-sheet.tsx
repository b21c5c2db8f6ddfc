import { FOREIGN_STATES, type ForeignState, type TrailStep } from '@hamaca/core';
import { Fragment, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { useAnswer } from '../../../stage/use-answer.ts';
import type { ShownForeignPage } from '../../../stage/foreign-pages.ts';
import type { TextPaint } from '../../../stage/frame/protocol.ts';
import { Choice } from '../../../ui/choice.tsx';
import type { ElementLook } from '../../../workers/foreign-page.ts';
import { contrastOf } from './foreign-contrast.ts';
import { atRest, type NewChange } from './foreign-edits.ts';
import { ForeignOrigin } from './foreign-origin.tsx';
import { foreignRows, isOwn, type ForeignRow } from './foreign-rows.ts';

const COLOUR =
  /#[0-9a-f]{3,8}\b|\b(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color|color-mix)\((?:[^()]|\([^()]*\))*\)/i;

/** The first colour that a value says; null where it says none. */
function colourIn(value: string): string | null {
  const colour = COLOUR.exec(value)?.[0] ?? (CSS.supports('color', value) ? value : null);
  const isNone =
    colour === null ||
    /^(?:inherit|initial|unset|revert|revert-layer|currentcolor|transparent)$/i.test(colour);
  return isNone ? null : colour;
}

/** The first colour of a value as a small square. */
function Chip({ value }: { readonly value: string }) {
  const colour = colourIn(value);
  if (colour === null) return null;
  return (
    <span
      aria-hidden="true"
      className="size-3.5 shrink-0 rounded-[2px] border border-ink/25"
      style={{ background: colour }}
    />
  );
}

interface CellProps {
  readonly row: ForeignRow;
  readonly at: number;
  readonly focused: boolean;
  /** What the typing begins with; null where nothing is typed. */
  readonly typing: string | null;
  readonly onFocus: () => void;
  readonly onType: (start: string) => void;
  /** Answers what is wrong with a value, or null where it was taken. */
  readonly onSet: (value: string) => string | null;
  readonly onDone: () => void;
}

/** The value of a cell as it is typed; one that no browser takes stays until it is mended or given up. */
function CellField({
  start,
  before,
  label,
  onSet,
  onDone,
}: {
  readonly start: string;
  readonly before: string;
  readonly label: string;
  readonly onSet: (value: string) => string | null;
  readonly onDone: () => void;
}) {
  const [value, setValue] = useState(start === '' ? before : start);
  const [wrong, setWrong] = useState<string | null>(null);
  const commit = (): boolean => {
    const text = value.trim();
    const failed = text === before || text === '' ? null : onSet(text);
    setWrong(failed);
    return failed === null;
  };
  return (
    <input
      autoFocus
      aria-label={label}
      aria-invalid={wrong !== null}
      title={wrong ?? undefined}
      value={value}
      spellCheck={false}
      onFocus={(event) => {
        if (start === '') event.target.select();
      }}
      onChange={(event) => {
        setValue(event.target.value);
        setWrong(null);
      }}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Escape') onDone();
        if (event.key === 'Enter' && commit()) onDone();
      }}
      onBlur={() => {
        commit();
        onDone();
      }}
      className={`h-[26px] w-full bg-white px-2 outline-none ${wrong === null ? '' : 'text-brick'}`}
    />
  );
}

function Cell({ row, at, focused, typing, onFocus, onType, onSet, onDone }: CellProps) {
  const cell = row.cells[at] ?? null;
  const own = isOwn(row, at);
  const state = FOREIGN_STATES[at] ?? 'rest';
  const place = cell ? `${cell.selector ?? 'style attribute'} · ${cell.file}:${cell.line}` : '';
  return (
    <td
      role="gridcell"
      aria-selected={focused}
      aria-label={`${row.name}, ${state}: ${cell ? cell.value : 'nothing said'}${cell && cell.from !== null ? `, from ${cell.from}` : cell && !own ? ', as at rest' : ''}`}
      data-cell={`${row.name} ${state}`}
      data-own={own && cell !== null && cell.from === null}
      tabIndex={focused ? 0 : -1}
      title={place}
      onClick={onFocus}
      onDoubleClick={() => {
        onType('');
      }}
      onFocus={(event) => {
        if (event.target === event.currentTarget) onFocus();
      }}
      className={`h-[27px] max-w-[260px] border-r border-b border-linen ${typing === null ? 'px-2' : 'p-0'} ${focused ? 'bg-ochre-wash outline-2 -outline-offset-2 outline-twine group-focus-within/sheet:outline-ochre' : 'hover:bg-cotton'}`}
    >
      {typing !== null && (
        <CellField
          start={typing}
          before={cell?.value ?? ''}
          label={`${row.name}, ${state}`}
          onSet={onSet}
          onDone={onDone}
        />
      )}
      {typing === null && cell && (
        <span
          className={`flex items-center gap-1.5 whitespace-nowrap ${own && cell.from === null ? 'font-medium text-ink' : 'text-ink-faint'}`}
        >
          <Chip value={cell.value} />
          <span className="truncate">{cell.value}</span>
          {(!own || cell.from !== null) && (
            <span aria-hidden="true" className="text-twine">
              ·
            </span>
          )}
          {!cell.certain && (
            <span title="not certain" className="text-brick">
              ?
            </span>
          )}
        </span>
      )}
    </td>
  );
}

/** The contrast of the text with what is really behind it, in each state that can be frozen. */
function ContrastRow({ paints }: { readonly paints: readonly TextPaint[] }) {
  return (
    <tr>
      <th
        scope="row"
        title="Contrast with what is really behind, by WCAG 2.2"
        className="sticky left-0 z-10 border-r border-b border-twine bg-linen px-2 text-left font-normal"
      >
        contrast
      </th>
      {FOREIGN_STATES.map((state) => {
        const report = contrastOf(paints.find((paint) => paint.state === state));
        const tone =
          !report || !report.certain
            ? 'text-ink-soft'
            : report.passes
              ? 'text-reed'
              : 'bg-brick-wash font-semibold text-brick';
        return (
          <td
            key={state}
            role="gridcell"
            data-contrast={state}
            title={
              report && !report.certain
                ? 'A picture lies behind whose colours are not known; this is the ratio without it'
                : undefined
            }
            className={`h-[27px] border-r border-b border-linen px-2 whitespace-nowrap ${tone}`}
          >
            {report && (
              <>
                <span aria-hidden="true">{report.certain ? (report.passes ? '✓' : '✗') : '?'}</span>{' '}
                {report.ratio}
                <span className="text-small text-ink-faint"> of {report.required}</span>
              </>
            )}
          </td>
        );
      })}
    </tr>
  );
}

/** A change of one value, of all that its rule styles or of one element alone. */
type Restyle = Extract<NewChange, { readonly set: string }>;

const NO_STEPS: readonly TrailStep[] = [];

const REACHES = [
  { value: 'rule', label: 'all that the rule styles' },
  { value: 'alone', label: 'this element alone' },
];

interface Props {
  readonly shown: ShownForeignPage;
  readonly look: ElementLook;
  /** How its text is painted, by state, as the stage measured it. */
  readonly paints: readonly TextPaint[];
  /** Of the page's window, in px. */
  readonly width: number;
  readonly state: ForeignState;
  readonly lit: readonly number[];
  readonly onState: (state: ForeignState) => void;
  readonly onLight: (elements: readonly number[]) => void;
  readonly onColour: (colour: string) => void;
  /** Answers whether the change was taken. */
  readonly onSet: (change: Restyle) => boolean;
}

/** What a foreign page says of one of its elements: properties down, states across, and below where each value comes from. */
export function ForeignSheet({
  shown,
  look,
  paints,
  width,
  state,
  lit,
  onState,
  onLight,
  onColour,
  onSet,
}: Props) {
  const [filter, setFilter] = useState('');
  const [wanted, setWanted] = useState('color');
  const [extent, setExtent] = useState('rule');
  const [typing, setTyping] = useState<string | null>(null);
  const table = useRef<HTMLTableElement>(null);
  const groups = useMemo(() => foreignRows(look, filter), [look, filter]);
  const rows = groups.flatMap((group) => group.rows);
  const row = rows.find(({ name }) => name === wanted) ?? rows[0];
  const column = FOREIGN_STATES.indexOf(state);
  const cell = row?.cells[column] ?? null;
  const reach = useAnswer(
    shown,
    cell && {
      kind: 'reach',
      value: { file: cell.file, line: cell.line, column: cell.column, selector: cell.selector },
    },
    [cell],
  );
  const longhand = row?.longhand;
  const trail = useAnswer(
    shown,
    longhand === undefined ? null : { kind: 'trail', at: look.at, width, state, longhand },
    [look, width, state, longhand],
  );
  const go = (to: ForeignRow | undefined, toState: ForeignState | undefined) => {
    if (!to || !toState) return;
    setWanted(to.name);
    onState(toState);
    table.current
      ?.querySelector<HTMLElement>(`[data-cell="${CSS.escape(`${to.name} ${toState}`)}"]`)
      ?.focus();
  };
  /** The selector that a change of a cell is for: of its rule, or where none says it that of the value at rest. */
  const meant = (entry: ForeignRow, at: number): string => {
    // What is inherited is said of others; it is said here of this one.
    const said = [entry.cells[at], entry.cells[0]].find((one) => one?.from === null);
    const selector = said?.selector ?? null;
    return extent === 'alone' || selector === null ? look.selector : atRest(selector);
  };
  const set = (entry: ForeignRow, at: number, value: string): string | null => {
    if (!CSS.supports(entry.name, value)) return `No browser takes ${value} for ${entry.name}.`;
    const name = FOREIGN_STATES[at];
    if (name !== 'rest' && name !== 'hover' && name !== 'focus')
      return 'Values are set at rest, pointed at and in focus; this state shows what they come to.';
    return onSet({ at: meant(entry, at), state: name, set: `${entry.name}: ${value}` })
      ? null
      : 'It could not be kept.';
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (typing !== null || !row || event.ctrlKey || event.metaKey || event.altKey) return;
    const y = rows.indexOf(row);
    if (event.key === 'ArrowDown') go(rows[y + 1], state);
    else if (event.key === 'ArrowUp') go(rows[y - 1], state);
    else if (event.key === 'ArrowRight') go(row, FOREIGN_STATES[column + 1]);
    else if (event.key === 'ArrowLeft') go(row, FOREIGN_STATES[column - 1]);
    else if (event.key === 'Enter' || event.key === 'F2') setTyping('');
    else if (event.key.length === 1 && event.key !== ' ') setTyping(event.key);
    else return;
    event.preventDefault();
  };
  return (
    <section aria-label="Look sheet" className="flex h-full min-h-0 flex-col">
      <div className="flex h-9 shrink-0 items-center gap-3 border-b border-twine px-3 text-bench">
        <b className="min-w-0 truncate font-mono text-[12px] font-semibold" title={look.selector}>
          {look.selector}
        </b>
        {look.attributes.length > 0 && (
          <span
            className="min-w-0 truncate text-ink-faint"
            title="Attributes by which browsers draw it, beneath every rule"
          >
            {look.attributes.join(' ')}
          </span>
        )}
        <input
          aria-label="Find a property"
          placeholder="find a property or value"
          value={filter}
          onChange={(event) => {
            setFilter(event.target.value);
          }}
          className="field ml-auto !h-6 w-52"
        />
        <span className="text-ink-faint">changes reach</span>
        <Choice label="How far a change reaches" value={extent} options={REACHES} onChange={setExtent} />
      </div>
      <div className="min-h-0 grow overflow-auto bg-white">
        <table
          ref={table}
          role="grid"
          aria-label={`Look of ${look.selector}`}
          onKeyDown={onKeyDown}
          className="group/sheet w-full border-separate border-spacing-0 text-bench tabular"
        >
          <thead>
            <tr>
              <td className="sticky top-0 left-0 z-20 w-[150px] border-r border-b border-twine bg-linen" />
              {FOREIGN_STATES.map((name) => (
                <th
                  key={name}
                  scope="col"
                  className={`sticky top-0 z-10 h-[25px] min-w-[92px] border-r border-b border-twine px-2 text-left font-normal ${name === state ? 'bg-ochre-wash font-semibold' : 'bg-linen'}`}
                >
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {groups.map((group) => (
              <Fragment key={group.title}>
                <tr>
                  <th
                    scope="rowgroup"
                    colSpan={FOREIGN_STATES.length + 1}
                    className="border-b border-twine bg-cotton px-2 text-left text-small font-normal text-ink-soft"
                  >
                    {group.title}
                  </th>
                </tr>
                {group.title === 'text' && paints.length > 0 && <ContrastRow paints={paints} />}
                {group.rows.map((entry) => (
                  <tr key={entry.name}>
                    <th
                      scope="row"
                      className="sticky left-0 z-10 border-r border-b border-twine bg-linen px-2 text-left font-normal whitespace-nowrap"
                    >
                      {entry.name}
                    </th>
                    {FOREIGN_STATES.map((name, at) => (
                      <Cell
                        key={name}
                        row={entry}
                        at={at}
                        focused={entry === row && name === state}
                        typing={entry === row && name === state ? typing : null}
                        onType={setTyping}
                        onSet={(value) => set(entry, at, value)}
                        onDone={() => {
                          setTyping(null);
                          go(entry, name);
                        }}
                        onFocus={() => {
                          setWanted(entry.name);
                          onState(name);
                        }}
                      />
                    ))}
                  </tr>
                ))}
              </Fragment>
            ))}
          </tbody>
        </table>
        {rows.length === 0 && (
          <p className="p-4 text-bench text-ink-soft">
            {filter === ''
              ? 'No rule of the page says anything of this element; it looks as the browser draws it.'
              : 'Nothing that is said of this element is called that.'}
          </p>
        )}
      </div>
      {row && cell && (
        <ForeignOrigin
          name={row.name}
          state={state}
          cell={cell}
          trail={trail ?? NO_STEPS}
          reach={reach}
          lit={lit.length > 0}
          colour={colourIn(cell.value)}
          onColour={onColour}
          onLight={() => {
            onLight(lit.length > 0 ? [] : (reach ?? []));
          }}
        />
      )}
    </section>
  );
}
