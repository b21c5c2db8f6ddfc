import { dirname, isAbsolute, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The repository's folder. */
export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '../..');

/** Where Hamaca keeps its data: `HAMACA_DATA`, or `.hamaca` in the repository. */
export function dataFolder() {
  const given = process.env.HAMACA_DATA;
  if (!given) return join(ROOT, '.hamaca');
  return isAbsolute(given) ? given : join(process.cwd(), given);
}
