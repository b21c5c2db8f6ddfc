import { styleRule, type ConditionalRule, type Declaration } from '../../../print/trees.ts';
import { lengthCss } from '../../../values/kinds/length.ts';
import { isLength } from '../../../values/length.ts';
import { LEAST_TARGET, TOUCH_TARGET } from '../../extent.ts';
import { PRINT, SCRIPT, widely, type PartOut, type Rules } from '../../out.ts';
import type { MenuForm, Opening } from '../../properties/placement.ts';
import { boxesOf, type Boxes } from './boxes.ts';
import { floats } from './opening.ts';
import { hasMore, type MenuPart } from './shape.ts';
import { standing } from './submenus.ts';

/*
 * The forms a menu's row of links can take in a band besides a row that wraps. Their selectors say the part's class twice,
 * so that they hold against what arranges the row around it.
 */

/** The least room in px that links keep where the rest of them scrolls or is under “more”. */
export const LEAST_ROOM = 120;

/** How far what is outside of a link reaches: the ring of focus, which what scrolls would cut. */
const RING = 4;

/** A form as it stands in a band. */
interface Form {
  readonly form: MenuForm;
  /** Height of a bar at the bottom of the window, as CSS. */
  readonly height: string;
}

/** Forms that links in two halves do not take. */
const LYING: readonly MenuForm[] = ['beneath one another', 'in columns'];

function formIn(out: PartOut, band: number): Form | null {
  if (!out.standsIn(band)) return null;
  const said = out.valueIn('list', 'menuForm', band) as MenuForm | undefined;
  const form = said ?? 'in a row';
  if (form === 'in a row' || (out.split && LYING.includes(form))) return null;
  const height = out.valueIn('list', 'bottomHeight', band);
  return {
    form,
    height: form === 'at the bottom' && isLength(height) ? lengthCss(height) : '0',
  };
}

/** The selector of something of the part that holds against its row. */
const firmly = (out: PartOut, rest: string) => {
  const nav = `.${out.class('nav')}`;
  return out.within(`${nav}${nav}${rest}`);
};

const list = (out: PartOut, rest = '') => firmly(out, ` .${out.class('list')}${rest}`);

/** The navigation takes what the row leaves, and so does a box of the row that it stands in. */
const filling = (out: PartOut, least: number, ...more: readonly Declaration[]): Rules => [
  [firmly(out, ''), [['flex', '1 1 0'], ['min-inline-size', `${least}px`], ...more]],
  [
    holder(out),
    [
      ['flex', '1 1 0'],
      ['min-inline-size', '0'],
      // Beside a logo in the middle they stand behind it.
      ...(out.split
        ? ([
            ['display', 'flex'],
            ['max-inline-size', 'none'],
          ] as const)
        : []),
    ],
  ],
];

/** The box of the row that the navigation stands in, where there is one. */
const holder = (out: PartOut) => `${out.section()}>:has(>.${out.class('nav')})`;

/** Both halves around a logo take as much of what the row leaves. */
const fillingHalves = (out: PartOut): Rules => [
  [
    holder(out),
    [
      ['flex', '9999 1 min-content'],
      ['grid-template-columns', `minmax(${LEAST_ROOM / 2}px, 1fr) auto minmax(${LEAST_ROOM / 2}px, 1fr)`],
    ],
  ],
  [list(out), [['min-inline-size', '0']]],
];

/** Boxes that lie over the page wherever links stand in a strip or at the bottom: across, not cut by what scrolls. */
function acrossRules(boxes: readonly Boxes[], placed: readonly Declaration[], out: PartOut) {
  return boxes
    .filter(({ level }) => level === 2)
    .flatMap((one) =>
      one
        .said<Opening>('opens')
        .filter(({ value }) => floats(value))
        .map(({ conditions }) =>
          styleRule(
            firmly(out, ` ${one.box}`),
            [
              ...placed,
              ['inset-inline', '0'],
              ['margin-inline', '0'],
              ['inline-size', 'auto'],
              ['max-inline-size', 'none'],
            ],
            ...conditions,
          ),
        ),
    );
}

/** Links on one line that scrolls where there is no room. */
function stripRules(boxes: readonly Boxes[], out: PartOut): readonly ConditionalRule[] {
  const hangs = boxes.length > 0;
  return [
    ...out.inRow([
      ...filling(
        out,
        LEAST_ROOM + 2 * RING,
        // Centred in a flex line, what is too long would begin out of reach.
        ...(out.split
          ? ([
              ['display', 'flex'],
              ['justify-content', 'flex-start'],
            ] as const)
          : ([['display', 'block']] as const)),
        ['overflow-x', 'auto'],
        ['overscroll-behavior-inline', 'contain'],
        ['scrollbar-width', 'thin'],
        ['padding', `${RING}px`],
        ['margin', `-${RING}px`],
      ),
      [
        list(out),
        [
          ['flex', 'none'],
          ['flex-wrap', 'nowrap'],
          ['justify-content', 'inherit'],
          ...(out.split
            ? []
            : ([
                ['inline-size', 'max-content'],
                ['min-inline-size', '100%'],
                ['block-size', '100%'],
              ] as const)),
        ],
      ],
      [list(out, '>li'), [['flex', 'none'], ...(hangs ? ([['position', 'static']] as const) : [])]],
      ...(hangs ? ([[out.section(), [['position', 'relative']]]] as const) : []),
    ]),
    ...acrossRules(boxes, standing('across', 2, out), out),
  ];
}

/** As many links on one line as there is room for; the others are moved under the last one by the script. */
function moreRules(out: PartOut): readonly ConditionalRule[] {
  const more = ` .${out.name('more')}`;
  const box = `${more}>ul`;
  return [
    ...out.inRow([
      ...(out.split ? fillingHalves(out) : filling(out, LEAST_ROOM)),
      [
        list(out),
        [
          [out.variable('rest'), '1'],
          ...(out.split
            ? []
            : ([
                ['flex', '1'],
                ['justify-content', 'inherit'],
              ] as const)),
        ],
      ],
      [
        firmly(out, box),
        [
          ['position', 'absolute'],
          ['inset-block-start', out.beneath('link')],
          ['inset-inline', 'auto 0'],
          ['z-index', '1'],
          ['display', 'none'],
          ['align-items', 'start'],
          ['inline-size', 'max-content'],
          ['max-inline-size', 'calc(100vw - 16px)'],
          ['max-block-size', 'max(320px, 100vh - 96px)'],
          ['overflow-y', 'auto'],
        ],
      ],
      [firmly(out, `${box}[${out.attribute('open')}]`), [['display', 'grid']]],
      [firmly(out, `${more}>button>.${out.class('marker')}`), [['display', 'grid']]],
      [firmly(out, `${box}[${out.attribute('edge')}=start]`), [['inset-inline', '0 auto']]],
      // What has submenus of its own unfolds them in place.
      [
        firmly(out, `${box}>li`),
        [
          ['flex-wrap', 'wrap'],
          ['position', 'static'],
        ],
      ],
      [
        firmly(out, `${box} ul`),
        [
          ['position', 'static'],
          ['flex-basis', '100%'],
          ['min-inline-size', '0'],
          ['max-inline-size', 'none'],
          ['border', '0'],
          ['box-shadow', 'none'],
        ],
      ],
    ]),
    // Until the script has looked, nothing is on a second line that is about to leave it.
    ...widely(
      out.inRow([
        // Nor does a label stand on two.
        [`${out.unready} .${out.class('list')}`, [['animation', `${out.name('hold')} 4s`]]],
      ]),
      [SCRIPT],
    ),
  ];
}

/** A bar at the bottom of the window, in which all links are as wide as one another. */
function bottomRules(boxes: readonly Boxes[], height: string, out: PartOut): readonly ConditionalRule[] {
  const inset = 'env(safe-area-inset-bottom, 0px)';
  const room = `calc(${height} + ${inset})`;
  const own = `:has(${out.at('nav')})`;
  // Two halves stand side by side.
  const bar = out.split ? firmly(out, '') : list(out);
  return [
    ...out.inRow([
      ...(out.split ? ([[list(out), [['flex', '1 1 0']]]] as const) : []),
      [
        bar,
        [
          ['display', 'flex'],
          ['position', 'fixed'],
          ['inset-block', 'auto 0'],
          ['inset-inline', '0'],
          ['z-index', '90'],
        ],
      ],
      [
        list(out),
        [
          ['flex-wrap', 'nowrap'],
          ['min-block-size', room],
          // Fills reach beneath a border: that part of the bar lies under the device's own edge.
          ['border-block-end', `${inset} solid transparent`],
        ],
      ],
      [
        list(out, '>li'),
        [
          ['flex', '1 1 0'],
          ['min-inline-size', '0'],
          ['position', 'static'],
        ],
      ],
      [
        list(out, '>li>:first-child'),
        [
          ['flex', '1'],
          ['justify-content', 'center'],
          ['text-align', 'center'],
          ['min-block-size', `${TOUCH_TARGET}px`],
        ],
      ],
      // The sign stands beneath its label: links are narrow here.
      [list(out, `>li>.${out.class('parent')}`), [['flex-direction', 'column']]],
      [list(out, `>li>.${out.class('parent')}>*`), [['min-block-size', `${LEAST_TARGET}px`]]],
      // The end of the page is not hidden beneath it, nor what a link leads to.
      [`body${own}`, [['padding-block-end', room]]],
      [`html${own}`, [['scroll-padding-block-end', room]]],
    ]),
    ...acrossRules(
      boxes,
      [
        ['position', 'absolute'],
        ['inset-block', 'auto 100%'],
        ['z-index', '1'],
        ['max-block-size', 'calc(100vh - 120px)'],
        ['overflow-y', 'auto'],
      ],
      out,
    ),
    styleRule(bar, [['position', 'static']], PRINT),
  ];
}

/** Links beneath one another, or each with what is nested in it in a column of its own. */
function standingRules(form: 'beneath one another' | 'in columns', out: PartOut): readonly ConditionalRule[] {
  const isInRow = out.form === 'row';
  return out.inRow([
    [isInRow ? firmly(out, '') : out.at('nav'), [['flex', form === 'in columns' ? 'auto' : '0 1 auto']]],
    [
      isInRow ? list(out) : out.at('list'),
      form === 'in columns'
        ? [
            ['display', 'grid'],
            ['grid-template-columns', `repeat(auto-fit, minmax(min(100%, ${LEAST_COLUMN}px), 1fr))`],
            ['align-items', 'start'],
            ['flex', '1'],
          ]
        : [
            ['flex-direction', 'column'],
            ['align-items', 'stretch'],
          ],
    ],
  ]);
}

/** The least width of a column of links, in px. */
export const LEAST_COLUMN = 160;

/** The forms of a menu's row of links, each at the widths it has there. */
export function formRules(part: MenuPart, out: PartOut): readonly ConditionalRule[] {
  const boxes = boxesOf(part, out);
  const more = hasMore(part) ? out.within(`.${out.name('more')}[hidden]`) : null;
  return [
    ...(more === null ? [] : [styleRule(more, [['display', 'none']])]),
    ...out
      .inBands((band) => formIn(out, band))
      .flatMap(({ value, conditions }) => {
        switch (value?.form) {
          case 'in a strip':
            return widely(stripRules(boxes, out), conditions);
          case 'the rest under “more”':
            return widely(moreRules(out), conditions);
          case 'beneath one another':
          case 'in columns':
            return widely(standingRules(value.form, out), conditions);
          case 'at the bottom':
            return widely(bottomRules(boxes, value.height, out), conditions);
          default:
            return [];
        }
      }),
  ];
}
