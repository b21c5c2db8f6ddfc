import { readHtmlLinks, readOutline, type ReadLinks } from '@hamaca/core';

export type LinkSource = 'outline' | 'html';

export interface ReadRequest {
  readonly id: number;
  readonly from: LinkSource;
  readonly text: string;
}

export interface ReadAnswer extends ReadLinks {
  readonly id: number;
}

self.addEventListener('message', (event: MessageEvent<ReadRequest>) => {
  const { id, from, text } = event.data;
  const read = from === 'html' ? readHtmlLinks(text) : readOutline(text);
  self.postMessage({ id, ...read } satisfies ReadAnswer);
});
