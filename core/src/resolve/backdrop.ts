import { formatColour, layOver, parseColour, withAlpha, type Rgba } from '../colour/colour.ts';
import { contrastRatio, nearestPassing, requiredRatio, type Layering } from '../colour/contrast.ts';
import { colourDistance, mixColours } from '../colour/mix.ts';
import { partKind, pieceKind, sectionKind } from '../kinds/catalogue.ts';
import { berthIn, givesWayIn } from '../kinds/folds.ts';
import type { Behind } from '../kinds/kind.ts';
import type { PropertyId } from '../kinds/properties/properties.ts';
import type { Part, Piece, SectionKindId, Site } from '../kinds/site.ts';
import { ownersOf, slotKind, type Owner } from '../kinds/placed.ts';
import { slotAround } from '../kinds/wearers.ts';
import type { SlotRef } from '../model/look.ts';
import { sceneColours } from '../model/scene.ts';
import type { Scene } from '../model/site-content.ts';
import type { Level, State } from '../model/states.ts';
import { isLength, toPixels } from '../values/length.ts';
import { isColourValue, ROLES, type ColourValue, type PaintValue, type Value } from '../values/values.ts';
import { colourOf } from './colours.ts';
import { resolve } from './resolve.ts';

/** Where and in which state a slot is looked at. */
export interface Situation extends SlotRef {
  readonly level: Level | null;
  /** Id of a single link. */
  readonly item?: string;
  readonly states: readonly State[];
  readonly band: number;
}

/** The section and piece that hold an owner. */
interface Standing {
  readonly piece: Piece;
  /** Innermost first; several where a piece went into a panel with its own sections. */
  readonly sections: readonly string[];
}

/** Where an owner stands in a band: in its place, at its berth where it has folded away, or both where it gives way there. */
function standings(site: Site, owner: Owner, slot: string, band: number): Standing[] {
  const inside = owner.section === null ? [] : [owner.section];
  const own = { piece: owner.piece, sections: inside };
  const over =
    owner.sort === 'piece' ? (pieceKind(owner.piece).liesOver?.(owner.piece as never, slot) ?? []) : [];
  if (over.length > 0) return over.map((section) => ({ piece: owner.piece, sections: [section] }));
  const berth = owner.sort === 'part' ? berthIn(site, owner.id, band) : null;
  if (!berth) return [own];
  const goesAlong = owner.sort === 'part' && (owner.thing as Part).folds === undefined;
  const sections = [...(goesAlong ? inside : []), berth.region.section.id];
  const away = { piece: berth.piece, sections };
  return givesWayIn(site, owner.id, band) ? [own, away] : [away];
}

/** What lies behind a slot within its own part. */
function within(site: Site, owner: Owner, { slot, level }: Situation): Behind {
  const part = owner.sort === 'part' ? (owner.thing as Part) : null;
  return (
    (part && partKind(part).behind?.(part as never, slot, level, site)) ?? { boxes: [], overPage: false }
  );
}

/** The boxes around a slot that lie behind it, innermost first. */
function boxesAround(
  site: Site,
  owner: Owner,
  { piece, sections }: Standing,
  situation: Situation,
): Situation[] {
  const { band, states } = situation;
  const box = (id: string, slot: string, level: Level | null = null): Situation => ({
    owner: id,
    slot,
    level,
    states: states.filter((state) => state === 'scrolled'),
    band,
  });
  const kind = pieceKind(piece);
  const ground = sections.flatMap((section) => {
    const held = ownersOf(site).get(section);
    return held ? [box(held.id, sectionKind(held.kind as SectionKindId).ground)] : [];
  });
  if (owner.sort === 'piece')
    return [...ground, ...kind.behind(situation.slot).map((slot) => box(piece.id, slot))];
  const inside = within(site, owner, situation);
  const own = inside.boxes.map(({ slot, level }) => box(owner.id, slot, level));
  // What lies over the page lies over whatever opens over it too.
  if (inside.overPage && kind.stands !== 'over' && kind.stands !== 'beside') return own;
  return [...own, ...ground, ...kind.grounds.map((slot) => box(piece.id, slot))];
}

/** One box with what is painted in it: layers topmost first, each one of several colours where it is not even. */
interface Box {
  readonly layers: readonly (readonly Rgba[])[];
  /** 0 to 1, of the box and all in it. */
  readonly opacity: number;
  /** False where a picture hides what is behind. */
  readonly certain: boolean;
}

/** Places between two stops of a gradient that are looked at: the worst may lie in between. */
const BETWEEN = [0.2, 0.4, 0.6, 0.8];

function gradientColours(site: Site, { paint }: PaintValue): Rgba[] {
  if (!paint || !('gradient' in paint)) return [];
  const stops = paint.gradient.stops.map((stop) => colourOf(site, stop.colour));
  return stops.flatMap((colour, index) => {
    const next = stops[index + 1];
    return next ? [colour, ...BETWEEN.map((share) => mixColours(colour, next, share))] : [colour];
  });
}

function boxOf(site: Site, situation: Situation): Box {
  const kind = slotKind(site, situation);
  const value = (id: PropertyId): Value | undefined =>
    kind?.properties.includes(id) ? resolve(site, { ...situation, property: id })?.value : undefined;
  const paint = value('paint');
  const painted = typeof paint === 'object' && 'paint' in paint ? paint : { paint: null };
  const fill = value('fill');
  const mark = value('mark') === 'box' ? value('markColour') : undefined;
  const layers = [
    ...(mark !== undefined && isColourValue(mark) ? [[colourOf(site, mark)]] : []),
    ...(painted.paint && 'gradient' in painted.paint ? [gradientColours(site, painted)] : []),
    ...(fill !== undefined && isColourValue(fill) ? [[colourOf(site, fill)]] : []),
  ];
  const opacity = value('opacity');
  return {
    layers,
    opacity: typeof opacity === 'number' ? opacity / 100 : 1,
    certain: !(painted.paint && 'image' in painted.paint),
  };
}

/** The page's colours that may lie behind: its ground, or all it shows where something lies over its content. */
function groundsOf(
  site: Site,
  owner: Owner | undefined,
  standing: Standing | null,
  situation: Situation,
  scene: Scene,
): Rgba[] {
  const colours = sceneColours(scene).map((literal) => parseColour(literal) ?? { r: 1, g: 1, b: 1, a: 1 });
  if (!owner || !standing) return colours.slice(0, 1);
  const { states } = situation;
  const { piece } = standing;
  const kind = pieceKind(piece);
  const overContent =
    kind.overContent(piece as never, states) ||
    (kind.stands !== 'beside' && within(site, owner, situation).overPage);
  if (!overContent) return colours.slice(0, 1);
  // A picture fills the top of the page: its plain ground is not there, unless the page has moved.
  return colours.length > 1 && !states.includes('scrolled') ? colours.slice(1) : colours;
}

/** Most combinations of uneven layers that are looked at. */
const MOST_COMBINATIONS = 600;

function combine(alternatives: readonly (readonly Rgba[])[]): Rgba[][] {
  return alternatives.reduce<Rgba[][]>(
    (combined, colours) =>
      combined.flatMap((before) => colours.map((colour) => [...before, colour])).slice(0, MOST_COMBINATIONS),
    [[]],
  );
}

/** Draws a pixel through boxes from the innermost out: its content over each box's layers, thinned by each box's opacity. */
function drawThrough(content: Rgba, boxes: readonly Box[], chosen: readonly Rgba[], ground: Rgba): Rgba {
  let at = 0;
  let drawn = content;
  for (const { layers, opacity } of boxes) {
    for (const _layer of layers) drawn = layOver(drawn, chosen[at++] as Rgba);
    drawn = withAlpha(drawn, opacity);
  }
  return layOver(drawn, ground);
}

const NOTHING: Rgba = { r: 0, g: 0, b: 0, a: 0 };

/** What lies behind a slot's own content: for a text colour, every pair of pixels it may come to. */
export interface Backdrop {
  /** Text and what is beside it as they are seen, for every place that was looked at. */
  readonly pairs: (text: Rgba) => readonly { readonly text: Rgba; readonly behind: Rgba }[];
  /** False where a picture lies behind whose colours are not known. */
  readonly certain: boolean;
}

/** What lies behind a slot's content wherever it stands in the band. */
export function backdropOf(site: Site, situation: Situation, scene: Scene): Backdrop {
  const owner = ownersOf(site).get(situation.owner);
  const places = owner ? standings(site, owner, situation.slot, situation.band) : [null];
  const backdrops = places.map((place) => backdropAt(site, owner, place, situation, scene));
  return {
    certain: backdrops.every(({ certain }) => certain),
    pairs: (text) => backdrops.flatMap(({ pairs }) => pairs(text)),
  };
}

/** The boxes behind a slot's content in one place, innermost first: its own, the one it stands in, those around. */
function backdropAt(
  site: Site,
  owner: Owner | undefined,
  standing: Standing | null,
  situation: Situation,
  scene: Scene,
): Backdrop {
  const holder = slotAround(site, situation);
  const places = [
    situation,
    ...(holder === undefined ? [] : [{ ...situation, slot: holder }]),
    ...(owner && standing ? boxesAround(site, owner, standing, situation) : []),
  ];
  const boxes = places.map((place) => boxOf(site, place));
  const grounds = groundsOf(site, owner, standing, situation, scene);
  const combinations = combine([...boxes.flatMap((box) => box.layers), grounds]);
  return {
    certain: boxes.every((box) => box.certain),
    pairs: (text) =>
      combinations.map((chosen) => {
        const ground = chosen.at(-1) as Rgba;
        return {
          text: drawThrough(text, boxes, chosen, ground),
          behind: drawThrough(NOTHING, boxes, chosen, ground),
        };
      }),
  };
}

export interface ContrastReport {
  /** Contrast ratio by WCAG 2.2, 1 to 21: the worst of all places that were looked at. */
  readonly ratio: number;
  /** What is needed: 4.5 or 3 for text by its size and weight, 3 for icons (success criteria 1.4.3 and 1.4.11). */
  readonly required: number;
  readonly passes: boolean;
  /** False where a picture lies behind whose colours are not known: then the ratio is that without it. */
  readonly certain: boolean;
}

/** The contrast of a slot's text or icon with what is really behind it; null where it draws neither. */
export function contrastOf(site: Site, situation: Situation, scene: Scene): ContrastReport | null {
  const pair = colourPair(site, situation, scene);
  if (!pair) return null;
  const ratio = worstContrast(pair.text, pair.layering);
  return { ratio, required: pair.required, passes: ratio >= pair.required, certain: pair.certain };
}

/** A place to look from, over a scene. */
export interface Sight {
  readonly situation: Situation;
  readonly scene: Scene;
}

/**
 * A value for a slot's text colour that passes wherever it is looked at: the role that comes nearest to what it is now, a
 * swatch where no role passes, a colour of its own only where none does. Null where nothing passes.
 */
export function passingValue(site: Site, sights: readonly Sight[]): ColourValue | null {
  const pairs = sights
    .map(({ situation, scene }) => colourPair(site, situation, scene))
    .filter((pair) => pair !== null);
  const [first] = pairs;
  if (!first) return null;
  const passes = (text: Rgba) => pairs.every((pair) => worstContrast(text, pair.layering) >= pair.required);
  const nearest = (values: readonly ColourValue[]) =>
    values
      .map((value) => ({ value, colour: colourOf(site, value) }))
      .filter(({ colour }) => passes(colour))
      .map(({ value, colour }) => ({ value, far: colourDistance(colour, first.text) }))
      .sort((a, b) => a.far - b.far)[0]?.value;
  const own = () => {
    const found = pairs
      .map((pair) => nearestPassing(pair.text, pair.layering, pair.required))
      .find((colour) => colour !== null && passes(colour));
    return found ? { literal: formatColour(found) } : null;
  };
  return (
    nearest(ROLES.map((role) => ({ role }))) ??
    nearest(site.palette.map(({ id }) => ({ swatch: id }))) ??
    own()
  );
}

function worstContrast(text: Rgba, layering: Layering): number {
  return Math.min(21, ...layering(text).map((pair) => contrastRatio(pair.text, pair.behind)));
}

function colourPair(
  site: Site,
  situation: Situation,
  scene: Scene,
): { text: Rgba; layering: Layering; required: number; certain: boolean } | null {
  const kind = slotKind(site, situation);
  if (!kind || kind.text === 'none') return null;
  const value = resolve(site, { ...situation, property: 'colour' })?.value;
  if (value === undefined || !isColourValue(value)) return null;
  const required = kind.text === 'icon' ? 3 : textRequirement(site, situation);
  const { pairs, certain } = backdropOf(site, situation, scene);
  return { text: colourOf(site, value), layering: pairs, required, certain };
}

function textRequirement(site: Site, situation: Situation): number {
  const size = resolve(site, { ...situation, property: 'size' })?.value;
  const weight = resolve(site, { ...situation, property: 'weight' })?.value;
  const width = site.bands[situation.band]?.min;
  const pixels = isLength(size) ? toPixels(size, { fontSize: 16, ...(width ? { width } : {}) }) : 16;
  return requiredRatio(pixels, typeof weight === 'number' ? weight : 400);
}
