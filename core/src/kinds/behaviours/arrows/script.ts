import type { Start } from '../tools.ts';

/** Arrow keys, Home, End and first letters lead from link to link: a help besides Tab, which always works. */
export const start: Start = (root, { on }) => {
  on(root, 'keydown', (event: KeyboardEvent) => {
    const { key } = event;
    const target = event.target as HTMLElement;
    const list = target.closest('nav ul');
    if (!list || event.defaultPrevented || event.ctrlKey || event.altKey || event.metaKey) return;
    const links = [...list.querySelectorAll<HTMLElement>('a, button')].filter(
      (link) => link.getClientRects().length,
    );
    const here = links.indexOf(target);
    const ahead = getComputedStyle(list).direction === 'ltr' ? 1 : -1;
    const steps: Readonly<Record<string, number>> = {
      ArrowDown: 1,
      ArrowUp: -1,
      ArrowRight: ahead,
      ArrowLeft: -ahead,
      Home: -here,
      End: -here - 1,
    };
    // Names of keys begin with a capital, so that none of them is taken for the start of a label.
    const link =
      key in steps
        ? links.at((here + (steps[key] as number)) % links.length)
        : [...links.slice(here + 1), ...links].find((one) =>
            one.textContent.trim().toLowerCase().startsWith(key),
          );
    if (!link) return;
    event.preventDefault();
    link.focus();
  });
};
