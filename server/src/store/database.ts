import { createPool, type Pool, type PoolConnection, type RowDataPacket } from 'mysql2/promise';

export type Database = Pool;
export type Connection = PoolConnection;

/** Milliseconds after which a database that does not answer counts as away. */
const CONNECT_TIMEOUT = 4000;

/** A pool of connections to MariaDB. Times are UTC, SQL is strict. */
export function openDatabase(url: string): Database {
  const pool = createPool({
    uri: url,
    timezone: 'Z',
    charset: 'utf8mb4',
    connectionLimit: 8,
    connectTimeout: CONNECT_TIMEOUT,
    supportBigNumbers: true,
    jsonStrings: true,
  });
  pool.on('connection', (connection) => {
    void connection.query(
      "SET SESSION sql_mode = 'STRICT_ALL_TABLES,NO_ENGINE_SUBSTITUTION,ERROR_FOR_DIVISION_BY_ZERO', innodb_lock_wait_timeout = 10",
    );
  });
  return pool;
}

/** Runs `work` in a transaction: committed when it answers, rolled back when it throws. */
export async function inTransaction<Answer>(
  database: Database,
  work: (connection: Connection) => Promise<Answer>,
): Promise<Answer> {
  const connection = await database.getConnection();
  try {
    await connection.beginTransaction();
    const answer = await work(connection);
    await connection.commit();
    connection.release();
    return answer;
  } catch (error) {
    // A connection that may be broken is not used again.
    connection.destroy();
    throw error;
  }
}

export type Row<Columns> = RowDataPacket & Columns;

const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'ETIMEDOUT',
  'EPIPE',
  'ENOENT',
  'PROTOCOL_CONNECTION_LOST',
  'ER_SERVER_SHUTDOWN',
  'ER_CON_COUNT_ERROR',
  'ER_CONNECTION_KILLED',
]);

/** Whether an error says that the database cannot be reached now. */
export function isDatabaseAway(error: unknown): boolean {
  const { code, message } = error as { code?: string; message?: string };
  return (
    (code !== undefined && AWAY.has(code)) ||
    /closed state|Connection lost|Pool is closed/i.test(message ?? '')
  );
}
