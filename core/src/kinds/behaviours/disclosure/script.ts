import type { Start } from '../tools.ts';

/**
 * Submenus open and close by their buttons, close with Escape and when attention goes elsewhere. Where asked they open
 * under a mouse too: at once, or after a moment where it may be crossing to another one, and close with a delay
 * (WCAG 2.2, 1.4.13). What unfolds in place stays as it is.
 */
export const start: Start = (root, { at, on, undo }) => {
  const buttons = [...root.querySelectorAll<HTMLElement>('nav [aria-expanded]')];
  const isOpen = (button: Element) => button.ariaExpanded === 'true';
  const itemOf = (button: Element) => button.closest('li') as Element;
  const boxOf = (button: Element) => itemOf(button).querySelector('ul') as Element;
  const styleOf = (button: Element) => getComputedStyle(boxOf(button));
  const floats = (button: Element) => styleOf(button).position === 'absolute';
  const set = (button: Element, open: boolean) => {
    const box = boxOf(button);
    button.ariaExpanded = `${open}`;
    box.toggleAttribute(at('open'), open);
    box.removeAttribute(at('edge'));
    const { left, right } = box.getBoundingClientRect();
    const isOver = right > document.documentElement.clientWidth;
    if (left < 0 || isOver)
      box.setAttribute(at('edge'), isOver === (styleOf(button).direction === 'ltr') ? 'end' : 'start');
  };
  /** Closes the boxes that lie open and have nothing to do with a place, from the last one on; at most so many. */
  const leave = (place: Node, most = 9) =>
    buttons.filter((button) => {
      const goes = isOpen(button) && floats(button) && !itemOf(button).contains(place);
      if (goes && most) set(button, false);
      return goes;
    });
  for (const type of ['click', 'focusin']) on(document, type, (event: Event) => leave(event.target as Node));
  on(document, 'keydown', (event: KeyboardEvent) => {
    const button = event.key === 'Escape' && leave(document, 0).pop();
    if (!button) return;
    if (itemOf(button).contains(document.activeElement)) button.focus();
    set(button, false);
  });
  for (const button of buttons) {
    const item = itemOf(button);
    let timer: ReturnType<typeof setTimeout>;
    const isPointed = (event: PointerEvent) => {
      clearTimeout(timer);
      return event.pointerType === 'mouse' && floats(button) && !!button.closest(`[${at('hover')}]`);
    };
    // A mouse that opened a submenu by pointing must not close it by the click that follows.
    on(button, 'click', (event: PointerEvent) => {
      set(button, isPointed(event) || !isOpen(button));
    });
    on(item, 'keydown', (event: KeyboardEvent) => {
      const box = boxOf(button);
      const side = styleOf(button).direction === 'ltr' ? 'Right' : 'Left';
      const key = item.closest('ul ul') ? side : 'Down';
      if (event.key !== `Arrow${key}` || box.contains(event.target as Node)) return;
      event.preventDefault();
      set(button, true);
      box.querySelector<HTMLElement>('a, button')?.focus();
    });
    on(item, 'pointerenter', (event: PointerEvent) => {
      if (isPointed(event))
        timer = setTimeout(
          () => {
            leave(item);
            set(button, true);
          },
          leave(item, 0).length && 120,
        );
    });
    on(item, 'pointerleave', (event: PointerEvent) => {
      if (isPointed(event))
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
