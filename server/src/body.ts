import type { Context } from 'hono';
import { jsonRefusal, readJsonText } from './json-text.ts';

/** The request's body as unknown JSON, all of whose texts are whole. */
export async function readJson(context: Context): Promise<unknown> {
  const read = readJsonText(await context.req.text());
  if (read.kind !== 'json') throw jsonRefusal(read);
  return read.json;
}
