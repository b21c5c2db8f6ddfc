import type { Start } from '../tools.ts';

/**
 * Arrow keys, Home and End lead from link to link, and into the submenu of one: a help besides Tab, which always works.
 */
export const start: Start = (root, _at, on) => {
  on(root, 'keydown', (event: KeyboardEvent) => {
    const key = event.key.replace('Arrow', '');
    let target = event.target as HTMLElement;
    const list = target.closest('nav ul');
    if (!list || event.ctrlKey || event.altKey || event.metaKey) return;
    const ahead = getComputedStyle(list).direction === 'ltr' ? 1 : -1;
    const inward = list.closest('li') ? (ahead > 0 ? 'Right' : 'Left') : 'Down';
    const button = (
      target.matches('[aria-expanded]') ? target : target.nextElementSibling
    ) as HTMLElement | null;
    // What is behind the button that opens a submenu is its first link.
    if (key === inward && button?.matches('[aria-expanded]')) {
      target = button;
      if (button.matches('[aria-expanded=false]')) button.click();
    }
    const links = [...list.querySelectorAll<HTMLElement>('a, button')].filter((link) => link.offsetHeight);
    const here = links.indexOf(target);
    const steps: Readonly<Record<string, number>> = {
      Down: 1,
      Up: -1,
      Right: ahead,
      Left: -ahead,
      Home: -here,
      End: -here - 1,
    };
    if (!(key in steps)) return;
    event.preventDefault();
    links.at((here + (steps[key] as number)) % links.length)?.focus();
  });
};
