import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { DEMO, FONTS } from '../../../../test/demo.ts';
import { after, looking, withPiece } from '../../../../test/pieces.ts';
import { compileSite } from '../../../output/compile-site.ts';
import { makePart } from '../../create.ts';
import type { PropertyId } from '../../properties/properties.ts';
import { createColumn, type Column } from '../../sections/column/column.ts';
import { createRow } from '../../sections/row/shape.ts';
import type { Section, Site } from '../../site.ts';
import type { Value } from '../../../values/values.ts';
import { runsOf } from './columns.ts';

const words = (id: string, text: string, yearKept = false) =>
  makePart('text', id, {
    entries: [{ id: `${id}-entry`, text, target: { kind: 'none' }, icon: null }],
    yearKept,
  });

const column = (id: string, fields: Partial<Column> = {}): Column => ({
  ...createColumn(id, id, [words(`${id}-text`, `In ${id}`)]),
  ...fields,
});

/** The demo with a footer of its own sections. */
const footed = (sections: readonly Section[], fields: Readonly<Record<string, unknown>> = {}): Site =>
  withPiece(DEMO, 'footer', 'foot', { sections, look: {}, ...fields });

const said = (site: Site, property: PropertyId, value: Value, band = 'all') =>
  looking(site, { owner: 'foot', slot: 'columns', property, value, band });

function output(site: Site) {
  const compiled = compileSite(site, { fonts: FONTS, flat: true });
  return { ...compiled, markup: compiled.pieces.get('foot') ?? '' };
}

/** The declarations of the rules whose selector ends so, outside of any condition. */
function declared(stylesheet: string, end: string): string {
  const rules = stylesheet.matchAll(/^([^@\s][^{}]*)\{([^{}]*)\}/gm);
  return [...rules]
    .flatMap(([, selector = '', body = '']) => (selector.trim().endsWith(end) ? [body] : []))
    .join('');
}

const THREE = ['a', 'b', 'c'].map((id) => column(id));

describe('columns of a footer', () => {
  test('stand together in one box, rows by themselves, in the order of the sections', () => {
    const site = footed([
      { ...createRow('top', 'Top'), zones: { start: [words('above', 'Above')], middle: [], end: [] } },
      ...THREE,
      { ...createRow('low', 'Low'), zones: { start: [words('below', 'Below')], middle: [], end: [] } },
    ]);
    const { markup } = output(site);
    expect(markup.match(/class="hm-foot-footer-columns"/g)).toHaveLength(1);
    const order = [...markup.matchAll(/Above|In a|In b|In c|Below|hm-foot-footer-columns/g)].map(
      ([word]) => word,
    );
    expect(order).toEqual(['Above', 'hm-foot-footer-columns', 'In a', 'In b', 'In c', 'Below']);
  });

  test('every section is in one run, and only columns share one', () => {
    const kinds = fc.array(fc.boolean(), { maxLength: 12 });
    fc.assert(
      fc.property(kinds, (list) => {
        const sections = list.map((isColumn, index) =>
          isColumn ? column(`c${index}`) : createRow(`r${index}`, 'Row'),
        );
        const runs = runsOf<Section>(sections);
        expect(runs.flat()).toEqual(sections);
        for (const run of runs) expect(run.length === 1 || run.every((one) => 'kind' in one)).toBe(true);
        // Two runs of columns never touch.
        runs.forEach((run, index) => {
          const next = runs[index + 1];
          expect('kind' in (run[0] as object) && next !== undefined && 'kind' in (next[0] as object)).toBe(
            false,
          );
        });
      }),
    );
  });

  test('as many as have room stand in a line, each at least so wide and never wider than the page', () => {
    const { stylesheet } = output(said(footed(THREE), 'columnsLeast', 220));
    expect(declared(stylesheet, '.hm-foot-footer-columns')).toContain('flex-wrap: wrap');
    expect(declared(stylesheet, '.hm-foot-footer-columns>*')).toContain('flex: 1 1 min(100%, 220px)');
  });

  test('a number of them stands in a line, with the room and width each says', () => {
    const counted = said(footed(THREE), 'columnsCount', 3);
    expect(declared(output(counted).stylesheet, '.hm-foot-footer-columns')).toContain(
      'grid-template-columns: repeat(3, minmax(0, 1fr))',
    );
    const own = looking(
      counted,
      { owner: 'a', slot: 'column', property: 'columnShare', value: 2 },
      { owner: 'c', slot: 'column', property: 'columnWidth', value: 240 },
    );
    expect(declared(output(own).stylesheet, '.hm-foot-footer-columns')).toContain(
      'grid-template-columns: minmax(0, 2fr) minmax(0, 1fr) 240px',
    );
  });

  test('in a narrow band they stand beneath one another where told', () => {
    const { stylesheet } = output(said(footed(THREE), 'columnsStand', 'beneath one another', 'phone'));
    expect(stylesheet).toMatch(
      /@media \(width < \d+px\) \{[^@]*\.hm-foot-footer-columns \{[^}]*flex-direction: column/,
    );
    expect(stylesheet).toMatch(
      /@media \(width >= \d+px\) \{[^@]*\.hm-foot-footer-columns \{[^}]*flex-wrap: wrap/,
    );
  });

  const LINE: Value = { line: { width: 1, style: 'solid', colour: { role: 'line' } } };

  test('a line between them stands in the middle of the gap, and before the first of a line there is none', () => {
    const lined = said(said(footed(THREE), 'columnsLine', LINE), 'gap', 40);
    const free = output(lined).stylesheet;
    expect(declared(free, '.hm-foot-footer-columns>*::before')).toContain('inset-inline-start: -20px');
    // Which one begins a line nobody knows: what would stand outside is cut off.
    expect(declared(free, '.hm-foot-footer-columns')).toContain('clip-path: inset(');
    const counted = output(said(lined, 'columnsCount', 2)).stylesheet;
    expect(counted).toContain('.hm-foot-footer-columns>:not(:nth-child(2n + 1))::before');
    expect(counted).not.toContain('clip-path: inset(-');
    const stacked = output(said(lined, 'columnsStand', 'beneath one another')).stylesheet;
    expect(declared(stacked, '.hm-foot-footer-columns>:not(:first-child)::before')).toContain(
      'border-block-start: 1px',
    );
  });

  test('columns above and beneath a row share the width each by themselves', () => {
    const row = { ...createRow('r', 'Row'), zones: { start: [words('w', 'Between')], middle: [], end: [] } };
    const counted = said(
      footed([column('a'), column('b'), row, column('c'), column('d')]),
      'columnsCount',
      2,
    );
    const { markup, stylesheet } = output(
      looking(counted, { owner: 'c', slot: 'column', property: 'columnShare', value: 3 }),
    );
    expect(markup).toContain('class="hm-foot-footer-columns hm-foot-footer-columns-box-1"');
    expect(declared(stylesheet, '.hm-foot-footer-columns-box-1')).toContain('repeat(2, minmax(0, 1fr))');
    expect(declared(stylesheet, '.hm-foot-footer-columns-box-2')).toContain('minmax(0, 3fr) minmax(0, 1fr)');
  });

  test('without a gap a line stands at the edge of its column, and is cut off before the first', () => {
    const { stylesheet } = output(said(said(footed(THREE), 'columnsLine', LINE), 'gap', 0));
    expect(declared(stylesheet, '.hm-foot-footer-columns>*::before')).toContain('inset-inline-start: -1px');
    expect(declared(stylesheet, '.hm-foot-footer-columns')).toContain('clip-path: inset(-100vmax 24px)');
  });

  test('a logo is as high as itself in one, and gives way to what is beside it in a row', () => {
    const logo = makePart('logo', 'mark', { text: 'Marisma Laguna Reserve' });
    const gives = (section: Section) =>
      declared(output(footed([section])).stylesheet, '.hm-foot-logo').includes('flex:');
    expect(gives(createColumn('a', 'A', [logo]))).toBe(false);
    expect(gives({ ...createRow('r', 'R'), zones: { start: [logo], middle: [], end: [] } })).toBe(true);
  });

  test('together they keep to a width', () => {
    const { stylesheet } = output(footed(THREE, { contained: 1120 }));
    expect(declared(stylesheet, '.hm-foot-footer-columns')).toMatch(
      /padding: \d+px max\(24px, calc\(50% - 560px\)\)/,
    );
  });

  test('one folds under its heading, and without a script it is a heading like any other', () => {
    const { markup, stylesheet, script } = output(
      footed([column('a', { heading: 'Find us', foldsFrom: 'phone' }), column('b', { heading: 'Plain' })]),
    );
    expect(markup).toMatch(/<h2[^>]*>\s*<span>Find us<\/span>\s*<button/);
    expect(markup.match(/<button[^>]*aria-expanded="false"[^>]*>Find us<\/button>/)).not.toBeNull();
    expect(markup).not.toMatch(/<button[^>]*>Plain/);
    expect(stylesheet).toMatch(/@media \(scripting: none\) \{[^@]*-heading>button \{[^}]*display: none/);
    expect(script).toContain('aria-controls');
  });

  test('nothing of an empty one is in the output, nor a box for columns that are all empty', () => {
    const { markup } = output(
      footed([createColumn('a', 'A'), createColumn('b', 'B'), createRow('r', 'Row')]),
    );
    expect(markup).not.toContain('hm-column');
  });

  test('an empty column can be taken away, the last section cannot', () => {
    const site = footed([column('a'), column('b')]);
    const one = after(site, { name: 'remove-section', args: { id: 'a' } });
    expect(() => after(one, { name: 'remove-section', args: { id: 'b' } })).toThrow('keeps one');
  });
});

describe('a legal line', () => {
  const legal = (text: string, kept = true) =>
    output(footed([createColumn('a', 'A', [words('legal', text, kept)])]));

  test.each([
    ['© 2026 Marisma', '© <span data-hm-year="">2026</span> Marisma'],
    ['© 2019–2026 Marisma', '© 2019–<span data-hm-year="">2026</span> Marisma'],
    ['2026', '<span data-hm-year="">2026</span>'],
  ])('“%s” marks its last year', (text, marked) => {
    const { markup, script } = legal(text);
    expect(markup.replaceAll(/data-hm-year(?!=)/g, 'data-hm-year=""')).toContain(marked);
    expect(script).toContain('year');
  });

  test.each(['© Marisma', 'Call 120261', 'Room 1899'])(
    '“%s” has no year, and needs no script for one',
    (text) => {
      const { markup, script } = legal(text);
      expect(markup).not.toContain('data-hm-year');
      expect(script).not.toContain('"year"');
    },
  );

  test('stays as it is written where nobody asked', () => {
    expect(legal('© 2026 Marisma', false).markup).not.toContain('data-hm-year');
  });
});
