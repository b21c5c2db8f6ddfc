import { describe, expect, test } from '@jest/globals';
import { compilePage, rawDemo } from '../../../../test/demo.ts';
import { loadSite } from '../../../load/load-site.ts';

/** The demo's Visit with links in between that lie across, its box in so many columns. */
function across(marks: string, columns: number) {
  const raw = rawDemo();
  const menu = raw.pieces[0].rows[0].zones.middle[0];
  const [visit] = raw.menus[0].items;
  visit.children = [...marks].map((mark, index) => ({
    id: `in-${index}`,
    label: `In ${index}`,
    target: { kind: 'url', url: `/${index}` },
    ...(mark === 'a'
      ? { role: 'action' }
      : mark === 'h'
        ? { role: 'heading', target: { kind: 'none' } }
        : {}),
    children: [],
  }));
  menu.look.submenu['@link1'] = { rest: { all: { opens: 'across', columns } } };
  menu.look.action = { all: { rest: { all: { spans: 'all columns' } } } };
  menu.look.heading = { all: { rest: { all: { spans: 'all columns' } } } };
  marks.split('').forEach((mark, index) => {
    if (mark === 's') menu.look.link[`@in-${index}`] = { rest: { all: { spans: 'all columns' } } };
  });
  const loaded = loadSite(raw);
  if (!loaded.ok) throw new Error(loaded.error[0]?.message);
  return compilePage(loaded.value);
}

describe('links that lie across all columns', () => {
  test.each([
    ['....a', '4s', [':nth-child(n+1):nth-child(-n+4) 1', ':nth-child(5) 2 4']],
    ['h...', 's3', [':nth-child(1) 1 3', ':nth-child(n+2):nth-child(-n+4) 2']],
    ['h..s...a', 's2s3s', [':nth-child(1) 1 3', ':nth-child(n+2):nth-child(-n+3) 2', ':nth-child(4) 3 3']],
    ['a', 's', [':nth-child(1) 1 1']],
  ])('%s has rows above, between and beneath', (marks, lay, places) => {
    const { markup, stylesheet } = across(marks, 0);
    expect(markup).toContain(`class="hm-main-submenu hm-lay-${lay}"`);
    for (const place of places) {
      const [nth = '', row = '', columns] = place.split(' ');
      const rule = stylesheet.split('}').find((one) => one.includes(`hm-lay-${lay})>${nth} {`));
      expect(rule).toContain(`grid-row: ${row};`);
      if (columns === undefined) expect(rule).not.toContain('grid-column');
      else expect(rule).toContain(`grid-column: 1/span ${columns};`);
    }
  });

  test('in columns that are counted they need no rows of their own', () => {
    const { markup, stylesheet } = across('....a', 3);
    expect(markup).toContain('<li class="hm-spans">');
    expect(stylesheet).toMatch(/\.hm-main-submenu>\.hm-spans \{\s*grid-column: 1\/-1;/);
    expect(stylesheet).not.toContain('grid-row');
  });

  test('without any there is not a word about it', () => {
    const { markup, stylesheet } = across('....', 0);
    expect(markup + stylesheet).not.toMatch(/hm-lay|hm-spans|grid-row|grid-column: 1/);
  });
});

describe('a call to action that stays in the bar', () => {
  const kept = (item: string | undefined) => {
    const raw = rawDemo();
    const { zones } = raw.pieces[0].rows[0];
    raw.icons = [
      { id: 'icon-a', name: 'A', svg: '<svg viewBox="0 0 24 24"><path d="M4 4h16"/></svg>', set: null },
    ];
    raw.menus[0].items[5].icon = 'icon-a';
    zones.middle[0].actions = 'last';
    zones.end.unshift({
      kind: 'button',
      id: 'kept',
      label: 'Old words',
      icon: null,
      target: { kind: 'none' },
      bands: ['phone'],
      look: {},
      ...(item === undefined ? {} : { item }),
    });
    const loaded = loadSite(raw);
    if (!loaded.ok) throw new Error(loaded.error[0]?.message);
    return compilePage(loaded.value);
  };

  test('says what the link says, and is not once more in the panel', () => {
    const { markup, stylesheet } = kept('link22');
    expect(markup).toMatch(
      /<a class="hm-[a-z-]*button[^"]*" href="\/contact\/">\s*<span[^>]*>\s*<svg class="hm-[a-z-]*button-icon"/,
    );
    expect(markup).not.toContain('Old words');
    expect(markup).toContain('<li class="hm-kept">');
    expect(stylesheet).toMatch(/\.hm-main-nav \.hm-kept \{\s*display: none;/);
  });

  test('says its own words where its link is gone, or it has none', () => {
    for (const item of [undefined, 'nowhere']) {
      const { markup, stylesheet } = kept(item);
      expect(markup).toContain('Old words');
      expect(markup + stylesheet).not.toContain('hm-kept"');
    }
  });
});
