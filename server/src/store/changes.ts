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

export async function insertChange(
  connection: Connection,
  siteId: string,
  change: StoredChange,
  now: Date,
): Promise<void> {
  await connection.execute(
    `INSERT INTO site_change (site_id, revision, change_id, client_id, kind, label, patch, inverse, created_at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      siteId,
      change.revision,
      change.changeId,
      change.clientId,
      change.kind,
      change.label,
      change.patch,
      change.inverse,
      now,
    ],
  );
}

/** The change a client has sent under this id before, if any. */
export async function selectChange(
  connection: Connection,
  siteId: string,
  changeId: string,
): Promise<StoredChange | null> {
  const [rows] = await connection.execute<Row<ChangeRow>[]>(
    'SELECT revision, change_id, client_id, kind, label, patch, inverse FROM site_change WHERE site_id = ? AND change_id = ?',
    [siteId, changeId],
  );
  return rows[0] ? fromRow(rows[0]) : null;
}

/** Changes after a revision, oldest first. */
export async function selectChangesAfter(
  database: Database,
  siteId: string,
  revision: number,
  most: number,
): Promise<StoredChange[]> {
  const [rows] = await database.execute<Row<ChangeRow>[]>(
    `SELECT revision, change_id, client_id, kind, label, patch, inverse FROM site_change
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
    `SELECT revision, change_id, client_id, kind, label, patch, inverse FROM site_change
     WHERE site_id = ? ORDER BY revision DESC LIMIT ${Math.floor(most)}`,
    [siteId],
  );
  return rows.map(fromRow).reverse();
}
