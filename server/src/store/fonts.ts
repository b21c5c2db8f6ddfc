import type { Typeface } from '@hamaca/core';
import type { Database, Row } from './database.ts';

/** A typeface that was brought along, as it is kept. */
export interface StoredFont extends Typeface {
  readonly sha256: string;
  /** Its measures as JSON. */
  readonly metrics: string;
  readonly woff2: Uint8Array;
}

interface FontRow {
  id: string;
  sha256: string;
  name: string;
  fallback: 'sans' | 'serif';
  lightest: number;
  heaviest: number;
  metrics: string;
  woff2: Buffer;
}

const toFont = (row: FontRow): StoredFont => ({
  id: row.id,
  sha256: row.sha256,
  name: row.name,
  fallback: row.fallback,
  weights: [row.lightest, row.heaviest],
  metrics: row.metrics,
  woff2: row.woff2,
});

const COLUMNS = 'id, sha256, name, fallback, lightest, heaviest, metrics, woff2';

export async function selectFont(database: Database, id: string): Promise<StoredFont | null> {
  const [rows] = await database.execute<Row<FontRow>[]>(`SELECT ${COLUMNS} FROM font WHERE id = ?`, [id]);
  return rows[0] ? toFont(rows[0]) : null;
}

/** Keeps a font; the same file again changes nothing. */
export async function insertFont(database: Database, font: StoredFont, now: Date): Promise<void> {
  const { id, sha256, name, fallback, weights, metrics, woff2 } = font;
  await database.execute(
    'INSERT IGNORE INTO font (id, sha256, name, fallback, lightest, heaviest, metrics, woff2, created_at) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)',
    [id, sha256, name, fallback, weights[0], weights[1], metrics, Buffer.from(woff2), now],
  );
}
