import { describe, expect, test } from '@jest/globals';
import { dress } from '../../../test/dressed.ts';
import { FONTS, rawDemo } from '../../../test/demo.ts';
import { runEdit } from '../../edit/operations.ts';
import { loadSite } from '../../load/load-site.ts';
import { handOffFiles } from './hand-off.ts';
import { createPictures, holdsPictures, PICTURES_AT } from './pictures.ts';

const PNG = 'data:image/png;base64,iVBORw0KGgo=';
const JPEG = 'data:image/jpeg;base64,/9j/4AAQ';

describe('pictures as files', () => {
  test('each picture is one file, however often it is shown; markup and stylesheet find it', () => {
    const pictures = createPictures('/media/pictures/');
    expect(pictures.fromMarkup(`<img src="${PNG}"><img src="${PNG}"><img src="/own.png">`)).toBe(
      '<img src="/media/pictures/picture-1.png"><img src="/media/pictures/picture-1.png"><img src="/own.png">',
    );
    expect(pictures.fromStylesheet(`a { background-image: url("${JPEG}"), url("${PNG}") }`)).toBe(
      'a { background-image: url("pictures/picture-2.jpg"), url("pictures/picture-1.png") }',
    );
    expect(pictures.files()).toEqual([
      { name: 'pictures/picture-1.png', base64: 'iVBORw0KGgo=' },
      { name: 'pictures/picture-2.jpg', base64: '/9j/4AAQ' },
    ]);
    expect([holdsPictures(PNG), holdsPictures('<img src="/a.png">')]).toEqual([true, false]);
  });
  test.each(['/pictures/', 'pictures/', 'https://media.marisma.example/p/', '../p/', '/'])(
    '%s is where a folder may be',
    (at) => {
      expect(PICTURES_AT.test(at)).toBe(true);
    },
  );
  test.each(['/pictures', 'javascript:x/', '"><script>/', '/a b/', 'data:x/', '/a?b/'])('%s is not', (at) => {
    expect(PICTURES_AT.test(at)).toBe(false);
  });
  test('a hand-off with files holds no picture in markup or stylesheet, and says where they go', () => {
    const loaded = loadSite(dress(rawDemo()));
    if (!loaded.ok) throw new Error(loaded.error[0]?.message);
    const filled = runEdit(loaded.value, {
      name: 'set-look',
      args: {
        cells: [
          {
            owner: 'row-main',
            slot: 'row',
            property: 'paint',
            level: 'all',
            state: 'rest',
            band: 'all',
            value: { paint: { image: PNG } },
          },
        ],
      },
    });
    if (!filled.ok) throw new Error(filled.error[0]?.message);
    const read = (options: object) =>
      new Map((handOffFiles(filled.value.site, FONTS, options) ?? []).map((file) => [file.name, file]));
    const textOf = (files: ReturnType<typeof read>, name: string) => {
      const file = files.get(name);
      return file && 'text' in file ? file.text : '';
    };
    const [inside, apart] = [read({}), read({ pictures: '/pictures/' })];
    expect([...inside.keys()].filter((name) => name.startsWith('pictures/'))).toEqual([]);
    expect([...apart.keys()].filter((name) => name.startsWith('pictures/'))).toEqual([
      'pictures/picture-1.gif',
      'pictures/picture-2.png',
    ]);
    for (const name of ['menu.html', 'index.html', 'menu.css']) {
      expect(holdsPictures(textOf(inside, name))).toBe(true);
      expect(holdsPictures(textOf(apart, name))).toBe(false);
    }
    expect(textOf(apart, 'menu.html')).toContain('src="/pictures/picture-1.gif"');
    expect(textOf(apart, 'menu.css')).toContain('url("pictures/picture-2.png")');
    expect(
      [textOf(inside, 'README.txt'), textOf(apart, 'README.txt')].map((text) => text.includes('pictures/')),
    ).toEqual([false, true]);
    // The site file opens as it was.
    expect(textOf(apart, 'site.hamaca.json')).toBe(textOf(inside, 'site.hamaca.json'));
  });
});
