import { expect, test } from '@jest/globals';
import { canBeDrawn, withFontData } from './page-picture.ts';

const page = (body: string, css = '') => ({ body, css, width: 100, height: 50 });

test.each([
  ['text and drawings', page('<p>Reeds</p><svg><use href="#reed"/></svg>'), true],
  ['a picture kept as data', page('<img alt="" src="data:image/png;base64,AA=="/>'), true],
  ['a gradient by its id', page('<p/>', 'p{fill:url(#sun)}'), true],
  ['a picture from an address', page('<img alt="" src="/reed.png"/>'), false],
  ['a ground from an address', page('<p/>', 'p{background:url("https://orilla.example/reed.png")}'), false],
  ['a drawing that names an address', page('<svg><image href="/reed.png"/></svg>'), false],
])('%s', (_what, drawn, wanted) => {
  expect(canBeDrawn(drawn)).toBe(wanted);
});

test('fonts that cannot be fetched are asked for again the next time', async () => {
  const asked: string[] = [];
  Object.assign(globalThis, {
    fetch: async (address: string) => {
      asked.push(address);
      return Promise.resolve(new Response('', { status: 503 }));
    },
  });
  const css = '@font-face{src:url("/fonts/figtree.woff2") format("woff2")}';
  await expect(withFontData(css)).rejects.toThrow('503');
  await expect(withFontData(css)).rejects.toThrow('503');
  expect(asked).toEqual(['/fonts/figtree.woff2', '/fonts/figtree.woff2']);
  expect(await withFontData('p{color:red}')).toBe('p{color:red}');
});
