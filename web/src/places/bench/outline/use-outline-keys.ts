import { useEffect, type KeyboardEvent, type RefObject } from 'react';

/*
 * Keys of the outline, as the treegrid pattern of the ARIA practices has them: one stop for the Tab key, up and down from
 * line to line, right and left into a line, its branch, and out of them.
 */

const rowsOf = (grid: HTMLElement) => [...grid.querySelectorAll<HTMLElement>('[role="row"]')];
const stopsOf = (row: HTMLElement) =>
  [...row.querySelectorAll<HTMLElement>('button')].filter(
    ({ dataset }) => dataset['fold'] === undefined || dataset['line'] !== undefined,
  );
const levelOf = (row: HTMLElement) => Number(row.getAttribute('aria-level'));

/** The line that a line lies beneath. */
function parentOf(rows: readonly HTMLElement[], row: HTMLElement): HTMLElement | undefined {
  const before = rows.slice(0, rows.indexOf(row));
  return before.findLast((other) => levelOf(other) < levelOf(row));
}

const fold = (row: HTMLElement) => {
  row.querySelector<HTMLElement>('[data-fold]')?.click();
};

/** Keeps one stop for the Tab key: what was in focus last, or else the line that is selected, or the first. */
function settle(grid: HTMLElement): void {
  const buttons = [...grid.querySelectorAll<HTMLElement>('button')];
  const stop =
    buttons.find((button) => button === document.activeElement) ??
    buttons.find((button) => button.getAttribute('aria-current') === 'true') ??
    buttons.find((button) => button.dataset['line'] !== undefined);
  for (const button of buttons) button.tabIndex = button === stop ? 0 : -1;
}

export function useOutlineKeys(grid: RefObject<HTMLElement | null>) {
  useEffect(() => {
    const element = grid.current;
    if (!element) return undefined;
    const update = () => {
      settle(element);
    };
    update();
    const observer = new MutationObserver(update);
    observer.observe(element, { subtree: true, childList: true, attributeFilter: ['aria-current'] });
    element.addEventListener('focusin', update);
    return () => {
      observer.disconnect();
      element.removeEventListener('focusin', update);
    };
  }, [grid]);

  return (event: KeyboardEvent<HTMLElement>) => {
    const element = grid.current;
    const target = event.target as HTMLElement;
    const row = target.closest<HTMLElement>('[role="row"]');
    if (!element || !row || event.altKey || event.ctrlKey || event.metaKey || event.defaultPrevented) return;
    const rows = rowsOf(element);
    const at = rows.indexOf(row);
    const stops = stopsOf(row);
    const inRow = stops.indexOf(target);
    const enter = (other: HTMLElement | undefined) => {
      if (other) stopsOf(other)[0]?.focus();
    };
    switch (event.key) {
      case 'ArrowDown':
        enter(rows[at + 1]);
        break;
      case 'ArrowUp':
        enter(rows[at - 1]);
        break;
      case 'Home':
        enter(rows[0]);
        break;
      case 'End':
        enter(rows.at(-1));
        break;
      case 'ArrowRight':
        if (row.getAttribute('aria-expanded') === 'false') fold(row);
        else stops[inRow + 1]?.focus();
        break;
      case 'ArrowLeft':
        if (inRow > 0) stops[inRow - 1]?.focus();
        else if (row.getAttribute('aria-expanded') === 'true') fold(row);
        else enter(parentOf(rows, row));
        break;
      default:
        return;
    }
    event.preventDefault();
    event.stopPropagation();
  };
}
