import { setTimeout as sleep } from 'node:timers/promises';
import type { Site } from '@hamaca/core';

/** `npm run torture` takes long; in `npm test` the same is done in short. */
export const IS_LONG = process.env['HAMACA_TORTURE'] === 'long';

/** An edit that the server said was saved. */
export interface Acknowledged {
  readonly id: string;
  readonly label: string;
  readonly revision: number;
  /** Milliseconds from when it was first sent. */
  readonly ms: number;
}

let count = 0;

/** The pointers of all links' labels in a site's first menu. */
export function labelPaths(site: Site): string[] {
  const below = (items: Site['menus'][number]['items'], path: string): string[] =>
    items.flatMap((item, index) => [
      `${path}/${index}/label`,
      ...below(item.children, `${path}/${index}/children`),
    ]);
  return below(site.menus[0]?.items ?? [], '/menus/0/items');
}

/** What a server answered, once all of it was heard. */
interface Answer {
  readonly status: number;
  readonly body: unknown;
}

/** Asks until there is a whole answer; a server that is away, or goes while it answers, is asked again. */
export async function answerOf(
  url: string,
  init: RequestInit = {},
  stop: AbortSignal = AbortSignal.timeout(300_000),
): Promise<Answer> {
  for (;;) {
    try {
      const response = await fetch(url, init);
      const body: unknown = await response.json();
      if (response.status !== 503) return { status: response.status, body };
    } catch {
      // Killed just now, or not back yet.
    }
    if (stop.aborted) throw new Error('The server did not come back.');
    await sleep(20 + Math.random() * 80);
  }
}

/** Writes edits of one place, one after the other, until it is told to stop; each is repeated until it is answered. */
export async function write(
  urls: () => string,
  site: string,
  path: string,
  stop: AbortSignal,
  giveUp: AbortSignal,
): Promise<Acknowledged[]> {
  const acknowledged: Acknowledged[] = [];
  let revision = 1;
  while (!stop.aborted) {
    const id = `edit-${process.pid}-${++count}-xx`;
    const label = `Label ${count}`;
    const sent = performance.now();
    for (let tries = 1; ; tries++) {
      const answer = await answerOf(
        `${urls()}/api/sites/${site}`,
        {
          method: 'PATCH',
          headers: {
            'content-type': 'application/json-patch+json',
            'if-match': `"${revision}"`,
            'edit-id': id,
          },
          body: JSON.stringify([{ op: 'replace', path, value: label }]),
        },
        giveUp,
      );
      const body = answer.body as { revision: number };
      if (answer.status === 200) {
        revision = Math.max(revision, body.revision);
        acknowledged.push({ id, label, revision: body.revision, ms: performance.now() - sent });
        break;
      }
      if (answer.status !== 412) throw new Error(`Answered with ${answer.status}.`);
      ({ revision } = body);
      await sleep(Math.random() * Math.min(400, 10 * 2 ** tries));
    }
  }
  return acknowledged;
}

interface Logged {
  readonly revision: number;
  readonly changeId: string;
  readonly patch: readonly { readonly path: string; readonly value: string }[];
}

/** The whole log of a site. */
export async function wholeLog(url: string, site: string): Promise<Logged[]> {
  const log: Logged[] = [];
  for (let after = 1; ; after = log.at(-1)?.revision ?? after) {
    const { body } = await answerOf(`${url}/api/sites/${site}/changes?after=${after}`);
    const { changes, more } = body as { changes: Logged[]; more: boolean };
    log.push(...changes);
    if (!more) return log;
  }
}
