import { describe, expect, test } from '@jest/globals';
import { element, text } from './trees.ts';
import { printHtml } from './html.ts';

const printed = (...nodes: Parameters<typeof printHtml>[0]) => printHtml(nodes);

describe('markup as text', () => {
  test('attributes stand in one order, whatever order they came in', () => {
    const attributes = {
      'data-area': '',
      'aria-label': 'News',
      role: 'link',
      rel: 'me',
      href: '/n/',
      class: 'a',
    };
    const backwards = Object.fromEntries(Object.entries(attributes).reverse());
    const line = '<a class="a" href="/n/" rel="me" role="link" aria-label="News" data-area>News</a>\n';
    expect(printed(element('a', attributes, text('News')))).toBe(line);
    expect(printed(element('a', backwards, text('News')))).toBe(line);
    // What a picture says is told, also where it is nothing.
    expect(printed(element('img', { alt: '', src: '/reed.png' }))).toBe('<img src="/reed.png" alt="">\n');
  });
  test('a start tag that is too long for a line has each attribute on one of its own', () => {
    const long = { class: 'x'.repeat(90), id: 'y'.repeat(80), hidden: true } as const;
    const lines = printed(element('ul', long, element('li', {}, text('One')))).split('\n');
    expect(lines).toEqual([
      '<ul',
      `  class="${long.class}"`,
      `  id="${long.id}"`,
      '  hidden',
      '>',
      '  <li>One</li>',
      '</ul>',
      '',
    ]);
  });
  test('no blank comes between what stands in a text, however deep', () => {
    const number = element('span', {}, element('bdi', {}, text('955 010 203')));
    expect(printed(element('a', {}, text('Call '), number))).toBe(
      '<a>Call <span><bdi>955 010 203</bdi></span></a>\n',
    );
    const box = element('span', {}, element('a', {}, text('Visit')), element('button', {}));
    expect(printed(element('li', {}, box))).toBe(
      '<li>\n  <span>\n    <a>Visit</a>\n    <button></button>\n  </span>\n</li>\n',
    );
  });
});
