import { arrivingAt, neededBelow, standsIn } from '../../kinds/folds.ts';
import { sectionKind, pieceKind } from '../../kinds/catalogue.ts';
import type { PartOut, Rules } from '../../kinds/out.ts';
import { findPlaced, findSection, ownersOf, type Owner, type PlacedPart } from '../../kinds/placed.ts';
import type { PropertyId } from '../../kinds/properties/properties.ts';
import { dataAttributes, withOwnClass } from '../../model/own-attributes.ts';
import { levelKey, type Level } from '../../model/states.ts';
import type { Target } from '../../model/target.ts';
import type { HtmlElement, HtmlNode } from '../../print/trees.ts';
import { resolve } from '../../resolve/resolve.ts';
import type { Value } from '../../values/values.ts';
import { within, type CompileContext } from '../context.ts';
import { beneath } from '../hang.ts';
import { drawnSvg, glyph } from '../icons.ts';
import { foldIn, placeOf, under, type PartPlace } from '../place.ts';
import { arrangedItems, inBands, saidInBands, says, singleLinks } from '../said.ts';
import { ofLevel, openedPage } from '../selectors.ts';
import { invoker, linkElement } from './links.ts';
import { OutOf } from './out-of.ts';

/** What the parts of one piece share. */
export interface Shared {
  /** How often the piece draws each icon. */
  readonly counts: ReadonlyMap<string, number>;
  /** The links that buttons of the piece draw. */
  readonly kept: ReadonlySet<string>;
}

/** What a slot's look says of a property at rest in one band. */
export const valueIn = (
  { site }: CompileContext,
  owner: string,
  slot: string,
  property: PropertyId,
  band: number,
): Value | undefined => resolve(site, { owner, slot, level: null, property, states: [], band })?.value;

/** The selector of the section a part stands in. */
function sectionSelector(context: CompileContext, { region, piece }: PlacedPart): string {
  const section = findSection(context.site, region.section);
  const ground = section ? sectionKind(section.kind).ground : pieceKind(piece).rootSlot;
  return within(context, `.${context.names.slotClass(region.section.id, ground)}`);
}

/** What one part is told. */
export class PartOutOf extends OutOf implements PartOut {
  readonly #placed: PlacedPart;
  readonly #shared: Shared;
  readonly #place: PartPlace;
  #singles: ReadonlySet<string> | null = null;
  readonly split: boolean;

  constructor(context: CompileContext, placed: PlacedPart, shared: Shared, split: boolean) {
    super(context, placed.piece, placed.part.id);
    this.split = split;
    this.#placed = placed;
    this.#shared = shared;
    this.#place = placeOf(context, placed);
  }

  get form() {
    return this.#placed.region.form;
  }

  get attributes() {
    const { berth } = this.#place;
    const own = dataAttributes(this.#placed.part);
    if (berth === null) return own;
    return { ...own, [this.attribute('berth')]: this.context.names.slotId(berth, 'berth') };
  }

  get arriving() {
    return arrivingAt(this.site, this.owner).filter((arriving) => {
      const from = findPlaced(this.site, arriving.id)?.piece;
      return from !== undefined && this.context.pieces.includes(from);
    });
  }

  classes(slot: string) {
    const hidden = this.hidden(this.#placed.part.bands);
    return withOwnClass(this.class(slot) + (hidden === null ? '' : ` ${hidden}`), this.#placed.part);
  }

  said<V extends Value>(slot: string, level: Level | null, property: PropertyId, item?: string) {
    const asked = item === undefined ? { slot, level } : { slot, level, item };
    return saidInBands<V>(this.context, this.owner, asked, property);
  }

  arrangedItems(slot: string) {
    return arrangedItems(this.context, this.owner, slot);
  }

  says(slot: string, property: PropertyId) {
    return says(this.context, this.owner, slot, property);
  }

  ofLevel(slot: string, level: Level) {
    return `.${this.class(slot)}` + ofLevel(this.context, this.#self, slot, levelKey(level));
  }

  itemClass(item: string) {
    this.#singles ??= singleLinks(this.context, this.#self);
    return this.#singles.has(item) ? this.context.names.linkClass(this.owner, item) : null;
  }

  itemId(item: string) {
    return this.context.names.linkId(this.owner, item);
  }

  isKept(item: string) {
    return this.#shared.kept.has(item);
  }

  section() {
    return sectionSelector(this.context, this.#placed);
  }

  beneath(from: 'link' | 'section') {
    return beneath(this.context, this.#placed, from);
  }

  inRow(rules: Rules) {
    return under(rules, this.#place.inRow);
  }

  inPanel(rules: Rules) {
    return under(rules, this.#place.inPanel);
  }

  link(attributes: HtmlElement['attributes'], target: Target, ...content: readonly (HtmlNode | null)[]) {
    return linkElement(this.context, attributes, target, content);
  }

  invoker(panel: string) {
    return invoker(this.context, panel);
  }

  opened(panel: string) {
    return openedPage(this.context, panel);
  }

  glyph(className: string, id: string) {
    return glyph(this.context, this.piece, this.#shared.counts, className, id);
  }

  drawn(svg: string, className: string) {
    return drawnSvg(this.context, svg, className);
  }

  neededBelow(panel: string) {
    return neededBelow(this.site, this.piece, panel, (id) => foldIn(this.context, id));
  }

  standsIn(band: number) {
    return standsIn(this.site, this.#placed, band);
  }

  valueIn(slot: string, property: PropertyId, band: number) {
    return valueIn(this.context, this.owner, slot, property, band);
  }

  pieceValueIn(slot: string, property: PropertyId, band: number) {
    return valueIn(this.context, this.piece.id, slot, property, band);
  }

  inBands<Told>(read: (band: number) => Told) {
    return inBands(this.site, read);
  }

  get #self(): Owner {
    return ownersOf(this.site).get(this.owner) as Owner;
  }
}
