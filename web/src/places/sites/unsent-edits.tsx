import useSWR from 'swr';
import { Button } from '../../ui/button.tsx';
import type { SiteSummary } from '../../store/api.ts';
import { takeTab } from '../../store/early.ts';
import { notify } from '../../store/notices.ts';
import { dropUnsent, unsentEdits } from '../../store/pending.ts';
import { openSite } from '../../store/site-store.ts';
import { WORDS } from '../../words/words.ts';

/** Saves what was kept of a site, as opening it would; answers whether all of it was. */
const saveUnsent = (id: string): Promise<boolean> =>
  new Promise((resolve) => {
    const store = openSite(id);
    const end = (saved: boolean) => {
      stop();
      store.close();
      resolve(saved);
    };
    const stop = store.subscribe(({ status, saving }) => {
      if (status === 'ready' && saving === 'saved') end(true);
      else if (status === 'missing' || status === 'away' || saving === 'offline' || saving === 'failing')
        end(false);
    });
  });

/** Edits of pages that were closed before they were saved, by site: they can be saved from here, or thrown away. */
export function UnsentEdits({ sites }: { readonly sites: readonly SiteSummary[] }) {
  const { data: unsent, mutate } = useSWR('unsent edits', unsentEdits);
  if (!unsent || unsent.length === 0) return null;
  const save = async (id: string) => {
    if (!(await saveUnsent(id))) notify({ tone: 'error', text: WORDS.stillUnsent });
    await mutate();
  };
  const drop = async (id: string) => {
    await dropUnsent(id, await takeTab());
    await mutate();
  };
  return (
    <ul
      aria-label="Edits that were not saved"
      className="mb-4 border-l-[3px] border-ochre bg-ochre-wash px-4 py-2 text-bench"
    >
      {unsent.map(([id, count]) => {
        const site = sites.find((one) => one.id === id);
        return (
          <li key={id} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-0.5">
            <span className="min-w-0">{WORDS.unsent(site?.name ?? WORDS.someSite, count)}</span>
            {site && <Button onClick={() => void save(id)}>Save now</Button>}
            <Button tone="quiet" onClick={() => void drop(id)}>
              Throw away
            </Button>
          </li>
        );
      })}
    </ul>
  );
}
