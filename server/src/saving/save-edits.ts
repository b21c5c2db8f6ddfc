import type { JsonPatch } from '@hamaca/core';
import type { Compute } from '../compute/tasks.ts';
import { PROBLEMS, type HttpProblem } from '../problem.ts';
import { loadStored } from '../stored-site.ts';
import { insertChanges, selectChangesById, selectPatchesAfter, type StoredChange } from '../store/changes.ts';
import type { Connection } from '../store/database.ts';
import { lockSite, selectDocument, updateSite } from '../store/sites.ts';
import { keepVersion } from '../store/versions.ts';
import type { KnownSite, KnownSites } from './known-sites.ts';
import { layEdits, type HeavyAnswer, type LaidEdit, type PatchesSince } from './lay-edits.ts';
import { patchRefusal } from './read-patch.ts';

/** An edit as a client sends it: made on a revision, with an id that makes a repeated request harmless. */
export interface WantedEdit {
  readonly expected: number;
  readonly change: Pick<StoredChange, 'changeId' | 'clientId' | 'kind' | 'label'>;
  /** Its patch as it was sent. */
  readonly text: string;
  /** The same, read; null where that takes long and is left to a thread. */
  readonly patch: JsonPatch | null;
}

/** What became of one edit. */
export type SavedEdit = { readonly saved: StoredChange } | { readonly refused: HttpProblem };

/** Most changes an edit is laid on that it was not made on. */
const MOST_BETWEEN = 200;

/** From where on edits are laid in a thread: characters of patches or of the document, operations of a patch. */
const HEAVY = { patch: 200_000, operations: 400, document: 1_000_000 } as const;

/** Whether a patch takes so long to read that a thread does it. */
export const isHeavyText = (text: string): boolean => text.length > HEAVY.patch;

const isHeavy = ({ text, patch }: WantedEdit) =>
  patch === null || isHeavyText(text) || patch.length > HEAVY.operations;

/** What became of edits that were saved together, and the site they led to: to be remembered once it is stored for good. */
export interface SavedEdits {
  readonly answers: readonly SavedEdit[];
  readonly known: KnownSite | null;
}

/** What edits are laid with: sites edited last, and threads for what takes long. */
export interface Laying {
  readonly sites: KnownSites;
  readonly compute: Compute;
}

/** The site as it is stored; read only where it is not remembered. */
interface Before {
  readonly revision: number;
  readonly known: KnownSite | null;
  readonly document: string | null;
}

async function readBefore(connection: Connection, sites: KnownSites, id: string): Promise<Before | null> {
  const revision = await lockSite(connection, id);
  if (revision === null) return null;
  const known = sites.at(id, revision);
  return { revision, known, document: known ? null : await selectDocument(connection, id) };
}

function refusalOf(laid: Exclude<LaidEdit, { kind: 'laid' }>): HttpProblem {
  switch (laid.kind) {
    case 'stale':
      return PROBLEMS.stale(laid.revision);
    case 'invalid':
      return PROBLEMS.invalid(laid.problems);
    case 'unread':
      return patchRefusal(laid.read);
  }
}

const toAnswer = ({ change }: WantedEdit, laid: LaidEdit): SavedEdit =>
  laid.kind === 'laid'
    ? { saved: { ...change, revision: laid.revision, patch: laid.patch, inverse: laid.inverse } }
    : { refused: refusalOf(laid) };

/** Lays edits here or, where that would hold up others, in a thread. */
async function lay(
  connection: Connection,
  { compute }: Laying,
  id: string,
  before: Before,
  patches: PatchesSince,
  edits: readonly WantedEdit[],
): Promise<HeavyAnswer & { readonly site: KnownSite['site'] | null }> {
  const { revision, known, document } = before;
  const since = [...patches.values()].reduce((sum, { length }) => sum + length, 0);
  const isLong = Math.max(document?.length ?? known?.length ?? 0, since) > HEAVY.document;
  if (isLong || edits.some(isHeavy)) {
    const text = document ?? (await selectDocument(connection, id));
    const task = { document: text, revision, patches, edits };
    const answer = await compute.run('lay-edits', task, NEVER);
    return { ...answer, site: null };
  }
  const start = { revision, site: known?.site ?? loadStored(document ?? '') };
  const { site, ...laid } = layEdits(start, patches, edits);
  return { ...laid, site, name: site.name, document: isSaved(laid.laid) ? JSON.stringify(site) : '' };
}

const isSaved = (laid: readonly LaidEdit[]) => laid.some(({ kind }) => kind === 'laid');

/** Edits of several askers are laid together: none of them giving up stops it. */
const NEVER = new AbortController().signal;

/**
 * Saves edits of one site in one transaction: the row is locked, each edit compared with what changed since the revision it
 * names, the results checked, the log extended. An edit that is refused leaves the others as they are.
 */
export async function saveEdits(
  connection: Connection,
  laying: Laying,
  id: string,
  edits: readonly WantedEdit[],
  now: Date,
): Promise<SavedEdits> {
  const before = await readBefore(connection, laying.sites, id);
  if (!before) return { answers: edits.map(() => ({ refused: PROBLEMS.noSite(id) })), known: null };
  const { revision } = before;
  const repeated = await selectChangesById(
    connection,
    id,
    edits.map(({ change }) => change.changeId),
  );
  const first = new Map<string, WantedEdit>();
  for (const edit of edits) {
    const { changeId } = edit.change;
    if (!repeated.has(changeId) && !first.has(changeId)) first.set(changeId, edit);
  }
  const fresh = [...first.values()];
  const oldest = Math.max(Math.min(...fresh.map(({ expected }) => expected)), revision - MOST_BETWEEN);
  const patches: PatchesSince =
    fresh.length > 0 && oldest < revision ? await selectPatchesAfter(connection, id, oldest) : new Map();
  const answer = fresh.length === 0 ? null : await lay(connection, laying, id, before, patches, fresh);
  const laid = new Map(
    fresh.map((edit, index) => [edit.change.changeId, toAnswer(edit, answer?.laid[index] as LaidEdit)]),
  );
  const answers = edits.map((edit): SavedEdit => {
    const { changeId } = edit.change;
    if (first.get(changeId) === edit) return laid.get(changeId) as SavedEdit;
    const earlier = repeated.get(changeId) ?? savedIn(laid.get(changeId));
    if (!earlier) return laid.get(changeId) as SavedEdit;
    return earlier.patch === canonical(edit) ? { saved: earlier } : { refused: PROBLEMS.idUsed(changeId) };
  });
  const made = [...laid.values()].flatMap((entry) => savedIn(entry) ?? []);
  if (!answer || made.length === 0) return { answers, known: before.known };
  await keepVersion(connection, id, now);
  const { document, name } = answer;
  await updateSite(connection, { id, revision: answer.revision, document, name }, now);
  await insertChanges(connection, id, made, now);
  const { site } = answer;
  return { answers, known: site && { revision: answer.revision, site, length: document.length } };
}

const savedIn = (answer: SavedEdit | undefined): StoredChange | null =>
  answer && 'saved' in answer ? answer.saved : null;

/** A patch as the log has it: read and written, so that blanks make no difference. */
const canonical = ({ text, patch }: WantedEdit): string =>
  JSON.stringify(patch ?? (JSON.parse(text) as unknown));
