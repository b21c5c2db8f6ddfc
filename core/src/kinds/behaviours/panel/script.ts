import type { Start } from '../tools.ts';

/** Panels open by their openers where the browser does not do so itself, and close by the scrim and by following a link. */
export const start: Start = (root, at, on, undo) => {
  for (const button of root.querySelectorAll('[commandfor]')) {
    const panel = document.getElementById(
      button.getAttribute('commandfor') as string,
    ) as HTMLDialogElement | null;
    if (!panel) continue;
    on(button, 'click', () => {
      // A page without a scrollbar keeps no room for one.
      panel.toggleAttribute(at('bare'), innerWidth <= document.documentElement.clientWidth);
      if ('command' in button) return;
      if (panel.open) panel.close();
      else panel.showModal();
    });
  }
  if (!root.matches('dialog')) return;
  const own = root;
  on(own, 'click', (event: MouseEvent) => {
    const target = event.target as Element;
    const { left, right } = own.getBoundingClientRect();
    if ((target === own && (event.clientX < left || event.clientX > right)) || target.closest('a[href]'))
      own.close();
  });
  if (STOPPABLE)
    undo?.(() => {
      own.close();
      own.removeAttribute(at('bare'));
    });
};
