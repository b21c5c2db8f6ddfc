import { layOver, parseColour, withAlpha, type Rgba } from '../colour/colour.ts';
import { contrastRatio, nearestPassing, requiredRatio, type Layering } from '../colour/contrast.ts';
import { mixColours } from '../colour/mix.ts';
import { sceneColours } from '../model/scene.ts';
import type { SlotRef } from '../model/look.ts';
import type { Header } from '../kinds/pieces/header.ts';
import type { Panel } from '../kinds/pieces/panel.ts';
import type { Scene, Site } from '../model/site.ts';
import type { Level, State } from '../model/states.ts';
import { isLength, toPixels } from '../values/length.ts';
import { isColourValue, type PaintValue, type Value } from '../values/values.ts';
import { openedPanel, ownersOf, slotKind, type Owner } from '../kinds/walk.ts';
import { colourOf } from './colours.ts';
import { resolve } from './resolve.ts';
import type { PropertyId } from '../kinds/properties/properties.ts';

/** Where and in which state a slot is looked at. */
export interface Situation extends SlotRef {
  readonly level: Level | null;
  readonly states: readonly State[];
  readonly band: number;
}

/** The panel that folds a header's menu in this band, or null where the menu stands in the bar. */
export function foldingPanel(site: Site, header: Header, band: number): Panel | null {
  if (header.foldBand === null) return null;
  const foldIndex = site.bands.findIndex((entry) => entry.id === header.foldBand);
  if (foldIndex === -1 || band < foldIndex) return null;
  return openedPanel(site, header);
}

const atRest = (
  owner: string,
  slot: string,
  { band, states }: Situation,
  level: Level | null = null,
): Situation => ({ owner, slot, level, states: states.filter((state) => state === 'scrolled'), band });

/** The boxes around a slot that lie behind it, innermost first. */
function boxesAround(site: Site, owner: Owner, situation: Situation): Situation[] {
  const { slot, level, band } = situation;
  const { piece } = owner;
  const box = (id: string, name: string, ofLevel: Level | null = null) =>
    atRest(id, name, situation, ofLevel);
  if (piece.kind === 'panel') {
    if (owner.kind === 'panel') return slot === 'panel' || slot === 'scrim' ? [] : [box(piece.id, 'panel')];
    const inSubmenu = level !== null && level > 1 && slot !== 'submenu';
    return [
      ...(inSubmenu ? [box(owner.id, 'submenu', 2)] : []),
      ...listBox(owner, situation),
      box(piece.id, 'panel'),
      box(piece.id, 'scrim'),
    ];
  }
  if (owner.kind === 'header') return [];
  const bar = [...(owner.row === null ? [] : [box(owner.row, 'row')]), box(piece.id, 'bar')];
  if (owner.kind !== 'menu')
    return [...(owner.kind === 'search' && slot !== 'search' ? [box(owner.id, 'search')] : []), ...bar];
  const panel = foldingPanel(site, piece, band);
  const ground = panel ? [box(panel.id, 'panel'), box(panel.id, 'scrim')] : [];
  // An unfolded submenu lies over the page, not over the bar.
  if (level !== null && level > 1 && slot !== 'submenu') return [box(owner.id, 'submenu', 2), ...ground];
  if (slot === 'submenu') return ground;
  return [...listBox(owner, situation), ...(panel ? ground : bar)];
}

const listBox = (owner: Owner, situation: Situation): Situation[] =>
  situation.slot === 'list' ? [] : [atRest(owner.id, 'list', situation)];

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
function groundsOf(owner: Owner | undefined, { states, level, slot }: Situation, scene: Scene): Rgba[] {
  const colours = sceneColours(scene).map((literal) => parseColour(literal) ?? { r: 1, g: 1, b: 1, a: 1 });
  const { piece } = owner ?? {};
  const overContent =
    piece?.kind !== 'header' ||
    slot === 'submenu' ||
    (level ?? 1) > 1 ||
    piece.over ||
    (piece.stays && states.includes('scrolled'));
  if (!overContent || piece === undefined) return colours.slice(0, 1);
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

/** The boxes behind a slot's content, innermost first: its own, the one it stands in, those around. */
export function backdropOf(site: Site, situation: Situation, scene: Scene): Backdrop {
  const owner = ownersOf(site).get(situation.owner);
  const holder = slotKind(site, situation)?.inside;
  const places = [
    situation,
    ...(holder === undefined ? [] : [{ ...situation, slot: holder }]),
    ...(owner ? boxesAround(site, owner, situation) : []),
  ];
  const boxes = places.map((place) => boxOf(site, place));
  const grounds = groundsOf(owner, situation, scene);
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

/** The colour nearest to a slot's text colour that passes; null where it draws no text or none passes. */
export function passingColour(site: Site, situation: Situation, scene: Scene): Rgba | null {
  const pair = colourPair(site, situation, scene);
  return pair && nearestPassing(pair.text, pair.layering, pair.required);
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
