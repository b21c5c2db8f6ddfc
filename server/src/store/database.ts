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

/** Ends a transaction that failed. After a refusal of ours the connection serves on; one that may be broken does not. */
async function giveBack(connection: Connection, error: unknown): Promise<void> {
  const isOfDatabase = typeof (error as { errno?: unknown }).errno === 'number' || isDatabaseAway(error);
  if (isOfDatabase) {
    connection.destroy();
    return;
  }
  await connection.rollback().then(
    () => {
      connection.release();
    },
    () => {
      // What cannot even be rolled back is broken, whatever the reason.
      connection.destroy();
    },
  );
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
    await giveBack(connection, error);
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
