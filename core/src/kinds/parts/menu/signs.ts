import { styleRule, type ConditionalRule, type Declaration } from '../../../print/trees.ts';
import { LEAST_TARGET, TOUCH_TARGET } from '../../extent.ts';
import {
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
import type { MenuPart } from './shape.ts';
import { boxedSlots, menuHasLevel, openingItems } from './slots.ts';
import type { Boxes } from './boxes.ts';

/** The sign is a clipped box: nothing to load, nothing to repeat in the markup. */
const SIGN: readonly Declaration[] = [
  ['content', '""'],
  ['inline-size', '1em'],
  ['block-size', '1em'],
  ['background', 'currentColor'],
  ['clip-path', SIGN_PROPERTIES.sign.choices[SIGN_PROPERTIES.sign.initial]],
];

/** Signs of boxes beside their link point there, open or not. */
const sidewardRules = ({ sign, said }: Boxes, out: PartOut): ConditionalRule[] =>
  said<Opening>('opens')
    .filter(({ value }) => value === 'beside' && sign !== null)
    .flatMap(({ conditions }) =>
      widely(
        out.inRow([
          [out.within(`${sign}::before`), [['rotate', '-90deg']]],
          [out.within(`${sign}:where(:dir(rtl))::before`), [['rotate', '90deg']]],
        ]),
        conditions,
      ),
    );

/** The signs that say that there is more. */
export function signRules(part: MenuPart, boxes: readonly Boxes[], out: PartOut): ConditionalRule[] {
  const levels = ([1, 2] as const).filter((level) => menuHasLevel(part, 'marker', level, out.site));
  if (levels.length === 0) return [];
  const marker = out.at('marker');
  const open = `${marker}[aria-expanded=true]::before`;
  const openInside = out.within(`[aria-expanded=true]>.${out.class('marker')}::before`);
  const turn = SIGN_PROPERTIES.signTurn;
  const usual = turn.choices[turn.initial];
  return [
    styleRule(marker, [
      ['display', 'grid'],
      ['place-items', 'center'],
      ['min-inline-size', `${LEAST_TARGET}px`],
      ['min-block-size', `${LEAST_TARGET}px`],
    ]),
    styleRule(`${marker}::before`, SIGN),
    styleRule(`${marker}::before`, [['background', 'ButtonText']], FORCED_COLOURS),
    styleRule(`${open}, ${openInside}`, [
      ['rotate', out.says('marker', 'signTurn') ? `var(${out.variable('turn')}, ${usual})` : usual],
    ]),
    ...boxes.flatMap((one) => sidewardRules(one, out)),
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
