import type { MenuItem } from '../../../model/menu-item.ts';
import { levelCount } from '../../../model/states.ts';
import {
  element,
  listElement,
  shared,
  styleRule,
  text,
  type ConditionalRule,
  type Declaration,
  type HtmlElement,
} from '../../../print/trees.ts';
import type { BehaviourId } from '../../behaviours/behaviours.ts';
import { shownItems, shownLinks } from '../../content.ts';
import { LEAST_TARGET, TOUCH_TARGET } from '../../extent.ts';
import {
  CLICKABLE,
  FORCED_COLOURS,
  fragment,
  IN_LINE,
  widely,
  type Fragment,
  type PartOut,
} from '../../out.ts';
import {
  accessibleName,
  controlSlot,
  hasOwnTarget,
  PICTURE_SPACE,
  itemAttributes,
  itemContent,
} from './item.ts';
import { inLanguage } from '../../../text/languages/words.ts';
import { formRules } from './forms.ts';
import { hasMore, signIconAt, type MenuPart } from './shape.ts';
import { isDisclosed, isOpenedInSome, type BoxLevel } from './opening.ts';
import { menuHasLevel, menuHasSlot, type MenuSlot } from './slots.ts';
import { iconRules } from '../../with-icon.ts';
import { boxClass, spanRules, spansAll } from './spans.ts';
import { submenuRules } from './submenus.ts';

/** Whether a link has a submenu in this placement. */
const opens = (part: MenuPart, item: MenuItem, level: number) =>
  item.children.length > 0 && level < levelCount(part.levels);

/** A link, call to action, heading or line, without what is nested in it. */
function itemControl(item: MenuItem, out: PartOut): HtmlElement {
  const content = itemContent(item, out);
  switch (item.role) {
    case 'divider':
      return element('hr', { class: out.class('divider') });
    case 'heading': {
      const { class: className, title } = itemAttributes(item, out.class('heading'));
      return element('span', { class: className ?? null, title: title ?? null }, ...content);
    }
    default:
      return out.link(itemAttributes(item, out.class(controlSlot(item))), item.target, ...content);
  }
}

/**
 * What opens a submenu. A parent with its own page is a link and a button within one box, a parent without one is a button
 * alone: to the eye both are one shape with a label and a sign.
 */
function disclosure(
  item: MenuItem,
  {
    controls,
    icon,
    stands,
  }: {
    readonly controls: string;
    readonly icon: string | null;
    /** Whether there are widths at which its submenu is not opened: there it is words alone, which nobody can press. */
    readonly stands: boolean;
  },
  out: PartOut,
): HtmlElement[] {
  const drawn = icon === null ? null : out.glyph(out.class('sign-icon'), icon);
  const box = `${out.class(controlSlot(item))} ${out.class('parent')}`;
  const button = { type: 'button', 'aria-expanded': 'false', 'aria-controls': controls };
  const sign = { class: out.class('marker') };
  if (!hasOwnTarget(item)) {
    const { target: _target, rel: _rel, ...attributes } = itemAttributes(item, box);
    const opener = element(
      'button',
      { ...attributes, ...button },
      ...itemContent(item, out),
      element('span', sign, drawn),
    );
    if (!stands) return [opener];
    const own = itemAttributes(item, `${out.class(controlSlot(item))} ${out.name('stands')}`);
    return [element('span', { class: own['class'] ?? null }, ...itemContent(item, out)), opener];
  }
  return [
    element(
      'span',
      { class: box },
      out.link(itemAttributes(item, out.class('lead')), item.target, ...itemContent(item, out)),
      element('button', { ...sign, ...button, 'aria-label': openingName(item, out) }, drawn),
    ),
  ];
}

/** What the button beside a link is called: not as the link, which leads elsewhere. */
const openingName = (item: MenuItem, { site }: PartOut): string =>
  `${inLanguage(site.language, 'More')}: ${accessibleName(item) ?? item.label}`;

function itemElement(part: MenuPart, item: MenuItem, level: number, out: PartOut): HtmlElement {
  const classes = [
    out.itemClass(item.id),
    out.isKept(item.id) ? out.name('kept') : null,
    spansAll(item, level, out) ? out.name('spans') : null,
    out.hidden(item.bands),
  ].filter((name) => name !== null);
  const attributes = { class: classes.join(' ') || null };
  if (!opens(part, item, level) || item.role === 'divider')
    return element('li', attributes, itemControl(item, out));
  const children = item.children.map((child) => itemElement(part, child, level + 1, out));
  // What lies deeper than looks reach stands open below its parent.
  if (level > 2 || !isDisclosed(part, (level + 1) as BoxLevel, item.id))
    return element(
      'li',
      attributes,
      itemControl(item, out),
      listElement({ class: level < 3 ? boxClass(part, item, level, out) : out.name('deeper') }, ...children),
    );
  const id = out.itemId(item.id);
  return element(
    'li',
    attributes,
    ...disclosure(
      item,
      {
        controls: id,
        icon: signIconAt(part, level),
        stands: isOpenedInSome(part, (level + 1) as BoxLevel, item.id),
      },
      out,
    ),
    listElement({ class: boxClass(part, item, level, out), id }, ...children),
  );
}

/** The last link, under which the script moves those the row has no room for; calls to action stay behind it. */
function moreElement(part: MenuPart, out: PartOut): HtmlElement {
  const id = out.id(out.class('more'));
  const icon = signIconAt(part, 1);
  return element(
    'li',
    { class: out.name('more'), hidden: true },
    element(
      'button',
      {
        class: `${out.class('link')} ${out.class('parent')}`,
        type: 'button',
        'aria-expanded': 'false',
        'aria-controls': id,
      },
      text(part.moreWord),
      element(
        'span',
        { class: out.class('marker') },
        icon === null ? null : out.glyph(out.class('sign-icon'), icon),
      ),
    ),
    listElement({ class: out.class('submenu'), id, [out.attribute('rest')]: true }),
  );
}

/** The links of a menu, with the last one where it has a form that needs it. */
function listed(part: MenuPart, out: PartOut): HtmlElement[] {
  const items = shownItems(out.site, part);
  const elements = items.map((item) => itemElement(part, item, 1, out));
  if (!hasMore(part)) return elements;
  const place = items.findLastIndex(({ role }) => role !== 'action') + 1;
  return elements.toSpliced(place, 0, moreElement(part, out));
}

/** A menu as a named navigation with nested lists: one, or two halves where it is split around the logo. */
function markup(part: MenuPart, out: PartOut): HtmlElement {
  const items = listed(part, out);
  // The word for the rest counts for nothing as long as there is none.
  const count = hasMore(part) ? items.length - 1 : items.length;
  const half = Math.ceil(count / 2);
  const lists = out.split ? [items.slice(0, half), items.slice(half)] : [items];
  const hover = part.opensOn === 'hover' && menuHasSlot(part, 'marker', out.site);
  return element(
    'nav',
    {
      class: `${out.classes('nav')}${drills(part, out) ? ` ${out.name('drills')}` : ''}`,
      ...out.attributes,
      'aria-label': part.name,
      [out.attribute('hover')]: hover && '',
      [out.attribute('single')]: isSingle(part, out) && '',
      [out.attribute('sight')]: part.sight === true && '',
    },
    ...lists.map((list) => listElement({ class: out.class('list') }, ...list)),
  );
}

const hasSigns = (part: MenuPart, out: PartOut) => menuHasSlot(part, 'marker', out.site);

/** Whether submenus in a panel close one another, and whether each takes the place of what is around it. */
const isSingle = (part: MenuPart, out: PartOut) => part.inPanels === 'one' && hasSigns(part, out);
const drills = (part: MenuPart, out: PartOut) => part.inPanels === 'drill' && hasSigns(part, out);

/** A submenu that is open in a panel takes the place of its neighbours; the row of its parent is the way back. */
function drillRules(part: MenuPart, out: PartOut): ConditionalRule[] {
  if (!drills(part, out)) return [];
  const menu = `.${out.name('drills')}.${out.class('nav')}`;
  const open = `[${out.attribute('open')}]`;
  const parent = `${menu} li:has(>${open})>.${out.class('parent')}`;
  const back = `${parent}${menuSign(out)}`;
  return out.inPanel([
    [out.within(`${menu} ul:has(>li>${open})>li:not(:has(>${open}))`), [['display', 'none']]],
    [out.within(`${menu} ul${open}`), [['margin-inline-start', '0']]],
    [out.within(`${parent}::before`), [['order', '-1']]],
    [
      out.within(back),
      [
        ['inset-inline', '0 auto'],
        ['rotate', '90deg'],
      ],
    ],
    [out.within(`${back}:dir(rtl)`), [['rotate', '-90deg']]],
    [out.within(`${back}::before`), [['rotate', 'none']]],
  ]);
}

const menuSign = (out: PartOut) => `>.${out.class('marker')}`;

/** Room between a picture and the label. */
const SPACED: Declaration = ['margin-inline-end', `${PICTURE_SPACE}px`];

/** Rules for what only some links have. */
function extraRules(part: MenuPart, out: PartOut): ConditionalRule[] {
  const ifShown = (slot: MenuSlot, rules: readonly ConditionalRule[]) =>
    menuHasSlot(part, slot, out.site) ? rules : [];
  const levels = ([1, 2, 3] as const).filter((level) => menuHasLevel(part, 'glyph', level, out.site));
  const links = shownLinks(out.site, part);
  const isLabelled = links.some((item) => item.icon !== undefined && !item.labelHidden);
  const hidesLabel = links.some(
    (item) => item.image !== undefined && item.icon === undefined && item.labelHidden,
  );
  return [
    ...ifShown('action', [
      styleRule(out.at('action'), [...IN_LINE, CLICKABLE]),
      styleRule(out.at('action'), [['outline', '1px solid']], FORCED_COLOURS),
    ]),
    ...ifShown('heading', [styleRule(out.at('heading'), IN_LINE)]),
    ...ifShown('glyph', iconRules(out, 'glyph', { levels, isLabelled })),
    ...ifShown('picture', [styleRule(out.at('picture'), [SPACED, ['flex', 'none']])]),
    ...(hidesLabel ? [styleRule(out.within(`.${out.name('alone')}`), [['margin-inline-end', '0']])] : []),
    ...ifShown('description', [styleRule(out.at('description'), [['display', 'block']])]),
    ...ifShown('divider', [
      styleRule(out.at('divider'), [['inline-size', '100%']]),
      ...out.inRow([
        [
          out.at('list', `>li>.${out.class('divider')}`),
          [
            ['inline-size', '1px'],
            ['align-self', 'stretch'],
          ],
        ],
      ]),
    ]),
  ];
}

const BLOCK_THAT_GROWS: readonly Declaration[] = [
  ['display', 'block'],
  ['flex', '1'],
];

/** What arranges the links of a menu in a panel, or another column. */
function panelRules(out: PartOut): ConditionalRule[] {
  const items = out.at('list', ' li');
  const touched: Declaration = ['min-block-size', `${TOUCH_TARGET}px`];
  // Beside the page a mouse points at them as well.
  const isBeside = out.stands === 'beside';
  return [
    ...out.inPanel([
      // A navigation of two halves is no row of its own anywhere.
      [out.at('nav'), out.split ? [['flex', '1']] : BLOCK_THAT_GROWS],
      [out.at('list'), BLOCK_THAT_GROWS],
      [items, [['flex-wrap', 'wrap'], ...(isBeside ? [] : [touched])]],
      [
        out.at('link'),
        [
          ['flex', '1'],
          ['align-self', 'stretch'],
        ],
      ],
    ]),
    ...(isBeside
      ? widely(out.inPanel([[`${items}, ${out.within(`.${out.class('parent')}`)}`, [touched]]]), [
          '@media (pointer: coarse)',
        ])
      : []),
  ];
}

/** Links that stay in the bar as buttons are not there once more in the panel. */
const keptRules = (part: MenuPart, out: PartOut): ConditionalRule[] =>
  shownItems(out.site, part).some((item) => out.isKept(item.id))
    ? out.inPanel([[out.within(`.${out.class('nav')} .${out.name('kept')}`), [['display', 'none']]]])
    : [];

/** What arranges a menu, whatever its look. */
function rules(part: MenuPart, out: PartOut): ConditionalRule[] {
  return [
    // Halves around the logo stand in the row itself.
    ...(out.split
      ? []
      : shared('Lists of links', [
          styleRule(out.at('nav'), [
            ['display', 'flex'],
            ['align-self', 'stretch'],
          ]),
        ])),
    ...shared('Lists of links', [
      styleRule(out.at('list'), [
        ['display', 'flex'],
        ['flex-wrap', 'wrap'],
      ]),
      styleRule(out.at('list', ' li'), [
        ['display', 'flex'],
        ['position', 'relative'],
        ['align-items', 'center'],
      ]),
      styleRule(out.at('link'), [...IN_LINE, CLICKABLE]),
    ]),
    // Whatever is not said yet: a link can be hit (WCAG 2.2, 2.5.8).
    ...(out.says('link', 'paddingBlock')
      ? []
      : [styleRule(out.at('link'), [['min-block-size', `${LEAST_TARGET}px`]])]),
    ...extraRules(part, out),
    ...panelRules(out),
    ...submenuRules(part, out),
    ...spanRules(part, out),
    ...keptRules(part, out),
    ...drillRules(part, out),
    ...formRules(part, out),
  ];
}

function behaviours(part: MenuPart, out: PartOut): BehaviourId[] {
  const marks: readonly BehaviourId[] = part.sight ? ['current', 'sight'] : ['current'];
  if (!hasSigns(part, out)) return [...marks];
  return [
    ...marks,
    'disclosure',
    'arrows',
    ...(isSingle(part, out) ? (['single'] as const) : []),
    ...(hasMore(part) ? (['rest'] as const) : []),
  ];
}

export function compileMenu(part: MenuPart, out: PartOut): Fragment {
  return fragment([markup(part, out)], rules(part, out), behaviours(part, out));
}
