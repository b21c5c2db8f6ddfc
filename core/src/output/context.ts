import type { Header } from '../kinds/pieces/header.ts';
import type { Panel } from '../kinds/pieces/panel.ts';
import type { Site } from '../model/site.ts';
import type { Part } from '../kinds/part.ts';
import { headerParts, openedPanel, panelsOf } from '../kinds/walk.ts';
import type { FontMetrics } from '../text/font-table.ts';
import { createNames, DEFAULT_PREFIX, type Names } from './names.ts';

export interface CompileOptions {
  /** Start of every class, id and custom property. */
  readonly prefix?: string;
  /** Where the stylesheet finds the font files. */
  readonly fontBase?: string;
  /** Also answers to pinned states (`data-pin`), for the stage; never part of the hand-off. */
  readonly pinnable?: boolean;
  /** Measures of the bundled typefaces, for fallback faces that take the same room. */
  readonly fonts: readonly FontMetrics[];
}

/** What every step of compiling one header needs. */
export interface CompileContext {
  readonly site: Site;
  readonly header: Header;
  /** The panel that folds the menu, with the width in px below which it does; null where nothing folds. */
  readonly fold: { readonly panel: Panel; readonly below: number } | null;
  /** Every panel the header can open, the one it folds into among them. */
  readonly panels: readonly Panel[];
  readonly names: Names;
  /**
   * The selector of the piece's root. The `:not()` of an id that nothing has lends every rule an id's weight, so that
   * the host page's rules never win, whatever their order.
   */
  readonly root: string;
  readonly fontBase: string;
  readonly pinnable: boolean;
  readonly fonts: readonly FontMetrics[];
}

function findFold(site: Site, header: Header): CompileContext['fold'] {
  const index = site.bands.findIndex((band) => band.id === header.foldBand);
  const wider = site.bands[index - 1];
  const panel = openedPanel(site, header);
  // Folded in the widest band means folded at every width.
  return index >= 0 && panel ? { panel, below: wider?.min ?? 100_000 } : null;
}

export function createContext(site: Site, header: Header, options: CompileOptions): CompileContext {
  const names = createNames(site, header, options.prefix ?? DEFAULT_PREFIX);
  const fold = findFold(site, header);
  return {
    site,
    header,
    names,
    fold,
    // The folding panel is opened by its opener only where the menu folds; a link may lead to it anywhere.
    panels: panelsOf(site, header, fold !== null),
    root: `.${names.name('header')}:not(#${names.name('x')})`,
    fontBase: options.fontBase ?? 'fonts/',
    pinnable: options.pinnable ?? false,
    fonts: options.fonts,
  };
}

/** A selector below the root. */
export function within(context: CompileContext, selector: string): string {
  return `${context.root} ${selector}`;
}

/** Every part that the output holds: those of the header, then the menus of its panels. */
export function outputParts(context: CompileContext): readonly Part[] {
  return [...headerParts(context.header), ...context.panels.flatMap((panel) => panel.parts)];
}
