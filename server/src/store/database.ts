import {
  createPool,
  type Pool,
  type PoolConnection,
  type ResultSetHeader,
  type RowDataPacket,
} from 'mysql2/promise';

export type Row<Columns> = RowDataPacket & Columns;

type Values = readonly (string | number | Date | Uint8Array | null)[];

/** What SQL is run on. */
export interface Connection {
  readonly execute: <Answer extends RowDataPacket[] | ResultSetHeader>(
    sql: string,
    values?: Values,
  ) => Promise<[Answer]>;
}

/** MariaDB behind a pool of connections. Whatever does not answer in time is refused as away. */
export interface Database extends Connection {
  /** Runs `work` in a transaction: committed when it answers, rolled back when it throws. */
  readonly transact: <Answer>(work: (connection: Connection) => Promise<Answer>) => Promise<Answer>;
  readonly end: () => Promise<void>;
}

/** A transaction may take so many times as long as a single answer: what is being written is not given up lightly. */
const WRITING = 3;
const CONNECTIONS = 8;

/** The database did not answer in time. */
class DatabaseLate extends Error {
  readonly code = 'ETIMEDOUT';
}

/** Waits for an answer no longer than the limit; one that comes later goes to `late`. */
async function inTime<Answer>(
  asked: Promise<Answer>,
  limit: number,
  late: (answer: Answer) => void,
): Promise<Answer> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isLate = false;
  const over = new Promise<never>((_resolve, reject) => {
    timer = setTimeout(() => {
      isLate = true;
      reject(new DatabaseLate('The database does not answer in time.'));
    }, limit);
  });
  asked.then(
    (answer) => {
      if (isLate) late(answer);
    },
    // Whoever asked hears of it below, or was told already.
    () => undefined,
  );
  try {
    return await Promise.race([asked, over]);
  } finally {
    clearTimeout(timer);
  }
}

/**
 * A pool of connections to MariaDB. Times are UTC, SQL is strict. A database that does not answer within `limit` ms counts
 * as away.
 */
export function openDatabase(url: string, limit: number): Database {
  // No statement outlives the one who asked.
  const seconds = Math.ceil((limit * WRITING) / 1000);
  const pool = createPool({
    uri: url,
    timezone: 'Z',
    charset: 'utf8mb4',
    connectionLimit: CONNECTIONS,
    connectTimeout: limit,
    supportBigNumbers: true,
    jsonStrings: true,
  });
  pool.on('connection', (connection) => {
    void connection.query(
      `SET SESSION sql_mode = 'STRICT_ALL_TABLES,NO_ENGINE_SUBSTITUTION,ERROR_FOR_DIVISION_BY_ZERO', innodb_lock_wait_timeout = ${seconds}, max_statement_time = ${seconds}`,
    );
  });

  const take = (from: Pool): Promise<PoolConnection> =>
    inTime(from.getConnection(), limit, (connection) => {
      connection.release();
    });
  const ask = <Answer>(asked: Promise<Answer>, within: number): Promise<Answer> =>
    inTime(asked, within, () => undefined);
  const on = (connection: PoolConnection, within: number): Connection => ({
    execute: async (sql, values = []) => {
      const [answer] = await ask(connection.execute(sql, [...values]), within);
      return [answer as never];
    },
  });

  const using = async <Answer>(work: (connection: PoolConnection) => Promise<Answer>): Promise<Answer> => {
    const connection = await take(pool);
    try {
      const answer = await work(connection);
      connection.release();
      return answer;
    } catch (error) {
      await giveBack(connection, error, (asked) => ask(asked, limit));
      throw error;
    }
  };

  return {
    execute: (sql, values) => using((connection) => on(connection, limit).execute(sql, values)),
    transact: (work) =>
      using(async (connection) => {
        await ask(connection.beginTransaction(), limit);
        const answer = await work(on(connection, limit * WRITING));
        await ask(connection.commit(), limit * WRITING);
        return answer;
      }),
    end: () => pool.end(),
  };
}

/** Ends work that failed. After a refusal of ours the connection serves on; one that may be broken does not. */
async function giveBack(
  connection: PoolConnection,
  error: unknown,
  ask: (asked: Promise<void>) => Promise<void>,
): Promise<void> {
  const isOfDatabase = typeof (error as { errno?: unknown }).errno === 'number' || isDatabaseAway(error);
  if (isOfDatabase) {
    connection.destroy();
    return;
  }
  await ask(connection.rollback()).then(
    () => {
      connection.release();
    },
    () => {
      // What cannot even be rolled back is broken, whatever the reason.
      connection.destroy();
    },
  );
}

const codeOf = (error: unknown) => (error as { code?: string }).code ?? '';

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
  'ER_STATEMENT_TIMEOUT',
]);

/** Whether an error says that the database cannot be reached now. */
export function isDatabaseAway(error: unknown): boolean {
  const { message } = error as { message?: string };
  return AWAY.has(codeOf(error)) || /closed state|Connection lost|Pool is closed/i.test(message ?? '');
}

/** Whether another writer got in the way, so that the same may work at once. */
export function isPassing(error: unknown): boolean {
  return ['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD'].includes(codeOf(error));
}

/** Whether the database has no room left to write. */
export function isStorageFull(error: unknown): boolean {
  const { code, message } = error as { code?: string; message?: string };
  return (
    ['ER_DISK_FULL', 'ER_RECORD_FILE_FULL', 'ENOSPC'].includes(code ?? '') ||
    /No space left on device/i.test(message ?? '')
  );
}
