import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { parse, parseFragment, type DefaultTreeAdapterTypes } from 'parse5';
import { SaxesParser } from 'saxes';
import { HOSTILE, HOSTILE_PIECES } from '../../test/hostile.ts';
import { ALLOWED } from './allowed.ts';
import { cleanDrawing, refuseDrawing } from './clean-drawing.ts';

type Node = DefaultTreeAdapterTypes.ChildNode;
type Element = DefaultTreeAdapterTypes.Element;

const clean = (source: string): string => {
  const cleaned = cleanDrawing(source);
  if (!cleaned.ok) throw new Error(cleaned.error);
  return cleaned.value;
};

const elementsOf = (nodes: readonly Node[]): Element[] =>
  nodes.flatMap((node) => ('tagName' in node ? [node, ...elementsOf(node.childNodes)] : []));

/** What a browser would make of markup: every element and attribute that no drawing may have. */
function foundInHtml(markup: string): string[] {
  const inPage = (parse(`<body>${markup}`).childNodes as Node[]).filter((node) => 'tagName' in node);
  const [html] = inPage as Element[];
  const body = html?.childNodes.find((node): node is Element => 'tagName' in node && node.tagName === 'body');
  const trees = [body?.childNodes ?? [], parseFragment(markup).childNodes];
  return trees.flatMap((nodes) => [
    ...(nodes.length === 1 && (nodes[0] as Element).tagName === 'svg' ? [] : ['more than one root']),
    ...elementsOf(nodes).flatMap((element) => {
      const allowed = ALLOWED.get(element.tagName);
      if (!allowed) return [element.tagName];
      return element.attrs
        .filter(({ name, value }) => name !== 'xmlns' && allowed[name]?.(value) !== true)
        .map(({ name, value }) => `${element.tagName} ${name}=${value}`);
    }),
  ]);
}

/** The same for a reader of XML. */
function foundInXml(markup: string): string[] {
  const found: string[] = [];
  const parser = new SaxesParser({ position: false });
  parser.on('error', (error) => found.push(error.message));
  parser.on('opentag', ({ name, attributes }) => {
    const allowed = ALLOWED.get(name);
    if (!allowed) found.push(name);
    for (const [key, value] of Object.entries(attributes))
      if (key !== 'xmlns' && allowed?.[key]?.(value) !== true) found.push(`${name} ${key}=${value}`);
  });
  parser.write(markup).close();
  return found;
}

const GRADIENT =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 4 4"><defs><linearGradient id="g"><stop offset="0" stop-color="#fff"/></linearGradient></defs><path d="M0 0h4" fill="url(#g)"/></svg>';

describe('cleaning a drawing', () => {
  test('keeps shapes, their paint and what they refer to', () => {
    expect(clean(GRADIENT)).toBe(GRADIENT);
    expect(clean(clean(GRADIENT))).toBe(clean(GRADIENT));
  });
  test('reads what drawing programs write: a size in place of a view, styles, quotes, old references', () => {
    expect(
      clean(
        '<?xml version="1.0"?><!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN" "http://www.w3.org/Graphics/SVG/1.1/DTD/svg11.dtd">\n<svg width="24px" height="12" xmlns:xlink="http://www.w3.org/1999/xlink"><title>Reed</title><linearGradient id="a" xlink:href="#b"/><path style="fill: url(\'#a\'); stroke:#123; -inkscape-x:1" d="M0 0"/></svg>',
      ),
    ).toBe(
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 24 12"><linearGradient id="a" href="#b"/><path d="M0 0" fill="url(#a)" stroke="#123"/></svg>',
    );
  });
  test('text is text, whatever it looks like', () => {
    expect(clean('<svg><text x="1">a &lt;b> &amp; c\u00a0d</text></svg>')).toBe(
      '<svg xmlns="http://www.w3.org/2000/svg"><text x="1">a &lt;b&gt; &amp; c&#160;d</text></svg>',
    );
  });
  test.each(HOSTILE)('nothing of %j comes through', (source) => {
    const cleaned = cleanDrawing(source);
    if (!cleaned.ok) {
      expect(cleaned.error).toMatch(/^[a-z“]/);
      return;
    }
    expect(foundInHtml(cleaned.value)).toEqual([]);
    expect(foundInXml(cleaned.value)).toEqual([]);
    expect(cleaned.value.replace(/<text.*<\/text>/, '')).not.toMatch(/x\.example|script|onload|onclick|&x;/i);
  });
  test('whatever is put together of them, a browser and a reader of XML find only what is allowed', () => {
    const piece = fc.constantFrom(...HOSTILE_PIECES);
    const mixed = fc.array(piece, { maxLength: 24 }).map((pieces) => pieces.join(''));
    const inside = mixed.map((text) => `<svg viewBox="0 0 4 4"><path d="M0 0"/>${text}</svg>`);
    const spliced = fc
      .tuple(fc.constantFrom(...HOSTILE), fc.nat(200), fc.nat(20), mixed)
      .map(([source, at, gone, put]) => source.slice(0, at) + put + source.slice(at + gone));
    let through = 0;
    fc.assert(
      fc.property(fc.oneof(inside, spliced, mixed), (source) => {
        const cleaned = cleanDrawing(source);
        if (!cleaned.ok) return;
        through++;
        expect(foundInHtml(cleaned.value)).toEqual([]);
        expect(foundInXml(cleaned.value)).toEqual([]);
        expect(clean(cleaned.value)).toBe(cleaned.value);
      }),
      { numRuns: 3000 },
    );
    expect(through).toBeGreaterThan(20);
  });
  test('any value of any attribute stays within its quotes', () => {
    const [element, name] = [
      fc.constantFrom(...ALLOWED.keys()),
      fc.constantFrom('fill', 'id', 'd', 'transform', 'style', 'x', 'href', 'font-family'),
    ];
    const value = fc.oneof(
      fc.string(),
      fc.constantFrom(
        'url(#a)',
        'url( "#a" )',
        'url(#a) red',
        'url(//x)',
        '#fff',
        'red;fill:url(x)',
        'a"b',
        "a'b",
        'fill:red;fill:url(//x)',
      ),
    );
    fc.assert(
      fc.property(element, name, value, (tag, key, given) => {
        const quoted = given.replace(/[&<"]/g, (letter) => `&#${letter.charCodeAt(0)};`);
        const cleaned = cleanDrawing(`<svg><${tag} ${key}="${quoted}"/><path d="M0 0"/></svg>`);
        if (!cleaned.ok) return;
        expect(foundInHtml(cleaned.value)).toEqual([]);
        expect(foundInXml(cleaned.value)).toEqual([]);
      }),
      { numRuns: 1500 },
    );
  });
  test('bounds are kept before the work is done, and said', () => {
    const started = performance.now();
    const reasons = [
      `<svg>${'<path/>'.repeat(20_000)}</svg>`,
      `<svg>${'<g>'.repeat(40)}${'</g>'.repeat(40)}</svg>`,
      `<svg>${'<mask/>'.repeat(65)}</svg>`,
      `<svg>${'x'.repeat(200_001)}</svg>`,
    ].map((source) => {
      const cleaned = cleanDrawing(source);
      return cleaned.ok ? 'taken' : cleaned.error;
    });
    expect(reasons).toEqual([
      'it has more than 10000 elements',
      'its elements are nested more than 32 deep',
      'more than 64 masks, clips and patterns are in it',
      'it is longer than 200000 characters',
    ]);
    expect(performance.now() - started).toBeLessThan(5000);
  });
});

describe('values', () => {
  test.each([
    ['points', '1'.repeat(5000)],
    ['points', '1.5 '.repeat(2000)],
    ['points', '1.5.5-.5e3,'.repeat(500)],
    ['transform', 'scale(1)  '.repeat(500)],
  ])('a long %s that is right stands, one that ends wrong does not, and neither takes long', (key, value) => {
    const drawing = (text: string) => `<svg><polygon ${key}="${text}"/></svg>`;
    expect(clean(drawing(value))).toContain(` ${key}="${value.trim()}"`);
    expect(clean(drawing(`${value}!`))).not.toContain(key);
  });
  test.each(['0 0 24 24', '-.5', '1e-3', '10%', '1.5.5', '1,2-3', '4px'])(
    '%s is made of numbers',
    (value) => {
      expect(clean(`<svg><polygon points="${value}"/></svg>`)).toContain(value);
    },
  );
});

describe('a drawing of a document', () => {
  test('stands where it is only untidy', () => {
    for (const source of [
      GRADIENT,
      '<svg viewBox="0 0 4 4" class="x"><title>Reed</title><path d="M0 0" data-name="a"></path></svg>',
    ])
      expect(refuseDrawing(source)).toBeNull();
  });
  test.each([
    ['<svg><script>1</script></svg>', 'script'],
    ['<svg><path onclick="1"/></svg>', 'onclick of path'],
    ['<svg><g xlink:href="//x"/></svg>', 'xlink:href of g'],
    ['<svg><path fill="url(//x)"/></svg>', 'fill of path'],
    ['<svg></svg><p/>', 'well-formed'],
    ['text', 'well-formed'],
    ['<p/>', 'outermost'],
  ])('%s is refused with the reason', (source, reason) => {
    expect(refuseDrawing(source)).toContain(reason);
  });
});
