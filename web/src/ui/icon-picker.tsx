import { cutText, idsOf, slugify, uniqueName, type Icon, type Site } from '@hamaca/core';
import { Popover } from 'radix-ui';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Button } from './button.tsx';
import { readSvg } from '../media/read-svg.ts';
import { asSiteIcon } from '../media/site-icon.ts';
import { findIcons, iconSvg, loadDrawings, loadIconNames } from '../media/icon-library.ts';
import { notify } from '../store/notices.ts';

const MOST = 96;

/** A drawing in the interface: as a picture, in which nothing can run. */
function Drawing({ svg }: { readonly svg: string }) {
  const source = svg.includes('xmlns=')
    ? svg
    : svg.replace(/^\s*<svg/i, '<svg xmlns="http://www.w3.org/2000/svg"');
  return <img alt="" className="size-5" src={`data:image/svg+xml,${encodeURIComponent(source)}`} />;
}

/** Largest SVG that is read as an icon, in kB. */
const MOST_SVG = 100;

export interface IconPickerProps {
  readonly site: Site;
  readonly current: Icon | null;
  /** Whether there may be none. */
  readonly optional?: boolean;
  /** Takes an icon, which the site may not have yet, or none. */
  readonly onChoose: (icon: Icon | null) => void;
}

const NO_DRAWINGS: ReadonlyMap<string, string> = new Map();

/** The icons of the library that a search finds, with the drawings of those that are seen. */
function useLibrary(shown: boolean, typed: string) {
  const [names, setNames] = useState<readonly string[] | null>(null);
  const [drawings, setDrawings] = useState(NO_DRAWINGS);
  const [failed, setFailed] = useState(false);
  const found = useMemo(() => (names ? findIcons(names, typed, MOST) : null), [names, typed]);
  useEffect(() => {
    if (!shown) return undefined;
    let current = true;
    const load = found
      ? loadDrawings(found).then((loaded) => current && setDrawings(loaded))
      : loadIconNames().then(setNames);
    load.catch(() => {
      setFailed(true);
    });
    return () => {
      current = false;
    };
  }, [shown, found]);
  return { found, drawings, failed };
}

/** An icon: one the site has already, one of the library, or a drawing of the designer's own. */
export function IconPicker({ site, current, optional = true, onChoose }: IconPickerProps) {
  const file = useRef<HTMLInputElement>(null);
  const [shown, setShown] = useState(false);
  const [typed, setTyped] = useState('');
  const { found, drawings, failed } = useLibrary(shown, typed);

  const set = (icon: Icon | null) => {
    onChoose(icon);
    setShown(false);
  };
  const take = (name: string) => {
    const body = drawings.get(name);
    if (body !== undefined) set(asSiteIcon(site, name, body));
  };
  const upload = async (chosen: File | undefined) => {
    if (!chosen) return;
    const clean = await readSvg(chosen, MOST_SVG);
    if (clean.ok)
      set({
        id: uniqueName(`icon-${slugify(chosen.name.replace(/\.svg$/i, ''), 'icon')}`, idsOf(site)),
        name: cutText(chosen.name.replace(/\.svg$/i, ''), 80),
        svg: clean.value,
        set: null,
      });
    else
      notify({
        tone: 'error',
        text: `${chosen.name} cannot be used as an icon: ${clean.error}. Nothing was changed.`,
      });
  };
  const own = site.icons.filter((icon) => icon.name.includes(typed.trim().toLowerCase()));
  const cell =
    'grid size-8 place-items-center rounded-[3px] border border-transparent hover:border-rope hover:bg-linen';
  return (
    <span className="flex items-center gap-1">
      <Popover.Root open={shown} onOpenChange={setShown}>
        <Popover.Trigger asChild>
          <Button className="!h-6">
            {current ? (
              <>
                <Drawing svg={current.svg} /> {current.name}
              </>
            ) : (
              'Choose…'
            )}
          </Button>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            side="bottom"
            align="start"
            sideOffset={4}
            aria-label="Icons"
            className="z-50 w-[404px] rounded-[3px] border border-rope bg-white p-2 text-bench"
          >
            <input
              className="field mb-2 w-full"
              aria-label="Find an icon"
              placeholder="Find an icon: bird, map, clock …"
              value={typed}
              onChange={(event) => {
                setTyped(event.target.value);
              }}
            />
            <div className="max-h-64 overflow-auto">
              {own.length > 0 && (
                <>
                  <p className="pb-1 text-small text-ink-faint">On this site</p>
                  <div className="mb-2 flex flex-wrap">
                    {own.map((icon) => (
                      <button
                        key={icon.id}
                        type="button"
                        title={icon.name}
                        aria-label={icon.name}
                        className={cell}
                        onClick={() => {
                          set(icon);
                        }}
                      >
                        <Drawing svg={icon.svg} />
                      </button>
                    ))}
                  </div>
                </>
              )}
              <p className="pb-1 text-small text-ink-faint">
                {failed
                  ? 'The library could not be loaded; close this and try again.'
                  : found
                    ? 'Tabler icons, MIT licence'
                    : 'Loading the library…'}
              </p>
              <div className="flex flex-wrap">
                {found?.map((name) => (
                  <button
                    key={name}
                    type="button"
                    title={name}
                    aria-label={name}
                    className={cell}
                    onClick={() => {
                      take(name);
                    }}
                  >
                    {drawings.has(name) && <Drawing svg={iconSvg(drawings.get(name) ?? '')} />}
                  </button>
                ))}
              </div>
              {found?.length === 0 && <p className="py-2 text-ink-soft">No icon is called that.</p>}
            </div>
            <div className="mt-2 border-t border-linen pt-2">
              <Button
                onClick={() => {
                  file.current?.click();
                }}
              >
                A drawing of your own (SVG)…
              </Button>
            </div>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
      {current && optional && (
        <Button
          className="!h-6"
          aria-label="Take the icon away"
          onClick={() => {
            set(null);
          }}
        >
          ×
        </Button>
      )}
      <input
        ref={file}
        type="file"
        accept=".svg,image/svg+xml"
        aria-label="Icon file"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          void upload(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
    </span>
  );
}
