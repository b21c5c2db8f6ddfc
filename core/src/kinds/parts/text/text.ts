import {
  element,
  styleRule,
  text as textNode,
  type ConditionalRule,
  type HtmlNode,
} from '../../../print/trees.ts';
import { MOST_ENTRIES } from '../../../model/limits.ts';
import type { Infer } from '../../../model/shape/field.ts';
import { flag, id, list, referenceOrNone, text as textField } from '../../../model/shape/fields.ts';
import {
  BOX_STATES,
  BUTTON_STATES,
  LABEL_ICON_PROPERTIES,
  OUTLINE_PROPERTIES,
  TEXT_PROPERTIES,
} from '../../../model/slot.ts';
import { NO_TARGET, target } from '../../../model/target.ts';
import { exact, LEAST_TARGET, sumExtents, type Extent, type PartExtents } from '../../extent.ts';
import type { PartKind, PartOf } from '../../kind.ts';
import { CLICKABLE, fragment, type Fragment, type PartOut } from '../../out.ts';
import { labelWords } from '../../label-words.ts';
import { boxAround } from '../../label-box.ts';
import { iconRules, withIcon, withIconExtent } from '../../with-icon.ts';

const ENTRY_SHAPE = {
  id: id(),
  text: textField({ label: 'text', needed: true, initial: 'Text' }),
  target: target(),
  icon: referenceOrNone('icon', { label: 'icon' }),
} as const;

/** The last year of a text, with what stands before and behind it. */
const YEAR = /^(.*)\b((?:19|20)\d\d)\b(.*?)$/s;

/** A short text with what it leads to: a phone number, a mail address, opening times. */
export type TextEntry = Infer<typeof ENTRY_SHAPE>;

export const TEXT_SHAPE = {
  entries: list(ENTRY_SHAPE, { label: 'texts', one: 'text', max: MOST_ENTRIES }),
  yearKept: flag({
    label: 'the year keeps itself right',
    hint: 'the last year in each text, such as that of “© 2019–2026”, is the one it is; without a script it stays as written',
    when: (text) => (text['entries'] as readonly TextEntry[]).some((entry) => YEAR.test(entry.text)),
  }),
} as const;

export type Text = PartOf<'text', typeof TEXT_SHAPE>;

const leads = (part: Text) => part.entries.some((entry) => entry.target.kind !== 'none');

function rules(part: Text, out: PartOut): ConditionalRule[] {
  return [
    styleRule(out.at('text'), [
      ['display', 'flex'],
      // Beneath one another they do not run on as one sentence, and line up as the parts around them do.
      ...(out.form === 'stack'
        ? ([
            ['flex-direction', 'column'],
            ['align-items', 'inherit'],
          ] as const)
        : ([
            ['flex-wrap', 'wrap'],
            ['align-items', 'center'],
          ] as const)),
    ]),
    styleRule(out.at('text', '>*'), [
      ['display', 'flex'],
      ['align-items', 'center'],
    ]),
    ...(leads(part)
      ? [styleRule(out.at('contact'), [['min-block-size', `${LEAST_TARGET}px`], CLICKABLE])]
      : []),
    ...(part.entries.some((entry) => entry.icon !== null) ? iconRules(out, 'text-icon', { gap: GAP }) : []),
  ];
}

/** Room between an icon and its text in px, where no look says another. */
const GAP = 6;

/** The words of a text; a year that keeps itself right is an element of its own. */
function wordsOf(text: string, isKept: boolean, out: PartOut): HtmlNode {
  const [, before = '', year, behind = ''] = (isKept ? YEAR.exec(text) : null) ?? [];
  if (year === undefined) return labelWords(text);
  const kept = element('span', { [out.attribute('year')]: true }, textNode(year));
  return element('span', {}, textNode(before), kept, textNode(behind));
}

/** Short texts beside each other; those with a target are links. */
function compile(part: Text, out: PartOut): Fragment {
  const entries = part.entries.map((entry) => {
    const icon = entry.icon === null ? null : out.glyph(out.class('text-icon'), entry.icon);
    const content = withIcon(out, 'text-icon', icon, wordsOf(entry.text, part.yearKept, out));
    return entry.target.kind === 'none'
      ? element('span', {}, content)
      : out.link({ class: out.class('contact') }, entry.target, content);
  });
  const box = element('div', { class: out.classes('text'), ...out.attributes }, ...entries);
  const keeps = part.yearKept && part.entries.some(({ text }) => YEAR.test(text));
  return fragment([box], rules(part, out), keeps ? ['year'] : []);
}

function extent(part: Text, at: PartExtents): Extent {
  const entries = part.entries.map((entry): Extent => {
    const words = at.words(entry.text, entry.target.kind === 'none' ? 'text' : 'contact');
    return entry.icon === null ? words : withIconExtent(at, 'text-icon', null, words);
  });
  const own = at.slot('text');
  return sumExtents(
    [sumExtents(entries, own.pixels('gap')), exact(2 * own.pixels('paddingInline') + own.around())],
    0,
  );
}

export const TEXT: PartKind<'text', typeof TEXT_SHAPE> = {
  id: 'text',
  alsoCalled: 'phone address hours copyright legal line',
  label: 'Text',
  hint: 'short texts with what they lead to: a phone number, opening times',
  shape: TEXT_SHAPE,
  slots: {
    text: {
      label: 'Text',
      levels: [],
      states: BOX_STATES,
      text: 'label',
      typeStyle: 'menu',
      properties: [...TEXT_PROPERTIES, 'gap', 'paddingInline', 'paddingBlock', 'marginInline', 'marginBlock'],
      defaults: { colour: { role: 'ink' }, size: 14, gap: 16 },
    },
    contact: {
      label: 'Text that leads somewhere',
      levels: [],
      states: BUTTON_STATES,
      text: 'label',
      inherits: 'text',
      properties: [...TEXT_PROPERTIES, ...OUTLINE_PROPERTIES, 'opacity'],
      defaults: {},
    },
    'text-icon': {
      label: 'Text’s icon',
      levels: [],
      states: BUTTON_STATES,
      text: 'icon',
      inside: 'contact',
      around: boxAround('text-icon'),
      properties: LABEL_ICON_PROPERTIES,
      defaults: { size: 17, iconGap: GAP },
    },
  },
  create: ({ freshId }) => ({
    entries: [{ id: freshId('entry'), text: 'Open every day, 9 to 17', target: NO_TARGET, icon: null }],
  }),
  name: (part) => `Text “${part.entries[0]?.text ?? ''}”`,
  hasSlot: (part, slot) =>
    slot === 'text-icon' ? part.entries.some(({ icon }) => icon !== null) : slot !== 'contact' || leads(part),
  compile,
  extent,
  texts: (part) => part.entries.map((entry) => entry.text),
  drawn: (part) => part.entries.flatMap((entry) => (entry.icon === null ? [] : [entry.icon])),
};
