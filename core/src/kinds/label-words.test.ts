import { expect, test } from '@jest/globals';
import { printHtml } from '../print/html.ts';
import { labelWords } from './label-words.ts';

test.each(['+34 955 010 203', '(0) 955-010-203', '955010203', '01.02.2026'])(
  '%s keeps its order in text from right to left',
  (words) => {
    expect(printHtml([labelWords(words)]).trim()).toBe(`<bdi>${words}</bdi>`);
  },
);

test.each(['Call +34 955 010 203', '2026', 'A–Z', '', 'Öffnungszeiten', '24/7'])(
  '“%s” is text as it is',
  (words) => {
    expect(labelWords(words)).toEqual({ node: 'text', text: words });
  },
);
