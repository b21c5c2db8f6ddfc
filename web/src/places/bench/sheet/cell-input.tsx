import {
  formatValue,
  parseValue,
  property,
  STACKS,
  stepValue,
  TYPEFACES,
  type PropertyId,
  type Site,
} from '@hamaca/core';
import { useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';
import { afterPaint } from '../../../store/after-paint.ts';
import { benchStore } from '../../../store/bench-store.ts';
import { notify } from '../../../store/notices.ts';
import { useSite, useSiteStore } from '../../../store/open-site.tsx';
import { WORDS } from '../../../words/words.ts';
import { fillEdit, hidingBand } from './sheet-edits.ts';
import type { SheetCell } from './sheet-model.ts';

interface Props {
  readonly cell: SheetCell;
  /** The cells that take what is typed: this one, or all of the range it lies in. */
  readonly fills: readonly SheetCell[];
  /** What was typed to open it; empty starts from the value. */
  readonly start: string;
  readonly onDone: (moveDown: boolean) => void;
}

const stepSize = (event: KeyboardEvent) => (event.shiftKey ? 10 : event.altKey ? 0.1 : 1);

/** What a value can be, where that can be listed. */
function suggestionsFor(site: Site, id: PropertyId): readonly string[] {
  const entry = property(id);
  switch (entry.kind) {
    case 'colour':
      return [...site.palette.map((swatch) => swatch.name), ...Object.keys(site.roles), 'none'];
    case 'family':
      return [...site.typefaces, ...TYPEFACES, ...STACKS, ...site.typeStyles].map((entry) => entry.name);
    case 'choice':
      return Object.keys(entry.choices);
    default:
      return [];
  }
}

/** Edits one cell in its place; a value that can be used shows on the stage while it is typed. */
export function CellInput({ cell, fills, start, onDone }: Props) {
  const site = useSite();
  const store = useSiteStore();
  const id = cell.cell.property;
  const input = useRef<HTMLInputElement>(null);
  const listId = useId();
  /** What stood there before: what is typed shows in the cell itself meanwhile. */
  const [before] = useState(() => formatValue(site, cell.resolved.value));
  const [text, setText] = useState(start === '' ? before : start);
  /** The newest text, also while it is not drawn yet. */
  const newest = useRef(text);
  const [error, setError] = useState<string | null>(null);
  const ended = useRef(false);
  const stopDrawing = useRef<(() => void) | null>(null);
  useEffect(() => () => stopDrawing.current?.(), []);

  useEffect(() => {
    input.current?.focus();
    if (start === '') input.current?.select();
  }, [start]);

  /** What is typed as an edit: of the site without what it showed so far, which must not count as said already. */
  const filled = (typed: string) => fillEdit(store.settled() ?? site, typed, fills);
  const show = (typed: string) => {
    newest.current = typed;
    store.preview(parseValue(site, id, typed).ok ? filled(typed) : null);
  };
  const type = (typed: string) => {
    show(typed);
    setText(typed);
    setError(null);
  };
  /** The stage goes first: the cell itself is drawn once that stands on the screen. */
  const step = (typed: string) => {
    show(typed);
    stopDrawing.current?.();
    stopDrawing.current = afterPaint(() => {
      setText(newest.current);
      setError(null);
    });
  };
  const cancel = () => {
    ended.current = true;
    store.preview(null);
    onDone(false);
  };
  /** Takes what was typed: by Enter, which goes down, or as the cell is left. */
  const commit = (leave: boolean) => {
    if (ended.current) return;
    const unchanged = newest.current === before && start === '';
    const parsed = parseValue(site, id, newest.current);
    // What was not touched is not set; data of a picture could not be typed at all.
    if (unchanged && (leave || !parsed.ok)) return cancel();
    if (!parsed.ok && leave) {
      notify({ tone: 'error', text: WORDS.notTaken(property(id).label, newest.current, parsed.error) });
      return cancel();
    }
    if (!parsed.ok) {
      setError(parsed.error);
      // What is typed next takes the place of what could not be used.
      input.current?.select();
      return;
    }
    ended.current = true;
    const label = fills.length > 1 ? 'Fill cells' : `${property(id).label}, ${cell.cell.state}`;
    store.edit(filled(newest.current), label);
    const hiding = fills.length > 1 ? null : hidingBand(site, cell, benchStore.getState().width);
    if (hiding)
      notify({
        tone: 'info',
        text: WORDS.hidden(hiding.name, property(id).label),
        action: {
          label: WORDS.reachOnly(hiding.name),
          run: () => {
            benchStore.setState({ reach: hiding.id, extent: 'narrower' });
          },
        },
      });
    onDone(!leave);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    event.stopPropagation();
    if (event.key === 'Enter') commit(false);
    else if (event.key === 'Tab') {
      event.preventDefault();
      commit(true);
    } else if (event.key === 'Escape') cancel();
    else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      const parsed = parseValue(site, id, newest.current);
      const stepped = parsed.ok
        ? stepValue(id, parsed.value, (event.key === 'ArrowUp' ? 1 : -1) * stepSize(event))
        : null;
      if (stepped === null) return;
      event.preventDefault();
      step(formatValue(site, stepped));
    }
  };
  const suggestions = suggestionsFor(site, id);

  return (
    <>
      <input
        ref={input}
        value={text}
        list={suggestions.length > 0 ? listId : undefined}
        aria-invalid={error !== null}
        aria-label={`${property(id).label}, ${cell.cell.state}`}
        data-dirty="true"
        onChange={(event) => {
          type(event.target.value);
        }}
        onKeyDown={onKeyDown}
        onBlur={() => {
          commit(true);
        }}
        className="absolute inset-0 w-full bg-white px-2 text-ink outline-2 -outline-offset-2 outline-ochre aria-invalid:outline-brick"
      />
      {suggestions.length > 0 && (
        <datalist id={listId}>
          {suggestions.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      )}
      {error !== null && (
        <span
          role="alert"
          className="absolute top-full left-0 z-30 w-max max-w-80 rounded-[3px] border border-brick bg-brick-wash px-2 py-1 text-small whitespace-normal text-brick"
        >
          {error}
        </span>
      )}
    </>
  );
}
