import {
  element,
  styleRule,
  text,
  type ConditionalRule,
  type Declaration,
  type HtmlElement,
} from '../../../print/trees.ts';
import { openerDrawing, turnRules, type OpenerDrawing, type Turn } from '../../controls/opener-drawings.ts';
import { CLICKABLE, drawnAsType, IN_LINE, widely, type PieceOut } from '../../out.ts';
import type { PANEL_PROPERTIES } from '../../properties/panel.ts';
import type { Panel } from './shape.ts';

/*
 * The control that closes a panel, and the other ways it closes.
 */

/** How the first opener of a panel is drawn; three lines that cross where nothing opens it yet. */
function openerOf(out: PieceOut): { readonly drawing: OpenerDrawing; readonly turns: Turn } {
  const part = out.openers[0]?.part;
  return part?.kind === 'opener' && part.icon === null && part.drawing !== 'none'
    ? { drawing: part.drawing, turns: part.turns === 'none' ? 'cross' : part.turns }
    : { drawing: 'lines', turns: 'cross' };
}

function drawing(panel: Panel, out: PieceOut): HtmlElement | null {
  if (panel.closeAs === 'word') return null;
  if (panel.closeAs === 'opener') {
    const { drawing: drawn, turns } = openerOf(out);
    return openerDrawing(`${out.name('icon')} ${out.class('turned')}`, drawn, turns);
  }
  const own = panel.closeIcon === null ? null : out.glyph(out.class('close-icon'), panel.closeIcon);
  return own?.node === 'element' ? own : out.icon('cross');
}

/** The close control; null where it closes in other ways alone. */
export function closeControl(panel: Panel, out: PieceOut): HtmlElement | null {
  if (panel.closeAs === 'none') return null;
  const hasWord = panel.closeAs === 'word' || panel.closeAs === 'both';
  return element(
    'button',
    {
      class: out.class('close'),
      type: 'button',
      command: 'close',
      commandfor: out.id(out.class('panel')),
      'aria-label': hasWord ? null : panel.closeLabel,
    },
    drawing(panel, out),
    hasWord ? element('span', { class: out.class('close-label') }, text(panel.closeWord)) : null,
  );
}

type Stands = keyof (typeof PANEL_PROPERTIES)['closeStands']['choices'];
type Lies = keyof (typeof PANEL_PROPERTIES)['closeLies']['choices'];

const BESIDE: Readonly<Record<Stands, readonly Declaration[]>> = {
  'at the end': [['align-self', 'flex-end']],
  'at the start': [['align-self', 'flex-start']],
  'in the middle': [['align-self', 'center']],
  'beneath all': [
    ['align-self', 'center'],
    ['order', '1'],
  ],
};

const CENTRED: readonly Declaration[] = [
  ['inset-inline', '0'],
  ['margin-inline', 'auto'],
  ['inline-size', 'fit-content'],
];

const OVER: Readonly<Record<Stands, readonly Declaration[]>> = {
  'at the end': [['inset', '0 0 auto auto']],
  'at the start': [
    ['inset-block-start', '0'],
    ['inset-inline-start', '0'],
  ],
  'in the middle': [['inset-block-start', '0'], ...CENTRED],
  'beneath all': [['inset-block-end', '0'], ...CENTRED],
};

const ABOVE: readonly Declaration[] = [
  ['position', 'absolute'],
  ['z-index', '1'],
];

function placeRules(stands: Stands, lies: Lies, out: PieceOut): ConditionalRule[] {
  const close = out.at('close');
  if (lies === 'beside the content') return [styleRule(close, BESIDE[stands])];
  const over =
    stands === 'at the end'
      ? ([
          ['inset-block-start', '0'],
          ['inset-inline-end', '0'],
        ] as const)
      : OVER[stands];
  const rules = [styleRule(close, [...ABOVE, ...over])];
  const [opener] = out.openers;
  if (lies !== 'over its opener' || !opener) return rules;
  // The middle of the one upon the middle of the other (CSS Anchor Positioning); without it the corner serves.
  const anchor = `--${out.class('opener-place')}`;
  const anchored = '@supports (top: anchor(--x center))';
  return [
    ...rules,
    styleRule(opener.selector, [['anchor-name', anchor]], anchored),
    styleRule(
      close,
      [
        ['position', 'fixed'],
        ['inset', 'auto'],
        ['margin', '0'],
        ['inset-block-start', `anchor(${anchor} center, 32px)`],
        ['left', `anchor(${anchor} center, calc(100% - 40px))`],
        ['translate', '-50% -50%'],
      ],
      anchored,
    ),
  ];
}

/** What arranges the close control. */
export function closeRules(panel: Panel, out: PieceOut): ConditionalRule[] {
  if (panel.closeAs === 'none') return [];
  const hasWord = panel.closeAs === 'word' || panel.closeAs === 'both';
  const { drawing: drawn, turns } = openerOf(out);
  return [
    styleRule(out.at('close'), [...(hasWord ? IN_LINE : []), CLICKABLE]),
    ...(panel.closeIcon === null || panel.closeAs === 'word' || panel.closeAs === 'opener'
      ? []
      : drawnAsType(out.at('close-icon'))),
    ...(panel.closeAs === 'opener'
      ? turnRules(drawn, turns, {
          drawing: out.at('turned'),
          turned: out.at('turned'),
          from: `${out.own}[open] .${out.class('turned')}`,
        })
      : []),
    ...out
      .saidOf(panel.id, 'close', ['closeStands', 'closeLies'])
      .flatMap(({ value, conditions }) =>
        widely(placeRules(value.closeStands as Stands, value.closeLies as Lies, out), conditions),
      ),
  ];
}

/** The attributes that tell browser and script how it closes. */
export function closingAttributes(panel: Panel, out: PieceOut): HtmlElement['attributes'] {
  const { byScrim, byEscape, byLink } = panel;
  return {
    closedby: byEscape ? (byScrim ? 'any' : 'closerequest') : 'none',
    [out.attribute('scrim')]: byScrim,
    [out.attribute('link')]: byLink,
    [out.attribute('away')]: panel.byScroll && !panel.holdsPage ? true : null,
    [out.attribute('swipe')]: panel.bySwipe ? true : null,
    [out.attribute('by')]: panel.openedBy.trim() === '' ? null : panel.openedBy.trim(),
  };
}

/** Whether the close control is drawn over the content at some width. */
export const coversContent = ({ look }: Panel): boolean =>
  Object.values(look['close']?.all?.rest ?? {}).some(
    ({ closeLies }) => closeLies !== undefined && closeLies !== 'beside the content',
  );

/** Why a panel could not be closed; null where it can. */
export const closingProblem = ({ closeAs, byScrim, byEscape }: Panel): string | null =>
  closeAs === 'none' && !byScrim && !byEscape
    ? 'a panel needs a close control, or to be closed by the scrim or by Escape'
    : null;
