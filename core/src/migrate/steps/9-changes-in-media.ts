import { isRecord } from '../../base/json.ts';
import type { Migration } from '../migration.ts';

const changed = (change: unknown): unknown =>
  isRecord(change) && 'set' in change ? { ...change, media: '' } : change;

const withMedia = (page: unknown): unknown =>
  isRecord(page) && Array.isArray(page['changes'])
    ? { ...page, changes: page['changes'].map(changed) }
    : page;

/** Changes of a foreign page may hold within media queries alone; older ones hold everywhere. */
export const CHANGES_IN_MEDIA_STEP: Migration = {
  from: 9,
  migrate: (document) => ({
    ...document,
    ...(Array.isArray(document['foreignPages'])
      ? { foreignPages: document['foreignPages'].map(withMedia) }
      : {}),
  }),
};
