import type { MiddlewareHandler } from 'hono';
import { LIMITS } from '@hamaca/core';
import { PROBLEMS } from './problem.ts';

/** Bounds of what is sent: bytes of one body and of all that are on their way, and seconds in which more has to come. */
export interface BodyBounds {
  readonly each: number;
  readonly together: number;
  readonly seconds: number;
}

const BOUNDS: BodyBounds = { each: LIMITS.file, together: 4 * LIMITS.file, seconds: 15 };

/** Bytes of a body that count against nobody else: edits and forms are smaller. */
const SMALL = 64 * 1024;

/** Waits for a promise no longer than some seconds. */
async function within<Answer>(waited: Promise<Answer>, seconds: number): Promise<Answer> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_resolve, reject) => {
    timer = setTimeout(() => {
      reject(PROBLEMS.tooSlow(seconds));
    }, seconds * 1000);
  });
  try {
    return await Promise.race([waited, late]);
  } finally {
    clearTimeout(timer);
  }
}

/** Throws away what still comes of a refused body: whoever is cut off while sending may never read the answer. */
async function discard(reader: ReadableStreamDefaultReader<Uint8Array>): Promise<void> {
  try {
    while (!(await reader.read()).done);
  } catch {
    // The connection has ended, which is as well.
  }
}

/**
 * Takes bodies in as they come, within bounds: one that is too large, or of which nothing more comes, is refused, and so is one
 * that would fill the memory together with others. What is refused is kept no longer.
 */
export function boundedBodies({ each, together, seconds }: BodyBounds = BOUNDS): MiddlewareHandler {
  let held = 0;
  return async (context, next) => {
    const { raw } = context.req;
    if (!raw.body) return next();
    const reader = raw.body.getReader() as ReadableStreamDefaultReader<Uint8Array>;
    const chunks: Uint8Array[] = [];
    let size = 0;
    const counted = () => Math.max(0, size - SMALL);
    const take = async (): Promise<void> => {
      if (Number(raw.headers.get('content-length') ?? 0) > each) throw PROBLEMS.tooLarge();
      for (;;) {
        const { done, value } = await within(reader.read(), seconds);
        if (done) return;
        held -= counted();
        size += value.length;
        held += counted();
        if (size > each) throw PROBLEMS.tooLarge();
        if (size > SMALL && held > together) throw PROBLEMS.crowded();
        chunks.push(value);
      }
    };
    try {
      await take().catch((refused: unknown) => {
        void discard(reader);
        throw refused;
      });
      context.req.raw = new Request(raw, { body: Buffer.concat(chunks, size) });
      chunks.length = 0;
      await next();
    } finally {
      held -= counted();
    }
    return undefined;
  };
}
