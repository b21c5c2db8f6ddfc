import type { Context } from 'hono';
import type { ContentfulStatusCode } from 'hono/utils/http-status';
import { problemInWords, type Problem } from '@hamaca/core';

/** An error to be answered as problem details (RFC 9457). */
export class HttpProblem extends Error {
  readonly status: ContentfulStatusCode;
  readonly title: string;
  readonly problems: readonly Problem[];
  readonly extra: Readonly<Record<string, unknown>>;

  constructor(
    status: ContentfulStatusCode,
    title: string,
    detail: string,
    problems: readonly Problem[] = [],
    extra: Record<string, unknown> = {},
  ) {
    super(detail);
    this.status = status;
    this.title = title;
    this.problems = problems;
    this.extra = extra;
  }
}

/** All messages of the server in one place: what happened, what was kept, what to do. */
export const PROBLEMS = {
  noSite: (id: string) =>
    new HttpProblem(404, 'No such site', `There is no site "${id}"; it may have been deleted.`),
  noRoute: (path: string) => new HttpProblem(404, 'Nothing here', `There is nothing at ${path}.`),
  notJson: (reason: string) =>
    new HttpProblem(400, 'Not JSON', `The request's body is not JSON: ${reason} Nothing was changed.`),
  notPatchType: () =>
    new HttpProblem(
      415,
      'Unsupported media type',
      'Edits are sent as application/json-patch+json. Nothing was changed.',
    ),
  notJsonType: () =>
    new HttpProblem(
      415,
      'Unsupported media type',
      'Sites are sent as application/json. Nothing was changed.',
    ),
  invalid: (problems: readonly Problem[]) =>
    new HttpProblem(
      422,
      'Not a valid site',
      `${problems[0] ? problemInWords(problems[0]) : 'The document is not valid'}. Nothing was changed.`,
      problems,
    ),
  badPatch: (problems: readonly Problem[]) =>
    new HttpProblem(
      400,
      'Not a JSON Patch',
      `${problems[0]?.message ?? 'The patch cannot be read'}. Nothing was changed.`,
      problems,
    ),
  badHeader: (name: string, allowed: string) =>
    new HttpProblem(400, 'Bad request header', `${name}: allowed is ${allowed}. Nothing was changed.`),
  noRevision: () =>
    new HttpProblem(
      428,
      'Revision needed',
      'An edit names the revision it was made on with If-Match. Nothing was changed.',
    ),
  stale: (revision: number) =>
    new HttpProblem(
      412,
      'Stale revision',
      `The site has changed meanwhile and is at revision ${revision}. Nothing was changed; take the changes and send the edit again.`,
      [],
      { revision },
    ),
  tooLarge: () => new HttpProblem(413, 'Too large', 'The request is larger than 32 MB. Nothing was changed.'),
  tooManyOperations: (most: number) =>
    new HttpProblem(
      413,
      'Too many operations',
      `An edit has at most ${most} operations. Nothing was changed; make it in several edits.`,
    ),
  tooSlow: (seconds: number) =>
    new HttpProblem(
      408,
      'Too slow',
      `Nothing more of the request came for ${seconds} seconds. Nothing was changed.`,
    ),
  crowded: () =>
    new HttpProblem(
      503,
      'Crowded',
      'Too much is being sent at once. Nothing was changed; try again in a moment.',
    ),
  foreignOrigin: () =>
    new HttpProblem(403, 'Foreign origin', 'Changes are taken only from Hamaca’s own pages.'),
  foreignHost: () =>
    new HttpProblem(
      421,
      'Foreign host',
      'Hamaca does not answer to this name. The names it answers to are set with HAMACA_ORIGIN.',
    ),
  noKey: () =>
    new HttpProblem(401, 'Key needed', 'This Hamaca asks for its key. Come in at /enter, then ask again.'),
  halfCharacter: (path: string) =>
    new HttpProblem(
      422,
      'Half a character',
      `${path || 'The document'} has half a character in it (an unpaired surrogate). Nothing was changed.`,
      [{ code: 'half-character', path, message: `${path || 'the document'} has half a character in it` }],
    ),
  idUsed: (id: string) =>
    new HttpProblem(
      422,
      'Edit-Id used',
      `The id ${id} was used for another edit of this site. Nothing was changed; send the edit under an id of its own.`,
    ),
  badRequest: (reason: string) =>
    new HttpProblem(400, 'Bad request', `The request cannot be understood: ${reason}. Nothing was changed.`),
  notFetched: (url: string, reason: string) =>
    new HttpProblem(
      422,
      'Not fetched',
      `${url.slice(0, 200)} was not fetched: ${reason}. Nothing was changed.`,
    ),
  badFont: (reason: string) =>
    new HttpProblem(422, 'Not a usable font', `The font cannot be used: ${reason}. Nothing was changed.`),
  badPageFile: (reason: string) =>
    new HttpProblem(413, 'Not a usable file', `The file cannot be kept: ${reason}. Nothing was changed.`),
  tooManyIcons: (most: number) =>
    new HttpProblem(413, 'Too many icons', `At most ${most} drawings are given at once.`),
  noHeader: () => new HttpProblem(409, 'Nothing to hand off', 'The site has no header yet.'),
  away: () =>
    new HttpProblem(
      503,
      'Database away',
      'The database does not answer. Nothing was changed; try again in a moment.',
    ),
  tookTooLong: (seconds: number) =>
    new HttpProblem(
      422,
      'Took too long',
      `This took longer than ${seconds} seconds and was stopped. Nothing was changed.`,
    ),
  tookTooMuch: () =>
    new HttpProblem(422, 'Took too much', 'This took too much memory and was stopped. Nothing was changed.'),
  storageFull: () =>
    new HttpProblem(
      507,
      'Storage full',
      'The disk of the database is full. Nothing was changed; make room and try again.',
    ),
  internal: () =>
    new HttpProblem(
      500,
      'Internal error',
      'Something went wrong on the server; it is in its log. Nothing was changed.',
    ),
} as const;

/** Writes an error as `application/problem+json`. */
export function problemResponse(context: Context, problem: HttpProblem): Response {
  const body = {
    type: 'about:blank',
    title: problem.title,
    status: problem.status,
    detail: problem.message,
    instance: context.req.path,
    ...(problem.problems.length > 0 ? { problems: problem.problems } : {}),
    ...problem.extra,
  };
  return context.body(JSON.stringify(body), problem.status, {
    'content-type': 'application/problem+json',
    'cache-control': 'no-store',
    ...(problem.status === 503 ? { 'retry-after': '2' } : {}),
  });
}
