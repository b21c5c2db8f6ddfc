import { findInheritedKey, jsonDepth } from '../base/json.ts';
import { parsePointer } from '../base/json-pointer.ts';
import { refuse, succeed, type Result } from '../base/result.ts';
import type { Site } from '../kinds/site.ts';
import { checkEdited, refuseDepth, refuseKey } from '../load/load-site.ts';
import { LIMITS } from '../values/limits.ts';
import type { RanEdit } from './draft.ts';
import { applyPatch, type JsonPatch } from './json-patch.ts';

/** The place of the first value of a patch that would lie too deep in the document, or null. */
function deepPlace(patch: JsonPatch): string | null {
  for (const operation of patch) {
    if (!('value' in operation)) continue;
    const above = parsePointer(operation.path)?.length ?? 0;
    if (jsonDepth(operation.value, LIMITS.json) + above > LIMITS.json) return operation.path;
  }
  return null;
}

/** Says that an edit is made of more operations than one may have. */
export function refuseLength(length: number): Result<never> {
  return refuse(
    'too-many',
    '',
    `One edit changes at most ${LIMITS.operations.toLocaleString('en')} places, this one ${length.toLocaleString('en')}; make it in several steps`,
  );
}

/**
 * Checks what an edit made of a checked site, as the server will before it saves it. Only what the edit touched is walked.
 */
export function checkRanEdit(ran: RanEdit): Result<RanEdit> {
  const { site, patch } = ran;
  const deep = deepPlace(patch);
  if (deep !== null) return refuseDepth(deep);
  if (patch.length > LIMITS.operations) return refuseLength(patch.length);
  for (const operation of patch) {
    const inherited = 'value' in operation ? findInheritedKey(operation.value) : null;
    if (inherited !== null) return refuseKey([...(parsePointer(operation.path) ?? []), ...inherited]);
  }
  // What is put elsewhere may come to lie deeper than it did.
  const puts = patch.some(({ op }) => op === 'copy' || op === 'move');
  if (puts && jsonDepth(site, LIMITS.json) > LIMITS.json) return refuseDepth('');
  const checked = checkEdited(site);
  return checked.ok ? succeed({ ...ran, site: checked.value }) : checked;
}

/** Applies a patch from outside to a checked site and checks the result: the server's way in. */
export function applyCheckedPatch(site: Site, patch: JsonPatch): Result<RanEdit> {
  if (patch.length > LIMITS.operations) return refuseLength(patch.length);
  const applied = applyPatch(site, patch);
  if (!applied.ok) return applied;
  const { document, inverse } = applied.value;
  return checkRanEdit({ site: document, patch, inverse });
}
