import type { Start } from '../tools.ts';

/** What a button opens: a list of links, a column, or a form, whose first field takes the focus. */
interface Box extends Element {
  readonly elements?: readonly [HTMLElement];
}

/**
 * Submenus open and close by their buttons, close with Escape and when attention goes elsewhere. Where asked they open
 * under a mouse too: at once, or after a moment where it may be crossing to another one, and close with a delay
 * (WCAG 2.2, 1.4.13). What unfolds in place stays as it is.
 */
export const start: Start = (root, at, on, undo) => {
  const buttons = [...root.querySelectorAll<HTMLElement>('[aria-expanded]')];
  const isOpen = (button: Element) => button.ariaExpanded === 'true';
  const boxOf = (button: Element) =>
    document.getElementById(button.getAttribute('aria-controls') as string) as Box;
  const itemOf = (button: Element) => boxOf(button).parentElement as Element;
  const styleOf = (button: Element) => getComputedStyle(boxOf(button));
  const floats = (button: Element) => styleOf(button).position === 'absolute';
  const set = (button: Element, open = false) => {
    const box = boxOf(button);
    button.ariaExpanded = open as unknown as string;
    box.toggleAttribute(at('open'), open);
    // Who opens a search goes on to type.
    if (open) box.elements?.[0].focus();
    box.removeAttribute(at('edge'));
    const { left, right } = box.getBoundingClientRect();
    const isOver = right > document.documentElement.clientWidth;
    if (left < 0 || isOver)
      box.setAttribute(at('edge'), isOver === (styleOf(button).direction === 'ltr') ? 'end' : 'start');
  };
  /** The boxes that lie open and have nothing to do with a place, the innermost last. */
  const lyingOpen = (place: Node) =>
    buttons.filter((button) => isOpen(button) && floats(button) && !itemOf(button).contains(place));
  const leave = (place: Node) =>
    lyingOpen(place).map((button) => {
      set(button);
    });
  const leaveFor = ({ target }: Event) => leave(target as Node);
  on(document, 'click', leaveFor);
  on(document, 'focusin', leaveFor);
  on(document, 'keydown', (event: KeyboardEvent) => {
    const button = event.key === 'Escape' && lyingOpen(document).pop();
    if (!button) return;
    if (itemOf(button).contains(document.activeElement)) button.focus();
    set(button);
  });
  for (const button of buttons) {
    const item = itemOf(button);
    // A branch that unfolds in place shows from the start where the page is that one is on.
    if (button.closest('nav') && !floats(button) && boxOf(button).querySelector('[aria-current]'))
      set(button, true);
    let timer: ReturnType<typeof setTimeout>;
    const isPointed = (event: PointerEvent) => {
      clearTimeout(timer);
      return event.pointerType === 'mouse' && floats(button) && button.matches(`[${at('hover')}] *`);
    };
    // A mouse that opened a submenu by pointing must not close it by the click that follows.
    on(button, 'click', (event: PointerEvent) => {
      set(button, isPointed(event) || !isOpen(button));
    });
    on(item, 'pointerenter', (event: PointerEvent) => {
      if (isPointed(event))
        timer = setTimeout(
          () => {
            leave(item);
            set(button, true);
          },
          lyingOpen(item).length && 120,
        );
    });
    on(item, 'pointerleave', (event: PointerEvent) => {
      if (isPointed(event))
        timer = setTimeout(() => {
          if (!item.contains(document.activeElement)) set(button);
        }, 250);
    });
    if (STOPPABLE)
      undo?.(() => {
        clearTimeout(timer);
        set(button);
      });
  }
};
