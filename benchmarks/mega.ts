import { loadSite, type Site } from '@hamaca/core';

/** Links in the menu that lies across the row: branches of so many columns. */
const BRANCHES = 6;
const EACH = 24;

export const MEGA_LINKS = BRANCHES * (EACH + 1);

/** A site whose first link opens 150 links across the row, each branch a column. */
export function megaSite(site: Site): Site {
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- a raw document is changed
  const raw = structuredClone(site) as any;
  const [menu] = raw.menus;
  const [first] = menu.items;
  const link = (id: string, children: readonly object[] = []) => ({
    id,
    label: `Marsh ${id.replaceAll('-', ' ')}`,
    target: { kind: 'url', url: `/${id}/` },
    children,
  });
  first.children = Array.from({ length: BRANCHES }, (_, branch) =>
    link(
      `branch-${branch}`,
      Array.from({ length: EACH }, (_, index) => link(`branch-${branch}-${index}`)),
    ),
  );
  for (const part of raw.pieces[0].rows.flatMap((row: { zones: object }) => Object.values(row.zones).flat()))
    if (part.kind === 'menu' && part.menu === menu.id) {
      part.levels = 'all';
      part.look.submenu = {
        ...part.look.submenu,
        [`@${first.id}`]: { rest: { all: { opens: 'across', columns: 0, gap: 16, paddingInline: 24 } } },
      };
    }
  const loaded = loadSite(raw);
  if (!loaded.ok) throw new Error(loaded.error[0]?.message);
  return loaded.value;
}
