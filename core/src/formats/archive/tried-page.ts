import { pagesByPath } from '../../kinds/content.ts';
import { piecesOn } from '../../kinds/page-rules.ts';
import type { Site } from '../../kinds/site.ts';
import type { Page } from '../../model/site-content.ts';
import { compileSite } from '../../output/compile-site.ts';
import { BESIDE_COLUMN, pageMarkup, SIDE_BY_SIDE } from '../../output/page-markup.ts';
import { escapeAttribute, escapeText } from '../../print/html.ts';
import type { FontMetrics } from '../../text/font-table.ts';

export interface TriedPageOptions {
  /** Path of the page within the site. */
  readonly path: string;
  /** What lies before that where it is tried. */
  readonly base: string;
  readonly fontBase: string;
  readonly fonts: readonly FontMetrics[];
}

export interface TriedPage {
  readonly html: string;
  /** Whether the inventory knows the page. */
  readonly isKnown: boolean;
}

/** Widths of lines that stand for words, in per cent. */
const LINES = [100, 96, 98, 72, 99, 94, 100, 55] as const;

const WORDS = LINES.map((width) => `<p class="words" style="width:${width}%"></p>`).join('');

const section = ({ id, title }: Page['sections'][number]): string =>
  `<section id="${escapeAttribute(id)}"><h2>${escapeText(title || id)}</h2>${WORDS}${WORDS}</section>`;

/** The page of the inventory at a path, with or without the slash at its end. */
function findPage(site: Site, path: string): Page | null {
  const known = pagesByPath(site);
  const other = path.endsWith('/') ? path.replace(/\/+$/, '') : `${path}/`;
  return known.get(path) ?? known.get(other) ?? null;
}

const styleOf = (ground: string): string => `
body { margin: 0; background: ${ground}; color: #222; font: 16px/1.5 system-ui, sans-serif; }
.columns { ${SIDE_BY_SIDE}; }
.columns > main { ${BESIDE_COLUMN}; }
main { box-sizing: border-box; max-width: 768px; margin: 0 auto; padding: 32px 24px 64px; min-height: 60vh; }
main h1 { font-size: 34px; line-height: 1.2; }
main section { padding-block: 24px; min-height: 70vh; }
.words { height: 12px; margin: 0 0 14px; border-radius: 2px; background: currentColor; opacity: 0.13; }
`;

/** Tells who shows the page where it is, and takes links that lead elsewhere to them: nothing else can be reached from it. */
const REPORTING = `
(() => {
  const tell = (message) => { if (parent !== window) parent.postMessage(message, '*'); };
  const at = () => tell({ type: 'tried-at', pathname: location.pathname, hash: location.hash, title: document.title });
  addEventListener('hashchange', at);
  at();
  document.addEventListener('click', (event) => {
    const link = event.target.closest('a[href]');
    if (!link || event.defaultPrevented) return;
    const to = new URL(link.href);
    if (to.host === location.host && to.protocol === location.protocol) { link.removeAttribute('target'); return; }
    event.preventDefault();
    tell({ type: 'tried-away', href: link.href });
  });
})();
`;

/** A script or stylesheet within a page: nothing in it ends it early. */
const inside = (text: string): string => text.replaceAll('</', '<\\/');

/** A page of the site as it is with its pieces: their real output around words that are only drawn. */
export function printTriedPage(site: Site, { path, base, fontBase, fonts }: TriedPageOptions): TriedPage {
  const page = findPage(site, path);
  const compiled = compileSite(site, { fonts, fontBase, pathBase: base });
  const pieces = piecesOn(site, page ?? { id: '', path });
  const { before, beside, after } = pageMarkup(site, compiled.pieces, pieces);
  const title = page?.title || page?.path || 'No such page';
  const said = page
    ? WORDS + page.sections.map(section).join('')
    : `<p>The inventory knows no page at <code>${escapeText(path)}</code>.</p>`;
  const main = `<main><h1>${escapeText(title)}</h1>${said}</main>`;
  const html = `<!DOCTYPE html>
<html lang="${escapeAttribute(site.language)}" dir="${site.direction}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1, viewport-fit=cover">
<title>${escapeText(title)} · ${escapeText(site.name)}</title>
<style>${styleOf(site.scenes.at(-1)?.ground ?? '#ffffff')}</style>
<style>${inside(compiled.stylesheet)}</style>
</head>
<body>
${before}${beside === '' ? main : `<div class="columns">${beside}${main}</div>`}
${after}<script>${inside(compiled.script)}</script>
<script>${REPORTING}</script>
</body>
</html>
`;
  return { html, isKnown: page !== null };
}
