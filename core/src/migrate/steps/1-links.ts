import { isRecord } from '../../base/json.ts';
import type { Migration } from '../migration.ts';

const each = (list: unknown, change: (entry: Record<string, unknown>) => Record<string, unknown>): unknown =>
  Array.isArray(list) ? list.map((entry: unknown) => (isRecord(entry) ? change(entry) : entry)) : list;

const withBranch = (part: Record<string, unknown>) =>
  part['kind'] === 'menu' ? { ...part, branch: null } : part;

const withBranches = (zones: unknown) =>
  isRecord(zones)
    ? Object.fromEntries(Object.entries(zones).map(([zone, parts]) => [zone, each(parts, withBranch)]))
    : zones;

/** Sections have titles, pages say whether they were listed, sites keep icons, placements start anywhere, panels hold menus. */
export const LINKS_STEP: Migration = {
  from: 1,
  migrate: (document) => ({
    ...document,
    icons: [],
    pages: each(document['pages'], (page) => ({
      ...page,
      listed: false,
      sections: Array.isArray(page['sections'])
        ? page['sections'].map((section: unknown) =>
            typeof section === 'string' ? { id: section, title: '' } : section,
          )
        : page['sections'],
    })),
    pieces: each(document['pieces'], (piece) =>
      piece['kind'] === 'panel'
        ? { ...piece, parts: [] }
        : { ...piece, rows: each(piece['rows'], (row) => ({ ...row, zones: withBranches(row['zones']) })) },
    ),
  }),
};
