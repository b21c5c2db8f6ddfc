import {
  compileSite,
  createPictures,
  handedOver,
  holdsPictures,
  fileMarkup,
  GOES_WHERE,
  PICTURES_AT,
  PICTURES_AT_ALLOWED,
  PREFIX,
  PREFIX_ALLOWED,
  pieceKind,
  pagesOfFile,
  pieceFiles,
  printPages,
  readableScript,
} from '@hamaca/core';
import { useEffect, useMemo, useState } from 'react';
import { CommandButton } from '../../app/commands/command-button.tsx';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Code, type CodeLanguage } from '../../ui/code.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { NameClash } from './name-clash.tsx';
import { Drafts, noteDrafts } from './drafts.tsx';
import { useFonts } from '../../media/fonts.ts';
import { copyText } from '../../store/copy-text.ts';
import { keepChoice, keptChoice } from '../../store/hand-off-choices.ts';
import { useSite, useSiteState } from '../../store/open-site.tsx';

interface Block {
  readonly name: string;
  readonly title: string;
  readonly language: CodeLanguage;
  readonly where: string;
  readonly text: string;
}

const bytesOf = (text: string) => new TextEncoder().encode(text).byteLength;

async function gzipBytes(text: string): Promise<number> {
  const stream = new Blob([text]).stream().pipeThrough(new CompressionStream('gzip'));
  return (await new Response(stream).arrayBuffer()).byteLength;
}

const number = new Intl.NumberFormat('en');

function useGzip(text: string): number | null {
  const [size, setSize] = useState<number | null>(null);
  useEffect(() => {
    let current = true;
    void gzipBytes(text).then((bytes) => {
      if (current) setSize(bytes);
    });
    return () => {
      current = false;
    };
  }, [text]);
  return size;
}

function Weight({ text }: { readonly text: string }) {
  const gzip = useGzip(text);
  return (
    <span className="text-ink-faint tabular">
      {number.format(bytesOf(text))} B raw · {gzip === null ? '…' : number.format(gzip)} B gzip
    </span>
  );
}

function BlockTab({
  block,
  chosen,
  onChoose,
}: {
  readonly block: Block;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}) {
  return (
    <li
      className={`flex items-center gap-3 border-l-[3px] px-4 py-2.5 ${chosen ? 'border-ochre bg-white' : 'border-transparent'}`}
    >
      <button type="button" aria-pressed={chosen} onClick={onChoose} className="grow text-left">
        <span className="block font-semibold">
          {block.title} <span className="font-mono text-small font-normal text-ink-soft">{block.name}</span>
        </span>
        <span className="block text-bench text-ink-soft">{block.where}</span>
        <span className="block text-bench">
          <Weight text={block.text} />
        </span>
      </button>
      <Button onClick={() => void copyText(block.text)} aria-label={`Copy ${block.title.toLowerCase()}`}>
        Copy
      </Button>
    </li>
  );
}

interface PicturesChoiceProps {
  /** Where pages find the folder; empty where pictures stay in the markup. */
  readonly at: string;
  readonly onChange: (at: string) => void;
}

/** Whether pictures stay in the markup and stylesheet, or become files. */
function PicturesChoice({ at, onChange }: PicturesChoiceProps) {
  return (
    <div className="flex flex-wrap items-center gap-2">
      <span className="font-semibold">Pictures</span>
      <Choice
        label="Pictures"
        value={at === '' ? 'inside' : 'files'}
        options={[
          { value: 'inside', label: 'inside markup and stylesheet' },
          { value: 'files', label: 'as files' },
        ]}
        onChange={(where) => {
          onChange(where === 'files' ? '/pictures/' : '');
        }}
      />
      {at !== '' && (
        <label className="flex items-center gap-2">
          <span className="text-ink-soft">found by pages at</span>
          <TextField
            value={at}
            className="w-36 font-mono"
            title="where the folder “pictures” of the zip will lie; the stylesheet finds its own beside itself"
            onCommit={(text) => {
              if (text === '' || !PICTURES_AT.test(text)) return `Allowed is ${PICTURES_AT_ALLOWED}.`;
              onChange(text);
              return null;
            }}
          />
        </label>
      )}
      <span className="w-full text-ink-soft">
        A strict content security policy refuses pictures that are written out in the page.
      </span>
    </div>
  );
}

interface RulesChoiceProps {
  readonly rules: string;
  readonly onChange: (rules: string) => void;
}

/** Whether rules stand in blocks, one an element, or one after the other. */
const RulesChoice = ({ rules, onChange }: RulesChoiceProps) => (
  <div className="flex flex-wrap items-center gap-2">
    <span className="font-semibold">Stylesheet</span>
    <Choice
      label="Stylesheet"
      value={rules}
      options={[
        { value: 'nested', label: 'one block an element' },
        { value: 'flat', label: 'flat, one rule after the other' },
      ]}
      onChange={onChange}
    />
    <span className="w-full text-ink-soft">
      Blocks are nested rules, which browsers know since 2023. Flat is for older ones, and for tools that
      cannot read them.
    </span>
  </div>
);

const MARKUP = 'Markup';

/** The output: what it is, what it weighs, and how it leaves. */
export function HandOffPlace() {
  const whole = useSite();
  const site = handedOver(whole);
  const id = useSiteState((state) => state.id);
  const saving = useSiteState((state) => state.saving);
  const fonts = useFonts(site);
  const markups = pieceFiles(site);
  const [piece, setPiece] = useState<string | null>(null);
  const shownFile = markups.find((entry) => entry.piece.id === piece) ?? markups[0];
  const [chosen, setChosen] = useState(MARKUP);
  const [prefix, setPrefix] = useState(() => keptChoice('prefix', id));
  const [pictures, setPictures] = useState(() => keptChoice('pictures', id));
  const [rules, setRules] = useState(() => keptChoice('rules', id));
  const choosePrefix = (text: string) => {
    setPrefix(text);
    keepChoice('prefix', id, text);
  };
  const pages = useMemo(() => printPages(site), [site]);
  const output = useMemo(
    () => (fonts ? compileSite(site, { fonts: fonts.metrics, prefix, flat: rules === 'flat' }) : null),
    [site, fonts, prefix, rules],
  );
  if (!shownFile)
    return (
      <main className="m-4 max-w-prose">
        <Drafts site={whole} id={id} />
        <p className="m-4 text-ink-soft">
          Nothing stands in this site’s pages yet, so there is nothing to hand off.
        </p>
      </main>
    );
  if (!output) return null;
  const markup = fileMarkup(output, shownFile);
  const files = pictures === '' ? null : createPictures(pictures);
  const blocks: Block[] = [
    {
      name: shownFile.name,
      title: MARKUP,
      language: 'html',
      where: `${GOES_WHERE[pieceKind(shownFile.piece).stands]}; ${pagesOfFile(site, shownFile)}`,
      text: files?.fromMarkup(markup) ?? markup,
    },
    {
      name: 'menu.css',
      title: 'Stylesheet',
      language: 'css',
      where: 'in the head, before or after your own',
      text: files?.fromStylesheet(output.stylesheet) ?? output.stylesheet,
    },
    {
      name: 'menu.js',
      title: 'Script',
      language: 'javascript',
      where: 'with defer, in the head or at the end of the body',
      text: output.script,
    },
    ...(output.script === ''
      ? []
      : [
          {
            name: 'menu.mjs',
            title: 'Script to read',
            language: 'javascript',
            where: 'a module with its comments, to work on; instead of menu.js',
            text: readableScript(site, output),
          } as const,
        ]),
    ...(pages === null
      ? []
      : [
          {
            name: 'pages.json',
            title: 'Pages',
            language: 'json',
            where: 'which page gets which markup; to read, not to load',
            text: pages,
          } as const,
        ]),
  ];
  const shown = blocks.find((block) => block.title === chosen) ?? blocks[0];
  return (
    <main className="grid h-full grid-cols-[minmax(340px,400px)_1fr]">
      <h1 className="sr-only">Hand-off of {site.name}</h1>
      <section aria-label="Files" className="flex min-h-0 flex-col overflow-auto border-r border-twine">
        <Drafts site={whole} id={id} />
        {markups.length > 1 && (
          <div className="flex items-center gap-2 border-b border-twine px-4 py-2 text-bench">
            <span className="text-small text-ink-faint">markup of</span>
            <Choice
              label="Markup of"
              value={shownFile.piece.id}
              options={markups.map(({ piece: own }) => ({ value: own.id, label: own.name }))}
              onChange={(next) => {
                setPiece(next);
                setChosen(MARKUP);
              }}
            />
            <span className="text-ink-faint">stylesheet and script serve all</span>
          </div>
        )}
        <ul className="border-b border-twine py-2">
          {blocks.map((block) => (
            <BlockTab
              key={block.name}
              block={block}
              chosen={block === shown}
              onChoose={() => {
                setChosen(block.title);
              }}
            />
          ))}
        </ul>
        <div className="grid gap-3 px-5 py-4 text-bench">
          <label className="flex items-center gap-2">
            <span className="font-semibold">Names begin with</span>
            <TextField
              value={prefix}
              className="w-24 font-mono"
              title="every class, id, attribute and custom property, so that none is the page’s own"
              onCommit={(text) => {
                if (!PREFIX.test(text)) return `Allowed is ${PREFIX_ALLOWED}.`;
                choosePrefix(text);
                return null;
              }}
            />
          </label>
          <NameClash id={id} name={site.name} prefix={prefix} onChoose={choosePrefix} />
          <RulesChoice
            rules={rules}
            onChange={(next) => {
              setRules(next);
              keepChoice('rules', id, next);
            }}
          />
          {holdsPictures(markup + output.stylesheet) && (
            <PicturesChoice
              at={pictures}
              onChange={(at) => {
                setPictures(at);
                keepChoice('pictures', id, at);
              }}
            />
          )}
          <p>
            <span className="font-semibold">Stylesheet and script together</span>
            <br />
            <Weight text={output.stylesheet + output.script} />
          </p>
          <p className="text-ink-soft">
            {output.typefaces.length > 0
              ? `Typefaces: ${output.typefaces.map((typeface) => typeface.name).join(', ')}, in the zip with their licences.`
              : 'No typefaces to load.'}{' '}
            The zip also holds an example page, design tokens and the site file.
          </p>
          <div className="flex flex-wrap items-center gap-2">
            {saving === 'saved' ? (
              <a
                href={`/api/sites/${id}/hand-off.zip?${new URLSearchParams({ prefix, ...(pictures === '' ? {} : { pictures }), ...(rules === 'flat' ? { rules } : {}) }).toString()}`}
                download
                onClick={() => {
                  noteDrafts(id, whole);
                }}
                className="inline-flex h-7 items-center rounded-[3px] border border-ink bg-ink px-2.5 text-white hover:bg-ink-soft"
              >
                Download the zip
              </a>
            ) : (
              <Button tone="strong" disabled>
                Download the zip
              </Button>
            )}
            <CommandButton id="save-file" tone="plain" />
          </div>
          {saving !== 'saved' && (
            <p className="text-ink-soft">
              The zip is made from the saved site; it can be had once everything is saved.
            </p>
          )}
        </div>
      </section>
      <section aria-label="Code" className="min-h-0 min-w-0">
        {shown && <Code code={shown.text} language={shown.language} label={`${shown.title} code`} />}
      </section>
    </main>
  );
}
