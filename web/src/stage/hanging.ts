import type { Box } from './frame/protocol.ts';

/** How much of the page is shown around an open submenu, for its shadow and its dashed line, in px. */
const AROUND = 4;

/** How far a stage is drawn beyond its height so that open submenus are seen whole, in px of the page; `room` is the most. */
export function overhangOf(hanging: readonly Box[], height: number, room: number): number {
  const lowest = Math.max(0, ...hanging.map((box) => box.bottom));
  if (lowest <= height) return 0;
  return Math.max(0, Math.min(Math.ceil(lowest - height) + AROUND, Math.floor(room)));
}

/** What of a stage that is drawn beyond its height is to be seen: all of it above, and the submenus beneath. */
export function clipOf(
  hanging: readonly Box[],
  { width, height, overhang }: { readonly width: number; readonly height: number; readonly overhang: number },
): string {
  const beneath = hanging
    .filter((box) => box.bottom > height)
    .map(({ left, right, bottom }) => ({
      left: Math.max(0, left - AROUND),
      right: Math.min(width, right + AROUND),
      bottom: Math.min(height + overhang, bottom + AROUND),
    }));
  // Each submenu is one more rectangle that starts at the stage's own lower edge.
  const rectangles = [
    `M0 0H${width}V${height}H0Z`,
    ...beneath.map(({ left, right, bottom }) => `M${left} ${height}H${right}V${bottom}H${left}Z`),
  ];
  return `path("${rectangles.join('')}")`;
}
