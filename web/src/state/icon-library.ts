import iconsUrl from '@iconify-json/tabler/icons.json?url';

/** One drawing of the library: its name and what stands inside its 24 by 24 root. */
export interface LibraryIcon {
  readonly name: string;
  readonly body: string;
}

let loading: Promise<readonly LibraryIcon[]> | null = null;

/** The icon library, fetched once when it is first asked for. */
export function loadIcons(): Promise<readonly LibraryIcon[]> {
  loading ??= fetch(iconsUrl)
    .then((response) => response.json() as Promise<{ icons: Record<string, { body: string }> }>)
    .then(({ icons }) => Object.entries(icons).map(([name, { body }]) => ({ name, body })))
    .catch((error: unknown) => { loading = null; throw error; });
  return loading;
}

export const iconSvg = (body: string) => `<svg viewBox="0 0 24 24">${body}</svg>`;

/** Icons in whose names every word occurs; those that begin with the first lead. */
export function findIcons(icons: readonly LibraryIcon[], typed: string, most: number): readonly LibraryIcon[] {
  const words = typed.trim().toLowerCase().split(/\s+/).filter((word) => word !== '');
  const found = icons.filter(({ name }) => words.every((word) => name.includes(word)));
  const [first = ''] = words;
  return [...found.filter(({ name }) => name.startsWith(first)), ...found.filter(({ name }) => !name.startsWith(first))].slice(0, most);
}
