import type { LinkFormatName } from '@hamaca/core';
import { useEffect, useRef, useState } from 'react';
import type { ReadAnswer, ReadRequest } from './read-links.ts';

const NOTHING: ReadAnswer = { id: 0, format: 'outline', menus: [], links: [], notes: [] };

/** What is understood of pasted text or a file, read in a worker; `busy` while a long one is being read. */
export function useReadLinks(
  from: LinkFormatName | null,
  text: string | Uint8Array,
  name = '',
): ReadAnswer & { readonly busy: boolean } {
  const [answer, setAnswer] = useState<ReadAnswer>(NOTHING);
  const worker = useRef<Worker | null>(null);
  const count = useRef(0);
  const [asked, setAsked] = useState(0);

  useEffect(() => {
    const started = new Worker(new URL('./read-links.ts', import.meta.url), { type: 'module' });
    started.addEventListener('message', (event: MessageEvent<ReadAnswer>) => {
      setAnswer(event.data);
    });
    worker.current = started;
    return () => {
      started.terminate();
    };
  }, []);
  useEffect(() => {
    const id = ++count.current;
    setAsked(id);
    worker.current?.postMessage({ id, from, name, text } satisfies ReadRequest);
  }, [from, text, name]);
  return { ...answer, busy: answer.id !== asked };
}
