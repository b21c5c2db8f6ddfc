import type { ForeignPage } from './page.ts';
import { pathFrom } from './paths.ts';
import { addressesIn } from './values/addresses.ts';

const ATTRIBUTES = ['src', 'href', 'poster', 'data'] as const;

/** The paths of all files that a page and its stylesheets name, the page first; whether they are there is another question. */
export function usedFiles(page: ForeignPage): readonly string[] {
  const { base } = page;
  const paths = new Set<string>(page.sheets.map((sheet) => sheet.file));
  const take = (address: string | undefined, from: string) => {
    const path = address === undefined ? null : pathFrom(address, from, page.origin);
    if (path !== null && path !== '') paths.add(path);
  };
  for (const { name, attribs } of page.elements) {
    // Where links lead are other pages.
    for (const attribute of ATTRIBUTES)
      if (!(attribute === 'href' && (name === 'a' || name === 'area' || name === 'base')))
        take(attribs[attribute], base);
    for (const candidate of (attribs['srcset'] ?? '').split(',')) take(candidate.trim().split(/\s/)[0], base);
  }
  for (const sheet of page.sheets)
    for (const address of addressesIn(sheet.text)) take(address, sheet === page.source ? base : sheet.file);
  return [...paths];
}
