import { placeIn, type Place, type Source } from '../source.ts';
import { readDeclarations } from './read-declarations.ts';
import { readImport, type Import } from './read-import.ts';
import type { Condition, RegisteredProperty, Rules, SheetNote, StyleRule } from './rules.ts';
import { splitBlock, type BlockPiece } from './split-block.ts';

/** How much of a page's stylesheets is read; what lies beyond is told, not read. */
export const SHEET_LIMITS = { rules: 200_000, depth: 32, imports: 200 } as const;

/** Finds a stylesheet that another one imports: its text by the address as it was written there, or null. */
export type FindSheet = (address: string, from: string) => Source | null;

interface Surroundings {
  readonly conditions: readonly Condition[];
  readonly layer: string | null;
  readonly parent: StyleRule | null;
  /** The files that led here, which must not be imported again. */
  readonly chain: readonly string[];
}

/** Names of layers within one another, with dots between them (CSS Cascading and Inheritance 5, 6.4). */
const isLayerName = (name: string): boolean =>
  name
    .split('.')
    .every((part) => /^(?:--|-?(?:[_a-z]|[^\x00-\x7f]|\\.))(?:[\w-]|[^\x00-\x7f]|\\.)*$/i.test(part));

const CONDITIONAL = new Set(['media', 'supports', 'container']);
const SKIPPED = new Set([
  'font-face',
  'page',
  'counter-style',
  'font-feature-values',
  'charset',
  'namespace',
]);
/** How the names begin that layers without one get here. */
export const ANONYMOUS = '(without a name ';

/** Reads stylesheets one after the other into the rules of one page, in the order in which they count. */
export class SheetReader {
  private readonly styles: StyleRule[] = [];
  private readonly layers: string[] = [];
  private readonly known = new Set<string>();
  private readonly animations = new Map<string, Set<string>>();
  private readonly registered = new Map<string, RegisteredProperty>();
  private readonly notes: SheetNote[] = [];
  private unnamed = 0;
  private imports = 0;

  private readonly find: FindSheet;

  constructor(find: FindSheet) {
    this.find = find;
  }

  /** Takes a whole stylesheet; `media` is the query of the element that brings it. `start` and `end` say where in the source it stands. */
  add(source: Source, media: string, start = 0, end = source.text.length): void {
    const conditions: Condition[] = media.trim() === '' ? [] : [{ kind: 'media', text: media }];
    this.readAll(source, start, end, { conditions, layer: null, parent: null, chain: [source.file] });
  }

  /** The rules of everything that was taken. */
  rules(): Rules {
    const { styles, layers, animations, registered, notes } = this;
    return { styles, layers, animations, registered, notes };
  }

  /** Tells of something that could not be read or used. */
  note(place: Place | null, text: string): void {
    this.notes.push({ place, text });
  }

  private readAll(source: Source, start: number, end: number, around: Surroundings): void {
    let mayImport = true;
    for (const piece of splitBlock(source.text.slice(start, end), 'sheet')) {
      const at = { source, start, around };
      const name = this.nameOf(at, piece);
      if (name === 'import' && mayImport && piece.kind === 'at-rule') this.readImported(at, piece);
      else {
        const isHead = name === 'charset' || (name === 'layer' && !('body' in piece && piece.body));
        if (!isHead) mayImport = false;
        this.readPiece(at, piece);
      }
    }
  }

  private nameOf({ source, start }: Reading, piece: BlockPiece): string {
    if (piece.kind !== 'at-rule') return '';
    const text = source.text.slice(start + piece.start, start + piece.preludeEnd);
    return /^@([\w-]+)/.exec(text)?.[1]?.toLowerCase() ?? '';
  }

  private readPiece(at: Reading, piece: BlockPiece): void {
    if (this.styles.length >= SHEET_LIMITS.rules) return;
    if (piece.kind === 'at-rule') this.readAtRule(at, piece);
    else if (piece.kind === 'rule') this.readRule(at, piece);
    else this.push(at, piece, null, piece);
  }

  /** Adds a rule with the declarations of a stretch; without a selector they belong to the rule around them. */
  private push(
    { source, start, around }: Reading,
    whole: Stretch,
    selector: string | null,
    own: Stretch | null,
  ): StyleRule {
    const rule: StyleRule = {
      selector,
      parent: around.parent,
      conditions: around.conditions,
      layer: around.layer,
      declarations: own
        ? readDeclarations(source, source.text.slice(start + own.start, start + own.end), start + own.start)
        : [],
      place: placeIn(source, start + whole.start, start + whole.end),
      order: this.styles.length,
    };
    this.styles.push(rule);
    if (this.styles.length === SHEET_LIMITS.rules)
      this.note(rule.place, `Only the first ${SHEET_LIMITS.rules} rules are read`);
    return rule;
  }

  private readRule(at: Reading, piece: Block): void {
    const { source, start, around } = at;
    const selector = source.text.slice(start + piece.start, start + piece.preludeEnd).trim();
    if (!piece.body || this.isTooDeep(around, placeIn(source, start + piece.start, start + piece.end)))
      return;
    const bodyStart = piece.body.start;
    const pieces = splitBlock(source.text.slice(start + bodyStart, start + piece.body.end), 'block');
    // The declarations a rule begins with are its own; those after a nested rule come after that one.
    const first = pieces[0];
    const own =
      first?.kind === 'declarations' ? { start: bodyStart + first.start, end: bodyStart + first.end } : null;
    const parent = this.push(at, piece, selector, own);
    const inside: Reading = { source, start: start + bodyStart, around: { ...around, parent } };
    for (const nested of own ? pieces.slice(1) : pieces) this.readPiece(inside, nested);
  }

  private isTooDeep(around: Surroundings, place: Place): boolean {
    let depth = around.conditions.length;
    for (let rule = around.parent; rule; rule = rule.parent) depth++;
    if (depth < SHEET_LIMITS.depth) return false;
    this.note(place, `Rules nested deeper than ${SHEET_LIMITS.depth} levels are not read`);
    return true;
  }

  private readAtRule(at: Reading, piece: Block): void {
    const { source, start, around } = at;
    const name = this.nameOf(at, piece);
    const text = source.text.slice(start + piece.start, start + piece.preludeEnd);
    const prelude = text.slice(name.length + 1).trim();
    if (name === 'layer' && !piece.body) {
      const names = prelude.split(',').map((layer) => layer.trim());
      if (names.every(isLayerName)) for (const layer of names) this.layerIn(around.layer, layer);
      return;
    }
    if (!piece.body || this.isTooDeep(around, placeIn(source, start + piece.start, start + piece.end)))
      return;
    const body = { start: start + piece.body.start, end: start + piece.body.end };
    const within = (changed: Partial<Surroundings>) => {
      this.readBlock(source, body, { ...around, ...changed });
    };
    if (name === 'layer') {
      if (prelude === '' || isLayerName(prelude)) within({ layer: this.layerIn(around.layer, prelude) });
    } else if (CONDITIONAL.has(name))
      within({
        conditions: [
          ...around.conditions,
          { kind: name as 'media' | 'supports' | 'container', text: prelude },
        ],
      });
    else if (name === 'scope') {
      const scope = { kind: 'scope' as const, ...readScope(prelude), parent: around.parent };
      within({ conditions: [...around.conditions, scope], parent: null });
    } else if (/^(?:-webkit-)?keyframes$/.test(name)) this.readKeyframes(source, body, prelude);
    else if (name === 'property') this.readRegistered(source, body, prelude);
    else if (name === 'starting-style' || SKIPPED.has(name)) return;
  }

  private readBlock(source: Source, body: { start: number; end: number }, around: Surroundings): void {
    const isBare = around.parent === null && around.conditions.at(-1)?.kind !== 'scope';
    const text = source.text.slice(body.start, body.end);
    for (const piece of splitBlock(text, isBare ? 'sheet' : 'block'))
      this.readPiece({ source, start: body.start, around }, piece);
  }

  private readImported({ source, start, around }: Reading, piece: Block): void {
    const place = placeIn(source, start + piece.start, start + piece.end);
    const wanted: Import | null = readImport(
      source.text.slice(start + piece.start, start + piece.preludeEnd),
    );
    if (!wanted) return;
    const found = this.find(wanted.address, source.file);
    if (!found) {
      this.note(place, `The imported stylesheet ${wanted.address} is not there`);
      return;
    }
    if (around.chain.includes(found.file)) {
      this.note(place, `${found.file} imports itself: it is read once`);
      return;
    }
    if (++this.imports > SHEET_LIMITS.imports) {
      this.note(place, `Only the first ${SHEET_LIMITS.imports} imported stylesheets are read`);
      return;
    }
    const conditions = [...around.conditions];
    if (wanted.supports !== null) conditions.push({ kind: 'supports', text: wanted.supports });
    if (wanted.media !== '') conditions.push({ kind: 'media', text: wanted.media });
    const isNamed = wanted.layer !== null && (wanted.layer === '' || isLayerName(wanted.layer));
    const layer = isNamed ? this.layerIn(around.layer, wanted.layer) : around.layer;
    this.readAll(found, 0, found.text.length, {
      conditions,
      layer,
      parent: null,
      chain: [...around.chain, found.file],
    });
  }

  /** The full name of a layer within another one; all above it are named with it. */
  private layerIn(outer: string | null, name: string): string {
    const given = name === '' ? `${ANONYMOUS}${++this.unnamed})` : name.replace(/\s/g, '');
    const full = outer === null ? given : `${outer}.${given}`;
    const parts = full.split('.');
    for (let length = 1; length <= parts.length; length++) {
      const named = parts.slice(0, length).join('.');
      if (this.known.has(named)) continue;
      this.known.add(named);
      this.layers.push(named);
    }
    return full;
  }

  private readKeyframes(source: Source, body: { start: number; end: number }, prelude: string): void {
    const properties = new Set<string>();
    for (const piece of splitBlock(source.text.slice(body.start, body.end), 'sheet')) {
      if (piece.kind !== 'rule' || !piece.body) continue;
      const from = body.start + piece.body.start;
      const text = source.text.slice(from, body.start + piece.body.end);
      for (const { property } of readDeclarations(source, text, from)) properties.add(property);
    }
    this.animations.set(prelude.replace(/^["']|["']$/g, ''), properties);
  }

  private readRegistered(source: Source, body: { start: number; end: number }, name: string): void {
    const said = new Map(
      readDeclarations(source, source.text.slice(body.start, body.end), body.start).map(
        ({ property, value }) => [property, value],
      ),
    );
    if (!name.startsWith('--') || !said.has('syntax') || !said.has('inherits')) return;
    this.registered.set(name, {
      inherits: said.get('inherits') !== 'false',
      initial: said.get('initial-value') ?? null,
    });
  }
}

interface Reading {
  readonly source: Source;
  /** Where the pieces' text begins in the source. */
  readonly start: number;
  readonly around: Surroundings;
}

interface Stretch {
  readonly start: number;
  readonly end: number;
}

type Block = Extract<BlockPiece, { readonly kind: 'rule' | 'at-rule' }>;

/** The two selector lists of `@scope (from) to (to)`. */
function readScope(prelude: string): { readonly from: string | null; readonly to: string | null } {
  const split = /^(?:\(([\s\S]*?)\))?\s*(?:to\s*\(([\s\S]*)\))?$/.exec(prelude.trim());
  return { from: split?.[1] ?? null, to: split?.[2] ?? null };
}
