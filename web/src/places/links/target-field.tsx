import { formatTarget, parseTarget, type Page, type Site, type Target } from '@hamaca/core';
import { useState, type KeyboardEvent } from 'react';

const MOST_SHOWN = 8;

/** Pages whose path or title holds what was typed. */
function matchingPages(site: Site, typed: string): Page[] {
  const wanted = typed.trim().toLowerCase();
  const found: Page[] = [];
  for (const page of site.pages) {
    if (found.length >= MOST_SHOWN) break;
    if (page.path.toLowerCase().includes(wanted) || page.title.toLowerCase().includes(wanted)) found.push(page);
  }
  return found;
}

interface Props {
  readonly site: Site;
  readonly target: Target;
  readonly label: string;
  readonly onCommit: (target: Target) => void;
  readonly onKeyDown: (event: KeyboardEvent<HTMLInputElement>) => void;
}

/** A link's target: finds pages as they are typed, recognises everything else, refuses what cannot stand. */
export function TargetField({ site, target, label, onCommit, onKeyDown }: Props) {
  const shown = formatTarget(site, target);
  const [text, setText] = useState<string | null>(null);
  const [chosen, setChosen] = useState(-1);
  const [error, setError] = useState<string | null>(null);
  const matches = text === null ? [] : matchingPages(site, text);

  const end = () => { setText(null); setChosen(-1); setError(null); };
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
  const take = (page: Page) => { onCommit({ kind: 'page', page: page.id }); end(); };
  return (
    <span className="relative block">
      <input value={text ?? shown} placeholder="only opens" aria-label={`Target of ${label}`} data-column="target" data-dirty={text !== null} spellCheck={false}
        role="combobox" aria-expanded={matches.length > 0} aria-controls="target-pages" aria-autocomplete="list" aria-invalid={error !== null}
        className="h-7 w-full rounded-[2px] border border-transparent bg-transparent px-2 text-bench text-ink-soft tabular placeholder:text-ink-faint placeholder:italic hover:border-twine focus:border-ochre focus:bg-white aria-invalid:border-brick"
        onChange={(event) => { setText(event.target.value); setChosen(-1); setError(null); }}
        onBlur={() => { if (text !== null && !commit(text)) end(); }}
        onKeyDown={(event) => {
          if (text !== null && (event.key === 'ArrowDown' || event.key === 'ArrowUp')) {
            event.preventDefault();
            setChosen((before) => Math.max(-1, Math.min(matches.length - 1, before + (event.key === 'ArrowDown' ? 1 : -1))));
          } else if (event.key === 'Enter' && text !== null) {
            event.preventDefault();
            const page = matches[chosen];
            if (page) take(page);
            else commit(text);
          } else if (event.key === 'Escape' && text !== null) {
            event.stopPropagation();
            end();
          } else onKeyDown(event);
        }} />
      {error !== null && <span role="alert" className="absolute top-full left-0 z-30 w-max max-w-96 rounded-[3px] border border-brick bg-brick-wash px-2 py-1 text-small text-brick">{error}</span>}
      {error === null && text !== null && matches.length > 0 && (
        <ul id="target-pages" role="listbox" aria-label="Pages" className="absolute top-full left-0 z-30 w-full min-w-72 rounded-[3px] border border-rope bg-white p-1">
          {matches.map((page, index) => (
            <li key={page.id} role="option" aria-selected={index === chosen} onPointerDown={(event) => { event.preventDefault(); take(page); }}
              className={`flex h-7 cursor-pointer items-center gap-3 rounded-[2px] px-2 text-bench ${index === chosen ? 'bg-ochre-wash' : 'hover:bg-linen'}`}>
              <span className="truncate">{page.title}</span><span className="ml-auto truncate text-ink-faint">{page.path}</span>
            </li>
          ))}
        </ul>
      )}
    </span>
  );
}
