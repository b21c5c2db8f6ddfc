import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef } from 'react';
import { useFindings } from '../../findings/use-findings.ts';
import { Link, useNavigate } from 'react-router';
import useSWR, { useSWRConfig } from 'swr';
import { Button } from '../../ui/button.tsx';
import { InSight } from '../../ui/in-sight.tsx';
import { useRoom } from '../../ui/use-room.ts';
import { PlainBar } from '../../app/top-bar.tsx';
import { deleteSite, fetchSite, fetchSites, restoreSite, type SiteSummary } from '../../store/api.ts';
import { notify } from '../../store/notices.ts';
import { WORDS } from '../../words/words.ts';
import { DELETED_SITES, DeletedSites } from './deleted-sites.tsx';
import { Miniature } from './miniature.tsx';
import { momentText } from './moment-text.ts';
import { UnsentEdits } from './unsent-edits.tsx';

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

/** Width of a card’s picture, in px, and the room between cards. */
const PICTURE = 740;
const GAP = 20;

/** Least room in px in which what is known of a site stands beside its picture. */
const BESIDE = PICTURE + 300;

/** Cards with what is known of a site beside or beneath its picture: their height in px, and their parts' classes. */
const CARDS = {
  beside: {
    height: 159,
    card: 'flex',
    picture: 'w-[738px] shrink-0',
    words: 'flex min-w-0 grow flex-col gap-3 p-4 pb-2',
    facts: 'mt-1 flex-col gap-1',
    actions: '-ml-2.5',
  },
  beneath: {
    height: 228,
    card: '',
    picture: '',
    words: 'flex h-[70px] items-center gap-4 px-4',
    facts: 'gap-4',
    actions: '',
  },
} as const;
type Form = keyof typeof CARDS;

/** How cards stand in some room: in how many columns, and in which form. */
function laidOut(width: number): { readonly columns: number; readonly form: Form } {
  const columns = Math.max(1, Math.floor((width + GAP) / (PICTURE + GAP)));
  return { columns, form: columns === 1 && width >= BESIDE ? 'beside' : 'beneath' };
}

interface CardProps {
  readonly site: SiteSummary;
  readonly form: Form;
  readonly onDelete: () => void;
}

function Card({ site, form, onDelete }: CardProps) {
  const { card, picture, words, facts, actions } = CARDS[form];
  const action = 'inline-flex h-7 items-center rounded-[3px] px-2.5 text-bench hover:bg-linen';
  return (
    <article className={`border border-twine bg-white ${card}`}>
      <Link to={`/sites/${site.id}/bench`} aria-label={`Open ${site.name}`} className={`block ${picture}`}>
        <InSight room="h-[157px] overflow-hidden bg-surround" kept={false}>
          {(drawn) => <Miniature summary={site} onDrawn={drawn} />}
        </InSight>
      </Link>
      <div className={words}>
        <div className="min-w-0 grow">
          <Link
            to={`/sites/${site.id}/bench`}
            className="block truncate font-semibold hover:underline"
            title={site.name}
          >
            {site.name}
          </Link>
          <div className={`flex text-bench whitespace-nowrap text-ink-faint tabular ${facts}`}>
            <span>last edit {momentText(site.updatedAt)}</span>
            <InSight room="min-h-5" kept={false}>
              {(drawn) => <OpenProblems id={site.id} onKnown={drawn} />}
            </InSight>
          </div>
        </div>
        <span className={`flex shrink-0 gap-1 whitespace-nowrap ${actions}`}>
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
  const { ref, room } = useRoom();
  const { columns, form } = laidOut(room.width);
  const virtual = useVirtualizer({
    count: sites?.length ?? 0,
    getScrollElement: () => scroller.current,
    estimateSize: () => CARDS[form].height + GAP,
    lanes: columns,
    overscan: 3,
    getItemKey: (index) => sites?.[index]?.id ?? index,
  });
  useEffect(() => {
    virtual.measure();
  }, [virtual, columns, form]);
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
        <div className="mx-auto max-w-[1180px] px-6 py-8 2xl:max-w-[2340px] 2xl:px-8">
          <div ref={ref} />
          <div
            className="mx-auto"
            style={columns > 1 ? { maxInlineSize: columns * (PICTURE + GAP) - GAP } : undefined}
          >
            <div className="mb-5 flex items-center gap-4">
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
            {sites && <UnsentEdits sites={sites} />}
            <ul className="relative" style={{ height: virtual.getTotalSize() }}>
              {virtual.getVirtualItems().map(({ key, index, start, lane }) => {
                const site = sites?.[index];
                return (
                  site && (
                    <li
                      key={key}
                      aria-setsize={sites.length}
                      aria-posinset={index + 1}
                      className="absolute top-0"
                      style={{
                        insetInlineStart: lane * (PICTURE + GAP),
                        inlineSize: form === 'beside' ? '100%' : PICTURE,
                        maxInlineSize: '100%',
                        transform: `translateY(${start}px)`,
                      }}
                    >
                      <Card site={site} form={form} onDelete={() => void remove(site)} />
                    </li>
                  )
                );
              })}
            </ul>
          </div>
        </div>
      </main>
    </div>
  );
}
