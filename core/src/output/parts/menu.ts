import type { MenuPart } from '../../kinds/parts/menu.ts';
import type { MenuItem } from '../../model/menu-item.ts';
import { levelCount } from '../../model/states.ts';
import { shownItems, shownLinks } from '../../kinds/walk.ts';
import { wearsSlot, type MenuSlot } from '../../kinds/worn.ts';
import { hasOwnTarget, ICON_SPACE, LEAST_TARGET } from '../../layout/part-width.ts';
import { within, type CompileContext } from '../context.ts';
import { accessibleName, itemAttributes, itemContent, linkElement } from '../link.ts';
import { element, rule, type ConditionalRule, type HtmlElement } from '../../print/trees.ts';
import { DRAWN } from '../icons.ts';
import { hiddenClasses, partClasses } from '../shown.ts';
import { arrangedOf, type Arranged } from '../media.ts';

/** Side of a finger's target on folded menus, in px (WCAG 2.2, success criterion 2.5.5). */
const TOUCH_TARGET = 44;

/** Whether a link has a submenu in this placement. */
const opens = (part: MenuPart, item: MenuItem, level: number) =>
  item.children.length > 0 && level < levelCount(part.levels);

/** A link, call to action, heading or line, without what is nested in it. */
function itemControl(context: CompileContext, part: MenuPart, item: MenuItem): HtmlElement {
  const at = (slot: string) => context.names.slotClass(part.id, slot);
  const content = itemContent(context, part, item);
  switch (item.role) {
    case 'divider':
      return element('hr', { class: at('divider') });
    case 'heading': {
      const { class: className, title } = itemAttributes(item, at('heading'));
      return element('span', { class: className ?? null, title: title ?? null }, ...content);
    }
    default:
      return linkElement(context, itemAttributes(item, at(item.role ?? 'link')), item.target, ...content);
  }
}

function itemElement(
  context: CompileContext,
  part: MenuPart,
  item: MenuItem,
  level: number,
  index: number,
): HtmlElement {
  const attributes = { class: hiddenClasses(context, item.bands) };
  if (!opens(part, item, level) || item.role === 'divider')
    return element('li', attributes, itemControl(context, part, item));
  const children = item.children.map((child, place) => itemElement(context, part, child, level + 1, place));
  // Deeper levels stand open below their parent.
  if (level > 1)
    return element('li', attributes, itemControl(context, part, item), element('ul', {}, ...children));
  const boxClass = context.names.slotClass(part.id, 'submenu');
  const id = `${boxClass}-${index + 1}`;
  return element(
    'li',
    attributes,
    ...disclosure(context, part, item, id),
    element('ul', { class: boxClass, id }, ...children),
  );
}

/** A parent with its own page is a link and a button; without one, a button alone. */
function disclosure(
  context: CompileContext,
  part: MenuPart,
  item: MenuItem,
  controls: string,
): HtmlElement[] {
  const markerClass = context.names.slotClass(part.id, 'marker');
  const button = { type: 'button', 'aria-expanded': 'false', 'aria-controls': controls };
  if (!hasOwnTarget(item)) {
    const {
      target: _target,
      rel: _rel,
      ...attributes
    } = itemAttributes(item, context.names.slotClass(part.id, item.role === 'action' ? 'action' : 'link'));
    return [
      element(
        'button',
        { ...attributes, ...button },
        ...itemContent(context, part, item),
        element('span', { class: markerClass }),
      ),
    ];
  }
  return [
    itemControl(context, part, item),
    element('button', { class: markerClass, ...button, 'aria-label': accessibleName(item) ?? item.label }),
  ];
}

/** A menu as a named navigation with nested lists: one, or two halves where it is split around the logo. */
export function menuMarkup(context: CompileContext, part: MenuPart, split = false): HtmlElement {
  const items = shownItems(context.site, part).map((item, index) =>
    itemElement(context, part, item, 1, index),
  );
  const half = Math.ceil(items.length / 2);
  const lists = split ? [items.slice(0, half), items.slice(half)] : [items];
  return element(
    'nav',
    { class: partClasses(context, part, 'nav'), 'aria-label': part.name },
    ...lists.map((list) => element('ul', { class: context.names.slotClass(part.id, 'list') }, ...list)),
  );
}

function hasThirdLevel(context: CompileContext, part: MenuPart): boolean {
  const second = shownItems(context.site, part).flatMap((item) => item.children);
  return levelCount(part.levels) > 2 && second.some((item) => item.children.length > 0);
}

/** Rules for what only some links have. */
function extraRules(context: CompileContext, part: MenuPart, { unfolded }: Arranged): ConditionalRule[] {
  const at = (slot: string, rest = '') =>
    within(context, `.${context.names.slotClass(part.id, slot)}${rest}`);
  const worn = (slot: MenuSlot) => wearsSlot(context.site, part, slot);
  const links = shownLinks(context.site, part);
  const box = [
    ['display', 'flex'],
    ['align-items', 'center'],
    ['white-space', 'nowrap'],
  ] as const;
  return [
    ...(worn('action') ? [rule(at('action'), [...box, ['cursor', 'pointer']])] : []),
    ...(worn('heading') ? [rule(at('heading'), box)] : []),
    // Its size is its font size.
    ...(worn('glyph')
      ? [rule(at('glyph'), [...DRAWN, ['inline-size', '1em'], ['block-size', '1em'], SPACED])]
      : []),
    ...(worn('picture')
      ? [rule(at('picture'), [['display', 'block'], ['block-size', 'auto'], SPACED, ['flex', 'none']])]
      : []),
    ...(links.some((item) => item.labelHidden)
      ? [rule(within(context, `.${context.names.name('alone')}`), [['margin-inline-end', '0']])]
      : []),
    ...(worn('description') ? [rule(at('description'), [['display', 'block']])] : []),
    ...(worn('divider')
      ? [
          rule(at('divider'), [
            ['display', 'block'],
            ['inline-size', '100%'],
          ]),
          ...unfolded([
            [
              at('list', `>li>.${context.names.slotClass(part.id, 'divider')}`),
              [
                ['inline-size', '1px'],
                ['align-self', 'stretch'],
              ],
            ],
          ]),
        ]
      : []),
  ];
}

/** Room between an icon or picture and the label. */
const SPACED = ['margin-inline-end', `${ICON_SPACE}px`] as const;

/** What arranges a menu, whatever its look. */
export function menuRules(context: CompileContext, part: MenuPart, inPanel = false): ConditionalRule[] {
  const arranged = arrangedOf(context, inPanel);
  const at = (slot: string, rest = '') =>
    within(context, `.${context.names.slotClass(part.id, slot)}${rest}`);
  const list = at('list');
  return [
    rule(at('nav'), [
      ['display', 'flex'],
      ['align-self', 'stretch'],
    ]),
    rule(list, [
      ['display', 'flex'],
      ['flex-wrap', 'wrap'],
    ]),
    rule(at('list', ' li'), [
      ['display', 'flex'],
      ['position', 'relative'],
      ['align-items', 'center'],
    ]),
    rule(at('link'), [
      ['display', 'flex'],
      ['align-items', 'center'],
      ['cursor', 'pointer'],
      ['white-space', 'nowrap'],
    ]),
    ...extraRules(context, part, arranged),
    ...foldedListRules(context, part, list, arranged),
    ...(wearsSlot(context.site, part, 'submenu') ? submenuRules(context, part, arranged) : []),
  ];
}

function foldedListRules(
  context: CompileContext,
  part: MenuPart,
  list: string,
  { folded }: Arranged,
): ConditionalRule[] {
  const at = (slot: string, rest = '') =>
    within(context, `.${context.names.slotClass(part.id, slot)}${rest}`);
  return folded([
    [
      `${at('nav')}, ${list}`,
      [
        ['display', 'block'],
        ['flex', '1'],
      ],
    ],
    [
      at('list', ' li'),
      [
        ['flex-wrap', 'wrap'],
        ['min-block-size', `${TOUCH_TARGET}px`],
      ],
    ],
    [
      at('link'),
      [
        ['flex', '1'],
        ['align-self', 'stretch'],
        ['white-space', 'normal'],
      ],
    ],
  ]);
}

function submenuRules(
  context: CompileContext,
  part: MenuPart,
  { folded, unfolded }: Arranged,
): ConditionalRule[] {
  const { names } = context;
  const at = (slot: string, rest = '') => within(context, `.${names.slotClass(part.id, slot)}${rest}`);
  const box = names.slotClass(part.id, 'submenu');
  const opened = `[aria-expanded=true]~.${box}`;
  const unready = `${context.root}:not([${names.readyAttribute}])`;
  const ready = `${context.root}[${names.readyAttribute}]`;
  return [
    rule(at('marker'), [
      ['display', 'grid'],
      ['place-items', 'center'],
      ['min-inline-size', `${LEAST_TARGET}px`],
      ['min-block-size', `${LEAST_TARGET}px`],
      ['cursor', 'pointer'],
    ]),
    // The sign is drawn with two borders: nothing to load, nothing to repeat in the markup.
    rule(at('marker', '::before'), [
      ['content', '""'],
      ['inline-size', '.5em'],
      ['block-size', '.5em'],
      ['border', 'solid currentColor'],
      ['border-width', '0 .15em .15em 0'],
      ['rotate', '45deg'],
      ['translate', '0 -.15em'],
    ]),
    rule(
      `${at('marker')}[aria-expanded=true]::before, ${within(context, `[aria-expanded=true]>.${names.slotClass(part.id, 'marker')}::before`)}`,
      [
        ['rotate', '225deg'],
        ['translate', '0 .1em'],
      ],
    ),
    ...(hasThirdLevel(context, part)
      ? [
          rule(within(context, `.${box} li`), [['flex-wrap', 'wrap']]),
          rule(within(context, `.${box} ul`), [
            ['display', 'block'],
            ['flex-basis', '100%'],
            ['padding-inline-start', '12px'],
          ]),
        ]
      : []),
    ...unfolded([
      [
        at('submenu'),
        [
          ['position', 'absolute'],
          ['inset-block-start', '100%'],
          ['inset-inline-start', '0'],
          ['z-index', '1'],
          ['display', 'none'],
          ['flex-direction', 'column'],
          ['inline-size', 'max-content'],
        ],
      ],
      [within(context, `.${box} .${names.slotClass(part.id, 'link')}`), [['flex', '1']]],
      [within(context, opened), [['display', 'flex']]],
      // Until the script runs, and without it, pointing and tabbing open submenus.
      [`${unready} li:hover>.${box}, ${unready} li:focus-within>.${box}`, [['display', 'flex']]],
      [at('submenu', `[data-${names.prefix}end]`), [['inset-inline', 'auto 0']]],
    ]),
    ...folded([
      [
        within(context, `button.${names.slotClass(part.id, 'marker')}`),
        [
          ['min-inline-size', `${TOUCH_TARGET}px`],
          ['min-block-size', `${TOUCH_TARGET}px`],
        ],
      ],
      [at('link', ` .${names.slotClass(part.id, 'marker')}`), [['margin-inline-start', 'auto']]],
      [
        at('submenu'),
        [
          ['display', 'flex'],
          ['flex-direction', 'column'],
          ['flex-basis', '100%'],
        ],
      ],
      [`${ready} .${box}`, [['display', 'none']]],
      [`${ready} ${opened}`, [['display', 'flex']]],
    ]),
    rule(
      `${unready} button.${names.slotClass(part.id, 'marker')}`,
      [['visibility', 'hidden']],
      '@media (scripting: none)',
    ),
  ];
}
