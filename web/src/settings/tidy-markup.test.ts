/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import { refuseMarkup } from '@hamaca/core';
import { tidyMarkup } from './tidy-markup.ts';

describe('markup as people write it', () => {
  test('is made well-formed: open ends, bare attributes, named signs', () => {
    const { source, left } = tidyMarkup(
      '<p>Come &amp; see&nbsp;us<br><img src=/map.png alt="Map"><ul><li>one<li>two</ul><input type=checkbox checked>',
    );
    expect(source).toBe(
      '<p>Come &#38; see&#160;us<br/><img src="/map.png" alt="Map"/></p><ul><li>one</li><li>two</li></ul><input type="checkbox" checked=""/>',
    );
    expect(left).toEqual([]);
    expect(refuseMarkup(source)).toBeNull();
  });
  test('is told what is left out: what runs goes with its content, what only frames gives way to it', () => {
    const { source, left } = tidyMarkup(
      '<main onclick="go()"><script>alert(1)</script><p style="color:red" onmouseover=x>Hello</p><svg><path d=""/></svg><iframe src=x></iframe><font>there</font></main><a href="javascript:go()">link</a>',
    );
    expect(source).toBe('<p>Hello</p>there<a>link</a>');
    expect(left).toEqual(
      expect.arrayContaining([
        '<main>',
        '<script>',
        'style of <p>',
        'onmouseover of <p>',
        '<iframe>',
        '<font>',
      ]),
    );
    expect(left).toContain('href of <a>');
  });
  test('whatever is written can be used, or says why not', () => {
    for (const text of [
      '',
      'plain',
      '<',
      '</p>',
      '<b><i>x</b></i>',
      '<table><td>x',
      '<p title="a\u0000b">x',
      '&#0;',
    ])
      expect([text, refuseMarkup(tidyMarkup(text).source)]).toEqual([text, null]);
    expect(refuseMarkup(tidyMarkup('<b>'.repeat(600)).source)).toMatch(/nested|more than/);
  });
});
