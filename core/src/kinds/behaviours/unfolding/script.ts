import type { Start } from '../tools.ts';

/** A search that unfolds behaves like a submenu: it goes where attention goes elsewhere. */
export const start: Start = (root, _at, on, undo) => {
  for (const box of root.querySelectorAll('details')) {
    for (const type of ['click', 'focusin'])
      on(document, type, (event: Event) => {
        box.open &&= box.contains(event.target as Node);
      });
    on(box, 'toggle', () => {
      if (box.open) box.querySelector('input')?.focus();
    });
    on(box, 'keydown', (event: KeyboardEvent) => {
      if (event.key !== 'Escape' || !box.open) return;
      box.open = false;
      box.querySelector('summary')?.focus();
    });
    if (STOPPABLE)
      undo?.(() => {
        box.open = false;
      });
  }
};
