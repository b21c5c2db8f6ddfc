import { succeed, type Result } from '../base/result.ts';
import type { Site } from '../kinds/site.ts';
import type { EditOperation, RanEdit } from './draft.ts';
import { withWords } from './words.ts';
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
import { addMenu, duplicateMenu, removeMenu, setMenuDraft, setMenuName } from './operations/menus.ts';
import { addPages, removePages, setPage } from './operations/pages.ts';
import { addBand, removeBand, setBandName, setBandStart } from './operations/bands.ts';
import { addForeignPage, removeForeignPage, setForeignPage } from './operations/foreign-pages.ts';
import { addPart, duplicatePart, foldPart, movePart, removePart } from './operations/parts.ts';
import {
  addPiece,
  addSection,
  duplicatePiece,
  duplicateSection,
  movePiece,
  moveSection,
  removePiece,
  removeSection,
} from './operations/pieces.ts';
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
  'set-menu-draft': setMenuDraft,
  'remove-menu': removeMenu,
  'add-pages': addPages,
  'set-page': setPage,
  'remove-pages': removePages,
  'add-foreign-page': addForeignPage,
  'set-foreign-page': setForeignPage,
  'remove-foreign-page': removeForeignPage,
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
  'fold-part': foldPart,
  'add-section': addSection,
  'duplicate-section': duplicateSection,
  'remove-section': removeSection,
  'move-section': moveSection,
  'add-piece': addPiece,
  'duplicate-piece': duplicatePiece,
  'remove-piece': removePiece,
  'move-piece': movePiece,
  'set-design': setDesign,
} as const;

export type OperationName = keyof typeof OPERATIONS;

export type OperationArgs<Name extends OperationName> = Parameters<(typeof OPERATIONS)[Name]>[1];

/** One edit that can be run on any document: an operation with its arguments. */
export type SingleEdit = {
  readonly [Name in OperationName]: { readonly name: Name; readonly args: OperationArgs<Name> };
}[OperationName];

/** Edits made one after the other as one step; one that no longer fits after those before it is left out. */
export interface SeveralEdits {
  readonly name: 'several';
  readonly args: { readonly edits: readonly SingleEdit[] };
}

export type Edit = SingleEdit | SeveralEdits;

function runSeveral(site: Site, edits: readonly SingleEdit[]): Result<RanEdit> {
  let all: RanEdit = { site, patch: [], inverse: [] };
  let refused: Result<RanEdit> | null = null;
  for (const edit of edits) {
    const ran = runEdit(all.site, edit);
    if (ran.ok)
      all = {
        site: ran.value.site,
        patch: [...all.patch, ...ran.value.patch],
        inverse: [...ran.value.inverse, ...all.inverse],
      };
    else refused ??= ran;
  }
  return refused && all.patch.length === 0 ? refused : succeed(all);
}

/** Runs an edit: the changed document with patch and inverse, or why it cannot be done. Nothing changes then. */
export function runEdit(site: Site, edit: Edit): Result<RanEdit> {
  if (edit.name === 'several') return runSeveral(site, edit.args.edits);
  const ran = (OPERATIONS[edit.name] as EditOperation<unknown>)(site, edit.args);
  return ran.ok ? withWords(site, ran.value) : ran;
}
