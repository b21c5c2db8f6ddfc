import type { Start } from '../tools.ts';

/**
 * Submenus open and close by their buttons, close with Escape and when attention goes elsewhere. Where asked they open
 * under a mouse too: at once, and close with a delay, so that it can cross to them (WCAG 2.2, 1.4.13).
 */
export const start: Start = (root, { at, on, undo }) => {
  const buttons = [...root.querySelectorAll<HTMLElement>('nav [aria-expanded]')];
  const isOpen = (button: Element) => button.getAttribute('aria-expanded') === 'true';
  const itemOf = (button: Element) => button.closest('li') as Element;
  const boxOf = (button: Element) => itemOf(button).querySelector('ul') as Element;
  // In a panel submenus unfold in place and stay as they are.
  const isFolded = (button: Element) => button.closest('dialog');
  const isPointed = (button: Element, event: PointerEvent) =>
    event.pointerType === 'mouse' && !isFolded(button) && button.closest(`[${at('hover')}]`);
  const set = (button: Element, open: boolean) => {
    button.setAttribute('aria-expanded', String(open));
    const box = boxOf(button);
    box.toggleAttribute(at('open'), open);
    box.removeAttribute(at('end'));
    if (!open || isFolded(button)) return;
    const { left, right } = box.getBoundingClientRect();
    box.toggleAttribute(at('end'), left < 0 || right > document.documentElement.clientWidth);
  };
  const leave = (target: Node) => {
    for (const button of buttons)
      if (isOpen(button) && !isFolded(button) && !itemOf(button).contains(target)) set(button, false);
  };
  for (const type of ['click', 'focusin'])
    on(document, type, (event: Event) => {
      leave(event.target as Node);
    });
  on(document, 'keydown', (event: KeyboardEvent) => {
    const button = event.key === 'Escape' && buttons.find((one) => isOpen(one) && !isFolded(one));
    if (!button) return;
    if (itemOf(button).contains(document.activeElement)) button.focus();
    set(button, false);
  });
  for (const button of buttons) {
    const item = itemOf(button);
    let timer: ReturnType<typeof setTimeout>;
    // A mouse that opened a submenu by pointing must not close it by the click that follows.
    on(button, 'click', (event: PointerEvent) => {
      set(button, !!isPointed(button, event) || !isOpen(button));
    });
    on(button, 'keydown', (event: KeyboardEvent) => {
      if (event.key !== 'ArrowDown') return;
      event.preventDefault();
      set(button, true);
      boxOf(button).querySelector<HTMLElement>('a, button')?.focus();
    });
    on(item, 'pointerenter', (event: PointerEvent) => {
      clearTimeout(timer);
      if (!isPointed(button, event)) return;
      leave(item);
      set(button, true);
    });
    on(item, 'pointerleave', (event: PointerEvent) => {
      if (!isPointed(button, event)) return;
      timer = setTimeout(() => {
        if (!item.contains(document.activeElement)) set(button, false);
      }, 250);
    });
    undo(() => {
      clearTimeout(timer);
      set(button, false);
    });
  }
};
