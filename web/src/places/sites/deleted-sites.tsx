import { useState } from 'react';
import useSWR from 'swr';
import { Button } from '../../ui/button.tsx';
import { SheetDialog } from '../../ui/sheet-dialog.tsx';
import { fetchDeletedSites } from '../../store/api.ts';
import { WORDS } from '../../words/words.ts';
import { momentText } from './moment-text.ts';

/** Key under which the bin is remembered: whoever deletes or brings back has it asked for anew. */
export const DELETED_SITES = 'deleted sites';

/** The bin: what was deleted within the last 30 days, each with its way back. Nothing shows while it is empty. */
export function DeletedSites({ onRestore }: { readonly onRestore: (id: string) => Promise<void> }) {
  const { data: deleted = [] } = useSWR(DELETED_SITES, fetchDeletedSites);
  const [isOpen, setOpen] = useState(false);
  const close = () => {
    setOpen(false);
  };
  if (deleted.length === 0 && !isOpen) return null;
  return (
    <>
      <Button
        tone="quiet"
        onClick={() => {
          setOpen(true);
        }}
      >
        Deleted: {deleted.length}
      </Button>
      {isOpen && (
        <SheetDialog title="Deleted sites" onClose={close}>
          <p className="px-4 pt-3 text-bench text-ink-soft">{WORDS.deletedKept}</p>
          <ul className="p-4">
            {deleted.map((site) => (
              <li key={site.id} className="flex items-center gap-3 border-t border-twine py-2 first:border-0">
                <span className="min-w-0 grow">
                  <span className="block truncate font-semibold">{site.name}</span>
                  <span className="text-small text-ink-faint tabular">
                    deleted {momentText(site.deletedAt)}
                  </span>
                </span>
                <Button
                  aria-label={`Bring back ${site.name}`}
                  onClick={() => {
                    void onRestore(site.id);
                  }}
                >
                  {WORDS.restore}
                </Button>
              </li>
            ))}
            {deleted.length === 0 && <li className="text-bench text-ink-soft">Nothing is left in it.</li>}
          </ul>
        </SheetDialog>
      )}
    </>
  );
}
