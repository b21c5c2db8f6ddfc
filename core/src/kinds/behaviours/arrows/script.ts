import type { Start } from '../tools.ts';

/**
 * Arrow keys, Home, End and first letters lead from link to link, and into the submenu of one: a help besides Tab, which
 * always works.
 */
export const start: Start = (root, _at, on) => {
  on(root, 'keydown', (event: KeyboardEvent) => {
    const key = event.key.replace('Arrow', '');
    const target = event.target as HTMLElement;
    const list = target.closest('nav ul');
    if (!list || event.ctrlKey || event.altKey || event.metaKey) return;
    const links = [...list.querySelectorAll<HTMLElement>('a, button')].filter((link) => link.offsetWidth);
    const here = links.indexOf(target);
    const ahead = getComputedStyle(list).direction === 'ltr' ? 1 : -1;
    const steps: Readonly<Record<string, number>> = {
      Down: 1,
      Up: -1,
      Right: ahead,
      Left: -ahead,
      Home: -here,
      End: -here - 1,
    };
    const button = (target.ariaExpanded ? target : target.nextElementSibling) as HTMLElement | null;
    const inward = list.closest('li') ? (ahead > 0 ? 'Right' : 'Left') : 'Down';
    const isEntered = key === inward && button?.ariaExpanded;
    if (isEntered === 'false') button?.click();
    const link = isEntered
      ? target.closest('li')?.querySelector('ul')?.querySelector<HTMLElement>('a, button')
      : key in steps
        ? links.at((here + (steps[key] as number)) % links.length)
        : [...links.slice(here + 1), ...links].find(
            // Names of keys begin with a capital, so that none of them is taken for the start of a label.
            (one) => one.textContent.toLowerCase().indexOf(key) === 0,
          );
    if (!link) return;
    event.preventDefault();
    link.focus();
  });
};
