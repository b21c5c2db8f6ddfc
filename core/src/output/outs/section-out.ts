import { partKind } from '../../kinds/catalogue.ts';
import { isShownIn, standsIn } from '../../kinds/folds.ts';
import { NO_SCRIPT, type Fragment, type Rules, type SectionOut } from '../../kinds/out.ts';
import { findPlaced, findSection, type PlacedPart } from '../../kinds/placed.ts';
import type { Part, Piece, Section } from '../../kinds/site.ts';
import { within, type CompileContext } from '../context.ts';
import { placeOf, under } from '../place.ts';
import { bandsWhere, below, media } from '../shown.ts';
import { foldingRules } from './folding.ts';
import { OutOf } from './out-of.ts';
import { PartOutOf, type Shared } from './part-out.ts';

/** What one section is told. */
export class SectionOutOf extends OutOf implements SectionOut {
  readonly #section: Section;
  readonly #shared: Shared;

  constructor(context: CompileContext, piece: Piece, section: Section, shared: Shared) {
    super(context, piece, section.id);
    this.#section = section;
    this.#shared = shared;
  }

  get regions() {
    return findSection(this.site, this.#section)?.regions ?? [];
  }

  part(part: Part, split = false): Fragment {
    const placed = this.#placed(part);
    const out = new PartOutOf(this.context, placed, this.#shared, split);
    const { nodes, rules, behaviours } = partKind(part).compile(part as never, out);
    const folding = foldingRules(this.context, placed, this.boxOf(part), this);
    return { nodes, rules: folding.length === 0 ? rules : [...rules, ...folding], behaviours };
  }

  boxOf(part: Part) {
    return this.context.names.slotClass(part.id, partKind(part).box?.(part as never) ?? part.kind);
  }

  atPart(part: Part, slot: string, rest = '') {
    return within(this.context, `.${this.context.names.slotClass(part.id, slot)}${rest}`);
  }

  inPlace(part: Part, rules: Rules) {
    return under(rules, placeOf(this.context, this.#placed(part)).inPlace);
  }

  awayFrom(part: Part, rules: Rules) {
    const { fold } = placeOf(this.context, this.#placed(part));
    return under(rules, fold ? [...below(fold.below), NO_SCRIPT] : null);
  }

  whereNone(parts: readonly Part[], rules: Rules) {
    return this.#emptyWidths(parts).flatMap((width) => under(rules, media(width)));
  }

  hiddenWhereNone(parts: readonly Part[], slot: string) {
    return this.#hiddenAt(this.#emptyWidths(parts), slot);
  }

  hiddenOnceEmpty(slot: string, bands: readonly string[]) {
    const isHidden = (band: number) => !isShownIn({ bands }, this.site, band);
    return this.#hiddenAt(bandsWhere(this.site, isHidden), slot);
  }

  foldsAny(parts: readonly Part[]) {
    return parts.some((part) => placeOf(this.context, this.#placed(part)).berth !== null);
  }

  /** Hides something at some widths once the script has run, and until it is late. */
  #hiddenAt(widths: readonly string[], slot: string) {
    const box = `.${this.class(slot)}`;
    return widths.flatMap((width) => [
      ...under([[`${this.ready} ${box}`, [['display', 'none']]]], media(width)),
      ...under([[`${this.unready} ${box}`, [this.waits]]], media(width, '(scripting: enabled)')),
    ]);
  }

  /** The widths at which none of some parts stands here, as media queries. */
  #emptyWidths(parts: readonly Part[]): readonly string[] {
    return bandsWhere(this.site, (band) =>
      parts.every((part) => !standsIn(this.site, this.#placed(part), band)),
    );
  }

  #placed(part: Part): PlacedPart {
    return findPlaced(this.site, part.id) as PlacedPart;
  }
}
