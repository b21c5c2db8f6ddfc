import { readFileSync } from 'node:fs';
import { parseSiteFile } from '../src/load/load-site.ts';
import type { Site } from '../src/model/site.ts';
import { findHeader } from '../src/kinds/walk.ts';
import type { Header } from '../src/kinds/pieces/header.ts';
import type { FontMetrics } from '../src/text/font-table.ts';
import { createMeasurer } from '../src/text/measure.ts';
import { TYPEFACES } from '../src/text/typefaces.ts';

const read = (path: string) => readFileSync(new URL(path, import.meta.url), 'utf8');

function loadDemo(): Site {
  const site = parseSiteFile(read('../../demo/marisma.hamaca.json'));
  if (!site.ok) throw new Error(site.error[0]?.message);
  return deepFreeze(site.value);
}

function deepFreeze<Value>(value: Value): Value {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value);
    for (const child of Object.values(value)) deepFreeze(child);
  }
  return value;
}

/** The demo site, frozen: an edit in place would throw. */
export const DEMO: Site = loadDemo();

export const DEMO_HEADER: Header = ((header) => {
  if (!header) throw new Error('The demo has no header.');
  return header;
})(findHeader(DEMO));

export const FONTS: readonly FontMetrics[] = TYPEFACES.map(
  ({ id }) => JSON.parse(read(`../../fonts/dist/${id}.metrics.json`)) as FontMetrics,
);

export const measure = createMeasurer(FONTS);

/** A changeable deep copy of the demo as plain JSON. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- tests break documents on purpose
export const rawDemo = (): any => JSON.parse(JSON.stringify(DEMO));
