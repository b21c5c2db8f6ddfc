/** Ways to make a selector count more, the weakest first; the last one counts more than any id. */
export const STRENGTHS: readonly ((selector: string) => string)[] = [
  (selector) => selector,
  (selector) => (isRoot(selector) ? ':root' : `:root ${selector}`),
  (selector) => (isRoot(selector) ? 'html:root:root' : `html:root:root ${selector}`),
  (selector) => (isRoot(selector) ? ':root:not(#_)' : `:root:not(#_) ${selector}`),
];

const isRoot = (selector: string) => selector === 'html';
