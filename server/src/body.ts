import type { Context } from 'hono';
import { findHalfCharacter, LIMITS } from '@hamaca/core';
import { PROBLEMS } from './problem.ts';

/** The request's body as text, refused past the size of a site file while it is being read. */
export async function readText(context: Context): Promise<string> {
  const declared = Number(context.req.header('content-length') ?? 0);
  if (declared > LIMITS.file) throw PROBLEMS.tooLarge();
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of (context.req.raw.body ?? []) as AsyncIterable<Uint8Array>) {
    size += chunk.byteLength;
    if (size > LIMITS.file) throw PROBLEMS.tooLarge();
    chunks.push(chunk);
  }
  return Buffer.concat(chunks).toString('utf8');
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    throw PROBLEMS.notJson(`${(error as Error).message}.`);
  }
}

/** The request's body as unknown JSON, all of whose texts are whole. */
export async function readJson(context: Context): Promise<unknown> {
  const json = parse(await readText(context));
  const half = findHalfCharacter(json);
  if (half !== null) throw PROBLEMS.halfCharacter(half);
  return json;
}
