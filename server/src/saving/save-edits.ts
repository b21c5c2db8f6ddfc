import { applyCheckedPatch, touchesSame, type JsonPatch, type Site } from '@hamaca/core';
import { HttpProblem, PROBLEMS } from '../problem.ts';
import { loadStored } from '../stored-site.ts';
import { insertChanges, selectChangesById, selectPatchesAfter, type StoredChange } from '../store/changes.ts';
import type { Connection } from '../store/database.ts';
import { lockSite, selectDocument, updateSite } from '../store/sites.ts';
import { keepVersion } from '../store/versions.ts';
import type { KnownSite, KnownSites } from './known-sites.ts';

/** An edit as a client sends it: made on a revision, with an id that makes a repeated request harmless. */
export interface WantedEdit {
  readonly expected: number;
  readonly change: Pick<StoredChange, 'changeId' | 'clientId' | 'kind' | 'label'>;
  readonly patch: JsonPatch;
}

/** What became of one edit. */
export type SavedEdit = { readonly saved: StoredChange } | { readonly refused: HttpProblem };

/** Most changes an edit is laid on that it was not made on. */
const MOST_BETWEEN = 200;

/** The site while edits are being laid on it, and what was changed on it lately. */
interface Ground {
  site: Site;
  revision: number;
  /** Patches by the revision they led to. */
  readonly patches: Map<number, JsonPatch>;
}

/** The changes between the revision an edit was made on and now; null where not all are at hand. */
function between(ground: Ground, expected: number): JsonPatch[] | null {
  const found: JsonPatch[] = [];
  for (let revision = expected + 1; revision <= ground.revision; revision++) {
    const patch = ground.patches.get(revision);
    if (!patch) return null;
    found.push(patch);
  }
  return found;
}

/** Lays one edit on the ground: checked as a whole, and only where nothing it touches has changed since it was made. */
function lay(ground: Ground, { expected, change, patch }: WantedEdit): SavedEdit {
  const stale = { refused: PROBLEMS.stale(ground.revision) };
  const since = expected <= ground.revision ? between(ground, expected) : null;
  if (!since || since.some((other) => touchesSame(patch, other))) return stale;
  const edited = applyCheckedPatch(ground.site, patch);
  // What fits no more only because of what came between is its sender's to make again.
  if (!edited.ok) return since.length > 0 ? stale : { refused: PROBLEMS.invalid(edited.error) };
  ground.site = edited.value.site;
  ground.revision++;
  ground.patches.set(ground.revision, patch);
  const { inverse } = edited.value;
  return {
    saved: {
      ...change,
      revision: ground.revision,
      patch: JSON.stringify(patch),
      inverse: JSON.stringify(inverse),
    },
  };
}

/** What became of edits that were saved together, and the site they led to: to be remembered once it is stored for good. */
export interface SavedEdits {
  readonly answers: readonly SavedEdit[];
  readonly known: KnownSite | null;
}

async function readSite(connection: Connection, id: string, revision: number): Promise<KnownSite> {
  const document = await selectDocument(connection, id);
  return { revision, site: loadStored(document), length: document.length };
}

/**
 * Saves edits of one site in one transaction: the row is locked, each edit compared with what changed since the revision it
 * names, the results checked, the log extended. An edit that is refused leaves the others as they are.
 */
export async function saveEdits(
  connection: Connection,
  sites: KnownSites,
  id: string,
  edits: readonly WantedEdit[],
  now: Date,
): Promise<SavedEdits> {
  const revision = await lockSite(connection, id);
  if (revision === null) return { answers: edits.map(() => ({ refused: PROBLEMS.noSite(id) })), known: null };
  const before = sites.at(id, revision) ?? (await readSite(connection, id, revision));
  const repeated = await selectChangesById(
    connection,
    id,
    edits.map(({ change }) => change.changeId),
  );
  const oldest = Math.max(Math.min(...edits.map(({ expected }) => expected)), revision - MOST_BETWEEN);
  const ground: Ground = {
    site: before.site,
    revision,
    patches:
      oldest < revision ? await selectPatchesAfter(connection, id, oldest) : new Map<number, JsonPatch>(),
  };
  const made = new Map<string, StoredChange>();
  const answers = edits.map((edit): SavedEdit => {
    const { changeId } = edit.change;
    const earlier = repeated.get(changeId) ?? made.get(changeId);
    if (earlier)
      return earlier.patch === JSON.stringify(edit.patch)
        ? { saved: earlier }
        : { refused: PROBLEMS.idUsed(changeId) };
    const answer = lay(ground, edit);
    if ('saved' in answer) made.set(changeId, answer.saved);
    return answer;
  });
  if (made.size === 0) return { answers, known: before };
  const document = JSON.stringify(ground.site);
  await keepVersion(connection, id, now);
  await updateSite(connection, { id, revision: ground.revision, document, name: ground.site.name }, now);
  await insertChanges(connection, id, [...made.values()], now);
  return {
    answers,
    known: { revision: ground.revision, site: ground.site, length: document.length },
  };
}
