import { hasSameSingles, isSameBesideLooks, type Site } from '@hamaca/core';
import { createContext, useContext, useRef, type ReactNode } from 'react';
import { useSite } from '../../../store/open-site.tsx';

const Context = createContext<Site | null>(null);

/** The document for the outline: it stays the same object while only looks change and no link gets one of its own, so that no line is drawn anew. */
export function OutlineSite({ children }: { readonly children: ReactNode }) {
  const site = useSite();
  const kept = useRef(site);
  const isSame =
    isSameBesideLooks(kept.current, site, ['menus', 'bands']) && hasSameSingles(kept.current, site);
  if (!isSame) kept.current = site;
  return <Context.Provider value={kept.current}>{children}</Context.Provider>;
}

export function useOutlineSite(): Site {
  const site = useContext(Context);
  if (!site) throw new Error('A line of the outline stands outside of it.');
  return site;
}
