import type { Start } from '../tools.ts';

/** What a button opens: a list of links, a column, or a form, whose first field takes the focus. */
interface Box extends Element {
  readonly elements?: readonly [HTMLElement];
}

/**
 * Submenus open and close by their buttons, close with Escape and when attention goes elsewhere. Where asked they open
 * under a mouse too: at once, or after a moment where it may be crossing to another one, and close with a delay
 * (WCAG 2.2, 1.4.13). What a click opened, or kept open, stays until the next click, Escape or the focus leaves it.
 * What unfolds in place stays as it is.
 */
export const start: Start = (root, at, on, html, undo) => {
  const buttons = [...root.querySelectorAll<HTMLElement>('[aria-expanded]')];
  const kept = new Set<Element>();
  const isOpen = (button: Element) => button.getAttribute('aria-expanded') === 'true';
  const boxOf = (button: Element) => html.querySelector(`#${button.getAttribute('aria-controls')}`) as Box;
  const itemOf = (button: Element) => boxOf(button).parentElement as Element;
  const styleOf = (button: Element) => getComputedStyle(boxOf(button));
  const floats = (button: Element) => styleOf(button).position === 'absolute';
  const set = (button: Element, open = false) => {
    const box = boxOf(button);
    button.setAttribute('aria-expanded', open as unknown as string);
    kept.delete(button);
    box.toggleAttribute(at('open'), open);
    // Who opens a search goes on to type.
    if (open) box.elements?.[0].focus();
    box.removeAttribute(at('edge'));
    // At either side of what it hangs from, or where there is no room for that in the row or box around it.
    for (const edge of ['', 'in']) {
      const { left, right } = box.getBoundingClientRect();
      const isOver = right > html.clientWidth;
      if (left < 0 || isOver)
        box.setAttribute(
          at('edge'),
          edge || (isOver === (styleOf(button).direction === 'ltr') ? 'end' : 'start'),
        );
    }
  };
  /** The boxes that lie open and have nothing to do with a place, the innermost last. */
  const lyingOpen = (place: Node) =>
    buttons.filter((button) => isOpen(button) && floats(button) && !itemOf(button).contains(place));
  const leave = (place: Node) => {
    for (const button of lyingOpen(place)) set(button);
  };
  const leaveFor = ({ target }: Event) => {
    leave(target as Node);
  };
  on(html, 'click', leaveFor);
  on(html, 'focusin', leaveFor);
  on(html, 'keydown', (event: KeyboardEvent) => {
    const button = event.key === 'Escape' && lyingOpen(html).pop();
    if (!button) return;
    if (itemOf(button).querySelector(':focus')) button.focus();
    set(button);
  });
  for (const button of buttons) {
    const item = itemOf(button);
    // A branch that unfolds in place shows from the start where the page is that one is on.
    if (button.closest('nav') && !floats(button) && boxOf(button).querySelector('[aria-current]')) {
      set(button, true);
      kept.add(button);
    }
    let timer: ReturnType<typeof setTimeout>;
    const isPointed = (event: PointerEvent) => {
      clearTimeout(timer);
      return event.pointerType === 'mouse' && button.matches(`[${at('hover')}] *`);
    };
    // The first click on what a mouse opened by pointing keeps it open, as it would have opened it: also where the box,
    // once open, has no room beside and unfolds in place.
    on(button, 'click', (event: PointerEvent) => {
      // Asked first whatever the answer: what pointing was about to open, the click opens for good.
      set(button, (isPointed(event) && !kept.has(button)) || !isOpen(button));
      if (isOpen(button)) kept.add(button);
    });
    on(item, 'pointerenter', (event: PointerEvent) => {
      if (
        isPointed(event) &&
        floats(button) &&
        !isOpen(button) &&
        !lyingOpen(item).some((other) => kept.has(other))
      )
        timer = setTimeout(
          () => {
            leave(item);
            set(button, true);
          },
          lyingOpen(item).length && 120,
        );
    });
    on(item, 'pointerleave', (event: PointerEvent) => {
      if (isPointed(event) && floats(button))
        timer = setTimeout(() => {
          if (!kept.has(button) && !boxOf(button).querySelector(':focus')) set(button);
        }, 250);
    });
    if (STOPPABLE)
      undo?.(() => {
        clearTimeout(timer);
        set(button);
      });
  }
};
