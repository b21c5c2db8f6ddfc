import { styleRule, type ConditionalRule, type Declaration } from '../../../print/trees.ts';
import { LEAST_TARGET, TOUCH_TARGET } from '../../extent.ts';
import {
  drawnAsType,
  FOCUS_RING,
  FORCED_COLOURS,
  IN_LINE,
  KNOWS_INNER,
  PRINT,
  widely,
  type PartOut,
  type Rules,
} from '../../out.ts';
import type { Opening } from '../../properties/placement.ts';
import { SIGN_PROPERTIES } from '../../properties/sign.ts';
import { controlSlot, isBare, isLinkedParent } from './item.ts';
import { signIconAt, type MenuPart } from './shape.ts';
import { boxedSlots, menuHasLevel, openingItems } from './slots.ts';
import { levelRules } from './alike.ts';
import type { Boxes, LevelOfBoxes } from './boxes.ts';

/** The sign is a clipped box: nothing to load, nothing to repeat in the markup. */
const SIGN: readonly Declaration[] = [
  ['content', '""'],
  ['inline-size', '1em'],
  ['block-size', '1em'],
  ['background', 'currentColor'],
  ['clip-path', SIGN_PROPERTIES.sign.choices[SIGN_PROPERTIES.sign.initial]],
];

/** The levels whose parents carry a sign, and those of them where it is an icon. */
function signLevels(part: MenuPart, out: PartOut) {
  const levels = ([1, 2] as const).filter((level) => menuHasLevel(part, 'marker', level, out.site));
  return { levels, withIcon: levels.filter((level) => signIconAt(part, level) !== null) };
}

/** What is drawn in signs, below the roots: boxes, icons, or some of each. */
function drawnIn(sign: string, part: MenuPart, out: PartOut): string {
  const { levels, withIcon } = signLevels(part, out);
  return [
    ...(withIcon.length < levels.length ? [`${sign}::before`] : []),
    ...(withIcon.length > 0 ? [`${sign}>.${out.class('sign-icon')}`] : []),
  ]
    .map((selector) => out.within(selector))
    .join(', ');
}

/** Signs of boxes beside their link point there, open or not. */
const sidewardRules = (part: MenuPart, { sign, said }: Boxes, out: PartOut): ConditionalRule[] =>
  said<Opening>('opens')
    .filter(({ value }) => value === 'beside' && sign !== null)
    .flatMap(({ conditions }) =>
      widely(
        out.inRow([
          [drawnIn(sign ?? '', part, out), [['rotate', '-90deg']]],
          [drawnIn(`${sign}:where(:dir(rtl))`, part, out), [['rotate', '90deg']]],
        ]),
        conditions,
      ),
    );

/** Where on the line of the label a sign stands, by where the icon does; beside it there is but one line. */
const LINE_OF: ReadonlyMap<string, string> = new Map([
  ['above', 'flex-end'],
  ['beneath', 'flex-start'],
]);

/** Where icons stand above or beneath their labels, signs stand on the line of the label. */
function lineRules(levels: readonly (1 | 2)[], out: PartOut): ConditionalRule[] {
  if (!out.says('glyph', 'iconPlace')) return [];
  return levels.flatMap((level) =>
    out.said<string>('glyph', level, 'iconPlace').flatMap(({ value, conditions }) => {
      const line = LINE_OF.get(value);
      const sign = out.within(out.ofLevel('marker', level));
      return line === undefined ? [] : [styleRule(sign, [['align-self', line]], ...conditions)];
    }),
  );
}

/** The signs that say that there is more. */
export function signRules(part: MenuPart, boxes: readonly LevelOfBoxes[], out: PartOut): ConditionalRule[] {
  const { levels, withIcon } = signLevels(part, out);
  if (levels.length === 0) return [];
  const marker = out.at('marker');
  const own = `.${out.class('marker')}`;
  const isMixed = withIcon.length > 0 && withIcon.length < levels.length;
  const turn = SIGN_PROPERTIES.signTurn;
  const usual = turn.choices[turn.initial];
  return [
    styleRule(marker, [
      ['display', 'grid'],
      ['place-items', 'center'],
      ['min-inline-size', `${LEAST_TARGET}px`],
      ['min-block-size', `${LEAST_TARGET}px`],
    ]),
    ...(withIcon.length === levels.length
      ? []
      : [
          styleRule(`${marker}::before`, SIGN),
          styleRule(`${marker}::before`, [['background', 'ButtonText']], FORCED_COLOURS),
        ]),
    ...(withIcon.length > 0 ? drawnAsType(out.at('sign-icon')) : []),
    ...(isMixed
      ? withIcon.map((level) =>
          styleRule(out.within(`${out.ofLevel('marker', level)}::before`), [['content', 'none']]),
        )
      : []),
    styleRule(
      [`${own}:where([aria-expanded=true])`, `${own}:where([aria-expanded=true]>*)`]
        .map((sign) => drawnIn(sign, part, out))
        .join(', '),
      [['rotate', out.says('marker', 'signTurn') ? `var(${out.variable('turn')}, ${usual})` : usual]],
    ),
    ...lineRules(levels, out),
    ...boxes.flatMap((level) => levelRules(level, (one) => sidewardRules(part, one, out))),
    // In a box the signs of all links stand at its end.
    ...(levels.includes(2)
      ? [styleRule(`${out.at('submenu')} .${out.class('marker')}`, [['margin-inline-start', 'auto']])]
      : []),
    styleRule(marker, [['display', 'none']], PRINT),
  ];
}

/** The box of a parent with its own page: the link reaches over all of it, the button of the sign lies above. */
export function parentRules(part: MenuPart, out: PartOut): ConditionalRule[] {
  const parents = openingItems(part, out.site).filter(isLinkedParent);
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
export function signColumn(part: MenuPart, out: PartOut): Rules {
  const parent = `.${out.class('parent')}`;
  const boxed = boxedSlots(part, out.site);
  return [
    ...[...new Set(openingItems(part, out.site).map(controlSlot))]
      .filter((slot) => !boxed.includes(slot))
      .map((slot) => [out.at(slot), [['position', 'relative']]] as const),
    // Beside the page they are so high only where a finger points.
    ...(out.stands === 'beside'
      ? []
      : [[out.within(parent), [['min-block-size', `${TOUCH_TARGET}px`]]] as const]),
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
