import { styleRule, type ConditionalRule, type Declaration } from '../../../print/trees.ts';
import { NO_SCRIPT, ruled, SCRIPT, widely, type PartOut, type Rules, type Said } from '../../out.ts';
import type { Opening } from '../../properties/placement.ts';
import { arrivalRules } from './arrival.ts';
import { levelRules } from './alike.ts';
import { boxLevels, type Boxes } from './boxes.ts';
import { itemLevels } from '../../content.ts';
import { hasOwnTarget } from './item.ts';
import { floats, isOpenedInSome, type BoxLevel } from './opening.ts';
import { parentRules, signColumn, signRules } from './signs.ts';
import type { MenuPart } from './shape.ts';
import { boxDepth, openingItems } from './slots.ts';

/** A length of the look as the stylesheet says it, or what it is where the look says nothing. */
const measure = (out: PartOut, id: 'offsetBlock' | 'offsetInline', word: string): string | null =>
  out.says('submenu', id) ? `var(${out.variable(word)}, 0px)` : null;

const plus = (start: string, more: string | null): string =>
  more === null ? start : `calc(${start.replace(/^calc\((.*)\)$/, '$1')} + ${more})`;

/** Where a box lies along the line: at the start or end of what it hangs from, or centred upon it. */
function along(lies: string, shift: string | null): readonly Declaration[] {
  switch (lies) {
    case 'centred':
      // Wider than any window to both sides, so that the middle is that of what it hangs from.
      return [
        ['inset-inline', shift === null ? '-100vw' : `calc(-100vw + ${shift}) calc(-100vw - ${shift})`],
        ['margin-inline', 'auto'],
      ];
    case 'from the end':
      return [['inset-inline', `auto ${shift ?? '0'}`]];
    default:
      return [['inset-inline', `${shift ?? '0'} auto`]];
  }
}

/** A box across its section: at its start or end, or in the middle where it is narrower. */
const across = (lies: string): readonly Declaration[] => [
  ['inset-inline', '0'],
  ['margin-inline', lies === 'centred' ? 'auto' : lies === 'from the end' ? 'auto 0' : '0 auto'],
];

/** Where a box beside its link stands along the line. */
const besideLink = (out: PartOut): readonly Declaration[] => [
  ['inset-inline', `${plus('100%', measure(out, 'offsetInline', 'shift'))} auto`],
];

/** Where a floating box stands, but for where it lies along the line. */
export function standing(opening: Opening, level: BoxLevel, out: PartOut): readonly Declaration[] {
  // What opens below a link of a box hangs from that link, not from the bar.
  const beneath = (from: 'link' | 'section') => (level === 3 ? '100%' : out.beneath(from));
  const drop = measure(out, 'offsetBlock', 'drop');
  switch (opening) {
    case 'beside':
      return [['inset-block-start', drop ?? '0'], ...besideLink(out)];
    case 'across':
      return [['inset-block-start', plus(beneath('section'), drop)]];
    default:
      return [['inset-block-start', plus(beneath('link'), drop)]];
  }
}

/** What is done with a box of one level where it floats. */
function floatingRules(
  boxes: Boxes,
  { value: opening, conditions }: Said<Opening>,
  holdsFloating: boolean,
  out: PartOut,
): ConditionalRule[] {
  const { level } = boxes;
  const box = out.within(boxes.box);
  const rules: Rules = [
    [
      box,
      [
        ['position', 'absolute'],
        ...standing(opening, level, out),
        ['z-index', '1'],
        ['display', 'none'],
        ['align-items', 'start'],
        ...(opening === 'across'
          ? []
          : ([
              ['inline-size', 'max-content'],
              ['max-inline-size', 'calc(100vw - 16px)'],
            ] as const)),
        // Long ones scroll, unless something of them hangs out over their edge.
        ...(holdsFloating || out.says('submenu', 'notch')
          ? []
          : ([
              ['max-block-size', 'max(320px, 100vh - 96px)'],
              ['overflow-y', 'auto'],
            ] as const)),
      ],
    ],
    ...(opening === 'across' ? acrossRules(boxes, out) : []),
  ];
  return [
    ...widely(out.inRow(rules), conditions),
    ...boxes
      .said<string>('lies')
      .flatMap((lies) =>
        widely(out.inRow(liesRules(opening, lies.value, box, out)), [...conditions, ...lies.conditions]),
      ),
    ...widely(out.inRow(openedRules(boxes, out)), conditions),
    ...(opening === 'across' ? [] : widely(out.inRow(roomlessRules(boxes, out)), conditions)),
    ...(out.says('submenu', 'notch') ? widely(out.inRow(notchRules(opening, box, out)), conditions) : []),
  ];
}

/**
 * A box that has room at neither side of what it hangs from: within a box it unfolds in place, in the row it lies across all of
 * that.
 */
function roomlessRules({ level, box, parents }: Boxes, out: PartOut): Rules {
  const roomless = `[${out.attribute('edge')}=in]`;
  const itself = out.within(box + roomless);
  const holder = out.within(`${parents}:has(>${roomless})`);
  if (level === 2)
    return [
      [out.section(), [['position', 'relative']]],
      [holder, [['position', 'static']]],
      [
        itself,
        [
          ['inset-block-start', out.beneath('section')],
          ['inset-inline', '0'],
          ['margin-inline', '0'],
          ['inline-size', 'auto'],
        ],
      ],
    ];
  return [
    [holder, [['flex-wrap', 'wrap']]],
    [
      itself,
      [
        ['position', 'static'],
        // As wide as there is room and no wider: the box around it would grow under the pointer.
        ['inline-size', '0'],
        ['min-inline-size', `calc(100% - ${indent(out)})`],
        ['max-inline-size', 'none'],
        ['max-block-size', 'none'],
        indented(out),
      ],
    ],
  ];
}

/** Where a box lies along its line, and where it goes to at the window's edge. */
function liesRules(opening: Opening, lies: string, box: string, out: PartOut): Rules {
  const edge = out.attribute('edge');
  if (opening === 'across') return [[box, across(lies)]];
  if (opening === 'beside') {
    const other = [['inset-inline', `auto ${plus('100%', measure(out, 'offsetInline', 'shift'))}`]] as const;
    return lies === 'from the end'
      ? [
          [box, other],
          [`${box}[${edge}=start]`, besideLink(out)],
        ]
      : [[`${box}[${edge}=end]`, other]];
  }
  return [
    [box, along(lies, measure(out, 'offsetInline', 'shift'))],
    ...(lies === 'from the end' ? [] : [[`${box}[${edge}=end]`, toEdge('auto 0', lies)] as const]),
    ...(lies === 'from the start' ? [] : [[`${box}[${edge}=start]`, toEdge('0 auto', lies)] as const]),
  ];
}

const toEdge = (inset: string, lies: string): readonly Declaration[] => [
  ['inset-inline', inset],
  ...(lies === 'centred' ? [['margin-inline', '0'] as const] : []),
];

/** What a box across its section is placed by: the section, and nothing between. */
const acrossRules = ({ level, parents }: Boxes, out: PartOut): Rules => [
  ...(level === 2 ? [[out.section(), [['position', 'relative']]] as const] : []),
  [out.within(parents), [['position', 'static']]],
];

/** How a box is shown once it is opened: until the script runs, and without it, pointing and tabbing open it. */
const openedRules = ({ box }: Boxes, out: PartOut): Rules => [
  [out.within(`${box}[${out.attribute('open')}]`), [['display', 'grid']]],
  [`${out.unready} li:is(:hover,:focus-within)>${box}`, [['display', 'grid']]],
];

/** A pointer from the box to what it hangs from, in the box's own fill. */
function notchRules(opening: Opening, box: string, out: PartOut): Rules {
  const size = `var(${out.variable('notch')}, 0px)`;
  const beside = opening === 'beside';
  return [
    [
      `${box}::before`,
      [
        ['content', '""'],
        ['position', 'absolute'],
        ...(beside
          ? ([
              ['inset', '12px 100% auto auto'],
              ['inline-size', size],
              ['block-size', `calc(2 * ${size})`],
              ['clip-path', 'polygon(0 50%, 100% 0, 100% 100%)'],
            ] as const)
          : ([
              ['inset-block-end', '100%'],
              ['inset-inline-start', '20px'],
              ['inline-size', `calc(2 * ${size})`],
              ['block-size', size],
              ['clip-path', 'polygon(50% 0, 100% 100%, 0 100%)'],
            ] as const)),
        ['background-color', 'inherit'],
      ],
    ],
  ];
}

/** Links with lists of their own within the flow: label above, list beneath. */
const flowing = ({ parents }: Boxes, out: PartOut): Rules[number] => [
  out.within(parents),
  [
    ['flex-direction', 'column'],
    ['align-items', 'stretch'],
  ],
];

const indent = (out: PartOut) =>
  out.says('submenu', 'indent') ? `var(${out.variable('indent')}, 12px)` : '12px';

const indented = (out: PartOut): Declaration => ['margin-inline-start', indent(out)];

/** What is done with some boxes in one range of bands. */
function openingRules(
  boxes: Boxes,
  said: Said<Opening>,
  { holdsFloating, isMixed }: { readonly holdsFloating: boolean; readonly isMixed: boolean },
  out: PartOut,
): ConditionalRule[] {
  const { value: opening, conditions } = said;
  const box = out.within(boxes.box);
  const hidden = [['display', 'none']] as const;
  const sign: Rules = boxes.sign === null ? [] : [[out.within(boxes.sign), hidden]];
  // Of a parent that is a button at some widths and words at others, the one that is right here.
  const words = out.within(`${boxes.parents}>.${out.name('stands')}`);
  const opened = isMixed ? ruled([[words, hidden]], conditions) : [];
  const standing: Rules = isMixed ? [[`${words}+button`, hidden]] : [];
  switch (opening) {
    case 'not at all':
      return ruled([[box, hidden], ...standing, ...sign], conditions);
    case 'always open':
      return ruled(
        [[box, [['display', 'grid'], indented(out)]], flowing(boxes, out), ...standing, ...sign],
        conditions,
      );
    case 'in place':
      return [
        ...opened,
        ...widely(
          out.inRow([
            [box, [['display', 'none'], indented(out)]],
            flowing(boxes, out),
            ...openedRules(boxes, out),
          ]),
          conditions,
        ),
        ...widely(out.inRow([[box, [['display', 'grid']]]]), [...conditions, NO_SCRIPT]),
        ...unfoldingRules(boxes, conditions, out),
      ];
    default:
      return [
        ...opened,
        ...floatingRules(boxes, said, holdsFloating, out),
        ...unfoldingRules(boxes, conditions, out),
      ];
  }
}

/** In a panel whatever is opened unfolds in place; without a script it stands open. */
function unfoldingRules(
  { level, box }: Boxes,
  conditions: readonly string[],
  out: PartOut,
): readonly ConditionalRule[] {
  const rules: Rules = [
    [out.within(box), [['display', 'grid'], ['flex-basis', '100%'], ...(level === 3 ? [indented(out)] : [])]],
    [`${out.ready} ${box}:not([${out.attribute('open')}])`, [['display', 'none']]],
  ];
  // Beside the page it is folded before the script has run, so that nothing moves when that does.
  const before: Rules = out.stands !== 'beside' ? [] : [[`${out.unready} ${box}`, [out.waits]]];
  return [...widely(out.inPanel(rules), conditions), ...widely(out.inPanel(before), [...conditions, SCRIPT])];
}

/** A box in a box has measures of its own, as usual where none are said. */
function ownMeasures(out: PartOut): ConditionalRule[] {
  const declarations = MEASURES.filter(([id]) => out.says('submenu', id)).map(
    ([, word, usual]): Declaration => [out.variable(word), usual],
  );
  return declarations.length > 0 ? [styleRule(out.at('submenu'), declarations)] : [];
}

const MEASURES = [
  ['offsetInline', 'shift', '0px'],
  ['offsetBlock', 'drop', '0px'],
  ['notch', 'notch', '0px'],
  ['indent', 'indent', '12px'],
] as const;

/** Everything about the submenus of a placement: how they open, and the signs that there are some. */
export function submenuRules(part: MenuPart, out: PartOut): ConditionalRule[] {
  const depth = boxDepth(part, out.site);
  if (depth < 2) return [];
  const levels = boxLevels(part, out);
  const all = levels.flatMap(({ sorts }) => sorts);
  const floating = all.filter(({ said }) => said<Opening>('opens').some(({ value }) => floats(value)));
  const holdsFloating = floating.some(({ level }) => level === 3);
  const places = itemLevels(out.site, part);
  const isMixedAt = (level: BoxLevel) =>
    openingItems(part, out.site).some(
      (item) =>
        places.get(item.id) === level - 1 && !hasOwnTarget(item) && isOpenedInSome(part, level, item.id),
    );
  const openedAs = (boxes: Boxes) => {
    const { level } = boxes;
    const place = { holdsFloating: level === 2 && holdsFloating, isMixed: isMixedAt(level) };
    return boxes.said<Opening>('opens').flatMap((said) => openingRules(boxes, said, place, out));
  };
  return [
    ...(depth > 2 ? ownMeasures(out) : []),
    ...signRules(part, levels, out),
    ...parentRules(part, out),
    ...out.inRow([[`${out.at('submenu')} .${out.class('link')}`, [['flex', '1']]]]),
    ...out.inPanel(signColumn(part, out)),
    ...levels.flatMap((level) => levelRules(level, openedAs)),
    ...levels.flatMap((level) => levelRules(level, (boxes) => arrivalRules(boxes, out))),
    ...(depth > 3
      ? [
          styleRule(out.within(`.${out.name('deeper')}`), [indented(out)]),
          styleRule(`${out.within(out.ofLevel('submenu', 3))} li`, [
            ['flex-direction', 'column'],
            ['align-items', 'stretch'],
          ]),
        ]
      : []),
    styleRule(`${out.unready} button.${out.class('marker')}`, [['visibility', 'hidden']], NO_SCRIPT),
  ];
}
