import { isOnPage, type Piece, type Site } from '@hamaca/core';
import { hostOf, pageOf } from '../../stage/output.ts';
import { benchStore, useBench } from '../../store/bench-store.ts';
import { Choice } from '../../ui/choice.tsx';
import { Short } from '../../ui/short.tsx';

/** Pages that are offered: more than can be looked through are chosen in the table of pages. */
const MOST_OFFERED = 300;

/** Which page of the inventory is on the stage, of those that the piece is on. */
export function PageChoice({ site, piece }: { readonly site: Site; readonly piece: Piece }) {
  const chosen = useBench((state) => state.page);
  const page = pageOf(site, piece, chosen);
  if (!page) return null;
  const host = hostOf(site, piece);
  const offered = site.pages.filter((one) => isOnPage(host, one)).slice(0, MOST_OFFERED);
  return (
    <Choice
      label="Page on the stage"
      value={page.id}
      options={(offered.includes(page) ? offered : [page, ...offered]).map(({ id, path }) => ({
        value: id,
        label: `on: ${path}`,
      }))}
      shown={<Short text={`on: ${page.path}`} />}
      onChange={(id) => {
        benchStore.setState({ page: id });
      }}
    />
  );
}
