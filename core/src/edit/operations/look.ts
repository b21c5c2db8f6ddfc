import { refuse, type Result } from '../../base/result.ts';
import { escapeSegment } from '../../base/json-pointer.ts';
import { isRecord } from '../../base/json.ts';
import type { Cell } from '../../model/look.ts';
import { property } from '../../kinds/properties/properties.ts';
import { wornAt } from '../../kinds/wears.ts';
import { acceptsValue, allowedValue } from '../../values/accepts.ts';
import type { Value } from '../../values/values.ts';
import type { Site } from '../../kinds/site.ts';
import { askedAt, ownersOf, slotKind } from '../../kinds/placed.ts';
import { bandKeys, resolve } from '../../resolve/resolve.ts';
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
    if (!owner || !kind || !wornAt(kind, cell.level).includes(cell.property))
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

/**
 * How far a value goes from its band: down to every narrower one that says nothing itself, in this band alone, or
 * everywhere, with what any band says itself taken away.
 */
export type Extent = 'narrower' | 'alone' | 'everywhere';

/** The value that narrower bands take from a cell now, to be said in the next one, so that it stays there. */
function keptNarrower(site: Site, cell: Cell): CellValue[] {
  const at = cell.band === 'all' ? 0 : site.bands.findIndex((band) => band.id === cell.band);
  const next = site.bands[at + 1];
  const look = ownersOf(site).get(cell.owner)?.look[cell.slot]?.[cell.level]?.[cell.state];
  if (!next || look?.[next.id]?.[cell.property] !== undefined) return [];
  const written = (bandKeys(site)[at + 1] ?? [])
    .map((band) => look?.[band]?.[cell.property])
    .find((value) => value !== undefined);
  const resolved = resolve(site, {
    ...cell,
    ...askedAt(site, cell, cell.level),
    states: cell.state === 'rest' ? [] : [cell.state],
    band: at + 1,
  });
  const value = written ?? (resolved?.type === undefined ? resolved?.value : { type: resolved.type });
  return value === undefined ? [] : [{ ...cell, band: next.id, value }];
}

/** The cells an edit sets or clears so that a value goes as far as it is to. */
function reachingCells(site: Site, cell: CellValue, extent: Extent): CellValue[] {
  if (extent === 'narrower') return [cell];
  if (extent === 'alone') return [cell, ...keptNarrower(site, cell)];
  const exceptions = site.bands.slice(1).map((band) => ({ ...cell, band: band.id, value: null }));
  return [...exceptions, { ...cell, band: 'all' }];
}

export interface LookEdit {
  readonly cells: readonly CellValue[];
  /** How far the values go; to narrower bands where nothing is said. */
  readonly extent?: Extent;
}

/** Sets or clears any number of cells as one edit. */
export const setLook: EditOperation<LookEdit> = (site, { cells, extent = 'narrower' }) => {
  const draft = startDraft(site);
  const reaching = cells.flatMap((cell) => reachingCells(site, cell, extent));
  return setCells(draft, reaching) ?? draft.done();
};
