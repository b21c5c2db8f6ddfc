import { ownersOf, type Finding } from '@hamaca/core';
import { Tabs } from 'radix-ui';
import { useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useCommandActions } from '../../app/commands/use-commands.tsx';
import { Button } from '../../ui/button.tsx';
import { useRoom } from '../../ui/use-room.ts';
import { useFonts } from '../../media/fonts.ts';
import { useSite, useSiteState, useSiteStore } from '../../store/open-site.tsx';
import { Stage } from '../../stage/stage.tsx';
import { firstPiece, useStagePage } from '../../stage/output.ts';
import { IconsDialog } from './icons/icons-dialog.tsx';
import { notify } from '../../store/notices.ts';
import { selectLinks } from '../../store/bench-store.ts';
import { wayToLooks } from './outline/way-to-looks.ts';
import { ImportDialog } from './import/import-dialog.tsx';
import { enterSite, linksStore, useLinks } from '../../store/links-store.ts';
import { goToMenu, MenuTabs } from './outline/menu-tabs.tsx';
import { MenuLine } from './outline/menu-line.tsx';
import { createOutlineActions } from './outline/outline-actions.ts';
import { findingsByItem, Outline } from './outline/outline.tsx';
import { PagesPane } from './pages/pages-pane.tsx';
import { ProblemsPane } from './problems/problems-pane.tsx';
import { useFindings } from '../../findings/use-findings.ts';
import { useOutlineDrag } from './outline/use-outline-drag.ts';

const NO_FINDINGS: readonly Finding[] = [];

const PREVIEW = { width: 1240, height: 300 } as const;

/** The header these links make, drawn live. */
function Preview() {
  const site = useSite();
  // The outline comes first: the picture of it may be a moment behind.
  const shown = useDeferredValue(site);
  const fonts = useFonts(site);
  const page = useStagePage(shown, firstPiece(shown), fonts);
  const scene = shown.scenes[0];
  const { ref, room } = useRoom();
  const scale = Math.min(1, room.width / PREVIEW.width);
  return (
    <div
      ref={ref}
      className="flex h-[104px] shrink-0 justify-center overflow-hidden border-b border-twine bg-surround"
    >
      {page && scene && ownersOf(shown).size > 0 && (
        <Stage
          site={shown}
          page={page}
          scene={scene}
          label="The header with these links"
          scale={scale}
          {...PREVIEW}
        />
      )}
    </div>
  );
}

/** The menus as outlines, with the site's pages and what is wrong beside them. */
export function LinksPlace() {
  const site = useSite();
  const store = useSiteStore();
  const siteId = useSiteState((state) => state.id);
  const chosen = useLinks((state) => state.menu);
  const pane = useLinks((state) => state.pane);
  const fetched = useLinks((state) => state.fetched);
  const selectedCount = useLinks((state) => state.selected.size);
  const navigate = useNavigate();
  const [importing, setImporting] = useState(false);
  const [dressing, setDressing] = useState(false);
  const menu = site.menus.find((entry) => entry.id === chosen) ?? site.menus[0] ?? null;
  const menuId = menu?.id ?? null;
  const actions = useMemo(
    () => (menuId === null ? null : createOutlineActions(store, menuId)),
    [store, menuId],
  );
  const checked = useDeferredValue(site);
  const findings = useFindings(checked, fetched) ?? NO_FINDINGS;
  const byItem = useMemo(() => findingsByItem(findings), [findings]);
  const own = useMemo(() => findings.filter((finding) => finding.menu === menuId), [findings, menuId]);
  useEffect(() => {
    enterSite(siteId);
  }, [siteId]);
  useOutlineDrag();
  const styleTaken = useCallback(() => {
    const current = store.getState().site;
    const { caret, selected } = linksStore.getState();
    const taken = selected.size > 0 ? [...selected] : caret === null ? [] : [caret];
    const way = current ? wayToLooks(current, taken) : null;
    if (!way) {
      notify({
        tone: 'info',
        text: 'These links are placed nowhere yet, so there is nothing to see of them.',
      });
      return;
    }
    selectLinks(way.owner, way.slot, way.items);
    void navigate(`/sites/${siteId}/bench/${way.piece}`);
  }, [store, navigate, siteId]);
  useCommandActions(
    useMemo(
      () => ({
        'links-import': () => {
          setImporting(true);
        },
        'links-icons': () => {
          setDressing(true);
        },
        ...(actions
          ? {
              'links-duplicate': actions.duplicate,
              'links-remove': actions.remove,
              'links-details': actions.toggleDetails,
              'links-style': styleTaken,
              'links-nest': () => {
                actions.step('in', 'label');
              },
              'links-unnest': () => {
                actions.step('out', 'label');
              },
              'links-fold': () => {
                const { caret } = linksStore.getState();
                if (caret !== null) actions.toggleFold(caret);
              },
              'links-fold-all': () => {
                actions.foldAll(true);
              },
              'links-unfold-all': () => {
                actions.foldAll(false);
              },
            }
          : {}),
      }),
      [actions, styleTaken],
    ),
  );

  return (
    <main className="flex h-full min-h-0 flex-col">
      <h1 className="sr-only">Links of {site.name}</h1>
      <Preview />
      <div className="grid min-h-0 w-full grow grid-cols-[minmax(0,62fr)_minmax(320px,38fr)] gap-5 px-5 pt-1 pb-3">
        <Tabs.Root value={menuId ?? ''} onValueChange={goToMenu} className="flex min-h-0 flex-col">
          <MenuTabs site={site} current={menuId} />
          {menu && actions ? (
            <Tabs.Content value={menu.id} tabIndex={-1} className="flex min-h-0 grow flex-col">
              <MenuLine site={site} menu={menu} />
              <Outline key={menu.id} site={site} menu={menu} actions={actions} findings={byItem} />
              <div className="flex items-center gap-2 pt-2 text-small text-ink-faint">
                <Button onClick={actions.addAtEnd}>Add a link</Button>
                {selectedCount > 1 ? (
                  <span className="text-ink tabular">
                    {selectedCount} lines taken: Tab nests, Alt ↑↓ moves, Delete removes, Ctrl+C copies them,
                    Alt+L styles them
                  </span>
                ) : (
                  <span>
                    Enter adds · Tab nests · Alt ↑↓ moves · Shift ↑↓ takes lines · → to the target · Alt+Enter
                    for the rest
                  </span>
                )}
              </div>
            </Tabs.Content>
          ) : (
            <div className="p-6 text-bench text-ink-soft">
              <p className="mb-3">
                This site has no menu yet. Start one and type its links, or bring links from a list, a page or
                a sitemap.
              </p>
              <Button
                onClick={() => {
                  setImporting(true);
                }}
              >
                Import links…
              </Button>
            </div>
          )}
        </Tabs.Root>
        <Tabs.Root
          value={pane}
          onValueChange={(shown) => {
            linksStore.setState({ pane: shown as typeof pane });
          }}
          className="flex min-h-0 flex-col"
        >
          <Tabs.List
            aria-label="Beside the outline"
            className="mb-2 flex items-end gap-4 border-b border-twine text-bench"
          >
            {(
              [
                ['pages', 'Pages', site.pages.length],
                ['problems', 'Problems', own.length],
              ] as const
            ).map(([id, label, count]) => (
              <Tabs.Trigger
                key={id}
                value={id}
                className={`h-8 border-b-[3px] pt-[3px] ${pane === id ? 'border-ink font-semibold' : 'border-transparent text-ink-soft hover:border-twine'}`}
              >
                {label} <span className="font-normal text-ink-faint tabular">{count}</span>
              </Tabs.Trigger>
            ))}
          </Tabs.List>
          <Tabs.Content value={pane} tabIndex={-1} className="flex min-h-0 grow flex-col">
            {pane === 'pages' ? (
              <PagesPane site={site} actions={actions} />
            ) : (
              <ProblemsPane site={site} findings={own} />
            )}
          </Tabs.Content>
        </Tabs.Root>
      </div>
      {dressing && menu && (
        <IconsDialog
          site={site}
          menu={menu}
          onClose={() => {
            setDressing(false);
          }}
        />
      )}
      {importing && (
        <ImportDialog
          site={site}
          menu={menu}
          onClose={() => {
            setImporting(false);
          }}
        />
      )}
    </main>
  );
}
