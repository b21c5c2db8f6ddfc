import type { MarkPaint, SightKind } from '@hamaca/core';
import { inSight, type Edges } from './clips.ts';
import { paintOf } from './paint.ts';

/** What is wrong with an element of the page, with what was measured. */
export interface Seen {
  readonly kind: SightKind;
  readonly element: Element;
  readonly amount: number;
  readonly other?: Element;
  /** Whether it is what was opened, and not something in it. */
  readonly isOpened?: true;
  readonly paint?: MarkPaint;
}

/** Most texts and drawings looked at in one state of a page. */
const MOST = 3000;

/** What can be pressed. */
const CONTROLS = 'a[href], button, input, select, textarea, summary';

/** How much may be lost before anybody sees it: across in px, and down as a share, as a line is taller than its letters. */
const SLACK = { across: 2, down: 0.25 } as const;

/** Share of a line above and below its letters. */
const BESIDE_LETTERS = 0.2;

/** Least sides of what can be pressed, in px (WCAG 2.2, 2.5.8), and how far a measure may be off. */
const LEAST = 24;
const EPSILON = 0.5;

/** Smallest box that is meant to be seen, in px: what is for screen readers alone has one of a pixel. */
const SEEN = 2;

const isShown = (element: Element) =>
  element.checkVisibility({ opacityProperty: true, visibilityProperty: true, contentVisibilityAuto: true });

/** A text or a drawing that is to be seen. */
interface Content {
  readonly element: Element;
  readonly box: Edges;
  readonly isText: boolean;
}

function contentsOf(scope: Element): Content[] {
  const found: Content[] = [];
  const walker = document.createTreeWalker(scope, NodeFilter.SHOW_TEXT | NodeFilter.SHOW_ELEMENT);
  const range = document.createRange();
  for (let node = walker.nextNode(); node && found.length < MOST; node = walker.nextNode()) {
    if (node instanceof Element) {
      const isDrawing = node.matches('svg, img') && isShown(node);
      if (isDrawing) found.push({ element: node, box: node.getBoundingClientRect(), isText: false });
      continue;
    }
    const element = node.parentElement;
    if (!element || (node.textContent ?? '').trim() === '' || !isShown(element)) continue;
    range.selectNodeContents(node);
    for (const box of range.getClientRects()) found.push({ element, box, isText: true });
  }
  return found.filter(({ box }) => box.right - box.left > 0 && box.bottom - box.top > 0);
}

/** Whether an element is for screen readers alone: it, or what holds it, has next to no box. */
function isSpokenOnly(element: Element): boolean {
  for (let at: Element | null = element; at; at = at.parentElement) {
    const { overflowX, clipPath } = getComputedStyle(at);
    if (clipPath === 'inset(50%)' || clipPath === 'inset(100%)') return true;
    const isTiny = at.clientWidth <= SEEN || at.clientHeight <= SEEN;
    if (isTiny && overflowX !== 'visible' && at instanceof HTMLElement) return true;
  }
  return false;
}

/** What belongs together: a control with all that is in it, or the element itself. */
const unitOf = (element: Element) => element.closest('a, button, summary, label') ?? element;

const isApart = (one: Element, other: Element) =>
  one !== other && !one.contains(other) && !other.contains(one);

/** How far two boxes lie over one another, in px; 0 where they do not. */
const overlapOf = (one: Edges, other: Edges) =>
  Math.max(
    0,
    Math.min(
      Math.min(one.right, other.right) - Math.max(one.left, other.left),
      Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top),
    ),
  );

function* overlaps(
  contents: readonly (Content & { readonly seen: Edges })[],
): Generator<{ readonly one: Content; readonly other: Content; readonly by: number }> {
  const letters = contents
    .map((content) => {
      const { seen, isText } = content;
      const beside = isText ? (seen.bottom - seen.top) * BESIDE_LETTERS : 0;
      return {
        content,
        unit: unitOf(content.element),
        box: { ...seen, top: seen.top + beside, bottom: seen.bottom - beside },
      };
    })
    .toSorted((a, b) => a.box.top - b.box.top);
  for (const [index, one] of letters.entries())
    for (let next = index + 1; next < letters.length; next++) {
      const other = letters[next];
      if (!other || other.box.top >= one.box.bottom) break;
      const by = overlapOf(one.box, other.box);
      if (by > SLACK.across && isApart(one.unit, other.unit))
        yield { one: one.content, other: other.content, by };
    }
}

/** The box that a control lays over what it stands in, so that all of that can be pressed; null where it lays none. */
function laidOver(control: Element): Element | null {
  const { content, position, width, height } = getComputedStyle(control, '::after');
  if (content === 'none' || position !== 'absolute' || !(control instanceof HTMLElement)) return null;
  const block = getComputedStyle(control).position === 'static' ? control.offsetParent : control;
  const fills = (size: string, own: number) => Math.abs(parseFloat(size) - own) < 1;
  return block && fills(width, block.clientWidth) && fills(height, block.clientHeight) ? block : null;
}

/** The box that can be pressed: a control's own, or the one it lays over, without the controls beside it there. */
function pressable(control: Element): Edges {
  const own = control.getBoundingClientRect();
  const block = laidOver(control);
  if (!block) return own;
  let { left, right, top, bottom } = block.getBoundingClientRect();
  for (const other of block.querySelectorAll(CONTROLS)) {
    const box = other.getBoundingClientRect();
    if (other === control || box.width === 0) continue;
    if (box.left >= own.right - 1) right = Math.min(right, box.left);
    else if (box.right <= own.left + 1) left = Math.max(left, box.right);
    else if (box.top >= own.bottom - 1) bottom = Math.min(bottom, box.top);
    else if (box.bottom <= own.top + 1) top = Math.max(top, box.bottom);
  }
  return { left, right, top, bottom };
}

/** Whether a link stands within a sentence: there it is as high as the line. */
function isInSentence(control: Element): boolean {
  if (getComputedStyle(control).display !== 'inline') return false;
  return [...(control.parentNode?.childNodes ?? [])].some(
    (node) => node.nodeType === Node.TEXT_NODE && (node.textContent ?? '').trim() !== '',
  );
}

function* smallTargets(scope: Element): Generator<Seen> {
  const controls = [...(scope.matches(CONTROLS) ? [scope] : []), ...scope.querySelectorAll(CONTROLS)];
  for (const element of controls.slice(0, MOST)) {
    if (!isShown(element) || isSpokenOnly(element) || isInSentence(element)) continue;
    const box = pressable(element);
    const amount = Math.min(box.right - box.left, box.bottom - box.top);
    if (amount > SEEN && amount < LEAST - EPSILON) yield { kind: 'small', element, amount };
  }
}

function* faintMarks(scope: Element, end: Element): Generator<Seen> {
  for (const element of scope.querySelectorAll('a[href] svg, button svg, button'))
    if (isShown(element) && !isSpokenOnly(element)) {
      const paint = paintOf(element, end);
      if (paint) yield { kind: 'faint', element, amount: 0, paint };
    }
}

/** What may be wrong in what is seen of a part of the page; `end` holds the page and cuts nothing. */
export function look(scope: Element, end: Element): Seen[] {
  const found: Seen[] = [];
  if (scope !== end) {
    const { across, down } = inSight(scope.getBoundingClientRect(), scope, end, false).outside;
    const amount = Math.max(across, down);
    if (amount > SLACK.across) found.push({ kind: 'outside', element: scope, amount, isOpened: true });
  }
  const seenContents: (Content & { readonly seen: Edges })[] = [];
  for (const content of contentsOf(scope)) {
    const { element, box, isText } = content;
    if (isSpokenOnly(element)) continue;
    const { seen, cut, outside } = inSight(box, element, end, isText);
    const down = SLACK.down * (box.bottom - box.top);
    if (cut.across > SLACK.across) found.push({ kind: 'cut', element, amount: cut.across });
    else if (cut.down > down) found.push({ kind: 'cut', element, amount: cut.down });
    const past = Math.max(
      outside.across > SLACK.across ? outside.across : 0,
      outside.down > down ? outside.down : 0,
    );
    if (past > 0) found.push({ kind: 'outside', element, amount: past });
    if (seen) seenContents.push({ ...content, seen });
  }
  for (const { one, other, by } of overlaps(seenContents))
    found.push({ kind: 'beneath', element: one.element, other: other.element, amount: by });
  found.push(...smallTargets(scope), ...faintMarks(scope, end));
  return found;
}
