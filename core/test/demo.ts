import { readFileSync } from 'node:fs';
import { parseSiteFile } from '../src/load/load-site.ts';
import type { Site } from '../src/kinds/site.ts';
import { partsOf, sectionsOf, panelsFrom, standingPieces } from '../src/kinds/placed.ts';
import { isHeader, type Header } from '../src/kinds/pieces/header/header.ts';
import type { Part } from '../src/kinds/site.ts';
import { sectionExtent } from '../src/layout/extents.ts';
import { compileSite, type Compiled } from '../src/output/compile-site.ts';
import type { CompileOptions } from '../src/output/context.ts';
import type { FontMetrics } from '../src/text/font-table.ts';
import { createMeasurer } from '../src/text/measure.ts';
import { TYPEFACES } from '../src/text/typefaces.ts';

const read = (path: string) => readFileSync(new URL(path, import.meta.url), 'utf8');

function load(path: string): Site {
  const site = parseSiteFile(read(path));
  if (!site.ok) throw new Error(site.error[0]?.message);
  return deepFreeze(site.value);
}

export function deepFreeze<Value>(value: Value): Value {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value);
    for (const child of Object.values(value)) deepFreeze(child);
  }
  return value;
}

/** The reserve's site as the tests start from it: one row, two levels, nothing dressed up. Frozen: an edit in place would throw. */
export const DEMO: Site = load('plain.hamaca.json');

/** The demo as everybody finds it. */
export const MARISMA: Site = load('../../demo/marisma.hamaca.json');

/** The first header of a site. */
export function headerOf(site: Site): Header {
  const header = site.pieces.find(isHeader);
  if (!header) throw new Error('The site has no header.');
  return header;
}

export const DEMO_HEADER: Header = headerOf(DEMO);

/** The parts of a site's first header. */
export const headerParts = (site: Site): readonly Part[] => partsOf(site, headerOf(site));

export const FONTS: readonly FontMetrics[] = TYPEFACES.map(
  ({ id }) => JSON.parse(read(`../../fonts/dist/${id}.metrics.json`)) as FontMetrics,
);

export const measure = createMeasurer(FONTS);

/** A site's output with the markup of the page its first piece stands in, and its rules one by one. */
export function compilePage(
  site: Site = DEMO,
  options: Partial<CompileOptions> = {},
): Compiled & { readonly markup: string } {
  const compiled = compileSite(site, { fonts: FONTS, flat: true, ...options });
  const [first] = standingPieces(site);
  return {
    ...compiled,
    markup: first
      ? compiled.pieces.get(first.id) +
        panelsFrom(site, first)
          .map(({ id }) => compiled.pieces.get(id))
          .join('')
      : '',
  };
}

/** A changeable deep copy of the demo as plain JSON. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- tests break documents on purpose
export const rawDemo = (): any => JSON.parse(JSON.stringify(DEMO));

/** The width in px that a row of a site's first header needs in a band. */
export function rowNeeds(site: Site, band: number, row = 0): number {
  const placed = sectionsOf(site).filter((section) => section.piece === headerOf(site))[row];
  const extent = placed ? sectionExtent(site, placed, band, measure) : null;
  if (!extent) throw new Error('There is no such row.');
  return extent.width;
}

/** What is handed over of an output, to compare byte by byte. */
export const bytesOf = ({ markup, stylesheet, script }: ReturnType<typeof compilePage>) => ({
  markup,
  stylesheet,
  script,
});
