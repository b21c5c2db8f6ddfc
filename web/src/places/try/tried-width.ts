/** Widths a page is tried at, in px; null is the whole window. */
export const TRIED_WIDTHS = [
  { id: 'phone', label: 'Phone', width: 390 },
  { id: 'tablet', label: 'Tablet', width: 820 },
  { id: 'laptop', label: 'Laptop', width: 1280 },
  { id: 'whole', label: 'Window', width: null },
] as const;

const BOUNDS = { least: 240, most: 3000 } as const;

/** A width typed by hand, in px; null where it is none. */
export function readWidth(text: string): number | null {
  const width = Number(/^\s*(\d{2,4})\s*(?:px)?\s*$/.exec(text)?.[1]);
  return width >= BOUNDS.least && width <= BOUNDS.most ? width : null;
}

/** How a page of some width lies in a window: as it is, or drawn smaller where that is narrower. */
export function fitInto(width: number | null, room: { readonly width: number; readonly height: number }) {
  if (width === null || room.width === 0) return { width: room.width, height: room.height, scale: 1 };
  const scale = Math.min(1, room.width / width);
  return { width, height: Math.round(room.height / scale), scale };
}

/** The path within a site of a page that is tried; null where the address is of none. */
export function pathWithin(pathname: string, site: string): string | null {
  const mark = `/tried/${site}/`;
  const at = pathname.indexOf(mark);
  return at === -1 ? null : pathname.slice(at + mark.length - 1);
}
