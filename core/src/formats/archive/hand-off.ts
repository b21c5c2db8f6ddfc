import type { Piece, Site } from '../../kinds/site.ts';
import { pieceKind } from '../../kinds/catalogue.ts';
import { panelsFrom, standingPieces } from '../../kinds/placed.ts';
import { slugify, uniqueName } from '../../base/ids.ts';
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
}

/** The markup of a piece that stands in pages, followed by the panels it can open. */
export function pageMarkup(site: Site, compiled: Compiled, piece: Piece): string {
  return [piece, ...panelsFrom(site, piece)].map(({ id }) => compiled.pieces.get(id) ?? '').join('');
}

/** A piece that stands in pages, with what its files' names end in: nothing for the first one. */
interface PieceFiles {
  readonly piece: Piece;
  readonly suffix: string;
}

const isAtEnd = (piece: Piece): boolean => pieceKind(piece).atEnd === true;

/** What begins pages comes before what ends them. */
function pieceFiles(site: Site): PieceFiles[] {
  const taken = new Set<string>();
  const standing = standingPieces(site);
  const ordered = [...standing.filter((piece) => !isAtEnd(piece)), ...standing.filter(isAtEnd)];
  return ordered.map((piece, index) => {
    if (index === 0) return { piece, suffix: '' };
    const name = uniqueName(slugify(piece.name, 'piece'), taken);
    taken.add(name);
    return { piece, suffix: `-${name}` };
  });
}

/** The example page's own stylesheet: in a file, as a strict content security policy refuses styles in the markup. */
const EXAMPLE_STYLE = `body {
  margin: 0;
}
`;

/** An otherwise empty page that uses the three files as any page would. */
function printExamplePage(site: Site, markup: string): string {
  const indented = markup
    .trimEnd()
    .split('\n')
    .map((line) => `    ${line}\n`)
    .join('');
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
${indented}  </body>
</html>
`;
}

function printReadme(
  site: Site,
  compiled: Compiled,
  pages: readonly PieceFiles[],
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
  const [first, ...others] = pages;
  const more = others
    .map(({ piece, suffix }) =>
      isAtEnd(piece)
        ? `menu${suffix}.html  the markup of ${piece.name}: paste it as the last thing in your page's body\n`
        : `menu${suffix}.html  the markup of ${piece.name}, for the pages that have it instead\n`,
    )
    .join('');
  return `${first?.piece.name ?? 'The header'} of ${site.name}

menu.html        the markup: paste it as the first thing in your page's body
${more}menu.css         the stylesheet: load it in the page's head, before or after your own
menu.js          the behaviour: load it with defer, in the head or at the end of the body
${fonts}${pictures}${icons}index.html       an empty page that does all of this, to look at and to copy from; page.css is
                 its own and needs no copying
tokens.json      colours and type as design tokens
site.hamaca.json the site itself: open it in Hamaca to go on

The custom properties at the top of menu.css hold the palette: change them there, or set them again
on .${compiled.root} in a stylesheet of your own, as ".${compiled.root}:not(#${compiled.prefix}x)" so that it counts as much.
menu.js marks the link to the page it is on with aria-current; nothing has to be written by hand.
`;
}

/** Every file of the hand-off, in the order of its listing; null where nothing stands in the site's pages. */
export function handOffFiles(
  site: Site,
  fonts: readonly FontMetrics[],
  { pictures: at, ...options }: HandOffOptions = {},
): HandOffFile[] | null {
  const pages = pieceFiles(site);
  if (pages.length === 0) return null;
  const compiled = compileSite(site, { fonts, ...options });
  const pictures = at === undefined ? null : createPictures(at);
  const markup = pages.map((page) => {
    const own = pageMarkup(site, compiled, page.piece);
    return { ...page, markup: pictures?.fromMarkup(own) ?? own };
  });
  // An example page has what begins it and the first of what ends pages.
  const end = markup.find(({ piece }) => isAtEnd(piece));
  const begins = markup.filter(({ piece }) => !isAtEnd(piece));
  const starts = begins.length > 0 ? begins : markup.slice(0, 1);
  const stylesheet = pictures?.fromStylesheet(compiled.stylesheet) ?? compiled.stylesheet;
  return [
    ...starts.map(({ suffix, markup: own, piece }) => ({
      name: `index${suffix}.html`,
      text: printExamplePage(site, isAtEnd(piece) ? own : own + (end?.markup ?? '')),
    })),
    ...markup.map(({ suffix, markup: own }) => ({ name: `menu${suffix}.html`, text: own })),
    { name: 'menu.css', text: stylesheet },
    { name: 'page.css', text: EXAMPLE_STYLE },
    { name: 'menu.js', text: compiled.script },
    ...(pictures?.files() ?? []),
    ...compiled.fontFiles.map((file) => ({ name: `fonts/${file}.woff2`, font: `${file}.woff2` })),
    ...compiled.typefaces
      .filter(({ id }) => isBundled(id))
      .map(({ id }) => ({ name: `fonts/${id}-LICENSE.txt`, font: `${id}-LICENSE.txt` })),
    ...(compiled.iconSets.includes('tabler') ? [{ name: 'icons-LICENSE.txt', text: TABLER_LICENCE }] : []),
    { name: 'tokens.json', text: printDesignTokens(site) },
    { name: 'site.hamaca.json', text: printSiteFile(site) },
    {
      name: 'README.txt',
      text: printReadme(site, compiled, pages, at !== undefined && pictures?.files().length ? at : null),
    },
  ];
}
