import type { Start } from '../tools.ts';

/** A submenu that unfolds closes the others beside it. */
export const start: Start = (root, at, on) => {
  on(root, 'click', ({ target }: MouseEvent & { readonly target: Element }) => {
    const item = target.closest(`[${at('single')}] [aria-expanded=true]`)?.closest('li');
    if (item)
      for (const other of (item.parentElement as Element).querySelectorAll<HTMLElement>(
        '[aria-expanded=true]',
      ))
        if (!item.contains(other)) other.click();
  });
};
