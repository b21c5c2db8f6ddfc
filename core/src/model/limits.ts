/** Most bands a site has. */
export const MOST_BANDS = 8;

/** Most social marks or texts in one part. */
export const MOST_ENTRIES = 30;

/** Most parts of one region. */
export const MOST_PARTS = 50;
