import { draftsOf, type Edit, type Site } from '@hamaca/core';
import { Button } from '../../ui/button.tsx';
import { keepChoice, keptChoice } from '../../store/hand-off-choices.ts';
import { useEdit } from '../../store/open-site.tsx';

/** A piece or menu that is a draft, or was one. */
interface DraftEntry {
  readonly id: string;
  readonly name: string;
  readonly letGo: Edit;
}

/** The drafts of a site, pieces first. */
function entriesOf(site: Site): readonly DraftEntry[] {
  const { pieces, menus } = draftsOf(site);
  return [
    ...pieces.map(({ id, name }) => ({
      id,
      name,
      letGo: { name: 'set-owner', args: { id, fields: { draft: null } } } as const,
    })),
    ...menus.map(({ id, name }) => ({
      id,
      name: `${name} (menu)`,
      letGo: { name: 'set-menu-draft', args: { id, draft: false } } as const,
    })),
  ];
}

const namesOf = (site: Site): ReadonlyMap<string, string> =>
  new Map([...site.pieces, ...site.menus].map(({ id, name }) => [id, name]));

/** Notes what is a draft while a hand-off is taken, so that the next one can say what was let go since. */
export function noteDrafts(id: string, site: Site): void {
  keepChoice(
    'drafts',
    id,
    entriesOf(site)
      .map((entry) => entry.id)
      .join(' '),
  );
}

/** What is a draft and so left out, and what was let go since the last hand-off: told before anything is taken. */
export function Drafts({ site, id }: { readonly site: Site; readonly id: string }) {
  const edit = useEdit();
  const entries = entriesOf(site);
  const names = namesOf(site);
  const now = new Set(entries.map((entry) => entry.id));
  const letGo = keptChoice('drafts', id)
    .split(' ')
    .filter((before) => !now.has(before) && names.has(before));
  if (entries.length + letGo.length === 0) return null;
  return (
    <section aria-label="Drafts" className="border-b border-twine px-5 py-3 text-bench">
      {entries.length > 0 && (
        <>
          <h2 className="font-semibold">Drafts, left out of the hand-off</h2>
          <p className="text-ink-soft">What leads to them alone is left out with them.</p>
          <ul className="mt-1 grid gap-1">
            {entries.map((entry) => (
              <li key={entry.id} className="flex items-center gap-2">
                <span className="min-w-0 grow truncate">{entry.name}</span>
                <Button
                  onClick={() => edit(entry.letGo, `Let ${entry.name} go`)}
                  aria-label={`Let ${entry.name} go`}
                >
                  Let it go
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
      {letGo.length > 0 && (
        <p role="status" className="mt-2">
          <span className="font-semibold">New since the last hand-off:</span>{' '}
          {letGo.map((one) => names.get(one)).join(', ')}
        </p>
      )}
    </section>
  );
}
