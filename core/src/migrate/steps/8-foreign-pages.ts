import type { Migration } from '../migration.ts';

/** A site brings pages along that exist already; older ones had none. */
export const FOREIGN_PAGES_STEP: Migration = {
  from: 8,
  migrate: (document) => ({ ...document, foreignPages: [] }),
};
