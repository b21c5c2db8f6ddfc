import { readFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { extname } from 'node:path';
import { fileURLToPath } from 'node:url';
import {
  countingIds,
  handOffFiles,
  idsOf,
  loadSite,
  parseSiteFile,
  pieceKindById,
  TYPEFACES,
  type FontMetrics,
  type HandOffOptions,
  type Piece,
  type Site,
  applyStarter,
  isHeader,
  runEdit,
  type Edit,
  type Starter,
  type LevelKey,
  type PropertyId,
  type State,
  type Value,
} from '@hamaca/core';

const at = (path: string) => fileURLToPath(new URL(`../../${path}`, import.meta.url));

export const FONTS = TYPEFACES.map(
  ({ id }) => JSON.parse(readFileSync(at(`fonts/dist/${id}.metrics.json`), 'utf8')) as FontMetrics,
);

function readSite(path: string): Site {
  const site = parseSiteFile(readFileSync(at(path), 'utf8'));
  if (!site.ok) throw new Error(site.error[0]?.message);
  return site.value;
}

/** The reserve's site as the tests start from it. */
export const demoSite = (): Site => readSite('core/test/plain.hamaca.json');

/** The demo as everybody finds it, with every piece; and the string quartet's one page. */
export const wholeMarisma = (): Site => readSite('demo/marisma.hamaca.json');
export const orilla = (): Site => readSite('demo/orilla.hamaca.json');

/** The demo's header and its panel alone: icons, a menu across the row, fly-outs, a link with a look of its own. */
export function marisma(): Site {
  const site = wholeMarisma();
  return { ...site, pieces: site.pieces.filter(({ kind }) => kind === 'header' || kind === 'panel') };
}

/** A site with one more floating menu as a new one is: an opener in the corner with the site’s links around it. */
export function ringed(site: Site): Site {
  const freshId = countingIds('corner-', idsOf(site));
  const piece = pieceKindById('floating').create({ id: 'corner', name: 'Corner', freshId, site });
  return edited(site, { name: 'add-piece', args: { piece: piece as unknown as Piece } });
}

/** The demo with its document changed. */
export function changedDemo(change: (raw: unknown) => unknown): Site {
  const loaded = loadSite(change(JSON.parse(JSON.stringify(demoSite()))));
  if (!loaded.ok) throw new Error(loaded.error[0]?.message);
  return loaded.value;
}

/** A site after an edit. */
export function edited(site: Site, edit: Edit): Site {
  const ran = runEdit(site, edit);
  if (!ran.ok) throw new Error(ran.error[0]?.message);
  return ran.value.site;
}

/** Values of looks, as tests write them: of all levels, at rest and at all widths where nothing else is said. */
export type SaidValues = readonly {
  readonly owner: string;
  readonly slot: string;
  readonly level?: LevelKey;
  readonly state?: State;
  readonly band?: string;
  readonly property: PropertyId;
  readonly value: Value;
}[];

/** A site whose looks say something more. */
export const saying = (site: Site, cells: SaidValues): Site =>
  edited(site, {
    name: 'set-look',
    args: { cells: cells.map((cell) => ({ level: 'all', state: 'rest', band: 'all', ...cell })) },
  });

/** The demo in a starting design. */
export function designedDemo(design: Starter): Site {
  const demo = demoSite();
  const header = demo.pieces.find(isHeader);
  if (!header) throw new Error('no header');
  return edited(demo, { name: 'set-design', args: applyStarter(demo, header, design) });
}

/** The hand-off of a site, file by file. */
export function handOff(site: Site, options: HandOffOptions = {}): Map<string, string | Uint8Array> {
  return new Map(
    (handOffFiles(site, FONTS, options) ?? []).map((file) => [
      file.name,
      'text' in file
        ? file.text
        : 'base64' in file
          ? Buffer.from(file.base64, 'base64')
          : readFileSync(at(`fonts/dist/${file.font}`)),
    ]),
  );
}

/** An output with the markup of every piece in one, in the order of the pieces. */
export const inOne = (output: ReadonlyMap<string, string | Uint8Array>) =>
  new Map([
    ...output,
    [
      'menu.html',
      [...output].flatMap(([name, text]) => (/^menu.*\.html$/.test(name) ? [String(text)] : [])).join(''),
    ],
  ]);

const TYPES: Readonly<Record<string, string>> = {
  '.html': 'text/html; charset=utf-8',
  '.css': 'text/css',
  '.js': 'text/javascript',
  '.mjs': 'text/javascript',
  '.woff2': 'font/woff2',
  '.gif': 'image/gif',
};

export interface Host {
  readonly url: string;
  /** Serves these files from now on; any other path answers the page. */
  readonly put: (files: ReadonlyMap<string, string | Uint8Array>) => void;
  readonly close: () => Promise<void>;
}

/** A plain web server for pages with the output pasted in. */
export async function startHost(): Promise<Host> {
  let files: ReadonlyMap<string, string | Uint8Array> = new Map();
  const server: Server = createServer((request, response) => {
    const name = (request.url ?? '/').slice(1).split(/[?#]/)[0] ?? '';
    const file = files.get(name);
    if (file === undefined && !['', '.html'].includes(extname(name))) {
      response.writeHead(404).end();
      return;
    }
    response.writeHead(200, {
      'content-type': TYPES[extname(file === undefined ? 'index.html' : name)] ?? 'text/plain',
    });
    response.end(file ?? files.get('index.html') ?? '');
  });
  await new Promise<void>((resolve) => {
    server.listen(0, '127.0.0.1', resolve);
  });
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : 0;
  return {
    url: `http://127.0.0.1:${port}`,
    put: (next) => {
      files = next;
    },
    close: async () =>
      new Promise((resolve) => {
        server.close(() => {
          resolve();
        });
        server.closeAllConnections();
      }),
  };
}

/** A host page of one's own with the markup pasted in, and other stylesheets before or after ours. */
export function pasteInto(
  output: ReadonlyMap<string, string | Uint8Array>,
  options: { before?: string; after?: string; body?: string; script?: boolean; attributes?: string } = {},
): Map<string, string | Uint8Array> {
  const { before = '', after = '', body = '', script = true, attributes = 'lang="en"' } = options;
  const page = `<!DOCTYPE html><html ${attributes}><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Host page</title>${before && '<link rel="stylesheet" href="/before.css">'}<link rel="stylesheet" href="/menu.css">${after && '<link rel="stylesheet" href="/after.css">'}${script ? '<script src="/menu.js" defer></script>' : ''}</head><body>${String(output.get('menu.html'))}${body}</body></html>`;
  return new Map([...output, ['index.html', page], ['before.css', before], ['after.css', after]]);
}
