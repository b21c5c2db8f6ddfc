import type { MenuPart } from '../../document/parts/menu.ts';
import type { MenuItem } from '../../document/site.ts';
import { findMenu } from '../../document/walk.ts';
import { LEAST_TARGET } from '../../layout/part-width.ts';
import { within, type CompileContext } from '../context.ts';
import { linkElement } from '../link.ts';
import { element, rule, text, type ConditionalRule, type HtmlElement } from '../trees.ts';
import { folded, unfolded } from '../media.ts';

/** Side of a finger's target on folded menus, in px (WCAG 2.2, success criterion 2.5.5). */
const TOUCH_TARGET = 44;

/** Whether a link has a submenu in this placement. */
const opens = (part: MenuPart, item: MenuItem, level: number) => item.children.length > 0 && level < part.levels;

function itemElement(context: CompileContext, part: MenuPart, item: MenuItem, level: number, index: number): HtmlElement {
  const { names } = context;
  const linkClass = names.slotClass(part.id, 'link');
  if (!opens(part, item, level)) return element('li', {}, linkElement(context, linkClass, item.label, item.target));
  const children = item.children.map((child, place) => itemElement(context, part, child, level + 1, place));
  if (level > 1) {
    // Deeper levels stand open below their parent.
    return element('li', {}, linkElement(context, linkClass, item.label, item.target), element('ul', {}, ...children));
  }
  const boxClass = names.slotClass(part.id, 'submenu');
  const id = `${boxClass}-${index + 1}`;
  return element('li', {}, ...disclosure(context, part, item, id), element('ul', { class: boxClass, id }, ...children));
}

/** A parent with its own page is a link and a button; without one, a button alone. */
function disclosure(context: CompileContext, part: MenuPart, item: MenuItem, controls: string): HtmlElement[] {
  const linkClass = context.names.slotClass(part.id, 'link');
  const markerClass = context.names.slotClass(part.id, 'marker');
  const button = { type: 'button', 'aria-expanded': 'false', 'aria-controls': controls };
  if (item.target.kind === 'none') {
    return [element('button', { class: linkClass, ...button }, text(item.label), element('span', { class: markerClass }))];
  }
  return [
    linkElement(context, linkClass, item.label, item.target),
    element('button', { class: markerClass, ...button, 'aria-label': item.label }),
  ];
}

/** A menu as a named navigation with nested lists. */
export function menuMarkup(context: CompileContext, part: MenuPart): HtmlElement {
  const items = findMenu(context.site, part.menu)?.items ?? [];
  return element('nav', { class: context.names.slotClass(part.id, 'nav'), 'aria-label': part.name },
    element('ul', { class: context.names.slotClass(part.id, 'list') }, ...items.map((item, index) => itemElement(context, part, item, 1, index))));
}

function hasSubmenus(context: CompileContext, part: MenuPart): boolean {
  return (findMenu(context.site, part.menu)?.items ?? []).some((item) => opens(part, item, 1));
}

function hasThirdLevel(context: CompileContext, part: MenuPart): boolean {
  const second = (findMenu(context.site, part.menu)?.items ?? []).flatMap((item) => item.children);
  return part.levels > 2 && second.some((item) => item.children.length > 0);
}

/** What arranges a menu, whatever its look. */
export function menuRules(context: CompileContext, part: MenuPart): ConditionalRule[] {
  const at = (slot: string, rest = '') => within(context, `.${context.names.slotClass(part.id, slot)}${rest}`);
  const list = at('list');
  return [
    rule(at('nav'), [['display', 'flex'], ['align-self', 'stretch']]),
    rule(list, [['display', 'flex'], ['flex-wrap', 'wrap']]),
    rule(at('list', ' li'), [['display', 'flex'], ['position', 'relative'], ['align-items', 'center']]),
    rule(at('link'), [['display', 'flex'], ['align-items', 'center'], ['cursor', 'pointer'], ['white-space', 'nowrap']]),
    ...foldedListRules(context, part, list),
    ...(hasSubmenus(context, part) ? submenuRules(context, part) : []),
  ];
}

function foldedListRules(context: CompileContext, part: MenuPart, list: string): ConditionalRule[] {
  const at = (slot: string, rest = '') => within(context, `.${context.names.slotClass(part.id, slot)}${rest}`);
  return folded(context, [
    [`${at('nav')}, ${list}`, [['display', 'block'], ['flex', '1']]],
    [at('list', ' li'), [['flex-wrap', 'wrap']]],
    [at('link'), [['flex', '1'], ['min-block-size', `${TOUCH_TARGET}px`], ['white-space', 'normal']]],
  ]);
}

function submenuRules(context: CompileContext, part: MenuPart): ConditionalRule[] {
  const { names } = context;
  const at = (slot: string, rest = '') => within(context, `.${names.slotClass(part.id, slot)}${rest}`);
  const box = names.slotClass(part.id, 'submenu');
  const opened = `[aria-expanded=true]~.${box}`;
  const unready = `${context.root}:not([${names.readyAttribute}])`;
  const ready = `${context.root}[${names.readyAttribute}]`;
  return [
    rule(at('marker'), [
      ['display', 'grid'], ['place-items', 'center'], ['min-inline-size', `${LEAST_TARGET}px`], ['min-block-size', `${LEAST_TARGET}px`],
      ['cursor', 'pointer'],
    ]),
    // The sign is drawn with two borders: nothing to load, nothing to repeat in the markup.
    rule(at('marker', '::before'), [
      ['content', '""'], ['inline-size', '.5em'], ['block-size', '.5em'], ['border', 'solid currentColor'], ['border-width', '0 .15em .15em 0'],
      ['rotate', '45deg'], ['translate', '0 -.15em'],
    ]),
    rule(`${at('marker')}[aria-expanded=true]::before, ${within(context, `[aria-expanded=true]>.${names.slotClass(part.id, 'marker')}::before`)}`, [
      ['rotate', '225deg'], ['translate', '0 .1em'],
    ]),
    ...(hasThirdLevel(context, part) ? [
      rule(within(context, `.${box} li`), [['flex-wrap', 'wrap']]),
      rule(within(context, `.${box} ul`), [['display', 'block'], ['flex-basis', '100%'], ['padding-inline-start', '12px']]),
    ] : []),
    ...unfolded(context, [
      [at('submenu'), [
        ['position', 'absolute'], ['inset-block-start', '100%'], ['inset-inline-start', '0'], ['z-index', '1'], ['display', 'none'],
        ['flex-direction', 'column'], ['inline-size', 'max-content'],
      ]],
      [within(context, `.${box} .${names.slotClass(part.id, 'link')}`), [['flex', '1']]],
      [within(context, opened), [['display', 'flex']]],
      // Until the script runs, and without it, pointing and tabbing open submenus.
      [`${unready} li:hover>.${box}, ${unready} li:focus-within>.${box}`, [['display', 'flex']]],
      [at('submenu', `[data-${names.prefix}end]`), [['inset-inline', 'auto 0']]],
    ]),
    ...folded(context, [
      [within(context, `button.${names.slotClass(part.id, 'marker')}`), [['min-inline-size', `${TOUCH_TARGET}px`], ['min-block-size', `${TOUCH_TARGET}px`]]],
      [at('link', ` .${names.slotClass(part.id, 'marker')}`), [['margin-inline-start', 'auto']]],
      [at('submenu'), [['display', 'flex'], ['flex-direction', 'column'], ['flex-basis', '100%']]],
      [`${ready} .${box}`, [['display', 'none']]],
      [`${ready} ${opened}`, [['display', 'flex']]],
    ]),
    rule(`${unready} button.${names.slotClass(part.id, 'marker')}`, [['visibility', 'hidden']], '@media (scripting: none)'),
  ];
}
