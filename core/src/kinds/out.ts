import {
  joinedRules,
  shared,
  singleRules,
  styleRule,
  type ConditionalRule,
  type Declaration,
  type HtmlElement,
  type HtmlNode,
} from '../print/trees.ts';
import type { RegionForm } from '../model/shape/field.ts';
import type { Target } from '../model/target.ts';
import type { BehaviourId } from './behaviours/behaviours.ts';
import type { Level, State } from '../model/states.ts';
import type { Values } from '../model/look.ts';
import type { Value } from '../values/values.ts';
import type { PropertyId } from './properties/properties.ts';
import type { PiecePlace } from './kind.ts';
import type { Part, Region, Section, Site } from './site.ts';

/** What a thing becomes: markup, the rules that arrange it whatever its look, and what the script does for it. */
export interface Fragment {
  readonly nodes: readonly HtmlNode[];
  readonly rules: readonly ConditionalRule[];
  readonly behaviours: readonly BehaviourId[];
}

export const NOTHING: Fragment = { nodes: [], rules: [], behaviours: [] };

export function fragment(
  nodes: readonly (HtmlNode | null)[],
  rules: readonly ConditionalRule[],
  behaviours: readonly BehaviourId[] = [],
): Fragment {
  return { nodes: nodes.filter((node) => node !== null), rules, behaviours };
}

/** What several things become together, one after the other. */
export function joined(fragments: readonly Fragment[]): Fragment {
  const nodes: HtmlNode[] = [];
  const rules: ConditionalRule[] = [];
  const behaviours: BehaviourId[] = [];
  for (const made of fragments) {
    nodes.push(...made.nodes);
    rules.push(...made.rules);
    behaviours.push(...made.behaviours);
  }
  return { nodes, rules, behaviours };
}

export type Rules = readonly (readonly [selector: string, declarations: readonly Declaration[]])[];

/** Rules under the same conditions. */
export const ruled = (rules: Rules, conditions: readonly string[] = []): ConditionalRule[] =>
  rules.map(([selector, declarations]) => styleRule(selector, declarations, ...conditions));

/** Rules under further conditions, those outermost. */
export const widely = (
  rules: readonly ConditionalRule[],
  conditions: readonly string[],
): readonly ConditionalRule[] =>
  conditions.length === 0
    ? rules
    : rules.map((entry) => ({ ...entry, conditions: [...conditions, ...entry.conditions] }));

/**
 * How a piece moves with the page's way. What its look says of motion wins over this, and nothing moves to where it is as the
 * script takes charge.
 */
export const movesOnceReady = (
  out: Pick<PieceOut, 'own' | 'attribute'>,
  transition: string,
): readonly ConditionalRule[] => [
  styleRule(out.own, [['transition', transition]], MAY_MOVE),
  styleRule(`${out.own}:not([${out.attribute('ready')}=true])`, [['transition', 'none']], MAY_MOVE),
];

/** Keeps a piece out of sight until the script takes charge of it, or is late. */
export const waitsForScript = (out: Pick<PieceOut, 'own' | 'attribute' | 'waits'>): ConditionalRule =>
  styleRule(`${out.own}:not([${out.attribute('ready')}])`, [out.waits], SCRIPT);

/** Line drawings of our own. */
export type DrawingName = 'cross' | 'lens';

/** What everything that is compiled is told. */
export interface Out {
  readonly site: Site;
  /** The selector of our roots. It carries an id's weight, so that the host page's rules never win. */
  readonly root: string;
  /** The roots before and after the script has run. */
  readonly unready: string;
  readonly ready: string;
  /**
   * What waits for the script out of sight, and comes to light by itself where that takes seconds: it may never come. To be
   * said of what is there before the script has run, under `SCRIPT`.
   */
  readonly waits: Declaration;
  /** The roots while the page is scrolled. */
  readonly scrolled: string;
  /** A class that belongs to no slot. */
  name(word: string): string;
  variable(word: string): string;
  attribute(word: string): string;
  /** Where on a page its piece stands. */
  readonly stands: PiecePlace;
  /** An element's id: like no other on the page, also where another site's output stands on it. */
  id(word: string): string;
  /** An address of the site’s own as this output has it. */
  address(href: string): string;
  /** A selector below the roots. */
  within(selector: string): string;
  /** The class of a slot of the thing, or of something else in it. */
  class(slot: string): string;
  /** The selector of a slot, with what is to follow it. */
  at(slot: string, rest?: string): string;
  /** The classes of something shown only in some bands; null where it shows in all. */
  hidden(bands: readonly string[] | undefined): string | null;
  icon(drawing: DrawingName): HtmlElement;
  /** The widths at which what is scrolled shows it, as conditions. */
  readonly whileScrolled: readonly string[];
  /** Whether anything here can come to be scrolled. */
  readonly scrolls: boolean;
}

/** What a look says in some bands, with the conditions of their widths. */
export interface Said<V> {
  readonly value: V;
  readonly conditions: readonly string[];
}

export interface PartOut extends Out {
  /** What the look says of a property at rest, each value with the widths it holds at, widest first. */
  said<V extends Value>(
    slot: string,
    level: Level | null,
    property: PropertyId,
    item?: string,
  ): readonly Said<V>[];
  /** The links with a look of their own that their box is arranged by. */
  arrangedItems(slot: string): readonly string[];
  /** Whether the look says anything of a property of a slot. */
  says(slot: string, property: PropertyId): boolean;
  /** The selector of a slot at one level of the menu, to stand below the roots. */
  ofLevel(slot: string, level: Level): string;
  /** The class of a link that has a look of its own in this part; null where it has none. */
  itemClass(item: string): string | null;
  /** The id of what a link opens. */
  itemId(item: string): string;
  /** Whether a button of the same piece draws a link, so that it stays in the bar. */
  isKept(item: string): boolean;
  /** The selector of the section it stands in. */
  section(): string;
  /** The classes of the part's own element. */
  classes(slot: string): string;
  /** Attributes of the part's own element: the designer's own, and where it folds to. */
  readonly attributes: Readonly<Record<string, string | true>>;
  /** How the parts of its region stand. */
  readonly form: RegionForm;
  /** Whether its region asked it to stand in two halves. */
  readonly split: boolean;
  /** How far beneath its own box, or that of its section, what it opens begins, as CSS. */
  beneath(from: 'link' | 'section'): string;
  /** Rules for the widths at which it stands in its row, and for those at which it stands in a panel. */
  inRow(rules: Rules): ConditionalRule[];
  inPanel(rules: Rules): ConditionalRule[];
  /** A link, or the button that opens a panel; without a target a placeholder. */
  link(
    attributes: HtmlElement['attributes'],
    target: Target,
    ...content: readonly (HtmlNode | null)[]
  ): HtmlElement;
  /** The attributes of a control that opens a panel; null where there is no such panel. */
  invoker(panel: string): HtmlElement['attributes'] | null;
  /** The selector of the page while a panel is open; null where there is no such panel. */
  opened(panel: string): string | null;
  /** One of the site's icons; null where it is gone. */
  glyph(className: string, icon: string): HtmlNode | null;
  /** A drawing in place, marked as decoration. */
  drawn(svg: string, className: string): HtmlNode;
  /** For an opener: the width in px below which something folds into its panel; null where nothing does. */
  neededBelow(panel: string): number | null;
  /** The parts that arrive here, for a berth. */
  readonly arriving: readonly Part[];
  /** Whether it stands in its own place in a band, at some width at least. */
  standsIn(band: number): boolean;
  /** What the look of one of its slots says of a property at rest in one band. */
  valueIn(slot: string, id: PropertyId, band: number): Value | undefined;
  /** The same of a slot of its piece's own. */
  pieceValueIn(slot: string, id: PropertyId, band: number): Value | undefined;
  /** What something comes to in each band: what is alike once, with the widths of its bands. */
  inBands<Told>(read: (band: number) => Told): readonly Said<Told>[];
}

export interface SectionOut extends Out {
  readonly regions: readonly Region[];
  /** A part compiled; `split` asks it to stand in two halves. */
  part(part: Part, split?: boolean): Fragment;
  /** The class of the element that stands for a part. */
  boxOf(part: Part): string;
  /** The selector of a slot of a part. */
  atPart(part: Part, slot: string, rest?: string): string;
  /** Rules for the widths at which a part stands in its place here, and for those at which it would have folded away had it a script. */
  inPlace(part: Part, rules: Rules): ConditionalRule[];
  awayFrom(part: Part, rules: Rules): ConditionalRule[];
  /** Rules for the widths at which none of some parts stands here. */
  whereNone(parts: readonly Part[], rules: Rules): ConditionalRule[];
  /**
   * Hides the section in the bands it is not shown in, as far as a script has taken away what folds from there: without one
   * that would be lost.
   */
  hiddenOnceEmpty(slot: string, bands: readonly string[]): ConditionalRule[];
  /** Whether any of some parts folds away from here to a panel. */
  foldsAny(parts: readonly Part[]): boolean;
  /** Hides something where none of some parts stands here, as far as a script has taken them away. */
  hiddenWhereNone(parts: readonly Part[], slot: string): ConditionalRule[];
}

/** A control that opens a panel, and the root it stands in. */
export interface OpenerPlace {
  readonly part: Part;
  /** The selectors of the root it stands in, and of the control. */
  readonly root: string;
  readonly selector: string;
  /** The least height in px of its piece. */
  readonly height: number;
}

/** The box around all of a piece that goes into a panel together. */
export interface Whole {
  readonly attributes: HtmlElement['attributes'];
  readonly rules: readonly ConditionalRule[];
}

export interface PieceOut extends Out {
  section(section: Section): Fragment;
  /** The drawings of icons that this piece draws more than once; null where there are none. */
  symbols(): HtmlElement | null;
  /** What the look of a slot of the piece, or of something in it, says of some properties at rest in each band. */
  saidOf(owner: string, slot: string, ids: readonly PropertyId[]): readonly Said<Values>[];
  saysOf(owner: string, slot: string, id: PropertyId): boolean;
  /** The class and the selector of a slot of something in it. */
  classOf(owner: string, slot: string): string;
  atOf(owner: string, slot: string, rest?: string): string;
  /** One of the site's icons; null where it is gone. */
  glyph(className: string, icon: string): HtmlNode | null;
  /** The openers of this piece, with the piece each stands in. */
  readonly openers: readonly OpenerPlace[];
  /** Whether it is shown in a band at all. */
  isShownIn(band: number): boolean;
  /** The piece as a root: its classes. */
  readonly rootClass: string;
  /** The designer's own data attributes on it. */
  readonly rootData: Readonly<Record<string, string | true>>;
  /** The selector of this piece's own root. */
  readonly own: string;
  /** Where all of it goes into a panel; null where it stays. */
  readonly whole: Whole | null;
  /** Whether a part is navigation, or nothing but a help with it. */
  navigates(part: Part): boolean;
  /** The side of the row at which what opens this piece stands. */
  readonly openedFrom: 'start' | 'end';
  /** The width in px below which anything of it folds away; null where nothing does. */
  readonly foldsBelow: number | null;
  /** A value as the declarations of its property. */
  declared(id: PropertyId, value: Value): readonly Declaration[];
  /** Least height of a section in px in a band; nothing where it is not shown there. */
  leastHeight(section: Section, band: number, states?: readonly State[]): number;
  /** What the look of a slot says of a property at rest in one band. */
  valueIn(owner: string, slot: string, id: PropertyId, band: number): Value | undefined;
  /** What something comes to in each band: what is alike once, with the widths of its bands. */
  inBands<Told>(read: (band: number) => Told): readonly Said<Told>[];
}

/** The padding of a box whose content keeps to a width in px: it grows, and the box's fill goes on to the edges. */
export const containedPadding = (padding: string, contained: number): string =>
  `max(${padding === '0' ? '0px' : padding}, calc(50% - ${contained / 2}px))`;

/** As wide as it is drawn. */
const FREE: Declaration = ['inline-size', 'auto'];

/** What the page's own rules for drawings cannot change. The drawing's own colours are attributes, so it is not reset as a whole. */
const DRAWN: readonly Declaration[] = [
  ['flex', 'none'],
  FREE,
  ['max-inline-size', 'none'],
  ['margin', '0'],
  ['padding', '0'],
  ['border', '0'],
  ['transform', 'none'],
  ['vertical-align', 'baseline'],
  ['overflow', 'hidden'],
];

/** The least shape, width to height, of a drawing that could be wider than a phone. */
const WIDE = 3.5;

const WITHIN_WINDOW: Declaration = ['max-inline-size', 'calc(100vw - 64px)'];

/** What makes an icon as large as the text beside it. */
const AS_TYPE: readonly Declaration[] = [
  ['inline-size', '1em'],
  ['block-size', '1em'],
];

/** What drawings of every size have in common. */
const drawn = (selector: string): ConditionalRule[] =>
  shared('Drawings', [
    styleRule(
      selector,
      DRAWN.filter((own) => own !== FREE),
    ),
  ]);

/** An icon as large as its type. */
export const drawnAsType = (selector: string): ConditionalRule[] => [
  ...drawn(selector),
  ...shared('Drawings as large as text', [styleRule(selector, AS_TYPE)]),
];

/** A picture or drawing in a part: one that may be wide keeps within the window, with room at its sides. */
export const drawnWithin = (selector: string, ratio: number | null): ConditionalRule[] => {
  if (ratio !== null && ratio < WIDE) return [...drawn(selector), styleRule(selector, [FREE])];
  const narrowed = DRAWN.map((own) => (own[0] === WITHIN_WINDOW[0] ? WITHIN_WINDOW : own));
  return [styleRule(selector, [...narrowed, ['object-fit', 'contain']])];
};

/** A control beside others: its content in a line. */
export const IN_LINE: readonly Declaration[] = [
  ['display', 'flex'],
  ['align-items', 'center'],
];
/** Words on one line; those too long for it end in dots. */
export const ON_ONE_LINE: readonly Declaration[] = [
  ['overflow', 'hidden'],
  ['text-overflow', 'ellipsis'],
  ['white-space', 'nowrap'],
];
export const CLICKABLE: Declaration = ['cursor', 'pointer'];

/** The ring around what has the keyboard's focus, where no look says another. */
export const FOCUS_RING: readonly Declaration[] = [
  ['outline', '2px solid currentColor'],
  ['outline-offset', '2px'],
];

export const FORCED_COLOURS = '@media (forced-colors: active)';
export const PRINT = '@media print';
export const NO_SCRIPT = '@media (scripting: none)';
export const SCRIPT = '@media (scripting: enabled)';
/** Engines in which a box can be chosen by what is in it. */
export const KNOWS_INNER = '@supports selector(:has(a))';
export const MAY_MOVE = '@media (prefers-reduced-motion: no-preference)';

/**
 * The rules of each band, where no band's depend on their order among another one's: what several bands say stands once, for
 * all widths they have.
 */
export function rulesByBand(
  out: PieceOut,
  read: (band: number) => readonly ConditionalRule[],
): ConditionalRule[] {
  const lists = out.site.bands.map((_, band) =>
    singleRules(read(band)).map((rule) => [JSON.stringify(rule), rule] as const),
  );
  const said = lists.map((list) => new Set(list.map(([key]) => key)));
  const rules = [...new Map(lists.flat())].flatMap(([key, rule]) =>
    out
      .inBands((band) => said[band]?.has(key) === true)
      .flatMap(({ value, conditions }) => (value ? widely([rule], conditions) : [])),
  );
  return joinedRules(rules);
}
