import type { Edit, Site } from '@hamaca/core';
import { createContext, use, useEffect, useState, type ReactNode } from 'react';
import { useStore } from 'zustand';
import { showSite, type ShownSite } from './shown-site.ts';
import { openSite, type SiteState, type SiteStore } from './site-store.ts';

/** The site's store, and what the controls draw of it. */
interface Opened {
  readonly store: SiteStore;
  readonly shown: ShownSite;
}

const SiteContext = createContext<Opened | null>(null);

/** Opens the site for everything inside and closes it when it leaves. */
export function OpenSite({ id, children }: { readonly id: string; readonly children: ReactNode }) {
  const [opened, setOpened] = useState<Opened | null>(null);
  useEffect(() => {
    const store = openSite(id);
    const shown = showSite(store);
    setOpened({ store, shown });
    return () => {
      shown.close();
      store.close();
    };
  }, [id]);
  return opened && <SiteContext value={opened}>{children}</SiteContext>;
}

function useOpened(): Opened {
  const opened = use(SiteContext);
  if (!opened) throw new Error('A site is needed here.');
  return opened;
}

/** What the site is edited by; its state is that of this moment. */
export function useSiteStore(): SiteStore {
  return useOpened().store;
}

/** A part of the open site's state; the component follows it. */
export function useSiteState<Answer>(select: (state: SiteState) => Answer): Answer {
  return useStore(useOpened().shown, select);
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
