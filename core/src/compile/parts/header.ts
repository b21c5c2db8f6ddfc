import type { Part } from '../../document/part.ts';
import { ZONES, type Row } from '../../document/pieces/header.ts';
import { headerParts, rowParts } from '../../document/walk.ts';
import { within, type CompileContext } from '../context.ts';
import { unfolded } from '../media.ts';
import { element, rule, type ConditionalRule, type HtmlElement } from '../trees.ts';
import { buttonMarkup, buttonRules } from './button.ts';
import { logoMarkup, logoRules } from './logo.ts';
import { symbols } from '../icons.ts';
import { menuMarkup, menuRules } from './menu.ts';
import { openerMarkup, openerRules } from './opener.ts';
import { panelMarkup } from './panel.ts';

/** The menu that folds into the panel: the header's first one. */
export function foldingMenu(context: CompileContext): string | null {
  if (!context.fold) return null;
  return headerParts(context.header).find((part) => part.kind === 'menu')?.id ?? null;
}

function partMarkup(context: CompileContext, part: Part): HtmlElement | null {
  switch (part.kind) {
    case 'logo': return logoMarkup(context, part);
    case 'button': return buttonMarkup(context, part);
    case 'opener': return openerMarkup(context, part);
    case 'menu': {
      const menu = menuMarkup(context, part);
      return context.fold && part.id === foldingMenu(context) ? panelMarkup(context, context.fold.panel, menu) : menu;
    }
  }
}

export function headerMarkup(context: CompileContext): HtmlElement {
  const rows = context.header.rows.map((row) =>
    element('div', { class: context.names.slotClass(row.id, 'row') }, ...rowParts(row).map((part) => partMarkup(context, part))));
  const beside = context.panels.filter((panel) => panel !== context.fold?.panel || foldingMenu(context) === null);
  return element('header', { class: context.names.name('header') }, symbols(context), ...rows, ...beside.map((panel) => panelMarkup(context, panel, null)));
}

/** The class of the element that stands for a part in its row. */
function partClass(context: CompileContext, part: Part): string {
  return context.names.slotClass(part.id, part.kind === 'menu' ? 'nav' : part.kind);
}

const PUSHED = [['margin-inline-start', 'auto']] as const;

/** Each zone behind the first is pushed away from the one before by the room that is left. */
function zoneRules(context: CompileContext, row: Row): ConditionalRule[] {
  const folding = foldingMenu(context);
  return ZONES.slice(1).flatMap((zone): ConditionalRule[] => {
    const parts = row.zones[zone];
    // The opener leads only where nothing that shows at all widths stands in its zone.
    const leads = parts.find((part) => part.kind !== 'opener') ?? parts[0];
    if (!leads) return [];
    const selector = within(context, `.${partClass(context, leads)}`);
    // A folded menu stands in the panel, not in a zone.
    if (leads.id === folding) return unfolded(context, [[selector, PUSHED]]);
    return [rule(selector, PUSHED)];
  });
}

function partRules(context: CompileContext, part: Part): ConditionalRule[] {
  switch (part.kind) {
    case 'logo': return logoRules(context, part);
    case 'button': return buttonRules(context, part);
    case 'opener': return context.fold ? openerRules(context, part) : [];
    case 'menu': return menuRules(context, part);
  }
}

export function headerRules(context: CompileContext): ConditionalRule[] {
  return context.header.rows.flatMap((row) => [
    rule(within(context, `.${context.names.slotClass(row.id, 'row')}`), [['display', 'flex'], ['flex-wrap', 'wrap'], ['align-items', 'center']]),
    ...rowParts(row).flatMap((part) => partRules(context, part)),
    ...zoneRules(context, row),
  ]);
}
