import { describe, expect, test } from '@jest/globals';
import { HtmlValidate } from 'html-validate';
import {
  bytesOf,
  compilePage as compile,
  DEMO,
  DEMO_HEADER,
  FONTS,
  MARISMA,
  rawDemo,
} from '../../test/demo.ts';
import { dress } from '../../test/dressed.ts';
import { handOffFiles } from '../formats/archive/hand-off.ts';
import { loadSite } from '../load/load-site.ts';
import type { Site } from '../kinds/site.ts';
import { listCandidates, pruneCandidates } from './passes/prune.ts';
import { cssString, printCss } from '../print/css.ts';
import { escapeAttribute, escapeText, printHtml } from '../print/html.ts';
import { element, styleRule, text } from '../print/trees.ts';
import { MENU_SLOTS } from '../kinds/parts/menu/slots.ts';

/** The demo spoiled or changed as raw JSON, loaded again. */
function changed(change: (raw: ReturnType<typeof rawDemo>) => void): Site {
  const raw = rawDemo();
  change(raw);
  const loaded = loadSite(raw);
  if (!loaded.ok) throw new Error(loaded.error[0]?.message);
  return loaded.value;
}

const menuPart = (raw: ReturnType<typeof rawDemo>) => raw.pieces[0].rows[0].zones.middle[0];
const bookPart = (raw: ReturnType<typeof rawDemo>) => raw.pieces[0].rows[0].zones.end[0];

describe('the output', () => {
  const output = compile();
  test('is the same bytes for the same site', () => {
    expect(bytesOf(compile(JSON.parse(JSON.stringify(DEMO)) as Site))).toEqual(bytesOf(output));
  });
  test('holds nothing undefined or computed wrongly', () => {
    for (const part of [output.markup, output.stylesheet, output.script])
      expect(part).not.toMatch(/undefined|NaN|\[object|null[;"]/);
  });
  test('writes each link once', () => {
    for (const path of ['/visit/opening-hours/', '/news/', '/visit/book-a-hide/'])
      expect(output.markup.split(`href="${path}"`)).toHaveLength(2);
  });
  test('has no inline style, no handler, no id without the prefix', () => {
    expect(output.markup).not.toMatch(/\sstyle=|\son\w+=/);
    expect([...output.markup.matchAll(/\sid="([^"]+)"/g)].every((match) => match[1]?.startsWith('hm-'))).toBe(
      true,
    );
  });
  test('is valid HTML', async () => {
    const page = handOffFiles(DEMO, FONTS)?.find((file) => file.name === 'index.html');
    const report = await new HtmlValidate({
      extends: ['html-validate:recommended'],
      rules: {
        'no-inline-style': 'off',
        'no-implicit-button-type': 'error',
        'long-title': 'off',
        // Lists whose points are not drawn are told as lists by some browsers only where they say so.
        'no-redundant-role': 'off',
        'no-unknown-elements': 'error',
        'attribute-allowed-values': 'off',
        'no-unknown-attributes': 'off',
        'no-redundant-aria-label': 'off',
        'unique-landmark': 'error',
        'doctype-style': 'off',
        'void-style': 'off',
        'require-sri': 'off',
      },
    }).validateString(page && 'text' in page ? page.text : '');
    expect(
      report.results.flatMap((result) =>
        result.messages.map((message) => `${message.ruleId}: ${message.message}`),
      ),
    ).toEqual([]);
  });
  test('a prefix of one’s own reaches every name', () => {
    const own = compile(DEMO, { prefix: 'ml-' });
    for (const part of [own.markup, own.stylesheet, own.script]) expect(part).not.toContain('hm-');
  });
  test('links swatches and roles by custom properties, and declares only those used', () => {
    expect(output.stylesheet).toContain('--hm-ink: var(--hm-swatch-deep-water);');
    expect(output.stylesheet).not.toContain('--hm-on-accent');
    for (const variable of new Set(
      [...output.stylesheet.matchAll(/var\((--[\w-]+)\)/g)].map((match) => match[1]),
    ))
      expect(output.stylesheet).toContain(`${variable}:`);
    for (const declared of new Set([...output.stylesheet.matchAll(/(--[\w-]+):/g)].map((match) => match[1])))
      // What the script reads stands in no rule.
      if (declared !== '--hm-folds') expect(output.stylesheet).toContain(`var(${declared})`);
  });
  test('puts hover where a pointer can hover, except for the stage', () => {
    expect(output.stylesheet.replace(/@media \(hover: hover\) \{[\s\S]*?\n\}/g, '')).not.toMatch(
      /\.hm-main-link:hover/,
    );
    expect(compile(DEMO, { pinnable: true }).stylesheet).toContain('[data-pin~=hover]');
    expect(output.stylesheet).not.toContain('data-pin');
  });
});

describe('what a stranger writes stays text', () => {
  const nasty = '<img src=x onerror=alert(1)>"\'&\u0000';
  test('labels, names and texts never become markup', () => {
    const site = changed((raw) => {
      raw.menus[0].items[0].label = nasty;
      raw.menus[0].items[3].label = nasty;
      menuPart(raw).name = nasty;
      raw.pieces[0].rows[0].zones.start[0].text = nasty;
      raw.pieces[0].rows[0].zones.end[1].label = nasty;
      raw.pieces[1].name = nasty;
      raw.name = '</title><script>alert(1)</script>';
    });
    const page = handOffFiles(site, FONTS)?.find((file) => file.name === 'index.html');
    const source = page && 'text' in page ? page.text : '';
    expect(source).not.toContain('<img');
    expect(source.match(/<script/g)).toHaveLength(1);
    expect(source).not.toContain('\u0000');
    expect(compile(site).markup).toContain('&lt;img src=x onerror=alert(1)&gt;');
  });
});

describe('what is there only when it is needed', () => {
  test('without submenus there is no disclosure', () => {
    const flat = compile(
      changed((raw) => {
        menuPart(raw).levels = 1;
      }),
    );
    expect(flat.markup).not.toContain('aria-expanded');
    expect(flat.script).not.toContain('aria-expanded');
    expect(flat.stylesheet).not.toContain('::before {\n  content: ""');
  });
  test('only menus that open by pointing say so', () => {
    const click = changed((raw) => {
      menuPart(raw).opensOn = 'click';
    });
    expect(compile(click).markup).not.toContain('data-hm-hover');
    expect(compile().markup).toContain('data-hm-hover');
  });
  test('where nothing folds there is no opener, and nothing moves', () => {
    const open = compile(
      changed((raw) => {
        delete menuPart(raw).folds;
        delete bookPart(raw).folds;
      }),
    );
    for (const part of [open.markup, open.stylesheet])
      expect(part).not.toMatch(/hm-menu-opener|hm-folds|hm-berth/);
    expect(open.script).not.toMatch(/resize/);
  });
  test('the third level shows when it is placed', () => {
    expect(compile().markup).not.toContain('North hide');
    expect(
      compile(
        changed((raw) => {
          menuPart(raw).levels = 3;
        }),
      ).markup,
    ).toContain('North hide');
  });
  test('a parent without a page is a button alone; with one, a link and a button', () => {
    const { markup } = compile();
    expect(markup).toMatch(
      /<button class="hm-main-link hm-main-parent" type="button" aria-expanded="false" aria-controls="hm-marisma-main-join-in">Join in/,
    );
    expect(markup).toMatch(
      /<a class="hm-main-lead" href="\/visit\/">Visit<\/a>\s*<button class="hm-main-marker" type="button" aria-expanded="false" aria-controls="hm-marisma-main-visit" aria-label="More: Visit">/,
    );
  });
  test('a second menu has names of its own', () => {
    const two = compile(
      changed((raw) => {
        raw.pieces[0].rows[0].zones.end.unshift({ ...menuPart(raw), id: 'menu-two', name: 'Second' });
      }),
    );
    expect(two.markup).toContain('class="hm-second-link"');
    expect(new Set([...two.markup.matchAll(/\sid="([^"]+)"/g)].map((match) => match[1])).size).toBe(
      [...two.markup.matchAll(/\sid="/g)].length,
    );
  });
});

describe('printing', () => {
  test('escapes by context', () => {
    expect(escapeText('a<b>&"\u00a0')).toBe('a&lt;b&gt;&amp;"&#160;');
    expect(escapeAttribute('"\n\t<')).toBe('&quot;&#10;&#9;&lt;');
    expect(escapeText('\ud800x')).toBe('\ufffdx');
    expect(escapeText('🪶')).toBe('🪶');
    expect(cssString('a"b\\c\n')).toBe('"a\\22 b\\5c c\\a "');
    expect(cssString('/x</style><script>1')).toBe('"/x\\3c /style>\\3c script>1"');
  });
  test('text stands on its element’s line, elements beneath each other', () => {
    expect(printHtml([element('ul', { class: null, hidden: true }, element('li', {}, text('a & b')))])).toBe(
      '<ul hidden>\n  <li>a &amp; b</li>\n</ul>\n',
    );
  });
  test('neighbours under the same conditions share a block', () => {
    expect(
      printCss([
        styleRule('a', [['color', 'red']], '@media x'),
        styleRule('b', [['color', 'red']], '@media x', '@supports y'),
        styleRule('c', [['color', 'red']]),
      ]),
    ).toBe(
      '@media x {\n  a {\n    color: red;\n  }\n  @supports y {\n    b {\n      color: red;\n    }\n  }\n}\nc {\n  color: red;\n}\n',
    );
  });
});

describe('passes', () => {
  test('a declaration that would change nothing is dropped, one that would is kept', () => {
    const look = {
      all: {
        rest: { all: { radius: 4 } },
        current: { all: { weight: 700 } },
        hover: { all: { radius: 4, weight: 500, size: 16 } },
      },
      1: { rest: { all: { radius: 4 }, phone: { radius: 6 } } },
    } as const;
    const kept = pruneCandidates(
      DEMO,
      MENU_SLOTS.link,
      look,
      listCandidates(DEMO, MENU_SLOTS.link, look),
    ).map(({ state, level, band, property }) => `${state} ${level} ${band} ${property}`);
    // hover's radius counts in the phone band, where level 1 has another; its weight counts for the current page.
    expect(kept).toEqual([
      'rest all all radius',
      'rest 1 phone radius',
      'current all all weight',
      'hover all all weight',
      'hover all all radius',
    ]);
  });
});

test('the demo’s header compiles with its panel', () => {
  expect(DEMO_HEADER.rows[0]?.zones.middle[0]?.folds).toEqual({ from: 'phone', berth: 'panel-berth' });
  expect(compile().typefaces.map((typeface) => typeface.id)).toEqual(['figtree', 'fraunces']);
});

describe('links with everything they can have', () => {
  const site = changed(dress);
  const { markup, stylesheet, script } = compile(site);
  const line = (part: string) =>
    markup
      .split('\n')
      .find((text) => text.includes(part))
      ?.trim() ?? '';
  test('are valid HTML without a stray value', async () => {
    const page = handOffFiles(site, FONTS)?.find((file) => file.name === 'index.html');
    const report = await new HtmlValidate({
      extends: ['html-validate:recommended'],
      rules: {
        'no-inline-style': 'off',
        'no-implicit-button-type': 'error',
        'attribute-boolean-style': 'off',
        'element-permitted-content': 'error',
        'long-title': 'off',
        // Lists whose points are not drawn are told as lists by some browsers only where they say so.
        'no-redundant-role': 'off',
        'require-sri': 'off',
        'svg-focusable': 'off',
      },
    }).validateString(page && 'text' in page ? page.text : '');
    expect(
      report.results
        .flatMap((result) => result.messages.map((message) => `${message.ruleId}: ${message.message}`))
        .filter((message) => !/aria-label-misuse|prefer-native|tel-non-breaking|no-redundant/.test(message)),
    ).toEqual([]);
    for (const part of [markup, stylesheet, script]) expect(part).not.toMatch(/undefined|NaN|\[object/);
  });
  test('carry what they were given', () => {
    expect(line('js-news')).toContain('class="hm-main-link news js-news" href="/news/" rel="nofollow"');
    expect(line('/visit/opening-hours/')).toContain(
      'target="_blank" rel="noopener" title="Opens in a new tab"',
    );
    expect(line('/contact/')).toBe('<a class="hm-main-link" href="/contact/" aria-label="Contact us">');
    expect(markup).toContain('<span class="hm-main-description">Every day but Monday</span>');
    expect(markup).toContain('<hr class="hm-main-divider">');
    expect(markup).toContain('<span class="hm-main-heading">On the spot</span>');
    expect(markup).toContain('<a class="hm-main-action" href="/give/">Give</a>');
    expect(markup).toContain('<li class="hm-not-phone">');
    expect(stylesheet).toMatch(
      /@media \(width < 1000px\) \{\s*\.hm-marisma:not\(#hm\) \.hm-not-phone\.hm-not-phone \{\s*display: none;/,
    );
  });
  test('draw an icon that repeats once, and refer to it', () => {
    expect(markup.match(/<symbol id="hm-marisma-header-icon-reed"/g)).toHaveLength(1);
    expect(markup.match(/<use href="#hm-marisma-header-icon-reed"\/>/g)).toHaveLength(3);
    const once = compile(
      changed((raw) => {
        dress(raw);
        delete raw.menus[0].items[1].icon;
        delete raw.menus[0].items[0].children[0].icon;
      }),
    );
    expect(once.markup).not.toContain('<symbol');
    expect(once.markup).toContain('<svg class="hm-main-glyph" aria-hidden="true" viewBox="0 0 24 24">');
  });
  test('open panels, each with its own menu, and icons bring their licence', () => {
    // A start tag that is too long for a line has each attribute on one of its own.
    expect(markup.replace(/\s+/g, ' ')).toContain(
      '<button class="hm-main-link" type="button" command="show-modal" commandfor="hm-marisma-more-panel" aria-haspopup="dialog" aria-controls="hm-marisma-more-panel" >More</button>',
    );
    expect(markup.match(/<dialog /g)).toHaveLength(2);
    expect(markup).toContain('aria-label="Social"');
    expect(handOffFiles(site, FONTS)?.map((file) => file.name)).toContain('icons-LICENSE.txt');
  });
  test('show as many levels as a placement says, from the link it says', () => {
    expect(markup).toContain('Upper floor');
    expect(
      compile(
        changed((raw) => {
          dress(raw);
          menuPart(raw).levels = 3;
        }),
      ).markup,
    ).not.toContain('Upper floor');
    const branch = compile(
      changed((raw) => {
        menuPart(raw).branch = raw.menus[0].items[1].id;
      }),
    ).markup;
    expect([branch.includes('Ringing log'), branch.includes('News')]).toEqual([true, false]);
    expect(
      compile(
        changed((raw) => {
          menuPart(raw).branch = 'gone';
        }),
      ).markup,
    ).not.toContain('<li>');
  });
  test('style only what is there', () => {
    expect(compile().stylesheet).not.toMatch(
      /hm-(?:main-(?:glyph|picture|description|action|heading|divider)|not-)/,
    );
    for (const slot of ['glyph', 'picture', 'description', 'action', 'heading', 'divider'])
      expect(stylesheet).toContain(`.hm-main-${slot}`);
  });
});

test('a typeface has a stand-in for each weight that takes room of its own', () => {
  const { stylesheet } = compile(MARISMA);
  const standIns = [...stylesheet.matchAll(/@font-face \{[^}]*local\([^}]*\}/g)].map(([face]) => ({
    family: /font-family: ([^;]+)/.exec(face)?.[1],
    weight: /font-weight: ([^;]+)/.exec(face)?.[1],
    adjust: Number(/size-adjust: ([\d.]+)/.exec(face)?.[1]),
  }));
  const families = new Set(standIns.map(({ family }) => family));
  expect(families.size).toBeGreaterThan(0);
  for (const family of families) {
    const own = standIns.filter((one) => one.family === family);
    expect(new Set(own.map(({ weight }) => weight)).size).toBe(own.length);
    // Bolder letters are wider.
    const adjusts = own.map(({ adjust }) => adjust);
    expect(adjusts).toEqual([...adjusts].sort((a, b) => a - b));
  }
  expect(standIns.length).toBeGreaterThan(families.size);
});
