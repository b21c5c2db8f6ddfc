import { findIcon, type MenuItem, type Site } from '@hamaca/core';
import { useEffect, useId, useState, type KeyboardEvent } from 'react';
import { iconSvg, loadDrawings } from '../../../media/icon-library.ts';
import { IconDrawing } from '../../../ui/icon-drawing.tsx';
import { searchIcons } from '../../../workers/run-find-icons.ts';

/** How many matches stand beside what is typed. */
const MATCHES = 9;

/** A drawing of the library. */
export interface Match {
  readonly name: string;
  readonly body: string;
}

/** The first icons that a search finds, with their drawings; those of the last search stay until the new ones are there. */
function useMatches(typed: string | null): readonly Match[] {
  const [matches, setMatches] = useState<readonly Match[]>([]);
  useEffect(() => {
    if (typed === null || typed.trim() === '') {
      setMatches([]);
      return undefined;
    }
    let current = true;
    void searchIcons(typed, MATCHES)
      .then(async (names) => {
        const drawings = await loadDrawings(names);
        if (current) setMatches([...drawings].map(([name, body]): Match => ({ name, body })));
      })
      // The library cannot be reached: what is typed stays, and the next letter asks again.
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [typed]);
  return matches;
}

interface Props {
  readonly site: Site;
  readonly item: MenuItem;
  readonly depth: number;
  /** Takes an icon of the library, or none, and goes on to the next line or stays. */
  readonly onTake: (match: Match | null) => void;
  readonly onMove: (by: 1 | -1) => void;
}

/** One link with its icon: a word typed into it finds others, and Enter takes the one that is marked. */
export function IconLine({ site, item, depth, onTake, onMove }: Props) {
  const icon = item.icon === undefined ? null : findIcon(site, item.icon);
  const [typed, setTyped] = useState<string | null>(null);
  const [chosen, setChosen] = useState(0);
  const matches = useMatches(typed);
  const listId = useId();
  const marked = matches[Math.min(chosen, matches.length - 1)];
  const take = (match: Match | null) => {
    setTyped(null);
    setChosen(0);
    onTake(match);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    const isOpen = typed !== null && matches.length > 0;
    const at = event.currentTarget.selectionStart;
    if (event.key === 'Enter') {
      event.preventDefault();
      if (typed === '') take(null);
      else if (isOpen && marked) take(marked);
      else if (typed !== null) return;
      onMove(1);
      return;
    }
    if (event.key === 'Escape' && typed !== null) {
      event.stopPropagation();
      setTyped(null);
      setChosen(0);
    } else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      onMove(event.key === 'ArrowDown' ? 1 : -1);
    } else if (isOpen && event.key === 'ArrowRight' && at === typed.length) {
      event.preventDefault();
      setChosen((before) => Math.min(matches.length - 1, before + 1));
    } else if (isOpen && event.key === 'ArrowLeft' && chosen > 0) {
      event.preventDefault();
      setChosen((before) => before - 1);
    }
  };
  return (
    <div className="flex h-9 items-center gap-2 border-b border-linen px-3">
      <span className="grid size-7 shrink-0 place-items-center">
        {icon ? <IconDrawing icon={icon} /> : <span className="text-ink-faint">·</span>}
      </span>
      <span className="w-56 shrink-0 truncate" style={{ paddingInlineStart: (depth - 1) * 16 }}>
        {item.label || <span className="text-ink-faint">without a label</span>}
      </span>
      <input
        className="field w-44 shrink-0"
        aria-label={`Icon of ${item.label}`}
        role="combobox"
        aria-expanded={matches.length > 0}
        aria-controls={matches.length > 0 ? listId : undefined}
        aria-activedescendant={marked ? `${listId}-${marked.name}` : undefined}
        aria-autocomplete="list"
        spellCheck={false}
        value={typed ?? icon?.name ?? ''}
        placeholder="type a word"
        onChange={(event) => {
          setTyped(event.target.value);
          setChosen(0);
        }}
        onFocus={(event) => {
          event.target.select();
        }}
        onBlur={() => {
          setTyped(null);
          setChosen(0);
        }}
        onKeyDown={onKeyDown}
      />
      {matches.length > 0 && (
        <span id={listId} role="listbox" aria-label="Icons it finds" className="flex min-w-0">
          {matches.map((match) => (
            <span
              key={match.name}
              id={`${listId}-${match.name}`}
              role="option"
              aria-label={match.name}
              aria-selected={match === marked}
              title={match.name}
              className={`grid size-8 shrink-0 cursor-pointer place-items-center rounded-[3px] ${match === marked ? 'bg-ochre-wash outline-1 outline-ochre' : 'hover:bg-linen'}`}
              onPointerDown={(event) => {
                event.preventDefault();
                take(match);
              }}
            >
              <IconDrawing icon={{ svg: iconSvg(match.body) }} />
            </span>
          ))}
        </span>
      )}
      {typed !== null && typed.trim() !== '' && matches.length === 0 && (
        <span className="truncate text-ink-faint">no icon is called that</span>
      )}
      {typed === '' && icon && <span className="truncate text-ink-faint">Enter takes the icon away</span>}
    </div>
  );
}
