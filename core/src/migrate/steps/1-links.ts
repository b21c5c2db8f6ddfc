import { isRecord } from '../../base/json.ts';
import type { Migration } from '../migration.ts';
import { eachOf } from '../parts.ts';

const withBranch = (part: Record<string, unknown>) =>
  part['kind'] === 'menu' ? { ...part, branch: null } : part;

const withBranches = (zones: unknown) =>
  isRecord(zones)
    ? Object.fromEntries(Object.entries(zones).map(([zone, parts]) => [zone, eachOf(parts, withBranch)]))
    : zones;

/** Sections have titles, pages say whether they were listed, sites keep icons, placements start anywhere, panels hold menus. */
export const LINKS_STEP: Migration = {
  from: 1,
  migrate: (document) => ({
    ...document,
    icons: [],
    pages: eachOf(document['pages'], (page) => ({
      ...page,
      listed: false,
      sections: Array.isArray(page['sections'])
        ? page['sections'].map((section: unknown) =>
            typeof section === 'string' ? { id: section, title: '' } : section,
          )
        : page['sections'],
    })),
    pieces: eachOf(document['pieces'], (piece) =>
      piece['kind'] === 'panel'
        ? { ...piece, parts: [] }
        : { ...piece, rows: eachOf(piece['rows'], (row) => ({ ...row, zones: withBranches(row['zones']) })) },
    ),
  }),
};
