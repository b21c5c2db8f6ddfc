import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef } from 'react';
import { useFindings } from '../../findings/use-findings.ts';
import { Link, useNavigate } from 'react-router';
import useSWR, { useSWRConfig } from 'swr';
import { Button } from '../../ui/button.tsx';
import { InSight } from '../../ui/in-sight.tsx';
import { PlainBar } from '../../app/top-bar.tsx';
import { deleteSite, fetchSite, fetchSites, restoreSite, type SiteSummary } from '../../store/api.ts';
import { notify } from '../../store/notices.ts';
import { WORDS } from '../../words/words.ts';
import { DELETED_SITES, DeletedSites } from './deleted-sites.tsx';
import { Miniature } from './miniature.tsx';
import { momentText } from './moment-text.ts';

/** How many problems the checks find in a site's links. */
function OpenProblems({ id, onKnown }: { readonly id: string; readonly onKnown: () => void }) {
  const { data } = useSWR(['site', id], () => fetchSite(id));
  const count = useFindings(data?.site)?.length;
  useEffect(() => {
    if (count !== undefined) onKnown();
  }, [count, onKnown]);
  if (count === undefined) return null;
  return (
    <Link to={`/sites/${id}/checks`} className="text-bench text-ink-faint tabular hover:underline">
      {count === 0 ? '✓ no open problems' : `${count} open ${count === 1 ? 'problem' : 'problems'}`}
    </Link>
  );
}

/** Height of a card with the room below it, in px. */
const CARD = 248;

function Card({ site, onDelete }: { readonly site: SiteSummary; readonly onDelete: () => void }) {
  const action = 'inline-flex h-7 items-center rounded-[3px] px-2.5 text-bench hover:bg-linen';
  return (
    <article className="border border-twine bg-white">
      <Link to={`/sites/${site.id}/bench/header`} aria-label={`Open ${site.name}`} className="block">
        <InSight room="h-[157px] overflow-hidden bg-surround" kept={false}>
          {(drawn) => <Miniature summary={site} onDrawn={drawn} />}
        </InSight>
      </Link>
      <div className="flex h-[70px] items-center gap-4 px-4">
        <div className="min-w-0 grow">
          <Link
            to={`/sites/${site.id}/bench/header`}
            className="block truncate font-semibold hover:underline"
            title={site.name}
          >
            {site.name}
          </Link>
          <div className="flex gap-4 text-bench whitespace-nowrap text-ink-faint tabular">
            <span>last edit {momentText(site.updatedAt)}</span>
            <InSight room="min-h-5" kept={false}>
              {(drawn) => <OpenProblems id={site.id} onKnown={drawn} />}
            </InSight>
          </div>
        </div>
        <span className="flex shrink-0 gap-1 whitespace-nowrap">
          <Link to={`/sites/${site.id}/links`} className={action}>
            Links
          </Link>
          <Link to={`/sites/${site.id}/hand-off`} className={action}>
            Hand-off
          </Link>
          <Button tone="quiet" onClick={onDelete}>
            Delete
          </Button>
        </span>
      </div>
    </article>
  );
}

/** All sites, each drawn while it is in sight. */
export function SitesPlace() {
  const {
    data: sites,
    error,
    mutate,
  } = useSWR('sites', fetchSites, { refreshInterval: (latest) => (latest ? 0 : 3000) });
  const navigate = useNavigate();
  const scroller = useRef<HTMLElement>(null);
  const virtual = useVirtualizer({
    count: sites?.length ?? 0,
    getScrollElement: () => scroller.current,
    estimateSize: () => CARD,
    overscan: 3,
    getItemKey: (index) => sites?.[index]?.id ?? index,
  });
  const { mutate: refresh } = useSWRConfig();
  const showAgain = async () => {
    await Promise.all([mutate(), refresh(DELETED_SITES)]);
  };
  const restore = async (id: string) => {
    await restoreSite(id);
    await showAgain();
  };
  const remove = async (site: SiteSummary) => {
    await deleteSite(site.id);
    await showAgain();
    notify({
      tone: 'info',
      text: WORDS.deleted(site.name),
      action: {
        label: WORDS.restore,
        run: () => {
          void restore(site.id);
        },
      },
    });
  };
  return (
    <div className="flex h-full flex-col">
      <PlainBar />
      <main ref={scroller} className="min-h-0 grow overflow-auto">
        <div className="mx-auto max-w-[1180px] px-6 py-8 2xl:max-w-none 2xl:px-8">
          <div className="mb-5 flex max-w-[740px] items-center gap-4">
            <h1 className="text-[22px] font-semibold">Sites</h1>
            <Button
              tone="strong"
              onClick={() => {
                void navigate('/new');
              }}
            >
              New site
            </Button>
            <span className="ml-auto">
              <DeletedSites onRestore={restore} />
            </span>
          </div>
          {error !== undefined && sites === undefined && (
            <p role="alert" className="text-brick">
              {WORDS.serverAway}
            </p>
          )}
          {sites?.length === 0 && (
            <p className="text-ink-soft">
              No sites yet. Start one from an outline of its links or from its markup.
            </p>
          )}
          <ul className="relative" style={{ height: virtual.getTotalSize() }}>
            {virtual.getVirtualItems().map(({ key, index, start }) => {
              const site = sites?.[index];
              return (
                site && (
                  <li
                    key={key}
                    aria-setsize={sites.length}
                    aria-posinset={index + 1}
                    className="absolute top-0 left-0 w-[740px] max-w-full"
                    style={{ transform: `translateY(${start}px)` }}
                  >
                    <Card site={site} onDelete={() => void remove(site)} />
                  </li>
                )
              );
            })}
          </ul>
        </div>
      </main>
    </div>
  );
}
