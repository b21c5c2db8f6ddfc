import { Zip, ZipDeflate } from 'fflate';

/** ZIP times start here; a fixed one keeps the bytes the same for the same content. */
const FIXED_TIME = new Date(1980, 0, 2);

/**
 * A ZIP archive of files by name, given out piece by piece, so that nobody holds it whole. Answers once the last piece is out.
 * The same files give the same bytes.
 */
export function streamZip(files: ReadonlyMap<string, Uint8Array>, emit: (piece: Uint8Array) => void): void {
  const zip = new Zip((error, piece) => {
    if (error) throw error;
    if (piece.length > 0) emit(piece);
  });
  for (const [name, content] of files) {
    const file = new ZipDeflate(name, { level: 9 });
    file.mtime = FIXED_TIME;
    zip.add(file);
    file.push(content, true);
  }
  zip.end();
}
