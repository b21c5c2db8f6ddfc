/**
 * For menus that close: what was chosen may have brought something up that takes the focus, such as the name of a thing
 * that was just made; then the focus does not go back to the menu's button.
 */
export function leaveFocusToFields(event: Event): void {
  if (document.activeElement instanceof HTMLInputElement) event.preventDefault();
}
