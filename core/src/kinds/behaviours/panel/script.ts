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
  const own = root as HTMLDialogElement;
  on(own, 'click', ({ target, clientX, clientY }: MouseEvent) => {
    const { left, right, top, bottom } = own.getBoundingClientRect();
    const isBeside =
      target === own && (clientX < left || clientX > right || clientY < top || clientY > bottom);
    const isAsked = isBeside
      ? own.matches(`[closedby=any],[${at('scrim')}]`)
      : (target as Element).closest('a[href]') && !own.hasAttribute(at('keeps'));
    if (isAsked) own.close();
  });
  if (STOPPABLE)
    undo?.(() => {
      own.close();
      own.removeAttribute(at('bare'));
    });
};
