import type { Start } from '../tools.ts';

/** In a panel a submenu that unfolds closes the others beside it. */
export const start: Start = (root, at, on) => {
  on(root, 'click', ({ target }: MouseEvent & { readonly target: Element }) => {
    const button = target.closest(`[${at('single')}] [aria-expanded=true]`);
    const item = button?.closest('li');
    for (const other of item?.parentElement?.querySelectorAll<HTMLElement>('[aria-expanded=true]') ?? [])
      if (!item?.contains(other)) other.click();
  });
};
