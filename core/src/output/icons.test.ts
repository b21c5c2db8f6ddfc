import { describe, expect, test } from '@jest/globals';
import { compilePage, rawDemo } from '../../test/demo.ts';
import { createPictures } from '../formats/archive/pictures.ts';
import { loadSite } from '../load/load-site.ts';
import type { Site } from '../kinds/site.ts';

const PICTURE = 'data:image/png;base64,iVBORw0KGgo=';
const DRAWING = '<svg viewBox="0 0 24 24"><path d="M4 4h16"/></svg>';

const ICONS = {
  drawing: { id: 'icon-a', name: 'A', svg: DRAWING, set: null },
  picture: { id: 'icon-a', name: 'A', svg: null, image: PICTURE, set: null },
  character: { id: 'icon-a', name: 'A', svg: null, character: '☀️', set: null },
} as const;

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- a raw document is changed
function withIcon(icon: object, change: (raw: any) => void = () => undefined): Site {
  const raw = rawDemo();
  raw.icons = [icon];
  raw.menus[0].items[4].icon = 'icon-a';
  change(raw);
  const loaded = loadSite(raw);
  if (!loaded.ok) throw new Error(loaded.error[0]?.message);
  return loaded.value;
}

const INSIDE = {
  drawing: /<path d="M4 4h16"/,
  picture: /<image href="data:image\/png;base64,iVBORw0KGgo="/,
  character: /<text [^>]*>☀️<\/text>/u,
} as const;

describe.each(Object.keys(ICONS) as (keyof typeof ICONS)[])('an icon that is a %s', (form) => {
  test('is drawn in a box of its own that nobody hears', () => {
    const { markup } = compilePage(withIcon(ICONS[form]));
    const [icon = ''] = markup.match(/<svg class="hm-main-glyph"[\s\S]*?<\/svg>/) ?? [];
    expect(icon).toContain('aria-hidden="true"');
    expect(icon).toContain('viewBox="0 0 24 24"');
    expect(icon).toMatch(INSIDE[form]);
  });

  test('stands once in the page where it is drawn twice', () => {
    const { markup } = compilePage(
      withIcon(ICONS[form], (raw) => {
        raw.menus[0].items[5].icon = 'icon-a';
      }),
    );
    expect(markup.match(new RegExp(INSIDE[form], 'gu'))).toHaveLength(1);
    expect(markup.match(/<use href="#[^"]*icon-a"/g)).toHaveLength(2);
  });

  test('is of the opener, of texts, of buttons and of signs too', () => {
    const { markup } = compilePage(
      withIcon(ICONS[form], (raw) => {
        const { zones } = raw.pieces[0].rows[0];
        zones.middle[0].signIcon = 'icon-a';
        zones.end[0].icon = 'icon-a';
        zones.end[1].icon = 'icon-a';
        zones.start.push({
          kind: 'text',
          id: 'hours',
          entries: [{ id: 'entry', text: 'Open', target: { kind: 'none' }, icon: 'icon-a' }],
          yearKept: false,
          look: {},
        });
      }),
    );
    for (const word of ['glyph', 'sign-icon', 'button-icon', 'opener-icon', 'text-icon'])
      expect(markup).toMatch(new RegExp(`<svg class="hm-[a-z-]*${word}"`));
  });
});

test('a picture leaves the page as a file where pictures are to', () => {
  const { markup } = compilePage(withIcon(ICONS.picture));
  const pictures = createPictures('/pictures/');
  expect(pictures.fromMarkup(markup)).toContain('<image href="/pictures/picture-1.png"');
  expect(pictures.files()).toHaveLength(1);
});

test('an icon is one thing', () => {
  for (const icon of [
    { ...ICONS.picture, svg: DRAWING },
    { ...ICONS.character, image: PICTURE },
    { id: 'icon-a', name: 'A', svg: null, set: null },
    { ...ICONS.character, character: '' },
    { ...ICONS.character, character: 'x'.repeat(17) },
    { ...ICONS.picture, image: 'javascript:alert(1)' },
    { ...ICONS.picture, image: 'data:text/html,hi' },
  ]) {
    const raw = rawDemo();
    raw.icons = [icon];
    const loaded = loadSite(raw);
    expect(loaded.ok).toBe(false);
    if (!loaded.ok) expect(loaded.error[0]?.path).toMatch(/^\/icons\/0/);
  }
});

test('the sign of one level can be an icon, that of the other drawn', () => {
  const { stylesheet, markup } = compilePage(
    withIcon(ICONS.drawing, (raw) => {
      const menu = raw.pieces[0].rows[0].zones.middle[0];
      menu.levels = 3;
      menu.deeperSignIcon = 'icon-a';
      menu.look.submenu['3'] = { rest: { all: { opens: 'beside' } } };
    }),
  );
  expect(markup.match(/<svg class="hm-main-sign-icon"/g)).toHaveLength(1);
  expect(stylesheet).toMatch(/\.hm-main-marker:where\([^{]*::before \{\s*content: none;/);
  expect(stylesheet).toMatch(/\.hm-main-marker::before \{\s*content: "";/);
});
