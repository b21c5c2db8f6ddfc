import { findIcon, inStyle, walkMenu, type Edit, type Menu, type MenuItem, type Site } from '@hamaca/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useMemo, useState } from 'react';
import { loadDrawings } from '../../../media/icon-library.ts';
import { rememberIcon } from '../../../media/recent-icons.ts';
import { asSiteIcon } from '../../../media/site-icon.ts';
import { notify } from '../../../store/notices.ts';
import { useSiteStore } from '../../../store/open-site.tsx';
import { Button } from '../../../ui/button.tsx';
import { SheetDialog } from '../../../ui/sheet-dialog.tsx';
import { iconsForLabels, searchIcons } from '../../../workers/run-find-icons.ts';
import { IconLine, type Match } from './icon-line.tsx';

const LINE = 36;

interface Line {
  readonly item: MenuItem;
  readonly depth: number;
}

/** Sets icons of the library on several links as one step. */
function iconsEdit(site: Site, wanted: readonly (readonly [item: string, match: Match])[]): Edit {
  return {
    name: 'several',
    args: {
      edits: wanted.map(([id, { name, body }]) => {
        const icon = asSiteIcon(site, name, body);
        return { name: 'set-item', args: { id, fields: { icon: icon.id }, icons: [icon] } } as const;
      }),
    },
  };
}

/** The links of a menu, each with its icon in a field: filled by typing, or all at once. */
export function IconsDialog({
  site,
  menu,
  onClose,
}: {
  readonly site: Site;
  readonly menu: Menu;
  readonly onClose: () => void;
}) {
  const store = useSiteStore();
  // The dialog's content comes a moment after it: the lines wait for what they scroll in.
  const [scroller, setScroller] = useState<HTMLDivElement | null>(null);
  const lines = useMemo(() => {
    const found: Line[] = [];
    walkMenu(menu, '', ({ item, depth }) => {
      if (item.role !== 'divider') found.push({ item, depth });
    });
    return found;
  }, [menu]);
  const rows = useVirtualizer({
    count: lines.length,
    getScrollElement: () => scroller,
    estimateSize: () => LINE,
    overscan: 6,
  });

  const focus = (index: number) => {
    if (index < 0 || index >= lines.length) return;
    rows.scrollToIndex(index);
    // The line may come into being only now.
    requestAnimationFrame(() => {
      scroller?.querySelector<HTMLInputElement>(`[data-index="${index}"] input`)?.focus();
    });
  };
  const take = ({ item }: Line, match: Match | null) => {
    if (match) {
      rememberIcon(match.name);
      store.edit(iconsEdit(site, [[item.id, match]]), `Icon of “${item.label}”`);
    } else
      store.edit(
        { name: 'set-item', args: { id: item.id, fields: { icon: null } } },
        `Icon of “${item.label}”`,
      );
  };
  /** Draws links with the named icons of the library, all as one step. */
  const setAll = async (names: readonly (readonly [item: string, name: string])[], label: string) => {
    const drawings = await loadDrawings([...new Set(names.map(([, name]) => name))]);
    const wanted = names.flatMap(([item, name]) => {
      const body = drawings.get(name);
      return body === undefined ? [] : [[item, { name, body }] as const];
    });
    if (wanted.length > 0) store.edit(iconsEdit(site, wanted), label);
    notify({
      tone: 'info',
      text:
        wanted.length === 0
          ? 'No icon was changed.'
          : `${wanted.length} ${wanted.length === 1 ? 'link has' : 'links have'} a new icon.`,
      ...(wanted.length > 0
        ? {
            action: {
              label: 'Undo',
              run: () => {
                store.undo();
              },
            },
          }
        : {}),
    });
  };
  const attempt = (run: () => Promise<void>) => () => {
    run().catch(() => {
      notify({ tone: 'error', text: 'The icon library could not be reached; nothing was changed.' });
    });
  };
  const fill = async () => {
    const bare = lines.filter(({ item }) => item.icon === undefined && item.label !== '');
    const found = await iconsForLabels(bare.map(({ item }) => item.label));
    await setAll(
      bare.flatMap(({ item }, index) => {
        const name = found[index];
        return name == null ? [] : [[item.id, name] as const];
      }),
      `Icons of ${menu.name}, by their labels`,
    );
  };
  const restyle = async (style: 'outlined' | 'filled') => {
    const names = new Set(await searchIcons('', Infinity));
    await setAll(
      lines.flatMap(({ item }) => {
        const icon = item.icon === undefined ? null : findIcon(site, item.icon);
        const name = icon?.set ? inStyle(names, icon.name, style) : null;
        return name === null || name === icon?.name ? [] : [[item.id, name] as const];
      }),
      `Icons of ${menu.name}, ${style}`,
    );
  };
  const clear = () => {
    store.edit(
      {
        name: 'several',
        args: {
          edits: lines
            .filter(({ item }) => item.icon !== undefined)
            .map(({ item }) => ({ name: 'set-item', args: { id: item.id, fields: { icon: null } } })),
        },
      },
      `Icons of ${menu.name} taken away`,
    );
  };
  const count = lines.filter(({ item }) => item.icon !== undefined).length;
  return (
    <SheetDialog title={`Icons of ${menu.name}`} wide onClose={onClose}>
      <div className="flex flex-wrap items-center gap-2 border-b border-twine px-3 py-2 text-bench">
        <Button onClick={attempt(fill)} disabled={count === lines.length}>
          Find icons by their labels
        </Button>
        <Button
          onClick={attempt(() => restyle('outlined'))}
          disabled={count === 0}
          title="Wherever the library has the drawing so"
        >
          All outlined
        </Button>
        <Button
          onClick={attempt(() => restyle('filled'))}
          disabled={count === 0}
          title="Wherever the library has the drawing so"
        >
          All filled
        </Button>
        <Button onClick={clear} disabled={count === 0}>
          Take all away
        </Button>
        <span className="ml-auto text-ink-soft tabular">
          {count} of {lines.length} links have one
        </span>
      </div>
      <div ref={setScroller} className="h-[56vh] overflow-auto bg-white text-bench">
        <div className="relative" style={{ height: rows.getTotalSize() }}>
          {rows.getVirtualItems().map(({ index, start }) => {
            const line = lines[index];
            if (!line) return null;
            return (
              <div
                key={line.item.id}
                data-index={index}
                className="absolute inset-x-0"
                style={{ top: start }}
              >
                <IconLine
                  site={site}
                  {...line}
                  onTake={(match) => {
                    take(line, match);
                  }}
                  onMove={(by) => {
                    focus(index + by);
                  }}
                />
              </div>
            );
          })}
        </div>
      </div>
      <p className="border-t border-twine px-3 py-1.5 text-small text-ink-faint">
        Type a word; ← and → choose among what it finds, Enter takes it and goes on. An empty field and Enter
        take the icon away.
      </p>
    </SheetDialog>
  );
}
