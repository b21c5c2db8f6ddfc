import { partKind, pieceKind, sectionKind } from '../kinds/catalogue.ts';
import { arrivingAt, foldsBelow, isShownIn, neededBelow, pieceFoldOf, standsIn } from '../kinds/folds.ts';
import {
  NO_SCRIPT,
  type Fragment,
  type OpenerPlace,
  type Out,
  type PartOut,
  type PieceOut,
  type SectionOut,
  type Whole,
} from '../kinds/out.ts';
import type { Part, Piece, Section } from '../kinds/site.ts';
import {
  findPlaced,
  findSection,
  openedFrom,
  opensOver,
  ownersOf,
  partsOf,
  placedParts,
  sectionsOf,
  type Owner,
  type PlacedPart,
} from '../kinds/placed.ts';
import { hrefOf } from '../links/target.ts';
import { dataAttributes, withOwnClass } from '../model/own-attributes.ts';
import type { Target } from '../model/target.ts';
import { element, styleRule, type ConditionalRule, type HtmlElement, type HtmlNode } from '../print/trees.ts';
import { resolve } from '../resolve/resolve.ts';
import { isLength, toPixels } from '../values/length.ts';
import { ownRoot, within, type CompileContext } from './context.ts';
import { beneath } from './hang.ts';
import { countIcons, drawnSvg, glyph, icon, symbols } from './icons.ts';
import { valueDeclarations } from './values.ts';
import { arrangedItems, inBands, saidInBands, saidTogether, says, singleLinks } from './said.ts';
import { itemClass, ofLevel, openedPage, stateMedia } from './selectors.ts';
import { levelKey, type State } from '../model/states.ts';
import type { PropertyId } from '../kinds/properties/properties.ts';
import { foldIn, placeOf, under } from './place.ts';
import { bandsWhere, below, hiddenClasses } from './shown.ts';

/** What everything in a piece is told; `owner` is whose slots are meant. */
function outFor(context: CompileContext, piece: Piece, owner: string): Out {
  const { names, root } = context;
  const classOf = (slot: string) => names.slotClass(owner, slot);
  const ready = `[${names.attribute('ready')}]`;
  return {
    site: context.site,
    root,
    unready: `${root}:not(${ready})`,
    ready: root + ready,
    scrolled: `${root}[${names.attribute('scrolled')}]`,
    name: names.name,
    variable: names.variable,
    attribute: names.attribute,
    id: (word) => names.id(word.startsWith(names.prefix) ? word.slice(names.prefix.length) : word),
    address: (href) => withBase(context, href),
    within: (selector) => within(context, selector),
    class: classOf,
    at: (slot, rest = '') => within(context, `.${classOf(slot)}${rest}`),
    stands: pieceKind(piece).stands,
    hidden: (bands) => hiddenClasses(context, bands),
    icon: (drawing) => icon(names.name('icon'), drawing),
    whileScrolled: stateMedia(context, 'scrolled', piece),
    scrolls: pieceKind(piece).comesTo(piece as never, 'scrolled'),
  };
}

/** The attributes of a control that opens a panel by the browser's own invokers (HTML, `commandfor`). */
function invoker(context: CompileContext, panel: string): HtmlElement['attributes'] | null {
  const found = context.pieces.find((piece) => piece.id === panel && opensOver(piece));
  if (!found) return null;
  const id = dialogId(context, found);
  return {
    type: 'button',
    command: 'show-modal',
    commandfor: id,
    'aria-haspopup': 'dialog',
    'aria-controls': id,
  };
}

const dialogId = ({ names }: CompileContext, piece: Piece) =>
  names.id(names.slotClass(piece.id, piece.kind).slice(names.prefix.length));

/** An address, with what lies before the paths of the site's own pages. */
function withBase({ pathBase, site }: CompileContext, href: string): string {
  if (pathBase === '') return href;
  const own = /^https?:\/\/[^/?#]+/i.exec(site.url)?.[0];
  const path = own !== undefined && href.startsWith(`${own}/`) ? href.slice(own.length) : href;
  return /^\/(?!\/)/.test(path) ? pathBase + path : href;
}

/** A link, or the button that opens a panel; without a target a placeholder link (HTML, section 4.5.1). */
function linkElement(
  context: CompileContext,
  attributes: HtmlElement['attributes'],
  target: Target,
  content: readonly (HtmlNode | null)[],
): HtmlElement {
  const opening = target.kind === 'panel' ? invoker(context, target.panel) : null;
  if (opening) {
    const { class: className, href: _none, target: _tab, rel: _rel, ...rest } = attributes;
    return element('button', { class: className ?? null, ...opening, ...rest }, ...content);
  }
  const href = hrefOf(context.site, target);
  const led = href === null ? attributes : { ...attributes, href: withBase(context, href) };
  return element('a', led, ...content);
}

/** The selector of the section a part stands in. */
function sectionSelector(context: CompileContext, { region, piece }: PlacedPart): string {
  const section = findSection(context.site, region.section);
  const ground = section ? sectionKind(section.kind).ground : pieceKind(piece).rootSlot;
  return within(context, `.${context.names.slotClass(region.section.id, ground)}`);
}

/** Compiles the pieces of one site; what is asked for twice is made once. */
export function compilePiece(context: CompileContext, piece: Piece): Fragment {
  const { site, names } = context;
  const counts = countIcons(site, piece);
  const kept = new Set(
    partsOf(site, piece).flatMap((part) => (part.kind === 'button' ? (part.item ?? []) : [])),
  );

  const partOut = (placed: PlacedPart, split: boolean): PartOut => {
    const { part } = placed;
    const owner = ownersOf(site).get(part.id) as Owner;
    const own = outFor(context, piece, part.id);
    const singles = singleLinks(context, owner);
    const place = placeOf(context, placed);
    const berth = place.berth;
    return {
      ...own,
      classes: (slot) => {
        const hidden = own.hidden(part.bands);
        return withOwnClass(own.class(slot) + (hidden === null ? '' : ` ${hidden}`), part);
      },
      attributes: {
        ...dataAttributes(part),
        ...(berth === null ? {} : { [names.attribute('berth')]: own.id(names.slotClass(berth, 'berth')) }),
      },
      form: placed.region.form,
      split,
      said: (slot, level, property, item) =>
        saidInBands(context, part.id, { slot, level, ...(item === undefined ? {} : { item }) }, property),
      arrangedItems: (slot) => arrangedItems(context, part.id, slot),
      says: (slot, property) => says(context, part.id, slot, property),
      ofLevel: (slot, level) => `.${own.class(slot)}` + ofLevel(context, owner, slot, levelKey(level)),
      itemClass: (item) => (singles.has(item) ? itemClass(names, item) : null),
      isKept: (item) => kept.has(item),
      section: () => sectionSelector(context, placed),
      beneath: (from) => beneath(context, placed, from),
      inRow: (rules) => under(rules, place.inRow),
      inPanel: (rules) => under(rules, place.inPanel),
      link: (attributes, target, ...content) => linkElement(context, attributes, target, content),
      invoker: (panel) => invoker(context, panel),
      opened: (panel) => openedPage(context, panel),
      glyph: (className, id) => glyph(context, piece, counts, className, id),
      drawn: (svg, className) => drawnSvg(context, svg, className),
      neededBelow: (panel) => neededBelow(site, piece, panel, (id) => foldIn(context, id)),
      arriving: arrivingAt(site, part.id).filter((arriving) => {
        const from = findPlaced(site, arriving.id)?.piece;
        return from !== undefined && context.pieces.includes(from);
      }),
      standsIn: (band) => standsIn(site, placed, band),
      valueIn: (slot, property, band) => valueIn(part.id, slot, property, band),
      pieceValueIn: (slot, property, band) => valueIn(piece.id, slot, property, band),
      inBands: (read) => inBands(site, read),
    };
  };

  const valueIn = (owner: string, slot: string, property: PropertyId, band: number) =>
    resolve(site, { owner, slot, level: null, property, states: [], band })?.value;

  const boxOf = (part: Part) => names.slotClass(part.id, partKind(part).box?.(part as never) ?? part.kind);
  const placedOf = (part: Part) => findPlaced(site, part.id) as PlacedPart;

  const compilePart = (part: Part, split = false): Fragment => {
    const placed = placedOf(part);
    const made = partKind(part).compile(part as never, partOut(placed, split));
    return { ...made, rules: [...made.rules, ...foldingRules(context, placed, boxOf(part))] };
  };

  const sectionOut = (section: Section): SectionOut => ({
    ...outFor(context, piece, section.id),
    regions: findSection(site, section)?.regions ?? [],
    part: compilePart,
    boxOf,
    atPart: (part, slot, rest = '') => within(context, `.${names.slotClass(part.id, slot)}${rest}`),
    inPlace: (part, rules) => under(rules, placeOf(context, placedOf(part)).inPlace),
    awayFrom: (part, rules) => {
      const { fold } = placeOf(context, placedOf(part));
      return under(rules, fold ? [...below(fold.below), NO_SCRIPT] : null);
    },
    whereNone: (parts, rules, script = 'any') =>
      bandsWhere(site, (band) => parts.every((part) => !standsIn(site, placedOf(part), band))).flatMap(
        (width) => {
          const queries = [width, script === 'needed' ? '(scripting: enabled)' : ''].filter(Boolean);
          return under(rules, queries.length > 0 ? [`@media ${queries.join(' and ')}`] : []);
        },
      ),
  });

  const out: PieceOut = {
    ...outFor(context, piece, piece.id),
    section: (section) => {
      const placed = findSection(site, section);
      if (!placed) throw new Error(`There is no section "${section.id}".`);
      return sectionKind(placed.kind).compile(section as never, sectionOut(section));
    },
    symbols: () => symbols(context, piece, counts),
    saidOf: (owner, slot, ids) => saidTogether(context, owner, slot, ids),
    saysOf: (owner, slot, id) => says(context, owner, slot, id),
    classOf: (owner, slot) => names.slotClass(owner, slot),
    atOf: (owner, slot, rest = '') => within(context, `.${names.slotClass(owner, slot)}${rest}`),
    glyph: (className, id) => glyph(context, piece, counts, className, id),
    openers: openersOf(context, piece),
    isShownIn: (band) => isShownIn(piece, site, band),
    rootClass: withOwnClass(rootClasses(context, piece), piece),
    rootData: dataAttributes(piece),
    own: ownRoot(context, piece),
    whole: wholeOf(context, piece),
    openedFrom: openedFrom(site, piece.id),
    foldsBelow: foldsBelow(site, piece),
    declared: (id, value) => valueDeclarations(context, id, value),
    leastHeight: (section, band, states) => leastHeight(context, section, band, states),
    valueIn,
    inBands: (read) => inBands(site, read),
  };
  return pieceKind(piece).compile(piece as never, out);
}

const rootClasses = (context: CompileContext, { id, kind, bands }: Piece): string =>
  [context.names.root, context.names.slotClass(id, kind), hiddenClasses(context, bands)]
    .filter((name) => name !== null)
    .join(' ');

/** The controls of other pieces that open a piece. */
function openersOf(context: CompileContext, piece: Piece): readonly OpenerPlace[] {
  const { site, names } = context;
  if (!opensOver(piece)) return [];
  return placedParts(site).flatMap((placed) => {
    const { part, piece: host } = placed;
    if (part.kind !== 'opener' || part.panel !== piece.id || host === piece) return [];
    if (!context.pieces.includes(host)) return [];
    const sections = sectionsOf(site).filter((one) => one.piece === host);
    return [
      {
        part,
        root: ownRoot(context, host),
        selector: within(context, `.${names.slotClass(part.id, part.kind)}`),
        height: sections.reduce((sum, { section }) => sum + leastHeight(context, section, 0), 0),
      },
    ];
  });
}

/** The least height of a section in px in a band; nothing where it is not shown there. */
function leastHeight(
  { site }: CompileContext,
  section: Section,
  band: number,
  states: readonly State[] = [],
): number {
  const placed = findSection(site, section);
  if (!placed || !isShownIn(section, site, band)) return 0;
  const slot = sectionKind(placed.kind).ground;
  const question = { owner: section.id, slot, property: 'height', level: null, states, band } as const;
  const height = resolve(site, question)?.value;
  return isLength(height) ? toPixels(height, { fontSize: 16 }) : 0;
}

const STATES_OF_ROWS: readonly (readonly State[])[] = [[], ['scrolled']];

/** The least heights of all sections in all bands, at rest and scrolled, as text. */
export const leastHeights = (context: CompileContext): string =>
  sectionsOf(context.site)
    .flatMap(({ section }) =>
      context.site.bands.flatMap((_, band) =>
        STATES_OF_ROWS.map((states) => leastHeight(context, section, band, states)),
      ),
    )
    .join();

/**
 * Where a part has folded away: the stylesheet tells the script so, and hides it until it stands at its berth. Without
 * scripts it stays in its place, every link in sight; where it is left out it is hidden in any case.
 */
function foldingRules(context: CompileContext, placed: PlacedPart, box: string): ConditionalRule[] {
  const { fold, berth } = placeOf(context, placed);
  if (!fold) return [];
  if (berth !== null) return goingRules(context, fold.below, box);
  return [styleRule(within(context, `.${box}.${box}`), [['display', 'none']], ...below(fold.below))];
}

/** Where a box goes to a berth below a width. */
function goingRules(context: CompileContext, width: number, box: string): ConditionalRule[] {
  const query = width === Infinity ? '' : `(width < ${width}px) and `;
  return [
    styleRule(within(context, `.${box}`), [[context.names.variable('folds'), '1']], ...below(width)),
    styleRule(
      within(context, `.${box}:not(dialog *)`),
      [['display', 'none']],
      `@media ${query}(scripting: enabled)`,
    ),
  ];
}

/** The box around all of a piece, where that goes into a panel of this output: its attributes and rules; else null. */
function wholeOf(context: CompileContext, piece: Piece): Whole | null {
  const { site, names } = context;
  const fold = pieceFoldOf(site, piece);
  if (!fold?.to || !context.pieces.includes(fold.to.piece)) return null;
  const box = names.slotClass(piece.id, 'whole');
  const berth = outFor(context, piece, piece.id).id(names.slotClass(fold.to.part.id, 'berth'));
  return {
    attributes: { class: box, [names.attribute('berth')]: berth },
    // The piece is out of sight as long as nothing is in it.
    rules: [
      ...goingRules(context, fold.below, box),
      styleRule(`${ownRoot(context, piece)}:not(:has(.${box}))`, [['display', 'none']]),
    ],
  };
}
