import { collisionsOf, isOnPage, piecesOn, standingPieces, type Page, type Site } from '@hamaca/core';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useSite, useSiteState } from '../../store/open-site.tsx';
import { PagePreview } from './page-preview.tsx';
import { pageRows, pagesOf } from './page-rows.ts';
import { PageTable } from './page-table.tsx';

/** What gets in the way of what on a page. */
function Collisions({ site, page }: { readonly site: Site; readonly page: Page }) {
  const id = useSiteState((state) => state.id);
  const found = useMemo(
    () =>
      piecesOn(site, page).flatMap((piece) =>
        collisionsOf(site, piece).filter(({ other }) => isOnPage(other, page)),
      ),
    [site, page],
  );
  if (found.length === 0) return null;
  return (
    <ul className="grid gap-1 px-4 pb-4 text-bench">
      {found.map(({ piece, other, what }) => (
        <li key={`${piece.id} ${other.id}`} className="flex gap-2">
          <span aria-hidden="true" className="text-brick">
            ▲
          </span>
          <span>
            {what}.{' '}
            <Link className="underline underline-offset-2" to={`/sites/${id}/bench/${piece.id}`}>
              To {piece.name}
            </Link>
          </span>
        </li>
      ))}
    </ul>
  );
}

/** Which pages have which pieces, and how each page looks with them. */
export function PagesPlace() {
  const site = useSite();
  const id = useSiteState((state) => state.id);
  const [toggled, setToggled] = useState<ReadonlySet<string>>(new Set());
  const [chosen, setChosen] = useState<string | null>(null);
  const rows = useMemo(() => pageRows(site, toggled), [site, toggled]);
  const pieces = standingPieces(site);
  const row = rows.find(({ key }) => key === chosen) ?? rows.find(({ kind }) => kind === 'page') ?? rows[0];
  const page = row && pagesOf(row)[0];
  return (
    <main className="grid h-full grid-cols-[minmax(0,1fr)_minmax(340px,36%)]">
      <h1 className="sr-only">Pages of {site.name}</h1>
      {row && page ? (
        <>
          <PageTable
            site={site}
            pieces={pieces}
            rows={rows}
            chosen={row.key}
            onChoose={({ key }) => {
              setChosen(key);
            }}
            onFold={(path) => {
              setToggled((before) => {
                const next = new Set(before);
                if (!next.delete(path)) next.add(path);
                return next;
              });
            }}
          />
          <div className="min-h-0 overflow-auto border-l border-twine">
            <PagePreview site={site} page={page} />
            <Collisions site={site} page={page} />
          </div>
        </>
      ) : (
        <p className="col-span-2 m-8 max-w-[60ch] text-ink-soft">
          Every piece stands on every page so far. Once the inventory knows the site’s pages, this is where
          each piece is told which of them it belongs on:{' '}
          <Link className="underline underline-offset-2" to={`/sites/${id}/links`}>
            bring them in under Links
          </Link>
          .
        </p>
      )}
    </main>
  );
}
