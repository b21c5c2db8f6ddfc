import { succeed, type Result } from '../base/result.ts';
import type { Site } from '../kinds/site.ts';
import { applyPatch, type JsonPatch, type PatchOperation } from './json-patch.ts';

/** An edit that was made: the changed document, the patch that leads to it and the one that leads back. */
export interface RanEdit {
  readonly site: Site;
  readonly patch: JsonPatch;
  readonly inverse: JsonPatch;
}

/** An edit as a function of the document; refused with a reason where it cannot be done. */
export type EditOperation<Args> = (site: Site, args: Args) => Result<RanEdit>;

/** Applies the operations an edit comes to. */
export function patched(site: Site, patch: JsonPatch): Result<RanEdit> {
  const applied = applyPatch(site, patch);
  return applied.ok
    ? succeed({ site: applied.value.document, patch, inverse: applied.value.inverse })
    : applied;
}

/** A patch under construction: each operation is applied at once, so that the next one sees its result. */
export interface Draft {
  readonly site: () => Site;
  /** Applies operations; throws where they do not fit, which only a wrong edit operation can cause. */
  readonly apply: (...operations: readonly PatchOperation[]) => void;
  /** The patch so far. */
  readonly patch: () => JsonPatch;
  /** Everything applied as one edit. */
  readonly done: () => Result<RanEdit>;
}

export function startDraft(start: Site): Draft {
  let site = start;
  const patch: PatchOperation[] = [];
  let inverse: PatchOperation[] = [];
  return {
    site: () => site,
    patch: () => patch,
    apply: (...operations) => {
      const applied = applyPatch(site, operations);
      if (!applied.ok)
        throw new Error(`An edit made a patch that does not apply: ${applied.error[0]?.message ?? ''}`);
      site = applied.value.document;
      patch.push(...operations);
      inverse = [...applied.value.inverse, ...inverse];
    },
    done: () => succeed({ site, patch, inverse }),
  };
}
