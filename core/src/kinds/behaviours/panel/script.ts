import type { Start } from '../tools.ts';

/**
 * Panels open by their openers where the browser does not do so itself, and close by what they say: by the scrim, which is
 * the dialog itself beyond its box, and by following a link.
 */
export const start: Start<HTMLDialogElement> = (root, at, on, html, undo) => {
  on(root, 'click', ({ target, offsetX: x, offsetY: y }: MouseEvent & { readonly target: Element }) => {
    const button = target.closest('[commandfor]') as HTMLButtonElement;
    const panel = html.querySelector<HTMLDialogElement>(
      `#${(button as HTMLButtonElement | null)?.getAttribute('commandfor')}`,
    );
    if (panel) {
      // A page without a scrollbar keeps no room for one.
      panel.toggleAttribute(at('bare'), innerWidth <= html.clientWidth);
      if (!('command' in button)) panel[panel.open ? 'close' : 'showModal']();
    }
    const isBeside = x * (x - root.offsetWidth) > 0 || y * (y - root.offsetHeight) > 0;
    const by = target === root ? isBeside && 'scrim' : target.closest('a[href]') && 'link';
    if (root.hasAttribute(at(by as string))) root.close();
  });
  if (STOPPABLE)
    undo?.(() => {
      if (!root.matches('dialog')) return;
      root.close();
      root.removeAttribute(at('bare'));
    });
};
