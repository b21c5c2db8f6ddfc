const isPage = (path: string) => /\.x?html?$/i.test(path);

const nameOf = (path: string) => path.slice(path.lastIndexOf('/') + 1);

/** Whether a path leads through something that is no part of a website: hidden files, or packages of its makers. */
export const isHiddenPath = (path: string): boolean =>
  path.split('/').some((part) => part.startsWith('.') || part === 'node_modules' || part === '__MACOSX');

/** The page a folder or archive begins with: its index, as far up as there is one; else its only page. */
export function firstPage(paths: readonly string[]): string | null {
  const pages = paths.filter((path) => isPage(path) && !isHiddenPath(path));
  const depth = (path: string) => path.split('/').length;
  const indexes = pages.filter((path) => /^index\./i.test(nameOf(path)));
  const [index] = indexes.sort((a, b) => depth(a) - depth(b) || (a < b ? -1 : 1));
  return index ?? (pages.length === 1 ? (pages[0] ?? null) : null);
}
