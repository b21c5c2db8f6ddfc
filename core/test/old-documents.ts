import { readFileSync } from 'node:fs';
import { isRecord } from '../src/base/json.ts';
import { whole, type Random } from './random-site.ts';

type Raw = Record<string, unknown>;

/** A document as a version wrote it: kept as it was then, so that what was valid once stays known. */
export const oldDocument = (version: number): Raw =>
  JSON.parse(readFileSync(new URL(`old/version-${version}.hamaca.json`, import.meta.url), 'utf8')) as Raw;

/** Targets links could have, by the version that brought them. */
const TARGETS: readonly { readonly since: number; readonly make: (ids: OldIds) => Raw }[] = [
  { since: 1, make: ({ pages, pick }) => ({ kind: 'page', page: pick(pages) }) },
  { since: 1, make: () => ({ kind: 'section', section: 'hours' }) },
  { since: 1, make: () => ({ kind: 'url', url: 'https://orilla.example/far' }) },
  { since: 1, make: () => ({ kind: 'mail', address: 'hello@marisma.example' }) },
  { since: 1, make: () => ({ kind: 'phone', number: '+34 955 010 203' }) },
  { since: 2, make: ({ panels, pick }) => ({ kind: 'panel', panel: pick(panels) }) },
  { since: 1, make: () => ({ kind: 'none' }) },
];

interface OldIds {
  readonly pages: readonly string[];
  readonly panels: readonly string[];
  readonly pick: <T>(list: readonly T[]) => T;
}

const listAt = (thing: unknown, key: string): Raw[] =>
  isRecord(thing) && Array.isArray(thing[key]) ? (thing[key] as Raw[]) : [];

/** The lists of parts of a document, wherever that version kept them. */
function partLists(document: Raw): Raw[][] {
  return listAt(document, 'pieces').flatMap((piece) => [
    ...(Array.isArray(piece['parts']) ? [piece['parts'] as Raw[]] : []),
    ...['rows', 'blocks', 'sections'].flatMap((key) =>
      listAt(piece, key).flatMap((section) => [
        ...(Array.isArray(section['parts']) ? [section['parts'] as Raw[]] : []),
        ...(isRecord(section['zones']) ? Object.values(section['zones'] as Record<string, Raw[]>) : []),
      ]),
    ),
  ]);
}

const isPanels = (document: Raw, list: readonly Raw[]) =>
  listAt(document, 'pieces').some((piece) => piece['parts'] === list);

const itemsIn = (items: readonly Raw[]): Raw[] =>
  items.flatMap((item) => [item, ...itemsIn(listAt(item, 'children'))]);

/** A copy of a part for another place: ids of its own, and nothing that belongs to the place it has. */
function copied(part: Raw, freshId: () => string): Raw {
  const renewed = JSON.parse(JSON.stringify(part), (key, value: unknown) =>
    key === 'id' ? freshId() : value,
  ) as Raw;
  const { folds: _folds, bands: _bands, ...free } = renewed;
  return free;
}

/**
 * A random document of an old format: the version's own document with its links leading anywhere they could, its parts copied
 * into other places, looks moved between states and bands, and names that people give.
 */
export function randomOldDocument(random: Random, version: number): Raw {
  const document = oldDocument(version);
  let count = 0;
  const freshId = () => `old-${++count}`;
  const pieces = listAt(document, 'pieces');
  const ids: OldIds = {
    pages: listAt(document, 'pages').map(({ id }) => String(id)),
    panels: pieces.flatMap(({ kind, id }) => (kind === 'panel' ? [String(id)] : [])),
    pick: (list) => random.pick(list),
  };
  const targets = TARGETS.filter(({ since }) => since <= version);
  for (const item of listAt(document, 'menus').flatMap((menu) => itemsIn(listAt(menu, 'items')))) {
    if (random.chance(0.6)) item['target'] = random.pick(targets).make(ids);
    if (random.chance(0.3))
      item['label'] = random.pick(['panel', 'header', 'text', 'ring', 'عنوان', 'x'.repeat(80)]);
  }
  const lists = partLists(document);
  // A berth or an opener belongs to what it is for; all others may stand anywhere, as often as one likes.
  const free = lists.flat().filter(({ kind }) => !['berth', 'opener', 'ring'].includes(String(kind)));
  for (let copies = whole(random, 1, 8); copies > 0; copies--) {
    const list = random.pick(lists);
    // Panels held menus alone before they had blocks.
    const fitting =
      version < 4 && isPanels(document, list) ? free.filter(({ kind }) => kind === 'menu') : free;
    list.splice(whole(random, 0, list.length), 0, copied(random.pick(fitting), freshId));
  }
  // What one state or all widths look like, another state or width may as well.
  const bands = listAt(document, 'bands').map(({ id }) => String(id));
  for (const thing of [...pieces, ...lists.flat()]) {
    if (!isRecord(thing['look'])) continue;
    for (const levels of Object.values(thing['look']).filter(isRecord))
      for (const states of Object.values(levels).filter(isRecord)) {
        const rest = states['rest'];
        if (!isRecord(rest) || !isRecord(rest['all']) || !random.chance(0.4)) continue;
        rest[random.pick(bands)] = structuredClone(rest['all']);
      }
  }
  if (random.chance(0.3)) document['name'] = random.pick(['', 'panel', '🪶', 'x'.repeat(500)]);
  return document;
}
