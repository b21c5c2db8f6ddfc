import { useFindings } from '../../findings/use-findings.ts';
import { Link, useNavigate } from 'react-router';
import useSWR from 'swr';
import { Button } from '../../ui/button.tsx';
import { PlainBar } from '../../app/top-bar.tsx';
import { Stage } from '../../stage/stage.tsx';
import { firstPiece, useStagePage } from '../../stage/output.ts';
import { deleteSite, fetchSite, fetchSites, restoreSite, type SiteSummary } from '../../store/api.ts';
import { useFonts } from '../../media/fonts.ts';
import { notify } from '../../store/notices.ts';
import { WORDS } from '../../words/words.ts';

const WIDE = { width: 1180, height: 250, scale: 0.5 } as const;
const NARROW = { width: 375, height: 480, scale: 0.26 } as const;

const dateFormat = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' });

function Miniature({ id }: { readonly id: string }) {
  const { data } = useSWR(['site', id], () => fetchSite(id), { revalidateOnFocus: true });
  const fonts = useFonts(data?.site ?? null);
  const piece = data ? firstPiece(data.site) : null;
  return data && fonts && piece ? <Drawn site={data.site} /> : <div className="h-[125px] bg-linen" />;
}

function Drawn({ site }: { readonly site: Awaited<ReturnType<typeof fetchSite>>['site'] }) {
  const page = useStagePage(site, firstPiece(site), useFonts(site));
  const scene = site.scenes.find((entry) => entry.kind === 'article') ?? site.scenes[0];
  if (!page || !scene) return null;
  return (
    <div className="flex items-end gap-4 bg-surround p-4" aria-hidden="true">
      <Stage site={site} page={page} scene={scene} label="Miniature, wide" {...WIDE} />
      <Stage site={site} page={page} scene={scene} label="Miniature, narrow" {...NARROW} />
    </div>
  );
}

/** How many problems the checks find in a site's links. */
function OpenProblems({ id }: { readonly id: string }) {
  const { data } = useSWR(['site', id], () => fetchSite(id));
  const count = useFindings(data?.site)?.length;
  if (count === undefined) return null;
  return (
    <Link to={`/sites/${id}/checks`} className="text-bench text-ink-faint tabular hover:underline">
      {count === 0 ? '✓ no open problems' : `${count} open ${count === 1 ? 'problem' : 'problems'}`}
    </Link>
  );
}

function Card({ site, onDelete }: { readonly site: SiteSummary; readonly onDelete: () => void }) {
  return (
    <li className="w-[740px] max-w-full border border-twine bg-white">
      <Link to={`/sites/${site.id}/bench/header`} aria-label={`Open ${site.name}`} className="block">
        <Miniature id={site.id} />
      </Link>
      <div className="flex items-center gap-4 px-4 py-2.5">
        <Link to={`/sites/${site.id}/bench/header`} className="font-semibold hover:underline">
          {site.name}
        </Link>
        <span className="text-bench text-ink-faint tabular">
          last edit {dateFormat.format(new Date(site.updatedAt))}
        </span>
        <OpenProblems id={site.id} />
        <span className="ml-auto flex gap-1">
          <Link
            to={`/sites/${site.id}/links`}
            className="inline-flex h-7 items-center rounded-[3px] px-2.5 text-bench hover:bg-linen"
          >
            Links
          </Link>
          <Link
            to={`/sites/${site.id}/hand-off`}
            className="inline-flex h-7 items-center rounded-[3px] px-2.5 text-bench hover:bg-linen"
          >
            Hand-off
          </Link>
          <Button tone="quiet" onClick={onDelete}>
            Delete
          </Button>
        </span>
      </div>
    </li>
  );
}

/** All sites, each drawn live. */
export function SitesPlace() {
  const {
    data: sites,
    error,
    mutate,
  } = useSWR('sites', fetchSites, { refreshInterval: (latest) => (latest ? 0 : 3000) });
  const navigate = useNavigate();
  const remove = async (site: SiteSummary) => {
    await deleteSite(site.id);
    await mutate();
    notify({
      tone: 'info',
      text: WORDS.deleted(site.name),
      action: {
        label: WORDS.restore,
        run: () => {
          void restoreSite(site.id).then(() => mutate());
        },
      },
    });
  };
  return (
    <div className="flex h-full flex-col">
      <PlainBar />
      <main className="min-h-0 grow overflow-auto">
        <div className="mx-auto max-w-[1180px] px-6 py-8">
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
          <ul className="flex flex-wrap gap-5">
            {sites?.map((site) => (
              <Card key={site.id} site={site} onDelete={() => void remove(site)} />
            ))}
          </ul>
        </div>
      </main>
    </div>
  );
}
