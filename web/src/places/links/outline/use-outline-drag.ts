import { findPage, itemsOf, type ItemPlace, type Site } from '@hamaca/core';
import { useEffect, type PointerEvent as ReactPointerEvent } from 'react';
import { useSiteStore } from '../../../store/open-site.tsx';
import { linksStore, useLinks, type Drag, type Drop } from '../../../store/links-store.ts';
import { dropPlace } from './outline-rows.ts';
import { rowLinks } from '../pages/page-rows.ts';

/** Rows at the edge of the list that make it scroll while something is dragged over them, in px. */
const EDGE = 28;

function dropAt(x: number, y: number): Drop | null {
  const element = document.elementFromPoint(x, y);
  const menu = element?.closest<HTMLElement>('[data-menu-tab]')?.dataset['menuTab'];
  if (menu !== undefined) return { menu };
  const list = element?.closest<HTMLElement>('[data-outline]');
  if (!list) return null;
  const box = list.getBoundingClientRect();
  if (y < box.top + EDGE) list.scrollBy(0, -14);
  if (y > box.bottom - EDGE) list.scrollBy(0, 14);
  const rows = [...list.querySelectorAll<HTMLElement>('[data-row]')];
  const row =
    element?.closest<HTMLElement>('[data-row]') ??
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
function placeOf(site: Site, drag: Drag, drop: Drop): ItemPlace | null {
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

/** Follows the pointer while lines or pages are dragged, and drops them. */
export function useOutlineDrag(): void {
  const store = useSiteStore();
  const dragging = useLinks((state) => state.drag !== null);
  useEffect(() => {
    if (!dragging) return;
    const end = () => {
      linksStore.setState({ drag: null });
    };
    const move = (event: PointerEvent) => {
      const { drag } = linksStore.getState();
      const { site } = store.getState();
      if (!drag || !site) return;
      const drop = dropAt(event.clientX, event.clientY);
      linksStore.setState({ drag: { ...drag, drop: drop && placeOf(site, drag, drop) ? drop : null } });
    };
    const up = () => {
      const { drag } = linksStore.getState();
      const { site } = store.getState();
      const place = drag?.drop && site ? placeOf(site, drag, drag.drop) : null;
      end();
      if (!drag || !site || !place) return;
      const count = drag.ids.length;
      if (drag.kind === 'items')
        store.edit(
          { name: 'move-items', args: { ids: drag.ids, place } },
          count === 1 ? 'Move a link' : `Move ${count} links`,
        );
      else
        store.edit(
          {
            name: 'add-items',
            args: {
              place,
              items: rowLinks(
                drag.ids
                  .map((id) => findPage(site, id))
                  .filter((page) => page !== null)
                  .map((page) => ({ page, section: null })),
              ),
            },
          },
          `Add ${count === 1 ? 'a page' : `${count} pages`}`,
        );
    };
    const key = (event: KeyboardEvent) => {
      if (event.key === 'Escape') {
        event.stopPropagation();
        end();
      }
    };
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', up);
    window.addEventListener('pointercancel', end);
    window.addEventListener('keydown', key, true);
    return () => {
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', up);
      window.removeEventListener('pointercancel', end);
      window.removeEventListener('keydown', key, true);
    };
  }, [dragging, store]);
}

/** How far a pointer goes before a press becomes a drag, in px. */
const START = 4;

/** Starts a drag once the pointer has moved; a press without that stays a click. */
export function startDrag(event: ReactPointerEvent, kind: Drag['kind'], ids: readonly string[]): void {
  if (event.button !== 0) return;
  const { clientX, clientY } = event;
  const move = (next: PointerEvent) => {
    if (Math.hypot(next.clientX - clientX, next.clientY - clientY) < START) return;
    stop();
    linksStore.setState({ drag: { kind, ids, drop: null } });
  };
  const stop = () => {
    window.removeEventListener('pointermove', move);
    window.removeEventListener('pointerup', stop);
  };
  window.addEventListener('pointermove', move);
  window.addEventListener('pointerup', stop);
}

/** Lines that are dragged when one of them is taken: the selection, or the line alone. */
export function draggedWith(site: Site, id: string): string[] {
  const { selected } = linksStore.getState();
  return selected.has(id) ? [...itemsOf(site).keys()].filter((key) => selected.has(key)) : [id];
}
