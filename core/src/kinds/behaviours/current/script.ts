import type { Start } from '../tools.ts';

/** Marks the links to the page it is on, whatever the ending of its path. */
export const start: Start = (root, _at, _on, _html, undo) => {
  const plain = (place: { readonly host: string; readonly pathname: string; readonly search: string }) =>
    place.host + place.pathname.replace(/\/(index\.html?)?$/, '') + place.search;
  for (const link of root.querySelectorAll<HTMLAnchorElement>('nav a[href]')) {
    if (link.hash || plain(link) !== plain(location)) continue;
    link.setAttribute('aria-current', 'page');
    if (STOPPABLE)
      undo?.(() => {
        link.removeAttribute('aria-current');
      });
  }
};
