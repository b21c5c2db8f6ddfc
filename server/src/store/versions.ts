import type { Connection } from './database.ts';

/**
 * Keeps the document of a site as it was before the first change of a day, so that days stay when their changes are
 * folded. Costs nothing on any other change: the day's first is told by the site's own date.
 */
export async function keepVersion(connection: Connection, siteId: string, now: Date): Promise<void> {
  await connection.execute(
    `INSERT IGNORE INTO site_version (site_id, revision, document, created_at)
     SELECT id, revision, document, updated_at FROM site WHERE id = ? AND DATE(updated_at) < DATE(?)`,
    [siteId, now],
  );
}
