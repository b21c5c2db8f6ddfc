import { within, type CompileContext } from '../context.ts';
import { icon } from '../icons.ts';
import { folded, foldedWithScript, unfolded } from '../media.ts';
import type { Panel } from '../../kinds/pieces/panel.ts';
import { menuMarkup, menuRules } from './menu.ts';
import { element, rule, type ConditionalRule, type HtmlElement } from '../../print/trees.ts';

/**
 * A panel as a modal dialog, the folded menu first. The one copy of that menu stands in it; where the header is
 * unfolded, the stylesheet lets the dialog's box vanish and the script sets the menu beside it, out of the dialog's role.
 */
export function panelMarkup(context: CompileContext, panel: Panel, menu: HtmlElement | null): HtmlElement {
  const { names } = context;
  const id = names.slotClass(panel.id, 'panel');
  const close = element(
    'button',
    {
      class: names.slotClass(panel.id, 'close'),
      type: 'button',
      command: 'close',
      commandfor: id,
      'aria-label': panel.closeLabel,
    },
    icon(names.name('icon'), 'cross'),
  );
  return element(
    'dialog',
    { class: id, id, 'aria-label': panel.name, closedby: 'any' },
    close,
    menu,
    ...panel.parts.map((part) => menuMarkup(context, part)),
  );
}

/** The rules of all panels the header can open. */
export function panelsRules(context: CompileContext): ConditionalRule[] {
  return context.panels.flatMap((panel) => [
    ...panelRules(context, panel),
    ...panel.parts.flatMap((part) => menuRules(context, part, true)),
  ]);
}

/** Which panel is seen while it is closed: the folding one lends its place to the menu, any other none. */
function closedRules(context: CompileContext, panel: Panel): ConditionalRule[] {
  const { names } = context;
  const own = `.${names.slotClass(panel.id, 'panel')}:not([open])`;
  const closed = within(context, own);
  if (panel !== context.fold?.panel)
    return [
      rule(closed, [['display', 'none']]),
      rule(closed, [['display', 'block']], '@media (scripting: none)'),
    ];
  const parts = panel.parts
    .map((part) => within(context, `${own}>.${names.slotClass(part.id, 'nav')}`))
    .join(', ');
  return [
    ...unfolded(context, [
      [closed, [['display', 'contents']]],
      ...(parts === '' ? [] : [[parts, [['display', 'none']]] as const]),
      [`${context.root}[${names.readyAttribute}] ${own}`, [['display', 'none']]],
    ]),
    ...folded(context, [
      [
        closed,
        [
          ['display', 'block'],
          ['flex-basis', '100%'],
        ],
      ],
    ]),
    ...foldedWithScript(context, [[closed, [['display', 'none']]]]),
  ];
}

function panelRules(context: CompileContext, own: Panel): ConditionalRule[] {
  const { names } = context;
  const { id, side } = own;
  const panel = `.${names.slotClass(id, 'panel')}`;
  const close = `.${names.slotClass(id, 'close')}`;
  const open = within(context, `${panel}[open]`);
  const away = side === 'end' ? '100%' : '-100%';
  const back = side === 'end' ? '-100%' : '100%';
  const lock = `html:has(.${names.name('header')} ${panel}:modal)`;
  return [
    rule(within(context, close), [
      ['display', 'none'],
      ['align-self', 'flex-end'],
      ['cursor', 'pointer'],
    ]),
    rule(`${open} ${close}`, [['display', 'block']]),
    rule(open, [
      ['position', 'fixed'],
      ['inset-block', '0'],
      [`inset-inline-${side}`, '0'],
      ['display', 'flex'],
      ['flex-direction', 'column'],
      ['max-inline-size', '100%'],
      ['overflow-y', 'auto'],
      ['overscroll-behavior', 'contain'],
    ]),
    rule(within(context, `${panel}::backdrop`), [
      ['all', 'unset'],
      ['position', 'fixed'],
      ['inset', '0'],
    ]),
    ...closedRules(context, own),
    // The page behind does not scroll; its scrollbar's room is kept where it had one (the script marks a bare edge).
    rule(lock, [['overflow', 'hidden']]),
    rule(`${lock}:not(:has([data-${names.prefix}bare]))`, [['scrollbar-gutter', 'stable']]),
    rule(open, [['transition', 'translate .2s ease-out']], '@media (prefers-reduced-motion: no-preference)'),
    rule(open, [['translate', away]], '@media (prefers-reduced-motion: no-preference)', '@starting-style'),
    rule(
      `${open}:dir(rtl)`,
      [['translate', back]],
      '@media (prefers-reduced-motion: no-preference)',
      '@starting-style',
    ),
  ];
}
