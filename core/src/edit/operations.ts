import { succeed, type Result } from '../base/result.ts';
import type { Site } from '../model/site.ts';
import type { EditOperation } from './draft.ts';
import { applyPatch, type JsonPatch } from './json-patch.ts';
import { setDesign } from './operations/design.ts';
import { setLook } from './operations/look.ts';
import {
  addItems,
  duplicateItems,
  importItems,
  moveItems,
  removeItems,
  setItem,
  stepItems,
} from './operations/items.ts';
import { addMenu, duplicateMenu, removeMenu, setMenuName } from './operations/menus.ts';
import { addPages, removePages, setPage } from './operations/pages.ts';
import { addBand, removeBand, setBandName, setBandStart } from './operations/bands.ts';
import {
  addPart,
  addRow,
  duplicatePart,
  movePart,
  moveRow,
  removePart,
  removeRow,
} from './operations/parts.ts';
import {
  addSwatch,
  importSwatches,
  moveSwatch,
  relinkColours,
  removeSwatch,
  setRole,
  setSwatch,
} from './operations/palette.ts';
import {
  addTypeface,
  addTypeStyle,
  removeTypeface,
  removeTypeStyle,
  setOwner,
  setSameLook,
  setSite,
  setTypeStyle,
} from './operations/structure.ts';

/** Every edit by name. Arguments are plain JSON, so that an edit can be kept, sent and run again on a newer document. */
export const OPERATIONS = {
  'set-look': setLook,
  'add-items': addItems,
  'set-item': setItem,
  'remove-items': removeItems,
  'move-items': moveItems,
  'step-items': stepItems,
  'duplicate-items': duplicateItems,
  'import-items': importItems,
  'add-menu': addMenu,
  'duplicate-menu': duplicateMenu,
  'set-menu-name': setMenuName,
  'remove-menu': removeMenu,
  'add-pages': addPages,
  'set-page': setPage,
  'remove-pages': removePages,
  'set-swatch': setSwatch,
  'add-swatch': addSwatch,
  'remove-swatch': removeSwatch,
  'import-swatches': importSwatches,
  'move-swatch': moveSwatch,
  'relink-colours': relinkColours,
  'set-role': setRole,
  'set-band-start': setBandStart,
  'set-band-name': setBandName,
  'set-site': setSite,
  'set-owner': setOwner,
  'add-band': addBand,
  'remove-band': removeBand,
  'set-type-style': setTypeStyle,
  'add-typeface': addTypeface,
  'remove-typeface': removeTypeface,
  'add-type-style': addTypeStyle,
  'remove-type-style': removeTypeStyle,
  'set-same-look': setSameLook,
  'add-part': addPart,
  'remove-part': removePart,
  'move-part': movePart,
  'duplicate-part': duplicatePart,
  'add-row': addRow,
  'remove-row': removeRow,
  'move-row': moveRow,
  'set-design': setDesign,
} as const;

export type OperationName = keyof typeof OPERATIONS;

export type OperationArgs<Name extends OperationName> = Parameters<(typeof OPERATIONS)[Name]>[1];

/** One edit that can be run on any document: an operation with its arguments. */
export type Edit = {
  readonly [Name in OperationName]: { readonly name: Name; readonly args: OperationArgs<Name> };
}[OperationName];

export interface RanEdit {
  readonly site: Site;
  readonly patch: JsonPatch;
  readonly inverse: JsonPatch;
}

/** Runs an edit: the changed document with patch and inverse, or why it cannot be done. Nothing changes then. */
export function runEdit(site: Site, edit: Edit): Result<RanEdit> {
  const operation = OPERATIONS[edit.name] as EditOperation<unknown>;
  const patch = operation(site, edit.args);
  if (!patch.ok) return patch;
  const applied = applyPatch(site, patch.value);
  if (!applied.ok) return applied;
  return succeed({ site: applied.value.document, patch: patch.value, inverse: applied.value.inverse });
}
