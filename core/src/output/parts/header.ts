import type { Part } from '../../kinds/part.ts';
import type { Header } from '../../kinds/pieces/header.ts';
import { isLength, toPixels } from '../../values/length.ts';
import { headerParts, rowParts } from '../../kinds/walk.ts';
import { resolve } from '../../resolve/resolve.ts';
import type { CompileContext } from '../context.ts';
import { symbols } from '../icons.ts';
import {
  element,
  rule,
  type ConditionalRule,
  type Declaration,
  type HtmlElement,
} from '../../print/trees.ts';
import { buttonMarkup, buttonRules } from './button.ts';
import { imageMarkup, imageRules } from './image.ts';
import { logoMarkup, logoRules } from './logo.ts';
import { menuMarkup, menuRules } from './menu.ts';
import { openerMarkup, openerRules } from './opener.ts';
import { panelMarkup } from './panel.ts';
import { arrangedMenu, centredLogo, rowMarkup, rowRules } from './row.ts';
import { ruleMarkup, ruleRules } from './rule.ts';
import { searchMarkup, searchRules } from './search.ts';
import { shortcutMarkup, shortcutRules } from './shortcut.ts';
import { socialMarkup, socialRules } from './social.ts';
import { textMarkup, textRules } from './text.ts';

/** The menu that folds into the panel: the header's first one. */
export function foldingMenu(context: CompileContext): string | null {
  if (!context.fold) return null;
  return headerParts(context.header).find((part) => part.kind === 'menu')?.id ?? null;
}

function partMarkup(context: CompileContext, part: Part, split: boolean): HtmlElement | null {
  switch (part.kind) {
    case 'logo':
      return logoMarkup(context, part);
    case 'button':
      return buttonMarkup(context, part);
    case 'opener':
      return openerMarkup(context, part);
    case 'search':
      return searchMarkup(context, part);
    case 'social':
      return socialMarkup(context, part);
    case 'text':
      return textMarkup(context, part);
    case 'image':
      return imageMarkup(context, part);
    case 'rule':
      return ruleMarkup(context, part);
    case 'shortcut':
      return shortcutMarkup(context, part);
    case 'menu': {
      const menu = menuMarkup(context, part, split);
      return context.fold && part.id === foldingMenu(context)
        ? panelMarkup(context, context.fold.panel, menu)
        : menu;
    }
  }
}

export function headerMarkup(context: CompileContext): HtmlElement {
  const rows = context.header.rows.map((row) =>
    rowMarkup(context, row, (part) =>
      partMarkup(context, part, centredLogo(row) !== null && part === arrangedMenu(row)),
    ),
  );
  const beside = context.panels.filter(
    (panel) => panel !== context.fold?.panel || foldingMenu(context) === null,
  );
  return element(
    'header',
    { class: context.names.name('header') },
    symbols(context),
    ...rows,
    ...beside.map((panel) => panelMarkup(context, panel, null)),
  );
}

function partRules(context: CompileContext, part: Part): ConditionalRule[] {
  switch (part.kind) {
    case 'logo':
      return logoRules(context, part);
    case 'button':
      return buttonRules(context, part);
    case 'opener':
      return context.fold ? openerRules(context, part) : [];
    case 'menu':
      return menuRules(context, part);
    case 'search':
      return searchRules(context, part);
    case 'social':
      return socialRules(context, part);
    case 'text':
      return textRules(context, part);
    case 'image':
      return imageRules(context, part);
    case 'rule':
      return ruleRules(context, part);
    case 'shortcut':
      return shortcutRules(context, part);
  }
}

/** How the header stands on the page. */
export function positionDeclarations({ stays, over }: Header): Declaration[] {
  if (!stays && !over) return [['position', 'relative']];
  const top = ['inset-block-start', '0'] as const;
  if (!over) return [['position', 'sticky'], top];
  return [['position', stays ? 'fixed' : 'absolute'], top, ['inset-inline', '0']];
}

/** The least height of a header in px in the widest band. */
function headerHeight({ site, header }: CompileContext): number {
  return header.rows.reduce((sum, row) => {
    const height = resolve(site, {
      owner: row.id,
      slot: 'row',
      property: 'height',
      level: null,
      states: [],
      band: 0,
    })?.value;
    return sum + (isLength(height) ? toPixels(height, { fontSize: 16 }) : 0);
  }, 0);
}

export function headerRules(context: CompileContext): ConditionalRule[] {
  const { header, names } = context;
  // A place that a link leads to is not hidden under a header that stays.
  const anchors = header.stays
    ? [
        rule(`html:has(.${names.name('header')})`, [
          ['scroll-padding-block-start', `${Math.round(headerHeight(context))}px`],
        ]),
      ]
    : [];
  return [
    ...anchors,
    ...header.rows.flatMap((row) => [
      ...rowParts(row).flatMap((part) => partRules(context, part)),
      ...rowRules(context, row, foldingMenu(context)),
    ]),
  ];
}
