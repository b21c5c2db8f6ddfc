import { partKind, pieceKind, sectionKind } from '../../kinds/catalogue.ts';
import { foldsBelow, isShownIn } from '../../kinds/folds.ts';
import type { Fragment, OpenerPlace, PieceOut } from '../../kinds/out.ts';
import { findSection, openedFrom, opensOver, partsOf, placedParts, sectionsOf } from '../../kinds/placed.ts';
import type { PropertyId } from '../../kinds/properties/properties.ts';
import type { Part, Piece, Section } from '../../kinds/site.ts';
import { dataAttributes, withOwnClass } from '../../model/own-attributes.ts';
import type { State } from '../../model/states.ts';
import type { Value } from '../../values/values.ts';
import { ownRoot, within, type CompileContext } from '../context.ts';
import { countIcons, glyph, symbols } from '../icons.ts';
import { inBands, saidTogether, says } from '../said.ts';
import { hiddenClasses } from '../shown.ts';
import { valueDeclarations } from '../values.ts';
import { wholeOf } from './folding.ts';
import { leastHeight } from './heights.ts';
import { OutOf } from './out-of.ts';
import { valueIn, type Shared } from './part-out.ts';
import { SectionOutOf } from './section-out.ts';

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
    if (part.kind !== 'opener' || part.panel !== piece.id || host.id === piece.id) return [];
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

/** What one piece is told. */
class PieceOutOf extends OutOf implements PieceOut {
  readonly #shared: Shared;

  constructor(context: CompileContext, piece: Piece, shared: Shared) {
    super(context, piece, piece.id);
    this.#shared = shared;
  }

  get openers() {
    return openersOf(this.context, this.piece);
  }

  get rootClass() {
    return withOwnClass(rootClasses(this.context, this.piece), this.piece);
  }

  get rootData() {
    return dataAttributes(this.piece);
  }

  get own() {
    return ownRoot(this.context, this.piece);
  }

  get whole() {
    return wholeOf(this.context, this.piece, this);
  }

  navigates(part: Part) {
    return partKind(part).navigates === true;
  }

  get openedFrom() {
    return openedFrom(this.site, this.piece.id);
  }

  get foldsBelow() {
    return foldsBelow(this.site, this.piece);
  }

  section(section: Section): Fragment {
    const placed = findSection(this.site, section);
    if (!placed) throw new Error(`There is no section "${section.id}".`);
    const out = new SectionOutOf(this.context, this.piece, section, this.#shared);
    return sectionKind(placed.kind).compile(section as never, out);
  }

  symbols() {
    return symbols(this.context, this.piece, this.#shared.counts);
  }

  saidOf(owner: string, slot: string, ids: readonly PropertyId[]) {
    return saidTogether(this.context, owner, slot, ids);
  }

  saysOf(owner: string, slot: string, id: PropertyId) {
    return says(this.context, owner, slot, id);
  }

  classOf(owner: string, slot: string) {
    return this.context.names.slotClass(owner, slot);
  }

  atOf(owner: string, slot: string, rest = '') {
    return within(this.context, `.${this.classOf(owner, slot)}${rest}`);
  }

  glyph(className: string, id: string) {
    return glyph(this.context, this.piece, this.#shared.counts, className, id);
  }

  isShownIn(band: number) {
    return isShownIn(this.piece, this.site, band);
  }

  declared(id: PropertyId, value: Value) {
    return valueDeclarations(this.context, id, value);
  }

  leastHeight(section: Section, band: number, states?: readonly State[]) {
    return leastHeight(this.context, section, band, states);
  }

  valueIn(owner: string, slot: string, property: PropertyId, band: number) {
    return valueIn(this.context, owner, slot, property, band);
  }

  inBands<Told>(read: (band: number) => Told) {
    return inBands(this.site, read);
  }
}

/** Compiles one piece of a site: its markup, the rules that arrange it, and what the script does for it. */
export function compilePiece(context: CompileContext, piece: Piece): Fragment {
  const { site } = context;
  const drawn = partsOf(site, piece).flatMap((part) => (part.kind === 'button' ? (part.item ?? []) : []));
  const shared: Shared = { counts: countIcons(site, piece), kept: new Set(drawn) };
  return pieceKind(piece).compile(piece as never, new PieceOutOf(context, piece, shared));
}
