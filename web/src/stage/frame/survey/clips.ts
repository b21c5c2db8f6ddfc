/*
 * What of a box is in sight: boxes are cut by those that hold them, and by the window.
 */

/** Edges in px of the window. */
export interface Edges {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

const CUTS = new Set(['hidden', 'clip']);
const SCROLLS = new Set(['auto', 'scroll']);

/** Whether an element holds everything in it, however that is placed (CSS Positioned Layout 3, 2.1). */
const holdsAll = ({
  transform,
  translate,
  scale,
  rotate,
  filter,
  perspective,
  contain,
}: CSSStyleDeclaration) =>
  [transform, translate, scale, rotate, filter, perspective].some((value) => value !== 'none') ||
  /paint|layout|strict|content/.test(contain);

/** The elements a box is held by, from the innermost outward; what is placed leaves those in between. */
export function* holdersOf(element: Element, end: Element): Generator<Element> {
  let { position } = getComputedStyle(element);
  let inner = element;
  for (let at = element.parentElement; at && at !== end; at = at.parentElement) {
    // What opens over the page leaves everything behind.
    if (inner.matches('dialog:modal')) return;
    const style = getComputedStyle(at);
    const isHeld =
      position === 'fixed'
        ? holdsAll(style)
        : position !== 'absolute' || style.position !== 'static' || holdsAll(style);
    if (!isHeld) continue;
    yield at;
    inner = at;
    position = style.position;
  }
}

/** The box within an element's borders, which its content is cut at. */
function insideOf(element: Element): Edges {
  const { left, top } = element.getBoundingClientRect();
  const start = left + element.clientLeft;
  const above = top + element.clientTop;
  return {
    left: start,
    top: above,
    right: start + element.clientWidth,
    bottom: above + element.clientHeight,
  };
}

/** What of a box is to be seen, and how much of it is lost, in px. */
export interface InSight {
  /** What is left of the box within everything that holds it; null where nothing is. */
  readonly seen: Edges | null;
  /** How far it reaches past where it is cut. */
  readonly cut: { readonly across: number; readonly down: number };
  /** How far it reaches past the window, where no scrolling brings it in. */
  readonly outside: { readonly across: number; readonly down: number };
}

const over = (value: number) => Math.max(0, value);

/** What of a box in an element is in sight. Content of the element itself is cut by it as well. */
export function inSight(box: Edges, element: Element, end: Element, isContent: boolean): InSight {
  const cut = { across: 0, down: 0 };
  const outside = { across: 0, down: 0 };
  const reachable = { across: false, down: false };
  let seen: Edges = box;
  let isFixed = getComputedStyle(element).position === 'fixed';
  const holders = [...(isContent ? [element] : []), ...holdersOf(element, end)];
  for (const holder of holders) {
    const { overflowX, overflowY, position, display, direction } = getComputedStyle(holder);
    isFixed ||= position === 'fixed' || holder.matches('dialog');
    // What stands in a line has no edges of its own.
    if (display === 'inline' || display === 'contents') continue;
    const inside = insideOf(holder);
    const before = direction === 'rtl' ? over(seen.right - inside.right) : over(inside.left - seen.left);
    if (CUTS.has(overflowX) && !reachable.across)
      cut.across = Math.max(cut.across, over(inside.left - seen.left), over(seen.right - inside.right));
    // Nobody scrolls to what stands before the beginning.
    if (SCROLLS.has(overflowX) && !reachable.across && holder.scrollLeft === 0)
      cut.across = Math.max(cut.across, before);
    if (CUTS.has(overflowY) && !reachable.down)
      cut.down = Math.max(cut.down, over(inside.top - seen.top), over(seen.bottom - inside.bottom));
    if (SCROLLS.has(overflowY) && !reachable.down && holder.scrollTop === 0)
      cut.down = Math.max(cut.down, over(inside.top - seen.top));
    reachable.across ||= SCROLLS.has(overflowX);
    reachable.down ||= SCROLLS.has(overflowY);
    const isCutAcross = overflowX !== 'visible';
    const isCutDown = overflowY !== 'visible';
    seen = {
      left: isCutAcross ? Math.max(seen.left, inside.left) : seen.left,
      right: isCutAcross ? Math.min(seen.right, inside.right) : seen.right,
      top: isCutDown ? Math.max(seen.top, inside.top) : seen.top,
      bottom: isCutDown ? Math.min(seen.bottom, inside.bottom) : seen.bottom,
    };
  }
  const isSeen = seen.right - seen.left > 0 && seen.bottom - seen.top > 0;
  const window = document.documentElement;
  if (isSeen) outside.across = Math.max(over(-seen.left), over(seen.right - window.clientWidth));
  // Nobody scrolls above the beginning of the page; what keeps its place in the window is not scrolled at all.
  const above = isFixed ? seen.top : seen.top + scrollY;
  if (isSeen) outside.down = Math.max(over(-above), isFixed ? over(seen.bottom - innerHeight) : 0);
  return { seen: isSeen ? seen : null, cut, outside };
}
