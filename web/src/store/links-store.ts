import { itemsOf, type FetchedLink, type Site } from '@hamaca/core';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';

export type Column = 'label' | 'target';
export type DropSide = 'before' | 'inside' | 'after';

/** Where what is dragged would land: at a line, or at the end of another menu. */
export type Drop = { readonly over: string; readonly side: DropSide } | { readonly menu: string };

/** What is being dragged: lines of the outline, or pages of the inventory. */
export interface Drag {
  readonly kind: 'items' | 'pages';
  readonly ids: readonly string[];
  readonly drop: Drop | null;
}

/** What the Links place shows and where the caret is; nothing of it belongs to the site. */
export interface LinksState {
  readonly site: string;
  readonly menu: string | null;
  /** The line the caret is in, or was last. */
  readonly caret: string | null;
  /** A line whose field should take the focus as soon as it is drawn. */
  readonly wanted: { readonly id: string; readonly column: Column } | null;
  readonly selected: ReadonlySet<string>;
  /** Where a range of lines began. */
  readonly anchor: string | null;
  readonly folded: ReadonlySet<string>;
  /** The line whose details are open beneath it. */
  readonly open: string | null;
  /** Id of the menu that was just made: its name is what is typed next. */
  readonly named: string | null;
  readonly pane: 'pages' | 'problems';
  readonly drag: Drag | null;
  readonly fetched: ReadonlyMap<string, FetchedLink>;
}

const FRESH: LinksState = {
  site: '',
  menu: null,
  caret: null,
  wanted: null,
  selected: new Set(),
  anchor: null,
  folded: new Set(),
  open: null,
  named: null,
  pane: 'pages',
  drag: null,
  fetched: new Map(),
};

export const linksStore = createStore<LinksState>(() => FRESH);

export function useLinks<Answer>(select: (state: LinksState) => Answer): Answer {
  return useStore(linksStore, select);
}

/** Starts over where another site is opened. */
export function enterSite(site: string): void {
  if (linksStore.getState().site !== site) linksStore.setState({ ...FRESH, site });
}

/** Puts the caret into a line, alone. */
export function goToLine(id: string, column: Column = 'label'): void {
  linksStore.setState({ wanted: { id, column }, caret: id, selected: new Set([id]), anchor: id });
}

/** Shows a link wherever it is: its menu, its line, unfolded. */
export function showLink(site: Site, id: string): void {
  const placed = itemsOf(site).get(id);
  if (!placed) return;
  linksStore.setState({ menu: placed.menu.id });
  setFolded((folded) => {
    for (let parent = placed.parent; parent; parent = itemsOf(site).get(parent.id)?.parent ?? null)
      folded.delete(parent.id);
  });
  goToLine(id);
}

/** Takes lines into the selection from the anchor to one of them, as they stand. */
export function selectTo(id: string, order: readonly string[]): void {
  const { anchor } = linksStore.getState();
  const from = order.indexOf(anchor ?? id);
  const to = order.indexOf(id);
  if (from === -1 || to === -1) return;
  linksStore.setState({ selected: new Set(order.slice(Math.min(from, to), Math.max(from, to) + 1)) });
}

export function setFolded(change: (folded: Set<string>) => void): void {
  const folded = new Set(linksStore.getState().folded);
  change(folded);
  linksStore.setState({ folded });
}
