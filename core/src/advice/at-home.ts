import { runEdit, type Edit, type SingleEdit } from '../edit/operations.ts';
import type { Design } from '../edit/operations/design.ts';
import type { CellValue } from '../edit/operations/look.ts';
import { slotsOf } from '../kinds/catalogue.ts';
import { hasSlot, ownersOf, type Owner } from '../kinds/placed.ts';
import type { Site } from '../kinds/site.ts';
import type { SlotKind } from '../model/slot.ts';
import { mendedContrast } from './contrast.ts';
import { edited } from './edited.ts';
import { speaking } from './speaking.ts';
import { holderOf, resolve } from '../resolve/resolve.ts';
import type { Value } from '../values/values.ts';

/*
 * What is put somewhere is at home there at once: it wears the typeface of what stands around it, and colours that can be
 * read on what is behind it.
 */

const slotsThere = (site: Site, owner: Owner): (readonly [string, SlotKind])[] =>
  Object.entries(slotsOf(owner.kind)).filter(([slot]) => hasSlot(site, owner, slot));

/** Whether a slot says its own typeface, rather than taking it from one around it. */
const saysFamily = (kind: SlotKind) =>
  kind.text !== 'icon' && kind.properties.includes('family') && holderOf(kind, 'family') === null;

const resolvedFamily = (site: Site, owner: string, slot: string) =>
  resolve(site, { owner, slot, property: 'family', level: null, states: [], band: 0 });

const familyOf = (site: Site, owner: string, slot: string): Value | undefined =>
  resolvedFamily(site, owner, slot)?.value;

/** Whether a slot is set in another typeface than wanted without having been asked to. */
function isElsewhere(site: Site, owner: string, slot: string, wanted: Value): boolean {
  const found = resolvedFamily(site, owner, slot);
  return found !== null && found.value !== wanted && found.origin.kind !== 'look';
}

/** The typeface most of some owners' texts are set in. */
function usualFamily(site: Site, owners: readonly Owner[]): Value | undefined {
  const counts = new Map<Value, number>();
  for (const owner of owners)
    for (const [slot, kind] of slotsThere(site, owner)) {
      const family = saysFamily(kind) ? familyOf(site, owner.id, slot) : undefined;
      if (family !== undefined) counts.set(family, (counts.get(family) ?? 0) + 1);
    }
  return [...counts].sort(([, a], [, b]) => b - a)[0]?.[0];
}

/** Sets what is new in the typeface of its piece, or where nothing else stands there, of the site. */
function familyEdit(site: Site, added: readonly Owner[]): SingleEdit | null {
  const isNew = new Set(added.map(({ id }) => id));
  const others = [...ownersOf(site).values()].filter(({ id }) => !isNew.has(id));
  const usual = usualFamily(site, others);
  const cells = added.flatMap((owner) => {
    const beside = others.filter(({ piece }) => piece.id === owner.piece.id);
    const family = usualFamily(site, beside) ?? usual;
    if (family === undefined) return [];
    return slotsThere(site, owner)
      .filter(([slot, kind]) => saysFamily(kind) && isElsewhere(site, owner.id, slot, family))
      .map(([slot]): CellValue => ({
        owner: owner.id,
        slot,
        property: 'family',
        level: 'all',
        state: 'rest',
        band: 'all',
        value: family,
      }));
  });
  return cells.length > 0 ? { name: 'set-look', args: { cells } } : null;
}

/** Sets a piece that a design made anew in the typeface of the rest of the site, where the design says none. */
export function designInFamily(site: Site, design: Design): Design {
  const ran = runEdit(site, { name: 'set-design', args: design });
  if (!ran.ok) return design;
  const made = new Set(design.pieces.map(({ id }) => id));
  const owners = [...ownersOf(ran.value.site).values()].filter(({ piece }) => made.has(piece.id));
  const typing = familyEdit(ran.value.site, owners);
  if (!typing) return design;
  return { ...design, pieces: edited(ran.value.site, typing).pieces.filter(({ id }) => made.has(id)) };
}

/** Colours that can be read, for every text and drawing of some owners that cannot be read now, where one is to be found. */
function readableOwners(site: Site, isMeant: (owner: Owner) => boolean): readonly SingleEdit[] {
  const edits: SingleEdit[] = [];
  let now = site;
  for (const owner of ownersOf(site).values())
    if (isMeant(owner))
      for (const [slot, kind] of slotsThere(site, owner)) {
        const edit = mendedContrast(now, { owner, slot, kind });
        if (!edit) continue;
        edits.push(edit);
        now = edited(now, edit);
      }
  return edits;
}

/** Colours that can be read for all that stands in a piece, none where all can be read. */
export const readableEdits = (site: Site, piece: string): readonly SingleEdit[] =>
  readableOwners(site, (owner) => owner.piece.id === piece);

/** Adds a part, a section or a piece so that all that comes with it is at home where it stands. */
export function addAtHome(
  site: Site,
  add: Extract<SingleEdit, { name: 'add-part' | 'add-section' | 'add-piece' }>,
): Edit {
  const spoken = speaking(add, site.language);
  const before = ownersOf(site);
  const after = edited(site, spoken);
  const added = [...ownersOf(after).values()].filter(({ id }) => !before.has(id));
  const typing = familyEdit(after, added);
  const typed = typing ? edited(after, typing) : after;
  const isNew = new Set(added.map(({ id }) => id));
  const edits = [spoken, ...(typing ? [typing] : []), ...readableOwners(typed, ({ id }) => isNew.has(id))];
  return edits.length === 1 ? spoken : { name: 'several', args: { edits } };
}
