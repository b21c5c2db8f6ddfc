import type { Part } from '../../kinds/part.ts';
import { ZONES, type Arrangement, type Row, type Zone } from '../../kinds/pieces/header.ts';
import type { Logo } from '../../kinds/parts/logo.ts';
import { rowParts } from '../../kinds/walk.ts';
import { within, type CompileContext } from '../context.ts';
import { folded, unfolded } from '../media.ts';
import { hiddenClasses } from '../shown.ts';
import {
  element,
  rule,
  type ConditionalRule,
  type Declaration,
  type HtmlElement,
} from '../../print/trees.ts';

/** The class of the element that stands for a part in its row. */
export function partClass(context: CompileContext, part: Part): string {
  const own: Partial<Record<Part['kind'], string>> = {
    menu: 'nav',
    image: 'image-box',
    search: part.kind === 'search' && !part.open ? 'unfold' : 'search',
  };
  return context.names.slotClass(part.id, own[part.kind] ?? part.kind);
}

/** The menu that a row's arrangement spreads or splits: the first of its middle. */
export function arrangedMenu(row: Row): Part | null {
  return row.zones.middle.find((part) => part.kind === 'menu') ?? null;
}

/** The logo that links are split around: it stands in the middle, whatever zone holds it. */
export function centredLogo(row: Row): Logo | null {
  if (row.arrangement !== 'around' || arrangedMenu(row) === null) return null;
  return rowParts(row).find((part): part is Logo => part.kind === 'logo') ?? null;
}

/** What a zone holds besides the logo in the middle. */
const zoneParts = (row: Row, zone: Zone) => row.zones[zone].filter((part) => part !== centredLogo(row));

/** A zone with one part needs no element around it. */
const isWrapped = (row: Row, zone: Zone) => zoneParts(row, zone).length > 1;

/** A row with its zones; the markup of parts comes from outside. */
export function rowMarkup(
  context: CompileContext,
  row: Row,
  partMarkup: (part: Part) => HtmlElement | null,
): HtmlElement {
  const logo = centredLogo(row);
  const hidden = hiddenClasses(context, row.bands);
  const zones = ZONES.flatMap((zone): (HtmlElement | null)[] => {
    const parts = zoneParts(row, zone).map(partMarkup);
    return isWrapped(row, zone)
      ? [element('div', { class: context.names.slotClass(row.id, zone) }, ...parts)]
      : parts;
  });
  const className = context.names.slotClass(row.id, 'row');
  return element(
    'div',
    { class: hidden === null ? className : `${className} ${hidden}` },
    logo === null ? null : partMarkup(logo),
    ...zones,
  );
}

/** The zones that hold something. */
const usedZones = (row: Row) => ZONES.filter((zone) => zoneParts(row, zone).length > 0);

/** The columns of a row, and the one each zone stands in. */
export function rowColumns(row: Row): {
  readonly template: string;
  readonly column: Readonly<Partial<Record<Zone, number>>>;
} {
  if (row.arrangement === 'centre' || centredLogo(row))
    return { template: '1fr auto 1fr', column: { start: 1, middle: centredLogo(row) ? 1 : 2, end: 3 } };
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

function alignOf(row: Row, zone: Zone): string | null {
  if (zone === 'middle') return MIDDLE[row.arrangement];
  return zone;
}

function zoneSelector(context: CompileContext, row: Row, zone: Zone): string {
  const [only] = zoneParts(row, zone);
  return within(
    context,
    `.${isWrapped(row, zone) || !only ? context.names.slotClass(row.id, zone) : partClass(context, only)}`,
  );
}

function zoneRules(context: CompileContext, row: Row, folding: string | null): ConditionalRule[] {
  const { column } = rowColumns(row);
  return usedZones(row).flatMap((zone): ConditionalRule[] => {
    const selector = zoneSelector(context, row, zone);
    const align = alignOf(row, zone);
    const place: Declaration[] = [
      ['grid-column', String(column[zone] ?? 1)],
      ['grid-row', '1'],
      ...(align === null ? [] : [['justify-self', align] as const]),
    ];
    if (isWrapped(row, zone))
      return [rule(selector, [['display', 'flex'], ['align-items', 'center'], ['gap', 'inherit'], ...place])];
    // A folded menu stands in the panel, not in a zone.
    return zoneParts(row, zone)[0]?.id === folding
      ? unfolded(context, [[selector, place]])
      : [rule(selector, place)];
  });
}

/** Where the links of the arranged menu stand. */
function spreadRules(context: CompileContext, row: Row): ConditionalRule[] {
  const menu = arrangedMenu(row);
  if (!menu) return [];
  const at = (slot: string, rest = '') =>
    within(context, `.${context.names.slotClass(menu.id, slot)}${rest}`);
  const wide: (readonly [string, readonly Declaration[]])[] = [
    [at('nav'), [['flex', '1']]],
    [at('list'), [['flex', '1']]],
  ];
  const pushed = [['margin-inline-start', 'auto']] as const;
  switch (row.arrangement) {
    case 'last-apart':
      return unfolded(context, [...wide, [at('list', `>:nth-last-child(${row.apart})`), pushed]]);
    case 'first-centred':
      return unfolded(context, [
        ...wide,
        [`${at('list', '>:first-child')}, ${at('list', `>:nth-last-child(${row.apart})`)}`, pushed],
      ]);
    case 'equal':
      return unfolded(context, [
        ...wide,
        [at('list', '>li'), [['flex', '1']]],
        [
          at('list', `>li>.${context.names.slotClass(menu.id, 'link')}`),
          [
            ['flex', '1'],
            ['justify-content', 'center'],
          ],
        ],
      ]);
    default:
      return [];
  }
}

/** The links in two halves at both sides of the logo. */
function splitRules(context: CompileContext, row: Row): ConditionalRule[] {
  const logo = centredLogo(row);
  const menu = arrangedMenu(row);
  if (!logo || !menu) return [];
  const list = (rest: string) => within(context, `.${context.names.slotClass(menu.id, 'list')}${rest}`);
  return [
    rule(within(context, `.${partClass(context, logo)}`), [
      ['grid-column', '2'],
      ['grid-row', '1'],
    ]),
    ...unfolded(context, [
      [within(context, `.${context.names.slotClass(menu.id, 'nav')}`), [['display', 'contents']]],
      [
        list(':first-child'),
        [
          ['grid-column', '1'],
          ['grid-row', '1'],
          ['justify-self', 'end'],
        ],
      ],
      [
        list(':last-child'),
        [
          ['grid-column', '3'],
          ['grid-row', '1'],
          ['justify-self', 'start'],
        ],
      ],
    ]),
  ];
}

/** What arranges a row, whatever its look. `folding` is the id of the menu that folds into a panel. */
export function rowRules(context: CompileContext, row: Row, folding: string | null): ConditionalRule[] {
  const selector = within(context, `.${context.names.slotClass(row.id, 'row')}`);
  return [
    rule(selector, [
      ['display', 'grid'],
      ['grid-template-columns', rowColumns(row).template],
      ['align-items', 'center'],
    ]),
    ...zoneRules(context, row, folding),
    ...spreadRules(context, row),
    ...splitRules(context, row),
    // Without a script the folded menu stands in the page, beneath the rest.
    ...(rowParts(row).some((part) => part.id === folding)
      ? folded(context, [[`${selector}>dialog`, [['grid-column', '1 / -1']]]])
      : []),
  ];
}
