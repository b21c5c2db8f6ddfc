import { useEffect, useState, type ComponentType, type ReactNode } from 'react';
import { notify } from '../store/notices.ts';
import { fetchedAhead } from './ahead.ts';
import { WORDS } from '../words/words.ts';

/** A component that is loaded when it is first needed. */
export interface Later<Props extends object> {
  (props: Props): ReactNode;
  /** Begins to load it before it is drawn. */
  readonly load: () => Promise<void>;
}

/**
 * Makes a component that is loaded when it is first drawn, and drawn at once where it is there already. React's own way
 * keeps what is shown meanwhile for at least 300 ms, which is longer than most loading takes.
 */
export function later<Props extends object>(
  load: () => Promise<ComponentType<Props>>,
  meanwhile: ReactNode = null,
): Later<Props> {
  let loaded: ComponentType<Props> | null = null;
  let loading: Promise<void> | null = null;
  const begin = async (): Promise<void> => {
    loading ??= load().then((component) => {
      loaded = component;
    });
    try {
      await loading;
    } catch (reason) {
      // The next who needs it tries again.
      loading = null;
      throw reason;
    }
  };
  fetchedAhead(begin);
  function LoadedLater(props: Props) {
    const [Component, setComponent] = useState(() => loaded);
    useEffect(() => {
      if (Component) return;
      let left = false;
      begin()
        .then(() => {
          if (!left) setComponent(() => loaded);
        })
        .catch((reason: unknown) => {
          if (!left) notify({ tone: 'error', text: WORDS.notLoaded(String(reason), navigator.onLine) });
        });
      return () => {
        left = true;
      };
    }, [Component]);
    return Component ? <Component {...props} /> : meanwhile;
  }
  return Object.assign(LoadedLater, { load: begin });
}
