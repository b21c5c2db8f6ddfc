import {
  createButton,
  createImage,
  createLogo,
  createMenuPart,
  createOpener,
  createRule,
  createSearch,
  createShortcut,
  createSocial,
  createText,
  findIcon,
  idsOf,
  NO_TARGET,
  PART_LABELS,
  slugify,
  uniqueName,
  type Icon,
  type Part,
  type PartKindName,
  type Site,
} from '@hamaca/core';
import { iconSvg, loadIcons } from '../../../media/icon-library.ts';

/** A part that can be added, with what it is called where it is offered. */
export interface NewPart {
  readonly kind: PartKindName;
  readonly label: string;
}

/** The parts that can be added, in the order they are offered. */
export const NEW_PARTS: readonly NewPart[] = (
  ['menu', 'logo', 'button', 'search', 'social', 'text', 'shortcut', 'image', 'rule', 'opener'] as const
).map((kind) => ({ kind, label: PART_LABELS[kind] }));

/** Why a kind of part cannot be added now, or null. */
export function refusePart(site: Site, kind: PartKindName): string | null {
  if (kind === 'menu' && site.menus.length === 0) return 'the site has no menu yet';
  if (kind === 'opener' && !site.pieces.some((piece) => piece.kind === 'panel'))
    return 'the site has no panel to open';
  return null;
}

/** An icon of the library as one of the site's; the same one where it is there already. */
export async function libraryIcon(site: Site, name: string): Promise<Icon | null> {
  const known = site.icons.find((icon) => icon.name === name && icon.set === 'tabler');
  if (known) return known;
  const found = (await loadIcons().catch(() => [])).find((icon) => icon.name === name);
  return found
    ? {
        id: uniqueName(`icon-${slugify(name, 'icon')}`, idsOf(site)),
        name,
        svg: iconSvg(found.body),
        set: 'tabler',
      }
    : null;
}

const PADDED = { paddingInline: 16, paddingBlock: 9, radius: 6 } as const;

/** A new part that looks like something at once, with the icons it draws. */
export async function createPart(
  site: Site,
  kind: PartKindName,
): Promise<{ part: Part; icons: readonly Icon[] }> {
  const id = uniqueName(kind, idsOf(site));
  const plain = (part: Part) => ({ part, icons: [] });
  switch (kind) {
    case 'logo':
      return plain(createLogo(id, site.name || 'Name'));
    case 'menu':
      return plain({
        ...createMenuPart(id, site.menus[0]?.id ?? ''),
        levels: 1,
        name: site.menus[0]?.name ?? 'Menu',
        look: { link: { all: { rest: { all: { paddingInline: 10, paddingBlock: 8 } } } } },
      });
    case 'button':
      return plain({
        ...createButton(id, 'Get in touch', NO_TARGET),
        look: { button: { all: { rest: { all: PADDED }, hover: { all: { fill: { role: 'ink' } } } } } },
      });
    case 'search':
      return plain(createSearch(id));
    case 'social':
      return plain(createSocial(id));
    case 'text':
      return plain(
        createText(id, {
          id: uniqueName('entry', idsOf(site)),
          text: 'Open every day, 9 to 17',
          target: NO_TARGET,
          icon: null,
        }),
      );
    case 'image':
      return plain(createImage(id));
    case 'rule':
      return plain(createRule(id));
    case 'opener':
      return plain(createOpener(id, 'Menu', site.pieces.find((piece) => piece.kind === 'panel')?.id ?? ''));
    case 'shortcut': {
      const icon = await libraryIcon(site, 'user');
      return {
        part: createShortcut(id, 'Account', icon?.id ?? null),
        icons: icon && !findIcon(site, icon.id) ? [icon] : [],
      };
    }
  }
}
