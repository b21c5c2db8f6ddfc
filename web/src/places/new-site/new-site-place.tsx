import { buildMenu, createPlainSite, parseSiteFile, SITE_ADDRESS, type ImportNote, type LinkLine, type Problem, type Site } from '@hamaca/core';
import { useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { Button } from '../../controls/button.tsx';
import { PlainBar } from '../../shell/top-bar.tsx';
import { ApiError, createSite } from '../../state/api.ts';
import { useReadLinks } from '../../workers/use-read-links.ts';
import type { LinkSource } from '../../workers/read-links.ts';

const EXAMPLES: Readonly<Record<LinkSource, string>> = {
  outline: 'Visit /visit/\n  Opening hours /visit/opening-hours/\n  Getting here /visit/getting-here/\nBirds /birds/\nContact mailto:hello@marisma.example',
  html: '<nav>\n  <ul>\n    <li><a href="/visit/">Visit</a></li>\n  </ul>\n</nav>',
};

/** Most lines drawn; all are kept. */
const MOST_SHOWN = 500;

function Understood({ links, notes, busy }: { readonly links: readonly LinkLine[]; readonly notes: readonly ImportNote[]; readonly busy: boolean }) {
  return (
    <section aria-label="What was understood" aria-busy={busy} className="flex min-h-0 flex-col border border-twine bg-white">
      <h2 className="flex justify-between border-b border-twine px-4 py-2 text-bench font-semibold">
        What was understood
        <span role="status" className="font-normal text-ink-faint tabular">{busy ? 'reading…' : `${links.length} ${links.length === 1 ? 'link' : 'links'}, ${notes.length} ${notes.length === 1 ? 'remark' : 'remarks'}`}</span>
      </h2>
      <div className="min-h-0 grow overflow-auto px-4 py-3">
        {links.length === 0 && notes.length === 0 && <p className="text-bench text-ink-soft">Nothing yet. Each line becomes a link here, nested as it will stand in the menu.</p>}
        <ol className="text-bench">
          {links.slice(0, MOST_SHOWN).map((link, index) => (
            <li key={index} style={{ paddingInlineStart: (link.depth - 1) * 22 }} className="flex gap-4 border-b border-linen py-[3px]">
              <span className="min-w-0 break-words">{link.label}</span>
              <span className={`ml-auto max-w-[55%] shrink-0 truncate tabular ${link.href === null ? 'text-ink-faint italic' : 'text-ink-soft'}`}>{link.href ?? 'only opens'}</span>
            </li>
          ))}
        </ol>
        {links.length > MOST_SHOWN && <p className="py-2 text-bench text-ink-faint">and {links.length - MOST_SHOWN} more</p>}
        {notes.length > 0 && (
          <ul className="mt-3 grid gap-1 text-bench">
            {notes.slice(0, 100).map((note, index) => (
              <li key={index} className="border-l-[3px] border-brick bg-brick-wash px-3 py-1 break-words">
                {note.line > 0 && <b className="font-semibold">Line {note.line}: </b>}{note.reason}{note.text !== '' && <span className="text-ink-soft"> “{note.text}”</span>}
              </li>
            ))}
          </ul>
        )}
      </div>
    </section>
  );
}

function Problems({ title, problems }: { readonly title: string; readonly problems: readonly Problem[] }) {
  return (
    <div role="alert" className="mb-4 border-l-[3px] border-brick bg-brick-wash px-4 py-2 text-bench">
      <p className="font-semibold">{title}</p>
      <ul>{problems.slice(0, 8).map((problem, index) => <li key={index} className="break-words">{problem.message}</li>)}</ul>
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
  const read = useReadLinks(from, text);
  const built = useMemo(() => buildMenu(read.links, url.trim()), [read.links, url]);

  const create = async (site: Site) => {
    setCreating(true);
    try {
      await navigate(`/sites/${await createSite(site)}/bench/header`);
    } catch (error) {
      const { message, problems } = error as ApiError;
      setFailure({ title: `The site was not created. ${message}`, problems });
      setCreating(false);
    }
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
          <Button onClick={() => { file.current?.click(); }}>Open a site file…</Button>
          <input ref={file} type="file" accept=".json,application/json" aria-label="Site file" className="sr-only" tabIndex={-1}
            onChange={(event) => { void openFile(event.target.files?.[0]); event.target.value = ''; }} />
        </div>
        {failure && <Problems {...failure} />}
        <form className="grid min-h-0 grow grid-cols-2 gap-6" onSubmit={(event) => {
          event.preventDefault();
          if (ready) void create(createPlainSite({ name: name.trim(), url: url.trim(), menu: { items: built.items }, pages: built.pages }));
        }}>
          <div className="flex min-h-0 flex-col gap-3">
            <label className="grid gap-1 text-bench"><span className="font-semibold">Name</span>
              <input className="field" value={name} maxLength={200} autoFocus placeholder="Marisma Laguna Reserve" onChange={(event) => { setName(event.target.value); }} />
            </label>
            <label className="grid gap-1 text-bench"><span className="font-semibold">Address <span className="font-normal text-ink-faint">if it has one</span></span>
              <input className="field" value={url} placeholder="https://marisma.example" aria-invalid={!addressOk(url.trim())} onChange={(event) => { setUrl(event.target.value); }} />
              {!addressOk(url.trim()) && <span role="alert" className="text-brick">An address starts with https:// or http://.</span>}
            </label>
            <fieldset className="flex gap-2 text-bench">
              <legend className="mb-1 font-semibold">Its links</legend>
              {(['outline', 'html'] as const).map((kind) => (
                <Button key={kind} pressed={from === kind} onClick={() => { setFrom(kind); }}>{kind === 'outline' ? 'Paste an outline' : 'Paste markup of a page'}</Button>
              ))}
            </fieldset>
            <p className="text-bench text-ink-soft">{from === 'outline'
              ? 'One link a line, indented where it is nested; the target after the label if you have it.'
              : 'The whole page or just its navigation. The main menu is looked for and read nested as it is.'}</p>
            <textarea aria-label={from === 'outline' ? 'Outline of links' : 'Markup'} value={text} spellCheck={false} placeholder={EXAMPLES[from]} onChange={(event) => { setText(event.target.value); }}
              className="min-h-40 grow resize-none rounded-[3px] border border-twine bg-white p-3 font-mono text-[13px] leading-5 placeholder:text-ink-faint/70" />
            <div className="flex items-center gap-3">
              <Button type="submit" tone="strong" disabled={!ready}>Create the site</Button>
              <span className="text-bench text-ink-faint">{name.trim() === '' ? 'It needs a name.' : read.links.length === 0 ? 'It starts with an empty menu; links can be added later.' : `with ${read.links.length} links and ${built.pages.length} pages`}</span>
            </div>
          </div>
          <Understood links={read.links} notes={[...read.notes, ...built.notes]} busy={read.busy} />
        </form>
      </main>
    </div>
  );
}
