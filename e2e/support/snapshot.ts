import type { Page } from '@playwright/test';
/** The roots of all pieces. */
export const OURS = '[class^="hm-"]:not([class^="hm-"] *)';

/** Computed style and box of every element of ours; the values stand in the order of the properties’ names. */
export const snapshot = (page: Page, scope: string) =>
  page.locator(scope).evaluateAll((roots) => {
    // Custom properties of other stylesheets are inherited by everyone and change nothing.
    const names = [...getComputedStyle(document.documentElement)].filter((name) => !name.startsWith('--'));
    const elements = roots
      .flatMap((root) => [root, ...root.querySelectorAll('*')])
      .map((element) => {
        const box = element.getBoundingClientRect();
        const style = getComputedStyle(element);
        const pseudo = ['::before', '::after'].map((name) => getComputedStyle(element, name).content);
        return {
          element: element.outerHTML.slice(0, 60),
          box: [box.x, box.y, box.width, box.height].map(Math.round),
          // As one text each: thousands of values are compared and handed over.
          values: names.map((name) => style.getPropertyValue(name)).join('\n'),
          pseudo,
        };
      });
    return { names, elements };
  });

export type Snapshot = Awaited<ReturnType<typeof snapshot>>;

/** What differs between two snapshots, element by element, without the properties to leave out. */
export function differences(a: Snapshot, b: Snapshot, without: RegExp | null = null): string[] {
  const { names } = a;
  if (a.elements.length !== b.elements.length)
    return [`${a.elements.length} elements, ${b.elements.length} elements`];
  return a.elements.flatMap((one, index) => {
    const other = b.elements[index] as Snapshot['elements'][number];
    const boxes =
      without || String(one.box) === String(other.box) ? [] : [`${one.element}: ${one.box} / ${other.box}`];
    const pseudo =
      String(one.pseudo) === String(other.pseudo) ? [] : [`${one.element}: ${one.pseudo} / ${other.pseudo}`];
    if (one.values === other.values) return [...boxes, ...pseudo];
    const values = other.values.split('\n');
    const changed = one.values.split('\n').flatMap((value, at) => {
      const name = names[at] ?? '';
      return value === values[at] || without?.test(name) ? [] : [`${name}: ${value} / ${values[at]}`];
    });
    return [...boxes, ...pseudo, ...changed.map((line) => `${one.element}: ${line}`)];
  });
}
