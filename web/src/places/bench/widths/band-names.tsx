import type { Site } from '@hamaca/core';
import { useEffect, useRef } from 'react';
import { useSiteStore } from '../../../store/open-site.tsx';
import { WIDTHS } from '../../../store/bench-store.ts';
import { TextField } from '../../../ui/text-field.tsx';

/** What a name takes beside its knot, in px; with less room it is left to the knot's tooltip. */
const LEAST_ROOM = 34;
const BESIDE = 14;

/** How long the keys may be elsewhere before a name counts as left, in ms. */
const AWAY = 200;

interface Props {
  readonly site: Site;
  /** Where a width lies, in px from the left of the line. */
  readonly toX: (width: number) => number;
  /** Id of the band whose name is being typed. */
  readonly naming: string | null;
  readonly onNaming: (id: string | null) => void;
}

/** The names of the bands, each where it starts; pressed, a name can be typed. */
export function BandNames({ site, toX, naming, onNaming }: Props) {
  const store = useSiteStore();
  return site.bands.map(({ id, name, min }, index) => {
    const start = toX(Math.max(WIDTHS.from, min));
    const end = toX(Math.min(WIDTHS.to, site.bands[index - 1]?.min ?? WIDTHS.to));
    const room = end - start - BESIDE - 10;
    const left = start + BESIDE;
    if (naming === id)
      return (
        <NameField
          key={id}
          name={name}
          left={left}
          onName={(text) => {
            const refused = text === '' ? 'A band needs a name.' : nameTaken(site, id, text);
            if (refused !== null) return refused;
            store.edit({ name: 'set-band-name', args: { id, name: text } }, 'Name a band');
            return null;
          }}
          onDone={() => {
            onNaming(null);
          }}
        />
      );
    if (room < LEAST_ROOM) return null;
    return (
      <button
        key={id}
        type="button"
        title={`${name}: press to name it anew`}
        aria-label={`Name of the band ${name}`}
        onClick={() => {
          onNaming(id);
        }}
        style={{ left, maxWidth: room }}
        className="absolute top-[15px] h-6 truncate rounded-[2px] px-0.5 text-[11px] text-ink-soft hover:text-ink hover:underline"
      >
        {name}
      </button>
    );
  });
}

/** Why a band cannot be called so, or null: two of one name could not be told apart. */
function nameTaken(site: Site, id: string, name: string): string | null {
  const other = site.bands.find((band) => band.id !== id && band.name.toLowerCase() === name.toLowerCase());
  return other ? `There is a band “${other.name}” already.` : null;
}

interface NameFieldProps {
  readonly name: string;
  readonly left: number;
  readonly onName: (text: string) => string | null;
  readonly onDone: () => void;
}

/** Takes the keys with its text selected; Enter and Escape give them back. */
function NameField({ name, left, onName, onDone }: NameFieldProps) {
  const holder = useRef<HTMLSpanElement>(null);
  const isRefused = useRef(false);
  useEffect(() => {
    holder.current?.querySelector('input')?.focus();
    holder.current?.querySelector('input')?.select();
  }, []);
  return (
    <span ref={holder} style={{ left }} className="absolute top-[13px] z-20">
      <TextField
        aria-label="Name of the band"
        value={name}
        maxLength={40}
        className="!h-6 w-32"
        onCommit={(text) => {
          const refused = onName(text.trim());
          isRefused.current = refused !== null;
          return refused;
        }}
        onKeyDown={(event) => {
          if (event.key === 'Escape' || (event.key === 'Enter' && !isRefused.current)) onDone();
        }}
        onBlur={() => {
          // The stage, drawn anew, may take the keys for a moment and gives them back.
          setTimeout(() => {
            if (!isRefused.current && !holder.current?.contains(document.activeElement)) onDone();
          }, AWAY);
        }}
      />
    </span>
  );
}
