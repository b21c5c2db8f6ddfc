import type { Header } from '../kinds/pieces/header.ts';
import { memoise } from '../base/memo.ts';
import type { Site } from '../model/site.ts';
import { findHeader, panelsOf, rowParts } from '../kinds/walk.ts';

/** What every class, id and custom property of the output starts with, unless the designer sets another. */
export const DEFAULT_PREFIX = 'hm-';

/** The output's names for one header: the same site gives the same names. */
export interface Names {
  readonly prefix: string;
  /** The class of a slot of an owner: `hm-link`; the second menu's is `hm-link-2`. */
  readonly slotClass: (owner: string, slot: string) => string;
  /** Any other class or id. */
  readonly name: (word: string) => string;
  readonly variable: (word: string) => string;
  /** The attribute the script sets once it runs. */
  readonly readyAttribute: string;
  /** The attribute the script sets while the page is scrolled. */
  readonly scrolledAttribute: string;
}

/** How many owners of its kind stand before each part: 0 for the first. */
function ownerOrder(site: Site, header: Header): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  const order = new Map<string, number>();
  const note = (kind: string, id: string) => {
    const count = counts.get(kind) ?? 0;
    order.set(id, count);
    counts.set(kind, count + 1);
  };
  for (const row of header.rows) {
    note('row', row.id);
    for (const part of rowParts(row)) note(part.kind, part.id);
  }
  for (const panel of panelsOf(site, header)) {
    note('panel', panel.id);
    for (const part of panel.parts) note(part.kind, part.id);
  }
  return order;
}

export function createNames(site: Site, header: Header, prefix: string): Names {
  const order = ownerOrder(site, header);
  return {
    prefix,
    slotClass: (owner, slot) => {
      const before = order.get(owner) ?? 0;
      return `${prefix}${slot}${before === 0 ? '' : `-${before + 1}`}`;
    },
    name: (word) => `${prefix}${word}`,
    variable: (word) => `--${prefix}${word}`,
    readyAttribute: `data-${prefix}ready`,
    scrolledAttribute: `data-${prefix}scrolled`,
  };
}

const namesBySite = memoise((site: Site): { names: Names | null } => {
  const header = findHeader(site);
  return { names: header && createNames(site, header, DEFAULT_PREFIX) };
});

/** The names a site's header has in the output; null where it has none. */
export function headerNames(site: Site): Names | null {
  return namesBySite(site).names;
}
