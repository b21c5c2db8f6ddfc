import { createConnection, type RowDataPacket } from 'mysql2/promise';
import { fileURLToPath } from 'node:url';
import Postgrator from 'postgrator';

/** Seconds another process may take over its migrations before this one gives up. */
const LOCK_SECONDS = 60;

/** Brings the database to the newest schema; several processes may start at once. Answers the schema version. */
export async function migrateDatabase(url: string): Promise<number> {
  const connection = await createConnection({ uri: url, multipleStatements: true, timezone: 'Z' });
  try {
    await connection.query('SELECT GET_LOCK(CONCAT(DATABASE(), ".hamaca"), ?)', [LOCK_SECONDS]);
    const [[current]] = await connection.query<RowDataPacket[]>('SELECT DATABASE() AS name');
    const postgrator = new Postgrator({
      migrationPattern: fileURLToPath(new URL('../migrations/*.sql', import.meta.url)),
      driver: 'mysql',
      database: String(current?.['name']),
      schemaTable: 'schema_version',
      execQuery: async (query: string) => ({ rows: (await connection.query<RowDataPacket[]>(query))[0] }),
    });
    await postgrator.migrate();
    return await postgrator.getDatabaseVersion();
  } finally {
    await connection.end();
  }
}
