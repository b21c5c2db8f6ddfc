import { memoise } from '../../base/memo.ts';
import { printReadableScript } from '../../kinds/behaviours/readable.ts';
import { pieceKind } from '../../kinds/catalogue.ts';
import { pageSets, withPanels, type PageSet } from '../../kinds/page-rules.ts';
import { opensOver, panelsFrom, standingPieces } from '../../kinds/placed.ts';
import type { Piece, Site } from '../../kinds/site.ts';
import type { Page } from '../../model/site-content.ts';
import {
  BESIDE_COLUMN,
  GOES_WHERE,
  inPageOrder,
  pageMarkup,
  SIDE_BY_SIDE,
  type PageMarkup,
} from '../../output/page-markup.ts';
import { slugify, uniqueName } from '../../base/ids.ts';
import { handedOver } from '../../edit/drafts.ts';
import { printSiteFile } from '../../load/print-site.ts';
import { compileSite, type Compiled } from '../../output/compile-site.ts';
import { escapeAttribute, escapeText } from '../../print/html.ts';
import type { FontMetrics } from '../../text/font-table.ts';
import { isBundled } from '../../text/typefaces.ts';
import { printDesignTokens } from '../palette/design-tokens.ts';
import { TABLER_LICENCE } from './icon-licence.ts';
import { createPictures, type PictureFile } from './pictures.ts';

/** A file of the hand-off: text, a picture, or the name of a font file or licence that the caller copies in. */
export type HandOffFile =
  | { readonly name: string; readonly text: string }
  | PictureFile
  | { readonly name: string; readonly font: string };

export interface HandOffOptions {
  /** Start of every class, id and custom property. */
  readonly prefix?: string;
  /**
   * Where the pages find the folder of pictures: those kept in the site become files. Left out, they stay in the markup and
   * the stylesheet, which a strict content security policy refuses (CSP Level 3, `img-src`).
   */
  readonly pictures?: string;
  /** One rule after the other, for tools and browsers that do not know nested ones. */
  readonly flat?: boolean;
}

/** A piece with the name of the file that has its markup. */
export interface PieceFile {
  readonly piece: Piece;
  readonly name: string;
  /** What is in it: the piece, and the panels that no other piece opens. */
  readonly holds: readonly Piece[];
}

/** One file for each piece that stands in pages, the first with the shortest name, and for each panel that several of them open. */
export const pieceFiles = memoise((site: Site): readonly PieceFile[] => {
  const standing = inPageOrder(standingPieces(site));
  const openers = (panel: Piece) => standing.filter((piece) => panelsFrom(site, piece).includes(panel));
  const shared = site.pieces.filter((piece) => opensOver(piece) && openers(piece).length > 1);
  const taken = new Set<string>();
  return [...standing, ...shared].map((piece, index) => {
    const own = panelsFrom(site, piece).filter((panel) => !shared.includes(panel));
    const holds = opensOver(piece) ? [piece] : [piece, ...own];
    if (index === 0) return { piece, name: 'menu.html', holds };
    const name = uniqueName(slugify(piece.name, 'piece'), taken);
    taken.add(name);
    return { piece, name: `menu-${name}.html`, holds };
  });
});

/** The files that a page with some pieces needs, in the order they stand on it. */
export const filesFor = (site: Site, pieces: readonly Piece[]): readonly PieceFile[] => {
  const needed = withPanels(site, pieces);
  return pieceFiles(site).filter(({ piece }) => needed.includes(piece));
};

/** The markup in the file of a piece. */
export const fileMarkup = ({ pieces }: Compiled, { holds }: PieceFile): string =>
  holds.map(({ id }) => pieces.get(id) ?? '').join('');

/** The example page's own stylesheet: in a file, as a strict content security policy refuses styles in the markup. */
const EXAMPLE_STYLE = `body {
  margin: 0;
}
`;

const COLUMNS_STYLE = `
.columns {
  ${SIDE_BY_SIDE.replaceAll('; ', ';\n  ')};
}

.columns > main {
  ${BESIDE_COLUMN.replaceAll('; ', ';\n  ')};
  padding: 0 24px;
}
`;

const indented = (markup: string, by: string) =>
  markup
    .trimEnd()
    .split('\n')
    .map((line) => (line === '' ? '' : `${by}${line}\n`))
    .join('');

/** What stands beside the page's own words, where anything does. */
const columns = (beside: string): string =>
  beside === ''
    ? ''
    : `    <div class="columns">
${indented(beside, '      ')}      <main>
        <p>What the page says.</p>
      </main>
    </div>
`;

/** An otherwise empty page that uses the three files as any page would. */
function printExamplePage(site: Site, { before, beside, after }: PageMarkup): string {
  return `<!DOCTYPE html>
<html lang="${escapeAttribute(site.language)}" dir="${site.direction}">
  <head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>${escapeText(site.name || 'Example page')}</title>
    <link rel="stylesheet" href="page.css">
    <link rel="stylesheet" href="menu.css">
    <script src="menu.js" defer></script>
  </head>
  <body>
${indented(before, '    ')}${columns(beside)}${indented(after, '    ')}  </body>
</html>
`;
}

/** A set of pages with the name of its example page. */
interface ExamplePage extends PageSet {
  readonly name: string;
}

/** Sites of very many kinds of pages get examples of the first ones. */
const MOST_EXAMPLES = 20;

const examplePages = (site: Site): ExamplePage[] =>
  pageSets(site)
    .filter(({ pieces }) => pieces.length > 0)
    .slice(0, MOST_EXAMPLES)
    .map((set, index) => ({ ...set, name: index === 0 ? 'index.html' : `index-${index + 1}.html` }));

/** Paths that are written out of a set. */
const MOST_PATHS = 8;

function printPaths(pages: readonly Page[]): string {
  const shown = pages.slice(0, MOST_PATHS).map(({ path }) => path);
  const more = pages.length - shown.length;
  return shown.join(', ') + (more > 0 ? ` and ${more} more` : '');
}

/** The pages of the inventory that a markup file goes into, in words. */
export function pagesOfFile(site: Site, file: PieceFile): string {
  const pages = pageSets(site).flatMap((set) => (filesFor(site, set.pieces).includes(file) ? set.pages : []));
  if (pages.length === site.pages.length) return 'on all pages';
  return pages.length === 0 ? 'on no page' : `on ${printPaths(pages)}`;
}

/** Which pages get which markup. */
function printSets(site: Site, examples: readonly ExamplePage[]): string {
  if (examples.length < 2) return '';
  const lines = examples.map(
    ({ name, pieces, pages }) =>
      `${printPaths(pages)}\n  ${filesFor(site, pieces)
        .map((file) => file.name)
        .join(', ')}; as in ${name}\n`,
  );
  return `\nWhich pages get which markup (pages.json says it of every page):\n\n${lines.join('')}`;
}

function printReadme(
  site: Site,
  compiled: Compiled,
  examples: readonly ExamplePage[],
  picturesAt: string | null,
): string {
  const pictures =
    picturesAt === null
      ? ''
      : `pictures/        the pictures: keep a copy beside menu.css, and one where the markup looks for
                 them, ${picturesAt || 'beside each page'}\n`;
  const fonts =
    compiled.typefaces.length > 0
      ? 'fonts/           the typefaces menu.css loads, with the licences of the free ones;\n                 keep the folder beside menu.css\n'
      : '';
  const icons =
    compiled.iconSets.length > 0
      ? 'icons-LICENSE.txt  the licence of the icons from a library that menu.html draws (MIT)\n'
      : '';
  const [first, ...others] = pieceFiles(site);
  const where = (file: PieceFile | undefined) =>
    file ? GOES_WHERE[pieceKind(file.piece).stands].replaceAll('’', "'") : '';
  const more = others
    .map(
      (file) =>
        `${file.name}  the markup of ${file.piece.name}: paste it ${where(file)},\n                 ${pagesOfFile(site, file)}\n`,
    )
    .join('');
  return `${first?.piece.name ?? 'The header'} of ${site.name}

menu.html        the markup: paste it ${where(first)}
${more}menu.css         the stylesheet: load it in the page's head, before or after your own
menu.js          the behaviour: load it with defer, in the head or at the end of the body
${compiled.script === '' ? '' : 'menu.mjs         the same to read and to work on: a module with its comments, instead of menu.js\n'}${fonts}${pictures}${icons}index.html       an empty page that does all of this, to look at and to copy from; page.css is
                 its own and needs no copying
tokens.json      colours and type as design tokens
site.hamaca.json the site itself: open it in Hamaca to go on

The custom properties at the top of menu.css hold the palette: change them there, or set them again
on .${compiled.root} in a stylesheet of your own, as ".${compiled.root}:not(#${compiled.prefix.slice(0, -1)})" so that it counts as much.
menu.js marks the link to the page it is on with aria-current; nothing has to be written by hand.
${printSets(site, examples)}`;
}

/** The script as it is read; empty where there is none. */
export const readableScript = (site: Site, { prefix, root, behaviours }: Compiled): string =>
  printReadableScript(prefix, `.${root}`, new Set(behaviours), `What the menus of ${site.name} do.`);

/** The markup files of every page of the inventory, by its path; null where all pages have the same. */
export function printPages(site: Site): string | null {
  if (pageSets(site).filter(({ pieces }) => pieces.length > 0).length < 2) return null;
  const files = new Map(
    pageSets(site).flatMap(({ pieces, pages }) => {
      const names = filesFor(site, pieces).map(({ name }) => name);
      return pages.map((page) => [page.id, names] as const);
    }),
  );
  return `${JSON.stringify(Object.fromEntries(site.pages.map(({ id, path }) => [path, files.get(id) ?? []])), null, 2)}\n`;
}

/** Every file of the hand-off, in the order of its listing; null where nothing stands in the site's pages. */
export function handOffFiles(
  whole: Site,
  fonts: readonly FontMetrics[],
  { pictures: at, ...options }: HandOffOptions = {},
): HandOffFile[] | null {
  const site = handedOver(whole);
  const files = pieceFiles(site);
  if (files.length === 0) return null;
  const compiled = compileSite(site, { fonts, ...options });
  const pictures = at === undefined ? null : createPictures(at);
  const fromMarkup = (markup: string) => pictures?.fromMarkup(markup) ?? markup;
  const examples = examplePages(site);
  const pages = printPages(site);
  const markups = files.map((file) => ({ name: file.name, text: fromMarkup(fileMarkup(compiled, file)) }));
  const stylesheet = pictures?.fromStylesheet(compiled.stylesheet) ?? compiled.stylesheet;
  const hasColumns = examples.some(({ pieces }) =>
    pieces.some((piece) => pieceKind(piece).stands === 'beside'),
  );
  return [
    ...examples.map(({ name, pieces }) => ({
      name,
      text: fromMarkup(printExamplePage(site, pageMarkup(site, compiled.pieces, pieces))),
    })),
    ...markups,
    ...(pages === null ? [] : [{ name: 'pages.json', text: pages }]),
    { name: 'menu.css', text: stylesheet },
    { name: 'page.css', text: EXAMPLE_STYLE + (hasColumns ? COLUMNS_STYLE : '') },
    { name: 'menu.js', text: compiled.script },
    ...(compiled.script === '' ? [] : [{ name: 'menu.mjs', text: readableScript(site, compiled) }]),
    ...(pictures?.files() ?? []),
    ...compiled.fontFiles.map((file) => ({ name: `fonts/${file}.woff2`, font: `${file}.woff2` })),
    ...compiled.typefaces
      .filter(({ id }) => isBundled(id))
      .map(({ id }) => ({ name: `fonts/${id}-LICENSE.txt`, font: `${id}-LICENSE.txt` })),
    ...(compiled.iconSets.includes('tabler') ? [{ name: 'icons-LICENSE.txt', text: TABLER_LICENCE }] : []),
    { name: 'tokens.json', text: printDesignTokens(site) },
    { name: 'site.hamaca.json', text: printSiteFile(whole) },
    {
      name: 'README.txt',
      text: printReadme(site, compiled, examples, at !== undefined && pictures?.files().length ? at : null),
    },
  ];
}
