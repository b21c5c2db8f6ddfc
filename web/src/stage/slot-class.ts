import { headerNames, type Site } from '@hamaca/core';

/** The class a slot has in the output of the site's header. */
export function slotClass(site: Site, owner: string, slot: string): string {
  return headerNames(site)?.slotClass(owner, slot) ?? '';
}
