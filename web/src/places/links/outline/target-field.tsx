import { formatTarget, parseTarget, type Site, type Target } from '@hamaca/core';
import { useId, useMemo, useState, type KeyboardEvent } from 'react';
import { matchTargets, type TargetMatch } from './target-matches.ts';

interface Props {
  readonly site: Site;
  readonly target: Target;
  readonly label: string;
  readonly opens: boolean;
  readonly onCommit: (target: Target) => void;
  readonly onKeyDown: (event: KeyboardEvent<HTMLInputElement>) => void;
  readonly onFocus: () => void;
}

/** A link's target: finds pages, sections and panels as they are typed, recognises everything else, refuses what cannot stand. */
export function TargetField({ site, target, label, opens, onCommit, onKeyDown, onFocus }: Props) {
  const shown = formatTarget(site, target);
  const [text, setText] = useState<string | null>(null);
  const [chosen, setChosen] = useState(-1);
  const [error, setError] = useState<string | null>(null);
  const listId = useId();
  const optionId = (index: number) => `${listId}-${index}`;
  const matches = useMemo(() => (text === null ? [] : matchTargets(site, text)), [site, text]);

  const end = () => {
    setText(null);
    setChosen(-1);
    setError(null);
  };
  const commit = (typed: string) => {
    const parsed = parseTarget(site, typed);
    if (!parsed.ok) {
      setError(`Refused: ${parsed.error}.`);
      return false;
    }
    if (typed.trim() !== shown) onCommit(parsed.value);
    end();
    return true;
  };
  const take = (match: TargetMatch) => {
    onCommit(match.target);
    end();
  };
  return (
    <span className="relative block">
      <input
        value={text ?? shown}
        placeholder={opens ? 'only opens' : 'page, section, address …'}
        aria-label={`Target of ${label}`}
        data-column="target"
        data-dirty={text !== null}
        spellCheck={false}
        role="combobox"
        aria-expanded={matches.length > 0}
        aria-controls={matches.length > 0 ? listId : undefined}
        aria-activedescendant={matches[chosen] ? optionId(chosen) : undefined}
        aria-autocomplete="list"
        aria-invalid={error !== null}
        className="h-7 w-full rounded-[2px] border border-transparent bg-transparent px-2 text-bench text-ink-soft tabular placeholder:text-ink-faint placeholder:italic hover:border-twine focus:border-ochre focus:bg-white aria-invalid:border-brick"
        onFocus={onFocus}
        onChange={(event) => {
          setText(event.target.value);
          setChosen(-1);
          setError(null);
        }}
        onBlur={() => {
          if (text !== null && !commit(text)) end();
        }}
        onKeyDown={(event) => {
          if (text !== null && !event.altKey && (event.key === 'ArrowDown' || event.key === 'ArrowUp')) {
            event.preventDefault();
            setChosen((before) =>
              Math.max(-1, Math.min(matches.length - 1, before + (event.key === 'ArrowDown' ? 1 : -1))),
            );
          } else if ((event.key === 'Enter' || event.key === 'Tab') && text !== null) {
            const match = matches[chosen];
            if (match) take(match);
            else if (!commit(text)) {
              event.preventDefault();
              return;
            }
            // Enter takes what was typed, and no more: pressed again it adds a link, as it does from a label.
            if (event.key === 'Tab') onKeyDown(event);
            else {
              event.preventDefault();
              event.stopPropagation();
            }
          } else if (event.key === 'Escape' && text !== null) {
            event.stopPropagation();
            end();
          } else onKeyDown(event);
        }}
      />
      {error !== null && (
        <span
          role="alert"
          className="absolute top-full left-0 z-30 w-max max-w-96 rounded-[3px] border border-brick bg-brick-wash px-2 py-1 text-small text-brick"
        >
          {error}
        </span>
      )}
      {error === null && matches.length > 0 && (
        <ul
          id={listId}
          role="listbox"
          aria-label="Pages, sections and panels"
          className="absolute top-full left-0 z-30 w-full min-w-80 rounded-[3px] border border-rope bg-white p-1"
        >
          {matches.map((match, index) => (
            <li
              key={match.key}
              id={optionId(index)}
              role="option"
              aria-selected={index === chosen}
              onPointerDown={(event) => {
                event.preventDefault();
                take(match);
              }}
              className={`flex h-7 cursor-pointer items-center gap-3 rounded-[2px] px-2 text-bench ${index === chosen ? 'bg-ochre-wash' : 'hover:bg-linen'}`}
            >
              <span className="truncate">{match.title}</span>
              <span className="ml-auto shrink-0 truncate text-ink-faint">{match.detail}</span>
            </li>
          ))}
        </ul>
      )}
    </span>
  );
}
