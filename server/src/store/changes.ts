import type { JsonPatch } from '@hamaca/core';
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

/** The patches after a revision by the revision they led to. */
export async function selectPatchesAfter(
  connection: Connection,
  siteId: string,
  revision: number,
): Promise<Map<number, JsonPatch>> {
  const [rows] = await connection.execute<Row<Pick<ChangeRow, 'revision' | 'patch'>>[]>(
    'SELECT revision, patch FROM site_change WHERE site_id = ? AND revision > ?',
    [siteId, revision],
  );
  return new Map(rows.map((row) => [Number(row.revision), JSON.parse(row.patch) as JsonPatch]));
}

/** Changes after a revision, oldest first. */
export async function selectChangesAfter(
  database: Database,
  siteId: string,
  revision: number,
  most: number,
): Promise<StoredChange[]> {
  const [rows] = await database.execute<Row<ChangeRow>[]>(
    `SELECT ${COLUMNS} FROM site_change
     WHERE site_id = ? AND revision > ? ORDER BY revision LIMIT ${Math.floor(most)}`,
    [siteId, revision],
  );
  return rows.map(fromRow);
}

/** The newest changes, oldest first. */
export async function selectNewestChanges(
  database: Database,
  siteId: string,
  most: number,
): Promise<StoredChange[]> {
  const [rows] = await database.execute<Row<ChangeRow>[]>(
    `SELECT ${COLUMNS} FROM site_change
     WHERE site_id = ? ORDER BY revision DESC LIMIT ${Math.floor(most)}`,
    [siteId],
  );
  return rows.map(fromRow).reverse();
}
