import type { Element } from 'domhandler';
import type { AddedDeclaration } from '../change/added-sheet.ts';
import type { ScrollState } from '../change/prove.ts';
import type { BoxReader } from './box-reader.ts';
import { declare, type StayView, type WayRule } from './obstacle.ts';
import { levelAbove } from './obstacles/stacking.ts';

/** How a header stays. */
export type Sticking =
  | { readonly kind: 'on top' }
  /** It leaves on the way down and comes back on the way up. */
  | { readonly kind: 'hides' }
  /** It scrolls away with the page and comes back after so many px. */
  | { readonly kind: 'appears'; readonly after: number };

/** How it leaves and comes. */
export const COMINGS = ['slides', 'fades', 'at once'] as const;
export type Coming = (typeof COMINGS)[number];

/** The widths in which a header stays, px; null where there is no end. */
export interface StayWidths {
  readonly from: number | null;
  /** Not among them. */
  readonly below: number | null;
}

/** A rule of what is added. */
export interface StayRule {
  /** The element that the rule is for. */
  readonly element: Element;
  /** A selector of it, without what makes it count more. */
  readonly selector: string;
  /** Holds only in this state of the page; null where always. */
  readonly when: ScrollState | null;
  readonly declarations: readonly AddedDeclaration[];
  /** Only where motion is welcome. */
  readonly moves: boolean;
}

/** The prefix of the names that are added, as of what Hamaca hands off. */
export const PREFIX = 'hm-';
export const attributeOf = (state: ScrollState) => `data-${PREFIX}${state}`;

/** The name of the motion by which a header comes, and where it begins. */
export const MOTION = { slides: `${PREFIX}slides`, fades: `${PREFIX}fades` } as const;
export const MOTION_FROM = { slides: 'translate: 0 -100%', fades: 'opacity: 0' } as const;

const TIME = '250ms';

/** What is said while the page is scrolled, of the header and of its logo. */
export interface WhileScrolled {
  readonly element: Element;
  readonly declarations: readonly AddedDeclaration[];
}

/** A list of times as long as the properties it is for. */
function repeated(list: string, length: number): readonly string[] {
  const items = list.split(/,(?![^(]*\))/).map((item) => item.trim());
  return Array.from({ length }, (_, at) => items[at % items.length] ?? '0s');
}

/** Declarations by which properties move, beside those that move already. */
function moving(element: Element, properties: readonly string[], reader: BoxReader): AddedDeclaration[] {
  const said = reader.said(element, 'transition-property')?.value ?? null;
  if (said === null || said === 'none')
    return [declare('transition', properties.map((property) => `${property} ${TIME}`).join(', '))];
  const known = said.split(',').map((name) => name.trim());
  const more = properties.filter((property) => !known.includes(property));
  if (known.includes('all') || more.length === 0) return [];
  const durations = repeated(reader.value(element, 'transition-duration'), known.length);
  const kinds = repeated(reader.value(element, 'transition-timing-function'), known.length);
  const delays = repeated(reader.value(element, 'transition-delay'), known.length);
  const old = known.map(
    (name, at) => `${name} ${durations[at] ?? '0s'} ${kinds[at] ?? 'ease'} ${delays[at] ?? '0s'}`,
  );
  return [declare('transition', [...old, ...more.map((property) => `${property} ${TIME}`)].join(', '))];
}

/** How it stands while it stays; what it says already is not said again. */
function standing({ target, isFixed, wasOver, reader }: StayView): AddedDeclaration[] {
  const place = isFixed
    ? [declare('position', 'fixed'), declare('top', '0'), declare('left', '0'), declare('right', '0')]
    : [declare('position', 'sticky'), declare('top', '0')];
  const stays = /^(?:sticky|fixed)$/.test(reader.value(target, 'position'));
  const needed = place.filter(({ property, value }) => {
    const now = reader.value(target, property);
    // Where it stood over the page it goes on standing there.
    return now !== value && !((stays || wasOver) && property !== 'position' && now !== 'auto');
  });
  const level = String(levelAbove(target, reader));
  return reader.value(target, 'z-index') === level ? needed : [...needed, declare('z-index', level)];
}

/** How it is gone: out of sight, yet in reach of the keyboard, which brings it back. */
const GONE: Readonly<Record<Coming, readonly AddedDeclaration[]>> = {
  slides: [declare('translate', '0 -100%')],
  fades: [declare('opacity', '0'), declare('pointer-events', 'none')],
  'at once': [declare('translate', '0 -100%')],
};

/** A selector of one element within another: whole paths are kept together, as they begin at the root. */
const within = (selector: string) => (/[\s>+~]/.test(selector) ? `:is(${selector})` : selector);

export interface StayWishes {
  readonly sticking: Sticking;
  readonly coming: Coming;
  readonly scrolled: readonly WhileScrolled[];
}

/** The rules that make it stay, the ways out of what prevents it first. */
export function stayRules(
  view: StayView,
  { sticking, coming, scrolled }: StayWishes,
  ways: readonly WayRule[],
): readonly StayRule[] {
  const { target, selectorOf, reader } = view;
  const own = selectorOf(target);
  const marked = (state: ScrollState) => `${own}[${attributeOf(state)}]`;
  const rule = (
    element: Element,
    declarations: readonly AddedDeclaration[],
    more: Partial<StayRule> = {},
  ): StayRule => ({
    element,
    selector: selectorOf(element),
    when: null,
    moves: false,
    declarations,
    ...more,
  });
  const moves = new Map<Element, string[]>();
  const move = (element: Element, declarations: readonly AddedDeclaration[]) => {
    const known = moves.get(element) ?? [];
    moves.set(element, [...known, ...declarations.map(({ property }) => property)]);
  };
  const states: StayRule[] = [];
  const stands = standing(view);
  if (sticking.kind === 'appears') {
    const past = { when: 'past', selector: marked('past') } as const;
    states.push(rule(target, stands, past));
    if (coming !== 'at once')
      states.push(
        rule(target, [declare('animation', `${MOTION[coming]} ${TIME}`)], { ...past, moves: true }),
      );
  }
  if (sticking.kind === 'hides') {
    move(target, GONE[coming]);
    // What has the focus stays in sight.
    const selector = `${marked('down')}:not(:focus-within)`;
    states.push(rule(target, GONE[coming], { when: 'down', selector }));
  }
  for (const { element, declarations } of scrolled) {
    move(element, declarations);
    const inside = element === target ? '' : ` ${within(selectorOf(element))}`;
    states.push(rule(element, declarations, { when: 'scrolled', selector: marked('scrolled') + inside }));
  }
  const atRest = sticking.kind === 'appears' ? [declare(`--${PREFIX}after`, `${sticking.after}px`)] : stands;
  const motion = coming === 'at once' ? [] : [...moves];
  return together([
    ...ways.map(({ element, declarations }) => rule(element, declarations)),
    rule(target, atRest),
    ...motion.map(([element, properties]) =>
      rule(element, moving(element, [...new Set(properties)], reader), { moves: true }),
    ),
    ...states,
  ]);
}

/** Rules of the same selector in one, where the first stands. */
function together(rules: readonly StayRule[]): readonly StayRule[] {
  const made = new Map<string, StayRule>();
  for (const rule of rules) {
    if (rule.declarations.length === 0) continue;
    const key = `${rule.selector} ${rule.moves}`;
    const known = made.get(key);
    made.set(key, known ? { ...known, declarations: [...known.declarations, ...rule.declarations] } : rule);
  }
  return [...made.values()];
}
