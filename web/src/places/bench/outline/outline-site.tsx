import type { Site } from '@hamaca/core';
import { createContext, useContext, useRef, type ReactNode } from 'react';
import { useSite } from '../../../store/open-site.tsx';
import { isSameStructure } from '../../../store/same-structure.ts';

const isSameOutline = (a: Site, b: Site) =>
  a === b || (a.menus === b.menus && a.bands === b.bands && isSameStructure(a.pieces, b.pieces));

const Context = createContext<Site | null>(null);

/** The document for the outline: it stays the same object while only looks change, so that no line is drawn anew. */
export function OutlineSite({ children }: { readonly children: ReactNode }) {
  const site = useSite();
  const kept = useRef(site);
  if (!isSameOutline(kept.current, site)) kept.current = site;
  return <Context.Provider value={kept.current}>{children}</Context.Provider>;
}

export function useOutlineSite(): Site {
  const site = useContext(Context);
  if (!site) throw new Error('A line of the outline stands outside of it.');
  return site;
}
