import type { ReadLinks } from '@hamaca/core';
import { useEffect, useRef, useState } from 'react';
import type { LinkSource, ReadAnswer, ReadRequest } from './read-links.ts';

/** What is understood of pasted text, read in a worker; `busy` while a long paste is being read. */
export function useReadLinks(from: LinkSource, text: string): ReadLinks & { readonly busy: boolean } {
  const [answer, setAnswer] = useState<ReadAnswer>({ id: 0, links: [], notes: [] });
  const worker = useRef<Worker | null>(null);
  const count = useRef(0);
  const [asked, setAsked] = useState(0);

  useEffect(() => {
    const started = new Worker(new URL('./read-links.ts', import.meta.url), { type: 'module' });
    started.addEventListener('message', (event: MessageEvent<ReadAnswer>) => { setAnswer(event.data); });
    worker.current = started;
    return () => { started.terminate(); };
  }, []);
  useEffect(() => {
    const id = ++count.current;
    setAsked(id);
    worker.current?.postMessage({ id, from, text } satisfies ReadRequest);
  }, [from, text]);
  return { links: answer.links, notes: answer.notes, busy: answer.id !== asked };
}
