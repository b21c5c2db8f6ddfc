import { parseColour, type Rgba } from '../colour/colour.ts';
import { contrastOver, nearestPassing, requiredRatio } from '../colour/contrast.ts';
import type { SlotRef } from '../document/look.ts';
import type { Header } from '../document/pieces/header.ts';
import type { Panel } from '../document/pieces/panel.ts';
import type { Scene, Site } from '../document/site.ts';
import type { Level, State } from '../document/states.ts';
import { toPixels } from '../document/values.ts';
import { openedPanel, ownersOf, slotKind, type Owner } from '../document/walk.ts';
import { colourOf, isColourValue } from './colours.ts';
import { resolve, type Question } from './resolve.ts';

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

function fillOf(site: Site, situation: Situation): Rgba[] {
  const question: Question = { ...situation, property: 'fill' };
  const kind = slotKind(site, situation);
  if (!kind?.properties.includes('fill')) return [];
  const value = resolve(site, question)?.value;
  return value !== undefined && isColourValue(value) ? [colourOf(site, value)] : [];
}

const atRest = (owner: string, slot: string, band: number, level: Level | null = null): Situation =>
  ({ owner, slot, level, states: [], band });

/**
 * The fills that lie behind a slot's own content, topmost first: its own fill, the boxes around it, the scene's
 * ground at the end.
 */
export function layersBehind(site: Site, situation: Situation, scene: Scene): Rgba[] {
  const ground = parseColour(scene.ground) ?? { r: 1, g: 1, b: 1, a: 1 };
  const owner = ownersOf(site).get(situation.owner);
  const holder = slotKind(site, situation)?.inside;
  const own = [...fillOf(site, situation), ...(holder === undefined ? [] : fillOf(site, { ...situation, slot: holder }))];
  if (!owner) return [...own, ground];
  return [...own, ...boxesAround(site, owner, situation).flatMap((box) => fillOf(site, box)), ground];
}

function boxesAround(site: Site, owner: Owner, { slot, level, band }: Situation): Situation[] {
  const { piece } = owner;
  if (piece.kind === 'panel' && owner.kind === 'menu') {
    const box = level !== null && level > 1 && slot !== 'submenu' ? [atRest(owner.id, 'submenu', band, 2)] : [];
    return [...box, atRest(piece.id, 'panel', band), atRest(piece.id, 'scrim', band)];
  }
  if (piece.kind === 'panel') return slot === 'panel' || slot === 'scrim' ? [] : [atRest(piece.id, 'panel', band)];
  const bar = atRest(piece.id, 'bar', band);
  if (owner.kind !== 'menu') return owner.kind === 'header' ? [] : [bar];
  const panel = foldingPanel(site, piece, band);
  const ground = panel ? [atRest(panel.id, 'panel', band), atRest(panel.id, 'scrim', band)] : [];
  const inSubmenu = level !== null && level > 1 && slot !== 'submenu';
  // An unfolded submenu lies over the page, not over the bar.
  if (inSubmenu) return [atRest(owner.id, 'submenu', band, 2), ...ground];
  if (slot === 'submenu') return ground;
  return panel ? ground : [bar];
}

export interface ContrastReport {
  /** Contrast ratio by WCAG 2.2, 1 to 21. */
  readonly ratio: number;
  /** What is needed: 4.5 or 3 for text by its size and weight, 3 for icons (success criteria 1.4.3 and 1.4.11). */
  readonly required: number;
  readonly passes: boolean;
}

/** The contrast of a slot's text or icon with what is really behind it; null where it draws neither. */
export function contrastOf(site: Site, situation: Situation, scene: Scene): ContrastReport | null {
  const pair = colourPair(site, situation, scene);
  if (!pair) return null;
  const ratio = contrastOver(pair.text, pair.behind);
  return { ratio, required: pair.required, passes: ratio >= pair.required };
}

/** The colour nearest to a slot's text colour that passes; null where it draws no text or none passes. */
export function passingColour(site: Site, situation: Situation, scene: Scene): Rgba | null {
  const pair = colourPair(site, situation, scene);
  return pair && nearestPassing(pair.text, pair.behind, pair.required);
}

function colourPair(site: Site, situation: Situation, scene: Scene): { text: Rgba; behind: Rgba[]; required: number } | null {
  const kind = slotKind(site, situation);
  if (!kind || kind.text === 'none') return null;
  const value = resolve(site, { ...situation, property: 'colour' })?.value;
  if (value === undefined || !isColourValue(value)) return null;
  const required = kind.text === 'icon' ? 3 : textRequirement(site, situation);
  return { text: colourOf(site, value), behind: layersBehind(site, situation, scene), required };
}

function textRequirement(site: Site, situation: Situation): number {
  const size = resolve(site, { ...situation, property: 'size' })?.value;
  const weight = resolve(site, { ...situation, property: 'weight' })?.value;
  const pixels = typeof size === 'number' || typeof size === 'string' ? toPixels(size, 16) : 16;
  return requiredRatio(pixels, typeof weight === 'number' ? weight : 400);
}
