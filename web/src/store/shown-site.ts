import { createStore, type StoreApi } from 'zustand/vanilla';
import { afterPaint } from './after-paint.ts';
import type { SiteState } from './site-store.ts';

export interface ShownSite extends StoreApi<SiteState> {
  readonly close: () => void;
}

/**
 * The open site as the controls draw it. What is shown in the middle of a drag or of typing reaches them once the stage
 * has painted it; everything else at once.
 */
export function showSite(store: StoreApi<SiteState>): ShownSite {
  const shown = createStore<SiteState>(() => store.getState());
  let cancel: (() => void) | null = null;
  const flush = () => {
    cancel?.();
    cancel = null;
    shown.setState(store.getState(), true);
  };
  const unsubscribe = store.subscribe((state) => {
    if (state.previewing) cancel ??= afterPaint(flush);
    else flush();
  });
  return {
    ...shown,
    close: () => {
      cancel?.();
      unsubscribe();
    },
  };
}
