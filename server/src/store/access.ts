import type { ResultSetHeader } from 'mysql2/promise';
import type { Database, Row } from './database.ts';

/** What lets people in: the hash of the key, and the secret that sessions are signed with. Both in hexadecimal. */
export interface StoredAccess {
  readonly keyHash: string;
  readonly secret: string;
}

export async function selectAccess(database: Database): Promise<StoredAccess | null> {
  const [rows] = await database.execute<Row<{ key_hash: string; secret: string }>[]>(
    'SELECT key_hash, secret FROM access WHERE id = 1',
  );
  return rows[0] ? { keyHash: rows[0].key_hash, secret: rows[0].secret } : null;
}

/** Keeps the first key; false where there is one already. */
export async function insertAccess(database: Database, access: StoredAccess, now: Date): Promise<boolean> {
  const [result] = await database.execute<ResultSetHeader>(
    'INSERT IGNORE INTO access (id, key_hash, secret, made_at) VALUES (1, ?, ?, ?)',
    [access.keyHash, access.secret, now],
  );
  return result.affectedRows === 1;
}

/** Puts a key in the place of whatever there was. */
export async function replaceAccess(database: Database, access: StoredAccess, now: Date): Promise<void> {
  await database.execute('REPLACE INTO access (id, key_hash, secret, made_at) VALUES (1, ?, ?, ?)', [
    access.keyHash,
    access.secret,
    now,
  ]);
}
