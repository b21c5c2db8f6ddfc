import type { ResultSetHeader } from 'mysql2/promise';
import type { Connection, Database, Row } from './database.ts';

/** A site as stored: its newest document and the number of its newest change. */
export interface StoredSite {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  readonly document: string;
}

export interface SiteSummary {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  readonly updatedAt: string;
}

/** BIGINT comes as a number, or as text past 2^53. */
interface SiteRow {
  id: string;
  name: string;
  revision: number | string;
  document: string;
  updated_at: Date;
}

const summaryOf = (row: SiteRow): SiteSummary => ({
  id: row.id,
  name: row.name,
  revision: Number(row.revision),
  updatedAt: row.updated_at.toISOString(),
});

/** All sites that are not deleted, the last edited first. */
export async function selectSites(database: Database): Promise<SiteSummary[]> {
  const [rows] = await database.execute<Row<SiteRow>[]>(
    'SELECT id, name, revision, updated_at FROM site WHERE deleted_at IS NULL ORDER BY updated_at DESC, id',
  );
  return rows.map(summaryOf);
}

/** A deleted site, which can be brought back until it is removed for good. */
export interface DeletedSite extends SiteSummary {
  readonly deletedAt: string;
}

/** The deleted sites, the last deleted first. */
export async function selectDeletedSites(database: Database): Promise<DeletedSite[]> {
  const [rows] = await database.execute<Row<SiteRow & { deleted_at: Date }>[]>(
    'SELECT id, name, revision, updated_at, deleted_at FROM site WHERE deleted_at IS NOT NULL ORDER BY deleted_at DESC, id',
  );
  return rows.map((row) => ({ ...summaryOf(row), deletedAt: row.deleted_at.toISOString() }));
}

/** Removes sites for good that were deleted before a moment, with all that is known of them; answers how many. */
export async function removeDeletedSites(database: Database, before: Date): Promise<number> {
  const [rows] = await database.execute<Row<{ id: string }>[]>('SELECT id FROM site WHERE deleted_at < ?', [
    before,
  ]);
  let removed = 0;
  for (const { id } of rows) {
    removed += await database.transact(async (connection) => {
      // Whoever brings it back meanwhile waits, and then finds none.
      const [locked] = await connection.execute<Row<{ id: string }>[]>(
        'SELECT id FROM site WHERE id = ? AND deleted_at < ? FOR UPDATE',
        [id, before],
      );
      if (locked.length === 0) return 0;
      await connection.execute('DELETE FROM site_change WHERE site_id = ?', [id]);
      await connection.execute('DELETE FROM site_version WHERE site_id = ?', [id]);
      await connection.execute('DELETE FROM site WHERE id = ?', [id]);
      return 1;
    });
  }
  return removed;
}

export async function selectSite(database: Database, id: string): Promise<StoredSite | null> {
  const [rows] = await database.execute<Row<SiteRow>[]>(
    'SELECT id, name, revision, document FROM site WHERE id = ? AND deleted_at IS NULL',
    [id],
  );
  const row = rows[0];
  return row ? { id: row.id, name: row.name, revision: Number(row.revision), document: row.document } : null;
}

/** The revision of a site that is locked against other writers until the transaction ends. */
export async function lockSite(connection: Connection, id: string): Promise<number | null> {
  const [rows] = await connection.execute<Row<SiteRow>[]>(
    'SELECT revision FROM site WHERE id = ? AND deleted_at IS NULL FOR UPDATE',
    [id],
  );
  return rows[0] ? Number(rows[0].revision) : null;
}

/** The document of a site that is known to be there. */
export async function selectDocument(connection: Connection, id: string): Promise<string> {
  const [rows] = await connection.execute<Row<SiteRow>[]>('SELECT document FROM site WHERE id = ?', [id]);
  if (!rows[0]) throw new Error(`The site ${id} is gone while it is locked.`);
  return rows[0].document;
}

export async function selectRevision(database: Database, id: string): Promise<number | null> {
  const [rows] = await database.execute<Row<SiteRow>[]>(
    'SELECT revision FROM site WHERE id = ? AND deleted_at IS NULL',
    [id],
  );
  return rows[0] ? Number(rows[0].revision) : null;
}

/** Adds a site at revision 1; false where the id is taken. */
export async function insertSite(
  database: Database,
  site: { id: string; name: string; document: string },
  now: Date,
): Promise<boolean> {
  const [result] = await database.execute<ResultSetHeader>(
    'INSERT IGNORE INTO site (id, name, revision, document, created_at, updated_at) VALUES (?, ?, 1, ?, ?, ?)',
    [site.id, site.name, site.document, now, now],
  );
  return result.affectedRows === 1;
}

export async function updateSite(connection: Connection, site: StoredSite, now: Date): Promise<void> {
  await connection.execute(
    'UPDATE site SET name = ?, revision = ?, document = ?, updated_at = ? WHERE id = ?',
    [site.name, site.revision, site.document, now, site.id],
  );
}

/** Hides a site, or brings a hidden one back; false where there is none to change. */
export async function setSiteDeleted(
  database: Database,
  id: string,
  deletedAt: Date | null,
): Promise<boolean> {
  const [result] = await database.execute<ResultSetHeader>(
    'UPDATE site SET deleted_at = ? WHERE id = ? AND (deleted_at IS NULL) = ?',
    [deletedAt, id, deletedAt === null ? 0 : 1],
  );
  return result.affectedRows === 1;
}

/** Whether the database holds any site, deleted ones included. */
export async function hasSites(database: Database): Promise<boolean> {
  const [rows] = await database.execute<Row<{ found: number }>[]>(
    'SELECT EXISTS (SELECT 1 FROM site) AS found',
  );
  return rows[0]?.found === 1;
}
