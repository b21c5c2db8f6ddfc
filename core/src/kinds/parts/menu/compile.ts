import type { MenuItem } from '../../../model/menu-item.ts';
import { levelCount } from '../../../model/states.ts';
import {
  element,
  styleRule,
  type ConditionalRule,
  type Declaration,
  type HtmlElement,
} from '../../../print/trees.ts';
import type { BehaviourId } from '../../behaviours/behaviours.ts';
import { shownItems, shownLinks } from '../../content.ts';
import { LEAST_TARGET, TOUCH_TARGET } from '../../extent.ts';
import {
  CLICKABLE,
  DRAWN_AS_TYPE,
  FOCUS_RING,
  FORCED_COLOURS,
  fragment,
  IN_LINE,
  KNOWS_INNER,
  NO_SCRIPT,
  PRINT,
  type Fragment,
  type PartOut,
  type Rules,
} from '../../out.ts';
import {
  accessibleName,
  controlSlot,
  hasOwnTarget,
  ICON_SPACE,
  isBare,
  isLinkedParent,
  itemAttributes,
  itemContent,
} from './item.ts';
import { halfOf, type MenuPart } from './shape.ts';
import { boxedSlots, menuHasSlot, type MenuSlot } from './slots.ts';

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
function disclosure(item: MenuItem, controls: string, out: PartOut): HtmlElement {
  const box = `${out.class(controlSlot(item))} ${out.class('parent')}`;
  const button = { type: 'button', 'aria-expanded': 'false', 'aria-controls': controls };
  const sign = { class: out.class('marker') };
  if (!hasOwnTarget(item)) {
    const { target: _target, rel: _rel, ...attributes } = itemAttributes(item, box);
    return element('button', { ...attributes, ...button }, ...itemContent(item, out), element('span', sign));
  }
  return element(
    'span',
    { class: box },
    out.link(itemAttributes(item, out.class('lead')), item.target, ...itemContent(item, out)),
    element('button', { ...sign, ...button, 'aria-label': accessibleName(item) ?? item.label }),
  );
}

function itemElement(
  part: MenuPart,
  item: MenuItem,
  level: number,
  index: number,
  out: PartOut,
): HtmlElement {
  const attributes = { class: out.hidden(item.bands) };
  if (!opens(part, item, level) || item.role === 'divider')
    return element('li', attributes, itemControl(item, out));
  const children = item.children.map((child, place) => itemElement(part, child, level + 1, place, out));
  // Deeper levels stand open below their parent.
  if (level > 1) return element('li', attributes, itemControl(item, out), element('ul', {}, ...children));
  const id = out.id(`${out.class('submenu')}-${index + 1}`);
  return element(
    'li',
    attributes,
    disclosure(item, id, out),
    element('ul', { class: out.class('submenu'), id }, ...children),
  );
}

/** A menu as a named navigation with nested lists: one, or two halves where it is split around the logo. */
function markup(part: MenuPart, out: PartOut): HtmlElement {
  const items = shownItems(out.site, part).map((item, index) => itemElement(part, item, 1, index, out));
  const lists = out.split ? [halfOf(items, 0), halfOf(items, 1)] : [items];
  const hover = part.opensOn === 'hover' && menuHasSlot(part, 'submenu', out.site);
  return element(
    'nav',
    {
      class: out.classes('nav'),
      ...out.folding,
      'aria-label': part.name,
      [out.attribute('hover')]: hover && '',
    },
    ...lists.map((list) => element('ul', { class: out.class('list') }, ...list)),
  );
}

function hasThirdLevel(part: MenuPart, out: PartOut): boolean {
  const second = shownItems(out.site, part).flatMap((item) => item.children);
  return levelCount(part.levels) > 2 && second.some((item) => item.children.length > 0);
}

/** Room between an icon or picture and the label. */
const SPACED: Declaration = ['margin-inline-end', `${ICON_SPACE}px`];

/** Rules for what only some links have. */
function extraRules(part: MenuPart, out: PartOut): ConditionalRule[] {
  const ifShown = (slot: MenuSlot, rules: readonly ConditionalRule[]) =>
    menuHasSlot(part, slot, out.site) ? rules : [];
  const hidesLabel = shownLinks(out.site, part).some((item) => item.labelHidden);
  return [
    ...ifShown('action', [
      styleRule(out.at('action'), [...IN_LINE, CLICKABLE]),
      styleRule(out.at('action'), [['outline', '1px solid']], FORCED_COLOURS),
    ]),
    ...ifShown('heading', [styleRule(out.at('heading'), IN_LINE)]),
    ...ifShown('glyph', [styleRule(out.at('glyph'), [...DRAWN_AS_TYPE, SPACED])]),
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

/** What arranges the links of a menu in a panel. */
function panelRules(out: PartOut): ConditionalRule[] {
  return out.inPanel([
    [
      `${out.at('nav')}, ${out.at('list')}`,
      [
        ['display', 'block'],
        ['flex', '1'],
      ],
    ],
    [
      out.at('list', ' li'),
      [
        ['flex-wrap', 'wrap'],
        ['min-block-size', `${TOUCH_TARGET}px`],
      ],
    ],
    [
      out.at('link'),
      [
        ['flex', '1'],
        ['align-self', 'stretch'],
      ],
    ],
  ]);
}

/** The sign is drawn with two borders: nothing to load, nothing to repeat in the markup. */
function markerRules(out: PartOut): ConditionalRule[] {
  const open = `${out.at('marker')}[aria-expanded=true]::before`;
  const openInside = out.within(`[aria-expanded=true]>.${out.class('marker')}::before`);
  return [
    styleRule(out.at('marker'), [
      ['display', 'grid'],
      ['place-items', 'center'],
      ['min-inline-size', `${LEAST_TARGET}px`],
      ['min-block-size', `${LEAST_TARGET}px`],
    ]),
    styleRule(out.at('marker', '::before'), [
      ['content', '""'],
      ['inline-size', '.5em'],
      ['block-size', '.5em'],
      ['border-style', 'solid'],
      ['border-width', '0 .15em .15em 0'],
      ['rotate', '45deg'],
      ['translate', '0 -.15em'],
    ]),
    styleRule(`${open}, ${openInside}`, [
      ['rotate', '225deg'],
      ['translate', '0 .1em'],
    ]),
    styleRule(out.at('marker'), [['display', 'none']], PRINT),
  ];
}

function thirdLevelRules(out: PartOut): ConditionalRule[] {
  const box = out.at('submenu');
  return [
    // Beneath one another, so that the box is as wide as its widest link and not as two of them.
    styleRule(`${box} li`, [
      ['flex-direction', 'column'],
      ['align-items', 'stretch'],
    ]),
    styleRule(`${box} ul`, [['padding-inline-start', '12px']]),
  ];
}

/** The box of a parent with its own page: the link reaches over all of it, the button of the sign lies above. */
function parentRules(part: MenuPart, out: PartOut): ConditionalRule[] {
  const parents = shownItems(out.site, part).filter(isLinkedParent);
  if (parents.length === 0) return [];
  const lead = out.within(`.${out.class('lead')}`);
  return [
    ...(parents.every(isBare) ? [] : [styleRule(lead, [...IN_LINE, ['gap', 'inherit']])]),
    styleRule(`${lead}::after`, [
      ['content', '""'],
      ['position', 'absolute'],
      ['inset', '0'],
    ]),
    ...boxedSlots(part, out.site).map((slot) => styleRule(out.at(slot), [['position', 'relative']])),
    styleRule(out.within(`button.${out.class('marker')}`), [['position', 'relative']]),
    // The ring goes around the whole shape where the box can know of it.
    styleRule(
      out.within(`.${out.class('parent')}:where(:has(>.${out.class('lead')}:focus-visible))`),
      FOCUS_RING,
    ),
    styleRule(`${lead}:focus-visible`, [['outline', 'none']], KNOWS_INNER),
  ];
}

/** In a panel the signs of all parents stand in one column at its end; labels leave the room free. */
function signColumn(part: MenuPart, out: PartOut): Rules {
  const parent = `.${out.class('parent')}`;
  const boxed = boxedSlots(part, out.site);
  const parents = shownItems(out.site, part).filter((item) => item.children.length > 0);
  return [
    ...[...new Set(parents.map(controlSlot))]
      .filter((slot) => !boxed.includes(slot))
      .map((slot) => [out.at(slot), [['position', 'relative']]] as const),
    [out.within(parent), [['min-block-size', `${TOUCH_TARGET}px`]]],
    [
      out.within(`${parent}::before`),
      [
        ['content', '""'],
        ['order', '1'],
        ['flex', `0 0 ${TOUCH_TARGET}px`],
      ],
    ],
    [
      out.within(`${parent}>.${out.class('marker')}`),
      [
        ['position', 'absolute'],
        ['inset-block', '0'],
        ['inset-inline-end', '0'],
        ['inline-size', `${TOUCH_TARGET}px`],
      ],
    ],
  ];
}

function submenuRules(part: MenuPart, out: PartOut): ConditionalRule[] {
  const box = out.class('submenu');
  const marker = out.class('marker');
  const opened = `.${box}[${out.attribute('open')}]`;
  return [
    ...markerRules(out),
    ...parentRules(part, out),
    ...(hasThirdLevel(part, out) ? thirdLevelRules(out) : []),
    ...out.inRow([
      [
        out.at('submenu'),
        [
          ['position', 'absolute'],
          ['inset-block-start', out.beneath],
          ['inset-inline-start', '0'],
          ['z-index', '1'],
          ['display', 'none'],
          ['flex-direction', 'column'],
          ['inline-size', 'max-content'],
        ],
      ],
      [`${out.at('submenu')} .${out.class('link')}`, [['flex', '1']]],
      [out.within(opened), [['display', 'flex']]],
      // Until the script runs, and without it, pointing and tabbing open submenus.
      [`${out.unready} li:hover>.${box}, ${out.unready} li:focus-within>.${box}`, [['display', 'flex']]],
      [out.at('submenu', `[${out.attribute('end')}]`), [['inset-inline', 'auto 0']]],
    ]),
    ...out.inPanel([
      ...signColumn(part, out),
      [
        out.at('submenu'),
        [
          ['display', 'flex'],
          ['flex-direction', 'column'],
          ['flex-basis', '100%'],
        ],
      ],
      [`${out.ready} .${box}`, [['display', 'none']]],
      [`${out.ready} ${opened}`, [['display', 'flex']]],
    ]),
    styleRule(`${out.unready} button.${marker}`, [['visibility', 'hidden']], NO_SCRIPT),
  ];
}

/** What arranges a menu, whatever its look. */
function rules(part: MenuPart, out: PartOut): ConditionalRule[] {
  return [
    // Halves around the logo stand in the row itself.
    ...(out.split
      ? []
      : [
          styleRule(out.at('nav'), [
            ['display', 'flex'],
            ['align-self', 'stretch'],
          ]),
        ]),
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
    ...extraRules(part, out),
    ...panelRules(out),
    ...(menuHasSlot(part, 'submenu', out.site) ? submenuRules(part, out) : []),
  ];
}

function behaviours(part: MenuPart, out: PartOut): BehaviourId[] {
  return menuHasSlot(part, 'submenu', out.site) ? ['current', 'disclosure'] : ['current'];
}

export function compileMenu(part: MenuPart, out: PartOut): Fragment {
  return fragment([markup(part, out)], rules(part, out), behaviours(part, out));
}
