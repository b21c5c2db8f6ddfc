import { findHeader, headerParts, ownersOf, type Site } from '@hamaca/core';
import { useState } from 'react';
import { Stage } from '../../stage/stage.tsx';
import { useStageOutput } from '../../stage/use-compiled.ts';
import { useRoom } from '../../controls/use-room.ts';
import { TextField } from '../../controls/text-field.tsx';
import { useFonts } from '../../state/fonts.ts';
import { useEdit, useSite } from '../../state/open-site.tsx';
import { Outline } from './outline.tsx';

const PREVIEW = { width: 1240, height: 300 } as const;

function countLinks(items: Site['menus'][number]['items']): number {
  return items.reduce((sum, item) => sum + 1 + countLinks(item.children), 0);
}

function placementWords(site: Site, menuId: string): string {
  const placements = site.pieces.flatMap((piece) => (piece.kind === 'header' ? headerParts(piece).filter((part) => part.kind === 'menu' && part.menu === menuId).map((part) => `${piece.name}, ${part.kind === 'menu' ? part.levels : 0} levels`) : []));
  return placements.length === 0 ? 'not placed anywhere' : `placed in: ${placements.join('; ')}`;
}

/** The menus as outlines, with the header they make drawn live above. */
export function LinksPlace() {
  const site = useSite();
  const edit = useEdit();
  const fonts = useFonts();
  const [chosen, setChosen] = useState<string | null>(null);
  const menu = site.menus.find((entry) => entry.id === chosen) ?? site.menus[0];
  const header = findHeader(site);
  const output = useStageOutput(site, header, fonts);
  const scene = site.scenes[0];
  const { ref, room } = useRoom();
  const scale = Math.min(1, room.width / PREVIEW.width);
  return (
    <main className="flex h-full min-h-0 flex-col">
      <div ref={ref} className="flex h-[132px] shrink-0 justify-center overflow-hidden border-b border-twine bg-surround">
        {output && scene && ownersOf(site).size > 0 && <Stage site={site} output={output} scene={scene} label="The header with these links" scale={scale} {...PREVIEW} />}
      </div>
      <div className="mx-auto flex min-h-0 w-full max-w-[980px] grow flex-col px-6 py-4">
        {site.menus.length > 1 && (
          <div role="group" aria-label="Menus" className="mb-2 flex gap-1 text-bench">
            {site.menus.map((entry) => <button key={entry.id} type="button" aria-pressed={entry === menu} onClick={() => { setChosen(entry.id); }} className={`h-7 rounded-[3px] px-3 ${entry === menu ? 'bg-ochre-wash font-semibold' : 'hover:bg-linen'}`}>{entry.name}</button>)}
          </div>
        )}
        {menu ? (
          <>
            <div className="mb-2 flex items-center gap-4 text-bench">
              <TextField key={menu.id} aria-label="Name of the menu" className="w-48 font-semibold" value={menu.name}
                onCommit={(name) => (name.trim() === '' ? 'A menu needs a name.' : (edit({ name: 'set-menu-name', args: { id: menu.id, name: name.trim() } }, 'Menu name'), null))} />
              <span className="text-ink-faint tabular">{countLinks(menu.items)} links · {placementWords(site, menu.id)}</span>
              <span className="ml-auto text-small text-ink-faint">Enter adds · Tab nests · Alt ↑↓ moves · → to the target</span>
            </div>
            <Outline key={menu.id} site={site} menu={menu} />
          </>
        ) : <p className="text-ink-soft">This site has no menu.</p>}
      </div>
    </main>
  );
}
