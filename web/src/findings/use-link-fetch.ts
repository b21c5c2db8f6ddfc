import { fetchAddress, itemsOf, partLinks, type Site } from '@hamaca/core';
import { useMemo, useRef, useState } from 'react';
import { linksStore } from '../store/links-store.ts';
import { fetchLinks } from '../store/fetching.ts';

/** Most addresses asked in one round. */
const MOST = 1000;

export interface LinkFetch {
  readonly running: { readonly done: number; readonly of: number } | null;
  readonly failure: string | null;
  /** Addresses that could be asked. */
  readonly of: number;
  readonly start: () => void;
  readonly stop: () => void;
}

/** Addresses that the site's links lead to, each once. */
export function linkAddresses(site: Site): string[] {
  const found = new Set<string>();
  for (const { item } of itemsOf(site).values()) {
    const address = fetchAddress(site, item.target);
    if (address !== null) found.add(address);
  }
  for (const { target } of partLinks(site)) {
    const address = fetchAddress(site, target);
    if (address !== null) found.add(address);
  }
  return [...found];
}

/** Asks the web whether the links answer: only when told to, with progress, and it can be stopped. */
export function useLinkFetch(site: Site): LinkFetch {
  const [running, setRunning] = useState<LinkFetch['running']>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const controller = useRef<AbortController | null>(null);
  const addresses = useMemo(() => linkAddresses(site).slice(0, MOST), [site]);
  const start = () => {
    const stop = new AbortController();
    controller.current = stop;
    setFailure(null);
    setRunning({ done: 0, of: addresses.length });
    const found = new Map(linksStore.getState().fetched);
    let done = 0;
    fetchLinks(addresses, stop.signal, (link) => {
      found.set(link.url, link);
      done++;
      setRunning({ done, of: addresses.length });
      linksStore.setState({ fetched: new Map(found) });
    })
      .catch((error: unknown) => {
        if (!stop.signal.aborted) setFailure((error as Error).message);
      })
      .finally(() => {
        setRunning(null);
      });
  };
  return {
    running,
    failure,
    of: addresses.length,
    start,
    stop: () => {
      controller.current?.abort();
    },
  };
}
