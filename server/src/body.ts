import type { Context } from 'hono';
import { findHalfCharacter } from '@hamaca/core';
import { PROBLEMS } from './problem.ts';

function parse(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    throw PROBLEMS.notJson(`${(error as Error).message}.`);
  }
}

/** The request's body as unknown JSON, all of whose texts are whole. */
export async function readJson(context: Context): Promise<unknown> {
  const json = parse(await context.req.text());
  const half = findHalfCharacter(json);
  if (half !== null) throw PROBLEMS.halfCharacter(half);
  return json;
}
