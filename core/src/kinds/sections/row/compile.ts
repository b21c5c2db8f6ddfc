import {
  element,
  styleRule,
  type ConditionalRule,
  type Declaration,
  type HtmlNode,
} from '../../../print/trees.ts';
import { fragment, joined, type Fragment, type Rules, type SectionOut } from '../../out.ts';
import type { Part } from '../../site.ts';
import type { Arrangement, Row } from './shape.ts';
import { arrangedMenu, centredLogo, layoutOf, rowParts, type RowLayout, type ZoneBox } from './zones.ts';

/** Where the middle's parts stand in the room it takes; null where its links share that room. */
const MIDDLE: Readonly<Record<Arrangement, string | null>> = {
  between: 'center',
  beside: 'flex-start',
  centre: 'center',
  far: 'flex-end',
  'last-apart': null,
  'first-centred': null,
  around: 'flex-start',
  equal: null,
};

/** As wide as others that say the same, and at least what it holds, as far as the row has room. */
const EVEN: readonly Declaration[] = [
  ['flex', '1 1 0'],
  ['min-inline-size', 'fit-content'],
];

const justified = (place: string | null): readonly Declaration[] =>
  place === null ? [] : [['justify-content', place]];

/** How a box of the row takes its room. */
function boxDeclarations(row: Row, layout: RowLayout, { zone, isWrapped }: ZoneBox): readonly Declaration[] {
  const shrinks = isWrapped ? [SHRINKS] : [];
  if (zone === 'middle')
    return layout.even ? shrinks : [['flex', 'auto'], ...justified(MIDDLE[row.arrangement]), ...shrinks];
  const own = zone === 'end' && isWrapped ? justified('flex-end') : [];
  if (layout.even) return [...EVEN, ...own];
  return [...own, ...shrinks];
}

const HOLDER: readonly Declaration[] = [
  ['display', 'flex'],
  ['flex-wrap', 'wrap'],
  ['align-items', 'center'],
  ['gap', 'inherit'],
];

const SHRINKS: Declaration = ['min-inline-size', '0'];

/** The end is pushed away where nothing between it and the start takes the room. */
function pushed({ even, middle }: RowLayout, { zone }: ZoneBox, out: SectionOut): ConditionalRule[] {
  if (zone !== 'end' || even) return [];
  const push = [[out.at('end'), [['margin-inline-start', 'auto']]]] as const;
  return middle ? out.whereNone(middle.parts, push) : push.map((rule) => styleRule(...rule));
}

function boxRules(row: Row, layout: RowLayout, box: ZoneBox, out: SectionOut): ConditionalRule[] {
  const declarations = boxDeclarations(row, layout, box);
  if (box.isWrapped)
    return [
      styleRule(out.at(box.zone), [...HOLDER, ...declarations]),
      ...(layout.even ? [] : out.hiddenWhereNone(box.parts, box.zone)),
      ...pushed(layout, box, out),
    ];
  const [only] = box.parts;
  if (!only || declarations.length === 0) return [];
  const rules: Rules = [[out.within(`.${out.boxOf(only)}`), declarations]];
  // Lines of links that a page’s end breaks into stand in the middle too.
  const isCentred = out.stands === 'end' && only.kind === 'menu' && MIDDLE[row.arrangement] === 'center';
  return out.inPlace(
    only,
    box.zone === 'middle' && isCentred
      ? [...rules, [out.atPart(only, 'list'), [['justify-content', 'center']]]]
      : rules,
  );
}

/** An empty side keeps its place where both are to be alike. */
function spacers({ even, start, end }: RowLayout, out: SectionOut): ConditionalRule[] {
  if (!even) return [];
  const spacer = (side: string) =>
    styleRule(out.at('row', `::${side}`), [
      ['content', '""'],
      ['flex', '1 1 0'],
    ]);
  return [...(start ? [] : [spacer('before')]), ...(end ? [] : [spacer('after')])];
}

/** Where the links of the arranged menu stand. */
function spread(row: Row, menu: Part, out: SectionOut): Rules {
  const list = (rest = '') => out.atPart(menu, 'list', rest);
  const wide = [
    [out.atPart(menu, 'nav'), [['flex', 'auto']]],
    [list(), [['flex', '1']]],
  ] as const;
  const pushed = [['margin-inline-start', 'auto']] as const;
  switch (row.arrangement) {
    case 'last-apart':
      return [...wide, [list(`>:nth-last-child(${row.apart})`), pushed]];
    case 'first-centred':
      return [...wide, [`${list('>:first-child')}, ${list(`>:nth-last-child(${row.apart})`)}`, pushed]];
    case 'equal':
      return [
        ...wide,
        [list('>li'), EVEN],
        [
          list('>li>:first-child'),
          [
            ['flex', '1'],
            ['justify-content', 'center'],
          ],
        ],
      ];
    default:
      return [];
  }
}

/**
 * The links in two halves at both sides of the logo: as wide as each other as far as there is room, so that the logo stands in
 * the middle of their box. That takes what it needs before the sides share what is left; they are alike, so that its middle is
 * the page's.
 */
function splitRules(layout: RowLayout, out: SectionOut): ConditionalRule[] {
  if (!layout.split) return [];
  const { logo, menu } = layout.split;
  const box = out.at('middle');
  const half = (rest: string, column: string, side: string) =>
    [
      out.atPart(menu, 'list', rest),
      [['grid-area', `1 / ${column}`], ['align-self', 'stretch'], ...justified(side)],
    ] as const;
  return [
    styleRule(box, [
      ['display', 'flex'],
      ['align-items', 'center'],
      ['align-self', 'stretch'],
      ['justify-content', 'center'],
      ...(layout.even
        ? ([
            ['flex', '9999 1 min-content'],
            ['max-inline-size', 'max-content'],
          ] as const)
        : ([['flex', '1 1 min-content']] as const)),
    ]),
    styleRule(out.within(`.${out.boxOf(logo)}`), [['grid-area', '1 / 2']]),
    ...out.inPlace(menu, [
      [
        box,
        [
          ['display', 'grid'],
          ['grid-template-columns', 'minmax(min-content, 1fr) auto minmax(min-content, 1fr)'],
          ['gap', 'inherit'],
        ],
      ],
      [out.atPart(menu, 'nav'), [['display', 'contents']]],
      half(':first-child', '1', 'flex-end'),
      half(':last-child', '3', 'flex-start'),
    ]),
    // Without a script what would fold stands beneath the logo.
    ...out.awayFrom(menu, [
      [
        box,
        [
          ['flex-basis', '100%'],
          ['flex-wrap', 'wrap'],
          ['max-inline-size', 'none'],
        ],
      ],
    ]),
  ];
}

/** How the boxes share what is left where nothing between them grows. */
function shared({ start, end, even, split }: RowLayout): readonly Declaration[] {
  if (split || even || !end || end.isWrapped) return [];
  return justified(start ? 'space-between' : 'flex-end');
}

/** What arranges a row, whatever its look. Where it has no room it wraps, and nothing is wider than it is. */
function rules(row: Row, layout: RowLayout, out: SectionOut): ConditionalRule[] {
  const menu = layout.split ? null : arrangedMenu(row);
  const boxes = [layout.start, layout.middle, layout.end].filter((box) => box !== null);
  return [
    styleRule(out.at('row'), [
      ['display', 'flex'],
      ['flex-wrap', 'wrap'],
      ['align-items', 'center'],
      ...shared(layout),
    ]),
    ...spacers(layout, out),
    ...boxes.flatMap((box) => boxRules(row, layout, box, out)),
    ...(menu ? out.inPlace(menu, spread(row, menu, out)) : []),
    ...splitRules(layout, out),
    // Without a script what would fold stands in the row, beneath the rest.
    ...rowParts(row).flatMap((part) =>
      out.awayFrom(part, [[`${out.at('row')}>.${out.boxOf(part)}`, [['flex-basis', '100%']]]]),
    ),
  ];
}

/** A row with its zones. */
export function compileRow(row: Row, out: SectionOut): Fragment {
  const halved = centredLogo(row) ? arrangedMenu(row) : null;
  const compiled = new Map(rowParts(row).map((part) => [part, out.part(part, part === halved)]));
  const nodesOf = (part: Part): readonly HtmlNode[] => compiled.get(part)?.nodes ?? [];
  const layout = layoutOf(row, (part) => nodesOf(part).length > 0);
  const boxNodes = (box: ZoneBox | null): readonly HtmlNode[] => {
    const nodes = box?.parts.flatMap(nodesOf) ?? [];
    return box?.isWrapped ? [element('div', { class: out.class(box.zone) }, ...nodes)] : nodes;
  };
  const isKept = row.bands !== undefined && out.foldsAny(rowParts(row));
  const hidden = isKept ? null : out.hidden(row.bands);
  const node = element(
    'div',
    { class: hidden === null ? out.class('row') : `${out.class('row')} ${hidden}` },
    ...boxNodes(layout.start),
    ...(layout.split
      ? [
          element(
            'div',
            { class: out.class('middle') },
            ...nodesOf(layout.split.logo),
            ...nodesOf(layout.split.menu),
          ),
        ]
      : boxNodes(layout.middle)),
    ...boxNodes(layout.end),
  );
  const parts = joined([...compiled.values()]);
  const hiding = isKept ? out.hiddenOnceEmpty('row', row.bands) : [];
  return fragment([node], [...parts.rules, ...rules(row, layout, out), ...hiding], parts.behaviours);
}
