import { cutText, idsOf, LIMITS, uniqueName, uniqueTitle, type BroughtPage, type Site } from '@hamaca/core';
import { useEffect, useRef, useState, type DragEvent } from 'react';
import { openForeignPage, type ReadPage } from '../../../stage/foreign-pages.ts';
import { fetchWholePage } from '../../../store/fetching.ts';
import { useEdit } from '../../../store/open-site.tsx';
import { keepPageFiles, loadPageFiles, type LoadedFile } from '../../../store/page-files.ts';
import { Button } from '../../../ui/button.tsx';
import { SheetDialog } from '../../../ui/sheet-dialog.tsx';
import { droppedFiles, type NamedFile } from './dropped-files.ts';

/** A page that was read and may be brought along. */
interface Found {
  readonly read: ReadPage;
  readonly origin: string;
  /** What could not be had, in words. */
  readonly missing: readonly string[];
}

const PASTED = 'index.html';
const PASTED_CSS = 'pasted.css';

/** The pasted markup, with the pasted stylesheet linked to at the end of its head. */
function pastedFiles(markup: string, css: string): readonly LoadedFile[] {
  const encode = (text: string) => new TextEncoder().encode(text);
  // Where a base says what addresses relate to, a link would lead there.
  if (/<base\b/i.test(markup) && css.trim() !== '')
    return [
      { path: PASTED, bytes: encode(`${markup}<style>${css.replaceAll(/<(?=\/style)/gi, '\\3c ')}</style>`) },
    ];
  const link = `<link rel="stylesheet" href="${PASTED_CSS}">`;
  const linked = /<\/head>/i.test(markup) ? markup.replace(/<\/head>/i, `${link}</head>`) : link + markup;
  return css.trim() === ''
    ? [{ path: PASTED, bytes: encode(markup) }]
    : [
        { path: PASTED, bytes: encode(linked) },
        { path: PASTED_CSS, bytes: encode(css) },
      ];
}

/** Reads what was chosen or dropped, within bounds; the name of a folder is no part of the paths in it. */
async function readChosen(chosen: readonly NamedFile[]): Promise<readonly LoadedFile[]> {
  const bytes = chosen.reduce((sum, { file }) => sum + file.size, 0);
  if (bytes > LIMITS.pageBytes)
    throw new Error(
      `These are more than ${LIMITS.pageBytes / 1024 / 1024} MB. Choose the page and the files it names.`,
    );
  const [first] = chosen;
  const root = first && chosen.every(({ path }) => path.startsWith(`${first.path.split('/')[0] ?? ''}/`));
  return Promise.all(
    chosen.map(async ({ path, file }) => ({
      path: root ? path.slice(path.indexOf('/') + 1) : path,
      bytes: new Uint8Array(await file.arrayBuffer()),
    })),
  );
}

const sizeOf = (files: readonly LoadedFile[]) =>
  Math.ceil(files.reduce((sum, { bytes }) => sum + bytes.byteLength, 0) / 1024);

interface Props {
  readonly site: Site;
  readonly onBrought: (id: string) => void;
  readonly onClose: () => void;
}

/** Brings a page along that exists already: by its address, from files, or pasted. */
export function BringPage({ site, onBrought, onClose }: Props) {
  const edit = useEdit();
  const [address, setAddress] = useState('');
  const [markup, setMarkup] = useState('');
  const [css, setCss] = useState('');
  const [found, setFound] = useState<Found | null>(null);
  const [name, setName] = useState('');
  const [busy, setBusy] = useState<{ words: string; stop: AbortController } | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const chooser = useRef<HTMLInputElement>(null);
  const folder = useRef<HTMLInputElement>(null);
  useEffect(
    () => () => {
      found?.read.worker.end();
    },
    [found],
  );

  /** Does something that takes a while and can be stopped; what goes wrong is told. */
  const work = async (
    words: string,
    doing: (signal: AbortSignal, tell: (words: string) => void) => Promise<void>,
  ) => {
    const stop = new AbortController();
    setBusy({ words, stop });
    setFailure(null);
    try {
      await doing(stop.signal, (next) => {
        setBusy({ words: next, stop });
      });
    } catch (error) {
      if (!stop.signal.aborted) setFailure((error as Error).message);
    } finally {
      setBusy(null);
    }
  };
  const take = async (
    files: readonly LoadedFile[],
    { path, origin, missing }: { path: string | null; origin: string; missing: readonly string[] },
    signal: AbortSignal,
  ) => {
    const reading = openForeignPage(path === null ? { path: null, origin } : { path, origin }, files);
    const stopped = new Promise<never>((_, reject) => {
      signal.addEventListener('abort', () => {
        reject(new DOMException('Stopped', 'AbortError'));
        void reading.then(({ worker }) => {
          worker.end();
        });
      });
    });
    const read = await Promise.race([reading, stopped]);
    setFound({ read, origin, missing });
    const called = read.opened.title || (origin === '' ? read.opened.path : new URL(origin).host);
    setName(uniqueTitle(cutText(called, 60), new Set(site.foreignPages.map((page) => page.name))));
  };
  const fetchIt = () =>
    work('fetching', async (signal, tell) => {
      const whole = await fetchWholePage(address.trim(), signal, (files) => {
        tell(`fetching, ${files} files`);
      });
      await take(await loadPageFiles(whole.files, signal), whole, signal);
    });
  const readFiles = (chosen: readonly NamedFile[]) =>
    work('reading', async (signal) => {
      await take(await readChosen(chosen), { path: null, origin: '', missing: [] }, signal);
    });
  const readPasted = () =>
    work('reading', async (signal) => {
      await take(pastedFiles(markup, css), { path: PASTED, origin: '', missing: [] }, signal);
    });
  const onDrop = (event: DragEvent) => {
    event.preventDefault();
    const items = [...event.dataTransfer.items];
    void droppedFiles(items).then(readFiles);
  };
  const bring = (now: Found) =>
    work('keeping its files', async (signal, tell) => {
      const { opened } = now.read;
      const wanted = new Set(opened.used);
      const used = now.read.files.filter(({ path }) => wanted.has(path));
      const files = await keepPageFiles(used, signal, (kept) => {
        tell(`keeping its files, ${kept} of ${used.length}`);
      });
      const id = uniqueName('page', idsOf(site));
      const page: BroughtPage = {
        id,
        name: name.trim() || opened.path,
        origin: now.origin,
        path: opened.path,
        files,
        ground: opened.ground,
        changes: [],
        inPlace: false,
      };
      if (edit({ name: 'add-foreign-page', args: { page } }, `Bring along: ${page.name}`)) onBrought(id);
    });
  const notes = found ? [...found.missing, ...found.read.opened.notes] : [];
  return (
    <SheetDialog title="Bring a page along that exists already" onClose={onClose} wide>
      <div
        className="grid gap-3 p-4 text-bench"
        onDragOver={(event) => {
          event.preventDefault();
        }}
        onDrop={onDrop}
      >
        <p className="max-w-prose text-ink-soft">
          Its stylesheets, pictures and typefaces come along and are kept with this site. Nothing of it runs.
        </p>
        <div className="flex flex-wrap items-center gap-2">
          <form
            className="flex items-center gap-1"
            onSubmit={(event) => {
              event.preventDefault();
              void fetchIt();
            }}
          >
            <input
              autoFocus
              className="field w-80"
              aria-label="Address of the page"
              placeholder="Address: https://…"
              value={address}
              onChange={(event) => {
                setAddress(event.target.value);
              }}
            />
            <Button type="submit" disabled={address.trim() === '' || busy !== null}>
              Fetch
            </Button>
          </form>
          <span className="text-ink-faint">or</span>
          <Button
            onClick={() => {
              chooser.current?.click();
            }}
          >
            Choose files or a zip…
          </Button>
          <Button
            onClick={() => {
              folder.current?.click();
            }}
          >
            Choose a folder…
          </Button>
          <span className="text-ink-faint">or drop them here</span>
          {[false, true].map((isFolder) => (
            <input
              key={String(isFolder)}
              ref={isFolder ? folder : chooser}
              type="file"
              multiple
              aria-label={isFolder ? 'Folder of the page' : 'Files of the page'}
              className="sr-only"
              tabIndex={-1}
              {...(isFolder ? { webkitdirectory: '' } : {})}
              onChange={(event) => {
                const chosen = [...(event.target.files ?? [])];
                event.target.value = '';
                if (chosen.length > 0)
                  void readFiles(
                    chosen.map((file) => ({ path: file.webkitRelativePath || file.name, file })),
                  );
              }}
            />
          ))}
        </div>
        <div className="grid grid-cols-2 gap-3">
          {[
            ['Markup of the page', 'or paste its markup here', markup, setMarkup] as const,
            ['Stylesheet of the page', 'and its stylesheet here', css, setCss] as const,
          ].map(([label, hint, value, set]) => (
            <textarea
              key={label}
              aria-label={label}
              placeholder={hint}
              value={value}
              spellCheck={false}
              onChange={(event) => {
                set(event.target.value);
              }}
              className="h-36 resize-none rounded-[3px] border border-twine bg-white p-3 font-mono text-[13px] leading-5 placeholder:text-ink-faint/70"
            />
          ))}
        </div>
        {markup.trim() !== '' && (
          <Button
            className="justify-self-start"
            onClick={() => {
              void readPasted();
            }}
          >
            Read what is pasted
          </Button>
        )}
        {failure !== null && (
          <p role="alert" className="border-l-[3px] border-brick bg-brick-wash px-3 py-1">
            {failure}
          </p>
        )}
        {found && (
          <div
            aria-label="What was read"
            role="region"
            className="grid gap-2 border border-twine bg-white p-3"
          >
            <p>
              <b className="font-semibold">{found.read.opened.title || found.read.opened.path}</b>
              <span className="text-ink-soft">
                {' '}
                · {found.read.opened.path} with {found.read.opened.used.length - 1} more files ·{' '}
                {sizeOf(found.read.files.filter(({ path }) => found.read.opened.used.includes(path)))} kB
              </span>
            </p>
            {notes.length > 0 && (
              <details>
                <summary className="cursor-default text-ink-soft">
                  {notes.length} {notes.length === 1 ? 'thing' : 'things'} left out
                </summary>
                <ul className="max-h-32 overflow-auto pl-4 text-small text-ink-soft">
                  {notes.slice(0, 200).map((note, at) => (
                    <li key={at} className="break-all">
                      {note}
                    </li>
                  ))}
                </ul>
              </details>
            )}
          </div>
        )}
        <div className="flex items-center gap-2">
          {found && (
            <label className="flex items-center gap-2">
              Name
              <input
                className="field w-64"
                value={name}
                maxLength={80}
                onChange={(event) => {
                  setName(event.target.value);
                }}
              />
            </label>
          )}
          <span role="status" className="min-w-0 truncate text-ink-faint">
            {busy?.words}
          </span>
          {busy && (
            <Button
              onClick={() => {
                busy.stop.abort();
              }}
            >
              Stop
            </Button>
          )}
          <span className="ml-auto" />
          <Button onClick={onClose}>Leave it</Button>
          <Button
            tone="strong"
            disabled={!found || busy !== null}
            onClick={() => {
              if (found) void bring(found);
            }}
          >
            Bring it along
          </Button>
        </div>
      </div>
    </SheetDialog>
  );
}
