import type { Edit } from '../src/edit/operations.ts';

/** Makes the demo's header stay in the window while the page scrolls, in one way or another. */
export const staying = (sticks = 'stays on top', band = 'all'): Edit => ({
  name: 'set-look',
  args: {
    cells: [
      {
        owner: 'header',
        slot: 'bar',
        property: 'sticks',
        level: 'all',
        state: 'rest',
        band,
        value: sticks,
      },
    ],
  },
});
