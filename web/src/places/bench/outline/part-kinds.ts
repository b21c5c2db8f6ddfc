import {
  createPart,
  findIcon,
  idsOf,
  newPartWorld,
  pieceKind,
  partKindById,
  PARTS,
  uniqueName,
  type Icon,
  type Part,
  type PartKindId,
  type Region,
  type Site,
} from '@hamaca/core';
import { loadDrawings } from '../../../media/icon-library.ts';
import { libraryIcon } from '../../../media/site-icon.ts';
import { fetchedAhead } from '../../../ui/ahead.ts';

// A new part has its icons without a connection too.
fetchedAhead(() => loadDrawings(PARTS.flatMap(({ id }) => Object.values(partKindById(id).icons ?? {}))));

/** A part that can be added, with what it is called where it is offered. */
export interface NewPart {
  readonly kind: PartKindId;
  readonly label: string;
  readonly hint: string;
  /** Why it cannot be added now, or null. */
  readonly refused: string | null;
}

/** The parts that can be added to a region, in the order they are offered. */
export function newParts(site: Site, region: Region): NewPart[] {
  const world = newPartWorld(site, region.form);
  return PARTS.flatMap(({ id, label, hint }): NewPart[] => {
    const kind = partKindById(id);
    if (kind.onlyIn && kind.onlyIn !== pieceKind(region.piece).stands) return [];
    return [{ kind: id, label, hint, refused: kind.refused?.(world) ?? null }];
  });
}

/** A new part that looks like something at once, with the icons it draws. */
export async function makeNewPart(
  site: Site,
  kind: PartKindId,
  form: Region['form'],
): Promise<{ part: Part; icons: readonly Icon[] }> {
  const part = createPart(kind, uniqueName(kind, idsOf(site)), newPartWorld(site, form)) as Part;
  const icons: Icon[] = [];
  const drawn: Record<string, string> = {};
  for (const [field, name] of Object.entries(partKindById(kind).icons ?? {})) {
    const icon = await libraryIcon(site, name);
    if (!icon) continue;
    drawn[field] = icon.id;
    if (!findIcon(site, icon.id)) icons.push(icon);
  }
  return { part: { ...part, ...drawn }, icons };
}
