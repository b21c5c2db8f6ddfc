import type { Start } from '../tools.ts';

/** A search that unfolds behaves like a submenu: it goes where attention goes elsewhere. */
export const start: Start = (root, _at, on, undo) => {
  for (const box of root.querySelectorAll('details')) {
    const leaveFor = ({ target }: Event) => {
      box.open &&= box.contains(target as Node);
    };
    on(document, 'click', leaveFor);
    on(document, 'focusin', leaveFor);
    on(box, 'toggle', () => {
      if (box.open) box.querySelector('input')?.focus();
    });
    on(box, 'keydown', (event: KeyboardEvent) => {
      if (event.key !== 'Escape' || !box.open) return;
      box.open = false;
      (box.firstChild as HTMLElement).focus();
    });
    if (STOPPABLE)
      undo?.(() => {
        box.open = false;
      });
  }
};
