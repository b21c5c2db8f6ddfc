import { fail, succeed, type Result } from '../base/result.ts';
import type { Site } from '../kinds/site.ts';
import { loadSite } from '../load/load-site.ts';
import { applyPatch, type JsonPatch } from './json-patch.ts';
import type { RanEdit } from './draft.ts';

/** Applies a patch from outside and validates the result as a whole: the server's way in. */
export function applyCheckedPatch(site: Site, patch: JsonPatch): Result<RanEdit> {
  const applied = applyPatch(site, patch);
  if (!applied.ok) return applied;
  const loaded = loadSite(applied.value.document);
  return loaded.ok
    ? succeed({ site: loaded.value, patch, inverse: applied.value.inverse })
    : fail(loaded.error);
}
