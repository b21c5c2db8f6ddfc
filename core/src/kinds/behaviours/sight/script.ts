import type { Start } from '../tools.ts';

/** Marks the link to the section that is in sight: the last one that came to a third of the window's height. */
export const start: Start = (root, at, _on, undo) => {
  const links = root.querySelectorAll<HTMLAnchorElement>(`[${at('sight')}] a[href]`);
  for (const link of links) {
    const section = document.getElementById(link.hash.slice(1));
    if (!section) continue;
    const observer = new IntersectionObserver(
      ([entry]) => {
        if ((entry as IntersectionObserverEntry).isIntersecting)
          for (const other of links) other.ariaCurrent = (link === other || null) as unknown as string | null;
      },
      { rootMargin: '-33% 0% -66%' },
    );
    observer.observe(section);
    if (STOPPABLE)
      undo?.(() => {
        observer.disconnect();
        link.ariaCurrent = null;
      });
  }
};
