import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { parseFragment, type DefaultTreeAdapterTypes } from 'parse5';
import { DEMO } from '../../test/demo.ts';
import { HOSTILE, HOSTILE_PIECES } from '../../test/hostile.ts';
import { runEdit } from '../edit/operations.ts';
import { makePart } from '../kinds/create.ts';
import { compileSite } from '../output/compile-site.ts';
import { isMarkupAttribute, isMarkupElement } from './allowed.ts';
import { MARKUP_LIMITS, markupText, readMarkup, refuseMarkup } from './read-markup.ts';

type Node = DefaultTreeAdapterTypes.ChildNode;
type Element = DefaultTreeAdapterTypes.Element;

const FORM =
  '<form action="/news" method="post"><label for="mail">Your e-mail</label> <input id="mail" type="email" name="mail" required=""/><button type="submit">Tell me</button></form>';

/** What the hand-off writes for own markup in the demo's header. */
function written(source: string): string {
  const part = makePart('markup', 'own', { source });
  const place = { region: 'row-main.end', index: 0 };
  const ran = runEdit(DEMO, { name: 'add-part', args: { part, place } });
  if (!ran.ok) throw new Error(ran.error[0]?.message);
  const markup = compileSite(ran.value.site, { fonts: [] }).pieces.get('header') ?? '';
  return /<div class="hm-markup hm-own">([\s\S]*?)<\/div>/.exec(markup)?.[1]?.trim() ?? '';
}

const elementsOf = (nodes: readonly Node[]): Element[] =>
  nodes.flatMap((node) => ('tagName' in node ? [node, ...elementsOf(node.childNodes)] : []));

/** What a browser finds in markup that may not stand in it. */
const forbiddenIn = (markup: string): string[] =>
  elementsOf(parseFragment(markup).childNodes).flatMap(({ tagName, attrs }) => [
    ...(isMarkupElement(tagName) ? [] : [tagName]),
    ...attrs
      .filter(({ name, value }) => !isMarkupAttribute(tagName, name, value))
      .map(({ name, value }) => `${tagName} ${name}=${value}`),
  ]);

describe('own markup', () => {
  test.each([
    ['Hello <b>world</b>!', 'Hello world!'],
    ['x<sup>2</sup>', 'x2'],
    ['<p>One</p><p>Two</p>', 'One Two'],
    ['one<br/>two', 'one two'],
    ['<![CDATA[a < b]]> &amp; c', 'a < b & c'],
  ])('%s is read “%s”', (source, words) => {
    const read = readMarkup(source);
    expect(read.ok && markupText(read.value)).toBe(words);
  });
  test.each([
    ['Hello <b>world</b>!', 'Hello <b>world</b>!'],
    ['<pre>\n a\n  b</pre>', '<pre>\n\n a\n  b</pre>'],
    ['<textarea>\nx </textarea>', '<textarea>\n\nx </textarea>'],
    ['<![CDATA[a < b]]>', 'a &lt; b'],
    ['<p title="a&#10;b">x</p>', '<p title="a&#10;b">x</p>'],
    ['<p>a</p> <p>b</p>', '<p>a</p> <p>b</p>'],
  ])('%s is written without a blank more or less', (source, markup) => {
    expect(written(source)).toBe(markup);
  });
  test('is read as it is written, and says its words', () => {
    const read = readMarkup(FORM);
    expect(read.ok && markupText(read.value)).toBe('Your e-mail Tell me');
    expect(refuseMarkup(FORM)).toBeNull();
  });
  test.each([
    ['<p>open', /^it is not well-formed/],
    ['<script>alert(1)</script>', /“script” may not stand in it/],
    ['<p onclick="go()">x</p>', /“onclick” of p/],
    ['<p style="color:red">x</p>', /“style” of p/],
    ['<a href="javascript:go()">x</a>', /“href” of a/],
    ['<a href="java\nscript:go()">x</a>', /“href” of a/],
    ['<img src="data:image/svg+xml,x"/>', /“src” of img/],
    ['<iframe src="/x"></iframe>', /“iframe” may not/],
    ['</around><script/><around>', /well-formed|may not stand/],
    ['<!DOCTYPE x><p>x</p>', /well-formed|document type/],
    ['<?php x ?>', /instruction/],
    ['<form name="getElementById"></form>', /“name” of form/],
    ['<form name="onload"></form>', /“name” of form/],
    ...Object.getOwnPropertyNames(Object.prototype).map((name): [string, RegExp] => [
      `<p ${name}="x">x</p>`,
      /of p may not stand/,
    ]),
    ['<b>'.repeat(25) + '</b>'.repeat(25), /nested more than 20/],
    ['<br/>'.repeat(501), /more than 500/],
    ['x'.repeat(MARKUP_LIMITS.source + 1), /longer than 20000/],
  ])('%# %s is refused, with what is wrong', (source, why) => {
    expect(refuseMarkup(source)).toMatch(why);
  });
  test('stands in the output as it was read, and is left to the page', () => {
    const markup = written(FORM);
    expect(elementsOf(parseFragment(markup).childNodes).map(({ tagName }) => tagName)).toEqual([
      'form',
      'label',
      'input',
      'button',
    ]);
    expect(markup).toContain('required');
    expect(markup).not.toContain('required=""');
    expect(written('<p>a &#60;b> &amp; c</p>')).toContain('a &lt;b&gt; &amp; c');
  });
  test('whatever is put together, what is let through holds nothing a browser would run', () => {
    const piece = fc.constantFrom(
      ...HOSTILE_PIECES,
      '<p>',
      '</p>',
      '<b/>',
      'x',
      ' title="',
      '"',
      '>',
      '<a href="',
    );
    const mixed = fc.array(piece, { maxLength: 12 }).map((pieces) => pieces.join(''));
    const wrapped = mixed.map((text) => `<p title="${text}">x</p>`);
    const spliced = fc
      .tuple(fc.constantFrom(...HOSTILE, FORM), fc.nat(120), fc.nat(12), mixed)
      .map(([source, at, gone, put]) => source.slice(0, at) + put + source.slice(at + gone));
    let through = 0;
    fc.assert(
      fc.property(fc.oneof(wrapped, spliced, mixed), (source) => {
        if (refuseMarkup(source) !== null) return;
        through++;
        expect(forbiddenIn(written(source))).toEqual([]);
      }),
      { numRuns: 1500 },
    );
    expect(through).toBeGreaterThan(20);
  });
});
