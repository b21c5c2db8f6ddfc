import type { ElementEntry } from '@hamaca/core';
import type { FromFrame } from './protocol.ts';

/** How far the pointer moves before a press becomes a drag, in px. */
const FAR = 4;
/** From this change of its distance on a link takes the ring along, in px. */
const AWAY = 12;

interface Held {
  readonly owner: string;
  readonly start: { readonly x: number; readonly y: number };
  readonly centre: { readonly x: number; readonly y: number };
  /** The middle direction of the arc, in degrees, where its first or last link is held: then it is widened. */
  readonly middle: number | null;
  moved: boolean;
}

const middleOf = (element: Element) => {
  const { left, right, top, bottom } = element.getBoundingClientRect();
  return { x: (left + right) / 2, y: (top + bottom) / 2 };
};

const angleOf = (centre: Held['centre'], { x, y }: Held['start']) =>
  (Math.atan2(y - centre.y, x - centre.x) * 180) / Math.PI;

/** An angle as the least way round, in degrees from -180 to 180. */
const leastWay = (angle: number) => ((((angle + 180) % 360) + 360) % 360) - 180;

/** The open ring whose link is at a place; null where there is none, or where its links stand in a line. */
function heldAt(holder: HTMLElement, entries: readonly ElementEntry[], event: PointerEvent): Held | null {
  const item = event.target instanceof Element ? event.target.closest('li') : null;
  const list = item?.parentElement;
  const entry = list && entries.find((one) => one.slot === 'ring' && list.matches(one.selector));
  if (!item || !list || !entry || !holder.contains(list) || list.offsetWidth > 0) return null;
  const centre = middleOf(list);
  const links = [...list.children];
  const ends = [links[0], links.at(-1)];
  const isEnd = links.length > 1 && ends.includes(item);
  const [first, last] = ends.map((link) => (link ? angleOf(centre, middleOf(link)) : 0));
  const width = leastWay((last ?? 0) - (first ?? 0));
  return {
    owner: entry.owner,
    start: { x: event.clientX, y: event.clientY },
    centre,
    middle: isEnd ? (first ?? 0) + width / 2 : null,
    moved: false,
  };
}

/** Lets the links of an open ring be dragged: around to turn it, the first and last to widen it, in or out to move it. */
export function listenToArcs(
  holder: HTMLElement,
  entries: () => readonly ElementEntry[],
  tell: (message: FromFrame) => void,
): void {
  let held: Held | null = null;
  const say = (one: Held, phase: 'move' | 'end' | 'cancel', x: number, y: number) => {
    const { centre, start, middle } = one;
    const far = (place: Held['start']) => Math.hypot(place.x - centre.x, place.y - centre.y);
    const mirrored = document.documentElement.dir === 'rtl' ? -1 : 1;
    const angle = angleOf(centre, { x, y });
    const distance = far({ x, y });
    tell({
      type: 'arc',
      phase,
      owner: one.owner,
      turned: middle === null ? mirrored * leastWay(angle - angleOf(centre, start)) : 0,
      span: middle === null ? null : Math.min(360, 2 * Math.abs(leastWay(angle - middle))),
      distance: Math.abs(distance - far(start)) > AWAY ? distance : null,
    });
  };
  document.addEventListener(
    'pointerdown',
    (event) => {
      held = event.button === 0 ? heldAt(holder, entries(), event) : null;
      if (!held) return;
      // A link would be carried away as a link otherwise; the keys belong to the page all the same.
      event.preventDefault();
      event.stopPropagation();
      window.focus();
    },
    true,
  );
  document.addEventListener('dragstart', (event) => {
    if (held) event.preventDefault();
  });
  document.addEventListener('pointermove', ({ clientX, clientY }) => {
    if (!held) return;
    held.moved ||= Math.hypot(clientX - held.start.x, clientY - held.start.y) > FAR;
    if (held.moved) say(held, 'move', clientX, clientY);
  });
  document.addEventListener('pointerup', ({ clientX, clientY }) => {
    const one = held;
    held = null;
    if (!one?.moved) return;
    say(one, 'end', clientX, clientY);
    // What was dragged was not pressed.
    document.addEventListener(
      'click',
      (click) => {
        click.stopImmediatePropagation();
        click.preventDefault();
      },
      { capture: true, once: true },
    );
  });
  document.addEventListener('keydown', (event) => {
    if (event.key !== 'Escape' || !held?.moved) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    say(held, 'cancel', held.start.x, held.start.y);
    held = null;
  });
}
