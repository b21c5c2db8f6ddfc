import {
  element,
  styleRule,
  type ConditionalRule,
  type Declaration,
  type HtmlNode,
} from '../../../print/trees.ts';
import { fragment, type Fragment, type Rules, type SectionOut } from '../../out.ts';
import type { Part } from '../../site.ts';
import { ZONES, type Arrangement, type Row, type Zone } from './shape.ts';
import { arrangedMenu, centredLogo, rowParts, usedZones, zoneParts } from './zones.ts';

/** A zone with one part needs no element around it. */
const isWrapped = (row: Row, zone: Zone) => zoneParts(row, zone).length > 1;

/** The columns of a row, and the one each zone stands in. */
export function rowColumns(row: Row): {
  readonly template: string;
  readonly column: Readonly<Partial<Record<Zone, number>>>;
} {
  const isAround = centredLogo(row) !== null;
  if (row.arrangement === 'centre' || isAround)
    return { template: '1fr auto 1fr', column: { start: 1, middle: isAround ? 1 : 2, end: 3 } };
  const used = usedZones(row);
  // What grows: the middle, without one the start.
  const growing: Zone = used.includes('middle') ? 'middle' : used.includes('start') ? 'start' : 'end';
  return {
    template: used.map((zone) => (zone === growing ? '1fr' : 'auto')).join(' '),
    column: Object.fromEntries(used.map((zone, index) => [zone, index + 1])),
  };
}

const MIDDLE: Readonly<Record<Arrangement, string | null>> = {
  between: 'center',
  beside: 'start',
  centre: 'center',
  far: 'end',
  'last-apart': null,
  'first-centred': null,
  around: 'start',
  equal: null,
};

const alignOf = (row: Row, zone: Zone) => (zone === 'middle' ? MIDDLE[row.arrangement] : zone);

function zoneRules(row: Row, out: SectionOut): ConditionalRule[] {
  const { column } = rowColumns(row);
  return usedZones(row).flatMap((zone): ConditionalRule[] => {
    const align = alignOf(row, zone);
    const place: Declaration[] = [
      ['grid-column', String(column[zone] ?? 1)],
      ['grid-row', '1'],
      ...(align === null ? [] : [['justify-self', align] as const]),
    ];
    if (isWrapped(row, zone))
      return [
        styleRule(out.at(zone), [
          ['display', 'flex'],
          ['align-items', 'center'],
          ['gap', 'inherit'],
          ...place,
        ]),
      ];
    const [only] = zoneParts(row, zone);
    return only ? out.inPlace(only, [[out.within(`.${out.boxOf(only)}`), place]]) : [];
  });
}

/** Where the links of the arranged menu stand. */
function spread(row: Row, menu: Part, out: SectionOut): Rules {
  const list = (rest = '') => out.atPart(menu, 'list', rest);
  const wide = [
    [out.atPart(menu, 'nav'), [['flex', '1']]],
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
        [list('>li'), [['flex', '1']]],
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

/** The links in two halves at both sides of the logo. */
function splitRules(row: Row, out: SectionOut): ConditionalRule[] {
  const logo = centredLogo(row);
  const menu = arrangedMenu(row);
  if (!logo || !menu) return [];
  const half = (rest: string, column: string, side: string) =>
    [
      out.atPart(menu, 'list', rest),
      [
        ['grid-column', column],
        ['grid-row', '1'],
        ['justify-self', side],
      ],
    ] as const;
  return [
    styleRule(out.within(`.${out.boxOf(logo)}`), [
      ['grid-column', '2'],
      ['grid-row', '1'],
    ]),
    ...out.inPlace(menu, [
      [out.atPart(menu, 'nav'), [['display', 'contents']]],
      half(':first-child', '1', 'end'),
      half(':last-child', '3', 'start'),
    ]),
  ];
}

/** What arranges a row, whatever its look. */
function rules(row: Row, out: SectionOut): ConditionalRule[] {
  const menu = arrangedMenu(row);
  return [
    styleRule(out.at('row'), [
      ['display', 'grid'],
      ['grid-template-columns', rowColumns(row).template],
      ['align-items', 'center'],
    ]),
    ...zoneRules(row, out),
    ...(menu ? out.inPlace(menu, spread(row, menu, out)) : []),
    ...splitRules(row, out),
    // Without a script what would fold stands in the row, beneath the rest.
    ...rowParts(row).flatMap((part) =>
      out.awayFrom(part, [[`${out.at('row')}>.${out.boxOf(part)}`, [['grid-column', '1 / -1']]]]),
    ),
  ];
}

/** A row with its zones. */
export function compileRow(row: Row, out: SectionOut): Fragment {
  const logo = centredLogo(row);
  const menu = arrangedMenu(row);
  const compiled = new Map(
    rowParts(row).map((part) => [part, out.part(part, logo !== null && part === menu)]),
  );
  const nodesOf = (part: Part): readonly HtmlNode[] => compiled.get(part)?.nodes ?? [];
  const zones = ZONES.flatMap((zone): readonly HtmlNode[] => {
    const nodes = zoneParts(row, zone).flatMap(nodesOf);
    return isWrapped(row, zone) ? [element('div', { class: out.class(zone) }, ...nodes)] : nodes;
  });
  const hidden = out.hidden(row.bands);
  const node = element(
    'div',
    { class: hidden === null ? out.class('row') : `${out.class('row')} ${hidden}` },
    ...(logo === null ? [] : nodesOf(logo)),
    ...zones,
  );
  const fragments = [...compiled.values()];
  return fragment(
    [node],
    [...fragments.flatMap((entry) => entry.rules), ...rules(row, out)],
    fragments.flatMap((entry) => entry.behaviours),
  );
}
