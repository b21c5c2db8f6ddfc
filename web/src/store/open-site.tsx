import type { Edit, Site } from '@hamaca/core';
import { createContext, use, useEffect, useState, type ReactNode } from 'react';
import { useStore } from 'zustand';
import { openSite, type SiteState, type SiteStore } from './site-store.ts';

const SiteContext = createContext<SiteStore | null>(null);

/** Opens the site for everything inside and closes it when it leaves. */
export function OpenSite({ id, children }: { readonly id: string; readonly children: ReactNode }) {
  const [store, setStore] = useState<SiteStore | null>(null);
  useEffect(() => {
    const opened = openSite(id);
    setStore(opened);
    return () => {
      opened.close();
    };
  }, [id]);
  return store && <SiteContext value={store}>{children}</SiteContext>;
}

export function useSiteStore(): SiteStore {
  const store = use(SiteContext);
  if (!store) throw new Error('A site is needed here.');
  return store;
}

/** A part of the open site's state; the component follows it. */
export function useSiteState<Answer>(select: (state: SiteState) => Answer): Answer {
  return useStore(useSiteStore(), select);
}

/** The open, loaded site. */
export function useSite(): Site {
  const site = useSiteState((state) => state.site);
  if (!site) throw new Error('The site is not loaded yet.');
  return site;
}

/** Makes an edit on the open site. */
export function useEdit(): (edit: Edit, label: string) => boolean {
  return useSiteStore().edit;
}
