import { pagesByPath, type Page, type Site } from '@hamaca/core';
import { useMemo, useRef, useState } from 'react';
import { Button } from '../../../ui/button.tsx';
import { SheetDialog } from '../../../ui/sheet-dialog.tsx';
import { Notes } from '../../../ui/understood.tsx';
import { readAddress, readFiles, type FoundPages } from '../../../store/fetching.ts';
import { useEdit } from '../../../store/open-site.tsx';

const MOST_SHOWN = 300;
/** Bytes and files that are read at once. */
const MOST = { bytes: 256 * 1024 * 1024, files: 60_000 } as const;

const isReadable = (name: string) => /\.(?:x?html?|php|xml|txt|zip|gz)$/i.test(name);

/** How many of the found pages are new, and how many say more about one that is known. */
function news(site: Site, pages: readonly Page[]) {
  const known = pagesByPath(site);
  const fresh = pages.filter((page) => !known.has(page.path)).length;
  return { fresh, known: pages.length - fresh };
}

/** The site's pages from an address, from files, a folder or an archive, or from pasted text; looked at before they are taken in. */
export function PagesDialog({ site, onClose }: { readonly site: Site; readonly onClose: () => void }) {
  const edit = useEdit();
  const files = useRef<HTMLInputElement>(null);
  const folder = useRef<HTMLInputElement>(null);
  const [address, setAddress] = useState(
    site.url === '' ? '' : `${site.url.replace(/\/+$/, '')}/sitemap.xml`,
  );
  const [text, setText] = useState('');
  const [progress, setProgress] = useState<string | null>(null);
  const [stop, setStop] = useState<AbortController | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const [found, setFound] = useState<FoundPages | null>(null);
  const counted = useMemo(() => found && news(site, found.pages), [site, found]);

  const run = async (
    read: (signal: AbortSignal, onProgress: (words: string) => void) => Promise<FoundPages>,
  ) => {
    const controller = new AbortController();
    setStop(controller);
    setFailure(null);
    setProgress('starting');
    try {
      setFound(await read(controller.signal, setProgress));
    } catch (error) {
      setFailure(controller.signal.aborted ? 'Stopped; nothing was taken in.' : (error as Error).message);
    } finally {
      setStop(null);
      setProgress(null);
    }
  };
  const takeFiles = (list: FileList | null) => {
    const chosen = [...(list ?? [])].filter((file) => isReadable(file.name));
    if (chosen.length === 0) {
      setFailure('None of these files is a page, a sitemap or an archive.');
      return;
    }
    if (chosen.length > MOST.files || chosen.reduce((sum, file) => sum + file.size, 0) > MOST.bytes) {
      setFailure(`That is more than is read at once: at most ${MOST.files} files and 256 MB.`);
      return;
    }
    void run(async (signal, onProgress) => {
      onProgress(`opening ${chosen.length} files`);
      const read = await Promise.all(
        chosen.map(async (file) => ({
          path: file.webkitRelativePath || file.name,
          bytes: new Uint8Array(await file.arrayBuffer()),
          type: file.type,
        })),
      );
      return readFiles(read, site.url, signal, onProgress);
    });
  };
  const takeText = () => {
    void run((signal, onProgress) =>
      readFiles(
        [{ path: 'pasted.xml', bytes: new TextEncoder().encode(text) }],
        site.url,
        signal,
        onProgress,
      ),
    );
  };
  const apply = () => {
    if (
      found &&
      edit({ name: 'add-pages', args: { pages: found.pages } }, `Take in ${found.pages.length} pages`)
    )
      onClose();
  };
  return (
    <SheetDialog title="Fill the inventory of pages" onClose={onClose} wide>
      <div className="flex h-[min(66vh,580px)] flex-col gap-3 p-4 text-bench">
        <form
          className="flex items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (address.trim() !== '')
              void run((signal, onProgress) => readAddress(address.trim(), site.url, signal, onProgress));
          }}
        >
          <label className="flex grow items-center gap-2">
            <span className="w-24 shrink-0">Address</span>
            <input
              className="field grow tabular"
              aria-label="Address of a sitemap or page"
              placeholder="https://marisma.example/sitemap.xml"
              value={address}
              onChange={(event) => {
                setAddress(event.target.value);
              }}
            />
          </label>
          <Button type="submit" disabled={stop !== null}>
            Fetch
          </Button>
          <Button
            disabled={stop !== null}
            onClick={() => {
              files.current?.click();
            }}
          >
            Files…
          </Button>
          <Button
            disabled={stop !== null}
            onClick={() => {
              folder.current?.click();
            }}
          >
            A folder…
          </Button>
          <input
            ref={files}
            type="file"
            multiple
            aria-label="Sitemaps, pages or archives"
            accept=".xml,.gz,.html,.htm,.xhtml,.zip,.txt"
            className="sr-only"
            tabIndex={-1}
            onChange={(event) => {
              takeFiles(event.target.files);
              event.target.value = '';
            }}
          />
          <input
            ref={folder}
            type="file"
            {...{ webkitdirectory: '' }}
            aria-label="Folder of pages"
            className="sr-only"
            tabIndex={-1}
            onChange={(event) => {
              takeFiles(event.target.files);
              event.target.value = '';
            }}
          />
        </form>
        <div className="flex items-start gap-2">
          <span className="w-24 shrink-0 pt-1">or paste</span>
          <textarea
            aria-label="Sitemap or page as text"
            value={text}
            spellCheck={false}
            placeholder="a sitemap, one address a line, or the markup of a page"
            onChange={(event) => {
              setText(event.target.value);
            }}
            className="h-16 grow resize-none rounded-[3px] border border-twine bg-white p-2 font-mono text-[12.5px] leading-[18px] placeholder:text-ink-faint/70"
          />
          <Button disabled={text.trim() === '' || stop !== null} onClick={takeText}>
            Read
          </Button>
        </div>
        {failure !== null && (
          <p role="alert" className="border-l-[3px] border-brick bg-brick-wash px-3 py-1">
            {failure}
          </p>
        )}
        <section
          aria-label="Pages found"
          aria-busy={stop !== null}
          className="flex min-h-0 grow flex-col border border-twine bg-white"
        >
          <h2 role="status" className="flex items-center border-b border-twine px-3 py-1.5 font-semibold">
            {stop ? (
              <span className="flex grow items-center gap-3">
                {progress}…{' '}
                <Button
                  className="!h-6"
                  onClick={() => {
                    stop.abort();
                  }}
                >
                  Stop
                </Button>
              </span>
            ) : counted ? (
              <span className="tabular">
                {counted.fresh} new pages, {counted.known} known already
                {found && found.notes.length > 0 ? `, ${found.notes.length} remarks` : ''}
              </span>
            ) : (
              <span className="font-normal text-ink-faint">
                Pages that were found stand here before anything is taken in.
              </span>
            )}
          </h2>
          <div className="min-h-0 grow overflow-auto px-3 py-1">
            {found && found.notes.length > 0 && (
              <div className="py-2">
                <Notes notes={found.notes} />
              </div>
            )}
            {found?.pages.slice(0, MOST_SHOWN).map((page) => (
              <div
                key={page.id + page.path}
                className="grid grid-cols-[1fr_1fr_110px] gap-3 border-b border-linen py-[3px]"
              >
                <span className="truncate">{page.title}</span>
                <span className="truncate text-ink-faint tabular">{page.path}</span>
                <span className="text-right text-small text-ink-faint">
                  {page.sections.length > 0 ? `${page.sections.length} sections` : ''}
                </span>
              </div>
            ))}
            {found && found.pages.length > MOST_SHOWN && (
              <p className="py-2 text-ink-faint">and {found.pages.length - MOST_SHOWN} more</p>
            )}
          </div>
        </section>
        <div className="flex items-center gap-2">
          <span className="ml-auto" />
          <Button onClick={onClose}>Leave it</Button>
          <Button
            tone="strong"
            disabled={!found || found.pages.length === 0 || stop !== null}
            onClick={apply}
          >
            Take in {found?.pages.length ?? 0} {found?.pages.length === 1 ? 'page' : 'pages'}
          </Button>
        </div>
      </div>
    </SheetDialog>
  );
}
