import { idsOf, slugify, uniqueName, type Icon, type Site } from '@hamaca/core';
import { iconSvg, loadIcon } from './icon-library.ts';

/** A drawing of the library as one of the site's icons; the same one where it is there already. */
export function asSiteIcon(site: Site, name: string, body: string): Icon {
  const known = site.icons.find((icon) => icon.name === name && icon.set === 'tabler');
  return (
    known ?? {
      id: uniqueName(`icon-${slugify(name, 'icon')}`, idsOf(site)),
      name,
      svg: iconSvg(body),
      set: 'tabler',
    }
  );
}

/** An icon of the library as one of the site's; null where it cannot be had. */
export async function libraryIcon(site: Site, name: string): Promise<Icon | null> {
  const known = site.icons.find((icon) => icon.name === name && icon.set === 'tabler');
  if (known) return known;
  const body = await loadIcon(name);
  return body === null ? null : asSiteIcon(site, name, body);
}
