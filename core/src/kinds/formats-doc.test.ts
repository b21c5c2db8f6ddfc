import { readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { PARTS } from './parts/parts.ts';
import { PIECES } from './pieces/pieces.ts';
import { SECTIONS } from './sections/sections.ts';

const text = readFileSync(new URL('../../../docs/formats.md', import.meta.url), 'utf8');
/** What the page on formats says as code, and what it is about. */
const named = new Set(
  [...text.matchAll(/`([\w-]+)`|\*\*(\w+)\*\*/g)].map(([, code, topic]) => code ?? topic),
);

test.each([...PARTS, ...SECTIONS, ...PIECES].map((kind) => [kind.id, kind] as const))(
  'the page on formats tells of the kind %s and of every field it has of its own',
  (id, { shape }) => {
    expect([id, ...Object.keys(shape)].filter((name) => !named.has(name))).toEqual([]);
  },
);
