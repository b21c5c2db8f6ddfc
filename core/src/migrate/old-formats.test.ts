import { describe, expect, test } from '@jest/globals';
import { compilePage } from '../../test/demo.ts';
import { oldDocument, randomOldDocument } from '../../test/old-documents.ts';
import { seeded } from '../../test/random-site.ts';
import { itemsOf } from '../kinds/content.ts';
import { placedParts } from '../kinds/placed.ts';
import { loadSite } from '../load/load-site.ts';
import { FORMAT_VERSION } from './migrate.ts';

const OLD = Array.from({ length: FORMAT_VERSION - 1 }, (_, index) => index + 1);

/** The value at a way into some JSON. */
const at = (json: unknown, ...way: readonly (string | number)[]): unknown =>
  way.reduce<unknown>((node, key) => (node as Record<string, unknown> | undefined)?.[key], json);

describe.each(OLD)('a document of format %i', (version) => {
  test('opens, whatever its links lead to and wherever its parts stand', () => {
    const random = seeded(version * 100);
    for (let count = 0; count < 60; count++) {
      const raw = randomOldDocument(random, version);
      const before = JSON.stringify(raw);
      const loaded = loadSite(raw);
      expect(loaded.ok ? [] : loaded.error).toEqual([]);
      expect(JSON.stringify(raw)).toBe(before);
      if (!loaded.ok) return;
      // Nothing of the links changes: labels and where they lead stay as they were written.
      const labels = (json: unknown) =>
        JSON.stringify(json)
          .match(/"label":"[^"]*"/g)
          ?.sort();
      expect(labels(loaded.value.menus)).toEqual(labels(at(raw, 'menus')));
      for (const { item } of itemsOf(loaded.value).values())
        expect(Object.keys(item.target).length).toBeLessThanOrEqual(3);
      if (count % 20 === 0) expect(compilePage(loaded.value).stylesheet).not.toBe('');
    }
  });
  test('keeps what is written in its links as it is, also where they look like parts', () => {
    const raw = oldDocument(version);
    const item = at(raw, 'menus', 0, 'items', 0) as Record<string, unknown>;
    const panel = (raw['pieces'] as { kind: string; id: string }[]).find(({ kind }) => kind === 'panel');
    if (version >= 2) item['target'] = { kind: 'panel', panel: panel?.id };
    const loaded = loadSite(raw);
    expect(loaded.ok ? [] : loaded.error).toEqual([]);
    if (!loaded.ok) return;
    expect(loaded.value.menus[0]?.items[0]?.target).toEqual(item['target']);
    expect(placedParts(loaded.value).length).toBeGreaterThan(3);
  });
});

test('what was told to open a panel and is no selector, or nearly everything, opens it no more', () => {
  const opened = (openedBy: string) => {
    const raw = oldDocument(7);
    const panel = (raw['pieces'] as Record<string, unknown>[]).find(({ kind }) => kind === 'panel');
    if (panel) panel['openedBy'] = openedBy;
    const loaded = loadSite(raw);
    if (!loaded.ok) throw new Error(loaded.error[0]?.message);
    const found = loaded.value.pieces.find(({ kind }) => kind === 'panel');
    return found?.kind === 'panel' ? found.openedBy : null;
  };
  for (const kept of ['', '.open-menu', '.open-menu, #contact', 'nav a.call > span.x', 'a[href="#menu"]'])
    expect(opened(kept)).toBe(kept);
  for (const gone of ['((', ':has(', '*', 'html', 'body', ':root', 'a', '.x *'])
    expect(opened(gone)).toBe('');
});
