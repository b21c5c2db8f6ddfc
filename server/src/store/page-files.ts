import { createHash } from 'node:crypto';
import type { Database, Row } from './database.ts';

/** The name a file is kept by: the SHA-256 of its content, in hexadecimal. */
const nameOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

/** Keeps a file of a foreign page by its content, once however often it comes; answers its name. */
export async function insertPageFile(database: Database, bytes: Uint8Array, now: Date): Promise<string> {
  const name = nameOf(bytes);
  await database.execute('INSERT IGNORE INTO page_file (sha256, bytes, created_at) VALUES (?, ?, ?)', [
    name,
    Buffer.from(bytes),
    now,
  ]);
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
