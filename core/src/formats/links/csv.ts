import { cutText } from '../../base/well-formed.ts';
import Papa from 'papaparse';
import { LIMITS } from '../../values/limits.ts';
import { refuseUrl } from '../../values/url.ts';
import type { ImportNote, LinkLine, ReadLinks } from '../../links/link-line.ts';
import { readFields } from './line-fields.ts';
import { targetLeftOut } from './target-note.ts';

/** The columns of our own tables, and the names other programs give theirs. */
const COLUMNS = {
  level: ['level', 'depth', 'indent'],
  label: ['label', 'title', 'name', 'text', 'link text', 'page'],
  target: ['target', 'url', 'href', 'link', 'address', 'path', 'loc'],
  parent: ['parent', 'parent label', 'under'],
  description: ['description', 'note'],
  name: ['accessible name'],
  tooltip: ['tooltip'],
  newTab: ['new tab', 'new window'],
  rel: ['rel'],
  className: ['class'],
  data: ['data'],
  role: ['role'],
  panel: ['panel'],
} as const;

type Column = keyof typeof COLUMNS;

const HEADER = [
  'level',
  'label',
  'target',
  'description',
  'accessible name',
  'tooltip',
  'new tab',
  'rel',
  'class',
  'data',
  'role',
  'panel',
];

/** Where each column stands; null where the first row is no header. */
function readHeader(row: readonly string[]): Map<Column, number> | null {
  const names = row.map((cell) => cell.trim().toLowerCase());
  const found = new Map<Column, number>();
  for (const [column, words] of Object.entries(COLUMNS)) {
    const index = names.findIndex((name) => (words as readonly string[]).includes(name));
    if (index !== -1 && ![...found.values()].includes(index)) found.set(column as Column, index);
  }
  return found.has('label') || found.has('target') ? found : null;
}

const isYes = (text: string) => /^(?:yes|true|1|x|_blank)$/i.test(text.trim());

/**
 * Reads a table of links (RFC 4180; comma, semicolon or tab, found out by looking). With a header row the columns are
 * taken by name and nest by level or by the parent's label; without one they are label and target.
 */
export function readCsv(text: string): ReadLinks {
  const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { skipEmptyLines: 'greedy' });
  const header = data[0] ? readHeader(data[0]) : null;
  const columns =
    header ??
    new Map<Column, number>([
      ['label', 0],
      ['target', 1],
    ]);
  const links: LinkLine[] = [];
  const notes: ImportNote[] = [];
  const depths = new Map<string, number>();
  data.slice(header ? 1 : 0).forEach((row, index) => {
    const line = index + (header ? 2 : 1);
    const cell = (column: Column) => unguard(row[columns.get(column) ?? -1] ?? '');
    const label = cell('label').trim() || cell('target').trim();
    const fields = readFields(
      {
        role: cell('role'),
        description: cell('description'),
        name: cell('name'),
        title: cell('tooltip'),
        rel: cell('rel'),
        className: cell('className'),
        data: cell('data'),
      },
      isYes(cell('newTab')),
    );
    const note = (reason: string) => {
      notes.push({ line, text: cutText(row.join(', '), 80), reason });
    };
    if (label === '' && fields.role !== 'divider') {
      note('There is neither a label nor a target.');
      return;
    }
    if (links.length >= LIMITS.links) {
      if (links.length === LIMITS.links && notes.at(-1)?.reason.startsWith('Only') !== true)
        note(`Only the first ${LIMITS.links} links are read.`);
      return;
    }
    const parent = cell('parent').trim();
    if (parent !== '' && !depths.has(parent))
      note(`Its parent “${cutText(parent, 40)}” is not in a row above; it was put at the top.`);
    const level = Number.parseInt(cell('level'), 10);
    const depth =
      parent !== '' ? (depths.get(parent) ?? 0) + 1 : Number.isFinite(level) ? Math.max(1, level) : 1;
    depths.set(label, depth);
    const href = cell('target').trim();
    const refused = href === '' ? null : refuseUrl(href);
    if (refused !== null) note(targetLeftOut(refused));
    links.push({
      label: cutText(label, LIMITS.label),
      href: refused === null && href !== '' ? href : null,
      depth,
      ...(cell('panel').trim() === '' ? {} : { panel: cell('panel').trim() }),
      ...(Object.keys(fields).length > 0 ? { fields } : {}),
    });
  });
  return {
    links: columns.has('parent')
      ? underParents(
          links,
          data.slice(header ? 1 : 0).map((row) => row[columns.get('parent') ?? -1]?.trim() ?? ''),
        )
      : links,
    notes,
  };
}

/** Rows that name their parent may stand anywhere below it; as lines they stand right beneath it. */
function underParents(links: readonly LinkLine[], parents: readonly string[]): LinkLine[] {
  if (links.length !== parents.length) return [...links];
  const labels = new Set(links.map((link) => link.label));
  const below = new Map<string, number[]>();
  const top: number[] = [];
  parents.forEach((parent, index) => {
    if (parent === '' || !labels.has(parent) || links[index]?.depth === 1) top.push(index);
    else {
      const siblings = below.get(parent);
      if (siblings) siblings.push(index);
      else below.set(parent, [index]);
    }
  });
  const ordered: LinkLine[] = [];
  const placed = new Set<number>();
  /** Places rows with all that name them, without recursion: a table may be one long chain. */
  const place = (starts: readonly number[]) => {
    const open = starts.map((index) => ({ index, depth: 1 })).reverse();
    for (let at = open.pop(); at; at = open.pop()) {
      const { index, depth } = at;
      const link = links[index];
      if (!link || placed.has(index)) continue;
      placed.add(index);
      ordered.push({ ...link, depth });
      for (const child of [...(below.get(link.label) ?? [])].reverse())
        open.push({ index: child, depth: depth + 1 });
    }
  };
  place(top);
  // Rows that only name one another in a circle begin at the first of them.
  for (const index of links.keys()) place([index]);
  return ordered;
}

/** Formulas in cells would run in a table program; a quote keeps them text, and is taken off again when they are read. */
const FORMULA = /^'*[\s\u0000-\u001f]*[=@+\t\r-]/;
const GUARDED = /^'+[\s\u0000-\u001f]*[=@+\t\r-]/;
const guard = (cell: string) => (FORMULA.test(cell) ? `'${cell}` : cell);
const unguard = (cell: string) => (GUARDED.test(cell) ? cell.slice(1) : cell);

/** Links as a table with a header row (RFC 4180). */
export function printCsv(links: readonly LinkLine[]): string {
  const rows = links.map(({ depth, label, href, panel = '', fields = {} }) =>
    [
      String(depth),
      label,
      href ?? '',
      fields.description ?? '',
      fields.name ?? '',
      fields.title ?? '',
      fields.newTab ? 'yes' : '',
      fields.rel ?? '',
      fields.className ?? '',
      fields.data ?? '',
      fields.role ?? '',
      panel,
    ].map(guard),
  );
  return `${Papa.unparse([HEADER, ...rows], { newline: '\r\n' })}\r\n`;
}
