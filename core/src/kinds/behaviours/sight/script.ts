import type { Start } from '../tools.ts';

/** Marks the link to the section that is in sight: the last one that came to a third of the window's height. */
export const start: Start = (root, at, _on, html, undo) => {
  const links = root.querySelectorAll<HTMLAnchorElement>(`[${at('sight')}] a[href]`);
  for (const link of links) {
    const section = link.hash && html.querySelector(`[id=${JSON.stringify(link.hash.slice(1))}]`);
    if (!section) continue;
    const observer = new IntersectionObserver(
      ([entry]) => {
        if ((entry as IntersectionObserverEntry).isIntersecting)
          for (const other of links)
            if (link === other) other.setAttribute('aria-current', 'true');
            else other.removeAttribute('aria-current');
      },
      { rootMargin: '-33% 0% -66%' },
    );
    observer.observe(section);
    if (STOPPABLE)
      undo?.(() => {
        observer.disconnect();
        link.removeAttribute('aria-current');
      });
  }
};
