/** A file with its path from where it was dropped or chosen. */
export interface NamedFile {
  readonly path: string;
  readonly file: File;
}

/** Most files that are looked at. */
const MOST = 5000;

const fileOf = (entry: FileSystemFileEntry) =>
  new Promise<File>((resolve, reject) => {
    entry.file(resolve, reject);
  });

/** What is in a folder; browsers give it out some at a time. */
async function entriesOf(folder: FileSystemDirectoryEntry): Promise<readonly FileSystemEntry[]> {
  const reader = folder.createReader();
  const found: FileSystemEntry[] = [];
  for (;;) {
    const some = await new Promise<FileSystemEntry[]>((resolve, reject) => {
      reader.readEntries(resolve, reject);
    });
    if (some.length === 0) return found;
    found.push(...some);
  }
}

/** The files that were dropped, those of folders with their paths. */
export async function droppedFiles(items: readonly DataTransferItem[]): Promise<readonly NamedFile[]> {
  // They are there only while the drop is told.
  const waiting = items.map((item) => item.webkitGetAsEntry()).filter((entry) => entry !== null);
  const files: NamedFile[] = [];
  for (let entry = waiting.shift(); entry && files.length < MOST; entry = waiting.shift()) {
    if (entry.isFile)
      files.push({
        path: entry.fullPath.replace(/^\//, ''),
        file: await fileOf(entry as FileSystemFileEntry),
      });
    else waiting.push(...(await entriesOf(entry as FileSystemDirectoryEntry)));
  }
  return files;
}
