/** `npm run key`: puts a new key in the place of the one there is. Sessions of the old one end. */
import { makeKey } from './access/key.ts';
import { readConfig, type Config } from './config.ts';
import { startRefusal } from './refusal.ts';
import { replaceAccess } from './store/access.ts';
import { openDatabase } from './store/database.ts';
import { migrateDatabase } from './store/migrate.ts';

let config: Config | null = null;
try {
  config = readConfig(process.env);
  await migrateDatabase(config.databaseUrl);
  const database = openDatabase(config.databaseUrl, config.databaseLimit);
  const { key, access } = makeKey();
  await replaceAccess(database, access, new Date());
  await database.end();
  process.stdout.write(`${key}\n`);
} catch (error) {
  process.stderr.write(`hamaca: ${startRefusal(error, config)}\n`);
  process.exit(1);
}
