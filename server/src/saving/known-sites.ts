import type { Site } from '@hamaca/core';

/** Most text of documents that is remembered, in characters. */
const MOST_TEXT = 32_000_000;

/** A site as it was at a revision. */
export interface KnownSite {
  readonly revision: number;
  readonly site: Site;
  /** How many characters its document has. */
  readonly length: number;
}

/** The sites edited last, so that an edit need not read the document again. */
export interface KnownSites {
  /** The site at this revision, or null. Other processes edit too: another revision is no use. */
  readonly at: (id: string, revision: number) => KnownSite | null;
  readonly keep: (id: string, known: KnownSite) => void;
}

export function rememberSites(mostText: number = MOST_TEXT): KnownSites {
  const known = new Map<string, KnownSite>();
  let text = 0;
  const forget = (id: string) => {
    text -= known.get(id)?.length ?? 0;
    known.delete(id);
  };
  return {
    at: (id, revision) => {
      const found = known.get(id);
      return found?.revision === revision ? found : null;
    },
    keep: (id, entry) => {
      forget(id);
      if (entry.length > mostText) return;
      known.set(id, entry);
      text += entry.length;
      // A map keeps the order things were put in: the one edited longest ago goes first.
      for (const oldest of known.keys()) {
        if (text <= mostText) break;
        forget(oldest);
      }
    },
  };
}
