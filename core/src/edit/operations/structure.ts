import { toPointer } from '../../base/json-pointer.ts';
import { BOOK } from '../../kinds/book.ts';
import { pieceKind, shapeOf } from '../../kinds/catalogue.ts';
import { fieldViolations } from '../../model/shape/violations.ts';
import { refuse } from '../../base/result.ts';
import type { Icon, TypeStyle } from '../../model/site-content.ts';
import type { Site } from '../../kinds/site.ts';
import type { SlotRef } from '../../model/look.ts';
import { idsOf, ownersOf, slotKind } from '../../kinds/placed.ts';
import type { Typeface } from '../../text/typefaces.ts';
import { familiesOf, reachOf } from '../../resolve/reaches.ts';
import { sameAs } from '../../resolve/resolve.ts';
import { patched, type EditOperation } from '../draft.ts';
import { iconsPatch } from './items.ts';
import type { PatchOperation } from '../json-patch.ts';

export type SiteFields = Partial<Pick<Site, 'name' | 'url' | 'language' | 'direction'>>;

/** Changes what the site says about itself. */
export const setSite: EditOperation<SiteFields> = (site, fields) =>
  patched(
    site,
    Object.entries(fields).map(([key, value]): PatchOperation => ({ op: 'replace', path: `/${key}`, value })),
  );

/** Fields of a thing that are no settings of it. */
const NO_SETTINGS = ['id', 'kind', 'look', 'folds'];

/** Changes the settings of a part, section or piece; null takes away one that may be missing. */
export const setOwner: EditOperation<{
  readonly id: string;
  readonly fields: Readonly<Record<string, unknown>>;
  readonly icons?: readonly Icon[];
}> = (site, { id, fields, icons = [] }) => {
  const owner = ownersOf(site).get(id);
  if (!owner) return refuse('gone', '/pieces', 'The part is no longer there; it was removed in the meantime');
  const shape = shapeOf(owner.kind);
  const patch: PatchOperation[] = iconsPatch(site, icons);
  for (const [key, value] of Object.entries(fields)) {
    const field = shape[key];
    const path = `${owner.path}/${key}`;
    if (!field || NO_SETTINGS.includes(key) || field.spec.kind === 'things')
      return refuse('field', owner.path, `A ${owner.kind} has no setting “${key}”`);
    if (field.optional && value === null) {
      if (Object.hasOwn(owner.thing, key)) patch.push({ op: 'remove', path });
      continue;
    }
    const [violation] = fieldViolations(field, value, BOOK);
    if (violation)
      return refuse(
        'value',
        path + toPointer(violation.path),
        `${field.label || key}: allowed is ${violation.allowed}`,
      );
    patch.push({ op: field.optional ? 'add' : 'replace', path, value });
  }
  const problem =
    owner.sort === 'piece' ? pieceKind(owner.piece).problem?.({ ...owner.thing, ...fields } as never) : null;
  if (problem) return refuse('value', owner.path, problem);
  return patched(site, patch);
};

const noStyle = () => refuse('gone', '/typeStyles', 'The type style is no longer there');

export const setTypeStyle: EditOperation<{
  readonly id: string;
  readonly fields: Partial<Omit<TypeStyle, 'id'>>;
}> = (site, { id, fields }) => {
  const index = site.typeStyles.findIndex((style) => style.id === id);
  if (index === -1) return noStyle();
  return patched(
    site,
    Object.entries(fields).map(([key, value]): PatchOperation => ({
      op: 'replace',
      path: `/typeStyles/${index}/${key}`,
      value,
    })),
  );
};

/** Takes a typeface that was brought along into the site. */
export const addTypeface: EditOperation<{ readonly typeface: Typeface }> = (site, { typeface }) =>
  patched(
    site,
    site.typefaces.some((entry) => entry.id === typeface.id)
      ? []
      : [{ op: 'add', path: '/typefaces/-', value: typeface }],
  );

/** Takes a typeface out that nothing is set in. */
export const removeTypeface: EditOperation<{ readonly id: string }> = (site, { id }) => {
  const index = site.typefaces.findIndex((typeface) => typeface.id === id);
  if (index === -1) return refuse('gone', '/typefaces', 'The typeface is no longer there');
  if (familiesOf(site).includes(id))
    return refuse(
      'in-use',
      `/typefaces/${index}`,
      'Something is set in the typeface; set that in another one first',
    );
  return patched(site, [{ op: 'remove', path: `/typefaces/${index}` }]);
};

export const addTypeStyle: EditOperation<{ readonly style: TypeStyle }> = (site, { style }) => {
  if (idsOf(site).has(style.id))
    return refuse('duplicate', '/typeStyles', `There is something with the id "${style.id}" already`);
  return patched(site, [{ op: 'add', path: '/typeStyles/-', value: style }]);
};

/** Removes a type style that nothing names and no slot falls back to. */
export const removeTypeStyle: EditOperation<{ readonly id: string }> = (site, { id }) => {
  const index = site.typeStyles.findIndex((style) => style.id === id);
  if (index === -1) return noStyle();
  const uses = reachOf(site, { kind: 'type-style', id }).length;
  if (uses > 0)
    return refuse(
      'in-use',
      `/typeStyles/${index}`,
      `The type style is used in ${uses} ${uses === 1 ? 'place' : 'places'}; link those elsewhere first`,
    );
  if (site.typeStyles.length === 1)
    return refuse('last', `/typeStyles/${index}`, 'A site keeps one type style');
  return patched(site, [{ op: 'remove', path: `/typeStyles/${index}` }]);
};

/** Makes a slot look the same as another one; null lets it go its own way again. */
export const setSameLook: EditOperation<{
  readonly owner: string;
  readonly slot: string;
  readonly as: SlotRef | null;
}> = (site, { owner, slot, as }) => {
  if (slotKind(site, { owner, slot }) === null || (as !== null && slotKind(site, as) === null))
    return refuse('gone', '/sameLooks', 'The slot is no longer there');
  const index = site.sameLooks.findIndex((entry) => entry.owner === owner && entry.slot === slot);
  for (let at: SlotRef | null = as, step = 0; at && step < 100; step++) {
    if (at.owner === owner && at.slot === slot)
      return refuse('circular', '/sameLooks', 'That one looks the same as this one already');
    at = sameAs(site, at);
  }
  const value = { owner, slot, as };
  if (index === -1) return patched(site, as === null ? [] : [{ op: 'add', path: '/sameLooks/-', value }]);
  return patched(site, [
    as === null
      ? { op: 'remove', path: `/sameLooks/${index}` }
      : { op: 'replace', path: `/sameLooks/${index}`, value },
  ]);
};
