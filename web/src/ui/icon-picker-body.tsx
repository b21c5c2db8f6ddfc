import {
  cutText,
  idsOf,
  inTextColour,
  parseColour,
  slugify,
  uniqueName,
  type Icon,
  type Site,
} from '@hamaca/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useMemo, useRef, useState } from 'react';
import { iconSvg, knownDrawings, loadDrawings } from '../media/icon-library.ts';
import type { IconTone } from '../media/icon-tone.ts';
import { readIcon, type IconSource } from '../media/read-icon.ts';
import { recentIcons, rememberIcon } from '../media/recent-icons.ts';
import { asSiteIcon } from '../media/site-icon.ts';
import { notify } from '../store/notices.ts';
import { searchIcons } from '../workers/run-find-icons.ts';
import { Button } from './button.tsx';
import { IconDrawing } from './icon-drawing.tsx';

/** More than the library has. */
const ALL = 10_000;

/** Icons beside one another, and the side of each one's cell in px. */
const COLUMNS = 11;
const CELL = 34;

/** A single sign that can be an icon as it stands: an emoji, a letter, a mark. */
function singleCharacter(typed: string): string | null {
  const text = typed.trim();
  if (text === '' || text.length > 16) return null;
  const parts = [...new Intl.Segmenter(undefined, { granularity: 'grapheme' }).segment(text)];
  return parts.length === 1 ? text : null;
}

const NONE: readonly string[] = [];

/** All icons, once they have been asked for: a picker that opens again begins with them. */
let everyIcon: readonly string[] | null = null;

/** The icons of the library that a search finds; null while it is asked. */
function useFound(typed: string) {
  const [found, setFound] = useState(everyIcon);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    if (typed === '' && everyIcon) {
      setFound(everyIcon);
      return undefined;
    }
    let current = true;
    searchIcons(typed, ALL).then(
      (names) => {
        if (typed === '') everyIcon = names;
        if (!current) return;
        setFound(names);
        setFailed(false);
      },
      () => {
        if (current) setFailed(true);
      },
    );
    return () => {
      current = false;
    };
  }, [typed]);
  return { found, failed };
}

const CELL_LOOK =
  'grid place-items-center rounded-[3px] border border-transparent hover:border-rope hover:bg-linen focus-visible:border-ochre';

interface CellsProps {
  readonly names: readonly string[];
  readonly drawings: ReadonlyMap<string, string>;
  readonly tone: IconTone | undefined;
  readonly onTake: (name: string) => void;
}

/** Drawings of the library side by side. */
function LibraryCells({ names, drawings, tone, onTake }: CellsProps) {
  return names.map((name) => {
    const body = drawings.get(name);
    return (
      <button
        key={name}
        type="button"
        title={name}
        aria-label={name}
        className={CELL_LOOK}
        style={{ width: CELL, height: CELL }}
        onClick={() => {
          onTake(name);
        }}
      >
        {body !== undefined && <IconDrawing icon={{ svg: iconSvg(body) }} tone={tone} />}
      </button>
    );
  });
}

/** Whether a colour cannot be told from white paper. */
function isPale(tone: IconTone | undefined): boolean {
  const colour = tone ? parseColour(tone.colour) : null;
  return colour !== null && colour.r + colour.g + colour.b > 2.4;
}

/** The drawings of some names, fetched where they are not there yet; those before stay meanwhile. */
function useDrawings(names: readonly string[]): ReadonlyMap<string, string> {
  const [drawings, setDrawings] = useState(() => knownDrawings(names));
  const key = names.join();
  useEffect(() => {
    let current = true;
    // Without their drawings the cells stand empty and can be scrolled to again.
    void loadDrawings(key === '' ? [] : key.split(',')).then(
      (loaded) => {
        if (current) setDrawings(loaded);
      },
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [key]);
  return drawings;
}

/** All icons a search found; only those in sight are there. */
function LibraryGrid({
  names,
  tone,
  onTake,
}: {
  readonly names: readonly string[];
  readonly tone: IconTone | undefined;
  readonly onTake: (name: string) => void;
}) {
  const list = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: Math.ceil(names.length / COLUMNS),
    getScrollElement: () => list.current,
    estimateSize: () => CELL,
    overscan: 2,
    initialRect: { width: COLUMNS * CELL, height: 6 * CELL },
  });
  const seen = rows.getVirtualItems();
  const rowOf = (index: number) => names.slice(index * COLUMNS, (index + 1) * COLUMNS);
  const drawings = useDrawings(seen.flatMap(({ index }) => rowOf(index)));
  useEffect(() => {
    list.current?.scrollTo({ top: 0 });
  }, [names]);
  return (
    <div
      ref={list}
      className="overflow-auto"
      style={{ height: 6 * CELL, background: isPale(tone) ? '#24383c' : undefined }}
      tabIndex={-1}
    >
      <div className="relative" style={{ height: rows.getTotalSize() }}>
        {seen.map(({ index, start }) => (
          <div key={index} className="absolute left-0 flex" style={{ top: start }}>
            <LibraryCells names={rowOf(index)} drawings={drawings} tone={tone} onTake={onTake} />
          </div>
        ))}
      </div>
    </div>
  );
}

/** A drawing of the designer's in one colour: it can take that of the text instead. */
interface Offer {
  readonly name: string;
  readonly source: IconSource;
}

function OfferedColours({
  offer,
  tone,
  onTake,
}: {
  readonly offer: Offer;
  readonly tone: IconTone | undefined;
  readonly onTake: (source: IconSource) => void;
}) {
  const painted = { svg: inTextColour(offer.source.svg ?? '') };
  const choice = (source: IconSource, label: string) => (
    <Button
      onClick={() => {
        onTake(source);
      }}
    >
      <IconDrawing icon={source} tone={tone} /> {label}
    </Button>
  );
  return (
    <div className="grid gap-2 py-2">
      <p>
        <strong className="font-semibold">{offer.name}</strong> is drawn in a single colour.
      </p>
      <span className="flex gap-2">
        {choice(painted, 'In the colour of its text, in every state')}
        {choice(offer.source, 'As it is')}
      </span>
    </div>
  );
}

export interface IconPickerBodyProps {
  readonly site: Site;
  /** What an icon looks like where it will stand. */
  readonly tone?: IconTone | undefined;
  /** Takes an icon, which the site may not have yet. */
  readonly onChoose: (icon: Icon) => void;
}

/** Icons to choose from: the site's own, those last used, the library, a single sign, a file. */
export function IconPickerBody({ site, tone, onChoose }: IconPickerBodyProps) {
  const file = useRef<HTMLInputElement>(null);
  const [typed, setTyped] = useState('');
  const [offer, setOffer] = useState<Offer | null>(null);
  const [recent] = useState(recentIcons);
  const { found, failed } = useFound(typed);
  const recentDrawings = useDrawings(recent);
  const wanted = typed.trim().toLowerCase();
  const own = useMemo(
    () => site.icons.filter((icon) => icon.name.toLowerCase().includes(wanted)),
    [site.icons, wanted],
  );
  const character = singleCharacter(typed);

  const takeFromLibrary = (name: string) => {
    void loadDrawings([name]).then(
      (loaded) => {
        const body = loaded.get(name);
        if (body === undefined) return;
        rememberIcon(name);
        onChoose(asSiteIcon(site, name, body));
      },
      () => {
        notify({ tone: 'error', text: `The drawing “${name}” could not be fetched; try again.` });
      },
    );
  };
  const takeOwn = (name: string, source: IconSource) => {
    const known = site.icons.find(
      (icon) => icon.svg === source.svg && icon.image === source.image && icon.character === source.character,
    );
    onChoose(
      known ?? {
        id: uniqueName(`icon-${slugify(name, 'icon')}`, idsOf(site)),
        name: cutText(name, 80),
        set: null,
        ...source,
      },
    );
  };
  const upload = async (chosen: File | undefined) => {
    if (!chosen) return;
    const name = chosen.name.replace(/\.\w+$/i, '') || 'icon';
    const read = await readIcon(chosen);
    if (!read.ok)
      notify({
        tone: 'error',
        text: `${chosen.name} cannot be used as an icon: ${read.error}. Nothing was changed.`,
      });
    else if (read.value.isOneColour) setOffer({ name, source: read.value.source });
    else takeOwn(name, read.value.source);
  };

  const heading = (text: string) => <p className="pt-1 pb-0.5 text-small text-ink-faint">{text}</p>;
  return (
    <>
      <input
        className="field w-full"
        aria-label="Find an icon"
        placeholder="Find an icon: bird, map, clock … or type a single sign"
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
        }}
        onKeyDown={(event) => {
          const [first] = found ?? [];
          if (event.key !== 'Enter') return;
          event.preventDefault();
          if (character !== null && wanted.length < 3 && !/^[a-z]/i.test(wanted))
            takeOwn(character, { svg: null, character });
          else if (first !== undefined) takeFromLibrary(first);
        }}
      />
      {offer ? (
        <OfferedColours
          offer={offer}
          tone={tone}
          onTake={(source) => {
            takeOwn(offer.name, source);
          }}
        />
      ) : (
        <>
          {character !== null && (
            <div className="pt-2">
              <Button
                onClick={() => {
                  takeOwn(character, { svg: null, character });
                }}
              >
                <IconDrawing icon={{ svg: null, character }} tone={tone} /> The sign {character} itself
              </Button>
            </div>
          )}
          {own.length > 0 && (
            <>
              {heading('On this site')}
              <div className="flex max-h-[72px] flex-wrap overflow-auto">
                {own.map((icon) => (
                  <button
                    key={icon.id}
                    type="button"
                    title={icon.name}
                    aria-label={icon.name}
                    className={CELL_LOOK}
                    style={{ width: CELL, height: CELL }}
                    onClick={() => {
                      onChoose(icon);
                    }}
                  >
                    <IconDrawing icon={icon} tone={tone} />
                  </button>
                ))}
              </div>
            </>
          )}
          {wanted === '' && recent.length > 0 && (
            <>
              {heading('Last used')}
              <div className="flex h-[34px] flex-wrap overflow-hidden">
                <LibraryCells names={recent} drawings={recentDrawings} tone={tone} onTake={takeFromLibrary} />
              </div>
            </>
          )}
          {heading(
            failed
              ? 'The library could not be loaded; type again to try once more.'
              : found
                ? `${found.length} of Tabler Icons, MIT licence`
                : 'Loading the library…',
          )}
          <LibraryGrid names={found ?? NONE} tone={tone} onTake={takeFromLibrary} />
          {found?.length === 0 && <p className="py-1 text-ink-soft">No icon is called that.</p>}
        </>
      )}
      <div className="mt-2 flex items-center gap-2 border-t border-linen pt-2">
        <Button
          onClick={() => {
            file.current?.click();
          }}
        >
          A file of your own: SVG, PNG, WebP…
        </Button>
        {offer && (
          <Button
            tone="quiet"
            onClick={() => {
              setOffer(null);
            }}
          >
            Back to the icons
          </Button>
        )}
      </div>
      <input
        ref={file}
        type="file"
        accept=".svg,image/svg+xml,image/png,image/jpeg,image/webp,image/gif"
        aria-label="Icon file"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          void upload(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
    </>
  );
}
