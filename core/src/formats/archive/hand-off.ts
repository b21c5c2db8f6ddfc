import { compileHeader, type Compiled } from '../../output/compile.ts';
import { escapeAttribute, escapeText } from '../../print/html.ts';
import type { Site } from '../../model/site.ts';
import { findHeader } from '../../kinds/walk.ts';
import { printSiteFile } from '../../load/print-site.ts';
import type { FontMetrics } from '../../text/font-table.ts';
import { isBundled } from '../../text/typefaces.ts';
import { TABLER_LICENCE } from './icon-licence.ts';
import { printDesignTokens } from '../palette/design-tokens.ts';

/** A file of the hand-off: text, or the name of a font file or licence that the caller copies in. */
export type HandOffFile =
  { readonly name: string; readonly text: string } | { readonly name: string; readonly font: string };

/** An otherwise empty page that uses the three files as any page would. */
function printExamplePage(site: Site, compiled: Compiled): string {
  const indented = compiled.markup
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
    <link rel="stylesheet" href="menu.css">
    <script src="menu.js" defer></script>
  </head>
  <body style="margin: 0">
${indented}  </body>
</html>
`;
}

function printReadme(site: Site, compiled: Compiled): string {
  const fonts =
    compiled.typefaces.length > 0
      ? 'fonts/           the typefaces menu.css loads, with the licences of the free ones;\n                 keep the folder beside menu.css\n'
      : '';
  const icons =
    compiled.iconSets.length > 0
      ? 'icons-LICENSE.txt  the licence of the icons from a library that menu.html draws (MIT)\n'
      : '';
  return `The header of ${site.name}

menu.html        the markup: paste it as the first thing in your page's body
menu.css         the stylesheet: load it in the page's head, before or after your own
menu.js          the behaviour: load it with defer, in the head or at the end of the body
${fonts}${icons}index.html       an empty page that does all of this, to look at and to copy from
tokens.json      colours and type as design tokens
site.hamaca.json the site itself: open it in Hamaca to go on

The custom properties at the top of menu.css hold the palette: change them there, or set them again
on .hm-header in a stylesheet of your own, as ".hm-header:not(#hm-x)" so that it counts as much.
menu.js marks the link to the page it is on with aria-current; nothing has to be written by hand.
`;
}

/** Every file of the hand-off, in the order of its listing; null where the site has no header. */
export function handOffFiles(site: Site, fonts: readonly FontMetrics[]): HandOffFile[] | null {
  const header = findHeader(site);
  if (!header) return null;
  const compiled = compileHeader(site, header, { fonts });
  return [
    { name: 'index.html', text: printExamplePage(site, compiled) },
    { name: 'menu.html', text: compiled.markup },
    { name: 'menu.css', text: compiled.stylesheet },
    { name: 'menu.js', text: compiled.script },
    ...compiled.typefaces.flatMap(({ id }): HandOffFile[] => [
      { name: `fonts/${id}.woff2`, font: `${id}.woff2` },
      ...(isBundled(id) ? [{ name: `fonts/${id}-LICENSE.txt`, font: `${id}-LICENSE.txt` }] : []),
    ]),
    ...(compiled.iconSets.includes('tabler') ? [{ name: 'icons-LICENSE.txt', text: TABLER_LICENCE }] : []),
    { name: 'tokens.json', text: printDesignTokens(site) },
    { name: 'site.hamaca.json', text: printSiteFile(site) },
    { name: 'README.txt', text: printReadme(site, compiled) },
  ];
}
