/* eslint-disable @typescript-eslint/no-explicit-any -- raw documents are changed */
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';
import { strToU8, zipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { main } from './main.ts';
import type { Output } from './output.ts';

const DEMO = fileURLToPath(new URL('../../core/test/plain.hamaca.json', import.meta.url));
let folder = '';
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'hamaca-cli-'));
});
afterAll(() => {
  rmSync(folder, { recursive: true });
});

async function run(...args: string[]) {
  let printed = '';
  let warned = '';
  const warn = (text: string) => {
    warned += text;
  };
  const output: Output = {
    print: (text) => {
      printed += text;
    },
    warn,
    refuse: (message) => {
      warn(message);
      return 1;
    },
  };
  const code = await main(args, output);
  return { code, printed, warned };
}
const file = (name: string, content: string | Uint8Array) => {
  const path = join(folder, name);
  writeFileSync(path, content);
  return path;
};

describe('hamaca export', () => {
  test('writes the hand-off, twice the same', async () => {
    for (const out of ['one', 'two'])
      expect(await run('export', DEMO, '--out', join(folder, out, 'deep'))).toMatchObject({
        code: 0,
        warned: '',
      });
    expect(readdirSync(join(folder, 'one/deep')).sort()).toEqual([
      'README.txt',
      'fonts',
      'index.html',
      'menu.css',
      'menu.html',
      'menu.js',
      'menu.mjs',
      'page.css',
      'site.hamaca.json',
      'tokens.json',
    ]);
    for (const name of ['menu.css', 'menu.html', 'menu.js', 'menu.mjs', 'fonts/figtree.woff2'])
      expect(readFileSync(join(folder, 'one/deep', name))).toEqual(
        readFileSync(join(folder, 'two/deep', name)),
      );
  });
  test('begins every name with the prefix told, and refuses one that cannot be', async () => {
    const out = join(folder, 'prefixed');
    expect((await run('export', DEMO, '--out', out, '--prefix', 'reed-')).code).toBe(0);
    const css = readFileSync(join(out, 'menu.css'), 'utf8');
    const html = readFileSync(join(out, 'menu.html'), 'utf8');
    expect(css).toContain('.reed-marisma:not(#reed) {');
    expect(html).toContain('class="reed-marisma reed-header"');
    expect(
      css + html + readFileSync(join(out, 'menu.js'), 'utf8') + readFileSync(join(out, 'menu.mjs'), 'utf8'),
    ).not.toMatch(/\bhm-/);
    expect((await run('export', DEMO, '--out', out, '--prefix', '9 lives')).code).toBe(2);
  });
  test('writes rules one after the other where asked', async () => {
    const css = async (...args: readonly string[]) => {
      const out = join(folder, 'rules');
      expect((await run('export', DEMO, '--out', out, ...args)).code).toBe(0);
      return readFileSync(join(out, 'menu.css'), 'utf8');
    };
    expect(await css()).toMatch(/^ {2}\.hm-main-link \{$/m);
    expect(await css('--flat')).toMatch(/^\.hm-marisma:not\(#hm\) \.hm-main-link \{$/m);
    expect(await css('--flat')).not.toMatch(/^\s*&/m);
  });
  test('writes pictures as files where asked, and refuses a folder that cannot be', async () => {
    const out = join(folder, 'pictured');
    const site = JSON.parse(readFileSync(DEMO, 'utf8')) as { menus: { items: Record<string, unknown>[] }[] };
    const image = 'data:image/gif;base64,R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7';
    Object.assign(site.menus[0]?.items[5] ?? {}, { image, imageText: 'An envelope' });
    const source = file('pictured.json', JSON.stringify(site));
    expect((await run('export', source, '--out', out, '--pictures', '/media/')).code).toBe(0);
    expect(readFileSync(join(out, 'menu.html'), 'utf8')).toContain('src="/media/picture-1.gif"');
    expect(readFileSync(join(out, 'pictures/picture-1.gif')).toString('base64')).toBe(image.split(',')[1]);
    expect((await run('export', source, '--out', out, '--pictures', 'javascript:')).code).toBe(2);
  });
  test('a typeface that was brought along is named as missing, and the rest is written', async () => {
    const site = JSON.parse(readFileSync(DEMO, 'utf8')) as {
      typefaces: unknown[];
      typeStyles: { family: string }[];
    };
    site.typefaces = [{ id: 'own-marsh-12345678', name: 'Marsh', fallback: 'sans', weights: [400, 700] }];
    for (const style of site.typeStyles) style.family = 'own-marsh-12345678';
    const result = await run('export', file('own.json', JSON.stringify(site)), '--out', join(folder, 'own'));
    expect([result.code, result.printed]).toEqual([
      0,
      expect.stringContaining('fonts/own-marsh-12345678.woff2 is not among them'),
    ]);
    expect(readFileSync(join(folder, 'own/menu.css'), 'utf8')).toContain(
      'url(fonts/own-marsh-12345678.woff2)',
    );
  });
  test('a file that is no site is refused with its path and nothing is written', async () => {
    const broken = JSON.parse(readFileSync(DEMO, 'utf8')) as { palette: { value: string }[] };
    if (broken.palette[0]) broken.palette[0].value = 'reddish';
    const result = await run(
      'export',
      file('broken.json', JSON.stringify(broken)),
      '--out',
      join(folder, 'none'),
    );
    expect(result.code).toBe(1);
    expect(result.warned).toContain('/palette/0/value');
    expect(readdirSync(folder)).not.toContain('none');
    expect((await run('export', join(folder, 'missing.json'), '--out', folder)).code).toBe(1);
    expect((await run('export', DEMO, '--out', join(DEMO, 'x'))).warned).toContain('cannot be written');
  });
});

describe('hamaca links', () => {
  test('prints what it understood, as JSON or as an outline', async () => {
    const outline = file('menu.txt', 'Visit /visit\n  Hours\nBirds javascript:x');
    const json = await run('links', outline, '--json');
    expect(JSON.parse(json.printed)).toEqual([
      { label: 'Visit', href: '/visit', depth: 1 },
      { label: 'Hours', href: null, depth: 2 },
      { label: 'Birds', href: null, depth: 1 },
    ]);
    expect(json).toMatchObject({ code: 0 });
    expect(json.warned).toContain('line 3');
    expect((await run('links', outline)).printed).toBe('Visit -> /visit\n  Hours\nBirds\n');
  });
  test('takes HTML by name or by --from', async () => {
    const html = '<nav><ul><li><a href="/a">A</a></li></ul></nav>';
    for (const args of [[file('page.html', html)], [file('page.txt', html), '--from', 'html']])
      expect(JSON.parse((await run('links', ...args, '--json')).printed)).toEqual([
        { label: 'A', href: '/a', depth: 1 },
      ]);
  });
  test('prints every menu of a page with its place', async () => {
    const html =
      '<header><nav aria-label="Main"><ul><li><a href="/a">A</a></li><li><a href="/b">B</a></li></ul></nav></header><footer><ul><li><a href="/p">Privacy</a></li><li><a href="/i">Imprint</a></li></ul></footer>';
    const page = file('all.html', html);
    expect(JSON.parse((await run('links', page, '--all', '--json')).printed)).toEqual([
      {
        place: 'header',
        kind: 'menu',
        name: 'Main',
        main: true,
        links: [
          { label: 'A', href: '/a', depth: 1 },
          { label: 'B', href: '/b', depth: 1 },
        ],
      },
      {
        place: 'footer',
        kind: 'menu',
        name: '',
        main: false,
        links: [
          { label: 'Privacy', href: '/p', depth: 1 },
          { label: 'Imprint', href: '/i', depth: 1 },
        ],
      },
    ]);
    expect((await run('links', page, '--all')).printed).toContain(
      '# header, menu, “Main”, the main menu\nA -> /a\n',
    );
  });
  test.each([
    [
      'opml',
      '<opml version="2.0"><body><outline text="Visit" url="/visit"><outline text="Hours"/></outline></body></opml>',
    ],
    ['csv', 'level,label,target\n1,Visit,/visit\n2,Hours,'],
    [
      'sitemap',
      '<urlset><url><loc>https://marisma.example/visit</loc></url><url><loc>https://marisma.example/visit/hours</loc></url></urlset>',
    ],
  ])('reads %s, by name and by content, also packed', async (format, content) => {
    for (const args of [
      [file(`links-${format}.txt`, content), '--from', format],
      [file(`links.${format}`, content)],
      [file(`links.${format}.gz`, gzipSync(content))],
    ]) {
      expect(
        (
          JSON.parse((await run('links', ...args, '--json')).printed) as { label: string; depth: number }[]
        ).map(({ label, depth }) => [label, depth]),
      ).toEqual([
        ['Visit', 1],
        ['Hours', 2],
      ]);
    }
    expect((await run('links', file('cut.gz', gzipSync(content).subarray(0, 30)))).warned).toContain(
      'cannot be unpacked',
    );
  });
  test('reads UTF-16 and bytes that are no text', async () => {
    expect((await run('links', file('wide.txt', Buffer.from('\ufeffVisit /visit', 'utf16le')))).printed).toBe(
      'Visit -> /visit\n',
    );
    expect((await run('links', file('bytes.txt', new Uint8Array([0, 255, 254, 0, 10, 128])))).code).toBe(0);
  });
});

describe('hamaca fit', () => {
  const site = (change: (raw: any) => void) => {
    const raw = JSON.parse(readFileSync(DEMO, 'utf8')) as unknown;
    change(raw);
    return file('fit.hamaca.json', JSON.stringify(raw));
  };
  test('prints what every row needs in every band, and ends with 1 where one breaks', async () => {
    const stays = site((raw) => {
      delete raw.pieces[0].rows[0].zones.end[0].folds;
    });
    const { code, printed } = await run('fit', stays, '--json');
    const fits = JSON.parse(printed) as { band: string; needed: number }[];
    expect(code).toBe(1);
    expect(fits).toEqual([
      {
        piece: 'header',
        row: 'row-main',
        band: 'wide',
        from: 1000,
        to: null,
        needed: expect.any(Number),
        certain: true,
      },
      {
        piece: 'header',
        row: 'row-main',
        band: 'phone',
        from: 0,
        to: 999,
        needed: expect.any(Number),
        certain: true,
      },
    ]);
    expect(fits.map(({ needed }) => Math.round(needed))).toEqual([950, 364]);
    expect((await run('fit', stays)).printed).toContain(
      'header row-main phone (0 to 999 px): needs 364 px, breaks',
    );
  });
  test('ends with 0 where all fit, what gives way away, and says where a row never does', async () => {
    expect(await run('fit', DEMO)).toMatchObject({ code: 0, warned: '' });
    const held = site((raw) => {
      raw.pieces[0].rows[0].contained = 300;
    });
    const never = await run('fit', held, '--json');
    expect([never.code, (JSON.parse(never.printed) as { needed: unknown }[])[0]?.needed]).toEqual([1, null]);
    expect((await run('fit', held)).printed).toContain('needs more than its content may take, breaks');
  });
  test('refuses what is no site', async () => {
    expect((await run('fit', file('none.json', '{}'))).code).toBe(1);
    expect((await run('fit')).code).toBe(2);
  });
});

describe('hamaca rules', () => {
  const PAGE = '<link rel="stylesheet" href="css/a.css"><nav><a href="/">Boats</a></nav>';
  const CSS = 'a { color: red }\nnav a:hover { color: blue }';
  /** A folder with a page and its stylesheet. */
  const website = () => {
    const root = mkdtempSync(join(folder, 'website-'));
    mkdirSync(join(root, 'css'));
    mkdirSync(join(root, 'deep'));
    writeFileSync(join(root, 'index.html'), PAGE);
    writeFileSync(join(root, 'deep', 'page.html'), PAGE.replace('css/', '../css/'));
    writeFileSync(join(root, 'css', 'a.css'), CSS);
    return root;
  };
  interface Told {
    readonly element: string;
    readonly properties: readonly { readonly name: string; readonly value: string; readonly file: string }[];
  }
  const valuesIn = (printed: string) => JSON.parse(printed) as Told[];

  test.each([
    ['a folder', (root: string) => root],
    ['a file', (root: string) => join(root, 'index.html')],
    ['a file whose stylesheet lies beside its folder', (root: string) => join(root, 'deep', 'page.html')],
    [
      'a zip',
      (root: string) => {
        const zip = join(root, 'site.zip');
        writeFileSync(zip, zipSync({ 'site/index.html': strToU8(PAGE), 'site/css/a.css': strToU8(CSS) }));
        return zip;
      },
    ],
  ])('tells the values of %s', async (_, from) => {
    const at = from(website());
    const rest = await run('rules', at, '--at', 'nav a', '--json');
    expect(rest).toMatchObject({ code: 0, warned: '' });
    expect(valuesIn(rest.printed)).toMatchObject([
      {
        element: expect.any(String),
        properties: [{ name: 'color', value: 'red', line: 1, column: 5, overridden: [] }],
      },
    ]);
    const hover = valuesIn((await run('rules', at, '--at', 'a', '--state', 'hover', '--json')).printed);
    expect(hover[0]?.properties).toMatchObject([
      { value: 'blue', selector: 'nav a:hover', line: 2, overridden: [{ value: 'red', selector: 'a' }] },
    ]);
    expect(hover[0]?.properties[0]?.file).toMatch(/css\/a\.css$/);
    expect((await run('rules', at, '--at', 'a')).printed).toContain('color: red');
  });

  test('fetches a page by its address, from private hosts only where they are named', async () => {
    const root = website();
    const server = createServer((request, response) => {
      const path = join(root, (request.url ?? '').replace(/\/$/, '/index.html'));
      if (existsSync(path)) response.end(readFileSync(path));
      else response.writeHead(404).end();
    });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const host = `127.0.0.1:${(server.address() as AddressInfo).port}`;
    const refused = await run('rules', `http://${host}/`, '--at', 'a');
    expect([refused.code, refused.printed]).toEqual([1, '']);
    expect(refused.warned).toContain('HAMACA_FETCH_HOSTS');
    process.env['HAMACA_FETCH_HOSTS'] = host;
    try {
      const told = valuesIn((await run('rules', `http://${host}/`, '--at', 'nav a', '--json')).printed);
      expect(told[0]?.properties).toMatchObject([{ name: 'color', value: 'red', file: 'css/a.css' }]);
      const out = join(folder, 'fetched');
      const ask = ['recolour', `http://${host}/deep/page.html`, '--from', 'red', '--to', '#063'];
      expect((await run(...ask, '--out', out)).code).toBe(0);
      expect(readdirSync(out, { recursive: true }).map(String).sort()).toEqual(
        ['added.css', 'css', 'css/a.css', 'deep', 'deep/page.html', 'report.json'].sort(),
      );
      expect((await run('rules', `http://${host}/none`, '--at', 'a')).warned).toContain('404');
    } finally {
      delete process.env['HAMACA_FETCH_HOSTS'];
      server.close();
    }
  });

  test('says what cannot be done', async () => {
    const root = website();
    expect(await run('rules', root, '--at', 'a:bogus')).toMatchObject({ code: 1, printed: '' });
    expect((await run('rules', root, '--at', 'video')).warned).toContain('nothing in');
    expect((await run('rules', mkdtempSync(join(folder, 'empty-')), '--at', 'a')).warned).toContain(
      'has no page',
    );
    expect(
      (await run('rules', file('gone.html', '<link rel=stylesheet href=no.css><a>x</a>'), '--at', 'a'))
        .warned,
    ).toBe('The stylesheet no.css is not there\n');
    expect((await run('rules', root)).code).toBe(2);
    expect((await run('rules', root, '--at', 'a', '--state', 'asleep')).code).toBe(2);
    expect((await run('rules', root, '--at', 'a', '--width', 'wide')).code).toBe(2);
  });
});

describe('hamaca recolour', () => {
  /** A page whose stylesheet is no UTF-8, with a picture and a file that is nobody's. */
  const website = () => {
    const root = mkdtempSync(join(folder, 'painted-'));
    writeFileSync(
      join(root, 'index.html'),
      '<link rel=stylesheet href=a.css><nav><a>Boats</a></nav><img src=i.png>',
    );
    writeFileSync(
      join(root, 'a.css'),
      Buffer.from('/* caf\u00e9 */ a { color: #00F; background: url(i.png) }', 'latin1'),
    );
    writeFileSync(join(root, 'i.png'), Buffer.from([0x89, 0x50, 0xff]));
    return root;
  };
  const changeTo = (to: string, ...more: string[]) => ['--from', 'blue', '--to', to, ...more];

  test('adds a stylesheet and leaves the rest', async () => {
    const [root, out] = [website(), join(folder, 'added')];
    const { code, printed } = await run('recolour', root, ...changeTo('#063', '--out', out));
    expect([code, printed]).toEqual([0, '9 values of 1 elements change, in added.css, index.html\n']);
    expect(readFileSync(join(out, 'added.css'), 'utf8')).toBe('a {\n  color: #063;\n}\n');
    expect(readFileSync(join(out, 'index.html'), 'utf8')).toContain(
      '<link rel="stylesheet" href="added.css">',
    );
    for (const name of ['a.css', 'i.png'])
      expect(readFileSync(join(out, name)).equals(readFileSync(join(root, name)))).toBe(true);
    const report = JSON.parse(readFileSync(join(out, 'report.json'), 'utf8')) as { changed: unknown[] };
    expect(report).toMatchObject({ sideEffects: [] });
    expect(report.changed).toHaveLength(9);
  });

  test('edits in place, byte by byte, of a single file with what it names', async () => {
    const [root, out] = [website(), join(folder, 'edited')];
    const { code } = await run(
      'recolour',
      join(root, 'index.html'),
      ...changeTo('#063', '--in-place', '--json', '--out', out),
    );
    expect(code).toBe(0);
    const expected = Buffer.from('/* caf\u00e9 */ a { color: #063; background: url(i.png) }', 'latin1');
    expect(readFileSync(join(out, 'a.css')).equals(expected)).toBe(true);
    expect(readdirSync(out).sort()).toEqual(['a.css', 'i.png', 'index.html', 'report.json']);
  });

  test('ends with 1 where something else changes, and says what cannot be done', async () => {
    const root = website();
    const page = '<style>a { color: blue }</style><nav><a>1</a></nav><a>2</a>';
    const out = join(folder, 'both');
    const both = await run(
      'recolour',
      file('both.html', page),
      ...changeTo('red', '--within', 'nav', '--in-place', '--out', out),
    );
    expect(both.code).toBe(1);
    expect(both.printed).toContain('side effect: html > body > a (rest, 390 px) color: blue becomes red');
    const none = await run('recolour', root, '--from', 'plum', '--to', 'red', '--out', join(folder, 'none'));
    expect(none).toMatchObject({ code: 1, printed: '' });
    expect(none.warned).toContain('says plum');
    expect(existsSync(join(folder, 'none'))).toBe(false);
    expect((await run('recolour', root, ...changeTo('rde', '--out', out))).warned).toContain('no CSS colour');
    expect((await run('recolour', root, ...changeTo('red'))).code).toBe(2);
  });
});

describe('hamaca stay', () => {
  const page = () =>
    file(
      'stays.html',
      '<style>header { background: #fff } html, body { overflow-x: hidden }</style><div class="top"><header><a>1</a></header></div><main><p>2<p>3<p>4</main>',
    );
  test('says what prevented it, takes the ways out, and writes the page with what it needs', async () => {
    const out = join(folder, 'stays');
    const { code, printed, warned } = await run(
      ...[
        'stay',
        page(),
        '--at',
        'header',
        '--appears-after',
        '300',
        '--scrolled',
        'color: red',
        '--out',
        out,
      ],
    );
    expect([code, warned]).toEqual([0, '']);
    expect(printed).toContain('prevented: .top is as tall as the header alone');
    expect(printed).toContain('(stays.html:1)\n  done: body cuts with overflow: clip');
    expect(readdirSync(out).sort()).toEqual(['added.css', 'added.js', 'report.json', 'stays.html']);
    expect(readFileSync(join(out, 'added.css'), 'utf8')).toContain('--hm-after: 300px;');
    const report = JSON.parse(readFileSync(join(out, 'report.json'), 'utf8')) as object;
    expect(report).toMatchObject({
      sideEffects: [],
      obstacles: [
        { kind: 'short box', element: '.top' },
        { kind: 'clipped box', line: 1 },
      ],
    });
  });
  test('ends with 1 where there is no way out, and refuses what it does not understand', async () => {
    const out = join(folder, 'hangs');
    const hangs = await run('stay', page(), '--at', 'header', '--hangs', '--out', out, '--json');
    expect([hangs.code, JSON.parse(hangs.printed)]).toMatchObject([
      1,
      { obstacles: [{ kind: 'slips beneath', ways: [] }] },
    ]);
    const room = await run('stay', page(), '--at', 'header', '--hangs', '--height', '60', '--out', out);
    expect([room.code, readdirSync(out).includes('added.css')]).toEqual([0, true]);
    const ask = (...more: string[]) => run('stay', page(), '--at', 'header', '--out', out, ...more);
    expect((await ask('--hides', '--appears-after', '3')).code).toBe(2);
    expect((await ask('--comes', 'somehow')).code).toBe(2);
    expect((await ask('--height', 'tall')).code).toBe(2);
    expect((await ask('--scrolled-logo', 'height: 1px')).warned).toContain('no picture');
    expect((await ask('--above', '900', '--below', '800')).warned).toContain('smaller width');
  });
});

describe('hamaca restyle', () => {
  test('adds or edits what makes a state look so', async () => {
    const page = file('styled.html', '<style>nav a { color: red }</style><nav><a>1</a></nav><a>2</a>');
    const out = join(folder, 'styled');
    const ask = ['restyle', page, '--at', 'nav a', '--state', 'hover', '--set', 'color: #063', '--out', out];
    const added = await run(...ask);
    expect([added.code, added.printed]).toEqual([
      0,
      '3 values of 1 elements change, in added.css, styled.html\n',
    ]);
    expect(readFileSync(join(out, 'added.css'), 'utf8')).toBe('nav a:hover {\n  color: #063;\n}\n');
    expect((await run(...ask, '--in-place')).code).toBe(0);
    expect(readFileSync(join(out, 'styled.html'), 'utf8')).toContain(
      '<style>nav a { color: red }\nnav a:hover {\n  color: #063;\n}</style>',
    );
    expect((await run('restyle', page, '--at', 'a', '--set', 'colour: red', '--out', out)).warned).toContain(
      'no declaration that a browser takes',
    );
    expect(
      (await run('restyle', page, '--at', 'a', '--set', 'color: red', '--state', 'visited', '--out', out))
        .code,
    ).toBe(2);
    expect((await run('restyle', page, '--at', 'a', '--out', out)).code).toBe(2);
  });
});

describe('the command line itself', () => {
  test('explains itself', async () => {
    expect(await run('--help')).toMatchObject({ code: 0 });
    expect((await run('--help')).printed).toContain('hamaca export FILE --out DIR');
  });
  test.each([
    [[]],
    [['fly']],
    [['export', 'x']],
    [['links']],
    [['links', 'a', 'b']],
    [['links', 'a', '--from', 'pdf']],
    [['--wrong']],
  ])('%j is not understood', async (args) => {
    const result = await run(...args);
    expect(result.code).toBe(2);
    expect(result.printed + result.warned).toContain('hamaca');
  });
});

test('hamaca schema prints the published schema', async () => {
  const { code, printed } = await run('schema');
  expect(code).toBe(0);
  expect(printed).toBe(readFileSync(new URL('../../docs/site.schema.json', import.meta.url), 'utf8'));
  expect((await run('schema', DEMO)).code).toBe(2);
});
