import { findPage, itemsOf, type ItemPlace, type Site } from '@hamaca/core';
import type { RefObject } from 'react';
import { useSiteStore } from '../../../store/open-site.tsx';
import type { SiteStore } from '../../../store/site-store.ts';
import { useDragging } from '../../../ui/use-dragging.ts';
import { linksStore, type Drag, type Drop } from '../../../store/links-store.ts';
import { dropPlace } from './outline-rows.ts';
import { rowLinks } from '../pages/page-rows.ts';

type Dragged = Pick<Drag, 'kind' | 'ids'>;

/** What is dragged and where it is held travel with the drag under names of their own. */
const DRAGGED = 'hamaca links';
const DROP = 'hamaca place';

const draggedOf = (data: Record<string, unknown>) => (data[DRAGGED] as Dragged | undefined) ?? null;

/** The line of an outline under the pointer, or its last one beneath all. */
function dropAt(list: HTMLElement, x: number, y: number): Drop {
  const rows = [...list.querySelectorAll<HTMLElement>('[data-row]')];
  const under = document.elementFromPoint(x, y)?.closest<HTMLElement>('[data-row]');
  const row =
    under ??
    rows.reduce<HTMLElement | null>(
      (last, next) =>
        !last || next.getBoundingClientRect().top > last.getBoundingClientRect().top ? next : last,
      null,
    );
  const over = row?.dataset['row'];
  if (!row || over === undefined) return { menu: list.dataset['outline'] ?? '' };
  const line = (row.firstElementChild ?? row).getBoundingClientRect();
  const share = (y - line.top) / line.height;
  return { over, side: share < 0.3 ? 'before' : share > 0.7 ? 'after' : 'inside' };
}

/** The place a drop stands for; null where what is dragged cannot land there. */
function placeOf(site: Site, drag: Dragged, drop: Drop): ItemPlace | null {
  if ('menu' in drop) {
    const menu = site.menus.find((entry) => entry.id === drop.menu);
    return menu
      ? {
          menu: menu.id,
          parent: null,
          index: menu.items.filter((item) => drag.kind === 'pages' || !drag.ids.includes(item.id)).length,
        }
      : null;
  }
  return dropPlace(site, drag.kind === 'items' ? drag.ids : [], drop.over, drop.side);
}

function land(store: SiteStore, site: Site, { kind, ids }: Dragged, place: ItemPlace): void {
  if (kind === 'items')
    store.edit(
      { name: 'move-items', args: { ids, place } },
      ids.length === 1 ? 'Move a link' : `Move ${ids.length} links`,
    );
  else {
    const pages = ids.map((id) => findPage(site, id)).filter((page) => page !== null);
    store.edit(
      { name: 'add-items', args: { place, items: rowLinks(pages.map((page) => ({ page, section: null }))) } },
      `Add ${ids.length === 1 ? 'a page' : `${ids.length} pages`}`,
    );
  }
}

/** Shows where lines or pages that are dragged would land, and lets them land there. */
export function useOutlineDrag(): void {
  const store = useSiteStore();
  useDragging(
    ({ monitorForElements }) =>
      monitorForElements({
        canMonitor: ({ source }) => draggedOf(source.data) !== null,
        onDragStart: ({ source }) => {
          const dragged = draggedOf(source.data);
          linksStore.setState({ drag: dragged && { ...dragged, drop: null } });
        },
        onDrag: ({ location }) => {
          const { drag } = linksStore.getState();
          const { site } = store.getState();
          if (!drag || !site) return;
          const drop = (location.current.dropTargets[0]?.data[DROP] as Drop | undefined) ?? null;
          linksStore.setState({ drag: { ...drag, drop: drop && placeOf(site, drag, drop) ? drop : null } });
        },
        onDrop: ({ source, location }) => {
          const dragged = draggedOf(source.data);
          const { site } = store.getState();
          const drop = location.current.dropTargets[0]?.data[DROP] as Drop | undefined;
          linksStore.setState({ drag: null });
          const place = dragged && drop && site ? placeOf(site, dragged, drop) : null;
          if (dragged && site && place) land(store, site, dragged, place);
        },
      }),
    [store],
  );
}

/** Lets an outline take what is dropped on it, and scroll while something is held at its edge. */
export function useDropOnLines(list: RefObject<HTMLElement | null>): void {
  useDragging(
    ({ combine, dropTargetForElements, autoScrollForElements }) => {
      const element = list.current;
      if (!element) return undefined;
      return combine(
        dropTargetForElements({
          element,
          canDrop: ({ source }) => draggedOf(source.data) !== null,
          getData: ({ input }) => ({ [DROP]: dropAt(element, input.clientX, input.clientY) }),
        }),
        autoScrollForElements({ element }),
      );
    },
    [list],
  );
}

/** Lets something stand for the end of a menu where links are dropped. */
export function useDropOnMenu(menu: string, tab: RefObject<HTMLElement | null>): void {
  useDragging(
    ({ dropTargetForElements }) => {
      const element = tab.current;
      if (!element) return undefined;
      return dropTargetForElements({
        element,
        canDrop: ({ source }) => draggedOf(source.data) !== null,
        getData: () => ({ [DROP]: { menu } satisfies Drop }),
      });
    },
    [menu, tab],
  );
}

/** Lets a line be dragged, by its handle where it has one; `drag` is asked as it starts, null for what stays. */
export function useDraggedLine(
  line: RefObject<HTMLElement | null>,
  handle: RefObject<HTMLElement | null> | null,
  drag: RefObject<() => Dragged | null>,
): void {
  useDragging(
    ({ draggable }) => {
      const element = line.current;
      if (!element) return undefined;
      return draggable({
        element,
        ...(handle?.current ? { dragHandle: handle.current } : {}),
        canDrag: () => drag.current() !== null,
        getInitialData: () => ({ [DRAGGED]: drag.current() }),
      });
    },
    [line, handle, drag],
  );
}

/** Lines that are dragged when one of them is taken: the selection, or the line alone. */
export function draggedWith(site: Site, id: string): string[] {
  const { selected } = linksStore.getState();
  return selected.has(id) ? [...itemsOf(site).keys()].filter((key) => selected.has(key)) : [id];
}
