import type { Start } from '../tools.ts';

/** Years that keep themselves right say the one it is. */
export const start: Start = (root, at, _on, _html, undo) => {
  for (const year of root.querySelectorAll(`[${at('year')}]`)) {
    if (STOPPABLE) {
      const before = year.innerHTML;
      undo?.(() => {
        year.innerHTML = before;
      });
    }
    // The text of a date is the same in every browser: "Sun Nov 29 2026 …" (ECMA-262, 21.4.4.41.2).
    year.innerHTML = Date().slice(11, 15);
  }
};
