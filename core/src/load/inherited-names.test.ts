import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { seeded } from '../../test/random-site.ts';
import { DEMO, rawDemo } from '../../test/demo.ts';
import { isInheritedKey } from '../base/json.ts';
import { applyCheckedPatch } from '../edit/checked-patch.ts';
import { FORMAT_VERSION } from '../migrate/migrate.ts';
import { parseSiteFile } from './load-site.ts';

/** Names that plain objects answer to without having them. */
const INHERITED = Object.getOwnPropertyNames(Object.prototype);

const oldFile = (version: number) =>
  readFileSync(new URL(`../../test/old/version-${version}.hamaca.json`, import.meta.url), 'utf8');

const fileOf = (version: number) =>
  version === FORMAT_VERSION ? JSON.stringify(rawDemo()) : oldFile(version);

/** What every object inherits, with what it is: whatever has been written there shows. */
const inheritance = () =>
  [Object.prototype, Array.prototype, Function.prototype, String.prototype].map((prototype) =>
    Object.entries(Object.getOwnPropertyDescriptors(prototype)).map(
      ([name, { value }]) => [name, value as unknown] as const,
    ),
  );
const UNTOUCHED = inheritance();

/** Every place in some JSON at which a key can stand: the way to each object. */
function objectsIn(json: unknown, way: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  if (typeof json !== 'object' || json === null) return [];
  const inner = Object.entries(json).flatMap(([key, value]) => objectsIn(value, [...way, key]));
  return Array.isArray(json) ? inner : [way, ...inner];
}

/** JSON text with a key put into the object at a way: as text, as no literal can have such a key of its own. */
function withKey(json: unknown, way: readonly (string | number)[], key: string, value: string): string {
  const [step, ...rest] = way;
  if (step === undefined) {
    const own = JSON.stringify(json).slice(1, -1);
    return `{${own}${own === '' ? '' : ','}${JSON.stringify(key)}:${value}}`;
  }
  const parts = Object.entries(json as object).map(([name, inner]) => {
    const text = name === String(step) ? withKey(inner, rest, key, value) : JSON.stringify(inner);
    return Array.isArray(json) ? text : `${JSON.stringify(name)}:${text}`;
  });
  return Array.isArray(json) ? `[${parts.join(',')}]` : `{${parts.join(',')}}`;
}

const VERSIONS = Array.from({ length: FORMAT_VERSION }, (_, index) => index + 1);

describe('names that every object answers to', () => {
  test('a look of an old format that leads to what all objects inherit changes nothing there', () => {
    const look = JSON.parse('{"shortcut":{"__proto__":{"constructor":{"prototype":{"gap":4}}}}}') as unknown;
    const raw = JSON.parse(oldFile(4)) as { pieces: { rows: { zones: { end: unknown[] } }[] }[] };
    raw.pieces[0]?.rows[0]?.zones.end.push({ kind: 'shortcut', id: 'call', look });
    expect(parseSiteFile(JSON.stringify(raw))).toMatchObject({ ok: false, error: [{ code: 'key' }] });
    expect(inheritance()).toEqual(UNTOUCHED);
  });
  test.each(VERSIONS)(
    'as keys anywhere in a file of format %i are refused before anything walks them',
    (version) => {
      const raw = JSON.parse(fileOf(version)) as unknown;
      const random = seeded(version);
      const places = objectsIn(raw);
      for (let count = 0; count < 60; count++) {
        const key = random.pick(['__proto__', 'constructor', 'prototype']);
        const value = random.pick(['{"iconGap":1}', '{"prototype":{"gap":1}}', '[]', 'null', '"x"']);
        const loaded = parseSiteFile(withKey(raw, random.pick(places), key, value));
        expect(loaded).toMatchObject({ ok: false, error: [{ code: 'key' }] });
      }
      expect(inheritance()).toEqual(UNTOUCHED);
    },
  );
  test.each(VERSIONS)('in place of any text or key of a file of format %i, nothing throws', (version) => {
    const text = fileOf(version);
    const strings = [...text.matchAll(/"(?:[^"\\]|\\.)*"/g)];
    fc.assert(
      fc.property(fc.nat(strings.length - 1), fc.constantFrom(...INHERITED), (index, name) => {
        const at = strings[index];
        if (!at) return;
        const changed = text.slice(0, at.index) + JSON.stringify(name) + text.slice(at.index + at[0].length);
        parseSiteFile(changed);
      }),
      { numRuns: 150 },
    );
    expect(inheritance()).toEqual(UNTOUCHED);
  });
  test('are refused in what an edit brings, as keys of its values and on its way', () => {
    const bring = (value: string, path = '/pieces/0/look') =>
      applyCheckedPatch(DEMO, [{ op: 'replace', path, value: JSON.parse(value) as unknown }]);
    for (const key of INHERITED.filter(isInheritedKey)) {
      expect(bring(`{"bar":{"${key}":{}}}`)).toMatchObject({ ok: false });
      expect(bring('{}', `/pieces/0/look/${key}`)).toMatchObject({ ok: false });
    }
    expect(inheritance()).toEqual(UNTOUCHED);
  });
});

describe('the format of a document', () => {
  test.each([
    [{ op: 'replace', path: '/formatVersion', value: 4 }],
    [{ op: 'remove', path: '/formatVersion' }],
    [{ op: 'replace', path: '/formatVersion', value: FORMAT_VERSION + 1 }],
    [{ op: 'copy', from: '/name', path: '/formatVersion' }],
    [{ op: 'replace', path: '/format', value: 'other' }],
  ] as const)('cannot be changed by an edit: %o', (operation) => {
    expect(applyCheckedPatch(DEMO, [operation]).ok).toBe(false);
  });
  test('may be said again', () => {
    expect(
      applyCheckedPatch(DEMO, [{ op: 'replace', path: '/formatVersion', value: FORMAT_VERSION }]).ok,
    ).toBe(true);
  });
});
