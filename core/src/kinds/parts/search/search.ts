import { element, styleRule, type ConditionalRule } from '../../../print/trees.ts';
import { address, flag, text } from '../../../model/shape/fields.ts';
import {
  BOX_PROPERTIES,
  BOX_STATES,
  BUTTON_STATES,
  CONTROL_PROPERTIES,
  ICON_CONTROL_PROPERTIES,
} from '../../../model/slot.ts';
import { exact, type Extent, type PartExtents } from '../../extent.ts';
import type { PartKind, PartOf } from '../../kind.ts';
import {
  CLICKABLE,
  fragment,
  NO_SCRIPT,
  ON_ONE_LINE,
  PRINT,
  type Fragment,
  type PartOut,
} from '../../out.ts';

const SEARCH_SHAPE = {
  label: text({
    label: 'name',
    needed: true,
    hint: 'accessible name of the field and its button',
    initial: 'Search',
  }),
  placeholder: text({ label: 'placeholder', initial: 'Search' }),
  action: address({ label: 'leads to', hint: 'address of the page of results', initial: '/search' }),
  field: text({
    label: 'field',
    hint: 'name the words are sent under',
    initial: 'q',
    max: 80,
    pattern: { test: /^[^\s"'<>&]+$/, allowed: 'a name without spaces' },
  }),
  open: flag({ label: 'always in sight', hint: 'otherwise it opens from an icon', initial: true }),
} as const;

/** A search form that leads to the site's page of results. */
export type Search = PartOf<'search', typeof SEARCH_SHAPE>;

const LINE_AROUND = { line: { width: 1, style: 'solid', colour: { role: 'line' } } } as const;

const SLOTS = {
  search: {
    label: 'Search',
    levels: [],
    states: BOX_STATES,
    text: 'none',
    properties: [...BOX_PROPERTIES, 'gap', 'marginInline', 'marginBlock'],
    defaults: {
      fill: { role: 'paper' },
      lineTop: LINE_AROUND,
      lineBottom: LINE_AROUND,
      lineStart: LINE_AROUND,
      lineEnd: LINE_AROUND,
      radius: 4,
    },
  },
  field: {
    label: 'Search field',
    levels: [],
    states: BUTTON_STATES,
    text: 'label',
    typeStyle: 'menu',
    properties: [...CONTROL_PROPERTIES.filter((id) => id !== 'gap' && id !== 'minWidth'), 'width'],
    defaults: { colour: { role: 'ink' }, width: 180, paddingInline: 10, paddingBlock: 6 },
  },
  submit: {
    label: 'Search button',
    levels: [],
    states: BUTTON_STATES,
    text: 'icon',
    properties: ICON_CONTROL_PROPERTIES,
    defaults: { colour: { role: 'ink' }, size: 18, paddingInline: 8, paddingBlock: 8 },
  },
} as const;

/** Beneath other parts the field takes the width of them all; what an icon opens stands beneath it instead of over them. */
const stackedRules = (part: Search, out: PartOut): ConditionalRule[] => [
  styleRule(out.at('field'), [['flex', '1']]),
  ...(part.open
    ? [styleRule(out.at('search'), [['align-self', 'stretch']])]
    : [
        styleRule(out.at('unfold'), [['align-self', 'stretch']]),
        styleRule(out.at('unfold', `>.${out.class('search')}`), [['position', 'static']]),
      ]),
];

function rules(part: Search, out: PartOut): ConditionalRule[] {
  const own = [
    styleRule(out.at('search'), [
      ['display', 'flex'],
      ['align-items', 'center'],
      ['min-inline-size', '0'],
    ]),
    // A host page may have its own idea of placeholders.
    styleRule(out.at('field', '::placeholder'), [
      ['all', 'unset'],
      ['color', 'inherit'],
      ['opacity', '0.7'],
      ...ON_ONE_LINE,
    ]),
    styleRule(out.at('field'), [
      ['min-inline-size', '0'],
      ['cursor', 'text'],
      ['text-overflow', 'ellipsis'],
    ]),
    styleRule(out.at('submit'), [['flex', 'none'], CLICKABLE]),
    styleRule(out.at(box(part)), [['display', 'none']], PRINT),
  ];
  const stacked = out.form === 'stack' ? stackedRules(part, out) : [];
  if (part.open) return [...own, ...stacked];
  return [
    ...own,
    styleRule(out.at('unfold'), [['position', 'relative']]),
    styleRule(out.at('submit'), [['display', 'block']]),
    styleRule(out.at('unfold', `>.${out.class('search')}`), [
      ['position', 'absolute'],
      ['inset-block-start', '100%'],
      ['inset-inline-end', '0'],
      ['z-index', '2'],
    ]),
    styleRule(out.at('unfold', `>form:not([${out.attribute('open')}])`), [['display', 'none']]),
    // Until the script runs pointing opens it, and without one it stands in its row.
    styleRule(
      `${out.unready} .${out.class('unfold')}:hover>form, ${out.unready} .${out.class('unfold')}:focus-within>form`,
      [['display', 'flex']],
    ),
    styleRule(out.at('unfold', '>button'), [['display', 'none']], NO_SCRIPT),
    styleRule(
      out.at('unfold', '>form:not(:empty)'),
      [
        ['display', 'flex'],
        ['position', 'static'],
      ],
      NO_SCRIPT,
    ),
    ...stacked,
  ];
}

const box = (part: Search) => (part.open ? 'search' : 'unfold');

/** A form that any browser sends by itself; behind an icon it opens as submenus do. */
function compile(part: Search, out: PartOut): Fragment {
  const submit = { class: out.class('submit'), 'aria-label': part.label };
  const form = (attributes: Readonly<Record<string, string>>) =>
    element(
      'form',
      { ...attributes, role: 'search', action: part.action },
      element('input', {
        class: out.class('field'),
        type: 'search',
        name: part.field,
        placeholder: part.placeholder || null,
        'aria-label': part.label,
      }),
      element('button', submit, out.icon('lens')),
    );
  const own = { class: out.classes(box(part)), ...out.attributes };
  if (part.open) return fragment([form(own)], rules(part, out));
  const id = out.id(out.class('search'));
  const button = { ...submit, type: 'button', 'aria-expanded': 'false', 'aria-controls': id };
  const unfolding = element(
    'div',
    own,
    element('button', button, out.icon('lens')),
    form({ class: out.class('search'), id }),
  );
  return fragment([unfolding], rules(part, out), ['disclosure']);
}

function extent(part: Search, at: PartExtents): Extent {
  const submit = at.slot('submit');
  const button = submit.size + 2 * submit.pixels('paddingInline') + submit.around();
  if (!part.open) return exact(button);
  const own = at.slot('search');
  const field = at.slot('field');
  const certain = !field.isShare('width');
  const width =
    Math.max(field.pixels('width'), 2 * field.pixels('paddingInline') + field.lines()) +
    2 * field.pixels('marginInline') +
    own.pixels('gap') +
    button +
    2 * own.pixels('paddingInline') +
    own.around();
  return { ...exact(width), certain };
}

export const SEARCH: PartKind<'search', typeof SEARCH_SHAPE> = {
  id: 'search',
  alsoCalled: 'find field box',
  navigates: true,
  label: 'Search',
  hint: 'a form that leads to the site’s page of results',
  shape: SEARCH_SHAPE,
  slots: SLOTS,
  box,
  behind: (_part, slot) => ({
    boxes: slot === 'search' ? [] : [{ slot: 'search', level: null }],
    overPage: false,
  }),
  beside: ['unfold'],
  compile,
  extent,
  texts: (part) => [part.placeholder],
};
