import { createStore, get, set, type UseStore } from 'idb-keyval';

/** A picture with the revision of the site it shows; a newer one takes its place. */
interface Kept {
  readonly revision: number;
  readonly picture: Blob;
}

let pictures: UseStore | null = null;
const store = () => (pictures ??= createStore('hamaca-pictures', 'pictures'));

const keyOf = (site: string, name: string) => `${site} ${name}`;

/** A picture of a site at a revision; null where there is none, or the browser keeps nothing. */
export async function keptPicture(site: string, revision: number, name: string): Promise<Blob | null> {
  try {
    const kept = await get<Kept>(keyOf(site, name), store());
    return kept?.revision === revision ? kept.picture : null;
  } catch {
    // Storage that is forbidden or broken keeps nothing: what is shown is drawn anew.
    return null;
  }
}

/** Keeps a picture in the place of the one of an older revision. */
export async function keepPicture(
  site: string,
  revision: number,
  name: string,
  picture: Blob,
): Promise<void> {
  try {
    await set(keyOf(site, name), { revision, picture } satisfies Kept, store());
  } catch {
    // Full or forbidden: it is drawn anew next time.
  }
}
