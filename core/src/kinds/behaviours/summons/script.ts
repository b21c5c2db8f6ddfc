import type { Start } from '../tools.ts';

/** A panel opens by elements of the page too; where the focus was it comes back to. */
export const start: Start = (root, at, on) => {
  const selector = root.getAttribute(at('by'));
  if (!selector) return;
  on(document, 'click', (event: MouseEvent) => {
    if (!(event.target as Element).closest(selector)) return;
    event.preventDefault();
    (root as HTMLDialogElement).showModal();
  });
};
