import { describe, expect, test } from '@jest/globals';
import { gzipSync } from 'node:zlib';
import { HtmlValidate } from 'html-validate';
import {
  bytesOf,
  compilePage as compile,
  DEMO,
  DEMO_HEADER,
  FONTS,
  rawDemo,
  rowNeeds,
} from '../../test/demo.ts';
import { furnish } from '../../test/furnished.ts';
import { slotsOf } from '../kinds/catalogue.ts';
import { ARRANGEMENT_IDS, type Arrangement, type Row } from '../kinds/sections/row/shape.ts';
import { layoutOf, type ZoneBox } from '../kinds/sections/row/zones.ts';
import { PROPERTIES, PROPERTY_IDS } from '../kinds/properties/properties.ts';
import { staying } from '../../test/staying.ts';
import type { Part, Site } from '../kinds/site.ts';
import { runEdit, type Edit } from '../edit/operations.ts';
import { loadSite } from '../load/load-site.ts';
import { valueDeclarations } from './values.ts';
import { createContext } from './context.ts';

const run = (site: Site, ...edits: Edit[]): Site =>
  edits.reduce((now, edit) => {
    const ran = runEdit(now, edit);
    if (!ran.ok) throw new Error(ran.error[0]?.message);
    return ran.value.site;
  }, site);
const arranged = (arrangement: Arrangement) =>
  run(DEMO, { name: 'set-owner', args: { id: 'row-main', fields: { arrangement } } });
const look = (
  owner: string,
  slot: string,
  state: 'rest' | 'hover' | 'scrolled',
  values: Record<string, unknown>,
  level = 'all',
) =>
  ({
    name: 'set-look',
    args: {
      cells: Object.entries(values).map(([property, value]) => ({
        owner,
        slot,
        property,
        level,
        state,
        band: 'all',
        value,
      })),
    },
  }) as unknown as Edit;
/** The declarations of all rules with a selector that ends so. */
const ruleOf = (css: string, selector: string) =>
  [...css.matchAll(/([^{}]+)\{([^{}]*)\}/g)]
    .filter((match) => match[1]?.trim().endsWith(selector))
    .map((match) => match[2])
    .join(' ');

function furnished(): Site {
  const loaded = loadSite(furnish(rawDemo()));
  if (!loaded.ok) throw new Error(loaded.error[0]?.message);
  return loaded.value;
}

describe('rows', () => {
  test.each(ARRANGEMENT_IDS)('%s: the links stay one copy, in one navigation, in order', (arrangement) => {
    const { markup, stylesheet } = compile(arranged(arrangement));
    expect(markup.match(/<nav /g)).toHaveLength(1);
    expect(markup.match(/class="hm-main-list"/g)).toHaveLength(arrangement === 'around' ? 2 : 1);
    expect(
      [...markup.matchAll(/>(Visit|Birds|Learn|Join in|News|Contact)<(?=\/a|span)/g)].map(
        (match) => match[1],
      ),
    ).toEqual(['Visit', 'Birds', 'Learn', 'Join in', 'News', 'Contact']);
    expect(ruleOf(stylesheet, '.hm-main-row')).toContain('flex-wrap: wrap');
  });
  test('parts stand in boxes from start to end; one alone needs none, and what comes to nothing has none', () => {
    const row = DEMO_HEADER.rows[0];
    if (!row) throw new Error('no row');
    const boxes = (changed: Row, isThere: (part: Part) => boolean = () => true) => {
      const { start, middle, end, even } = layoutOf(changed, isThere);
      const say = (box: ZoneBox | null) => box && `${box.parts.length}${box.isWrapped ? ' in a box' : ''}`;
      return [say(start), say(middle), say(end), even];
    };
    const { start, middle, end } = row.zones;
    expect(boxes(row)).toEqual(['1', '1', '2 in a box', false]);
    expect(boxes({ ...row, arrangement: 'centre' })).toEqual(['1 in a box', '1', '2 in a box', true]);
    expect(boxes({ ...row, arrangement: 'centre', zones: { start: [], middle, end: [] } })).toEqual([
      null,
      '1',
      null,
      false,
    ]);
    expect(boxes(row, (part) => part.kind !== 'opener')).toEqual(['1', '1', '1', false]);
    // What is no menu would grow with the middle.
    expect(boxes({ ...row, zones: { start, middle: start, end } })[1]).toBe('1 in a box');
    expect(boxes({ ...row, arrangement: 'around' })).toEqual([null, null, '2 in a box', true]);
  });
  test('the last links stand apart, the first ones centred', () => {
    expect(compile(arranged('last-apart')).stylesheet).toContain('.hm-main-list>:nth-last-child(1)');
    expect(compile(arranged('last-apart')).stylesheet).not.toContain('.hm-main-list>:first-child');
    expect(compile(arranged('first-centred')).stylesheet).toContain('.hm-main-list>:first-child');
    const two = run(arranged('last-apart'), {
      name: 'set-owner',
      args: { id: 'row-main', fields: { apart: 2 } },
    });
    expect(compile(two).stylesheet).toContain('.hm-main-list>:nth-last-child(2)');
  });
  test('a contained row grows its padding; a hidden one has a class for its bands', () => {
    const site = run(DEMO, {
      name: 'set-owner',
      args: { id: 'row-main', fields: { contained: 960, bands: ['wide'] } },
    });
    expect(compile(site).stylesheet).toContain('max(28px, calc(50% - 480px))');
    // What folds from it into the panel there is lost without a script once the whole row is hidden: it waits for one.
    expect(compile(site).markup).toContain('class="hm-main-row"');
    expect(compile(site).stylesheet).toMatch(/\[data-hm-ready\] \.hm-main-row \{\n +display: none;/);
    const stays = ['menu-main', 'book'].reduce(
      (left, id) => run(left, { name: 'fold-part', args: { id, from: null } }),
      site,
    );
    expect(compile(stays).markup).toContain('class="hm-main-row hm-not-phone"');
    const shown = run(site, {
      name: 'set-owner',
      args: { id: 'row-main', fields: { contained: null, bands: null } },
    });
    expect(bytesOf(compile(shown))).toEqual(bytesOf(compile(DEMO)));
  });
  test('a contained row without padding keeps to its width', () => {
    const site = run(
      DEMO,
      { name: 'set-owner', args: { id: 'row-main', fields: { contained: 960 } } },
      look('row-main', 'row', 'rest', { paddingInline: 0 }),
    );
    expect(ruleOf(compile(site).stylesheet, '.hm-main-row')).toContain(
      'padding-inline: max(0px, calc(50% - 480px))',
    );
  });
  test('what says only what is given anyway is not written', () => {
    const plain = compile(run(DEMO, look('menu-main', 'link', 'rest', { style: 'upright', wordSpace: 0 })));
    expect(plain.stylesheet).toBe(compile(DEMO).stylesheet);
    // A default of the slot's own that is taken away is written, where the reset does not say so.
    const bare = compile(run(DEMO, look('book', 'button', 'rest', { fill: { literal: 'transparent' } })));
    expect(ruleOf(bare.stylesheet, '.hm-book-a-hide-button')).not.toContain('background-color');
  });
  test('need the room of what stands in them, however it is arranged; a contained one never more than it has', () => {
    const need = (arrangement: Arrangement) => rowNeeds(arranged(arrangement), 0);
    expect(need('beside')).toBe(need('between'));
    expect(need('centre')).toBe(need('between'));
    // Two halves have a gap more, and an empty side keeps its place.
    expect(need('around')).toBeGreaterThan(need('between'));
    const contained = (most: number) =>
      rowNeeds(run(DEMO, { name: 'set-owner', args: { id: 'row-main', fields: { contained: most } } }), 0);
    expect(contained(1200)).toBe(need('between'));
    expect(contained(600)).toBe(Infinity);
  });
});

describe('how a header stands', () => {
  const position = (stays: boolean, over: boolean) =>
    /position: (relative|sticky|absolute|fixed);/.exec(
      compile(
        run(
          DEMO,
          { name: 'set-owner', args: { id: 'header', fields: { over } } },
          staying(stays ? 'stays on top' : 'scrolls away'),
        ),
      ).stylesheet,
    )?.[1];
  test('in the flow, sticky, over the page, or both', () => {
    expect([
      position(false, false),
      position(true, false),
      position(false, true),
      position(true, true),
    ]).toEqual(['relative', 'sticky', 'absolute', 'fixed']);
  });
  test('the script looks at scrolling only where something changes with it', () => {
    const stays = run(DEMO, staying());
    const fill = look('header', 'bar', 'scrolled', { fill: { role: 'ink' } });
    expect(
      [compile(DEMO), compile(stays), compile(run(DEMO, fill)), compile(run(stays, fill))].map((output) =>
        output.script.includes('scrollY'),
      ),
    ).toEqual([false, false, false, true]);
    expect(compile(run(DEMO, fill)).stylesheet).toBe(compile(DEMO).stylesheet);
    expect(ruleOf(compile(run(stays, fill)).stylesheet, '.hm-header:not(#hm)[data-hm-scrolled]')).toContain(
      'background-color: var(--hm-ink)',
    );
    expect(compile(stays).stylesheet).toContain('scroll-padding-block-start: 72px');
  });
});

describe('marks', () => {
  const marked = (values: Record<string, unknown>, ...more: Edit[]) =>
    compile(run(DEMO, look('menu-main', 'link', 'hover', values), ...more)).stylesheet;
  test('nothing of a mark is written where no state has one', () => {
    const site = run(
      DEMO,
      look('menu-main', 'link', 'rest', {
        markThickness: 5,
        markColour: { role: 'ink' },
        markFrom: 'from the start',
      }),
    );
    expect(compile(site).stylesheet).toBe(compile(DEMO).stylesheet);
  });
  test('one shape is drawn once, hidden at rest, and shown with the state', () => {
    const css = marked({ mark: 'line under' });
    expect(css.match(/content: ""/g)?.length).toBe(
      (compile(DEMO).stylesheet.match(/content: ""/g)?.length ?? 0) + 1,
    );
    expect(ruleOf(css, '.hm-main-link::after')).toContain('opacity: 0');
    expect(ruleOf(css, '.hm-main-link:hover::after')).toMatch(/^\s+opacity: 1;\s+$/);
    expect(ruleOf(css, '.hm-main-link::after')).toContain('color: var(--hm-accent)');
    const growing = marked({ mark: 'line under', markFrom: 'from the start' });
    expect(ruleOf(growing, '.hm-main-link::after')).toMatch(
      /opacity: 0;\s+scale: var\(--hm-mark-hidden, 1\)/,
    );
    expect(ruleOf(growing, '.hm-main-link:hover::after')).toMatch(/opacity: 1;\s+scale: 1/);
  });
  test.each(Object.keys(PROPERTIES.mark.choices).filter((shape) => shape !== 'none'))(
    '%s is drawn',
    (mark) => {
      expect(ruleOf(marked({ mark }), '.hm-main-link::after')).toMatch(/inset/);
    },
  );
  test('what grows from a side grows from the other where text runs from right to left', () => {
    const css = marked({ mark: 'line under', markFrom: 'from the start' });
    expect(css).toMatch(/:where\(:dir\(rtl\)\)::after \{\s+transform-origin: 100% 50%/);
    expect(marked({ mark: 'line under', markFrom: 'from the centre' })).not.toContain('dir(rtl)::after');
  });
  test('a box lies behind the label, and another shape starts afresh', () => {
    const css = marked({ mark: 'box' }, look('menu-main', 'link', 'rest', { mark: 'notch' }));
    expect(ruleOf(css, '.hm-main-link')).toContain('z-index: 0');
    const over = ruleOf(css, '.hm-main-link:hover::after');
    expect(over).toMatch(/clip-path: none/);
    // What the notch did not set needs no taking back.
    expect(over).not.toMatch(/border: 0|opacity/);
  });
});

describe('declarations', () => {
  const context = createContext(DEMO, { fonts: FONTS });
  const css = (id: Parameters<typeof valueDeclarations>[1], value: Parameters<typeof valueDeclarations>[2]) =>
    valueDeclarations(context, id, value)
      .map(([name, text]) => `${name}: ${text}`)
      .join('; ');
  const reed = { swatch: 'reed' } as const;
  test('of every kind', () => {
    expect(css('lineTop', { line: { width: 2, style: 'dashed', colour: reed } })).toBe(
      'border-block-start: 2px dashed var(--hm-swatch-reed)',
    );
    expect([css('lineTop', { line: null }), css('outline', 'ring'), css('shadow', { shadows: [] })]).toEqual([
      'border-block-start: none',
      'outline: 2px solid currentColor',
      'box-shadow: none',
    ]);
    expect(
      css('shadow', {
        shadows: [{ x: 0, y: 4, blur: 12, spread: -2, inset: true, colour: { ...reed, alpha: 0.2 } }],
      }),
    ).toBe('box-shadow: inset 0 4px 12px -2px color-mix(in srgb, var(--hm-swatch-reed) 20%, transparent)');
    expect(
      css('paint', {
        paint: {
          gradient: {
            angle: 90,
            stops: [
              { colour: reed, at: 0 },
              { colour: { role: 'ink' }, at: 60 },
            ],
          },
        },
      }),
    ).toBe('background-image: linear-gradient(90deg, var(--hm-swatch-reed) 0%, var(--hm-ink) 60%)');
    expect(css('paint', { paint: { image: '/a"b\\.jpg' } })).toBe(
      'background-image: url("/a\\22 b\\5c .jpg"); background-repeat: no-repeat',
    );
    expect([css('radius', 8), css('radius', { corners: [1, 2, 3, '50%'] })]).toEqual([
      'border-radius: 8px',
      'border-start-start-radius: 1px; border-start-end-radius: 2px; border-end-end-radius: 3px; border-end-start-radius: 50%',
    ]);
    expect([
      css('blur', 4),
      css('blur', 0),
      css('opacity', 85),
      css('motionTime', 160),
      css('lineHeight', 1.5),
    ]).toEqual([
      'backdrop-filter: blur(4px)',
      'backdrop-filter: none',
      'opacity: 0.85',
      'transition-duration: 160ms',
      'line-height: 1.5',
    ]);
    expect([
      css('markThickness', 3),
      css('size', 'clamp(15px, 1vw + 12px, 18px)'),
      css('align', 'centre'),
    ]).toEqual([
      '--hm-mark-thickness: 3px',
      'font-size: clamp(15px, 1vw + 12px, 18px)',
      'justify-content: center; text-align: center',
    ]);
  });
  test('of every property’s initial value', () => {
    // Own declarations are none until somebody writes some.
    for (const id of PROPERTY_IDS.filter((own) => own !== 'ownCss'))
      expect(css(id, PROPERTIES[id].initial)).toMatch(/^[\w-]+: \S/);
  });
  test('motion stands apart for those who want none, and the ring of focus is said again where a weaker state has an outline', () => {
    const site = run(
      DEMO,
      look('book', 'button', 'rest', {
        motionTime: 200,
        outline: { line: { width: 1, style: 'solid', colour: { role: 'ink' } } },
      }),
    );
    const { stylesheet } = compile(site);
    expect(stylesheet).toMatch(
      /prefers-reduced-motion: no-preference\) \{\s+\.hm-marisma:not\(#hm\) \.hm-book-a-hide-button \{\s+transition-duration: 200ms/,
    );
    expect(ruleOf(stylesheet, '.hm-book-a-hide-button:focus-visible')).toContain(
      'outline: 2px solid currentColor',
    );
  });
  test('derived swatches stay derived in the output, each after what it is made of', () => {
    const site = run(
      DEMO,
      {
        name: 'add-swatch',
        args: { swatch: { id: 'pale', name: 'Pale', from: 'reed', change: 'lighter', by: 40 } },
      },
      look('header', 'bar', 'rest', { fill: { swatch: 'pale' } }),
    );
    const css2 = compile(site).stylesheet;
    expect(css2).toContain('--hm-swatch-pale: color-mix(in oklab, var(--hm-swatch-reed), white 40%)');
    expect(css2.indexOf('--hm-swatch-reed:')).toBeLessThan(css2.indexOf('--hm-swatch-pale:'));
  });
});

describe('parts of every kind', () => {
  const site = furnished();
  const { markup, stylesheet, script } = compile(site);
  test('are valid markup', async () => {
    const validator = new HtmlValidate({
      extends: ['html-validate:recommended'],
      rules: {
        'no-implicit-button-type': 'off',
        'attribute-boolean-style': 'off',
        'prefer-native-element': 'off',
        'void-style': 'off',
        'long-title': 'off',
        // Lists whose points are not drawn are told as lists by some browsers only where they say so.
        'no-redundant-role': 'off',
        'tel-non-breaking': 'off',
        'aria-label-misuse': 'off',
      },
    });
    const report = await validator.validateString(
      `<!DOCTYPE html><html lang="en"><head><title>x</title></head><body>${markup}<main><h1>x</h1></main></body></html>`,
    );
    expect(
      report.results.flatMap((result) =>
        result.messages.map((message) => `${message.ruleId}: ${message.message}`),
      ),
    ).toEqual([]);
  });
  test('are what they are: a form, lists, links with names', () => {
    expect(markup).toContain('<form class="hm-search" action="/search" role="search">');
    expect(markup).toMatch(
      /<div class="hm-search-2-unfold">\s*<button class="hm-search-2-submit" type="button" aria-label="Search" aria-expanded="false"/,
    );
    expect(markup).toMatch(
      /<a class="hm-social-profile" href="https:\/\/heronet\.example\/marisma" aria-label="Heronet">/,
    );
    expect(markup).toMatch(/<a class="hm-text-contact" href="tel:\+34955010203">/);
    expect(markup).toMatch(/<span class="hm-image-box" role="img" aria-label="Wetland of the year">/);
    expect(markup).toContain('<hr class="hm-rule" aria-hidden="true">');
    expect(markup).toMatch(/hm-logo-drawing hm-logo-second/);
    expect(markup.match(/<symbol id="hm-marisma-header-icon-reed"/g)).toHaveLength(1);
  });
  test('have the networks’ colours before the look’s, and a line between links that lies where they are folded', () => {
    expect(stylesheet).toMatch(
      /\.hm-social>:nth-child\(1\) \{\s+--hm-network: #0a5c8f;\s+--hm-on-network: #ffffff/,
    );
    expect(stylesheet).toContain('color: var(--hm-network, var(--hm-ink))');
    expect(stylesheet).toMatch(/width >= 1000px\) \{[\s\S]*?border-inline-start: 1px solid var\(--hm-line\)/);
    expect(stylesheet).toMatch(/border-block-start: 1px solid var\(--hm-line\)/);
  });
  test('bring along only the script they need', () => {
    expect(script).toContain('aria-controls');
    expect(script).not.toContain('IntersectionObserver');
    // Everything a header can need, under 2 kB.
    expect(gzipSync(script, { level: 9 }).byteLength).toBeLessThan(2000);
  });
  test('every slot of every part there is can be selected by its class', () => {
    for (const part of ['search', 'social', 'text', 'image', 'rule', 'shortcut'] as const)
      for (const slot of Object.keys(slotsOf(part)))
        expect(markup).toMatch(new RegExp(`class="[^"]*-${slot}[" -]`));
  });
});
