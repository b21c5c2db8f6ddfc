import { createStore, delMany, get, keys, set, type UseStore } from 'idb-keyval';

/** Kept pictures: of each site one set for its newest revision. */
let pictures: UseStore | null = null;
const store = () => (pictures ??= createStore('hamaca-pictures', 'pictures'));

const keyOf = (site: string, revision: number, name: string) => `${site} ${revision} ${name}`;

/** A picture of a site at a revision; null where there is none, or the browser keeps nothing. */
export async function keptPicture(site: string, revision: number, name: string): Promise<Blob | null> {
  try {
    return (await get<Blob>(keyOf(site, revision, name), store())) ?? null;
  } catch {
    // Storage that is forbidden or broken keeps nothing: what is shown is drawn anew.
    return null;
  }
}

/** Keeps a picture, and lets go of those of other revisions of the site. */
export async function keepPicture(
  site: string,
  revision: number,
  name: string,
  picture: Blob,
): Promise<void> {
  try {
    const old = (await keys<string>(store())).filter(
      (key) => key.startsWith(`${site} `) && !key.startsWith(`${site} ${revision} `),
    );
    await delMany(old, store());
    await set(keyOf(site, revision, name), picture, store());
  } catch {
    // Full or forbidden: it is drawn anew next time.
  }
}
