import { Hono, type Context } from 'hono';
import { stream } from 'hono/streaming';
import { array, object, string, ValidationError } from 'yup';
import { readJson } from '../body.ts';
import type { Deps } from '../deps.ts';
import { CHECK_LIMITS, checkAddresses } from '../fetching/check-addresses.ts';
import { fetchPage, FETCH_LIMITS, FetchRefused, fetchWithFiles } from '@hamaca/fetching';
import { PROBLEMS } from '../problem.ts';
import { insertPageFile } from '../store/page-files.ts';

const address = () => string().strict().required().max(FETCH_LIMITS.address);
const pageBody = object({ url: address() });
const checkBody = object({ urls: array(address()).strict().required().min(1).max(CHECK_LIMITS.addresses) });

function validate<Body>(schema: { validateSync: (value: unknown) => Body }, value: unknown): Body {
  try {
    return schema.validateSync(value);
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    throw PROBLEMS.badRequest(error.message);
  }
}

/** Answers with a JSON value a line, each as it is told, until the asker goes away. */
function answerLines(
  context: Context,
  work: (tell: (line: object) => Promise<void>, signal: AbortSignal) => Promise<void>,
): Response {
  context.header('content-type', 'application/x-ndjson');
  context.header('cache-control', 'no-store');
  return stream(context, async (output) => {
    const stop = new AbortController();
    output.onAbort(() => {
      stop.abort();
    });
    await work(async (line) => {
      await output.write(`${JSON.stringify(line)}\n`);
    }, stop.signal);
  });
}

/** Fetching from the web for imports and link checks: asked for, bounded, and never from private addresses. */
export function fetchingRoutes(deps: Deps): Hono {
  const routes = new Hono();

  routes.post('/page', async (context) => {
    const { url } = validate(pageBody, await readJson(context));
    try {
      const found = await fetchPage(url, deps.fetching, { signal: context.req.raw.signal });
      if (found.status >= 400) throw PROBLEMS.notFetched(url, `it answers with ${found.status}`);
      // What was fetched is foreign: it is handed over as bytes and never shown as a page of ours.
      return context.body(found.bytes as Uint8Array<ArrayBuffer>, 200, {
        'content-type': 'application/octet-stream',
        'cache-control': 'no-store',
        'content-disposition': 'attachment',
        'fetched-url': found.finalUrl,
        'fetched-type': found.contentType.replace(/[^\x20-\x7e]/g, ''),
      });
    } catch (error) {
      if (error instanceof FetchRefused) throw PROBLEMS.notFetched(url, error.message);
      throw error;
    }
  });

  // A page with its files: a line for each that came, and one at the end with where they are kept, or why there are none.
  routes.post('/whole-page', async (context) => {
    const { url } = validate(pageBody, await readJson(context));
    return answerLines(context, async (tell, signal) => {
      try {
        const { origin, path, files, missing } = await fetchWithFiles(url, deps.fetching, {
          what: 'all',
          signal,
          tell: (count) => void tell({ kind: 'progress', files: count }),
        });
        const kept = [];
        for (const [at, bytes] of files)
          kept.push({ path: at, file: await insertPageFile(deps.database, bytes, deps.now()) });
        await tell({ kind: 'done', origin, path, files: kept, missing });
      } catch (error) {
        if (signal.aborted) return;
        if (!(error instanceof FetchRefused)) throw error;
        await tell({ kind: 'refused', reason: error.message });
      }
    });
  });

  routes.post('/links', async (context) => {
    const { urls } = validate(checkBody, await readJson(context));
    return answerLines(context, async (tell, signal) => {
      await checkAddresses(urls, deps.fetching, signal, tell);
    });
  });

  return routes;
}
