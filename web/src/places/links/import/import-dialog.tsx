import {
  buildMenu,
  countItems,
  LINK_FORMATS,
  mergeItems,
  uniqueName,
  adoptItems,
  idsOf,
  slugify,
  type LinkFormatName,
  type Menu,
  type Site,
} from '@hamaca/core';
import { useMemo, useRef, useState } from 'react';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { SheetDialog } from '../../../ui/sheet-dialog.tsx';
import { FoundMenus, Understood } from '../../../ui/understood.tsx';
import { fetchAddressBytes } from '../../../store/fetching.ts';
import { useEdit } from '../../../store/open-site.tsx';
import { useReadLinks } from '../../../workers/use-read-links.ts';
import { linksStore } from '../../../store/links-store.ts';

type Mode = 'merge' | 'replace' | 'new';

const AUTO = 'auto';
const FORMAT_OPTIONS = [
  { value: AUTO, label: 'found out by looking' },
  ...Object.entries(LINK_FORMATS)
    .filter(([name]) => name !== 'markdown')
    .map(([value, { label }]) => ({ value, label: value === 'outline' ? 'Outline or Markdown' : label })),
];

/** What would become of a menu, in words. */
function effect(
  site: Site,
  menu: Menu | null,
  mode: Mode,
  built: ReturnType<typeof buildMenu>,
  count: number,
): string {
  if (count === 0) return '';
  if (mode === 'new' || !menu) return `A new menu with ${count} links.`;
  const existing = site.menus.find((entry) => entry.id === menu.id)?.items ?? [];
  if (mode === 'replace')
    return `The ${countItems(existing)} links of ${menu.name} give way to these ${count}.`;
  const merged = mergeItems(existing, adoptItems(site, built.items, built.pages).items);
  return `${merged.added} links are new; ${merged.matched} are there already and stay as they are.`;
}

/** Links from text, a file or an address, looked at before anything is changed. */
export function ImportDialog({
  site,
  menu,
  onClose,
}: {
  readonly site: Site;
  readonly menu: Menu | null;
  readonly onClose: () => void;
}) {
  const edit = useEdit();
  const file = useRef<HTMLInputElement>(null);
  const [text, setText] = useState('');
  const [bytes, setBytes] = useState<{ name: string; content: Uint8Array } | null>(null);
  const [address, setAddress] = useState('');
  const [fetching, setFetching] = useState<AbortController | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const [format, setFormat] = useState<string>(AUTO);
  const [mode, setMode] = useState<Mode>(menu ? 'merge' : 'new');
  const [chosen, setChosen] = useState<number | null>(null);
  const read = useReadLinks(
    format === AUTO ? null : (format as LinkFormatName),
    bytes?.content ?? text,
    bytes?.name ?? '',
  );
  const found = chosen === null ? undefined : read.menus[chosen];
  const links = found?.links ?? read.links;
  const built = useMemo(() => buildMenu(links, site.url), [links, site.url]);
  const words = useMemo(
    () => effect(site, menu, mode, built, links.length),
    [site, menu, mode, built, links.length],
  );

  const take = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > 32 * 1024 * 1024) {
      setFailure(`${file.name} is larger than 32 MB, which is more than is read.`);
      return;
    }
    setChosen(null);
    setFailure(null);
    setBytes({ name: file.name, content: new Uint8Array(await file.arrayBuffer()) });
  };
  const fetchIt = async () => {
    const stop = new AbortController();
    setFetching(stop);
    setFailure(null);
    try {
      const fetched = await fetchAddressBytes(address.trim(), stop.signal);
      setChosen(null);
      setBytes({ name: fetched.url, content: fetched.bytes });
    } catch (error) {
      if (!stop.signal.aborted) setFailure((error as Error).message);
    } finally {
      setFetching(null);
    }
  };
  const apply = () => {
    const incoming = { items: built.items, pages: built.pages };
    const name = found?.name || bytes?.name.replace(/^.*\//, '').replace(/\.\w+$/, '') || 'Imported';
    const id = uniqueName(`menu-${slugify(name, 'imported')}`, idsOf(site));
    const made =
      mode === 'new' || !menu
        ? edit({ name: 'add-menu', args: { id, name, ...incoming } }, 'Import a menu')
        : edit(
            { name: 'import-items', args: { menu: menu.id, mode, ...incoming } },
            mode === 'merge' ? 'Merge imported links' : 'Replace links by imported ones',
          );
    if (!made) return;
    if (mode === 'new' || !menu) linksStore.setState({ menu: id });
    onClose();
  };
  return (
    <SheetDialog title="Import links" onClose={onClose} wide>
      <div className="flex h-[min(68vh,620px)] flex-col gap-3 p-4 text-bench">
        <div className="flex flex-wrap items-center gap-2">
          <Button
            onClick={() => {
              file.current?.click();
            }}
          >
            Choose a file…
          </Button>
          <input
            ref={file}
            type="file"
            aria-label="File of links"
            accept=".txt,.md,.html,.htm,.opml,.xml,.csv,.tsv,.gz"
            className="sr-only"
            tabIndex={-1}
            onChange={(event) => {
              void take(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
          <form
            className="flex items-center gap-1"
            onSubmit={(event) => {
              event.preventDefault();
              if (fetching) fetching.abort();
              else void fetchIt();
            }}
          >
            <input
              className="field w-64"
              aria-label="Address of a page"
              placeholder="or a page’s address: https://…"
              value={address}
              onChange={(event) => {
                setAddress(event.target.value);
              }}
            />
            <Button type="submit" disabled={address.trim() === ''}>
              {fetching ? 'Stop' : 'Fetch'}
            </Button>
          </form>
          <span className="ml-auto flex items-center gap-2 text-ink-faint">
            Format{' '}
            <Choice
              label="Format"
              value={format}
              options={FORMAT_OPTIONS}
              onChange={(value) => {
                setFormat(value);
                setChosen(null);
              }}
            />
          </span>
        </div>
        {failure !== null && (
          <p role="alert" className="border-l-[3px] border-brick bg-brick-wash px-3 py-1">
            {failure}
          </p>
        )}
        <div className="grid min-h-0 grow grid-cols-2 gap-3">
          {bytes ? (
            <div className="flex flex-col items-start gap-2 border border-twine bg-white p-3">
              <b className="font-semibold break-all">{bytes.name}</b>
              <span className="text-ink-faint tabular">
                {Math.ceil(bytes.content.length / 1024)} kB, read as {LINK_FORMATS[read.format].label}
              </span>
              <Button
                onClick={() => {
                  setBytes(null);
                  setChosen(null);
                }}
              >
                Paste text instead
              </Button>
            </div>
          ) : (
            <textarea
              aria-label="Links as text"
              autoFocus
              value={text}
              spellCheck={false}
              placeholder={
                'Paste an outline, a Markdown list, the markup of a page, OPML, CSV or a sitemap.\n\nVisit /visit/\n  Opening hours /visit/opening-hours/\nContact mailto:hello@marisma.example'
              }
              onChange={(event) => {
                setText(event.target.value);
                setChosen(null);
              }}
              className="resize-none rounded-[3px] border border-twine bg-white p-3 font-mono text-[13px] leading-5 placeholder:text-ink-faint/70"
            />
          )}
          <Understood
            links={links}
            notes={[...(found?.notes ?? read.notes), ...built.notes]}
            busy={read.busy}
          >
            {read.menus.length > 1 && (
              <FoundMenus
                menus={read.menus}
                chosen={chosen ?? read.menus.findIndex((entry) => entry.main)}
                onChoose={setChosen}
              />
            )}
          </Understood>
        </div>
        <div className="flex items-center gap-2">
          {menu && (
            <Button
              pressed={mode === 'merge'}
              onClick={() => {
                setMode('merge');
              }}
            >
              Merge into {menu.name}
            </Button>
          )}
          {menu && (
            <Button
              pressed={mode === 'replace'}
              onClick={() => {
                setMode('replace');
              }}
            >
              Replace {menu.name}
            </Button>
          )}
          <Button
            pressed={mode === 'new'}
            onClick={() => {
              setMode('new');
            }}
          >
            As a new menu
          </Button>
          <span role="status" className="min-w-0 truncate text-ink-faint">
            {words}
          </span>
          <span className="ml-auto" />
          <Button onClick={onClose}>Leave it</Button>
          <Button tone="strong" disabled={links.length === 0 || read.busy} onClick={apply}>
            Import {links.length} {links.length === 1 ? 'link' : 'links'}
          </Button>
        </div>
      </div>
    </SheetDialog>
  );
}
