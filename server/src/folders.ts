/** The repository's folder as an address. The sources and what is built of them stand equally deep in it. */
export const ROOT = new URL('../../', import.meta.url);
