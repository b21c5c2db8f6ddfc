import { headerNames, type Site } from '@hamaca/core';

/** The class a slot has in the output of the site's header. */
export function slotClass(site: Site, owner: string, slot: string): string {
  const names = headerNames(site);
  // The bar is the header itself.
  return (slot === 'bar' ? names?.name('header') : names?.slotClass(owner, slot)) ?? '';
}
