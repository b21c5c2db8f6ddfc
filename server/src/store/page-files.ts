import { createHash } from 'node:crypto';
import type { ResultSetHeader } from 'mysql2/promise';
import type { Database, Row } from './database.ts';

/** The name a file is kept by: the SHA-256 of its content, in hexadecimal. */
const nameOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

/** Keeps a file of a foreign page by its content, once however often it comes; answers its name. */
export async function insertPageFile(database: Database, bytes: Uint8Array, now: Date): Promise<string> {
  const name = nameOf(bytes);
  // One that comes again is as new as one that comes first: nobody names it yet.
  await database.execute(
    `INSERT INTO page_file (sha256, bytes, created_at) VALUES (?, ?, ?)
     ON DUPLICATE KEY UPDATE created_at = VALUES(created_at)`,
    [name, Buffer.from(bytes), now],
  );
  return name;
}

/** A file by its name; null where there is none. */
export async function selectPageFile(database: Database, name: string): Promise<Uint8Array | null> {
  const [rows] = await database.execute<Row<{ bytes: Buffer }>[]>(
    'SELECT bytes FROM page_file WHERE sha256 = ?',
    [name],
  );
  return rows[0]?.bytes ?? null;
}

const NAME = /\b[0-9a-f]{64}\b/g;

/** A text that may name files, and where it stands. */
type NamingRow = Row<{ site: string; revision: number | string; text: string }>;

/** Where the files of foreign pages are named: in sites, in what they were before, and in what can be undone; some rows at a time. */
const NAMED_IN = [
  `SELECT id AS site, 0 AS revision, document AS text FROM site
   WHERE (id, 0) > (?, ?) AND document REGEXP '[0-9a-f]{64}' ORDER BY id LIMIT 8`,
  `SELECT site_id AS site, revision, document AS text FROM site_version
   WHERE (site_id, revision) > (?, ?) AND document REGEXP '[0-9a-f]{64}' ORDER BY site_id, revision LIMIT 8`,
  `SELECT site_id AS site, revision, CONCAT(patch, inverse) AS text FROM site_change
   WHERE (site_id, revision) > (?, ?) AND (patch REGEXP '[0-9a-f]{64}' OR inverse REGEXP '[0-9a-f]{64}')
   ORDER BY site_id, revision LIMIT 8`,
] as const;

/** All texts that a query finds, a few at a time: together they may be more than fits into memory. */
async function* textsOf(database: Database, select: string): AsyncGenerator<string> {
  let [site, revision]: [string, number | string] = ['', 0];
  for (;;) {
    const answer: [NamingRow[]] = await database.execute<NamingRow[]>(select, [site, revision]);
    const [rows] = answer;
    const last = rows.at(-1);
    if (!last) return;
    for (const { text } of rows) yield text;
    [site, revision] = [last.site, last.revision];
  }
}

/** Removes files that came before a day and that nothing names any more; answers how many. */
export async function removeUnusedPageFiles(database: Database, before: Date): Promise<number> {
  const [old] = await database.execute<Row<{ sha256: string }>[]>(
    'SELECT sha256 FROM page_file WHERE created_at < ?',
    [before],
  );
  if (old.length === 0) return 0;
  const unused = new Set(old.map(({ sha256 }) => sha256));
  for (const select of NAMED_IN)
    for await (const text of textsOf(database, select))
      for (const [name] of text.matchAll(NAME)) unused.delete(name);
  let removed = 0;
  for (const name of unused) {
    // Whatever came again meanwhile stays.
    const [result] = await database.execute<ResultSetHeader>(
      'DELETE FROM page_file WHERE sha256 = ? AND created_at < ?',
      [name, before],
    );
    removed += result.affectedRows;
  }
  return removed;
}
