import { countItems, idsOf, slugify, uniqueName, uniqueTitle, type Menu, type Site } from '@hamaca/core';
import { Tabs } from 'radix-ui';
import { useRef } from 'react';
import { Button } from '../../../ui/button.tsx';
import { DraftMark } from '../../../ui/draft-mark.tsx';
import { linksStore, useLinks } from '../../../store/links-store.ts';
import { useEdit } from '../../../store/open-site.tsx';
import { useDropOnMenu } from './use-outline-drag.ts';

/** Shows another menu; nothing in it is selected yet. */
export function goToMenu(menu: string): void {
  linksStore.setState({ menu, caret: null, selected: new Set(), anchor: null, open: null });
}

function MenuTab({ menu, current }: { readonly menu: Menu; readonly current: boolean }) {
  const tab = useRef<HTMLButtonElement>(null);
  useDropOnMenu(menu.id, tab);
  const isOver = useLinks(
    ({ drag }) => drag?.drop != null && 'menu' in drag.drop && drag.drop.menu === menu.id,
  );
  return (
    <Tabs.Trigger
      ref={tab}
      value={menu.id}
      className={`h-8 border-b-[3px] pt-[3px] ${current ? 'border-ink font-semibold' : 'border-transparent text-ink-soft hover:border-twine'} ${isOver ? 'bg-ochre-wash' : ''}`}
    >
      {menu.name}
      {menu.draft === true && <DraftMark />}{' '}
      <span className="font-normal text-ink-faint tabular">{countItems(menu.items)}</span>
    </Tabs.Trigger>
  );
}

/** The menus by name, to go from one to the other; links can be dropped on them. */
export function MenuTabs({ site, current }: { readonly site: Site; readonly current: string | null }) {
  const edit = useEdit();
  const add = () => {
    const name = uniqueTitle('New menu', new Set(site.menus.map((menu) => menu.name)));
    const id = uniqueName(`menu-${slugify(name, 'menu')}`, idsOf(site));
    if (edit({ name: 'add-menu', args: { id, name, items: [] } }, 'Add a menu')) {
      goToMenu(id);
      linksStore.setState({ named: id });
    }
  };
  return (
    <div className="flex flex-wrap items-end gap-x-4 border-b border-twine text-bench">
      <Tabs.List aria-label="Menus" className="flex flex-wrap items-end gap-x-4">
        {site.menus.map((menu) => (
          <MenuTab key={menu.id} menu={menu} current={menu.id === current} />
        ))}
      </Tabs.List>
      <Button tone="quiet" className="mb-0.5" onClick={add}>
        + menu
      </Button>
    </div>
  );
}
