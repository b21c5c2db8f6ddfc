import { findHalfCharacter, LIMITS, readPatch, type JsonPatch, type Problem } from '@hamaca/core';
import { PROBLEMS, type HttpProblem } from '../problem.ts';

/** What came of a text that should be a JSON Patch. */
export type PatchRead =
  | { readonly kind: 'patch'; readonly patch: JsonPatch }
  | { readonly kind: 'not-json'; readonly reason: string }
  | { readonly kind: 'half-character'; readonly path: string }
  | { readonly kind: 'too-many' }
  | { readonly kind: 'no-patch'; readonly problems: readonly Problem[] };

/** Reads a request's body as a JSON Patch; a refusal can be handed from thread to thread. */
export function readPatchText(text: string): PatchRead {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (error) {
    return { kind: 'not-json', reason: (error as Error).message };
  }
  if (Array.isArray(raw) && raw.length > LIMITS.operations) return { kind: 'too-many' };
  const half = findHalfCharacter(raw);
  if (half !== null) return { kind: 'half-character', path: half };
  const patch = readPatch(raw);
  return patch.ok ? { kind: 'patch', patch: patch.value } : { kind: 'no-patch', problems: patch.error };
}

/** The answer to what is no patch. */
export function patchRefusal(read: Exclude<PatchRead, { kind: 'patch' }>): HttpProblem {
  switch (read.kind) {
    case 'not-json':
      return PROBLEMS.notJson(`${read.reason}.`);
    case 'half-character':
      return PROBLEMS.halfCharacter(read.path);
    case 'too-many':
      return PROBLEMS.tooManyOperations(LIMITS.operations);
    case 'no-patch':
      return PROBLEMS.badPatch(read.problems);
  }
}
