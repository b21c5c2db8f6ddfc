import { Hono } from 'hono';
import {
  PICTURES_AT,
  PICTURES_AT_ALLOWED,
  PREFIX,
  PREFIX_ALLOWED,
  slugify,
  type HandOffOptions,
} from '@hamaca/core';
import type { Emit } from '../compute/tasks.ts';
import type { Deps } from '../deps.ts';
import { PROBLEMS } from '../problem.ts';
import { siteIdOf } from '../site-id.ts';
import { selectSite } from '../store/sites.ts';
import { ownFontsOf } from './tried.ts';

/** What is asked of a hand-off: what all names begin with, where pages find the pictures as files, and how rules are written. */
function readOptions({
  prefix,
  pictures,
  rules = 'nested',
}: Readonly<Record<string, string>>): HandOffOptions {
  if (prefix !== undefined && !PREFIX.test(prefix)) throw PROBLEMS.badHeader('prefix', PREFIX_ALLOWED);
  if (pictures !== undefined && !PICTURES_AT.test(pictures))
    throw PROBLEMS.badHeader('pictures', PICTURES_AT_ALLOWED);
  if (rules !== 'nested' && rules !== 'flat') throw PROBLEMS.badHeader('rules', '"nested" or "flat"');
  return {
    flat: rules === 'flat',
    ...(prefix === undefined ? {} : { prefix }),
    ...(pictures === undefined ? {} : { pictures }),
  };
}

/** Work that gives out bytes before it is done. */
interface Emitting<Answer> {
  /** Settles with the first bytes, or with the answer where there are none. */
  readonly begun: Promise<Answer | undefined>;
  readonly body: ReadableStream<Uint8Array>;
}

function emitting<Answer>(run: (emit: Emit) => Promise<Answer>): Emitting<Answer> {
  let begun!: Promise<Answer | undefined>;
  const start = (controller: ReadableStreamDefaultController<Uint8Array>) => {
    begun = new Promise((resolve, reject) => {
      const work = run((piece) => {
        resolve(undefined);
        controller.enqueue(piece);
      });
      work.then(resolve, reject);
      work.then(
        () => {
          controller.close();
        },
        (error: unknown) => {
          controller.error(error);
        },
      );
    });
  };
  const body = new ReadableStream<Uint8Array>({ start });
  return { begun, body };
}

/** The hand-off as one zip: the same files as the command line writes. */
export function handOffRoutes(deps: Deps): Hono {
  const routes = new Hono();
  routes.get('/:id/hand-off.zip', async (context) => {
    const id = siteIdOf(context);
    const options = readOptions(context.req.query());
    const stored = await selectSite(deps.database, id);
    if (!stored) throw PROBLEMS.noSite(id);
    const { signal } = context.req.raw;
    const { document, name } = stored;
    const own = await ownFontsOf(deps, document, signal);
    const input = { document, options, ownFonts: own.metrics, ownFiles: own.files };
    const { begun, body } = emitting((emit) => deps.compute.run('hand-off', input, signal, emit));
    // Whatever is wrong is told by the answer, as long as nothing of it is on its way.
    if ((await begun) === null) throw PROBLEMS.noHeader();
    return context.body(body, 200, {
      'content-type': 'application/zip',
      'cache-control': 'no-store',
      'content-disposition': `attachment; filename="${slugify(name, 'site')}-menu.zip"`,
    });
  });
  return routes;
}
