import { draftsOf } from '@hamaca/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { stageBase } from '../../stage/stage-base.ts';
import { useSite, useSiteState } from '../../store/open-site.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { useRoom } from '../../ui/use-room.ts';
import { fitInto, pathWithin, readWidth, TRIED_WIDTHS } from './tried-width.ts';

/** What a tried page tells. */
type FromPage =
  | { readonly type: 'tried-at'; readonly pathname: string; readonly hash: string; readonly title: string }
  | { readonly type: 'tried-away'; readonly href: string };

/** Counts the versions of the site that are kept: a page shows what is on the server. */
function useKeptVersion(): number | null {
  const site = useSite();
  const saving = useSiteState((state) => state.saving);
  const shown = useRef<typeof site | null>(null);
  const [version, setVersion] = useState<number | null>(null);
  useEffect(() => {
    if (saving !== 'saved' || shown.current === site) return;
    shown.current = site;
    setVersion((before) => (before ?? 0) + 1);
  }, [site, saving]);
  return version;
}

/** A page of the site with its pieces and nothing of the interface but a line that leads back and sets the width. */
export function TryPlace() {
  const site = useSite();
  const id = useSiteState((state) => state.id);
  const navigate = useNavigate();
  const { '*': splat = '' } = useParams();
  const version = useKeptVersion();
  const frame = useRef<HTMLIFrameElement>(null);
  const first = site.pages[0]?.path ?? '/';
  const [path, setPath] = useState(
    splat === '' && !site.pages.some((page) => page.path === '/') ? first : `/${splat}`,
  );
  const start = useRef(path + window.location.hash);
  const [width, setWidth] = useState<number | null>(null);
  const [away, setAway] = useState<string | null>(null);
  const { ref, room } = useRoom();
  useEffect(() => {
    const listen = (event: MessageEvent<FromPage>) => {
      if (event.source !== frame.current?.contentWindow) return;
      if (event.data.type === 'tried-away') {
        setAway(event.data.href);
        return;
      }
      const { pathname, hash } = event.data;
      const now = pathWithin(pathname, id);
      if (now === null) return;
      setAway(null);
      setPath(decodeURI(now));
      start.current = now + hash;
      void navigate(`/sites/${id}/try${now}${hash}`, { replace: true });
    };
    window.addEventListener('message', listen);
    return () => {
      window.removeEventListener('message', listen);
    };
  }, [id, navigate]);
  const { pieces: draftPieces, menus: draftMenus } = draftsOf(site);
  const drafts = [...draftPieces, ...draftMenus].map(({ name }) => name);
  const base = `${stageBase()}/tried/${id}`;
  // The frame goes its own way from where it began: another address would lead it there once more.
  const src = useMemo(() => base + start.current, [base, version]);
  const fit = fitInto(width, room);
  return (
    <main className="flex h-full min-h-0 flex-col">
      <h1 className="sr-only">{site.name}, tried</h1>
      <div className="flex min-h-8 shrink-0 flex-wrap items-center gap-x-3 border-b border-twine bg-cotton px-3 text-small">
        <Link to={`/sites/${id}/bench`} className="py-1 font-semibold underline-offset-2 hover:underline">
          ← Back
        </Link>
        <span data-testid="tried-path" className="min-w-0 truncate text-ink-soft tabular">
          {path}
        </span>
        {drafts.length > 0 && (
          <span className="min-w-0 truncate text-ink-soft" title="In no hand-off until they are let go">
            with drafts: {drafts.join(', ')}
          </span>
        )}
        {away !== null && (
          <span role="status" className="min-w-0 truncate text-brick">
            leads to {away}
          </span>
        )}
        <span role="group" aria-label="Width" className="ml-auto flex items-center gap-1 max-sm:hidden">
          {TRIED_WIDTHS.map((choice) => (
            <button
              key={choice.id}
              type="button"
              aria-pressed={choice.width === width}
              onClick={() => {
                setWidth(choice.width);
              }}
              className={`min-h-6 rounded-[2px] px-1.5 ${choice.width === width ? 'bg-ochre-wash font-semibold' : 'text-ink-soft hover:bg-linen'}`}
            >
              {choice.label}
            </button>
          ))}
          <TextField
            value={String(Math.round(fit.width))}
            aria-label="Width in px"
            className="!h-6 w-14 text-right tabular"
            onCommit={(text) => {
              const typed = readWidth(text);
              if (typed === null) return 'A width is 240 to 3000 px.';
              setWidth(typed);
              return null;
            }}
          />
          <span className="text-ink-faint">px</span>
          <a
            href={base + path}
            target="_blank"
            rel="noopener"
            title="The page by itself, to be opened on other devices as well"
            className="ml-2 underline underline-offset-2"
          >
            alone
          </a>
        </span>
      </div>
      <div ref={ref} className="flex min-h-0 grow justify-center overflow-hidden bg-surround">
        {version !== null && room.width > 0 && (
          <div style={{ width: fit.width * fit.scale, height: room.height }} className="overflow-hidden">
            <iframe
              key={version}
              ref={frame}
              src={src}
              sandbox="allow-scripts"
              title="Page"
              style={{
                width: fit.width,
                height: fit.height,
                transform: `scale(${fit.scale})`,
                transformOrigin: '0 0',
                border: 0,
                display: 'block',
                background: '#fff',
              }}
            />
          </div>
        )}
      </div>
    </main>
  );
}
