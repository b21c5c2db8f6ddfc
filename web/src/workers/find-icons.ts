import { findIcons, iconForLabel } from '@hamaca/core';

/** What is asked of the library: icons by a search, icons for labels, or all names. */
export type IconQuestion =
  | { readonly id: number; readonly typed: string; readonly most: number }
  | { readonly id: number; readonly labels: readonly string[] };

export interface IconAnswer {
  readonly id: number;
  /** Names found, or one for each label; null where the library cannot be reached. */
  readonly found: readonly (string | null)[] | null;
  /** How long the search took, in ms. */
  readonly took: number;
}

let names: Promise<readonly string[]> | null = null;

/** The names of all drawings of the library, fetched once when they are first asked for. */
function loadNames(): Promise<readonly string[]> {
  names ??= fetch('/api/icons/names')
    .then(async (response) => {
      if (!response.ok) throw new Error(`The icon library answers ${response.status}.`);
      return (await response.json()) as readonly string[];
    })
    .catch((error: unknown) => {
      names = null;
      throw error;
    });
  return names;
}

async function answer(question: IconQuestion): Promise<IconAnswer> {
  const { id } = question;
  try {
    const icons = await loadNames();
    const start = performance.now();
    const found =
      'typed' in question
        ? findIcons(icons, question.typed, question.most)
        : question.labels.map((label) => iconForLabel(icons, label));
    return { id, found, took: performance.now() - start };
  } catch {
    // The one who asked says so, and can ask again.
    return { id, found: null, took: 0 };
  }
}

self.addEventListener('message', (event: MessageEvent<IconQuestion>) => {
  void answer(event.data).then((done) => {
    self.postMessage(done);
  });
});
