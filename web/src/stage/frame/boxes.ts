import type { ElementEntry } from '@hamaca/core';
import type { StageBox } from './protocol.ts';

/** The box around two boxes of one owner. */
const around = (one: StageBox, other: StageBox): StageBox => ({
  owner: one.owner,
  left: Math.min(one.left, other.left),
  right: Math.max(one.right, other.right),
  top: Math.min(one.top, other.top),
  bottom: Math.max(one.bottom, other.bottom),
});

/** The box around everything of each owner that is seen, in px of the page; of some elements alone where that is asked. */
export function boxesOf(
  holder: HTMLElement,
  entries: readonly ElementEntry[],
  counts: (element: Element) => boolean = () => true,
): StageBox[] {
  const byOwner = new Map<string, StageBox>();
  for (const { owner, selector } of entries)
    for (const element of holder.querySelectorAll(selector)) {
      if (!counts(element)) continue;
      const { left, right, top, bottom } = element.getBoundingClientRect();
      if (right <= left) continue;
      const own = { owner, left, right, top, bottom };
      const before = byOwner.get(owner);
      byOwner.set(owner, before ? around(before, own) : own);
    }
  return [...byOwner.values()];
}
