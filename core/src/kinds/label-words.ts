import { element, text, type HtmlNode } from '../print/trees.ts';

/** Digits with what stands between them, and no letter that would say which way they are read. */
const NUMBER = /^\s*[+(]?\d[\d\s()./-]{4,}$/;

/**
 * The words of a label. A phone number is set apart, so that it keeps its order where text runs from right to left
 * (HTML, `bdi`: without a letter it is read from left to right).
 */
export const labelWords = (words: string): HtmlNode =>
  NUMBER.test(words) ? element('bdi', {}, text(words)) : text(words);
