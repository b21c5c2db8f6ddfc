import type { Page } from '@playwright/test';
/** The roots of all pieces. */
export const OURS = '[class*="hm-site-"]';

/** Computed style and box of every element of ours. */
export const snapshot = (page: Page, scope: string) =>
  page.locator(scope).evaluateAll((roots) =>
    roots
      .flatMap((root) => [root, ...root.querySelectorAll('*')])
      .map((element) => {
        const box = element.getBoundingClientRect();
        const style = getComputedStyle(element);
        // Custom properties of other stylesheets are inherited by everyone and change nothing.
        const values = [...style]
          .filter((name) => !name.startsWith('--'))
          .map((name) => `${name}: ${style.getPropertyValue(name)}`);
        const pseudo = ['::before', '::after'].map((name) => getComputedStyle(element, name).content);
        return {
          element: element.outerHTML.slice(0, 60),
          box: [box.x, box.y, box.width, box.height].map(Math.round),
          // As one text each: thousands of values are compared and handed over.
          values: values.join('\n'),
          pseudo,
        };
      }),
  );

export type Snapshot = Awaited<ReturnType<typeof snapshot>>;

/** What differs between two snapshots, element by element, without the properties to leave out. */
export function differences(a: Snapshot, b: Snapshot, without: RegExp | null = null): string[] {
  if (a.length !== b.length) return [`${a.length} elements, ${b.length} elements`];
  return a.flatMap((one, index) => {
    const other = b[index] as Snapshot[number];
    const boxes =
      without || String(one.box) === String(other.box) ? [] : [`${one.element}: ${one.box} / ${other.box}`];
    const pseudo =
      String(one.pseudo) === String(other.pseudo) ? [] : [`${one.element}: ${one.pseudo} / ${other.pseudo}`];
    if (one.values === other.values) return [...boxes, ...pseudo];
    const values = other.values.split('\n');
    const changed = one.values
      .split('\n')
      .flatMap((value, at) =>
        value === values[at] || without?.test(value) ? [] : [`${value} / ${values[at]}`],
      );
    return [...boxes, ...pseudo, ...changed.map((line) => `${one.element}: ${line}`)];
  });
}
