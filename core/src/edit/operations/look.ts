import { refuse, type Result } from '../../base/result.ts';
import { escapeSegment } from '../../base/json-pointer.ts';
import { isRecord } from '../../base/json.ts';
import type { Cell } from '../../model/look.ts';
import { property } from '../../kinds/properties/properties.ts';
import { acceptsValue, allowedValue } from '../../values/accepts.ts';
import type { Value } from '../../values/values.ts';
import { ownersOf, slotKind } from '../../kinds/placed.ts';
import { startDraft, type Draft, type EditOperation } from '../draft.ts';

/** A cell with the value it gets; null clears it. */
export interface CellValue extends Cell {
  readonly value: Value | null;
}

/** The way from an owner to a cell: keys below the owner. */
const cellKeys = (cell: Cell) => ['look', cell.slot, cell.level, cell.state, cell.band, cell.property];

/** The chain of existing objects from the owner down to the cell. */
function existing(ownerPath: string, owner: unknown, keys: readonly string[]) {
  const chain: { path: string; node: Record<string, unknown> }[] = [];
  let path = ownerPath;
  let node = owner;
  for (const key of keys) {
    if (!isRecord(node)) break;
    chain.push({ path, node });
    path = `${path}/${escapeSegment(key)}`;
    node = node[key];
  }
  return { chain, found: node };
}

function setCell(draft: Draft, ownerPath: string, owner: unknown, cell: CellValue): void {
  const keys = cellKeys(cell);
  const { chain } = existing(ownerPath, owner, keys);
  const at = chain.at(-1);
  if (!at) return;
  const missing = keys.slice(chain.length);
  const value = missing.reduceRight<unknown>((inner, key) => ({ [key]: inner }), cell.value);
  draft.apply({ op: 'add', path: `${at.path}/${escapeSegment(keys[chain.length - 1] ?? '')}`, value });
}

/** Removes the cell, and with it every object that would be left empty (but not the look itself). */
function clearCell(draft: Draft, ownerPath: string, owner: unknown, cell: CellValue): void {
  const keys = cellKeys(cell);
  const { chain, found } = existing(ownerPath, owner, keys);
  if (chain.length < keys.length || found === undefined) return;
  let index = keys.length - 1;
  while (index > 1 && Object.keys(chain[index]?.node ?? {}).length === 1) index--;
  draft.apply({ op: 'remove', path: `${chain[index]?.path ?? ''}/${escapeSegment(keys[index] ?? '')}` });
}

/** Sets or clears cells on a draft; answers why not, or null. */
export function setCells(draft: Draft, cells: readonly CellValue[]): Result<never> | null {
  const widest = draft.site().bands[0]?.id;
  for (const given of cells) {
    // What reaches the widest band and narrower reaches all widths.
    const cell = given.band === widest ? { ...given, band: 'all' } : given;
    const owner = ownersOf(draft.site()).get(cell.owner);
    const kind = slotKind(draft.site(), cell);
    if (!owner || !kind?.properties.includes(cell.property))
      return refuse('gone', '', `There is no ${cell.property} at ${cell.owner}, ${cell.slot} any more`);
    if (cell.value !== null && !acceptsValue(property(cell.property), cell.value)) {
      const { label } = property(cell.property);
      return refuse('value', owner.path, `${label}: allowed is ${allowedValue(property(cell.property))}`);
    }
    if (cell.value === null) clearCell(draft, owner.path, owner.thing, cell);
    else setCell(draft, owner.path, owner.thing, cell);
  }
  return null;
}

/** Sets or clears any number of cells as one edit. */
export const setLook: EditOperation<{ readonly cells: readonly CellValue[] }> = (site, { cells }) => {
  const draft = startDraft(site);
  return setCells(draft, cells) ?? draft.done();
};
