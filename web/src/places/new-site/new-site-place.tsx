import {
  buildMenu,
  problemInWords,
  createPlainSite,
  languageOf,
  LANGUAGES,
  noticeLanguage,
  parseSiteFile,
  SITE_ADDRESS,
  siteWithRoom,
  type Problem,
  type Site,
} from '@hamaca/core';
import { useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { DirectionChoice } from '../../ui/direction-choice.tsx';
import { PlainBar } from '../../app/top-bar.tsx';
import { familyList, loadFonts } from '../../media/load-fonts.ts';
import { measurersOf } from '../../media/measurers.ts';
import { ApiError, createSite } from '../../store/api.ts';
import { FoundMenus, Understood } from '../../ui/understood.tsx';
import { useReadLinks } from '../../workers/use-read-links.ts';

type LinkSource = 'outline' | 'html';

const EXAMPLES: Readonly<Record<LinkSource, string>> = {
  outline:
    'Visit /visit/\n  Opening hours /visit/opening-hours/\n  Getting here /visit/getting-here/\nBirds /birds/\nContact mailto:hello@marisma.example',
  html: '<nav>\n  <ul>\n    <li><a href="/visit/">Visit</a></li>\n  </ul>\n</nav>',
};

function Problems({ title, problems }: { readonly title: string; readonly problems: readonly Problem[] }) {
  return (
    <div role="alert" className="mb-4 border-l-[3px] border-brick bg-brick-wash px-4 py-2 text-bench">
      <p className="font-semibold">{title}</p>
      <ul>
        {problems.slice(0, 8).map((problem, index) => (
          <li key={index} className="break-words">
            {problemInWords(problem)}
          </li>
        ))}
      </ul>
    </div>
  );
}

const addressOk = (url: string) => SITE_ADDRESS.test(url);

/** A new site from a pasted outline or page, or from a site file. Nothing is created before it is asked for. */
export function NewSitePlace() {
  const navigate = useNavigate();
  const file = useRef<HTMLInputElement>(null);
  const [name, setName] = useState('');
  const [url, setUrl] = useState('');
  const [from, setFrom] = useState<LinkSource>('outline');
  const [text, setText] = useState('');
  const [failure, setFailure] = useState<{ title: string; problems: readonly Problem[] } | null>(null);
  const [creating, setCreating] = useState(false);
  /** What was said of the language and its direction; null where it follows what is noticed. */
  const [spoken, setSpoken] = useState<string | null>(null);
  const [direction, setDirection] = useState<Site['direction'] | null>(null);
  const [chosen, setChosen] = useState<number | null>(null);
  // Lists in other formats are welcome in the same field.
  const read = useReadLinks(from === 'html' ? 'html' : null, text);
  const found = chosen === null ? undefined : read.menus[chosen];
  const links = found?.links ?? read.links;
  const notes = found?.notes ?? read.notes;
  const built = useMemo(() => buildMenu(links, url.trim()), [links, url]);

  const noticed = useMemo(() => noticeLanguage(read.links.map(({ label }) => label)), [read.links]);
  const language = spoken ?? noticed?.tag ?? 'en';
  const written = direction ?? languageOf(language)?.direction ?? 'ltr';

  const create = async (site: Site) => {
    setCreating(true);
    try {
      await navigate(`/sites/${await createSite(site)}/bench`);
    } catch (error) {
      const { message, problems } = error as ApiError;
      setFailure({ title: `The site was not created. ${message}`, problems });
      setCreating(false);
    }
  };
  const createPlain = async () => {
    const site = createPlainSite({
      name: name.trim(),
      url: url.trim(),
      menu: { items: built.items },
      pages: built.pages,
      language,
      direction: written,
    });
    setCreating(true);
    const fonts = await loadFonts(familyList(site));
    await create(siteWithRoom(site, 'header', ...measurersOf(site, fonts)));
  };
  const openFile = async (chosen: File | undefined) => {
    if (!chosen) return;
    const site = parseSiteFile(await chosen.text());
    if (site.ok) await create(site.value);
    else setFailure({ title: `${chosen.name} was not opened; nothing was changed.`, problems: site.error });
  };
  const ready = name.trim() !== '' && addressOk(url.trim()) && !read.busy && !creating;

  return (
    <div className="flex h-full flex-col">
      <PlainBar />
      <main className="mx-auto flex min-h-0 w-full max-w-[1180px] grow flex-col px-6 py-6">
        <div className="mb-4 flex items-baseline justify-between">
          <h1 className="text-[22px] font-semibold">New site</h1>
          <Button
            onClick={() => {
              file.current?.click();
            }}
          >
            Open a site file…
          </Button>
          <input
            ref={file}
            type="file"
            accept=".json,application/json"
            aria-label="Site file"
            className="sr-only"
            tabIndex={-1}
            onChange={(event) => {
              void openFile(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
        </div>
        {failure && <Problems {...failure} />}
        <form
          className="grid min-h-0 grow grid-cols-2 gap-6"
          onSubmit={(event) => {
            event.preventDefault();
            if (ready) void createPlain();
          }}
        >
          <div className="flex min-h-0 flex-col gap-3">
            <label className="grid gap-1 text-bench">
              <span className="font-semibold">Name</span>
              <input
                className="field"
                value={name}
                maxLength={200}
                autoFocus
                placeholder="Marisma Laguna Reserve"
                onChange={(event) => {
                  setName(event.target.value);
                }}
              />
            </label>
            <label className="grid gap-1 text-bench">
              <span className="font-semibold">
                Address <span className="font-normal text-ink-faint">if it has one</span>
              </span>
              <input
                className="field"
                value={url}
                placeholder="https://marisma.example"
                aria-invalid={!addressOk(url.trim())}
                onChange={(event) => {
                  setUrl(event.target.value);
                }}
              />
              {!addressOk(url.trim()) && (
                <span role="alert" className="text-brick">
                  An address starts with https:// or http://.
                </span>
              )}
            </label>
            <div className="flex flex-wrap items-center gap-x-2 gap-y-1 text-bench">
              <span className="font-semibold">Language</span>
              <Choice
                label="Language"
                value={language}
                options={LANGUAGES.map(({ tag, name: label }) => ({ value: tag, label }))}
                onChange={setSpoken}
              />
              <DirectionChoice value={written} onChange={setDirection} />
              <span className="text-ink-faint" role="status">
                {spoken === null && noticed ? 'as its links seem to be written' : ''}
              </span>
            </div>
            <fieldset className="flex gap-2 text-bench">
              <legend className="mb-1 font-semibold">Its links</legend>
              {(['outline', 'html'] as const).map((kind) => (
                <Button
                  key={kind}
                  pressed={from === kind}
                  onClick={() => {
                    setFrom(kind);
                  }}
                >
                  {kind === 'outline' ? 'Paste an outline' : 'Paste markup of a page'}
                </Button>
              ))}
            </fieldset>
            <p className="text-bench text-ink-soft">
              {from === 'outline'
                ? 'One link a line, indented where it is nested; the target after the label if you have it.'
                : 'The whole page or just its navigation. The main menu is looked for and read nested as it is.'}
            </p>
            <textarea
              aria-label={from === 'outline' ? 'Outline of links' : 'Markup'}
              value={text}
              spellCheck={false}
              placeholder={EXAMPLES[from]}
              onChange={(event) => {
                setText(event.target.value);
                setChosen(null);
              }}
              className="min-h-40 grow resize-none rounded-[3px] border border-twine bg-white p-3 font-mono text-[13px] leading-5 placeholder:text-ink-faint/70"
            />
            <div className="flex items-center gap-3">
              <Button type="submit" tone="strong" disabled={!ready}>
                Create the site
              </Button>
              <span className="text-bench text-ink-faint">
                {name.trim() === ''
                  ? 'It needs a name.'
                  : links.length === 0
                    ? 'It starts with an empty menu; links can be added later.'
                    : `with ${links.length} links and ${built.pages.length} pages`}
              </span>
            </div>
          </div>
          <Understood links={links} notes={[...notes, ...built.notes]} busy={read.busy}>
            {read.menus.length > 1 && (
              <FoundMenus
                menus={read.menus}
                chosen={chosen ?? read.menus.findIndex((menu) => menu.main)}
                onChoose={setChosen}
              />
            )}
          </Understood>
        </form>
      </main>
    </div>
  );
}
