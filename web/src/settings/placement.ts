import { itemsOf, walkMenu, type MenuPart, type ShownLevels, type Site } from '@hamaca/core';

const LEVEL_WORDS: Readonly<Record<string, string>> = {
  1: '1 level',
  2: '2 levels',
  3: '3 levels',
  all: 'all levels',
};

export const levelWords = (levels: ShownLevels) => LEVEL_WORDS[levels] ?? '';

/** What stands for no branch: the whole menu. */
export const WHOLE = '(whole)';
/** Most branches offered: a list to choose from is no outline. */
const MOST = 200;

/** Links of a placement's menu that it could start from: those with something nested. */
export function branchOptions(site: Site, part: Pick<MenuPart, 'menu' | 'branch'>) {
  const options = [{ value: WHOLE, label: 'the whole menu' }];
  const menu = site.menus.find((entry) => entry.id === part.menu);
  if (menu)
    walkMenu(menu, '', ({ item, depth }) => {
      if (item.children.length > 0 && options.length < MOST)
        options.push({
          value: item.id,
          label: `${'· '.repeat(depth - 1)}${item.label || 'without a label'}`,
        });
    });
  if (part.branch !== null && !options.some((option) => option.value === part.branch)) {
    options.push({
      value: part.branch,
      label: itemsOf(site).get(part.branch)?.item.label ?? 'a link that is gone',
    });
  }
  return options;
}
