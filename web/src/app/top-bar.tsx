import { useFindings } from '../findings/use-findings.ts';
import { useDeferredValue, useEffect, useState } from 'react';
import { Link, NavLink } from 'react-router';
import { CommandButton } from './commands/command-button.tsx';
import { useCommands } from './commands/use-commands.tsx';
import { useLinks } from '../store/links-store.ts';
import { useSiteState, useSiteStore } from '../store/open-site.tsx';
import type { Saving } from '../store/site-store.ts';
import { WORDS } from '../words/words.ts';
import { SiteDetails } from './site-details.tsx';
import { Wordmark } from './wordmark.tsx';

const PLACES = [
  ['links', 'Links'],
  ['pages', 'Pages'],
  ['bench', 'Bench'],
  ['palette', 'Palette'],
  ['checks', 'Checks'],
  ['hand-off', 'Hand-off'],
] as const;

/** How many problems are open, a moment behind the edits. */
function ProblemCount() {
  const site = useDeferredValue(useSiteState((state) => state.site));
  const fetched = useLinks((state) => state.fetched);
  const count = useFindings(site, fetched)?.length ?? 0;
  return count === 0 ? null : <span className="ml-1 text-small text-ink-faint tabular">{count}</span>;
}

const bar =
  'flex h-11 shrink-0 items-center gap-4 slim:gap-2 border-b border-twine bg-cotton px-4 text-bench';

/** The bar above places without a site. */
export function PlainBar() {
  return (
    <header className={bar}>
      <Link to="/">
        <Wordmark />
      </Link>
      <span className="ml-auto" />
      <CommandButton id="find" label="Find" />
    </header>
  );
}

const SAVING: Readonly<Record<Saving, string>> = {
  saved: WORDS.saved,
  saving: WORDS.saving,
  offline: WORDS.offline,
  failing: WORDS.failing,
};

function SavingSign() {
  const saving = useSiteState((state) => state.saving);
  const kept = useSiteState((state) => state.kept);
  const isLate = saving === 'offline' || saving === 'failing';
  const tone = isLate ? 'text-brick font-semibold' : 'text-ink-faint';
  return (
    <span role="status" data-saving={saving} className={`truncate slim:min-w-11 ${tone}`}>
      {isLate ? '⚠ ' : ''}
      {isLate && !kept ? WORDS.notKept : SAVING[saving]}
    </span>
  );
}

/** The bar above every place of an open site. */
export function SiteBar() {
  const store = useSiteStore();
  const { setStore } = useCommands();
  const id = useSiteState((state) => state.id);
  // Undo and redo are re-read whenever the history changes.
  useSiteState((state) => state.history);
  const name = useSiteState((state) => state.site?.name ?? '');
  const [details, setDetails] = useState(false);
  useEffect(() => {
    setStore(store);
    return () => {
      setStore(null);
    };
  }, [store, setStore]);
  return (
    <header className={bar}>
      <Link to="/" title="All sites">
        <Wordmark />
      </Link>
      <button
        type="button"
        onClick={() => {
          setDetails(true);
        }}
        title="Name, address and language of the site"
        className="h-7 max-w-60 slim:max-w-44 truncate rounded-[3px] px-2 font-semibold hover:bg-linen"
      >
        {name || 'Site'}{' '}
        <span aria-hidden="true" className="text-ink-faint">
          ▾
        </span>
      </button>
      <nav aria-label="Places" className="flex h-full gap-1">
        {PLACES.map(([path, label]) => (
          <NavLink
            key={path}
            to={`/sites/${id}/${path}`}
            className={({ isActive }) =>
              `flex items-center border-b-[3px] px-3 slim:px-2 whitespace-nowrap pt-[3px] ${isActive ? 'border-ochre font-semibold' : 'border-transparent text-ink-soft hover:border-twine'}`
            }
          >
            {label}
            {path === 'checks' && <ProblemCount />}
          </NavLink>
        ))}
      </nav>
      <span className="ml-auto flex min-w-0 items-center gap-1">
        <SavingSign />
        <span className="mx-1 h-4 border-l border-twine" />
        <CommandButton id="undo" />
        <CommandButton id="redo" />
        <CommandButton id="find" label="Find" />
        <CommandButton id="go-try" label="Try it" />
      </span>
      {details && (
        <SiteDetails
          onClose={() => {
            setDetails(false);
          }}
        />
      )}
    </header>
  );
}
