import {
  bringColours,
  printDesignTokens,
  printPaletteCss,
  printPaletteGpl,
  readPalette,
  slugify,
  type NamedColour,
  type Site,
} from '@hamaca/core';
import { DropdownMenu } from 'radix-ui';
import { useMemo, useRef, useState } from 'react';
import { Button } from '../../ui/button.tsx';
import { SheetDialog } from '../../ui/sheet-dialog.tsx';
import { saveFile } from '../../media/files.ts';
import { notify } from '../../store/notices.ts';
import { useEdit } from '../../store/open-site.tsx';
import { readPicture } from '../../workers/run-read-picture.ts';

/** Colours looked for in a picture, and the largest text that is read as a palette, in bytes. */
const MOST_COLOURS = 8;
const MOST_BYTES = 4 * 1024 * 1024;

interface Found {
  readonly source: string;
  readonly colours: readonly NamedColour[];
  readonly notes: readonly string[];
}

const fromText = (text: string): Found => {
  const { format, colours, notes } = readPalette(text);
  return { source: format, colours, notes };
};

async function fromFile(file: File): Promise<Found | null> {
  if (file.type.startsWith('image/') && file.type !== 'image/svg+xml') {
    const answer = await readPicture(file, MOST_COLOURS);
    if (!answer.ok) return null;
    return {
      source: `the picture ${file.name}`,
      colours: answer.colours.map(({ value, share }) => ({
        name: `${value} (${Math.max(1, Math.round(share * 100))} %)`,
        value,
      })),
      notes: [],
    };
  }
  return file.size > MOST_BYTES ? null : fromText(await file.text());
}

/** Colours found elsewhere, to be ticked and taken over. */
function ImportDialog({ site, onClose }: { readonly site: Site; readonly onClose: () => void }) {
  const edit = useEdit();
  const file = useRef<HTMLInputElement>(null);
  const [text, setText] = useState('');
  const [picked, setPicked] = useState<Found | null>(null);
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const typed = useMemo(() => (text.trim() === '' ? null : fromText(text)), [text]);
  const found = picked ?? typed;
  const taken = found?.colours.filter((_colour, index) => !left.has(index)) ?? [];
  const known = new Set(site.palette.map((swatch) => swatch.name.toLowerCase()));
  const read = async (chosen: File | undefined) => {
    if (!chosen) return;
    const answer = await fromFile(chosen);
    if (answer) setPicked(answer);
    else
      notify({
        tone: 'error',
        text: `${chosen.name} could not be read: a palette as text of at most 4 MB, an SVG or a picture is needed. Nothing was changed.`,
      });
    setLeft(new Set());
  };
  const take = () => {
    // A picture's shares are for choosing only.
    const plain = taken.map((colour) => ({ ...colour, name: colour.name.replace(/ \(\d+ %\)$/, '') }));
    const edits = bringColours(site, plain);
    if (edits.length === 0)
      notify({ tone: 'info', text: 'These colours are all here already. Nothing was changed.' });
    if (
      edits.length === 0 ||
      edit({ name: 'several', args: { edits } }, `Bring ${taken.length} colours along`)
    )
      onClose();
  };
  return (
    <SheetDialog title="Bring colours along" onClose={onClose}>
      <div className="grid gap-3 p-4 text-bench">
        <p className="text-ink-soft">
          From design tokens, CSS custom properties, a GIMP palette, an SVG or a plain list; or from a
          picture, whose main colours are found.
        </p>
        <div>
          <Button
            onClick={() => {
              file.current?.click();
            }}
          >
            Open a file or picture…
          </Button>
        </div>
        <input
          ref={file}
          type="file"
          aria-label="Palette file"
          className="sr-only"
          tabIndex={-1}
          accept=".json,.css,.gpl,.svg,.txt,image/*"
          onChange={(event) => {
            void read(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
        <textarea
          aria-label="Palette text"
          rows={6}
          spellCheck={false}
          value={text}
          placeholder={'--reed: #2f6b4f;\n--sun: #f0b541;'}
          onChange={(event) => {
            setText(event.target.value);
            setPicked(null);
            setLeft(new Set());
          }}
          className="w-full rounded-[3px] border border-twine bg-white p-2 font-mono text-small"
        />
        {found && (
          <>
            <p>
              {found.colours.length === 0
                ? `No colour was found in this ${found.source}.`
                : `${found.colours.length} ${found.colours.length === 1 ? 'colour' : 'colours'} in ${found.source}. One with the name of a swatch changes that one.`}
            </p>
            <ul className="grid max-h-56 grid-cols-2 gap-x-3 overflow-auto">
              {found.colours.map((colour, index) => (
                <li key={index}>
                  <label className="flex h-7 items-center gap-2">
                    <input
                      type="checkbox"
                      checked={!left.has(index)}
                      onChange={(event) => {
                        setLeft(
                          event.target.checked
                            ? new Set([...left].filter((entry) => entry !== index))
                            : new Set([...left, index]),
                        );
                      }}
                    />
                    <span
                      className="size-4 shrink-0 rounded-[2px] border border-ink/25"
                      style={{ background: colour.value }}
                    />
                    <span className="truncate">{colour.name}</span>
                    {(colour.role !== undefined || known.has(colour.name.toLowerCase())) && (
                      <span className="text-small text-ink-faint">changes it</span>
                    )}
                  </label>
                </li>
              ))}
            </ul>
            {found.notes.length > 0 && (
              <ul className="text-small text-ink-soft">
                {found.notes.slice(0, 5).map((note) => (
                  <li key={note}>{note}</li>
                ))}
              </ul>
            )}
            <div>
              <Button tone="strong" disabled={taken.length === 0} onClick={take}>
                Take {taken.length} {taken.length === 1 ? 'colour' : 'colours'}
              </Button>
            </div>
          </>
        )}
      </div>
    </SheetDialog>
  );
}

/** The palette in and out of files. */
export function PaletteFiles({ site }: { readonly site: Site }) {
  const [importing, setImporting] = useState(false);
  const name = slugify(site.name, 'palette');
  const files = [
    {
      label: 'Design tokens (JSON)',
      save: () => {
        saveFile(`${name}.tokens.json`, printDesignTokens(site), 'application/json');
      },
    },
    {
      label: 'CSS custom properties',
      save: () => {
        saveFile(`${name}.css`, printPaletteCss(site), 'text/css');
      },
    },
    {
      label: 'GIMP palette (.gpl)',
      save: () => {
        saveFile(`${name}.gpl`, printPaletteGpl(site), 'text/plain');
      },
    },
  ];
  return (
    <>
      <Button
        onClick={() => {
          setImporting(true);
        }}
      >
        Bring colours along…
      </Button>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger asChild>
          <Button disabled={site.palette.length === 0}>
            Save as{' '}
            <span aria-hidden="true" className="text-ink-faint">
              ▾
            </span>
          </Button>
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="end"
            sideOffset={3}
            className="z-50 rounded-[3px] border border-rope bg-white p-1"
          >
            {files.map((file) => (
              <DropdownMenu.Item
                key={file.label}
                onSelect={file.save}
                className="flex h-7 items-center rounded-[2px] px-2 text-bench outline-none select-none data-highlighted:bg-ochre-wash"
              >
                {file.label}
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      {importing && (
        <ImportDialog
          site={site}
          onClose={() => {
            setImporting(false);
          }}
        />
      )}
    </>
  );
}
