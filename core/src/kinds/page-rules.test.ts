import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { DEMO } from '../../test/demo.ts';
import { runEdit, type Edit } from '../edit/operations.ts';
import { handOffFiles } from '../formats/archive/hand-off.ts';
import { FONTS } from '../../test/demo.ts';
import { loadSite } from '../load/load-site.ts';
import type { PageRule } from '../model/page-rule.ts';
import { isNowhere, isOnPage, isUnder, pageSets, piecesOn, withPages, withPath } from './page-rules.ts';
import { countingIds } from '../base/ids.ts';
import { pieceKindById } from './catalogue.ts';
import type { Piece, Site } from './site.ts';

const page = (path: string) => {
  const found = DEMO.pages.find((one) => one.path === path);
  if (!found) throw new Error(`There is no page ${path}.`);
  return found;
};

function after(site: Site, edit: Edit): Site {
  const ran = runEdit(site, edit);
  if (!ran.ok) throw new Error(ran.error[0]?.message);
  return ran.value.site;
}

const FOOTER = pieceKindById('footer').create({
  id: 'foot',
  name: 'Footer',
  freshId: countingIds('foot-'),
  site: null,
}) as unknown as Piece;

const ruled = (rule: PageRule | undefined): Piece => ({ ...FOOTER, ...(rule && { pages: rule }) }) as Piece;
const withFooter = (rule?: PageRule) => after(DEMO, { name: 'add-piece', args: { piece: ruled(rule) } });

test.each([
  ['/learn', '/learn', true],
  ['/learn/', '/learn', true],
  ['/learning', '/learn', false],
  ['/learn/walks', '/learn', false],
  ['/learn', '/learn/*', true],
  ['/learn/walks/winter', '/learn/*', true],
  ['/learning', '/learn/*', false],
  ['/', '/*', true],
  ['/news', '/*', true],
])('%s is named by %s: %s', (path, rule, expected) => {
  expect(isUnder(path, rule)).toBe(expected);
});

test('a piece without a rule is on every page, one that is nowhere says so', () => {
  expect(DEMO.pages.every((one) => isOnPage(ruled(undefined), one))).toBe(true);
  const nowhere = ruled({ shown: 'only', pages: [], paths: [{ path: '/gone/*' }] });
  expect(isNowhere(DEMO, nowhere)).toBe(true);
  expect(isNowhere(DEMO, ruled(undefined))).toBe(false);
});

test('whatever is shown or hidden, step by step, the rule names just those pages', () => {
  const paths = ['/learn/*', '/visit/*', '/*', '/news'];
  const step = fc.oneof(
    fc.record({
      pages: fc.subarray([...DEMO.pages]),
      isShown: fc.boolean(),
    }),
    fc.record({ path: fc.constantFrom(...paths), isShown: fc.boolean() }),
  );
  fc.assert(
    fc.property(fc.array(step, { maxLength: 6 }), (steps) => {
      let piece = ruled(undefined);
      const shown = new Set(DEMO.pages.map(({ id }) => id));
      for (const one of steps) {
        const meant = 'path' in one ? DEMO.pages.filter((entry) => isUnder(entry.path, one.path)) : one.pages;
        const rule =
          'path' in one
            ? withPath(DEMO, piece, one.path, one.isShown)
            : withPages(DEMO, piece, one.pages, one.isShown);
        piece = ruled(rule);
        for (const { id } of meant)
          if (one.isShown) shown.add(id);
          else shown.delete(id);
        const now = DEMO.pages.filter((entry) => isOnPage(piece, entry)).map(({ id }) => id);
        expect(now).toEqual(DEMO.pages.map(({ id }) => id).filter((id) => shown.has(id)));
        expect(loadSite(after(DEMO, { name: 'add-piece', args: { piece } }))).toMatchObject({ ok: true });
      }
    }),
    { numRuns: 60 },
  );
});

test('a path keeps what lies beneath it together, a page of its own breaks it up', () => {
  const all = withPath(DEMO, ruled({ shown: 'only', pages: [], paths: [] }), '/learn/*', true);
  expect(all).toEqual({ shown: 'only', pages: [], paths: [{ path: '/learn/*' }] });
  const beneath = DEMO.pages.filter(({ path }) => isUnder(path, '/learn/*'));
  const [first, ...others] = beneath;
  if (!first) throw new Error('no page');
  expect(withPages(DEMO, ruled(all), [first], false)).toEqual({
    shown: 'only',
    pages: others.map(({ id }) => ({ page: id })),
    paths: [],
  });
});

test('a page that goes is named no longer, also by undoing', () => {
  const site = withFooter({
    shown: 'only',
    pages: [page('/news/'), page('/contact/')].map(({ id }) => ({ page: id })),
    paths: [],
  });
  const gone = runEdit(site, { name: 'remove-pages', args: { ids: [page('/news/').id] } });
  if (!gone.ok) throw new Error('refused');
  expect(gone.value.site.pieces.at(-1)?.pages?.pages).toEqual([{ page: page('/contact/').id }]);
});

test('pages with the same pieces are one set, each with an example page and its markup', () => {
  const site = withFooter({ shown: 'except', pages: [{ page: page('/visit/').id }], paths: [] });
  const [first, second, ...more] = pageSets(site);
  expect(more).toEqual([]);
  expect(first?.pages.map(({ path }) => path)).toEqual(['/visit/']);
  expect(second?.pieces.map(({ id }) => id)).toEqual(['header', 'foot']);
  expect(piecesOn(site, page('/visit/')).map(({ id }) => id)).toEqual(['header']);
  const files = new Map(
    (handOffFiles(site, FONTS) ?? []).map((file) => [file.name, 'text' in file ? file.text : '']),
  );
  expect(files.get('index.html')).not.toContain('<footer');
  expect(files.get('index-2.html')).toContain('<footer');
  const pages = JSON.parse(files.get('pages.json') ?? '') as Record<string, string[]>;
  expect(pages['/visit/']).toEqual(['menu.html']);
  expect(pages['/news/']).toEqual(['menu.html', 'menu-footer.html']);
  expect(files.get('README.txt')).toContain('as in index-2.html');
});

test('a path that is none is refused', () => {
  const ran = runEdit(withFooter(), {
    name: 'set-owner',
    args: { id: 'foot', fields: { pages: { shown: 'only', pages: [], paths: [{ path: 'learn' }] } } },
  });
  expect(ran).toMatchObject({ ok: false });
});
