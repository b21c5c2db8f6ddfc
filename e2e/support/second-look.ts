/*
 * A look at a page that knows nothing of how Checks look: it asks the browser what is hit at single points. Runs in the
 * page, so everything stands in one function.
 */

/** What was found of one thing, told by what it says. */
export interface Found {
  readonly kind: 'cut' | 'outside' | 'beneath' | 'small';
  readonly words: string;
  /** Whether a pixel more or less would have decided otherwise. */
  readonly isClose: boolean;
}

export function secondLook(scope: Element): Found[] {
  const found: Found[] = [];
  const wordsOf = (element: Element) => {
    const control = element.closest('a, button') ?? element;
    const named = control.closest('[aria-label]')?.getAttribute('aria-label') ?? '';
    return ((control.textContent ?? '').trim() || named).replace(/\s+/g, ' ').slice(0, 60);
  };
  /** What is for screen readers alone is cut down to a point or has next to no box. */
  const isSpoken = (element: Element) => {
    const { width, height } = element.getBoundingClientRect();
    const { clipPath, overflowX } = getComputedStyle(element);
    const isTiny = overflowX !== 'visible' && Math.min(width, height) <= 2;
    return /inset\((?:50|100)%\)/.test(clipPath) || isTiny;
  };
  const isThere = (element: Element) => {
    for (let at: Element | null = element; at && at !== document.body; at = at.parentElement)
      if (getComputedStyle(at).display !== 'contents' && isSpoken(at)) return false;
    return element.checkVisibility({ opacityProperty: true, visibilityProperty: true });
  };

  /** Scrolls whatever somebody could scroll until a box is in the middle of it. */
  const bring = (element: Element, boxOf: () => DOMRect) => {
    for (let at: Element | null = element; at; at = at.parentElement) {
      const { overflowX, overflowY } = getComputedStyle(at);
      if (at === document.documentElement) break;
      const own = at.getBoundingClientRect();
      const box = boxOf();
      if (/auto|scroll/.test(overflowY)) at.scrollTop += (box.top + box.bottom - own.top - own.bottom) / 2;
      if (/auto|scroll/.test(overflowX)) at.scrollLeft += (box.left + box.right - own.left - own.right) / 2;
    }
    const box = boxOf();
    window.scrollBy({ top: (box.top + box.bottom) / 2 - innerHeight / 2, behavior: 'instant' });
  };

  const { clientWidth } = document.documentElement;
  const isHit = (element: Element, x: number, y: number) =>
    document.elementsFromPoint(x, y).some((hit) => hit === element || element.contains(hit));

  if (scope !== document.body) {
    const { left, right } = scope.getBoundingClientRect();
    const past = Math.max(-left, right - clientWidth);
    if (past > 0) found.push({ kind: 'outside', words: '', isClose: past < 4 });
  }
  const texts: { readonly node: Node; readonly element: Element; readonly boxes: () => DOMRect[] }[] = [];
  const walker = document.createTreeWalker(scope, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const element = node.parentElement;
    if (!element || (node.textContent ?? '').trim() === '' || !isThere(element)) continue;
    const range = document.createRange();
    range.selectNodeContents(node);
    const boxes = () => [...range.getClientRects()].filter(({ width, height }) => width > 0 && height > 0);
    texts.push({ node, element, boxes });
  }
  const count = (element: Element, boxes: () => DOMRect[]) => {
    for (const index of boxes().keys()) {
      const boxOf = () => boxes()[index] ?? new DOMRect();
      bring(element, boxOf);
      const { left, right, top, bottom, width, height } = boxOf();
      const middle = (top + bottom) / 2;
      const centre = (left + right) / 2;
      const say = (kind: Found['kind'], isClose: boolean) => {
        found.push({ kind, words: wordsOf(element), isClose });
      };
      const nearEdge = (px: number) => [
        [left + px, middle],
        [right - px, middle],
      ];
      const inWindow = ([x, y]: readonly number[]) =>
        x !== undefined && y !== undefined && x >= 0 && x < clientWidth && y >= 0 && y < innerHeight;
      const isSeen = (points: readonly (readonly number[])[]) =>
        points.every(([x = 0, y = 0]) => isHit(element, x, y));
      const past = (points: readonly (readonly number[])[]) => !points.every(inWindow);
      const across = [1, 3.5].map((px) => nearEdge(Math.min(px, width / 2)));
      const down = [0.2, 0.32].map((share) => [
        [centre, top + share * height],
        [centre, bottom - share * height],
      ]);
      if (across.some(past) || down.some(past))
        say('outside', !(past(across[1] ?? []) || past(down[1] ?? [])));
      else if (!across.every(isSeen)) say('cut', isSeen(across[1] ?? []));
      else if (!down.every(isSeen)) say('cut', isSeen(down[1] ?? []));
    }
  };
  for (const { element, boxes } of texts) count(element, boxes);
  for (const drawing of scope.querySelectorAll('svg, img'))
    if (isThere(drawing) && drawing.getBoundingClientRect().width > 0)
      count(drawing, () => [drawing.getBoundingClientRect()]);

  // Two things in one place: another one is hit where this one stands.
  const unitOf = (element: Element) => element.closest('a, button, summary, label') ?? element;
  const drawings = [...scope.querySelectorAll('svg, img')]
    .filter(isThere)
    .map((element) => ({ element, boxes: () => [element.getBoundingClientRect()] }));
  for (const { element, boxes } of [...texts, ...drawings]) {
    const unit = unitOf(element);
    for (const index of boxes().keys()) {
      bring(element, () => boxes()[index] ?? new DOMRect());
      const box = boxes()[index] ?? new DOMRect();
      const met = new Map<Element, number>();
      for (let x = box.left + 0.5; x < box.right; x += Math.max(2, box.width / 6))
        for (
          let y = box.top + box.height * 0.22;
          y < box.bottom - box.height * 0.22;
          y += Math.max(3, box.height / 3)
        ) {
          if (x < 0 || y < 0 || x >= clientWidth || y >= innerHeight) continue;
          const stack = document.elementsFromPoint(x, y);
          if (!stack.some((hit) => hit === element || element.contains(hit))) continue;
          for (const hit of stack) {
            const other = unitOf(hit);
            // What lies under something that stands open is meant to.
            if (!scope.contains(hit)) continue;
            if (other === unit || other.contains(unit) || unit.contains(other)) continue;
            const isOnDrawing = hit.matches('svg, img');
            const isOnText = [...hit.childNodes].some((child) => {
              if (child.nodeType !== Node.TEXT_NODE || (child.textContent ?? '').trim() === '') return false;
              const range = document.createRange();
              range.selectNodeContents(child);
              return [...range.getClientRects()].some(
                (rect) =>
                  x >= rect.left &&
                  x < rect.right &&
                  y >= rect.top + rect.height * 0.2 &&
                  y < rect.bottom - rect.height * 0.2,
              );
            });
            if ((isOnText || isOnDrawing) && isThere(hit)) met.set(other, (met.get(other) ?? 0) + 1);
          }
        }
      const most = Math.max(0, ...met.values());
      if (most > 0) found.push({ kind: 'beneath', words: wordsOf(element), isClose: most < 2 });
    }
  }

  // A target is as wide and as high as it is hit, from its middle outward.
  for (const control of scope.querySelectorAll('a[href], button, input, select, textarea, summary')) {
    const { width, height } = control.getBoundingClientRect();
    if (!isThere(control) || width <= 2 || height <= 2) continue;
    const isInline = getComputedStyle(control).display === 'inline';
    const isInSentence = [...(control.parentNode?.childNodes ?? [])].some(
      (node) => node.nodeType === Node.TEXT_NODE && (node.textContent ?? '').trim() !== '',
    );
    if (isInline && isInSentence) continue;
    bring(control, () => control.getBoundingClientRect());
    const box = control.getBoundingClientRect();
    const x = (box.left + box.right) / 2;
    const y = (box.top + box.bottom) / 2;
    const isIts = (px: number, py: number) =>
      document
        .elementsFromPoint(px, py)
        .map((hit) => hit.closest('a[href], button, input, select, textarea, summary'))
        .find((hit) => hit !== null) === control;
    // What is covered or cut is told of otherwise.
    if (!isIts(x, y)) continue;
    const reach = (dx: number, dy: number) => {
      if (isIts(x + dx * 24, y + dy * 24)) return 24;
      let steps = 0;
      while (isIts(x + dx * (steps + 1) * 0.5, y + dy * (steps + 1) * 0.5)) steps++;
      return steps / 2;
    };
    const least = Math.min(reach(1, 0) + reach(-1, 0), reach(0, 1) + reach(0, -1));
    if (least < 24) found.push({ kind: 'small', words: wordsOf(control), isClose: least > 22 });
  }
  window.scrollTo({ top: 0, behavior: 'instant' });
  return found;
}
