import { createMeasurer, parseSiteFile, rowBreaks, rowFits, type RowFit } from '@hamaca/core';
import { loadFontMetrics } from './fonts.ts';
import { readInput } from './input.ts';
import type { Output } from './output.ts';
import { ERRORS } from './words.ts';

function sentence(fit: RowFit): string {
  const widths = fit.to === null ? `from ${fit.from} px` : `${fit.from} to ${fit.to} px`;
  const about = fit.certain ? '' : 'about ';
  const needs =
    fit.needed === Infinity ? 'more than its content may take' : `${about}${Math.ceil(fit.needed)} px`;
  return `${fit.piece} ${fit.row} ${fit.band} (${widths}): needs ${needs}, ${rowBreaks(fit) ? 'breaks' : 'fits'}\n`;
}

/** `hamaca fit`: the least width of every row in every band; 1 where one breaks. */
export async function runFit(file: string, isJson: boolean, output: Output): Promise<number> {
  const text = readInput(file);
  if (!text.ok) return output.refuse(text.error);
  const site = parseSiteFile(text.value);
  if (!site.ok) return output.refuse(ERRORS.notASite(file, site.error));
  const fits = rowFits(site.value, createMeasurer(await loadFontMetrics()));
  // JSON has no Infinity: it prints null.
  output.print(isJson ? `${JSON.stringify(fits, null, 2)}\n` : fits.map(sentence).join(''));
  return fits.some(rowBreaks) ? 1 : 0;
}
