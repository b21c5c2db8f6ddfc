import type { Start } from '../tools.ts';

/** Years that keep themselves right say the one it is. */
export const start: Start = (root, at, _on, _html, undo) => {
  for (const year of root.querySelectorAll(`[${at('year')}]`)) {
    const before = year.innerHTML;
    // The text of a date is the same in every browser: "Sun Nov 29 2026 …" (ECMA-262, 21.4.4.41.2).
    year.innerHTML = Date().slice(11, 15);
    if (STOPPABLE)
      undo?.(() => {
        year.innerHTML = before;
      });
  }
};
