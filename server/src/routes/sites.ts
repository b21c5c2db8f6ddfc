import { Hono, type Context } from 'hono';
import { cutText } from '@hamaca/core';
import { object, string, ValidationError } from 'yup';
import type { Deps } from '../deps.ts';
import { jsonRefusal } from '../json-text.ts';
import { PROBLEMS } from '../problem.ts';
import { siteIdOf } from '../site-id.ts';
import { createEditQueue } from '../saving/edit-queue.ts';
import { patchRefusal, readPatchText } from '../saving/read-patch.ts';
import { isHeavyText } from '../saving/save-edits.ts';
import { isCurrent } from '../stored-site.ts';
import { selectChanges, type ChangeRange, type StoredChange } from '../store/changes.ts';
import {
  insertSite,
  selectDeletedSites,
  selectRevision,
  selectSite,
  selectSites,
  setSiteDeleted,
} from '../store/sites.ts';

const etag = (revision: number) => `"${revision}"`;

/** The revision an `If-Match` header names. */
function revisionOf(context: Context): number {
  const header = context.req.header('if-match');
  if (header === undefined) throw PROBLEMS.noRevision();
  const match = /^(?:W\/)?"(\d{1,15})"$/.exec(header);
  if (!match) throw PROBLEMS.badHeader('If-Match', 'the ETag of the site, such as "12"');
  return Number(match[1]);
}

/** Whether a client has what an ETag names already: any of its tags, weak or not, or `*` (RFC 9110, section 13.1.2). */
const isKnown = (header: string | undefined, tag: string): boolean =>
  header !== undefined &&
  header.split(',').some((entry) => entry.trim() === '*' || entry.trim().replace(/^W\//, '') === tag);

const changeHeaders = object({
  'edit-id': string()
    .required()
    .matches(/^[A-Za-z0-9_-]{8,64}$/, 'Edit-Id: 8 to 64 letters, digits, - or _'),
  'edit-client': string()
    .default('http')
    .matches(/^[A-Za-z0-9_-]{1,64}$/, 'Edit-Client: 1 to 64 letters, digits, - or _'),
  'edit-kind': string()
    .default('edit')
    .oneOf(['edit', 'undo', 'redo'] as const, 'Edit-Kind: edit, undo or redo'),
  'edit-label': string().default('Edit').max(600, 'Edit-Label: at most 600 characters, percent-encoded'),
});

type ChangeHeaders = Pick<StoredChange, 'changeId' | 'clientId' | 'kind' | 'label'>;

/** What the request's headers say about an edit; its id makes a repeated request harmless. */
function readChangeHeaders(context: Context, newId: () => string): ChangeHeaders {
  const headers = context.req.header();
  try {
    const read = changeHeaders.validateSync({ ...headers, 'edit-id': headers['edit-id'] ?? newId() });
    return {
      changeId: read['edit-id'],
      clientId: read['edit-client'],
      kind: read['edit-kind'],
      label: cutText(decodeURIComponent(read['edit-label']), 200),
    };
  } catch (error) {
    const reason = error instanceof ValidationError ? error.message : 'Edit-Label: percent-encoded text';
    const [name = 'Header', allowed = reason] = reason.split(': ');
    throw PROBLEMS.badHeader(name, allowed);
  }
}

/** One change as clients get it, as JSON; its patches are JSON already and are not read. */
function changeText({ patch, inverse, ...change }: StoredChange): string {
  return `${JSON.stringify(change).slice(0, -1)},"patch":${patch},"inverse":${inverse}}`;
}

/** Which changes a request asks for: the newest, unless it names a revision they come after or before. */
function readRange(context: Context): ChangeRange {
  const revision = (name: string): number | null => {
    const text = context.req.query(name);
    if (text !== undefined && !/^\d{1,15}$/.test(text)) throw PROBLEMS.badHeader(name, 'a revision');
    return text === undefined ? null : Number(text);
  };
  const after = revision('after');
  return after === null ? { before: revision('before') ?? Number.MAX_SAFE_INTEGER } : { after };
}

export function siteRoutes(deps: Deps): Hono {
  const routes = new Hono();
  const edits = createEditQueue(deps);

  routes.get('/', async (context) =>
    context.json({ sites: await selectSites(deps.database) }, 200, { 'cache-control': 'no-store' }),
  );

  routes.get('/deleted', async (context) =>
    context.json({ sites: await selectDeletedSites(deps.database) }, 200, { 'cache-control': 'no-store' }),
  );

  routes.post('/', async (context) => {
    if (!/^application\/json\b/i.test(context.req.header('content-type') ?? '')) throw PROBLEMS.notJsonType();
    const read = await deps.compute.run('read-site', await context.req.text(), context.req.raw.signal);
    switch (read.kind) {
      case 'not-json':
      case 'half-character':
        throw jsonRefusal(read);
      case 'invalid':
        throw PROBLEMS.invalid(read.problems);
      case 'site':
    }
    const { name, document } = read;
    const id = deps.newId();
    await insertSite(deps.database, { id, name, document }, deps.now());
    return context.json({ id, revision: 1 }, 201, { location: `/api/sites/${id}`, etag: etag(1) });
  });

  routes.get('/:id', async (context) => {
    const id = siteIdOf(context);
    const stored = await selectSite(deps.database, id);
    if (!stored) throw PROBLEMS.noSite(id);
    const headers = { etag: etag(stored.revision), 'cache-control': 'no-cache' };
    if (isKnown(context.req.header('if-none-match'), etag(stored.revision)))
      return context.body(null, 304, headers);
    const document = isCurrent(stored.document)
      ? stored.document
      : await deps.compute.run('current', stored.document, context.req.raw.signal);
    return context.body(document, 200, {
      ...headers,
      'content-type': 'application/json',
    });
  });

  routes.patch('/:id', async (context) => {
    if (!/^application\/json-patch\+json\b/i.test(context.req.header('content-type') ?? ''))
      throw PROBLEMS.notPatchType();
    const expected = revisionOf(context);
    const text = await context.req.text();
    const read = isHeavyText(text) ? null : readPatchText(text);
    if (read && read.kind !== 'patch') throw patchRefusal(read);
    const patch = read?.patch ?? null;
    const change = readChangeHeaders(context, deps.newId);
    const saved = await edits.save(siteIdOf(context), { expected, change, text, patch });
    return context.json({ revision: saved.revision }, 200, { etag: etag(saved.revision) });
  });

  routes.delete('/:id', async (context) => {
    const id = siteIdOf(context);
    if (!(await setSiteDeleted(deps.database, id, deps.now()))) throw PROBLEMS.noSite(id);
    return context.body(null, 204);
  });

  routes.post('/:id/restore', async (context) => {
    const id = siteIdOf(context);
    if (!(await setSiteDeleted(deps.database, id, null))) throw PROBLEMS.noSite(id);
    return context.body(null, 204);
  });

  routes.get('/:id/changes', async (context) => {
    const id = siteIdOf(context);
    const range = readRange(context);
    if ((await selectRevision(deps.database, id)) === null) throw PROBLEMS.noSite(id);
    const { changes, more } = await selectChanges(deps.database, id, range);
    return context.body(`{"more":${more},"changes":[${changes.map(changeText).join(',')}]}`, 200, {
      'content-type': 'application/json',
      'cache-control': 'no-store',
    });
  });

  return routes;
}
