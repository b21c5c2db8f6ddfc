import { kindLabel } from './catalogue.ts';
import { itemsOf } from './content.ts';
import { findPiece, ownersOf, refsOf } from './placed.ts';
import type { Site } from './site.ts';

/** What refers to a piece or to something in it from elsewhere, in words: what goes or is freed along with it. */
export function usesOf(site: Site, id: string): readonly string[] {
  const piece = findPiece(site, id);
  const place = piece && ownersOf(site).get(id)?.path;
  if (!piece || place === undefined) return [];
  const owners = [...ownersOf(site).values()];
  const within = new Set(owners.filter((owner) => owner.piece.id === piece.id).map((owner) => owner.id));
  const uses = refsOf(site)
    .filter((ref) => within.has(ref.id) && !ref.path.startsWith(`${place}/`))
    .map(({ path }) => {
      const owner = owners.findLast((one) => path.startsWith(`${one.path}/`));
      if (owner) return `${kindLabel(owner.kind)} in ${owner.piece.name}`;
      const link = [...itemsOf(site).values()].findLast((one) => path.startsWith(`${one.path}/`));
      return link ? `link ${link.item.label} in ${link.menu.name}` : null;
    });
  return [...new Set(uses.filter((use) => use !== null))];
}
