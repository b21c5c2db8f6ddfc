/** `npm run key`: makes a new key for those who come from elsewhere; whoever has the old one is out. */
import { ensureBuilt } from './lib/build.mjs';
import { startDatabase } from './lib/database.mjs';
import { holderOf } from './lib/hold-folder.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { dataFolder } from './lib/paths.mjs';
import { plainReason, run, say } from './lib/run.mjs';

try {
  ensurePackages();
  await ensureBuilt();
  const given = process.env.HAMACA_DATABASE_URL ?? holderOf(dataFolder())?.database;
  const own = given ? null : await startDatabase(dataFolder());
  try {
    const env = { ...process.env, HAMACA_DATABASE_URL: given ?? own.url };
    say('the new key; add it to the address of Hamaca as /enter#key, or type it there:');
    run(process.execPath, ['server/dist/new-key.js'], { env });
  } finally {
    await own?.stop();
  }
} catch (error) {
  say(plainReason(error));
  process.exit(1);
}
