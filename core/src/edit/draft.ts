import { type Result } from '../base/result.ts';
import type { Site } from '../model/site.ts';
import { applyPatch, type JsonPatch, type PatchOperation } from './json-patch.ts';

/** A patch under construction: each operation is applied at once, so that the next one sees its result. */
export interface Draft {
  readonly site: () => Site;
  readonly patch: () => JsonPatch;
  /** Applies operations; throws where they do not fit, which only a wrong edit operation can cause. */
  readonly apply: (...operations: PatchOperation[]) => void;
}

export function startDraft(start: Site): Draft {
  let site = start;
  const patch: PatchOperation[] = [];
  return {
    site: () => site,
    patch: () => patch,
    apply: (...operations) => {
      const applied = applyPatch(site, operations);
      if (!applied.ok)
        throw new Error(`An edit made a patch that does not apply: ${applied.error[0]?.message ?? ''}`);
      site = applied.value.document;
      patch.push(...operations);
    },
  };
}

/** An edit as a function of the document; refused with a reason where it cannot be done. */
export type EditOperation<Args> = (site: Site, args: Args) => Result<JsonPatch>;
