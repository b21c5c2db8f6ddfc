import { within, type CompileContext } from '../context.ts';
import { icon } from '../icons.ts';
import { folded, foldedWithScript, unfolded } from '../media.ts';
import { element, rule, type ConditionalRule, type HtmlElement } from '../trees.ts';

/**
 * The folded menu as a modal dialog. The one copy of the menu stands in it; where the header is unfolded, the
 * stylesheet lets the dialog's box vanish and the script sets the menu beside it, out of the dialog's role.
 */
export function panelMarkup(context: CompileContext, menu: HtmlElement): HtmlElement {
  const { names, fold } = context;
  const id = names.name('panel');
  const close = element('button', {
    class: names.name('close'), type: 'button', command: 'close', commandfor: id, 'aria-label': fold?.panel.closeLabel ?? '',
  }, icon(names.name('icon'), 'cross'));
  return element('dialog', { class: id, id, 'aria-label': fold?.panel.name ?? '', closedby: 'any' }, close, menu);
}

export function panelRules(context: CompileContext): ConditionalRule[] {
  const { names, fold } = context;
  if (!fold) return [];
  const panel = `.${names.name('panel')}`;
  const closed = `${panel}:not([open])`;
  const open = within(context, `${panel}[open]`);
  const side = fold.panel.side;
  const away = side === 'end' ? '100%' : '-100%';
  const back = side === 'end' ? '-100%' : '100%';
  const lock = `html:has(.${names.name('header')} ${panel}:modal)`;
  return [
    rule(within(context, `.${names.name('close')}`), [['display', 'none'], ['align-self', 'flex-end'], ['cursor', 'pointer']]),
    rule(`${open} .${names.name('close')}`, [['display', 'block']]),
    rule(open, [
      ['position', 'fixed'], ['inset-block', '0'], [`inset-inline-${side}`, '0'], ['display', 'flex'], ['flex-direction', 'column'],
      ['max-inline-size', '100%'], ['overflow-y', 'auto'], ['overscroll-behavior', 'contain'],
    ]),
    rule(within(context, `${panel}::backdrop`), [['all', 'unset'], ['position', 'fixed'], ['inset', '0']]),
    ...unfolded(context, [
      [within(context, closed), [['display', 'contents']]],
      [`${context.root}[${names.readyAttribute}] ${closed}`, [['display', 'none']]],
    ]),
    ...folded(context, [[within(context, closed), [['display', 'block'], ['flex-basis', '100%']]]]),
    ...foldedWithScript(context, [[within(context, closed), [['display', 'none']]]]),
    // The page behind does not scroll; its scrollbar's room is kept where it had one (the script marks a bare edge).
    rule(lock, [['overflow', 'hidden']]),
    rule(`${lock}:not(:has([data-${names.prefix}bare]))`, [['scrollbar-gutter', 'stable']]),
    rule(open, [['transition', 'translate .2s ease-out']], '@media (prefers-reduced-motion: no-preference)'),
    rule(open, [['translate', away]], '@media (prefers-reduced-motion: no-preference)', '@starting-style'),
    rule(`${open}:dir(rtl)`, [['translate', back]], '@media (prefers-reduced-motion: no-preference)', '@starting-style'),
  ];
}
