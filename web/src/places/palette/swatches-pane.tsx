import {
  colourOf,
  DERIVATIONS,
  formatColour,
  isDerived,
  rolesOf,
  swatchColour,
  swatchUses,
  type Derivation,
  type DerivedSwatch,
  type Site,
  type Swatch,
} from '@hamaca/core';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { ColourEditor } from '../../ui/colour-editor.tsx';
import { Slide } from '../../ui/slide.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { newSwatch } from '../../store/new-swatch.ts';
import { useEdit, useSiteStore } from '../../store/open-site.tsx';
import { PaletteFiles } from './palette-files.tsx';
import { Reaches, useLight } from './reaches.tsx';

interface Props {
  readonly site: Site;
  readonly selected: string | null;
  readonly onSelect: (id: string) => void;
}

const CHANGE_WORDS: Readonly<Record<Derivation, string>> = {
  lighter: 'lighter than',
  darker: 'darker than',
  thinner: 'thinner than',
  mixed: 'mixed from',
};

function describe(site: Site, swatch: Swatch): string {
  if (!isDerived(swatch)) return swatch.value;
  const parent = site.palette.find((entry) => entry.id === swatch.from)?.name ?? swatch.from;
  return `${CHANGE_WORDS[swatch.change]} ${parent}, ${swatch.by} %`;
}

function Chip({
  site,
  swatch,
  current,
  onSelect,
}: {
  readonly site: Site;
  readonly swatch: Swatch;
  readonly current: boolean;
  readonly onSelect: () => void;
}) {
  const edit = useEdit();
  const light = useLight(site, { kind: 'swatch', id: swatch.id });
  const index = site.palette.indexOf(swatch);
  const move = (to: number) => {
    edit({ name: 'move-swatch', args: { id: swatch.id, index: to } }, `Move swatch ${swatch.name}`);
  };
  return (
    <li>
      <button
        type="button"
        aria-current={current}
        {...light}
        onClick={onSelect}
        title="Alt and an arrow move it"
        onKeyDown={(event) => {
          if (event.altKey && (event.key === 'ArrowLeft' || event.key === 'ArrowRight')) {
            event.preventDefault();
            move(index + (event.key === 'ArrowLeft' ? -1 : 1));
          }
        }}
        className={`block w-[132px] overflow-hidden border-2 bg-white text-left ${current ? 'border-ochre' : 'border-transparent hover:border-twine'}`}
      >
        <span className="relative block h-14 overflow-hidden bg-[repeating-conic-gradient(#ddd_0_25%,#fff_0_50%)] bg-size-[12px_12px]">
          <span
            className="absolute inset-x-0 -top-px -bottom-px border-b border-ink/10"
            style={{ background: formatColour(colourOf(site, { swatch: swatch.id })) }}
          />
        </span>
        <span className="block truncate px-2 pt-1 text-bench font-semibold">{swatch.name}</span>
        <span className="block truncate px-2 pb-1 text-small text-ink-faint tabular">
          {isDerived(swatch) ? '↳ ' : ''}
          {describe(site, swatch)}
        </span>
      </button>
    </li>
  );
}

/** How a swatch comes by its colour: one of its own, or as a change of another that it follows. */
function Source({ site, swatch }: { readonly site: Site; readonly swatch: Swatch }) {
  const edit = useEdit();
  const store = useSiteStore();
  const others = site.palette.filter((entry) => entry.id !== swatch.id);
  const own = (value: string) => ({ name: 'set-swatch', args: { id: swatch.id, value } }) as const;
  const derive = (fields: Partial<Omit<DerivedSwatch, 'id' | 'name'>>) => {
    const before: Partial<DerivedSwatch> = isDerived(swatch) ? swatch : {};
    const from = fields.from ?? before.from ?? others[0]?.id ?? '';
    const change = fields.change ?? before.change ?? 'lighter';
    const mixedWith = fields.with ?? before.with ?? others.find((entry) => entry.id !== from)?.id ?? from;
    return {
      name: 'set-swatch',
      args: {
        id: swatch.id,
        derived: {
          from,
          change,
          by: fields.by ?? before.by ?? 30,
          ...(change === 'mixed' ? { with: mixedWith } : {}),
        },
      },
    } as const;
  };
  const names = others.map((entry) => ({ value: entry.id, label: entry.name }));
  return (
    <div className="grid content-start gap-3">
      <div role="group" aria-label="Where the colour comes from" className="flex flex-wrap gap-1">
        <Button
          className="!h-6"
          pressed={!isDerived(swatch)}
          onClick={() => {
            if (isDerived(swatch))
              edit(own(formatColour(swatchColour(site, swatch.id))), `${swatch.name}: a colour of its own`);
          }}
        >
          of its own
        </Button>
        {DERIVATIONS.map((change) => (
          <Button
            key={change}
            className="!h-6"
            disabled={others.length === 0}
            pressed={isDerived(swatch) && swatch.change === change}
            onClick={() => {
              edit(derive({ change }), `${swatch.name}: ${change}`);
            }}
          >
            {change}
          </Button>
        ))}
      </div>
      {isDerived(swatch) ? (
        <div className="grid gap-2 text-bench">
          <label className="grid grid-cols-[84px_1fr] items-center gap-2">
            <span className="text-small text-ink-soft">{CHANGE_WORDS[swatch.change]}</span>
            <span>
              <Choice
                label="Swatch it follows"
                value={swatch.from}
                options={names}
                onChange={(from) => {
                  edit(derive({ from }), `${swatch.name} follows another`);
                }}
              />
            </span>
          </label>
          {swatch.change === 'mixed' && (
            <label className="grid grid-cols-[84px_1fr] items-center gap-2">
              <span className="text-small text-ink-soft">and</span>
              <span>
                <Choice
                  label="Swatch it is mixed with"
                  value={swatch.with ?? ''}
                  options={names}
                  onChange={(other) => {
                    edit(derive({ with: other }), `${swatch.name}: mixed with another`);
                  }}
                />
              </span>
            </label>
          )}
          <Slide
            label="by"
            name="By how much"
            max={100}
            step={1}
            value={swatch.by}
            unit=" %"
            onSlide={(by) => {
              store.preview(derive({ by }));
            }}
            onEnd={(by) => {
              edit(derive({ by }), `${swatch.name}: ${by} %`);
            }}
          />
        </div>
      ) : (
        <ColourEditor
          key={swatch.id}
          value={swatch.value}
          onPreview={(colour) => {
            store.preview(colour === null ? null : own(colour));
          }}
          onCommit={(colour) => {
            edit(own(colour), `Swatch ${swatch.name}`);
          }}
        />
      )}
    </div>
  );
}

/** All swatches as chips, and the selected one laid open beneath them. */
export function SwatchesPane({ site, selected, onSelect }: Props) {
  const edit = useEdit();
  const swatch = site.palette.find((entry) => entry.id === selected) ?? null;
  const add = () => {
    const swatch = newSwatch(site, '#808080');
    if (edit({ name: 'add-swatch', args: { swatch } }, 'New swatch')) onSelect(swatch.id);
  };
  const uses = swatch ? swatchUses(site, swatch.id) : 0;
  const roles = swatch ? rolesOf(site, swatch.id) : [];
  const followers = site.palette.filter(
    (entry) => isDerived(entry) && (entry.from === selected || entry.with === selected),
  );
  return (
    <section aria-label="Swatches">
      <div className="mb-2 flex items-center gap-2">
        <h2 className="font-semibold">Swatches</h2>
        <Button onClick={add}>+ swatch</Button>
        <span className="ml-auto" />
        <PaletteFiles site={site} />
      </div>
      {site.palette.length === 0 && (
        <p className="text-bench text-ink-soft">
          Named colours stand here; everything linked to one follows it. Add the first, or bring a palette
          along.
        </p>
      )}
      <ul className="flex flex-wrap gap-1.5">
        {site.palette.map((entry) => (
          <Chip
            key={entry.id}
            site={site}
            swatch={entry}
            current={entry.id === selected}
            onSelect={() => {
              onSelect(entry.id);
            }}
          />
        ))}
      </ul>
      {swatch && (
        <div className="mt-2 grid grid-cols-[minmax(0,380px)_minmax(0,200px)_minmax(0,1fr)] gap-6 border border-twine bg-white p-3">
          <Source site={site} swatch={swatch} />
          <div className="grid content-start gap-2 text-bench">
            <label className="grid gap-0.5">
              <span className="text-small text-ink-faint">name</span>
              <TextField
                className="w-full"
                value={swatch.name}
                onCommit={(name) =>
                  name.trim() === ''
                    ? 'A swatch needs a name.'
                    : (edit(
                        { name: 'set-swatch', args: { id: swatch.id, name: name.trim() } },
                        'Swatch name',
                      ),
                      null)
                }
              />
            </label>
            <div>
              <Button
                disabled={uses > 0}
                title={uses > 0 ? 'it is in use; link those places elsewhere first' : undefined}
                onClick={() => {
                  edit({ name: 'remove-swatch', args: { id: swatch.id } }, `Remove swatch ${swatch.name}`);
                }}
              >
                Remove
              </Button>
            </div>
            {uses > 0 && (
              <p className="text-small text-ink-faint">
                named in {uses} {uses === 1 ? 'place' : 'places'}
              </p>
            )}
          </div>
          <Reaches site={site} source={{ kind: 'swatch', id: swatch.id }}>
            {roles.length > 0 && (
              <p className="text-small">as {roles.map((role) => `role ${role}`).join(', ')}</p>
            )}
            {followers.length > 0 && (
              <p className="text-small">followed by {followers.map((entry) => entry.name).join(', ')}</p>
            )}
          </Reaches>
        </div>
      )}
    </section>
  );
}
