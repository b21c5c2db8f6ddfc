import {
  familiesOf,
  findStack,
  findTypeface,
  placedParts,
  idsOf,
  reachOf,
  shownItems,
  slugify,
  STACKS,
  TYPEFACES,
  uniqueName,
  type Site,
  type Stack,
  type Typeface,
  type TypeStyle,
} from '@hamaca/core';
import { useEffect, useRef, useState } from 'react';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { uploadFont } from '../../store/api.ts';
import { notify } from '../../store/notices.ts';
import { useEdit } from '../../store/open-site.tsx';
import { ReachButton } from './reaches.tsx';

/** The site's own words for specimens: the labels of its first menu. */
function labelsOf(site: Site): string {
  const menu = placedParts(site)
    .map(({ part }) => part)
    .find((part) => part.kind === 'menu');
  const labels = menu
    ? shownItems(site, menu)
        .map((item) => item.label)
        .filter((label) => label !== '')
    : [];
  return labels.slice(0, 7).join('   ') || site.name || 'The quick brown fox';
}

/** Loads the faces of specimens once they are wanted. */
function useFaces(own: readonly Typeface[]) {
  useEffect(() => {
    for (const { id, weights } of [...own, ...TYPEFACES]) {
      const face = new FontFace(`specimen-${id}`, `url(/fonts/${id}.woff2) format("woff2")`, {
        weight: weights.join(' '),
        display: 'swap',
      });
      void face
        .load()
        .then((loaded) => {
          document.fonts.add(loaded);
        })
        // A face that cannot be drawn leaves its sample in the system's.
        .catch(() => undefined);
    }
  }, [own]);
}

const familyOf = (id: string, own: readonly Typeface[] = []) =>
  findStack(id)?.css ??
  `specimen-${id}, ${findTypeface(id, own)?.fallback === 'serif' ? 'serif' : 'sans-serif'}`;

const families = (site: Site) =>
  [...site.typefaces, ...TYPEFACES, ...STACKS].map(({ id, name }) => ({ value: id, label: name }));

function StyleRow({
  site,
  style,
  labels,
  current,
  onSelect,
}: {
  readonly site: Site;
  readonly style: TypeStyle;
  readonly labels: string;
  readonly current: boolean;
  readonly onSelect: () => void;
}) {
  const edit = useEdit();
  const set = (fields: Partial<Omit<TypeStyle, 'id'>>, label: string) => {
    edit({ name: 'set-type-style', args: { id: style.id, fields } }, label);
  };
  const number = (text: string, from: number, to: number) => {
    const value = Number(text);
    return Number.isInteger(value) && value >= from && value <= to ? value : null;
  };
  const reached = reachOf(site, { kind: 'type-style', id: style.id });
  const inUse = reached.length > 0;
  return (
    <li
      className={`grid grid-cols-[110px_190px_64px_64px_minmax(0,1fr)_auto] items-center gap-2 border-b border-linen py-1.5 text-bench ${current ? 'bg-ochre-wash' : ''}`}
    >
      <TextField
        className="w-full font-semibold"
        aria-label={`Name of ${style.name}`}
        value={style.name}
        onCommit={(name) =>
          name.trim() === ''
            ? 'A type style needs a name.'
            : (set({ name: name.trim() }, 'Name of a type style'), null)
        }
      />
      <Choice
        label={`Typeface of ${style.name}`}
        value={style.family}
        options={families(site)}
        onChange={(family) => {
          set({ family }, `${style.name}: typeface`);
        }}
      />
      <TextField
        className="w-full tabular"
        aria-label={`Size of ${style.name}`}
        value={String(style.size)}
        onCommit={(text) => {
          const size = number(text, 6, 200);
          if (size === null) return 'A whole number of px from 6 to 200.';
          set({ size }, `${style.name}: size`);
          return null;
        }}
      />
      <TextField
        className="w-full tabular"
        aria-label={`Weight of ${style.name}`}
        value={String(style.weight)}
        onCommit={(text) => {
          const weight = number(text, 100, 900);
          if (weight === null) return 'A whole number from 100 to 900.';
          set({ weight }, `${style.name}: weight`);
          return null;
        }}
      />
      <span
        className="truncate whitespace-pre"
        style={{
          fontFamily: familyOf(style.family, site.typefaces),
          fontSize: Math.min(style.size, 34),
          fontWeight: style.weight,
          lineHeight: 1.4,
        }}
      >
        {labels}
      </span>
      <span className="flex items-center gap-2 text-small text-ink-faint">
        <ReachButton site={site} source={{ kind: 'type-style', id: style.id }} label={style.name} />
        <Button
          className="!h-6"
          pressed={current}
          onClick={onSelect}
          title="Typefaces chosen below go to this style"
        >
          choose below
        </Button>
        {!inUse && (
          <Button
            className="!h-6"
            aria-label={`Remove ${style.name}`}
            onClick={() => {
              edit({ name: 'remove-type-style', args: { id: style.id } }, `Remove type style ${style.name}`);
            }}
          >
            ×
          </Button>
        )}
      </span>
    </li>
  );
}

function Specimen({
  typeface,
  labels,
  current,
  onChoose,
}: {
  readonly typeface: Typeface | Stack;
  readonly labels: string;
  readonly current: boolean;
  readonly onChoose: () => void;
}) {
  return (
    <li>
      <button
        type="button"
        aria-pressed={current}
        onClick={onChoose}
        className={`grid w-full gap-1 overflow-hidden border bg-white px-3 py-2 text-left ${current ? 'border-ochre' : 'border-twine hover:border-rope'}`}
      >
        <span className="flex items-baseline justify-between text-small">
          <b className="font-semibold">{typeface.name}</b>
          <span className="text-ink-faint tabular">
            {'weights' in typeface ? typeface.weights.join('–') : 'what visitors have'}
          </span>
        </span>
        <span
          className="truncate whitespace-pre"
          style={{ fontFamily: familyOf(typeface.id), fontSize: 19, lineHeight: 1.4, fontWeight: 500 }}
        >
          {labels}
        </span>
        <span
          className="truncate whitespace-pre text-ink-soft"
          style={{
            fontFamily: familyOf(typeface.id),
            fontSize: 15,
            lineHeight: 1.4,
            fontWeight: 'weights' in typeface ? typeface.weights[1] : 700,
          }}
        >
          {labels}
        </span>
      </button>
    </li>
  );
}

/** Brings a typeface of the designer's own along; the server checks, names and measures it. */
function FontUpload({ site, style }: { readonly site: Site; readonly style: TypeStyle | undefined }) {
  const edit = useEdit();
  const file = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const take = async (chosen: File | undefined) => {
    if (!chosen) return;
    setBusy(true);
    try {
      const typeface = await uploadFont(chosen);
      if (edit({ name: 'add-typeface', args: { typeface } }, `Typeface ${typeface.name}`) && style)
        edit(
          { name: 'set-type-style', args: { id: style.id, fields: { family: typeface.id } } },
          `${style.name} in ${typeface.name}`,
        );
    } catch (error) {
      notify({
        tone: 'error',
        text: `${chosen.name}: ${error instanceof Error ? error.message : 'the font could not be sent'}`,
      });
    }
    setBusy(false);
  };
  const unused = site.typefaces.filter((typeface) => !familiesOf(site).includes(typeface.id));
  return (
    <span className="ml-2 inline-flex gap-1">
      <Button
        disabled={busy}
        onClick={() => {
          file.current?.click();
        }}
      >
        {busy ? 'Measuring…' : 'Bring a font along…'}
      </Button>
      {unused.map((typeface) => (
        <Button
          key={typeface.id}
          onClick={() => {
            edit({ name: 'remove-typeface', args: { id: typeface.id } }, `Remove ${typeface.name}`);
          }}
        >
          Remove {typeface.name}
        </Button>
      ))}
      <input
        ref={file}
        type="file"
        aria-label="Font file"
        accept=".woff2,.ttf,.otf,font/*"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          void take(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
    </span>
  );
}

/** Named settings of type, and the typefaces they are set in, shown in the site's own words. */
export function TypePane({ site, asked }: { readonly site: Site; readonly asked: string | null }) {
  const edit = useEdit();
  const [chosen, setChosen] = useState(asked ?? site.typeStyles[0]?.id ?? '');
  const labels = labelsOf(site);
  const style = site.typeStyles.find((entry) => entry.id === chosen) ?? site.typeStyles[0];
  useFaces(site.typefaces);
  const add = () => {
    const name = `Type ${site.typeStyles.length + 1}`;
    const id = uniqueName(slugify(name, 'type'), idsOf(site));
    if (
      edit(
        {
          name: 'add-type-style',
          args: { style: { id, name, family: style?.family ?? 'figtree', size: 16, weight: 400 } },
        },
        'New type style',
      )
    )
      setChosen(id);
  };
  return (
    <section aria-label="Type">
      <div className="mb-2 flex items-center gap-2">
        <h2 className="font-semibold">Type styles</h2>
        <Button onClick={add}>+ type style</Button>
      </div>
      <ul className="border-t border-twine">
        {site.typeStyles.map((entry) => (
          <StyleRow
            key={entry.id}
            site={site}
            style={entry}
            labels={labels}
            current={entry === style}
            onSelect={() => {
              setChosen(entry.id);
            }}
          />
        ))}
      </ul>
      <h2 className="mt-6 mb-2 font-semibold">
        Typefaces{' '}
        <span className="text-small font-normal text-ink-faint">
          for {style?.name}; those with weights come along, free under the SIL Open Font License, with
          measured stand-ins, so that nothing jumps
        </span>{' '}
        <FontUpload site={site} style={style} />
      </h2>
      <ul className="grid grid-cols-3 gap-2">
        {[...site.typefaces, ...TYPEFACES, ...STACKS].map((typeface) => (
          <Specimen
            key={typeface.id}
            typeface={typeface}
            labels={labels}
            current={style?.family === typeface.id}
            onChoose={() => {
              if (style)
                edit(
                  { name: 'set-type-style', args: { id: style.id, fields: { family: typeface.id } } },
                  `${style.name} in ${typeface.name}`,
                );
            }}
          />
        ))}
      </ul>
    </section>
  );
}
