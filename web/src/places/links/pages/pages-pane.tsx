import {
  idsOf,
  PAGE_PATH,
  pagesByPath,
  slugify,
  unreachedPages,
  uniqueName,
  type Page,
  type Site,
} from '@hamaca/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { Button } from '../../../ui/button.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { useEdit } from '../../../store/open-site.tsx';
import type { OutlineActions } from '../outline/outline-actions.ts';
import {
  doubtfulPages,
  pageRows,
  parseSections,
  rowLinks,
  type PageRow,
  type PageView,
  takenOver,
} from './page-rows.ts';
import { PagesDialog } from './pages-dialog.tsx';
import { lineId, PageLine, ROW } from './page-line.tsx';

const VIEWS: readonly (readonly [PageView, string])[] = [
  ['all', 'all'],
  ['unreached', 'in no menu'],
  ['unlisted', 'only in links'],
];

/** Path, title and sections of one page, to be changed. */
function PageStrip({ site, page }: { readonly site: Site; readonly page: Page }) {
  const edit = useEdit();
  const set = (fields: Partial<Omit<Page, 'id'>>, label: string) => {
    edit({ name: 'set-page', args: { id: page.id, fields } }, label);
    return null;
  };
  const setPath = (text: string) => {
    const path = text.trim();
    if (!PAGE_PATH.test(path)) return 'A path starts with / and has no spaces.';
    const holder = pagesByPath(site).get(path);
    return holder && holder.id !== page.id
      ? `“${holder.title}” has this path already.`
      : set({ path }, 'Path of a page');
  };
  const setSections = (text: string) => {
    const sections = parseSections(text, page.sections);
    return typeof sections === 'string' ? sections : set({ sections }, 'Sections of a page');
  };
  const label = 'w-16 shrink-0 text-right text-small text-ink-faint';
  return (
    <div className="grid gap-1.5 border-t border-twine bg-cotton p-2 text-bench" key={page.id}>
      <label className="flex items-center gap-2">
        <span className={label}>path</span>
        <TextField aria-label="Path" className="w-full tabular" value={page.path} onCommit={setPath} />
      </label>
      <label className="flex items-center gap-2">
        <span className={label}>title</span>
        <TextField
          aria-label="Title"
          className="w-full"
          value={page.title}
          onCommit={(title) => set({ title: title.trim() }, 'Title of a page')}
        />
      </label>
      <label className="flex items-center gap-2">
        <span className={label}>sections</span>
        <TextField
          aria-label="Sections"
          className="w-full"
          placeholder="id Title, id Title"
          value={page.sections
            .map((section) => `${section.id}${section.title ? ` ${section.title.replaceAll(',', '')}` : ''}`)
            .join(', ')}
          onCommit={setSections}
        />
      </label>
      {!page.listed && (
        <span className="flex items-center gap-2 pl-18 text-small text-ink-soft">
          Only a link names this page.{' '}
          <Button
            className="!h-6"
            onClick={() => {
              set({ listed: true }, 'List a page');
            }}
          >
            It is there: list it
          </Button>
        </span>
      )}
    </div>
  );
}

/** The site's inventory of pages and sections, beside the outline they are put into. */
export function PagesPane({
  site,
  actions,
}: {
  readonly site: Site;
  readonly actions: OutlineActions | null;
}) {
  const edit = useEdit();
  const scroller = useRef<HTMLDivElement>(null);
  const [view, setView] = useState<PageView>('all');
  const [filter, setFilter] = useState('');
  const [opened, setOpened] = useState<ReadonlySet<string>>(new Set());
  const [selected, setSelected] = useState<ReadonlySet<string>>(new Set());
  const [anchor, setAnchor] = useState<string | null>(null);
  const [filling, setFilling] = useState(false);
  const rows = useMemo(() => pageRows(site, view, filter, opened), [site, view, filter, opened]);
  const counts = useMemo(
    () => ({
      all: site.pages.length,
      unreached: unreachedPages(site).size,
      unlisted: doubtfulPages(site).length,
    }),
    [site],
  );
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 10,
    getItemKey: (index) => rows[index]?.key ?? index,
  });
  const chosen = rows.filter((row) => selected.has(row.key));
  const [single] = chosen;
  const active = chosen.at(-1)?.key ?? null;

  const insert = (picked: readonly PageRow[]) => {
    if (picked.length > 0)
      actions?.insert(
        { items: rowLinks(picked) },
        picked.length === 1 ? 'Add a page' : `Add ${picked.length} pages`,
      );
  };
  const choose = (row: PageRow, { shift, toggle }: { shift: boolean; toggle: boolean }) => {
    if (shift && anchor !== null) {
      const [from, to] = [
        rows.findIndex((entry) => entry.key === anchor),
        rows.findIndex((entry) => entry.key === row.key),
      ];
      setSelected(new Set(rows.slice(Math.min(from, to), Math.max(from, to) + 1).map((entry) => entry.key)));
      return;
    }
    const next = new Set(toggle ? selected : []);
    if (!next.delete(row.key)) next.add(row.key);
    setSelected(next);
    setAnchor(row.key);
  };
  const move = (event: KeyboardEvent) => {
    const at = rows.findIndex((row) => row.key === (event.shiftKey ? [...selected].at(-1) : anchor));
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (step !== 0) {
      event.preventDefault();
      const index = Math.max(0, Math.min(rows.length - 1, at + step));
      const row = rows[index];
      if (!row) return;
      if (event.shiftKey) setSelected(new Set([...selected, row.key]));
      else {
        setSelected(new Set([row.key]));
        setAnchor(row.key);
      }
      virtual.scrollToIndex(index);
    } else if (event.key === 'Enter') {
      event.preventDefault();
      insert(chosen);
    } else if (event.key === 'Delete') {
      event.preventDefault();
      remove();
    } else if (event.key === 'a' && (event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      setSelected(new Set(rows.map((row) => row.key)));
    } else if ((event.key === 'ArrowRight' || event.key === 'ArrowLeft') && single) {
      event.preventDefault();
      toggleSections(single.page.id, event.key === 'ArrowRight');
    }
  };
  const toggleSections = (id: string, open: boolean) => {
    setOpened((before) => {
      const next = new Set(before);
      if (open) next.add(id);
      else next.delete(id);
      return next;
    });
  };
  const remove = () => {
    const ids = chosen.filter((row) => row.section === null).map((row) => row.page.id);
    if (
      ids.length > 0 &&
      edit(
        { name: 'remove-pages', args: { ids } },
        ids.length === 1 ? 'Remove a page' : `Remove ${ids.length} pages`,
      )
    )
      setSelected(new Set());
  };
  const addByHand = () => {
    let path = '/new-page/';
    for (let count = 2; pagesByPath(site).has(path); count++) path = `/new-page-${count}/`;
    const id = uniqueName(`page-${slugify(path, 'new')}`, idsOf(site));
    setView('all');
    setFilter('');
    if (
      edit(
        {
          name: 'add-pages',
          args: { pages: [...takenOver(site), { id, path, title: 'New page', sections: [], listed: true }] },
        },
        'Add a page',
      )
    ) {
      setSelected(new Set([id]));
      setAnchor(id);
    }
  };

  return (
    <section aria-label="Pages of the site" className="flex min-h-0 grow flex-col">
      <div className="flex flex-wrap items-center gap-1 pb-2 text-bench">
        <input
          className="field w-36 grow"
          aria-label="Find a page"
          placeholder="path or title"
          value={filter}
          onChange={(event) => {
            setFilter(event.target.value);
          }}
        />
        {VIEWS.filter(([id]) => id !== 'unlisted' || counts.unlisted > 0 || view === id).map(
          ([id, words]) => (
            <Button
              key={id}
              className="!h-6 !px-1.5"
              pressed={view === id}
              onClick={() => {
                setView(id);
              }}
            >
              {words} <span className="text-ink-faint tabular">{counts[id]}</span>
            </Button>
          ),
        )}
      </div>
      <div
        ref={scroller}
        role="grid"
        aria-label="Pages"
        aria-multiselectable="true"
        tabIndex={0}
        aria-activedescendant={
          active !== null && rows.some((row) => row.key === active) ? lineId(active) : undefined
        }
        onKeyDown={move}
        className="min-h-0 grow overflow-auto border border-twine bg-white text-bench"
      >
        {rows.length === 0 && (
          <p className="p-4 text-ink-soft">
            {site.pages.length === 0
              ? 'No pages are known yet. Fill the inventory from a sitemap, from HTML files or by hand; then targets can be found by title, and links to pages that are not there are told.'
              : view === 'unreached'
                ? 'Every page is in a menu.'
                : 'No page is like that.'}
          </p>
        )}
        <div style={{ height: virtual.getTotalSize(), position: 'relative' }}>
          {virtual.getVirtualItems().map(({ index, start }) => {
            const row = rows[index];
            if (!row) return null;
            const { page } = row;
            return (
              <PageLine
                key={row.key}
                row={row}
                start={start}
                isOpen={opened.has(page.id)}
                isSelected={selected.has(row.key)}
                dragged={() =>
                  (selected.has(row.key) ? chosen : [row])
                    .filter((entry) => entry.section === null)
                    .map((entry) => entry.page.id)
                }
                onChoose={(how) => {
                  choose(row, how);
                }}
                onInsert={() => {
                  insert([row]);
                }}
                onToggle={(open) => {
                  toggleSections(page.id, open);
                }}
              />
            );
          })}
        </div>
      </div>
      {single && chosen.length === 1 && <PageStrip key={single.page.id} site={site} page={single.page} />}
      <div className="flex flex-wrap items-center gap-1 pt-2">
        <Button
          disabled={chosen.length === 0 || !actions}
          onClick={() => {
            insert(chosen);
          }}
          title="Enter, or drag the lines into the outline"
        >
          Put {chosen.length > 1 ? chosen.length : ''} at the caret
        </Button>
        <Button disabled={!chosen.some((row) => row.section === null)} onClick={remove}>
          Remove
        </Button>
        <span className="ml-auto" />
        <Button onClick={addByHand}>Add a page</Button>
        <Button
          title="From a sitemap, from files or from an address"
          onClick={() => {
            setFilling(true);
          }}
        >
          Fill…
        </Button>
      </div>
      {filling && (
        <PagesDialog
          site={site}
          onClose={() => {
            setFilling(false);
          }}
        />
      )}
    </section>
  );
}
