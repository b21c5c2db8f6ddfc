import { belowBand } from '../model/bands.ts';
import { referenceOrNone, text } from '../model/shape/fields.ts';
import {
  BOX_PROPERTIES,
  BOX_STATES,
  MARGIN_PROPERTIES,
  TEXT_PROPERTIES,
  type SlotKind,
} from '../model/slot.ts';
import {
  element,
  shared,
  styleRule,
  text as words,
  type ConditionalRule,
  type HtmlNode,
} from '../print/trees.ts';
import { CLICKABLE, fragment, IN_LINE, NO_SCRIPT, SCRIPT, widely, type Fragment, type Out } from './out.ts';

const hasHeading = (thing: Readonly<Record<string, unknown>>) => thing['heading'] !== '';

/** The fields of what has a heading that may open the rest, from the band the second one names. */
export const headingField = () => text({ label: 'heading', hint: 'above all in it; empty for none' });
export const opensFrom = (label: string) =>
  referenceOrNone('band', {
    label,
    hint: 'from this width down only the heading shows, and opens the rest',
    when: hasHeading,
  });

/** The slot of such a heading. Its sign stands at the far end of its line, so that nothing else lines it up. */
export const headingSlot = (defaults: SlotKind['defaults']): SlotKind => ({
  label: 'Heading',
  levels: [],
  states: BOX_STATES,
  text: 'label',
  typeStyle: 'menu',
  properties: [...TEXT_PROPERTIES.filter((id) => id !== 'align'), ...BOX_PROPERTIES, ...MARGIN_PROPERTIES],
  defaults: { colour: { role: 'ink' }, ...defaults },
});

/** What stands under a heading, and opens by it from a width down. */
export interface Headed {
  /** Empty for none. */
  readonly heading: string;
  /** Id of the widest band in which only the heading shows at first; null where all always does. */
  readonly from: string | null;
  /** The heading's slot. */
  readonly slot: string;
  /** The word for the class of the box that the rest is in: like no other kind's. */
  readonly inside: string;
}

/** The width in px below which the heading opens the rest; null where it does not. */
function foldsBelow({ heading, from }: Headed, { site }: Out): number | null {
  if (heading === '' || from === null) return null;
  const band = site.bands.findIndex(({ id }) => id === from);
  return band === -1 ? null : belowBand(site, band);
}

/** The heading: words alone, and the button in it that takes their place where it opens the rest. */
function headingNodes({ heading, slot, inside }: Headed, below: number | null, out: Out): HtmlNode[] {
  if (heading === '') return [];
  const own = { class: out.class(slot) };
  if (below === null) return [element('h2', own, words(heading))];
  const controls = out.id(out.class(inside));
  const button = { type: 'button', 'aria-expanded': 'false', 'aria-controls': controls };
  return [element('h2', own, element('span', {}, words(heading)), element('button', button, words(heading)))];
}

/** A button as large as its heading, with a sign at its end. */
function buttonRules(heading: string): ConditionalRule[] {
  const button = `${heading}>button`;
  return [
    styleRule(heading, [['position', 'relative']]),
    styleRule(button, [
      ...IN_LINE,
      CLICKABLE,
      ['justify-content', 'space-between'],
      ['gap', '12px'],
      ['inline-size', '100%'],
    ]),
    styleRule(`${button}::before`, [
      ['content', '""'],
      ['position', 'absolute'],
      ['inset', '0'],
    ]),
    styleRule(`${button}::after`, [
      ['content', '""'],
      ['inline-size', '0.5em'],
      ['block-size', '0.5em'],
      ['border', 'solid'],
      ['border-width', '0 2px 2px 0'],
      ['rotate', '45deg'],
    ]),
    styleRule(`${button}[aria-expanded=true]::after`, [['rotate', '225deg']]),
  ];
}

/** Where its heading opens it. */
function foldRules({ slot, inside: word }: Headed, below: number | null, out: Out): ConditionalRule[] {
  if (below === null) return [];
  const narrow = below === Infinity ? [] : [`@media (width < ${below}px)`];
  const heading = out.at(slot);
  const button = `${heading}>button`;
  const inside = `.${out.class(word)}`;
  const hidden = [['display', 'none']] as const;
  return shared('Headings that unfold what is beneath them', [
    styleRule(out.within(inside), [
      ['display', 'flex'],
      ['flex-direction', 'column'],
      ['align-items', 'inherit'],
      ['gap', 'inherit'],
    ]),
    ...buttonRules(heading),
    // Above that width, and without a script, it is a heading like any other.
    ...(below === Infinity ? [] : [styleRule(button, hidden, `@media (width >= ${below}px)`)]),
    styleRule(button, hidden, NO_SCRIPT),
    // What the script will fold is folded before it has run, so that the page does not move when it does.
    ...widely(
      [styleRule(`${heading}>span`, hidden), styleRule(`${out.unready} ${inside}`, [out.waits])],
      [...narrow, SCRIPT],
    ),
    ...widely([styleRule(`${out.ready} ${inside}:not([${out.attribute('open')}])`, hidden)], narrow),
  ]);
}

/** A column of things under a heading: a box of their own holds them where the heading opens it. */
export function headed(box: Headed, content: readonly HtmlNode[], out: Out): Fragment {
  const below = foldsBelow(box, out);
  const inside = out.class(box.inside);
  const held = below === null ? content : [element('div', { class: inside, id: out.id(inside) }, ...content)];
  return fragment(
    [...headingNodes(box, below, out), ...held],
    [
      ...(box.heading === '' ? [] : [styleRule(out.at(box.slot), [['display', 'block']])]),
      ...foldRules(box, below, out),
    ],
    below === null ? [] : ['disclosure'],
  );
}
