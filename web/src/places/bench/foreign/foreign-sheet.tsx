import { FOREIGN_STATES, type ForeignState, type TrailStep } from '@hamaca/core';
import { Fragment, useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { useAnswer } from '../../../stage/use-answer.ts';
import type { ShownForeignPage } from '../../../stage/foreign-pages.ts';
import type { ComputedStates, TextPaint } from '../../../stage/frame/protocol.ts';
import { Choice } from '../../../ui/choice.tsx';
import type { ElementLook } from '../../../workers/foreign-page.ts';
import { colourIn, ForeignCell } from './foreign-cell.tsx';
import { ForeignContrastRow } from './foreign-contrast-row.tsx';
import { atRest, type NewChange } from './foreign-edits.ts';
import { ForeignOrigin } from './foreign-origin.tsx';
import { ForeignDrawn } from './foreign-drawn.tsx';
import { foreignRows, isOwn, type ForeignRow } from './foreign-rows.ts';

/** A change of one value, of all that its rule styles or of one element alone. */
type Restyle = Extract<NewChange, { readonly set: string }>;

/** The choice of an element itself, among its pseudo-elements. */
const ITSELF = 'itself';

/** Most elements of a way down to one that are shown. */
const MOST_STEPS = 3;

/** The end of a selector: what it finds, and what that lies in. */
function endOf(selector: string): string {
  const steps = selector.split(' > ');
  return steps.length > MOST_STEPS ? `… > ${steps.slice(-MOST_STEPS).join(' > ')}` : selector;
}

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
  /** What the browser computes of it, as the stage measured it. */
  readonly computed: ComputedStates;
  /** Of the page's window, in px. */
  readonly width: number;
  readonly state: ForeignState;
  readonly lit: readonly number[];
  readonly onState: (state: ForeignState) => void;
  /** Another of its pseudo-elements, or null for itself. */
  readonly onPseudo: (pseudo: string | null) => void;
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
  computed,
  width,
  state,
  lit,
  onState,
  onPseudo,
  onLight,
  onColour,
  onSet,
}: Props) {
  const [filter, setFilter] = useState('');
  const [wanted, setWanted] = useState('color');
  const [extent, setExtent] = useState('rule');
  const [typing, setTyping] = useState<string | null>(null);
  const table = useRef<HTMLTableElement>(null);
  const groups = useMemo(() => foreignRows(look, computed, filter), [look, computed, filter]);
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
    longhand === undefined
      ? null
      : { kind: 'trail', at: look.at, pseudo: look.pseudo, width, state, longhand },
    [look, width, state, longhand],
  );
  // What stands below the sheet may grow over the cell that it is about.
  useEffect(() => {
    table.current
      ?.querySelector('[aria-selected="true"]')
      ?.scrollIntoView({ block: 'nearest', inline: 'nearest', behavior: 'instant' });
  }, [row?.name, column, cell, trail]);
  const go = (to: ForeignRow | undefined, toState: ForeignState | undefined) => {
    if (!to || !toState) return;
    setWanted(to.name);
    onState(toState);
    table.current
      ?.querySelector<HTMLElement>(`[data-cell="${CSS.escape(`${to.name} ${toState}`)}"]`)
      ?.focus();
  };
  /** What a change of a cell is for: its rule with what that holds within, or where none says it that of the value at rest. */
  const meant = (entry: ForeignRow, at: number): Pick<Restyle, 'at' | 'media'> => {
    // What is inherited is said of others; it is said here of this one.
    const said = [entry.cells[at], entry.cells[0]].find((one) => one?.from === null);
    const selector = said?.selector ?? null;
    const media = (said?.conditions ?? []).filter((text) => text.startsWith('@media '));
    return {
      at: extent === 'alone' || selector === null ? look.selector : atRest(selector, look.pseudo),
      media: media.map((text) => text.slice('@media '.length)).join('\n'),
    };
  };
  const set = (entry: ForeignRow, at: number, value: string): string | null => {
    if (!CSS.supports(entry.name, value)) return `No browser takes ${value} for ${entry.name}.`;
    const name = FOREIGN_STATES[at] ?? 'rest';
    if (name === 'open' && !look.marks.isOpenMarked)
      return 'Nothing on the page marks this as open: it opens by pointing. Set its hover instead.';
    return onSet({ ...meant(entry, at), state: name, set: `${entry.name}: ${value}` })
      ? null
      : 'It could not be kept.';
  };
  const mend = (at: ForeignState, colour: string) => {
    const entry = rows.find(({ name }) => name === 'color');
    if (!entry) return;
    const index = FOREIGN_STATES.indexOf(at);
    // What a state has from the one at rest is mended there.
    const isOfState = isOwn(entry, index) && (at !== 'open' || look.marks.isOpenMarked);
    set(entry, isOfState ? index : 0, colour);
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
      <div className="flex min-h-9 shrink-0 flex-wrap items-center gap-x-3 gap-y-1 border-b border-twine px-3 py-0.5 text-bench">
        <b className="min-w-0 truncate font-mono text-[12px] font-semibold" title={look.selector}>
          {endOf(look.selector)}
        </b>
        {look.attributes.length > 0 && (
          <span
            className="min-w-0 truncate text-ink-faint"
            title="Attributes by which browsers draw it, beneath every rule"
          >
            {look.attributes.map(({ text }) => text).join(' ')}
          </span>
        )}
        {look.pseudos.length > 0 && (
          <Choice
            label="Which box of it"
            value={look.pseudo ?? ITSELF}
            options={[
              { value: ITSELF, label: 'the element itself' },
              ...look.pseudos.map((pseudo) => ({ value: pseudo, label: `::${pseudo}` })),
            ]}
            onChange={(pseudo) => {
              onPseudo(pseudo === ITSELF ? null : pseudo);
            }}
          />
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
        <span className="flex items-center gap-3 whitespace-nowrap">
          <span className="text-ink-faint">changes reach</span>
          <Choice label="How far a change reaches" value={extent} options={REACHES} onChange={setExtent} />
        </span>
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
                    <span className="sticky left-2">{group.title}</span>
                  </th>
                </tr>
                {group.title === 'text' && paints.length > 0 && (
                  <ForeignContrastRow paints={paints} onMend={mend} />
                )}
                {group.rows.map((entry) => (
                  <tr key={entry.name}>
                    <th
                      scope="row"
                      className="sticky left-0 z-10 border-r border-b border-twine bg-linen px-2 text-left font-normal whitespace-nowrap"
                    >
                      {entry.name}
                    </th>
                    {FOREIGN_STATES.map((name, at) => (
                      <ForeignCell
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
              : 'No property is called that, and no value says it.'}
          </p>
        )}
      </div>
      {row && !cell && (
        <ForeignDrawn
          row={row}
          state={state}
          value={row.drawn[column] ?? null}
          attributes={look.attributes}
        />
      )}
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
