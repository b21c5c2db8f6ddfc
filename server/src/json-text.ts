import { findHalfCharacter } from '@hamaca/core';
import { PROBLEMS, type HttpProblem } from './problem.ts';

/** Why a text is no JSON that can be kept; can be handed from thread to thread. */
export type JsonRefusal =
  | { readonly kind: 'not-json'; readonly reason: string }
  | { readonly kind: 'half-character'; readonly path: string };

/** Reads a text as JSON all of whose texts are whole. */
export function readJsonText(text: string): { readonly kind: 'json'; readonly json: unknown } | JsonRefusal {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return { kind: 'not-json', reason: (error as Error).message };
  }
  const half = findHalfCharacter(json);
  return half === null ? { kind: 'json', json } : { kind: 'half-character', path: half };
}

/** The answer to a text that is no such JSON. */
export const jsonRefusal = (read: JsonRefusal): HttpProblem =>
  read.kind === 'not-json' ? PROBLEMS.notJson(`${read.reason}.`) : PROBLEMS.halfCharacter(read.path);
