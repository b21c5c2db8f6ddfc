import { zipSync } from 'fflate';

/** ZIP times start here; a fixed one keeps the bytes the same for the same content. */
const FIXED_TIME = new Date(1980, 0, 2);

/** A ZIP archive of files by name. The same files give the same bytes. */
export function zipFiles(files: ReadonlyMap<string, Uint8Array>): Uint8Array {
  return zipSync(Object.fromEntries(files), { level: 9, mtime: FIXED_TIME });
}
