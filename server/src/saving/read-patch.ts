import { LIMITS, readPatch, type JsonPatch, type Problem } from '@hamaca/core';
import { jsonRefusal, readJsonText, type JsonRefusal } from '../json-text.ts';
import { PROBLEMS, type HttpProblem } from '../problem.ts';

/** What came of a text that should be a JSON Patch. */
export type PatchRead =
  | { readonly kind: 'patch'; readonly patch: JsonPatch }
  | JsonRefusal
  | { readonly kind: 'too-many' }
  | { readonly kind: 'no-patch'; readonly problems: readonly Problem[] };

/** Reads a request's body as a JSON Patch; a refusal can be handed from thread to thread. */
export function readPatchText(text: string): PatchRead {
  const read = readJsonText(text);
  if (read.kind !== 'json') return read;
  const { json } = read;
  if (Array.isArray(json) && json.length > LIMITS.operations) return { kind: 'too-many' };
  const patch = readPatch(json);
  return patch.ok ? { kind: 'patch', patch: patch.value } : { kind: 'no-patch', problems: patch.error };
}

/** The answer to what is no patch. */
export function patchRefusal(read: Exclude<PatchRead, { kind: 'patch' }>): HttpProblem {
  switch (read.kind) {
    case 'not-json':
    case 'half-character':
      return jsonRefusal(read);
    case 'too-many':
      return PROBLEMS.tooManyOperations(LIMITS.operations);
    case 'no-patch':
      return PROBLEMS.badPatch(read.problems);
  }
}
