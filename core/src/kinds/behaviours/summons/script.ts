import type { Start } from '../tools.ts';

/**
 * A panel opens by elements of the page too; where the focus was it comes back to. What is told in words may name anything:
 * a selector that is none opens nothing, and what holds the panel itself is no opener of it.
 */
export const start: Start = (root, at, on, html) => {
  const selector = root.getAttribute(at('by'));
  if (!selector) return;
  on(html, 'click', (event: MouseEvent) => {
    let opener: Element | null = null;
    try {
      opener = (event.target as Element).closest(selector);
    } catch {
      // Not a selector here, whatever it is elsewhere.
    }
    if (!opener || opener.contains(root)) return;
    event.preventDefault();
    (root as HTMLDialogElement).showModal();
  });
};
