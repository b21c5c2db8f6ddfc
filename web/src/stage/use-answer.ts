import { useEffect, useState } from 'react';
import type { ForeignAnswers, ForeignRequest } from '../workers/foreign-page.ts';
import type { ShownForeignPage } from './foreign-pages.ts';

/**
 * What is answered about a foreign page; null until it is known, or where nothing is asked. It is asked anew with the page and whenever
 * one of `about` changes; an answer to what is asked no more is dropped.
 */
export function useAnswer<Kind extends ForeignRequest['kind']>(
  shown: ShownForeignPage | null,
  request: Extract<ForeignRequest, { readonly kind: Kind }> | null,
  about: readonly unknown[],
): ForeignAnswers[Kind] | null {
  const [answer, setAnswer] = useState<ForeignAnswers[Kind] | null>(null);
  useEffect(() => {
    setAnswer(null);
    if (!shown || !request) return undefined;
    let isWanted = true;
    void shown.read.worker.ask<Kind>(request).then((found) => {
      if (isWanted) setAnswer(found);
    });
    return () => {
      isWanted = false;
    };
  }, [shown, ...about]);
  return answer;
}
