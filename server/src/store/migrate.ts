import { createConnection, type RowDataPacket } from 'mysql2/promise';
import { fileURLToPath } from 'node:url';
import { ROOT } from '../folders.ts';
import Postgrator from 'postgrator';

/** Seconds another process may take over its migrations before this one gives up. */
const LOCK_SECONDS = 60;

/** The database was made by a newer program, which may keep things there that this one would spoil. */
export class SchemaTooNew extends Error {
  constructor(found: number, known: number) {
    super(
      `The database was made by a newer Hamaca (schema ${found}, this one knows ${known}); nothing was changed. Start the newer one.`,
    );
  }
}

/** The version a database has; 0 where it is new. */
async function currentVersion(postgrator: Postgrator): Promise<number> {
  try {
    return await postgrator.getDatabaseVersion();
  } catch (error) {
    if ((error as { code?: string }).code === 'ER_NO_SUCH_TABLE') return 0;
    throw error;
  }
}

/** Brings the database to the newest schema; several processes may start at once. Answers the schema version. */
export async function migrateDatabase(url: string): Promise<number> {
  const connection = await createConnection({ uri: url, multipleStatements: true, timezone: 'Z' });
  try {
    const [[lock]] = await connection.query<RowDataPacket[]>(
      'SELECT GET_LOCK(CONCAT(DATABASE(), ".hamaca"), ?) AS taken',
      [LOCK_SECONDS],
    );
    if (lock?.['taken'] !== 1) throw new Error('another process has been changing the database for a minute');
    const [[current]] = await connection.query<RowDataPacket[]>('SELECT DATABASE() AS name');
    const postgrator = new Postgrator({
      migrationPattern: fileURLToPath(new URL('server/src/migrations/*.sql', ROOT)),
      driver: 'mysql',
      database: String(current?.['name']),
      schemaTable: 'schema_version',
      execQuery: async (query: string) => ({ rows: (await connection.query<RowDataPacket[]>(query))[0] }),
    });
    const [found, known] = [await currentVersion(postgrator), await postgrator.getMaxVersion()];
    if (found > known) throw new SchemaTooNew(found, known);
    await postgrator.migrate();
    return await postgrator.getDatabaseVersion();
  } finally {
    await connection.end();
  }
}
