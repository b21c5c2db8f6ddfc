import type { ResultSetHeader } from 'mysql2/promise';
import type { Connection, Database, Row } from './database.ts';

/** One entry of a site's append-only log; `patch` and `inverse` are JSON Patches as text. */
export interface StoredChange {
  readonly revision: number;
  readonly changeId: string;
  readonly clientId: string;
  readonly kind: 'edit' | 'undo' | 'redo';
  readonly label: string;
  readonly patch: string;
  readonly inverse: string;
}

/** BIGINT comes as a number, or as text past 2^53. */
interface ChangeRow {
  revision: number | string;
  change_id: string;
  client_id: string;
  kind: StoredChange['kind'];
  label: string;
  patch: string;
  inverse: string;
}

const fromRow = (row: ChangeRow): StoredChange => ({
  revision: Number(row.revision),
  changeId: row.change_id,
  clientId: row.client_id,
  kind: row.kind,
  label: row.label,
  patch: row.patch,
  inverse: row.inverse,
});

const COLUMNS = 'revision, change_id, client_id, kind, label, patch, inverse';

/** Adds changes to the log, several at once. */
export async function insertChanges(
  connection: Connection,
  siteId: string,
  changes: readonly StoredChange[],
  now: Date,
): Promise<void> {
  await connection.execute(
    `INSERT INTO site_change (site_id, ${COLUMNS}, created_at)
     VALUES ${changes.map(() => '(?, ?, ?, ?, ?, ?, ?, ?, ?)').join(', ')}`,
    changes.flatMap(({ revision, changeId, clientId, kind, label, patch, inverse }) => [
      siteId,
      revision,
      changeId,
      clientId,
      kind,
      label,
      patch,
      inverse,
      now,
    ]),
  );
}

/** The changes that clients have sent under these ids before, by id. */
export async function selectChangesById(
  connection: Connection,
  siteId: string,
  changeIds: readonly string[],
): Promise<ReadonlyMap<string, StoredChange>> {
  const [rows] = await connection.execute<Row<ChangeRow>[]>(
    `SELECT ${COLUMNS} FROM site_change WHERE site_id = ? AND change_id IN (${changeIds.map(() => '?').join(', ')})`,
    [siteId, ...changeIds],
  );
  return new Map(rows.map((row) => [row.change_id, fromRow(row)]));
}

/** Most characters of patches that an edit is compared with. */
const MOST_COMPARED = 4_000_000;

/** The patches after a revision, as text, by the revision they led to; none where they are too long to be compared with. */
export async function selectPatchesAfter(
  connection: Connection,
  siteId: string,
  revision: number,
): Promise<Map<number, string>> {
  const [[sum]] = await connection.execute<Row<{ size: number | string | null }>[]>(
    'SELECT SUM(LENGTH(patch)) AS size FROM site_change WHERE site_id = ? AND revision > ?',
    [siteId, revision],
  );
  if (Number(sum?.size ?? 0) > MOST_COMPARED) return new Map();
  const [rows] = await connection.execute<Row<Pick<ChangeRow, 'revision' | 'patch'>>[]>(
    'SELECT revision, patch FROM site_change WHERE site_id = ? AND revision > ?',
    [siteId, revision],
  );
  return new Map(rows.map((row) => [Number(row.revision), row.patch]));
}

/** Which changes are asked for: those after a revision, those before one, or the newest. */
export type ChangeRange = { readonly after: number } | { readonly before: number };

/** A run of changes, oldest first, and whether there are more in the direction they were asked for. */
export interface ChangePage {
  readonly changes: readonly StoredChange[];
  readonly more: boolean;
}

/** Most changes of one page, and most characters of their patches; one change is given however long it is. */
const PAGE = { changes: 200, characters: 1_000_000 } as const;

/** The revisions of a page, nearest first: as many as fit. */
async function revisionsOf(
  database: Database,
  siteId: string,
  range: ChangeRange,
): Promise<{ readonly revisions: readonly number[]; readonly more: boolean }> {
  const isAfter = 'after' in range;
  // Only lengths are read here: the patches of two hundred large imports would fill the memory.
  const [rows] = await database.execute<Row<{ revision: number | string; size: number | string }>[]>(
    `SELECT revision, LENGTH(patch) + LENGTH(inverse) AS size FROM site_change
     WHERE site_id = ? AND revision ${isAfter ? '>' : '<'} ?
     ORDER BY revision ${isAfter ? 'ASC' : 'DESC'} LIMIT ${PAGE.changes + 1}`,
    [siteId, isAfter ? range.after : range.before],
  );
  const revisions: number[] = [];
  let characters = 0;
  for (const row of rows.slice(0, PAGE.changes)) {
    characters += Number(row.size);
    if (revisions.length > 0 && characters > PAGE.characters) break;
    revisions.push(Number(row.revision));
  }
  return { revisions, more: rows.length > revisions.length };
}

/** One page of a site's log. */
export async function selectChanges(
  database: Database,
  siteId: string,
  range: ChangeRange,
): Promise<ChangePage> {
  const { revisions, more } = await revisionsOf(database, siteId, range);
  if (revisions.length === 0) return { changes: [], more };
  const [rows] = await database.execute<Row<ChangeRow>[]>(
    `SELECT ${COLUMNS} FROM site_change WHERE site_id = ? AND revision BETWEEN ? AND ? ORDER BY revision`,
    [siteId, Math.min(...revisions), Math.max(...revisions)],
  );
  return { changes: rows.map(fromRow), more };
}

/** Most changes dropped by one statement, so that none takes long. */
const FOLD_STEP = 500;

/** Drops changes made before a day: what they led to stands in the site, and in the versions kept of it. */
export async function foldChanges(database: Database, before: Date): Promise<number> {
  let folded = 0;
  for (;;) {
    const [result] = await database.execute<ResultSetHeader>(
      `DELETE FROM site_change WHERE created_at < ? LIMIT ${FOLD_STEP}`,
      [before],
    );
    folded += result.affectedRows;
    if (result.affectedRows < FOLD_STEP) return folded;
  }
}
