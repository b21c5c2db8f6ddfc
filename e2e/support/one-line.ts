import type { Page } from '@playwright/test';
import { still } from './motion.ts';

/** Whether a row stands on one line: everything in it side by side, every label on one line, nothing past its edges. */
export async function isOneLine(page: Page, row: number): Promise<boolean> {
  return page.evaluate((index) => {
    const element = document.querySelectorAll(':is(header, footer)[class^="hm-"] > div')[index];
    if (!(element instanceof HTMLElement)) throw new Error('There is no such row.');
    /** The boxes beside one another in a box. */
    const beside = (box: Element): Element[] =>
      [...box.children].flatMap((child) => {
        const { display, position } = getComputedStyle(child);
        if (display === 'none' || position === 'absolute' || position === 'fixed') return [];
        return display === 'contents' ? beside(child) : [child];
      });
    const isFlat = (boxes: readonly Element[]) => {
      const middles = boxes
        .map((box) => box.getBoundingClientRect())
        .filter(({ width, height }) => width > 0 || height > 0)
        .map(({ top, bottom }) => (top + bottom) / 2);
      return Math.max(...middles) - Math.min(...middles) < 3;
    };
    const holds = (box: Element): boolean =>
      (beside(box).length < 2 || isFlat(beside(box))) &&
      beside(box).every((child) => !child.matches('div, ul, nav') || holds(child));
    const walker = document.createTreeWalker(element, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const range = document.createRange();
      range.selectNodeContents(node);
      const tops = [...range.getClientRects()].filter(({ width }) => width > 0).map(({ top }) => top);
      if (tops.length > 1 && Math.max(...tops) - Math.min(...tops) > 3) return false;
    }
    const style = getComputedStyle(element);
    const sum = (...names: readonly string[]) =>
      names.reduce((all, name) => all + parseFloat(style.getPropertyValue(name)), 0);
    const tallest = Math.max(
      0,
      ...beside(element).map((child) => {
        const own = getComputedStyle(child);
        return (
          child.getBoundingClientRect().height + parseFloat(own.marginTop) + parseFloat(own.marginBottom)
        );
      }),
    );
    const edges = sum('padding-top', 'padding-bottom', 'border-top-width', 'border-bottom-width');
    const isOneLineTall = element.offsetHeight <= Math.max(parseFloat(style.minHeight), tallest + edges) + 1;
    return holds(element) && isOneLineTall && element.scrollWidth <= element.clientWidth;
  }, row);
}

/**
 * Marks in every list the link that grows most as the current page: it is part of what is needed. The page has settled at
 * its width before: what folds is carried into its panel one picture after the width has changed.
 */
export async function markCurrent(page: Page): Promise<void> {
  await still(page);
  await page.evaluate(() => {
    for (const link of document.querySelectorAll('[aria-current]')) link.removeAttribute('aria-current');
    for (const list of document.querySelectorAll('nav > ul')) {
      const grown = [...list.querySelectorAll(':scope > li > a[href], :scope > li > span > a[href]')]
        .map((link) => {
          const width = () => link.closest('li')?.getBoundingClientRect().width ?? 0;
          const before = width();
          link.setAttribute('aria-current', 'page');
          const growth = width() - before;
          link.removeAttribute('aria-current');
          return { link, growth };
        })
        .sort((a, b) => b.growth - a.growth)[0];
      if (grown && grown.growth > 0) grown.link.setAttribute('aria-current', 'page');
    }
  });
}
